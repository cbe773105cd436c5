//! Markdown list items that begin with a word and a colon, as comments of Swift have them:
//! `- Parameter name: text`, `- Parameters:` with a list of its own, `- Returns:`, `- Throws:`.
//!
//! Source: the markup reference of the Swift documentation format.

use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle, title};
use super::summary::{blank, complete, describe, entry, entry_name, mark};
use super::{Lines, fields, fields::EntryLines};
use crate::model::{Dialect, DocComment, EntryKind, EntryName, MarkStanding, Name, NotationId};
use crate::text::near;

/// The notation.
pub(super) static CALLOUTS: Notation = Notation {
    id: NotationId::new("callouts"),
    looks_like: "- Parameter name: text",
    read,
    evidence: |lines| (0..lines.len()).filter(|&at| callout(lines, at).is_some()).count(),
    spelling: |kind, name, _| match kind {
        EntryKind::Param | EntryKind::TypeParam => format!("- Parameter {name}:"),
        EntryKind::Returns | EntryKind::Yields => "- Returns:".to_owned(),
        EntryKind::Throws => "- Throws:".to_owned(),
        EntryKind::Property => format!("- {name}:"),
    },
    holds: |kind| matches!(kind, EntryKind::Param | EntryKind::Returns | EntryKind::Throws),
    writer: &fields::FieldWriter(&CalloutLines),
};

/// Callouts that are remarks.
const REMARKS: &[&str] = &[
    "attention", "author", "authors", "bug", "complexity", "copyright", "custom", "date", "example",
    "experiment", "important", "invariant", "localizationkey", "mutatingvariant", "nonmutatingvariant",
    "note", "postcondition", "precondition", "remark", "requires", "seealso", "since", "tag", "tip", "todo",
    "version", "warning", "keyword", "recommended", "recommendedover", "see also",
];

/// What a callout is.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Callout {
    Parameter,
    Parameters,
    Returns,
    Throws,
    Remark,
}

/// Returns what a line's callout is, its word, and what stands behind the word.
fn callout<'s>(lines: &Lines<'s>, at: usize) -> Option<(Callout, &'s str, &'s str)> {
    let line = lines.trimmed(at);
    let item = line.strip_prefix(['-', '*', '+'])?;
    if !item.starts_with([' ', '\t']) {
        return None;
    }
    let (head, behind) = item.trim_start().split_once(':')?;
    let word = head.split_whitespace().next()?;
    let lower = word.to_ascii_lowercase();
    let has_name = head.trim().len() > word.len();
    let is = match lower.as_str() {
        "parameter" if has_name => Callout::Parameter,
        "parameters" if !has_name => Callout::Parameters,
        "returns" | "return" if !has_name => Callout::Returns,
        "throws" | "throw" if !has_name => Callout::Throws,
        _ if REMARKS.contains(&head.trim().to_ascii_lowercase().as_str()) => Callout::Remark,
        // A misspelt callout of parameters is read as one.
        _ if has_name && near(&lower, "parameter") && head.split_whitespace().count() == 2 => {
            Callout::Parameter
        }
        _ => return None,
    };
    let behind = if is == Callout::Parameter { &line[line.find(word)? + word.len()..] } else { behind };
    Some((is, word, behind))
}

fn read(lines: &Lines<'_>, span: crate::text::Span) -> DocComment {
    let mut doc = blank(lines, span, CALLOUTS.id);
    let shielded = lines.shielded();
    let mut found: Vec<(usize, (Callout, &str, &str))> = Vec::new();
    for at in (0..lines.len()).filter(|&at| !shielded[at]) {
        let Some(callout) = callout(lines, at) else { continue };
        // A parameter may be named like a remark.
        let listed = found.last().is_some_and(|&(above, (is, ..))| {
            is == Callout::Parameters && lines.indent(at) > lines.indent(above)
        });
        if !listed {
            found.push((at, callout));
        }
    }
    describe(&mut doc, lines, found.first().map_or(lines.len(), |&(at, _)| at));
    for (number, &(at, (is, word, behind))) in found.iter().enumerate() {
        let next = found.get(number + 1).map_or(lines.len(), |&(next, _)| next);
        // Text that is no longer indented below the item is not the item's.
        let outdented = (at + 1..next).find(|&row| {
            !lines.is_blank(row) && lines.is_blank(row - 1) && lines.indent(row) <= lines.indent(at)
        });
        let next = outdented.unwrap_or(next);
        let end = lines.last_said(at, next);
        let kind = match is {
            Callout::Parameter => EntryKind::Param,
            Callout::Returns => EntryKind::Returns,
            Callout::Throws => EntryKind::Throws,
            Callout::Parameters => {
                read_list(&mut doc, lines, at, end);
                continue;
            }
            Callout::Remark => {
                doc.beyond_summary = true;
                doc.marks.push(mark(lines, word, MarkStanding::Known, (at, end)));
                continue;
            }
        };
        let mut made = entry(kind, lines.span_of(word), (at, end));
        let text = match is {
            Callout::Parameter => {
                let (name, text) = behind.split_once(':').unwrap_or((behind, ""));
                made.names.extend(entry_name(lines, name.trim()));
                text
            }
            Callout::Throws => {
                made.names.push(EntryName { name: Name::new("throws"), span: made.tag, dotted: false });
                behind
            }
            Callout::Returns | Callout::Parameters | Callout::Remark => behind,
        };
        made.text = lines.text_span(lines.span_of(text).start, at, end);
        doc.entries.push(made);
    }
    complete(&mut doc);
    doc
}

/// Reads the items below `- Parameters:`.
fn read_list(doc: &mut DocComment, lines: &Lines<'_>, heading: usize, upto: usize) {
    let item = |at: usize| {
        let item = lines.trimmed(at).strip_prefix(['-', '*', '+'])?;
        let (name, text) = item.trim_start().split_once(':')?;
        let bare = name.trim().trim_matches('`');
        let plain = !bare.is_empty() && bare.chars().all(|c| c.is_alphanumeric() || c == '_');
        plain.then_some((name.trim(), text))
    };
    let indent = (heading + 1..upto).find(|&at| item(at).is_some()).map_or(0, |at| lines.indent(at));
    if indent <= lines.indent(heading) {
        return;
    }
    let starts: Vec<usize> =
        (heading + 1..upto).filter(|&at| item(at).is_some() && lines.indent(at) == indent).collect();
    for (number, &at) in starts.iter().enumerate() {
        let end = starts.get(number + 1).copied().unwrap_or(upto);
        let Some((name, text)) = item(at) else { continue };
        let mut made = entry(EntryKind::Param, lines.span_of(name), (at, end));
        made.names.extend(entry_name(lines, name));
        made.text = lines.text_span(lines.span_of(text).start, at, end);
        doc.entries.push(made);
    }
}

/// How this notation writes one entry.
struct CalloutLines;

impl EntryLines for CalloutLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let head = (CALLOUTS.spelling)(entry.kind, entry.name.as_deref().unwrap_or_default(), style.dialect);
        vec![format!("{head} {}", entry.text)]
    }

    fn listed(&self, entry: &NewEntry) -> Option<(&'static str, String)> {
        let name = entry.name.as_deref()?;
        Some(("- Parameters:", format!("  - {name}: {}", entry.text)))
    }

    fn mark(&self, tag: &str, text: &str, _style: &WriteStyle) -> Option<String> {
        Some(format!("- {}: {text}", title(tag)))
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }
}
