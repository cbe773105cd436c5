//! Rust nodes to declarations.

use std::collections::{HashMap, HashSet};

use memchr::memmem;
use smol_str::SmolStr;

use super::Rust;
use crate::languages::shared::{join, line_between, narrow_by_type, take_out};
use crate::model::{
    Answer, Attached, ClosedSet, Declaration, Doc, Excuse, Kind, ModuleLink, Name, Origin, ParamName,
    Parameter, RawComment, Returns, Signature, Surface, Thrown, TypeParameter, Variadic,
};
use crate::reading::{Node, Raised, Scope, Walk};
use crate::text::Span;

/// What the attributes of an item say.
#[derive(Default)]
struct Attributes {
    start: Option<u32>,
    hidden: bool,
    deprecated: bool,
    test: bool,
    exported: bool,
    /// The comment is made by code.
    computed: bool,
    /// The name of the file that a module is, without its ending.
    path: Option<SmolStr>,
    /// The text of a `doc` attribute.
    doc: Option<Span>,
}

/// Takes the attributes right above an item; a doc comment between parts them.
fn attributes(walk: &mut Walk<'_, Rust>, node: Node<'_>) -> Attributes {
    let pending = std::mem::take(&mut walk.pending);
    let mut out = Attributes::default();
    let mut upto = walk.span(node).start;
    let mut documented = false;
    for &span in pending.iter().rev() {
        if span.end > upto {
            break;
        }
        let gap = walk.source.slice(Span::new(span.end, upto)).trim();
        let plain = |line: &str| line.is_empty() || line.starts_with("//");
        let is_block = gap.starts_with("/*") && gap.ends_with("*/");
        if !is_block && !gap.lines().all(|line| plain(line.trim())) {
            break;
        }
        read_attribute(walk, span, &mut out);
        upto = span.start;
        // What stands above documentation parts nothing from it.
        documented |= gap.starts_with("/**") || gap.lines().any(|line| line.trim().starts_with("///"));
        if !documented {
            out.start = Some(upto);
        }
    }
    out
}

fn read_attribute(walk: &Walk<'_, Rust>, span: Span, out: &mut Attributes) {
    let text = walk.source.slice(span);
    let inner = text.trim_start_matches("#[").trim_end_matches(']').trim();
    let name = inner.split(['(', '=', ' ']).next().unwrap_or_default();
    match name {
        "doc" => {
            // In parentheses stand instructions: `doc(hidden)`, `doc(alias = "…")`.
            let behind = inner["doc".len()..].trim_start();
            let mut said = behind.strip_prefix('(').unwrap_or_default().split([',', ')']);
            out.hidden |= said.any(|said| said.trim() == "hidden");
            if let Some(value) = behind.strip_prefix('=') {
                let value = value.trim();
                if value.starts_with('"') && value.len() > 1 {
                    let offset = text.find('"').unwrap_or(0) + 1;
                    let end = text.rfind('"').unwrap_or(text.len());
                    let start = span.start as usize;
                    out.doc = Some(Span::of(start + offset, start + end.max(offset)));
                } else {
                    out.computed = true;
                }
            }
        }
        // Whether there is a comment depends on what is built.
        "cfg_attr" if inner.contains("doc =") || inner.contains("doc=") => out.computed = true,
        "path" => {
            let file = inner.split('"').nth(1).and_then(|file| file.strip_suffix(".rs"));
            // `windows/mod.rs` is the module of that folder.
            let file = file.map(|file| file.strip_suffix("/mod").unwrap_or(file));
            out.path = file.filter(|file| !file.contains('/')).map(SmolStr::new);
        }
        "deprecated" => out.deprecated = true,
        "macro_export" => out.exported = true,
        "cfg" if inner.contains("(test)") => out.test = true,
        "test" | "bench" | "rstest" => out.test = true,
        _ if name.ends_with("::test") => out.test = true,
        _ => {}
    }
}

