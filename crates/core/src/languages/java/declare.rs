//! Java nodes to declarations.

use super::kinds::{self, Java};
use crate::model::{
    Answer, Body, ClosedSet, Construction, Declaration, Excuse, Kind, Name, Origin, ParamName, Parameter,
    Returns, Signature, Surface, Thrown, TypeParameter, Variadic,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::{Span, narrow};

/// What the modifiers of a declaration say.
#[derive(Default)]
struct Modifiers {
    surface: Option<Surface>,
    deprecated: bool,
    overrides: bool,
    test: bool,
    is_static: bool,
    is_final: bool,
}

/// Annotations that mark a method as a test.
const TEST_ANNOTATIONS: &[&str] = &[
    "Test", "ParameterizedTest", "RepeatedTest", "BeforeEach", "AfterEach", "BeforeAll", "AfterAll",
    "Before", "After",
];

fn modifiers(walk: &Walk<'_, Java>, node: Node<'_>) -> Modifiers {
    let mut out = Modifiers::default();
    let mut cursor = node.walk();
    let Some(list) = node.children(&mut cursor).find(|&child| walk.kind(child) == Some(Java::Modifiers))
    else {
        return out;
    };
    let mut cursor = list.walk();
    for child in list.children(&mut cursor) {
        if walk.kind(child) == Some(Java::Annotation) {
            let name = walk.field(child, kinds::NAME).map_or("", |name| walk.text(name));
            match name.rsplit('.').next().unwrap_or_default() {
                "Deprecated" => out.deprecated = true,
                "Override" => out.overrides = true,
                name if TEST_ANNOTATIONS.contains(&name) => out.test = true,
                _ => {}
            }
            continue;
        }
        match walk.text(child) {
            "public" => out.surface = Some(Surface::Public),
            "protected" => out.surface = Some(Surface::Protected),
            "private" => out.surface = Some(Surface::Private),
            "static" => out.is_static = true,
            "final" => out.is_final = true,
            _ => {}
        }
    }
    out
}

/// Members of interfaces and annotation types are public unless they say otherwise (JLS 9.4).
fn member_surface(walk: &Walk<'_, Java>, modifiers: &Modifiers) -> Surface {
    let default = match walk.owner_kind() {
        Some(Kind::Interface) => Surface::Public,
        _ => Surface::Package,
    };
    modifiers.surface.unwrap_or(default)
}

fn start(walk: &Walk<'_, Java>, node: Node<'_>, kind: Kind, name: Node<'_>) -> (Declaration, Modifiers) {
    let modifiers = modifiers(walk, node);
    let mut declaration =
        Declaration::new(kind, Name::new(walk.text(name)), walk.span(name), walk.span(node));
    declaration.surface = member_surface(walk, &modifiers);
    declaration.deprecated = modifiers.deprecated;
    declaration.overrides = modifiers.overrides;
    // What stands in the body of an enumeration's constant belongs to a class without a name; what is marked there as
    // overriding is excused as such.
    let nameless = walk.owner_kind() == Some(Kind::EnumMember) && !modifiers.overrides;
    declaration.unasked = walk.in_code() || nameless;
    if modifiers.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
    if modifiers.test || walk.is_test == Some(true) {
        declaration.excuses.push(Excuse::Tests);
    }
    if let Some(body) = walk.field(node, kinds::BODY) {
        declaration.header_end = walk.span(body).start;
        declaration.body = Body::Present;
    }
    (declaration, modifiers)
}

/// Declares a class, interface, enumeration, record or annotation type and opens it.
pub(super) fn type_declaration<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>, is: Java) {
    let Some(name) = walk.field(node, kinds::NAME) else { return };
    let kind = match is {
        Java::Interface | Java::AnnotationType => Kind::Interface,
        Java::Enum => Kind::Enum,
        Java::Record => Kind::Record,
        _ => Kind::Class,
    };
    let (mut declaration, _) = start(walk, node, kind, name);
    declaration.signature.type_parameters = type_parameters(walk, node);
    if is == Java::Record {
        declaration.signature.parameters = parameters(walk, node);
        declaration.construction = Construction::Header;
    }
    declaration.supertypes = supertypes(walk, node);
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
}

fn supertypes(walk: &Walk<'_, Java>, node: Node<'_>) -> Vec<Name> {
    let mut out = Vec::new();
    let mut cursor = node.walk();
    for child in node.named_children(&mut cursor) {
        if !matches!(
            walk.kind(child),
            Some(Java::Superclass | Java::SuperInterfaces | Java::ExtendsInterfaces)
        ) {
            continue;
        }
        let mut inner = child.walk();
        for ty in child.named_children(&mut inner) {
            if walk.kind(ty) == Some(Java::TypeList) {
                let mut list = ty.walk();
                out.extend(ty.named_children(&mut list).map(|ty| Name::simple(walk.text(ty))));
            } else {
                out.push(Name::simple(walk.text(ty)));
            }
        }
    }
    out
}

