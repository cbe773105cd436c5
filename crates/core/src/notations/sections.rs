//! Headed sections, as `google` and `numpy` have them: which titles there are, how an item is taken
//! apart, and where new ones go.

use super::summary::{entry, entry_name};
use super::{Addition, Lines, NewEntry, Order};
use crate::model::{DocComment, Entry, EntryKind, EntryName, Section};
use crate::text::{Span, narrow, nearest};

/// What is longer is no title, in bytes.
pub(super) const LONGEST_TITLE: usize = 24;

/// A title, in lower case, with the spelling that stands for it and what its items are.
type Title = (&'static str, &'static str, Option<EntryKind>);

const TITLES: &[Title] = &[
    ("args", "Args", Some(EntryKind::Param)),
    ("arguments", "Args", Some(EntryKind::Param)),
    ("parameters", "Parameters", Some(EntryKind::Param)),
    ("params", "Parameters", Some(EntryKind::Param)),
    ("keyword args", "Keyword Args", Some(EntryKind::Param)),
    ("keyword arguments", "Keyword Args", Some(EntryKind::Param)),
    ("kwargs", "Keyword Args", Some(EntryKind::Param)),
    ("other parameters", "Other Parameters", Some(EntryKind::Param)),
    ("other args", "Other Parameters", Some(EntryKind::Param)),
    ("other arguments", "Other Parameters", Some(EntryKind::Param)),
    ("return", "Returns", Some(EntryKind::Returns)),
    ("returns", "Returns", Some(EntryKind::Returns)),
    ("yield", "Yields", Some(EntryKind::Yields)),
    ("yields", "Yields", Some(EntryKind::Yields)),
    ("raise", "Raises", Some(EntryKind::Throws)),
    ("raises", "Raises", Some(EntryKind::Throws)),
    ("except", "Raises", Some(EntryKind::Throws)),
    ("exceptions", "Raises", Some(EntryKind::Throws)),
    ("throws", "Raises", Some(EntryKind::Throws)),
    ("attributes", "Attributes", Some(EntryKind::Property)),
    ("attention", "Attention", None),
    ("caution", "Caution", None),
    ("danger", "Danger", None),
    ("deprecated", "Deprecated", None),
    ("error", "Error", None),
    ("example", "Examples", None),
    ("examples", "Examples", None),
    ("hint", "Hint", None),
    ("important", "Important", None),
    ("methods", "Methods", None),
    ("note", "Notes", None),
    ("notes", "Notes", None),
    ("receives", "Receives", None),
    ("references", "References", None),
    ("see also", "See Also", None),
    ("side effects", "Side Effects", None),
    ("tip", "Tip", None),
    ("todo", "Todo", None),
    ("usage", "Usage", None),
    ("warning", "Warnings", None),
    ("warnings", "Warnings", None),
    ("warns", "Warns", None),
];

/// Finds a title as it is written; it begins with a capital.
pub(super) fn title(text: &str) -> Option<(&'static str, Option<EntryKind>)> {
    if !text.starts_with(char::is_uppercase) || text.len() > LONGEST_TITLE {
        return None;
    }
    let lower = text.to_lowercase();
    TITLES.iter().find(|(known, ..)| *known == lower).map(|&(_, title, kind)| (title, kind))
}

/// Tells whether a word is a title, however it is written.
pub(super) fn is_title(text: &str) -> bool {
    let lower = text.to_lowercase();
    TITLES.iter().any(|(known, ..)| *known == lower)
}

/// Tells whether a word is the title of a section that holds text, however it is written.
pub(crate) fn is_title_of_text(text: &str) -> bool {
    let lower = text.to_lowercase();
    TITLES.iter().any(|(known, _, kind)| *known == lower && kind.is_none())
}

/// Returns what a heading was meant to say that is read as `title` and is not written as any; nothing where it
/// is written right.
#[must_use]
pub fn heading_meant(written: &str, title: &str) -> Option<String> {
    let bare = written.trim().trim_end_matches(':').trim();
    let lower = bare.to_lowercase();
    if is_title(bare) || bare.is_empty() {
        return None;
    }
    // Of the spellings of a title the nearest was meant.
    let spellings = TITLES.iter().filter(|(_, of, _)| *of == title).map(|(known, ..)| *known);
    let meant = nearest(&lower, spellings)?;
    Some(meant[..1].to_uppercase() + &meant[1..])
}

