//! Parameter lists of Python, and the fields that stand for one in data classes.

use super::docstring;
use super::kinds::{self, Python};
use crate::model::{Name, ParamName, Parameter, TypeParameter, Variadic};
use crate::reading::{Node, Walk};
use crate::text::Span;

/// How a field of an `attrs` class is made.
const MAKES_FIELD: [&str; 6] =
    ["attr.ib(", "attr.attrib(", "attrib(", "attr.field(", "attrs.field(", "field("];

/// Reads the parameters of a function or lambda, and before them the receiver, the first of a method.
pub(super) fn parameters(
    walk: &Walk<'_, Python>,
    node: Node<'_>,
    receiver: bool,
) -> (Option<Name>, Vec<Parameter>) {
    let Some(list) = walk.field(node, kinds::PARAMETERS) else { return (None, Vec::new()) };
    let (mut found, mut out) = (None, Vec::new());
    let mut expects_receiver = receiver;
    for child in walk.children(list) {
        let Some(parameter) = parameter(walk, child) else { continue };
        if expects_receiver && parameter.variadic == Variadic::No {
            expects_receiver = false;
            found = parameter.named().cloned();
            continue;
        }
        expects_receiver = false;
        out.push(parameter);
    }
    // Beside what its annotation describes, a name that stands for an annotation may hold a description as well.
    if out.iter().any(|parameter| parameter.told) {
        for parameter in &mut out {
            let alias =
                |ty: &str| ty.starts_with(char::is_uppercase) && ty.chars().all(char::is_alphanumeric);
            parameter.told |= parameter.ty.is_some_and(|ty| alias(walk.source.slice(ty)));
        }
    }
    (found, out)
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
        told: ty.is_some_and(|ty| is_described(walk.source.slice(ty))),
        label: None,
        typed_enough: false,
        keyed: false,
    })
}

/// Tells whether a type holds what is to be said of a parameter: `Annotated[int, Doc("its load in kg")]`.
fn is_described(ty: &str) -> bool {
    let annotated =
        ty.split_once("Annotated[").filter(|(module, _)| module.is_empty() || module.ends_with('.'));
    annotated.is_some_and(|(_, rest)| {
        ["Doc(", "doc(", "description=", "help="].iter().any(|word| rest.contains(word))
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

/// Reads the fields of a data class, which are its constructor's parameters: the annotated ones.
///
/// With `attrs`, fields that are made by a call need no annotation, and the constructor takes them without
/// their leading underscores.
pub(super) fn data_fields(walk: &Walk<'_, Python>, body: Node<'_>, attrs: bool) -> Vec<Parameter> {
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
        let Some(left) = walk.field(assignment, kinds::LEFT) else { continue };
        let (ty, value) = (walk.field(assignment, kinds::TYPE), walk.field(assignment, kinds::RIGHT));
        let written = value.map_or("", |value| walk.text(value));
        let made = attrs && MAKES_FIELD.iter().any(|call| written.starts_with(call));
        let constant = ty.map_or(!made, |ty| walk.text(ty).contains("ClassVar"));
        let left_out = written.replace(' ', "").contains("init=False");
        if walk.kind(left) != Some(Python::Identifier) || constant || left_out {
            continue;
        }
        let text = walk.text(left);
        let name = if attrs { text.trim_start_matches('_') } else { text };
        let default = value.filter(|_| !made || ["default=", "factory="].iter().any(|d| written.contains(d)));
        out.push(Parameter {
            name: ParamName::Named(Name::new(name)),
            span: walk.span(left),
            ty: ty.map(|ty| walk.span(ty)),
            default: default.map(|value| walk.span(value)),
            optional: default.is_some(),
            variadic: Variadic::No,
            exempt: text.starts_with('_'),
            told: false,
            label: None,
            typed_enough: false,
            keyed: false,
        });
    }
    out
}
