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
            _ if is_assignment(text, at) => {
                let end = text[at..].find(';').map_or(at, |end| at + end);
                out.push(at..end);
            }
            // No product is assigned to: `if (x) *(p++) = 1;`.
            Some(sign)
                if behind == b'('
                    && (sign == b')' || before.ends_with("else"))
                    && is_assigned(&text[at + 1..]) =>
            {
                let end = text[at..].find([';', '\n']).map_or(at, |end| at + end);
                out.push(at..end);
            }
            Some(b'(') if text[at + 1..].starts_with("--") || text[at + 1..].starts_with("++") => {
                out.push(at..at + 1);
            }
            // Nor is an object multiplied: `(T)(object)*(p + 1)`.
            Some(b')') if behind == b'(' && before.ends_with("(object)") => out.push(at..at + 1),
            Some(sign) if behind == b'(' && (b"=(,&|+-!<>?:[~^%".contains(&sign) || leads(before)) => {
                out.push(at..at + 1);
            }
            _ => {}
        }
    }
    out
}

/// Tells whether what stands in brackets at the beginning of a text is assigned to.
fn is_assigned(text: &str) -> bool {
    let inner = text.trim_start_matches(' ').strip_prefix('(').and_then(|inner| inner.split_once(')'));
    inner.is_some_and(|(inside, behind)| {
        !inside.contains(['(', '\n']) && behind.trim_start_matches(' ').starts_with("= ")
    })
}

/// Tells whether a line that a star begins assigns to what it points at, `*(p++) = 1;`, which no product does.
fn is_assignment(text: &str, at: usize) -> bool {
    let before = text[..at].trim_end_matches([' ', '\t']);
    let points = |c: char| c.is_alphabetic() || matches!(c, '(' | '*' | '_');
    if !(before.is_empty() || before.ends_with('\n')) || !text[at + 1..].starts_with(points) {
        return false;
    }
    let end = text[at..].find([';', '\n']).map(|end| at + end).filter(|&end| text[end..].starts_with(';'));
    end.is_some_and(|end| text[at..end].contains("= "))
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
        assert_eq!(found("if (x) // it\n  *(p++) = (byte)(i >> 8); // there"), ["*(p++) = (byte)(i >> 8)"]);
        assert_eq!(found("if (x > 3) *(p++) = 1; if (*--p == 2) y();"), ["*(p++) = 1", "*"]);
        assert!(found("int i = a\n  * (b + c);").is_empty());
        assert!(found("int i = a * (b + c); int* q = (int*)p; byte b = *p;").is_empty());
    }
}
