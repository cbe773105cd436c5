//! Runs the core over many files, one at a time on each worker; results come back in the order of the
//! files, whatever the number of workers.

use std::borrow::Cow;
use std::cmp::Reverse;
use std::collections::HashMap;
use std::sync::atomic::{AtomicU64, AtomicUsize, Ordering};
use std::sync::{Arc, Mutex, PoisonError};

use vinequill_core::coverage::{self, Tally};
use vinequill_core::index::Index;
use vinequill_core::languages;
use vinequill_core::model::Finding;
use vinequill_core::reading::Parsers;
use vinequill_core::review::{self, FileReading};
use vinequill_core::settings::Settings;
use vinequill_core::text::Source;

use smol_str::SmolStr;

use crate::cache::{Cache, ContentHash, Facts, Record, Stamp, States, StoredReview, hash};
use crate::decode::{Decoded, ReadFailure, read};
use crate::generated::is_generated;
use crate::held::{Held, OnDisk, Room};
use crate::{Encoding, Found, Nested};

/// A file that was reviewed.
pub struct Reviewed {
    /// Its path, and its text where a finding points into it.
    pub text: Held,
    /// Its language's id.
    pub language: &'static str,
    /// What was found, sorted by place.
    pub findings: Vec<Finding>,
    /// What the file adds to coverage, declaration by declaration.
    pub tallies: Vec<Tally>,
    /// Bytes that were not understood.
    pub unparsed_bytes: u64,
}

impl Reviewed {
    /// Reviews a file that was read; its text is held in the `room` for it, if findings will be shown.
    #[must_use]
    pub fn of(reading: &FileReading<'_>, encoding: Encoding, room: Option<&Room>) -> Self {
        Self::with(reading, (encoding, room), review::review(reading))
    }

    /// Takes the review of a file that was read.
    #[must_use]
    pub fn with(
        reading: &FileReading<'_>,
        (encoding, room): (Encoding, Option<&Room>),
        mut review: review::FileReview,
    ) -> Self {
        // What stays until all is reviewed takes no more room than it needs.
        review.findings.shrink_to_fit();
        // The text is only needed where a finding points into it.
        let text = match room.filter(|_| !review.findings.is_empty()) {
            Some(room) => Held::of(&reading.source, encoding, room),
            None => Held::nothing(reading.source.path(), reading.source.text().len() as u64),
        };
        let mut tallies = coverage::tallies(reading, &review);
        tallies.shrink_to_fit();
        Self {
            text,
            language: reading.language.id.as_str(),
            tallies,
            unparsed_bytes: review.unparsed_bytes,
            findings: review.findings,
        }
    }

    /// Adds findings that were made elsewhere in `file`, of which this is the review.
    pub fn add(&mut self, findings: &[Finding], (file, settings): (&Found, &Settings), room: &Room) {
        if findings.is_empty() {
            return;
        }
        if self.findings.is_empty() {
            // Without findings nobody held the text.
            let Ok((decoded, source)) = load(file, settings) else { return };
            self.text = Held::of(&source, decoded.encoding, room);
        }
        self.findings.extend_from_slice(findings);
        self.findings.sort_by(|a, b| {
            (a.raw.span.start, a.raw.rule, &a.raw.subject)
                .cmp(&(b.raw.span.start, b.raw.rule, &b.raw.subject))
        });
    }

    /// Returns what is to be kept of it.
    fn stored(&self, index: ContentHash) -> StoredReview<'static> {
        StoredReview::of(index, &self.findings, (&self.tallies, self.unparsed_bytes))
    }

    /// Makes a review of what was kept.
    fn recall(
        file: &Found,
        record: &Record<'_>,
        (settings, texts): (&Settings, Texts),
    ) -> Result<Self, Unread> {
        if record.generated && !file.named {
            return Err(Unread::Generated);
        }
        if file.only.is_some_and(|id| id != record.language) {
            return Err(Unread::OtherLanguage);
        }
        let language = settings.find_language(&record.language).map_or(file.language, |found| found);
        let stored = record.review.as_ref().filter(|_| texts == Texts::Needed);
        let findings = stored.map(StoredReview::findings).unwrap_or_default();
        let text = if findings.is_empty() {
            Held::nothing(&file.shown, record.length)
        } else {
            let label = settings.language(file.language.id).encoding.clone();
            let (file, limit) = (file.path.clone(), settings.max_file_size);
            let on_disk = OnDisk { file, limit, label, content: record.content };
            Held::on_disk(&record.path, record.length, on_disk)
        };
        let review = record.review.as_ref();
        Ok(Self {
            text,
            language: language.id.as_str(),
            findings,
            tallies: review.map(StoredReview::tallies).unwrap_or_default(),
            unparsed_bytes: review.map_or(0, |review| review.unparsed_bytes),
        })
    }
}

