//! Python nodes to declarations.

use super::kinds::{self, Python};
use super::parameters::{data_fields, parameters, type_parameters};
use super::{docstring, flow};
use crate::model::{
    Answer, Attached, Body, ClosedSet, Construction, Declaration, Excuse, Kind, Misplaced, Name, Returns,
    Signature, Surface,
};
use crate::reading::{Node, Scope, Walk};

/// What the decorators above a definition say.
#[derive(Default)]
pub(super) struct Decorators {
    names: Vec<String>,
}

/// Decorators that leave what a function gives back as it is.
const KEEPING: &[&str] = &[
    "staticmethod", "classmethod", "property", "abstractmethod", "abc.abstractmethod", "override",
    "typing.override", "final", "typing.final", "functools.wraps", "functools.cache", "functools.lru_cache",
    "cache", "lru_cache",
];

/// What makes a class one of the `attrs` library, as it is imported.
const ATTRS: [&str; 13] = [
    "attr.s", "attr.attrs", "attr.dataclass", "attr.define", "attr.frozen", "attr.mutable", "attrs.define",
    "attrs.frozen", "attrs.mutable", "attrs", "define", "frozen", "mutable",
];

impl Decorators {
    fn read(walk: &Walk<'_, Python>, outer: Node<'_>) -> Self {
        let mut names = Vec::new();
        if walk.kind(outer) == Some(Python::Decorated) {
            for decorator in walk.children(outer) {
                if walk.kind(decorator) == Some(Python::Decorator) {
                    let text = walk.text(decorator).trim_start_matches('@').trim();
                    // A comment behind it belongs to the node.
                    names.push(text.split(['(', '#', '\n']).next().unwrap_or_default().trim().to_owned());
                }
            }
        }
        Self { names }
    }

    /// Tells whether one of the decorators is `name`, however it is qualified.
    fn has(&self, name: &str) -> bool {
        self.names.iter().any(|found| found.rsplit('.').next() == Some(name))
    }

    /// Tells whether what marks something as deprecated is the project's own, which customarily adds to the docstring;
    /// the standard library's adds nothing (PEP 702).
    fn deprecated_by_project(&self, walk: &Walk<'_, Python>) -> bool {
        let Some(found) = self.names.iter().find(|name| name.rsplit('.').next() == Some("deprecated")) else {
            return false;
        };
        if let Some((module, _)) = found.rsplit_once('.') {
            return !matches!(module, "warnings" | "typing_extensions" | "typing");
        }
        let text = walk.source.text();
        text.contains("def deprecated(")
            || imports(text).any(|(module, names)| {
                let named = names.split([',', '(', ')', ' ', '\n']).any(|name| name == "deprecated");
                named && !matches!(module, "warnings" | "typing_extensions")
            })
    }

    /// Tells whether a property's setter or deleter is defined.
    fn is_accessor(&self) -> bool {
        self.names.iter().any(|name| name.ends_with(".setter") || name.ends_with(".deleter"))
    }

    fn is_property(&self) -> bool {
        ["property", "cached_property", "abstractproperty"].iter().any(|name| self.has(name))
            // Projects have their own: `lazyproperty`, `hybrid_property`.
            || self.names.iter().any(|name| name.ends_with(".getter") || name.ends_with("property"))
    }

    fn is_data_class(&self) -> bool {
        self.is_attrs()
            || self.names.iter().any(|name| matches!(name.as_str(), "dataclass" | "dataclasses.dataclass"))
    }

    fn is_attrs(&self) -> bool {
        self.names.iter().any(|name| ATTRS.contains(&name.as_str()))
    }

    /// Tells whether a function becomes a command, whose docstring is shown to those who type it: `@cli.command()`.
    fn makes_command(&self) -> bool {
        self.names
            .iter()
            .any(|name| name.rsplit_once('.').is_some_and(|(_, last)| matches!(last, "command" | "group")))
    }

    /// Tells whether a decorator is not known to leave the docstring alone: its name speaks of docs.
    fn rewrites_docs(&self) -> bool {
        self.names.iter().any(|name| {
            let last = name.rsplit('.').next().unwrap_or_default().to_ascii_lowercase();
            last.contains("doc") || matches!(last.as_str(), "appender" | "substitution" | "wraps")
        })
    }
}