fn begin<'t>(
    walk: &mut Walk<'t, Rust>,
    kind: Kind,
    name: Node<'t>,
    node: Node<'t>,
) -> (Declaration, Attributes) {
    let attributes = attributes(walk, node);
    let mut declaration = walk.start(kind, name, node, walk.field(node, "body"));
    if let Some(start) = attributes.start {
        declaration.span.start = start;
    }
    declaration.surface = surface(walk, node);
    declaration.hidden = attributes.hidden;
    declaration.answered = attributes.computed;
    declaration.computed_comment = attributes.computed;
    declaration.deprecated = attributes.deprecated;
    if attributes.deprecated {
        declaration.excuses.push(Excuse::Deprecated);
    }
    let around = walk.owner().is_some_and(|owner| {
        let owner = walk.outline.declaration(owner);
        owner.kind == Kind::Module && owner.excuses.contains(&Excuse::Tests)
    });
    if attributes.test || around {
        declaration.excuses.push(Excuse::Tests);
    }
    if let Some(text) = attributes.doc {
        let id = walk.add_docstring(text, vec![text]);
        declaration.comment = Attached { doc: Some(id), misplaced: None };
    }
    (declaration, attributes)
}

fn surface<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> Surface {
    match walk.child(node, Rust::Visibility).map(|visibility| walk.text(visibility)) {
        Some("pub") => Surface::Public,
        Some(_) => Surface::Package,
        // What a trait declares, everybody sees who sees the trait.
        None if matches!(walk.owner_kind(), Some(Kind::Trait | Kind::EnumMember)) => Surface::Public,
        None => Surface::Private,
    }
}

/// Tells whether the current node stands in the implementation of a trait.
fn implements_trait<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> bool {
    let around = walk.parent(node).and_then(|list| walk.parent(list));
    around
        .is_some_and(|around| walk.kind(around) == Some(Rust::Impl) && walk.field(around, "trait").is_some())
}

fn mark_implemented<'t>(walk: &Walk<'t, Rust>, node: Node<'t>, declaration: &mut Declaration) {
    if implements_trait(walk, node) {
        declaration.overrides = true;
        declaration.surface = Surface::Public;
    }
}

/// Declares a function.
pub(super) fn function<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let in_type = matches!(walk.owner_kind(), Some(Kind::Trait)) || in_implementation(walk, node);
    let kind = if in_type { Kind::Method } else { Kind::Function };
    let (mut declaration, _) = begin(walk, kind, name, node);
    mark_implemented(walk, node, &mut declaration);
    declaration.signature = Signature {
        parameters: parameters(walk, node),
        type_parameters: type_parameters(walk, node),
        returns: returns(walk, node),
        throws: sections(walk, node),
        ..Signature::default()
    };
    if declaration.name == "main" && declaration.signature.parameters.is_empty() && kind == Kind::Function {
        declaration.excuses.push(Excuse::Main);
    }
    walk.enter(declaration);
}

fn in_implementation<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> bool {
    let around = walk.parent(node).and_then(|list| walk.parent(list));
    around.is_some_and(|around| walk.kind(around) == Some(Rust::Impl))
}

fn parameters<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> Vec<Parameter> {
    let Some(list) = walk.field(node, "parameters") else { return Vec::new() };
    let mut out = Vec::new();
    for child in walk.children(list) {
        match walk.kind(child) {
            Some(Rust::Parameter) => {
                let Some(pattern) = walk.field(child, "pattern") else { continue };
                let ty = walk.field(child, "type").map(|ty| walk.span(ty));
                out.push(Parameter { ty, ..named(walk, pattern) });
            }
            Some(Rust::Variadic) => {
                let mut parameter = Parameter::new(ParamName::Rest, walk.span(child));
                parameter.variadic = Variadic::Positional;
                out.push(parameter);
            }
            Some(Rust::SelfParameter | Rust::Attribute) => {}
            // Only a type, as in the oldest edition.
            _ => out.push(Parameter::new(ParamName::Unnamed, walk.span(child))),
        }
    }
    out
}

fn named<'t>(walk: &Walk<'t, Rust>, pattern: Node<'t>) -> Parameter {
    let span = walk.span(pattern);
    match walk.kind(pattern) {
        Some(Rust::Identifier) => {
            let mut parameter = Parameter::of(walk.text(pattern).trim_start_matches("r#"), span);
            parameter.exempt = walk.text(pattern).starts_with('_');
            parameter
        }
        Some(Rust::RefPattern) => match walk.children(pattern).into_iter().last() {
            Some(inner) => named(walk, inner),
            None => Parameter::new(ParamName::Unnamed, span),
        },
        _ if walk.text(pattern) == "_" => {
            Parameter { exempt: true, ..Parameter::new(ParamName::Unnamed, span) }
        }
        _ if walk.text(pattern) == "self" => Parameter { exempt: true, ..Parameter::of("self", span) },
        _ => Parameter::new(ParamName::Destructured(Vec::new()), span),
    }
}