/// A file that could not be read, or was left unread.
#[derive(Debug)]
pub enum Unread {
    /// It could not be read.
    Failed(ReadFailure),
    /// It is marked as generated.
    Generated,
    /// Its content is of a language that was not asked for.
    OtherLanguage,
    /// Its content is of a language that cannot be read, whatever its name's ending says.
    Foreign(&'static str),
}

/// What is done with a file once it was read, and what the project knows is there.
pub type Visit<'a, T> = dyn Fn(&Found, &FileReading<'_>, &Decoded) -> T + Sync + 'a;

/// What a run is about.
#[derive(Clone, Copy)]
pub struct Work<'a> {
    /// The files of which something is told.
    pub files: &'a [Found],
    /// The other files of the project, which only tell what they know.
    pub around: &'a [Found],
    /// What holds.
    pub settings: &'a Settings,
    /// What holds in folders that have a configuration of their own.
    pub nested: &'a Nested,
    /// Number of workers; 0: one a processor.
    pub jobs: usize,
    /// What was found out before; none where nothing is kept.
    pub cache: Option<&'a Cache>,
    /// Whether the text of a file that is as it was is needed besides what was kept of it.
    pub texts: Texts,
}

/// Whether texts are needed.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Texts {
    /// Findings are shown where they are.
    Needed,
    /// Only numbers are told.
    NotNeeded,
}

/// How many bytes of text are held with what was read of them, until all files have told what they know;
/// files beyond are read a second time, so that memory does not grow with the project.
pub(crate) const HELD_BYTES: u64 = 12 << 20;

/// A file that waits for what the others know.
struct Waiting<'a> {
    reading: FileReading<'a>,
    encoding: Encoding,
}

/// What came of the first look at a file.
enum Looked<'a> {
    /// Nothing is told of it.
    Around,
    Waiting(Box<Waiting<'a>>),
    /// It is as it was when it was last read; its text, where that had to be looked at to know.
    AsBefore,
    /// It is to be read again.
    Again,
    Unread(Unread),
}

/// What is to be kept of a file: its facts, and how to know it again.
struct Told<'k> {
    record: Record<'k>,
    /// It was not read anew.
    as_before: bool,
}

/// Makes a result of what is kept of a file; nothing when it cannot.
type Recall<'a, T> = dyn Fn(&Found, &Record<'_>, &Settings) -> Result<T, Unread> + Sync + 'a;

/// What came of a run.
struct Ran<'k, T> {
    /// One result for each file that is told of.
    results: Vec<Result<T, Unread>>,
    /// What is known of all files afterwards, and how things stand; nothing when all is as it was.
    known: Option<(States, Vec<Record<'k>>)>,
    /// What is to be told to the person.
    note: Option<String>,
}

/// Reads files, and calls `visit` with each of those that are told of. All files of the project are read
/// first for what they know; each is parsed once.
///
/// # Panics
/// When the system has no thread left to start.
pub fn visit_files<T: Send>(work: Work<'_>, visit: &Visit<'_, T>) -> Vec<Result<T, Unread>> {
    let kept = work.cache.map(Cache::bytes).unwrap_or_default();
    run(work, &kept, None, visit).results
}

/// Reviews files. What is kept of files that are as they were, in a project that knows what it knew, is not worked
/// out again. Also returns what is to be told of the cache.
#[must_use]
pub fn review_files(work: Work<'_>) -> (Vec<Result<Reviewed, Unread>>, Option<String>) {
    let room = Room::default();
    let held_in = (work.texts == Texts::Needed).then_some(&room);
    let recall = |file: &Found, record: &Record<'_>, settings: &Settings| {
        Reviewed::recall(file, record, (settings, work.texts))
    };
    let kept = work.cache.map(Cache::bytes).unwrap_or_default();
    let visit = |_: &Found, reading: &FileReading<'_>, decoded: &Decoded| {
        Reviewed::of(reading, decoded.encoding, held_in)
    };
    let Ran { results, known, note } = run(work, &kept, Some(&recall), &visit);
    if let (Some(cache), Some((states, records))) = (work.cache, known) {
        let mut reviews: HashMap<&str, &Reviewed> = HashMap::new();
        for reviewed in results.iter().flatten() {
            reviews.insert(reviewed.text.path(), reviewed);
        }
        let kept = records.into_iter().map(|mut record| {
            let state = states.get(&record.family).copied().unwrap_or_default();
            // What was recalled stays as it was kept: it may have been recalled in part.
            if record.review.as_ref().is_none_or(|review| review.index != state) {
                record.review = reviews.get(&*record.path).map(|reviewed| reviewed.stored(state));
            }
            record
        });
        let kept = kept.collect();
        cache.write(states, kept);
    }
    (results, note)
}

