//! Reading notations whose entries are fields: a sign, a name, an argument, a colon, a text.

use super::Lines;
use super::sections;
use super::summary::{blank, complete, describe, entry, entry_name, mark};
use super::table::{Meaning, Tag, look_up};
use crate::model::{DocComment, Entry, EntryKind, EntryName, MarkStanding, Name, NotationId, Surface};
use crate::text::Span;

/// The head of a field, taken apart.
pub(super) struct Head<'s> {
    /// The field's name.
    pub(super) tag: &'s str,
    /// What stands between the name and the colon.
    pub(super) argument: &'s str,
    /// What stands behind the colon.
    pub(super) rest: &'s str,
}

/// Reads the head of a field from a line.
pub(super) type ReadHead = for<'s> fn(&'s str) -> Option<Head<'s>>;

/// Counts the fields that the table knows as entries.
pub(super) fn count(lines: &Lines<'_>, head: ReadHead, table: &[Tag]) -> usize {
    (0..lines.len())
        .filter_map(|at| head(lines.text(at)))
        .filter(|head| {
            opens_list(head)
                || matches!(look_up(table, head.tag), (Some(meaning), _) if meaning != Meaning::Mark)
        })
        .count()
}

/// Reads a comment.
pub(super) fn read(
    lines: &Lines<'_>,
    span: Span,
    id: NotationId,
    head: ReadHead,
    table: &[Tag],
) -> DocComment {
    let mut doc = blank(lines, span, id);
    let mut shielded = lines.shielded();
    shield_options(lines, &mut shielded);
    let heads: Vec<(usize, Head<'_>)> = (0..lines.len())
        .filter(|&at| !shielded[at])
        .filter_map(|at| head(lines.text(at)).map(|head| (at, head)))
        .filter(|(_, head)| head.tag.starts_with(char::is_lowercase) || opens_list(head))
        .collect();
    describe(&mut doc, lines, heads.first().map_or(lines.len(), |(at, _)| *at));
    let mut types = Vec::new();
    for (number, (at, head)) in heads.iter().enumerate() {
        let next = heads.get(number + 1).map_or(lines.len(), |(next, _)| *next);
        let rows = (*at, field_end(lines, *at, next));
        read_field(&mut doc, &mut types, lines, (head, table), rows);
    }
    for (kind, name, ty) in types {
        add_type(&mut doc, lines, kind, name.as_deref(), ty);
    }
    if doc.summary.is_none() {
        describe_below(&mut doc, lines, &heads);
    }
    complete(&mut doc);
    doc
}

/// Takes the first paragraph that is no field's for the description, where all fields stand above it.
fn describe_below(doc: &mut DocComment, lines: &Lines<'_>, heads: &[(usize, Head<'_>)]) {
    let below = heads.iter().enumerate().find_map(|(number, &(at, _))| {
        let next = heads.get(number + 1).map_or(lines.len(), |&(next, _)| next);
        let row = (field_end(lines, at, next)..next).find(|&row| !lines.is_blank(row))?;
        (!lines.trimmed(row).starts_with([':', '.', '@'])).then_some((row, next))
    });
    if let Some((row, next)) = below {
        super::summary::describe_from(doc, lines, (row, 0), next);
    }
}

/// Directives whose body is shown as it is.
const CODE: &[&str] = &["code-block::", "code::", "sourcecode::", "parsed-literal::"];

/// Directives whose body tells of a thing of its own.
const THINGS: &[&str] = &[
    "attribute::", "class::", "classmethod::", "data::", "decorator::", "describe::", "exception::",
    "function::", "method::", "property::", "staticmethod::",
];

/// Tells whether a line opens a body whose fields are none of the comment's: `.. code-block:: python`, `.. method:: weigh()`.
fn opens_other_body(line: &str) -> bool {
    let Some(directive) = line.strip_prefix(".. ") else { return false };
    let things = directive.strip_prefix("py:").unwrap_or(directive);
    CODE.iter().any(|name| directive.starts_with(name)) || THINGS.iter().any(|name| things.starts_with(name))
}

