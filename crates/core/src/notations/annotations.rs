//! Tags as comments of Lua and Luau have them: `---@param name type text` with types, `--- @param name
//! text` and `@tparam type name text` without or ahead.

use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::summary::{
    blank, complete, describe, describe_by_tag, entry, entry_name, first_word, mark, type_end,
};
use super::table::{Meaning, Tag, apply, look_up};
use super::{Lines, fields, fields::EntryLines};
use crate::model::{
    Dialect, DocComment, Entry, EntryKind, EntryName, MarkStanding, Name, NotationId, Surface,
};

/// The notation.
pub(super) static ANNOTATIONS: Notation = Notation {
    id: NotationId::new("annotations"),
    looks_like: "---@param name type text",
    read,
    evidence: |lines| (0..lines.len()).filter(|&at| opening(lines.text(at)).is_some()).count(),
    spelling,
    holds: |kind| matches!(kind, EntryKind::Param | EntryKind::Returns | EntryKind::Property),
    writer: &fields::FieldWriter(&AnnotationLines),
};

const TABLE: &[Tag] = &[
    ("param", Meaning::Entry(EntryKind::Param)),
    ("array", Meaning::Entry(EntryKind::Param)),
    ("bool", Meaning::Entry(EntryKind::Param)),
    ("func", Meaning::Entry(EntryKind::Param)),
    ("int", Meaning::Entry(EntryKind::Param)),
    ("number", Meaning::Entry(EntryKind::Param)),
    ("string", Meaning::Entry(EntryKind::Param)),
    ("tab", Meaning::Entry(EntryKind::Param)),
    ("thread", Meaning::Entry(EntryKind::Param)),
    ("tparam", Meaning::Entry(EntryKind::Param)),
    ("return", Meaning::Entry(EntryKind::Returns)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("treturn", Meaning::Entry(EntryKind::Returns)),
    // Short for it in many projects: `@ret string its name`.
    ("ret", Meaning::Entry(EntryKind::Returns)),
    // It declares one, and describes none.
    ("generic", Meaning::Mark),
    ("field", Meaning::Entry(EntryKind::Property)),
    ("tfield", Meaning::Entry(EntryKind::Property)),
    ("raise", Meaning::Entry(EntryKind::Throws)),
    ("error", Meaning::Entry(EntryKind::Throws)),
    ("overload", Meaning::Mark),
    ("deprecated", Meaning::Deprecated),
    ("local", Meaning::Surface(Surface::Private)),
    ("private", Meaning::Surface(Surface::Private)),
    ("protected", Meaning::Surface(Surface::Protected)),
    ("package", Meaning::Surface(Surface::Package)),
    ("ignore", Meaning::Hidden),
    ("alias", Meaning::Mark),
    ("brief", Meaning::Mark),
    ("as", Meaning::Mark),
    ("async", Meaning::Mark),
    ("author", Meaning::Mark),
    ("cast", Meaning::Mark),
    ("class", Meaning::Mark),
    ("classmod", Meaning::Mark),
    ("copyright", Meaning::Mark),
    ("diagnostic", Meaning::Mark),
    ("enum", Meaning::Mark),
    ("example", Meaning::Mark),
    ("export", Meaning::Mark),
    ("factory", Meaning::Mark),
    ("file", Meaning::Mark),
    ("fixme", Meaning::Mark),
    ("function", Meaning::Mark),
    ("include", Meaning::Mark),
    ("license", Meaning::Mark),
    ("lfunction", Meaning::Mark),
    ("meta", Meaning::Mark),
    ("module", Meaning::Mark),
    ("name", Meaning::Mark),
    ("nodiscard", Meaning::Mark),
    ("operator", Meaning::Mark),
    ("pragma", Meaning::Mark),
    ("release", Meaning::Mark),
    ("script", Meaning::Mark),
    ("section", Meaning::Mark),
    ("see", Meaning::Mark),
    ("since", Meaning::Mark),
    ("source", Meaning::Mark),
    ("static", Meaning::Mark),
    ("submodule", Meaning::Mark),
    ("table", Meaning::Mark),
    ("todo", Meaning::Mark),
    ("topic", Meaning::Mark),
    ("type", Meaning::Mark),
    ("usage", Meaning::Mark),
    ("vararg", Meaning::Mark),
    ("version", Meaning::Mark),
    ("warning", Meaning::Mark),
    ("within", Meaning::Mark),
];

/// Returns the name of the tag that opens a line; tags may carry modifiers: `@param[opt]`.
fn opening(line: &str) -> Option<&str> {
    let rest = line.trim_start().strip_prefix('@')?;
    let end = rest.find(|c: char| !c.is_ascii_alphanumeric() && c != '_').unwrap_or(rest.len());
    let after = rest[end..].chars().next();
    let tag = rest.starts_with(|c: char| c.is_ascii_lowercase())
        && !matches!(after, Some('-' | '\\' | '.' | '/' | '@'));
    tag.then(|| &rest[..end])
}

fn read(lines: &Lines<'_>, span: crate::text::Span) -> DocComment {
    let mut doc = blank(lines, span, ANNOTATIONS.id);
    let shielded = lines.shielded();
    let opens: Vec<(usize, &str)> = (0..lines.len())
        .filter(|&at| !shielded[at])
        .filter_map(|at| opening(lines.text(at)).map(|name| (at, name)))
        .collect();
    let first = opens.first().map_or(lines.len(), |&(at, _)| at);
    describe(&mut doc, lines, first);
    for (number, &(at, name)) in opens.iter().enumerate() {
        let next = opens.get(number + 1).map_or(lines.len(), |&(next, _)| next);
        let end = lines.last_said(at, next);
        read_tag(&mut doc, lines, name, (at, end));
    }
    if opens.iter().any(|(_, name)| matches!(*name, "function" | "lfunction")) {
        // It names what it is about, whose signature need not be the one below.
        doc.inherits = true;
        for entry in doc.entries.iter_mut().filter(|entry| entry.kind == EntryKind::Param) {
            entry.kind = EntryKind::Property;
        }
    }
    // The description may have a tag of its own.
    describe_by_tag(&mut doc, lines, &opens, &["brief"]);
    // Words without text may stand above the description: `@internal`.
    let bare = opens.iter().enumerate().take_while(|&(number, &(at, name))| {
        at == number && lines.trimmed(at).trim_start_matches('@') == name
    });
    let below = bare.count();
    if doc.summary.is_none() && below > 0 {
        let next = opens.get(below).map_or(lines.len(), |&(at, _)| at);
        if (below..next).any(|row| !lines.is_blank(row)) {
            super::summary::describe_from(&mut doc, lines, (below, 0), next);
        }
    }
    // Where types stand at once behind the mark, the description may follow them.
    if doc.summary.is_none() && first == 0 && is_typed(lines, 0) {
        let after = opens.last().map_or(0, |&(at, _)| at + 1);
        describe_behind(&mut doc, lines, after);
    }
    complete(&mut doc);
    doc
}

fn describe_behind(doc: &mut DocComment, lines: &Lines<'_>, from: usize) {
    super::summary::describe_from(doc, lines, (from, 0), lines.len());
}

/// `---@param` has types; `--- @param` has none, nor has a tag inside a long comment.
fn is_typed(lines: &Lines<'_>, at: usize) -> bool {
    let before = lines.spans().get(at).map_or("", |line| &lines.source().text()[..line.start as usize]);
    lines.text(at).starts_with('@') && before.ends_with("--")
}

fn read_tag(doc: &mut DocComment, lines: &Lines<'_>, name: &str, rows: (usize, usize)) {
    let (mut meaning, mut standing) = look_up(TABLE, name);
    let behind = &lines.text(rows.0)[(lines.span_of(name).end - lines.spans()[rows.0].start) as usize..];
    let own_type = name.contains(|c: char| c.is_ascii_digit()) || behind.starts_with("[opt");
    if standing != MarkStanding::Known && own_type {
        // A project's own word for a type: `@array2d name text`, `@vat[opt] name text`.
        (meaning, standing) = (Some(Meaning::Entry(EntryKind::Param)), MarkStanding::Known);
    }
    if standing != MarkStanding::Known {
        doc.marks.push(mark(lines, name, standing.clone(), rows));
    }
    if let Some(kind) = apply(doc, meaning) {
        doc.entries.push(read_entry(lines, kind, name, rows));
        return;
    }
    if standing == MarkStanding::Known {
        doc.marks.push(mark(lines, name, MarkStanding::Known, rows));
    }
}

fn read_entry(lines: &Lines<'_>, kind: EntryKind, tag: &str, rows: (usize, usize)) -> Entry {
    let mut found = entry(kind, lines.span_of(tag), rows);
    let line = lines.text(rows.0);
    let behind = (lines.span_of(tag).end - lines.spans()[rows.0].start) as usize;
    let mut rest = &line[behind..];
    // Modifiers: `[opt]`, `[opt=5]`, `[1]`.
    if let Some((inner, after)) = rest.strip_prefix('[').and_then(|inner| inner.split_once(']')) {
        found.optional = inner.starts_with("opt");
        found.default = inner.split_once("opt=").map(|(_, value)| lines.span_of(value));
        rest = after;
    }
    rest = rest.trim_start();
    let typed = is_typed(lines, rows.0);
    if kind == EntryKind::Param && !matches!(tag, "param" | "tparam") {
        // The tag is the type: `@string name text`.
        found.ty = Some(lines.span_of(tag));
    }
    let type_first = matches!(tag, "tparam" | "treturn" | "tfield");
    let take_type = |found: &mut Entry, rest: &str| -> usize {
        let end = type_end(rest);
        if end > 0 {
            found.ty = Some(lines.span_of(&rest[..end]));
        }
        end
    };
    if type_first || (kind == EntryKind::Returns && typed) {
        let end = take_type(&mut found, rest);
        rest = rest[end..].trim_start();
    } else if let Some((ty, after)) = rest.strip_prefix('{').and_then(|inner| inner.split_once('}')) {
        // A type in braces, as scripts have it: `@param {number} load text`.
        found.ty = Some(lines.span_of(ty));
        rest = after.trim_start();
    }
    if matches!(kind, EntryKind::Param | EntryKind::Property | EntryKind::TypeParam) {
        let (word, after) = first_word(rest);
        let bare = word.trim_end_matches([':', ',']);
        // Modifiers that stand behind the name are no part of it: `name[opt=8]`.
        let bare = bare.split_once('[').filter(|(name, _)| !name.is_empty()).map_or(bare, |(name, _)| name);
        found.optional |= bare.ends_with('?');
        found.names.extend(entry_name(lines, bare.trim_end_matches('?')));
        if bare == "..." {
            found.names.push(EntryName { name: Name::new("..."), span: lines.span_of(bare), dotted: true });
        }
        rest = after.trim_start();
        if typed && !type_first && found.ty.is_none() {
            let end = take_type(&mut found, rest);
            rest = &rest[end..];
        }
    }
    let text = rest.trim_start().trim_start_matches(['-', '#', ':']).trim_start();
    found.text = lines.text_span(lines.span_of(text).start, rows.0, rows.1);
    found
}

fn spelling(kind: EntryKind, name: &str, _dialect: Dialect) -> String {
    match kind {
        EntryKind::Param => format!("@param {name}"),
        EntryKind::TypeParam => format!("@generic {name}"),
        EntryKind::Returns | EntryKind::Yields => "@return".to_owned(),
        EntryKind::Throws => "@raise".to_owned(),
        EntryKind::Property => format!("@field {name}"),
    }
}

/// How this notation writes one entry.
struct AnnotationLines;

impl EntryLines for AnnotationLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let name = entry.name.as_deref().unwrap_or_default();
        let mut head = spelling(entry.kind, name, style.dialect);
        // Directly behind the mark a tag is read with a type.
        if style.tight && matches!(entry.kind, EntryKind::Param | EntryKind::Returns) {
            head = format!("{head} {}", entry.ty.as_deref().unwrap_or("any"));
        }
        vec![format!("{head} {}", entry.text)]
    }

    fn parted(&self) -> bool {
        false
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }
}
