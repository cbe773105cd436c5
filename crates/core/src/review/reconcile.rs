//! What only comment and signature together tell of an entry.

use foldhash::HashMap;

use crate::model::{
    CommentId, Construction, Declaration, Dialect, DocComment, Entry, EntryKind, EntryName, Name, Outline,
    Signature,
};
use crate::reading::Language;
use crate::text::{Source, Span, narrow};

/// Settles what only comment and signature together tell.
pub(super) fn reconcile(
    outline: &mut Outline,
    docs: &mut HashMap<CommentId, DocComment>,
    source: &Source,
    language: &Language,
) {
    let dialect = language.dialect;
    for at in 0..outline.declarations.len() {
        let declaration = &outline.declarations[at];
        if let Construction::Member(id) = declaration.construction
            && !declaration.signature.type_parameters.is_empty()
        {
            let type_parameters = declaration.signature.type_parameters.clone();
            let taken = outline.declaration(id).signature.clone();
            outline.declarations[at].constructor = Some(Box::new(Signature { type_parameters, ..taken }));
        }
    }
    if language.ignores_case {
        spell_alike(outline, docs);
    }
    if dialect == Dialect::JavaScript {
        find_names_behind_types(outline, docs, source);
    }
    if dialect == Dialect::Plain && language.notation.as_str() == "commands" {
        head_members(outline, docs, source);
    }
    if !matches!(dialect, Dialect::Kotlin | Dialect::Ruby) {
        return;
    }
    for declaration in &mut outline.declarations {
        let Some(doc) = declaration.comment.doc.and_then(|id| docs.get_mut(&id)) else { continue };
        let signature = &mut declaration.signature;
        if dialect == Dialect::Kotlin {
            // Type parameters are documented among the parameters.
            for entry in doc.entries.iter_mut().filter(|entry| entry.kind == EntryKind::Param) {
                let Some(name) = entry.names.first().map(|name| name.name.clone()) else { continue };
                let is_type = signature.type_parameters.iter().any(|parameter| parameter.name == name);
                if is_type && !signature.parameters.iter().any(|p| p.named() == Some(&name)) {
                    entry.kind = EntryKind::TypeParam;
                }
            }
        } else if doc.entries_of(EntryKind::Yields).next().is_some()
            || doc.marks.iter().any(|mark| mark.name.as_str().starts_with("yield"))
        {
            // What the comment says is yielded tells of the block.
            for parameter in &mut signature.parameters {
                let before = source.text()[..parameter.span.start as usize].chars().next_back();
                parameter.told |= before == Some('&');
            }
        }
    }
}

/// Takes what a comment says of a name for the description of what has no parameters: `@load: what it weighs`, above the
/// member `load`, with what it says of parts of that.
fn head_members(outline: &Outline, docs: &mut HashMap<CommentId, DocComment>, source: &Source) {
    let without = |declaration: &&Declaration| {
        let nameless = declaration.kind.is_type() && declaration.name == "<anonymous>";
        nameless || !(declaration.kind.is_callable() || declaration.kind.is_type())
    };
    for declaration in outline.declarations.iter().filter(without) {
        let Some(doc) = declaration.comment.doc.and_then(|id| docs.get_mut(&id)) else { continue };
        let Some(first) = doc.entries.first() else { continue };
        let Some(name) = name_behind_sign(first, source) else { continue };
        let parts = |entry: &Entry| {
            name_behind_sign(entry, source).is_some_and(|part| part.name == name.name && part.dotted)
        };
        let below = doc.lines.iter().skip(first.lines.0 as usize + 1);
        let below = below.copied().find(|&line| !source.slice(line).trim().is_empty());
        // Directions in brackets say nothing yet.
        let text = first.text.filter(|&text| !is_bracketed(source.slice(text)));
        let said = doc.summary.or(text).or(below);
        if said.is_some() && doc.entries[1..].iter().all(parts) {
            doc.summary = said;
            doc.entries.clear();
        }
    }
}

