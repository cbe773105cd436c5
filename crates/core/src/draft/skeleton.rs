//! The entries of a draft, in signature order, and the habits of the file they are written in.

use super::wording;
use crate::debt::Debt;
use crate::model::{
    Carrier, Declaration, Dialect, DocComment, EntryKind, Name, ParamName, Parameter, Signature, Variadic,
};
use crate::notations::{Align, NewEntry, Notation, TagWords, TypeCustom, WriteStyle};
use crate::review::FileReading;
use crate::rules;
use crate::text::Span;

/// Makes the entries that a debt asks for; the header of what has the signature ends at `from`.
pub(super) fn entries(
    file: &FileReading<'_>,
    (signature, from): (&Signature, u32),
    debt: &Debt,
    notation: &Notation,
) -> Vec<NewEntry> {
    let custom = types(file, notation);
    let new = |kind, name, rank| new(file, kind, name, rank);
    let lists_values = notation.id.as_str() == "commands" && file.custom().valued();
    let directed = notation.id.as_str() == "commands" && file.custom().directed();
    let keyed = notation.id.as_str() == "commands" && file.custom().keyed();
    let mut out = Vec::new();
    for (rank, parameter) in signature.type_parameters.iter().enumerate() {
        if debt.typeparams[rank] {
            out.push(new(EntryKind::TypeParam, Some(parameter.name.as_str().to_owned()), rank));
        }
    }
    for (rank, parameter) in signature.parameters.iter().enumerate() {
        if debt.params[rank] {
            let mut name = format!("{}{}", stars(file, parameter, notation), shown_name(parameter));
            if keyed && parameter.optional {
                name.push('=');
            }
            let mut entry = new(EntryKind::Param, Some(name), rank);
            entry.ty = shown_type(file, parameter, custom);
            entry.optional = parameter.optional && parameter.variadic == Variadic::No;
            entry.only_read = directed && rules::is_only_read(&file.source, parameter);
            out.push(entry);
        }
    }
    for (kind, owed) in [(EntryKind::Returns, debt.returns), (EntryKind::Yields, debt.yields)] {
        if owed && kind == EntryKind::Returns && lists_values {
            let values = rules::closed_values(&file.source, file.known(), signature).unwrap_or_default();
            let entry = |value: &str| NewEntry { value: Some(value.to_owned()), ..new(kind, None, 0) };
            out.extend(values.into_iter().map(entry));
            if out.last().is_some_and(|last| last.kind == kind) {
                continue;
            }
        }
        if owed {
            let mut entry = new(kind, None, 0);
            entry.ty =
                signature.returns.ty.filter(|_| custom == TypeCustom::Always).map(|ty| written(file, ty));
            out.push(entry);
        }
    }
    for (rank, &at) in debt.throws.iter().enumerate() {
        let thrown = &signature.throws[at];
        let mut entry = new(EntryKind::Throws, Some(thrown.ty.as_str().to_owned()), rank);
        let names: Vec<&str> =
            signature.parameters.iter().filter_map(|p| p.named()).map(|name| name.as_str()).collect();
        let dialect = file.language.dialect;
        let code = |text: &str| notation.writer.code(text, dialect);
        let told = thrown.condition.and_then(|at| {
            let head = signature.parameters.last().map_or(from, |last| from.max(last.span.end));
            let before = file.source.slice(Span::new(head.min(at.start), at.start));
            wording::condition(file.source.slice(at), &names, before, &code)
        });
        if let Some(told) = told {
            entry.text = told;
        }
        out.push(entry);
    }
    out
}

/// Makes the entries of a whole comment: those that are asked for, and those of parameters that are taken apart where
/// they are taken, which have no name to ask for.
pub(super) fn all_entries(
    file: &FileReading<'_>,
    (signature, from): (&Signature, u32),
    debt: &Debt,
    notation: &Notation,
) -> Vec<NewEntry> {
    let mut out = entries(file, (signature, from), debt, notation);
    if signature.hidden || !(notation.holds)(EntryKind::Param) {
        return out;
    }
    let custom = types(file, notation);
    for (rank, parameter) in signature.parameters.iter().enumerate() {
        let ParamName::Destructured(keys) = &parameter.name else { continue };
        if parameter.exempt || keys.is_empty() {
            continue;
        }
        let behind = |entry: &NewEntry| {
            !matches!(entry.kind, EntryKind::TypeParam | EntryKind::Param)
                || (entry.kind == EntryKind::Param && entry.rank > rank)
        };
        let at = out.iter().position(behind).unwrap_or(out.len());
        out.splice(at..at, taken_apart(file, signature, (rank, keys), custom));
    }
    out
}

