//! C and C++ nodes to declarations.

use std::collections::{HashMap, HashSet};

use smol_str::SmolStr;

use super::kinds::C;
use super::lists::{parameters, rest, type_parameters};
use crate::languages::shared::without_comments;
use crate::model::{
    Answer, Body, ClosedSet, Declaration, Doc, Excuse, Kind, Name, Parameter, Returns, Signature, Surface,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::Span;

/// A declarator taken apart.
pub(super) struct Declared<'t> {
    pub(super) name: Node<'t>,
    /// The list of parameters that follows the name.
    function: Option<Node<'t>>,
    /// It is a pointer to a function, not one.
    pointer_to_function: bool,
    /// Pointers and references stand between the type and the function.
    indirect: bool,
}

/// Takes a declarator apart; nothing when it has no name.
pub(super) fn declared<'t>(walk: &Walk<'t, C>, declarator: Node<'t>) -> Option<Declared<'t>> {
    let mut node = declarator;
    let mut out = Declared { name: node, function: None, pointer_to_function: false, indirect: false };
    loop {
        match walk.kind(node) {
            Some(C::FunctionDeclarator) => {
                let inner = walk.field(node, "declarator")?;
                // A list further in is the function's own: those around it are of what it gives back.
                out.indirect |= out.function.is_some();
                out.function = Some(node);
                let in_parens = walk.kind(inner) == Some(C::Parenthesized);
                out.pointer_to_function = in_parens
                    && walk.children(inner).first().is_some_and(|&first| {
                        !matches!(walk.kind(first), Some(C::Identifier | C::FunctionDeclarator))
                    });
                node = inner;
            }
            Some(C::Pointer | C::Reference) => {
                out.indirect |= out.function.is_none();
                node = walk.field(node, "declarator").or_else(|| last_child(walk, node))?;
            }
            Some(C::Array | C::Initialised) => {
                node = walk.field(node, "declarator").or_else(|| first_child(walk, node))?
            }
            Some(C::Parenthesized) => node = last_child(walk, node)?,
            Some(
                C::Identifier
                | C::Qualified
                | C::Destructor
                | C::OperatorName
                | C::OperatorCast
                | C::TemplateName,
            ) => {
                out.name = node;
                let mut last = node;
                while walk.kind(last) == Some(C::Qualified)
                    && let Some(inner) = walk.field(last, "name")
                {
                    last = inner;
                }
                if walk.kind(last) == Some(C::Pointer) {
                    // A pointer to a member: `Class::*name`.
                    out.name = walk.field(last, "declarator").unwrap_or(last);
                    out.pointer_to_function |= out.function.is_some();
                }
                if walk.kind(last) == Some(C::OperatorCast) {
                    out.function = walk.field(last, "declarator");
                }
                return Some(out);
            }
            _ => return None,
        }
    }
}

fn first_child<'t>(walk: &Walk<'t, C>, node: Node<'t>) -> Option<Node<'t>> {
    walk.children(node).into_iter().next()
}

fn last_child<'t>(walk: &Walk<'t, C>, node: Node<'t>) -> Option<Node<'t>> {
    walk.children(node).into_iter().next_back()
}

/// The last part of a name, and the owners before it.
fn parts<'t>(walk: &Walk<'t, C>, name: Node<'t>) -> (Node<'t>, Vec<SmolStr>) {
    let mut owners = Vec::new();
    let mut node = name;
    while walk.kind(node) == Some(C::Qualified) {
        if let Some(scope) = walk.field(node, "scope") {
            let text = walk.text(scope).split('<').next().unwrap_or_default().trim();
            owners.extend(text.split("::").filter(|part| !part.is_empty()).map(SmolStr::new));
        }
        let Some(inner) = walk.field(node, "name") else { break };
        node = inner;
    }
    (node, owners)
}

