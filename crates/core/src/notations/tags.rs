//! Block tags at the start of a line: `@param name text`.
//!
//! Source for the tags: the documentation comment specification of the Java platform (JDK 23), chapter
//! "Standard tags". The type in braces and the name in brackets are read as other languages write them.

use super::fields;
use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::summary::{blank, complete, describe, entry, entry_name, first_word, mark};
use super::table::{Meaning, Tag, look_up};
use super::{Lines, fields::EntryLines};
use crate::model::{DocComment, Entry, EntryKind, EntryName, MarkStanding, Name, NotationId, Surface};
use crate::text::Span;

/// The notation.
pub(super) static TAGS: Notation = Notation {
    id: NotationId::new("tags"),
    looks_like: "@param name text",
    read,
    evidence,
    spelling,
    holds: |kind| !matches!(kind, EntryKind::Yields),
    writer: &fields::FieldWriter(&TagLines),
};

const TABLE: &[Tag] = &[
    ("param", Meaning::Entry(EntryKind::Param)),
    ("return", Meaning::Entry(EntryKind::Returns)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("throws", Meaning::Entry(EntryKind::Throws)),
    ("exception", Meaning::Entry(EntryKind::Throws)),
    ("property", Meaning::Entry(EntryKind::Property)),
    ("inheritDoc", Meaning::Inherits),
    ("inheritdoc", Meaning::Inherits),
    ("hidden", Meaning::Hidden),
    ("hide", Meaning::Hidden),
    ("ignore", Meaning::Hidden),
    ("suppress", Meaning::Hidden),
    ("deprecated", Meaning::Deprecated),
    ("internal", Meaning::Surface(Surface::Package)),
    ("private", Meaning::Surface(Surface::Private)),
    ("protected", Meaning::Surface(Surface::Protected)),
    ("public", Meaning::Surface(Surface::Public)),
    ("apiNote", Meaning::Mark),
    ("author", Meaning::Mark),
    ("category", Meaning::Mark),
    ("code", Meaning::Mark),
    ("constructor", Meaning::Mark),
    ("default", Meaning::Mark),
    ("example", Meaning::Mark),
    ("implNote", Meaning::Mark),
    ("implSpec", Meaning::Mark),
    ("implements", Meaning::Mark),
    ("jls", Meaning::Mark),
    ("link", Meaning::Mark),
    ("linkplain", Meaning::Mark),
    ("note", Meaning::Mark),
    ("provides", Meaning::Mark),
    ("receiver", Meaning::Mark),
    ("requires", Meaning::Mark),
    ("sample", Meaning::Mark),
    ("see", Meaning::Mark),
    ("serial", Meaning::Mark),
    ("serialData", Meaning::Mark),
    ("serialField", Meaning::Mark),
    ("since", Meaning::Mark),
    ("snippet", Meaning::Mark),
    ("spec", Meaning::Mark),
    ("todo", Meaning::Mark),
    ("uses", Meaning::Mark),
    ("value", Meaning::Mark),
    ("version", Meaning::Mark),
];

/// Returns the name of the tag that opens a line.
fn opening_tag(line: &str) -> Option<&str> {
    let rest = line.trim_start().strip_prefix('@')?;
    let end = rest.find(|c: char| !c.is_alphanumeric() && c != '_').unwrap_or(rest.len());
    let name = &rest[..end];
    // `@Foo.bar`, `@a/b`, `@x(…)` and addresses are prose or code.
    let after = rest[end..].chars().next();
    let tag =
        name.starts_with(char::is_alphabetic) && !matches!(after, Some('-' | '\\' | '.' | '/' | '(' | '@'));
    tag.then_some(name)
}

fn evidence(lines: &Lines<'_>) -> usize {
    let shielded = lines.shielded();
    (0..lines.len()).filter(|&at| !shielded[at] && opening_tag(lines.text(at)).is_some()).count()
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let mut doc = blank(lines, span, TAGS.id);
    let shielded = lines.shielded();
    let opens: Vec<(usize, &str)> = (0..lines.len())
        .filter(|&at| !shielded[at])
        .filter_map(|at| opening_tag(lines.text(at)).map(|name| (at, name)))
        .filter(|(_, name)| is_tag(name))
        .collect();
    describe(&mut doc, lines, opens.first().map_or(lines.len(), |&(at, _)| at));
    for (number, &(at, name)) in opens.iter().enumerate() {
        let end = opens.get(number + 1).map_or(lines.len(), |&(next, _)| next);
        let rows = (at, last_said(lines, at, end));
        read_tag(&mut doc, lines, name, rows);
    }
    read_inline(&mut doc, lines);
    complete(&mut doc);
    doc
}

/// A name with a capital is an annotation in prose, unless the table has it.
fn is_tag(name: &str) -> bool {
    name.starts_with(char::is_lowercase) || TABLE.iter().any(|(known, _)| *known == name)
}

/// Returns the line behind the last that says something.
fn last_said(lines: &Lines<'_>, from: usize, upto: usize) -> usize {
    (from..upto).rev().find(|&at| !lines.is_blank(at)).map_or(from + 1, |at| at + 1)
}

fn read_tag(doc: &mut DocComment, lines: &Lines<'_>, name: &str, rows: (usize, usize)) {
    let (meaning, standing) = look_up(TABLE, name);
    if standing != MarkStanding::Known {
        doc.marks.push(mark(lines, name, standing, rows));
    }
    let after = &lines.text(rows.0)[offset_behind(lines, rows.0, name)..];
    match meaning {
        Some(Meaning::Entry(kind)) => {
            if let Some(found) = read_entry(lines, kind, name, after, rows) {
                doc.entries.push(found);
            }
            return;
        }
        Some(Meaning::Inherits) => doc.inherits = true,
        Some(Meaning::Hidden) => doc.hidden = true,
        Some(Meaning::Deprecated) => doc.deprecated = true,
        Some(Meaning::Surface(surface)) => doc.surface = Some(surface),
        Some(Meaning::ParamType | Meaning::ReturnType | Meaning::Mark) | None => {}
    }
    if doc.marks.last().is_none_or(|last| last.span != lines.span_of(name)) {
        doc.marks.push(mark(lines, name, MarkStanding::Known, rows));
    }
}

fn offset_behind(lines: &Lines<'_>, row: usize, name: &str) -> usize {
    (lines.span_of(name).end - lines.spans()[row].start) as usize
}

fn read_entry(
    lines: &Lines<'_>,
    kind: EntryKind,
    tag: &str,
    after: &str,
    rows: (usize, usize),
) -> Option<Entry> {
    let mut found = entry(kind, lines.span_of(tag), rows);
    let mut rest = after.trim_start_matches(':').trim_start();
    if let Some((ty, behind)) = braced(rest) {
        found.ty = Some(lines.span_of(ty));
        rest = behind.trim_start();
    }
    let mut row = rows.0;
    if matches!(kind, EntryKind::Param | EntryKind::Throws | EntryKind::Property) {
        // The name may stand on the next line.
        if rest.trim().is_empty() && found.ty.is_none() && row + 1 < rows.1 {
            row += 1;
            rest = lines.text(row);
        }
        let (word, behind) =
            linked(rest).filter(|_| kind == EntryKind::Throws).unwrap_or_else(|| first_word(rest));
        read_name(&mut found, lines, word);
        rest = behind;
    }
    let start = lines.span_of(rest).start;
    found.text = lines.text_span(start, row, rows.1).and_then(|span| without_hyphen(lines, span));
    Some(found)
}

fn read_name(found: &mut Entry, lines: &Lines<'_>, word: &str) {
    if let Some(inner) = word.strip_prefix('<').and_then(|word| word.split('>').next()) {
        found.kind = EntryKind::TypeParam;
        found.names.push(EntryName { name: Name::new(inner), span: lines.span_of(inner), dotted: false });
        return;
    }
    if found.kind == EntryKind::Throws {
        if let Some(name) = type_name(lines, word) {
            found.names.push(name);
        }
        return;
    }
    if let Some(inner) = word.strip_prefix('[') {
        found.optional = true;
        let inner = inner.trim_end_matches(']');
        let (name, default) = inner.split_once('=').unwrap_or((inner, ""));
        found.default = (!default.is_empty()).then(|| lines.span_of(default));
        found.names.extend(entry_name(lines, name));
        return;
    }
    found.names.extend(word.split(',').filter_map(|part| entry_name(lines, part)));
}

/// Reads the type of an exception; `{@link X}` and punctuation behind it are set aside.
fn type_name(lines: &Lines<'_>, word: &str) -> Option<EntryName> {
    let bare =
        word.trim_matches(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '.' | '$' | '<' | '>' | '#')));
    let name = Name::simple(bare.split('#').next().unwrap_or_default());
    (!name.as_str().is_empty()).then(|| EntryName { name, span: lines.span_of(bare), dotted: false })
}

