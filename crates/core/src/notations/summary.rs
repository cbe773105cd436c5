//! The opening description of a comment, and the parts every notation fills in alike.

use std::borrow::Cow;

use super::Lines;
use crate::model::{Dialect, DocComment, Entry, EntryName, Mark, Name, NotationId, Section};
use crate::text::{Span, first_sentence_end, has_second_sentence, is_wordless, narrow};

/// Makes the comment of which nothing but its place is known.
pub(super) fn blank(lines: &Lines<'_>, span: Span, notation: NotationId) -> DocComment {
    DocComment {
        span,
        notation,
        lines: lines.spans().to_vec(),
        above: Vec::new(),
        summary: None,
        description: (0, 0),
        beyond_summary: false,
        entries: Vec::new(),
        marks: Vec::new(),
        sections: Vec::new(),
        inherits: false,
        hidden: false,
        deprecated: false,
        surface: None,
        blank: true,
    }
}

/// Fills in the opening description: the lines up to `upto`.
pub(super) fn describe(doc: &mut DocComment, lines: &Lines<'_>, upto: usize) {
    describe_from(doc, lines, (0, 0), upto);
}

/// Fills in the opening description: the lines from a row, behind an offset on it, up to `upto`.
pub(super) fn describe_from(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    (row, offset): (usize, u32),
    upto: usize,
) {
    let first = (row..upto).find(|&at| !lines.is_blank(at)).unwrap_or(upto);
    // `=== Description:` says nothing; what stands below it does.
    let titled = first < upto && lines.dialect() == Dialect::Ruby && is_title(lines.trimmed(first));
    let below = (first + 1..upto).find(|&at| titled && !lines.is_blank(at));
    let first = below.unwrap_or(first);
    let last = (first..upto).rev().find(|&at| !lines.is_blank(at)).map_or(first, |at| at + 1);
    doc.description = (narrow(first), narrow(last));
    // The lines are joined as they stand; `starts` leads from the joined text back to the source.
    let mut joined = String::new();
    let mut starts = Vec::new();
    for at in first..last {
        let span = lines.trimmed_span(at);
        let from = span.start.max(offset).min(span.end);
        let skipped = lines.trimmed(at)[(from - span.start) as usize..].trim_start();
        let (text, start) = if from == span.start {
            (lines.trimmed(at), from)
        } else {
            (skipped, lines.span_of(skipped).start)
        };
        starts.push((joined.len(), start));
        joined.push_str(if is_paragraph_mark(text) { "" } else { text });
        joined.push('\n');
    }
    let text = joined.trim_end();
    if is_wordless(text) {
        doc.description.1 = doc.description.0;
        return;
    }
    // Empty lines may stand between a tag and its text.
    let lead = text.len() - text.trim_start().len();
    let said = &text[lead..];
    let end = lead + said[..first_sentence_end(said)].trim_end().len();
    doc.summary = Some(Span::new(back(&starts, lead), back(&starts, end)));
    doc.beyond_summary = has_second_sentence(said);
}

/// Tells whether a line is a heading as Ruby's comments have it: equals signs, a blank and a title.
fn is_title(line: &str) -> bool {
    let title = line.trim_start_matches('=');
    title.len() < line.len() && title.starts_with(' ')
}

/// Takes the text of the first of some tags for the description, where there is no other; `opens` has the rows that tags
/// open, with their names.
pub(super) fn describe_by_tag(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    opens: &[(usize, &str)],
    tags: &[&str],
) {
    if doc.summary.is_some() {
        return;
    }
    let named = |name: &&str| opens.iter().position(|(_, open)| open == name);
    let Some(number) = tags.iter().find_map(named) else { return };
    let (at, name) = opens[number];
    let end = opens.get(number + 1).map_or(lines.len(), |&(next, _)| next);
    describe_from(doc, lines, (at, lines.span_of(name).end), end);
}

/// Sets what follows from all the rest.
pub(super) fn complete(doc: &mut DocComment) {
    let said = !doc.entries.is_empty() || !doc.marks.is_empty() || !doc.sections.is_empty();
    // Where else to look says nothing more of it.
    let tells = doc.sections.iter().any(|section| section.title != "See Also");
    doc.beyond_summary |= !doc.entries.is_empty() || tells;
    doc.blank = doc.summary.is_none() && !said && !doc.inherits && !doc.hidden;
}

