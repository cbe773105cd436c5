//! The parts of a comment that are no entries: its description, and what it says besides.

use vinequill_core::model::{DocComment, Mark, Section};
use vinequill_core::review::FileReading;
use vinequill_core::text::Span;

use crate::collect::Other;

/// Returns the description as it was written, line by line.
pub(crate) fn described(reading: &FileReading<'_>, doc: &DocComment) -> String {
    let (from, upto) = (doc.description.0 as usize, doc.description.1 as usize);
    let start = doc.summary.map_or(0, |summary| summary.start);
    let text = text_of(reading, doc, (from, upto), start);
    if doc.above.is_empty() {
        return text;
    }
    let above = without_indent(reading, doc.above.iter().copied());
    if text.is_empty() { above } else { format!("{above}\n\n{text}") }
}

/// Returns lines of a comment with the indentation that they have to each other; what stands before `start` is left
/// out.
fn text_of(reading: &FileReading<'_>, doc: &DocComment, (from, upto): (usize, usize), start: u32) -> String {
    let lines = doc.lines.get(from..upto.min(doc.lines.len())).unwrap_or_default();
    let parts = lines.iter().filter(|line| line.end > start || start == 0);
    let parts = parts.map(|line| Span::new(line.start.max(start.min(line.end)), line.end));
    without_indent(reading, parts)
}

/// Returns the text of a part of a comment, its lines with the indentation that they have to each other.
pub(crate) fn text_in(reading: &FileReading<'_>, doc: &DocComment, span: Span) -> String {
    let first = doc.lines.partition_point(|line| line.end < span.start);
    let lines = doc.lines[first..].iter().take_while(|line| line.start < span.end);
    without_indent(reading, lines.map(|line| Span::new(line.start.max(span.start), line.end.min(span.end))))
}

/// Joins lines. A common indentation is the comment's, not the text's; the first line may stand behind a mark.
fn without_indent(reading: &FileReading<'_>, parts: impl Iterator<Item = Span>) -> String {
    let slice = |span: Span| if span.is_empty() { "" } else { reading.source.slice(span).trim_end() };
    let out: Vec<&str> = parts.map(slice).collect();
    let said = out.iter().skip(1).filter(|line| !line.trim().is_empty());
    let base = said.map(|line| line.len() - line.trim_start().len()).min().unwrap_or(0);
    let mut text: Vec<&str> = Vec::new();
    for (at, line) in out.iter().enumerate() {
        text.push(if at == 0 { line.trim_start() } else { line.get(base..).unwrap_or_default() });
    }
    text.join("\n").trim_end().trim_start_matches('\n').to_owned()
}

/// Tags that say nothing to readers.
const QUIET: &[&str] = &["override", "inheritdoc", "inheritDoc", "type"];

/// Tags that open a description.
const DESCRIBING: &[&str] = &["brief", "short", "summary", "description", "desc", "details"];

