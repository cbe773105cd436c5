//! What unsafe code says through pointers and the grammar cannot read: `*(int*)p`, `*p++ = 1;` (ECMA-334, 24.6.2).

use std::ops::Range;

/// Finds the stars that ask for what a pointer in brackets points at, and the statements that begin with one. None of them
/// says what a caller learns of.
pub(super) fn dereferences(text: &str) -> Vec<Range<usize>> {
    let bytes = text.as_bytes();
    let mut out: Vec<Range<usize>> = Vec::new();
    for at in memchr::memchr_iter(b'*', bytes) {
        if out.last().is_some_and(|last| at < last.end) {
            continue;
        }
        let behind = text[at + 1..].trim_start_matches(' ').bytes().next().unwrap_or(b'\n');
        let before = text[..at].trim_end();
        match before.bytes().next_back() {
            // A statement goes on to its end, where that is on its line.
            Some(b';' | b'{' | b'}') if behind == b'(' || behind == b'*' || is_of_name(behind) => {
                let end = text[at..].find([';', '{', '}', '\n']).map(|end| at + end);
                out.extend(end.filter(|&end| bytes[end] == b';').map(|end| at..end));
            }
            Some(sign) if behind == b'(' && (b"=(,&|+-!<>?:[~^%".contains(&sign) || leads(before)) => {
                out.push(at..at + 1);
            }
            _ => {}
        }
    }
    out
}

fn is_of_name(byte: u8) -> bool {
    byte.is_ascii_alphanumeric() || byte == b'_'
}

/// Tells whether a text ends with a word that a value follows.
fn leads(text: &str) -> bool {
    ["return", "ref", "in", "case", "else"].iter().any(|word| {
        text.strip_suffix(word).is_some_and(|rest| !rest.bytes().next_back().is_some_and(is_of_name))
    })
}

#[cfg(test)]
mod tests {
    use super::dereferences;

    #[test]
    fn a_product_is_no_dereference() {
        let found = |text: &str| -> Vec<String> {
            dereferences(text).into_iter().map(|range| text[range].to_owned()).collect()
        };
        assert_eq!(found("int i = *(int*)p;"), ["*"]);
        assert_eq!(found("{ *(int*)p = 3; x(); }"), ["*(int*)p = 3"]);
        assert_eq!(found("; *p++ = 1; return *(int*)p == 3;"), ["*p++ = 1", "*"]);
        assert!(found("int i = a * (b + c); int* q = (int*)p; byte b = *p;").is_empty());
    }
}
