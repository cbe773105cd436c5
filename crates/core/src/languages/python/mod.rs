//! Python, by the language reference (3.14) and the conventions of PEP 257 on docstrings.
//!
//! What trips it up, each with a case under `tests/cases/python`: receivers, static and class methods,
//! positional-only and keyword-only marks, star parameters and their spellings, class and `__init__`
//! docstrings, properties and setters, overloads and stubs, protocols, data classes, nested functions,
//! lambdas, `__all__`, generators, returns of only `None`, every form of `raise`, handlers, raw and
//! joined docstrings, optional types, several names in one entry, section synonyms, decorators.

mod declare;
mod docstring;
mod finish;
mod flow;
pub(super) mod grammar;
mod kinds;
mod parameters;
mod simple;
mod standard;
mod statements;
mod types;

use crate::model::{Carrier, Dialect, LanguageId, NotationId};
use crate::reading::{
    CommentPlace, Demand, Deprecation, Examples, GrammarReader, Half, Halves, Language, ModuleComment, Owe,
};

/// Python.
pub(super) static PYTHON: Language = Language {
    id: LanguageId::new("python"),
    overloads: false,
    imports_types: false,
    files_are_modules: false,
    member_links: None,
    extensions_implement: false,
    caller: |_, _| None,
    family: "python",
    label: "Python",
    endings: &[".py", ".pyi", ".pyw"],
    notations: &[
        NotationId::new("google"),
        NotationId::new("numpy"),
        NotationId::new("rest"),
        NotationId::new("epytext"),
        NotationId::new("commands"),
    ],
    notation: NotationId::new("google"),
    demand: Demand::of(Owe::BeyondSummary),
    asks_fields: false,
    untyped: true,
    generic: true,
    ends_with_line: true,
    carrier: Carrier::Docstring,
    remark: Carrier::Lines { mark: "#" },
    module_comment: ModuleComment::Docstring,
    dialect: Dialect::Plain,
    place: CommentPlace::FirstInBody,
    doc_mark: "\"\"\"",
    any_optional: false,
    opens_with_name: false,
    interfaces_tell: false,
    drops_after_annotations: false,
    halves: Halves::Stubs(half),
    ignores_case: false,
    members_ignore_case: false,
    border: "",
    examples: Examples {
        fences: &["python", "py"],
        prompt: Some((">>>", "...")),
        around: &[("", ""), ("def f():\n  if 1:\n", "")],
        is_simple: simple::is_simple,
        ..Examples::NONE
    },
    deprecation: Deprecation { comment_follows: true, code_follows: false },
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    well_known: &[],
    members_of: standard::MEMBERS,
    type_words: types::WORDS,
    literal_type: types::literal_type,
    reader: &GrammarReader(&grammar::GRAMMAR),
};

/// A stub stands beside its source (the typing specification's "Distributing type information").
fn half(path: &str) -> Option<(&str, Half)> {
    let stub = path.strip_suffix(".pyi").map(|stem| (stem, Half::Following));
    stub.or_else(|| path.strip_suffix(".py").map(|stem| (stem, Half::Leading)))
}
