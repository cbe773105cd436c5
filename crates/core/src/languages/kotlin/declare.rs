//! Kotlin nodes to declarations.

use super::Kotlin;
use crate::languages::shared::exempt_all_but_properties;
use crate::model::{
    Answer, ClosedSet, Construction, Declaration, Excuse, Kind, Name, Origin, Parameter, Returns, Surface,
    Thrown, TypeParameter, Variadic,
};
use crate::reading::{Node, Walk};
use crate::text::Span;

/// What the modifiers of a declaration say.
#[derive(Default)]
struct Modifiers {
    surface: Seen,
    overrides: bool,
    enumeration: bool,
    deprecated: bool,
    test: bool,
    throws: Vec<Thrown>,
}

/// The surface that a declaration has unless it says otherwise.
struct Seen(Surface);

impl Default for Seen {
    fn default() -> Self {
        Self(Surface::Public)
    }
}

fn modifiers<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Modifiers {
    let mut out = Modifiers::default();
    let Some(list) = walk.child(node, Kotlin::Modifiers) else { return out };
    for modifier in walk.children(list) {
        let text = walk.text(modifier);
        if walk.kind(modifier) == Some(Kotlin::Annotation) {
            annotate(&mut out, text, walk.span(modifier));
            continue;
        }
        match text {
            "private" => out.surface.0 = Surface::Private,
            "protected" => out.surface.0 = Surface::Protected,
            "internal" => out.surface.0 = Surface::Package,
            // What is expected is described where it is expected.
            "override" | "actual" => out.overrides = true,
            "enum" => out.enumeration = true,
            _ => {}
        }
    }
    out
}

/// Takes what an annotation says.
fn annotate(out: &mut Modifiers, text: &str, span: Span) {
    let name = text.trim_start_matches('@').split(['(', ' ']).next().unwrap_or_default();
    match name.rsplit(['.', ':']).next().unwrap_or_default() {
        "Deprecated" => out.deprecated = true,
        "Test" | "ParameterizedTest" | "BeforeTest" | "AfterTest" | "Before" | "After" => out.test = true,
        "Throws" => out.throws = annotated_throws(text, span),
        _ => {}
    }
}

/// Reads `@Throws(IOException::class, …)`.
fn annotated_throws(text: &str, span: Span) -> Vec<Thrown> {
    let mut out = Vec::new();
    for (at, _) in text.match_indices("::class") {
        let head = &text[..at];
        let start = head
            .rfind(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '.')))
            .map_or(0, |found| found + 1);
        out.push(Thrown {
            ty: Name::simple(&head[start..]),
            span: Span::of(span.start as usize + start, span.start as usize + at),
            origin: Origin::Declared,
            leaves: Answer::Yes,
            exempt: false,
            condition: None,
            caught: Vec::new(),
            via: None,
        });
    }
    out
}

fn begin<'t>(
    walk: &Walk<'t, Kotlin>,
    kind: Kind,
    (name, node, body): (Node<'t>, Node<'t>, Option<Node<'t>>),
) -> (Declaration, Modifiers) {
    let mut modifiers = modifiers(walk, node);
    let mut declaration = walk.start(kind, name, node, body);
    // Annotations that were parted from the declaration below them are its own.
    let start = declaration.span.start;
    for &span in walk.pending[..walk.pending.partition_point(|span| span.end <= start)].iter().rev() {
        if !walk.source.slice(Span::new(span.end, declaration.span.start)).trim().is_empty() {
            break;
        }
        declaration.span.start = span.start;
        annotate(&mut modifiers, walk.source.slice(span), span);
    }
    declaration.name = Name::new(walk.text(name).trim_matches('`'));
    declaration.surface = modifiers.surface.0;
    // Behind an annotation with arguments the grammar is not given the word.
    let head = walk.source.slice(Span::new(declaration.span.start, walk.span(name).start));
    let is_actual =
        head.rsplit(')').next().is_some_and(|head| head.split_whitespace().any(|w| w == "actual"));
    declaration.overrides = modifiers.overrides || is_actual;
    declaration.deprecated = modifiers.deprecated;
    if modifiers.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
    if modifiers.test {
        declaration.excuses.push(Excuse::Tests);
    }
    (declaration, modifiers)
}

fn class_body<'t>(node: Node<'t>) -> Option<Node<'t>> {
    let mut cursor = node.walk();
    node.named_children(&mut cursor).find(|child| matches!(child.kind(), "class_body" | "enum_class_body"))
}

