//! Breaks long lines of comments between words. Paragraphs, lists, tables and code survive: only a paragraph that
//! has a line too long is broken anew, and nothing of it but white space changes.

use std::collections::HashSet;

use crate::model::{Carrier, DeclId, DocComment, RawComment};
use crate::notations::Lines;
use crate::reading::{self, Dress};
use crate::review::FileReading;
use crate::text::{Edit, Source, Span};

/// Returns, comment by comment from the first, the edits that bring its lines to at most `width` characters where
/// words allow it.
pub(super) fn wrap(
    file: &FileReading<'_>,
    width: usize,
    is_about: &dyn Fn(DeclId) -> bool,
) -> Vec<Vec<Edit>> {
    // Where columns are fixed, what stands beside the text is no text.
    if file.outline.columns.is_some() {
        return Vec::new();
    }
    let mut seen = HashSet::new();
    let mut out: Vec<Vec<Edit>> = Vec::new();
    for id in file.outline.ids().filter(|&id| is_about(id)) {
        let Some(comment) = file.outline.declaration(id).comment.doc.filter(|&comment| seen.insert(comment))
        else {
            continue;
        };
        let Some(doc) = file.doc(id) else { continue };
        let edits = Wrapping::of(file, doc, file.outline.comment(comment), width).edits();
        if !edits.is_empty() {
            out.push(edits);
        }
    }
    out.sort_by_key(|edits| edits[0].span.start);
    out
}

/// What a row of a comment is to the text around it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Row {
    /// Says nothing.
    Blank,
    /// Stays as it is: code, tables, headings, lines drawn under them.
    Fixed,
    /// Begins a paragraph: an item, an entry, a tag. So many bytes of its text stay together.
    Opens(usize),
    /// Goes on, or begins a paragraph of plain text.
    Text,
}

/// One comment while it is broken anew.
struct Wrapping<'f> {
    source: &'f Source,
    doc: &'f DocComment,
    raw: &'f RawComment,
    lines: Lines<'f>,
    width: usize,
}

impl<'f> Wrapping<'f> {
    fn of(file: &'f FileReading<'_>, doc: &'f DocComment, raw: &'f RawComment, width: usize) -> Self {
        let lines = Lines::new(&file.source, &raw.lines, file.language.dialect);
        Self { source: &file.source, doc, raw, lines, width }
    }

    fn edits(&self) -> Vec<Edit> {
        let long: Vec<bool> = (0..self.lines.len()).map(|row| self.is_long(row)).collect();
        if !long.contains(&true) || !self.is_apart() {
            return Vec::new();
        }
        let rows = self.rows();
        let mut out = Vec::new();
        let mut at = 0;
        while at < rows.len() {
            let end = self.paragraph_end(&rows, at);
            if long[at..end].contains(&true) && !matches!(rows[at], Row::Blank | Row::Fixed) {
                out.extend(self.broken((at, end), rows[at]));
            }
            at = end;
        }
        out
    }

    /// Rows that do not stand on lines of their own cannot be broken: those of a string joined of several, or in a frame.
    fn is_apart(&self) -> bool {
        let spans = self.lines.spans();
        let number = |span: &Span| self.source.line(span.start);
        spans.windows(2).all(|pair| number(&pair[0]) < number(&pair[1]))
    }

    fn is_long(&self, row: usize) -> bool {
        let span = self.lines.spans()[row];
        let whole = self.source.line_span(self.source.line(span.start)).unwrap_or(span);
        self.source.slice(whole).chars().count() > self.width && !self.lines.is_blank(row)
    }

