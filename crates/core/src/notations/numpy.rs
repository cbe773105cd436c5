//! Underlined sections: `Parameters` over `----------`.

use super::Lines;
use super::field_lists::exception_name;
use super::notation::{Addition, NewEntry, Notation, Order, TypeCustom, WriteStyle, Writer, title};
use super::sections::{self, SectionLines};
use super::summary::{blank, complete, describe, describe_from, section};
use crate::model::{Dialect, DocComment, EntryKind, NotationId};
use crate::text::{Span, narrow};

/// The notation.
pub(super) static NUMPY: Notation = Notation {
    id: NotationId::new("numpy"),
    looks_like: "Parameters, underlined",
    read,
    // An underline is stronger evidence than a colon.
    evidence: |lines| 2 * headings(lines).len(),
    spelling,
    holds: |kind| kind != EntryKind::TypeParam,
    writer: &NumpyWriter,
};

struct Heading {
    row: usize,
    title: &'static str,
    kind: Option<EntryKind>,
}

/// Finds the headings: a known title with a line of hyphens below it.
fn headings(lines: &Lines<'_>) -> Vec<Heading> {
    let mut out = Vec::new();
    for row in 0..lines.len().saturating_sub(1) {
        let under = lines.trimmed(row + 1);
        if under.len() < 3 || !under.bytes().all(|b| b == b'-' || b == b'=') {
            continue;
        }
        let text = lines.trimmed(row).trim_end_matches(':');
        let found = sections::title(text).or_else(|| sections::near_title(text));
        if let Some((title, kind)) = found {
            out.push(Heading { row, title, kind });
        }
    }
    out
}

/// Tells whether a line is underlined, whatever it says.
fn is_underlined(lines: &Lines<'_>, row: usize) -> bool {
    let under = lines.trimmed(row + 1);
    let drawn = |sign: u8| under.bytes().all(|byte| byte == sign);
    under.len() >= 3 && b"-=_~^".iter().any(|&sign| drawn(sign)) && !lines.is_blank(row)
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let mut doc = blank(lines, span, NUMPY.id);
    let headings = headings(lines);
    let opens = (0..lines.len()).find(|&row| !lines.is_blank(row)).unwrap_or(0);
    // A title over the whole is no section: the description stands below it.
    let titled = is_underlined(lines, opens) && headings.iter().all(|heading| heading.row != opens);
    let from = if titled { opens + 2 } else { 0 };
    let first =
        (from..lines.len()).find(|&row| is_underlined(lines, row) || headings.iter().any(|h| h.row == row));
    describe_from(&mut doc, lines, (from, 0), first.unwrap_or(lines.len()));
    if titled && doc.summary.is_none() {
        describe(&mut doc, lines, opens + 1);
    }
    let base = sections::base_indent(lines);
    for (number, heading) in headings.iter().enumerate() {
        let limit = headings.get(number + 1).map_or(lines.len(), |next| next.row);
        // A heading of the author's own ends the section as well, and an example at the left edge.
        let shows = |row: usize| lines.trimmed(row).starts_with(">>> ") && lines.indent(row) <= base;
        let end =
            (heading.row + 2..limit).find(|&row| is_underlined(lines, row) || shows(row)).unwrap_or(limit);
        let mut made =
            section(heading.title, heading.kind, sections::heading_span(lines, heading.row), heading.row);
        made.lines.1 = narrow(end);
        let items = (heading.row + 2..end).filter(|&row| !lines.is_blank(row));
        made.item_indent = narrow(items.map(|row| lines.indent(row)).min().unwrap_or(base));
        doc.sections.push(made);
        if let Some(kind) = heading.kind {
            read_items(&mut doc, lines, kind, (heading.row, end));
        }
    }
    sections::close_sections(&mut doc, lines);
    complete(&mut doc);
    doc
}