/// Declares a class, interface or enumeration; its comment speaks of the primary constructor.
pub(super) fn class<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let mut cursor = node.walk();
    let interface = node.children(&mut cursor).any(|child| child.kind() == "interface");
    let (mut declaration, modifiers) = begin(walk, Kind::Class, (name, node, class_body(node)));
    if interface {
        declaration.kind = Kind::Interface;
    } else if modifiers.enumeration {
        declaration.kind = Kind::Enum;
    }
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.supertypes = supertypes(walk, node);
    if let Some(primary) = walk.child(node, Kotlin::Primary) {
        declaration.construction = Construction::Header;
        let lists = walk.child(primary, Kotlin::ClassParameters).into_iter();
        let declared = lists.flat_map(|list| walk.children_of(list, Kotlin::ClassParameter));
        declaration.signature.parameters =
            declared.filter_map(|parameter| class_parameter(walk, parameter)).collect();
        let head = walk.text(primary).split('(').next().unwrap_or_default();
        if head.split_whitespace().any(|word| word == "private") {
            exempt_all_but_properties(walk.source, &mut declaration.signature.parameters);
        }
    }
    walk.enter(declaration);
}

fn supertypes<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Vec<Name> {
    let Some(list) = walk.child(node, Kotlin::Delegation) else { return Vec::new() };
    walk.children(list).into_iter().map(|ty| Name::simple(walk.text(ty))).collect()
}

fn class_parameter<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Option<Parameter> {
    let children = walk.children(node);
    let at = children.iter().position(|&child| walk.kind(child) == Some(Kotlin::Identifier))?;
    let name = children[at];
    let mut parameter = Parameter::of(walk.text(name).trim_matches('`'), walk.span(name));
    parameter.ty = children.get(at + 1).map(|&ty| walk.span(ty));
    parameter.default = children.get(at + 2).map(|&value| walk.span(value));
    parameter.optional = parameter.default.is_some();
    if walk.source.slice(Span::new(walk.span(node).start, walk.span(name).start)).contains("vararg ") {
        parameter.variadic = Variadic::Positional;
    }
    Some(parameter)
}

/// Declares an object; a companion is its class's own and asked for nothing.
pub(super) fn object<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>, is: Kotlin) {
    let body = class_body(node);
    let name = walk.field(node, "name").or_else(|| walk.child(node, Kotlin::Identifier));
    let mut declaration = match name {
        Some(name) => begin(walk, Kind::Object, (name, node, body)).0,
        None => {
            let at = Span::at(walk.span(node).start);
            let mut declaration = Declaration::new(Kind::Object, Name::new("Companion"), at, walk.span(node));
            declaration.surface = modifiers(walk, node).surface.0;
            declaration.header_end = body.map_or(at.end, |body| walk.span(body).start);
            declaration
        }
    };
    declaration.unasked |= is == Kotlin::Companion;
    declaration.supertypes = supertypes(walk, node);
    walk.enter(declaration);
}

/// Declares the class of an object expression.
pub(super) fn anonymous<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let at = Span::at(walk.span(node).start);
    let mut declaration = Declaration::new(Kind::Class, Name::new("<anonymous>"), at, walk.span(node));
    declaration.header_end = at.end;
    declaration.surface = Surface::Private;
    declaration.unasked = true;
    declaration.supertypes = supertypes(walk, node);
    walk.enter(declaration);
}

/// Declares a function.
pub(super) fn function<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let body = walk.child(node, Kotlin::Body);
    let in_type = walk.owner_kind().is_some_and(|kind| kind.is_type());
    let kind = if in_type { Kind::Method } else { Kind::Function };
    let (mut declaration, modifiers) = begin(walk, kind, (name, node, body));
    declaration.signature.parameters = parameters(walk, node);
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.signature.throws = modifiers.throws;
    let ty = return_type(walk, node);
    declaration.signature.returns = match (ty, body) {
        (Some(ty), _) => typed(walk, ty),
        // Without a type a block gives nothing back; what an expression gives is its own value.
        (None, Some(body)) => match walk.children(body).first() {
            Some(&value) if walk.kind(value) != Some(Kotlin::Block) => {
                Returns { value: value_of(walk, value), ..Returns::default() }
            }
            _ => Returns::nothing(),
        },
        (None, None) => Returns::nothing(),
    };
    let unknown = declaration.signature.returns.value == Answer::Unknown;
    if declaration.name == "main" && !in_type {
        declaration.excuses.push(Excuse::Main);
    }
    walk.enter(declaration);
    if unknown {
        walk.returns(Answer::Unknown);
    }
}

fn typed(walk: &Walk<'_, Kotlin>, ty: Node<'_>) -> Returns {
    let text = walk.text(ty);
    let value = if matches!(text, "Unit" | "Nothing") { Answer::No } else { Answer::Yes };
    Returns { set: (text == "Boolean").then_some(ClosedSet::Boolean), ..Returns::typed(value, walk.span(ty)) }
}

