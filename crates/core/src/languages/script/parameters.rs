//! Parameter lists and type parameters of JavaScript and TypeScript.

use super::kinds::Script;
use crate::model::{Name, ParamName, Parameter, TypeParameter, Variadic};
use crate::reading::{Node, Walk};
use crate::text::Span;

/// Returns the parameters of a callable; `this` is none.
pub(super) fn parameters<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Vec<Parameter> {
    if let Some(only) = walk.field(node, "parameter") {
        return vec![Parameter::of(walk.text(only), walk.span(only))];
    }
    let list = match walk.kind(node) {
        Some(Script::Parameters) => Some(node),
        _ => walk.field(node, "parameters"),
    };
    let Some(list) = list else { return Vec::new() };
    let mut before = walk.span(list).start;
    let each = walk.children(list).into_iter().filter_map(|child| {
        let at = walk.span(child);
        // A comment of its own may stand before a parameter.
        let told = walk.source.text()[before as usize..at.start as usize].contains("/**");
        before = at.end;
        parameter(walk, child).map(|found| Parameter { told: found.told || told, ..found })
    });
    let mut each: Vec<Parameter> = each.collect();
    for parameter in each.iter_mut().filter(|parameter| is_taken_apart(walk, parameter, list)) {
        *parameter = taken_apart(parameter.span);
    }
    for parameter in each.iter_mut().filter(|parameter| !parameter.exempt) {
        parameter.exempt = !walk.is_typed() && is_left_unused(walk, parameter, node);
    }
    if let [only] = each.as_mut_slice() {
        only.keyed |= holds_options(walk, only);
    }
    each
}

/// Returns what a compiler called by a name of its own: the source may have had any key there.
fn taken_apart(span: Span) -> Parameter {
    Parameter { keyed: true, ..Parameter::new(ParamName::Destructured(Vec::new()), span) }
}

/// Tells whether a compiler made up a parameter's name, which the source took apart: `_a`, and `var _b = _a.load` first
/// thing in the body, or `param`, and `let { load } = param`.
fn is_taken_apart(walk: &Walk<'_, Script>, parameter: &Parameter, list: Node<'_>) -> bool {
    let name = parameter.named().map_or("", |name| name.as_str());
    let numbered =
        name.strip_prefix("param").is_some_and(|rest| rest.bytes().all(|byte| byte.is_ascii_digit()));
    if !numbered && !matches!(name.as_bytes(), [b'_', letter] if letter.is_ascii_lowercase()) {
        return false;
    }
    let behind = &walk.source.text()[walk.span(list).end as usize..];
    let near = behind.char_indices().nth(400).map_or(behind, |(at, _)| &behind[..at]);
    if numbered {
        let body = near.split_once('{').map_or("", |(_, body)| body.trim_start());
        let opens = ["let {", "let [", "const {", "const ["].iter().any(|opens| body.starts_with(opens));
        return opens && body.split(';').next().is_some_and(|first| first.ends_with(&format!("= {name}")));
    }
    near.match_indices(name).any(|(at, _)| {
        let (before, after) = (&near[..at], &near[at + name.len()..]);
        (before.ends_with("= ") && after.starts_with(['.', '['])) || after.starts_with(" === void 0 ? {")
    })
}

/// Tells whether a parameter is marked as unused by its underscore, and is: without types, others have one as well.
fn is_left_unused(walk: &Walk<'_, Script>, parameter: &Parameter, node: Node<'_>) -> bool {
    let name = parameter.named().map_or("", |name| name.as_str());
    let marked = name.len() > 1 && name.starts_with('_');
    // `_1` stands for what overloads call by names of their own.
    if marked && name[1..].bytes().all(|byte| byte.is_ascii_digit()) {
        return true;
    }
    let body = if marked { walk.field(node, "body") } else { None };
    body.is_some_and(|body| memchr::memmem::find(walk.text(body).as_bytes(), name.as_bytes()).is_none())
}