/// Returns what a file imports by name: the module, and the names as written.
fn imports(text: &str) -> impl Iterator<Item = (&str, &str)> {
    text.match_indices("from ").filter_map(|(at, _)| {
        let before = text[..at].rsplit('\n').next().unwrap_or_default();
        let (module, rest) = text[at + 5..].split_once(" import ").filter(|_| before.trim().is_empty())?;
        let names = if rest.starts_with('(') { rest.split(')').next() } else { rest.lines().next() };
        (!module.contains('\n')).then_some((module.trim(), names.unwrap_or_default()))
    })
}

/// The file's own docstring belongs to a module, of which nothing is asked.
pub(super) fn module<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    let Some(doc) = docstring::take(walk, node) else { return };
    let name = walk.source.file_name().split('.').next().unwrap_or_default();
    let at = walk.outline.comment(doc).span;
    let mut declaration = Declaration::new(Kind::Module, Name::new(name), at, at);
    declaration.unasked = true;
    declaration.comment = Attached { doc: Some(doc), misplaced: None };
    walk.declare(declaration);
}

/// A decorated definition declares what it decorates; the inner node then only opens its body.
pub(super) fn decorated<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    let Some(inner) = walk.field(node, kinds::DEFINITION) else { return };
    match walk.kind(inner) {
        Some(Python::Function) => function(walk, inner, node),
        Some(Python::Class) => class(walk, inner, node),
        _ => {}
    }
}

fn surface_of(walk: &Walk<'_, Python>, name: &str) -> Surface {
    let hidden = |part: &str| part.starts_with('_') && !(part.starts_with("__") && part.ends_with("__"));
    let in_hidden_module = walk.source.path().split('/').any(|part| {
        let stem = part.strip_suffix(".py").or_else(|| part.strip_suffix(".pyi")).unwrap_or(part);
        hidden(stem)
    });
    if hidden(name) || in_hidden_module { Surface::Private } else { Surface::Public }
}

fn start(walk: &Walk<'_, Python>, node: Node<'_>, outer: Node<'_>, kind: Kind) -> Option<Declaration> {
    let name = walk.field(node, kinds::NAME)?;
    let text = walk.text(name);
    let mut declaration = Declaration::new(kind, Name::new(text), walk.span(name), walk.span(outer));
    declaration.surface = surface_of(walk, text);
    // Stubs describe types; the documentation stands in the source beside them.
    declaration.unasked = walk.in_code() || walk.source.path().ends_with(".pyi");
    if walk.is_test == Some(true) {
        declaration.excuses.push(Excuse::Tests);
    }
    if let Some(body) = walk.field(node, kinds::BODY) {
        declaration.header_end = header_end(walk, node, walk.span(body).start);
    }
    Some(declaration)
}

/// The signature ends with the colon before the body, whatever comments follow it.
fn header_end(walk: &Walk<'_, Python>, node: Node<'_>, body: u32) -> u32 {
    let mut cursor = node.walk();
    let colon =
        node.children(&mut cursor).find(|child| child.kind() == ":" && child.end_byte() <= body as usize);
    colon.map_or(body, |colon| walk.span(colon).end)
}

/// Tells whether a method is one of an interface as `zope.interface` has them, which are written as they are called:
/// without a receiver.
fn is_in_interface(walk: &Walk<'_, Python>, node: Node<'_>) -> bool {
    let Some(owner) = walk.owner() else { return false };
    let is_interface = |ty: &Name| {
        let rest = ty.as_str().strip_prefix('I').unwrap_or_default().as_bytes();
        ty == "Interface" || matches!(rest, [b'A'..=b'Z', second, ..] if second.is_ascii_lowercase())
    };
    let owner = &walk.outline.declarations[owner.0 as usize];
    let first = walk.field(node, kinds::PARAMETERS).and_then(|list| walk.children(list).into_iter().next());
    owner.supertypes.iter().any(is_interface)
        && first.is_some_and(|first| !matches!(walk.text(first), "self" | "cls" | "_"))
}

