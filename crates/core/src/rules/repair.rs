//! Repairs of comments by whole lines: what rules add to a finding that needs no thought to be mended.
//!
//! Only lines that hold nothing but comment are moved or removed. Where a block of lines shares one with the
//! mark that opens or closes the comment, there is no repair: a person sees at once what to do, and nothing can
//! go wrong.

use super::Context;
use crate::model::{Carrier, Entry};
use crate::text::{Edit, Source, Span};

/// Rows of a comment: the first, and the one behind the last.
pub(super) type Rows = (u32, u32);

/// The lines of one comment, to be moved or removed.
pub(super) struct Repair<'c, 'a> {
    context: &'c Context<'a>,
    carrier: Option<Carrier>,
}

impl<'c, 'a> Repair<'c, 'a> {
    /// Looks at the comment under review.
    pub(super) fn of(context: &'c Context<'a>) -> Self {
        let outline = context.file.outline;
        let raw = context.declaration().comment.doc.map(|id| outline.comment(id));
        Self { context, carrier: raw.map(|raw| raw.carrier) }
    }

    fn source(&self) -> &'a Source {
        self.context.file.source
    }

    fn is_blank(&self, row: u32) -> bool {
        let line = self.context.doc.lines.get(row as usize);
        line.is_some_and(|&line| self.context.slice(line).trim().is_empty())
    }

    /// Returns the whole line of the source that a row stands on, its end included; nothing when more than the
    /// row and its mark stand on it.
    fn line(&self, row: u32) -> Option<Span> {
        let source = self.source();
        let text = *self.context.doc.lines.get(row as usize)?;
        let number = source.line(text.start);
        let whole = source.line_span(number)?;
        let before = source.slice(Span::new(whole.start, text.start.max(whole.start))).trim();
        let after = source.slice(Span::new(text.end.min(whole.end), whole.end)).trim();
        let alone = match self.carrier? {
            Carrier::Block { close, .. } => {
                // The mark that closes may be taken for text of the last row.
                (before.is_empty() || before == "*") && !source.slice(whole).contains(close)
            }
            Carrier::Lines { mark } => before == mark || before.is_empty(),
            Carrier::Docstring => before.is_empty(),
        };
        let end = source.lines().start(number + 1).unwrap_or(whole.end);
        (alone && after.is_empty() && end > whole.end).then(|| Span::new(whole.start, end))
    }

    /// Returns the lines of the source that hold some rows.
    fn lines(&self, rows: Rows) -> Option<Span> {
        let last = rows.1.checked_sub(1).filter(|&last| last >= rows.0)?;
        let mut whole = self.line(rows.0)?;
        for row in rows.0 + 1..=last {
            let line = self.line(row)?;
            if line.start != whole.end {
                return None;
            }
            whole.end = line.end;
        }
        Some(whole)
    }

    /// Takes blank rows from the end of a block.
    fn said(&self, rows: Rows) -> Rows {
        let end = (rows.0 + 1..=rows.1).rev().find(|&end| !self.is_blank(end - 1)).unwrap_or(rows.0 + 1);
        (rows.0, end)
    }

    /// Removes an entry with its lines; a heading that it leaves without any goes too.
    pub(super) fn remove(&self, entry: &Entry) -> Option<Edit> {
        let doc = self.context.doc;
        let mut rows = self.said(entry.lines);
        let around = doc.sections.iter().find(|s| s.lines.0 <= rows.0 && rows.1 <= s.lines.1);
        if let Some(section) = around.filter(|section| section.kind.is_some()) {
            let inside = (section.lines.0..section.lines.1).filter(|&row| !self.is_blank(row)).count();
            let held = (rows.0..rows.1).filter(|&row| !self.is_blank(row)).count();
            let first = rows.0 == section.lines.0;
            // A heading is one line, or one with a line drawn under it.
            if inside - held <= if first { 0 } else { 2 } {
                rows.0 = section.lines.0;
                rows.1 = rows.1.max(section.lines.1);
                rows = self.said(rows);
                let entries = doc.entries.iter().filter(|e| rows.0 <= e.lines.0 && e.lines.0 < rows.1);
                if entries.count() > 1 {
                    return None;
                }
            } else if first {
                return None;
            }
        }
        let all = u32::try_from(doc.lines.len()).ok()?;
        let others = (0..all).any(|row| !(rows.0..rows.1).contains(&row) && !self.is_blank(row));
        // What parted it from the text before goes where nothing follows, or another blank line does.
        if rows.1 >= all || self.is_blank(rows.1) {
            while rows.0 > 1 && self.is_blank(rows.0 - 1) {
                rows.0 -= 1;
            }
        }
        let span = self.lines(rows)?;
        others.then(|| Edit { span, text: String::new() })
    }

    /// Puts blocks of rows, which are disjoint and in order, into another order: `order[n]` is the block that
    /// comes to the place of the n-th.
    pub(super) fn permute(&self, blocks: &[Rows], order: &[usize]) -> Vec<Edit> {
        let blocks: Vec<Rows> = blocks.iter().map(|&rows| self.said(rows)).collect();
        let disjoint = blocks.windows(2).all(|pair| pair[0].1 <= pair[1].0);
        let places: Option<Vec<Span>> = blocks.iter().map(|&rows| self.lines(rows)).collect();
        let Some(places) = places.filter(|_| disjoint) else { return Vec::new() };
        let moved = places.iter().zip(order).filter(|&(&place, &from)| place != places[from]);
        moved.map(|(&span, &from)| Edit { span, text: self.context.slice(places[from]).to_owned() }).collect()
    }

    /// Puts an empty line of the comment before a row.
    pub(super) fn part(&self, row: u32) -> Option<Edit> {
        let source = self.source();
        let line = self.line(row)?;
        let text = *self.context.doc.lines.get(row as usize)?;
        let before = source.slice(Span::new(line.start, text.start)).trim_end();
        let ending = source.line_ending();
        let docstring = self.carrier == Some(Carrier::Docstring);
        let lead = if docstring { "" } else { before };
        Some(Edit { span: Span::at(line.start), text: format!("{lead}{ending}") })
    }
}

/// Returns the order in which items have ascending keys; equals stay as they are.
pub(super) fn sorted_by_key<T, K: Ord>(items: &[T], key: impl Fn(&T) -> K) -> Vec<usize> {
    let mut order: Vec<usize> = (0..items.len()).collect();
    order.sort_by_key(|&at| key(&items[at]));
    order
}
