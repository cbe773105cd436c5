//! What the Swift grammar cannot read, blanked at equal length.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::reading::Given;

static MARKS: LazyLock<AhoCorasick> = LazyLock::new(|| {
    AhoCorasick::new([
        "@", "sending ", "nonisolated(unsafe)", "[~", "(~", ": {", "where\n", "where\r\n", "where ",
        "associatedtype ", "};", "(_:", ", _:",
    ])
    .expect("plain words compile")
});

/// Gives the grammar a text without
/// - attributes in front of parameters and types, and those that speak to the compiler alone;
/// - labels without a name in the types of functions;
/// - the words `sending` and `nonisolated(unsafe)`;
/// - a prefix `~` that opens a list;
/// - line breaks in front of the label of a trailing closure, and in the constraints of an initialiser;
/// - all but the first of what an associated type conforms to;
/// - semicolons behind braces at the ends of lines.
pub(super) fn mask(text: &str) -> Given<'_> {
    let mut blanks: Vec<std::ops::Range<usize>> = Vec::new();
    let mut breaks: Vec<std::ops::Range<usize>> = Vec::new();
    let mut ends: Vec<std::ops::Range<usize>> = Vec::new();
    for found in MARKS.find_iter(text) {
        let start = found.start();
        let before = text[..start].trim_end();
        match found.pattern().as_u32() {
            0 if before.ends_with(['(', ','])
                || text[found.end()..].starts_with("_specialize(")
                || blanks.last().is_some_and(|last| last.end == before.len()) =>
            {
                blanks.extend(attribute(text, start))
            }
            0 => {}
            1 if before.ends_with([':', '>', '(', ',']) => blanks.push(start..found.end()),
            1 => {}
            2 => blanks.push(start..found.end()),
            3 | 4 => blanks.push(start + 1..found.end()),
            5 => breaks.extend(break_before_label(text, start)),
            6..=8 => breaks.extend(constraints(text, start)),
            9 => ends.extend(further_conformances(text, found.end())),
            11 | 12 if labels_type(text, start) => blanks.push(found.end() - 2..found.end()),
            11 | 12 => {}
            _ => {
                // What stands behind the brace of a body ends nothing more.
                let behind = text[found.end()..].trim_start_matches([' ', '\t']);
                if behind.is_empty() || behind.starts_with(['\n', '\r', '/', '}']) {
                    ends.push(start + 1..found.end());
                }
            }
        }
    }
    blanks.extend(ends);
    let given = if blanks.is_empty() { Given::all(text) } else { Given::with_blanks(text, &blanks) };
    if breaks.is_empty() {
        return given;
    }
    let mut bytes = given.text().as_bytes().to_vec();
    for range in breaks {
        for byte in bytes[range].iter_mut().filter(|byte| matches!(**byte, b'\n' | b'\r')) {
            *byte = b' ';
        }
    }
    // Only line breaks were written over.
    String::from_utf8(bytes).map_or(given, Given::replaced)
}

/// Tells whether a list that `at` stands in is that of a function's type, `(_: String) -> Void`, and not that of a function: what
/// stands in front of it is no name.
fn labels_type(text: &str, at: usize) -> bool {
    let mut depth = 0_i32;
    let before = text.get(..at + 1).unwrap_or_default();
    let opening = before.char_indices().rev().take(LONGEST_LIST).find(|&(_, c)| {
        depth += i32::from(c == '(') - i32::from(c == ')');
        depth > 0
    });
    opening.is_some_and(|(open, _)| {
        let ahead = text[..open].trim_end();
        ahead.ends_with([':', '(', ',', '=']) || ahead.ends_with("->") || ahead.ends_with("@escaping")
    })
}

/// How far back the beginning of a list is looked for, in characters.
const LONGEST_LIST: usize = 400;

/// Returns the white space between the brace that ends one trailing closure and the label of the next, `colon` being
/// behind that: `Button { … }`, `label: { … }`.
fn break_before_label(text: &str, colon: usize) -> Option<std::ops::Range<usize>> {
    let before = text[..colon].trim_end_matches(|c: char| c.is_alphanumeric() || c == '_');
    let label = &text[before.len()..colon];
    let closing = before.trim_end();
    // `default:` opens a branch, which may be a closure.
    (!label.is_empty() && label != "default" && closing.ends_with('}')).then_some(closing.len()..before.len())
}

/// Returns the constraints behind `where` of what has no result, up to its body.
fn constraints(text: &str, start: usize) -> Option<std::ops::Range<usize>> {
    let before = text[..start].trim_end();
    let bare = before.strip_suffix("throws").or_else(|| before.strip_suffix("async")).unwrap_or(before);
    let end = start + text[start..].find(['{', '}', '/', '(', ';'])?;
    (bare.trim_end().ends_with(')') && text[end..].starts_with('{')).then_some(start..end)
}

/// Returns what stands behind the first comma on the line of an associated type.
fn further_conformances(text: &str, start: usize) -> Option<std::ops::Range<usize>> {
    let line = text[start..].split(['\n', '\r']).next().unwrap_or_default();
    let colon = line.find(':')?;
    let comma = colon + line[colon..].find(',')?;
    let further = line[comma..].trim_end();
    let plain = |c: char| c.is_alphanumeric() || matches!(c, '_' | '.' | ',' | ' ');
    (!line.contains("where") && further.chars().all(plain))
        .then(|| start + comma..start + comma + further.len())
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
    let has_arguments = rest[..end].ends_with(')');
    let goes_on = |c: char| c.is_alphabetic() || matches!(c, '_' | '@') || (c == '(' && has_arguments);
    follows.starts_with(goes_on).then(|| start..start + 1 + end)
}
