//! Ruby nodes to declarations, and what leaves a body.

use std::collections::HashMap;

use smol_str::{SmolStr, format_smolstr};

use super::Ruby;
use crate::languages::shared::refuses_null;
use crate::model::{
    Answer, ClosedSet, DeclId, Declaration, Excuse, Kind, Name, Origin, ParamName, Parameter, Parts,
    RawComment, Returns, Surface, Variadic,
};
use crate::reading::{Next, Node, Raised, Scope, Walk};
use crate::text::Span;

fn begin_declaration<'t>(walk: &Walk<'t, Ruby>, kind: Kind, name: Node<'t>, node: Node<'t>) -> Declaration {
    let mut declaration = walk.start(kind, name, node, walk.field(node, "body"));
    let line = walk.source.line_span(walk.source.line(walk.span(name).start));
    declaration.hidden = line.is_some_and(|line| {
        let mark = walk.source.slice(line).split_once(":nodoc:");
        mark.is_some_and(|(before, _)| before.trim_end().ends_with('#'))
    });
    declaration
}

/// Declares a class or module.
pub(super) fn type_declaration<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>, is: Ruby) {
    let Some(name) = walk.field(node, "name") else { return };
    // A module is a name space, and a type that classes take in.
    let kind = if is == Ruby::Class { Kind::Class } else { Kind::Trait };
    let mut declaration = begin_declaration(walk, kind, name, node);
    let text = walk.text(name).replace("::", ".");
    declaration.name = Name::new(text.trim_start_matches('.'));
    declaration.parts = Parts::Open;
    if let Some(superclass) = walk.field(node, "superclass") {
        declaration.supertypes =
            walk.children(superclass).into_iter().map(|ty| Name::simple(walk.text(ty))).collect();
    }
    declaration.header_end =
        walk.field(node, "superclass").map_or(walk.span(name).end, |ty| walk.span(ty).end);
    walk.enter(declaration);
}

/// Notes where the methods of an object's own class stand: a word like `private` in it bears on them alone.
pub(super) fn singleton_class<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let span = walk.span(node);
    let owner = walk.owner();
    walk.notes.push((span.start, owner, format_smolstr!("<< {}", span.end)));
}

/// Declares a method.
pub(super) fn method<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>, is: Ruby) {
    let Some(name) = walk.field(node, "name") else { return };
    let text = walk.text(name);
    let constructor = is == Ruby::Method && text == "initialize";
    let in_type = walk.owner_kind().is_some_and(Kind::is_type);
    let kind = match () {
        () if constructor => Kind::Constructor,
        () if text.starts_with(|c: char| !(c.is_alphanumeric() || c == '_' || !c.is_ascii())) => {
            Kind::Operator
        }
        () if in_type || is == Ruby::SingletonMethod => Kind::Method,
        () => Kind::Function,
    };
    let mut declaration = begin_declaration(walk, kind, name, node);
    declaration.header_end =
        walk.field(node, "parameters").map_or(walk.span(name).end, |list| walk.span(list).end);
    declaration.body = crate::model::Body::Present;
    declaration.signature.parameters = parameters(walk, node);
    declaration.signature.returns = if constructor { Returns::nothing() } else { Returns::default() };
    declaration.unasked = is_setter(text);
    if text.ends_with('?') {
        declaration.signature.returns.set = Some(ClosedSet::Boolean);
    }
    if matches!(text, "==" | "<=>" | "===" | "eql?" | "!" | "=~") {
        declaration.excuses.push(Excuse::Conventional);
    }
    if constructor && declaration.signature.parameters.is_empty() && walk.field(node, "body").is_none() {
        declaration.excuses.push(Excuse::EmptyConstructors);
    }
    let wrapped = walk.parent(node).filter(|&parent| walk.kind(parent) == Some(Ruby::Arguments));
    if let Some(call) = wrapped.and_then(|arguments| walk.parent(arguments)) {
        // `private def …`: the comment stands above the word.
        declaration.span = walk.span(call);
    }
    walk.enter(declaration);
    if !constructor {
        // What the last expression gives is what comes back; nobody says whether it is meant.
        walk.returns(Answer::Unknown);
    }
    // Any name may be a call.
    walk.calls();
}