/// Declares a function or method and opens it; `outer` holds the decorators.
pub(super) fn function<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>, outer: Node<'t>) {
    if already_declared(walk, node, outer) {
        return;
    }
    let decorators = Decorators::read(walk, outer);
    let in_class = walk.owner_kind() == Some(Kind::Class) && !walk.in_code();
    let Some(mut declaration) =
        start(walk, node, outer, if in_class { Kind::Method } else { Kind::Function })
    else {
        return;
    };
    let constructor =
        in_class && matches!(declaration.name.as_str(), "__init__" | "__new__" | "__post_init__");
    // `__new__` gives back what it makes, and nobody asks it to say so.
    let makes = declaration.name == "__new__";
    let mut exempt = makes;
    if constructor {
        declaration.kind = Kind::Constructor;
    } else if in_class && decorators.is_property() {
        declaration.kind = Kind::Property;
        exempt = true;
    }
    let receiver = in_class && !decorators.has("staticmethod");
    let (receiver, parameters) = parameters(walk, node, receiver && !is_in_interface(walk, node));
    declaration.signature = Signature {
        receiver,
        parameters,
        type_parameters: type_parameters(walk, node),
        returns: Returns { exempt, ..returns(walk, node, constructor && !makes) },
        ..Signature::default()
    };
    let signature = &mut declaration.signature;
    signature.value_may_be_called = declaration.kind == Kind::Property
        && signature.returns.ty.is_none_or(|ty| is_called(walk.source.slice(ty)));
    apply_decorators(walk, &mut declaration, &decorators);
    let dunder = declaration.name.as_str().starts_with("__") && declaration.name.as_str().ends_with("__");
    // What special methods mean is fixed by the language: they are checked and never asked for.
    declaration.unasked |= dunder;
    declaration.fixed =
        dunder && in_class && !constructor && !OWN_MEANING.contains(&declaration.name.as_str());
    if let Some(body) = walk.field(node, kinds::BODY) {
        take_body(walk, body, &mut declaration);
    }
    // Whoever puts a docstring there has written one.
    declaration.unasked |= decorators.rewrites_docs() && declaration.comment.doc.is_none();
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
    walk.declared_at(node, outer);
}

/// Special methods that take what their class wants.
const OWN_MEANING: &[&str] = &["__call__", "__init_subclass__", "__class_getitem__"];

fn apply_decorators(walk: &Walk<'_, Python>, declaration: &mut Declaration, decorators: &Decorators) {
    // What fills a hook in is described where the hook is.
    declaration.overrides = ["override", "overrides", "hookimpl"].iter().any(|name| decorators.has(name));
    declaration.deprecated = decorators.has("deprecated");
    if declaration.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
    if decorators.is_accessor() {
        declaration.kind = Kind::Property;
        declaration.answered = true;
        // What is assigned is the property itself.
        for parameter in &mut declaration.signature.parameters {
            parameter.exempt = true;
        }
    }
    if decorators.has("overload") {
        declaration.answered = true;
        // The implementation's comment is the one that is shown: it owes what there is to say.
        declaration.computed_comment = true;
    }
    if decorators.has("fixture") {
        declaration.excuses.push(Excuse::Tests);
    }
    declaration.computed_comment |=
        decorators.rewrites_docs() || decorators.makes_command() || decorators.deprecated_by_project(walk);
    // The caller gets a context manager, or what is awaited, whatever the body yields.
    let wraps = ["contextmanager", "asynccontextmanager", "coroutine", "inlineCallbacks"];
    let returns = &mut declaration.signature.returns;
    returns.exempt |= wraps.iter().any(|name| decorators.has(name));
    // What is made of a generator is not known.
    returns.wrapped = decorators.names.iter().any(|name| !KEEPING.contains(&name.as_str()));
}