/// Makes the entries of a parameter that is taken apart where it is taken: one for the whole, under a name that is not
/// used yet, and one for each part.
fn taken_apart(
    file: &FileReading<'_>,
    signature: &Signature,
    (rank, keys): (usize, &[Name]),
    custom: TypeCustom,
) -> Vec<NewEntry> {
    let parameter = &signature.parameters[rank];
    let is_list = file.source.slice(parameter.span).starts_with('[');
    let before = signature.parameters[..rank].iter().filter(|p| matches!(p.name, ParamName::Destructured(_)));
    let used = |name: &str| signature.parameters.iter().any(|p| p.named().is_some_and(|used| *used == name));
    let mut free = ["options", "settings", "values", "parts"].into_iter().filter(|name| !used(name));
    let root = if is_list { "values" } else { free.nth(before.count()).unwrap_or("rest") };
    let mut whole = new(file, EntryKind::Param, Some(root.to_owned()), rank);
    whole.optional = parameter.optional;
    if custom != TypeCustom::Never && parameter.ty.is_none() {
        whole.ty = Some(if is_list { "Array" } else { "object" }.to_owned());
    }
    let parts = keys.iter().filter(|_| !is_list).map(|key| {
        let name = format!("{root}.{}", key.as_str());
        new(file, EntryKind::Param, Some(name), rank)
    });
    std::iter::once(whole).chain(parts).collect()
}

fn new(file: &FileReading<'_>, kind: EntryKind, name: Option<String>, rank: usize) -> NewEntry {
    NewEntry {
        kind,
        name,
        ty: None,
        optional: false,
        only_read: false,
        value: None,
        text: file.settings.placeholder.clone(),
        rank,
    }
}

fn shown_name(parameter: &Parameter) -> String {
    match &parameter.name {
        ParamName::Named(name) => name.as_str().to_owned(),
        ParamName::Rest => "...".to_owned(),
        ParamName::Unnamed | ParamName::Destructured(_) => "options".to_owned(),
    }
}