fn type_parameters<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> Vec<TypeParameter> {
    let Some(list) = walk.field(node, "type_parameters") else { return Vec::new() };
    let of_types =
        |child: &Node<'t>| matches!(walk.kind(*child), Some(Rust::TypeParameter | Rust::ConstParameter));
    let declared = walk.children(list).into_iter().filter(of_types);
    declared
        .filter_map(|parameter| {
            let name = walk.field(parameter, "name")?;
            Some(TypeParameter { name: Name::new(walk.text(name)), span: walk.span(name) })
        })
        .collect()
}

fn returns<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> Returns {
    let Some(ty) = walk.field(node, "return_type") else { return Returns::nothing() };
    let text = walk.text(ty);
    let value = if matches!(text, "()" | "!") { Answer::No } else { Answer::Yes };
    Returns { set: (text == "bool").then_some(ClosedSet::Boolean), ..Returns::typed(value, walk.span(ty)) }
}

/// Returns the sections that the signature alone calls for.
fn sections<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> Vec<Thrown> {
    let thrown = |section: &str, span: Span| Thrown {
        ty: Name::new(section),
        span,
        origin: Origin::Declared,
        leaves: Answer::Yes,
        exempt: false,
        condition: None,
        caught: Vec::new(),
        via: None,
    };
    let mut out = Vec::new();
    if let Some(ty) = walk.field(node, "return_type").filter(|&ty| can_fail(walk, ty)) {
        out.push(thrown("Errors", walk.span(ty)));
    }
    if let Some(modifiers) = walk.child(node, Rust::FunctionModifiers) {
        let text = walk.text(modifiers);
        if let Some(at) =
            text.split_whitespace().any(|word| word == "unsafe").then(|| text.find("unsafe")).flatten()
        {
            let start = walk.span(modifiers).start as usize + at;
            out.push(thrown("Safety", Span::of(start, start + "unsafe".len())));
        }
    }
    out
}

/// Notes that a `Result` without arguments was imported; no name of the language looks like it.
const IMPORTED_RESULT: &str = "use Result";

/// `Result` itself, qualified, or an alias under the same name, as `io::Result`; or an alias of this file.
fn can_fail<'t>(walk: &Walk<'t, Rust>, ty: Node<'t>) -> bool {
    let base = if walk.kind(ty) == Some(Rust::Generic) { walk.field(ty, "type").unwrap_or(ty) } else { ty };
    let text = walk.text(base);
    let name = text.rsplit("::").next().unwrap_or_default().trim();
    // `Self::Result` and the like are types of a trait, whatever they stand for.
    let prefix = text.rsplit("::").nth(1).unwrap_or_default().trim();
    if prefix.starts_with(char::is_uppercase) || prefix.starts_with('<') || prefix.ends_with('>') {
        return false;
    }
    // What has no value never comes.
    let arguments = walk.text(ty).strip_suffix('>').map_or("", str::trim_end);
    let error = arguments.rsplit([',', ':', ' ']).next().unwrap_or_default();
    if matches!(error, "Infallible" | "!") {
        return false;
    }
    // Without arguments and path it may be a type parameter, unless it was imported.
    let known = walk.kind(ty) == Some(Rust::Generic)
        || text.contains("::")
        || walk.given_out.iter().any(|given| given == IMPORTED_RESULT);
    (name == "Result" && known)
        || walk.outline.declarations.iter().any(|declared| {
            declared.kind == Kind::TypeAlias
                && declared.name == name
                && declared.signature.returns.ty.is_some_and(|aliased| {
                    let head = walk.source.slice(aliased).split('<').next().unwrap_or_default();
                    head.rsplit("::").next() == Some("Result")
                })
        })
}

/// Declares a struct, enumeration, union or trait.
pub(super) fn type_item<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>, is: Rust) {
    let Some(name) = walk.field(node, "name") else { return };
    let kind = match is {
        Rust::Enum => Kind::Enum,
        Rust::Union => Kind::Union,
        Rust::Trait => Kind::Trait,
        _ => Kind::Struct,
    };
    let (mut declaration, _) = begin(walk, kind, name, node);
    declaration.signature.type_parameters = type_parameters(walk, node);
    walk.enter(declaration);
}

/// Declares a type alias, or the type that a trait leaves open.
pub(super) fn alias<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let (mut declaration, _) = begin(walk, Kind::TypeAlias, name, node);
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
    mark_implemented(walk, node, &mut declaration);
    if declaration.overrides {
        declaration.excuses.push(Excuse::Overrides);
    }
    walk.declare(declaration);
}