fn take_body(walk: &mut Walk<'_, Python>, body: Node<'_>, declaration: &mut Declaration) {
    if let Some(doc) = docstring::take(walk, body) {
        declaration.comment = Attached { doc: Some(doc), misplaced: None };
        declaration.computed_comment |= docstring::is_filled_in(walk, doc);
    } else if let Some(late) = late_docstring(walk, body) {
        let id = docstring::take_string(walk, late);
        declaration.comment = Attached { doc: None, misplaced: Some(Misplaced::Detached(id)) };
    }
    let statements = own_statements(walk, body);
    declaration.body = if is_stub(walk, &statements) { Body::Absent } else { Body::Present };
    let empty = statements
        .iter()
        .all(|&statement| walk.kind(statement) == Some(Python::Pass) || is_bare_super(walk.text(statement)));
    if declaration.kind == Kind::Constructor && declaration.signature.parameters.is_empty() && empty {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    if let [statement] = statements[..]
        && is_accessor(walk.text(statement))
    {
        declaration.excuses.push(Excuse::Accessors);
    }
}

fn is_bare_super(text: &str) -> bool {
    text.strip_prefix("super().__init__(").is_some_and(|rest| rest == ")")
}

/// A body that only gives back a field, or only assigns one.
fn is_accessor(text: &str) -> bool {
    let plain = |name: &str| {
        let name = name.trim();
        !name.is_empty() && name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.'))
    };
    match text.strip_prefix("return ") {
        Some(value) => value.trim().starts_with("self.") && plain(value),
        None => text
            .split_once('=')
            .is_some_and(|(left, right)| left.starts_with("self.") && plain(left) && plain(right)),
    }
}

/// The statements of a body without comments and docstring.
fn own_statements<'t>(walk: &Walk<'t, Python>, body: Node<'t>) -> Vec<Node<'t>> {
    let mut statements = walk.children(body);
    if statements.first().is_some_and(|&first| docstring::lone_string(walk, first).is_some()) {
        statements.remove(0);
    }
    statements
}

/// Nothing but `pass`, `...`, a `return` of nothing or a refusal to be called: a declaration without a body, which
/// those fill that override it.
fn is_stub(walk: &Walk<'_, Python>, statements: &[Node<'_>]) -> bool {
    // Before it refuses it may put together what it says.
    if let [before @ .., last] = statements
        && walk.kind(*last) == Some(Python::Raise)
        && walk.text(*last).contains("NotImplementedError")
        && before.iter().all(|&statement| walk.kind(statement) == Some(Python::ExpressionStatement))
    {
        return true;
    }
    statements.iter().all(|&statement| match walk.kind(statement) {
        Some(Python::Pass) => true,
        Some(Python::Return) => matches!(walk.text(statement).trim_end(), "return" | "return None"),
        Some(Python::ExpressionStatement) => {
            statement.named_child(0).and_then(|child| walk.kind(child)) == Some(Python::Ellipsis)
        }
        Some(Python::Raise) => walk.text(statement).contains("NotImplementedError"),
        _ => false,
    })
}

/// A string that would be the docstring, were it the first statement.
fn late_docstring<'t>(walk: &Walk<'t, Python>, body: Node<'t>) -> Option<Node<'t>> {
    let statements = walk.children(body);
    let late = *statements.get(1)?;
    // What stands behind a statement that leaves is put out of use, and no text.
    if matches!(walk.kind(statements[0]), Some(Python::Raise | Python::Return)) {
        return None;
    }
    // A string after an assignment documents the attribute that is assigned.
    let first = walk.text(statements[0]);
    let after_assignment = first.starts_with("self.") && first.contains('=');
    let triple = |node: Node<'_>| walk.text(node).contains("\"\"\"") || walk.text(node).contains("'''");
    docstring::lone_string(walk, late).filter(|&string| !after_assignment && triple(string))
}

fn returns(walk: &Walk<'_, Python>, node: Node<'_>, constructor: bool) -> Returns {
    let ty = walk.field(node, kinds::RETURN_TYPE);
    let mut out = Returns { ty: ty.map(|ty| walk.span(ty)), ..Returns::default() };
    if constructor {
        out.value = Answer::No;
        return out;
    }
    if let Some(ty) = ty {
        let text = walk.text(ty).trim_matches(['"', '\'']);
        let simple = text.rsplit('.').next().unwrap_or_default();
        out.value = match simple {
            "None" | "NoReturn" | "Never" => Answer::No,
            _ if brings_nothing(text) => Answer::Unknown,
            _ => Answer::Yes,
        };
        out.set = (text == "bool").then_some(ClosedSet::Boolean);
        // The object itself, or another of its class.
        out.typed_enough = simple == "Self";
    }
    out
}

/// Tells whether a type speaks of something that is called, by its name at least.
fn is_called(ty: &str) -> bool {
    ["Call", "Func", "Handler", "Hook"].iter().any(|word| ty.contains(word))
}