/// Finds the title of entries that a misspelt heading is near to.
pub(super) fn near_title(text: &str) -> Option<(&'static str, Option<EntryKind>)> {
    if !text.starts_with(char::is_uppercase)
        || text.len() > LONGEST_TITLE
        || text.len() < 4
        || text.contains(' ')
    {
        return None;
    }
    let lower = text.to_lowercase();
    // A word of its own, near to `Yields`.
    if lower == "fields" {
        return None;
    }
    let holding = TITLES.iter().filter(|(known, _, kind)| kind.is_some() && known.len() >= 4);
    let near = nearest(&lower, holding.map(|(known, ..)| *known))?;
    TITLES.iter().find(|(known, ..)| *known == near).map(|&(_, title, kind)| (title, kind))
}

/// Splits at the first colon outside brackets and quotes.
pub(super) fn split_colon(text: &str) -> Option<(&str, &str)> {
    let mut depth = 0_i32;
    let mut quoted: Option<char> = None;
    for (at, c) in text.char_indices() {
        match (quoted, c) {
            (Some(quote), c) if quote == c => quoted = None,
            (Some(_), _) => {}
            (None, '"' | '`') => quoted = Some(c),
            (None, '(' | '[' | '{') => depth += 1,
            (None, ')' | ']' | '}') => depth -= 1,
            // A role such as `:class:` opens with a colon at a word's start.
            // An address parts nothing: `https://crates.test`.
            (None, ':')
                if depth <= 0
                    && !text[at + 1..].starts_with(['`', ':'])
                    && !text[at + 1..].starts_with("//") =>
            {
                return Some((&text[..at], &text[at + 1..]));
            }
            (None, _) => {}
        }
    }
    None
}

/// Returns what stands behind the mark of a list's item (reStructuredText, Markdown); nothing where a line is none.
pub(super) fn list_item(line: &str) -> Option<&str> {
    ["* ", "- ", "+ "].iter().find_map(|mark| line.strip_prefix(mark)).map(str::trim_start)
}

/// Reads the names that open an item: `x`, `*args, **kwargs`, `x, y`.
pub(super) fn names(lines: &Lines<'_>, text: &str) -> Option<Vec<EntryName>> {
    let parts: Vec<&str> = text.split(',').map(str::trim).collect();
    let open_end = parts.len() > 1 && parts.last().is_some_and(|part| part.ends_with("..."));
    if open_end || parts.contains(&"...") {
        // `a1, a2, ...` stands for one parameter under names of its own.
        return Some(Vec::new());
    }
    // Nothing to tell of, and a fence of Markdown.
    if matches!(text.to_ascii_lowercase().trim_end_matches('.'), "none" | "n/a") || text.starts_with("```") {
        return None;
    }
    let mut out = Vec::new();
    for part in parts {
        if part.is_empty() {
            continue;
        }
        let starred = part.trim_start_matches(['*', '\\', '`']);
        let identifier = starred.starts_with(|c: char| c.is_alphabetic() || c == '_') && !part.contains(' ');
        out.push(entry_name(lines, part).filter(|_| identifier)?);
    }
    (!out.is_empty()).then_some(out)
}

/// Reads what the type of an item says besides the type: `int, optional`, `default 3`.
pub(super) fn read_type(found: &mut Entry, lines: &Lines<'_>, ty: &str) {
    let ty = ty.trim();
    if ty.is_empty() {
        return;
    }
    found.ty = Some(lines.span_of(ty));
    for part in ty.split([',', ';']).map(str::trim) {
        let lower = part.to_ascii_lowercase();
        if lower == "optional" || lower == "(optional)" {
            found.optional = true;
        }
        let value = lower.strip_prefix("default").map(|rest| &part[part.len() - rest.len()..]);
        let value =
            value.map(|value| value.trim_start_matches([':', '=', ' ']).trim_start_matches("is ").trim());
        if let Some(value) = value.filter(|value| !value.is_empty()) {
            found.default = Some(lines.span_of(value));
        }
    }
}

