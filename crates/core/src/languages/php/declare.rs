//! PHP nodes to declarations, and what leaves a body.

use super::Php;
use crate::languages::shared::{raises_made, says_left_to_others};
use crate::model::{
    Answer, ClosedSet, Declaration, Excuse, Kind, Name, Parameter, Returns, Surface, Variadic,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::Span;

/// Opens a namespace: what follows, or what is in its braces.
pub(super) fn namespace<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let scope = Scope::Namespace(walk.text(name).replace('\\', ".").into());
    if walk.field(node, "body").is_some() {
        walk.open(scope);
    } else {
        let separator = walk.span(node);
        walk.outline.separators.push(separator);
        walk.open_beside(scope);
    }
}

fn surface<'t>(walk: &Walk<'t, Php>, node: Node<'t>) -> Surface {
    match walk.child(node, Php::Visibility).map(|visibility| walk.text(visibility)) {
        Some("private") => Surface::Private,
        Some("protected") => Surface::Protected,
        _ => Surface::Public,
    }
}

fn begin<'t>(walk: &Walk<'t, Php>, kind: Kind, name: Node<'t>, node: Node<'t>) -> Declaration {
    let mut declaration = walk.start(kind, name, node, walk.field(node, "body"));
    declaration.surface = surface(walk, node);
    if let Some(attributes) = walk.field(node, "attributes") {
        let text = walk.text(attributes);
        declaration.deprecated = text.contains("Deprecated");
        declaration.overrides = text.contains("Override");
        if text.contains("#[Test") {
            declaration.excuses.push(Excuse::Tests);
        }
    }
    declaration
}

/// Declares a class, interface, trait or enumeration.
pub(super) fn type_declaration<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>, is: Php) {
    let Some(name) = walk.field(node, "name") else { return };
    let kind = match is {
        Php::Interface => Kind::Interface,
        Php::Trait => Kind::Trait,
        Php::Enum => Kind::Enum,
        _ => Kind::Class,
    };
    let mut declaration = begin(walk, kind, name, node);
    declaration.supertypes = supertypes(walk, node);
    walk.enter(declaration);
}

fn supertypes<'t>(walk: &Walk<'t, Php>, node: Node<'t>) -> Vec<Name> {
    let mut clauses = walk.children(node);
    // What a trait brings along is inherited as well.
    clauses
        .extend(walk.field(node, "body").map(|body| walk.children_of(body, Php::Traits)).unwrap_or_default());
    clauses
        .into_iter()
        .filter(|&clause| matches!(walk.kind(clause), Some(Php::Base | Php::Interfaces | Php::Traits)))
        .flat_map(|clause| walk.children(clause))
        .map(|ty| Name::simple(walk.text(ty)))
        .collect()
}

/// Declares a class without a name.
pub(super) fn anonymous_class<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    let at = Span::at(walk.span(node).start);
    let mut declaration = Declaration::new(Kind::Class, Name::new("<anonymous>"), at, walk.span(node));
    declaration.surface = Surface::Private;
    declaration.unasked = true;
    declaration.supertypes = supertypes(walk, node);
    walk.enter(declaration);
}

/// Methods that the language itself calls.
const MAGIC: &[&str] = &[
    "__destruct", "__call", "__callStatic", "__get", "__set", "__isset", "__unset", "__sleep", "__wakeup",
    "__serialize", "__unserialize", "__toString", "__set_state", "__clone", "__debugInfo",
];

/// Declares a function or method.
pub(super) fn callable<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>, is: Php) {
    let Some(name) = walk.field(node, "name") else { return };
    let text = walk.text(name);
    let constructor = is == Php::Method && text.eq_ignore_ascii_case("__construct");
    let kind = match is {
        _ if constructor => Kind::Constructor,
        Php::Method => Kind::Method,
        _ => Kind::Function,
    };
    let mut declaration = begin(walk, kind, name, node);
    declaration.signature.parameters = parameters(walk, node);
    // What asks for its arguments by number takes more than its list says.
    declaration.signature.collects = walk
        .field(node, "body")
        .is_some_and(|body| memchr::memmem::find(walk.text(body).as_bytes(), b"func_get_arg").is_some());
    declaration.signature.returns = if constructor { Returns::nothing() } else { returns(walk, node) };
    declaration.signature.returns.exempt = is == Php::Method && named_like_its_class(walk, node, text);
    if MAGIC.contains(&text) {
        declaration.excuses.push(Excuse::Conventional);
    }
    let empty = walk.field(node, "body").is_some_and(|body| walk.does_nothing(body));
    if constructor && declaration.signature.parameters.is_empty() && empty {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    walk.enter(declaration);
}

/// Says whether a method is called like its class: up to PHP 7 that made it the constructor, whose value
/// nobody sees.
fn named_like_its_class<'t>(walk: &Walk<'t, Php>, node: Node<'t>, name: &str) -> bool {
    node.parent()
        .and_then(|body| body.parent())
        .filter(|&class| walk.kind(class) == Some(Php::Class))
        .and_then(|class| walk.field(class, "name"))
        .is_some_and(|class| walk.text(class).eq_ignore_ascii_case(name))
}

