//! Finds the place of a comment that is to be written, and puts it there.

use super::carrying::{broken, wrap};
use super::dress::Dress;
use crate::model::{Carrier, Outline};
use crate::text::{Edit, Source, Span};

/// The text that a comment is put into.
#[derive(Clone, Copy)]
pub(crate) struct Place<'s> {
    /// The text.
    pub(crate) source: &'s Source,
    /// What is declared in it.
    pub(crate) outline: &'s Outline,
    /// How comments are put down in it.
    pub(crate) dress: Dress,
}

impl Place<'_> {
    /// Puts lines above what begins at `start`. Returns the edit, and the comment alone.
    ///
    /// Fails with the reason where no comment can stand there.
    pub(crate) fn above(self, start: u32, lines: &[String]) -> Result<(Edit, String), &'static str> {
        let ending = self.source.line_ending();
        let indent = self.indent(start);
        if self.is_first_on_line(start) || self.outline.columns.is_some() {
            let comment = self.wrapped(&indent, lines);
            // Lines of a comment on something else would run on into this one.
            let gap = if self.follows_lines(start, lines) { ending } else { "" };
            let text = format!("{gap}{indent}{comment}{ending}");
            return Ok((Edit { span: Span::at(self.line_start(start)), text }, comment));
        }
        // Other code stands before it on its line: the one-line block form goes between, where that code ends.
        let before = self.source.slice(Span::new(self.line_start(start), start)).trim_end();
        let has_blocks = match self.dress.form(lines).carrier {
            Carrier::Block { close, .. } => close == "*/",
            Carrier::Lines { mark } => mark.starts_with('/'),
            Carrier::Docstring => false,
        };
        if !has_blocks || !before.ends_with(['{', '}', ';', ',', '/']) {
            return Err("other code stands before it on its line; put it on a line of its own");
        }
        let block = Carrier::Block { open: "/**", close: "*/" };
        let end = lines.iter().position(String::is_empty).unwrap_or(lines.len());
        let text: Vec<&str> = lines[..end].iter().map(|line| line.trim()).collect();
        let first = if text.first().is_some_and(|line| line.starts_with('<')) {
            text[..text.len().min(3)].concat()
        } else {
            text.first().copied().unwrap_or_default().to_owned()
        };
        let comment = wrap(Dress::of_carrier(block), &[first], &indent, ending);
        Ok((Edit { span: Span::at(start), text: format!("{comment} ") }, comment))
    }

    /// Puts lines below a header that ends at `header_end`. Returns the edit, and the comment alone.
    pub(crate) fn below(self, header_end: u32, lines: &[String]) -> (Edit, String) {
        let (source, ending) = (self.source, self.source.line_ending());
        let line = source.line(header_end);
        let end = source.line_span(line).map_or(header_end, |span| span.end);
        let next = source.line_span(line + 1).filter(|&span| !source.slice(span).trim().is_empty());
        let indent = self.indent(next.map_or(header_end, |span| span.start));
        let comment = self.wrapped(&indent, lines);
        (Edit { span: Span::at(end), text: format!("{ending}{indent}{comment}") }, comment)
    }

    /// Returns lines as a comment before all else, in the columns of the file, where it has any.
    pub(crate) fn remark(self, lines: &[String]) -> String {
        let indent = self.outline.columns.map(|(from, _)| " ".repeat(from.saturating_sub(1) as usize));
        let indent = indent.unwrap_or_default();
        format!("{indent}{}", self.wrapped(&indent, lines))
    }

    /// Puts lines at the top of the file. Returns the edit, and the comment alone.
    pub(crate) fn at_top(self, lines: &[String]) -> (Edit, String) {
        let comment = self.wrapped("", lines);
        (Edit { span: Span::at(0), text: format!("{comment}{}", self.source.line_ending()) }, comment)
    }

    /// Puts a docstring into the body of what has the span `span` and a header that ends at `header_end`; that of a
    /// class stands apart from what follows. Returns the edit, and the docstring alone.
    ///
    /// Fails with the reason where there is no place for one.
    pub(crate) fn first_in_body(
        self,
        header_end: u32,
        (span, of_class): (Span, bool),
        lines: &[String],
    ) -> Result<(Edit, String), &'static str> {
        let ending = self.source.line_ending();
        // A comment between header and body stays above what it speaks of; a type in one has to stay where it is.
        let mut at = self.behind_comment(header_end);
        while self.source.slice(Span::new(at, span.end)).trim_start().starts_with("# type:") {
            at = self.source.line_span(self.source.line(at) + 1).map_or(at, |line| line.end);
        }
        let body = self.first_code(at, span.end);
        if body == span.end {
            return Err("it has no body; write one to hold the docstring");
        }
        if self.source.slice(Span::new(body, span.end)).starts_with('\\') {
            return Err("its body is joined to it by a backslash; put it on a line of its own");
        }
        if self.source.slice(Span::new(at, body)).contains('\n') {
            let indent = self.source.indent_at(body);
            let comment = wrap(self.dress, lines, indent, ending);
            let next = self.source.line_span(self.source.line(at) + 1);
            let has_gap = next.is_none_or(|line| self.source.slice(line).trim().is_empty());
            let gap = if of_class && !has_gap { ending } else { "" };
            let edit = Edit { span: Span::at(at), text: format!("{ending}{indent}{comment}{gap}") };
            return Ok((edit, comment));
        }
        // A suite on the line of its header gets the line break and indentation it needs.
        let indent = format!("{}{}", self.source.indent_at(span.start), self.source.step());
        let comment = wrap(self.dress, lines, &indent, ending);
        let text = format!("{ending}{indent}{comment}{ending}{indent}");
        Ok((Edit { span: Span::new(header_end, body), text }, comment))
    }

    /// Returns the end of the comment that closes the line of a header; the header's own end where there is none.
    fn behind_comment(self, header_end: u32) -> u32 {
        let line = self.source.line_span(self.source.line(header_end)).map_or(header_end, |line| line.end);
        let behind = self.source.slice(Span::new(header_end, line.max(header_end)));
        if behind.trim_start().starts_with('#') { line } else { header_end }
    }

    /// Returns where the first code behind `at` begins, comments passed over; `end` where there is none.
    fn first_code(self, at: u32, end: u32) -> u32 {
        let text = self.source.slice(Span::new(at, end));
        let mut rest = text.trim_start();
        while rest.starts_with('#') {
            rest = rest.split_once('\n').map_or("", |(_, below)| below).trim_start();
        }
        end - Span::of(rest.len(), 0).start
    }

    /// Tells whether the line above an offset is a comment of the kind that is to be written.
    fn follows_lines(self, at: u32, lines: &[String]) -> bool {
        let Carrier::Lines { mark } = self.dress.form(lines).carrier else { return false };
        let above = self.source.line(at).checked_sub(1).and_then(|line| self.source.line_span(line));
        self.outline.columns.is_none()
            && above.is_some_and(|line| self.source.slice(line).trim_start().starts_with(mark))
    }

    /// Returns where the line of an offset begins.
    pub(crate) fn line_start(self, at: u32) -> u32 {
        self.source.lines().start(self.source.line(at)).unwrap_or(0)
    }

    /// Tells whether only white space stands before an offset on its line.
    pub(crate) fn is_first_on_line(self, at: u32) -> bool {
        self.source.slice(Span::new(self.line_start(at), at)).trim().is_empty()
    }

    /// Returns what stands before a comment beside what begins at `start`: in a file of fixed columns, all up
    /// to the first of them.
    fn indent(self, start: u32) -> String {
        match self.outline.columns {
            Some((from, _)) => " ".repeat(from.saturating_sub(1) as usize),
            None => self.source.indent_at(start).to_owned(),
        }
    }

    /// Wraps lines as a comment that stays inside the columns of the file, where it has any.
    fn wrapped(self, indent: &str, lines: &[String]) -> String {
        let ending = self.source.line_ending();
        let Some((from, to)) = self.outline.columns else { return wrap(self.dress, lines, indent, ending) };
        let mark = match self.dress.form(lines).carrier {
            Carrier::Lines { mark } => mark.len(),
            Carrier::Block { .. } | Carrier::Docstring => 2,
        };
        let width = (to + 1).saturating_sub(from) as usize;
        wrap(self.dress, &broken(lines, width.saturating_sub(mark + 1).max(8)), indent, ending)
    }
}
