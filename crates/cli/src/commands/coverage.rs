//! `vinequill coverage`

use std::collections::{BTreeMap, HashMap};
use std::path::PathBuf;

use clap::{Args, ValueEnum};
use vinequill_core::coverage::{self, Counts, permille};
use vinequill_core::review::{FileReading, review};
use vinequill_core::settings::Floor;
use vinequill_project::{Reviewed, Texts};

use crate::exit::{Done, Exit, Failure};
use crate::options::change::ChangeOptions;
use crate::options::common::Common;
use crate::options::output::{Pair, deliver};
use crate::report;
use crate::report::coverage::{Compared, FileGaps, Gap, Measured};
use crate::session::Session;
use crate::terminal;

/// Options of `coverage`.
#[derive(Debug, Args)]
pub(crate) struct Coverage {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// What the table's rows are
    #[arg(long, value_name = "WHAT", value_enum, default_value_t = By::Folder)]
    by: By,
    /// Fail when fewer declarations are described, in percent; `keep`: than at --compare
    #[arg(long, value_name = "N|keep", value_parser = parse_floor)]
    floor: Option<Floor>,
    /// Fail when fewer declarations are complete, in percent; `keep`: than at --compare
    #[arg(long, value_name = "N|keep", value_parser = parse_floor)]
    complete_floor: Option<Floor>,
    /// Compare with a revision, and tell what rose and what fell, by file
    #[arg(long, value_name = "REV", conflicts_with_all = ["since", "staged", "stdin_path"])]
    compare: Option<String>,
    /// List the declarations that lack something, worst files first; with -v also those excused
    #[arg(long)]
    list: bool,
    /// Form of the report
    #[arg(long, value_name = "F", value_enum, num_args = 1)]
    format: Vec<Format>,
    /// File to write the report to
    #[arg(short = 'o', long = "output", value_name = "FILE", num_args = 1)]
    output: Vec<PathBuf>,
    #[command(flatten)]
    change: ChangeOptions,
    #[command(flatten)]
    common: Common,
}

/// What the rows of the table are.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
pub(crate) enum By {
    /// Folders
    Folder,
    /// Files
    File,
    /// Languages
    Language,
    /// Kinds of declarations
    Kind,
}

/// A form of the report.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Format {
    /// A table with bars, for people
    Text,
    /// For programs
    Json,
    /// For a comment on a change
    Markdown,
    /// For spreadsheets
    Csv,
    /// A badge
    Svg,
}

impl By {
    /// Returns the word used in JSON.
    pub(crate) const fn as_str(self) -> &'static str {
        match self {
            Self::Folder => "folder",
            Self::File => "file",
            Self::Language => "language",
            Self::Kind => "kind",
        }
    }
}

fn parse_floor(text: &str) -> Result<Floor, String> {
    if text == "keep" {
        return Ok(Floor::Keep(vinequill_core::settings::Keep::Keep));
    }
    let wrong = || "it is a number from 0 to 100, or `keep`".to_owned();
    let number: f64 = text.trim_end_matches('%').parse().map_err(|_| wrong())?;
    if (0.0..=100.0).contains(&number) { Ok(Floor::Percent(number)) } else { Err(wrong()) }
}

