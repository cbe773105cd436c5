//! Data of the standard library of JavaScript.

use crate::reading::{Hierarchy, MembersOf, TypeWords};

/// Errors of ECMA-262 and of the platforms around it.
pub(super) static HIERARCHY: Hierarchy = Hierarchy::new(
    &[
        ("EvalError", "Error"),
        ("RangeError", "Error"),
        ("ReferenceError", "Error"),
        ("SyntaxError", "Error"),
        ("TypeError", "Error"),
        ("URIError", "Error"),
        ("AggregateError", "Error"),
        ("SuppressedError", "Error"),
        ("AssertionError", "Error"),
        ("SystemError", "Error"),
        ("DOMException", "Error"),
    ],
    &["Error"],
    "",
);

/// What any operation can raise.
pub(super) const AMBIENT: &[&str] = &["Error", "TypeError", "RangeError", "ReferenceError"];

/// Built-in types as signatures and comments write them.
pub(super) const WORDS: TypeWords = &[
    ("string", "text"),
    ("String", "text"),
    ("number", "number"),
    ("Number", "number"),
    ("bigint", "number"),
    ("boolean", "boolean"),
    ("Boolean", "boolean"),
    ("bool", "boolean"),
    ("true", "boolean"),
    ("false", "boolean"),
    ("Array", "list"),
    ("ReadonlyArray", "list"),
    ("null", "none"),
    ("undefined", "none"),
    ("void", "none"),
];

/// Names the type of a literal.
pub(super) fn literal_type(text: &str) -> Option<&'static str> {
    let text = text.trim();
    match text.chars().next()? {
        '"' | '\'' | '`' => Some("string"),
        '0'..='9' | '.' => Some("number"),
        '-' if text[1..].starts_with(|c: char| c.is_ascii_digit()) => Some("number"),
        '[' => Some("Array"),
        '{' => Some("Object"),
        _ if matches!(text, "true" | "false") => Some("boolean"),
        _ => None,
    }
}

/// Members that every object has.
pub(super) const WELL_KNOWN: &[(&str, &str, usize)] =
    &[("", "toString", 0), ("", "toLocaleString", 0), ("", "valueOf", 0)];

/// Members of classes of browsers and of Node that others are derived from.
pub(super) const MEMBERS: MembersOf = &[
    (
        &["HTMLElement", "SVGElement"],
        &["adoptedCallback", "attributeChangedCallback", "connectedCallback", "disconnectedCallback"],
    ),
    (
        &["Readable", "Writable", "Duplex", "Transform", "PassThrough"],
        &["_construct", "_destroy", "_final", "_flush", "_read", "_transform", "_write", "_writev"],
    ),
    (
        &["EventEmitter"],
        &[
            "addListener", "emit", "eventNames", "listenerCount", "listeners", "off", "on", "once",
            "prependListener", "removeAllListeners", "removeListener",
        ],
    ),
    (
        &["Map", "Set", "WeakMap", "WeakSet"],
        &["add", "clear", "delete", "entries", "forEach", "get", "has", "keys", "set", "values"],
    ),
];