/// Spells a name as callers do: `~Name`, `operator+`, `operator bool`.
fn spelt(walk: &Walk<'_, C>, name: Node<'_>) -> Name {
    let text = match walk.kind(name) {
        Some(C::OperatorCast) => {
            let text = walk.text(name).split('(').next().unwrap_or_default().trim();
            let ty = text.strip_prefix("operator").unwrap_or(text).split('<').next().unwrap_or_default();
            let ty = ty.rsplit("::").next().unwrap_or_default().trim();
            return Name::new(&format!("operator {ty}"));
        }
        Some(C::TemplateName) => walk.text(name).split('<').next().unwrap_or_default().trim(),
        _ => walk.text(name),
    };
    let joined = text.split_whitespace().collect::<Vec<_>>().join(" ");
    let joined = if joined.starts_with("operator") && !joined.contains(char::is_alphanumeric) {
        joined.replace(' ', "")
    } else if let Some(sign) = joined
        .strip_prefix("operator ")
        .filter(|sign| !sign.starts_with(|c: char| c.is_alphabetic() || c == '_'))
    {
        format!("operator{}", sign.replace(' ', ""))
    } else {
        joined
    };
    Name::new(&joined)
}

/// Returns the node that the comment of a declaration stands above.
fn outer<'t>(walk: &Walk<'t, C>, node: Node<'t>) -> Node<'t> {
    let mut out = node;
    while let Some(parent) = walk.parent(out) {
        let wraps = walk.kind(parent) == Some(C::Template)
            || matches!(parent.kind(), "friend_declaration" | "linkage_specification" if parent.named_child(0) != Some(out) || parent.kind() == "friend_declaration")
                && walk.field(parent, "body").is_none_or(|body| body.id() == out.id());
        if !wraps {
            break;
        }
        out = parent;
    }
    out
}

pub(super) fn is_header(path: &str) -> bool {
    let lower = path.to_ascii_lowercase();
    [".h", ".hpp", ".hh", ".hxx", ".h++", ".inl", ".ipp", ".tpp"].iter().any(|ending| lower.ends_with(ending))
}

/// How far something outside types can be seen: from a header everywhere, else by who declares it again.
fn free_surface<'t>(walk: &Walk<'t, C>, node: Node<'t>) -> Surface {
    let hidden = walk.children_of(node, C::Storage).into_iter().any(|word| walk.text(word) == "static");
    match is_header(walk.source.path()) {
        _ if in_anonymous_namespace(walk) => Surface::Private,
        true => Surface::Public,
        false if hidden => Surface::Private,
        false => Surface::Package,
    }
}

fn in_anonymous_namespace(walk: &Walk<'_, C>) -> bool {
    walk.namespace("").contains("<anonymous>")
}

/// Notes an access specifier, which holds for the members below it.
pub(super) fn access<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let (at, owner, text) = (walk.span(node).start, walk.owner(), SmolStr::new(walk.text(node)));
    walk.notes.push((at, owner, text));
}

fn member_surface(walk: &Walk<'_, C>) -> Option<Surface> {
    let owner = walk.owner()?;
    let kind = walk.outline.declaration(owner).kind;
    if !matches!(kind, Kind::Class | Kind::Struct | Kind::Union) {
        return None;
    }
    let said = walk.notes.iter().rev().find(|(_, noted, _)| *noted == Some(owner));
    Some(match said.map(|(.., text)| text.as_str()) {
        Some("public") => Surface::Public,
        Some("protected") => Surface::Protected,
        Some(_) => Surface::Private,
        None if kind == Kind::Class => Surface::Private,
        None => Surface::Public,
    })
}

/// Declares a function with its body.
pub(super) fn function<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(declarator) = walk.field(node, "declarator") else { return };
    if let Some(found) = declared(walk, declarator).filter(|found| found.function.is_some()) {
        callable(walk, node, &found, walk.field(node, "body"));
    }
}

