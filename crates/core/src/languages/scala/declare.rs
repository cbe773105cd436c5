//! Scala nodes to declarations, and what leaves a body.

use super::Scala;
use crate::languages::shared::{exempt_all_but_properties, raises_made};
use crate::model::{
    Answer, ClosedSet, Construction, Declaration, Excuse, Kind, Name, Origin, Parameter, Returns, Surface,
    Thrown, TypeParameter, Variadic,
};
use crate::reading::{Next, Node, Scope, Walk};
use crate::text::Span;

/// A declaration: what it is, its name, its node, and the children of that, which are gone through once.
struct Declared<'t, 'c> {
    kind: Kind,
    name: Node<'t>,
    node: Node<'t>,
    children: &'c [Node<'t>],
}

fn of_kind<'t>(walk: &Walk<'t, Scala>, nodes: &[Node<'t>], kind: Scala) -> Option<Node<'t>> {
    nodes.iter().copied().find(|&node| walk.kind(node) == Some(kind))
}

fn begin<'t>(
    walk: &Walk<'t, Scala>,
    Declared { kind, name, node, children }: Declared<'t, '_>,
) -> Declaration {
    let mut declaration = walk.start(kind, name, node, walk.field(node, "body"));
    declaration.name = Name::new(walk.text(name).trim_matches('`'));
    if let Some(modifiers) = of_kind(walk, children, Scala::Modifiers) {
        let text = walk.text(modifiers);
        declaration.overrides = text.split_whitespace().any(|word| word == "override");
        if let Some(access) = walk.child(modifiers, Scala::Access) {
            declaration.surface = match walk.text(access) {
                "private" | "private[this]" => Surface::Private,
                access if access.starts_with("private") => Surface::Package,
                _ => Surface::Protected,
            };
        }
    }
    for &annotation in children.iter().filter(|&&child| walk.kind(child) == Some(Scala::Annotation)) {
        let text = walk.text(annotation);
        declaration.deprecated |= text.starts_with("@deprecated");
        if text.starts_with("@throws") {
            declaration.signature.throws.extend(annotated_throws(text, walk.span(annotation)));
        }
        if text.starts_with("@Test") {
            declaration.excuses.push(Excuse::Tests);
        }
    }
    if declaration.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
    declaration
}

/// Notes a package, of which nothing is asked; one may hold what it declares between braces, or indented.
pub(super) fn package<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) -> Next {
    let body = walk.child(node, Scala::Template);
    let whole = walk.span(node);
    walk.outline.separators.push(match body {
        Some(body) => Span::new(whole.start, walk.span(body).start),
        None => whole,
    });
    if body.is_some() { Next::Into } else { Next::Over }
}

/// Reads `@throws[X]` and `@throws(classOf[X])`.
fn annotated_throws(text: &str, span: Span) -> Option<Thrown> {
    let open = text.find('[')?;
    let close = open + text[open..].find(']')?;
    let start = span.start as usize;
    Some(Thrown {
        ty: Name::simple(text[open + 1..close].split('[').next_back()?),
        span: Span::of(start + open + 1, start + close),
        origin: Origin::Declared,
        leaves: Answer::Yes,
        exempt: false,
        condition: None,
        caught: Vec::new(),
        via: None,
    })
}