fn read_items(doc: &mut DocComment, lines: &Lines<'_>, kind: EntryKind, (heading, end): (usize, usize)) {
    let indent = doc.sections.last().map_or(0, |section| section.item_indent as usize);
    let rows: Vec<usize> =
        (heading + 2..end).filter(|&row| !lines.is_blank(row) && lines.indent(row) <= indent).collect();
    if matches!(kind, EntryKind::Returns | EntryKind::Yields) {
        read_value(doc, lines, kind, (heading, end), rows.first().copied());
        return;
    }
    for (at, &row) in rows.iter().enumerate() {
        let upto = rows.get(at + 1).copied().unwrap_or(end);
        let mut found = sections::item(kind, lines, row, doc.sections.len());
        let text = lines.trimmed(row);
        if kind == EntryKind::Throws {
            let head = sections::split_colon(text).map_or(text, |(head, _)| head);
            let parts: Vec<&str> =
                head.split(',').flat_map(|part| part.split(" or ")).map(str::trim).collect();
            let types = parts.iter().all(|part| !part.contains(' '));
            let before = doc.entries.last_mut().filter(|last| {
                last.section as usize == doc.sections.len()
                    && last.text.is_none()
                    && last.lines.1 as usize == row
            });
            if let Some(last) = before.filter(|_| !types) {
                // The condition of the one above, which its author did not indent.
                sections::set_text(last, lines, text, upto);
                continue;
            }
            if types {
                found.names = parts.iter().filter_map(|part| exception_name(lines, part)).collect();
            }
            let rest = if types { sections::split_colon(text).map(|(_, rest)| rest) } else { Some(text) };
            sections::set_text(&mut found, lines, rest.unwrap_or(sections::line_end(lines, row)), upto);
            doc.entries.push(found);
            continue;
        }
        // What leads to a literal block (reStructuredText, "Literal Blocks") names nothing.
        if text.ends_with("::") {
            continue;
        }
        let below = (row + 1..upto).find(|&below| !lines.is_blank(below));
        let lists = below.is_some_and(|below| lines.trimmed(below).starts_with(['-', '*']));
        if text.strip_suffix(':').is_some_and(|text| sections::is_title(text) || lists && is_heading(text)) {
            // A heading in another notation's form ends the list.
            break;
        }
        let (names, ty) = sections::split_colon(text).unwrap_or((text, ""));
        // `load (float):`, as the other notation has it.
        let (names, ty) =
            match names.split_once(" (").and_then(|(name, ty)| Some((name, ty.strip_suffix(')')?))) {
                Some(split) if ty.trim().is_empty() => split,
                _ => (names, ty),
            };
        // The last words of a paragraph are no item.
        let goes_on =
            row > heading + 2 && lines.indent(row - 1) == lines.indent(row) && !lines.is_blank(row - 1);
        let prose = ty.is_empty()
            && (text.ends_with('.') && !text.ends_with("..") || goes_on && is_prose(lines.trimmed(row - 1)));
        // `load, optional`: no type is told.
        let (names, ty) = match names.trim().rsplit_once(',') {
            Some((names, last)) if ty.is_empty() && last.trim() == "optional" => (names, last),
            _ => (names, ty),
        };
        let Some(names) = sections::names(lines, names.trim()).filter(|_| !prose) else { continue };
        found.names = names;
        // `scale: Scale of the yard.`: a sentence is no type.
        let sentence = ty.trim().strip_suffix('.').is_some_and(|ty| {
            let several = ty.contains(' ') && !ty.ends_with('.') && !ty.contains("default");
            several && (ty.contains(" the ") || !sections::looks_like_type(ty))
        });
        if sentence {
            sections::set_text(&mut found, lines, ty.trim(), upto);
        } else {
            sections::read_type(&mut found, lines, ty);
            sections::set_text(&mut found, lines, sections::line_end(lines, row), upto);
        }
        doc.entries.push(found);
    }
}

