//! JavaScript and TypeScript nodes to declarations.

use super::compiled::moved_to;
use super::kinds::Script;
use super::parameters::{annotated, parameters, type_parameters};
use super::{exports, links};
use crate::model::{
    Answer, Body, ClosedSet, Construction, DeclId, Declaration, Excuse, Kind, Name, Returns, Signature,
    Surface,
};
use crate::reading::{Next, Node, Scope, Walk};
use crate::text::Span;

impl Walk<'_, Script> {
    /// Tells whether the file is TypeScript, where a leading underscore marks what is not used.
    pub(super) fn is_typed(&self) -> bool {
        let path = self.source.path().to_ascii_lowercase();
        [".ts", ".tsx", ".mts", ".cts"].iter().any(|ending| path.ends_with(ending))
    }
}

/// Tells whether a block comment stands before an offset.
pub(super) fn is_documented(walk: &Walk<'_, Script>, start: u32) -> bool {
    walk.source.slice(Span::new(0, start)).trim_end().ends_with("*/")
}

/// Returns the statement around a declaration that its comment stands above.
pub(super) fn wrapper<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Node<'t> {
    let mut outer = node;
    while let Some(parent) = walk.parent(outer) {
        let wraps = matches!(
            walk.kind(parent),
            Some(Script::Export | Script::Ambient | Script::ExpressionStatement | Script::Assignment)
        );
        if !wraps {
            break;
        }
        outer = parent;
    }
    outer
}

/// Begins a declaration that may be wrapped by `export` and `declare`.
fn begin<'t>(
    walk: &mut Walk<'t, Script>,
    kind: Kind,
    name: Node<'t>,
    node: Node<'t>,
    body: Option<Node<'t>>,
) -> Declaration {
    let outer = wrapper(walk, node);
    let mut declaration = walk.start(kind, name, outer, body);
    declaration.name = bare_name(walk, name);
    declaration.qualified = smol_str::SmolStr::new(declaration.name.as_str());
    let block = walk.parent(outer);
    let in_namespace =
        block.and_then(|block| walk.parent(block)).filter(|_| outer.kind() != "export_statement");
    let elsewhere =
        block.and_then(|block| walk.parent(block)).is_some_and(|around| match walk.kind(around) {
            Some(Script::Ambient) => true,
            Some(Script::Namespace) => {
                walk.field(around, "name").is_some_and(|name| walk.text(name).starts_with(['"', '\'']))
            }
            _ => false,
        });
    if elsewhere {
        // What is declared for all scripts, or for another module, is given out there.
        walk.given_out.push(declaration.name.as_str().into());
    }
    // Inside a namespace only what is exported can be seen; where all is only declared, all is.
    if let Some(namespace) = in_namespace.filter(|&around| walk.kind(around) == Some(Script::Namespace)) {
        let declared =
            walk.parent(namespace).is_some_and(|around| walk.kind(around) == Some(Script::Ambient))
                || walk.source.path().ends_with(".d.ts");
        if !declared {
            declaration.surface = Surface::Private;
        }
    }
    declaration
}

/// Returns a name without the quotes that a key may have.
pub(super) fn bare_name(walk: &Walk<'_, Script>, name: Node<'_>) -> Name {
    Name::new(walk.text(name).trim_matches(['"', '\'']))
}

/// Declares a class; one that is a value was declared with what it is bound to.
pub(super) fn class<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if walk.take_declared(node) {
        return;
    }
    let Some(name) = walk.field(node, "name") else {
        let at = Span::at(walk.span(node).start);
        let default = wrapper(walk, node).kind() == "export_statement";
        let name = Name::new(if default { "default" } else { "<anonymous>" });
        let mut declaration = Declaration::new(Kind::Class, name, at, walk.span(wrapper(walk, node)));
        declaration.unasked = !default;
        class_header(walk, node, &mut declaration);
        walk.enter(declaration);
        return;
    };
    let mut declaration = begin(walk, Kind::Class, name, node, walk.field(node, "body"));
    class_header(walk, node, &mut declaration);
    walk.enter(declaration);
}

