//! Swift nodes to declarations.

use super::Swift;
use crate::model::{
    Answer, ClosedSet, Declaration, Excuse, Extension, Kind, Name, Origin, ParamName, Parameter, Returns,
    Surface, Thrown, TypeParameter, Variadic,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::{Source, Span};

/// Returns the access level that modifiers name.
fn access<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Option<Surface> {
    let modifiers = walk.child(node, Swift::Modifiers)?;
    let levels = walk.children_of(modifiers, Swift::Visibility).into_iter();
    let attributes = || walk.children_of(modifiers, Swift::Attribute).into_iter();
    levels
        .filter_map(|level| match walk.text(level) {
            // Only who imports it with the same mark can see it.
            "public" | "open" if attributes().any(|attribute| walk.text(attribute).starts_with("@_spi")) => {
                Some(Surface::Package)
            }
            "public" | "open" => Some(Surface::Public),
            "internal" | "package" => Some(Surface::Package),
            "private" | "fileprivate" => Some(Surface::Private),
            // `private(set)` narrows the setter alone.
            _ => None,
        })
        .next()
}

fn begin<'t>(walk: &Walk<'t, Swift>, kind: Kind, name: Node<'t>, node: Node<'t>) -> Declaration {
    let mut declaration = walk.start(kind, name, node, walk.field(node, "body"));
    declaration.name = Name::new(walk.text(name).trim_matches('`'));
    declaration.surface = access(walk, node).unwrap_or_else(|| default_surface(walk, node));
    if let Some(modifiers) = walk.child(node, Swift::Modifiers) {
        declaration.overrides =
            walk.children_of(modifiers, Swift::Member).into_iter().any(|word| walk.text(word) == "override");
        let attributes = walk.children_of(modifiers, Swift::Attribute);
        let is_available = |word: &str| {
            let mut texts = attributes.iter().map(|&attribute| walk.text(attribute));
            texts.any(|text| text.starts_with("@available") && text.contains(word))
        };
        // Nobody can call it.
        declaration.unasked |= is_available("unavailable");
        let deprecated = is_available("deprecated");
        declaration.deprecated = deprecated;
        if deprecated {
            declaration.excuses.push(Excuse::Deprecated);
        }
    }
    declaration
}

/// A member of a protocol, a case, or a member of an extension with a level of its own has that level.
fn default_surface<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Surface {
    let around = walk.parent(node).and_then(|body| walk.parent(body));
    let inherited = around.filter(|&around| {
        walk.kind(around) == Some(Swift::Protocol)
            || walk.field(around, "declaration_kind").is_some_and(|kind| walk.text(kind) == "extension")
    });
    inherited.and_then(|around| access(walk, around)).unwrap_or(Surface::Package)
}

/// Declares a class, struct, enumeration, actor or protocol, or opens an extension.
pub(super) fn type_declaration<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>, is: Swift) {
    let Some(name) = walk.field(node, "name") else { return };
    let word = walk.field(node, "declaration_kind").map_or("", |kind| walk.text(kind));
    if word == "extension" {
        let extended = walk.text(name).split('<').next().unwrap_or_default().trim();
        let qualified = walk.namespace(extended);
        let supertypes = supertypes(walk, node);
        walk.outline.extensions.push(Extension { qualified: qualified.clone(), supertypes });
        walk.open(Scope::Namespace(qualified));
        return;
    }
    let kind = match word {
        _ if is == Swift::Protocol => Kind::Interface,
        "struct" => Kind::Struct,
        "enum" => Kind::Enum,
        _ => Kind::Class,
    };
    let mut declaration = begin(walk, kind, name, node);
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.supertypes = supertypes(walk, node);
    walk.enter(declaration);
}

/// Returns what a type or an extension inherits or conforms to.
fn supertypes<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Vec<Name> {
    let inherited = walk.children_of(node, Swift::Inherits).into_iter();
    inherited.filter_map(|ty| walk.field(ty, "inherits_from")).map(|ty| Name::simple(walk.text(ty))).collect()
}

