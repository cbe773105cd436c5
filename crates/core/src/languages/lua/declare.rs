//! Lua and Luau nodes to declarations.

use std::collections::{HashMap, HashSet};

use smol_str::{SmolStr, format_smolstr};

use super::kinds::Lua;
use crate::model::{
    Answer, DeclId, Declaration, Kind, Name, ParamName, Parameter, Returns, Surface, TypeParameter, Variadic,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::{Span, narrow};

/// A name as it is written, taken apart: `a.b.c`, `a.b:c`.
struct Path<'t> {
    owner: Option<SmolStr>,
    last: Node<'t>,
    method: bool,
    /// The last part is not written as a name, but worked out: `scales[unit]`.
    worked_out: bool,
}

fn path<'t>(walk: &Walk<'t, Lua>, name: Node<'t>) -> Option<Path<'t>> {
    let last = match walk.kind(name) {
        Some(Lua::Identifier) => {
            return Some(Path { owner: None, last: name, method: false, worked_out: false });
        }
        Some(Lua::MethodName) => walk.field(name, "method")?,
        Some(Lua::Dot) => walk.field(name, "field")?,
        _ => return None,
    };
    let table = walk.text(walk.field(name, "table")?);
    let plain = table.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.'));
    let method = walk.kind(name) == Some(Lua::MethodName);
    let worked_out = name.kind() == "bracket_index_expression" && last.kind() != "string";
    plain.then(|| Path { owner: Some(SmolStr::new(table)), last, method, worked_out })
}

/// Declares what is at `path`, bound to a function with these parameters and body.
fn callable<'t>(
    walk: &mut Walk<'t, Lua>,
    path: &Path<'t>,
    (node, function): (Node<'t>, Node<'t>),
) -> Declaration {
    let kind = if path.method { Kind::Method } else { Kind::Function };
    let mut declaration = walk.start(kind, path.last, node, walk.field(function, "body"));
    declaration.name = if path.worked_out {
        // Nobody can look it up by what it is worked out from.
        declaration.unasked = true;
        let first = walk.text(path.last).lines().next().unwrap_or_default();
        Name::new(&format_smolstr!("[{first}]"))
    } else {
        Name::new(walk.text(path.last).trim_matches(['"', '\'']))
    };
    // What the language calls by itself has its meaning from there: `__index`, `__call`.
    declaration.unasked |= declaration.name.as_str().starts_with("__");
    declaration.body = crate::model::Body::Present;
    declaration.header_end =
        walk.field(function, "parameters").map_or(declaration.header_end, |list| walk.span(list).end);
    declaration.signature.parameters = parameters(walk, function);
    declaration.signature.receiver = Some(Name::new("self"));
    if let (Some(owner), Some(first)) = (&path.owner, declaration.signature.parameters.first_mut()) {
        // What is called by the table's own name is the table: `scale.weigh = function(scale, crate)`.
        let table = owner.rsplit('.').next().unwrap_or_default();
        first.exempt |= !path.method && first.named().is_some_and(|name| name.as_str() == table);
    }
    declaration.signature.type_parameters = type_parameters(walk, function);
    declaration.signature.returns = returns(walk, function);
    declaration
}

fn parameters<'t>(walk: &Walk<'t, Lua>, function: Node<'t>) -> Vec<Parameter> {
    let Some(list) = walk.field(function, "parameters") else { return Vec::new() };
    let mut out = Vec::new();
    for child in walk.children(list) {
        let parts = if walk.kind(child) == Some(Lua::Parameter) { walk.children(child) } else { vec![child] };
        let Some(&name) = parts.first() else { continue };
        let span = walk.span(name);
        let text = walk.text(name);
        let mut parameter = match walk.kind(name) {
            Some(Lua::Vararg) => {
                Parameter { variadic: Variadic::Positional, ..Parameter::new(ParamName::Rest, span) }
            }
            Some(Lua::Identifier) => Parameter::of(text, span),
            _ => continue,
        };
        parameter.exempt = text.starts_with('_') || text == "self";
        parameter.ty = parts.get(1).map(|&ty| walk.span(ty));
        parameter.optional = parameter.ty.is_some_and(|ty| walk.source.slice(ty).ends_with('?'));
        if text != "self" || !out.is_empty() {
            out.push(parameter);
        }
    }
    out
}

fn type_parameters<'t>(walk: &Walk<'t, Lua>, function: Node<'t>) -> Vec<TypeParameter> {
    let Some(list) = walk.child(function, Lua::TypeList) else { return Vec::new() };
    let names = walk.children_of(list, Lua::Identifier).into_iter();
    names.map(|name| TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) }).collect()
}

