//! Comment boxes: parts that words of one's own open (`Purpose: …`, `Inputs: name - text`). Which words
//! these are, the language's dialect says.

use super::Lines;
use super::field_lists::exception_name;
use super::notation::{Addition, NewEntry, Notation, Order, TypeCustom, WriteStyle, Writer};
use super::sections::{self, SectionLines};
use super::summary::{blank, complete, describe_from, section};
use crate::model::{Dialect, DocComment, EntryKind, Labels, NotationId};
use crate::text::{Span, narrow};

/// The notation.
pub(super) static LABELS: Notation = Notation {
    id: NotationId::new("labels"),
    looks_like: "Inputs: name - text, under labels of one's own",
    read,
    evidence: |lines| labelled(lines).iter().filter(|part| part.opens != Opens::Unknown).count(),
    spelling,
    holds: |kind| matches!(kind, EntryKind::Param | EntryKind::Returns | EntryKind::Throws),
    writer: &LabelWriter,
};

/// What a label opens.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Opens {
    Summary,
    Entries(EntryKind),
    Ignored,
    /// A word and a colon that no label of the profile is.
    Unknown,
}

/// A labelled part of a comment.
struct Part<'s> {
    row: usize,
    opens: Opens,
    /// The label as written.
    label: &'s str,
    /// What follows it on its line.
    rest: &'s str,
}

const NONE: Labels = Labels { summary: &[], param: &[], returns: &[], raises: &[], ignore: &[] };

fn labels(dialect: Dialect) -> Labels {
    match dialect {
        Dialect::Labels(labels) => *labels,
        Dialect::Plain
        | Dialect::Kotlin
        | Dialect::Scala
        | Dialect::JavaScript
        | Dialect::TypeScript
        | Dialect::Php
        | Dialect::Ruby
        | Dialect::Colon => NONE,
    }
}

/// Splits a label off a line: it stands at the line's start, and a colon, a wide gap or nothing follows.
fn known<'s>(text: &'s str, labels: &Labels) -> Option<(Opens, &'s str, &'s str)> {
    let groups = [
        (Opens::Summary, labels.summary),
        (Opens::Entries(EntryKind::Param), labels.param),
        (Opens::Entries(EntryKind::Returns), labels.returns),
        (Opens::Entries(EntryKind::Throws), labels.raises),
        (Opens::Ignored, labels.ignore),
    ];
    let all = groups.iter().flat_map(|&(opens, words)| words.iter().map(move |&word| (opens, word)));
    let opened = all.filter_map(|(opens, word)| {
        let word = word.trim_end_matches(':').trim_end();
        let head =
            text.get(..word.len()).filter(|head| head.eq_ignore_ascii_case(word) && !word.is_empty())?;
        let behind = &text[word.len()..];
        let bare = behind.trim_start();
        let gap = behind.len() - bare.len();
        let rest = match bare.strip_prefix(':') {
            Some(rest) => rest.trim_start(),
            None if bare.is_empty() || gap > 1 || behind.starts_with('\t') => bare,
            None => bare.strip_prefix("- ").filter(|_| gap > 0)?,
        };
        Some((opens, head, rest))
    });
    opened.max_by_key(|(_, label, _)| label.len())
}

/// Tells whether a line opens a part with a word that is no label of the profile.
fn unknown(text: &str) -> Option<(&str, &str)> {
    let (head, rest) = text.split_once(':')?;
    let head = head.trim_end();
    let words = head.split_whitespace().count();
    let plain = head.chars().all(|c| c.is_alphanumeric() || matches!(c, ' ' | '-' | '_' | '/' | '.'));
    (head.starts_with(char::is_uppercase) && (1..=3).contains(&words) && plain && !rest.starts_with(':'))
        .then_some((head, rest.trim_start()))
}

