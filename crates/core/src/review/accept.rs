//! Names of entries that are no parameter's, and name one all the same: of an overload, of a header, of an option.

use super::FileReading;
use crate::model::{
    DeclId, Declaration, Dialect, DocComment, EntryKind, Name, Parameter, Signature, Variadic,
};
use crate::pairing::{Match, Pairing, Side};
use crate::text::near;

/// Accepts the names that callers know by another way than the signature.
pub(super) fn other_names(
    file: &FileReading<'_>,
    id: DeclId,
    doc: &DocComment,
    (signature, pairing): (&Signature, &mut Pairing),
) {
    accept_overloads(file, id, doc, pairing);
    accept_call(file, id, pairing);
    accept_collected(file, doc, signature, pairing);
    accept_options(file, doc, signature, pairing);
    accept_header_names(file.outline.declaration(id), doc, pairing);
}

/// Keyword parameters may be told as the keys of options that are passed: `@option options [Integer] :seats` (Ruby).
fn accept_options(file: &FileReading<'_>, doc: &DocComment, signature: &Signature, pairing: &mut Pairing) {
    if file.language.dialect != Dialect::Ruby {
        return;
    }
    for (number, entry) in doc.entries.iter().enumerate().filter(|(_, e)| e.kind == EntryKind::Property) {
        let Some(root) = entry.name().map(|name| &name.name) else { continue };
        let line = doc.lines.get(entry.lines.0 as usize).map_or("", |&line| file.source.slice(line));
        let Some((_, behind)) = line.split_once("@option") else { continue };
        let key = behind.split_whitespace().find_map(|word| word.strip_prefix(':')).unwrap_or(root.as_str());
        let behind = |p: &Parameter| file.source.text().get(p.span.end as usize..).unwrap_or_default();
        let is_keyword =
            |p: &Parameter| p.named().is_some_and(|name| name == key) && behind(p).starts_with(':');
        let Some(at) = signature.parameters.iter().position(is_keyword) else { continue };
        let answer = &mut pairing.params.entry_of[at];
        *answer = answer.or(Some(number));
        for paired in pairing.params.names.iter_mut().filter(|paired| paired.is == Match::Unknown) {
            if doc.entries[paired.entry].names[paired.name].name == *root {
                paired.is = Match::Part;
            }
        }
    }
}

/// What a rest parameter collects may be told under a name of its own: `@param load` for `...args`; outside of JavaScript,
/// where its own name says nothing.
fn accept_collected(file: &FileReading<'_>, doc: &DocComment, signature: &Signature, pairing: &mut Pairing) {
    let script = file.language.dialect.is_script();
    let says_nothing =
        |name: &Name| matches!(name.as_str(), "args" | "argv" | "arguments" | "params" | "rest" | "varargs");
    for paired in &mut pairing.params.names {
        let Match::Renamed(at) = paired.is else { continue };
        let rest = &signature.parameters[at];
        let told = doc.entries[paired.entry].names[paired.name].name.as_str();
        let another =
            rest.named().is_some_and(|name| !near(name.as_str(), told) && (script || says_nothing(name)));
        if rest.variadic == Variadic::Positional && another {
            paired.is = Match::Part;
        }
    }
}

/// The comment of a definition may call its parameters as the header does, where callers read them.
fn accept_header_names(declaration: &Declaration, doc: &DocComment, pairing: &mut Pairing) {
    let Some(elsewhere) = declaration.elsewhere.as_ref().filter(|elsewhere| !elsewhere.names.is_empty())
    else {
        return;
    };
    let params = &mut pairing.params;
    for number in 0..params.names.len() {
        let paired = &params.names[number];
        let entry = paired.entry;
        let told = &doc.entries[entry].names[paired.name].name;
        let (Match::Unknown | Match::Renamed(_)) = paired.is else { continue };
        let Some(at) = elsewhere.names.iter().position(|name| name == told.as_str()) else { continue };
        if let Match::Renamed(taken) = paired.is
            && params.entry_of[taken] == Some(entry)
        {
            params.entry_of[taken] = None;
        }
        if params.entry_of.get(at) == Some(&None) {
            params.entry_of[at] = Some(entry);
            params.names[number].is = Match::Is(at);
        }
    }
}

/// The comment of a class whose objects are called may tell of what they are called with.
fn accept_call(file: &FileReading<'_>, id: DeclId, pairing: &mut Pairing) {
    let is_type = file.outline.declaration(id).kind.is_type();
    if !is_type || pairing.params.names.iter().all(|name| name.is != Match::Unknown) {
        return;
    }
    let mut members = file.outline.declarations.iter().filter(|other| other.owner == Some(id));
    if members.any(|member| member.name == "__call__") {
        for name in pairing.params.names.iter_mut().filter(|name| name.is == Match::Unknown) {
            name.is = Match::Part;
        }
    }
}

/// A comment above several overloads, of which the others have none, speaks of all that they take.
fn accept_overloads(file: &FileReading<'_>, id: DeclId, doc: &DocComment, pairing: &mut Pairing) {
    let accept = |side: &mut Side, taken: fn(&Signature) -> Vec<&Name>| {
        let doubtful = |is: Match| matches!(is, Match::Unknown | Match::Renamed(_));
        if !side.names.iter().any(|name| doubtful(name.is)) {
            return;
        }
        let others: Vec<&Name> =
            file.outline.silent_overloads(id).flat_map(|other| taken(&other.signature)).collect();
        for name in side.names.iter_mut().filter(|name| doubtful(name.is)) {
            if others.contains(&&doc.entries[name.entry].names[name.name].name) {
                if let Match::Renamed(at) = name.is {
                    side.entry_of[at] = None;
                }
                name.is = Match::Part;
            }
        }
    };
    accept(&mut pairing.params, |signature| signature.parameters.iter().filter_map(|p| p.named()).collect());
    accept(&mut pairing.typeparams, |signature| signature.type_parameters.iter().map(|p| &p.name).collect());
}
