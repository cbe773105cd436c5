//! What the Swift grammar cannot read, blanked at equal length.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::reading::Given;

static MARKS: LazyLock<AhoCorasick> = LazyLock::new(|| {
    AhoCorasick::new(["@", "sending ", "nonisolated(unsafe)", "[~", "(~"]).expect("plain words compile")
});

/// Gives the grammar a text without
/// - attributes in front of parameters;
/// - the words `sending` and `nonisolated(unsafe)`;
/// - a prefix `~` that opens a list.
pub(super) fn mask(text: &str) -> Given<'_> {
    let mut blanks: Vec<std::ops::Range<usize>> = Vec::new();
    for found in MARKS.find_iter(text) {
        let start = found.start();
        let before = text[..start].trim_end();
        match found.pattern().as_u32() {
            0 if before.ends_with(['(', ','])
                || blanks.last().is_some_and(|last| last.end == before.len()) =>
            {
                blanks.extend(attribute(text, start))
            }
            0 => {}
            1 if before.ends_with([':', '>', '(', ',']) => blanks.push(start..found.end()),
            1 => {}
            2 => blanks.push(start..found.end()),
            _ => blanks.push(start + 1..found.end()),
        }
    }
    if blanks.is_empty() { Given::all(text) } else { Given::with_blanks(text, &blanks) }
}

/// Returns the range of an attribute with its type arguments and arguments, where a name
/// follows it.
fn attribute(text: &str, start: usize) -> Option<std::ops::Range<usize>> {
    let rest = &text[start + 1..];
    let mut end = rest.find(|c: char| !(c.is_alphanumeric() || c == '_'))?;
    if end == 0 {
        return None;
    }
    for (open, close) in [('<', '>'), ('(', ')')] {
        if rest[end..].starts_with(open) {
            let mut depth = 0_i32;
            let closing = rest[end..].char_indices().find(|&(_, c)| {
                depth += i32::from(c == open) - i32::from(c == close);
                depth == 0
            })?;
            end += closing.0 + 1;
        }
    }
    let follows = rest[end..].trim_start();
    follows.starts_with(|c: char| c.is_alphabetic() || matches!(c, '_' | '@')).then(|| start..start + 1 + end)
}
