//! What each line of a file was taken for.

use std::collections::BTreeMap;
use std::fmt::Write;

use vinequill_core::model::Outline;
use vinequill_core::review::FileReading;
use vinequill_core::text::{Source, Span};

use crate::terminal::{style, styled};

/// The width that source lines are cut to, in characters.
const WIDTH: usize = 56;

/// Shows every line of a file beside what it was taken for.
pub(crate) fn text(reading: &FileReading<'_>, path: &str) -> String {
    let source = &reading.source;
    let mut notes = notes(source, &reading.outline);
    for explained in reading.language.reader.explain(source) {
        notes.entry(explained.line).or_default().push(explained.what);
    }
    let mut out =
        format!("{}  {}\n", styled(style::STRONG, path), styled(style::NOTE, reading.language.label));
    for (at, line) in source.text().lines().enumerate() {
        let number = u32::try_from(at + 1).unwrap_or(u32::MAX);
        let line = line.replace('\t', "    ");
        let shown: String = if line.chars().count() > WIDTH {
            line.chars().take(WIDTH - 1).chain(['…']).collect()
        } else {
            line
        };
        let what = notes.get(&number).map(|list| list.join("; ")).unwrap_or_default();
        let row = format!("{number:>5}  {shown:<WIDTH$}  {}", styled(style::NOTE, &what));
        // Writing to a string cannot fail.
        let _ = writeln!(out, "{}", if what.is_empty() { row.trim_end() } else { &row });
    }
    out
}

/// Says of lines what the outline took them for.
fn notes(source: &Source, outline: &Outline) -> BTreeMap<u32, Vec<String>> {
    let mut out: BTreeMap<u32, Vec<String>> = BTreeMap::new();
    let mut note = |span: Span, what: String| {
        let (from, to) = (source.line(span.start), source.line(span.end.saturating_sub(1).max(span.start)));
        out.entry(from).or_default().push(what.clone());
        for line in from + 1..=to {
            out.entry(line).or_default().push("…".to_owned());
        }
    };
    for (at, comment) in outline.comments.iter().enumerate() {
        let of = |found: &&vinequill_core::model::Declaration| {
            found.comment.doc.is_some_and(|id| id.0 as usize == at)
        };
        let what = match outline.declarations.iter().find(of) {
            Some(declaration) => format!("comment of {}", declaration.qualified),
            None if comment.doc => "doc comment of nothing".to_owned(),
            None => "comment".to_owned(),
        };
        note(comment.span, what);
    }
    for declaration in &outline.declarations {
        note(declaration.name_span, format!("{} {}", declaration.kind.as_str(), declaration.qualified));
    }
    for &span in &outline.unparsed {
        note(span, "not understood".to_owned());
    }
    out
}