/// Runs; `kept` are the bytes that hold what was found out before.
fn run<'k, T: Send>(
    work: Work<'_>,
    kept: &'k [u8],
    recall: Option<&Recall<'_, T>>,
    visit: &Visit<'_, T>,
) -> Ran<'k, T> {
    let Work { files, around, settings, nested, jobs, cache, texts: _ } = work;
    let settings = |file: &Found| nested.for_file(&file.path).unwrap_or(settings);
    let file = |at: usize| files.get(at).unwrap_or_else(|| &around[at - files.len()]);
    let count = files.len() + around.len();
    let pool = workers(jobs);
    let ((kept, note), stamps) = pool.join(
        || cache.map(|cache| cache.unpack(kept)).unwrap_or_default(),
        || (0..count).map(|at| Stamp::of(&file(at).path)).collect::<Vec<Option<Stamp>>>(),
    );
    let remember = |at: usize| kept.file(&file(at).shown).filter(|_| file(at).given.is_none());
    let remembered: Vec<Option<&Record<'_>>> = (0..count).map(remember).collect();
    let is_same = |at: usize| match (remembered[at], stamps[at]) {
        (Some(record), Some(stamp)) => kept.is_same(record, stamp),
        _ => false,
    };
    // Nothing changed at all: what was found stands.
    if let Some(recall) = recall
        && kept.count() == count
        && (0..count).all(is_same)
        && (0..files.len()).all(|at| remembered[at].is_some_and(|record| record.is_reviewed(&kept.states)))
    {
        let order: Vec<usize> = (0..files.len()).collect();
        let results = spread(&pool, &order, |at, parsers| {
            let Some(record) = remembered[at] else { return Err(Unread::Generated) };
            guarded(&files[at], parsers, |_| recall(&files[at], record, settings(&files[at])))
        });
        return Ran { results: in_order(results), known: None, note };
    }
    // The largest files first, so that no worker is left alone with one at the end.
    let mut order: Vec<usize> = (0..count).collect();
    order.sort_by_key(|&at| Reverse(stamps[at].map_or(0, Stamp::size)));
    let held = AtomicU64::new(0);
    let looked = spread(&pool, &order, |at, parsers| {
        let told = at < files.len();
        let before = remembered[at].map(|record| (record, is_same(at)));
        guarded(file(at), parsers, |parsers| {
            look(
                (file(at), told, stamps[at]),
                (before, cache.is_some()),
                (settings(file(at)), &held),
                parsers,
            )
        })
    });
    let told = |at: &usize| *at < files.len();
    let lists: Vec<Vec<usize>> =
        looked.iter().map(|done| done.iter().map(|(at, _)| *at).filter(told).collect()).collect();
    let mut records = Vec::with_capacity(count);
    let mut waiting = Vec::with_capacity(files.len());
    for (at, result) in in_order(looked).into_iter().enumerate() {
        let (told, looked) = result.unwrap_or_else(|unread| (None, Looked::Unread(unread)));
        records.extend(told.map(|told| (at, told)));
        if at < files.len() {
            waiting.push(Mutex::new(looked));
        }
    }
    let is_kept = |at: usize| cache.is_some() && file(at).given.is_none();
    let known: Vec<Record<'_>> =
        records.iter().filter(|(at, _)| is_kept(*at)).map(|(_, told)| told.record.clone()).collect();
    let (index, states, before) = put_together(records, files.len(), cache.is_some());
    let recalled: HashMap<usize, Record<'_>> =
        before.into_iter().filter(|(_, record)| record.is_reviewed(&states)).collect();
    let results = spread_again(&pool, &lists, |at, parsers| {
        let taken = std::mem::replace(
            &mut *waiting[at].lock().unwrap_or_else(PoisonError::into_inner),
            Looked::Around,
        );
        let settings = settings(&files[at]);
        guarded(&files[at], parsers, |parsers| {
            if let (Some(recall), Some(record)) = (recall, recalled.get(&at)) {
                return recall(&files[at], record, settings);
            }
            conclude(&files[at], taken, (settings, &index), parsers, visit)
        })
    });
    Ran { results: in_order(results), known: Some((states, known)), note }
}

