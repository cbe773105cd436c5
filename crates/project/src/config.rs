//! Finds the configuration that applies, and the project it makes.

use std::path::{Path, PathBuf};

use crate::decode::encoding_named;
use vinequill_core::settings::{Config, ConfigError, CoverageConfig, Overrides, Settings};

/// The name of the configuration file.
pub(crate) const FILE_NAME: &str = "vinequill.toml";

/// A project with its settings.
#[derive(Debug)]
pub struct Configured {
    /// The folder that paths are relative to.
    pub root: PathBuf,
    /// The configuration file that applies, where there is one.
    pub file: Option<PathBuf>,
    /// The configuration as written.
    pub config: Config,
    /// The merged settings.
    pub settings: Settings,
}

/// A configuration that cannot be used.
#[derive(Debug, thiserror::Error)]
#[non_exhaustive]
pub enum ConfigFailure {
    /// The file could not be read.
    #[error("{}", path.display())]
    Io {
        /// The file.
        path: PathBuf,
        /// Why.
        source: std::io::Error,
    },
    /// The file has a mistake.
    #[error("{}", path.display())]
    Mistake {
        /// The file.
        path: PathBuf,
        /// What is wrong.
        source: ConfigError,
    },
    /// Configurations build on each other in a circle.
    #[error("{}: `extends` leads in a circle, by {}", path.display(), base.display())]
    Circle {
        /// The file.
        path: PathBuf,
        /// What it builds on.
        base: PathBuf,
    },
    /// A key that only the topmost configuration may have.
    #[error("{}: `{key}` is for the whole project; set it in the topmost configuration", path.display())]
    Topmost {
        /// The file.
        path: PathBuf,
        /// The key.
        key: &'static str,
    },
    /// An encoding that is not known.
    #[error(
        "no encoding is named `{0}`; labels are those of the WHATWG standard, such as `windows-1252`, and UTF-16 is known by its mark"
    )]
    Encoding(String),
    /// A module that is named as an entry is not there.
    #[error(
        "{}: `entry` of `{language}` names `{entry}`, and there is no such file beside the configuration", path.display()
    )]
    Entry {
        /// The configuration.
        path: PathBuf,
        /// The language.
        language: String,
        /// What was named.
        entry: String,
    },
    /// An option has a mistake.
    #[error(transparent)]
    Option(ConfigError),
}

/// Which configuration file is used.
#[derive(Clone, Debug)]
pub enum Source {
    /// The nearest above a folder.
    Nearest,
    /// This one.
    File(PathBuf),
    /// None.
    None,
}

/// Returns the nearest folder at or above `from` that has a configuration or a repository.
#[must_use]
pub fn nearest_project(from: &Path) -> Option<PathBuf> {
    from.ancestors()
        .find(|dir| dir.join(FILE_NAME).is_file() || dir.join(".git").exists())
        .map(Path::to_owned)
}

/// Reads the configuration for `from`, a folder, and merges it with the options of this run.
///
/// # Errors
/// [`ConfigFailure`] when a file cannot be read or has a mistake.
pub fn configure(from: &Path, source: &Source, overrides: &Overrides) -> Result<Configured, ConfigFailure> {
    let file = match source {
        Source::None => None,
        Source::File(path) => Some(path.clone()),
        Source::Nearest => nearest_file(from),
    };
    let config = match &file {
        None => Config::default(),
        Some(path) => read_config(path, &mut Vec::new())?,
    };
    // What the file says is checked by itself first, so that a mistake is told at its place.
    if let Some(path) = &file {
        vinequill_core::settle(&config, &Overrides::default())
            .map_err(|source| ConfigFailure::Mistake { path: path.clone(), source })?;
        check_entries(path, &config)?;
    }
    let settings = vinequill_core::settle(&config, overrides).map_err(ConfigFailure::Option)?;
    check_encodings(&config)?;
    let root = nearest_project(from).unwrap_or_else(|| from.to_owned());
    Ok(Configured { root, file, config, settings })
}