/// Opens the implementation of a type: what is inside is qualified by it.
pub(super) fn implementation<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    walk.pending.clear();
    let Some(ty) = walk.field(node, "type") else { return };
    let base = if walk.kind(ty) == Some(Rust::Generic) { walk.field(ty, "type").unwrap_or(ty) } else { ty };
    let name =
        walk.text(base).trim_start_matches(['&', ' ']).trim_start_matches("mut ").trim_start_matches("dyn ");
    let name = name.rsplit("::").next().unwrap_or_default();
    let qualified = walk.namespace(name);
    walk.open(Scope::Namespace(qualified));
}

/// Declares a module; only one with a body owns anything here.
pub(super) fn module<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let (mut declaration, attributes) = begin(walk, Kind::Module, name, node);
    declaration.unasked = true;
    if let Some(file) = attributes.path {
        let link = ModuleLink::Alias { given: file, local: SmolStr::new(walk.text(name)) };
        walk.outline.links.push(link);
    }
    walk.enter(declaration);
}

/// Declares a constant or static.
pub(super) fn constant<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let (mut declaration, _) = begin(walk, Kind::Constant, name, node);
    declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
    declaration.header_end = walk.field(node, "type").map_or(declaration.header_end, |ty| walk.span(ty).end);
    mark_implemented(walk, node, &mut declaration);
    if declaration.name != "_" {
        walk.declare(declaration);
    }
}

/// Declares a field or a variant.
pub(super) fn part<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>, is: Rust) {
    let Some(name) = walk.field(node, "name") else { return };
    let kind = if is == Rust::Variant { Kind::EnumMember } else { Kind::Field };
    let (mut declaration, _) = begin(walk, kind, name, node);
    if is == Rust::Variant {
        declaration.surface = Surface::Public;
        declaration.excuses.push(Excuse::EnumMembers);
        declaration.header_end = walk.span(name).end;
        walk.enter(declaration);
        return;
    }
    declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
    // What an enumeration's variant holds is part of the variant.
    declaration.unasked |= walk.owner_kind() == Some(Kind::EnumMember);
    walk.declare(declaration);
}

/// Declares a macro.
pub(super) fn macro_rules<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    let Some(name) = walk.field(node, "name") else { return };
    let (mut declaration, attributes) = begin(walk, Kind::Macro, name, node);
    declaration.surface = if attributes.exported { Surface::Public } else { Surface::Private };
    declaration.header_end = walk.span(name).end;
    declaration.signature.hidden = true;
    walk.declare(declaration);
}

/// Notes what is given out of modules of this file.
pub(super) fn re_export<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    walk.pending.clear();
    let span = walk.span(node);
    walk.outline.separators.push(span);
    if walk.text(node).trim_end_matches([';', '}', ' ', '\n']).ends_with("Result") {
        walk.given_out.push(IMPORTED_RESULT.into());
    }
    if surface(walk, node) != Surface::Public {
        return;
    }
    let Some(path) = walk.field(node, "argument").map(|argument| walk.text(argument)) else { return };
    walk.outline.links.extend(given_out(path));
    let names = path.split(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '*')));
    walk.given_out.extend(names.filter(|name| !name.is_empty()).map(Into::into));
}

/// Reads off what a `use` that everybody sees gives out: `press::{Scale, vats::{self, Vat as Tank}, labels::*}`.
fn given_out(tree: &str) -> Vec<ModuleLink> {
    let mut out = Vec::new();
    let mut path: Vec<&str> = Vec::new();
    let mut opened: Vec<usize> = Vec::new();
    let (mut rest, mut renamed) = (tree, false);
    let mut end = |path: &mut Vec<&str>, upto: usize| {
        if path.len() > upto
            && let Some((&name, module)) = path.split_last()
        {
            let module = SmolStr::new(module.join("::"));
            out.push(match name {
                "*" => ModuleLink::PassAll { module },
                _ => ModuleLink::Pass { given: SmolStr::new(name), module, name: None },
            });
        }
        path.truncate(upto);
    };
    while let Some(sign) = rest.chars().next() {
        let is_name = |c: char| c.is_alphanumeric() || matches!(c, '_' | '*' | '#');
        let length = rest.find(|c| !is_name(c)).unwrap_or(rest.len());
        match sign {
            '{' => opened.push(path.len()),
            ',' => end(&mut path, opened.last().copied().unwrap_or(0)),
            '}' => {
                end(&mut path, opened.pop().unwrap_or(0));
                // What stands in front of the braces is given out by what is in them.
                path.truncate(opened.last().copied().unwrap_or(0));
            }
            _ if length > 0 => {
                let word = &rest[..length];
                match word {
                    "as" => renamed = true,
                    _ if renamed => renamed = false,
                    // The module itself.
                    "self" if !path.is_empty() => {
                        let mut whole = path.clone();
                        end(&mut whole, path.len() - 1);
                    }
                    _ => path.push(word.trim_start_matches("r#")),
                }
            }
            _ => {}
        }
        rest = &rest[length.max(sign.len_utf8())..];
    }
    end(&mut path, 0);
    out
}