/// Declares a function, method or operator.
pub(super) fn function<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let in_type = walk.parent(node).is_some_and(|body| body.kind().ends_with("_body"));
    let text = walk.text(name);
    let operator = !text.starts_with(|c: char| c.is_alphabetic() || matches!(c, '_' | '`'));
    let kind = match in_type {
        _ if operator => Kind::Operator,
        true => Kind::Method,
        false => Kind::Function,
    };
    let mut declaration = begin(walk, kind, name, node);
    if operator && matches!(text, "==" | "!=" | "<" | ">" | "<=" | ">=") {
        declaration.excuses.push(Excuse::Conventional);
    }
    if walk.is_test == Some(false) && text.starts_with("test") && in_test_case(walk) {
        declaration.excuses.push(Excuse::Tests);
    }
    describe(walk, node, &mut declaration);
    walk.declare(declaration);
    // What is nested in it is its own.
    walk.open(Scope::Barrier);
}

/// Returns the type of what calls a method back, if by its name it is made to be called so: protocols of frameworks name
/// their members for the object that calls, and pass that first (API design guidelines; the delegates of Cocoa).
pub(super) fn caller<'s>(declaration: &Declaration, source: &'s Source) -> Option<&'s str> {
    let first = declaration.signature.parameters.first()?;
    let opens = source.slice(Span::new(declaration.name_span.end, first.span.start));
    let head = source.slice(Span::new(declaration.span.start, declaration.name_span.start));
    let of_the_type = head.split_whitespace().any(|word| matches!(word, "static" | "class"));
    let unlabelled = opens.trim_end().ends_with('_') || first.named().is_none();
    if of_the_type || !unlabelled {
        return None;
    }
    let ty = source.slice(first.ty?).trim_end_matches(['?', '!']);
    let name = declaration.name.as_str();
    // `UIScene` and `WKWebView` have the mark of their framework in front.
    let marks = ty.bytes().take_while(u8::is_ascii_uppercase).count();
    let names = |from: usize| {
        let begins = name.get(..ty.len() - from).is_some_and(|begin| begin.eq_ignore_ascii_case(&ty[from..]));
        begins && ty.len() - from >= 4
    };
    (0..marks).any(names).then_some(ty)
}

fn in_test_case(walk: &Walk<'_, Swift>) -> bool {
    let owner = walk.owner().map(|owner| walk.outline.declaration(owner));
    owner.is_some_and(|owner| owner.supertypes.iter().any(|ty| ty.as_str().ends_with("TestCase")))
}

fn describe<'t>(walk: &Walk<'t, Swift>, node: Node<'t>, declaration: &mut Declaration) {
    declaration.signature.parameters = parameters(walk, node);
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.signature.throws = throws(walk, node);
    declaration.signature.returns = match return_type(walk, node) {
        Some(ty) => {
            let text = walk.text(ty);
            let value = if matches!(text, "Void" | "()" | "Never") { Answer::No } else { Answer::Yes };
            let set = (text == "Bool").then_some(ClosedSet::Boolean);
            Returns { set, ..Returns::typed(value, walk.span(ty)) }
        }
        None => Returns::nothing(),
    };
}

/// The type behind the arrow: the last thing of the signature that the grammar calls a name.
fn return_type<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Option<Node<'t>> {
    let mut cursor = node.walk();
    let arrow = node.children(&mut cursor).find(|child| child.kind() == "->")?;
    let mut cursor = node.walk();
    node.children(&mut cursor)
        .find(|child| child.start_byte() >= arrow.end_byte() && child.is_named() && !walk.is_comment(*child))
}

fn throws<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Vec<Thrown> {
    let clause = walk
        .children(node)
        .into_iter()
        .find(|&child| walk.kind(child) == Some(Swift::Throws) || child.kind().starts_with("throws"));
    let Some(clause) = clause else { return Vec::new() };
    vec![Thrown {
        ty: Name::new("throws"),
        span: walk.span(clause),
        origin: Origin::Declared,
        leaves: Answer::Yes,
        // What its arguments throw is theirs to tell.
        exempt: walk.text(clause).starts_with("rethrows"),
        condition: None,
        caught: Vec::new(),
        via: None,
    }]
}

fn parameters<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Vec<Parameter> {
    let mut out: Vec<Parameter> = Vec::new();
    let mut cursor = node.walk();
    if !cursor.goto_first_child() {
        return out;
    }
    loop {
        let child = cursor.node();
        if walk.kind(child) == Some(Swift::Parameter) {
            out.extend(parameter(walk, child));
        } else if cursor.field_name() == Some("default_value")
            && let Some(last) = out.last_mut()
        {
            last.default = Some(walk.span(child));
            last.optional = true;
        }
        if !cursor.goto_next_sibling() {
            return out;
        }
    }
}

