//! Data of the C++ standard library.

use crate::reading::{Hierarchy, TypeWords};

/// Exceptions of the standard library.
pub(super) static HIERARCHY: Hierarchy = Hierarchy::new(
    &[
        ("exception", "..."),
        ("logic_error", "exception"),
        ("invalid_argument", "logic_error"),
        ("domain_error", "logic_error"),
        ("length_error", "logic_error"),
        ("out_of_range", "logic_error"),
        ("future_error", "logic_error"),
        ("runtime_error", "exception"),
        ("range_error", "runtime_error"),
        ("overflow_error", "runtime_error"),
        ("underflow_error", "runtime_error"),
        ("regex_error", "runtime_error"),
        ("system_error", "runtime_error"),
        ("filesystem_error", "system_error"),
        ("format_error", "runtime_error"),
        ("bad_alloc", "exception"),
        ("bad_array_new_length", "bad_alloc"),
        ("bad_cast", "exception"),
        ("bad_any_cast", "bad_cast"),
        ("bad_typeid", "exception"),
        ("bad_exception", "exception"),
        ("bad_function_call", "exception"),
        ("bad_weak_ptr", "exception"),
        ("bad_optional_access", "exception"),
        ("bad_variant_access", "exception"),
    ],
    &["..."],
    "",
);

/// What any operation can raise.
pub(super) const AMBIENT: &[&str] = &["exception", "bad_alloc", "bad_cast", "bad_typeid", "out_of_range"];

/// Built-in types as signatures and comments write them.
pub(super) const WORDS: TypeWords = &[("bool", "boolean"), ("void", "none")];