/// Returns what a comment says besides description and entries, in order: nothing of what was written is lost.
pub(crate) fn others(reading: &FileReading<'_>, doc: &DocComment) -> Vec<Other> {
    let mut covered = vec![false; doc.lines.len()];
    let mut cover = |(from, upto): (u32, u32)| {
        covered.iter_mut().take(upto as usize).skip(from as usize).for_each(|line| *line = true);
    };
    cover(doc.description);
    doc.entries.iter().for_each(|entry| cover(entry.lines));
    doc.marks.iter().for_each(|mark| cover(mark.lines));
    for section in doc.sections.iter().filter(|section| section.kind.is_some()) {
        let heading = section.lines.0;
        let next = doc.lines.get(heading as usize + 1).filter(|line| !line.is_empty());
        let lines = if next.is_some_and(|line| is_underline(reading.source.slice(*line))) { 2 } else { 1 };
        cover((heading, heading + lines));
    }
    let mut out: Vec<(u32, Other)> = Vec::new();
    for mark in doc.marks.iter().filter(|mark| !QUIET.contains(&mark.name.as_str())) {
        out.extend(of_mark(reading, doc, mark).map(|other| (mark.lines.0, other)));
    }
    for section in doc.sections.iter().filter(|section| section.kind.is_none()) {
        let (from, upto) = (section.lines.0 as usize, (section.lines.1 as usize).min(doc.lines.len()));
        let free = (from + 1..upto).find(|&line| covered[line]).unwrap_or(upto);
        if !(from..free).any(|line| covered[line]) {
            covered[from..free].fill(true);
            out.push((section.lines.0, of_section(reading, doc, (section, free))));
        }
    }
    // What is left stands for itself.
    let mut at = 0;
    while at < covered.len() {
        let end = (at..covered.len()).find(|&line| covered[line]).unwrap_or(covered.len());
        let text = if end > at { text_of(reading, doc, (at, end), 0) } else { String::new() };
        if text.chars().any(char::is_alphanumeric) {
            out.push((u32::try_from(at).unwrap_or(u32::MAX), Other { text, ..Other::default() }));
        }
        at = end.max(at + 1);
        while covered.get(at).is_some_and(|covered| *covered) {
            at += 1;
        }
    }
    out.sort_by_key(|(line, _)| *line);
    out.into_iter().map(|(_, other)| other).collect()
}

/// Takes down what a tag says; nothing where the description says it.
fn of_mark(reading: &FileReading<'_>, doc: &DocComment, mark: &Mark) -> Option<Other> {
    let (from, upto) = (mark.lines.0 as usize, mark.lines.1 as usize);
    let text = text_of(reading, doc, (from, upto), mark.span.end);
    let (notation, name) = (doc.notation.as_str(), mark.name.as_str());
    let text = if notation == "xml" { inside_element(&text, name) } else { text };
    let text = text.trim_start_matches([':', ' ', '\n']);
    // `@file` alone says where the comment stands, which readers see.
    if text.is_empty() && (notation == "xml" || name == "file") {
        return None;
    }
    let mut out = Other { title: name.to_owned(), text: text.to_owned(), ..Other::default() };
    if DESCRIBING.contains(&name) {
        if mark.lines.0 < doc.description.1 {
            return None;
        }
        out.title.clear();
    }
    let is_example = matches!(name, "example" | "usage") && notation == "tags";
    if is_example && !text.contains("```") && !text.contains("{@") && !text.starts_with('<') {
        out.is_code = true;
        // In Ruby the first line is a title, and the code is indented below.
        if reading.language.id.as_str() == "ruby"
            && let Some((first, code)) = text.split_once('\n')
            && doc.lines.get(from).is_some_and(|line| reading.source.slice(*line).trim_end().ends_with(first))
        {
            out.title = format!("{name}: {}", first.trim());
            out.text = code.to_owned();
        }
    }
    Some(out)
}

/// Takes down a section whose items are no entries, up to a line.
fn of_section(reading: &FileReading<'_>, doc: &DocComment, (section, upto): (&Section, usize)) -> Other {
    let title = reading.source.slice(section.heading).trim_matches(['#', ':', ' ', '=']).to_owned();
    let text = text_of(reading, doc, (section.lines.0 as usize + 1, upto), 0);
    // A heading may be underlined.
    let text = match text.split_once('\n') {
        Some((first, rest)) if is_underline(first) => rest.to_owned(),
        _ => text,
    };
    Other { title, is_section: true, text, ..Other::default() }
}

fn is_underline(line: &str) -> bool {
    let line = line.trim();
    !line.is_empty() && line.bytes().all(|byte| matches!(byte, b'-' | b'=' | b'~'))
}

/// Returns what stands between the tags of an element, the first of which was cut off behind its name.
fn inside_element(text: &str, name: &str) -> String {
    let inside = text.split_once('>').map_or(text, |(_, inside)| inside);
    let end = inside.rfind(&format!("</{name}")).unwrap_or(inside.len());
    inside[..end].trim().to_owned()
}
