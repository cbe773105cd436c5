//! Data of the PHP standard library.

use crate::reading::{Hierarchy, TypeWords};

/// Throwables of the core and the standard library (SPL).
pub(super) static HIERARCHY: Hierarchy = Hierarchy::new(
    &[
        ("Exception", "Throwable"),
        ("Error", "Throwable"),
        ("ErrorException", "Exception"),
        ("JsonException", "Exception"),
        ("LogicException", "Exception"),
        ("BadFunctionCallException", "LogicException"),
        ("BadMethodCallException", "BadFunctionCallException"),
        ("DomainException", "LogicException"),
        ("InvalidArgumentException", "LogicException"),
        ("LengthException", "LogicException"),
        ("OutOfRangeException", "LogicException"),
        ("RuntimeException", "Exception"),
        ("OutOfBoundsException", "RuntimeException"),
        ("OverflowException", "RuntimeException"),
        ("RangeException", "RuntimeException"),
        ("UnderflowException", "RuntimeException"),
        ("UnexpectedValueException", "RuntimeException"),
        ("PDOException", "RuntimeException"),
        ("ReflectionException", "Exception"),
        ("SoapFault", "Exception"),
        ("ArithmeticError", "Error"),
        ("DivisionByZeroError", "ArithmeticError"),
        ("AssertionError", "Error"),
        ("CompileError", "Error"),
        ("ParseError", "CompileError"),
        ("TypeError", "Error"),
        ("ValueError", "Error"),
        ("ArgumentCountError", "TypeError"),
        ("UnhandledMatchError", "Error"),
    ],
    &["Throwable", "Exception"],
    "Error",
);

/// What any operation can raise.
pub(super) const AMBIENT: &[&str] = &[
    "Throwable", "Exception", "Error", "TypeError", "ValueError", "ArgumentCountError", "ArithmeticError",
    "DivisionByZeroError", "UnhandledMatchError",
];

/// Members that implement a well-known supertype.
pub(super) const WELL_KNOWN: &[(&str, &str, usize)] = &[
    ("", "__toString", 0),
    ("Countable", "count", 0),
    ("IteratorAggregate", "getIterator", 0),
    ("Iterator", "current", 0),
    ("Iterator", "key", 0),
    ("Iterator", "next", 0),
    ("Iterator", "rewind", 0),
    ("Iterator", "valid", 0),
    ("ArrayAccess", "offsetExists", 1),
    ("ArrayAccess", "offsetGet", 1),
    ("ArrayAccess", "offsetSet", 2),
    ("ArrayAccess", "offsetUnset", 1),
    ("JsonSerializable", "jsonSerialize", 0),
    ("Serializable", "serialize", 0),
    ("Serializable", "unserialize", 1),
];

/// Built-in types as signatures and comments write them.
pub(super) const WORDS: TypeWords = &[
    ("int", "number"),
    ("integer", "number"),
    ("float", "number"),
    ("double", "number"),
    ("string", "text"),
    ("bool", "boolean"),
    ("boolean", "boolean"),
    ("true", "boolean"),
    ("false", "boolean"),
    ("array", "list"),
    ("list", "list"),
    ("positive-int", "number"),
    ("class-string", "text"),
    ("non-empty-string", "text"),
    ("null", "none"),
    ("void", "none"),
];

/// Names the type of a literal.
pub(super) fn literal_type(text: &str) -> Option<&'static str> {
    let text = text.trim();
    match text.chars().next()? {
        '"' | '\'' => Some("string"),
        '0'..='9' if text.contains('.') => Some("float"),
        '0'..='9' => Some("int"),
        '[' => Some("array"),
        _ if text.eq_ignore_ascii_case("true") || text.eq_ignore_ascii_case("false") => Some("bool"),
        _ => None,
    }
}