fn class_header<'t>(walk: &Walk<'t, Script>, node: Node<'t>, declaration: &mut Declaration) {
    if let Some(body) = walk.field(node, "body") {
        declaration.header_end = walk.span(body).start;
        declaration.body = Body::Present;
    }
    declaration.signature.type_parameters = type_parameters(walk, node);
    if let Some(heritage) = walk.child(node, Script::Heritage) {
        for clause in walk.children(heritage) {
            match walk.kind(clause) {
                Some(Script::Extends | Script::Implements) => {
                    declaration
                        .supertypes
                        .extend(walk.children(clause).into_iter().map(|ty| Name::simple(walk.text(ty))));
                }
                _ => declaration.supertypes.push(Name::simple(walk.text(clause))),
            }
        }
    }
}

/// Declares an interface or enumeration.
pub(super) fn type_declaration<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, is: Script) {
    let Some(name) = walk.field(node, "name") else { return };
    let kind = if is == Script::Enum { Kind::Enum } else { Kind::Interface };
    let mut declaration = begin(walk, kind, name, node, walk.field(node, "body"));
    declaration.signature.type_parameters = type_parameters(walk, node);
    for clause in walk.children_of(node, Script::Extends) {
        declaration
            .supertypes
            .extend(walk.children(clause).into_iter().map(|ty| Name::simple(walk.text(ty))));
    }
    walk.enter(declaration);
}

/// Declares a named type; a function type has parameters of which its comment speaks.
pub(super) fn type_alias<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let (Some(name), Some(value)) = (walk.field(node, "name"), walk.field(node, "value")) else { return };
    let mut declaration = begin(walk, Kind::TypeAlias, name, node, None);
    declaration.header_end = walk.span(value).start;
    declaration.signature.type_parameters = type_parameters(walk, node);
    if walk.kind(value) == Some(Script::FunctionType) {
        declaration.signature.parameters = parameters(walk, value);
        declaration.construction = Construction::Header;
    }
    walk.enter(declaration);
}

/// Declares a function, or one signature of it.
pub(super) fn function<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, is: Script) {
    let body = walk.field(node, "body");
    let name = walk.field(node, "name");
    // Masked so: the default export of a declaration file, which has no name.
    let is_nameless = name.is_some_and(|name| walk.text(name) == "function");
    if is_nameless {
        walk.is_module = true;
        walk.given_out.push("default".into());
    }
    let mut declaration = match name.filter(|_| !is_nameless) {
        Some(name) => begin(walk, Kind::Function, name, node, body),
        None => {
            let at = Span::at(walk.span(node).start);
            let mut declaration =
                Declaration::new(Kind::Function, Name::new("default"), at, walk.span(wrapper(walk, node)));
            declaration.unasked = walk.in_code();
            if let Some(body) = body {
                declaration.header_end = walk.span(body).start;
                declaration.body = Body::Present;
            }
            declaration
        }
    };
    declaration.signature = signature_of(walk, node, body);
    settle_overloads(walk, &mut declaration, is == Script::FunctionSignature);
    walk.enter(declaration);
}

/// Of several signatures the first is asked for a comment; the implementation answers for nothing.
fn settle_overloads(walk: &Walk<'_, Script>, declaration: &mut Declaration, only_signature: bool) {
    let owner = walk.owner();
    // What stands before the owner is not in it.
    let first = owner.map_or(0, |owner| owner.0 as usize + 1);
    let within = walk.outline.declarations.get(first..).unwrap_or_default();
    let before = within.iter().rev().find(|before| before.owner == owner);
    let signature_before = before.is_some_and(|before| {
        before.name == declaration.name && before.kind == declaration.kind && before.body == Body::Absent
    });
    if signature_before {
        declaration.answered = true;
        declaration.computed_comment = !only_signature;
    }
}

/// Works out what a callable takes and gives back.
pub(super) fn signature_of<'t>(walk: &Walk<'t, Script>, node: Node<'t>, body: Option<Node<'t>>) -> Signature {
    let taken_by = body.and_then(|body| moved_to(walk, body)).unwrap_or(node);
    let mut signature = Signature {
        parameters: parameters(walk, taken_by),
        type_parameters: type_parameters(walk, node),
        returns: returns(walk, node),
        ..Signature::default()
    };
    signature.handed_on = handed_on(walk, node);
    signature.collects = body.is_some_and(|body| walk.uses_arguments(body));
    // What makes an object of itself where it is called without `new` gives back what it makes.
    let class = walk.field(node, "name").map(|name| walk.text(name));
    if let (Some(class), Some(body)) = (class.filter(|name| name.starts_with(char::is_uppercase)), body) {
        let asks = format!("this instanceof {class}");
        signature.returns.exempt |=
            memchr::memmem::find(walk.text(body).as_bytes(), asks.as_bytes()).is_some();
    }
    if is_generator(walk, node) {
        signature.returns.yields = true;
        signature.returns.value = Answer::Unknown;
    }
    signature
}

