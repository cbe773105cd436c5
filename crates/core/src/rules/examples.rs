//! Examples of rules in further families of languages, as data: `vinequill rules RULE` and the papers show them, a test
//! runs them.

use std::sync::LazyLock;

use serde::Deserialize;

use crate::model::RuleId;

/// An example of a rule in another language than the one it is first explained in.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct FurtherExample {
    /// The rule's id.
    pub rule: String,
    /// The language's id.
    pub language: String,
    /// Source that fires the rule.
    pub fires: String,
    /// The same source mended.
    pub silent: String,
}

#[derive(Deserialize)]
struct All {
    example: Vec<FurtherExample>,
}

static ALL: LazyLock<Vec<FurtherExample>> = LazyLock::new(|| {
    toml::from_str::<All>(include_str!("examples.toml")).expect("a test reads them all").example
});

/// Returns all examples in further languages.
///
/// # Panics
/// Never: a test reads what comes with the program.
#[must_use]
pub fn further_examples() -> &'static [FurtherExample] {
    &ALL
}

/// Returns the examples of one rule in further languages.
pub fn further_examples_of(rule: RuleId) -> impl Iterator<Item = &'static FurtherExample> {
    ALL.iter().filter(move |example| example.rule == rule.as_str())
}
