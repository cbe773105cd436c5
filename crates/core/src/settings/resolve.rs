//! Default < file < option, in one place.

use std::collections::BTreeMap;

use super::ConfigError;
use regex::Regex;

use super::config::{Ask, Config, DraftConfig, Fill, Floor, LanguageConfig, Opening};
use super::levels::{LevelSetting, covers, level_of};
use crate::model::{Excuse, Kind, LanguageId, Level, NotationId, RuleId, Surface};
use crate::reading::{Demand, Language, Owe};
use crate::text::{is_wordless, nearest};

/// What the registries know: settings are checked against it.
#[derive(Clone, Copy)]
pub struct Known<'a> {
    /// Languages.
    pub languages: &'a [&'static Language],
    /// Rules with their default levels.
    pub rules: &'a [(RuleId, Level)],
}

/// What was asked for on the command line or by an editor.
#[derive(Clone, Debug, Default)]
pub struct Overrides {
    /// How far declarations are asked for comments.
    pub surface: Option<Surface>,
    /// What comments owe, of all subjects.
    pub demand: Option<Owe>,
    /// Levels, in order.
    pub levels: Vec<LevelSetting>,
}

/// The merged meaning of all that was asked for.
#[derive(Clone, Debug)]
pub struct Settings {
    known: Vec<&'static Language>,
    languages: BTreeMap<&'static str, LanguageSettings>,
    /// Some language has other endings than its own.
    has_endings: bool,
    /// The level from which a finding fails the run.
    pub fail_on: Level,
    /// The share of bytes, in percent, that may stay without being understood.
    pub max_unparsed: f64,
    /// The size in bytes from which a file is left unread.
    pub max_file_size: u64,
    /// The least share of described declarations, in percent.
    pub floor: Option<Floor>,
    /// The least share of complete declarations, in percent.
    pub complete_floor: Option<Floor>,
    /// The least shares of described declarations below folders, in percent, by path.
    pub folder_floors: Vec<(String, f64)>,
    /// What stands where a person should write.
    pub placeholder: String,
}

/// What holds for one language.
#[derive(Clone, Debug)]
pub struct LanguageSettings {
    /// How far declarations are asked for comments.
    pub surface: Surface,
    /// What comments owe.
    pub demand: Demand,
    /// The notation that is asked for, where one is.
    pub notation: Option<NotationId>,
    /// What is asked for comments.
    pub ask: Vec<Ask>,
    /// What is excused.
    pub excuse: Vec<Excuse>,
    /// Tags known besides the notation's own.
    pub tags: Vec<String>,
    /// Whether every unknown tag is reported.
    pub tags_closed: bool,
    /// The order in which tags stand; empty where it is free.
    pub tag_order: Vec<String>,
    /// Tags that comments have, by the kind of the declaration.
    pub required_tags: Vec<(Kind, Vec<String>)>,
    /// The kinds of declarations whose comments show an example.
    pub examples: Vec<Kind>,
    /// How summaries of callables begin.
    pub opening: Option<Opening>,
    /// Words that are no misspellings, in lower case.
    pub words: Vec<String>,
    /// What the comment at the top of a file matches.
    pub header: Option<Regex>,
    /// What a draft writes there, a line each, with `{year}` for the year.
    pub header_text: Vec<String>,
    /// What stands where a person should write.
    pub placeholder: String,
    /// What a draft says where only a person can know.
    pub fill: Fill,
    /// What a draft puts into tags that are required, by tag.
    pub tag_values: BTreeMap<String, String>,
    /// Whether a draft puts the descriptions of entries into one column; as in the file, where it is not said.
    pub align: Option<bool>,
    /// Whether a draft parts the description from the entries by an empty line; as in the file, where it is not said.
    pub blank_line: Option<bool>,
    /// File name endings, in place of the language's own.
    pub endings: Option<Vec<String>>,
    /// The encoding of files that do not tell.
    pub encoding: Option<String>,
    /// The modules that others import, by path relative to the configuration.
    pub entry: Vec<String>,
    /// What opens documentation besides what the language has.
    pub doc_marks: Vec<String>,
    /// Sorted by where the names of the rules stand in memory.
    levels: Vec<(RuleId, Level)>,
}

/// The size from which a file is left unread unless configured otherwise: 8 MB.
const MAX_FILE_SIZE: u64 = 8_000_000;