/// Tells whether a block is the body of a function.
pub(super) fn is_function_body<'t>(walk: &Walk<'t, Rust>, node: Node<'t>) -> bool {
    walk.parent(node).is_some_and(|parent| walk.kind(parent) == Some(Rust::Function))
}

fn panics(walk: &mut Walk<'_, Rust>, span: Span) {
    let ty = Name::new("Panics");
    walk.raises(Raised { ty, span, origin: Origin::Body, exempt: false, condition: None });
}

/// Notes a call; `unwrap` and `expect` panic.
pub(super) fn call<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    let method = walk
        .field(node, "function")
        .filter(|&function| walk.kind(function) == Some(Rust::FieldExpression))
        .and_then(|function| walk.field(function, "field"));
    match method.map(|method| (walk.text(method), walk.span(method))) {
        Some(("unwrap" | "expect", span)) => panics(walk, span),
        _ => walk.calls(),
    }
}

/// Notes a macro; some panic, what others do is not known.
pub(super) fn macro_call<'t>(walk: &mut Walk<'t, Rust>, node: Node<'t>) {
    walk.pending.clear();
    let Some(name) = walk.field(node, "macro") else { return };
    let span = walk.span(name);
    match walk.text(name) {
        "panic" | "assert" | "assert_eq" | "assert_ne" => panics(walk, span),
        "unreachable" | "unimplemented" | "todo" | "debug_assert" | "debug_assert_eq" | "debug_assert_ne" => {
            walk.raises_unknown();
        }
        _ => walk.calls(),
    }
}

/// Doc lines before and after attributes are one comment.
pub(super) fn join_around_attributes(walk: &mut Walk<'_, Rust>) {
    let source = walk.source;
    let joins = |first: &RawComment, second: &RawComment| {
        let alike =
            first.doc && second.doc && first.carrier == second.carrier && first.standing == second.standing;
        let gap = if first.span.end < second.span.start {
            source.slice(Span::new(first.span.end, second.span.start)).trim()
        } else {
            ""
        };
        // Empty lines part nothing either.
        let attributes = gap.lines().all(|line| line.trim().starts_with("#[") && line.trim().ends_with(']'));
        alike && attributes && !first.attached && !second.attached
    };
    let mut at = 0;
    while at + 1 < walk.outline.comments.len() {
        // An ordinary remark between lines of documentation parts them for nobody.
        if line_between((&walk.outline, source), at, |_| true) {
            take_out(&mut walk.outline, at + 1);
        }
        let (first, second) = (&walk.outline.comments[at], &walk.outline.comments[at + 1]);
        if !joins(first, second) {
            at += 1;
            continue;
        }
        join(&mut walk.outline, at);
    }
}

/// Narrows members by the type they belong to, and widens what a private module gives out.
pub(super) fn settle(walk: &mut Walk<'_, Rust>) {
    answer_twins(walk);
    answer_undocumented(walk);
    let given: HashSet<_> = walk.given_out.iter().cloned().collect();
    let passed_whole = |link: &ModuleLink| match link {
        ModuleLink::PassAll { module } => module.rsplit("::").next().map(SmolStr::new),
        _ => None,
    };
    let passed_whole: HashSet<SmolStr> = walk.outline.links.iter().filter_map(passed_whole).collect();
    let source = walk.source;
    let declarations = &mut walk.outline.declarations;
    for at in 0..declarations.len() {
        let declaration = &declarations[at];
        let owner = declaration.owner.map(|owner| &declarations[owner.0 as usize]);
        let root = declaration.qualified.split('.').next().unwrap_or_default();
        let exported = owner.is_some_and(|owner| {
            owner.kind == Kind::Module && (given.contains(root) || passed_whole.contains(owner.name.as_str()))
        });
        let says_pub = source.slice(Span::new(declaration.span.start, declaration.name_span.start));
        if exported && says_pub.contains("pub ") {
            declarations[at].surface = Surface::Public;
            // It is the file's own now.
            declarations[at].owner = None;
        }
    }
    narrow_by_type(declarations);
}