/// Tells whether a method is called by an assignment: `press.load = 12`.
fn is_setter(name: &str) -> bool {
    name.strip_suffix('=').is_some_and(|name| name.ends_with(|c: char| c.is_alphanumeric() || c == '_'))
}

fn parameters<'t>(walk: &Walk<'t, Ruby>, node: Node<'t>) -> Vec<Parameter> {
    let Some(list) = walk.field(node, "parameters") else { return Vec::new() };
    let mut out = Vec::new();
    for child in walk.children(list) {
        let span = walk.span(child);
        let mut parameter = match walk.kind(child) {
            Some(Ruby::Identifier) => Parameter::of(walk.text(child), span),
            Some(Ruby::Forward) => {
                Parameter { variadic: Variadic::Keywords, ..Parameter::new(ParamName::Rest, span) }
            }
            Some(Ruby::Destructured) => Parameter::new(ParamName::Destructured(Vec::new()), span),
            Some(kind) => match walk.field(child, "name") {
                Some(name) => Parameter::of(walk.text(name), walk.span(name)),
                // `*`, `**` and `&` alone pass on what they do not name.
                None => Parameter { exempt: true, ..Parameter::new(unnamed(kind), span) },
            },
            None => continue,
        };
        parameter.default = walk.field(child, "value").map(|value| walk.span(value));
        parameter.optional = parameter.default.is_some()
            || matches!(walk.kind(child), Some(Ruby::Splat | Ruby::HashSplat | Ruby::BlockParameter));
        match walk.kind(child) {
            Some(Ruby::Splat) => parameter.variadic = Variadic::Positional,
            Some(Ruby::HashSplat) => parameter.variadic = Variadic::Keywords,
            _ => {}
        }
        parameter.keyed = walk.kind(child) == Some(Ruby::Optional)
            && parameter.default.is_some_and(|default| walk.source.slice(default) == "{}");
        parameter.exempt |= parameter.named().is_some_and(|name| name.as_str().starts_with('_'));
        out.push(parameter);
    }
    out
}

fn unnamed(kind: Ruby) -> ParamName {
    if matches!(kind, Ruby::Splat | Ruby::HashSplat) { ParamName::Rest } else { ParamName::Unnamed }
}

/// Declares a constant.
pub(super) fn constant<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let Some(name) = walk.field(node, "left").filter(|&left| walk.kind(left) == Some(Ruby::Constant)) else {
        return;
    };
    if !walk.in_code() {
        let mut declaration = begin_declaration(walk, Kind::Constant, name, node);
        declaration.header_end = walk.span(name).end;
        walk.declare(declaration);
    }
}

/// Words that change how far the methods that follow, or that they name, can be seen.
const VISIBILITY: &[&str] = &[
    "private", "protected", "public", "module_function", "private_class_method", "public_class_method",
    "private_constant",
];

/// Looks at a call: attributes, visibility, `raise`.
pub(super) fn call<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) -> Next {
    let Some(method) = walk.field(node, "method") else { return Next::Into };
    let name = walk.text(method);
    if walk.field(node, "receiver").is_some() {
        return Next::Into;
    }
    match name {
        "attr_accessor" | "attr_reader" | "attr_writer" | "attr" if !walk.in_code() => {
            attributes(walk, node, name)
        }
        "require" | "require_relative" | "include" | "extend" | "prepend" | "using" if !walk.in_code() => {
            let separator = walk.span(node);
            walk.outline.separators.push(separator);
            if matches!(name, "include" | "extend" | "prepend") {
                takes_in(walk, node);
            }
        }
        "raise" | "fail" => raises(walk, node),
        _ if VISIBILITY.contains(&name) && !walk.in_code() => {
            visibility(walk, node, name);
        }
        _ => {}
    }
    Next::Into
}

