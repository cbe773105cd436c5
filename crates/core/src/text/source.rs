//! One file's text with its name, as everything in the core receives it.

use std::sync::Arc;

use super::{LineIndex, Position, Span, narrow};

/// A text under review. Cheap to clone.
#[derive(Clone, Debug)]
pub struct Source {
    path: Arc<str>,
    text: Arc<str>,
    lines: Arc<LineIndex>,
}

impl Source {
    /// Makes a source of `text`; `path` is relative to the project, with `/` between its parts.
    #[must_use]
    pub fn new(path: &str, text: &str) -> Self {
        Self { path: path.into(), text: text.into(), lines: Arc::new(LineIndex::new(text)) }
    }

    /// Returns the path relative to the project.
    #[must_use]
    pub fn path(&self) -> &str {
        &self.path
    }

    /// Returns the last part of the path.
    #[must_use]
    pub fn file_name(&self) -> &str {
        self.path.rsplit('/').next().unwrap_or_default()
    }

    /// Returns the whole text.
    #[must_use]
    pub fn text(&self) -> &str {
        &self.text
    }

    /// Returns the text of `span`, empty when the span does not fit this source.
    #[must_use]
    pub fn slice(&self, span: Span) -> &str {
        self.text.get(span.range()).unwrap_or_default()
    }

    /// Returns the line index.
    #[must_use]
    pub fn lines(&self) -> &LineIndex {
        &self.lines
    }

    /// Returns the line, from 1, of a byte offset.
    #[must_use]
    pub fn line(&self, offset: u32) -> u32 {
        self.lines.line(offset)
    }

    /// Returns line and column of a byte offset.
    #[must_use]
    pub fn position(&self, offset: u32) -> Position {
        self.lines.position(&self.text, offset)
    }

    /// Returns the offset at which the line of a byte offset begins.
    #[must_use]
    pub fn line_start(&self, offset: usize) -> usize {
        self.lines.start(self.line(narrow(offset))).unwrap_or(0) as usize
    }

    /// Returns the span of `line` (from 1) without its line ending, or nothing past the end.
    #[must_use]
    pub fn line_span(&self, line: u32) -> Option<Span> {
        let start = self.lines.start(line)?;
        let end = self.lines.start(line + 1).unwrap_or(Span::of(self.text.len(), self.text.len()).start);
        let text = self.slice(Span::new(start, end)).trim_end_matches(['\n', '\r']);
        Some(Span::of(start as usize, start as usize + text.len()))
    }

    /// Returns the white space that opens the line of `offset`.
    #[must_use]
    pub fn indent_at(&self, offset: u32) -> &str {
        let start = self.lines.start(self.line(offset)).unwrap_or(0);
        let rest = self.text.get(start as usize..).unwrap_or_default();
        &rest[..rest.len() - rest.trim_start_matches([' ', '\t', '\u{c}']).len()]
    }

    /// Returns one step of indentation as the text has it: a tab, or spaces; four where nothing is indented.
    #[must_use]
    pub fn step(&self) -> &'static str {
        let mut lines = self.text.lines().take(400).filter(|line| !line.trim_start().starts_with('*'));
        let first = lines.find(|line| line.starts_with('\t') || line.starts_with("  "));
        match first.map(|line| (line.starts_with('\t'), line.len() - line.trim_start_matches(' ').len())) {
            Some((true, _)) => "\t",
            Some((false, 2)) => "  ",
            _ => "    ",
        }
    }

    /// Returns the line ending that the text uses, by its first line.
    #[must_use]
    pub fn line_ending(&self) -> &'static str {
        match memchr::memchr(b'\n', self.text.as_bytes()) {
            Some(at) if at > 0 && self.text.as_bytes()[at - 1] == b'\r' => "\r\n",
            _ => "\n",
        }
    }
}
