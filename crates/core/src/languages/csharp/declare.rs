//! C# nodes to declarations.

use super::kinds::{self, CSharp};
use super::parameters::{parameters, type_parameters};
use crate::model::{
    Answer, Body, ClosedSet, Construction, Declaration, Excuse, Kind, Name, Parts, Returns, Signature,
    Surface,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::Span;

/// Attributes that mark a method as a test.
const TEST_ATTRIBUTES: &[&str] = &[
    "Test", "TestCase", "Fact", "Theory", "TestMethod", "SetUp", "TearDown", "TestInitialize", "TestCleanup",
];

/// What modifiers and attributes of a declaration say.
#[derive(Default)]
struct Modifiers {
    words: Vec<&'static str>,
    deprecated: bool,
    test: bool,
}

impl Modifiers {
    fn has(&self, word: &str) -> bool {
        self.words.contains(&word)
    }

    /// The surface that is written, if any (ECMA-334, 14.3 and 15.3.6).
    fn surface(&self) -> Option<Surface> {
        let internal = self.has("internal");
        Some(match (self.has("public"), self.has("protected"), self.has("private")) {
            (true, _, _) => Surface::Public,
            (_, true, true) => Surface::Package,
            (_, true, false) => Surface::Protected,
            _ if internal => Surface::Package,
            (_, _, true) => Surface::Private,
            _ => return None,
        })
    }
}

const WORDS: &[&str] = &[
    "public", "protected", "internal", "private", "static", "override", "async", "abstract", "partial",
    "extern", "const", "file",
];

fn modifiers(walk: &Walk<'_, CSharp>, node: Node<'_>) -> Modifiers {
    let mut out = Modifiers::default();
    let mut cursor = node.walk();
    for child in node.named_children(&mut cursor) {
        match walk.kind(child) {
            Some(CSharp::Modifier) => {
                let text = walk.text(child);
                out.words.extend(WORDS.iter().copied().find(|&word| word == text));
            }
            Some(CSharp::AttributeList) => {
                for attribute in walk.children(child) {
                    let name = walk.field(attribute, kinds::NAME).map_or("", |name| walk.text(name));
                    let name = name.rsplit('.').next().unwrap_or_default();
                    let name = name.strip_suffix("Attribute").unwrap_or(name);
                    out.deprecated |= name == "Obsolete";
                    out.test |= TEST_ATTRIBUTES.contains(&name);
                }
            }
            _ => {}
        }
    }
    out
}

fn default_surface(walk: &Walk<'_, CSharp>) -> Surface {
    match walk.owner_kind() {
        None => Surface::Package,
        Some(Kind::Interface | Kind::Enum) => Surface::Public,
        Some(_) => Surface::Private,
    }
}

fn start(
    walk: &Walk<'_, CSharp>,
    node: Node<'_>,
    kind: Kind,
    named: (Name, Span),
) -> (Declaration, Modifiers) {
    let modifiers = modifiers(walk, node);
    let mut declaration = Declaration::new(kind, named.0, named.1, walk.span(node));
    declaration.surface = modifiers.surface().unwrap_or_else(|| default_surface(walk));
    declaration.deprecated = modifiers.deprecated;
    declaration.overrides = modifiers.has("override");
    declaration.unasked = walk.in_code();
    if modifiers.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
    if modifiers.test || walk.is_test == Some(true) {
        declaration.excuses.push(Excuse::Tests);
    }
    if child_of(walk, node, CSharp::ExplicitInterface).is_some() {
        // Reached through the interface alone, whose comment is the one that callers see.
        declaration.overrides = true;
        declaration.surface = Surface::Private;
    }
    (declaration, modifiers)
}

fn named(walk: &Walk<'_, CSharp>, node: Node<'_>) -> Option<(Name, Span)> {
    let name = walk.field(node, kinds::NAME)?;
    Some((Name::new(walk.text(name).trim_start_matches('@')), walk.span(name)))
}

fn child_of<'t>(walk: &Walk<'_, CSharp>, node: Node<'t>, kind: CSharp) -> Option<Node<'t>> {
    let mut cursor = node.walk();
    node.named_children(&mut cursor).find(|&child| walk.kind(child) == Some(kind))
}

fn body_of<'t>(walk: &Walk<'_, CSharp>, node: Node<'t>) -> Option<Node<'t>> {
    walk.field(node, kinds::BODY)
        .or_else(|| child_of(walk, node, CSharp::Arrow))
        .or_else(|| walk.field(node, kinds::ACCESSORS))
}

/// Declares a class, struct, interface, enumeration or record and opens it.
pub(super) fn type_declaration<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>, is: CSharp) {
    let Some(name) = named(walk, node) else { return };
    let kind = match is {
        CSharp::Interface => Kind::Interface,
        CSharp::Struct => Kind::Struct,
        CSharp::Enum => Kind::Enum,
        CSharp::Record => Kind::Record,
        _ => Kind::Class,
    };
    let (mut declaration, modifiers) = start(walk, node, kind, name);
    // A comment on any part answers for all.
    if modifiers.has("partial") {
        declaration.parts = Parts::Several;
    }
    if let Some(body) = walk.field(node, kinds::BODY) {
        declaration.header_end = walk.span(body).start;
        declaration.body = Body::Present;
    }
    declaration.signature.type_parameters = type_parameters(walk, node);
    if let Some(list) = child_of(walk, node, CSharp::ParameterList) {
        declaration.signature.parameters = parameters(walk, list);
        declaration.construction = Construction::Header;
    }
    if let Some(list) = child_of(walk, node, CSharp::BaseList) {
        let types = walk.children(list).into_iter().filter(|&c| walk.kind(c) != Some(CSharp::ArgumentList));
        declaration.supertypes = types.map(|ty| Name::simple(walk.text(ty))).collect();
    }
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
}

