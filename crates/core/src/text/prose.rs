//! Sentences: where the first one ends, and whether another follows.

/// Words after which a full stop ends no sentence.
const ABBREVIATIONS: &[&str] = &[
    "e.g", "i.e", "etc", "cf", "vs", "resp", "approx", "incl", "excl", "no", "fig", "eq", "sec", "st", "dr",
    "mr", "mrs", "al", "ca", "max", "min", "ref", "viz", "n.b", "a.k.a", "dept", "inc", "ltd",
];

/// Tags that tell how a declaration stands, and nothing of how to call it.
const STANDING: &[&str] = &["@deprecated", "@hidden", "@internal", "@see ", "@since "];

/// Returns the offset behind the first sentence of `text`.
///
/// A sentence ends at `.`, `!` or `?` before white space or the end, at a paragraph's end (an empty line),
/// or at the end of the text. A stop after a known abbreviation or before a lower-case word ends none.
#[must_use]
pub fn first_sentence_end(text: &str) -> usize {
    let bytes = text.as_bytes();
    for (at, byte) in bytes.iter().enumerate() {
        match byte {
            b'\n' if opens_with_blank_line(&text[at + 1..]) => return at,
            b'.' | b'!' | b'?' if ends_sentence(text, at) => return at + 1,
            _ => {}
        }
    }
    text.len()
}

/// Tells whether `text` says more than one sentence, or has a second paragraph.
#[must_use]
pub fn has_second_sentence(text: &str) -> bool {
    let text = text.trim_end();
    let end = first_sentence_end(text);
    let rest = text.get(end..).unwrap_or_default();
    !is_wordless(rest) && !only_refers(rest)
}

/// Tells whether all that follows the first sentence is where else to look: an address, or what stands behind `See:`.
fn only_refers(rest: &str) -> bool {
    // A tag on the line of the sentence: `/** Weighs. @deprecated use the bridge */`.
    let behind = rest.trim_start_matches([' ', '\t']).trim_end();
    if STANDING.iter().any(|tag| behind.starts_with(tag)) && !behind.contains('\n') {
        return true;
    }
    let rest = rest.trim();
    // A section of its own, as field lists and Epytext have it.
    let section = [".. rubric:: See Also\n", ".. seealso::", "See Also:\n"]
        .iter()
        .find_map(|heading| rest.strip_prefix(heading));
    let goes_on = |line: &str| line.ends_with(':') || line.starts_with(".. rubric::");
    if section.is_some_and(|section| !section.lines().any(goes_on)) {
        return true;
    }
    let said = ["See: ", "See also: ", "See also ", "see: "].iter().find_map(|word| rest.strip_prefix(word));
    let target = said.unwrap_or(rest).trim_end_matches('.');
    let address = target.starts_with("https://") || target.starts_with("http://");
    (address || said.is_some()) && !target.contains(char::is_whitespace)
}

/// Tells whether a text says nothing: only white space and punctuation.
#[must_use]
pub fn is_wordless(text: &str) -> bool {
    !text.chars().any(char::is_alphanumeric)
}

fn opens_with_blank_line(rest: &str) -> bool {
    rest.split('\n').next().is_some_and(|line| line.trim().is_empty()) && rest.contains('\n')
}

fn ends_sentence(text: &str, at: usize) -> bool {
    let rest = text[at + 1..].trim_start_matches(['"', '\'', ')', ']', '`', '*']);
    if rest.is_empty() {
        return true;
    }
    if !rest.starts_with(char::is_whitespace) {
        return false;
    }
    let before = &text[..at];
    let word =
        before.rsplit(|c: char| c.is_whitespace() || c == '(').next().unwrap_or_default().to_lowercase();
    let single_letter = word.chars().count() == 1 && word.chars().all(char::is_alphabetic);
    if text.as_bytes()[at] == b'.' && (single_letter || ABBREVIATIONS.contains(&word.as_str())) {
        return false;
    }
    // "Returns x. the rest" is usually an abbreviation or a file name, not a new sentence.
    !rest.trim_start().starts_with(char::is_lowercase)
}

/// Tells whether code fills in what stands for a line: `%(parameters)s`, `%(press.parameters)s`, `{parameters}`, `$parameters`,
/// `{{load: a number, optional}}`.
pub(crate) fn is_filled_by_code(line: &str) -> bool {
    let line = line.trim();
    let path = line.strip_prefix("%(").and_then(|rest| rest.strip_suffix(")s"));
    let name =
        line.strip_prefix('{').and_then(|rest| rest.strip_suffix('}')).or_else(|| line.strip_prefix('$'));
    let is_word = |c: char| c.is_alphanumeric() || c == '_';
    let holds =
        |inner: &str, may: fn(char) -> bool| !inner.is_empty() && inner.chars().all(|c| is_word(c) || may(c));
    let doubled = line.strip_prefix("{{").and_then(|rest| rest.strip_suffix("}}"));
    if doubled.is_some_and(|inner| !inner.trim().is_empty() && !inner.contains(['{', '}'])) {
        return true;
    }
    // `%(press.load)s` is a key of a table.
    path.is_some_and(|path| holds(path, |c| matches!(c, '.' | '-')))
        || name.is_some_and(|name| holds(name, |_| false))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn abbreviations_and_numbers_end_nothing() {
        assert!(!has_second_sentence("Weighs e.g. a crate of 3.5 kg."));
        assert!(!has_second_sentence("Reads `a.b`."));
        assert!(has_second_sentence("Weighs. Then prints."));
        assert!(has_second_sentence("Weighs\n\nThen prints"));
        assert!(!has_second_sentence("Weighs the\nload"));
        assert!(!has_second_sentence("Weighs. @deprecated use the bridge"));
        assert!(has_second_sentence("Weighs. @param load in kg"));
    }

    #[test]
    fn the_first_sentence_may_run_over_lines() {
        let text = "Weighs the\nload. And more.";
        assert_eq!(&text[..first_sentence_end(text)], "Weighs the\nload.");
    }
}
