//! What a comment that is there still lacks. Nothing that a person wrote is changed.

use super::choose::{Drafted, Extent};
use super::skeleton::{TagLines, entries, lacking_tags, style, tag_lines};
use crate::debt::{Debt, is_documented};
use crate::model::{Carrier, DeclId, Declaration, Dialect, DocComment, Entry, EntryKind, RawComment};
use crate::notations::{self, Addition, Lines, Notation, Order, WriteStyle};
use crate::pairing::Match;
use crate::reading::{Demand, Owe};
use crate::review::{Examined, FileReading, Standings, debt_of, examine};
use crate::text::{Edit, Span, narrow};

/// Completes a comment; nothing when it lacks nothing.
pub(super) fn complete(
    file: &FileReading<'_>,
    standings: &Standings,
    (id, doc): (DeclId, &DocComment),
    extent: Extent,
) -> Result<Option<Drafted>, &'static str> {
    let declaration = file.outline.declaration(id);
    let Some(raw) = declaration.comment.doc.map(|comment| file.outline.comment(comment)) else {
        return Ok(None);
    };
    let shows_none = doc.entries.is_empty() && doc.marks.is_empty() && doc.sections.is_empty();
    let notation = if shows_none { file.draft_notation() } else { doc.notation };
    let Some(notation) = notations::get(notation) else { return Ok(None) };
    let mut examined = examine(file, standings, id, doc);
    if extent == Extent::Everything && examined.known {
        let debtor = crate::debt::Debtor {
            source: &file.source,
            declaration,
            signature: examined.signature,
            demand: Demand::all(Owe::Always),
            links_answer: false,
        };
        examined.debt = Debt::of(&debtor, doc, &examined.pairing);
    }
    let mut lacking = lacking(file, doc, &examined);
    if lacking.params.contains(&true) && !doc.has(EntryKind::Param) && extent == Extent::Owed {
        examined.debt = debt_of(file, standings, (id, &begun(doc)), &examined);
        lacking = self::lacking(file, doc, &examined);
    }
    let mut style = style(file, notation);
    if notations::is_colon_form(doc, &file.source) {
        style.dialect = Dialect::Colon;
    }
    // The comment's own signs win over those of the file.
    let tags = doc.entries.iter().map(|entry| entry.tag).chain(doc.marks.iter().map(|mark| mark.span));
    let sign = |tag: Span| file.source.text()[..tag.start as usize].chars().next_back();
    if let Some(sign @ ('@' | '\\')) = tags.map(sign).next().flatten() {
        style.backslash = sign == '\\';
    }
    let wanted = entries(file, (examined.signature, declaration.header_end), &lacking, notation);
    let said = doc.entries.iter().any(|entry| entry.text.is_some());
    let no_summary = doc.summary.is_none() && !doc.inherits && (said || !wanted.is_empty());
    let asks_summary = no_summary && standings.is_asked(file, id);
    let tags = lacking_lines(file, (declaration, doc), (notation, &style));
    if wanted.is_empty() && !asks_summary && tags.is_empty() {
        return Ok(None);
    }
    let lines = Lines::new(&file.source, &raw.lines, file.language.dialect);
    let order = order(doc, &examined);
    let mut additions = notation.writer.additions((doc, &lines), &wanted, &order, &style);
    if let Some(first) = tags.first() {
        let last = (0..lines.len()).rev().find(|&at| !lines.is_blank(at)).map_or(0, |at| at + 1);
        let alone = doc.entries.is_empty() && doc.marks.is_empty() && wanted.is_empty();
        let apart = alone || style.dialect == Dialect::Colon;
        let gap = if apart && !first.is_empty() { vec![String::new()] } else { Vec::new() };
        additions.push(Addition { at: last, lines: gap.into_iter().chain(tags).collect() });
    }
    let place = Place::of(file, raw)?;
    let mut edits = place.widened(raw);
    if !additions.is_empty() && !asks_summary {
        edits.extend(place.opened(raw));
    }
    if asks_summary {
        let text = notation.writer.whole(&style.placeholder, &[], &style);
        edits.push(place.summary(raw, &text, notation.writer.parted(&style)));
    }
    edits.extend(additions.iter().filter_map(|addition| place.edit(raw, addition)));
    let edits = merged(edits);
    let comment = applied(file, raw.span, &edits);
    Ok(Some(Drafted { declaration: id, edits, comment }))
}

