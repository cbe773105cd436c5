//! What the grammar is given of a source: a step of its own between text and tree.
//!
//! What a grammar cannot read is blanked at equal byte length, so that every position stays true; what
//! it need not read is left out through included ranges.

use std::borrow::Cow;

use tree_sitter::{InputEdit, Point, Range};

use crate::text::{Source, Span, narrow};

/// As far apart differences between two texts are taken for one, in bytes.
const NEAR: usize = 64;

/// How many gaps between its ranges the parser library is handed at most.
const MOST_GAPS: usize = 64;

/// The text and ranges that a grammar is given.
#[derive(Clone, Debug, Default)]
pub struct Given<'s> {
    text: Cow<'s, str>,
    ranges: Vec<Range>,
    calls: Vec<u32>,
    runs: Vec<Span>,
    ended: bool,
}

impl<'s> Given<'s> {
    /// Gives all of `text` as it stands.
    #[must_use]
    pub fn all(text: &'s str) -> Self {
        Self { text: Cow::Borrowed(text), ..Self::default() }
    }

    /// Gives another text of equal length in bytes.
    #[must_use]
    pub fn replaced(text: String) -> Self {
        Self { text: Cow::Owned(text), ..Self::default() }
    }

    /// Gives only some ranges of `text`. `calls` are the offsets, sorted, of the braces of bodies that were
    /// left out and in which something was called.
    #[must_use]
    pub fn in_ranges(text: &'s str, ranges: Vec<Range>, calls: Vec<u32>) -> Self {
        Self { text: Cow::Borrowed(text), ranges, calls, ..Self::default() }
    }

    /// Returns this text with parts left out: `ranges` stay, none means all; for `calls` see
    /// [`Given::in_ranges`].
    #[must_use]
    pub fn leaving_out(self, ranges: Vec<Range>, calls: Vec<u32>) -> Self {
        Self { ranges, calls, ..self }
    }

    /// Returns this text, of which lines of comments are left out that go on from a line before: `runs` of whole lines,
    /// sorted.
    #[must_use]
    pub fn without_lines(self, runs: Vec<Span>) -> Self {
        Self { runs, ..self }
    }

    /// Returns this text with the same parts left out as `other`, of the same source, leaves out.
    #[must_use]
    pub fn leaving_out_as(self, other: &Given<'_>) -> Self {
        let Given { ranges, calls, runs, .. } = other.clone();
        Self { ranges, calls, runs, ..self }
    }

    /// Returns this text, handed on with a line break behind it where it ends without one.
    #[must_use]
    pub fn with_line_end(self) -> Self {
        Self { ended: !self.text.ends_with('\n'), ..self }
    }

    /// Returns this text with nothing left out.
    #[must_use]
    pub fn with_all(&self) -> Self {
        Self { text: self.text.clone(), ..Self::default() }
    }

    /// Returns the runs of whole lines of comments that were left out behind their first line, sorted.
    #[must_use]
    pub fn runs(&self) -> &[Span] {
        &self.runs
    }

    /// Takes the braces of bodies that were left out and in which something was called.
    #[must_use]
    pub fn into_calls(self) -> Vec<u32> {
        self.calls
    }

    /// Returns the text, as long in bytes as the source's.
    #[must_use]
    pub fn text(&self) -> &str {
        &self.text
    }

    /// Returns the text where it differs from the source's.
    #[must_use]
    pub fn masked(&self) -> Option<&str> {
        match &self.text {
            Cow::Owned(text) => Some(text),
            Cow::Borrowed(_) => None,
        }
    }

    /// Returns the ranges to be read; none means all.
    #[must_use]
    pub fn ranges(&self) -> &[Range] {
        &self.ranges
    }

    /// Returns what is given, one range behind the other.
    #[cfg(test)]
    pub(crate) fn shown(&self) -> String {
        match &self.ranges[..] {
            [] => self.text.to_string(),
            ranges => ranges.iter().map(|range| &self.text[range.start_byte..range.end_byte]).collect(),
        }
    }

    /// Returns what the parser library is handed: this text, and not more ranges than it copes with.
    ///
    /// The library looks through the ranges in order at every token, so that thousands of them would make its
    /// cost grow with the square of a file. The widest gaps stay; the others are blanked, which reads the same.
    #[must_use]
    pub fn handed(&self) -> (Cow<'_, str>, Cow<'_, [Range]>) {
        let (text, mut ranges) = self.handed_as_it_ends();
        if !self.ended {
            return (text, ranges);
        }
        let length = text.len();
        if let Some(last) = ranges.to_mut().last_mut().filter(|last| last.end_byte == length) {
            last.end_byte += 1;
        }
        (Cow::Owned(text.into_owned() + "\n"), ranges)
    }

