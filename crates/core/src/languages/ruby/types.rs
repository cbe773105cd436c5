//! Data of the Ruby standard library.

use crate::reading::{Hierarchy, MembersOf};

/// Exceptions of the core.
pub(super) static HIERARCHY: Hierarchy = Hierarchy::new(
    &[
        ("StandardError", "Exception"),
        ("ScriptError", "Exception"),
        ("LoadError", "ScriptError"),
        ("NotImplementedError", "ScriptError"),
        ("SyntaxError", "ScriptError"),
        ("NoMemoryError", "Exception"),
        ("SecurityError", "Exception"),
        ("SignalException", "Exception"),
        ("Interrupt", "SignalException"),
        ("SystemExit", "Exception"),
        ("SystemStackError", "Exception"),
        ("ArgumentError", "StandardError"),
        ("UncaughtThrowError", "ArgumentError"),
        ("EncodingError", "StandardError"),
        ("FiberError", "StandardError"),
        ("IOError", "StandardError"),
        ("EOFError", "IOError"),
        ("IndexError", "StandardError"),
        ("KeyError", "IndexError"),
        ("StopIteration", "IndexError"),
        ("ClosedQueueError", "StopIteration"),
        ("LocalJumpError", "StandardError"),
        ("NameError", "StandardError"),
        ("NoMethodError", "NameError"),
        ("RangeError", "StandardError"),
        ("FloatDomainError", "RangeError"),
        ("RegexpError", "StandardError"),
        ("RuntimeError", "StandardError"),
        ("FrozenError", "RuntimeError"),
        ("SystemCallError", "StandardError"),
        ("ThreadError", "StandardError"),
        ("TypeError", "StandardError"),
        ("ZeroDivisionError", "StandardError"),
    ],
    &["Exception", "StandardError"],
    "",
);

/// What any operation can raise.
pub(super) const AMBIENT: &[&str] = &[
    "Exception", "StandardError", "NoMethodError", "NameError", "TypeError", "ArgumentError",
    "ZeroDivisionError", "RangeError", "FrozenError", "NoMemoryError",
];

/// Members that every object has, or that a well-known module brings.
pub(super) const WELL_KNOWN: &[(&str, &str, usize)] = &[
    ("", "to_s", 0),
    ("", "inspect", 0),
    ("", "hash", 0),
    ("", "respond_to_missing?", 2),
    ("", "method_missing", 2),
    ("", "method_missing", 3),
    ("", "initialize_copy", 1),
    ("", "to_str", 0),
];

/// Names the type of a literal.
pub(super) fn literal_type(text: &str) -> Option<&'static str> {
    let text = text.trim();
    match text.chars().next()? {
        '"' | '\'' => Some("String"),
        '0'..='9' if text.contains('.') => Some("Float"),
        '0'..='9' => Some("Integer"),
        '[' => Some("Array"),
        '{' => Some("Hash"),
        ':' => Some("Symbol"),
        _ if matches!(text, "true" | "false") => Some("Boolean"),
        _ => None,
    }
}

/// Members of classes of the core that others are derived from.
pub(super) const MEMBERS: MembersOf = &[
    (
        &["Hash"],
        &[
            "clear", "delete", "dig", "dup", "each", "each_pair", "fetch", "has_key?", "include?", "key?",
            "keys", "member?", "merge", "merge!", "replace", "store", "to_h", "to_hash", "update", "values",
        ],
    ),
    (
        &["Array", "Set"],
        &["add", "clear", "delete", "dup", "each", "include?", "length", "pop", "push", "shift", "size"],
    ),
    (
        &["Exception", "StandardError", "RuntimeError"],
        &["backtrace", "detailed_message", "full_message", "message"],
    ),
];