/// Returns a comment as it stands once its first parameter has an entry: beside one the text alone may no longer be enough
/// for the others, or for what comes back.
fn begun(doc: &DocComment) -> DocComment {
    let mut begun = doc.clone();
    let end = narrow(doc.lines.len());
    begun.entries.push(Entry::bare(EntryKind::Param, Span::at(doc.span.end), (end, end)));
    begun
}

/// Writes the tags that a comment lacks, sections last.
fn lacking_lines(
    file: &FileReading<'_>,
    (declaration, doc): (&Declaration, &DocComment),
    (notation, style): (&Notation, &WriteStyle),
) -> Vec<String> {
    let (mut marks, mut sections) = (Vec::new(), Vec::new());
    for tag in lacking_tags(file, declaration, Some(doc)) {
        match tag_lines(file, tag, (notation, style)) {
            TagLines::Mark(line) => marks.push(line),
            TagLines::Section(lines) => sections.extend(lines),
            TagLines::None => {}
        }
    }
    marks.extend(sections);
    marks
}

/// Returns which place of the signature each entry speaks of.
fn order(doc: &DocComment, examined: &Examined<'_>) -> Order {
    let mut ranks = vec![None; doc.entries.len()];
    let sides = [&examined.pairing.params, &examined.pairing.typeparams];
    for paired in sides.iter().flat_map(|side| &side.names) {
        if let Match::Is(at) | Match::Renamed(at) = paired.is {
            let rank: &mut Option<usize> = &mut ranks[paired.entry];
            *rank = Some(rank.map_or(at, |before| before.min(at)));
        }
    }
    Order(ranks)
}

/// Takes from a debt what is paid.
fn lacking(file: &FileReading<'_>, doc: &DocComment, examined: &Examined<'_>) -> Debt {
    let mut debt = examined.debt.clone();
    for (owed, entry) in debt.params.iter_mut().zip(&examined.pairing.params.entry_of) {
        *owed &= entry.is_none();
    }
    for (owed, entry) in debt.typeparams.iter_mut().zip(&examined.pairing.typeparams.entry_of) {
        *owed &= entry.is_none();
    }
    let told = doc.has(EntryKind::Returns) || doc.has(EntryKind::Yields);
    debt.returns &= !told;
    debt.yields &= !told;
    let kin = (file.language.hierarchy, file.known());
    debt.throws.retain(|&at| !is_documented(&examined.signature.throws[at], doc, examined.signature, kin));
    debt
}

/// Edits at one place become one, in the order they were made.
fn merged(mut edits: Vec<Edit>) -> Vec<Edit> {
    edits.sort_by_key(|edit| (edit.span.start, edit.span.end));
    let mut out: Vec<Edit> = Vec::new();
    for edit in edits {
        match out.last_mut() {
            Some(last) if last.span == edit.span && edit.span.is_empty() => last.text.push_str(&edit.text),
            _ => out.push(edit),
        }
    }
    out
}

fn applied(file: &FileReading<'_>, span: Span, edits: &[Edit]) -> String {
    let mut out = String::new();
    let mut at = span.start;
    for edit in edits {
        out.push_str(file.source.slice(Span::new(at, edit.span.start.max(at))));
        out.push_str(&edit.text);
        at = edit.span.end.max(at);
    }
    out.push_str(file.source.slice(Span::new(at, span.end)));
    out
}

/// How lines are put into one comment.
struct Place<'f> {
    file: &'f FileReading<'f>,
    /// What stands before the text of an added line.
    prefix: String,
    /// What stands before the closing mark on a line of its own.
    closing: String,
    ending: &'static str,
    /// Length of the opening mark; 0 for a run of lines.
    open: u32,
    /// Length of the closing mark.
    close: u32,
    /// The right side of a frame, and the column in characters, from 0, where it stands.
    frame: Option<(String, usize)>,
}

