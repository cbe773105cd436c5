//! Parameter lists of C#.

use super::kinds::{self, CSharp};
use crate::model::{Name, ParamName, Parameter, TypeParameter, Variadic};
use crate::reading::{Node, Walk};

/// Reads a parameter list. The grammar puts a `params` parameter into the list itself, as a type and a
/// name side by side.
pub(super) fn parameters(walk: &Walk<'_, CSharp>, list: Node<'_>) -> Vec<Parameter> {
    let mut out = Vec::new();
    let mut loose_type = None;
    let mut cursor = list.walk();
    if !cursor.goto_first_child() {
        return out;
    }
    loop {
        let child = cursor.node();
        match (walk.kind(child), cursor.field_name()) {
            (Some(CSharp::Parameter), _) => out.extend(parameter(walk, child)),
            (_, Some(kinds::TYPE)) => loose_type = Some(walk.span(child)),
            (_, Some(kinds::NAME)) => out.push(Parameter {
                name: ParamName::Named(bare(walk.text(child))),
                span: walk.span(child),
                ty: loose_type.take(),
                default: None,
                optional: false,
                variadic: Variadic::Positional,
                exempt: false,
                told: false,
                label: None,
                typed_enough: false,
                keyed: false,
            }),
            _ => {}
        }
        if !cursor.goto_next_sibling() {
            return out;
        }
    }
}

fn bare(text: &str) -> Name {
    Name::new(text.trim_start_matches('@'))
}

fn parameter(walk: &Walk<'_, CSharp>, node: Node<'_>) -> Option<Parameter> {
    let name = walk.field(node, kinds::NAME)?;
    let default = default_value(walk, node, name);
    let text = walk.text(name);
    let mut cursor = node.walk();
    let params = node
        .children(&mut cursor)
        .any(|child| walk.kind(child) == Some(CSharp::Modifier) && walk.text(child) == "params");
    Some(Parameter {
        name: ParamName::Named(bare(text)),
        span: walk.span(name),
        ty: walk.field(node, kinds::TYPE).map(|ty| walk.span(ty)),
        default: default.map(|value| walk.span(value)),
        optional: default.is_some(),
        variadic: if params { Variadic::Positional } else { Variadic::No },
        exempt: text.chars().all(|c| c == '_'),
        told: false,
        label: None,
        typed_enough: false,
        keyed: false,
    })
}

fn default_value<'t>(walk: &Walk<'_, CSharp>, node: Node<'t>, name: Node<'_>) -> Option<Node<'t>> {
    let mut cursor = node.walk();
    node.named_children(&mut cursor)
        .find(|child| child.start_byte() >= name.end_byte() && !walk.is_comment(*child))
}

/// Reads the type parameters of a declaration.
pub(super) fn type_parameters(walk: &Walk<'_, CSharp>, node: Node<'_>) -> Vec<TypeParameter> {
    let mut cursor = node.walk();
    let lists = node.named_children(&mut cursor).filter(|&c| walk.kind(c) == Some(CSharp::TypeParameterList));
    lists
        .flat_map(|list| walk_children(list))
        .filter(|&child| walk.kind(child) == Some(CSharp::TypeParameter))
        .filter_map(|child| walk.field(child, kinds::NAME))
        .map(|name| TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) })
        .collect()
}

fn walk_children(node: Node<'_>) -> Vec<Node<'_>> {
    let mut cursor = node.walk();
    node.named_children(&mut cursor).collect()
}
