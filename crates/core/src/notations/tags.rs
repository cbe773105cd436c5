//! Block tags at the start of a line: `@param name text`.
//!
//! Source for the tags: the documentation comment specification of the Java platform (JDK 23), chapter
//! "Standard tags". The type in braces and the name in brackets are read as other languages write them.

use super::below_tags;
use super::fields;
use super::long_types::long_type;
use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::summary::{
    blank, complete, describe, describe_by_tag, entry, entry_name, first_word, mark, type_end,
};
use super::table::{Meaning, Tag, apply, look_up};
use super::{Lines, fields::EntryLines};
use crate::model::{
    Dialect, DocComment, Entry, EntryKind, EntryName, MarkStanding, Name, NotationId, Surface,
};
use crate::text::Span;

/// The notation.
pub(super) static TAGS: Notation = Notation {
    id: NotationId::new("tags"),
    looks_like: "@param name text",
    read,
    evidence,
    spelling,
    holds: |_| true,
    writer: &fields::FieldWriter(&TagLines),
};

/// All languages that have block tags, together: what one of them knows is no misspelling in another.
const TABLE: &[Tag] = &[
    ("param", Meaning::Entry(EntryKind::Param)),
    ("arg", Meaning::Entry(EntryKind::Param)),
    ("argument", Meaning::Entry(EntryKind::Param)),
    ("return", Meaning::Entry(EntryKind::Returns)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("throws", Meaning::Entry(EntryKind::Throws)),
    ("exception", Meaning::Entry(EntryKind::Throws)),
    ("raise", Meaning::Entry(EntryKind::Throws)),
    ("yields", Meaning::Entry(EntryKind::Yields)),
    ("tparam", Meaning::Entry(EntryKind::TypeParam)),
    ("template", Meaning::Entry(EntryKind::TypeParam)),
    ("typeParam", Meaning::Entry(EntryKind::TypeParam)),
    ("typeparam", Meaning::Entry(EntryKind::TypeParam)),
    ("property", Meaning::Entry(EntryKind::Property)),
    ("prop", Meaning::Entry(EntryKind::Property)),
    ("option", Meaning::Entry(EntryKind::Property)),
    ("inheritDoc", Meaning::Inherits),
    ("inheritdoc", Meaning::Inherits),
    ("inheritDocs", Meaning::Inherits),
    ("override", Meaning::Inherits),
    ("copydoc", Meaning::Inherits),
    ("overload", Meaning::Inherits),
    ("hidden", Meaning::Hidden),
    ("hide", Meaning::Hidden),
    ("ignore", Meaning::Hidden),
    ("suppress", Meaning::Hidden),
    ("deprecated", Meaning::Deprecated),
    ("internal", Meaning::Surface(Surface::Package)),
    ("private", Meaning::Surface(Surface::Private)),
    ("protected", Meaning::Surface(Surface::Protected)),
    ("public", Meaning::Surface(Surface::Public)),
    ("abstract", Meaning::Mark),
    ("access", Meaning::Mark),
    ("alias", Meaning::Mark),
    ("alpha", Meaning::Mark),
    ("api", Meaning::Mark),
    ("apiNote", Meaning::Mark),
    ("async", Meaning::Mark),
    ("attr", Meaning::Mark),
    ("attr_accessor", Meaning::Mark),
    ("attr_reader", Meaning::Mark),
    ("attr_writer", Meaning::Mark),
    ("augments", Meaning::Mark),
    ("author", Meaning::Mark),
    ("beta", Meaning::Mark),
    ("borrows", Meaning::Mark),
    ("callback", Meaning::Mark),
    ("category", Meaning::Mark),
    ("chainable", Meaning::Mark),
    ("class", Meaning::Mark),
    ("classdesc", Meaning::Mark),
    ("core", Meaning::Mark),
    ("code", Meaning::Mark),
    ("const", Meaning::Mark),
    ("constant", Meaning::Mark),
    ("constructor", Meaning::Mark),
    ("constructs", Meaning::Mark),
    ("copyright", Meaning::Mark),
    ("covers", Meaning::Mark),
    ("dataProvider", Meaning::Mark),
    ("default", Meaning::Mark),
    ("defaultValue", Meaning::Mark),
    ("define", Meaning::Mark),
    ("desc", Meaning::Mark),
    ("description", Meaning::Mark),
    ("documentable", Meaning::Mark),
    ("domain", Meaning::Mark),
    ("enum", Meaning::Mark),
    ("event", Meaning::Mark),
    ("eventProperty", Meaning::Mark),
    ("example", Meaning::Mark),
    ("experimental", Meaning::Mark),
    ("export", Meaning::Mark),
    ("exports", Meaning::Mark),
    ("extends", Meaning::Mark),
    ("external", Meaning::Mark),
    ("file", Meaning::Mark),
    ("filesource", Meaning::Mark),
    ("fileoverview", Meaning::Mark),
    ("final", Meaning::Mark),
    ("fires", Meaning::Mark),
    ("function", Meaning::Mark),
    ("func", Meaning::Mark),
    ("generator", Meaning::Mark),
    ("global", Meaning::Mark),
    ("group", Meaning::Mark),
    ("groupdesc", Meaning::Mark),
    ("groupname", Meaning::Mark),
    ("groupprio", Meaning::Mark),
    ("host", Meaning::Mark),
    ("implNote", Meaning::Mark),
    ("implSpec", Meaning::Mark),
    ("implements", Meaning::Mark),
    ("import", Meaning::Mark),
    ("inherits", Meaning::Mark),
    ("inner", Meaning::Mark),
    ("instance", Meaning::Mark),
    ("interface", Meaning::Mark),
    ("jls", Meaning::Mark),
    ("kind", Meaning::Mark),
    ("label", Meaning::Mark),
    ("hideconstructor", Meaning::Mark),
    ("lends", Meaning::Mark),
    ("license", Meaning::Mark),
    ("licence", Meaning::Mark),
    ("link", Meaning::Mark),
    ("linkplain", Meaning::Mark),
    ("listens", Meaning::Mark),
    ("member", Meaning::Mark),
    ("memberOf", Meaning::Mark),
    ("memberof", Meaning::Mark),
    ("method", Meaning::Mark),
    ("migration", Meaning::Mark),
    ("mixes", Meaning::Mark),
    ("mixin", Meaning::Mark),
    ("module", Meaning::Mark),
    ("name", Meaning::Mark),
    ("namespace", Meaning::Mark),
    ("note", Meaning::Mark),
    ("optional", Meaning::Mark),
    ("package", Meaning::Mark),
    ("packageDocumentation", Meaning::Mark),
    ("private_constant", Meaning::Mark),
    ("privateRemarks", Meaning::Mark),
    ("provides", Meaning::Mark),
    ("readonly", Meaning::Mark),
    ("receiver", Meaning::Mark),
    ("remarks", Meaning::Mark),
    ("required", Meaning::Mark),
    ("requires", Meaning::Mark),
    ("sample", Meaning::Mark),
    ("satisfies", Meaning::Mark),
    ("scope", Meaning::Mark),
    ("sealed", Meaning::Mark),
    ("see", Meaning::Mark),
    ("serial", Meaning::Mark),
    ("serialData", Meaning::Mark),
    ("serialField", Meaning::Mark),
    ("shortDescription", Meaning::Mark),
    ("since", Meaning::Mark),
    ("snippet", Meaning::Mark),
    ("source", Meaning::Mark),
    ("spec", Meaning::Mark),
    ("static", Meaning::Mark),
    ("staticvar", Meaning::Mark),
    ("subpackage", Meaning::Mark),
    ("summary", Meaning::Mark),
    ("test", Meaning::Mark),
    ("this", Meaning::Mark),
    ("todo", Meaning::Mark),
    ("tutorial", Meaning::Mark),
    ("type", Meaning::Mark),
    ("typedef", Meaning::Mark),
    ("typedefn", Meaning::Mark),
    ("usecase", Meaning::Mark),
    ("used", Meaning::Mark),
    ("uses", Meaning::Mark),
    ("value", Meaning::Mark),
    ("var", Meaning::Mark),
    ("variation", Meaning::Mark),
    ("version", Meaning::Mark),
    ("virtual", Meaning::Mark),
    ("visibility", Meaning::Mark),
    ("yield", Meaning::Mark),
    ("yieldparam", Meaning::Mark),
    ("yieldreturn", Meaning::Mark),
];

/// Returns the name of the tag that opens a line.
fn opening_tag(line: &str) -> Option<&str> {
    let rest = line.trim_start().strip_prefix('@')?;
    // A tag with a hyphen is one that a tool has: `@crate-param`.
    let end = rest.find(|c: char| !c.is_alphanumeric() && !matches!(c, '_' | '-')).unwrap_or(rest.len());
    let name = &rest[..end];
    // `@Foo.bar`, `@a/b`, `@x(…)` and addresses are prose or code.
    let after = rest[end..].chars().next();
    let hyphens = name.contains('-');
    let tag = name.starts_with(char::is_alphabetic)
        && !matches!(after, Some('\\' | '.' | '/' | '(' | '@'))
        && !(hyphens && (name.ends_with('-') || after.is_some_and(|after| !after.is_whitespace())));
    // What is given a value is a variable.
    let assigned =
        rest[end..].trim_start().strip_prefix(['=', '|']).is_some_and(|rest| !rest.starts_with('>'));
    (tag && !assigned).then_some(name)
}

fn evidence(lines: &Lines<'_>) -> usize {
    let shielded = lines.shielded();
    (0..lines.len()).filter(|&at| !shielded[at] && opening_tag(lines.text(at)).is_some()).count()
}

/// Leaves out what stands further in where no tag stands before it: in Ruby that is shown as it is, and
/// `@options` in it a variable.
fn without_verbatim<'t>(lines: &Lines<'_>, opens: Vec<(usize, &'t str)>) -> Vec<(usize, &'t str)> {
    // Most stand directly behind the sign.
    if lines.dialect() != Dialect::Ruby || opens.first().is_none_or(|&(at, _)| lines.indent(at) <= 1) {
        return opens;
    }
    let said = (0..lines.len()).filter(|&at| !lines.is_blank(at));
    let base = said.map(|at| lines.indent(at)).min().unwrap_or(0);
    let leads = |at: &usize| lines.indent(*at) <= base + 1 && lines.trimmed(*at).starts_with('@');
    let first = (0..lines.len()).find(leads).unwrap_or(lines.len());
    opens.into_iter().filter(|&(at, _)| at >= first).collect()
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let mut doc = blank(lines, span, TAGS.id);
    let shielded = lines.shielded();
    let opens: Vec<(usize, &str)> = (0..lines.len())
        .filter(|&at| !shielded[at])
        .filter_map(|at| opening_tag(lines.text(at)).map(|name| (at, name)))
        .filter(|(_, name)| is_tag(name))
        .collect();
    let opens = without_verbatim(lines, opens);
    let opens = without_those_in_types(lines, opens);
    let opens = read_directives(&mut doc, lines, opens);
    describe(&mut doc, lines, opens.first().map_or(lines.len(), |&(at, _)| at));
    for (number, &(at, name)) in opens.iter().enumerate().filter(|(_, (_, name))| !name.is_empty()) {
        let rows = (at, lines.last_said(at, end_of(lines, &opens, number)));
        read_tag(&mut doc, lines, name, rows);
        if matches!(name, "overload" | "usecase") {
            // What follows speaks of one form of several, and so do type parameters before it.
            doc.entries.retain(|entry| entry.kind != EntryKind::TypeParam);
            break;
        }
    }
    read_inline(&mut doc, lines);
    doc.hidden |= (0..lines.len()).any(|at| lines.trimmed(at) == ":nodoc:");
    let first = (0..lines.len()).map(|at| lines.trimmed(at)).find(|line| !line.is_empty());
    doc.inherits |= lines.dialect() == Dialect::Ruby && first.is_some_and(|line| line.starts_with("(see "));
    describe_by_tag(&mut doc, lines, &opens, DESCRIPTIONS);
    below_tags::describe(&mut doc, lines, &opens);
    complete(&mut doc);
    doc
}

/// Returns the row behind the last that belongs to a tag, by its number among the tags that open lines.
pub(super) fn end_of(lines: &Lines<'_>, opens: &[(usize, &str)], number: usize) -> usize {
    opens.get(number + 1).map_or(lines.len(), |&(next, _)| next)
}

/// Leaves out what stands inside a type that goes on over lines: a key may look like a tag, `@unit?: string`.
fn without_those_in_types<'t>(lines: &Lines<'_>, mut opens: Vec<(usize, &'t str)>) -> Vec<(usize, &'t str)> {
    let mut within = 0;
    opens.retain(|&(at, name)| {
        if at < within {
            return false;
        }
        let behind = lines.text(at)[offset_behind(lines, at, name)..].trim_start_matches(':').trim_start();
        within = long_type(lines, behind, (at, lines.len())).map_or(within, |long| long.row + 1);
        true
    });
    opens
}

/// Reads lines that open with `@!`, as Ruby has them: what follows most of them is about something else.
fn read_directives<'s>(
    doc: &mut DocComment,
    lines: &Lines<'s>,
    mut opens: Vec<(usize, &'s str)>,
) -> Vec<(usize, &'s str)> {
    if lines.dialect() != Dialect::Ruby {
        return opens;
    }
    for at in 0..lines.len() {
        let Some(rest) = lines.trimmed(at).strip_prefix("@!") else { continue };
        match first_word(rest) {
            ("visibility", level) => {
                doc.surface = match level.trim() {
                    "private" => Some(Surface::Private),
                    "protected" => Some(Surface::Protected),
                    _ => doc.surface,
                };
            }
            ("macro", _) => doc.inherits = true,
            _ => {
                // What it says of this declaration stands below, where nothing is checked.
                doc.inherits |= (0..at).all(|row| lines.is_blank(row));
                opens.retain(|&(open, _)| open < at);
                if opens.is_empty() {
                    opens.push((at, &lines.text(at)[..0]));
                }
                return opens;
            }
        }
    }
    opens
}

/// Tags that carry the description, where nothing stands before them.
const DESCRIPTIONS: &[&str] = &["summary", "description", "desc", "classdesc"];

/// A name with a capital is an annotation in prose, unless the table has it.
fn is_tag(name: &str) -> bool {
    name.starts_with(char::is_lowercase) || TABLE.iter().any(|(known, _)| *known == name)
}

/// Reads how far something can be seen where it is a word behind a tag: `@access private`.
fn surface_named(text: &str) -> Option<Surface> {
    match text.split_whitespace().next()? {
        "private" => Some(Surface::Private),
        "protected" => Some(Surface::Protected),
        "package" => Some(Surface::Package),
        "public" => Some(Surface::Public),
        _ => None,
    }
}

fn read_tag(doc: &mut DocComment, lines: &Lines<'_>, name: &str, rows: (usize, usize)) {
    let (mut meaning, mut standing) = look_up(TABLE, name);
    // A line of prose may begin with a variable of an object: `@store`.
    let may_be_variable = lines.dialect() == Dialect::Ruby
        && matches!(standing, MarkStanding::Near(known) if strsim::osa_distance(name, known) > 1);
    // So may an item of a list: `@store<Hash>:: what is in it`.
    let typed = standing != MarkStanding::Known
        && lines.text(rows.0)[offset_behind(lines, rows.0, name)..].starts_with('<');
    if may_be_variable || typed || name.contains('-') {
        (meaning, standing) = (None, MarkStanding::Unknown);
    }
    let script = lines.dialect().is_script();
    if script && name == "suppress" {
        // Says there what a checker of types is to pass over, and hides nothing.
        meaning = Some(Meaning::Mark);
    }
    if script && matches!(standing, MarkStanding::Near(known) if name.eq_ignore_ascii_case(known)) {
        // Upper and lower case are one there: `@fileOverview`.
        standing = MarkStanding::Known;
    }
    if standing != MarkStanding::Known {
        doc.marks.push(mark(lines, name, standing, rows));
    }
    let after = &lines.text(rows.0)[offset_behind(lines, rows.0, name)..];
    if name == "access" {
        doc.surface = surface_named(after).or(doc.surface);
    }
    if let Some(kind) = apply(doc, meaning) {
        if lines.dialect() == Dialect::Ruby && after.trim_start().starts_with("(see ") {
            // Its entries are those of another comment.
            doc.inherits = true;
        } else if let Some(found) = read_entry(lines, kind, name, after, rows) {
            doc.entries.push(found);
        }
        return;
    }
    if doc.marks.last().is_none_or(|last| last.span != lines.span_of(name)) {
        doc.marks.push(mark(lines, name, MarkStanding::Known, rows));
    }
}

pub(super) fn offset_behind(lines: &Lines<'_>, row: usize, name: &str) -> usize {
    (lines.span_of(name).end - lines.spans()[row].start) as usize
}

fn read_entry(
    lines: &Lines<'_>,
    kind: EntryKind,
    tag: &str,
    after: &str,
    rows: (usize, usize),
) -> Option<Entry> {
    let mut found = entry(kind, lines.span_of(tag), rows);
    let dialect = lines.dialect();
    let mut rest = after.trim_start_matches(':').trim_start();
    let mut row = rows.0;
    // The rest may stand on the next line.
    let has_name = !matches!(kind, EntryKind::Returns | EntryKind::Yields);
    if rest.trim().is_empty() && has_name && row + 1 < rows.1 {
        row += 1;
        rest = lines.text(row).trim_start();
    }
    if let Some(long) = long_type(lines, rest, (row, rows.1)).filter(|_| kind != EntryKind::Throws) {
        found.ty = Some(long.ty);
        row = long.row;
        let (word, behind) = first_word(long.behind);
        let named =
            has_name && (dialect != Dialect::Php || word.trim_start_matches(['&', '.']).starts_with('$'));
        rest = match dialect {
            Dialect::Php if named => {
                found.names.extend(entry_name(lines, word));
                behind
            }
            _ if named => read_named(&mut found, lines, long.behind.trim_start()),
            _ => long.behind.trim_start(),
        };
    } else if dialect == Dialect::Php {
        rest = read_typed(&mut found, lines, rest);
    } else {
        rest = read_type(&mut found, lines, rest);
        if has_name && (kind != EntryKind::Throws || found.names.is_empty()) {
            rest = read_named(&mut found, lines, rest);
        }
        if dialect == Dialect::Ruby && found.ty.is_none() && !found.names.is_empty() {
            rest = read_type(&mut found, lines, rest.trim_start());
        }
        if dialect == Dialect::Ruby && tag == "option" {
            // What it is about is a key: `@option options [Integer] :seats how many`.
            let (key, behind) = first_word(rest);
            rest = if key.starts_with([':', '"', '\'']) { behind } else { rest };
        }
    }
    let start = lines.span_of(rest).start;
    found.text = lines.text_span(start, row, rows.1).and_then(|span| without_hyphen(lines, span));
    Some(found)
}

/// Reads a type in braces, or in brackets where the language writes it so. An exception's type is its name.
fn read_type<'t>(found: &mut Entry, lines: &Lines<'_>, rest: &'t str) -> &'t str {
    let in_brackets = if lines.dialect() == Dialect::Ruby { enclosed(rest, '[', ']') } else { None };
    let Some((ty, behind)) = in_brackets.or_else(|| braced(rest)) else { return rest };
    if found.kind == EntryKind::Throws {
        found.names.extend(ty.split(['|', ',']).filter_map(|part| type_name(lines, part.trim())));
    } else {
        found.ty = Some(lines.span_of(ty));
        let script = lines.dialect().is_script();
        found.optional |= script && ty.ends_with('=') && found.kind == EntryKind::Param;
    }
    behind.trim_start()
}

fn read_named<'t>(found: &mut Entry, lines: &Lines<'_>, rest: &'t str) -> &'t str {
    let script = lines.dialect().is_script();
    let (word, behind) =
        linked(rest).filter(|_| found.kind == EntryKind::Throws).unwrap_or_else(|| first_word(rest));
    if script && found.kind == EntryKind::Throws {
        // Without braces the text may begin at once.
        let bare = word.trim_end_matches([',', '.', ':', ';']);
        if !(bare.ends_with("Error") || bare.ends_with("Exception")) {
            return rest;
        }
    }
    // What begins with a hyphen is about what it stands on.
    if found.kind == EntryKind::Property && matches!(word, "-" | "–" | "—") {
        return rest;
    }
    if script && stands_before_name(found, (word, behind)) {
        let (name, after) = first_word(behind);
        found.ty = found.ty.or_else(|| is_type_of_language(word).then(|| lines.span_of(word)));
        read_name(found, lines, name);
        return after;
    }
    // A name in brackets may be a link.
    if let Some((name, after)) = enclosed(rest, '[', ']').filter(|_| lines.dialect() == Dialect::Kotlin) {
        read_name(found, lines, name);
        return after;
    }
    // A default in brackets may hold blanks.
    if let Some((_, after)) = enclosed(rest, '[', ']').filter(|_| found.kind == EntryKind::Param) {
        let whole = &rest[..rest.len() - after.len()];
        read_name(found, lines, whole);
        return after;
    }
    if script && let Some((name, after)) = name_with_arguments(found, rest) {
        read_name(found, lines, name);
        return after;
    }
    read_name(found, lines, word);
    // `@template O, T` names several.
    let mut behind = behind;
    let mut open = script && found.kind == EntryKind::TypeParam && word.ends_with(',');
    while open {
        let (word, after) = first_word(behind);
        read_name(found, lines, word);
        (open, behind) = (word.ends_with(','), after);
    }
    behind
}

/// Splits off the name of a parameter behind which stands what it is called with: `callback(err, load)`.
fn name_with_arguments<'t>(found: &Entry, text: &'t str) -> Option<(&'t str, &'t str)> {
    let end = text.find(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '$' | '.')))?;
    let (name, behind) = text.split_at(end);
    let (_, after) = enclosed(behind, '(', ')')?;
    // What goes on behind the brackets is the name of a part: `callback().load`.
    let ends = after.is_empty() || after.starts_with(char::is_whitespace);
    (found.kind == EntryKind::Param && !name.is_empty() && ends).then_some((name, after))
}