/// Declares a class, trait, object, enumeration or given instance.
pub(super) fn template<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>, is: Scala) {
    let kind = match is {
        Scala::Trait => Kind::Trait,
        Scala::Enum => Kind::Enum,
        Scala::Object | Scala::Given => Kind::Object,
        _ => Kind::Class,
    };
    let Some(name) = walk.field(node, "name") else {
        let at = Span::at(walk.span(node).start);
        let mut declaration = Declaration::new(kind, Name::new("<anonymous>"), at, walk.span(node));
        declaration.unasked = true;
        walk.enter(declaration);
        return;
    };
    let children = &walk.children(node);
    let mut declaration = begin(walk, Declared { kind, name, node, children });
    declaration.unasked |= is == Scala::Given;
    declaration.signature.type_parameters = type_parameters(walk, children);
    declaration.supertypes = supertypes(walk, node);
    let mut cursor = node.walk();
    let lists: Vec<_> = node.children_by_field_name("class_parameters", &mut cursor).collect();
    if matches!(is, Scala::Class | Scala::Enum | Scala::Trait) && !lists.is_empty() {
        declaration.construction = Construction::Header;
        for list in lists {
            read_list(walk, list, Scala::ClassParameter, &mut declaration.signature.parameters);
        }
        let access = of_kind(walk, children, Scala::Access);
        if access.is_some_and(|access| walk.text(access).starts_with("private")) {
            exempt_all_but_properties(walk.source, &mut declaration.signature.parameters);
        }
    }
    walk.enter(declaration);
}

fn supertypes<'t>(walk: &Walk<'t, Scala>, node: Node<'t>) -> Vec<Name> {
    let Some(clause) = walk.field(node, "extend") else { return Vec::new() };
    let mut cursor = clause.walk();
    let types = clause.children_by_field_name("type", &mut cursor).filter(|ty| ty.is_named());
    types.map(|ty| Name::simple(walk.text(ty))).collect()
}

/// Declares a case of an enumeration.
pub(super) fn enum_case<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let node = walk.parent(node).unwrap_or(node);
    let children = &walk.children(node);
    let mut declaration = begin(walk, Declared { kind: Kind::EnumMember, name, node, children });
    declaration.excuses.push(Excuse::EnumMembers);
    walk.declare(declaration);
}

/// Declares a method or function, or a secondary constructor.
pub(super) fn function<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let body = walk.field(node, "body");
    let constructor = walk.text(name) == "this";
    let in_type = walk.owner_kind().is_some_and(Kind::is_type);
    let kind = match in_type {
        _ if constructor => Kind::Constructor,
        true => Kind::Method,
        false => Kind::Function,
    };
    let children = &walk.children(node);
    let mut declaration = begin(walk, Declared { kind, name, node, children });
    for &list in children.iter().filter(|&&child| walk.kind(child) == Some(Scala::Parameters)) {
        read_list(walk, list, Scala::Parameter, &mut declaration.signature.parameters);
    }
    declaration.signature.type_parameters = type_parameters(walk, children);
    let ty = walk.field(node, "return_type").filter(|ty| ty.is_named());
    declaration.signature.returns = match (ty, body) {
        _ if constructor => Returns::nothing(),
        (Some(ty), _) => {
            let text = walk.text(ty);
            let value = if matches!(text, "Unit" | "Nothing") { Answer::No } else { Answer::Yes };
            let set = (text == "Boolean").then_some(ClosedSet::Boolean);
            Returns { set, ..Returns::typed(value, walk.span(ty)) }
        }
        // Without `=` nothing comes back.
        (None, Some(body)) if has_equals(node, body) => {
            Returns { value: value_of(walk, body), ..Returns::default() }
        }
        (None, Some(_)) => Returns::nothing(),
        // An abstract member without a type is a procedure.
        (None, None) => Returns::nothing(),
    };
    let unknown = declaration.signature.returns.value == Answer::Unknown;
    let owner = walk.owner().map(|owner| walk.outline.declaration(owner));
    if owner.is_some_and(|owner| owner.kind == Kind::Object && owner.unasked) {
        // What a given instance has, its type asked for.
        declaration.excuses.push(Excuse::Overrides);
    }
    if declaration.name == "main" && walk.owner_kind() == Some(Kind::Object) {
        declaration.excuses.push(Excuse::Main);
    }
    walk.enter(declaration);
    if unknown {
        walk.returns(Answer::Unknown);
    }
    // Any name may be a call: members without parameters look like values.
    walk.calls();
}

fn has_equals(node: Node<'_>, body: Node<'_>) -> bool {
    let mut cursor = node.walk();
    node.children(&mut cursor).any(|child| child.kind() == "=" && child.start_byte() < body.start_byte())
}

