//! A range of bytes in one source. Never a line: lines come from `LineIndex` at the outer edge.

/// A half-open range of byte offsets into one source, at most 4 GiB long.
#[derive(
    Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Default, serde::Serialize, serde::Deserialize,
)]
pub struct Span {
    /// Offset of the first byte.
    pub start: u32,
    /// Offset behind the last byte.
    pub end: u32,
}

impl Span {
    /// Makes the span from `start` up to, but not including, `end`.
    #[must_use]
    pub const fn new(start: u32, end: u32) -> Self {
        Self { start, end }
    }

    /// Makes a span of `usize` offsets, as slices and trees give them.
    ///
    /// Offsets past 4 GiB are cut to `u32::MAX`; sources that large are refused before they are read.
    #[must_use]
    pub fn of(start: usize, end: usize) -> Self {
        Self { start: narrow(start), end: narrow(end) }
    }

    /// Makes the empty span at `at`.
    #[must_use]
    pub const fn at(at: u32) -> Self {
        Self { start: at, end: at }
    }

    /// Returns the length in bytes.
    #[must_use]
    pub const fn len(self) -> u32 {
        self.end - self.start
    }

    /// Tells whether the span holds no byte.
    #[must_use]
    pub const fn is_empty(self) -> bool {
        self.start >= self.end
    }

    /// Tells whether `other` lies wholly inside this span.
    #[must_use]
    pub const fn contains(self, other: Self) -> bool {
        self.start <= other.start && other.end <= self.end
    }

    /// Returns the smallest span that holds both.
    #[must_use]
    pub fn cover(self, other: Self) -> Self {
        Self { start: self.start.min(other.start), end: self.end.max(other.end) }
    }

    /// Returns the range for slicing a string.
    #[must_use]
    pub const fn range(self) -> std::ops::Range<usize> {
        self.start as usize..self.end as usize
    }
}

/// Narrows an offset, or a count of things that each take a byte at least; what is past 4 GiB is cut.
#[must_use]
pub(crate) fn narrow(at: usize) -> u32 {
    u32::try_from(at).unwrap_or(u32::MAX)
}
