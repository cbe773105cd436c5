//! Lines and columns of a text: the only place that derives them from byte offsets.

use super::Span;
use super::span::narrow;

/// Bytes of a block whose scalar values are counted at once.
const BLOCK: usize = 512;

/// Where the lines of a text begin.
#[derive(Clone, Debug)]
pub struct LineIndex {
    starts: Vec<u32>,
    /// How many scalar values stand before each block; counted only for texts with lines longer than a
    /// block, so that asking for a column in one costs no more than elsewhere.
    counted: Vec<u32>,
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
        let last = text.len() - starts.last().map_or(0, |&start| start as usize);
        let long = last > BLOCK || starts.windows(2).any(|pair| (pair[1] - pair[0]) as usize > BLOCK);
        let mut before = 0;
        let blocks = text.as_bytes().chunks(BLOCK).filter(|_| long);
        let counted = blocks.map(|block| {
            before += scalar_values(block);
            before - scalar_values(block)
        });
        Self { counted: counted.collect(), starts }
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
        let whole = text.is_char_boundary(end) && start <= end;
        let column = match whole {
            false => 0,
            true if end - start <= BLOCK || self.counted.is_empty() => {
                scalar_values(&text.as_bytes()[start..end])
            }
            true => self.before(text, end) - self.before(text, start),
        };
        Position { line, column: column + 1 }
    }

    /// Returns how many scalar values stand before an offset.
    fn before(&self, text: &str, offset: usize) -> u32 {
        let block = offset / BLOCK;
        let counted = self.counted.get(block).copied();
        // An offset at the very end may stand behind the last block.
        let (block, counted) = counted.map_or_else(
            || (block - 1, self.counted.last().copied().unwrap_or_default()),
            |counted| (block, counted),
        );
        counted + scalar_values(&text.as_bytes()[block * BLOCK..offset])
    }
}

/// Counts the scalar values that begin in some bytes of a text.
fn scalar_values(bytes: &[u8]) -> u32 {
    narrow(bytes.iter().filter(|&&byte| byte & 0xC0 != 0x80).count())
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

    #[test]
    fn columns_of_long_lines_are_counted_alike() {
        for unit in ["a", "aä", "пять x", "𝄞"] {
            let text = format!("first\n{}\nlast", unit.repeat(2 * BLOCK));
            let long = unit.repeat(4 * BLOCK);
            for text in [text.as_str(), long.as_str()] {
                let index = LineIndex::new(text);
                let (mut line, mut column) = (1, 1);
                for (at, c) in text.char_indices() {
                    assert_eq!(index.position(text, narrow(at)), Position { line, column });
                    (line, column) = if c == '\n' { (line + 1, 1) } else { (line, column + 1) };
                }
                assert_eq!(index.position(text, narrow(text.len())), Position { line, column });
            }
        }
    }
}