/// Tells whether a type only says when something is done: `Awaitable[None]`, `Coroutine[Any, Any, None]`.
fn brings_nothing(ty: &str) -> bool {
    let inner = ty.split_once('[').and_then(|(_, inner)| inner.strip_suffix(']'));
    inner.is_some_and(|inner| {
        inner.ends_with("None") && inner.split(',').all(|part| matches!(part.trim(), "Any" | "None"))
    })
}

/// Declares a class and opens it.
pub(super) fn class<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>, outer: Node<'t>) {
    if already_declared(walk, node, outer) {
        return;
    }
    let Some(mut declaration) = start(walk, node, outer, Kind::Class) else { return };
    let decorators = Decorators::read(walk, outer);
    apply_decorators(walk, &mut declaration, &decorators);
    declaration.answered = false;
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.body = Body::Present;
    if let Some(list) = walk.field(node, kinds::SUPERCLASSES) {
        let bases =
            walk.children(list).into_iter().filter(|&base| walk.kind(base) != Some(Python::KeywordArgument));
        declaration.supertypes = bases.map(|base| Name::simple(walk.text(base))).collect();
    }
    if let Some(body) = walk.field(node, kinds::BODY) {
        if let Some(doc) = docstring::take(walk, body) {
            declaration.comment = Attached { doc: Some(doc), misplaced: None };
            declaration.computed_comment |= docstring::is_filled_in(walk, doc);
        }
        declaration.unasked |= decorators.rewrites_docs() && declaration.comment.doc.is_none();
        let fields =
            decorators.is_data_class() || declaration.supertypes.iter().any(|base| base == "NamedTuple");
        // What a class defines itself is not made from its fields.
        if fields && !defines_init(walk, body) {
            declaration.signature.parameters = data_fields(walk, body, decorators.is_attrs());
            declaration.construction = Construction::Fields;
            // A base may have fields as well, which come first.
            let has_fields = |base: &Name| {
                !matches!(base.as_str(), "object" | "Generic" | "Protocol" | "ABC" | "NamedTuple")
            };
            declaration.signature.collects =
                declaration.supertypes.iter().any(has_fields) || has_made_base(walk, node);
        }
    }
    let id = walk.declare(declaration);
    walk.open(Scope::Declaration(id));
    walk.declared_at(node, outer);
}

/// Tells whether a class is built upon what a call gives back: `NamedTuple("Crate", [("load", float)])`.
fn has_made_base(walk: &Walk<'_, Python>, class: Node<'_>) -> bool {
    let bases = walk.field(class, kinds::SUPERCLASSES).map(|list| walk.children(list)).unwrap_or_default();
    bases.into_iter().any(|base| walk.text(base).ends_with(')'))
}

/// Tells whether a class body defines its constructor.
fn defines_init(walk: &Walk<'_, Python>, body: Node<'_>) -> bool {
    walk.children(body).into_iter().any(|member| {
        let inner = if walk.kind(member) == Some(Python::Decorated) {
            walk.children(member).into_iter().next_back()
        } else {
            Some(member)
        };
        inner.is_some_and(|inner| {
            walk.kind(inner) == Some(Python::Function)
                && walk
                    .field(inner, kinds::NAME)
                    .is_some_and(|name| matches!(walk.text(name), "__init__" | "__new__"))
        })
    })
}

/// The inner node of a decorated definition was declared with its decorators.
fn already_declared<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>, outer: Node<'t>) -> bool {
    node.id() == outer.id() && walk.take_declared(node)
}

/// Declares a lambda that is given a name, and notes assignments that bear on documentation.
pub(super) fn assignment<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    let (Some(left), right) = (walk.field(node, kinds::LEFT), walk.field(node, kinds::RIGHT)) else {
        return;
    };
    flow::notes_assigned_doc(walk, left);
    let Some(right) = right else { return };
    if walk.kind(right) != Some(Python::Lambda) || walk.kind(left) != Some(Python::Identifier) {
        return;
    }
    let name = walk.text(left);
    let mut declaration = Declaration::new(Kind::Function, Name::new(name), walk.span(left), walk.span(node));
    declaration.surface = surface_of(walk, name);
    declaration.unasked = true;
    declaration.signature.parameters = parameters(walk, right, false).1;
    declaration.body = Body::Present;
    declaration.signature.hidden = true;
    walk.declare(declaration);
}
