//! What was found out before: per file its facts and its review, by content, settings and program.
//!
//! One file holds all of a project for one configuration. It is written whole, beside its place, and then moved
//! there, so that several processes never see half of it; whoever comes last wins. A file that does not have
//! the hash it says it has is thrown away: a cache is made anew, never trusted.

use std::borrow::Cow;
use std::collections::HashMap;
use std::io::Write;
use std::path::{Path, PathBuf};
use std::time::{Duration, SystemTime};

use arcstr::{ArcStr, Substr};
use serde::{Deserialize, Serialize};
use smol_str::SmolStr;
use vinequill_core::coverage::Tally;
use vinequill_core::index::FileFacts;
use vinequill_core::model::{DeclId, Finding, Level, RawFinding, Related, State};
use vinequill_core::rules;
use vinequill_core::text::{Edit, Span};

/// What every file of the cache opens with; another form has another number.
const MAGIC: &[u8] = b"vinequill cache 5\n";

/// Files of the cache that nobody has used for this long are removed.
const KEPT_FOR: Duration = Duration::from_secs(60 * 60 * 24 * 30);

/// A change within this time of the cache's own may not show in the time of a file.
const RACY: Duration = Duration::from_secs(2);

/// Where a project's cache is, for one configuration.
#[derive(Clone, Debug)]
pub struct Cache {
    path: PathBuf,
}

/// How a file looked from outside.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
pub(crate) struct Stamp {
    size: u64,
    modified: Duration,
}

impl Stamp {
    /// Looks at a file; nothing when it is not there, or the system does not tell.
    pub(crate) fn of(path: &Path) -> Option<Self> {
        let metadata = std::fs::metadata(path).ok()?;
        let modified = metadata.modified().ok()?.duration_since(SystemTime::UNIX_EPOCH).ok()?;
        Some(Self { size: metadata.len(), modified })
    }

    /// Returns the size in bytes.
    pub(crate) fn size(self) -> u64 {
        self.size
    }
}

/// The hash of a file's bytes.
pub(crate) type ContentHash = [u8; 32];

/// Hashes bytes (BLAKE3).
pub(crate) fn hash(bytes: &[u8]) -> ContentHash {
    *blake3::hash(bytes).as_bytes()
}

/// How things stand in each family of languages: the same where the same is known.
pub(crate) type States = HashMap<SmolStr, ContentHash>;

/// What is known of one file. What was kept is not copied out of the bytes that hold it.
#[derive(Clone, Debug, Serialize, Deserialize)]
pub(crate) struct Record<'k> {
    /// Its path, relative to the project.
    #[serde(borrow)]
    pub(crate) path: Cow<'k, str>,
    /// The languages that share what is known with this file's.
    pub(crate) family: SmolStr,
    pub(crate) stamp: Stamp,
    /// The hash of its text.
    pub(crate) content: ContentHash,
    /// The length of its text in bytes.
    pub(crate) length: u64,
    #[serde(borrow)]
    pub(crate) facts: Facts<'k>,
    /// It is marked as generated.
    pub(crate) generated: bool,
    /// The id of the language that its content is in.
    pub(crate) language: SmolStr,
    #[serde(borrow)]
    pub(crate) review: Option<StoredReview<'k>>,
}

impl Record<'_> {
    /// Tells whether its review was made with what its family knows now; of a generated file none is.
    pub(crate) fn is_reviewed(&self, states: &States) -> bool {
        let state = states.get(&self.family);
        self.generated || self.review.as_ref().is_some_and(|review| Some(&review.index) == state)
    }
}

/// Bytes of something that is only unpacked when it is asked for.
#[derive(Clone, Debug, Default)]
pub(crate) struct Packed<'k>(Cow<'k, [u8]>);

impl Packed<'_> {
    fn of<T: Serialize>(value: &T) -> Self {
        Self(Cow::Owned(postcard::to_stdvec(value).unwrap_or_default()))
    }

    /// Packs values one after the other.
    fn of_each<T: Serialize>(values: impl Iterator<Item = T>) -> Self {
        let mut bytes = Vec::new();
        for value in values {
            bytes = postcard::to_extend(&value, bytes).unwrap_or_default();
        }
        Self(Cow::Owned(bytes))
    }

    /// Unpacks values that were packed one after the other, and never holds more than one of them.
    fn each<T: for<'de> Deserialize<'de>>(&self) -> impl Iterator<Item = T> {
        let mut rest = &*self.0;
        std::iter::from_fn(move || {
            let (value, behind) = postcard::take_from_bytes(rest).ok()?;
            rest = behind;
            Some(value)
        })
    }

    /// Unpacks it. What was kept has the hash it should have: it can be unpacked.
    fn open<T: Default + for<'de> Deserialize<'de>>(&self) -> T {
        postcard::from_bytes(&self.0).unwrap_or_default()
    }
}