fn parameter<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Option<Parameter> {
    let name = walk.field(node, "name")?;
    let text = walk.text(name).trim_matches('`');
    let span = walk.span(name);
    let mut parameter = match text {
        "_" => Parameter { exempt: true, ..Parameter::new(ParamName::Unnamed, span) },
        _ => Parameter::of(text, span),
    };
    let whole = walk.span(node);
    let label = walk.source.slice(Span::new(whole.start, span.start)).trim().trim_matches('`');
    parameter.label = Some(label).filter(|label| !matches!(*label, "" | "_")).map(Name::new);
    let rest = walk.source.slice(Span::new(span.end, whole.end));
    let colon = rest.find(':')?;
    let ty = rest[colon + 1..].trim();
    let start = whole.end as usize - rest[colon + 1..].trim_start().len();
    parameter.ty = Some(Span::of(start, start + ty.len()));
    // The dots may stand behind the node.
    let after = walk.source.slice(Span::new(whole.end, crate::text::narrow(walk.source.text().len())));
    if ty.ends_with("...") || after.trim_start().starts_with("...") {
        parameter.variadic = Variadic::Positional;
        parameter.optional = true;
    }
    Some(parameter)
}

fn type_parameters<'t>(walk: &Walk<'t, Swift>, node: Node<'t>) -> Vec<TypeParameter> {
    let Some(list) = walk.child(node, Swift::TypeParameters) else { return Vec::new() };
    let names = walk.children_of(list, Swift::TypeParameter).into_iter();
    names
        .filter_map(|parameter| walk.children(parameter).into_iter().next())
        .map(|name| TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) })
        .collect()
}

/// Declares an initialiser.
pub(super) fn initialiser<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let mut declaration = begin(walk, Kind::Constructor, name, node);
    describe(walk, node, &mut declaration);
    declaration.signature.returns = Returns::nothing();
    let empty = walk.field(node, "body").is_some_and(|body| walk.does_nothing(body));
    if declaration.signature.parameters.is_empty() && empty {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    // What is archived can be read back so (`NSCoding`).
    declaration.unasked |= matches!(&declaration.signature.parameters[..], [only]
        if only.ty.is_some_and(|ty| walk.source.slice(ty) == "NSCoder"));
    walk.declare(declaration);
}

/// Declares a subscript: a property with parameters.
pub(super) fn subscript<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>) {
    let span = walk.span(node);
    let offset = walk.text(node).find("subscript").unwrap_or(0);
    let at = Span::of(span.start as usize + offset, span.start as usize + offset + "subscript".len());
    let mut cursor = node.walk();
    let Some(word) = node.children(&mut cursor).find(|child| child.kind() == "subscript") else { return };
    let mut declaration = begin(walk, Kind::Property, word, node);
    declaration.name_span = at;
    declaration.signature.parameters = parameters(walk, node);
    declaration.signature.returns = match return_type(walk, node) {
        Some(ty) => Returns::typed(Answer::Yes, walk.span(ty)),
        None => Returns::default(),
    };
    walk.declare(declaration);
}

/// Declares a property.
pub(super) fn property<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>) {
    if walk.in_code() {
        return;
    }
    let name = walk.field(node, "name").and_then(|pattern| walk.field(pattern, "bound_identifier"));
    let Some(name) = name else { return };
    let mut declaration = begin(walk, Kind::Property, name, node);
    declaration.header_end = walk.span(node).end;
    let annotation = walk.child(node, Swift::TypeAnnotation);
    declaration.signature.returns.ty = annotation
        .and_then(|annotation| walk.children(annotation).into_iter().next())
        .map(|ty| walk.span(ty));
    declaration.signature.returns.exempt = true;
    walk.declare(declaration);
}

/// Declares the cases of one `case` of an enumeration.
pub(super) fn enum_entry<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>) {
    let mut cursor = node.walk();
    let names: Vec<_> = node.children_by_field_name("name", &mut cursor).collect();
    for name in names {
        let mut declaration = begin(walk, Kind::EnumMember, name, node);
        declaration.surface = Surface::Public;
        declaration.excuses.push(Excuse::EnumMembers);
        declaration.header_end = walk.span(node).end;
        declaration.signature.hidden = true;
        walk.declare(declaration);
    }
}

/// Declares a type alias, or the type that a protocol leaves open.
pub(super) fn alias<'t>(walk: &mut Walk<'t, Swift>, node: Node<'t>) {
    if let Some(name) = walk.field(node, "name") {
        let declaration = begin(walk, Kind::TypeAlias, name, node);
        walk.declare(declaration);
    }
}
