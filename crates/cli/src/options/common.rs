//! Options that mean the same in every command that reads source.

use std::path::PathBuf;

use clap::Args;
use vinequill_core::model::{Level, RuleId, Surface};
use vinequill_core::reading::Owe;
use vinequill_core::settings::{LevelSetting, Overrides, covers};
use vinequill_project::ConfigSource;

use crate::terminal::Color;

/// What is read, and by which standard.
#[derive(Clone, Debug, Default, Args)]
pub(crate) struct Common {
    /// How far declarations are asked for comments
    #[arg(long, value_name = "S", value_parser = parse_surface, help_heading = "What counts")]
    surface: Option<Surface>,
    /// How much comments owe: always, beyond-summary, once-started, never
    #[arg(long, value_name = "D", value_parser = parse_owe, help_heading = "What counts")]
    demand: Option<Owe>,
    /// Level of a rule, as `param.missing=error` or `param.*=none`; `warning` where none is given (repeatable)
    #[arg(long = "rule", value_name = "RULE[=LEVEL]", value_parser = parse_level, help_heading = "What counts")]
    levels: Vec<LevelSetting>,
    /// Only these languages
    #[arg(long = "language", value_name = "L", value_delimiter = ',', help_heading = "What is read")]
    pub(crate) languages: Vec<String>,
    /// Bring back what is left out by default
    #[arg(long, value_name = "GLOB", help_heading = "What is read")]
    pub(crate) include: Vec<String>,
    /// Read one file from standard input, as if it stood at PATH
    #[arg(long, value_name = "PATH", help_heading = "What is read")]
    pub(crate) stdin_path: Option<PathBuf>,
    /// Only this part of the files: the K-th of N, always the same ones
    #[arg(long, value_name = "K/N", value_parser = parse_shard, conflicts_with = "stdin_path", help_heading = "What is read")]
    pub(crate) shard: Option<Shard>,
    /// Use this configuration file
    #[arg(long, value_name = "FILE", conflicts_with = "no_config", help_heading = "What is read")]
    config: Option<PathBuf>,
    /// Use no configuration file
    #[arg(long, help_heading = "What is read")]
    no_config: bool,
    /// Folder to keep what was found out in, in place of the user's own
    #[arg(long, value_name = "DIR", conflicts_with = "no_cache")]
    pub(crate) cache: Option<PathBuf>,
    /// Keep nothing, and use nothing that was kept
    #[arg(long)]
    pub(crate) no_cache: bool,
    /// Number of workers; one a processor unless given
    #[arg(long, value_name = "N", default_value_t = 0, hide_default_value = true)]
    pub(crate) jobs: usize,
    /// When to use colour
    #[arg(long, value_name = "WHEN", value_enum, default_value_t)]
    pub(crate) color: Color,
    /// Say less
    #[arg(short, long, conflicts_with = "verbose")]
    pub(crate) quiet: bool,
    /// Say more
    #[arg(short, long)]
    pub(crate) verbose: bool,
}

impl Common {
    /// Returns what was asked for besides the configuration.
    pub(crate) fn overrides(&self) -> Overrides {
        Overrides { surface: self.surface, demand: self.demand, levels: self.levels.clone() }
    }

    /// Returns the rules that were named to be on; empty when none was.
    pub(crate) fn named_rules(&self) -> Vec<RuleId> {
        let on: Vec<&LevelSetting> =
            self.levels.iter().filter(|setting| setting.level != Level::None).collect();
        let rules = vinequill_core::rules::ALL.iter().map(|rule| rule.id);
        rules.filter(|&rule| on.iter().any(|setting| covers(&setting.pattern, rule))).collect()
    }

    /// Returns which configuration file is used.
    pub(crate) fn config_source(&self) -> ConfigSource {
        match (&self.config, self.no_config) {
            (Some(path), _) => ConfigSource::File(path.clone()),
            (None, true) => ConfigSource::None,
            (None, false) => ConfigSource::Nearest,
        }
    }
}

/// One of several parts into which the files are divided.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(crate) struct Shard {
    /// The number of the part, from 0.
    number: u64,
    /// How many parts there are.
    of: u64,
}

impl Shard {
    /// Tells whether a file belongs to this part: by its path alone (FNV-1a, 64 bits), so that every machine and every
    /// version divides alike.
    pub(crate) fn holds(self, path: &str) -> bool {
        let step = |hash: u64, byte: u8| (hash ^ u64::from(byte)).wrapping_mul(0x0100_0000_01b3);
        let hash = path.bytes().fold(0xcbf2_9ce4_8422_2325, step);
        // The upper bits are mixed best.
        (hash >> 17) % self.of == self.number
    }
}

fn parse_shard(text: &str) -> Result<Shard, String> {
    let numbers =
        text.split_once('/').and_then(|(k, n)| Some((k.parse::<u64>().ok()?, n.parse::<u64>().ok()?)));
    match numbers {
        Some((k, n)) if 1 <= k && k <= n => Ok(Shard { number: k - 1, of: n }),
        _ => Err("it is K/N, the K-th of N parts, such as 2/8".to_owned()),
    }
}

fn parse_surface(text: &str) -> Result<Surface, String> {
    [Surface::Public, Surface::Protected, Surface::Package, Surface::Private]
        .into_iter()
        .find(|surface| surface.as_str() == text)
        .ok_or_else(|| "it is one of public, protected, package, private".to_owned())
}

fn parse_owe(text: &str) -> Result<Owe, String> {
    match text {
        "always" => Ok(Owe::Always),
        "beyond-summary" => Ok(Owe::BeyondSummary),
        "once-started" => Ok(Owe::OnceStarted),
        "never" => Ok(Owe::Never),
        _ => Err("it is one of always, beyond-summary, once-started, never".to_owned()),
    }
}

/// Reads the word for a level.
pub(crate) fn parse_level_word(text: &str) -> Result<Level, String> {
    [Level::None, Level::Note, Level::Warning, Level::Error]
        .into_iter()
        .find(|level| level.as_str() == text)
        .ok_or_else(|| "a level is one of error, warning, note, none".to_owned())
}

fn parse_level(text: &str) -> Result<LevelSetting, String> {
    let (pattern, level) = text.split_once('=').unwrap_or((text, "warning"));
    Ok(LevelSetting { pattern: pattern.trim().to_owned(), level: parse_level_word(level.trim())? })
}
