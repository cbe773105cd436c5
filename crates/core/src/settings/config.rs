//! The shape of `vinequill.toml`.

use std::collections::BTreeMap;

use serde::Deserialize;

use super::ConfigError;
use crate::model::{Excuse, Level, Surface};
use crate::reading::{Demand, Owe};

/// A sort of declarations that may be asked for comments.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Ask {
    /// Types.
    Types,
    /// Functions, methods, constructors, operators, function-like macros.
    Callables,
    /// Fields, properties, constants.
    Fields,
}

/// One configuration file, as written.
#[derive(Clone, Debug, Default, PartialEq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct Config {
    /// The versions of the program that this configuration is for, as `>=0.1`.
    pub requires: Option<String>,
    /// Another configuration, relative to this file, that this one builds on: tables merge, scalars and lists
    /// take its place, `words` and `exclude` add.
    pub extends: Option<String>,
    /// Rules, or patterns of rules, whose level nothing that builds on this configuration can lower.
    #[serde(default)]
    pub locked: Vec<String>,
    /// Folders and files to review when none are named.
    #[serde(default)]
    pub paths: Vec<String>,
    /// Globs of paths to leave out.
    #[serde(default)]
    pub exclude: Vec<String>,
    /// How far declarations are asked for comments.
    pub surface: Option<Surface>,
    /// What is asked for comments.
    pub ask: Option<Vec<Ask>>,
    /// What is excused.
    pub excuse: Option<Vec<Excuse>>,
    /// The project's vocabulary: words that are no misspellings.
    #[serde(default)]
    pub words: Vec<String>,
    /// The level from which a finding fails the run.
    pub fail_on: Option<Level>,
    /// The file of accepted findings, relative to this one.
    pub accepted: Option<String>,
    /// The share of bytes, in percent, that may stay without being understood.
    pub max_unparsed: Option<f64>,
    /// The size, in bytes, from which a file is left unread.
    pub max_file_size: Option<u64>,
    /// The encoding of files that are not UTF-8 and have no byte order mark.
    pub encoding: Option<String>,
    /// Levels by rule or `subject.*`.
    #[serde(default)]
    pub rules: BTreeMap<String, Level>,
    /// Floors.
    #[serde(default)]
    pub coverage: CoverageConfig,
    /// What files open with.
    #[serde(default)]
    pub header: HeaderConfig,
    /// How comments are drafted.
    #[serde(default)]
    pub draft: DraftConfig,
    /// What is different in one language.
    #[serde(default)]
    pub languages: BTreeMap<String, LanguageConfig>,
    /// Languages of one's own, described by patterns.
    #[serde(default)]
    pub profiles: Vec<super::ProfileConfig>,
    /// The text that this was read from: mistakes that are found later are told by their line in it.
    #[serde(skip)]
    pub text: String,
    /// The configuration that this one builds on, where there is one.
    #[serde(skip)]
    pub base: Option<Box<Config>>,
}

/// The least share that is allowed.
#[derive(Clone, Copy, Debug, PartialEq, Deserialize, schemars::JsonSchema)]
#[serde(untagged)]
pub enum Floor {
    /// In percent.
    Percent(f64),
    /// Not lower than what is compared with.
    Keep(Keep),
}

/// The word for a floor that moves along.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Keep {
    /// Not lower than before.
    Keep,
}

/// The table `[coverage]`.
#[derive(Clone, Debug, Default, PartialEq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct CoverageConfig {
    /// The least share of described declarations, in percent.
    pub floor: Option<Floor>,
    /// The least share of complete declarations, in percent.
    pub complete_floor: Option<Floor>,
    /// The least share of described declarations below a folder, in percent, by the folder's path.
    #[serde(default)]
    pub folders: BTreeMap<String, f64>,
}

/// The table `[header]`.
#[derive(Clone, Debug, Default, PartialEq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct HeaderConfig {
    /// A regular expression that the comment at the top of every file matches.
    pub pattern: Option<String>,
    /// What a draft writes there, a line each; `{year}` is the year.
    pub text: Option<String>,
}

/// How summaries begin.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Opening {
    /// "Weighs a crate."
    ThirdPerson,
    /// "Weigh a crate."
    Imperative,
    /// "Weigh weighs a crate.", with the declaration's name.
    NameFirst,
}

/// The table `[draft]`.
#[derive(Clone, Debug, Default, PartialEq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct DraftConfig {
    /// What stands where a person should write.
    pub placeholder: Option<String>,
    /// Whether names are put into words where nothing else tells.
    pub fill: Option<Fill>,
    /// What stands in tags that are required, by tag: `{user}`, `{date}`, `{year}` are put in.
    #[serde(default)]
    pub tags: BTreeMap<String, String>,
    /// Whether the descriptions of entries stand in one column; as in the file, where it is not said.
    pub align: Option<bool>,
    /// Whether an empty line parts the description from the entries; as in the file, where it is not said.
    pub blank_line: Option<bool>,
}

impl DraftConfig {
    /// Takes from another what is not said here.
    pub(crate) fn over(&self, base: &Self) -> Self {
        let mut tags = base.tags.clone();
        tags.extend(self.tags.clone());
        Self {
            placeholder: self.placeholder.clone().or_else(|| base.placeholder.clone()),
            fill: self.fill.or(base.fill),
            tags,
            align: self.align.or(base.align),
            blank_line: self.blank_line.or(base.blank_line),
        }
    }
}

