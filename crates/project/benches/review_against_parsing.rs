//! A whole review against bare parsing of the same files, in one run.
//!
//! Both sides read the files from disk, with two workers each, and take turns; the ratio of the medians is
//! what counts. `VINEQUILL_BENCH=DIR` names the sources; without it the demo project is taken many times
//! over, which says little of real code. At last a second review of all of them, nothing changed since the first, is
//! measured against finding the files and asking the system about each.

use std::cmp::Reverse;
use std::path::{Path, PathBuf};
use std::sync::atomic::{AtomicUsize, Ordering};
use std::time::{Duration, Instant};

use vinequill_core::reading::Parsers;
use vinequill_core::settings::{Config, Overrides, Settings};
use vinequill_core::text::Source;
use vinequill_project::{Cache, Found, Nested, Selection, Texts, Work, find_files, read, review_files};

/// As the program has it; the grammars' own code, which is in C, has the system's on both sides.
#[global_allocator]
static ALLOCATOR: mimalloc::MiMalloc = mimalloc::MiMalloc;

const WORKERS: usize = 2;
const ROUNDS: usize = 9;

fn main() {
    let settings =
        vinequill_core::settle(&Config::default(), &Overrides::default()).expect("defaults are valid");
    let demo = PathBuf::from(env!("CARGO_MANIFEST_DIR")).join("../../demo");
    let named = std::env::var_os("VINEQUILL_BENCH").map(PathBuf::from);
    let root = named.clone().unwrap_or(demo);
    for language in vinequill_core::languages::ALL {
        let mut files = files_of(&root, language.id.as_str(), &settings);
        if named.is_none() {
            files = std::iter::repeat_n(files, 200).flatten().collect();
        }
        if files.is_empty() {
            continue;
        }
        let bytes: u64 =
            files.iter().filter_map(|file| std::fs::metadata(&file.path).ok()).map(|m| m.len()).sum();
        let (mut parsing, mut reviewing) = (Vec::new(), Vec::new());
        for _ in 0..ROUNDS {
            parsing.push(timed(|| parse(&files, &settings)));
            reviewing.push(timed(|| {
                review_files(Work {
                    files: &files,
                    around: &[],
                    settings: &settings,
                    nested: &Nested::default(),
                    jobs: WORKERS,
                    cache: None,
                    texts: Texts::Needed,
                })
                .0
                .len()
            }));
        }
        let (parsing, reviewing) = (median(parsing), median(reviewing));
        report(language.label, bytes, (parsing, reviewing));
    }
    again(&root, &settings);
}

/// Reviews all files a second time, with what was kept of the first.
#[expect(clippy::print_stdout, reason = "a benchmark prints its figures")]
fn again(root: &Path, settings: &Settings) {
    let folder = std::env::temp_dir().join(format!("vinequill-bench-{}", std::process::id()));
    let find = || {
        let roots = [root.to_owned()];
        find_files(root, &roots, &Selection::default(), settings).expect("the sources are there").0
    };
    let review = |cache: Option<&Cache>| {
        let files = find();
        let work = Work {
            files: &files,
            around: &[],
            settings,
            nested: &Nested::default(),
            jobs: WORKERS,
            cache,
            texts: Texts::Needed,
        };
        review_files(work).0.len()
    };
    let cache = Cache::open(Some(&folder), root, &[]);
    let count = review(cache.as_ref());
    let (mut finding, mut reviewing) = (Vec::new(), Vec::new());
    for _ in 0..ROUNDS {
        finding.push(timed(|| find().iter().filter(|file| std::fs::metadata(&file.path).is_ok()).count()));
        reviewing.push(timed(|| review(cache.as_ref())));
    }
    _ = std::fs::remove_dir_all(folder);
    let (finding, reviewing) = (median(finding), median(reviewing));
    println!(
        "again    {count:>5} files   finding {:>7.1} ms   review {:>7.1} ms   ratio {:.2}",
        finding.as_secs_f64() * 1e3,
        reviewing.as_secs_f64() * 1e3,
        reviewing.as_secs_f64() / finding.as_secs_f64()
    );
}

#[expect(clippy::print_stdout, reason = "a benchmark prints its figures")]
fn report(label: &str, bytes: u64, (parsing, reviewing): (Duration, Duration)) {
    println!(
        "{label:<8} {:>6.2} MB   parsing {:>7.1} ms   review {:>7.1} ms   ratio {:.2}",
        bytes as f64 / 1e6,
        parsing.as_secs_f64() * 1e3,
        reviewing.as_secs_f64() * 1e3,
        reviewing.as_secs_f64() / parsing.as_secs_f64()
    );
}

fn files_of(root: &Path, language: &str, settings: &Settings) -> Vec<Found> {
    let selection = Selection { languages: vec![language.to_owned()], ..Selection::default() };
    find_files(root, &[root.to_owned()], &selection, settings).expect("the sources are there").0
}

/// Bare parsing: the same files, read and parsed by as many workers in the same order, and nothing else.
fn parse(files: &[Found], settings: &Settings) -> usize {
    let pool = rayon::ThreadPoolBuilder::new().num_threads(WORKERS).build().expect("threads start");
    let mut order: Vec<&Found> = files.iter().collect();
    order.sort_by_cached_key(|file| Reverse(std::fs::metadata(&file.path).map_or(0, |found| found.len())));
    let next = AtomicUsize::new(0);
    let work = |_: rayon::BroadcastContext<'_>| {
        let mut parsers = Parsers::new();
        let mut nodes = 0;
        while let Some(file) = order.get(next.fetch_add(1, Ordering::Relaxed)) {
            let Ok(decoded) = read(&file.path, settings.max_file_size, None) else { continue };
            nodes += file.language.reader.parse_only(&Source::new(&file.shown, &decoded.text), &mut parsers);
        }
        nodes
    };
    pool.broadcast(work).into_iter().sum()
}

fn timed<T>(work: impl FnOnce() -> T) -> Duration {
    let start = Instant::now();
    std::hint::black_box(work());
    start.elapsed()
}

fn median(mut times: Vec<Duration>) -> Duration {
    times.sort();
    times[times.len() / 2]
}