/// Tells whether an expression has a value.
fn value_of<'t>(walk: &Walk<'t, Scala>, node: Node<'t>) -> Answer {
    match node.kind() {
        "unit" => Answer::No,
        "call_expression"
        | "assignment_expression"
        | "block"
        | "indented_block"
        | "if_expression"
        | "match_expression"
        | "try_expression"
        | "throw_expression"
        | "while_expression"
        | "for_expression"
        | "return_expression"
        | "infix_expression"
        | "field_expression" => Answer::Unknown,
        _ if walk.text(node) == "???" => Answer::Unknown,
        _ => Answer::Yes,
    }
}

fn read_list<'t>(walk: &Walk<'t, Scala>, list: Node<'t>, kind: Scala, out: &mut Vec<Parameter>) {
    let head = walk.text(list).trim_start_matches(['(', ' ', '\n', '\t']);
    let implicit = ["implicit ", "using "].iter().any(|word| head.starts_with(word));
    for child in walk.children_of(list, kind) {
        let Some(name) = walk.field(child, "name") else { continue };
        let mut parameter = Parameter::of(walk.text(name).trim_matches('`'), walk.span(name));
        let ty = walk.field(child, "type");
        parameter.ty = ty.map(|ty| walk.span(ty));
        parameter.default = walk.field(child, "default_value").map(|value| walk.span(value));
        parameter.optional = parameter.default.is_some();
        // What the compiler fills in is nobody's to describe.
        parameter.exempt = implicit || walk.text(child).starts_with("implicit ");
        if ty.is_some_and(|ty| ty.kind() == "repeated_parameter_type") {
            parameter.variadic = Variadic::Positional;
        }
        out.push(parameter);
    }
}

fn type_parameters<'t>(walk: &Walk<'t, Scala>, children: &[Node<'t>]) -> Vec<TypeParameter> {
    let Some(list) = of_kind(walk, children, Scala::TypeParameters) else { return Vec::new() };
    let mut cursor = list.walk();
    let mut out = Vec::new();
    for child in list.named_children(&mut cursor) {
        let name = match walk.kind(child) {
            Some(Scala::Variant) => walk.field(child, "name"),
            Some(Scala::Identifier) => Some(child),
            _ => None,
        };
        out.extend(
            name.map(|name| TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) }),
        );
    }
    out
}

/// Declares a value or variable of a template.
pub(super) fn value<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    if walk.in_code() {
        return;
    }
    let Some(name) = walk.field(node, "pattern").or_else(|| walk.field(node, "name")) else { return };
    if walk.kind(name) != Some(Scala::Identifier) {
        return;
    }
    let children = &walk.children(node);
    let mut declaration = begin(walk, Declared { kind: Kind::Property, name, node, children });
    declaration.header_end =
        walk.field(node, "value").map_or(walk.span(node).end, |value| walk.span(value).start);
    declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
    declaration.signature.returns.exempt = true;
    declaration.signature.hidden = true;
    walk.enter(declaration);
}

/// Declares a type member or alias.
pub(super) fn type_definition<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    if let Some(name) = walk.field(node, "name") {
        let children = &walk.children(node);
        let mut declaration = begin(walk, Declared { kind: Kind::TypeAlias, name, node, children });
        declaration.signature.type_parameters = type_parameters(walk, children);
        walk.declare(declaration);
    }
}

/// Opens the class that an instance without a name is of.
pub(super) fn instance<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    walk.calls();
    let Some(body) = walk.child(node, Scala::Template) else { return };
    let at = Span::at(walk.span(body).start);
    let mut declaration = Declaration::new(Kind::Class, Name::new("<anonymous>"), at, walk.span(body));
    declaration.header_end = at.end;
    declaration.surface = Surface::Private;
    declaration.unasked = true;
    let id = walk.declare(declaration);
    walk.open_at(body, Scope::Declaration(id));
}

/// Handlers of these say nothing of what was thrown.
const VAGUE: &[&str] = &["Throwable", "Exception", "RuntimeException", "Error"];