/// Declares what a declaration declares: functions, variables, members.
pub(super) fn declaration<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    // The parameters of the oldest form of definition are declared behind its list.
    if walk.parent(node).is_some_and(|parent| walk.kind(parent) == Some(C::Function)) {
        return;
    }
    let mut cursor = node.walk();
    let declarators: Vec<_> = node.children_by_field_name("declarator", &mut cursor).collect();
    for declarator in declarators {
        let Some(found) = declared(walk, declarator) else { continue };
        if found.function.is_some() && !found.pointer_to_function {
            callable(walk, node, &found, None);
        } else if !walk.in_code() {
            variable(walk, node, &found);
        }
    }
}

/// Words that types of numbers are made of.
const NUMBERS: &[&str] =
    &["bool", "char", "double", "float", "int", "long", "short", "signed", "size_t", "unsigned"];

fn variable<'t>(walk: &mut Walk<'t, C>, node: Node<'t>, found: &Declared<'t>) {
    let (name, owners) = parts(walk, found.name);
    if !owners.is_empty() {
        return;
    }
    let whole = outer(walk, node);
    let mut declaration = walk.start(Kind::Field, name, whole, None);
    declaration.header_end = walk.span(name).end;
    declaration.signature.type_parameters = type_parameters(walk, whole);
    declaration.surface = member_surface(walk).unwrap_or_else(|| free_surface(walk, node));
    declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
    declaration.signature.returns.exempt = true;
    if let Some(function) = found.function {
        // What a pointer to a function takes may be told where it stands.
        declaration.signature.parameters = parameters(walk, function);
    } else {
        // What an object of a class takes when it is called, or a function whose type has a name, is not told here.
        let number = |ty: Node<'_>| walk.text(ty).split_whitespace().all(|word| NUMBERS.contains(&word));
        declaration.signature.hidden = walk.field(node, "type").is_some_and(|ty| !number(ty));
    }
    walk.declare(declaration);
}

fn callable<'t>(walk: &mut Walk<'t, C>, node: Node<'t>, found: &Declared<'t>, body: Option<Node<'t>>) {
    let Some(function) = found.function else { return };
    let (name, owners) = parts(walk, found.name);
    let ty = walk.field(node, "type");
    let text = spelt(walk, name);
    let class = match owners.last() {
        Some(last) => Some(Name::new(last)),
        None => walk
            .owner()
            .map(|owner| walk.outline.declaration(owner))
            .filter(|owner| owner.kind.is_type())
            .map(|owner| owner.name.clone()),
    };
    // A macro in front may be taken for a type: `PRESS_INLINE Vat::Vat(int size)`.
    let constructs = (ty.is_none() || !owners.is_empty()) && class.as_ref() == Some(&text);
    let kind = match () {
        () if constructs => Kind::Constructor,
        () if text.as_str().starts_with("operator")
            && !text.as_str()[8..].starts_with(|c: char| c.is_alphanumeric() || c == '_') =>
        {
            Kind::Operator
        }
        () if class.is_some() => Kind::Method,
        () => Kind::Function,
    };
    let whole = outer(walk, node);
    let mut declaration = walk.start(kind, name, whole, body);
    declaration.name = text;
    declaration.qualified = SmolStr::new(declaration.name.as_str());
    if body.is_none() {
        declaration.header_end = walk.span(node).end;
    }
    declaration.surface = member_surface(walk).unwrap_or_else(|| free_surface(walk, node));
    declaration.signature = Signature {
        parameters: parameters(walk, function),
        type_parameters: type_parameters(walk, whole),
        returns: returns(walk, (node, function), found, constructs),
        ..Signature::default()
    };
    read_marks(walk, node, function, &mut declaration);
    excuse(walk, node, &mut declaration, class.as_ref());
    declaration.body = if body.is_some() { Body::Present } else { Body::Absent };
    if !owners.is_empty() {
        let qualified = walk.namespace(&owners.join("."));
        walk.open(Scope::Namespace(qualified));
    }
    let id = walk.declare(declaration);
    if let Some(body) = body {
        walk.open_at(body, Scope::Declaration(id));
    }
}