impl Coverage {
    /// Measures and reports.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        let mut session = Session::open(&self.common, &self.paths)?;
        session.narrow(&self.change, false)?;
        let kept =
            [self.floor, self.complete_floor].iter().any(|floor| matches!(floor, Some(Floor::Keep(_))));
        if kept && self.compare.is_none() {
            return Err(Failure::usage(anyhow::anyhow!(
                "a floor of `keep` is that of another revision; name it with `--compare`"
            )));
        }
        let (files, lists, mut exit, left) = self.measure(&session)?;
        let (total, groups) = group(&files, self.by, &session);
        let before = match &self.compare {
            Some(rev) => Some(session.review_revision(&self.common, &self.paths, rev)?),
            None => None,
        };
        let compared = before.as_ref().zip(self.compare.as_deref()).map(|((before, renamed), rev)| {
            let (before_total, _) = group(before, self.by, &session);
            Compared { rev, total: before_total, files: changed_files((before, renamed), &files, &session) }
        });
        let measured = Measured {
            total,
            by: self.by,
            groups: &groups,
            left: &left,
            change: session.change_name().unwrap_or_default(),
            compared: compared.as_ref(),
            lists: self.list.then_some(lists.as_slice()),
            excused: self.common.verbose,
        };
        for pair in pairs {
            let text = match pair.format_as() {
                Some(Format::Json) => report::json::measured(&measured),
                Some(Format::Markdown) => report::coverage::markdown(&measured),
                Some(Format::Csv) => report::coverage::csv(&measured),
                Some(Format::Svg) => report::coverage::badge(total),
                Some(Format::Text) | None => report::coverage::render(&measured),
            };
            deliver(pair.file.as_deref(), &text)?;
        }
        exit = exit.max(self.floors(&session, &files, (total, compared.map(|compared| compared.total))));
        Ok(exit)
    }

    /// Measures the files; lists what they lack where that is asked for.
    fn measure(&self, session: &Session) -> Result<(Vec<Reviewed>, Vec<FileGaps>, Exit, String), Failure> {
        if !self.list {
            let visited = session.review(&self.common, Texts::NotNeeded)?;
            let left = session.left_out(&visited.turned_out());
            let exit = session.complain(visited.unread.iter());
            return Ok((visited.files, Vec::new(), exit, left));
        }
        let visited = session.visit(&self.common, |_, reading, decoded| {
            (Reviewed::of(reading, decoded.encoding, None), gaps(session, reading))
        })?;
        let left = session.left_out(&visited.turned_out());
        let exit = session.complain(visited.unread.iter());
        let (mut files, mut lists): (Vec<Reviewed>, Vec<FileGaps>) = visited.files.into_iter().unzip();
        files.iter_mut().for_each(|file| session.restrict_one(file));
        lists.retain(|file| !file.gaps.is_empty());
        // The worst first: where most is missing.
        lists.sort_by(|a, b| b.missing().cmp(&a.missing()).then_with(|| a.path.cmp(&b.path)));
        Ok((files, lists, exit, left))
    }

    /// Tells of floors that were missed: of all, and of the folders that have one of their own.
    fn floors(
        &self,
        session: &Session,
        files: &[Reviewed],
        (total, before): (Counts, Option<Counts>),
    ) -> Exit {
        let settings = &session.project.settings;
        let of = |counts: Counts, complete: bool| {
            (if complete { counts.complete } else { counts.described }, counts.declared)
        };
        let mut exit = Exit::Clean;
        let floors = [
            (self.floor.or(settings.floor), false, "described"),
            (self.complete_floor.or(settings.complete_floor), true, "complete"),
        ];
        for (floor, complete, what) in floors {
            exit = exit.max(match floor {
                None => Exit::Clean,
                Some(Floor::Percent(percent)) => check_floor(percent, of(total, complete), what),
                Some(Floor::Keep(_)) => match before {
                    Some(before) => check_kept(of(before, complete), of(total, complete), what),
                    None => {
                        terminal::remark(&format!(
                            "the floor `keep` ({what}) was not checked: `--compare REV` says with what"
                        ));
                        Exit::Clean
                    }
                },
            });
        }
        for (folder, floor) in &settings.folder_floors {
            let folder = folder.trim_start_matches("./").trim_end_matches('/');
            let below = |path: &str| path.strip_prefix(folder).is_some_and(|rest| rest.starts_with('/'));
            let mut counts = Counts::default();
            for file in files.iter().filter(|file| below(file.text.path())) {
                file.tallies.iter().for_each(|tally| counts.add(tally.counts()));
            }
            let what = format!("described in {folder}");
            exit = exit.max(check_floor(*floor, (counts.described, counts.declared), &what));
        }
        exit
    }
}