    /// Tells what each row is.
    fn rows(&self) -> Vec<Row> {
        let shielded = self.code();
        let base = (1..self.lines.len())
            .filter(|&row| !self.lines.is_blank(row))
            .map(|row| self.lines.indent(row))
            .min()
            .unwrap_or(0);
        let mut out: Vec<Row> = Vec::with_capacity(self.lines.len());
        for (row, shown) in shielded.into_iter().enumerate() {
            let text = self.lines.trimmed(row);
            let below = self.lines.trimmed(row + 1);
            let found = if text.is_empty() {
                Row::Blank
            } else if shown || is_fixed(text) || (is_rule(below) && !is_rule(text)) || is_heading(text) {
                Row::Fixed
            } else if let Some(kept) = self.entry_at(row) {
                kept.map_or(Row::Fixed, Row::Opens)
            } else if let Some(marker) = item_marker(text).or_else(|| name_with_colon(text)) {
                Row::Opens(marker)
            } else if text.starts_with(['@', '\\', ':', '<']) {
                // Tags of which nothing is known, and elements, stay as they are.
                Row::Fixed
            } else {
                let after = out.last().copied().unwrap_or(Row::Blank);
                let code = after == Row::Blank || after == Row::Fixed;
                // What stands far in, with nothing above that it could belong to, shows code.
                let deep = row > 0 && self.lines.indent(row) >= base + 4 && self.doc.entries.is_empty();
                if code && deep { Row::Fixed } else { Row::Text }
            };
            out.push(found);
        }
        out
    }

    /// Tells of each row whether it shows code: between fences, in preformatted text, in a mark of which nothing is
    /// known, or by its own signs.
    fn code(&self) -> Vec<bool> {
        let mut out = self.lines.shielded();
        let mut fenced = false;
        for (row, shown) in out.iter_mut().enumerate() {
            let text = self.lines.trimmed(row);
            let fences = text.matches("```").count() + text.matches("~~~").count();
            *shown |= fenced || fences > 0 || text.ends_with([';', '{', '}', '[']);
            fenced ^= fences % 2 == 1;
        }
        for mark in self.doc.marks.iter().filter(|mark| !is_plain(mark.name.as_str())) {
            let rows = mark.lines.0 as usize..(mark.lines.1 as usize).min(out.len());
            out[rows].fill(true);
        }
        if fenced {
            // A fence that never closes: nobody knows what is code.
            out.fill(true);
        }
        out
    }

    /// Returns, where an entry begins in a row, the length of what must stay together; nothing inside when the row
    /// is none to be broken.
    fn entry_at(&self, row: usize) -> Option<Option<usize>> {
        let starts = |lines: (u32, u32)| lines.0 as usize == row;
        let text = self.lines.trimmed_span(row);
        if let Some(entry) = self.doc.entries.iter().find(|entry| starts(entry.lines)) {
            let said = entry.text.filter(|said| text.contains(Span::at(said.start)));
            return Some(said.map(|said| (said.start - text.start) as usize));
        }
        let mark = self.doc.marks.iter().find(|mark| starts(mark.lines))?;
        // A mark holds what it likes; only where it is plain text is it broken, and never between its name and the
        // text.
        let end = (mark.span.end.max(text.start) - text.start) as usize;
        let rest = self.lines.trimmed(row).get(end..).unwrap_or_default();
        let space = rest.len() - rest.trim_start().len();
        Some((space > 0 && is_plain(mark.name.as_str())).then_some(end + space))
    }

    fn paragraph_end(&self, rows: &[Row], at: usize) -> usize {
        if matches!(rows[at], Row::Blank | Row::Fixed) {
            return at + 1;
        }
        let goes_on = |row: usize| {
            rows.get(row) == Some(&Row::Text)
                && (row == at + 1 || self.lead(row) == self.lead(at + 1))
                // The first row of a comment stands behind its mark, with an indentation of its own.
                && (rows[at] != Row::Text || at == 0 || self.lead(row) == self.lead(at))
                && (!matches!(rows[at], Row::Opens(_)) || self.lines.indent(row) >= self.lines.indent(at))
        };
        (at + 1..).find(|&row| !goes_on(row)).unwrap_or(at + 1)
    }