pub(crate) fn workers(jobs: usize) -> rayon::ThreadPool {
    rayon::ThreadPoolBuilder::new()
        .num_threads(jobs)
        .stack_size(8 << 20)
        .build()
        .expect("starting worker threads fails only when the system has none left")
}

pub(crate) fn in_order<T>(done: Vec<Vec<(usize, T)>>) -> Vec<T> {
    let mut done: Vec<(usize, T)> = done.into_iter().flatten().collect();
    done.sort_by_key(|&(at, _)| at);
    done.into_iter().map(|(_, result)| result).collect()
}

/// What all files tell, how things stand by it, and what is kept of those that were not read anew and are told of.
type Together<'k> = (Arc<Index>, States, Vec<(usize, Record<'k>)>);

/// Puts together what files tell. Without a cache nobody asks how things stand.
fn put_together<'k>(records: Vec<(usize, Told<'k>)>, told_of: usize, keeps: bool) -> Together<'k> {
    let facts = if keeps { facts_of(records.iter().map(|(_, told)| &told.record)) } else { States::new() };
    let mut before: Vec<(usize, Record<'_>)> = Vec::new();
    let opened = records.into_iter().map(|(at, told)| {
        if at < told_of && told.as_before {
            before.push((at, Record { facts: Facts::default(), ..told.record.clone() }));
        }
        told.record.facts.open()
    });
    let index = Arc::new(Index::of(opened));
    let state = |(family, facts): (SmolStr, ContentHash)| {
        let pairs = index.pairs_digest(&family).to_le_bytes();
        let state = hash(&[facts.as_slice(), &pairs].concat());
        (family, state)
    };
    let states = facts.into_iter().map(state).collect();
    (index, states, before)
}

/// Hashes what files tell, family by family, without what headers, sources and stubs tell each other: of that, most
/// concerns no other file.
fn facts_of<'f, 'k: 'f>(records: impl Iterator<Item = &'f Record<'k>>) -> States {
    let mut records: Vec<&Record<'_>> = records.collect();
    records.sort_by(|a, b| a.path.cmp(&b.path));
    let mut all: HashMap<SmolStr, blake3::Hasher> = HashMap::new();
    for record in records {
        let packed = record.facts.packed();
        let hasher = all.entry(record.family.clone()).or_default();
        hasher.update(&(packed.len() as u64).to_le_bytes());
        hasher.update(&packed);
    }
    all.into_iter().map(|(family, hasher)| (family, *hasher.finalize().as_bytes())).collect()
}

/// Calls `visit` with a file, now that all that is known is known.
fn conclude<T>(
    file: &Found,
    looked: Looked<'_>,
    (settings, index): (&Settings, &Arc<Index>),
    parsers: &mut Parsers,
    visit: &Visit<'_, T>,
) -> Result<T, Unread> {
    let (reading, decoded) = match looked {
        Looked::Waiting(waiting) => {
            let text = waiting.reading.source.text().to_owned();
            (waiting.reading, Decoded { text, encoding: waiting.encoding })
        }
        Looked::Unread(unread) => return Err(unread),
        Looked::Again | Looked::AsBefore | Looked::Around => {
            let (decoded, source) = load(file, settings)?;
            (FileReading::read_first(&source, file.language, settings, parsers), decoded)
        }
    };
    let reading = reading.among(index);
    if file.only.is_some_and(|id| id != reading.language.id.as_str()) {
        return Err(Unread::OtherLanguage);
    }
    reading.swap_parsers(parsers);
    let visited = visit(file, &reading, &decoded);
    reading.swap_parsers(parsers);
    Ok(visited)
}

