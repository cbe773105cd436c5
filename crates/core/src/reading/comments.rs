//! Takes comments apart into lines of text, each a slice of the source.

use crate::text::Span;

/// Splits a block comment into the lines of its text.
///
/// `open` and `close` are the lengths of its marks in bytes. From the second line on, white space and
/// one run of asterisks are taken off where every line that says something has them; otherwise the lines
/// are kept with their indentation.
#[must_use]
pub fn block_lines(text: &str, span: Span, open: usize, close: usize) -> Vec<Span> {
    let whole = &text[span.range()];
    let end = whole.len().saturating_sub(close).max(open.min(whole.len()));
    // Of a comment that never ends, the last bytes are text.
    let end = if whole.is_char_boundary(end) { end } else { whole.len() };
    let inner = &whole[open.min(whole.len())..end];
    let base = span.start as usize + open.min(whole.len());
    let mut lines = Vec::new();
    let mut at = 0;
    for (number, line) in inner.split('\n').enumerate() {
        let start = base + at;
        let bare = line.trim_end_matches('\r');
        let skip = if number == 0 { 0 } else { star_run(bare) };
        lines.push(Span::of(start + skip, start + bare.len()));
        at += line.len() + 1;
    }
    // An ornament before the closing mark, as in `text **/`, is no text.
    if let Some(last) = lines.last_mut() {
        let slice = &text[last.range()];
        *last = Span::of(last.start as usize, last.start as usize + slice.trim_end_matches('*').len());
    }
    lines
}

/// Returns the length of white space and asterisks that open a line; 0 when there is no asterisk.
fn star_run(line: &str) -> usize {
    let indent = line.len() - line.trim_start().len();
    let stars = line[indent..].bytes().take_while(|&b| b == b'*').count();
    if stars == 0 { 0 } else { indent + stars }
}

/// Returns the text lines of a run of line comments in `span`, with `mark` taken off each.
#[must_use]
pub fn line_run_text(text: &str, span: Span, mark: &str) -> Vec<Span> {
    let mut at = span.start as usize;
    let mut lines = Vec::new();
    for line in text[span.range()].split('\n') {
        let bare = line.trim_end_matches('\r');
        lines.push(without_mark(bare, at, mark));
        at += line.len() + 1;
    }
    lines
}

/// Returns what follows `mark` in a line that begins at offset `at`.
#[must_use]
pub fn without_mark(line: &str, at: usize, mark: &str) -> Span {
    let indent = line.len() - line.trim_start().len();
    let skip = if line[indent..].starts_with(mark) { indent + mark.len() } else { indent };
    Span::of(at + skip, at + line.len())
}

/// What a comment's lines begin with before their text.
const FRAME: [char; 6] = [' ', '\t', '*', '/', '!', '<'];

/// Returns the commands that open lines of a comment as it stands in the source, each with the rest of its line. The
/// marks of a group (`@{`) count as commands.
pub(crate) fn commands_in(text: &str) -> impl Iterator<Item = (&str, &str)> {
    let signed = |line| str::strip_prefix(str::trim_start_matches(line, FRAME), ['@', '\\']);
    text.lines().filter_map(signed).map(|rest| {
        let end = rest.find(|c: char| !(c.is_ascii_alphanumeric() || c == '_')).unwrap_or(rest.len());
        let end = if end == 0 { usize::from(rest.starts_with(['{', '}'])) } else { end };
        rest.split_at(end)
    })
}

/// Tells whether a comment only says that what is left out begins or ends here: `/** @endcond */`.
pub(crate) fn leaves_out(text: &str) -> bool {
    let mut said = text.lines().filter(|line| !line.trim_matches(FRAME).is_empty());
    said.next().is_some()
        && said.next().is_none()
        && commands_in(text).any(|(word, _)| matches!(word, "cond" | "endcond"))
}

#[cfg(test)]
mod tests {
    use super::*;

    fn lines_of(text: &str) -> Vec<&str> {
        block_lines(text, Span::of(0, text.len()), 3, 2).into_iter().map(|line| &text[line.range()]).collect()
    }

    #[test]
    fn stars_are_taken_off_and_indentation_behind_them_kept() {
        assert_eq!(lines_of("/** One.\n   *   two\r\n   */"), [" One.", "   two", "   "]);
        assert_eq!(lines_of("/** One.\n    two **/"), [" One.", "    two "]);
        assert_eq!(lines_of("/***/"), [""]);
        assert_eq!(lines_of("/** One é∂𝄞"), [" One é∂𝄞"]);
    }

    #[test]
    fn line_marks_are_taken_off() {
        let text = "/// a\n  /// b";
        let lines = line_run_text(text, Span::of(0, text.len()), "///");
        assert_eq!(lines.iter().map(|l| &text[l.range()]).collect::<Vec<_>>(), [" a", " b"]);
    }
}
