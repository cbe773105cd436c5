//! The lexemes of C and C++: enough to find heads of declarations before there is a tree.

use std::ops::Range;

/// The sort of a lexeme.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) enum Sort {
    /// An identifier or keyword.
    Word,
    /// A number.
    Number,
    /// A string or character.
    Text,
    /// One byte of punctuation, or what stands for [`AT_LEAST`].
    Sign(u8),
    /// A preprocessor line with its continuations.
    Directive,
    /// A comment.
    Comment,
}

/// The sign that stands for `>=`, which closes no angle brackets.
pub(super) const AT_LEAST: u8 = 0x01;

/// One lexeme.
#[derive(Clone, Copy, Debug)]
pub(super) struct Lexeme {
    pub(super) sort: Sort,
    pub(super) start: usize,
    pub(super) end: usize,
}

impl Lexeme {
    pub(super) fn range(&self) -> Range<usize> {
        self.start..self.end
    }

    pub(super) fn is(&self, sign: u8) -> bool {
        self.sort == Sort::Sign(sign)
    }
}

/// Splits a text into lexemes (ISO C 5.1.1.2 and C++ [lex]); what is broken ends with its line.
pub(super) fn lex(text: &str) -> Vec<Lexeme> {
    let bytes = text.as_bytes();
    let mut out = Vec::with_capacity(bytes.len() / 4);
    let mut at = 0;
    let mut line_begins = true;
    while let Some(&byte) = bytes.get(at) {
        let start = at;
        let sort = match byte {
            b'\n' => {
                line_begins = true;
                at += 1;
                continue;
            }
            b'\\' if matches!(bytes.get(at + 1), None | Some(b'\n' | b'\r')) => {
                at += 1;
                continue;
            }
            b' ' | b'\t' | b'\r' | 0x0b | 0x0c => {
                at += 1;
                continue;
            }
            b'#' if line_begins => {
                at = directive_end(bytes, at);
                Sort::Directive
            }
            b'/' if bytes.get(at + 1) == Some(&b'/') => {
                at = line_end(bytes, at);
                Sort::Comment
            }
            b'/' if bytes.get(at + 1) == Some(&b'*') => {
                at =
                    memchr::memmem::find(&bytes[at + 2..], b"*/").map_or(bytes.len(), |end| at + 2 + end + 2);
                Sort::Comment
            }
            b'"' | b'\'' => {
                at = text_end(bytes, at);
                Sort::Text
            }
            b'0'..=b'9' => {
                at += 1;
                while bytes
                    .get(at)
                    .is_some_and(|b| b.is_ascii_alphanumeric() || matches!(b, b'.' | b'_' | b'\''))
                {
                    at += 1;
                }
                Sort::Number
            }
            b'>' if bytes.get(at + 1) == Some(&b'=') => {
                at += 2;
                Sort::Sign(AT_LEAST)
            }
            _ if is_word(byte) => {
                at += 1;
                while bytes.get(at).is_some_and(|&b| is_word(b) || b.is_ascii_digit()) {
                    at += 1;
                }
                if bytes.get(at) == Some(&b'"')
                    && matches!(&bytes[start..at], b"R" | b"u8R" | b"uR" | b"UR" | b"LR")
                {
                    at = raw_end(bytes, at);
                    Sort::Text
                } else {
                    Sort::Word
                }
            }
            _ => {
                at += 1;
                Sort::Sign(byte)
            }
        };
        if sort != Sort::Comment {
            line_begins = false;
        }
        out.push(Lexeme { sort, start, end: at });
    }
    out
}

/// Returns the index of what closes the parenthesis at `open`.
pub(super) fn closing(code: &[Lexeme], open: usize) -> Option<usize> {
    let mut depth = 0_usize;
    (open..code.len()).find(|&at| {
        match code[at].sort {
            Sort::Sign(b'(') => depth += 1,
            Sort::Sign(b')') => depth = depth.saturating_sub(1),
            _ => {}
        }
        depth == 0
    })
}

fn is_word(byte: u8) -> bool {
    byte.is_ascii_alphabetic() || matches!(byte, b'_' | b'$') || byte >= 0x80
}

fn line_end(bytes: &[u8], at: usize) -> usize {
    let mut at = at;
    loop {
        let Some(end) = memchr::memchr(b'\n', &bytes[at..]).map(|end| at + end) else { return bytes.len() };
        let before = bytes[..end].strip_suffix(b"\r").unwrap_or(&bytes[..end]);
        if !before.ends_with(b"\\") {
            return end;
        }
        at = end + 1;
    }
}

/// A directive ends with its line, but a comment in it may go on over lines.
fn directive_end(bytes: &[u8], start: usize) -> usize {
    let mut at = start;
    loop {
        let end = line_end(bytes, at);
        let line = &bytes[at..end];
        let Some(open) = memchr::memmem::find(line, b"/*") else { return end };
        if memchr::memmem::find(&line[..open], b"//").is_some() {
            return end;
        }
        let inside = at + open + 2;
        // The comment itself stays a comment when it opens a line of its own behind the directive.
        let Some(close) = memchr::memmem::find(&bytes[inside..], b"*/") else { return end };
        if inside + close < end {
            at = inside + close + 2;
            continue;
        }
        return at + open;
    }
}

fn text_end(bytes: &[u8], start: usize) -> usize {
    let quote = bytes[start];
    let mut at = start + 1;
    while let Some(&byte) = bytes.get(at) {
        match byte {
            b'\\' => at += 2,
            b'\n' => return at,
            _ if byte == quote => return at + 1,
            _ => at += 1,
        }
    }
    bytes.len()
}

fn raw_end(bytes: &[u8], quote: usize) -> usize {
    let Some(open) = memchr::memchr(b'(', &bytes[quote..]).filter(|open| *open < 18) else {
        return text_end(bytes, quote);
    };
    let mut close = vec![b')'];
    close.extend_from_slice(&bytes[quote + 1..quote + open]);
    close.push(b'"');
    let inner = quote + open;
    memchr::memmem::find(&bytes[inner..], &close).map_or(bytes.len(), |end| inner + end + close.len())
}

#[cfg(test)]
mod tests {
    use super::*;

    fn texts(text: &str) -> Vec<&str> {
        lex(text).iter().map(|lexeme| &text[lexeme.range()]).collect()
    }

    #[test]
    fn strings_directives_and_comments_are_one_lexeme_each() {
        assert_eq!(
            texts("#if A \\\n B\nint f(\"a\\\"b\", '\\'');/* x\n */ // y\n"),
            ["#if A \\\n B", "int", "f", "(", "\"a\\\"b\"", ",", "'\\''", ")", ";", "/* x\n */", "// y"]
        );
        assert_eq!(texts("R\"x(a\")x\" b"), ["R\"x(a\")x\"", "b"]);
        assert_eq!(texts("#define A 1 /* one */ + 2\nb"), ["#define A 1 /* one */ + 2", "b"]);
    }
}