/// Shields the options of directives, which are written like fields, directly below the directive, and the bodies of those
/// that show code or tell of a thing of their own.
fn shield_options(lines: &Lines<'_>, shielded: &mut [bool]) {
    let mut directive = None;
    let mut code = None;
    for (at, shield) in shielded.iter_mut().enumerate() {
        let text = lines.trimmed(at);
        // Code is what it shows, down to where it ends.
        code = code.filter(|&indent| text.is_empty() || lines.indent(at) > indent);
        if code.is_some() {
            *shield = true;
            continue;
        }
        if opens_other_body(text) {
            code = Some(lines.indent(at));
        }
        if text.starts_with(".. ") {
            directive = text.contains("::").then(|| lines.indent(at));
        } else if directive.is_some_and(|indent| text.starts_with(':') && lines.indent(at) > indent) {
            *shield = true;
        } else {
            directive = None;
        }
    }
}

/// A field goes on over indented lines, over empty ones between them, and over a paragraph that goes on
/// without indentation.
fn field_end(lines: &Lines<'_>, at: usize, next: usize) -> usize {
    let indent = lines.indent(at);
    let mut end = at + 1;
    let mut after_blank = false;
    for row in at + 1..next {
        if lines.is_blank(row) {
            after_blank = true;
            continue;
        }
        let deeper = lines.indent(row) > indent;
        if !deeper && (after_blank || lines.trimmed(row).starts_with(".. ")) {
            break;
        }
        end = row + 1;
    }
    end
}

type FoundType = (EntryKind, Option<String>, Span);

