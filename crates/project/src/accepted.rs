//! Findings that were accepted: today's, so that only new ones are told from now on. They are known by rule, path,
//! declaration and subject, never by line, so that they survive edits elsewhere.

use std::collections::{BTreeMap, HashMap, HashSet};
use std::path::{Path, PathBuf};

use serde::{Deserialize, Serialize};
use vinequill_core::model::{Finding, State};

use crate::Reviewed;

/// The name of the file where the configuration names none.
pub const ACCEPTED_FILE: &str = "vinequill-accepted.json";

const FORMAT: &str = "vinequill-accepted/1";

/// What a finding is known by. Ordered by path, so that the file reads and merges well.
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub struct Fingerprint {
    /// The path of the file in the project.
    pub path: String,
    /// The qualified name of the declaration; empty for findings of a file.
    pub declaration: String,
    /// The rule.
    pub rule: String,
    /// The parameter, type or tag it is about.
    pub subject: String,
}

impl Fingerprint {
    fn of(path: &str, finding: &Finding) -> Self {
        Self {
            path: path.to_owned(),
            declaration: finding.declaration.to_string(),
            rule: finding.raw.rule.as_str().to_owned(),
            subject: finding.raw.subject.to_string(),
        }
    }

    /// Returns all but the path.
    fn rest(&self) -> (&str, &str, &str) {
        (&self.declaration, &self.rule, &self.subject)
    }
}

/// A file of accepted findings that cannot be used.
#[derive(Debug, thiserror::Error)]
#[non_exhaustive]
pub enum AcceptedFailure {
    /// It cannot be read or written.
    #[error("{}: {source}", path.display())]
    Io {
        /// The file.
        path: PathBuf,
        /// Why.
        source: std::io::Error,
    },
    /// It is no file of accepted findings.
    #[error(
        "{}: line {line}, column {column}: {reason}; mend it, or make it anew with `vinequill accept`", path.display()
    )]
    Malformed {
        /// The file.
        path: PathBuf,
        /// The line, from 1.
        line: usize,
        /// The column, from 1.
        column: usize,
        /// What is wrong.
        reason: String,
    },
    /// It was made by a version that writes it in another way.
    #[error("{}: its format is `{found}`, and this version reads `vinequill-accepted/1`", path.display())]
    Format {
        /// The file.
        path: PathBuf,
        /// Its format.
        found: String,
    },
}

/// Accepted findings, each with how many equals of it were accepted.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Accepted {
    counts: BTreeMap<Fingerprint, u64>,
}

#[derive(Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
struct Stored {
    format: String,
    findings: Vec<StoredFinding>,
}

#[derive(Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
struct StoredFinding {
    rule: String,
    path: String,
    declaration: String,
    subject: String,
    #[serde(default = "one", skip_serializing_if = "is_one")]
    count: u64,
}

