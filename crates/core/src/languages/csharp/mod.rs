//! C#, by the language standard (ECMA-334) and its annex D on documentation comments.
//!
//! What trips it up, each with a case under `tests/cases/csharp`: both comment forms, indexers,
//! operators, events, delegates, finalizers, properties, primary constructors and positional records,
//! extension methods, by-reference and `params` parameters, default interface members, partial types,
//! explicit interface implementations, inherited and included comments, references to names, `#if` and
//! regions and attributes between comment and declaration, expression bodies, throw expressions, guard
//! helpers, bare `throw;`, tasks without a value, iterators, file-scoped namespaces, default surfaces.

mod declare;
mod flow;
pub(super) mod grammar;
mod kinds;
mod parameters;
mod pointers;
mod types;

use crate::model::{Carrier, Dialect, LanguageId, NotationId};
use crate::reading::{
    CommentPlace, Demand, Deprecation, Examples, GrammarReader, Halves, Language, ModuleComment, Owe,
};

/// C#.
pub(super) static CSHARP: Language = Language {
    id: LanguageId::new("csharp"),
    overloads: true,
    imports_types: false,
    files_are_modules: false,
    member_links: None,
    extensions_implement: false,
    caller: |_, _| None,
    family: "csharp",
    label: "C#",
    endings: &[".cs"],
    notations: &[NotationId::new("xml")],
    notation: NotationId::new("xml"),
    demand: Demand::of(Owe::BeyondSummary),
    asks_fields: true,
    untyped: false,
    generic: true,
    ends_with_line: false,
    carrier: Carrier::Lines { mark: "///" },
    remark: Carrier::Lines { mark: "//" },
    module_comment: ModuleComment::None,
    dialect: Dialect::Plain,
    place: CommentPlace::Above,
    doc_mark: "///",
    any_optional: false,
    examples: Examples {
        fences: &["csharp", "cs", "c#"],
        blocks: &[("<code>", "</code>"), ("<code lang=\"csharp\">", "</code>")],
        around: &[
            ("", ""),
            ("void f() {\n", "\n}"),
            ("class A {\n", "\n}"),
            ("class A { void f() {\n", "\n} }"),
        ],
        ..Examples::NONE
    },
    deprecation: Deprecation { comment_follows: false, code_follows: false },
    opens_with_name: false,
    interfaces_tell: false,
    drops_after_annotations: true,
    halves: Halves::None,
    ignores_case: false,
    members_ignore_case: false,
    border: "",
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    well_known: types::WELL_KNOWN,
    members_of: &[],
    type_words: types::WORDS,
    literal_type: |_| None,
    reader: &GrammarReader(&grammar::GRAMMAR),
};