/// A type is one word, or words joined as types are.
pub(super) fn looks_like_type(text: &str) -> bool {
    let text = text.trim().trim_start_matches(':');
    let words = text.split_whitespace().count();
    let joined = text.contains('[')
        || text.contains('(')
        || text.contains('|')
        || text.contains(" or ")
        || text.contains(" of ");
    !text.is_empty()
        && !text.starts_with("- ")
        && !is_reminder(text)
        && (words == 1 || (joined && words <= 8))
        && !text.ends_with('.')
}

/// Makes the entry of an item.
pub(super) fn item(kind: EntryKind, lines: &Lines<'_>, row: usize, section: usize) -> Entry {
    let mut found = entry(kind, lines.trimmed_span(row), (row, row + 1));
    found.section = narrow(section);
    found
}

/// Returns the least indentation of the lines from the second on; the first is indented by its quotes.
pub(super) fn base_indent(lines: &Lines<'_>) -> usize {
    (1..lines.len()).filter(|&at| !lines.is_blank(at)).map(|at| lines.indent(at)).min().unwrap_or(0)
}

/// Returns the indentation of a line, the first one counting as the base.
pub(super) fn indent_of(lines: &Lines<'_>, at: usize, base: usize) -> usize {
    if at == 0 { base } else { lines.indent(at) }
}

/// How a section-based notation writes.
pub(super) trait SectionLines: Sync {
    /// Returns the heading of a section for entries of a kind.
    fn heading(&self, kind: EntryKind) -> Vec<String>;
    /// Returns the lines of one item.
    fn item(&self, entry: &NewEntry) -> Vec<String>;
}

/// Writes whole sections for entries that are sorted by kind.
pub(super) fn whole(writer: &dyn SectionLines, entries: &[NewEntry]) -> Vec<String> {
    let mut out = Vec::new();
    for group in entries.chunk_by(|a, b| a.kind == b.kind) {
        out.push(String::new());
        out.extend(writer.heading(group[0].kind));
        out.extend(group.iter().flat_map(|entry| writer.item(entry)));
    }
    out
}

/// Finds the places of new entries: in the section of their kind, in signature order, or in a new one.
pub(super) fn additions(
    writer: &dyn SectionLines,
    doc: &DocComment,
    lines: &Lines<'_>,
    entries: &[NewEntry],
    order: &Order,
) -> Vec<Addition> {
    let mut out: Vec<Addition> = Vec::new();
    for group in entries.chunk_by(|a, b| a.kind == b.kind) {
        let kind = group[0].kind;
        let into = doc.sections.iter().find(|section| section.kind == Some(kind));
        if let Some(section) = into {
            let shift = item_lead(lines, section);
            for entry in group {
                let at = place(doc, section.lines, entry, order);
                let text: Vec<String> = reindented(writer.item(entry), &shift);
                match out.iter_mut().find(|addition| addition.at == at) {
                    Some(addition) => addition.lines.extend(text),
                    None => out.push(Addition { at, lines: text }),
                }
            }
            continue;
        }
        let (at, blank_behind) = new_section(doc, lines, kind);
        let mut text = vec![String::new()];
        text.extend(writer.heading(kind));
        text.extend(group.iter().flat_map(|entry| writer.item(entry)));
        if blank_behind {
            text.push(String::new());
        }
        match out.iter_mut().find(|addition| addition.at == at) {
            Some(addition) => addition.lines.extend(text),
            None => out.push(Addition { at, lines: text }),
        }
    }
    out
}

/// Returns the white space by which the items of a section are indented beyond the comment itself.
fn item_lead(lines: &Lines<'_>, section: &Section) -> String {
    let lead = |at: usize| {
        let text = lines.text(at);
        &text[..text.len() - text.trim_start().len()]
    };
    let base = (1..lines.len())
        .filter(|&at| !lines.is_blank(at))
        .min_by_key(|&at| lines.indent(at))
        .map_or("", lead);
    let rows = section.lines.0 as usize + 1..section.lines.1 as usize;
    let item =
        rows.clone().find(|&at| !lines.is_blank(at) && lines.indent(at) == section.item_indent as usize);
    match item {
        Some(row) => lead(row).strip_prefix(base).unwrap_or("").to_owned(),
        // The only item stands on the line of its heading.
        None => " ".repeat((section.item_indent as usize).saturating_sub(base_indent(lines))),
    }
}