/// The type that stands between parameter list and body.
fn returns<'t>(walk: &Walk<'t, Lua>, function: Node<'t>) -> Returns {
    let children = walk.children(function);
    let list = children.iter().position(|&child| walk.kind(child) == Some(Lua::Parameters));
    let ty = list.and_then(|list| children.get(list + 1)).filter(|&&ty| walk.kind(ty) != Some(Lua::Block));
    let Some(&ty) = ty else { return Returns::default() };
    let value = if matches!(walk.text(ty), "()" | "nil" | "never") { Answer::No } else { Answer::Yes };
    Returns::typed(value, walk.span(ty))
}

fn is_local(node: Node<'_>) -> bool {
    let mut cursor = node.walk();
    let first = node.children(&mut cursor).next();
    first.is_some_and(|first| first.kind() == "local")
}

/// Adds a declaration under its table.
fn declare<'t>(walk: &mut Walk<'t, Lua>, path: &Path<'t>, declaration: Declaration) -> DeclId {
    if let Some(owner) = &path.owner {
        let qualified = walk.namespace(owner);
        walk.open(Scope::Namespace(qualified));
    }
    walk.declare(declaration)
}

/// Declares a function.
pub(super) fn function<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    let Some(path) = walk.field(node, "name").and_then(|name| path(walk, name)) else {
        walk.open(Scope::Barrier);
        return;
    };
    if is_local(node) && !walk.in_code() {
        note_local(walk, path.last);
    }
    let declaration = callable(walk, &path, (node, node));
    let id = declare(walk, &path, declaration);
    walk.open(Scope::Declaration(id));
}

fn note_local(walk: &mut Walk<'_, Lua>, name: Node<'_>) {
    let (at, text) = (walk.span(name).start, walk.text(name));
    walk.notes.push((at, None, format_smolstr!("local {text}")));
}

/// Notes names that are declared without values: `local f`, given its function further down.
pub(super) fn bare_locals<'t>(walk: &mut Walk<'t, Lua>, names: Node<'t>) {
    let declared = walk
        .parent(names)
        .is_some_and(|statement| walk.kind(statement) == Some(Lua::Variables) && is_local(statement));
    if !declared || walk.in_code() {
        return;
    }
    for name in walk.children_of(names, Lua::Identifier) {
        note_local(walk, name);
    }
}

/// Declares the functions that an assignment gives names; also notes local names and later exports.
pub(super) fn assignment<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    let mut parts = walk.children(node).into_iter();
    let (Some(left), Some(right)) = (parts.next(), parts.next()) else { return };
    let statement = walk.parent(node).filter(|&parent| walk.kind(parent) == Some(Lua::Variables));
    let local = statement.is_some_and(is_local);
    let whole = statement.unwrap_or(node);
    let names = walk.children(left);
    let values = walk.children(right);
    for (at, &name) in names.iter().enumerate() {
        if local && !walk.in_code() && walk.kind(name) == Some(Lua::Identifier) {
            note_local(walk, name);
        }
        let Some(path) = path(walk, name) else { continue };
        let Some(&value) = values.get(at) else { continue };
        match walk.kind(value) {
            Some(Lua::FunctionValue) => {
                let declaration = callable(walk, &path, (whole, value));
                let id = declare(walk, &path, declaration);
                walk.open_at(value, Scope::Declaration(id));
                walk.declared_at(value, node);
            }
            Some(Lua::Table) if !walk.in_code() => {
                let owner = match &path.owner {
                    Some(owner) => format_smolstr!("{owner}.{}", walk.text(path.last)),
                    None => SmolStr::new(walk.text(path.last)),
                };
                let qualified = walk.namespace(&owner);
                walk.open_at(value, Scope::Namespace(qualified));
            }
            // `M.weigh = weigh` gives out a local under its own name or another.
            Some(Lua::Identifier) if path.owner.is_some() && !walk.in_code() => {
                let owner = path.owner.clone().unwrap_or_default();
                let given = walk.text(value);
                walk.notes.push((0, None, format_smolstr!("{owner} gives {given}")));
            }
            _ => {}
        }
    }
}

/// Declares a function that stands in a table.
pub(super) fn field<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    let (Some(name), Some(value)) = (walk.field(node, "name"), walk.field(node, "value")) else { return };
    if walk.kind(value) == Some(Lua::FunctionValue) {
        let path =
            Path { owner: None, last: name, method: false, worked_out: is_worked_out(walk, node, name) };
        let declaration = callable(walk, &path, (node, value));
        let id = walk.declare(declaration);
        walk.open_at(value, Scope::Declaration(id));
        walk.declared_at(value, node);
    }
}