/// Tells whether a callable yields: a star stands in front of its name, or of its parameters.
fn is_generator<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> bool {
    // Most have no star anywhere in front of their parameters, nor a decorator that takes some of its own.
    let head = walk.text(node).split('(').next().unwrap_or_default();
    if !head.contains(['*', '@']) {
        return false;
    }
    let mut cursor = node.walk();
    node.children(&mut cursor).any(|child| child.kind() == "*")
}

/// Gathers what the functions take that a callable gives back: `crate => load => …`, `return function (load) {…}`,
/// `return weigh` of a function made inside, or a type `(load: number) => void`.
fn handed_on<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Vec<Name> {
    let mut names = Vec::new();
    let mut open = given_back(walk, node);
    while let Some(function) = open.pop() {
        let taken = parameters(walk, function);
        names.extend(taken.iter().filter_map(|parameter| parameter.named().cloned()));
        open.extend(given_back(walk, function));
    }
    names
}

/// Returns the functions, and types of functions, that a callable gives back as they are written, or by the name that it
/// gives them itself.
fn given_back<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Vec<Node<'t>> {
    let mut values = Vec::new();
    match walk.field(node, "body") {
        // Most bodies make no function.
        Some(body) if walk.kind(body) == Some(Script::Block) && !makes_function(walk.text(body)) => {}
        Some(body) if walk.kind(body) == Some(Script::Block) => {
            let statements = walk.children(body);
            let returned =
                statements.iter().filter(|&&statement| walk.kind(statement) == Some(Script::Return));
            for value in returned.filter_map(|&statement| walk.children(statement).into_iter().next()) {
                values.push(made_inside(walk, &statements, value).unwrap_or(value));
            }
        }
        body => values.extend(body),
    }
    if let Some(annotation) = walk.field(node, "return_type")
        && walk.text(annotation).contains("=>")
    {
        values.push(annotation);
        values.extend(walk.children(annotation));
    }
    for value in &mut values {
        if walk.kind(*value) == Some(Script::Parenthesized) {
            *value = walk.children(*value).into_iter().next().unwrap_or(*value);
        }
    }
    let is_function = |value: &Node<'t>| {
        matches!(
            walk.kind(*value),
            Some(Script::Arrow | Script::Function | Script::FunctionValue | Script::FunctionType)
        )
    };
    values.retain(is_function);
    values
}

/// Tells whether code may make a function.
fn makes_function(code: &str) -> bool {
    ["=>", "function"].iter().any(|sign| memchr::memmem::find(code.as_bytes(), sign.as_bytes()).is_some())
}

/// Returns the function that one of the statements of a body gives the name that stands as a value.
fn made_inside<'t>(walk: &Walk<'t, Script>, statements: &[Node<'t>], value: Node<'t>) -> Option<Node<'t>> {
    let name = Some(value).filter(|&value| walk.kind(value) == Some(Script::Identifier))?;
    let is_named =
        |node: Node<'t>| walk.field(node, "name").is_some_and(|found| walk.text(found) == walk.text(name));
    statements.iter().find_map(|&statement| match walk.kind(statement) {
        Some(Script::Function) => Some(statement).filter(|&function| is_named(function)),
        _ => {
            let mut declarators = walk.children_of(statement, Script::Declarator).into_iter();
            declarators.find(|&declarator| is_named(declarator)).and_then(|found| walk.field(found, "value"))
        }
    })
}

/// Tells whether nothing is of a type, now or later: `void`, `Promise<void>`.
fn is_no_type(ty: &str) -> bool {
    let ty = ty.trim();
    let later = ["Promise<", "PromiseLike<"].iter().find_map(|head| ty.strip_prefix(head)?.strip_suffix('>'));
    matches!(later.unwrap_or(ty).trim(), "void" | "undefined" | "never")
}

fn returns<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Returns {
    let Some(annotation) = walk.field(node, "return_type") else { return Returns::default() };
    let ty =
        walk.children(annotation).into_iter().next().filter(|_| annotation.kind().ends_with("annotation"));
    let ty = ty.unwrap_or(annotation);
    let text = walk.text(ty).trim();
    let bare: String = text.split_whitespace().collect::<Vec<_>>().join(" ");
    let nothing = bare.starts_with("asserts ") || bare.split('|').all(is_no_type);
    let set =
        (bare == "boolean" || annotation.kind() == "type_predicate_annotation").then_some(ClosedSet::Boolean);
    let value = if nothing { Answer::No } else { Answer::Yes };
    Returns { set, ..Returns::typed(value, walk.span(ty)) }
}