/// Declares a method, constructor, compact constructor or annotation element and opens it.
pub(super) fn callable<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>, is: Java) {
    let Some(name) = walk.field(node, kinds::NAME) else { return };
    let constructor = matches!(is, Java::Constructor | Java::CompactConstructor);
    let kind = if constructor { Kind::Constructor } else { Kind::Method };
    let (mut declaration, modifiers) = start(walk, node, kind, name);
    declaration.signature = Signature {
        parameters: if is == Java::CompactConstructor { components(walk) } else { parameters(walk, node) },
        type_parameters: type_parameters(walk, node),
        returns: if constructor {
            nothing()
        } else {
            // The description of an annotation's element is that of its value.
            Returns { typed_enough: is == Java::AnnotationElement, ..returns(walk, node) }
        },
        throws: declared_throws(walk, node),
        ..Signature::default()
    };
    if constructor && is_empty_constructor(walk, node, &declaration) {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    if is_main(walk, &declaration, &modifiers) {
        declaration.excuses.push(Excuse::Main);
    }
    if walk.field(node, kinds::BODY).is_some_and(|body| is_accessor(walk, body)) {
        declaration.excuses.push(Excuse::Accessors);
    }
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
}

fn nothing() -> Returns {
    Returns { value: Answer::No, ..Returns::default() }
}

fn returns(walk: &Walk<'_, Java>, node: Node<'_>) -> Returns {
    let Some(ty) = walk.field(node, kinds::TYPE) else { return Returns::default() };
    if walk.kind(ty) == Some(Java::VoidType) {
        return Returns { ty: Some(walk.span(ty)), ..nothing() };
    }
    let set = (walk.text(ty) == "boolean").then_some(ClosedSet::Boolean);
    Returns { value: Answer::Yes, ty: Some(walk.span(ty)), set, ..Returns::default() }
}

/// The components of the record around a compact constructor; they are documented on the record.
fn components(walk: &Walk<'_, Java>) -> Vec<Parameter> {
    let Some(owner) = walk.owner() else { return Vec::new() };
    let parameters = walk.outline.declaration(owner).signature.parameters.iter();
    parameters.map(|parameter| Parameter { exempt: true, ..parameter.clone() }).collect()
}

fn parameters(walk: &Walk<'_, Java>, node: Node<'_>) -> Vec<Parameter> {
    let Some(list) = walk.field(node, kinds::PARAMETERS) else { return Vec::new() };
    let mut cursor = list.walk();
    list.named_children(&mut cursor).filter_map(|child| parameter(walk, child)).collect()
}

fn parameter(walk: &Walk<'_, Java>, node: Node<'_>) -> Option<Parameter> {
    let (name, ty, variadic) = match walk.kind(node)? {
        Java::Parameter => (walk.field(node, kinds::NAME)?, walk.field(node, kinds::TYPE), Variadic::No),
        Java::SpreadParameter => {
            let mut cursor = node.walk();
            let children: Vec<_> = node.named_children(&mut cursor).collect();
            let declarator = children.iter().find(|&&child| walk.kind(child) == Some(Java::Declarator))?;
            let ty = children.iter().copied().find(|&child| {
                !matches!(walk.kind(child), Some(Java::Modifiers | Java::Annotation | Java::Declarator))
                    && !walk.is_comment(child)
            });
            (walk.field(*declarator, kinds::NAME)?, ty, Variadic::Positional)
        }
        _ => return None,
    };
    let text = walk.text(name);
    Some(Parameter {
        name: if text == "_" { ParamName::Unnamed } else { ParamName::Named(Name::new(text)) },
        span: walk.span(name),
        ty: ty.map(|ty| walk.span(ty)),
        default: None,
        optional: false,
        variadic,
        exempt: text == "_",
        told: false,
        label: None,
        typed_enough: false,
        keyed: false,
    })
}

fn type_parameters(walk: &Walk<'_, Java>, node: Node<'_>) -> Vec<TypeParameter> {
    let Some(list) = walk.field(node, kinds::TYPE_PARAMETERS) else { return Vec::new() };
    let mut cursor = list.walk();
    let parameters = list.named_children(&mut cursor).filter(|&c| walk.kind(c) == Some(Java::TypeParameter));
    parameters
        .filter_map(|parameter| {
            let mut cursor = parameter.walk();
            let name = parameter
                .named_children(&mut cursor)
                .find(|&c| !walk.is_comment(c) && walk.kind(c) != Some(Java::Annotation))?;
            Some(TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) })
        })
        .collect()
}