impl Serialize for Packed<'_> {
    fn serialize<S: serde::Serializer>(&self, serializer: S) -> Result<S::Ok, S::Error> {
        serializer.serialize_bytes(&self.0)
    }
}

impl<'de: 'k, 'k> Deserialize<'de> for Packed<'k> {
    fn deserialize<D: serde::Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        Deserialize::deserialize(deserializer).map(|bytes| Self(Cow::Borrowed(bytes)))
    }
}

/// What a file tells the others.
#[derive(Clone, Debug)]
pub(crate) enum Facts<'k> {
    Told(Box<FileFacts>),
    /// The facts, and apart from them those of headers, sources and stubs.
    Packed(Packed<'k>, Packed<'k>),
}

impl Default for Facts<'_> {
    fn default() -> Self {
        Self::Packed(Packed::default(), Packed::default())
    }
}

impl Facts<'_> {
    /// Returns them as bytes, without those of headers, sources and stubs: the same for the same facts.
    pub(crate) fn packed(&self) -> Cow<'_, [u8]> {
        match self {
            Self::Told(facts) => Packed::of(facts).0,
            Self::Packed(packed, _) => Cow::Borrowed(&packed.0),
        }
    }

    /// Returns the facts.
    pub(crate) fn open(self) -> FileFacts {
        match self {
            Self::Told(facts) => *facts,
            Self::Packed(facts, half) => FileFacts { half: half.open(), ..facts.open() },
        }
    }
}

impl Serialize for Facts<'_> {
    fn serialize<S: serde::Serializer>(&self, serializer: S) -> Result<S::Ok, S::Error> {
        match self {
            Self::Told(facts) => (Packed::of(facts), Packed::of(&facts.half)).serialize(serializer),
            Self::Packed(facts, half) => (facts, half).serialize(serializer),
        }
    }
}

impl<'de: 'k, 'k> Deserialize<'de> for Facts<'k> {
    fn deserialize<D: serde::Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        Deserialize::deserialize(deserializer).map(|(facts, half)| Self::Packed(facts, half))
    }
}

/// What a review found in a file.
#[derive(Clone, Debug, Serialize, Deserialize)]
pub(crate) struct StoredReview<'k> {
    /// The state of the index that it was made with.
    pub(crate) index: ContentHash,
    /// How many findings there are.
    count: usize,
    /// The longer texts of all of them, one behind the other: they are unpacked in one piece.
    #[serde(borrow)]
    texts: Cow<'k, str>,
    #[serde(borrow)]
    findings: Packed<'k>,
    #[serde(borrow)]
    tallies: Packed<'k>,
    pub(crate) unparsed_bytes: u64,
}

impl StoredReview<'_> {
    /// Takes a review in.
    pub(crate) fn of(
        index: ContentHash,
        findings: &[Finding],
        (tallies, unparsed_bytes): (&[Tally], u64),
    ) -> Self {
        let mut texts = String::new();
        let stored: Vec<StoredFinding> =
            findings.iter().filter_map(|finding| StoredFinding::of(finding, &mut texts)).collect();
        let (count, findings) = (stored.len(), Packed::of_each(stored.into_iter()));
        let texts = texts.into();
        Self { index, count, texts, findings, tallies: Packed::of(&tallies), unparsed_bytes }
    }

    /// Gives back what the declarations add to coverage.
    pub(crate) fn tallies(&self) -> Vec<Tally> {
        self.tallies.open()
    }

    /// Gives the findings back.
    pub(crate) fn findings(&self) -> Vec<Finding> {
        let mut findings = Vec::with_capacity(self.count);
        let mut texts = Pieces { all: ArcStr::from(&*self.texts), used: 0 };
        findings.extend(self.findings.each::<StoredFinding>().filter_map(|stored| stored.back(&mut texts)));
        findings
    }
}

/// A finding; its rule by its place in the registry, which one program never changes.
#[derive(Clone, Debug, Serialize, Deserialize)]
struct StoredFinding {
    rule: u32,
    span: Span,
    declaration: Option<DeclId>,
    subject: SmolStr,
    /// The length of its message, in bytes.
    message: u32,
    level: Level,
    /// The length of its declaration's name, in bytes; it stands behind the message.
    name: u32,
    name_span: Option<Span>,
    rest: Option<Box<StoredRest>>,
}

