//! A docstring taken apart: the same parts, whatever notation they were written in.

use crate::model::{DocComment, Entry, EntryKind, EntryName};
use crate::notations::{Lines, is_list_field};
use crate::text::Span;

/// What a docstring consists of, below its description.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) enum Part {
    /// Entries of one kind that stand together.
    Entries(Group),
    /// A section of text under a heading, as it is written.
    Section(String, Vec<String>),
    /// Text that belongs to nothing else.
    Text(Vec<String>),
    /// A field that is no entry: its name and lines.
    Mark(String, Vec<String>),
}

/// Entries of one kind under one heading.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) struct Group {
    /// What they document.
    pub(super) kind: EntryKind,
    /// They are the further or the keyword parameters, by the heading they stood under or the field they stood in.
    pub(super) beside: Option<&'static str>,
    /// The entries.
    pub(super) items: Vec<Item>,
}

/// One entry.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) struct Item {
    /// The names as written, stars included.
    pub(super) names: Vec<String>,
    /// The type as written, on one line, with what is said beside it (`int, optional`).
    pub(super) ty: Option<String>,
    /// The description, without indentation of its own.
    pub(super) text: Vec<String>,
    /// The single results, where they are listed in place of one description.
    pub(super) further: Vec<Item>,
}

/// Takes a comment apart from the first row below its description on. Returns the row as well; nothing when there
/// is nothing but description.
pub(super) fn parts(doc: &DocComment, lines: &Lines<'_>) -> Option<(usize, Vec<Part>)> {
    let mut covers = covers(doc, lines);
    covers.sort_by_key(|cover| cover.rows);
    let first = covers.first()?.rows.0;
    let mut out: Vec<Part> = Vec::new();
    let mut at = first;
    for cover in covers {
        let (from, upto) = cover.rows;
        if from > at {
            push_text(&mut out, lines, (at, from));
        }
        at = at.max(upto);
        match cover.what {
            What::Entry(entry, beside, results_at) => {
                let listed = results_at.and_then(|indent| results((from, upto), indent, lines));
                let item = listed.unwrap_or_else(|| item(entry, doc, lines));
                match out.last_mut() {
                    Some(Part::Entries(group)) if group.kind == entry.kind && group.beside == beside => {
                        group.items.push(item);
                    }
                    _ => out.push(Part::Entries(Group { kind: entry.kind, beside, items: vec![item] })),
                }
            }
            What::Section(heading, body) => {
                let title = lines.source().slice(heading).trim().trim_end_matches(':').to_owned();
                out.push(Part::Section(title, dedented(lines, body)));
            }
            What::Mark(name) => out.push(Part::Mark(name, trimmed(raw(lines, (from, upto))))),
            What::Nothing => {}
        }
    }
    push_text(&mut out, lines, (at, lines.len()));
    Some((first, out))
}

enum What<'d> {
    /// An entry, the heading it stands under where that matters, and the indentation at which results are listed.
    Entry(&'d Entry, Option<&'static str>, Option<usize>),
    Section(Span, (usize, usize)),
    Mark(String),
    /// Rows that say what is known already: headings of entries, types with rows of their own.
    Nothing,
}

struct Cover<'d> {
    rows: (usize, usize),
    what: What<'d>,
}

fn wide(rows: (u32, u32)) -> (usize, usize) {
    (rows.0 as usize, rows.1 as usize)
}

