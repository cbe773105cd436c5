//! `vinequill review`

use std::path::PathBuf;

use clap::{Args, ValueEnum};
use vinequill_core::model::{Level, State};
use vinequill_project::Reviewed;

use crate::exit::{Done, Exit};
use crate::options::change::ChangeOptions;
use crate::options::common::{Common, parse_level_word};
use crate::options::output::{Pair, deliver};
use crate::report::{self, Totals};
use crate::session::{Session, TurnedOut, Visited};
use crate::terminal;

/// Options of `review`.
#[derive(Debug, Args)]
pub(crate) struct Review {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// The level from which a finding fails the run
    #[arg(long, value_name = "LEVEL", value_parser = parse_level_word)]
    fail_on: Option<Level>,
    /// List every finding, however many there are
    #[arg(long)]
    all: bool,
    /// Show notes, not only their number
    #[arg(long)]
    notes: bool,
    /// Look in version control for comments that are older than their signatures
    #[arg(long, conflicts_with_all = ["since", "staged", "stdin_path"])]
    history: bool,
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

/// A form of the report.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Format {
    /// With source excerpts, for people
    Text,
    /// One line a finding
    Short,
    /// For programs
    Json,
    /// SARIF 2.1.0, for programs that gather results
    Sarif,
    /// JUnit's XML, for build servers
    Junit,
    /// For a comment on a change
    Markdown,
}

impl Review {
    /// Reviews and reports.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        let mut session = Session::open(&self.common, &self.paths)?;
        session.narrow(&self.change, false)?;
        let visited = session.review_with_accepted(&self.common, self.history)?;
        self.report(&session, &visited, pairs)
    }

    /// Reviews the files of a session, as the demo does.
    pub(crate) fn for_demo() -> Self {
        Self {
            paths: Vec::new(),
            fail_on: None,
            all: true,
            notes: false,
            history: false,
            format: Vec::new(),
            output: Vec::new(),
            change: ChangeOptions::default(),
            common: Common::default(),
        }
    }

    /// Reports what a review found.
    pub(crate) fn report(&self, session: &Session, visited: &Visited<Reviewed>, pairs: &[Pair]) -> Done {
        let Visited { files, unread, gone } = visited;
        let totals = Totals::of(files);
        let fail_on = self.fail_on.unwrap_or(session.project.settings.fail_on);
        for pair in pairs {
            let view = report::View {
                session,
                files,
                gone,
                totals: &totals,
                all: self.all || pair.file.is_some() || !terminal::is_watched(),
                notes: self.notes || self.common.verbose,
                verbose: self.common.verbose,
                quiet: self.common.quiet,
                left_out: session.left_out(&visited.turned_out()),
            };
            let text = match pair.format_as() {
                Some(Format::Text) | None => report::text::render(&view),
                Some(Format::Short) => report::short::render(&view),
                Some(Format::Json) => report::json::review(&report::json::shape(&view)),
                Some(Format::Sarif) => {
                    report::sarif::render(&report::json::shape(&view), session.compares()?)
                }
                Some(Format::Junit) => report::junit::render(&report::json::shape(&view), fail_on),
                Some(Format::Markdown) => {
                    let about = session.change_name().unwrap_or_default();
                    report::markdown::render(&report::json::shape(&view), about)
                }
            };
            deliver(pair.file.as_deref(), &text)?;
        }
        let mut exit = session.complain(unread.iter());
        if session.files.is_empty() && self.common.stdin_path.is_none() && session.change_name().is_none() {
            let left = session.left_out(&TurnedOut::default());
            let hint = if left.is_empty() { String::new() } else { format!(" (not reviewed: {left})") };
            terminal::complain(&format!(
                "nothing to review: no file here is in a language that is read{hint}"
            ));
        }
        if totals.unparsed_percent() > session.project.settings.max_unparsed {
            terminal::complain(&format!(
                "{:.1} % of the text was not understood, more than `max-unparsed` allows ({} %)",
                totals.unparsed_percent(),
                session.project.settings.max_unparsed
            ));
            exit = exit.max(Exit::Incomplete);
        }
        let fails = fail_on != Level::None
            && files
                .iter()
                .flat_map(|file| &file.findings)
                .any(|finding| finding.level >= fail_on && finding.state == State::New);
        Ok(exit.max(if fails { Exit::Found } else { Exit::Clean }))
    }
}
