//! Parameter lists of Python, and the fields that stand for one in data classes.

use tree_sitter::Node;

use super::docstring;
use super::kinds::{self, Python};
use crate::model::{Name, ParamName, Parameter, TypeParameter, Variadic};
use crate::reading::Walk;
use crate::text::Span;

/// Reads the parameters of a function or lambda; the first of a method is its receiver.
pub(super) fn parameters(walk: &Walk<'_, Python>, node: Node<'_>, receiver: bool) -> Vec<Parameter> {
    let Some(list) = walk.field(node, kinds::PARAMETERS) else { return Vec::new() };
    let mut out = Vec::new();
    let mut expects_receiver = receiver;
    for child in walk.children(list) {
        let Some(parameter) = parameter(walk, child) else { continue };
        if expects_receiver && parameter.variadic == Variadic::No {
            expects_receiver = false;
            continue;
        }
        expects_receiver = false;
        out.push(parameter);
    }
    out
}

fn parameter(walk: &Walk<'_, Python>, node: Node<'_>) -> Option<Parameter> {
    let kind = walk.kind(node)?;
    let (named, default) = match kind {
        Python::Identifier | Python::ListSplat | Python::DictSplat | Python::Tuple => (node, None),
        Python::DefaultParameter | Python::TypedDefaultParameter => {
            (walk.field(node, kinds::NAME)?, walk.field(node, kinds::VALUE))
        }
        Python::TypedParameter => (walk.children(node).into_iter().next()?, None),
        _ => return None,
    };
    let variadic = match walk.kind(named) {
        Some(Python::ListSplat) => Variadic::Positional,
        Some(Python::DictSplat) => Variadic::Keywords,
        _ => Variadic::No,
    };
    let name = if variadic == Variadic::No { named } else { walk.children(named).into_iter().next()? };
    let text = walk.text(name);
    let ty = walk.field(node, kinds::TYPE).map(|ty| walk.span(ty));
    Some(Parameter {
        name: ParamName::Named(Name::new(text)),
        span: walk.span(name),
        ty: ty.filter(|_| kind != Python::Identifier),
        default: default.map(|value| walk.span(value)),
        optional: default.is_some() || variadic != Variadic::No,
        variadic,
        // A leading underscore says that the parameter is there for form's sake; a receiver's name, that
        // the function is made a method elsewhere.
        exempt: text.starts_with('_') || matches!(text, "self" | "cls"),
    })
}

/// Reads the type parameters of a generic function or class (PEP 695).
pub(super) fn type_parameters(walk: &Walk<'_, Python>, node: Node<'_>) -> Vec<TypeParameter> {
    let Some(list) = walk.field(node, kinds::TYPE_PARAMETERS) else { return Vec::new() };
    let names = walk.children(list).into_iter().map(|ty| {
        let span = walk.span(ty);
        let text = walk.text(ty);
        let stars = text.len() - text.trim_start_matches('*').len();
        let bare = text.trim_start_matches('*').split([':', '=']).next().unwrap_or_default().trim_end();
        let start = span.start as usize + stars;
        TypeParameter { name: Name::new(bare), span: Span::of(start, start + bare.len()) }
    });
    names.collect()
}

/// Reads the annotated fields of a data class, which are its constructor's parameters.
pub(super) fn data_fields(walk: &Walk<'_, Python>, body: Node<'_>) -> Vec<Parameter> {
    let mut out = Vec::new();
    for statement in walk.children(body) {
        if walk.kind(statement) != Some(Python::ExpressionStatement)
            || docstring::lone_string(walk, statement).is_some()
        {
            continue;
        }
        let Some(assignment) = statement.named_child(0) else { continue };
        if walk.kind(assignment) != Some(Python::Assignment) {
            continue;
        }
        let (Some(left), Some(ty)) =
            (walk.field(assignment, kinds::LEFT), walk.field(assignment, kinds::TYPE))
        else {
            continue;
        };
        let value = walk.field(assignment, kinds::RIGHT);
        let written = walk.text(ty);
        let left_out = value.is_some_and(|value| walk.text(value).replace(' ', "").contains("init=False"));
        if walk.kind(left) != Some(Python::Identifier) || written.contains("ClassVar") || left_out {
            continue;
        }
        out.push(Parameter {
            name: ParamName::Named(Name::new(walk.text(left))),
            span: walk.span(left),
            ty: Some(walk.span(ty)),
            default: value.map(|value| walk.span(value)),
            optional: value.is_some(),
            variadic: Variadic::No,
            exempt: walk.text(left).starts_with('_'),
        });
    }
    out
}