/// Enters a function value: one that is bound to a name was declared with it, any other happens later.
pub(super) fn function_value<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, is: Script) -> Next {
    if !walk.take_declared(node) {
        walk.open(Scope::Barrier);
        return Next::Into;
    }
    if let Some(body) =
        walk.field(node, "body").filter(|&body| is == Script::Arrow && walk.kind(body) != Some(Script::Block))
    {
        let value = value_of(walk, body);
        walk.returns(value);
    }
    Next::Into
}

/// Tells whether an expression has a value: not known of what is called, awaited or assigned.
pub(super) fn value_of<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> Answer {
    match walk.kind(node) {
        Some(Script::Parenthesized) => {
            walk.children(node).first().map_or(Answer::Unknown, |&inner| value_of(walk, inner))
        }
        Some(Script::Call | Script::Await | Script::Assignment) => Answer::Unknown,
        _ if is_nothing(walk, node) => Answer::No,
        _ if matches!(
            node.kind(),
            "augmented_assignment_expression" | "yield_expression" | "sequence_expression"
        ) =>
        {
            Answer::Unknown
        }
        _ => Answer::Yes,
    }
}

/// Tells whether an expression says that there is no value.
pub(super) fn is_nothing(walk: &Walk<'_, Script>, node: Node<'_>) -> bool {
    let text = walk.text(node);
    text == "undefined" || (node.kind() == "unary_expression" && text.starts_with("void"))
}

/// Declares a member of a class, an interface or an object literal.
pub(super) fn method<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, is: Script) {
    let Some(name) = walk.field(node, "name") else { return };
    let body = walk.field(node, "body");
    let text = walk.text(name);
    // Most have no word in front of their name.
    let before = walk.source.slice(Span::new(walk.span(node).start, walk.span(name).start));
    let word = |what: &str| {
        if !before.contains(what) {
            return false;
        }
        let mut cursor = node.walk();
        node.children(&mut cursor)
            .take_while(|child| child.id() != name.id())
            .any(|child| child.kind() == what)
    };
    let in_class = walk.owner_kind() == Some(Kind::Class) && !in_object(walk, node);
    let kind = match () {
        () if text == "constructor" && in_class && !word("static") => Kind::Constructor,
        () if word("get") || word("set") => Kind::Property,
        () => Kind::Method,
    };
    let mut declaration = walk.start(kind, name, node, body);
    declaration.name = bare_name(walk, name);
    declaration.surface = member_surface(walk, node, text);
    declaration.signature = signature_of(walk, node, body);
    declaration.overrides = walk.child(node, Script::Override).is_some();
    if kind == Kind::Constructor {
        declaration.signature.returns = Returns::nothing();
        if declaration.signature.parameters.is_empty()
            && body.is_some_and(|body| walk.children(body).is_empty())
        {
            declaration.excuses.push(Excuse::EmptyConstructors);
        }
    }
    if kind == Kind::Property {
        declaration.signature.returns.exempt = true;
        declaration.answered = word("set");
        if word("set") {
            declaration.signature.returns.value = Answer::No;
            // What is assigned is the property itself.
            for parameter in &mut declaration.signature.parameters {
                parameter.exempt = true;
            }
        }
    }
    settle_overloads(walk, &mut declaration, is == Script::MethodSignature || body.is_none());
    let id = walk.enter(declaration);
    if kind == Kind::Constructor {
        note_constructor(walk, id);
    }
}

/// A class's comment may speak of its constructor's parameters.
fn note_constructor(walk: &mut Walk<'_, Script>, id: DeclId) {
    let Some(owner) = walk.outline.declaration(id).owner else { return };
    let construction = &mut walk.outline.declarations[owner.0 as usize].construction;
    if *construction == Construction::Unknown {
        *construction = Construction::Member(id);
    }
}

fn in_object<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> bool {
    walk.parent(node).is_some_and(|parent| parent.kind() == "object")
}

fn member_surface<'t>(walk: &Walk<'t, Script>, node: Node<'t>, name: &str) -> Surface {
    if name.starts_with('#') {
        return Surface::Private;
    }
    match walk.child(node, Script::Modifier).map(|modifier| walk.text(modifier)) {
        Some("private") => Surface::Private,
        Some("protected") => Surface::Protected,
        _ => Surface::Public,
    }
}