const EXCUSES: &[Excuse] = &[
    Excuse::Overrides,
    Excuse::Conventional,
    Excuse::EmptyConstructors,
    Excuse::EnumMembers,
    Excuse::Tests,
    Excuse::Generated,
    Excuse::Main,
];

impl Settings {
    /// Merges defaults, a configuration and what was asked for besides.
    ///
    /// # Errors
    /// [`ConfigError`] when a rule, language or notation is named that is not known.
    pub fn resolve(config: &Config, overrides: &Overrides, known: Known<'_>) -> Result<Self, ConfigError> {
        check_version(config)?;
        for name in config.languages.keys() {
            check_language(name, known)?;
        }
        check_patterns(config.locked.iter().map(String::as_str), known)?;
        check_patterns(config.rules.keys().map(String::as_str), known)?;
        check_patterns(overrides.levels.iter().map(|setting| setting.pattern.as_str()), known)?;
        let placeholder = placeholder(&config.draft)?;
        check_floors(config)?;
        let mut languages = BTreeMap::new();
        for language in known.languages {
            let own = config.languages.get(language.id.as_str()).cloned().unwrap_or_default();
            let settings = language_settings(language, &own, (config, overrides), known)?;
            languages.insert(language.id.as_str(), settings);
        }
        Ok(Self {
            has_endings: languages.values().any(|settings: &LanguageSettings| settings.endings.is_some()),
            known: known.languages.to_vec(),
            languages,
            fail_on: config.fail_on.unwrap_or(Level::Warning),
            max_unparsed: config.max_unparsed.unwrap_or(2.0),
            max_file_size: config.max_file_size.unwrap_or(MAX_FILE_SIZE),
            floor: config.coverage.floor,
            complete_floor: config.coverage.complete_floor,
            folder_floors: config
                .coverage
                .folders
                .iter()
                .map(|(folder, &floor)| (folder.clone(), floor))
                .collect(),
            placeholder,
        })
    }

    /// Puts what is only known where the program runs into what a draft writes: each name in braces becomes its value.
    pub fn fill_in(&mut self, known: &[(&str, String)]) {
        for settings in self.languages.values_mut() {
            for text in settings.tag_values.values_mut().chain(&mut settings.header_text) {
                for (name, value) in known {
                    *text = text.replace(&format!("{{{name}}}"), value);
                }
            }
        }
    }

    /// Returns all languages that can be read, those of the project's own profiles included.
    #[must_use]
    pub fn languages(&self) -> &[&'static Language] {
        &self.known
    }

    /// Finds a language by its id.
    #[must_use]
    pub fn find_language(&self, id: &str) -> Option<&'static Language> {
        self.known.iter().copied().find(|language| language.id.as_str() == id)
    }

    /// Finds the language of a file by its name; endings of the configuration come before the languages' own.
    #[must_use]
    pub fn language_of_file(&self, file_name: &str) -> Option<&'static Language> {
        let own = |language: &&'static Language| {
            language.reads(file_name) && self.language(language.id).endings.is_none()
        };
        let configured = || {
            let lower = file_name.to_lowercase();
            self.known.iter().copied().find(|language| {
                let endings = self.language(language.id).endings.iter().flatten();
                endings.into_iter().any(|ending| lower.ends_with(&ending.to_lowercase()))
            })
        };
        let configured = self.has_endings.then(configured).flatten();
        configured.or_else(|| self.known.iter().copied().find(own))
    }

    /// Returns what holds for a language of the registry.
    ///
    /// # Panics
    /// When the language was not in the registry that these settings were resolved with.
    #[must_use]
    pub fn language(&self, id: LanguageId) -> &LanguageSettings {
        &self.languages[id.as_str()]
    }
}

impl LanguageSettings {
    /// Returns the level of a rule.
    #[must_use]
    pub fn level(&self, rule: RuleId) -> Level {
        // A rule is a static, and copies of its name share its address; comparing texts is for names made elsewhere.
        let found = self.levels.binary_search_by_key(&address(rule), |&(id, _)| address(id));
        let found = found.ok().map(|at| &self.levels[at]).filter(|(id, _)| *id == rule);
        found
            .or_else(|| self.levels.iter().find(|(id, _)| *id == rule))
            .map_or(Level::None, |&(_, level)| level)
    }