fn read_field(
    doc: &mut DocComment,
    types: &mut Vec<FoundType>,
    lines: &Lines<'_>,
    (head, table): (&Head<'_>, &[Tag]),
    rows: (usize, usize),
) {
    if opens_list(head) {
        doc.marks.push(mark(lines, head.tag, MarkStanding::Known, (rows.0, rows.0 + 1)));
        read_list(doc, lines, rows);
        return;
    }
    let (meaning, standing) = look_up(table, head.tag);
    let misspelt = matches!(standing, MarkStanding::Near(_));
    let text = lines.text_span(lines.span_of(head.rest).start, rows.0, rows.1);
    match meaning {
        // `:keywords: speed` names none.
        Some(Meaning::Entry(EntryKind::Param)) if misspelt && head.argument.trim().is_empty() => {}
        Some(Meaning::Entry(kind)) => {
            doc.entries.push(read_entry(lines, kind, head, (text, rows)));
        }
        Some(Meaning::ParamType) => {
            types.extend(text.map(|ty| (EntryKind::Param, Some(bare(head.argument)), ty)));
        }
        Some(Meaning::ReturnType) => types.extend(text.map(|ty| (EntryKind::Returns, None, ty))),
        // What is told to be private is asked for nothing, and is checked all the same.
        Some(Meaning::Hidden) => {
            doc.surface = match head.argument.trim() {
                "private" => Some(Surface::Private),
                "public" => Some(Surface::Public),
                _ => doc.surface,
            };
        }
        Some(Meaning::Deprecated) => doc.deprecated = true,
        Some(Meaning::Inherits) => doc.inherits = true,
        Some(Meaning::Surface(surface)) => doc.surface = Some(surface),
        Some(Meaning::Mark) | None => {}
    }
    let entry_like = matches!(meaning, Some(Meaning::Entry(_) | Meaning::ParamType | Meaning::ReturnType));
    if misspelt || !entry_like {
        doc.marks.push(mark(lines, head.tag, standing, rows));
    }
}

/// Tells whether a field opens a list of all parameters, which have no fields of their own: `:Parameters:`.
fn opens_list(head: &Head<'_>) -> bool {
    head.argument.trim().is_empty()
        && head.rest.trim().is_empty()
        && LISTS.iter().any(|word| head.tag.eq_ignore_ascii_case(word))
}

/// The fields that open a list of all parameters.
const LISTS: [&str; 4] = ["parameters", "params", "arguments", "args"];

/// Tells whether a line is nothing but a field that opens such a list: `:Parameters:`.
pub(crate) fn is_list_field(line: &str) -> bool {
    let word = line.trim().strip_prefix([':', '@']).and_then(|rest| rest.strip_suffix(':'));
    word.is_some_and(|word| LISTS.iter().any(|list| word.eq_ignore_ascii_case(list)))
}

/// Reads the items of such a list: "- `load`: what it weighs", or a name over its description.
fn read_list(doc: &mut DocComment, lines: &Lines<'_>, (from, end): (usize, usize)) {
    let filled = || (from + 1..end).filter(|&row| !lines.is_blank(row));
    let Some(indent) = filled().map(|row| lines.indent(row)).min() else { return };
    let items: Vec<usize> = filled().filter(|&row| lines.indent(row) == indent).collect();
    for (number, &row) in items.iter().enumerate() {
        let upto = items.get(number + 1).copied().unwrap_or(end);
        let text = lines.trimmed(row);
        let text = sections::list_item(text).unwrap_or(text);
        let (head, rest) = sections::split_colon(text).unwrap_or((text, sections::line_end(lines, row)));
        let name = head.split_once('(').map_or(head, |(name, _)| name).trim();
        let Some(names) = sections::names(lines, name) else { continue };
        let mut found = entry(EntryKind::Param, lines.span_of(name), (row, upto));
        found.names = names;
        sections::set_text(&mut found, lines, rest, upto);
        doc.entries.push(found);
    }
}

fn bare(argument: &str) -> String {
    argument.trim().trim_start_matches(['*', '\\', '`']).trim_end_matches('`').to_owned()
}

fn read_entry(
    lines: &Lines<'_>,
    kind: EntryKind,
    head: &Head<'_>,
    (text, rows): (Option<Span>, (usize, usize)),
) -> Entry {
    let mut found = entry(kind, lines.span_of(head.tag), rows);
    found.text = text;
    let argument = head.argument.trim();
    match kind {
        EntryKind::Param | EntryKind::Property | EntryKind::TypeParam => {
            let lists = argument.contains(',') && argument.split(',').all(|part| !part.trim().contains(' '));
            if lists {
                found.names.extend(argument.split(',').filter_map(|part| entry_name(lines, part.trim())));
            } else {
                // `:param load - what it weighs, eg: 3`: a colon is missing, and no name stands before this one.
                if argument.contains(" - ") {
                    return found;
                }
                // The last word is the name; what is before it is the type.
                let at = argument.rfind(char::is_whitespace).map_or(0, |space| space + 1);
                found.names.extend(entry_name(lines, &argument[at..]));
                let ty = argument[..at].trim();
                found.ty = (!ty.is_empty()).then(|| lines.span_of(ty));
                found.optional = ty.ends_with("optional");
            }
        }
        EntryKind::Throws => {
            for part in argument.split([',', '|']).flat_map(|part| part.split(" or ")) {
                found.names.extend(exception_name(lines, part.trim()));
            }
        }
        EntryKind::Returns | EntryKind::Yields => {
            found.ty = (!argument.is_empty()).then(|| lines.span_of(argument));
        }
    }
    found
}

/// Reads the type of an exception: a dotted name, perhaps in a role or quotes.
pub(super) fn exception_name(lines: &Lines<'_>, text: &str) -> Option<EntryName> {
    let inner = match text.split_once('`') {
        Some((_, rest)) => rest.trim_end_matches('`'),
        None => text,
    };
    let bare = inner.trim_matches(|c: char| !(c.is_alphanumeric() || c == '_' || c == '.')).trim_matches('.');
    let plain = !bare.is_empty() && bare.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.'));
    plain.then(|| EntryName { name: Name::simple(bare), span: lines.span_of(bare), dotted: false })
}

/// Joins a type that has a field of its own with the entry it belongs to.
fn add_type(doc: &mut DocComment, lines: &Lines<'_>, kind: EntryKind, name: Option<&str>, ty: Span) {
    let row = lines.spans().partition_point(|line| line.end < ty.start);
    // What a generator gives is typed as what comes back where nothing else does.
    let kind = match kind {
        EntryKind::Returns if !doc.has(kind) && doc.has(EntryKind::Yields) => EntryKind::Yields,
        kind => kind,
    };
    let known = doc.entries.iter_mut().find(|entry| {
        let typed = entry.kind == kind || (kind == EntryKind::Param && entry.kind == EntryKind::Property);
        typed && name.is_none_or(|name| entry.names.iter().any(|n| n.name == name))
    });
    let optional = lines.source().slice(ty).trim_end().ends_with("optional");
    if let Some(entry) = known {
        entry.ty = Some(ty);
        entry.optional |= optional;
        if (entry.lines.1 as usize) == row {
            entry.lines.1 += 1;
        }
        return;
    }
    let mut made = entry(kind, ty, (row, row + 1));
    made.ty = Some(ty);
    made.optional = optional;
    if let Some(name) = name {
        let line = lines.text(row);
        let Some(at) = line.find(name) else { return };
        made.names.extend(entry_name(lines, &line[at..at + name.len()]));
        made.tag = made.names.first().map_or(ty, |name| name.span);
    }
    // It stands where its type does.
    let place = doc.entries.partition_point(|entry| entry.lines.0 <= made.lines.0);
    doc.entries.insert(place, made);
}