/// Declares a call or construct signature of an interface.
pub(super) fn signature<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, is: Script) {
    let at = Span::at(walk.span(node).start);
    let (kind, name) =
        if is == Script::CallSignature { (Kind::Method, "()") } else { (Kind::Constructor, "new") };
    let mut declaration = Declaration::new(kind, Name::new(name), at, walk.span(node));
    declaration.unasked = true;
    declaration.signature = signature_of(walk, node, None);
    if is == Script::ConstructSignature {
        declaration.signature.returns.exempt = true;
        declaration.signature.returns.value = Answer::Unknown;
    }
    walk.enter(declaration);
}

/// Declares a field of a class or interface; one that holds a function is a method.
pub(super) fn field<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, is: Script) {
    let Some(name) = walk.field(node, "name").or_else(|| walk.field(node, "property")) else { return };
    let value = walk.field(node, "value");
    let surface = member_surface(walk, node, walk.text(name));
    if let Some(function) = value.filter(|&value| is_function(walk, value)) {
        let body = walk.field(function, "body");
        let mut declaration = walk.start(Kind::Method, name, node, body);
        declaration.surface = surface;
        declaration.overrides = walk.child(node, Script::Override).is_some();
        declaration.signature = signature_of(walk, function, body);
        bind(walk, declaration, function, node);
        return;
    }
    let kind = if is == Script::PropertySignature { Kind::Property } else { Kind::Field };
    let mut declaration = walk.start(kind, name, node, None);
    declaration.header_end = value.map_or(walk.span(node).end, |value| walk.span(value).start);
    declaration.name = bare_name(walk, name);
    declaration.surface = surface;
    declaration.overrides = walk.child(node, Script::Override).is_some();
    let ty = walk.field(node, "type").and_then(|annotation| walk.children(annotation).into_iter().next());
    declaration.signature.returns.ty = annotated(walk, node);
    declaration.signature.returns.exempt = true;
    declaration.signature.hidden = true;
    if let Some(ty) = ty.filter(|&ty| walk.kind(ty) == Some(Script::FunctionType)) {
        declaration.kind = Kind::Property;
        declaration.signature.type_parameters = type_parameters(walk, ty);
        declaration.signature.parameters = parameters(walk, ty);
        exempt_event(&mut declaration);
        // A property's comment says what it is for, and rarely what whoever calls it passes.
        declaration.fixed = true;
        declaration.signature.returns = Returns { exempt: true, ..returns(walk, ty) };
        declaration.signature.hidden = false;
    }
    walk.declare(declaration);
}

/// What is called when something happens says so by its own name; an event that is all it takes is told with it:
/// `onWeigh?: (event: WeighEvent) => void`.
fn exempt_event(declaration: &mut Declaration) {
    let handles =
        declaration.name.as_str().strip_prefix("on").is_some_and(|what| what.starts_with(char::is_uppercase));
    if let [event] = &mut declaration.signature.parameters[..]
        && handles
    {
        event.exempt |=
            event.named().is_some_and(|name| matches!(name.as_str(), "event" | "evt" | "ev" | "e"));
    }
}

/// Tells whether a value is a function.
pub(super) fn is_function<'t>(walk: &Walk<'t, Script>, value: Node<'t>) -> bool {
    matches!(walk.kind(value), Some(Script::FunctionValue | Script::Arrow))
}

/// Adds a declaration whose inside is the function value it is bound to.
pub(super) fn bind<'t>(
    walk: &mut Walk<'t, Script>,
    declaration: Declaration,
    function: Node<'t>,
    node: Node<'t>,
) {
    let id = walk.declare(declaration);
    walk.open_at(function, Scope::Declaration(id));
    walk.declared_at(function, node);
}

/// Declares the members of an enumeration.
pub(super) fn enum_members<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    for member in walk.children(node) {
        let name = walk.field(member, "name").unwrap_or(member);
        let mut declaration = walk.start(Kind::EnumMember, name, member, None);
        declaration.name = bare_name(walk, name);
        declaration.header_end = walk.span(name).end;
        declaration.excuses.push(Excuse::EnumMembers);
        walk.declare(declaration);
    }
}