/// Declares a delegate: a type with parameters and a return value.
pub(super) fn delegate<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>) {
    let Some(name) = named(walk, node) else { return };
    let (mut declaration, _) = start(walk, node, Kind::Delegate, name);
    declaration.signature = Signature {
        parameters: listed(walk, node),
        type_parameters: type_parameters(walk, node),
        returns: returns(walk, walk.field(node, kinds::TYPE)),
        ..Signature::default()
    };
    walk.declare(declaration);
}

fn listed(walk: &Walk<'_, CSharp>, node: Node<'_>) -> Vec<crate::model::Parameter> {
    walk.field(node, kinds::PARAMETERS).map(|list| parameters(walk, list)).unwrap_or_default()
}

/// Declares a method, constructor, finalizer, operator or local function and opens it.
pub(super) fn callable<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>, is: CSharp) {
    let ty = match is {
        CSharp::Method => walk.field(node, kinds::RETURNS),
        _ => walk.field(node, kinds::TYPE),
    };
    let name = match is {
        CSharp::Operator => operator_name(walk, node),
        CSharp::Conversion => ty.map(|ty| (Name::new(&format!("operator {}", walk.text(ty))), walk.span(ty))),
        CSharp::Destructor => named(walk, node).map(|(name, span)| (Name::new(&format!("~{name}")), span)),
        _ => named(walk, node),
    };
    let Some(name) = name else { return };
    let kind = match is {
        CSharp::Constructor => Kind::Constructor,
        CSharp::Operator | CSharp::Conversion => Kind::Operator,
        CSharp::LocalFunction => Kind::Function,
        _ => Kind::Method,
    };
    let (mut declaration, modifiers) = start(walk, node, kind, name);
    let nothing = matches!(is, CSharp::Constructor | CSharp::Destructor);
    declaration.signature = Signature {
        parameters: listed(walk, node),
        type_parameters: type_parameters(walk, node),
        returns: if nothing {
            Returns { value: Answer::No, ..Returns::default() }
        } else {
            returns(walk, ty)
        },
        ..Signature::default()
    };
    if let Some(body) = body_of(walk, node) {
        declaration.header_end = walk.span(body).start;
        declaration.body = Body::Present;
        excuse_by_body(walk, node, body, &mut declaration);
    }
    if is == CSharp::Destructor {
        declaration.surface = Surface::Private;
    }
    if declaration.name == "Main" && modifiers.has("static") {
        declaration.excuses.push(Excuse::Main);
    }
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
}

fn operator_name(walk: &Walk<'_, CSharp>, node: Node<'_>) -> Option<(Name, Span)> {
    let sign = walk.field(node, kinds::OPERATOR)?;
    let text = walk.text(sign);
    let gap = if text.starts_with(char::is_alphabetic) { " " } else { "" };
    Some((Name::new(&format!("operator{gap}{text}")), walk.span(sign)))
}

fn excuse_by_body(walk: &Walk<'_, CSharp>, node: Node<'_>, body: Node<'_>, declaration: &mut Declaration) {
    let statements = walk.children(body);
    if declaration.kind == Kind::Constructor {
        let delegates = child_of(walk, node, CSharp::ConstructorInitializer)
            .and_then(|init| child_of(walk, init, CSharp::ArgumentList))
            .is_some_and(|arguments| arguments.named_child_count() > 0);
        // A body that was left out is not empty.
        let empty =
            walk.kind(body) == Some(CSharp::Block) && statements.is_empty() && !walk.text(body).contains(';');
        if empty && !delegates && declaration.signature.parameters.is_empty() {
            declaration.excuses.push(Excuse::EmptyConstructors);
        }
    }
    let parameters = &declaration.signature.parameters;
    let sender = parameters.len() == 2 && parameters[0].named().is_some_and(|name| name == "sender");
    if sender && parameters[1].ty.is_some_and(|ty| walk.source.slice(ty).ends_with("EventArgs")) {
        declaration.excuses.push(Excuse::EventHandlers);
    }
}