/// Asks nothing of what its author lets be without documentation, in words of the compiler, and of all that is in it:
/// `#[allow(missing_docs)]`.
fn answer_undocumented(walk: &mut Walk<'_, Rust>) {
    const LINT: &str = "missing_docs";
    let (source, declarations) = (walk.source, &mut walk.outline.declarations);
    if memmem::find(source.text().as_bytes(), LINT.as_bytes()).is_none() {
        return;
    }
    let says = |text: &str, opens: &[&str]| {
        let places = opens.iter().flat_map(|open| text.match_indices(open));
        places.into_iter().any(|(at, _)| text[at..].split(']').next().is_some_and(|said| said.contains(LINT)))
    };
    let first = declarations.first().map_or(0, |first| first.span.start);
    let whole = says(source.slice(Span::new(0, first)), &["#![allow(", "#![expect("]);
    let mut silent = vec![whole; declarations.len()];
    for at in 0..declarations.len() {
        let declaration = &declarations[at];
        let before = source.slice(Span::new(declaration.span.start, declaration.name_span.start));
        silent[at] |= declaration.owner.is_some_and(|owner| silent[owner.0 as usize])
            || says(before, &["#[allow(", "#[expect("]);
        declarations[at].answered |= silent[at];
    }
}

/// Of what is declared once for each configuration, one is asked for a comment: the first that has one, else the first.
fn answer_twins(walk: &mut Walk<'_, Rust>) {
    let (outline, source) = (&walk.outline, walk.source);
    let is_doc = |at: usize| {
        let start = outline.declarations[at].span.start;
        let before = outline.comments.partition_point(|comment| comment.span.end <= start);
        before.checked_sub(1).is_some_and(|last| {
            let comment = &outline.comments[last];
            let gap = source.slice(Span::new(comment.span.end, start));
            comment.standing == Doc::Yes && gap.trim().is_empty()
        })
    };
    // Names tell nothing of modules.
    let module_of = |declaration: &Declaration| {
        let mut owner = declaration.owner;
        while let Some(id) = owner.filter(|&id| outline.declaration(id).kind != Kind::Module) {
            owner = outline.declaration(id).owner;
        }
        owner
    };
    let mut seen: HashMap<_, Vec<usize>> = HashMap::new();
    for (at, declaration) in outline.declarations.iter().enumerate() {
        // What has one name may be of several implementations, unless it says otherwise.
        let owned = declaration.qualified != declaration.name.as_str()
            && matches!(declaration.kind, Kind::Method | Kind::Constant | Kind::TypeAlias);
        let attributes = source.slice(Span::new(declaration.span.start, declaration.name_span.start));
        if !owned || attributes.contains("#[cfg(") {
            let key = (module_of(declaration), &declaration.qualified, declaration.kind);
            seen.entry(key).or_default().push(at);
        }
    }
    let twins = seen.into_values().filter(|twins| twins.len() > 1);
    let answered: Vec<usize> = twins
        .flat_map(|twins| {
            let chosen = twins.iter().copied().find(|&at| is_doc(at)).unwrap_or(twins[0]);
            twins.into_iter().filter(move |&at| at != chosen)
        })
        .collect();
    for at in answered {
        walk.outline.declarations[at].answered = true;
    }
}

#[cfg(test)]
mod tests {
    use super::given_out;
    use crate::model::ModuleLink;

    #[test]
    fn trees_of_names_are_read_to_their_leaves() {
        let told: Vec<String> =
            given_out("press::{Scale, vats::{self, Vat as Tank}, labels::*}, crates::Crate")
                .iter()
                .map(|link| match link {
                    ModuleLink::Pass { given, module, .. } => format!("{module}/{given}"),
                    ModuleLink::PassAll { module } => format!("{module}/*"),
                    other => format!("{other:?}"),
                })
                .collect();
        assert_eq!(told, ["press/Scale", "press/vats", "press::vats/Vat", "press::labels/*", "crates/Crate"]);
        assert!(given_out("").is_empty());
        assert_eq!(given_out("press::Scale").len(), 1);
    }
}