/// The type that follows the parameter list.
fn return_type<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Option<Node<'t>> {
    let children = walk.children(node);
    let list = children.iter().position(|&child| walk.kind(child) == Some(Kotlin::Parameters))?;
    let next = *children.get(list + 1)?;
    (walk.kind(next) != Some(Kotlin::Body) && next.kind() != "type_constraints").then_some(next)
}

/// Tells whether an expression has a value.
pub(super) fn value_of<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Answer {
    match node.kind() {
        "call_expression"
        | "assignment"
        | "if_expression"
        | "when_expression"
        | "try_expression"
        | "throw_expression"
        | "return_expression"
        | "navigation_expression" => Answer::Unknown,
        "parenthesized_expression" => {
            walk.children(node).first().map_or(Answer::Unknown, |&inner| value_of(walk, inner))
        }
        _ if walk.text(node) == "Unit" => Answer::No,
        _ => Answer::Yes,
    }
}

/// Declares a secondary constructor.
pub(super) fn secondary<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let mut cursor = node.walk();
    let Some(name) = node.children(&mut cursor).find(|child| child.kind() == "constructor") else { return };
    let body = walk.child(node, Kotlin::Block);
    let (mut declaration, modifiers) = begin(walk, Kind::Constructor, (name, node, body));
    declaration.signature.parameters = parameters(walk, node);
    declaration.signature.returns = Returns::nothing();
    declaration.signature.throws = modifiers.throws;
    if declaration.signature.parameters.is_empty() && body.is_none_or(|body| walk.does_nothing(body)) {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    walk.enter(declaration);
}

fn parameters<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Vec<Parameter> {
    let Some(list) = walk.child(node, Kotlin::Parameters) else { return Vec::new() };
    let mut out: Vec<Parameter> = Vec::new();
    let mut vararg = false;
    for child in walk.children(list) {
        match walk.kind(child) {
            Some(Kotlin::ParameterModifiers) => vararg |= walk.text(child).contains("vararg"),
            Some(Kotlin::Parameter) => {
                let parts = walk.children(child);
                let Some(&name) = parts.first() else { continue };
                let text = walk.text(name).trim_matches('`');
                let mut parameter = Parameter::of(text, walk.span(name));
                parameter.ty = parts.get(1).map(|&ty| walk.span(ty));
                parameter.exempt = text == "_";
                if std::mem::take(&mut vararg) {
                    parameter.variadic = Variadic::Positional;
                }
                out.push(parameter);
            }
            // A default value follows its parameter.
            _ => {
                if let Some(last) = out.last_mut() {
                    last.default = Some(walk.span(child));
                    last.optional = true;
                }
            }
        }
    }
    out
}

fn type_parameters<'t>(walk: &Walk<'t, Kotlin>, node: Node<'t>) -> Vec<TypeParameter> {
    let Some(list) = walk.child(node, Kotlin::TypeParameters) else { return Vec::new() };
    let names = walk.children_of(list, Kotlin::TypeParameter).into_iter();
    names
        .filter_map(|parameter| walk.child(parameter, Kotlin::Identifier))
        .map(|name| TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) })
        .collect()
}

/// Declares a property.
pub(super) fn property<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    if walk.in_code() {
        return;
    }
    let Some(variable) = walk.child(node, Kotlin::Variable) else { return };
    let parts = walk.children(variable);
    let Some(&name) = parts.iter().find(|&&part| walk.kind(part) == Some(Kotlin::Identifier)) else { return };
    let (mut declaration, _) = begin(walk, Kind::Property, (name, node, None));
    declaration.header_end = walk.span(variable).end;
    declaration.signature.returns.ty = parts.get(1).map(|&ty| walk.span(ty));
    declaration.signature.returns.exempt = true;
    walk.enter(declaration);
}

/// Declares an entry of an enumeration.
pub(super) fn enum_entry<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let Some(name) = walk.child(node, Kotlin::Identifier) else { return };
    let (mut declaration, _) = begin(walk, Kind::EnumMember, (name, node, None));
    declaration.header_end = walk.span(name).end;
    declaration.excuses.push(Excuse::EnumMembers);
    walk.enter(declaration);
}

/// Declares a type alias.
pub(super) fn alias<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let Some(name) = walk.field(node, "type").or_else(|| walk.child(node, Kotlin::Identifier)) else {
        return;
    };
    let (mut declaration, _) = begin(walk, Kind::TypeAlias, (name, node, None));
    declaration.signature.type_parameters = type_parameters(walk, node);
    walk.declare(declaration);
}