/// Types that say too little by themselves.
fn says_enough(ty: &str) -> bool {
    let vague = ["array", "iterable", "callable", "object", "mixed"];
    !ty.trim_start_matches('?')
        .split('|')
        .any(|part| vague.contains(&part.trim().to_ascii_lowercase().as_str()))
}

fn parameters<'t>(walk: &Walk<'t, Php>, node: Node<'t>) -> Vec<Parameter> {
    let Some(list) = walk.field(node, "parameters") else { return Vec::new() };
    let mut out = Vec::new();
    for child in walk.children_of(list, Php::Parameter) {
        let Some(name) = walk.field(child, "name") else { continue };
        // A promoted parameter may be taken by reference.
        let name = if walk.kind(name) == Some(Php::Variable) {
            name
        } else {
            walk.child(name, Php::Variable).unwrap_or(name)
        };
        let text = walk.text(name).trim_start_matches(['&', '$']);
        let span = walk.span(name);
        let mut parameter =
            Parameter::of(text, Span::new(span.end - crate::text::narrow(text.len()), span.end));
        parameter.ty = walk.field(child, "type").map(|ty| walk.span(ty));
        parameter.typed_enough = parameter.ty.is_some_and(|ty| says_enough(walk.source.slice(ty)));
        parameter.default = walk.field(child, "default_value").map(|value| walk.span(value));
        parameter.optional = parameter.default.is_some();
        if child.kind() == "variadic_parameter" {
            parameter.variadic = Variadic::Positional;
            parameter.optional = true;
        }
        out.push(parameter);
    }
    // A body that asks for all its arguments takes more than its list says.
    out
}

fn returns<'t>(walk: &Walk<'t, Php>, node: Node<'t>) -> Returns {
    let Some(ty) = walk.field(node, "return_type") else { return Returns::default() };
    let text = walk.text(ty).to_ascii_lowercase();
    let value = if matches!(text.as_str(), "void" | "never" | "null") { Answer::No } else { Answer::Yes };
    Returns {
        set: (text == "bool").then_some(ClosedSet::Boolean),
        typed_enough: says_enough(&text),
        ..Returns::typed(value, walk.span(ty))
    }
}

/// Declares the properties of a declaration.
pub(super) fn properties<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    for element in walk.children_of(node, Php::PropertyElement) {
        let Some(name) = walk.field(element, "name") else { continue };
        let mut declaration = begin(walk, Kind::Field, name, node);
        declaration.name = Name::new(walk.text(name).trim_start_matches('$'));
        declaration.header_end = walk.span(element).end;
        declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
        walk.declare(declaration);
    }
}

/// Declares the constants of a declaration.
pub(super) fn constants<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    for element in walk.children_of(node, Php::ConstElement) {
        let Some(name) = walk.children(element).into_iter().next() else { continue };
        let mut declaration = begin(walk, Kind::Constant, name, node);
        declaration.header_end = walk.span(element).end;
        walk.declare(declaration);
    }
}

/// Declares a case of an enumeration.
pub(super) fn case<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let mut declaration = begin(walk, Kind::EnumMember, name, node);
    declaration.excuses.push(Excuse::EnumMembers);
    walk.declare(declaration);
}

/// Handlers of these say nothing of what was thrown.
const VAGUE: &[&str] = &["Throwable", "Exception", "Error"];

/// Notes a `throw`.
pub(super) fn throws<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    let condition = walk.take_condition(node).or_else(|| {
        let statement =
            walk.parent(node).filter(|&parent| walk.kind(parent) == Some(Php::ExpressionStatement))?;
        walk.take_condition(statement)
    });
    let Some(&thrown) = walk.children(node).first() else { return };
    match walk.kind(thrown) {
        Some(Php::Creation) => {
            let made = walk.children(thrown).into_iter().find(|&child| walk.kind(child).is_none());
            let made = made.filter(|made| !walk.text(*made).starts_with(['$', '(', 's']));
            let Some(ty) = made else {
                walk.raises_unknown();
                return;
            };
            let exempt = says_left_to_others(&walk.text(node).to_ascii_lowercase());
            raises_made(walk, ty, (exempt, condition));
        }
        Some(Php::Variable) => {
            let (name, span) = (walk.text(thrown), walk.span(thrown));
            if !walk.rethrows(Some(name), span, VAGUE) {
                walk.raises_unknown();
            }
        }
        _ => walk.raises_unknown(),
    }
}

fn caught<'t>(walk: &Walk<'t, Php>, clause: Node<'t>) -> Vec<Name> {
    let Some(types) = walk.field(clause, "type") else { return Vec::new() };
    walk.text(types).split('|').map(|ty| Name::simple(ty.trim())).collect()
}

/// Opens what a `try` guards.
pub(super) fn tries<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    let types =
        walk.children_of(node, Php::Catch).into_iter().flat_map(|clause| caught(walk, clause)).collect();
    if let Some(body) = walk.field(node, "body") {
        walk.open_at(body, Scope::Try(types));
    }
}

/// Opens a handler.
pub(super) fn handles<'t>(walk: &mut Walk<'t, Php>, node: Node<'t>) {
    let types = caught(walk, node);
    let name = walk.field(node, "name").map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, types));
}
