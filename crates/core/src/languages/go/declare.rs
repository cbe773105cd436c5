//! Go nodes to declarations.

use super::Go;
use crate::model::{
    Answer, ClosedSet, CommentId, Declaration, Doc, Excuse, Kind, ParamName, Parameter, Returns, Surface,
    TypeParameter, Variadic,
};
use crate::reading::{Node, Scope, Walk};
use crate::text::{Span, narrow};

/// Methods of interfaces of the standard library whose names others have as well: with the types that each takes and gives.
const OF_INTERFACES: &[(&str, &[&str], &[&str])] = &[
    // io
    ("Read", &["[]byte"], &["int", "error"]),
    ("Write", &["[]byte"], &["int", "error"]),
    ("Close", &[], &["error"]),
    ("Seek", &["int64", "int"], &["int64", "error"]),
    ("ReadAt", &["[]byte", "int64"], &["int", "error"]),
    ("WriteAt", &["[]byte", "int64"], &["int", "error"]),
    ("ReadFrom", &["io.Reader"], &["int64", "error"]),
    ("WriteTo", &["io.Writer"], &["int64", "error"]),
    ("ReadByte", &[], &["byte", "error"]),
    ("UnreadByte", &[], &["error"]),
    ("WriteByte", &["byte"], &["error"]),
    ("ReadRune", &[], &["rune", "int", "error"]),
    ("UnreadRune", &[], &["error"]),
    ("WriteString", &["string"], &["int", "error"]),
    // net
    ("Network", &[], &["string"]),
    ("LocalAddr", &[], &["net.Addr"]),
    ("RemoteAddr", &[], &["net.Addr"]),
    ("SetDeadline", &["time.Time"], &["error"]),
    ("SetReadDeadline", &["time.Time"], &["error"]),
    ("SetWriteDeadline", &["time.Time"], &["error"]),
    ("Accept", &[], &["net.Conn", "error"]),
    ("Addr", &[], &["net.Addr"]),
    ("Timeout", &[], &["bool"]),
    ("Temporary", &[], &["bool"]),
    // net/http
    ("RoundTrip", &["*http.Request"], &["*http.Response", "error"]),
    ("ServeHTTP", &["http.ResponseWriter", "*http.Request"], &[]),
    // container/heap, sync, context
    ("Push", &["any"], &[]),
    ("Pop", &[], &["any"]),
    ("Lock", &[], &[]),
    ("Unlock", &[], &[]),
    ("Deadline", &[], &["time.Time", "bool"]),
    ("Done", &[], &["<-chan struct{}"]),
    ("Err", &[], &["error"]),
    ("Value", &["any"], &["any"]),
    // crypto, hash
    ("Encrypt", &["[]byte", "[]byte"], &[]),
    ("Decrypt", &["[]byte", "[]byte"], &[]),
    ("BlockSize", &[], &["int"]),
    ("Sum", &["[]byte"], &["[]byte"]),
    ("Sum32", &[], &["uint32"]),
    ("Sum64", &[], &["uint64"]),
    // io/fs, image, go/ast
    ("Mode", &[], &["os.FileMode"]),
    ("Mode", &[], &["fs.FileMode"]),
    ("ModTime", &[], &["time.Time"]),
    ("IsDir", &[], &["bool"]),
    ("Sys", &[], &["any"]),
    ("ColorModel", &[], &["color.Model"]),
    ("Bounds", &[], &["image.Rectangle"]),
    ("At", &["int", "int"], &["color.Color"]),
    ("Visit", &["ast.Node"], &["ast.Visitor"]),
    // database/sql/driver
    ("Columns", &[], &["[]string"]),
    ("Next", &["[]driver.Value"], &["error"]),
    ("Prepare", &["string"], &["driver.Stmt", "error"]),
    ("Begin", &[], &["driver.Tx", "error"]),
    ("Query", &["[]driver.Value"], &["driver.Rows", "error"]),
    ("Exec", &["[]driver.Value"], &["driver.Result", "error"]),
    // errors, fmt, flag, database/sql
    ("Is", &["error"], &["bool"]),
    ("As", &["any"], &["bool"]),
    ("Format", &["fmt.State", "rune"], &[]),
    ("Set", &["string"], &["error"]),
    ("Scan", &["any"], &["error"]),
    ("Value", &[], &["driver.Value", "error"]),
    // encoding
    ("GobEncode", &[], &["[]byte", "error"]),
    ("GobDecode", &["[]byte"], &["error"]),
    ("MarshalXML", &["*xml.Encoder", "xml.StartElement"], &["error"]),
    ("UnmarshalXML", &["*xml.Decoder", "xml.StartElement"], &["error"]),
];