/// Tells whether the key of a field is not written but worked out: `["weigh_" .. unit] = function() … end`.
fn is_worked_out(walk: &Walk<'_, Lua>, field: Node<'_>, key: Node<'_>) -> bool {
    walk.text(field).starts_with('[') && key.kind() != "string"
}

/// Declares a named type of Luau.
pub(super) fn type_definition<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let inner = walk.child(name, Lua::Identifier).unwrap_or(name);
    let mut declaration = walk.start(Kind::TypeAlias, inner, node, None);
    declaration.surface =
        if walk.text(node).starts_with("export") { Surface::Public } else { Surface::Private };
    // The names of a type's own types are not its values.
    walk.notes.push((walk.span(inner).start, None, format_smolstr!("type {}", walk.text(inner))));
    walk.declare(declaration);
}

/// Notes a call; `error` throws what has no type.
pub(super) fn call<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    if walk.field(node, "name").is_some_and(|name| walk.text(name) == "error") {
        walk.raises_unknown();
    } else {
        walk.calls();
    }
}

/// Notes a `return`. What hands on a function of this file gives what that one gives, which is known at the end.
pub(super) fn returned<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    let Some(&list) = walk.children(node).first() else { return };
    let values = walk.children(list);
    let tail = match &values[..] {
        [call] if walk.kind(*call) == Some(Lua::Call) => walk.field(*call, "name"),
        _ => None,
    };
    if let (Some(tail), Some(owner)) = (tail, walk.body_owner()) {
        let (at, name) = (walk.span(tail).start, walk.text(tail));
        walk.notes.push((at, Some(owner), format_smolstr!("tail {name}")));
        walk.returns(Answer::Unknown);
    } else if walk.text(list).trim() != "nil" {
        walk.returns(Answer::Yes);
    }
}

/// Tells whether it hangs on an object which function a call is of (`widget:show`, `kinds[kind]`), and it is none of a
/// string's, which all give values.
fn hangs_on_object(name: &str) -> bool {
    const OF_STRINGS: &[&str] = &[
        "byte", "find", "format", "gmatch", "gsub", "len", "lower", "match", "rep", "reverse", "sub", "upper",
    ];
    name.ends_with(']') || name.rsplit_once(':').is_some_and(|(_, method)| !OF_STRINGS.contains(&method))
}

/// Settles what those functions give back that end in a call of another: a value, unless that one is of this file
/// and gives none.
fn settle_tails(walk: &mut Walk<'_, Lua>, notes: &[(u32, Option<DeclId>, SmolStr)]) {
    let mut tails: HashMap<DeclId, Vec<&str>> = HashMap::new();
    for (_, owner, text) in notes {
        if let (Some(owner), Some(name)) = (owner, text.strip_prefix("tail ")) {
            tails.entry(*owner).or_default().push(name);
        }
    }
    if tails.is_empty() {
        return;
    }
    let mut named: HashMap<SmolStr, Option<DeclId>> = HashMap::new();
    for (at, declaration) in walk.outline.declarations.iter().enumerate() {
        // Of two with one name it is not sure which one is called.
        let id = declaration.kind.is_callable().then(|| DeclId(narrow(at)));
        named.entry(declaration.qualified.as_str().into()).and_modify(|found| *found = None).or_insert(id);
    }
    loop {
        let settled: Vec<(DeclId, Answer)> = tails
            .iter()
            .filter_map(|(&owner, names)| {
                let answers = names.iter().map(|&name| match named.get(name).copied().flatten() {
                    Some(callee) => walk.returned(callee),
                    None if hangs_on_object(name) => Answer::Unknown,
                    None => Answer::Yes,
                });
                let answer = answers.fold(Answer::No, |all, one| match (all, one) {
                    (Answer::Yes, _) | (_, Answer::Yes) => Answer::Yes,
                    (Answer::Unknown, _) | (_, Answer::Unknown) => Answer::Unknown,
                    (Answer::No, Answer::No) => Answer::No,
                });
                let sure = answer != Answer::Unknown || walk.returned(owner) == Answer::Yes;
                sure.then_some((owner, answer))
            })
            .collect();
        if settled.is_empty() {
            break;
        }
        for (owner, answer) in settled {
            tails.remove(&owner);
            if walk.returned(owner) != Answer::Yes {
                walk.settle_returned(owner, answer);
            }
        }
    }
    // What only calls itself in a circle gives what nobody knows.
}