/// Reads what stands around the signature: overriding, deprecation.
fn read_marks<'t>(walk: &Walk<'t, C>, node: Node<'t>, function: Node<'t>, declaration: &mut Declaration) {
    declaration.overrides = walk
        .children_of(function, C::VirtualSpecifier)
        .into_iter()
        .any(|word| matches!(walk.text(word), "override" | "final"));
    // Attributes may have been blanked: the source tells.
    let (start, end) = (walk.span(node).start, declaration.header_end);
    let list = walk.field(function, "parameters").map_or(Span::new(end, end), |list| walk.span(list));
    // What is taken may be called so: `bool deprecated`.
    let around = [Span::new(start, list.start.clamp(start, end)), Span::new(list.end.clamp(start, end), end)];
    declaration.deprecated = around.into_iter().any(|part| {
        let words = without_comments(walk.source.slice(part));
        words.split(|c: char| !(c.is_alphanumeric() || c == '_')).any(says_deprecated)
    });
    if declaration.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
}

/// Tells whether a word of a header is an attribute or a macro that marks what is deprecated: `deprecated`,
/// `YARD_DEPRECATED_FOR`, not the name of a type, `yard_handler_is_deprecated`.
fn says_deprecated(word: &str) -> bool {
    let bare = word.trim_matches('_');
    let lower = bare.to_ascii_lowercase();
    lower == "deprecated"
        || lower.starts_with("deprecated_")
        || (lower.contains("deprecated") && !bare.chars().any(char::is_lowercase))
}

fn excuse<'t>(walk: &Walk<'t, C>, node: Node<'t>, declaration: &mut Declaration, class: Option<&Name>) {
    let name = declaration.name.as_str();
    let parameters = &declaration.signature.parameters;
    let same_class = |parameter: &Parameter| {
        parameter
            .ty
            .is_some_and(|ty| class.is_some_and(|class| Name::simple(walk.source.slice(ty)) == *class))
    };
    let special = name.starts_with('~')
        || walk.child(node, C::Default).is_some()
        || (declaration.kind == Kind::Constructor && parameters.len() == 1 && same_class(&parameters[0]))
        || matches!(
            name,
            "operator="
                | "operator=="
                | "operator!="
                | "operator<"
                | "operator>"
                | "operator<="
                | "operator>="
                | "operator<=>"
                | "operator<<"
                | "operator>>"
        );
    if special {
        declaration.excuses.push(Excuse::Conventional);
    }
    if declaration.kind == Kind::Constructor && parameters.is_empty() {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    let starts = matches!(name, "main" | "wmain" | "_tmain" | "WinMain" | "wWinMain");
    if starts && declaration.kind == Kind::Function {
        declaration.excuses.push(Excuse::Main);
    }
}

fn returns<'t>(
    walk: &Walk<'t, C>,
    (node, function): (Node<'t>, Node<'t>),
    found: &Declared<'t>,
    constructs: bool,
) -> Returns {
    if constructs || walk.kind(parts(walk, found.name).0) == Some(C::Destructor) {
        return Returns::nothing();
    }
    if let Some(trailing) = walk.child(function, C::TrailingReturn) {
        let ty = walk.children(trailing).into_iter().next().unwrap_or(trailing);
        let value = if walk.text(ty).trim() == "void" { Answer::No } else { Answer::Yes };
        return Returns::typed(value, walk.span(ty));
    }
    if walk.kind(parts(walk, found.name).0) == Some(C::OperatorCast) {
        // What it converts to is its name.
        return Returns { value: Answer::Yes, typed_enough: true, ..Returns::default() };
    }
    let Some(ty) = walk.field(node, "type") else {
        // What has no type in C gives `int`, or stands behind a macro.
        return Returns { exempt: true, ..Returns::default() };
    };
    let text = walk.text(ty);
    let value = match text {
        "void" if !found.indirect => Answer::No,
        "auto" => Answer::Unknown,
        // A macro or a name for it: `VOID`, `void_or_error`.
        text if !found.indirect && text.split('_').any(|word| matches!(word, "void" | "VOID")) => {
            Answer::Unknown
        }
        _ => Answer::Yes,
    };
    let set = (!found.indirect && matches!(text, "bool" | "_Bool")).then_some(ClosedSet::Boolean);
    Returns { set, ..Returns::typed(value, walk.span(ty)) }
}