/// Tells whether a word is not yet the name: a hyphen that parts the type from it, `{number} - load - what lies on it`, or
/// a type without its braces, `Object crate what lies on it`, or in brackets, `(Crate) crate`.
fn stands_before_name(found: &Entry, (word, behind): (&str, &str)) -> bool {
    let (next, after) = first_word(behind);
    if word == "-" {
        return after.trim_start().starts_with("- ");
    }
    let in_brackets = word.starts_with('(') && word.ends_with(')');
    found.kind == EntryKind::Param
        && found.ty.is_none()
        && (in_brackets || is_type_of_language(word))
        && next.starts_with(|c: char| c.is_alphabetic() || matches!(c, '_' | '$'))
        && next.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '$' | '.'))
        && !matches!(next, "of" | "to" | "for" | "that" | "which" | "with" | "containing" | "the")
}

/// Tells whether a word is a type that every script knows, written as no parameter is.
fn is_type_of_language(word: &str) -> bool {
    matches!(
        word,
        "Object" | "String" | "Number" | "Boolean" | "Array" | "Function" | "Date" | "Promise" | "RegExp"
    )
}

/// Reads `type $name text`: the type goes up to the name, or is the first word where there is no name.
fn read_typed<'t>(found: &mut Entry, lines: &Lines<'_>, rest: &'t str) -> &'t str {
    let head_end = type_end(rest);
    let (head, behind) = rest.split_at(head_end);
    let named = matches!(found.kind, EntryKind::Param | EntryKind::Property);
    if !named {
        if matches!(found.kind, EntryKind::Throws | EntryKind::TypeParam) {
            found.names.extend(head.split('|').filter_map(|part| type_name(lines, part)));
        } else if !head.is_empty() {
            found.ty = Some(lines.span_of(head));
        }
        return behind;
    }
    let is_name = |word: &str| word.trim_start_matches(['&', '.']).starts_with('$');
    if is_name(head) {
        found.names.extend(entry_name(lines, head));
        return behind;
    }
    let (word, after) = first_word(behind);
    if is_name(word) {
        found.ty = Some(lines.span_of(head));
        found.names.extend(entry_name(lines, word));
        return after;
    }
    if word.is_empty() && !head.is_empty() {
        found.ty = Some(lines.span_of(head));
        return behind;
    }
    // `name text`, or a type and prose: neither says which parameter is meant.
    rest
}