/// A section about what comes back is one entry, though it may list several parts.
fn read_value(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    kind: EntryKind,
    (heading, end): (usize, usize),
    first: Option<usize>,
) {
    let row = first.unwrap_or(heading);
    let mut found = sections::item(kind, lines, row, doc.sections.len());
    found.tag = sections::heading_span(lines, heading);
    let indent = first.map_or(0, |row| lines.indent(row));
    let listed = first.map_or(0, |row| {
        let heads = (row..end).filter(|&at| !lines.is_blank(at) && lines.indent(at) <= indent);
        let named = |at: usize| {
            let split = sections::split_colon(lines.trimmed(at));
            split.is_some_and(|(name, ty)| !ty.trim().is_empty() && !name.trim().contains(' '))
        };
        heads.filter(|&at| lines.trimmed(at).contains(" : ") || named(at)).count()
    });
    if let Some(row) = first {
        let text = lines.trimmed(row);
        let split = sections::split_colon(text);
        // Several words that are no type are a description.
        let prose =
            split.is_none() && text.split_whitespace().count() > 2 && !sections::looks_like_type(text);
        if prose || sections::is_reminder(split.map_or(text, |(head, _)| head)) {
            sections::set_text(&mut found, lines, text, end);
        } else {
            // `Crate:` is a type with nothing behind it.
            let ty = split.map_or(text, |(head, ty)| if ty.trim().is_empty() { head } else { ty });
            sections::read_type(&mut found, lines, ty);
            sections::set_text(&mut found, lines, sections::line_end(lines, row), end);
        }
        let several = split.is_some_and(|(names, _)| names.contains(',') && !names.contains(['[', '(']));
        if listed > 1 || several || found.ty.is_some_and(|_| follows_alike(lines, row, end)) {
            // Of several results each has a type of its own.
            found.ty = None;
        }
        if found.text.is_none() && text.split_whitespace().count() > 2 {
            // Prose where the type should be is a description all the same.
            found.text = Some(lines.trimmed_span(row));
        }
    }
    found.lines.0 = narrow(heading);
    doc.entries.push(found);
}

/// Tells whether a word is written as headings are: `Outputs`.
fn is_heading(text: &str) -> bool {
    text.len() > 3 && text.starts_with(char::is_uppercase) && text.chars().skip(1).all(char::is_lowercase)
}

/// Several words without a colon are no item.
fn is_prose(text: &str) -> bool {
    text.split_whitespace().count() > 3 && sections::split_colon(text).is_none() && !text.contains(',')
}

/// Tells whether another result is listed below the first: at its indentation, behind a description that stands
/// further in.
fn follows_alike(lines: &Lines<'_>, row: usize, end: usize) -> bool {
    let indent = lines.indent(row);
    let deeper = (row + 1..end).find(|&at| !lines.is_blank(at) && lines.indent(at) > indent);
    deeper.is_some_and(|from| (from..end).any(|at| !lines.is_blank(at) && lines.indent(at) <= indent))
}

fn spelling(kind: EntryKind, name: &str, _dialect: Dialect) -> String {
    match kind {
        EntryKind::Param | EntryKind::TypeParam | EntryKind::Property | EntryKind::Throws => name.to_owned(),
        EntryKind::Returns => "Returns".to_owned(),
        EntryKind::Yields => "Yields".to_owned(),
    }
}

/// How this notation writes.
struct NumpyWriter;

struct Items<'a>(&'a WriteStyle);

impl SectionLines for Items<'_> {
    fn heading(&self, kind: EntryKind) -> Vec<String> {
        let title = match kind {
            EntryKind::Param | EntryKind::TypeParam => "Parameters",
            EntryKind::Returns => "Returns",
            EntryKind::Yields => "Yields",
            EntryKind::Throws => "Raises",
            EntryKind::Property => "Attributes",
        };
        vec![title.to_owned(), "-".repeat(title.len())]
    }

    fn item(&self, entry: &NewEntry) -> Vec<String> {
        let ty = match (&entry.ty, entry.optional) {
            (Some(ty), true) => format!("{ty}, optional"),
            (Some(ty), false) => ty.clone(),
            (None, true) => "optional".to_owned(),
            (None, false) => String::new(),
        };
        let head = match (&entry.name, ty.is_empty()) {
            (Some(name), false) if entry.kind != EntryKind::Throws => format!("{name} : {ty}"),
            (Some(name), _) => name.clone(),
            (None, false) => ty,
            (None, true) => return vec![entry.text.clone()],
        };
        vec![head, format!("{}{}", self.0.step, entry.text)]
    }
}

impl Writer for NumpyWriter {
    fn whole(&self, summary: &str, entries: &[NewEntry], style: &WriteStyle) -> Vec<String> {
        let mut out = vec![summary.to_owned()];
        out.extend(sections::whole(&Items(style), entries));
        out
    }

    fn additions(
        &self,
        (doc, lines): (&DocComment, &Lines<'_>),
        entries: &[NewEntry],
        order: &Order,
        style: &WriteStyle,
    ) -> Vec<Addition> {
        sections::additions(&Items(style), doc, lines, entries, order)
    }

    fn section(&self, tag: &str, text: &str, _style: &WriteStyle) -> Vec<String> {
        vec![String::new(), title(tag), "-".repeat(tag.chars().count()), text.to_owned()]
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Always
    }
}