impl<'f> Place<'f> {
    fn of(file: &'f FileReading<'f>, raw: &RawComment) -> Result<Self, &'static str> {
        let indent = file.source.indent_at(raw.span.start).to_owned();
        let ending = file.source.line_ending();
        let text = file.source.slice(raw.span);
        if let Some(framed) = Self::framed(file, raw) {
            return Ok(framed);
        }
        let before = before_text(file, raw);
        Ok(match raw.carrier {
            Carrier::Lines { mark } => Self {
                file,
                prefix: before.unwrap_or_else(|| {
                    let form = file.dress().carried_by(raw.carrier);
                    format!("{indent}{} ", form.rest().unwrap_or(mark))
                }),
                closing: String::new(),
                ending,
                open: 0,
                close: 0,
                frame: None,
            },
            Carrier::Block { open, close } => {
                let several = text.contains('\n');
                let starred = text.lines().skip(1).all(|line| line.trim_start().starts_with('*'));
                let second = text.lines().nth(1).unwrap_or_default();
                let lead = &second[..second.len() - second.trim_start().len()];
                let prefix = before.unwrap_or_else(|| match (several, starred) {
                    (false, _) => format!("{indent} * "),
                    (true, true) => format!("{lead}* "),
                    (true, false) => lead.to_owned(),
                });
                let closing = if several && starred { lead.to_owned() } else { format!("{indent} ") };
                Self { file, prefix, closing, ending, open: length(open), close: length(close), frame: None }
            }
            Carrier::Docstring => {
                let opening = text.len() - text.trim_start_matches(|c: char| c.is_ascii_alphabetic()).len();
                let quotes = text[opening..].starts_with("\"\"\"") || text[opening..].starts_with("'''");
                if !quotes && !is_single(&text[opening..]) {
                    return Err("its docstring is joined of several strings; make it one in triple quotes");
                }
                let marks = if quotes { 3 } else { 1 };
                let prefix = before.unwrap_or(indent);
                let open = Span::of(opening + marks, 0).start;
                Self {
                    file,
                    closing: prefix.clone(),
                    prefix,
                    ending,
                    open,
                    close: Span::of(marks, 0).start,
                    frame: None,
                }
            }
        })
    }

    /// Returns how lines are put into a comment with a frame, after the example of its own lines.
    fn framed(file: &'f FileReading<'f>, raw: &RawComment) -> Option<Self> {
        if file.language.border.is_empty() {
            return None;
        }
        let source = &file.source;
        let said = raw.lines.iter().copied().filter(|&line| !source.slice(line).trim().is_empty());
        let indent = |line: &Span| {
            let text = source.slice(*line);
            text.len() - text.trim_start().len()
        };
        let line = said.min_by_key(indent)?;
        let whole = source.line_span(source.line(line.start))?;
        let lead = Span::of(line.start as usize + indent(&line), 0).start;
        let before = source.slice(Span::new(whole.start, lead));
        // The line that the comment opens on shows its mark, not its frame.
        let (open, close) = match raw.carrier {
            Carrier::Block { open, .. } if before.trim_start().starts_with(open) => return None,
            Carrier::Block { open, close } => (length(open), length(close)),
            Carrier::Lines { .. } | Carrier::Docstring => (0, 0),
        };
        let after = source.slice(Span::new(line.end, whole.end));
        let column = source.slice(Span::new(whole.start, line.end)).chars().count() + after.len()
            - after.trim_start().len();
        let frame = (!after.trim().is_empty()).then(|| (after.trim().to_owned(), column));
        let closing = source.indent_at(raw.span.start).to_owned();
        Some(Self {
            file,
            prefix: before.to_owned(),
            closing,
            ending: source.line_ending(),
            open,
            close,
            frame,
        })
    }

    /// Returns where lines are put that follow a line of the comment: behind its frame, where it has one.
    fn behind(&self, line: Span) -> u32 {
        if self.frame.is_none() {
            return line.end;
        }
        self.file.source.line_span(self.file.source.line(line.start)).map_or(line.end, |whole| whole.end)
    }

    /// A docstring in single quotes is made one in triple quotes, so that it can hold several lines.
    fn widened(&self, raw: &RawComment) -> Vec<Edit> {
        if raw.carrier != Carrier::Docstring || self.close != 1 {
            return Vec::new();
        }
        let (first, last) = (raw.span.start + self.open - 1, raw.span.end - 1);
        let quote = self.file.source.slice(Span::new(last, raw.span.end)).to_owned();
        vec![
            Edit { span: Span::at(first), text: quote.repeat(2) },
            Edit { span: Span::at(raw.span.end), text: quote.repeat(2) },
        ]
    }

    /// The text of a block on one line gets a line of its own.
    fn opened(&self, raw: &RawComment) -> Option<Edit> {
        let [line] = raw.lines[..] else { return None };
        if self.file.dress().opens_with_text(raw.carrier) {
            return None;
        }
        let said = self.file.source.slice(line);
        let start = line.start + Span::of(said.len() - said.trim_start().len(), 0).start;
        let block = matches!(raw.carrier, Carrier::Block { .. });
        block.then(|| Edit {
            span: Span::new(line.start, start),
            text: format!("{}{}", self.ending, self.prefix),
        })
    }

    fn line(&self, text: &str) -> String {
        let line = format!("{}{text}", self.prefix);
        let Some((mark, column)) = &self.frame else { return format!("{}{}", self.ending, line.trim_end()) };
        let gap = " ".repeat(column.saturating_sub(line.chars().count()).max(1));
        format!("{}{line}{gap}{mark}", self.ending)
    }

    /// Returns the edit that puts an addition into its place.
    fn edit(&self, raw: &RawComment, addition: &Addition) -> Option<Edit> {
        let Some(before) = addition.at.checked_sub(1) else { return Some(self.at_top(raw, &addition.lines)) };
        let line = *raw.lines.get(before)?;
        let mut text: String = addition.lines.iter().map(|line| self.line(line)).collect();
        let last = addition.at == raw.lines.len() && !matches!(raw.carrier, Carrier::Lines { .. });
        if !last {
            return Some(Edit { span: Span::at(self.behind(line)), text });
        }
        // The closing mark moves to a line of its own.
        let said = self.file.source.slice(line).trim_end().len();
        let end = Span::of(line.start as usize + said, 0).start;
        text.push_str(self.ending);
        text.push_str(&self.closing);
        let inner_end = raw.span.end - self.close;
        Some(Edit { span: Span::new(end, inner_end.max(end)), text })
    }

    /// Returns the edit that puts lines before the first.
    fn at_top(&self, raw: &RawComment, lines: &[String]) -> Edit {
        if matches!(raw.carrier, Carrier::Lines { .. }) {
            let indent = self.file.source.indent_at(raw.span.start);
            let text =
                lines.iter().map(|line| format!("{}{}{indent}", self.line(line).trim_start(), self.ending));
            return Edit { span: Span::at(raw.span.start), text: text.collect() };
        }
        let start = raw.span.start + self.open;
        let joined = lines.join(&format!("{}{}", self.ending, self.prefix));
        let text = match raw.carrier {
            Carrier::Docstring => format!("{joined}{}{}", self.ending, self.prefix),
            Carrier::Block { .. } | Carrier::Lines { .. } => {
                format!("{}{}{}{}", self.ending, self.prefix, joined, self.line(""))
            }
        };
        Edit { span: Span::at(start), text }
    }

    /// Returns the edit that puts a description at the top.
    fn summary(&self, raw: &RawComment, lines: &[String], parted: bool) -> Edit {
        if matches!(raw.carrier, Carrier::Lines { .. }) {
            let gap = parted.then(String::new);
            return self.at_top(raw, &lines.iter().cloned().chain(gap).collect::<Vec<_>>());
        }
        let start = raw.span.start + self.open;
        let first = raw.lines.first().copied().unwrap_or(Span::at(start));
        let blank = self.file.source.slice(first).trim().is_empty();
        let joined = lines.join(" ");
        let text = match (raw.carrier, blank) {
            (Carrier::Docstring, true) => format!("{joined}{}", self.ending),
            (Carrier::Docstring, false) => format!("{joined}{}{}{}", self.ending, self.ending, self.prefix),
            (_, true) => format!("{}{}", self.line(&joined), self.line("")),
            (_, false) => format!("{}{}{}", self.line(&joined), self.line(""), self.line("")),
        };
        Edit { span: Span::at(start), text }
    }
}

fn length(mark: &str) -> u32 {
    Span::of(mark.len(), 0).start
}

/// Tells whether a text is one string in single quotes.
fn is_single(text: &str) -> bool {
    let Some(quote) = text.chars().next() else { return false };
    text.len() > 1 && text.ends_with(quote) && !text[1..text.len() - 1].replace(['\\'], "").contains(quote)
}

/// Returns what stands before the text of the least indented line of a comment, the first set aside.
fn before_text(file: &FileReading<'_>, raw: &RawComment) -> Option<String> {
    let source = &file.source;
    let indent = |line: &Span| {
        let text = source.slice(*line);
        text.len() - text.trim_start().len()
    };
    let said = raw.lines.iter().skip(1).filter(|line| !source.slice(**line).trim().is_empty());
    let line = said.min_by_key(|line| indent(line))?;
    let start = source.line_span(source.line(line.start))?.start;
    let upto = Span::of(line.start as usize + indent(line), 0).start;
    Some(source.slice(Span::new(start, upto)).to_owned())
}