/// Notes the modules that a type takes in: what they declare is the type's as well.
fn takes_in<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let (Some(owner), Some(arguments)) = (walk.owner(), walk.field(node, "arguments")) else { return };
    let modules = walk.children(arguments);
    let named =
        modules.into_iter().filter(|&ty| matches!(walk.kind(ty), Some(Ruby::Constant | Ruby::Resolution)));
    let named: Vec<Name> = named.map(|ty| Name::simple(walk.text(ty))).collect();
    walk.outline.declarations[owner.0 as usize].supertypes.extend(named);
}

fn attributes<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>, word: &str) {
    let Some(arguments) = walk.field(node, "arguments") else { return };
    let wrapped = walk.parent(node).filter(|&parent| walk.kind(parent) == Some(Ruby::Arguments));
    let whole = wrapped.and_then(|arguments| walk.parent(arguments)).unwrap_or(node);
    for symbol in walk.children_of(arguments, Ruby::Symbol) {
        let mut declaration = begin_declaration(walk, Kind::Property, symbol, whole);
        declaration.name = Name::new(walk.text(symbol).trim_start_matches(':'));
        declaration.header_end = walk.span(node).end;
        declaration.signature.returns.exempt = true;
        declaration.answered = word == "attr_writer";
        walk.declare(declaration);
    }
}

fn visibility<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>, word: &str) {
    let at = walk.span(node).start;
    let owner = walk.owner();
    let Some(arguments) = walk.field(node, "arguments") else { return };
    for argument in walk.children(arguments) {
        let text = walk.text(argument);
        match walk.kind(argument) {
            Some(Ruby::Symbol | Ruby::String) => {
                let name = text.trim_matches([':', '"', '\'']);
                walk.notes.push((at, owner, format_smolstr!("{word} {name}")));
            }
            Some(Ruby::Method | Ruby::SingletonMethod) => {
                let name = walk.field(argument, "name").map_or("", |name| walk.text(name));
                walk.notes.push((at, owner, format_smolstr!("{word} {name}")));
            }
            Some(Ruby::Call) => {
                // `private attr_reader :x`
                let inner =
                    walk.field(argument, "arguments").map(|inner| walk.children_of(inner, Ruby::Symbol));
                for symbol in inner.unwrap_or_default() {
                    let name = walk.text(symbol).trim_start_matches(':');
                    walk.notes.push((at, owner, format_smolstr!("{word} {name}")));
                }
            }
            _ => {}
        }
    }
}

/// Looks at a bare word: `private` on a line of its own, `raise` without anything.
pub(super) fn word<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let text = walk.text(node);
    let is_word = matches!(text, "raise" | "fail") || VISIBILITY.contains(&text);
    // With arguments it is the method of a call, which was looked at as a whole.
    if !is_word || walk.parent(node).is_some_and(|parent| walk.kind(parent) == Some(Ruby::Call)) {
        return;
    }
    match text {
        "raise" | "fail" => {
            let span = walk.span(node);
            if !walk.rethrows(None, span, VAGUE) {
                walk.raises_unknown();
            }
        }
        _ if !walk.in_code() => {
            let (at, owner) = (walk.span(node).start, walk.owner());
            walk.notes.push((at, owner, SmolStr::new(text)));
        }
        _ => {}
    }
}

/// Handlers of these say nothing of what was raised.
const VAGUE: &[&str] = &["Exception", "StandardError"];

