//! The lines of a raw comment, looked at one by one.

use crate::model::Dialect;
use crate::text::{Source, Span};

/// Trims white space; most lines begin and end in ASCII, where bytes tell.
fn trim(line: &str) -> &str {
    let bare = line.trim_ascii();
    let is_ascii = |byte: Option<&u8>| byte.is_none_or(u8::is_ascii_graphic);
    let bytes = bare.as_bytes();
    if is_ascii(bytes.first()) && is_ascii(bytes.last()) { bare } else { line.trim() }
}

/// The text of a comment, line by line, without what carries it.
pub struct Lines<'s> {
    source: &'s Source,
    spans: &'s [Span],
    dialect: Dialect,
    /// Each line without white space around it: every notation asks for it, several times.
    trimmed: Vec<&'s str>,
}

impl<'s> Lines<'s> {
    /// Looks at lines of `source`, with entries spelt as `dialect` has them.
    #[must_use]
    pub fn new(source: &'s Source, spans: &'s [Span], dialect: Dialect) -> Self {
        let trimmed = spans.iter().map(|&span| trim(source.slice(span))).collect();
        Self { source, spans, dialect, trimmed }
    }

    /// Returns how entries are spelt.
    #[must_use]
    pub fn dialect(&self) -> Dialect {
        self.dialect
    }

    /// Returns the number of lines.
    #[must_use]
    pub fn len(&self) -> usize {
        self.spans.len()
    }

    /// Tells whether there is no line.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.spans.is_empty()
    }

    /// Returns the source.
    #[must_use]
    pub fn source(&self) -> &'s Source {
        self.source
    }

    /// Returns the spans of all lines.
    #[must_use]
    pub fn spans(&self) -> &'s [Span] {
        self.spans
    }

    /// Returns a line with its indentation; empty past the end.
    #[must_use]
    pub fn text(&self, at: usize) -> &'s str {
        self.spans.get(at).map_or("", |&span| self.source.slice(span))
    }

    /// Returns a line without white space around it.
    #[must_use]
    pub fn trimmed(&self, at: usize) -> &'s str {
        self.trimmed.get(at).copied().unwrap_or_default()
    }

    /// Returns the span of a line without white space around it.
    #[must_use]
    pub fn trimmed_span(&self, at: usize) -> Span {
        let text = self.text(at);
        let Some(span) = self.spans.get(at) else { return Span::default() };
        let lead = text.len() - text.trim_start().len();
        Span::of(span.start as usize + lead, span.start as usize + lead + text.trim().len())
    }

    /// Tells whether a line says nothing.
    #[must_use]
    pub fn is_blank(&self, at: usize) -> bool {
        self.trimmed(at).is_empty()
    }

    /// Returns the line behind the last that says something; of `from` at least.
    #[must_use]
    pub fn last_said(&self, from: usize, upto: usize) -> usize {
        (from..upto).rev().find(|&at| !self.is_blank(at)).map_or(from + 1, |at| at + 1)
    }

    /// Returns the indentation of a line in columns; a tab goes to the next multiple of eight.
    #[must_use]
    pub fn indent(&self, at: usize) -> usize {
        let mut columns = 0;
        for c in self.text(at).chars() {
            match c {
                ' ' => columns += 1,
                '\t' => columns += 8 - columns % 8,
                _ => break,
            }
        }
        columns
    }

    /// Returns the span of `part`, a piece of a line of this comment.
    ///
    /// # Panics
    /// When `part` is not a slice of the source's text.
    #[must_use]
    pub fn span_of(&self, part: &str) -> Span {
        let base = self.source.text().as_ptr() as usize;
        let start = part.as_ptr() as usize - base;
        Span::of(start, start + part.len())
    }

    /// Returns the span of the text in the lines from `from` up to `upto`, beginning at offset `start`:
    /// first to last word. None when there is none.
    #[must_use]
    pub fn text_span(&self, start: u32, from: usize, upto: usize) -> Option<Span> {
        let mut found: Option<Span> = None;
        for at in from..upto.min(self.len()) {
            let line = self.spans[at];
            let begin = line.start.max(start).min(line.end.max(start));
            if begin >= line.end {
                continue;
            }
            let text = self.source.slice(Span::new(begin, line.end));
            let bare = text.trim();
            if bare.is_empty() {
                continue;
            }
            let span = self.span_of(bare);
            found = Some(found.map_or(span, |before| before.cover(span)));
        }
        found
    }

    /// Returns the text from the first line to the last, with whatever stands in front of each.
    pub(super) fn whole(&self) -> &'s str {
        match (self.spans.first(), self.spans.last()) {
            (Some(first), Some(last)) => self.source.slice(Span::new(first.start, last.end.max(first.start))),
            _ => "",
        }
    }

    /// Returns, line by line, whether it lies in code, preformatted text or an inline tag that runs over
    /// lines: tags are never read there. What is opened and never closed shields nothing.
    #[must_use]
    pub fn shielded(&self) -> Vec<bool> {
        let mut shielded = vec![false; self.len()];
        // Most comments have none of it: one look at the whole tells.
        let whole = self.whole().as_bytes();
        let begins = |first: u8, mark: &str| {
            memchr::memchr_iter(first, whole).any(|at| whole[at..].starts_with(mark.as_bytes()))
        };
        if begins(b'<', "<pre") {
            self.shield_between(&mut shielded, |line| line.contains("<pre"), |line| line.contains("</pre>"));
        }
        if begins(b'`', "```") || begins(b'~', "~~~") {
            let fence =
                |line: &str| line.trim_start().starts_with("```") || line.trim_start().starts_with("~~~");
            self.shield_between(&mut shielded, fence, fence);
        }
        if begins(b'{', "{@") {
            self.shield_braces(&mut shielded);
        }
        shielded
    }

    /// Returns, line by line, whether it lies between two commands, as `@code` and `@endcode`.
    pub(super) fn between_commands(&self, open: &str, close: &str) -> Vec<bool> {
        let mut between = vec![false; self.len()];
        let is = |line: &str, word: &str| {
            line.trim_start().strip_prefix(['@', '\\']).is_some_and(|rest| rest.starts_with(word))
        };
        self.shield_between(&mut between, |line| is(line, open), |line| is(line, close));
        between
    }

    fn shield_between(
        &self,
        shielded: &mut [bool],
        opens: impl Fn(&str) -> bool,
        closes: impl Fn(&str) -> bool,
    ) {
        let mut at = 0;
        while at < self.len() {
            let line = self.text(at);
            let after_open = line.find("<pre").map_or("", |found| &line[found..]);
            if !opens(line) || (!after_open.is_empty() && closes(after_open)) {
                at += 1;
                continue;
            }
            let Some(end) = (at + 1..self.len()).find(|&line| closes(self.text(line))) else { return };
            shielded[at + 1..=end].fill(true);
            at = end + 1;
        }
    }

    fn shield_braces(&self, shielded: &mut [bool]) {
        let mut depth = 0_usize;
        let mut opened = 0;
        for (at, shield) in shielded.iter_mut().enumerate() {
            *shield |= depth > 0;
            let line = self.text(at).as_bytes();
            for found in memchr::memchr2_iter(b'{', b'}', line) {
                if line[found] == b'}' {
                    depth = depth.saturating_sub(1);
                } else if depth > 0 || line.get(found + 1) == Some(&b'@') {
                    if depth == 0 {
                        opened = at;
                    }
                    depth += 1;
                }
            }
        }
        if depth > 0 {
            shielded[(opened + 1).min(self.len())..].fill(false);
        }
    }
}