/// Methods that implement an interface of the standard library under a name that is only that.
const WELL_KNOWN: &[(&str, usize)] = &[
    ("String", 0),
    ("GoString", 0),
    ("Error", 0),
    ("Unwrap", 0),
    ("Len", 0),
    ("Less", 2),
    ("Swap", 2),
    ("MarshalJSON", 0),
    ("UnmarshalJSON", 1),
    ("MarshalText", 0),
    ("UnmarshalText", 1),
    ("MarshalBinary", 0),
    ("UnmarshalBinary", 1),
];

/// A capital gives a name out (specification, "Exported identifiers").
fn surface(name: &str) -> Surface {
    if name.starts_with(char::is_uppercase) { Surface::Public } else { Surface::Package }
}

/// What others cannot import gives nothing out, whatever its names: commands, packages in or below a folder `internal`, and
/// folders that the go command passes over (specification, "Program execution"; `go help packages`, `go help importpath`).
pub(super) fn withhold_what_nobody_imports(walk: &mut Walk<'_, Go>) {
    let path = walk.source.path();
    let folders = path.rsplit_once('/').map_or("", |(folders, _)| folders).split('/');
    let passed_over = |folder: &str| folder.len() > 1 && folder.starts_with(['_', '.']) && folder != "..";
    let is_apart =
        folders.into_iter().any(|folder| matches!(folder, "internal" | "testdata") || passed_over(folder));
    let is_command = |found: &Declaration| found.kind == Kind::Package && found.name == "main";
    if is_apart || walk.outline.declarations.iter().any(is_command) {
        walk.give_nothing_out();
    }
}

/// Declares a function, a method, or a method of an interface.
pub(super) fn callable<'t>(walk: &mut Walk<'t, Go>, node: Node<'t>, is: Go) {
    let Some(name) = walk.field(node, "name") else { return };
    let receiver = if is == Go::Method { receiver(walk, node) } else { None };
    let kind = if is == Go::Function { Kind::Function } else { Kind::Method };
    let mut declaration = walk.start(kind, name, node, walk.field(node, "body"));
    declaration.surface = surface(walk.text(name)).max(receiver.map_or(Surface::Public, surface));
    declaration.signature.parameters = parameters(walk, node);
    declaration.signature.type_parameters = type_parameters(walk, node);
    declaration.signature.returns = walk.field(node, "result").map_or_else(Returns::nothing, |result| {
        let set = (walk.text(result) == "bool").then_some(ClosedSet::Boolean);
        Returns { set, ..Returns::typed(Answer::Yes, walk.span(result)) }
    });
    if is == Go::Method && is_of_an_interface(walk, &declaration, walk.field(node, "result")) {
        declaration.excuses.push(Excuse::Overrides);
    }
    excuse(walk, &mut declaration, is);
    if let Some(receiver) = receiver {
        walk.open(Scope::Namespace(walk.namespace(receiver)));
    }
    walk.enter(declaration);
}

/// Tells whether a method is one of an interface of the standard library, by the types that it takes and gives.
fn is_of_an_interface<'t>(walk: &Walk<'t, Go>, declaration: &Declaration, result: Option<Node<'t>>) -> bool {
    let mut named = OF_INTERFACES.iter().filter(|(name, ..)| declaration.name == *name).peekable();
    if named.peek().is_none() {
        return false;
    }
    let plain = |ty: &'t str| if ty == "interface{}" { "any" } else { ty };
    let listed = |parameters: &[Parameter]| -> Vec<&'t str> {
        let written = parameters.iter().map(|parameter| parameter.ty.map_or("", |ty| walk.source.slice(ty)));
        written.map(plain).collect()
    };
    let takes = listed(&declaration.signature.parameters);
    let gives = match result {
        Some(list) if walk.kind(list) == Some(Go::ParameterList) => listed(&parameters_in(walk, list)),
        Some(ty) => vec![plain(walk.text(ty))],
        None => Vec::new(),
    };
    named.any(|(_, taken, given)| takes == *taken && gives == *given)
}

