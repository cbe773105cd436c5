//! Indented sections: `Args:`, `Returns:`, `Raises:`.

use super::Lines;
use super::field_lists::exception_name;
use super::notation::{Addition, NewEntry, Notation, Order, TypeCustom, WriteStyle, Writer, title};
use super::sections::{self, LONGEST_TITLE, SectionLines};
use super::summary::{blank, complete, describe, describe_from, section};
use crate::model::{Dialect, DocComment, Entry, EntryKind, NotationId};
use crate::text::{Span, narrow};

/// The notation.
pub(super) static GOOGLE: Notation = Notation {
    id: NotationId::new("google"),
    looks_like: "Args:",
    read,
    evidence: |lines| headings(lines).iter().filter(|heading| heading.kind.is_some()).count(),
    spelling,
    holds: |kind| kind != EntryKind::TypeParam,
    writer: &GoogleWriter,
};

struct Heading {
    row: usize,
    title: &'static str,
    kind: Option<EntryKind>,
    indent: usize,
    has_colon: bool,
}

/// Tells whether a line may be a heading, by its first letter and its length or that of what stands before a colon. Most are
/// none.
fn may_head(lines: &Lines<'_>, row: usize) -> bool {
    let text = lines.trimmed(row);
    text.starts_with(char::is_uppercase)
        && (text.len() <= LONGEST_TITLE || text.as_bytes()[..=LONGEST_TITLE].contains(&b':'))
}

/// Finds the headings: a known title and a colon at the comment's own indentation, text on the same line
/// only where a single entry is expected.
fn headings(lines: &Lines<'_>) -> Vec<Heading> {
    // Most comments have no line that could be one.
    let Some(first) = (0..lines.len()).find(|&row| may_head(lines, row)) else { return Vec::new() };
    let base = sections::base_indent(lines);
    let shielded = lines.shielded();
    let mut out = Vec::new();
    for row in (first..lines.len()).filter(|&row| may_head(lines, row) && !shielded[row]) {
        let Some((title, rest)) = lines.trimmed(row).split_once(':') else {
            let lists = out.iter().any(|heading: &Heading| !heading.has_colon);
            let at_base = |_: &_| sections::indent_of(lines, row, base) == base;
            if let Some((title, kind)) = bare_heading(lines, row, lists).filter(at_base) {
                out.push(Heading { row, title, kind: Some(kind), indent: base, has_colon: false });
            }
            continue;
        };
        let indent = sections::indent_of(lines, row, base);
        // One that stands a little too far in, and left of the items above, ends their list.
        let above = out.last().filter(|_| indent > base && rest.is_empty());
        let leans = above.and_then(|above| (above.row + 1..row).find(|&item| !lines.is_blank(item)));
        let leans = leans.is_some_and(|item| lines.indent(item) > indent && sections::title(title).is_some());
        if (indent != base && !leans) || !title.starts_with(char::is_uppercase) {
            continue;
        }
        let followed = (row + 1..lines.len()).find(|&next| !lines.is_blank(next));
        let deeper = followed.is_some_and(|next| lines.indent(next) > indent);
        let found = sections::title(title).or_else(|| {
            sections::near_title(title).filter(|_| rest.is_empty() && deeper && items_like(lines, followed))
        });
        let Some((title, kind)) = found else { continue };
        let single = matches!(kind, Some(EntryKind::Returns | EntryKind::Yields | EntryKind::Throws));
        if rest.trim().is_empty() || (single && rest.starts_with(' ')) {
            out.push(Heading { row, title, kind, indent, has_colon: true });
        }
    }
    out
}