/// Finds what each row below the description belongs to.
fn covers<'d>(doc: &'d DocComment, lines: &Lines<'_>) -> Vec<Cover<'d>> {
    let mut out = Vec::new();
    let row_of = |at: u32| lines.spans().partition_point(|line| line.end < at);
    for section in &doc.sections {
        let rows = wide(section.lines);
        let underlined = is_underline(lines.trimmed(rows.0 + 1));
        let below = rows.0 + if underlined { 2 } else { 1 };
        let holds = section.kind.is_some();
        if holds {
            out.push(Cover { rows: (rows.0, below.min(rows.1)), what: What::Nothing });
        } else {
            out.push(Cover { rows, what: What::Section(section.heading, (below.min(rows.1), rows.1)) });
        }
    }
    for entry in &doc.entries {
        let section = doc.sections.iter().find(|s| s.lines.0 <= entry.lines.0 && entry.lines.0 < s.lines.1);
        let by_heading = section.map(|s| s.title).filter(|&t| t == "Keyword Args" || t == "Other Parameters");
        let tag = lines.source().slice(entry.tag).trim_start_matches([':', '@']);
        let is_keyword = section.is_none() && entry.kind == EntryKind::Param && tag.starts_with("key");
        let beside = by_heading.or(is_keyword.then_some("Keyword Args"));
        let rows = wide(entry.lines);
        // The heading is part of an entry that has a section to itself.
        let from = match section.filter(|section| section.lines.0 == entry.lines.0) {
            Some(_) if is_underline(lines.trimmed(rows.0 + 1)) => rows.0 + 2,
            Some(_) if entry.text.is_none_or(|text| row_of(text.start) > rows.0) => rows.0 + 1,
            _ => rows.0,
        };
        let lists = matches!(entry.kind, EntryKind::Returns | EntryKind::Yields);
        let listed =
            section.filter(|section| lists && is_underline(lines.trimmed(section.lines.0 as usize + 1)));
        let results_at = listed.map(|section| section.item_indent as usize);
        out.push(Cover { rows: (from.min(rows.1), rows.1), what: What::Entry(entry, beside, results_at) });
        if let Some(ty) = entry.ty {
            let own = (row_of(ty.start), row_of(ty.end) + 1);
            if own.0 < rows.0
                || own.0 >= rows.1
                || lines.trimmed(own.0).starts_with([':', '@']) && own.0 > rows.0
            {
                out.push(Cover { rows: own, what: What::Nothing });
            }
        }
    }
    // A misspelt field is an entry as well.
    let is_entry = |lines: (u32, u32)| doc.entries.iter().any(|entry| entry.lines.0 == lines.0);
    for mark in doc.marks.iter().filter(|mark| !is_entry(mark.lines)) {
        let rows = wide(mark.lines);
        // What only opens a list goes where its items do.
        let what = if is_list_field(lines.trimmed(rows.0)) {
            What::Nothing
        } else {
            What::Mark(mark.name.as_str().to_owned())
        };
        out.push(Cover { rows, what });
    }
    out
}

fn is_underline(text: &str) -> bool {
    text.len() >= 3 && text.bytes().all(|b| matches!(b, b'-' | b'='))
}

fn push_text(out: &mut Vec<Part>, lines: &Lines<'_>, rows: (usize, usize)) {
    let text = dedented(lines, rows);
    if !text.is_empty() {
        out.push(Part::Text(text));
    }
}

fn raw<'s>(lines: &Lines<'s>, rows: (usize, usize)) -> Vec<&'s str> {
    (rows.0..rows.1.min(lines.len())).map(|row| lines.text(row).trim_end()).collect()
}

fn trimmed(lines: Vec<&str>) -> Vec<String> {
    let mut out: Vec<String> = lines.into_iter().map(|line| line.trim().to_owned()).collect();
    while out.last().is_some_and(String::is_empty) {
        out.pop();
    }
    out
}

/// Returns rows without the indentation that all of them have, and without empty ones around them.
fn dedented(lines: &Lines<'_>, rows: (usize, usize)) -> Vec<String> {
    dedent(&raw(lines, rows))
}

fn dedent(rows: &[&str]) -> Vec<String> {
    let said = |line: &&&str| !line.trim().is_empty();
    let lead = |line: &str| line.len() - line.trim_start().len();
    let common = rows.iter().filter(said).map(|line| lead(line)).min().unwrap_or(0);
    let first = rows.iter().position(|line| !line.trim().is_empty()).unwrap_or(rows.len());
    let end = rows.iter().rposition(|line| !line.trim().is_empty()).map_or(first, |last| last + 1);
    rows[first..end].iter().map(|line| line.get(common..).unwrap_or_default().to_owned()).collect()
}