fn declared_throws(walk: &Walk<'_, Java>, node: Node<'_>) -> Vec<Thrown> {
    let mut cursor = node.walk();
    let Some(clause) = node.named_children(&mut cursor).find(|&c| walk.kind(c) == Some(Java::Throws)) else {
        return Vec::new();
    };
    walk.children(clause)
        .into_iter()
        .map(|ty| Thrown {
            ty: Name::simple(walk.text(ty).rsplit(' ').next().unwrap_or_default()),
            span: walk.span(ty),
            origin: Origin::Declared,
            leaves: Answer::Yes,
            exempt: false,
            condition: None,
            caught: Vec::new(),
            via: None,
        })
        .collect()
}

fn is_empty_constructor(walk: &Walk<'_, Java>, node: Node<'_>, declaration: &Declaration) -> bool {
    let Some(body) = walk.field(node, kinds::BODY) else { return false };
    declaration.signature.parameters.is_empty()
        && match &walk.children(body)[..] {
            // A body that was left out is not empty.
            [] => walk.does_nothing(body),
            statements => statements.iter().all(|&statement| {
                walk.kind(statement) == Some(Java::ConstructorCall)
                    && walk
                        .field(statement, kinds::ARGUMENTS)
                        .is_some_and(|arguments| arguments.named_child_count() == 0)
            }),
        }
}

/// A body that only gives back a field, or only assigns one.
fn is_accessor(walk: &Walk<'_, Java>, body: Node<'_>) -> bool {
    let [statement] = walk.children(body)[..] else { return false };
    let text = walk.text(statement).trim_end_matches(';').trim();
    let plain = |name: &str| {
        let name = name.trim();
        !name.is_empty() && name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '$'))
    };
    match walk.kind(statement) {
        Some(Java::Return) => text.strip_prefix("return").is_some_and(plain),
        Some(Java::ExpressionStatement) => text.split_once('=').is_some_and(|(l, r)| plain(l) && plain(r)),
        _ => false,
    }
}

fn is_main(walk: &Walk<'_, Java>, declaration: &Declaration, modifiers: &Modifiers) -> bool {
    declaration.name == "main"
        && modifiers.is_static
        && declaration.signature.parameters.len() == 1
        && declaration.signature.returns.value == Answer::No
        && declaration.signature.parameters[0]
            .ty
            .is_some_and(|ty| walk.source.slice(ty).starts_with("String"))
}

/// Declares the variables of a field or constant declaration.
pub(super) fn fields<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>, is: Java) {
    let kind = if is == Java::Constant { Kind::Constant } else { Kind::Field };
    let mut cursor = node.walk();
    let declarators: Vec<_> = node.children_by_field_name(kinds::DECLARATOR, &mut cursor).collect();
    for declarator in declarators {
        let Some(name) = walk.field(declarator, kinds::NAME) else { continue };
        let (mut declaration, modifiers) = start(walk, node, kind, name);
        if modifiers.is_static && modifiers.is_final {
            declaration.kind = Kind::Constant;
        }
        declaration.header_end = walk.span(declarator).end;
        if let Some(ty) = walk.field(node, kinds::TYPE) {
            declaration.signature.returns.ty = Some(walk.span(ty));
        }
        if declaration.name == "serialVersionUID" {
            declaration.excuses.push(Excuse::Conventional);
        }
        walk.declare(declaration);
    }
}

/// Declares an enumeration constant and opens its body.
pub(super) fn enum_constant<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>) {
    let Some(name) = walk.field(node, kinds::NAME) else { return };
    let (mut declaration, _) = start(walk, node, Kind::EnumMember, name);
    declaration.surface = Surface::Public;
    declaration.header_end = walk.span(name).end;
    declaration.excuses.push(Excuse::EnumMembers);
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
}

/// Notes the package; a package file's comment belongs to it.
pub(super) fn package<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>) {
    let separator = walk.span(node);
    if walk.source.file_name() != "package-info.java" {
        walk.outline.separators.push(separator);
        return;
    }
    let Some(name) = walk.children(node).into_iter().find(|&c| walk.kind(c) != Some(Java::Annotation)) else {
        return;
    };
    let mut declaration =
        Declaration::new(Kind::Package, Name::new(walk.text(name)), walk.span(name), separator);
    declaration.unasked = true;
    walk.declare(declaration);
}

/// Prepares the body of an anonymous class.
pub(super) fn anonymous_body<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>) {
    let count = narrow(node.named_child_count());
    let Some(body) = count.checked_sub(1).and_then(|last| node.named_child(last)) else { return };
    if walk.kind(body) != Some(Java::ClassBody) {
        return;
    }
    let at = Span::at(walk.span(body).start);
    let mut declaration = Declaration::new(Kind::Class, Name::new("<anonymous>"), at, walk.span(body));
    declaration.header_end = at.end;
    declaration.surface = Surface::Private;
    declaration.unasked = true;
    if let Some(ty) = walk.field(node, kinds::TYPE) {
        declaration.supertypes = vec![Name::simple(walk.text(ty))];
    }
    let id = walk.declare(declaration);
    walk.open_at(body, Scope::Declaration(id));
}