/// Returns a name without an element around it: `<code>Overload</code>`.
fn without_element(word: &str) -> &str {
    let inner = word.strip_prefix('<').and_then(|rest| rest.split_once('>')).map(|(_, inner)| inner);
    let bare = inner.and_then(|inner| inner.split_once("</")).map(|(bare, _)| bare);
    bare.filter(|bare| !bare.is_empty()).unwrap_or(word)
}

fn read_name(found: &mut Entry, lines: &Lines<'_>, word: &str) {
    let word = if found.kind == EntryKind::TypeParam { word } else { without_element(word) };
    if let Some(inner) = word.strip_prefix('<').and_then(|word| word.split('>').next()) {
        found.kind = EntryKind::TypeParam;
        found.names.push(EntryName { name: Name::new(inner), span: lines.span_of(inner), dotted: false });
        return;
    }
    if found.kind == EntryKind::Throws {
        if let Some(name) = type_name(lines, word) {
            found.names.push(name);
        }
        return;
    }
    if let Some(inner) = word.strip_prefix('[') {
        found.optional = true;
        let inner = inner.trim_end_matches(']');
        let (name, default) = inner.split_once('=').unwrap_or((inner, ""));
        found.default = (!default.is_empty()).then(|| lines.span_of(default));
        found.names.extend(entry_name(lines, name));
        return;
    }
    found.names.extend(word.split(',').filter_map(|part| entry_name(lines, part)));
}

