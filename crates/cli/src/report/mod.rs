//! Reports: one file a format. They lay out what the core found; they neither count nor decide.

pub(crate) mod coverage;
pub(crate) mod explain;
pub(crate) mod json;
pub(crate) mod junit;
pub(crate) mod markdown;
pub(crate) mod outline;
#[cfg(test)]
mod papers;
pub(crate) mod sarif;
pub(crate) mod short;
pub(crate) mod text;
pub(crate) mod trend;
pub(crate) mod wire;

use std::collections::BTreeMap;

use rayon::iter::{IntoParallelRefIterator, ParallelIterator};
use vinequill_core::coverage::Counts;
use vinequill_core::model::{Level, RuleId, State};
use vinequill_project::{Accepted, Reviewed};

use crate::session::Session;

/// What a review report shows.
pub(crate) struct View<'a> {
    /// The project.
    pub(crate) session: &'a Session,
    /// What was found, file by file.
    pub(crate) files: &'a [Reviewed],
    /// What was accepted and is not found any more.
    pub(crate) gone: &'a Accepted,
    /// The sums.
    pub(crate) totals: &'a Totals,
    /// Every finding is listed, however many there are.
    pub(crate) all: bool,
    /// Notes are listed.
    pub(crate) notes: bool,
    /// Say more.
    pub(crate) verbose: bool,
    /// Only findings are listed.
    pub(crate) quiet: bool,
    /// What was not reviewed.
    pub(crate) left_out: String,
    /// Styles are shown where it goes.
    pub(crate) styled: bool,
    /// Number of workers; 0: one a processor.
    pub(crate) jobs: usize,
}

/// So many files are laid out at once: what is written of them is not held longer.
const AT_ONCE: usize = 256;

/// So few findings are laid out faster than workers are woken.
const FEW: usize = 100;

impl<'a> View<'a> {
    /// Lays out each file, several at once; what comes of it comes in the order of the files.
    fn each_file<T: Send>(&self, lay_out: impl Fn(&'a Reviewed) -> T + Sync) -> impl Iterator<Item = T> {
        let files = self.files;
        let count: usize = files.iter().map(|file| file.findings.len()).sum();
        let pool = (count > FEW)
            .then(|| rayon::ThreadPoolBuilder::new().num_threads(self.jobs).build().ok())
            .flatten();
        files.chunks(AT_ONCE).flat_map(move |files| match &pool {
            Some(pool) => pool.install(|| files.par_iter().map(&lay_out).collect::<Vec<T>>()),
            None => files.iter().map(&lay_out).collect(),
        })
    }
}

/// Sums over all files.
#[derive(Debug, Default)]
pub(crate) struct Totals {
    /// Files reviewed.
    pub(crate) files: u64,
    /// Coverage.
    pub(crate) counts: Counts,
    /// New findings by rule, with the level of each.
    pub(crate) by_rule: BTreeMap<(RuleId, Level), u64>,
    /// Findings that were accepted before.
    pub(crate) accepted: u64,
    /// Waived findings.
    pub(crate) waived: u64,
    /// Bytes that were not understood.
    pub(crate) unparsed_bytes: u64,
    /// All bytes.
    bytes: u64,
}

impl Totals {
    /// Sums up.
    pub(crate) fn of(files: &[Reviewed]) -> Self {
        let mut out = Self::default();
        for file in files {
            out.files += 1;
            out.bytes += file.text.length();
            out.unparsed_bytes += file.unparsed_bytes;
            for tally in &file.tallies {
                out.counts.add(tally.counts());
            }
            for finding in &file.findings {
                match finding.state {
                    State::New => *out.by_rule.entry((finding.raw.rule, finding.level)).or_default() += 1,
                    State::Accepted => out.accepted += 1,
                    State::Waived(_) => out.waived += 1,
                }
            }
        }
        out
    }

    /// Returns the number of new findings at a level.
    pub(crate) fn at(&self, level: Level) -> u64 {
        self.by_rule.iter().filter(|((_, found), _)| *found == level).map(|(_, count)| count).sum()
    }

    /// Returns the share of bytes that were not understood.
    pub(crate) fn unparsed_percent(&self) -> f64 {
        if self.bytes == 0 {
            return 0.0;
        }
        #[expect(clippy::cast_precision_loss, reason = "a share for people; the last digits do not matter")]
        let share = self.unparsed_bytes as f64 / self.bytes as f64;
        share * 100.0
    }
}
