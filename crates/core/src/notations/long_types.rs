//! Types behind a tag that go on in the lines below it: `@param {{`, `load: number`, `}} crate what to weigh`.

use super::Lines;
use crate::model::Dialect;
use crate::text::Span;

/// A type that ends on a line below the one it opens on.
pub(super) struct LongType<'s> {
    /// The type, from its first sign to its last, without the braces around it.
    pub(super) ty: Span,
    /// The line it ends on.
    pub(super) row: usize,
    /// What stands behind it on that line.
    pub(super) behind: &'s str,
}

/// Reads a type that begins a text and ends below its line; `rows` are the text's line and the one that the tag's text
/// surely ends before. Nothing where it ends on its line, or nowhere.
pub(super) fn long_type<'s>(
    lines: &Lines<'s>,
    text: &'s str,
    (row, upto): (usize, usize),
) -> Option<LongType<'s>> {
    let in_braces = lines.dialect().is_script();
    let opens = if in_braces {
        text.starts_with('{') && !text.starts_with("{@")
    } else {
        let begins = |c: char| c.is_alphabetic() || matches!(c, '\\' | '?' | '(');
        lines.dialect() == Dialect::Php && text.starts_with(begins)
    };
    if !opens || !text.contains(['{', '<', '(', '[']) {
        return None;
    }
    let mut brackets = Brackets { depth: 0, last: ' ', in_braces };
    for at in row..upto.min(lines.len()) {
        let line = if at == row { text } else { lines.text(at) };
        // A brace that was never closed is no reason to pass over what stands below.
        if at > row && opens_with_tag(line) {
            return None;
        }
        let Some(end) = brackets.end_in(line) else {
            if at == row && brackets.depth <= 0 {
                return None;
            }
            continue;
        };
        if at == row {
            return None;
        }
        let (start, stop) = (lines.span_of(text).start, lines.span_of(&line[..end]).end);
        let ty = if in_braces { Span::new(start + 1, stop - 1) } else { Span::new(start, stop) };
        return Some(LongType { ty, row: at, behind: &line[end..] });
    }
    None
}

/// Tells whether a line opens with a tag: behind a key of a type, which may look like one, stands a colon.
fn opens_with_tag(line: &str) -> bool {
    let Some(rest) = line.trim_start().strip_prefix('@') else { return false };
    let behind = rest.trim_start_matches(|c: char| c.is_alphanumeric() || matches!(c, '_' | '-'));
    behind.len() < rest.len() && !behind.starts_with([':', '?'])
}

/// How deep a text stands in brackets.
struct Brackets {
    depth: i32,
    last: char,
    in_braces: bool,
}

impl Brackets {
    /// Returns where the type ends in a line: behind the brace that closes the first, or, without braces around it, at
    /// the first blank outside of brackets.
    fn end_in(&mut self, line: &str) -> Option<usize> {
        for (at, c) in line.char_indices() {
            match c {
                '{' | '<' | '(' | '[' => self.depth += 1,
                // `() => number`
                '>' if matches!(self.last, '=' | '-') => {}
                '}' | '>' | ')' | ']' => self.depth -= 1,
                _ => {}
            }
            let ends = if self.in_braces {
                self.depth == 0 && c == '}'
            } else {
                self.depth <= 0 && c.is_whitespace() && !matches!(self.last, ':' | '|' | ' ')
            };
            if ends {
                return Some(if self.in_braces { at + c.len_utf8() } else { at });
            }
            self.last = c;
        }
        let whole = !self.in_braces && self.depth <= 0 && !matches!(self.last, ':' | '|');
        (whole && !line.trim().is_empty()).then_some(line.len())
    }
}

#[cfg(test)]
mod tests {
    use super::long_type;
    use crate::model::Dialect;
    use crate::notations::Lines;
    use crate::text::{Source, Span};

    fn read(text: &str, dialect: Dialect) -> Option<(String, String)> {
        let source = Source::new("depot", text);
        let mut spans = Vec::new();
        let mut at = 0;
        for line in text.split('\n') {
            spans.push(Span::of(at, at + line.len()));
            at += line.len() + 1;
        }
        let lines = Lines::new(&source, &spans, dialect);
        let found = long_type(&lines, lines.text(0), (0, lines.len()))?;
        Some((source.slice(found.ty).to_owned(), found.behind.to_owned()))
    }

    #[test]
    fn a_type_goes_on_below_its_line() {
        let both = |ty: &str, behind: &str| Some((ty.to_owned(), behind.to_owned()));
        let script = |text: &str| read(text, Dialect::JavaScript);
        assert_eq!(
            script("{{\n load: () => number\n}} crate what"),
            both("{\n load: () => number\n}", " crate what")
        );
        assert_eq!(script("{number} load"), None);
        assert_eq!(script("{number load\nwhat"), None);
        assert_eq!(script("{@link Crate\n} load"), None);
        assert_eq!(script("{number load\n@param {number} unit\n}"), None);
        let php = |text: &str| read(text, Dialect::Php);
        assert_eq!(php("array{\n a: int,\n} $load what"), both("array{\n a: int,\n}", " $load what"));
        assert_eq!(php("array<string,\n int>"), both("array<string,\n int>", ""));
        assert_eq!(php("array{\n @unit?: int\n} $load"), both("array{\n @unit?: int\n}", " $load"));
        assert_eq!(php("callable(\n int\n): bool $weigh"), both("callable(\n int\n): bool", " $weigh"));
        assert_eq!(php("int $load (kg\n)"), None);
    }
}