    /// Returns the white space that opens a row.
    fn lead(&self, row: usize) -> &'f str {
        let text = self.lines.text(row);
        &text[..text.len() - text.trim_start().len()]
    }

    /// Breaks the rows of a paragraph anew.
    fn broken(&self, (at, end): (usize, usize), opened: Row) -> Option<Edit> {
        let rows = at..end;
        // Two blanks at the end of a line are a line break in Markdown.
        if rows.clone().any(|row| self.lines.text(row).ends_with("  ") && row + 1 < end) {
            return None;
        }
        let kept = if let Row::Opens(kept) = opened { kept } else { 0 };
        let first = self.lines.trimmed_span(at);
        let head = self.source.slice(first);
        let (head, rest) = head.split_at_checked(kept)?;
        let others = || rows.clone().skip(1).map(|row| self.lines.trimmed(row));
        let words = words_of(head, std::iter::once(rest).chain(others()));
        // Nothing but white space may change.
        let said = std::iter::once(self.source.slice(first)).chain(others()).flat_map(str::split_whitespace);
        if !words.iter().flat_map(|word| word.split_whitespace()).eq(said) {
            return None;
        }
        let span = Span::new(first.start, self.lines.trimmed_span(end - 1).end);
        let line = self.source.line_span(self.source.line(span.end))?;
        let behind = self.source.slice(Span::new(span.end, line.end)).trim_end().chars().count();
        let start = self.source.line_span(self.source.line(span.start))?.start;
        let used = self.source.slice(Span::new(start, span.start)).chars().count();
        let prefix = self.prefix(at, end, opened);
        let mut text = String::new();
        let mut column = used;
        for (number, word) in words.iter().enumerate() {
            let length = word.chars().count() + if number + 1 == words.len() { behind } else { 0 };
            if number == 0 {
                text.push_str(word);
                column += length;
            } else if column + 1 + length <= self.width {
                text.push(' ');
                text.push_str(word);
                column += 1 + length;
            } else {
                text.push_str(self.source.line_ending());
                text.push_str(&prefix);
                text.push_str(word);
                column = prefix.chars().count() + length;
            }
        }
        if self.lines.len() == 1 && text.contains('\n') {
            return Some(self.opened_up(&text, &prefix));
        }
        (text != self.source.slice(span)).then_some(Edit { span, text })
    }

    /// Returns what stands before the text of the lines after the first.
    fn prefix(&self, at: usize, end: usize, opened: Row) -> String {
        if end > at + 1 {
            return self.before(at + 1);
        }
        let hang = match opened {
            Row::Opens(kept) => {
                let marker = self.lines.trimmed(at).get(..kept).unwrap_or_default();
                let item = item_marker(self.lines.trimmed(at)).is_some();
                let element = self.lines.trimmed(at).starts_with('<');
                match (item, element) {
                    (true, _) => " ".repeat(marker.chars().count()),
                    (false, true) => String::new(),
                    (false, false) => "    ".to_owned(),
                }
            }
            Row::Blank | Row::Fixed | Row::Text => String::new(),
        };
        let indent = self.source.indent_at(self.raw.span.start);
        let own = if at > 0 {
            self.before(at)
        } else if self.lines.len() > 1 {
            let next = (1..self.lines.len()).find(|&row| !self.lines.is_blank(row));
            next.map_or_else(|| self.fresh(indent), |row| self.before(row))
        } else {
            self.fresh(indent)
        };
        own + &hang
    }

    /// Returns what stands before the text of a row on its line.
    fn before(&self, row: usize) -> String {
        let span = self.lines.trimmed_span(row);
        let start = self.source.line_span(self.source.line(span.start)).map_or(span.start, |line| line.start);
        self.source.slice(Span::new(start, span.start)).to_owned()
    }

    /// Returns what stands before the text of a line that a comment of one line has not yet.
    fn fresh(&self, indent: &str) -> String {
        match self.raw.carrier {
            Carrier::Block { .. } => format!("{indent} * "),
            Carrier::Lines { mark } => format!("{indent}{mark} "),
            Carrier::Docstring => indent.to_owned(),
        }
    }

    /// Gives a comment of one line, which has become several, lines of its own for its marks.
    fn opened_up(&self, text: &str, prefix: &str) -> Edit {
        let (span, ending) = (self.raw.span, self.source.line_ending());
        let indent = self.source.indent_at(span.start);
        let line = self.lines.spans()[0];
        let inner = self.lines.trimmed_span(0);
        match self.raw.carrier {
            Carrier::Block { open, close } if self.source.slice(span).starts_with(open) => {
                let lines: Vec<String> = text
                    .split(ending)
                    .map(|line| line.strip_prefix(prefix).unwrap_or(line).to_owned())
                    .collect();
                let dress = Dress::of_carrier(Carrier::Block { open, close });
                let whole = reading::wrap(dress, &lines, indent, ending);
                Edit { span, text: whole }
            }
            Carrier::Docstring => {
                Edit { span: Span::new(inner.start, line.end), text: format!("{text}{ending}{indent}") }
            }
            Carrier::Block { .. } | Carrier::Lines { .. } => Edit { span: inner, text: text.to_owned() },
        }
    }
}