/// Tells whether all that a function takes is an object whose type stands elsewhere, and whose keys are told one by one:
/// declaration files have a name for what the source takes apart.
fn holds_options(walk: &Walk<'_, Script>, parameter: &Parameter) -> bool {
    const NAMES: &[&str] =
        &["options", "opts", "args", "params", "props", "config", "settings", "parameters", "input"];
    let ty = parameter.ty.map_or("", |ty| walk.source.slice(ty));
    // What is written out has its keys, and a comment for each.
    let named = ty.starts_with(char::is_uppercase) && !ty.starts_with("Array<") && !ty.ends_with(']');
    named && parameter.named().is_some_and(|name| NAMES.contains(&name.as_str()))
}

fn parameter<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Option<Parameter> {
    match walk.kind(node) {
        Some(kind @ (Script::RequiredParameter | Script::OptionalParameter)) => {
            let pattern = walk.field(node, "pattern").or_else(|| walk.field(node, "name"))?;
            if walk.text(pattern) == "this" {
                return None;
            }
            let default = walk.field(node, "value");
            let mut found = pattern_parameter(walk, pattern)?;
            found.ty = annotated(walk, node);
            // What is kept as a property is used, whatever its name.
            let kept =
                walk.child(node, Script::Modifier).is_some() || walk.text(node).starts_with("readonly ");
            found.exempt &= !kept;
            found.default = default.map(|value| walk.span(value)).or(found.default);
            let may_be_none = found.variadic != Variadic::No && !walk.is_typed();
            found.optional = kind == Script::OptionalParameter || found.default.is_some() || may_be_none;
            // What its type holds has comments of its own: `options: { /** What to count in. */ unit: string }`.
            found.told |= found.ty.is_some_and(|ty| walk.source.slice(ty).contains("/**"));
            Some(found)
        }
        Some(Script::Decorator) => None,
        _ => pattern_parameter(walk, node),
    }
}

/// Returns the type behind the colon of an annotation.
pub(super) fn annotated<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Option<Span> {
    let annotation = walk.field(node, "type")?;
    let ty = walk.children(annotation).into_iter().next().unwrap_or(annotation);
    Some(walk.span(if walk.kind(annotation) == Some(Script::Annotation) { ty } else { annotation }))
}

fn pattern_parameter<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Option<Parameter> {
    match walk.kind(node) {
        Some(Script::AssignmentPattern) => {
            let mut found = pattern_parameter(walk, walk.field(node, "left")?)?;
            found.default = walk.field(node, "right").map(|right| walk.span(right));
            found.optional = true;
            Some(found)
        }
        Some(Script::RestPattern) => {
            let inner = walk.children(node).into_iter().next()?;
            let mut found = pattern_parameter(walk, inner)?;
            found.variadic = Variadic::Positional;
            found.optional = true;
            Some(found)
        }
        Some(Script::ObjectPattern | Script::ArrayPattern) => {
            let parts = walk.children(node);
            let keyed = parts.iter().any(|&part| walk.kind(part) == Some(Script::RestPattern));
            let keys = parts.into_iter().filter_map(|child| key(walk, child)).collect();
            Some(Parameter { keyed, ..Parameter::new(ParamName::Destructured(keys), walk.span(node)) })
        }
        _ if walk.is_comment(node) || node.is_error() => None,
        _ => {
            let text = walk.text(node);
            // What compilers call a parameter that was taken apart.
            if text.strip_prefix("_ref").is_some_and(|rest| rest.bytes().all(|byte| byte.is_ascii_digit())) {
                return Some(taken_apart(walk.span(node)));
            }
            let mut found = Parameter::of(text, walk.span(node));
            found.exempt = text.starts_with('_') && walk.is_typed();
            Some(found)
        }
    }
}

/// Returns the name of one key of a destructured parameter.
fn key(walk: &Walk<'_, Script>, node: Node<'_>) -> Option<Name> {
    let text = walk.text(node).trim_start_matches('.');
    let end = text.find(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '$'))).unwrap_or(text.len());
    (end > 0).then(|| Name::new(&text[..end]))
}

/// Returns the type parameters of a declaration.
pub(super) fn type_parameters<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Vec<TypeParameter> {
    let Some(list) = walk.child(node, Script::TypeParameters) else { return Vec::new() };
    let declared = walk.children_of(list, Script::TypeParameter).into_iter();
    declared
        .filter_map(|parameter| {
            let name = walk.field(parameter, "name")?;
            Some(TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) })
        })
        .collect()
}