fn raises<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let condition = walk.take_condition(node);
    let first =
        walk.field(node, "arguments").and_then(|arguments| walk.children(arguments).into_iter().next());
    let Some(mut thrown) = first else {
        let span = walk.span(node);
        if !walk.rethrows(None, span, VAGUE) {
            walk.raises_unknown();
        }
        return;
    };
    if walk.kind(thrown) == Some(Ruby::Call)
        && walk.field(thrown, "method").is_some_and(|method| matches!(walk.text(method), "new" | "exception"))
        && let Some(receiver) = walk.field(thrown, "receiver")
    {
        thrown = receiver;
    }
    let span = walk.span(thrown);
    let ty = match walk.kind(thrown) {
        Some(Ruby::Constant | Ruby::Resolution) => Name::simple(walk.text(thrown)),
        // Many a project has a `fail` of its own.
        Some(Ruby::String) if walk.field(node, "method").is_none_or(|method| walk.text(method) != "fail") => {
            Name::new("RuntimeError")
        }
        Some(Ruby::Identifier) if walk.rethrows(Some(walk.text(thrown)), span, VAGUE) => return,
        _ => {
            walk.raises_unknown();
            return;
        }
    };
    let origin = if refuses_null(walk, condition) { Origin::Guard } else { Origin::Body };
    let exempt = matches!(ty.as_str(), "NotImplementedError" | "AbstractMethodError");
    walk.raises(Raised { ty, span, origin, exempt, condition });
}

/// Notes the condition behind a statement.
pub(super) fn guard<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    if let (Some(body), Some(condition)) = (walk.field(node, "body"), walk.field(node, "condition"))
        && node.kind() == "if_modifier"
    {
        let span = walk.span(condition);
        walk.guard_at(body, span);
    }
}

fn caught<'t>(walk: &Walk<'t, Ruby>, clause: Node<'t>) -> Vec<Name> {
    let name = |ty| match walk.kind(ty) {
        Some(Ruby::Constant | Ruby::Resolution) => Name::simple(walk.text(ty)),
        // A list or a call that gives the types.
        _ => Name::new("Exception"),
    };
    match walk.field(clause, "exceptions") {
        Some(list) => walk.children(list).into_iter().map(name).collect(),
        None => vec![Name::new("StandardError")],
    }
}

/// Guards the statements that stand before the handlers of a block.
pub(super) fn begin<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let clauses = walk.children_of(node, Ruby::Rescue);
    if clauses.is_empty() {
        return;
    }
    let types: Vec<Name> = clauses.iter().flat_map(|&clause| caught(walk, clause)).collect();
    for statement in walk.children(node) {
        if !matches!(walk.kind(statement), Some(Ruby::Rescue | Ruby::Else | Ruby::Ensure)) {
            walk.open_at(statement, Scope::Try(types.clone()));
        }
    }
}

/// Opens a handler.
pub(super) fn rescue<'t>(walk: &mut Walk<'t, Ruby>, node: Node<'t>) {
    let types = caught(walk, node);
    let name = walk
        .field(node, "variable")
        .and_then(|variable| walk.children(variable).into_iter().next())
        .map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, types));
}

/// Methods of the core that call their block before they come back.
const IMMEDIATE: &[&str] = &[
    "all?", "any?", "collect", "detect", "downto", "each", "each_key", "each_pair", "each_value",
    "each_with_index", "each_with_object", "fetch", "find", "flat_map", "inject", "loop", "map", "none?",
    "reduce", "reject", "select", "step", "synchronize", "tap", "then", "times", "upto",
];

/// Tells whether a block surely is called by the method it is given to.
pub(super) fn runs_at_once<'t>(walk: &Walk<'t, Ruby>, node: Node<'t>) -> bool {
    let call = walk.parent(node).filter(|&parent| walk.kind(parent) == Some(Ruby::Call));
    let method = call.and_then(|call| walk.field(call, "method"));
    method.is_some_and(|method| IMMEDIATE.contains(&walk.text(method)))
}

fn surface_of(word: &str) -> Option<Surface> {
    match word.trim_start_matches('@') {
        "private" | "private_class_method" | "private_constant" => Some(Surface::Private),
        "protected" => Some(Surface::Protected),
        "public" | "module_function" | "public_class_method" => Some(Surface::Public),
        _ => None,
    }
}

/// What the words of one class say about how far its members can be seen.
#[derive(Default)]
struct Said<'n> {
    /// Of names: where, and by which word.
    of_names: HashMap<&'n str, Vec<(u32, &'n str)>>,
    /// Of all that follows, in source order.
    from_here: Vec<(u32, &'n str)>,
}

