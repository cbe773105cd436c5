//! Lines and columns of a text: the only place that derives them from byte offsets.

use super::Span;
use super::span::narrow;

/// Where the lines of a text begin.
#[derive(Clone, Debug)]
pub struct LineIndex {
    starts: Vec<u32>,
}

/// A place as people name it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub struct Position {
    /// Line, from 1.
    pub line: u32,
    /// Column in Unicode scalar values, from 1.
    pub column: u32,
}

impl LineIndex {
    /// Indexes `text`. A line ends with a line feed; a carriage return before it belongs to the line.
    #[must_use]
    pub fn new(text: &str) -> Self {
        let mut starts = vec![0];
        starts.extend(memchr::memchr_iter(b'\n', text.as_bytes()).map(|at| Span::of(at + 1, at + 1).start));
        Self { starts }
    }

    /// Returns the line, from 1, that holds the byte at `offset`.
    #[must_use]
    pub fn line(&self, offset: u32) -> u32 {
        let lines = self.starts.partition_point(|&start| start <= offset);
        narrow(lines)
    }

    /// Returns the number of lines; a text that ends in a line feed has an empty last one.
    #[must_use]
    pub fn count(&self) -> u32 {
        narrow(self.starts.len())
    }

    /// Returns the offset at which `line` (from 1) begins, or nothing past the end.
    #[must_use]
    pub fn start(&self, line: u32) -> Option<u32> {
        self.starts.get(line.checked_sub(1)? as usize).copied()
    }

    /// Returns line and column of the byte at `offset` in `text`, the text that was indexed.
    #[must_use]
    pub fn position(&self, text: &str, offset: u32) -> Position {
        let line = self.line(offset);
        let start = self.starts[line as usize - 1] as usize;
        let end = (offset as usize).min(text.len());
        let column = text.get(start..end).map_or(0, |before| before.chars().count());
        Position { line, column: narrow(column + 1) }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn columns_count_scalar_values() {
        let text = "a\nпять x\r\n";
        let index = LineIndex::new(text);
        let at = u32::try_from(text.find('x').unwrap()).unwrap();
        assert_eq!(index.position(text, at), Position { line: 2, column: 6 });
        assert_eq!(index.count(), 3);
        assert_eq!(index.start(2), Some(2));
        assert_eq!(index.start(9), None);
    }
}
