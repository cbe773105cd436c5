//! What lexical passes over JavaScript and TypeScript must know: where words, comments and regular expressions end.

use crate::languages::shared::literals;

/// Words behind which a slash begins a regular expression.
const BEFORE_REGEX: &[&str] = &[
    "return", "typeof", "case", "in", "of", "delete", "void", "throw", "new", "instanceof", "else", "do",
    "yield", "await",
];

/// Returns the offset behind the comment, the regular expression or the division that a slash begins; nothing when it
/// does not end.
pub(super) fn behind_slash(text: &str, slash: usize) -> Option<usize> {
    let bytes = text.as_bytes();
    match bytes.get(slash + 1) {
        Some(b'/') => {
            let end = memchr::memchr(b'\n', &bytes[slash..]);
            Some(end.map_or(bytes.len(), |end| slash + end))
        }
        Some(b'*') => {
            let end = memchr::memmem::find(&bytes[slash + 2..], b"*/")?;
            Some(slash + 2 + end + 2)
        }
        _ if begins_regex(text, slash) => behind_regex(bytes, slash),
        _ => Some(slash + 1),
    }
}

/// Tells a regular expression from a division by what stands before it.
fn begins_regex(text: &str, slash: usize) -> bool {
    let before = text[..slash].trim_end();
    match before.bytes().next_back() {
        None => true,
        Some(b')' | b']' | b'}') => false,
        Some(byte) if is_word(byte) => BEFORE_REGEX.contains(&last_word(before)),
        Some(_) => true,
    }
}

/// Returns the offset behind what a bracket at `open` encloses, literals and comments passed over; nothing when it does
/// not end. Of `<`, `>` closes it but in an arrow.
pub(super) fn behind_pair(text: &str, open: usize) -> Option<usize> {
    let bytes = text.as_bytes();
    let mut closing = Vec::new();
    let mut at = open;
    loop {
        let byte = *bytes.get(at)?;
        match byte {
            b'/' => {
                at = behind_slash(text, at)?;
                continue;
            }
            b'"' | b'\'' | b'`' => {
                at = literals::script(text, at, 0)?;
                continue;
            }
            b'(' => closing.push(b')'),
            b'[' => closing.push(b']'),
            b'{' => closing.push(b'}'),
            b'<' => closing.push(b'>'),
            b'>' if bytes[..at].ends_with(b"=") => {}
            b')' | b']' | b'}' | b'>' => {
                if closing.pop()? != byte {
                    return None;
                }
                if closing.is_empty() {
                    return Some(at + 1);
                }
            }
            _ => {}
        }
        at += 1;
    }
}

/// Tells whether a byte is one of a name.
pub(super) const fn is_word(byte: u8) -> bool {
    byte.is_ascii_alphanumeric() || matches!(byte, b'_' | b'$') || byte >= 0x80
}

/// Returns the word that a text ends with.
pub(super) fn last_word(text: &str) -> &str {
    let start = text.bytes().rposition(|byte| !is_word(byte)).map_or(0, |found| found + 1);
    &text[start..]
}

/// Returns the word that a text begins with.
pub(super) fn first_word(text: &str) -> &str {
    &text[..text.bytes().position(|byte| !is_word(byte)).unwrap_or(text.len())]
}

/// Returns the word that follows an offset, white space and comments set aside; empty when it is none.
pub(super) fn next_word(text: &str, mut at: usize) -> &str {
    loop {
        let rest = text[at..].trim_start();
        if !rest.starts_with("//") && !rest.starts_with("/*") {
            return first_word(rest);
        }
        let Some(end) = behind_slash(text, text.len() - rest.len()) else { return "" };
        at = end;
    }
}

/// Returns the offset behind a regular expression (ECMA-262, "Regular Expression Literals"); nothing when it does not
/// end on its line.
fn behind_regex(bytes: &[u8], open: usize) -> Option<usize> {
    let mut at = open + 1;
    let mut in_set = false;
    loop {
        match *bytes.get(at)? {
            b'\\' => at += 1,
            b'\n' => return None,
            b'[' => in_set = true,
            b']' => in_set = false,
            b'/' if !in_set => return Some(at + 1),
            _ => {}
        }
        at += 1;
    }
}