/// Declares a class, struct or union that has members here.
pub(super) fn type_specifier<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(body) = walk.field(node, "body") else { return };
    let kind = match node.kind() {
        "class_specifier" => Kind::Class,
        "union_specifier" => Kind::Union,
        _ => Kind::Struct,
    };
    let around = walk.parent(node).filter(|&parent| {
        matches!(
            walk.kind(parent),
            Some(C::Declaration | C::FieldDeclaration | C::TypeDefinition | C::Template)
        )
    });
    let whole = around.map_or(node, |around| outer(walk, around));
    let name = walk.field(node, "name").or_else(|| {
        // `typedef struct { … } name;` names it behind.
        let typedef = around.filter(|&around| walk.kind(around) == Some(C::TypeDefinition))?;
        walk.field(typedef, "declarator")
            .and_then(|declarator| declared(walk, declarator))
            .map(|found| found.name)
    });
    let Some(name) = name else {
        let at = Span::at(walk.span(node).start);
        let mut declaration = Declaration::new(kind, Name::new("<anonymous>"), at, walk.span(node));
        declaration.surface = member_surface(walk).unwrap_or(Surface::Public);
        declaration.unasked = true;
        walk.enter(declaration);
        return;
    };
    let (last, owners) = parts(walk, name);
    let mut declaration = walk.start(kind, last, whole, Some(body));
    declaration.name = Name::new(walk.text(last).split('<').next().unwrap_or_default());
    declaration.qualified = SmolStr::new(declaration.name.as_str());
    declaration.surface = member_surface(walk).unwrap_or_else(|| {
        if in_anonymous_namespace(walk) {
            Surface::Private
        } else if is_header(walk.source.path()) {
            Surface::Public
        } else {
            Surface::Package
        }
    });
    declaration.signature.type_parameters = type_parameters(walk, whole);
    if let Some(bases) = walk.child(node, C::Bases) {
        let types = walk.children(bases).into_iter().filter(|&base| walk.kind(base) != Some(C::Access));
        declaration.supertypes = types.map(|ty| Name::simple(walk.text(ty))).collect();
    }
    if !owners.is_empty() {
        let qualified = walk.namespace(&owners.join("."));
        walk.open(Scope::Namespace(qualified));
    }
    walk.enter(declaration);
}

/// Declares an enumeration that has enumerators here.
pub(super) fn enumeration<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(body) = walk.field(node, "body") else { return };
    let around = walk.parent(node).filter(|&parent| {
        matches!(walk.kind(parent), Some(C::Declaration | C::FieldDeclaration | C::TypeDefinition))
    });
    let name = walk.field(node, "name").or_else(|| {
        let typedef = around.filter(|&around| walk.kind(around) == Some(C::TypeDefinition))?;
        walk.field(typedef, "declarator")
            .and_then(|declarator| declared(walk, declarator))
            .map(|found| found.name)
    });
    let whole = around.map_or(node, |around| outer(walk, around));
    let surface = member_surface(walk).unwrap_or_else(|| free_surface(walk, node));
    let Some(name) = name else {
        let at = Span::at(walk.span(node).start);
        let mut declaration = Declaration::new(Kind::Enum, Name::new("<anonymous>"), at, walk.span(whole));
        declaration.header_end = walk.span(body).start;
        declaration.surface = surface;
        declaration.unasked = true;
        walk.enter(declaration);
        return;
    };
    let mut declaration = walk.start(Kind::Enum, name, whole, Some(body));
    declaration.surface = surface;
    walk.enter(declaration);
}

