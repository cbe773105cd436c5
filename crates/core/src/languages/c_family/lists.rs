//! Lists of parameters, and of those of templates.

use super::declare::declared;
use super::kinds::C;
use crate::model::{Name, ParamName, Parameter, TypeParameter, Variadic};
use crate::reading::{Node, Walk};
use crate::text::{Source, Span};

/// Returns what a function takes.
pub(super) fn parameters<'t>(walk: &Walk<'t, C>, function: Node<'t>) -> Vec<Parameter> {
    let Some(list) = walk.field(function, "parameters") else { return Vec::new() };
    let names_alone = is_old_list(walk, list);
    let mut out = Vec::new();
    let mut cursor = list.walk();
    for child in list.children(&mut cursor) {
        match walk.kind(child) {
            Some(C::Parameter) => {
                let ty = walk.field(child, "type");
                let declarator = walk.field(child, "declarator");
                if names_alone {
                    out.push(Parameter::of(walk.text(child), walk.span(child)));
                    continue;
                }
                if declarator.is_none() && ty.is_some_and(|ty| walk.text(ty) == "void") {
                    continue;
                }
                out.push(parameter(walk, child, ty, declarator));
            }
            // Names alone, as the oldest form has them.
            Some(C::Identifier) => out.push(Parameter::of(walk.text(child), walk.span(child))),
            _ if matches!(child.kind(), "..." | "variadic_parameter") => out.push(rest(walk.span(child))),
            _ => {}
        }
    }
    out
}

/// Tells whether the declarations of parameters stand behind a list, between it and the body, as the oldest form of
/// definition has them.
fn is_old_list(walk: &Walk<'_, C>, list: Node<'_>) -> bool {
    let behind = &walk.source.text()[walk.span(list).end as usize..];
    let body = behind.find(['{', '}', '(', '"', '#', '=']).unwrap_or(behind.len());
    behind[body..].starts_with('{')
        && behind[..body].trim_end().ends_with(';')
        && behind.trim_start().starts_with(|c: char| c.is_alphabetic() || c == '_')
}

/// Returns the parameter that `...` is.
pub(super) fn rest(span: Span) -> Parameter {
    Parameter { variadic: Variadic::Positional, exempt: true, ..Parameter::new(ParamName::Rest, span) }
}

fn parameter<'t>(
    walk: &Walk<'t, C>,
    node: Node<'t>,
    ty: Option<Node<'t>>,
    declarator: Option<Node<'t>>,
) -> Parameter {
    let name = declarator.and_then(|declarator| declared(walk, declarator)).map(|found| found.name);
    let mut out = match name {
        Some(name) => Parameter::of(walk.text(name), walk.span(name)),
        None => Parameter::new(ParamName::Unnamed, walk.span(node)),
    };
    out.ty = ty.map(|ty| walk.span(ty));
    out.default = walk.field(node, "default_value").map(|value| with_braces(walk.source, walk.span(value)));
    out.optional = out.default.is_some();
    if node.kind() == "variadic_parameter_declaration" {
        out.variadic = Variadic::Positional;
        out.optional = true;
    }
    out
}

/// Widens a span whose list in braces the grammar was not given to the whole of it.
fn with_braces(source: &Source, span: Span) -> Span {
    if source.slice(span) != "{" {
        return span;
    }
    let mut depth = 0_usize;
    for (at, byte) in source.text().bytes().enumerate().skip(span.start as usize) {
        match byte {
            b'{' => depth += 1,
            b'}' if depth == 1 => return Span::of(span.start as usize, at + 1),
            b'}' => depth -= 1,
            _ => {}
        }
    }
    span
}

/// Returns what a template takes.
pub(super) fn type_parameters<'t>(walk: &Walk<'t, C>, whole: Node<'t>) -> Vec<TypeParameter> {
    if walk.kind(whole) != Some(C::Template) {
        return Vec::new();
    }
    let Some(list) = walk.field(whole, "parameters") else { return Vec::new() };
    let mut out = Vec::new();
    for child in walk.children(list) {
        let name = match walk.kind(child) {
            Some(C::TypeParameter) => walk.field(child, "name").or_else(|| walk.child(child, C::Identifier)),
            // `template <class> class name`: the name stands in the last part.
            Some(C::TemplateTemplate) => walk
                .children(child)
                .last()
                .and_then(|&last| walk.field(last, "name").or_else(|| walk.child(last, C::Identifier))),
            Some(C::Parameter) => walk
                .field(child, "declarator")
                .and_then(|declarator| declared(walk, declarator))
                .map(|found| found.name),
            _ => None,
        };
        out.extend(
            name.map(|name| TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) }),
        );
    }
    out
}