/// Finds the title of entries that lacks its colon: over a list of parameters, and behind such a one over any.
fn bare_heading(lines: &Lines<'_>, row: usize, lists: bool) -> Option<(&'static str, EntryKind)> {
    // Most lines are too long for a title, or begin otherwise.
    let text = lines.trimmed(row);
    let below = row + 1;
    if text.len() > LONGEST_TITLE
        || !text.starts_with(|c: char| c.is_ascii_uppercase())
        || below >= lines.len()
    {
        return None;
    }
    let (title, kind) = sections::title(text)?;
    let kind = kind.filter(|&kind| lists || kind == EntryKind::Param)?;
    let named = || {
        let (head, _) = sections::split_colon(lines.trimmed(below))?;
        sections::names(lines, head.split_once(" (").map_or(head, |(name, _)| name))
    };
    let holds = !lines.is_blank(below) && lines.indent(below) > lines.indent(row);
    (holds && (kind != EntryKind::Param || named().is_some())).then_some((title, kind))
}

/// A misspelt heading is one when something like an item follows.
fn items_like(lines: &Lines<'_>, row: Option<usize>) -> bool {
    row.is_some_and(|row| sections::split_colon(lines.trimmed(row)).is_some())
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let mut doc = blank(lines, span, GOOGLE.id);
    let headings = headings(lines);
    describe(&mut doc, lines, headings.first().map_or(lines.len(), |heading| heading.row));
    for (number, heading) in headings.iter().enumerate() {
        let limit = headings.get(number + 1).map_or(lines.len(), |next| next.row);
        let past = |from: usize| {
            (from..limit).find(|&row| !lines.is_blank(row) && lines.indent(row) <= heading.indent)
        };
        let mut end = past(heading.row + 1).unwrap_or(limit);
        // A list of entries that a blank line parts from the heading is one wherever it begins.
        let gap = heading.kind.is_some()
            && end > heading.row + 1
            && (heading.row + 1..end).all(|row| lines.is_blank(row));
        while gap
            && end < limit
            && lines.indent(end) == heading.indent
            && sections::list_item(lines.trimmed(end)).is_some()
        {
            end = past(end + 1).unwrap_or(limit);
        }
        let mut made =
            section(heading.title, heading.kind, sections::heading_span(lines, heading.row), heading.row);
        made.lines.1 = narrow(end);
        let first = (heading.row + 1..end).find(|&row| !lines.is_blank(row));
        made.item_indent = narrow(first.map_or(heading.indent + 4, |row| lines.indent(row)));
        doc.sections.push(made);
        if let Some(kind) = heading.kind {
            read_items(&mut doc, lines, kind, (heading.row, end));
        }
    }
    sections::close_sections(&mut doc, lines);
    if doc.summary.is_none() && !headings.is_empty() {
        describe_below(&mut doc, lines);
    }
    complete(&mut doc);
    doc
}

/// Takes what stands below the entries for the description, where nothing stands above them.
fn describe_below(doc: &mut DocComment, lines: &Lines<'_>) {
    let within = |row: usize| {
        doc.sections.iter().any(|section| (section.lines.0..section.lines.1).contains(&narrow(row)))
    };
    let opens = doc.sections.iter().find(|section| section.kind.is_some());
    let from = opens.map_or(lines.len(), |section| section.lines.1 as usize);
    let free = |row: usize| !within(row) && !lines.is_blank(row);
    let Some(first) = (from..lines.len()).find(|&row| free(row)) else { return };
    let upto = (first..lines.len()).find(|&row| within(row)).unwrap_or(lines.len());
    if lines.trimmed(first).starts_with(char::is_alphabetic) && !lines.shielded()[first] {
        describe_from(doc, lines, (first, 0), upto);
    }
}