fn item(entry: &Entry, doc: &DocComment, lines: &Lines<'_>) -> Item {
    let source = lines.source();
    let names = entry.names.iter().map(|name| starred(name, lines)).collect();
    let ty = doc.stated_type(source, entry).map(|ty| ty.split_whitespace().collect::<Vec<_>>().join(" "));
    let text = entry.text.map(|text| text_of(entry, text, lines)).unwrap_or_default();
    Item { names, ty, text, further: Vec::new() }
}

/// Reads what comes back where results are listed one below the other, each with a name, a type or both. Nothing
/// when there is but one, without a name.
fn results(rows: (usize, usize), indent: usize, lines: &Lines<'_>) -> Option<Item> {
    let heads: Vec<usize> =
        (rows.0..rows.1).filter(|&row| !lines.is_blank(row) && lines.indent(row) <= indent).collect();
    let read = |at: usize| {
        let head = lines.trimmed(heads[at]);
        let upto = heads.get(at + 1).copied().unwrap_or(rows.1);
        let split = head.split_once(':').map(|(name, ty)| (name.trim(), ty.trim()));
        let split = split.filter(|(name, ty)| is_name(name) && !ty.is_empty());
        Item {
            names: split.iter().map(|(name, _)| (*name).to_owned()).collect(),
            ty: Some(split.map_or(head, |(_, ty)| ty).to_owned()),
            text: dedented(lines, (heads[at] + 1, upto)),
            further: Vec::new(),
        }
    };
    // Prose of several lines is no list of results.
    let listed = heads.len() > 1 && heads.windows(2).any(|pair| pair[1] > pair[0] + 1);
    let typed = heads.iter().all(|&row| lines.trimmed(row).contains(" :"));
    if listed || (typed && heads.len() > 1) {
        let further = (0..heads.len()).map(read).collect();
        return Some(Item { names: Vec::new(), ty: None, text: Vec::new(), further });
    }
    (heads.len() == 1).then(|| read(0)).filter(|item| !item.names.is_empty())
}

fn is_name(text: &str) -> bool {
    !text.is_empty()
        && text.split(',').all(|part| {
            let part = part.trim().trim_matches(['*', '`']);
            part.starts_with(|c: char| c.is_alphabetic() || c == '_')
                && part.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '[' | ']'))
        })
}

/// Returns a name with the stars before it.
fn starred(name: &EntryName, lines: &Lines<'_>) -> String {
    let source = lines.source();
    let before = &source.text()[..name.span.start as usize];
    let stars = before.len() - before.trim_end_matches('*').len();
    format!("{}{}", "*".repeat(stars), source.slice(name.span))
}

/// Returns the description of an entry: its first line, and the others without the indentation that they share.
fn text_of(entry: &Entry, text: Span, lines: &Lines<'_>) -> Vec<String> {
    let row = lines.spans().partition_point(|line| line.end < text.start);
    let end = (entry.lines.1 as usize).min(lines.len());
    let first = lines.source().slice(Span::new(text.start, text.end.min(lines.spans()[row].end))).trim_end();
    let opens = lines.trimmed_span(row).start == text.start && row > entry.lines.0 as usize;
    // Rows of types that stand inside are no text.
    let typed = |row: usize| {
        let line = lines.spans()[row];
        entry.ty.is_some_and(|ty| line.start <= ty.start && ty.start <= line.end && ty.start > text.start)
    };
    let upto = (row + 1..end).find(|&row| typed(row) || lines.spans()[row].start > text.end).unwrap_or(end);
    if opens {
        return dedented(lines, (row, upto));
    }
    let mut out = vec![first.to_owned()];
    // Empty lines between paragraphs stay.
    let rest = raw(lines, (row + 1, upto));
    let blank = rest.iter().take_while(|line| line.trim().is_empty()).count().min(rest.len());
    let more = dedent(&rest);
    if !more.is_empty() {
        out.extend(std::iter::repeat_n(String::new(), blank));
        out.extend(more);
    }
    out
}
