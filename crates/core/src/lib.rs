//! Compares doc comments with function signatures: text in, findings and edits out.
//!
//! The flow has one direction, a plain value at each step: [`text::Source`] → [`model::Outline`]
//! (declarations with signatures, raw comments) → [`model::DocComment`] (summary, entries) →
//! [`pairing::Pairing`] → raw findings → [`review::FileReview`]. Nothing here knows files, terminals,
//! clocks or networks; `ARCHITECTURE.md` has the map.

pub mod coverage;
pub mod debt;
pub mod draft;
pub mod languages;
pub mod model;
pub mod notations;
pub mod pairing;
mod placeholder;
pub mod proof;
pub mod reading;
pub mod review;
pub mod rules;
pub mod settings;
#[cfg(any(test, feature = "testing"))]
pub mod testing;
pub mod text;
mod types;

use settings::{Config, ConfigError, Known, Overrides, Settings};

/// Merges defaults, a configuration and what was asked for besides, with the registries at hand.
///
/// # Errors
/// [`ConfigError`] when a rule, language or notation is named that is not known.
pub fn settle(config: &Config, overrides: &Overrides) -> Result<Settings, ConfigError> {
    let levels = rules::levels();
    Settings::resolve(config, overrides, Known { languages: languages::ALL, rules: &levels })
}