/// Reads the type of an exception; `{@link X}` and punctuation behind it are set aside.
fn type_name(lines: &Lines<'_>, word: &str) -> Option<EntryName> {
    let bare =
        word.trim_matches(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '.' | '$' | '<' | '>' | '#')));
    let name = Name::simple(bare.split('#').next().unwrap_or_default());
    (!name.as_str().is_empty()).then(|| EntryName { name, span: lines.span_of(bare), dotted: false })
}

/// Splits `{@link X}` off, of which only `X` is the name.
fn linked(text: &str) -> Option<(&str, &str)> {
    let inner = text.trim_start().strip_prefix("{@link")?;
    let (target, behind) = inner.split_once('}')?;
    let (_, target) = target.split_once(char::is_whitespace)?;
    Some((first_word(target).0, behind))
}

/// Splits a balanced `{…}` off; `{@link X}` is text.
fn braced(text: &str) -> Option<(&str, &str)> {
    enclosed(text, '{', '}').filter(|(inner, _)| !inner.starts_with('@'))
}

/// Splits what a balanced pair of brackets holds off.
fn enclosed(text: &str, open: char, close: char) -> Option<(&str, &str)> {
    let inner = text.strip_prefix(open)?;
    let mut depth = 1;
    for (at, c) in inner.char_indices() {
        if c == open {
            depth += 1;
        } else if c == close {
            depth -= 1;
        }
        if depth == 0 {
            return Some((&inner[..at], &inner[at + 1..]));
        }
    }
    None
}