/// Declares variables: functions and classes by what they are bound to, all else as constants and fields.
pub(super) fn variables<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    links::variables(walk, node);
    let constant = walk.text(node).starts_with("const");
    let declarators = walk.children_of(node, Script::Declarator);
    for (number, declarator) in declarators.into_iter().enumerate() {
        let Some(name) = walk.field(declarator, "name") else { continue };
        if walk.kind(name) != Some(Script::Identifier) {
            continue;
        }
        // The comment above the statement is the first one's.
        let whole = if number == 0 { wrapper(walk, node) } else { declarator };
        let value = walk.field(declarator, "value").map(|value| unwrapped(walk, value));
        let value = value.map(|value| exports::assigned_in_between(walk, declarator, (name, value)));
        let simple = if constant { Kind::Constant } else { Kind::Field };
        let mut declaration = begin(walk, simple, name, if number == 0 { node } else { declarator }, None);
        declaration.span = walk.span(whole);
        bind_value(walk, declaration, (declarator, value));
    }
}

/// Returns what stands inside parentheses and type assertions.
pub(super) fn unwrapped<'t>(walk: &Walk<'t, Script>, mut value: Node<'t>) -> Node<'t> {
    while walk.kind(value) == Some(Script::Parenthesized) {
        let Some(inner) = walk.children(value).into_iter().next() else { break };
        value = inner;
    }
    value
}

/// Adds a declaration that is bound to a value.
pub(super) fn bind_value<'t>(
    walk: &mut Walk<'t, Script>,
    mut declaration: Declaration,
    (node, value): (Node<'t>, Option<Node<'t>>),
) {
    declaration.header_end = declaration.span.end;
    // What it takes, should it be called, is not known.
    let plain = !declaration.kind.is_callable();
    declaration.signature.hidden = plain;
    // Local variables and plain members are there for their comments alone.
    let wanted = (plain && !walk.in_code()) || is_documented(walk, declaration.span.start);
    let Some(value) = value else {
        if wanted {
            walk.declare(declaration);
        }
        return;
    };
    declaration.header_end = walk.span(value).start;
    match walk.kind(value) {
        Some(Script::FunctionValue | Script::Arrow) => {
            let body = walk.field(value, "body");
            if !matches!(declaration.kind, Kind::Method) {
                declaration.kind = Kind::Function;
            }
            declaration.header_end = body.map_or(declaration.span.end, |body| walk.span(body).start);
            declaration.body = Body::Present;
            declaration.signature = signature_of(walk, value, body);
            bind(walk, declaration, value, node);
        }
        Some(Script::Class) => {
            declaration.kind = Kind::Class;
            declaration.signature.hidden = false;
            class_header(walk, value, &mut declaration);
            bind(walk, declaration, value, node);
        }
        Some(Script::Object) if !walk.in_code() => {
            let name = declaration.name.clone();
            let qualified = walk.namespace(name.as_str());
            walk.declare(declaration);
            walk.open_at(value, Scope::Namespace(qualified));
            walk.declared_at(value, node);
        }
        _ if wanted => {
            walk.declare(declaration);
        }
        _ => {}
    }
}

/// Declares a key of an object literal that holds a function, a class or another object.
pub(super) fn pair<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let (Some(key), Some(value)) = (walk.field(node, "key"), walk.field(node, "value")) else { return };
    let value = unwrapped(walk, value);
    let holds = matches!(
        walk.kind(value),
        Some(Script::FunctionValue | Script::Arrow | Script::Class | Script::Object)
    );
    if !holds && !is_documented(walk, walk.span(node).start) {
        return;
    }
    let kind = if holds { Kind::Method } else { Kind::Field };
    let mut declaration = walk.start(kind, key, node, None);
    declaration.name = bare_name(walk, key);
    if walk.kind(value) == Some(Script::Object) {
        let qualified = walk.namespace(declaration.name.as_str());
        if !walk.in_code() {
            walk.open_at(value, Scope::Namespace(qualified));
            walk.declared_at(value, node);
        }
        return;
    }
    bind_value(walk, declaration, (node, Some(value)));
}

/// What stands in an object literal that has no name is nobody's to call.
pub(super) fn object<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if !walk.take_declared(node) && !walk.in_code() {
        walk.open(Scope::Barrier);
    }
}

/// Opens a namespace; a module named by a string qualifies nothing.
pub(super) fn namespace<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let text = walk.text(name);
    if !text.starts_with(['"', '\'']) {
        let qualified = walk.namespace(text);
        walk.open(Scope::Namespace(qualified));
    }
}