fn read_items(doc: &mut DocComment, lines: &Lines<'_>, kind: EntryKind, (heading, end): (usize, usize)) {
    let inline = lines.trimmed(heading).split_once(':').map_or("", |(_, rest)| rest.trim());
    if matches!(kind, EntryKind::Returns | EntryKind::Yields) {
        read_value(doc, lines, kind, (heading, end), inline);
        return;
    }
    if !inline.is_empty() {
        read_item(doc, lines, kind, (heading, end), inline);
        return;
    }
    let item_indent = doc.sections.last().map_or(0, |section| section.item_indent as usize);
    let number = doc.sections.len();
    let rows: Vec<usize> =
        (heading + 1..end).filter(|&row| !lines.is_blank(row) && lines.indent(row) <= item_indent).collect();
    // Where the first entry is no item of a list, items list what the entry above may be.
    let is_item = |row: usize| ["- ", "* "].iter().any(|mark| lines.trimmed(row).starts_with(mark));
    let listed = rows.first().is_some_and(|&row| is_item(row));
    for (at, &row) in rows.iter().enumerate() {
        let upto = rows.get(at + 1).copied().unwrap_or(end);
        // A section that stands too far in ends the list: `Example:`.
        let title =
            lines.trimmed(row).strip_suffix(':').filter(|title| title.starts_with(char::is_uppercase));
        if at > 0 && title.is_some_and(sections::is_title_of_text) {
            break;
        }
        let before = doc.entries.len();
        if listed || !is_item(row) {
            read_item(doc, lines, kind, (row, upto), lines.trimmed(row));
        }
        if doc.entries.len() == before {
            // No item: it goes on with the one before.
            if let Some(last) = doc.entries.last_mut().filter(|last| last.section as usize == number) {
                let more = lines.text_span(lines.trimmed_span(row).start, row, upto);
                last.text = match (last.text, more) {
                    (Some(text), Some(more)) => Some(text.cover(more)),
                    (text, more) => text.or(more),
                };
                last.lines.1 = narrow(upto);
            }
        }
    }
}

/// Reads the one entry of a section about what comes back.
fn read_value(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    kind: EntryKind,
    (heading, end): (usize, usize),
    inline: &str,
) {
    let row = if inline.is_empty() {
        (heading + 1..end).find(|&row| !lines.is_blank(row)).unwrap_or(heading)
    } else {
        heading
    };
    let mut found = sections::item(kind, lines, row, doc.sections.len());
    found.tag = sections::heading_span(lines, heading);
    if row != heading || !inline.is_empty() {
        let text = if inline.is_empty() { lines.trimmed(row) } else { inline };
        let text = sections::list_item(text).unwrap_or(text);
        let typed = |text| sections::split_colon(text).filter(|(ty, _)| sections::looks_like_type(ty));
        // Of several results each has a type of its own.
        let alike = |at: &usize| !lines.is_blank(*at) && lines.indent(*at) <= lines.indent(row);
        let several =
            inline.is_empty() && (row + 1..end).filter(alike).any(|at| typed(lines.trimmed(at)).is_some());
        let rest = match typed(text).filter(|_| !several) {
            Some((ty, rest)) => {
                sections::read_type(&mut found, lines, ty);
                rest
            }
            None => text,
        };
        sections::set_text(&mut found, lines, rest, end);
    }
    found.lines.0 = narrow(heading);
    doc.entries.push(found);
}

/// Splits a name with its type off the text behind it, where the author forgot the colon: `load (float) what it weighs`.
fn head_without_colon(text: &str) -> Option<(&str, &str)> {
    let (name, behind) = text.split_once(" (")?;
    let (ty, rest) = behind.split_once(") ")?;
    let is_name = !name.is_empty() && name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '*'));
    (is_name && sections::looks_like_type(ty) && !ty.contains(' '))
        .then(|| text.split_at(text.len() - rest.len()))
}