fn excuse(walk: &Walk<'_, Go>, declaration: &mut Declaration, is: Go) {
    let (name, arity) = (declaration.name.as_str(), declaration.signature.parameters.len());
    if is == Go::Method && WELL_KNOWN.contains(&(name, arity)) {
        declaration.excuses.push(Excuse::Overrides);
    }
    if is == Go::Function && matches!(name, "main" | "init") && arity == 0 {
        declaration.excuses.push(Excuse::Main);
    }
    if walk.is_test == Some(true) && is == Go::Function && name.starts_with("Example") {
        declaration.unasked = true;
    }
}

/// Returns the type that a method belongs to, without pointer and type parameters.
fn receiver<'t>(walk: &Walk<'t, Go>, node: Node<'t>) -> Option<&'t str> {
    let list = walk.field(node, "receiver")?;
    let ty = walk.text(walk.field(walk.child(list, Go::Parameter)?, "type")?);
    let bare = ty.trim_start_matches(['(', '*', ' ']);
    Some(bare.split(['[', ')', ' ']).next().unwrap_or_default())
}

fn parameters<'t>(walk: &Walk<'t, Go>, node: Node<'t>) -> Vec<Parameter> {
    walk.field(node, "parameters").map_or_else(Vec::new, |list| parameters_in(walk, list))
}

fn parameters_in<'t>(walk: &Walk<'t, Go>, list: Node<'t>) -> Vec<Parameter> {
    let mut out = Vec::new();
    for child in walk.children(list) {
        let variadic = match walk.kind(child) {
            Some(Go::Parameter) => Variadic::No,
            Some(Go::Variadic) => Variadic::Positional,
            _ => continue,
        };
        let ty = walk.field(child, "type").map(|ty| walk.span(ty));
        let mut cursor = child.walk();
        let names: Vec<_> = child.children_by_field_name("name", &mut cursor).collect();
        let mut add = |parameter: Parameter| out.push(Parameter { ty, variadic, ..parameter });
        if names.is_empty() {
            add(Parameter::new(ParamName::Unnamed, walk.span(child)));
        }
        for name in names {
            let text = walk.text(name);
            let mut parameter = Parameter::of(text, walk.span(name));
            parameter.exempt = text == "_";
            add(parameter);
        }
    }
    out
}

fn type_parameters<'t>(walk: &Walk<'t, Go>, node: Node<'t>) -> Vec<TypeParameter> {
    let Some(list) = walk.field(node, "type_parameters") else { return Vec::new() };
    let mut out = Vec::new();
    for declared in walk.children_of(list, Go::TypeParameter) {
        let mut cursor = declared.walk();
        out.extend(declared.children_by_field_name("name", &mut cursor).map(|name| TypeParameter {
            name: crate::model::Name::new(walk.text(name)),
            span: walk.span(name),
        }));
    }
    out
}

/// Tells whether a declaration has parentheses, so that its specs have comments of their own.
fn is_grouped(node: Node<'_>) -> bool {
    let mut cursor = node.walk();
    node.children(&mut cursor).any(|child| child.kind() == "(")
        || node.named_child(0).is_some_and(|child| child.kind() == "var_spec_list")
}

/// Marks what a declaration without parentheses declares: its comment stands above the keyword.
pub(super) fn group<'t>(walk: &mut Walk<'t, Go>, node: Node<'t>) {
    if is_grouped(node) {
        return;
    }
    for spec in walk.children(node) {
        walk.declared_at(spec, node);
    }
}