/// Reads a file for what it knows, and holds what was read of it where it is told of. A file that is as it was
/// `before` is not parsed; the second half tells whether that is sure without looking.
fn look<'a, 'k>(
    (file, told, stamp): (&Found, bool, Option<Stamp>),
    (before, keeps): (Option<(&Record<'k>, bool)>, bool),
    (settings, held): (&'a Settings, &AtomicU64),
    parsers: &mut Parsers,
) -> Result<(Option<Told<'k>>, Looked<'a>), Unread> {
    let as_before = |record: Record<'k>| {
        let looked = match (told, record.generated && !file.named) {
            (false, _) => Looked::Around,
            // What is generated is part of the project all the same.
            (true, true) => Looked::Unread(Unread::Generated),
            (true, false) => Looked::AsBefore,
        };
        (Some(Told { record, as_before: true }), looked)
    };
    if let Some((record, true)) = before {
        return Ok(as_before(record.clone()));
    }
    let (decoded, source) = load(file, settings)?;
    if let Some(foreign) = languages::foreign(file.language, &source) {
        return Err(Unread::Foreign(foreign));
    }
    let content = if keeps { hash(decoded.text.as_bytes()) } else { ContentHash::default() };
    let stamp = stamp.unwrap_or_default();
    if let Some((record, _)) = before.filter(|(record, _)| record.content == content) {
        return Ok(as_before(Record { stamp, ..record.clone() }));
    }
    let reading = FileReading::read_first(&source, file.language, settings, parsers);
    let facts = reading.facts();
    let record = Record {
        path: Cow::Owned(facts.path.to_string()),
        family: facts.family.clone(),
        stamp,
        content,
        length: decoded.text.len() as u64,
        facts: Facts::Told(Box::new(facts)),
        generated: is_generated(&decoded.text),
        language: SmolStr::new_static(reading.language.id.as_str()),
        review: None,
    };
    let bytes = source.text().len() as u64;
    let looked = if !told {
        Looked::Around
    } else if !file.named && record.generated {
        Looked::Unread(Unread::Generated)
    } else if held.fetch_add(bytes, Ordering::Relaxed) + bytes <= HELD_BYTES {
        Looked::Waiting(Box::new(Waiting { reading, encoding: decoded.encoding }))
    } else {
        Looked::Again
    };
    Ok((Some(Told { record, as_before: false }), looked))
}

/// Spreads work over the workers of a pool: each takes the next piece when it is done with one. Returns what each
/// has done.
pub(crate) fn spread<T: Send>(
    pool: &rayon::ThreadPool,
    order: &[usize],
    work: impl Fn(usize, &mut Parsers) -> T + Sync,
) -> Vec<Vec<(usize, T)>> {
    spread_again(pool, std::slice::from_ref(&order.to_vec()), work)
}

/// As [`spread`], where the pieces have been with the workers before: each begins with its own, whose memory it has
/// at hand, and then helps the others.
fn spread_again<T: Send>(
    pool: &rayon::ThreadPool,
    lists: &[Vec<usize>],
    work: impl Fn(usize, &mut Parsers) -> T + Sync,
) -> Vec<Vec<(usize, T)>> {
    let next: Vec<AtomicUsize> = lists.iter().map(|_| AtomicUsize::new(0)).collect();
    let take = |worker: rayon::BroadcastContext<'_>| {
        let mut parsers = Parsers::new();
        let mut done = Vec::new();
        for list in (0..lists.len()).map(|ahead| (worker.index() + ahead) % lists.len()) {
            while let Some(&at) = lists[list].get(next[list].fetch_add(1, Ordering::Relaxed)) {
                done.push((at, work(at, &mut parsers)));
            }
        }
        done
    };
    if lists.iter().all(Vec::is_empty) { Vec::new() } else { pool.broadcast(take) }
}

/// A defect of this program must not cost the rest of the work: the file is told, and the run goes on.
fn guarded<T>(
    file: &Found,
    parsers: &mut Parsers,
    work: impl FnOnce(&mut Parsers) -> Result<T, Unread>,
) -> Result<T, Unread> {
    let done = std::panic::catch_unwind(std::panic::AssertUnwindSafe(|| work(parsers)));
    done.unwrap_or_else(|_| {
        *parsers = Parsers::new();
        Err(Unread::Failed(ReadFailure::Defect(file.path.clone())))
    })
}

/// Reads another file of a project by itself, without what the others know.
#[must_use]
pub fn read_alone<'a>(file: &Found, settings: &'a Settings) -> Option<FileReading<'a>> {
    let (_, source) = load(file, settings).ok()?;
    Some(FileReading::read_first(&source, file.language, settings, &mut Parsers::new()))
}

/// Returns the text of a file.
pub(crate) fn source_of(file: &Found, settings: &Settings) -> Result<Source, Unread> {
    load(file, settings).map(|(_, source)| source)
}

/// Reads a file from disk.
fn load(file: &Found, settings: &Settings) -> Result<(Decoded, Source), Unread> {
    let label = settings.language(file.language.id).encoding.as_deref();
    let decoded = match &file.given {
        Some(given) => given.clone(),
        None => read(&file.path, settings.max_file_size, label).map_err(Unread::Failed)?,
    };
    let source = Source::new(&file.shown, &decoded.text);
    Ok((decoded, source))
}