/// Returns the name of an entry that has a sign in front of it, and no word.
fn name_behind_sign<'e>(entry: &'e Entry, source: &Source) -> Option<&'e EntryName> {
    let name = entry.name().filter(|_| entry.kind == EntryKind::Param)?;
    source.text()[..name.span.start as usize].ends_with('@').then_some(name)
}

/// Tells whether a text is a note in brackets: `[in]`.
fn is_bracketed(text: &str) -> bool {
    let text = text.trim();
    text.strip_prefix('[')
        .and_then(|text| text.strip_suffix(']'))
        .is_some_and(|text| !text.contains(['[', ' ']))
}

/// Gives names in entries the spelling of the signature, where upper and lower case are one.
fn spell_alike(outline: &Outline, docs: &mut HashMap<CommentId, DocComment>) {
    for declaration in &outline.declarations {
        let Some(doc) = declaration.comment.doc.and_then(|id| docs.get_mut(&id)) else { continue };
        let signature = &declaration.signature;
        let names = || {
            let parameters = signature.parameters.iter().filter_map(|parameter| parameter.named());
            parameters.chain(signature.throws.iter().map(|thrown| &thrown.ty))
        };
        for name in doc.entries.iter_mut().flat_map(|entry| &mut entry.names) {
            let said = name.name.as_str().to_lowercase();
            if let Some(alike) = names().find(|known| known.as_str().to_lowercase() == said) {
                name.name = alike.clone();
            }
        }
    }
}

/// Words in small letters that stand for types of their own.
const WORDS_FOR_TYPES: &[&str] = &[
    "array", "bool", "boolean", "float", "function", "int", "integer", "mixed", "number", "object", "string",
];

/// Finds the names behind types that have no braces around them: `@param Crate load what lies on the scale`, where
/// `load` is a parameter and `Crate` is none.
fn find_names_behind_types(outline: &Outline, docs: &mut HashMap<CommentId, DocComment>, source: &Source) {
    for declaration in &outline.declarations {
        let Some(doc) = declaration.comment.doc.and_then(|id| docs.get_mut(&id)) else { continue };
        let signature = match declaration.construction {
            Construction::Member(id) => &outline.declaration(id).signature,
            Construction::Header | Construction::Fields | Construction::Unknown => &declaration.signature,
        };
        let takes = |name: &str| signature.parameters.iter().any(|p| p.named().is_some_and(|n| n == name));
        let has_entry = |doc: &DocComment, name: &str| {
            doc.entries_of(EntryKind::Param).any(|entry| entry.names.iter().any(|found| found.name == *name))
        };
        for at in 0..doc.entries.len() {
            let entry = &doc.entries[at];
            let (Some(first), Some(text)) = (entry.name(), entry.text) else { continue };
            // `[Crate] load`, `{Crate} [optional] load`: what stands in brackets may be no name either.
            let in_brackets = entry.optional;
            let is_mark = in_brackets && first.name == "optional";
            let is_type = entry.kind == EntryKind::Param
                && (entry.ty.is_none() || is_mark)
                && entry.names.len() == 1
                && (in_brackets
                    || first.name.as_str().starts_with(char::is_uppercase)
                    || WORDS_FOR_TYPES.contains(&first.name.as_str()))
                && !matches!(first.name.as_str(), "A" | "An" | "The" | "Which")
                && !takes(first.name.as_str());
            let said = source.slice(text);
            let end = said.find(char::is_whitespace).unwrap_or(said.len());
            let (name, behind) = said.split_at(end);
            if !is_type || !takes(name) || has_entry(doc, name) {
                continue;
            }
            let ty = first.span;
            let gap = narrow(behind.len() - behind.trim_start_matches([' ', '\t', '-']).len());
            let start = text.start + narrow(end);
            let entry = &mut doc.entries[at];
            if !is_mark {
                entry.ty = Some(ty);
                entry.optional = false;
            }
            entry.names[0] =
                EntryName { name: Name::new(name), span: Span::new(text.start, start), dotted: false };
            entry.text = (!behind.trim().is_empty()).then(|| Span::new(start + gap, text.end));
        }
    }
}