/// Declares an enumerator.
pub(super) fn enumerator<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let mut declaration = walk.start(Kind::EnumMember, name, node, None);
    declaration.excuses.push(Excuse::EnumMembers);
    walk.declare(declaration);
}

/// Declares a named type; one of a function is a callback, whose parameters may be told.
pub(super) fn type_definition<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    if walk.in_code() {
        return;
    }
    let with_members = walk.field(node, "type").is_some_and(|ty| walk.field(ty, "body").is_some());
    let mut cursor = node.walk();
    let declarators: Vec<_> = node.children_by_field_name("declarator", &mut cursor).collect();
    for (number, declarator) in declarators.into_iter().enumerate() {
        let Some(found) = declared(walk, declarator) else { continue };
        let named_so = with_members && number == 0;
        let own_name = walk.field(node, "type").and_then(|ty| walk.field(ty, "name")).is_some();
        if named_so && !own_name {
            continue;
        }
        let kind = if found.function.is_some() { Kind::Delegate } else { Kind::TypeAlias };
        let mut declaration = walk.start(kind, found.name, outer(walk, node), None);
        declaration.header_end = walk.span(found.name).end;
        declaration.surface = member_surface(walk).unwrap_or_else(|| free_surface(walk, node));
        // Another name of what is declared here anyway is asked for nothing.
        declaration.unasked |= with_members || is_forward(walk, node);
        if let Some(function) = found.function {
            declaration.header_end = walk.span(node).end;
            declaration.signature.parameters = parameters(walk, function);
            declaration.signature.returns = returns(walk, (node, function), &found, false);
        }
        walk.declare(declaration);
    }
}

/// `typedef struct name name;` only announces a type.
fn is_forward<'t>(walk: &Walk<'t, C>, node: Node<'t>) -> bool {
    walk.field(node, "type").is_some_and(|ty| matches!(walk.kind(ty), Some(C::Type | C::Enum)))
}

/// Declares an alias or a concept.
pub(super) fn alias<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let whole = outer(walk, node);
    let mut declaration = walk.start(Kind::TypeAlias, name, whole, None);
    declaration.surface = member_surface(walk).unwrap_or_else(|| free_surface(walk, node));
    declaration.signature.type_parameters = type_parameters(walk, whole);
    walk.declare(declaration);
}

/// Declares a macro that takes arguments.
pub(super) fn function_macro<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let mut declaration = walk.start(Kind::Macro, name, node, None);
    // The line break belongs to the directive.
    let text = walk.text(node).trim_end();
    declaration.span.end = declaration.span.start + crate::text::narrow(text.len());
    declaration.surface = if is_header(walk.source.path()) { Surface::Public } else { Surface::Private };
    if let Some(list) = walk.field(node, "parameters") {
        declaration.header_end = walk.span(list).end;
        let mut cursor = list.walk();
        for child in list.children(&mut cursor) {
            let span = walk.span(child);
            match child.kind() {
                "identifier" => declaration.signature.parameters.push(Parameter::of(walk.text(child), span)),
                "..." => declaration.signature.parameters.push(rest(span)),
                _ => {}
            }
        }
    }
    declaration.signature.returns.exempt = true;
    walk.declare(declaration);
}

/// Declares a macro without arguments, for its comment alone.
pub(super) fn object_macro<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let mut declaration = walk.start(Kind::Constant, name, node, None);
    let text = walk.text(node).trim_end();
    declaration.span.end = declaration.span.start + crate::text::narrow(text.len());
    declaration.header_end = declaration.name_span.end;
    declaration.surface = if is_header(walk.source.path()) { Surface::Public } else { Surface::Private };
    declaration.unasked = true;
    declaration.signature.hidden = true;
    walk.declare(declaration);
}