    fn handed_as_it_ends(&self) -> (Cow<'_, str>, Cow<'_, [Range]>) {
        if self.ranges.len() <= MOST_GAPS + 1 {
            return (Cow::Borrowed(self.text()), Cow::Borrowed(&self.ranges));
        }
        let width = |at: usize| self.ranges[at + 1].start_byte - self.ranges[at].end_byte;
        let mut widest: Vec<usize> = (0..self.ranges.len() - 1).collect();
        widest.select_nth_unstable_by_key(MOST_GAPS, |&at| std::cmp::Reverse(width(at)));
        let mut kept = vec![false; self.ranges.len()];
        for &at in &widest[..MOST_GAPS] {
            kept[at] = true;
        }
        let mut blanks = Vec::with_capacity(self.ranges.len() - MOST_GAPS);
        let mut ranges: Vec<Range> = Vec::with_capacity(MOST_GAPS + 1);
        for (at, range) in self.ranges.iter().enumerate() {
            match ranges.last_mut() {
                Some(last) if !kept[at - 1] => {
                    blanks.push(last.end_byte..range.start_byte);
                    (last.end_byte, last.end_point) = (range.end_byte, range.end_point);
                }
                _ => ranges.push(*range),
            }
        }
        (Given::with_blanks(&self.text, &blanks).text, Cow::Owned(ranges))
    }

    /// Returns the lines of `text`, without white space around them, that were changed by blanking.
    pub fn hidden<'t>(&'t self, text: &'t str) -> impl Iterator<Item = Span> + 't {
        let masked = matches!(self.text, Cow::Owned(_));
        let mut at = 0;
        let lines = text.split_inclusive('\n').filter(move |_| masked).map(move |line| {
            at += line.len();
            (at - line.len(), line)
        });
        lines.filter_map(move |(start, line)| {
            let bare = line.trim();
            let from = start + (line.len() - line.trim_start().len());
            let differs = self.text.get(start..start + line.len()) != Some(line);
            (differs && !bare.is_empty()).then(|| Span::of(from, from + bare.len()))
        })
    }

    /// Gives `text` with byte ranges blanked; line ends and all byte positions stay.
    #[must_use]
    pub fn with_blanks(text: &'s str, blanks: &[std::ops::Range<usize>]) -> Self {
        let mut bytes = text.as_bytes().to_vec();
        for range in blanks {
            for byte in bytes.iter_mut().take(range.end).skip(range.start) {
                if !matches!(*byte, b'\n' | b'\r') {
                    *byte = b' ';
                }
            }
        }
        // A range that splits a character leaves part of it behind, which is replaced at equal length.
        let text = String::from_utf8(bytes).unwrap_or_else(|bad| {
            bad.into_bytes().into_iter().map(|b| if b.is_ascii() { b as char } else { ' ' }).collect()
        });
        Self { text: Cow::Owned(text), ..Self::default() }
    }
}

/// Turns offsets that only grow into rows and columns, as the parser wants them.
pub(crate) struct Places<'s> {
    bytes: &'s [u8],
    at: usize,
    row: usize,
    line: usize,
}

impl<'s> Places<'s> {
    /// Begins at the beginning of a text.
    pub(crate) fn of(text: &'s str) -> Self {
        Self { bytes: text.as_bytes(), at: 0, row: 0, line: 0 }
    }

    /// Returns the row and column of an offset, none of which comes before the last one asked for.
    pub(crate) fn point(&mut self, offset: usize) -> Point {
        for newline in memchr::memchr_iter(b'\n', &self.bytes[self.at..offset]) {
            self.row += 1;
            self.line = self.at + newline + 1;
        }
        self.at = offset;
        Point { row: self.row, column: offset - self.line }
    }

    /// Returns a range with the rows and columns of its ends.
    pub(crate) fn range(&mut self, start: usize, end: usize) -> Range {
        Range { start_byte: start, end_byte: end, start_point: self.point(start), end_point: self.point(end) }
    }
}

/// Returns how a text of equal length came out of another.
pub(super) fn changes(before: &str, after: &str) -> Vec<InputEdit> {
    let mut ranges: Vec<std::ops::Range<usize>> = Vec::new();
    let pairs = before.as_bytes().chunks(NEAR).zip(after.as_bytes().chunks(NEAR)).enumerate();
    for (at, _) in pairs.filter(|(_, (before, after))| before != after) {
        let (start, end) = (at * NEAR, ((at + 1) * NEAR).min(before.len()));
        match ranges.last_mut() {
            Some(last) if last.end == start => last.end = end,
            _ => ranges.push(start..end),
        }
    }
    let mut places = Places::of(before);
    let edits = ranges.into_iter().map(|range| {
        let range = places.range(range.start, range.end);
        InputEdit {
            start_byte: range.start_byte,
            old_end_byte: range.end_byte,
            new_end_byte: range.end_byte,
            start_position: range.start_point,
            old_end_position: range.end_point,
            new_end_position: range.end_point,
        }
    });
    edits.collect()
}