/// An entry that is not there would make everything the package's own, in silence.
fn check_entries(path: &Path, config: &Config) -> Result<(), ConfigFailure> {
    let folder = path.parent().unwrap_or(Path::new(""));
    let all =
        config.languages.iter().flat_map(|(name, own)| own.entry.iter().map(move |entry| (name, entry)));
    for (language, entry) in all {
        if !folder.join(entry).is_file() {
            let (path, language, entry) = (path.to_owned(), language.clone(), entry.clone());
            return Err(ConfigFailure::Entry { path, language, entry });
        }
    }
    Ok(())
}

/// Reads a configuration and those it builds on; `seen` has the files that are being read.
fn read_config(path: &Path, seen: &mut Vec<PathBuf>) -> Result<Config, ConfigFailure> {
    let io = |source| ConfigFailure::Io { path: path.to_owned(), source };
    let text = std::fs::read_to_string(path).map_err(io)?;
    let mistake = |source| ConfigFailure::Mistake { path: path.to_owned(), source };
    let config = Config::parse(&text).map_err(mistake)?;
    let Some(base) = &config.extends else { return Ok(config) };
    let base = path.parent().unwrap_or(Path::new("")).join(base);
    let real = std::fs::canonicalize(&base).unwrap_or_else(|_| base.clone());
    if seen.contains(&real) {
        return Err(ConfigFailure::Circle { path: path.to_owned(), base });
    }
    seen.push(real);
    let base = read_config(&base, seen)?;
    Config::parse_over(&text, base).map_err(mistake)
}

/// The configurations of folders inside a project; each takes the place of those above it.
#[derive(Debug, Default)]
pub struct Nested(Vec<(PathBuf, Settings, String)>);

impl Nested {
    /// Reads the configurations of folders, given without the project's own.
    ///
    /// # Errors
    /// [`ConfigFailure`] when a file cannot be read or has a mistake, or sets what only the topmost may.
    pub fn read(folders: &[PathBuf], overrides: &Overrides) -> Result<Self, ConfigFailure> {
        let mut out = Vec::new();
        for folder in folders {
            let path = folder.join(FILE_NAME);
            let config = read_config(&path, &mut Vec::new())?;
            let own = &config;
            for (is_set, key) in [
                (!own.paths.is_empty(), "paths"),
                (own.coverage != CoverageConfig::default(), "coverage"),
                (own.accepted.is_some(), "accepted"),
            ] {
                if is_set && own.base.is_none() {
                    return Err(ConfigFailure::Topmost { path, key });
                }
            }
            let mistake = |source| ConfigFailure::Mistake { path: path.clone(), source };
            vinequill_core::settle(&config, &Overrides::default()).map_err(mistake)?;
            check_entries(&path, &config)?;
            let settings = vinequill_core::settle(&config, overrides).map_err(ConfigFailure::Option)?;
            out.push((folder.clone(), settings, config.text));
        }
        // The deepest first.
        out.sort_by_key(|(folder, ..)| std::cmp::Reverse(folder.components().count()));
        Ok(Self(out))
    }

    /// Returns the settings of the nearest folder above a file, where one has its own.
    #[must_use]
    pub fn for_file(&self, path: &Path) -> Option<&Settings> {
        self.0.iter().find(|(folder, ..)| path.starts_with(folder)).map(|(_, settings, _)| settings)
    }

    /// Puts what is only known where the program runs into what a draft writes.
    pub fn fill_in(&mut self, known: &[(&str, String)]) {
        self.0.iter_mut().for_each(|(_, settings, _)| settings.fill_in(known));
    }

    /// Returns the folders that have a configuration, the deepest first, each with its text.
    pub fn texts(&self) -> impl Iterator<Item = (&Path, &str)> {
        self.0.iter().map(|(folder, _, text)| (folder.as_path(), text.as_str()))
    }
}

fn check_encodings(config: &Config) -> Result<(), ConfigFailure> {
    let own = config.languages.values().filter_map(|language| language.encoding.as_ref());
    match own.chain(&config.encoding).find(|label| encoding_named(label).is_none()) {
        Some(label) => Err(ConfigFailure::Encoding(label.clone())),
        None => Ok(()),
    }
}

/// The nearest configuration file, no further up than the repository's root.
fn nearest_file(from: &Path) -> Option<PathBuf> {
    for dir in from.ancestors() {
        let file = dir.join(FILE_NAME);
        if file.is_file() {
            return Some(file);
        }
        if dir.join(".git").exists() {
            return None;
        }
    }
    None
}