/// What most findings do not have.
#[derive(Clone, Debug, Serialize, Deserialize)]
struct StoredRest {
    suggestion: Option<SmolStr>,
    related: Vec<Related>,
    edits: Vec<Edit>,
    only_note: bool,
    state: State,
}

impl StoredRest {
    /// Takes in what a finding has of it; nothing when there is none.
    fn of(finding: &Finding) -> Option<Box<Self>> {
        let RawFinding { suggestion, related, edits, only_note, .. } = finding.raw.clone();
        let rest = Self { suggestion, related, edits, only_note, state: finding.state.clone() };
        (!rest.is_nothing()).then(|| Box::new(rest))
    }

    fn is_nothing(&self) -> bool {
        let Self { suggestion, related, edits, only_note, state } = self;
        suggestion.is_none() && related.is_empty() && edits.is_empty() && !only_note && *state == State::New
    }
}

impl Default for StoredRest {
    fn default() -> Self {
        let (related, edits) = (Vec::new(), Vec::new());
        Self { suggestion: None, related, edits, only_note: false, state: State::New }
    }
}

impl StoredFinding {
    /// Takes a finding in, and its longer texts behind those of others.
    fn of(finding: &Finding, texts: &mut String) -> Option<Self> {
        let raw = &finding.raw;
        let rule = rules::ALL.iter().position(|rule| rule.id == raw.rule)?;
        texts.push_str(&raw.message);
        texts.push_str(&finding.declaration);
        Some(Self {
            rule: u32::try_from(rule).ok()?,
            span: raw.span,
            declaration: raw.declaration,
            subject: raw.subject.clone(),
            message: u32::try_from(raw.message.len()).ok()?,
            level: finding.level,
            name: u32::try_from(finding.declaration.len()).ok()?,
            name_span: finding.declaration_span,
            rest: StoredRest::of(finding),
        })
    }

    /// Gives the finding back, with the next of the `texts`; nothing when there is no such rule.
    fn back(self, texts: &mut Pieces) -> Option<Finding> {
        let (message, declaration) = (texts.next(self.message), texts.next(self.name));
        let rule = rules::ALL.get(self.rule as usize)?.id;
        let Self { span, declaration: id, subject, level, name_span: declaration_span, .. } = self;
        let rest = self.rest.map(|rest| *rest).unwrap_or_default();
        let StoredRest { suggestion, related, edits, only_note, state } = rest;
        let raw = RawFinding {
            rule,
            span,
            declaration: id,
            subject,
            message,
            suggestion,
            related,
            edits,
            only_note,
        };
        Some(Finding { raw, level, declaration, declaration_span, state })
    }
}

/// Texts that are taken one after the other out of one piece.
struct Pieces {
    all: ArcStr,
    used: usize,
}

impl Pieces {
    /// Takes the next text, of some length in bytes. What was kept has the hash it should have: the texts are there.
    fn next(&mut self, length: u32) -> Substr {
        let end = self.used + length as usize;
        let taken =
            if self.all.is_char_boundary(end) { self.all.substr(self.used..end) } else { Substr::new() };
        self.used = end;
        taken
    }
}

/// All that is known of a project.
#[derive(Debug, Default, Serialize, Deserialize)]
pub(crate) struct Kept<'k> {
    /// When it was written, since the epoch.
    written: Duration,
    /// How things stood.
    pub(crate) states: States,
    /// Files, sorted by path.
    #[serde(borrow)]
    files: Vec<Record<'k>>,
}

impl Kept<'_> {
    /// Tells whether a file surely is as it was, by its stamp alone.
    pub(crate) fn is_same(&self, record: &Record<'_>, stamp: Stamp) -> bool {
        record.stamp == stamp && stamp.modified + RACY < self.written
    }

    /// Returns how many files are known.
    pub(crate) fn count(&self) -> usize {
        self.files.len()
    }
}

impl<'k> Kept<'k> {
    /// Returns what is known of a file, by its path relative to the project.
    pub(crate) fn file(&self, path: &str) -> Option<&Record<'k>> {
        let at = self.files.binary_search_by(|record| (*record.path).cmp(path)).ok()?;
        Some(&self.files[at])
    }
}

