//! Compares doc comments with function signatures: text in, findings and edits out.
//!
//! The flow has one direction, a plain value at each step: [`text::Source`] → [`model::Outline`]
//! (declarations with signatures, raw comments) → [`model::DocComment`] (summary, entries) →
//! [`pairing::Pairing`] → raw findings → [`review::FileReview`]. Nothing here knows files, terminals,
//! clocks or networks; `ARCHITECTURE.md` has the map.

mod answers;
pub mod change;
pub mod coverage;
pub mod debt;
pub mod draft;
pub mod index;
pub mod languages;
pub mod mend;
pub mod model;
mod naming;
pub mod notations;
pub mod pairing;
mod placeholder;
pub mod profiles;
pub mod proof;
pub mod reading;
pub mod recast;
pub mod review;
pub mod rules;
pub mod settings;
#[cfg(any(test, feature = "testing"))]
pub mod testing;
pub mod text;
mod types;

use settings::{Config, ConfigError, Known, Overrides, Settings};

/// Returns the languages that come with the program, those of its line profiles included, by id.
#[must_use]
pub fn known_languages() -> Vec<&'static reading::Language> {
    let mut out = languages::ALL.to_vec();
    out.extend(profiles::built_in(&notations::ids()));
    out.sort_by_key(|language| language.id);
    out
}

/// Merges defaults, a configuration and what was asked for besides, with the registries at hand.
///
/// # Errors
/// [`ConfigError`] when a rule, language or notation is named that is not known, or a profile has a mistake.
pub fn settle(config: &Config, overrides: &Overrides) -> Result<Settings, ConfigError> {
    let levels = rules::levels();
    let own = profiles::languages(config, &notations::ids())?;
    for language in &own {
        if languages::find(language.id.as_str()).is_some() {
            return Err(ConfigError::TakenName(language.id.as_str().to_owned()));
        }
    }
    // A project's own profile comes before those of the program, and may take the place of one.
    let mut known = own;
    for language in known_languages() {
        if !known.iter().any(|taken| taken.id == language.id) {
            known.push(language);
        }
    }
    Settings::resolve(config, overrides, Known { languages: &known, rules: &levels })
}