/// Returns where a declaration begins whose first words the grammar was not `given`, what is left of it starting at
/// `start`: an attribute in front belongs to it. A preprocessor line does not, nor does what an empty line parts from it
/// or what is called something like a beginning.
pub(super) fn begin_of(source: &Source, given: Option<&str>, start: u32) -> u32 {
    let Some(given) = given.and_then(|given| given.get(..start as usize)) else { return start };
    let text = source.text();
    // What was written over part of a character ends inside it.
    let ends = |at: &usize| text.is_char_boundary(*at);
    let before = (given.trim_end().len()..=start as usize).find(ends).unwrap_or(start as usize);
    let gap = &text[before..start as usize];
    if gap.trim().is_empty() {
        return start;
    }
    let mut at = before;
    let mut first = None;
    // What is left of a preprocessor line is that line's.
    let rest = text[source.line_start(before)..].split('\n').next().unwrap_or_default().trim();
    let mut in_directive = rest.starts_with('#');
    let mut continued = false;
    // A marker between a comment and what that describes is read over by everyone.
    let mut described = text[..before].ends_with("*/");
    for line in gap.split_inclusive('\n') {
        let bare = line.trim();
        if continued || in_directive || bare.starts_with('#') {
            let whole = if std::mem::take(&mut in_directive) { rest } else { bare };
            continued = whole.ends_with('\\');
            first = None;
        } else if stands_alone(bare) && line.ends_with('\n') && !(described && is_marker(bare)) {
            // The rest of the comment's own line parts nothing.
            described &= bare.is_empty() && at == before;
            first = None;
        } else if first.is_none() && !bare.is_empty() {
            first = Some(at + (line.len() - line.trim_start().len()));
        }
        at += line.len();
    }
    first.map_or(start, narrow)
}

/// Tells whether a line is one word alone: a macro without arguments.
fn is_marker(line: &str) -> bool {
    !line.is_empty() && line.chars().all(|c| c.is_ascii_alphanumeric() || c == '_')
}

/// Tells whether a line that the grammar was not given belongs to nothing below it: an empty one, what ends or goes on
/// from the line before, what opens a block, or a macro that begins, ends or declares something itself.
fn stands_alone(line: &str) -> bool {
    let word = line.split(|c: char| !(c.is_ascii_alphanumeric() || c == '_')).next().unwrap_or_default();
    let own = ["BEGIN", "END", "DECLARE", "DEFINE", "PUSH", "POP"];
    line.is_empty()
        || line.starts_with([';', ','])
        || line.ends_with('{')
        || word.split('_').any(|part| own.contains(&part))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn blanking_keeps_length_and_lines() {
        let given = Given::with_blanks("int API\nfoö();", &[4..7, 7..10]);
        assert_eq!(given.text(), "int    \n  ö();");
    }

    #[test]
    fn changes_are_told_with_their_places() {
        let before = "void f();\n".repeat(40);
        assert!(changes(&before, &before).is_empty());
        let after = before.replacen("void f", "     f", 2);
        let far = format!("{}     f();\n", &after[..after.len() - 10]);
        let found: Vec<_> = changes(&before, &far)
            .iter()
            .map(|edit| (edit.start_byte, edit.start_position, edit.new_end_byte, edit.new_end_position))
            .collect();
        let at = |row, column| Point { row, column };
        assert_eq!(found, [(0, at(0, 0), 64, at(6, 4)), (384, at(38, 4), 400, at(40, 0))]);
    }

    #[test]
    fn of_many_gaps_the_narrow_ones_are_blanked() {
        let text = "f{ö1}".repeat(300) + "g{wide}";
        let at = |byte| Point { row: 0, column: byte };
        let range = |start, end| Range {
            start_byte: start,
            end_byte: end,
            start_point: at(start),
            end_point: at(end),
        };
        let open: Vec<_> = text.match_indices('{').map(|(found, _)| found + 1).collect();
        let close: Vec<_> = text.match_indices('}').map(|(found, _)| found).collect();
        let starts = std::iter::once(0).chain(close);
        let ranges = starts.zip(open.into_iter().chain([text.len()])).map(|(start, end)| range(start, end));
        let given = Given::in_ranges(&text, ranges.collect(), Vec::new());
        let (handed, ranges) = given.handed();
        assert_eq!((handed.len(), ranges.len()), (text.len(), MOST_GAPS + 1));
        let read: String = ranges.iter().map(|range| &handed[range.start_byte..range.end_byte]).collect();
        assert_eq!(read.replace(' ', ""), "f{}".repeat(300) + "g{}");
        assert!(read.ends_with("g{}"), "the widest gap stays");
    }
}
