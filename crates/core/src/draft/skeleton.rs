//! The entries of a draft, in signature order, and the habits of the file they are written in.

use super::wording;
use crate::debt::Debt;
use crate::model::{Dialect, EntryKind, ParamName, Parameter, Signature, Variadic};
use crate::notations::{NewEntry, Notation, TypeCustom, WriteStyle};
use crate::review::FileReading;
use crate::text::Span;

/// Makes the entries that a debt asks for.
pub(super) fn entries(
    file: &FileReading<'_>,
    signature: &Signature,
    debt: &Debt,
    notation: &Notation,
) -> Vec<NewEntry> {
    let custom = notation.writer.types(file.language.dialect);
    let new = |kind, name, rank| new(file, kind, name, rank);
    let mut out = Vec::new();
    for (rank, parameter) in signature.type_parameters.iter().enumerate() {
        if debt.typeparams[rank] {
            out.push(new(EntryKind::TypeParam, Some(parameter.name.as_str().to_owned()), rank));
        }
    }
    for (rank, parameter) in signature.parameters.iter().enumerate() {
        if debt.params[rank] {
            let name = shown_name(parameter);
            let mut entry = new(EntryKind::Param, Some(name), rank);
            entry.ty = shown_type(file, parameter, custom);
            entry.optional = parameter.optional && parameter.variadic == Variadic::No;
            out.push(entry);
        }
    }
    for (kind, owed) in [(EntryKind::Returns, debt.returns), (EntryKind::Yields, debt.yields)] {
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
        let told = thrown.condition.and_then(|at| wording::condition(file.source.slice(at), &names, &code));
        if let Some(told) = told {
            entry.text = told;
        }
        out.push(entry);
    }
    out
}

fn new(file: &FileReading<'_>, kind: EntryKind, name: Option<String>, rank: usize) -> NewEntry {
    NewEntry { kind, name, ty: None, optional: false, text: file.settings.placeholder.clone(), rank }
}

fn shown_name(parameter: &Parameter) -> String {
    match &parameter.name {
        ParamName::Named(name) => name.as_str().to_owned(),
        ParamName::Rest => "...".to_owned(),
        ParamName::Unnamed | ParamName::Destructured(_) => "options".to_owned(),
    }
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

/// Returns a type on one line, without what would end a docstring.
fn written(file: &FileReading<'_>, ty: Span) -> String {
    let text = file.source.slice(ty).split_whitespace().collect::<Vec<_>>().join(" ");
    text.trim_matches('"').replace("\"\"\"", "'").replace('\\', "\\\\")
}

/// Returns how entries are written in this file.
pub(super) fn style(file: &FileReading<'_>) -> WriteStyle {
    let dialect = file.language.dialect;
    WriteStyle {
        placeholder: file.settings.placeholder.clone(),
        step: file.source.step().to_owned(),
        separator: if dialect == Dialect::TypeScript { " - " } else { " " }.to_owned(),
        dialect,
        backslash: file.habits().backslash,
        brief: file.habits().brief,
        align: file.settings.align,
    }
}