/// An element on a line of its own that begins a paragraph.
fn is_paragraph_mark(text: &str) -> bool {
    matches!(text, "<p>" | "<p/>" | "</p>" | "<P>" | "<br>" | "<br/>")
}

fn back(starts: &[(usize, u32)], at: usize) -> u32 {
    let line = starts.partition_point(|&(start, _)| start <= at).saturating_sub(1);
    starts.get(line).map_or(0, |&(start, source)| source + narrow(at - start))
}

/// Makes a mark.
pub(super) fn mark(
    lines: &Lines<'_>,
    name: &str,
    standing: crate::model::MarkStanding,
    rows: (usize, usize),
) -> Mark {
    Mark {
        name: Name::new(name),
        span: lines.span_of(name),
        standing,
        lines: (narrow(rows.0), narrow(rows.1)),
    }
}

/// Makes an entry without anything but its kind and place.
pub(super) fn entry(kind: crate::model::EntryKind, tag: Span, rows: (usize, usize)) -> Entry {
    Entry::bare(kind, tag, (narrow(rows.0), narrow(rows.1)))
}

/// Makes a section.
pub(super) fn section(
    title: &'static str,
    kind: Option<crate::model::EntryKind>,
    heading: Span,
    row: usize,
) -> Section {
    Section { title, kind, heading, lines: (narrow(row), narrow(row + 1)), item_indent: 0 }
}

/// Reads a name as entries spell it: stars, dollar signs, dots, brackets and backslashes around the bare
/// name are set aside; what follows a dot or bracket makes it dotted. Where it does not say that a variable follows, a
/// dollar sign is part of the name (ECMA-262, "Names and Keywords"). An underscore may be escaped: `load\_`.
pub(super) fn entry_name(lines: &Lines<'_>, token: &str) -> Option<EntryName> {
    let around = |c: char| match c {
        '$' => matches!(lines.dialect(), Dialect::Php | Dialect::Labels(_)),
        c => matches!(c, '*' | '&' | '\\' | '@' | '`' | '.' | '"' | '\''),
    };
    let start = token.trim_start_matches(around);
    let bare = start.trim_end_matches(['`', ',', ':', '"', '\'', ';', ')']);
    let bare = bare.strip_suffix("...").unwrap_or(bare).trim_end_matches("[]").trim_end_matches('.');
    // A hyphen that parts the text from the name may touch it: `load- what lies on it`.
    let word = |c: char| c.is_alphanumeric() || c == '_';
    let bare = bare.strip_suffix('-').filter(|bare| bare.ends_with(word)).unwrap_or(bare);
    let end = bare.find(['.', '[']).unwrap_or(bare.len());
    let root = &bare[..end];
    let name = if root.contains('\\') { Cow::Owned(root.replace("\\_", "_")) } else { Cow::Borrowed(root) };
    if name.is_empty() || !name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '$' | '-')) {
        return None;
    }
    Some(EntryName { name: Name::new(&name), span: lines.span_of(root), dotted: end < bare.len() })
}

/// Splits the first word off a text.
pub(super) fn first_word(text: &str) -> (&str, &str) {
    let text = text.trim_start();
    let end = text.find(char::is_whitespace).unwrap_or(text.len());
    text.split_at(end)
}

/// Returns where a type that opens a text ends: blanks inside its brackets are part of it.
pub(super) fn type_end(text: &str) -> usize {
    let mut depth = 0_i32;
    let mut last = ' ';
    for (at, c) in text.char_indices() {
        match c {
            '<' | '(' | '{' | '[' => depth += 1,
            '>' | ')' | '}' | ']' => depth -= 1,
            c if c.is_whitespace() && depth <= 0 => {
                // `callable(int): bool`, `A | B`
                let next = text[at..].trim_start();
                if !(matches!(last, ':' | '|') || next.starts_with('|')) {
                    return at;
                }
            }
            _ => {}
        }
        if !c.is_whitespace() {
            last = c;
        }
    }
    text.trim_end().len()
}