/// Gives an item the indentation that the section's items have.
fn reindented(item: Vec<String>, indent: &str) -> Vec<String> {
    let own = item.first().map_or(0, |line| line.len() - line.trim_start().len());
    item.into_iter().map(|line| format!("{indent}{}", line.get(own..).unwrap_or_default())).collect()
}

fn place(doc: &DocComment, section: (u32, u32), entry: &NewEntry, order: &Order) -> usize {
    let inside: Vec<(usize, &Entry)> = doc
        .entries
        .iter()
        .enumerate()
        .filter(|(_, found)| {
            found.kind == entry.kind && section.0 <= found.lines.0 && found.lines.0 < section.1
        })
        .collect();
    let goes_before =
        |at: usize| entry.kind != EntryKind::Param || order.rank(at).is_some_and(|rank| rank <= entry.rank);
    let before = inside.iter().rfind(|&&(at, _)| goes_before(at)).map(|&(_, found)| found);
    if let Some(found) = before {
        return found.lines.1 as usize;
    }
    match inside.first() {
        Some((_, first)) => first.lines.0 as usize,
        None => section.1 as usize,
    }
}

/// Returns the line before which a new section goes, and whether an empty line must follow it.
fn new_section(doc: &DocComment, lines: &Lines<'_>, kind: EntryKind) -> (usize, bool) {
    let last = (0..lines.len()).rev().find(|&at| !lines.is_blank(at)).unwrap_or(0);
    let earlier = doc.sections.iter().rfind(|section| section.kind.is_some_and(|k| k < kind));
    if let Some(section) = earlier {
        return (section.lines.1 as usize, false);
    }
    match doc.sections.first() {
        Some(section) => {
            let row = section.lines.0 as usize;
            let before = (0..row).rev().find(|&at| !lines.is_blank(at)).map_or(row, |at| at + 1);
            (before, before == row)
        }
        None => (last + 1, false),
    }
}

/// Ends the sections where their text ends.
pub(super) fn close_sections(doc: &mut DocComment, lines: &Lines<'_>) {
    for section in &mut doc.sections {
        let (first, end) = (section.lines.0 as usize, section.lines.1 as usize);
        let said = (first..end).rev().find(|&at| !lines.is_blank(at)).map_or(first + 1, |at| at + 1);
        section.lines.1 = narrow(said);
    }
}

/// Sets the text of an entry: what follows on its own line, and the lines up to `upto`.
pub(super) fn set_text(found: &mut Entry, lines: &Lines<'_>, rest: &str, upto: usize) {
    let start = lines.span_of(rest).start;
    let row = found.lines.0 as usize;
    let said = (row..upto).rev().find(|&at| !lines.is_blank(at)).map_or(row + 1, |at| at + 1);
    found.lines.1 = narrow(said);
    found.text = lines.text_span(start, row, upto).filter(|&span| {
        let text = lines.source().slice(span);
        text.chars().any(|c| !matches!(c, '-' | '–' | '—') && !c.is_whitespace())
    });
}

/// The end of a line, as an empty text there.
pub(super) fn line_end<'s>(lines: &Lines<'s>, at: usize) -> &'s str {
    let text = lines.text(at).trim_end();
    &text[text.len()..]
}

/// The span of a heading.
pub(super) fn heading_span(lines: &Lines<'_>, at: usize) -> Span {
    let span = lines.trimmed_span(at);
    let text = lines.trimmed(at);
    Span::of(span.start as usize, span.start as usize + text.trim_end_matches(':').len())
}

/// Tells whether the word before a colon is a reminder, and what follows is its text.
pub(super) fn is_reminder(word: &str) -> bool {
    matches!(word.trim(), "TODO" | "FIXME" | "XXX" | "TBD" | "NOTE" | "Note")
}