    /// Returns the tags that comments of a kind of declaration must have.
    pub fn required_tags_of(&self, kind: Kind) -> impl Iterator<Item = &str> {
        let of_kind = self.required_tags.iter().filter(move |(of, _)| *of == kind);
        of_kind.flat_map(|(_, tags)| tags).map(String::as_str)
    }

    /// Tells whether the module at a path is one that others import.
    #[must_use]
    pub fn is_entry(&self, path: &str) -> bool {
        // Paths are relative to the project, entries to a configuration that may stand below it.
        let is = |entry: &String| {
            path.strip_suffix(entry.as_str()).is_some_and(|before| before.is_empty() || before.ends_with('/'))
        };
        self.entry.iter().any(is)
    }
}

/// Returns where the name of a rule stands in memory.
fn address(rule: RuleId) -> usize {
    rule.as_str().as_ptr().addr()
}

fn language_settings(
    language: &Language,
    own: &LanguageConfig,
    (config, overrides): (&Config, &Overrides),
    known: Known<'_>,
) -> Result<LanguageSettings, ConfigError> {
    let draft = own.draft.over(&config.draft);
    check_patterns(own.rules.keys().map(String::as_str), known)?;
    let demand = match (overrides.demand, own.demand) {
        (Some(owe), _) => Demand::all(owe),
        (None, Some(demand)) => demand.over(language.demand),
        (None, None) => language.demand,
    };
    let mut ask = vec![Ask::Types, Ask::Callables];
    if language.asks_fields {
        ask.push(Ask::Fields);
    }
    let layers = [levels(&config.rules), levels(&own.rules), overrides.levels.clone()];
    check_locks(language, config, known, &layers)?;
    Ok(LanguageSettings {
        surface: overrides.surface.or(own.surface).or(config.surface).unwrap_or(Surface::Public),
        demand,
        notation: notation(language, own)?,
        ask: own.ask.clone().or_else(|| config.ask.clone()).unwrap_or(ask),
        excuse: own.excuse.clone().or_else(|| config.excuse.clone()).unwrap_or_else(|| EXCUSES.to_vec()),
        tags: own.tags.clone(),
        tags_closed: own.tags_closed,
        tag_order: own.tag_order.clone(),
        required_tags: own
            .required_tags
            .iter()
            .map(|(name, tags)| Ok((kind(name)?, tags.clone())))
            .collect::<Result<_, ConfigError>>()?,
        examples: own.examples.iter().map(|name| kind(name)).collect::<Result<_, ConfigError>>()?,
        opening: own.opening.or_else(|| language.opens_with_name.then_some(Opening::NameFirst)),
        words: config.words.iter().map(|word| word.to_lowercase()).collect(),
        header: header(config)?,
        header_text: config.header.text.iter().flat_map(|text| text.lines()).map(str::to_owned).collect(),
        placeholder: placeholder(&draft)?,
        fill: draft.fill.unwrap_or_default(),
        tag_values: draft.tags,
        align: draft.align,
        blank_line: draft.blank_line,
        endings: own.endings.clone(),
        encoding: own.encoding.clone().or_else(|| config.encoding.clone()),
        entry: own.entry.iter().map(|path| path.trim_start_matches("./").to_owned()).collect(),
        doc_marks: own.doc_marks.clone(),
        levels: {
            let level = |&(id, default): &(RuleId, Level)| (id, level_of(id, default, &layers));
            let mut levels: Vec<(RuleId, Level)> = known.rules.iter().map(level).collect();
            levels.sort_unstable_by_key(|&(id, _)| address(id));
            levels
        },
    })
}

/// Returns what stands where a person should write.
fn placeholder(draft: &DraftConfig) -> Result<String, ConfigError> {
    let placeholder = draft.placeholder.clone().unwrap_or_else(|| "TODO: describe".to_owned());
    if is_wordless(&placeholder) { Err(ConfigError::Wordless(placeholder)) } else { Ok(placeholder) }
}

fn check_floors(config: &Config) -> Result<(), ConfigError> {
    let coverage = &config.coverage;
    let percent = |floor: &Floor| match floor {
        Floor::Percent(percent) => Some(*percent),
        Floor::Keep(_) => None,
    };
    let floors = coverage.floor.iter().chain(&coverage.complete_floor).filter_map(percent);
    let all: Vec<f64> = floors.chain(coverage.folders.values().copied()).collect();
    let mut all = all.iter();
    match all.find(|floor| !(0.0..=100.0).contains(*floor)) {
        Some(&floor) => Err(ConfigError::Floor(floor)),
        None => Ok(()),
    }
}