/// Opens a name space.
pub(super) fn namespace<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let name = walk.field(node, "name").map_or("<anonymous>", |name| walk.text(name));
    let qualified = walk.namespace(&name.replace("::", "."));
    walk.open(Scope::Namespace(qualified));
}

/// Works out what only the whole file tells: twins, prototypes and their definitions, groups.
pub(super) fn settle(walk: &mut Walk<'_, C>) {
    answer_twins(walk);
    answer_groups(walk);
    // What a template is for, it says itself, not each type that it is made for.
    let source = walk.source;
    for declaration in &mut walk.outline.declarations {
        let parts = source.slice(declaration.header()).split_once("template");
        // A macro may stand in front, with what it is given.
        let is_macro = |before: &str| before.is_empty() || before.ends_with([')', ' ', '\n']);
        let rest = parts.filter(|(before, _)| is_macro(before)).map(|(_, rest)| rest);
        let parameters = rest.and_then(|rest| rest.trim_start().strip_prefix('<'));
        declaration.unasked |= parameters.is_some_and(|rest| rest.trim_start().starts_with('>'));
    }
    // Macros that are undefined again are nobody's to use.
    let undefined = undefined(walk.source.text());
    for declaration in walk.outline.declarations.iter_mut().filter(|found| found.kind == Kind::Macro) {
        declaration.unasked |= undefined.contains(declaration.name.as_str());
    }
}

/// Returns the names that `#undef` takes back.
fn undefined(text: &str) -> HashSet<&str> {
    let lines = memchr::memmem::find_iter(text.as_bytes(), "undef").filter_map(|at| {
        let line = text[..at].trim_end_matches([' ', '\t']);
        let rest = line.ends_with('#').then(|| &text[at + "undef".len()..])?;
        let name = rest.strip_prefix([' ', '\t'])?.trim_start_matches([' ', '\t']);
        name.split(|c: char| !(c.is_alphanumeric() || c == '_')).next()
    });
    lines.collect()
}

/// Of a prototype and its definition, or of the branches of a condition, one is asked for a comment: the
/// first that has one, else the first.
fn answer_twins(walk: &mut Walk<'_, C>) {
    let mut seen: HashMap<_, Vec<usize>> = HashMap::new();
    for (at, declaration) in walk.outline.declarations.iter().enumerate() {
        // What is made of a template for one type has the template's name, and its members that of others.
        let behind = &walk.source.text()[declaration.name_span.end as usize..];
        let made_for_one =
            behind.trim_start().starts_with('<') || walk.source.slice(declaration.name_span).contains('<');
        let is_type = declaration.kind.is_type() && !made_for_one;
        let key = match declaration.kind {
            _ if declaration.unasked => continue,
            kind if is_type => (kind, 0, declaration.owner),
            Kind::Macro => (Kind::Macro, declaration.signature.parameters.len(), None),
            kind if kind.is_callable() && !kind.is_type() => {
                (Kind::Function, declaration.signature.parameters.len(), None)
            }
            _ => continue,
        };
        seen.entry((declaration.qualified.clone(), key)).or_default().push(at);
    }
    let texts = |declaration: &Declaration| -> Vec<String> {
        let types = declaration.signature.parameters.iter().map(|parameter| parameter.ty);
        types.map(|ty| ty.map(|ty| walk.source.slice(ty).to_owned()).unwrap_or_default()).collect()
    };
    let mut answered = Vec::new();
    for twins in seen.values().filter(|twins| twins.len() > 1) {
        let has_comment_behind = |at: usize| {
            let end = walk.outline.declarations[at].span.end;
            let behind = walk.outline.comments.partition_point(|comment| comment.span.start < end);
            walk.outline.comments.get(behind).is_some_and(|comment| {
                comment.standing == Doc::Back
                    && !walk.source.slice(Span::new(end, comment.span.start)).contains('\n')
            })
        };
        let is_doc = |at: usize| {
            let start = walk.outline.declarations[at].span.start;
            let before = walk.outline.comments.partition_point(|comment| comment.span.end <= start);
            before.checked_sub(1).is_some_and(|last| {
                let comment = &walk.outline.comments[last];
                let gap = walk.source.slice(Span::new(comment.span.end, start));
                // Conditions part nothing; a macro between has the comment for itself.
                let parts =
                    |line: &str| !line.is_empty() && (!line.starts_with('#') || line.contains("define"));
                comment.standing == Doc::Yes && !gap.lines().any(|line| parts(line.trim()))
            })
        };
        // Overloads of one arity are no twins: their types differ.
        let mut alike: Vec<(Vec<String>, Vec<usize>)> = Vec::new();
        for &at in twins {
            let declaration = &walk.outline.declarations[at];
            let types = if declaration.kind.is_type() { Vec::new() } else { texts(declaration) };
            match alike.iter_mut().find(|(known, _)| *known == types) {
                Some((_, group)) => group.push(at),
                None => alike.push((types, vec![at])),
            }
        }
        for (_, group) in alike {
            let told = group.iter().copied().find(|&at| is_doc(at) || has_comment_behind(at));
            let chosen = told.unwrap_or(group[0]);
            answered.extend(group.into_iter().filter(|&at| at != chosen));
        }
    }
    for at in answered {
        walk.outline.declarations[at].answered = true;
    }
}