const fn one() -> u64 {
    1
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde passes a reference")]
const fn is_one(count: &u64) -> bool {
    *count == 1
}

impl Accepted {
    /// Reads a file of accepted findings; nothing when it is not there.
    ///
    /// # Errors
    /// [`AcceptedFailure`] when it cannot be read or understood.
    pub fn read(path: &Path) -> Result<Option<Self>, AcceptedFailure> {
        let text = match std::fs::read_to_string(path) {
            Ok(text) => text,
            Err(error) if error.kind() == std::io::ErrorKind::NotFound => return Ok(None),
            Err(source) => return Err(AcceptedFailure::Io { path: path.to_owned(), source }),
        };
        let stored: Stored = serde_json::from_str(&text).map_err(|error| AcceptedFailure::Malformed {
            path: path.to_owned(),
            line: error.line(),
            column: error.column(),
            reason: error.to_string().split(" at line ").next().unwrap_or_default().to_owned(),
        })?;
        if stored.format != FORMAT {
            return Err(AcceptedFailure::Format { path: path.to_owned(), found: stored.format });
        }
        let mut counts = BTreeMap::new();
        for StoredFinding { rule, path, declaration, subject, count } in stored.findings {
            *counts.entry(Fingerprint { path, declaration, rule, subject }).or_default() += count;
        }
        Ok(Some(Self { counts }))
    }

    /// Returns the text of the file: one finding a line, so that two people's changes merge.
    #[must_use]
    pub fn text(&self) -> String {
        let lines = self.counts.iter().map(|(known, &count)| {
            let stored = StoredFinding {
                rule: known.rule.clone(),
                path: known.path.clone(),
                declaration: known.declaration.clone(),
                subject: known.subject.clone(),
                count,
            };
            // Strings and numbers always serialise.
            format!("    {}", serde_json::to_string(&stored).unwrap_or_default())
        });
        let lines: Vec<String> = lines.collect();
        let body = if lines.is_empty() { String::new() } else { format!("\n{}\n  ", lines.join(",\n")) };
        format!("{{\n  \"format\": \"{FORMAT}\",\n  \"findings\": [{body}]\n}}\n")
    }

    /// Writes the file, whole or not at all.
    ///
    /// # Errors
    /// [`AcceptedFailure::Io`] when it cannot be written.
    pub fn write(&self, path: &Path) -> Result<(), AcceptedFailure> {
        let io = |source| AcceptedFailure::Io { path: path.to_owned(), source };
        let folder = path.parent().filter(|folder| !folder.as_os_str().is_empty()).unwrap_or(Path::new("."));
        let mut file = tempfile::NamedTempFile::new_in(folder).map_err(io)?;
        std::io::Write::write_all(&mut file, self.text().as_bytes()).map_err(io)?;
        file.persist(path).map_err(|error| io(error.error))?;
        Ok(())
    }

    /// Returns how many findings are accepted.
    #[must_use]
    pub fn len(&self) -> u64 {
        self.counts.values().sum()
    }

    /// Tells whether none is accepted.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.counts.is_empty()
    }

    /// Marks the findings of files that are accepted, and returns what was accepted and is gone: of the files that were
    /// reviewed, and of those that are not there any more. `exists` tells whether a path of the project is there.
    pub fn mark(&self, files: &mut [Reviewed], exists: &dyn Fn(&str) -> bool) -> Self {
        let mut left = self.counts.clone();
        let mut moved: HashMap<(&str, &str, &str), Vec<&Fingerprint>> = HashMap::new();
        let mut there: HashMap<&str, bool> = HashMap::new();
        for known in self.counts.keys() {
            if !*there.entry(&known.path).or_insert_with(|| exists(&known.path)) {
                moved.entry(known.rest()).or_default().push(known);
            }
        }
        for file in files.iter_mut() {
            let path = file.text.path().to_owned();
            for finding in file.findings.iter_mut().filter(|finding| finding.state == State::New) {
                take(&mut left, &Fingerprint::of(&path, finding), &mut finding.state);
            }
        }
        if !moved.is_empty() {
            pass_on(&moved, &mut left, files);
        }
        let reviewed: HashSet<&str> = files.iter().map(|file| file.text.path()).collect();
        let is_gone = |known: &Fingerprint, count: &u64| {
            *count > 0
                && (reviewed.contains(known.path.as_str()) || there.get(known.path.as_str()) == Some(&false))
        };
        left.retain(|known, count| is_gone(known, count));
        Self { counts: left }
    }

    /// Accepts the new findings of files; returns how many.
    pub fn accept(&mut self, files: &[Reviewed]) -> u64 {
        let mut added = 0;
        for file in files {
            for finding in file.findings.iter().filter(|finding| finding.state == State::New) {
                *self.counts.entry(Fingerprint::of(file.text.path(), finding)).or_default() += 1;
                added += 1;
            }
        }
        added
    }

    /// Drops what is gone.
    pub fn prune(&mut self, gone: &Self) {
        for (known, count) in &gone.counts {
            if let Some(own) = self.counts.get_mut(known) {
                *own = own.saturating_sub(*count);
            }
        }
        self.counts.retain(|_, count| *count > 0);
    }

    /// Returns what is accepted, in order, each with how many equals there are.
    pub fn iter(&self) -> impl Iterator<Item = (&Fingerprint, u64)> {
        self.counts.iter().map(|(known, &count)| (known, count))
    }
}

fn take(left: &mut BTreeMap<Fingerprint, u64>, known: &Fingerprint, state: &mut State) {
    if let Some(count) = left.get_mut(known).filter(|count| **count > 0) {
        *count -= 1;
        *state = State::Accepted;
    }
}

/// What was accepted at a path that is gone passes to the only file that has the same.
fn pass_on(
    moved: &HashMap<(&str, &str, &str), Vec<&Fingerprint>>,
    left: &mut BTreeMap<Fingerprint, u64>,
    files: &mut [Reviewed],
) {
    let mut places: Vec<(&Fingerprint, Vec<(usize, usize)>)> = Vec::new();
    for (rest, known) in moved {
        // From two files that are gone nobody knows which one it was.
        let [known] = known[..] else { continue };
        let mut found = Vec::new();
        for (at, file) in files.iter().enumerate() {
            let same = |finding: &Finding| {
                finding.state == State::New
                    && *rest
                        == (
                            finding.declaration.as_str(),
                            finding.raw.rule.as_str(),
                            finding.raw.subject.as_str(),
                        )
            };
            found.extend((0..file.findings.len()).filter(|&n| same(&file.findings[n])).map(|n| (at, n)));
        }
        places.push((known, found));
    }
    for (known, found) in places {
        let only = found.iter().all(|(at, _)| *at == found[0].0);
        for (at, number) in found.into_iter().filter(|_| only) {
            take(left, known, &mut files[at].findings[number].state);
        }
    }
}