fn check_version(config: &Config) -> Result<(), ConfigError> {
    const IS: &str = env!("CARGO_PKG_VERSION");
    let Some(wanted) = &config.requires else { return Ok(()) };
    let requirement = semver::VersionReq::parse(wanted).map_err(|error| ConfigError::Pattern {
        key: "requires".to_owned(),
        pattern: wanted.clone(),
        reason: error.to_string(),
    })?;
    let matches = semver::Version::parse(IS).is_ok_and(|version| requirement.matches(&version));
    if matches { Ok(()) } else { Err(ConfigError::Requires { wanted: wanted.clone(), is: IS }) }
}

/// What a configuration further down has locked, nothing above can lower: no file, no option.
fn check_locks(
    language: &Language,
    config: &Config,
    known: Known<'_>,
    layers: &[Vec<LevelSetting>],
) -> Result<(), ConfigError> {
    let mut below = config.base.as_deref();
    while let Some(base) = below {
        let own = base.languages.get(language.id.as_str()).map(|own| levels(&own.rules)).unwrap_or_default();
        let locked = [levels(&base.rules), own];
        for &(rule, default) in known.rules {
            let is_locked = base.locked.iter().any(|pattern| covers(pattern, rule));
            let least = level_of(rule, default, &locked);
            if is_locked && level_of(rule, default, layers) < least {
                return Err(ConfigError::Locked { rule: rule.as_str(), level: least.as_str() });
            }
        }
        below = base.base.as_deref();
    }
    Ok(())
}

fn levels(rules: &BTreeMap<String, Level>) -> Vec<LevelSetting> {
    rules.iter().map(|(pattern, &level)| LevelSetting { pattern: pattern.clone(), level }).collect()
}

fn notation(language: &Language, own: &LanguageConfig) -> Result<Option<NotationId>, ConfigError> {
    let Some(name) = &own.notation else { return Ok(None) };
    let found = language.notations.iter().copied().find(|id| id.as_str() == name);
    found.map(Some).ok_or_else(|| ConfigError::UnknownNotation {
        notation: name.clone(),
        language: language.label.to_owned(),
        accepted: language.notations.iter().map(|id| format!("`{id}`")).collect::<Vec<_>>().join(", "),
    })
}

fn kind(name: &str) -> Result<Kind, ConfigError> {
    Kind::find(name).ok_or_else(|| ConfigError::UnknownKind {
        name: name.to_owned(),
        nearest: nearest(name, Kind::ALL.iter().map(|kind| kind.as_str())).map(str::to_owned),
    })
}

fn header(config: &Config) -> Result<Option<Regex>, ConfigError> {
    let Some(pattern) = &config.header.pattern else { return Ok(None) };
    let wrong = |error: regex::Error| ConfigError::Pattern {
        key: "header.pattern".to_owned(),
        pattern: pattern.clone(),
        reason: error.to_string().lines().last().unwrap_or_default().trim().to_owned(),
    };
    let found = Regex::new(pattern).map_err(wrong)?;
    let text = config.header.text.as_ref().map(|text| text.replace("{year}", "2000"));
    if let Some(text) = text.filter(|text| !found.is_match(text)) {
        // What a draft writes would be asked for again.
        return Err(ConfigError::HeaderText { pattern: pattern.clone(), text });
    }
    Ok(Some(found))
}

fn check_language(name: &str, known: Known<'_>) -> Result<(), ConfigError> {
    let ids = known.languages.iter().map(|language| language.id.as_str());
    if ids.clone().any(|id| id == name) {
        return Ok(());
    }
    Err(ConfigError::UnknownLanguage {
        name: name.to_owned(),
        nearest: nearest(name, ids).map(str::to_owned),
    })
}

fn check_patterns<'a>(patterns: impl Iterator<Item = &'a str>, known: Known<'_>) -> Result<(), ConfigError> {
    for pattern in patterns {
        let found = known.rules.iter().any(|&(id, _)| covers(pattern, id));
        if !found {
            let near = nearest(pattern, known.rules.iter().map(|(id, _)| id.as_str())).map(str::to_owned);
            return Err(ConfigError::UnknownRule { name: pattern.to_owned(), nearest: near });
        }
    }
    Ok(())
}