fn labelled<'s>(lines: &Lines<'s>) -> Vec<Part<'s>> {
    let labels = labels(lines.dialect());
    let mut out: Vec<Part<'s>> = Vec::new();
    // Labels stand one below the other; what is further in is their text.
    let mut column = None;
    for row in 0..lines.len() {
        let text = lines.trimmed(row);
        let indent = lines.indent(row);
        let further = column.is_some_and(|column| indent > column);
        if let Some((opens, label, rest)) = known(text, &labels).filter(|_| !further) {
            column.get_or_insert(indent);
            out.push(Part { row, opens, label, rest });
        } else if column.is_some_and(|column| indent <= column)
            && let Some((label, rest)) = unknown(text)
        {
            out.push(Part { row, opens: Opens::Unknown, label, rest });
        }
    }
    out
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let mut doc = blank(lines, span, LABELS.id);
    let parts = labelled(lines);
    let end = |number: usize| parts.get(number + 1).map_or(lines.len(), |next| next.row);
    match parts.iter().position(|part| part.opens == Opens::Summary) {
        Some(number) => {
            let part = &parts[number];
            describe_from(&mut doc, lines, (part.row, lines.span_of(part.rest).start), end(number));
        }
        None => describe_from(&mut doc, lines, (0, 0), parts.first().map_or(lines.len(), |part| part.row)),
    }
    for (number, part) in parts.iter().enumerate() {
        let Opens::Entries(kind) = part.opens else { continue };
        let mut made = section(title(kind), Some(kind), lines.span_of(part.label), part.row);
        let upto = lines.last_said(part.row, end(number));
        made.lines.1 = narrow(upto);
        let column = if part.rest.is_empty() {
            (part.row + 1..upto).find(|&row| !lines.is_blank(row)).map(|row| lines.indent(row))
        } else {
            let line = lines.text(part.row);
            let lead = line.len() - part.rest.len() - (line.len() - line.trim_end().len());
            Some(line[..lead.min(line.len())].chars().count())
        };
        made.item_indent = narrow(column.unwrap_or_else(|| lines.indent(part.row) + 2));
        doc.sections.push(made);
        read_items(&mut doc, lines, (kind, part), upto);
    }
    complete(&mut doc);
    doc
}

fn title(kind: EntryKind) -> &'static str {
    match kind {
        EntryKind::Param | EntryKind::TypeParam | EntryKind::Property => "Parameters",
        EntryKind::Returns => "Returns",
        EntryKind::Yields => "Yields",
        EntryKind::Throws => "Raises",
    }
}

/// Tells whether a text says that there is nothing to say.
fn says_none(text: &str) -> bool {
    let bare = text.trim().trim_end_matches('.').to_ascii_lowercase();
    matches!(bare.as_str(), "none" | "n/a" | "-" | "nothing" | "no")
}

fn read_items(doc: &mut DocComment, lines: &Lines<'_>, (kind, part): (EntryKind, &Part<'_>), upto: usize) {
    let number = doc.sections.len();
    if kind == EntryKind::Returns {
        let mut found = sections::item(kind, lines, part.row, number);
        found.tag = lines.span_of(part.label);
        sections::set_text(&mut found, lines, part.rest, upto);
        if !found.text.is_some_and(|text| says_none(lines.source().slice(text))) {
            doc.entries.push(found);
        }
        return;
    }
    let column = doc.sections.last().map_or(0, |section| section.item_indent as usize);
    let mut rows: Vec<(usize, &str)> = Vec::new();
    if !part.rest.is_empty() {
        rows.push((part.row, part.rest));
    }
    let below = (part.row + 1..upto).filter(|&row| !lines.is_blank(row) && lines.indent(row) <= column);
    rows.extend(below.map(|row| (row, lines.trimmed(row))));
    for (at, &(row, text)) in rows.iter().enumerate() {
        let end = rows.get(at + 1).map_or(upto, |&(next, _)| next);
        read_item(doc, lines, kind, (row, end), text);
    }
}