/// Marks that hold plain text.
fn is_plain(mark: &str) -> bool {
    matches!(
        mark,
        "deprecated"
            | "note"
            | "since"
            | "see"
            | "todo"
            | "warning"
            | "brief"
            | "details"
            | "summary"
            | "remarks"
            | "return"
            | "returns"
            | "author"
            | "version"
            | "internal"
    )
}

/// Takes text apart into what stays together on a line; `head` stays with the first word.
fn words_of<'t>(head: &str, texts: impl Iterator<Item = &'t str>) -> Vec<String> {
    let mut words: Vec<String> = Vec::new();
    let mut first = head;
    for word in texts.flat_map(str::split_whitespace) {
        let head = std::mem::take(&mut first);
        let open = words.last().is_some_and(|last| is_open(last));
        match words.last_mut() {
            // A word that would begin an item or a tag never begins a line.
            Some(last) if open || begins_something(word) => {
                last.push(' ');
                last.push_str(word);
            }
            _ => words.push(format!("{head}{word}")),
        }
    }
    words
}

/// Tells whether a word begins markup that it does not end: what stands in it stays together.
fn is_open(word: &str) -> bool {
    let ticks = word.matches('`').count() % 2 == 1;
    let tag = word.rfind('<').is_some_and(|at| {
        word[at + 1..].starts_with(|c: char| c.is_ascii_alphabetic()) && !word[at..].contains('>')
    });
    let braces = word.rfind("{@").is_some_and(|at| !word[at..].contains('}'));
    // `\a load`: what is set off by a command stands behind it.
    let last = word.rsplit(' ').next().unwrap_or_default();
    let command = last.strip_prefix(['\\', '@']);
    let sets_off = command.is_some_and(|name| matches!(name, "a" | "b" | "c" | "e" | "em" | "p" | "ref"));
    ticks || tag || braces || sets_off
}

/// Tells whether a word at the start of a line would be more than a word.
fn begins_something(word: &str) -> bool {
    word.starts_with(['-', '*', '+', '#', '>', '|', '@', '\\', ':', '=', '~', '<', '.'])
        || word.starts_with("```")
        || word.ends_with(':')
        || item_marker(&format!("{word} x")).is_some()
}

/// Returns the length of the mark that opens an item of a list, white space behind it included.
fn item_marker(text: &str) -> Option<usize> {
    let rest = text.strip_prefix(['-', '*', '+', '•']);
    let length = match rest {
        Some(rest) => text.len() - rest.len(),
        None => {
            let digits = text.len() - text.trim_start_matches(|c: char| c.is_ascii_digit()).len();
            if digits == 0 || digits > 3 || !text[digits..].starts_with(['.', ')']) {
                return None;
            }
            digits + 1
        }
    };
    let spaces = text[length..].len() - text[length..].trim_start_matches(' ').len();
    (spaces > 0).then_some(length + spaces)
}

/// Returns the length of a name with a colon behind it that opens a line, white space included: the author's own form of
/// an entry, `crate: what to weigh`.
fn name_with_colon(text: &str) -> Option<usize> {
    let (name, behind) = text.split_once(": ")?;
    let is_name = !name.is_empty() && name.chars().all(|c| c.is_alphanumeric() || c == '_');
    is_name.then_some(text.len() - behind.trim_start().len())
}

/// Lines that are laid out by hand.
fn is_fixed(text: &str) -> bool {
    is_rule(text)
        || text.starts_with(['|', '>', '#', '$', '%'])
        || text.starts_with("..")
        || text.contains("   ")
        || text.contains('\t')
        || text.contains(" | ")
}

/// Lines drawn under or between text.
fn is_rule(text: &str) -> bool {
    text.len() >= 3 && text.chars().all(|c| matches!(c, '-' | '=' | '~' | '*' | '_' | '+' | '^' | ' '))
}

/// The heading of a part stands alone on its line.
fn is_heading(text: &str) -> bool {
    text.ends_with(':') && text.split_whitespace().count() <= 2 && text.starts_with(char::is_uppercase)
}