/// Notes a `throw`.
pub(super) fn throws<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    let condition = walk.take_condition(node);
    let Some(&thrown) = walk.children(node).first() else { return };
    let made = match walk.kind(thrown) {
        Some(Scala::Instance) => walk.children(thrown).into_iter().next(),
        Some(Scala::Call) => walk.field(thrown, "function"),
        Some(Scala::Identifier) => {
            let (name, span) = (walk.text(thrown), walk.span(thrown));
            if !walk.rethrows(Some(name), span, VAGUE) {
                walk.raises_unknown();
            }
            return;
        }
        _ => None,
    };
    let Some(made) =
        made.filter(|&made| Name::simple(walk.text(made)).as_str().starts_with(char::is_uppercase))
    else {
        walk.raises_unknown();
        return;
    };
    let ty = Name::simple(walk.text(made));
    let exempt = matches!(ty.as_str(), "AssertionError" | "NotImplementedError");
    raises_made(walk, made, (exempt, condition));
}

fn caught<'t>(walk: &Walk<'t, Scala>, case: Node<'t>) -> Vec<Name> {
    // A handler with a condition may let what it names pass.
    if case.children(&mut case.walk()).any(|child| child.kind() == "guard") {
        return Vec::new();
    }
    let Some(pattern) = walk.field(case, "pattern") else { return Vec::new() };
    let types = |pattern: Node<'t>| match walk.kind(pattern) {
        Some(Scala::TypedPattern) => walk.field(pattern, "type").map(|ty| Name::simple(walk.text(ty))),
        _ if matches!(pattern.kind(), "identifier" | "wildcard") => Some(Name::new("Throwable")),
        _ if walk.text(pattern).starts_with("NonFatal") => Some(Name::new("Exception")),
        _ => None,
    };
    match pattern.kind() {
        "alternative_pattern" => walk.children(pattern).into_iter().filter_map(types).collect(),
        _ => types(pattern).into_iter().collect(),
    }
}

fn cases<'t>(walk: &Walk<'t, Scala>, clause: Node<'t>) -> Vec<Node<'t>> {
    let mut out = walk.children_of(clause, Scala::Case);
    for block in walk.children_of(clause, Scala::CaseBlock) {
        out.extend(walk.children_of(block, Scala::Case));
    }
    out
}

/// Opens what a `try` guards.
pub(super) fn tries<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    let clauses = walk.children_of(node, Scala::Catch).into_iter().flat_map(|clause| cases(walk, clause));
    let types = clauses.flat_map(|case| caught(walk, case)).collect();
    if let Some(body) = walk.field(node, "body") {
        walk.open_at(body, Scope::Try(types));
    }
}

/// Opens a handler: a case that stands in a `catch`.
pub(super) fn handles<'t>(walk: &mut Walk<'t, Scala>, node: Node<'t>) {
    let around = walk.parent(node).map(|parent| {
        if walk.kind(parent) == Some(Scala::CaseBlock) {
            walk.parent(parent).unwrap_or(parent)
        } else {
            parent
        }
    });
    if around.is_none_or(|around| walk.kind(around) != Some(Scala::Catch)) {
        return;
    }
    let types = caught(walk, node);
    let name = walk.field(node, "pattern").map(|pattern| walk.field(pattern, "pattern").unwrap_or(pattern));
    let name = name.map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, types));
}

/// An object beside a class of its name is the class's companion, and asked for nothing.
pub(super) fn settle_companions(walk: &mut Walk<'_, Scala>) {
    let classes: std::collections::HashSet<_> = walk
        .outline
        .declarations
        .iter()
        .filter(|declaration| matches!(declaration.kind, Kind::Class | Kind::Trait | Kind::Enum))
        .map(|declaration| declaration.qualified.clone())
        .collect();
    for declaration in
        walk.outline.declarations.iter_mut().filter(|declaration| declaration.kind == Kind::Object)
    {
        declaration.unasked |= classes.contains(&declaration.qualified);
    }
}