fn returns(walk: &Walk<'_, CSharp>, ty: Option<Node<'_>>) -> Returns {
    let Some(ty) = ty else { return Returns::default() };
    let text = walk.text(ty);
    let simple = text.rsplit('.').next().unwrap_or_default();
    // A task without a type argument gives nothing back when it is awaited.
    let nothing = text == "void" || matches!(simple, "Task" | "ValueTask");
    let set = matches!(text, "bool" | "Boolean").then_some(ClosedSet::Boolean);
    Returns {
        value: if nothing { Answer::No } else { Answer::Yes },
        ty: Some(walk.span(ty)),
        set,
        ..Returns::default()
    }
}

/// Declares a property, indexer or event with accessors and opens it.
pub(super) fn property<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>, is: CSharp) {
    let (kind, name) = match is {
        CSharp::Indexer => {
            let this = walk.span(node);
            let ty = walk.field(node, kinds::TYPE);
            let list = walk.field(node, kinds::PARAMETERS);
            let start = ty.map_or(this.start, |ty| walk.span(ty).end);
            let at = list.map_or(Span::at(start), |list| this_keyword(walk, start, walk.span(list).start));
            (Kind::Property, Some((Name::new("this[]"), at)))
        }
        CSharp::Event => (Kind::Event, named(walk, node)),
        _ => (Kind::Property, named(walk, node)),
    };
    let Some(name) = name else { return };
    let (mut declaration, _) = start(walk, node, kind, name);
    declaration.signature.parameters = listed(walk, node);
    declaration.signature.returns.ty = walk.field(node, kinds::TYPE).map(|ty| walk.span(ty));
    declaration.signature.returns.exempt = true;
    if let Some(body) = body_of(walk, node).or_else(|| walk.field(node, kinds::VALUE)) {
        declaration.header_end = walk.span(body).start;
        declaration.body = Body::Present;
        if is_plain_accessors(walk, body) {
            declaration.excuses.push(Excuse::Accessors);
        }
    }
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
}

fn this_keyword(walk: &Walk<'_, CSharp>, from: u32, upto: u32) -> Span {
    let between = walk.source.slice(Span::new(from, upto));
    let at = between.rfind("this").map_or(from as usize, |found| from as usize + found);
    Span::of(at, at + 4)
}

/// Accessors without bodies only hold a value.
fn is_plain_accessors(walk: &Walk<'_, CSharp>, body: Node<'_>) -> bool {
    walk.kind(body) == Some(CSharp::AccessorList)
        && walk.children(body).iter().all(|&accessor| walk.field(accessor, kinds::BODY).is_none())
}

/// Declares the variables of a field or event field.
pub(super) fn fields<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>, is: CSharp) {
    let Some(list) = child_of(walk, node, CSharp::VariableDeclaration) else { return };
    for declarator in walk.children(list) {
        let Some(name) = named(walk, declarator) else { continue };
        if walk.kind(declarator) != Some(CSharp::Declarator) {
            continue;
        }
        let kind = if is == CSharp::EventField { Kind::Event } else { Kind::Field };
        let (mut declaration, modifiers) = start(walk, node, kind, name);
        if modifiers.has("const") {
            declaration.kind = Kind::Constant;
        }
        declaration.header_end = walk.span(declarator).end;
        declaration.signature.returns.ty = walk.field(list, kinds::TYPE).map(|ty| walk.span(ty));
        walk.declare(declaration);
    }
}

/// Declares a member of an enumeration.
pub(super) fn enum_member<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>) {
    let Some(name) = named(walk, node) else { return };
    let (mut declaration, _) = start(walk, node, Kind::EnumMember, name);
    declaration.surface = Surface::Public;
    declaration.excuses.push(Excuse::EnumMembers);
    walk.declare(declaration);
}

/// Opens a namespace; a file-scoped one holds all that follows.
pub(super) fn namespace<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>, is: CSharp) {
    let Some(name) = walk.field(node, kinds::NAME) else { return };
    let prefix = walk.namespace(walk.text(name));
    if is == CSharp::FileNamespace {
        let separator = walk.span(node);
        walk.outline.separators.push(separator);
        walk.open_beside(Scope::Namespace(prefix));
    } else {
        walk.open(Scope::Namespace(prefix));
    }
}