/// A hyphen between name and text is neither; a lone one is no text.
fn without_hyphen(lines: &Lines<'_>, span: Span) -> Option<Span> {
    let text = lines.source().slice(span);
    let bare = text.trim_start_matches(['-', '–', '—', ':']).trim_start();
    (!bare.is_empty()).then(|| Span::of(span.end as usize - bare.len(), span.end as usize))
}

/// Inline tags that bear on the whole comment.
fn read_inline(doc: &mut DocComment, lines: &Lines<'_>) {
    for at in 0..lines.len() {
        let line = lines.text(at);
        if line.contains("{@inheritDoc") || line.contains("{@inheritdoc") {
            doc.inherits = true;
        }
        if let Some(found) = line.find("{@return").filter(|_| !doc.has(EntryKind::Returns)) {
            let tag = &line[found + 2..found + 8];
            let mut made = entry(EntryKind::Returns, lines.span_of(tag), (at, at + 1));
            let rest = &line[found + 8..];
            made.text = lines.text_span(lines.span_of(rest).start, at, doc.description.1 as usize);
            doc.entries.insert(0, made);
        }
    }
}

fn spelling(kind: EntryKind, name: &str, dialect: Dialect) -> String {
    let script = dialect.is_script();
    match (kind, dialect) {
        (EntryKind::Param, Dialect::Php) => format!("@param ${name}"),
        (EntryKind::Param, _) | (EntryKind::TypeParam, Dialect::Kotlin) => format!("@param {name}"),
        (EntryKind::TypeParam, Dialect::Scala) => format!("@tparam {name}"),
        (EntryKind::TypeParam, Dialect::TypeScript) => format!("@typeParam {name}"),
        (EntryKind::TypeParam, Dialect::JavaScript | Dialect::Php | Dialect::Ruby) => {
            format!("@template {name}")
        }
        (EntryKind::TypeParam, Dialect::Plain | Dialect::Colon | Dialect::Labels(_)) => {
            format!("@param <{name}>")
        }
        (EntryKind::Returns, _) if script => "@returns".to_owned(),
        (EntryKind::Returns, _) => "@return".to_owned(),
        (EntryKind::Yields, Dialect::Ruby) => "@yield".to_owned(),
        (EntryKind::Yields, _) => "@yields".to_owned(),
        (EntryKind::Throws, Dialect::Ruby) => format!("@raise [{name}]"),
        (EntryKind::Throws, _) if script => format!("@throws {{{name}}}"),
        (EntryKind::Throws, _) => format!("@throws {name}"),
        (EntryKind::Property, _) => format!("@property {name}"),
    }
}

