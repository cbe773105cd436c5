//! `vinequill review`

use std::path::PathBuf;

use clap::{Args, ValueEnum};
use vinequill_core::model::{Level, State};
use vinequill_project::Reviewed;

use crate::exit::{Done, Exit, Failure};
use crate::options::change::ChangeOptions;
use crate::options::common::{Common, parse_level_word};
use crate::options::output::{Pair, deliver, deliver_as_made};
use crate::report::{self, Totals};
use crate::session::{Session, TurnedOut, Visited};
use crate::terminal;
use crate::watch::Watch;

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
    /// Review again whatever changes, until it is interrupted
    #[arg(long, conflicts_with = "stdin_path")]
    watch: bool,
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
        let (session, visited) = self.look()?;
        let mut exit = self.report(&session, &visited, pairs)?;
        if self.watch {
            let mut shown = self.render(&session, &visited, pairs)?;
            let watch = Watch::of(&session)?;
            terminal::remark("watching; interrupt it to end");
            while watch.wait() {
                match self.look() {
                    Ok((session, visited)) => {
                        let now = self.render(&session, &visited, pairs)?;
                        // Nothing moves on the screen where nothing changed.
                        if now != shown {
                            terminal::begin_anew()?;
                            exit = self.report(&session, &visited, pairs)?;
                            shown = now;
                        }
                    }
                    // A mistake in the settings is told, and mended while it is watched.
                    Err(Failure::Usage(error)) => terminal::complain(&format!("{error:#}")),
                    Err(failure) => return Err(failure),
                }
            }
        }
        Ok(exit)
    }

    fn look(&self) -> Result<(Session, Visited<Reviewed>), Failure> {
        let mut session = Session::open(&self.common, &self.paths)?;
        session.narrow(&self.change, false)?;
        let visited = session.review_with_accepted(&self.common, self.history)?;
        Ok((session, visited))
    }

    /// Reviews the files of a session, as the demo does.
    pub(crate) fn for_demo() -> Self {
        Self {
            paths: Vec::new(),
            fail_on: None,
            all: true,
            notes: false,
            history: false,
            watch: false,
            format: Vec::new(),
            output: Vec::new(),
            change: ChangeOptions::default(),
            common: Common::default(),
        }
    }

    /// Renders the reports.
    fn render(
        &self,
        session: &Session,
        visited: &Visited<Reviewed>,
        pairs: &[Pair],
    ) -> Result<Vec<String>, Failure> {
        let totals = Totals::of(&visited.files);
        pairs
            .iter()
            .map(|pair| self.render_one(&self.view(session, visited, (&totals, pair)), pair))
            .collect()
    }

    fn view<'a>(
        &self,
        session: &'a Session,
        visited: &'a Visited<Reviewed>,
        (totals, pair): (&'a Totals, &Pair),
    ) -> report::View<'a> {
        report::View {
            session,
            files: &visited.files,
            gone: &visited.gone,
            totals,
            all: self.all || pair.file.is_some() || !terminal::is_watched(),
            notes: self.notes || self.common.verbose,
            verbose: self.common.verbose,
            quiet: self.common.quiet,
            left_out: session.left_out(&visited.turned_out()),
            styled: pair.file.is_none() && terminal::shows_styles(),
            jobs: self.common.jobs,
        }
    }

    fn render_one(&self, view: &report::View<'_>, pair: &Pair) -> Result<String, Failure> {
        let session = view.session;
        Ok(match pair.format_as() {
            Some(Format::Text) | None => {
                let mut out = Vec::new();
                report::text::write(view, &mut out)?;
                String::from_utf8_lossy(&out).into_owned()
            }
            Some(Format::Short) => report::short::render(view),
            Some(Format::Json) => {
                let mut out = Vec::new();
                report::json::write_review(view, &mut out)?;
                String::from_utf8_lossy(&out).into_owned()
            }
            Some(Format::Sarif) => report::sarif::render(&report::json::shape(view), session.compares()?),
            Some(Format::Junit) => report::junit::render(&report::json::shape(view), self.fail_on(session)),
            Some(Format::Markdown) => {
                let about = session.change_name().unwrap_or_default();
                report::markdown::render(&report::json::shape(view), about)
            }
        })
    }

    fn fail_on(&self, session: &Session) -> Level {
        self.fail_on.unwrap_or(session.project.settings.fail_on)
    }

    /// Reports what a review found.
    pub(crate) fn report(&self, session: &Session, visited: &Visited<Reviewed>, pairs: &[Pair]) -> Done {
        let totals = Totals::of(&visited.files);
        for pair in pairs {
            let (view, file) = (self.view(session, visited, (&totals, pair)), pair.file.as_deref());
            match pair.format_as() {
                Some(Format::Json) => deliver_as_made(file, |out| report::json::write_review(&view, out))?,
                Some(Format::Text) | None => deliver_as_made(file, |out| report::text::write(&view, out))?,
                Some(_) => deliver(file, &self.render_one(&view, pair)?)?,
            }
        }
        let mut exit = session.complain(visited.unread.iter());
        let narrowed = session.change_name().is_some() || self.common.shard.is_some();
        if session.files.is_empty() && self.common.stdin_path.is_none() && !narrowed {
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
        let fail_on = self.fail_on(session);
        let fails = fail_on != Level::None
            && visited
                .files
                .iter()
                .flat_map(|file| &file.findings)
                .any(|finding| finding.level >= fail_on && finding.state == State::New);
        Ok(exit.max(if fails { Exit::Found } else { Exit::Clean }))
    }
}
