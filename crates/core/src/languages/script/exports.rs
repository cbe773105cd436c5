//! What a module of JavaScript or TypeScript gives out, wherever in the file it says so.

use super::declare::{bare_name, bind_value, is_documented, unwrapped, wrapper};
use super::kinds::Script;
use super::links;
use crate::model::{Declaration, Kind, Name, Surface};
use crate::reading::{Node, Scope, Walk};
use crate::text::Span;

/// Notes what an `export` gives out.
pub(super) fn export<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    links::export(walk, node);
    if walk.parent(node).is_none_or(|parent| parent.kind() != "program") {
        return;
    }
    walk.is_module = true;
    if let Some(declared) = walk.field(node, "declaration") {
        give_out(walk, declared);
        return;
    }
    if let Some(value) = walk.field(node, "value") {
        default_export(walk, node, value);
        return;
    }
    if walk.field(node, "source").is_some() {
        return;
    }
    for child in walk.children(node) {
        match walk.kind(child) {
            Some(Script::ExportClause) => {
                for specifier in walk.children_of(child, Script::ExportSpecifier) {
                    if let Some(name) = walk.field(specifier, "name") {
                        walk.given_out.push(walk.text(name).into());
                    }
                }
            }
            // `export = name`
            Some(Script::Identifier) => walk.given_out.push(walk.text(child).into()),
            _ => {}
        }
    }
}

/// Notes the names that a declaration behind `export` declares.
fn give_out<'t>(walk: &mut Walk<'t, Script>, declared: Node<'t>) {
    match walk.kind(declared) {
        Some(Script::Variables) => {
            for declarator in walk.children_of(declared, Script::Declarator) {
                if let Some(name) = walk.field(declarator, "name") {
                    walk.given_out.push(walk.text(name).into());
                }
            }
        }
        Some(Script::Ambient) => {
            for inner in walk.children(declared) {
                give_out(walk, inner);
            }
        }
        _ => {
            let name = walk.field(declared, "name").map_or("default", |name| walk.text(name));
            walk.given_out.push(name.into());
        }
    }
}

fn default_export<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, value: Node<'t>) {
    walk.given_out.push("default".into());
    match walk.kind(value) {
        Some(Script::Identifier) => walk.given_out.push(walk.text(value).into()),
        Some(Script::FunctionValue | Script::Arrow | Script::Class | Script::Object) => {
            let name = walk.field(value, "name");
            let text = name.map_or("default", |name| walk.text(name));
            walk.given_out.push(text.into());
            let at = name.map_or(Span::at(walk.span(value).start), |name| walk.span(name));
            let declaration = Declaration::new(Kind::Constant, Name::new(text), at, walk.span(node));
            bind_value(walk, declaration, (node, Some(value)));
        }
        _ => {}
    }
}

/// Declares what an assignment gives a name: `exports.x = …`, `module.exports = …`, `X.prototype.y = …`,
/// `X.y = …`, `x = function …`.
pub(super) fn assignment<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    links::assignment(walk, node);
    if walk.take_declared(node) {
        return;
    }
    let (Some(left), Some(right)) = (walk.field(node, "left"), walk.field(node, "right")) else { return };
    let path: Vec<&str> = walk.text(left).split('.').map(str::trim).collect();
    let plain = path.iter().all(|part| {
        !part.is_empty() && part.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '$' | '#'))
    });
    if !plain {
        return;
    }
    let top = !walk.in_code();
    match path[..] {
        ["module", "exports"] | ["exports"] if top => whole_exports(walk, node, right),
        ["module", "exports", name] | ["exports", name] if top => {
            walk.is_module = true;
            walk.given_out.push(name.into());
            if walk.kind(right) == Some(Script::Identifier) {
                walk.given_out.push(walk.text(right).into());
            }
            named(walk, (node, left, right), Kind::Constant);
        }
        [class, "prototype"] if top && walk.kind(right) == Some(Script::Object) => {
            let qualified = walk.namespace(class);
            walk.open_at(right, Scope::Namespace(qualified));
            walk.declared_at(right, node);
        }
        [class, "prototype", _] => {
            let qualified = walk.namespace(class);
            walk.open(Scope::Namespace(qualified));
            let declared = walk.outline.declarations.len();
            named(walk, (node, left, right), Kind::Method);
            if is_stopgap(walk, node, left)
                && let Some(declaration) = walk.outline.declarations.get_mut(declared)
            {
                declaration.unasked = true;
            }
        }
        ["this", _] => named(walk, (node, left, right), Kind::Method),
        [owner, .., _] => {
            let qualified = walk.namespace(owner);
            walk.open(Scope::Namespace(qualified));
            named(walk, (node, left, right), Kind::Method);
        }
        _ => named(walk, (node, left, right), Kind::Constant),
    }
}

