//! Finds the configuration that applies, and the project it makes.

use std::path::{Path, PathBuf};

use crate::decode::encoding_named;
use vinequill_core::settings::{Config, ConfigError, Overrides, Settings};

/// The name of the configuration file.
const FILE_NAME: &str = "vinequill.toml";

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
    /// An encoding that is not known.
    #[error(
        "no encoding is named `{0}`; labels are those of the WHATWG standard, such as `windows-1252`, and UTF-16 is known by its mark"
    )]
    Encoding(String),
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
        Some(path) => {
            let text = std::fs::read_to_string(path)
                .map_err(|source| ConfigFailure::Io { path: path.clone(), source })?;
            Config::parse(&text).map_err(|source| ConfigFailure::Mistake { path: path.clone(), source })?
        }
    };
    // What the file says is checked by itself first, so that a mistake is told at its place.
    if let Some(path) = &file {
        vinequill_core::settle(&config, &Overrides::default())
            .map_err(|source| ConfigFailure::Mistake { path: path.clone(), source })?;
    }
    let settings = vinequill_core::settle(&config, overrides).map_err(ConfigFailure::Option)?;
    check_encodings(&config)?;
    let root = nearest_project(from).unwrap_or_else(|| from.to_owned());
    Ok(Configured { root, file, config, settings })
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