/// Notes what the module gives back at its end.
pub(super) fn module<'t>(walk: &mut Walk<'t, Lua>, node: Node<'t>) {
    if walk.in_code() || walk.owner().is_some() {
        return;
    }
    walk.is_module = true;
    let Some(list) = walk.children(node).into_iter().next() else { return };
    let Some(value) = walk.children(list).into_iter().next() else { return };
    if walk.kind(value) == Some(Lua::Table) {
        for field in walk.children_of(value, Lua::Field) {
            if let Some(given) =
                walk.field(field, "value").filter(|&given| walk.kind(given) == Some(Lua::Identifier))
            {
                walk.given_out.push(walk.text(given).into());
            }
        }
        // What stands in the returned table itself is given out.
        walk.notes.push((walk.span(value).start, None, format_smolstr!("out {}", walk.span(value).end)));
        return;
    }
    let text = walk.text(value);
    let words = text.split(|c: char| !(c.is_alphanumeric() || c == '_')).filter(|word| !word.is_empty());
    walk.given_out.extend(words.map(SmolStr::new));
}

/// What a comment names that stands above other code is described by it: `-- @function press.weigh` above the `if` in
/// which it is declared.
fn answer_named(walk: &mut Walk<'_, Lua>) {
    let source = walk.source;
    let mut named: Vec<(String, u32)> = Vec::new();
    for comment in &walk.outline.comments {
        let lines = source.slice(comment.span).lines();
        let words = lines.filter_map(|line| {
            let line = line.trim_start_matches([' ', '\t', '-']);
            let name = line.strip_prefix("@function ").or_else(|| line.strip_prefix("@name "))?.trim();
            (!name.is_empty() && !name.contains(char::is_whitespace)).then(|| name.replace(':', "."))
        });
        named.extend(words.map(|name| (name, comment.span.end)));
    }
    if named.is_empty() {
        return;
    }
    for declaration in &mut walk.outline.declarations {
        let qualified = declaration.qualified.as_str();
        let is_meant = |name: &str| name == qualified || (!name.contains('.') && declaration.name == name);
        declaration.answered |= named.iter().any(|(name, end)| {
            // Directly above it, it is its own.
            let apart = |between: &str| {
                between.lines().map(str::trim).any(|line| !line.is_empty() && !line.starts_with("--"))
            };
            is_meant(name)
                && (*end > declaration.span.start
                    || apart(source.slice(Span::new(*end, declaration.span.start))))
        });
    }
}

/// Works out what is given out, when all of the file was read.
pub(super) fn settle(walk: &mut Walk<'_, Lua>) {
    answer_named(walk);
    let notes = std::mem::take(&mut walk.notes);
    settle_tails(walk, &notes);
    let named = |prefix: &str| -> HashSet<SmolStr> {
        notes.iter().filter_map(|(_, _, text)| text.strip_prefix(prefix).map(SmolStr::new)).collect()
    };
    let (locals, types) = (named("local "), named("type "));
    let mut given: HashSet<SmolStr> = walk.given_out.iter().cloned().collect();
    let returned: Vec<Span> = notes
        .iter()
        .filter_map(|(at, _, text)| Some(Span::new(*at, text.strip_prefix("out ")?.parse().ok()?)))
        .collect();
    // A table that is given out gives out what is put into it.
    loop {
        let before = given.len();
        for (_, _, text) in &notes {
            if let Some((owner, name)) = text.split_once(" gives ") {
                let root = owner.split('.').next().unwrap_or_default();
                if given.contains(root) || !locals.contains(root) {
                    given.insert(name.into());
                }
            }
        }
        if given.len() == before {
            break;
        }
    }
    for declaration in &mut walk.outline.declarations {
        if declaration.owner.is_some() || types.contains(declaration.name.as_str()) {
            continue;
        }
        let root = declaration.qualified.split('.').next().unwrap_or_default();
        let inside = returned.iter().any(|span| span.contains(declaration.name_span));
        if locals.contains(root) && !given.contains(root) && !inside {
            declaration.surface = Surface::Private;
        }
    }
    for at in 0..walk.outline.declarations.len() {
        if let Some(owner) = walk.outline.declarations[at].owner {
            let surface = walk.outline.declaration(owner).surface;
            let declaration = &mut walk.outline.declarations[at];
            declaration.surface = declaration.surface.max(surface);
        }
    }
}
