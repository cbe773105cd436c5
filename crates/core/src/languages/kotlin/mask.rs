//! What the Kotlin grammar cannot read, blanked or replaced at equal length.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::reading::Given;

static MARKS: LazyLock<AhoCorasick> = LazyLock::new(|| {
    AhoCorasick::new(["constructor(", "constructor (", "dynamic.", "dynamic?.", "set(", "get()"])
        .expect("plain words compile")
});

/// Gives the grammar a text without
/// - line breaks and annotations between a class's name and `constructor`, which end the class for it;
/// - the word `dynamic` where it is a name, which it takes for a keyword;
/// - annotations on a line of their own above an accessor, or in front of one.
pub(super) fn mask(text: &str) -> Given<'_> {
    let mut bytes: Option<Vec<u8>> = None;
    for found in MARKS.find_iter(text) {
        let start = found.start();
        match found.pattern().as_u32() {
            0 | 1 => {
                if let Some(from) = class_head_end(text, start) {
                    let out = bytes.get_or_insert_with(|| text.as_bytes().to_vec());
                    let kept = text[from..start].trim_end();
                    let word = ["private", "protected", "internal", "public"]
                        .iter()
                        .find(|word| kept.ends_with(**word));
                    out[from..start].fill(b' ');
                    if let Some(word) = word {
                        let at = from + kept.len() - word.len();
                        out[at..at + word.len()].copy_from_slice(word.as_bytes());
                    }
                }
            }
            2 | 3 => {
                let name_before =
                    text[..start].ends_with(|c: char| c.is_alphanumeric() || c == '_' || c == '.');
                if !name_before {
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[start] = b'_';
                }
            }
            _ => {
                if let Some(at) = annotation_above(text, start) {
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[at].fill(b' ');
                }
            }
        }
    }
    // Only ASCII was written, over whole characters or over words that are ASCII.
    bytes.and_then(|bytes| String::from_utf8(bytes).ok()).map_or(Given::all(text), Given::replaced)
}

/// Gives the grammar a text in which the last member of a class on one line ends with a semicolon: without
/// one it reads on past the brace. Nothing when there is no such class.
pub(super) fn with_ends(text: &str) -> Option<Given<'_>> {
    let given = mask(text);
    let mut bytes = given.text().as_bytes().to_vec();
    let mut at = 0;
    let mut changed = false;
    for line in text.split_inclusive('\n') {
        let bare = line.trim_end();
        let head = ["class ", "interface ", "object "].iter().any(|word| bare.contains(word));
        let body = bare.strip_suffix(" }").map(str::trim_end).filter(|body| head && body.contains('{'));
        if body.is_some_and(|body| !body.ends_with(['{', ';', ',', '('])) {
            bytes[at + bare.len() - 2] = b';';
            changed = true;
        }
        at += line.len();
    }
    let masked = String::from_utf8(bytes).ok().filter(|_| changed)?;
    Some(Given::replaced(masked))
}

/// Returns where the name (and type parameters) of the class before a `constructor` end, when there is a
/// line break between the two and nothing but annotations and a visibility.
fn class_head_end(text: &str, constructor: usize) -> Option<usize> {
    let from = text[..constructor].rfind("class ")?;
    let head = &text[from..constructor];
    let name =
        head["class ".len()..].find(|c: char| !(c.is_alphanumeric() || c == '_')).map(|end| end + 6)?;
    let mut end = name;
    if head[name..].starts_with('<') {
        let mut depth = 0_i32;
        for (at, c) in head[name..].char_indices() {
            match c {
                '<' => depth += 1,
                '>' => depth -= 1,
                _ => {}
            }
            if depth == 0 {
                end = name + at + 1;
                break;
            }
        }
    }
    let between = &head[end..];
    let plain = between.contains('\n')
        && between.is_ascii()
        && !between.contains(['{', '}', '/', ';'])
        && between.split_whitespace().next().is_some_and(|word| {
            word.starts_with('@') || matches!(word, "private" | "protected" | "internal" | "public")
        });
    (plain || (!between.is_empty() && between.trim().is_empty() && between.contains('\n')))
        .then_some(from + end)
}

/// Returns the range of an annotation that stands alone on the line above an accessor, or alone in front of it.
fn annotation_above(text: &str, accessor: usize) -> Option<std::ops::Range<usize>> {
    let line = text[..accessor].rfind('\n')?;
    let before = text[line..accessor].trim();
    if !before.is_empty() {
        let name = |c: char| c.is_ascii_alphanumeric() || matches!(c, '_' | '.' | ':');
        let start = line + text[line..accessor].find(before)?;
        return before.strip_prefix('@')?.chars().all(name).then(|| start..start + before.len());
    }
    let above = text[..line].rfind('\n').map_or(0, |found| found + 1);
    let content = text[above..line].trim();
    let start = above + text[above..line].find('@')?;
    (content.starts_with('@') && content.is_ascii()).then(|| start..start + content.len())
}