/// How this notation writes one entry.
struct TagLines;

impl EntryLines for TagLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let name = entry.name.as_deref().unwrap_or_default();
        let ty = entry.ty.as_deref();
        let has_type = matches!(entry.kind, EntryKind::Param | EntryKind::Returns | EntryKind::Yields);
        let head = match (style.dialect, entry.kind) {
            _ if has_type && style.types == TypeCustom::Never => spelling(entry.kind, name, style.dialect),
            (Dialect::TypeScript, EntryKind::Param) if ty.is_some() => {
                format!("@param {{{}}} {name}", ty.unwrap_or_default())
            }
            (Dialect::TypeScript, EntryKind::Returns) if ty.is_some() => {
                format!("@returns {{{}}}", ty.unwrap_or_default())
            }
            (Dialect::Php, _) if has_type && ty.is_none() && style.types != TypeCustom::Always => {
                spelling(entry.kind, name, style.dialect)
            }
            (Dialect::JavaScript, EntryKind::Param) if entry.optional => {
                format!("@param {{{}}} [{name}]", ty.unwrap_or("*"))
            }
            (Dialect::JavaScript, EntryKind::Param) => format!("@param {{{}}} {name}", ty.unwrap_or("*")),
            (Dialect::JavaScript, EntryKind::Returns) => format!("@returns {{{}}}", ty.unwrap_or("*")),
            (Dialect::Php, EntryKind::Param) => format!("@param {} ${name}", ty.unwrap_or("mixed")),
            (Dialect::Php, EntryKind::Returns) => format!("@return {}", ty.unwrap_or("mixed")),
            (Dialect::Ruby, _) if has_type && ty.is_some() => {
                let tag = spelling(entry.kind, name, style.dialect);
                format!("{tag} [{}]", ty.unwrap_or_default())
            }
            _ => spelling(entry.kind, name, style.dialect),
        };
        vec![format!("{head}{}{}", style.gap(entry), entry.text)]
    }

    fn code(&self, text: &str, dialect: Dialect) -> String {
        match dialect {
            // Of braces inside the readers of the tag only know pairs.
            Dialect::Plain if !text.contains(['{', '}']) => format!("{{@code {text}}}"),
            _ => format!("`{text}`"),
        }
    }

    fn inherits(&self, dialect: Dialect) -> Option<&'static str> {
        match dialect {
            Dialect::Plain | Dialect::JavaScript | Dialect::TypeScript => Some("{@inheritDoc}"),
            Dialect::Php => Some("{@inheritdoc}"),
            Dialect::Scala => Some("@inheritdoc"),
            Dialect::Kotlin | Dialect::Ruby | Dialect::Colon | Dialect::Labels(_) => None,
        }
    }

    fn types(&self, dialect: Dialect) -> TypeCustom {
        match dialect {
            Dialect::JavaScript | Dialect::Php | Dialect::Ruby => TypeCustom::Always,
            Dialect::Plain
            | Dialect::Kotlin
            | Dialect::Scala
            | Dialect::TypeScript
            | Dialect::Colon
            | Dialect::Labels(_) => TypeCustom::Never,
        }
    }
}
