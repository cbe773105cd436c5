//! The rules. One file a subject of the catalogue; each rule is one static and one function.
//!
//! To add a rule: a static and a check function in the file of its subject, and a line in [`ALL`].

mod comment;
mod context;
mod deprecated;
mod example;
mod examples;
mod excused;
mod file;
mod layout;
mod leftover;
mod markup;
mod named;
mod notation;
mod param;
mod parse;
mod publish;
mod reference;
mod repair;
mod returns;
mod rule;
mod said;
mod summary;
mod tag;
mod text;
mod throws;
mod typeparam;
mod visible;
mod waiver;
mod yields;

pub(crate) use comment::STALE;
pub use context::{Asking, Context, FileContext, Findings};
pub use examples::{FurtherExample, further_examples, further_examples_of};
pub(crate) use file::has_header;
pub(crate) use leftover::{CODE as LEFTOVER_CODE, TODO as LEFTOVER_TODO};
pub(crate) use param::is_only_read;
pub(crate) use returns::closed_values;
pub use rule::{Check, Example, Rule};
pub(crate) use tag::lacking as lacking_tags;
pub(crate) use throws::PASSED;
pub(crate) use waiver::UNUSED;

use crate::model::{Level, RuleId};

/// All rules, by id.
pub static ALL: &[&Rule] = &[
    &comment::DETACHED,
    &comment::EMPTY,
    &comment::MISSING,
    &comment::ORDINARY,
    &STALE,
    &comment::STRAY,
    &deprecated::MISMATCH,
    &example::MISSING,
    &example::SYNTAX,
    &file::HEADER,
    &layout::GAP,
    &layout::LATE_TEXT,
    &leftover::CODE,
    &leftover::TODO,
    &markup::HTML,
    &markup::INLINE,
    &markup::SECTION,
    &markup::XML,
    &notation::MIXED,
    &notation::OTHER,
    &param::DIRECTION,
    &param::ECHO,
    &param::EMPTY,
    &param::MISSING,
    &param::OPTIONAL,
    &param::ORDER,
    &param::REPEATED,
    &param::TYPE,
    &param::UNKNOWN,
    &param::UNTYPED,
    &parse::PARTIAL,
    &reference::BROKEN,
    &reference::INHERIT,
    &returns::ECHO,
    &returns::EMPTY,
    &returns::MISSING,
    &returns::REPEATED,
    &returns::TYPE,
    &returns::UNEXPECTED,
    &returns::VALUES,
    &summary::ECHO,
    &summary::ENDING,
    &summary::MISSING,
    &summary::OPENING,
    &tag::ORDER,
    &tag::REQUIRED,
    &tag::UNKNOWN,
    &text::PLACEHOLDER,
    &text::SPELLING,
    &throws::EMPTY,
    &throws::GUARD,
    &throws::MISSING,
    &throws::ORDER,
    &throws::PANICS,
    &PASSED,
    &throws::REPEATED,
    &throws::UNKNOWN,
    &typeparam::EMPTY,
    &typeparam::MISSING,
    &typeparam::ORDER,
    &typeparam::REPEATED,
    &typeparam::UNKNOWN,
    &UNUSED,
    &yields::MISSING,
    &yields::UNEXPECTED,
];

/// Finds a rule by its id.
#[must_use]
pub fn find(id: &str) -> Option<&'static Rule> {
    ALL.iter().copied().find(|rule| rule.id.as_str() == id)
}

/// Returns every rule's id and default level, as settings are checked against them.
#[must_use]
pub fn levels() -> Vec<(RuleId, Level)> {
    ALL.iter().map(|rule| (rule.id, rule.level)).collect()
}
