//! Comments that speak of something else than the declaration below them.

use super::FileReading;
use crate::model::{Body, Declaration, DocComment, EntryKind, Kind, Name, Surface};
use crate::pairing::{Match, Pairing};
use crate::text::Span;

/// Tells whether a comment may well be about something else: empty lines part it from the declaration, and of several names
/// that it speaks of none is there.
pub(super) fn is_of_another(
    file: &FileReading<'_>,
    declaration: &Declaration,
    doc: &DocComment,
    pairing: &Pairing,
) -> bool {
    let names = &pairing.params.names;
    names.len() > 1
        && names.iter().all(|name| name.is == Match::Unknown)
        && doc.span.end <= declaration.span.start
        && file.source.slice(Span::new(doc.span.end, declaration.span.start)).matches('\n').count() > 1
}

/// Tells whether a comment is about something that the declaration below it only stands for: a member of another type
/// that it names, what others are to write in its place, the method that a getter marked as one hands out, or what a
/// declaration file does not tell.
pub(super) fn is_shown_only(file: &FileReading<'_>, declaration: &Declaration, doc: &DocComment) -> bool {
    if !file.language.dialect.is_script() {
        return false;
    }
    // A declaration file leaves out what a private constructor takes.
    let undeclared = declaration.kind == Kind::Constructor
        && declaration.body == Body::Absent
        && declaration.surface == Surface::Private
        && declaration.signature.parameters.is_empty();
    let handed_out = declaration.kind == Kind::Property && marked(doc, &["method", "function", "func"]);
    // A class that holds a command for others tells of the command.
    let is_command = declaration.kind == Kind::Class && marked(doc, &["method"]);
    let elsewhere = names_another_member(file, declaration, doc) || names_another(file, declaration, doc);
    undeclared
        || handed_out
        || ((elsewhere || is_command) && !speaks_of_parameters(declaration, doc))
        || is_to_be_written(file, declaration)
}

/// Tells whether a comment has an entry for one of the parameters: whatever it is named for, it is about these.
fn speaks_of_parameters(declaration: &Declaration, doc: &DocComment) -> bool {
    let names = doc.entries_of(EntryKind::Param).flat_map(|entry| &entry.names);
    let signature = declaration.constructor.as_deref().unwrap_or(&declaration.signature);
    let takes = |name: &Name| signature.parameters.iter().any(|taken| taken.named() == Some(name));
    names.into_iter().any(|name| takes(&name.name))
}

fn marked(doc: &DocComment, names: &[&str]) -> bool {
    doc.marks.iter().any(|mark| names.contains(&mark.name.as_str()))
}

/// Returns the lines of a comment that carry one of some marks.
fn lines_of<'a>(
    file: &'a FileReading<'_>,
    doc: &'a DocComment,
    names: &'a [&str],
) -> impl Iterator<Item = &'a str> {
    let marks = doc.marks.iter().filter(|mark| names.contains(&mark.name.as_str()));
    marks.filter_map(|mark| doc.lines.get(mark.lines.0 as usize)).map(|&line| file.source.slice(line))
}

/// `@name scale#weigh`, where the declaration is no member of a scale.
fn names_another_member(file: &FileReading<'_>, declaration: &Declaration, doc: &DocComment) -> bool {
    let owner = owner_name(file, declaration);
    lines_of(file, doc, &["name"]).any(|line| {
        let path = line.split_whitespace().next_back().unwrap_or_default();
        let around = path.split_once('#').map(|(around, _)| around.rsplit(['.', '/', '~']).next());
        around.flatten().is_some_and(|around| owner.is_none_or(|owner| owner != around))
    })
}

fn owner_name<'a>(file: &'a FileReading<'_>, declaration: &Declaration) -> Option<&'a Name> {
    declaration.owner.map(|owner| &file.outline.declaration(owner).name)
}

/// Tells whether a line names something else than the declaration, its owner and what it has no name for.
fn names_otherwise(line: &str, tag: &str, declaration: &Declaration, owner: Option<&Name>) -> bool {
    let behind = line.split_once(tag).map_or("", |(_, behind)| behind);
    // What it takes may be shown as well: `@name scales.weigh(crate, unit)`.
    let named = behind.trim().split_once('(').map_or(behind, |(named, _)| named);
    let mut words = named.split_whitespace();
    let (Some(path), None) = (words.next(), words.next()) else { return false };
    let last = path.rsplit(['#', '.', '/', '~', ':']).next().unwrap_or_default();
    let is_name =
        |name: &str| !name.is_empty() && name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '$'));
    // A bundler numbers namesakes: `weigh$1`; and what is private may be told without its underscore.
    let plain = |name: &str| {
        let numbered = name.rsplit_once('$').filter(|(_, number)| number.bytes().all(|b| b.is_ascii_digit()));
        numbered.map_or(name, |(name, _)| name).replace('_', "").to_lowercase()
    };
    let own = declaration.name.as_str();
    is_name(last)
        && is_name(own)
        && declaration.kind != Kind::Constructor
        && own != "default"
        && plain(own) != plain(last)
        && owner.is_none_or(|owner| owner != last)
}

/// `@name tare` or `@method tare`, above what is called otherwise.
fn names_another(file: &FileReading<'_>, declaration: &Declaration, doc: &DocComment) -> bool {
    let owner = owner_name(file, declaration);
    ["name", "method", "function"].iter().any(|tag| {
        lines_of(file, doc, &[tag]).any(|line| {
            let sort = line.split_whitespace().next_back().unwrap_or_default();
            let is_sort =
                matches!(sort, "abstract" | "async" | "private" | "protected" | "public" | "static");
            !is_sort && names_otherwise(line, tag, declaration, owner)
        })
    })
}

/// `weigh: function() {}`, `weigh = async function() {}`, `weigh() {}`: it takes and does nothing, and shows what others are to
/// write.
fn is_to_be_written(file: &FileReading<'_>, declaration: &Declaration) -> bool {
    let behind = Span::new(declaration.name_span.end, declaration.span.end.max(declaration.name_span.end));
    if behind.len() >= 128 || declaration.kind == Kind::Constructor {
        return false;
    }
    let value = file.source.slice(behind).trim_end_matches(';');
    if !value.ends_with('}') {
        return false;
    }
    let Some((before, inner)) = value.split_once('{') else { return false };
    // A remark in it may say who does.
    let remarks_only = inner[..inner.len() - 1].lines().all(|line| {
        let line = line.trim();
        line.is_empty() || line.starts_with("//")
    });
    if !remarks_only {
        return false;
    }
    let bare: String = before.chars().filter(|c| !c.is_whitespace()).chain("{}".chars()).collect();
    let head = bare.strip_suffix("(){}").map(|head| head.trim_start_matches([':', '=']));
    let head = head.map(|head| head.strip_prefix("async").unwrap_or(head));
    head.is_some_and(|head| (head.is_empty() && declaration.owner.is_some()) || head.starts_with("function"))
}
