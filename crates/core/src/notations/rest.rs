//! reStructuredText field lists: `:param name: text`.
//!
//! Source for the syntax: the reStructuredText markup specification of Docutils, "Field Lists". A field's
//! name ends at the first colon before white space or the end of the line.

use super::field_lists::{self, Head};
use super::fields::{EntryLines, FieldWriter};
use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::table::{Meaning, Tag, entry_kind};
use crate::model::{Dialect, EntryKind, NotationId};

/// The notation.
pub(super) static REST: Notation = Notation {
    id: NotationId::new("rest"),
    looks_like: ":param name: text",
    read: |lines, span| field_lists::read(lines, span, REST.id, head, TABLE),
    evidence: |lines| field_lists::count(lines, head, TABLE),
    spelling,
    holds: |kind| kind != EntryKind::TypeParam,
    writer: &FieldWriter(&RestLines),
};

pub(super) const TABLE: &[Tag] = &[
    ("param", Meaning::Entry(EntryKind::Param)),
    ("parameter", Meaning::Entry(EntryKind::Param)),
    ("arg", Meaning::Entry(EntryKind::Param)),
    ("argument", Meaning::Entry(EntryKind::Param)),
    ("key", Meaning::Entry(EntryKind::Param)),
    ("keyword", Meaning::Entry(EntryKind::Param)),
    ("kwarg", Meaning::Entry(EntryKind::Param)),
    ("kwparam", Meaning::Entry(EntryKind::Param)),
    ("type", Meaning::ParamType),
    ("paramtype", Meaning::ParamType),
    ("return", Meaning::Entry(EntryKind::Returns)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("rtype", Meaning::ReturnType),
    // No field of the notation, but what many take for one.
    ("return type", Meaning::ReturnType),
    ("returns type", Meaning::ReturnType),
    ("yield", Meaning::Entry(EntryKind::Yields)),
    ("yields", Meaning::Entry(EntryKind::Yields)),
    ("raise", Meaning::Entry(EntryKind::Throws)),
    ("raises", Meaning::Entry(EntryKind::Throws)),
    ("except", Meaning::Entry(EntryKind::Throws)),
    ("exception", Meaning::Entry(EntryKind::Throws)),
    ("ivar", Meaning::Entry(EntryKind::Property)),
    ("cvar", Meaning::Entry(EntryKind::Property)),
    ("var", Meaning::Entry(EntryKind::Property)),
    ("meta", Meaning::Hidden),
    ("deprecated", Meaning::Deprecated),
    ("author", Meaning::Mark),
    ("copyright", Meaning::Mark),
    ("date", Meaning::Mark),
    ("example", Meaning::Mark),
    ("license", Meaning::Mark),
    ("note", Meaning::Mark),
    ("see", Meaning::Mark),
    ("seealso", Meaning::Mark),
    ("since", Meaning::Mark),
    ("todo", Meaning::Mark),
    ("vartype", Meaning::Mark),
    ("version", Meaning::Mark),
    ("warning", Meaning::Mark),
    ("ytype", Meaning::ReturnType),
];

/// Reads the head of a field. A role (`:class:` before a backquote) is none.
fn head(line: &str) -> Option<Head<'_>> {
    let inner = line.trim_start().strip_prefix(':')?;
    if !inner.contains(':') {
        return open_head(inner);
    }
    let end = inner.char_indices().filter(|&(_, c)| c == ':').map(|(at, _)| at).find(|&at| {
        let behind = inner[at + 1..].chars().next();
        behind.is_none_or(char::is_whitespace) && inner[..at].matches('`').count() % 2 == 0
    })?;
    let name = &inner[..end];
    if TABLE.iter().any(|(tag, _)| *tag == name && tag.contains(' ')) {
        return Some(Head { tag: name, argument: &name[name.len()..], rest: &inner[end + 1..] });
    }
    let (tag, argument) = name.split_once(char::is_whitespace).unwrap_or((name, &name[name.len()..]));
    let plain = !tag.is_empty() && tag.chars().all(|c| c.is_alphanumeric() || c == '_');
    plain.then_some(Head { tag, argument, rest: &inner[end + 1..] })
}

/// Words in front of a name that say its type, and are not the name.
const TYPES: &[&str] = &[
    "str", "string", "int", "integer", "float", "bool", "boolean", "list", "dict", "tuple", "set", "bytes",
    "object", "array", "callable", "function", "type",
];

/// Reads the head of a field whose author forgot the second colon, where it can only be that of an entry: `:return the
/// load`, `:param crate the crate to weigh`.
fn open_head(inner: &str) -> Option<Head<'_>> {
    let (tag, behind) = inner.split_once(' ')?;
    if matches!(entry_kind(TABLE, tag)?, EntryKind::Returns | EntryKind::Yields) {
        let said = behind.contains(char::is_alphanumeric);
        return said.then_some(Head { tag, argument: &behind[..0], rest: behind });
    }
    let (argument, rest) = behind.trim_start().split_once(' ')?;
    let named = argument.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '*'))
        && !TYPES.contains(&argument)
        && rest.split_whitespace().nth(1).is_some();
    named.then_some(Head { tag, argument, rest })
}

fn spelling(kind: EntryKind, name: &str, _dialect: Dialect) -> String {
    match kind {
        EntryKind::Param | EntryKind::TypeParam => format!(":param {name}:"),
        EntryKind::Returns => ":returns:".to_owned(),
        EntryKind::Yields => ":yields:".to_owned(),
        EntryKind::Throws => format!(":raises {name}:"),
        EntryKind::Property => format!(":ivar {name}:"),
    }
}

/// How this notation writes one entry.
struct RestLines;

impl EntryLines for RestLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let name = entry.name.as_deref().unwrap_or_default();
        let line = |name: &str| format!("{} {}", spelling(entry.kind, name, style.dialect), entry.text);
        match (&entry.ty, entry.kind) {
            (Some(ty), EntryKind::Param) if style.type_lines => {
                vec![line(name), format!(":type {name}: {ty}")]
            }
            (Some(ty), EntryKind::Param) => vec![line(&format!("{ty} {name}"))],
            (Some(ty), EntryKind::Returns) => vec![line(name), format!(":rtype: {ty}")],
            _ => vec![line(name)],
        }
    }

    fn code(&self, text: &str, _dialect: Dialect) -> String {
        format!("``{text}``")
    }

    fn mark(&self, tag: &str, text: &str, _style: &WriteStyle) -> Option<String> {
        Some(format!(":{tag}: {text}"))
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::WhereSignatureHasNone
    }
}

#[cfg(test)]
mod tests {
    use super::head;

    #[test]
    fn roles_and_prose_are_no_fields() {
        let field = head("  :param int load: what").unwrap();
        assert_eq!((field.tag, field.argument, field.rest), ("param", "int load", " what"));
        assert!(head(":class:`Crate` is weighed").is_none());
        assert!(head("a :param x: inside").is_none());
        assert!(head(":raises ~press.Overload: when").is_some());
    }
}