/// Returns the stars before the name of a parameter that collects others, where the comments of the language have them.
fn stars(file: &FileReading<'_>, parameter: &Parameter, notation: &Notation) -> &'static str {
    // Elsewhere a star would be markup.
    if !matches!(notation.id.as_str(), "google" | "numpy") {
        return "";
    }
    let stars = match parameter.variadic {
        Variadic::No => return "",
        Variadic::Positional => "*",
        Variadic::Keywords => "**",
    };
    if file.custom().starred() { stars } else { "" }
}

/// Returns the type to be written, as far as the code tells it.
fn shown_type(file: &FileReading<'_>, parameter: &Parameter, custom: TypeCustom) -> Option<String> {
    match (custom, parameter.ty) {
        (TypeCustom::Never, _) | (TypeCustom::WhereSignatureHasNone, Some(_)) => None,
        (TypeCustom::Always, Some(ty)) => Some(written(file, ty)),
        (TypeCustom::Always | TypeCustom::WhereSignatureHasNone, None) => {
            let default = file.source.slice(parameter.default?);
            (file.language.literal_type)(default).map(str::to_owned)
        }
    }
}

/// Returns a type on one line, without what would end a docstring or be an escape in one.
fn written(file: &FileReading<'_>, ty: Span) -> String {
    let text = file.source.slice(ty).split_whitespace().collect::<Vec<_>>().join(" ");
    match file.language.carrier {
        // Names are quoted where they are not known yet, which readers need not see; texts are quoted that a literal is
        // one of.
        Carrier::Docstring if !text.contains("Literal[") => {
            text.replace(['"', '\''], "").replace('\\', "\\\\")
        }
        Carrier::Docstring => text.trim_matches('"').replace("\"\"\"", "'").replace('\\', "\\\\"),
        Carrier::Block { .. } | Carrier::Lines { .. } => text.trim_matches('"').to_owned(),
    }
}

/// Returns how entries of a notation are written in this file.
pub(super) fn style(file: &FileReading<'_>, notation: &Notation) -> WriteStyle {
    let dialect = file.language.dialect;
    let custom = file.custom();
    WriteStyle {
        placeholder: file.settings.placeholder.clone(),
        step: file.source.step().to_owned(),
        hyphen: custom.hyphen(dialect == Dialect::TypeScript),
        parted: file.settings.blank_line.unwrap_or_else(|| custom.parted()),
        listed: custom.listed(),
        types: types(file, notation),
        type_lines: custom.type_lines(),
        returning: custom.returning(),
        tight: file.dress().tight(),
        dialect,
        backslash: custom.backslash(),
        brief: custom.brief(),
        align: match file.settings.align {
            Some(true) => custom.aligned().max(Align::Texts),
            Some(false) => Align::No,
            None => custom.aligned(),
        },
        words: if notation.id == file.draft_notation() { custom.words() } else { TagWords::default() },
    }
}

/// Tells which types are written: the notation's custom, unless the comments around have another.
fn types(file: &FileReading<'_>, notation: &Notation) -> TypeCustom {
    let customary = notation.writer.types(file.language.dialect);
    if notation.id.as_str() == "annotations" && file.dress().tight() {
        return TypeCustom::Always;
    }
    let typed = matches!(
        file.language.dialect,
        Dialect::JavaScript | Dialect::TypeScript | Dialect::Php | Dialect::Ruby
    );
    let free = match notation.id.as_str() {
        "rest" | "google" | "epytext" => true,
        "tags" => typed,
        _ => false,
    };
    if !free || notation.id != file.draft_notation() {
        return customary;
    }
    let custom = file.custom();
    let open = custom.types_open(customary != TypeCustom::Never);
    if custom.types_again(customary == TypeCustom::Always && open) {
        TypeCustom::Always
    } else if open {
        TypeCustom::WhereSignatureHasNone
    } else {
        TypeCustom::Never
    }
}

/// Returns the tags that a comment needs and lacks: those that its kind requires, and that of a deprecation, which the code
/// says and the comment must say.
pub(super) fn lacking_tags<'f>(
    file: &'f FileReading<'_>,
    declaration: &Declaration,
    doc: Option<&DocComment>,
) -> Vec<&'f str> {
    let mut tags: Vec<&str> = match doc {
        Some(doc) => rules::lacking_tags(doc, &file.source, (file.settings, declaration.kind)),
        None => file.settings.required_tags_of(declaration.kind).collect(),
    };
    tags.retain(|tag| !opens_entry(tag));
    let silent = declaration.deprecated && doc.is_none_or(|doc| !doc.deprecated);
    if silent && file.language.deprecation.comment_follows && !tags.contains(&"deprecated") {
        tags.push("deprecated");
    }
    tags
}

/// How a notation writes a tag that is required.
pub(super) enum TagLines {
    /// On a line, among the entries.
    Mark(String),
    /// As a section, with the empty line above it.
    Section(Vec<String>),
    /// It has no place for one.
    None,
}

/// Writes a tag with the value that is configured for it.
pub(super) fn tag_lines(
    file: &FileReading<'_>,
    tag: &str,
    (notation, style): (&Notation, &WriteStyle),
) -> TagLines {
    let value = file.settings.tag_values.get(tag).unwrap_or(&style.placeholder);
    if let Some(line) = notation.writer.mark(tag, value, style) {
        return TagLines::Mark(line);
    }
    // A deprecation is a paragraph where there are no tags.
    let section = match tag {
        "deprecated" => Vec::new(),
        _ => notation.writer.section(tag, value, style),
    };
    if section.is_empty() { TagLines::None } else { TagLines::Section(section) }
}

/// Tells whether a tag opens an entry, which the signature asks for and no configuration.
fn opens_entry(tag: &str) -> bool {
    const WORDS: &[&str] =
        &["param", "return", "returns", "throws", "raises", "exception", "yields", "yield", "tparam"];
    WORDS.iter().any(|word| tag.eq_ignore_ascii_case(word))
}