/// Returns the function or class that a variable gets through other names, `const Press = module.exports = function …`, with
/// what of it is given out noted: it is declared once, as the variable. Any other value is returned as it is.
pub(super) fn assigned_in_between<'t>(
    walk: &mut Walk<'t, Script>,
    declarator: Node<'t>,
    (name, value): (Node<'t>, Node<'t>),
) -> Node<'t> {
    let mut chain = Vec::new();
    let mut last = value;
    while walk.kind(last) == Some(Script::Assignment)
        && let Some(inner) = walk.field(last, "right")
    {
        chain.push(last);
        last = unwrapped(walk, inner);
    }
    if chain.is_empty() || !is_callable(walk, last) {
        return value;
    }
    for assignment in chain {
        let target = walk.field(assignment, "left").map_or("", |left| walk.text(left));
        let is_given_out =
            target == "exports" || ["module.exports", "exports."].iter().any(|head| target.starts_with(head));
        if is_given_out && !walk.in_code() {
            walk.is_module = true;
            walk.given_out.push(walk.text(name).into());
        }
        walk.declared_at(assignment, declarator);
    }
    last
}

/// Tells whether an assignment only fills in what an older engine lacks: `if (!Array.prototype.at) Array.prototype.at = …`.
fn is_stopgap<'t>(walk: &Walk<'t, Script>, node: Node<'t>, left: Node<'t>) -> bool {
    let around = std::iter::successors(walk.parent(node), |&around| walk.parent(around)).take(3);
    let start = walk.span(node).start;
    around.filter(|around| around.kind() == "if_statement").any(|condition| {
        let head = walk.source.slice(Span::new(walk.span(condition).start, start));
        head.contains('!') && head.contains(walk.text(left))
    })
}

/// Declares what is assigned, where it is a function or a class.
fn named<'t>(walk: &mut Walk<'t, Script>, (node, left, right): (Node<'t>, Node<'t>, Node<'t>), kind: Kind) {
    let callable = is_callable(walk, right);
    if !callable && !is_documented(walk, walk.span(wrapper(walk, node)).start) {
        return;
    }
    // `first = second = function () {}` is declared once.
    let mut value = right;
    while walk.kind(value) == Some(Script::Assignment)
        && let Some(inner) = walk.field(value, "right")
    {
        value = inner;
    }
    if !callable && is_callable(walk, value) {
        return;
    }
    let name = walk.field(left, "property").unwrap_or(left);
    let kind = if callable { kind } else { Kind::Field };
    let mut declaration = walk.start(kind, name, wrapper(walk, node), None);
    declaration.name = bare_name(walk, name);
    bind_value(walk, declaration, (node, Some(right)));
}

/// Tells whether a value is a function or a class.
fn is_callable(walk: &Walk<'_, Script>, value: Node<'_>) -> bool {
    matches!(walk.kind(value), Some(Script::FunctionValue | Script::Arrow | Script::Class))
}

/// Notes what `module.exports = …` gives out.
fn whole_exports<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>, right: Node<'t>) {
    walk.is_module = true;
    match walk.kind(right) {
        Some(Script::Identifier) => walk.given_out.push(walk.text(right).into()),
        Some(Script::Object) => {
            for member in walk.children(right) {
                let given = match walk.kind(member) {
                    Some(Script::Shorthand) => Some(member),
                    Some(Script::Pair) => {
                        if let Some(key) = walk.field(member, "key") {
                            walk.given_out.push(bare_name(walk, key).as_str().into());
                        }
                        walk.field(member, "value")
                            .filter(|&value| walk.kind(value) == Some(Script::Identifier))
                    }
                    Some(Script::Method) => walk.field(member, "name"),
                    _ => None,
                };
                if let Some(given) = given {
                    walk.given_out.push(walk.text(given).into());
                }
            }
            // Its keys are the module's own names.
            walk.declared_at(right, node);
        }
        Some(Script::FunctionValue | Script::Arrow | Script::Class) => {
            let name = walk.field(right, "name");
            let text = name.map_or("default", |name| walk.text(name));
            walk.given_out.push(text.into());
            let at = name.map_or(Span::at(walk.span(right).start), |name| walk.span(name));
            let declaration =
                Declaration::new(Kind::Constant, Name::new(text), at, walk.span(wrapper(walk, node)));
            bind_value(walk, declaration, (node, Some(right)));
        }
        _ => {}
    }
}

/// Narrows what the file does not give out, and with it what it owns.
pub(super) fn settle(walk: &mut Walk<'_, Script>) {
    if !walk.is_module {
        return;
    }
    let given: std::collections::HashSet<_> = walk.given_out.iter().cloned().collect();
    for at in 0..walk.outline.declarations.len() {
        let declaration = &walk.outline.declarations[at];
        let narrowed = match declaration.owner {
            Some(owner) => walk.outline.declaration(owner).surface,
            None => {
                let root = declaration.qualified.split('.').next().unwrap_or_default();
                if given.contains(root) { Surface::Public } else { Surface::Private }
            }
        };
        let declaration = &mut walk.outline.declarations[at];
        declaration.surface = declaration.surface.max(narrowed);
    }
}
