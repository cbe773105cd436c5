//! What can be wrong with a configuration.

use crate::text::{Span, nearest};

/// A mistake in a configuration.
#[derive(Debug, Clone, PartialEq, thiserror::Error)]
#[non_exhaustive]
pub enum ConfigError {
    /// The text does not parse, or has an unknown key or value.
    #[error("line {line}: {reason}")]
    Text {
        /// The line, from 1.
        line: u32,
        /// What is wrong there.
        reason: String,
    },
    /// A rule or pattern names nothing.
    #[error("no rule is named `{name}`{}", hint(.nearest.as_deref()))]
    UnknownRule {
        /// What was written.
        name: String,
        /// What probably was meant.
        nearest: Option<String>,
    },
    /// A language is not known.
    #[error("no language is named `{name}`{}", hint(.nearest.as_deref()))]
    UnknownLanguage {
        /// What was written.
        name: String,
        /// What probably was meant.
        nearest: Option<String>,
    },
    /// A profile has the name of a language that comes with the program.
    #[error("a profile is named `{0}`, as a language that is there already; give it another name")]
    TakenName(String),
    /// A placeholder that reads like no text at all.
    #[error("`placeholder = \"{0}\"`: a placeholder needs a word, so that it can be found again")]
    Wordless(String),
    /// A header that is not the one that is asked for.
    #[error(
        "`header.text`, with a year put in, reads `{text}`, which `header.pattern = \"{pattern}\"` does not match"
    )]
    HeaderText {
        /// What files must open with.
        pattern: String,
        /// What would be written.
        text: String,
    },
    /// A floor that is no share.
    #[error("a floor of {0} is no percentage; it is a number from 0 to 100")]
    Floor(f64),
    /// The program is another version than the configuration is for.
    #[error(
        "this configuration is for version `{wanted}` and this is {is}; take another version, or change `requires`"
    )]
    Requires {
        /// What is wanted.
        wanted: String,
        /// This version.
        is: &'static str,
    },
    /// A level that a configuration below has locked was lowered.
    #[error(
        "`{rule}` is locked at `{level}` by the configuration that this one builds on; it can be raised, not lowered"
    )]
    Locked {
        /// The rule.
        rule: &'static str,
        /// Its level there.
        level: &'static str,
    },
    /// A kind of declaration is not known.
    #[error("no kind of declaration is named `{name}`{}", hint(.nearest.as_deref()))]
    UnknownKind {
        /// What was written.
        name: String,
        /// What probably was meant.
        nearest: Option<String>,
    },
    /// A pattern does not compile.
    #[error("`{key} = \"{pattern}\"`: {reason}")]
    Pattern {
        /// The key.
        key: String,
        /// What was written.
        pattern: String,
        /// Why it does not compile.
        reason: String,
    },
    /// A notation is not one that the language accepts.
    #[error("`{notation}` is no notation of {language}; it takes {accepted}")]
    UnknownNotation {
        /// What was written.
        notation: String,
        /// The language.
        language: String,
        /// What it takes.
        accepted: String,
    },
}

fn hint(nearest: Option<&str>) -> String {
    nearest.map(|nearest| format!("; did you mean `{nearest}`?")).unwrap_or_default()
}

impl ConfigError {
    /// Turns an error of the TOML reader into one with line and nearest key.
    pub(super) fn of_toml(text: &str, error: &toml::de::Error) -> Self {
        let line =
            error.span().map_or(1, |span| text[..span.start.min(text.len())].matches('\n').count() + 1);
        let line = Span::of(line, line).start;
        let message = error.message();
        let mut quoted = message.split('`').skip(1).step_by(2);
        let reason = match (message.starts_with("unknown "), quoted.next()) {
            (true, Some(found)) => {
                let expected: Vec<&str> = quoted.collect();
                let what = if message.starts_with("unknown field") { "key" } else { "value" };
                let meant = nearest(found, expected.iter().copied());
                match meant {
                    Some(meant) => format!("unknown {what} `{found}`; did you mean `{meant}`?"),
                    None => format!("unknown {what} `{found}`; known are {}", expected.join(", ")),
                }
            }
            _ => message.lines().next().unwrap_or_default().to_owned(),
        };
        Self::Text { line, reason }
    }
}