/// Lists what the declarations of a file lack.
fn gaps(session: &Session, reading: &FileReading<'_>) -> FileGaps {
    let review = review(reading);
    let path = reading.source.path();
    let gap = |gap: coverage::Gap| {
        let declaration = reading.outline.declaration(gap.id);
        Gap {
            line: reading.source.line(declaration.name_span.start),
            kind: declaration.kind.as_str(),
            qualified: declaration.qualified.to_string(),
            counts: gap.counts,
            excuse: gap.excuse.map(vinequill_core::model::Excuse::as_str),
        }
    };
    let is_about =
        |gap: &coverage::Gap| session.is_about(path, reading.outline.declaration(gap.id).name_span.start);
    FileGaps {
        path: session.typed_path(path),
        gaps: coverage::gaps(reading, &review).into_iter().filter(is_about).map(gap).collect(),
    }
}

/// Tells when a share, of nothing or more, is below a floor in percent.
fn check_floor(floor: f64, (part, whole): (u64, u64), what: &str) -> Exit {
    let Some(tenths) = permille(part, whole) else { return Exit::Clean };
    #[expect(clippy::cast_precision_loss, reason = "counts of declarations")]
    let share = part as f64 * 100.0 / whole as f64;
    if share >= floor {
        return Exit::Clean;
    }
    terminal::complain(&format!("{}.{} % {what}, below the floor of {floor} %", tenths / 10, tenths % 10));
    Exit::Found
}

/// Tells when a share is lower than it was; compared exactly, not as printed.
fn check_kept((part, whole): (u64, u64), (new_part, new_whole): (u64, u64), what: &str) -> Exit {
    let (Some(was), Some(is)) = (permille(part, whole), permille(new_part, new_whole)) else {
        return Exit::Clean;
    };
    if u128::from(new_part) * u128::from(whole) >= u128::from(part) * u128::from(new_whole) {
        return Exit::Clean;
    }
    terminal::complain(&format!(
        "{}.{} % {what}, and it was {}.{} %: {new_part} of {new_whole} instead of {part} of {whole}",
        is / 10,
        is % 10,
        was / 10,
        was % 10
    ));
    Exit::Found
}

/// Returns the files whose numbers changed, by path, as they were and as they are. A file that has another name now is
/// the same file.
fn changed_files(
    (before, renamed): (&[Reviewed], &HashMap<String, String>),
    now: &[Reviewed],
    session: &Session,
) -> Vec<(String, Counts, Counts)> {
    let names: HashMap<&str, &str> = renamed.iter().map(|(now, was)| (was.as_str(), now.as_str())).collect();
    let mut out: BTreeMap<String, (Counts, Counts)> = BTreeMap::new();
    for (files, is_now) in [(before, false), (now, true)] {
        for file in files {
            let path = file.text.path();
            let path = if is_now { path } else { names.get(path).copied().unwrap_or(path) };
            let counts = out.entry(session.typed_path(path)).or_default();
            for tally in &file.tallies {
                if is_now { counts.1.add(tally.counts()) } else { counts.0.add(tally.counts()) }
            }
        }
    }
    out.into_iter().filter(|(_, (was, is))| was != is).map(|(path, (was, is))| (path, was, is)).collect()
}

/// Groups the numbers; worst first where people read them, that is, least complete.
fn group(files: &[Reviewed], by: By, session: &Session) -> (Counts, Vec<(String, Counts)>) {
    let mut total = Counts::default();
    let mut groups: BTreeMap<String, Counts> = BTreeMap::new();
    for file in files {
        let path = session.typed_path(file.text.path());
        for tally in &file.tallies {
            let name = match by {
                By::Folder => path.rsplit_once('/').map_or(".", |(folder, _)| folder).to_owned(),
                By::File => path.clone(),
                By::Language => file.language.to_owned(),
                By::Kind => tally.kind.as_str().to_owned(),
            };
            groups.entry(name).or_default().add(tally.counts());
            total.add(tally.counts());
        }
    }
    (total, groups.into_iter().collect())
}