/// Returns the node that a spec's comment stands above.
fn whole<'t>(walk: &mut Walk<'t, Go>, spec: Node<'t>) -> Node<'t> {
    let alone = walk.take_declared(spec);
    walk.parent(spec).filter(|_| alone).unwrap_or(spec)
}

/// Declares a type.
pub(super) fn type_spec<'t>(walk: &mut Walk<'t, Go>, spec: Node<'t>, is: Go) {
    let (Some(name), Some(ty)) = (walk.field(spec, "name"), walk.field(spec, "type")) else { return };
    let kind = match walk.kind(ty) {
        Some(Go::Struct) if is == Go::Spec => Kind::Struct,
        Some(Go::Interface) if is == Go::Spec => Kind::Interface,
        _ => Kind::TypeAlias,
    };
    let node = whole(walk, spec);
    let mut declaration = walk.start(kind, name, node, Some(ty));
    declaration.surface = surface(walk.text(name));
    declaration.signature.type_parameters = type_parameters(walk, spec);
    walk.enter(declaration);
}

/// Declares constants and variables.
pub(super) fn values<'t>(walk: &mut Walk<'t, Go>, spec: Node<'t>, is: Go) {
    let node = whole(walk, spec);
    let kind = if is == Go::ConstSpec { Kind::Constant } else { Kind::Field };
    let mut cursor = spec.walk();
    let names: Vec<_> = spec.children_by_field_name("name", &mut cursor).collect();
    for name in names {
        if !name.is_named() || walk.text(name) == "_" {
            continue;
        }
        let mut declaration = walk.start(kind, name, node, None);
        declaration.header_end = walk.span(name).end;
        declaration.surface = surface(walk.text(name));
        declaration.signature.returns.ty = walk.field(spec, "type").map(|ty| walk.span(ty));
        walk.declare(declaration);
    }
}

/// Declares the fields of a struct; an embedded type is none.
pub(super) fn field<'t>(walk: &mut Walk<'t, Go>, node: Node<'t>) {
    let mut cursor = node.walk();
    let names: Vec<_> = node.children_by_field_name("name", &mut cursor).collect();
    for name in names {
        let mut declaration = walk.start(Kind::Field, name, node, None);
        declaration.surface = surface(walk.text(name));
        declaration.signature.returns.ty = walk.field(node, "type").map(|ty| walk.span(ty));
        walk.declare(declaration);
    }
}

/// Declares the package, to which the comment above it belongs.
pub(super) fn package<'t>(walk: &mut Walk<'t, Go>, node: Node<'t>) {
    let Some(name) = walk.children(node).into_iter().next() else { return };
    let mut declaration = walk.start(Kind::Package, name, node, None);
    declaration.unasked = true;
    walk.declare(declaration);
}

/// A comment at the end of a field's line is the field's, where none stands above it.
pub(super) fn attach_behind_fields(walk: &mut Walk<'_, Go>) {
    let comments = &walk.outline.comments;
    let source = walk.source;
    let mut found: Vec<(usize, usize)> = Vec::new();
    for (at, declaration) in walk.outline.declarations.iter().enumerate() {
        let end = declaration.span.end;
        let next = comments.partition_point(|comment| comment.span.start < end);
        let behind =
            comments.get(next).filter(|comment| comment.attached && comment.standing == Doc::IfAbove);
        let same_line =
            behind.is_some_and(|comment| !source.slice(Span::new(end, comment.span.start)).contains('\n'));
        let above = comments[..next].last().is_some_and(|comment| {
            let gap =
                source.slice(Span::new(comment.span.end.min(declaration.span.start), declaration.span.start));
            !comment.attached && gap.trim().is_empty() && gap.matches('\n').count() == 1
        });
        // What an interface asks for is told like a field: above, or at the end of its line.
        let listed = declaration.kind.is_field()
            || declaration.owner.is_some_and(|owner| walk.outline.declaration(owner).kind == Kind::Interface);
        if listed && same_line && !above {
            found.push((at, next));
        }
    }
    for (declaration, comment) in found {
        walk.outline.comments[comment].doc = true;
        walk.outline.declarations[declaration].comment.doc = Some(CommentId(narrow(comment)));
    }
}
