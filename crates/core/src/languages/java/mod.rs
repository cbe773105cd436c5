//! Java, by the language specification (JLS, edition 17 and the previews its grammar reads) and the
//! specification of its documentation comments (Java 23 for the Markdown form).
//!
//! What trips it up, each with a case under `tests/cases/java`: variable arity, type parameters, records
//! and compact constructors, receiver parameters, nested, local and anonymous classes, interface
//! members, annotation types, enum constants with bodies, `throws` clauses, handlers and rethrows,
//! text blocks, inherited comments, `{@return}`, Markdown comments, package files, deprecation.

mod declare;
mod flow;
pub(super) mod grammar;
mod kinds;
mod types;

use crate::languages::shared::{JVM_AMBIENT, JVM_EXCEPTIONS};
use crate::model::{Carrier, Dialect, LanguageId, NotationId};
use crate::reading::{
    CommentPlace, Demand, Deprecation, Examples, GrammarReader, Halves, Language, ModuleComment, Owe,
};

/// Java.
pub(super) static JAVA: Language = Language {
    id: LanguageId::new("java"),
    label: "Java",
    endings: &[".java"],
    notations: &[NotationId::new("tags")],
    notation: NotationId::new("tags"),
    demand: Demand::of(Owe::BeyondSummary),
    asks_fields: true,
    untyped: false,
    generic: true,
    ends_with_line: false,
    carrier: Carrier::Block { open: "/**", close: "*/" },
    remark: Carrier::Lines { mark: "//" },
    module_comment: ModuleComment::None,
    dialect: Dialect::Plain,
    place: CommentPlace::Above,
    doc_mark: "/**",
    any_optional: false,
    opens_with_name: false,
    interfaces_tell: false,
    drops_after_annotations: true,
    halves: Halves::None,
    ignores_case: false,
    members_ignore_case: false,
    border: "",
    examples: Examples {
        fences: &["java"],
        blocks: &[("{@snippet", "}"), ("<pre>{@code", "}</pre>"), ("<pre> {@code", "}</pre>")],
        around: &[
            ("", ""),
            ("void f() {\n", "\n}"),
            ("class A {\n", "\n}"),
            ("class A { void f() {\n", "\n} }"),
        ],
        ..Examples::NONE
    },
    deprecation: Deprecation { comment_follows: true, code_follows: true },
    hierarchy: &JVM_EXCEPTIONS,
    family: "jvm",
    overloads: true,
    imports_types: true,
    files_are_modules: false,
    member_links: None,
    extensions_implement: false,
    caller: |_, _| None,
    ambient: JVM_AMBIENT,
    well_known: types::WELL_KNOWN,
    members_of: &[],
    type_words: types::WORDS,
    literal_type: |_| None,
    reader: &GrammarReader(&grammar::GRAMMAR),
};
