//! Fields with an at sign: `@param name: text`.

use super::field_lists::{self, Head};
use super::fields::{EntryLines, FieldWriter};
use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::table::{Meaning, Tag};
use crate::model::{Dialect, EntryKind, NotationId};

/// The notation.
pub(super) static EPYTEXT: Notation = Notation {
    id: NotationId::new("epytext"),
    looks_like: "@param name: text",
    read: |lines, span| field_lists::read(lines, span, EPYTEXT.id, head, TABLE),
    evidence: |lines| field_lists::count(lines, head, TABLE),
    spelling,
    holds: |kind| kind != EntryKind::TypeParam,
    writer: &FieldWriter(&EpytextLines),
};

const TABLE: &[Tag] = &[
    ("param", Meaning::Entry(EntryKind::Param)),
    ("parameter", Meaning::Entry(EntryKind::Param)),
    ("arg", Meaning::Entry(EntryKind::Param)),
    ("argument", Meaning::Entry(EntryKind::Param)),
    ("keyword", Meaning::Entry(EntryKind::Param)),
    ("kwarg", Meaning::Entry(EntryKind::Param)),
    ("type", Meaning::ParamType),
    ("return", Meaning::Entry(EntryKind::Returns)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("rtype", Meaning::ReturnType),
    ("returntype", Meaning::ReturnType),
    ("yield", Meaning::Entry(EntryKind::Yields)),
    ("yields", Meaning::Entry(EntryKind::Yields)),
    ("raise", Meaning::Entry(EntryKind::Throws)),
    ("raises", Meaning::Entry(EntryKind::Throws)),
    ("except", Meaning::Entry(EntryKind::Throws)),
    ("exception", Meaning::Entry(EntryKind::Throws)),
    ("ivar", Meaning::Entry(EntryKind::Property)),
    ("cvar", Meaning::Entry(EntryKind::Property)),
    ("var", Meaning::Entry(EntryKind::Property)),
    ("deprecated", Meaning::Deprecated),
    ("author", Meaning::Mark),
    ("attention", Meaning::Mark),
    ("bug", Meaning::Mark),
    ("change", Meaning::Mark),
    ("contact", Meaning::Mark),
    ("copyright", Meaning::Mark),
    ("group", Meaning::Mark),
    ("invariant", Meaning::Mark),
    ("license", Meaning::Mark),
    ("note", Meaning::Mark),
    ("postcondition", Meaning::Mark),
    ("precondition", Meaning::Mark),
    ("requires", Meaning::Mark),
    ("see", Meaning::Mark),
    ("since", Meaning::Mark),
    ("sort", Meaning::Mark),
    ("status", Meaning::Mark),
    ("summary", Meaning::Mark),
    ("todo", Meaning::Mark),
    ("undocumented", Meaning::Mark),
    ("version", Meaning::Mark),
    ("warning", Meaning::Mark),
];

/// Reads the head of a field. The colon is what tells it from a decorator in an example.
fn head(line: &str) -> Option<Head<'_>> {
    let inner = line.trim_start().strip_prefix('@')?;
    let (name, rest) = inner.split_once(':')?;
    let (tag, argument) = name.split_once(char::is_whitespace).unwrap_or((name, &name[name.len()..]));
    let plain = !tag.is_empty() && tag.chars().all(|c| c.is_alphanumeric() || c == '_');
    let words = argument.split_whitespace().count();
    // `@param load TODO: describe` has no colon behind the name: a text begins there.
    let last = argument.split_whitespace().last().unwrap_or_default();
    let begins_text = words > 1 && last.len() > 2 && last.bytes().all(|byte| byte.is_ascii_uppercase());
    (plain && words <= 3 && !begins_text).then_some(Head { tag, argument, rest })
}

fn spelling(kind: EntryKind, name: &str, _dialect: Dialect) -> String {
    match kind {
        EntryKind::Param | EntryKind::TypeParam => format!("@param {name}:"),
        EntryKind::Returns => "@return:".to_owned(),
        EntryKind::Yields => "@yield:".to_owned(),
        EntryKind::Throws => format!("@raise {name}:"),
        EntryKind::Property => format!("@ivar {name}:"),
    }
}

/// How this notation writes one entry.
struct EpytextLines;

impl EntryLines for EpytextLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let name = entry.name.as_deref().unwrap_or_default();
        let mut out = vec![format!("{} {}", spelling(entry.kind, name, style.dialect), entry.text)];
        match (&entry.ty, entry.kind) {
            (Some(ty), EntryKind::Param) => out.push(format!("@type {name}: {ty}")),
            (Some(ty), EntryKind::Returns) => out.push(format!("@rtype: {ty}")),
            _ => {}
        }
        out
    }

    fn code(&self, text: &str, _dialect: Dialect) -> String {
        format!("C{{{text}}}")
    }

    fn mark(&self, tag: &str, text: &str, _style: &WriteStyle) -> Option<String> {
        Some(format!("@{tag}: {text}"))
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::WhereSignatureHasNone
    }
}

#[cfg(test)]
mod tests {
    use super::head;

    #[test]
    fn a_colon_inside_the_text_makes_no_field() {
        assert!(head("@param load: what lies on it").is_some());
        assert!(head("@param float load: what lies on it").is_some());
        assert!(head("@param load TODO: describe").is_none());
    }
}
