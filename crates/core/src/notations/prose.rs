//! Comments without entries: a summary, text, and the names they mention.

use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::summary::{blank, complete, describe};
use super::{Lines, fields, fields::EntryLines};
use crate::model::{Dialect, NotationId};

/// The notation.
pub(super) static PROSE: Notation = Notation {
    id: NotationId::new("prose"),
    looks_like: "a summary and text, no entries",
    read: |lines, span| {
        let mut doc = blank(lines, span, PROSE.id);
        describe(&mut doc, lines, lines.len());
        doc.deprecated = (0..lines.len()).any(|at| opens_with_deprecation(lines, at));
        complete(&mut doc);
        doc
    },
    evidence: |_| 0,
    spelling: |_, name, _| name.to_owned(),
    holds: |_| false,
    writer: &fields::FieldWriter(&ProseLines),
};

/// A paragraph that begins with `Deprecated:` says so of the declaration (Go's convention).
fn opens_with_deprecation(lines: &Lines<'_>, at: usize) -> bool {
    lines.trimmed(at).starts_with("Deprecated:") && (at == 0 || lines.is_blank(at - 1))
}

/// There is nothing to write but the summary.
struct ProseLines;

impl EntryLines for ProseLines {
    fn entry(&self, _entry: &NewEntry, _style: &WriteStyle) -> Vec<String> {
        Vec::new()
    }

    fn mark(&self, _tag: &str, _text: &str, _style: &WriteStyle) -> Option<String> {
        None
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }
}
