//! Data of the Python standard library.

use crate::reading::{Hierarchy, TypeWords};

/// The built-in exceptions, and those of modules in everyday use.
pub(super) static HIERARCHY: Hierarchy = Hierarchy::new(
    &[
        ("Exception", "BaseException"),
        ("SystemExit", "BaseException"),
        ("KeyboardInterrupt", "BaseException"),
        ("GeneratorExit", "BaseException"),
        ("BaseExceptionGroup", "BaseException"),
        ("ExceptionGroup", "BaseExceptionGroup"),
        ("CancelledError", "BaseException"),
        ("StopIteration", "Exception"),
        ("StopAsyncIteration", "Exception"),
        ("ArithmeticError", "Exception"),
        ("FloatingPointError", "ArithmeticError"),
        ("OverflowError", "ArithmeticError"),
        ("ZeroDivisionError", "ArithmeticError"),
        ("AssertionError", "Exception"),
        ("AttributeError", "Exception"),
        ("BufferError", "Exception"),
        ("EOFError", "Exception"),
        ("ImportError", "Exception"),
        ("ModuleNotFoundError", "ImportError"),
        ("LookupError", "Exception"),
        ("IndexError", "LookupError"),
        ("KeyError", "LookupError"),
        ("MemoryError", "Exception"),
        ("NameError", "Exception"),
        ("UnboundLocalError", "NameError"),
        ("OSError", "Exception"),
        ("BlockingIOError", "OSError"),
        ("ChildProcessError", "OSError"),
        ("ConnectionError", "OSError"),
        ("BrokenPipeError", "ConnectionError"),
        ("ConnectionAbortedError", "ConnectionError"),
        ("ConnectionRefusedError", "ConnectionError"),
        ("ConnectionResetError", "ConnectionError"),
        ("FileExistsError", "OSError"),
        ("FileNotFoundError", "OSError"),
        ("InterruptedError", "OSError"),
        ("IsADirectoryError", "OSError"),
        ("NotADirectoryError", "OSError"),
        ("PermissionError", "OSError"),
        ("ProcessLookupError", "OSError"),
        ("TimeoutError", "OSError"),
        ("ReferenceError", "Exception"),
        ("RuntimeError", "Exception"),
        ("NotImplementedError", "RuntimeError"),
        ("RecursionError", "RuntimeError"),
        ("PythonFinalizationError", "RuntimeError"),
        ("SyntaxError", "Exception"),
        ("IndentationError", "SyntaxError"),
        ("TabError", "IndentationError"),
        ("SystemError", "Exception"),
        ("TypeError", "Exception"),
        ("ValueError", "Exception"),
        ("UnicodeError", "ValueError"),
        ("UnicodeDecodeError", "UnicodeError"),
        ("UnicodeEncodeError", "UnicodeError"),
        ("UnicodeTranslateError", "UnicodeError"),
        ("JSONDecodeError", "ValueError"),
        ("UnsupportedOperation", "OSError"),
        ("CalledProcessError", "SubprocessError"),
        ("TimeoutExpired", "SubprocessError"),
        ("SubprocessError", "Exception"),
        ("InvalidOperation", "ArithmeticError"),
        ("BadZipFile", "Exception"),
        ("SSLError", "OSError"),
        ("URLError", "OSError"),
        ("HTTPError", "URLError"),
        ("Warning", "Exception"),
        ("BytesWarning", "Warning"),
        ("DeprecationWarning", "Warning"),
        ("EncodingWarning", "Warning"),
        ("FutureWarning", "Warning"),
        ("ImportWarning", "Warning"),
        ("PendingDeprecationWarning", "Warning"),
        ("ResourceWarning", "Warning"),
        ("RuntimeWarning", "Warning"),
        ("SyntaxWarning", "Warning"),
        ("UnicodeWarning", "Warning"),
        ("UserWarning", "Warning"),
    ],
    &["BaseException", "Exception"],
    "",
)
// Source: the library reference of Python, "Built-in Exceptions", on `OSError`.
.with_aliases(&[("EnvironmentError", "OSError"), ("IOError", "OSError"), ("WindowsError", "OSError")]);

/// What any operation can raise.
pub(super) const AMBIENT: &[&str] = &[
    "TypeError", "ValueError", "KeyError", "IndexError", "LookupError", "AttributeError", "NameError",
    "ZeroDivisionError", "ArithmeticError", "OverflowError", "FloatingPointError", "MemoryError",
    "RecursionError", "RuntimeError", "AssertionError", "NotImplementedError", "KeyboardInterrupt",
    "StopIteration", "Exception", "BaseException", "Warning", "DeprecationWarning", "FutureWarning",
    "UserWarning", "RuntimeWarning", "ImportError", "ModuleNotFoundError",
];

/// Built-in types as annotations and docstrings write them.
pub(super) const WORDS: TypeWords = &[
    ("bool", "number"),
    ("boolean", "number"),
    ("Boolean", "number"),
    ("int", "number"),
    ("integer", "number"),
    ("Integer", "number"),
    ("float", "number"),
    ("complex", "number"),
    ("str", "text"),
    ("string", "text"),
    ("String", "text"),
    ("bytes", "bytes"),
    ("list", "list"),
    ("List", "list"),
    ("dict", "mapping"),
    ("Dict", "mapping"),
    ("dictionary", "mapping"),
    ("tuple", "tuple"),
    ("Tuple", "tuple"),
    ("set", "set"),
    ("Set", "set"),
    ("None", "none"),
];

/// Names the type of a literal.
pub(super) fn literal_type(text: &str) -> Option<&'static str> {
    let text = text.trim();
    match text {
        "True" | "False" => return Some("bool"),
        "[]" => return Some("list"),
        "{}" => return Some("dict"),
        "()" => return Some("tuple"),
        _ => {}
    }
    let digits = text.trim_start_matches(['-', '+']).replace('_', "");
    if !digits.is_empty() && digits.bytes().all(|b| b.is_ascii_digit()) {
        return Some("int");
    }
    if digits.starts_with(|c: char| c.is_ascii_digit() || c == '.') && digits.parse::<f64>().is_ok() {
        return Some("float");
    }
    let bytes = text.starts_with(['b', 'B']) && text[1..].starts_with(['"', '\'']);
    let string = text.trim_start_matches(['r', 'R', 'f', 'F', 'u', 'U']).starts_with(['"', '\'']);
    if bytes {
        Some("bytes")
    } else if string {
        Some("str")
    } else {
        None
    }
}