fn read_item(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    kind: EntryKind,
    (row, end): (usize, usize),
    text: &str,
) {
    let mut found = sections::item(kind, lines, row, doc.sections.len());
    let text = sections::list_item(text).unwrap_or(text);
    // The last word of a sentence that filled the line above.
    let unfinished = |last: &&Entry| {
        let said = last.text.map_or("", |text| lines.source().slice(text));
        said.ends_with(|c: char| c.is_alphanumeric() || c == ',')
    };
    let above = doc.entries.last().filter(|last| last.section as usize == doc.sections.len());
    let begins = above.filter(unfinished).is_none();
    let (head, rest) = match sections::split_colon(text) {
        Some((head, rest)) => (head.trim(), rest),
        None => {
            let dashed = || text.split_once(" - ").or_else(|| text.split_once(" -- "));
            match head_without_colon(text).filter(|_| begins).or_else(dashed) {
                Some((head, rest)) => (head.trim(), rest),
                None => (text, sections::line_end(lines, row)),
            }
        }
    };
    let is_bare =
        || head == text && !text.contains(['(', ':']) && sections::list_item(lines.trimmed(row)).is_none();
    let filled = || row > 0 && lines.text(row - 1).trim_end().len() > 60;
    if kind != EntryKind::Throws && is_bare() && filled() && !begins {
        return;
    }
    // The end of a sentence above that stands too far left: "`Crate.load`(s)."
    let is_sentence_end = text.ends_with('.') && !text.ends_with("..") && head == text;
    let may_be_type = kind == EntryKind::Throws && !(above.is_some() && text.starts_with(char::is_lowercase));
    if is_sentence_end && !may_be_type && sections::split_colon(text).is_none() {
        return;
    }
    if kind == EntryKind::Throws {
        let parts: Vec<&str> = head.split(',').flat_map(|part| part.split(" or ")).map(str::trim).collect();
        if parts.iter().all(|part| !part.contains(' ')) {
            found.names = parts.iter().filter_map(|part| exception_name(lines, part)).collect();
        }
        let said = if found.names.is_empty() { text } else { rest };
        sections::set_text(&mut found, lines, said, end);
        doc.entries.push(found);
        return;
    }
    let (names, ty) = match head.split_once('(') {
        Some((names, ty)) => (names.trim(), ty.trim_end().strip_suffix(')').unwrap_or(ty)),
        None => (head, ""),
    };
    // Words that join others are no names without a colon: `or (3, 4)`.
    if matches!(names, "or" | "and" | "not") && sections::split_colon(text).is_none() {
        return;
    }
    // A line without a colon is an item only when it is nothing but names.
    let Some(names) = sections::names(lines, names) else { return };
    found.names = names;
    sections::read_type(&mut found, lines, ty);
    sections::set_text(&mut found, lines, rest, end);
    doc.entries.push(found);
}

fn spelling(kind: EntryKind, name: &str, _dialect: Dialect) -> String {
    match kind {
        EntryKind::Param | EntryKind::TypeParam => format!("{name}:"),
        EntryKind::Returns => "Returns:".to_owned(),
        EntryKind::Yields => "Yields:".to_owned(),
        EntryKind::Throws => format!("{name}:"),
        EntryKind::Property => format!("{name}:"),
    }
}

/// How this notation writes.
struct GoogleWriter;

struct Items<'a>(&'a WriteStyle);

impl SectionLines for Items<'_> {
    fn heading(&self, kind: EntryKind) -> Vec<String> {
        let title = match kind {
            EntryKind::Param | EntryKind::TypeParam => "Args:",
            EntryKind::Returns => "Returns:",
            EntryKind::Yields => "Yields:",
            EntryKind::Throws => "Raises:",
            EntryKind::Property => "Attributes:",
        };
        vec![title.to_owned()]
    }

    fn item(&self, entry: &NewEntry) -> Vec<String> {
        let (step, text) = (&self.0.step, &entry.text);
        let Some(name) = &entry.name else {
            let ty = entry.ty.as_ref().map(|ty| format!("{ty}: ")).unwrap_or_default();
            return vec![format!("{step}{ty}{text}")];
        };
        let ty = match (&entry.ty, entry.optional) {
            (Some(ty), true) => format!(" ({ty}, optional)"),
            (Some(ty), false) => format!(" ({ty})"),
            (None, _) => String::new(),
        };
        vec![format!("{step}{name}{ty}: {text}")]
    }
}

impl Writer for GoogleWriter {
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

    fn section(&self, tag: &str, text: &str, style: &WriteStyle) -> Vec<String> {
        vec![String::new(), format!("{}:", title(tag)), format!("{}{text}", style.step)]
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::WhereSignatureHasNone
    }
}