/// The directive that says in a comment how far something can be seen: `@!visibility private`.
const IN_COMMENTS: &str = "@!visibility ";

/// Returns what comments say by a directive of all that follows in their class: alone, and with a free line below. Of what
/// they stand above it is said as of that alone.
fn said_by_comments(walk: &Walk<'_, Ruby>) -> Vec<(u32, Option<DeclId>, SmolStr)> {
    let source = walk.source;
    if memchr::memmem::find(source.text().as_bytes(), IN_COMMENTS.as_bytes()).is_none() {
        return Vec::new();
    }
    let said = |comment: &RawComment| {
        let word =
            source.slice(comment.span).trim_start_matches('#').trim().strip_prefix(IN_COMMENTS)?.trim();
        let below = source.line_span(source.line(comment.span.end) + 1).map_or("", |line| source.slice(line));
        let alone = !word.contains('\n') && below.trim().is_empty();
        alone.then(|| (comment.span.start, comment.owner, format_smolstr!("@{word}")))
    };
    walk.outline.comments.iter().filter_map(said).collect()
}

/// Works out how far each method can be seen, when all words were read.
pub(super) fn settle(walk: &mut Walk<'_, Ruby>) {
    let mut notes = std::mem::take(&mut walk.notes);
    notes.extend(said_by_comments(walk));
    notes.sort_by_key(|&(place, ..)| place);
    let singletons: Vec<Span> = notes
        .iter()
        .filter_map(|(at, _, text)| Some(Span::new(*at, text.strip_prefix("<< ")?.parse().ok()?)))
        .collect();
    let around = |at: u32| singletons.iter().rposition(|span| span.start <= at && at < span.end);
    let mut said: HashMap<Option<DeclId>, Said<'_>> = HashMap::new();
    for (place, owner, text) in &notes {
        let said = said.entry(*owner).or_default();
        match text.split_once(' ') {
            Some((word, named)) => said.of_names.entry(named).or_default().push((*place, word)),
            None => said.from_here.push((*place, text)),
        }
    }
    let source = walk.source;
    for at in 0..walk.outline.declarations.len() {
        let declaration = &walk.outline.declarations[at];
        let (start, owner) = (declaration.name_span.start, declaration.owner);
        let head = source.slice(Span::new(declaration.span.start, start));
        let own_singleton = head.contains("self.") || head.contains("def ") && head.trim_end().ends_with('.');
        let alike = |place: u32| around(place) == around(start);
        let constant = matches!(declaration.kind, Kind::Constant | Kind::Class | Kind::Trait);
        let by_word = !own_singleton
            && matches!(declaration.kind, Kind::Method | Kind::Property | Kind::Operator | Kind::Constructor);
        let mut surface = None;
        if let Some(said) = said.get(&owner) {
            let mut named =
                said.of_names.get(declaration.name.as_str()).into_iter().flatten().filter(|(_, word)| {
                    if *word == "private_constant" {
                        constant
                    } else {
                        word.ends_with("class_method") == own_singleton
                    }
                });
            let before = said.from_here.partition_point(|(place, _)| *place < start);
            let mut from_here = said.from_here[..before].iter().rev();
            // A comment says it of types and constants as well, a word of methods alone.
            let last = from_here
                .find(|(place, word)| {
                    alike(*place) && surface_of(word).is_some() && (by_word || word.starts_with('@'))
                })
                .and_then(|(_, word)| surface_of(word));
            // What is said of a name holds over what is said of all that follow.
            let named = named.rfind(|(place, _)| alike(*place));
            surface = named.map_or(last, |(_, word)| surface_of(word));
        }
        let narrowed = owner.map_or(Surface::Public, |owner| walk.outline.declaration(owner).surface);
        let declaration = &mut walk.outline.declarations[at];
        let found = surface.unwrap_or(declaration.surface).max(narrowed);
        declaration.surface = declaration.surface.max(found);
    }
}