fn read_item(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    kind: EntryKind,
    (row, end): (usize, usize),
    text: &str,
) {
    let (head, rest) = split(text);
    let mut found = sections::item(kind, lines, row, doc.sections.len());
    let (head, ty) = match head.split_once('(') {
        Some((names, ty)) => (names.trim_end(), ty.trim_end().trim_end_matches(')')),
        None => (head, ""),
    };
    let names = match kind {
        EntryKind::Throws => exception_name(lines, head).map(|name| vec![name]),
        EntryKind::TypeParam
        | EntryKind::Param
        | EntryKind::Returns
        | EntryKind::Yields
        | EntryKind::Property => sections::names(lines, head.trim_start_matches(['&', '%'])),
    };
    let Some(names) = names.filter(|_| !says_none(text)) else { return };
    found.tag = names.first().map_or(found.tag, |name| name.span);
    found.names = names;
    sections::read_type(&mut found, lines, ty);
    sections::set_text(&mut found, lines, rest, end);
    doc.entries.push(found);
}

/// Parts the names of an item from its text: a dash, a colon, an equals sign or a wide gap lies between.
fn split(text: &str) -> (&str, &str) {
    let whole = (text, &text[text.len()..]);
    let cut = |at: usize, mark: usize| (text[..at].trim_end(), text[at + mark..].trim_start());
    let marks = [" - ", " -- ", " – ", " — ", ":", "=", "  ", "\t"];
    let found = marks.iter().filter_map(|mark| text.find(mark).map(|at| (at, mark.len()))).min();
    found.map_or(whole, |(at, mark)| {
        let (head, rest) = cut(at, mark);
        (head, rest.trim_start_matches(['-', '–', '—', ':', '=']).trim_start())
    })
}

fn spelling(kind: EntryKind, name: &str, dialect: Dialect) -> String {
    match kind {
        EntryKind::Param | EntryKind::TypeParam | EntryKind::Throws | EntryKind::Property => name.to_owned(),
        EntryKind::Returns | EntryKind::Yields => {
            format!("{}:", labels(dialect).returns.first().copied().unwrap_or("Returns"))
        }
    }
}

/// How this notation writes.
struct LabelWriter;

struct Items<'a>(&'a WriteStyle);

impl SectionLines for Items<'_> {
    fn heading(&self, kind: EntryKind) -> Vec<String> {
        let labels = labels(self.0.dialect);
        let words = match kind {
            EntryKind::Param | EntryKind::TypeParam | EntryKind::Property => labels.param,
            EntryKind::Returns | EntryKind::Yields => labels.returns,
            EntryKind::Throws => labels.raises,
        };
        let label = words.first().copied().unwrap_or_else(|| title(kind));
        vec![format!("{}:", label.trim_end_matches(':'))]
    }

    fn item(&self, entry: &NewEntry) -> Vec<String> {
        let text = &entry.text;
        match &entry.name {
            Some(name) => vec![format!("  {name} - {text}")],
            None => vec![format!("  {text}")],
        }
    }
}

impl Writer for LabelWriter {
    fn whole(&self, summary: &str, entries: &[NewEntry], style: &WriteStyle) -> Vec<String> {
        let summary = match labels(style.dialect).summary.first() {
            Some(label) => format!("{}: {summary}", label.trim_end_matches(':')),
            None => summary.to_owned(),
        };
        let mut out = vec![summary];
        out.extend(sections::whole(&Items(style), entries).into_iter().filter(|line| !line.is_empty()));
        out
    }

    fn additions(
        &self,
        (doc, lines): (&DocComment, &Lines<'_>),
        entries: &[NewEntry],
        order: &Order,
        style: &WriteStyle,
    ) -> Vec<Addition> {
        let mut out = sections::additions(&Items(style), doc, lines, entries, order);
        // A box has no empty line between its parts.
        for addition in &mut out {
            addition.lines.retain(|line| !line.is_empty());
        }
        out
    }

    fn parted(&self, _style: &WriteStyle) -> bool {
        false
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }
}