/// Splits `{@link X}` off, of which only `X` is the name.
fn linked(text: &str) -> Option<(&str, &str)> {
    let inner = text.trim_start().strip_prefix("{@link")?;
    let (target, behind) = inner.split_once('}')?;
    let (_, target) = target.split_once(char::is_whitespace)?;
    Some((first_word(target).0, behind))
}

/// Splits a balanced `{…}` off; `{@link X}` is text.
fn braced(text: &str) -> Option<(&str, &str)> {
    let inner = text.strip_prefix('{').filter(|inner| !inner.starts_with('@'))?;
    let mut depth = 1;
    for (at, c) in inner.char_indices() {
        match c {
            '{' => depth += 1,
            '}' => depth -= 1,
            _ => {}
        }
        if depth == 0 {
            return Some((&inner[..at], &inner[at + 1..]));
        }
    }
    None
}

/// A hyphen between name and text is neither; a lone one is no text.
fn without_hyphen(lines: &Lines<'_>, span: Span) -> Option<Span> {
    let text = lines.source().slice(span);
    let bare = text.trim_start_matches(['-', '–', '—', ':']).trim_start();
    (!bare.is_empty()).then(|| Span::of(span.end as usize - bare.len(), span.end as usize))
}

/// Inline tags that bear on the whole comment.
fn read_inline(doc: &mut DocComment, lines: &Lines<'_>) {
    for at in 0..lines.len() {
        let line = lines.text(at);
        if line.contains("{@inheritDoc") || line.contains("{@inheritdoc") {
            doc.inherits = true;
        }
        if let Some(found) = line.find("{@return").filter(|_| !doc.has(EntryKind::Returns)) {
            let tag = &line[found + 2..found + 8];
            let mut made = entry(EntryKind::Returns, lines.span_of(tag), (at, at + 1));
            let rest = &line[found + 8..];
            made.text = lines.text_span(lines.span_of(rest).start, at, doc.description.1 as usize);
            doc.entries.insert(0, made);
        }
    }
}

fn spelling(kind: EntryKind, name: &str) -> String {
    match kind {
        EntryKind::Param => format!("@param {name}"),
        EntryKind::TypeParam => format!("@param <{name}>"),
        EntryKind::Returns => "@return".to_owned(),
        EntryKind::Yields => "@yield".to_owned(),
        EntryKind::Throws => format!("@throws {name}"),
        EntryKind::Property => format!("@property {name}"),
    }
}

/// How this notation writes one entry.
struct TagLines;

impl EntryLines for TagLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let tag = spelling(entry.kind, entry.name.as_deref().unwrap_or_default());
        let gap = if entry.name.is_some() { style.separator.as_str() } else { " " };
        vec![format!("{tag}{gap}{}", style.placeholder)]
    }

    fn types(&self) -> TypeCustom {
        TypeCustom::Never
    }
}