/// What stands between `@{` and `@}` below a description is answered by it.
fn answer_groups(walk: &mut Walk<'_, C>) {
    /// A group of a file's whole content describes no single member.
    const WHOLE_FILE: u32 = 20_000;
    let source = walk.source;
    let mut open: Vec<(u32, bool)> = Vec::new();
    let mut groups: Vec<Span> = Vec::new();
    // The description may stand in a comment of its own, directly above the one that opens the group.
    let mut above: Option<Span> = None;
    for comment in walk.outline.comments.iter().filter(|comment| comment.standing == Doc::Elsewhere) {
        let text = source.slice(comment.span);
        let has = |sign: char| text.contains(&format!("@{sign}")) || text.contains(&format!("\\{sign}"));
        if has('{') {
            let before = above
                .filter(|above| source.slice(Span::new(above.end, comment.span.start)).trim().is_empty());
            let told = describes_members(text)
                || before.is_some_and(|before| describes_members(source.slice(before)));
            open.push((comment.span.end, told));
        } else if has('}')
            && let Some((start, told)) = open.pop()
            && told
            && comment.span.start - start <= WHOLE_FILE
        {
            groups.push(Span::new(start, comment.span.start));
        }
        above = Some(comment.span);
    }
    for declaration in &mut walk.outline.declarations {
        declaration.answered |= groups.iter().any(|group| group.contains(declaration.span));
    }
}

/// Tells whether a comment that opens a group says what its members are for: what names the group of a whole interface, or
/// a file, describes none of them, and a title alone says too little.
fn describes_members(text: &str) -> bool {
    const WHOLE: &[&str] = &["defgroup", "addtogroup", "weakgroup", "file"];
    let command = |line: &str| line.trim_start_matches(['/', '*', '!', ' ', '\t']).starts_with(['@', '\\']);
    let names = |line: &str, name: &str| {
        command(line)
            && line
                .split(['@', '\\'])
                .skip(1)
                .any(|rest| rest.split(|c: char| !c.is_alphabetic()).next() == Some(name))
    };
    let is_whole = |line: &str| WHOLE.iter().any(|name| names(line, name));
    let letters = |line: &str| line.chars().filter(|c| c.is_alphabetic()).count();
    !text.lines().any(is_whole)
        && text.lines().filter(|line| !names(line, "name")).map(letters).sum::<usize>() > 3
}