/// What a draft says where only a person can know.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Fill {
    /// The placeholder.
    #[default]
    None,
    /// The name in words, which the review finds until someone says more.
    Names,
}

/// The table of one language.
#[derive(Clone, Debug, Default, PartialEq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct LanguageConfig {
    /// The notation of its comments.
    pub notation: Option<String>,
    /// What its comments owe.
    pub demand: Option<DemandConfig>,
    /// How far its declarations are asked for comments.
    pub surface: Option<Surface>,
    /// What is asked for comments.
    pub ask: Option<Vec<Ask>>,
    /// What is excused.
    pub excuse: Option<Vec<Excuse>>,
    /// Tags known besides the notation's own.
    #[serde(default)]
    pub tags: Vec<String>,
    /// Whether every tag that is not known is reported, not only one near to a known one.
    #[serde(default)]
    pub tags_closed: bool,
    /// The order in which tags stand.
    #[serde(default)]
    pub tag_order: Vec<String>,
    /// Tags that the comment of a declaration has, by the declaration's kind.
    #[serde(default)]
    pub required_tags: BTreeMap<String, Vec<String>>,
    /// The kinds of declarations whose comments show an example.
    #[serde(default)]
    pub examples: Vec<String>,
    /// How summaries of callables begin.
    pub opening: Option<Opening>,
    /// How its comments are drafted, where otherwise than those of the rest.
    #[serde(default)]
    pub draft: DraftConfig,
    /// Levels by rule or `subject.*`.
    #[serde(default)]
    pub rules: BTreeMap<String, Level>,
    /// File name endings, in place of the language's own.
    pub endings: Option<Vec<String>>,
    /// The encoding of its files that are not UTF-8 and have no byte order mark.
    pub encoding: Option<String>,
    /// The modules that others import, by path: what cannot be reached from them is the package's own.
    #[serde(default)]
    pub entry: Vec<String>,
    /// What opens comments that are documentation, besides what the language has.
    #[serde(default)]
    pub doc_marks: Vec<String>,
}

/// What comments owe: one word for all subjects, or a word each.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(untagged)]
pub enum DemandConfig {
    /// The same for all subjects; type parameters are owed once started.
    All(Owe),
    /// A word each; a subject that is not named stays as it was.
    Each(PlainDemand),
}

/// A demand by subject.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct PlainDemand {
    /// Parameters.
    pub param: Option<Owe>,
    /// Type parameters.
    pub typeparam: Option<Owe>,
    /// What comes back, yielded values included.
    pub returns: Option<Owe>,
    /// Exceptions.
    pub throws: Option<Owe>,
}

impl DemandConfig {
    /// Returns `before` with what is said here in its place.
    #[must_use]
    pub fn over(self, before: Demand) -> Demand {
        match self {
            Self::All(owe) => Demand::of(owe),
            Self::Each(each) => Demand {
                param: each.param.unwrap_or(before.param),
                typeparam: each.typeparam.unwrap_or(before.typeparam),
                returns: each.returns.unwrap_or(before.returns),
                throws: each.throws.unwrap_or(before.throws),
            },
        }
    }
}

impl Config {
    /// Parses the text of a configuration file.
    ///
    /// # Errors
    /// [`ConfigError`] with the line when the text is no TOML, or has a key or value that is not known.
    pub fn parse(text: &str) -> Result<Self, ConfigError> {
        let config: Self = toml::from_str(text).map_err(|error| ConfigError::of_toml(text, &error))?;
        Ok(Self { text: text.to_owned(), ..config })
    }

    /// Parses the text of a configuration file that builds on another.
    ///
    /// # Errors
    /// As [`Config::parse`].
    pub fn parse_over(text: &str, base: Config) -> Result<Self, ConfigError> {
        // By itself first, so that a mistake is told at its place.
        Self::parse(text)?;
        let own: toml::Table = toml::from_str(text).map_err(|error| ConfigError::of_toml(text, &error))?;
        let mut whole: toml::Table =
            toml::from_str(&base.text).map_err(|error| ConfigError::of_toml(&base.text, &error))?;
        for key in ["extends", "requires", "locked"] {
            whole.remove(key);
        }
        let whole = merged(whole, own);
        let text_of_all = toml::to_string(&whole).unwrap_or_default();
        let config: Self = toml::Value::Table(whole)
            .try_into()
            .map_err(|error| ConfigError::of_toml(&text_of_all, &error))?;
        // What builds on this one builds on all of it.
        Ok(Self { text: text_of_all, base: Some(Box::new(base)), ..config })
    }
}

/// Lists that add up where one configuration builds on another.
const ADDING: &[&str] = &["words", "exclude"];

/// Merges tables: scalars and lists of the second take the place of the first's.
fn merged(mut base: toml::Table, own: toml::Table) -> toml::Table {
    for (key, value) in own {
        let value = match (base.remove(&key), value) {
            (Some(toml::Value::Table(before)), toml::Value::Table(after)) => {
                toml::Value::Table(merged(before, after))
            }
            (Some(toml::Value::Array(mut before)), toml::Value::Array(after))
                if ADDING.contains(&key.as_str()) =>
            {
                before.extend(after);
                toml::Value::Array(before)
            }
            (_, value) => value,
        };
        base.insert(key, value);
    }
    base
}