impl Cache {
    /// Finds the place of a project's cache: in `folder`, else in the user's cache folder. `settings` is all that
    /// decides what a review finds besides the files themselves. Nothing where there is no such folder.
    #[must_use]
    pub fn open(folder: Option<&Path>, root: &Path, settings: &[u8]) -> Option<Self> {
        let folder = match folder {
            Some(folder) => folder.to_owned(),
            None => dirs::cache_dir()?.join("vinequill"),
        };
        let root = std::fs::canonicalize(root).unwrap_or_else(|_| root.to_owned());
        let mut hasher = blake3::Hasher::new();
        hasher.update(root.to_string_lossy().as_bytes());
        hasher.update(&[0]);
        hasher.update(env!("CARGO_PKG_VERSION").as_bytes());
        hasher.update(&program());
        hasher.update(settings);
        let name = hasher.finalize().to_hex();
        Some(Self { path: folder.join(format!("{}.kept", &name[..32])) })
    }

    /// Reads the bytes that hold what is kept; none where nothing is.
    pub(crate) fn bytes(&self) -> Vec<u8> {
        std::fs::read(&self.path).unwrap_or_default()
    }

    /// Unpacks what is kept from the bytes that hold it. Also returns a note when it was damaged.
    pub(crate) fn unpack<'k>(&self, bytes: &'k [u8]) -> (Kept<'k>, Option<String>) {
        match unpack(bytes) {
            Some(kept) => return (kept, None),
            None if bytes.is_empty() => return (Kept::default(), None),
            None => {}
        }
        // Best effort: it is written anew in any case.
        let _ = std::fs::remove_file(&self.path);
        (Kept::default(), Some(format!("{}: the cache was damaged and is made anew", self.path.display())))
    }

    /// Writes what is known, and removes what nobody has used for long. Fails in silence: without a cache all
    /// works as well.
    pub(crate) fn write(&self, states: States, mut files: Vec<Record<'_>>) {
        let written = SystemTime::now().duration_since(SystemTime::UNIX_EPOCH).unwrap_or_default();
        files.sort_by(|a, b| a.path.cmp(&b.path));
        let kept = Kept { written, states, files };
        store(&self.path, &kept);
    }

    /// Reads what is kept of the history; nothing where that is damaged or not there.
    pub(crate) fn read_past<T: Send + for<'de> Deserialize<'de>>(&self) -> Option<T> {
        unpack(&std::fs::read(self.path.with_extension("past")).ok()?)
    }

    /// Writes what is known of the history. Fails in silence: without it all works as well.
    pub(crate) fn write_past(&self, past: &impl Serialize) {
        store(&self.path.with_extension("past"), past);
    }
}

/// Writes a file of the cache whole, or not at all, and removes those that nobody has used for long.
fn store(path: &Path, kept: &impl Serialize) {
    let Some(folder) = path.parent() else { return };
    let Ok(payload) = postcard::to_stdvec(kept) else { return };
    let write = || -> std::io::Result<()> {
        std::fs::create_dir_all(folder)?;
        let mut file = tempfile::NamedTempFile::new_in(folder)?;
        file.write_all(MAGIC)?;
        file.write_all(&hash(&payload))?;
        file.write_all(&payload)?;
        file.persist(path)?;
        Ok(())
    };
    if write().is_ok() {
        tidy(folder);
    }
}

/// What tells one build of the program from another of the same version.
fn program() -> Vec<u8> {
    let stamp = std::env::current_exe().ok().and_then(|path| Stamp::of(&path));
    stamp.map(|stamp| format!("{stamp:?}").into_bytes()).unwrap_or_default()
}

/// Unpacks a file of the cache; nothing when it is not whole.
fn unpack<'k, T: Send + Deserialize<'k>>(bytes: &'k [u8]) -> Option<T> {
    let rest = bytes.strip_prefix(MAGIC)?;
    let (said, payload) = rest.split_at_checked(32)?;
    // What is unpacked meanwhile is given to nobody before its hash is known.
    let (is_whole, unpacked) = rayon::join(|| hash(payload) == said, || postcard::from_bytes(payload).ok());
    unpacked.filter(|_| is_whole)
}

/// Removes files of the cache that nobody has used for long.
fn tidy(folder: &Path) {
    let Ok(entries) = std::fs::read_dir(folder) else { return };
    for entry in entries.filter_map(Result::ok) {
        let path = entry.path();
        let old = entry.metadata().and_then(|metadata| metadata.modified()).ok();
        let old = old.and_then(|modified| modified.elapsed().ok()).is_some_and(|age| age > KEPT_FOR);
        if old && path.extension().is_some_and(|ending| ending == "kept") {
            // Another process may have been faster.
            let _ = std::fs::remove_file(path);
        }
    }
}
