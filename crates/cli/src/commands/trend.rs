//! `vinequill trend`

use std::path::PathBuf;

use clap::{Args, ValueEnum};
use jiff::Timestamp;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use vinequill_core::coverage::Counts;
use vinequill_project::{From, Point, Repository, Step, trend};

use crate::exit::{Done, Exit, Failure};
use crate::options::common::Common;
use crate::options::output::{Pair, deliver};
use crate::report::trend as report;
use crate::session::Session;
use crate::terminal;

/// As many commits are looked at where neither `--every` nor `--last` says how many.
const MOST: usize = 60;

/// Options of `trend`.
#[derive(Debug, Args)]
pub(crate) struct Trend {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// Begin at a revision, or at a day as in 2026-03-31
    #[arg(long, value_name = "REV|DATE")]
    from: Option<String>,
    /// Look at every N-th commit, or at the last one of each day, week or month
    #[arg(long, value_name = "N|day|week|month", value_parser = parse_every)]
    every: Option<Every>,
    /// Look at no more than the newest N of them
    #[arg(long, value_name = "N", value_parser = clap::value_parser!(u32).range(1..))]
    last: Option<u32>,
    /// Draw a chart; its ending, `.svg` or `.png`, says how
    #[arg(long, value_name = "FILE", value_parser = parse_chart)]
    chart: Option<PathBuf>,
    /// Form of the report
    #[arg(long, value_name = "F", value_enum, num_args = 1)]
    format: Vec<Format>,
    /// File to write the report to
    #[arg(short = 'o', long = "output", value_name = "FILE", num_args = 1)]
    output: Vec<PathBuf>,
    #[command(flatten)]
    common: Common,
}

/// How far apart the commits are that are looked at.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Every {
    /// Every so many commits.
    Commits(usize),
    /// The last of each day.
    Day,
    /// The last of each week, which begins on Monday (ISO 8601).
    Week,
    /// The last of each month.
    Month,
}

/// A form of the report.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Format {
    /// A table, for people
    Text,
    /// For programs
    Json,
    /// For spreadsheets
    Csv,
}

fn parse_every(text: &str) -> Result<Every, String> {
    match text {
        "day" => Ok(Every::Day),
        "week" => Ok(Every::Week),
        "month" => Ok(Every::Month),
        number => match number.parse() {
            Ok(number) if number > 0 => Ok(Every::Commits(number)),
            _ => Err("it is a number of commits, or one of day, week, month".to_owned()),
        },
    }
}

fn parse_chart(text: &str) -> Result<PathBuf, String> {
    match text.rsplit('.').next() {
        Some("svg" | "png") => Ok(PathBuf::from(text)),
        _ => Err("its name ends with `.svg` or `.png`".to_owned()),
    }
}

impl Trend {
    /// Measures the history and reports.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        let session = Session::open(&self.common, &[])?;
        let repository = Repository::around(&session.project.root).map_err(Failure::usage)?;
        let line = repository.line(&self.begin(&repository)?).map_err(Failure::usage)?;
        let steps = self.chosen(&line);
        if steps.is_empty() {
            return Err(Failure::usage(anyhow::anyhow!(
                "no commit of the current line is as new as `--from` wants"
            )));
        }
        let points = measured(&session, (&self.common, &self.paths), &repository, &steps)?;
        let rows: Vec<report::Row> = points
            .iter()
            .map(|point| report::Row {
                commit: point.step.commit.to_string(),
                short: repository.short(point.step.commit),
                date: day_of(point.step).to_string(),
                time: at(point.step).to_string(),
                seconds: point.step.seconds,
                counts: point.counts,
            })
            .collect();
        for pair in pairs {
            let text = match pair.format_as() {
                Some(Format::Json) => report::json(&rows),
                Some(Format::Csv) => report::csv(&rows),
                Some(Format::Text) | None => report::text(&rows, line.len()),
            };
            deliver(pair.file.as_deref(), &text)?;
        }
        if let Some(path) = &self.chart {
            report::draw(&rows, path).map_err(Failure::Io)?;
        }
        Ok(Exit::Clean)
    }

    fn begin(&self, repository: &Repository) -> Result<From, Failure> {
        let Some(from) = &self.from else { return Ok(From::Start) };
        match repository.commit(from) {
            Ok(commit) => Ok(From::Commit(commit)),
            Err(error) => match from.parse::<Date>() {
                Ok(day) => {
                    let midnight = day.to_zoned(TimeZone::UTC).map_err(Failure::usage)?;
                    Ok(From::Time(midnight.timestamp().as_second()))
                }
                Err(_) => Err(Failure::usage(anyhow::anyhow!("{error}; a day is written as in 2026-03-31"))),
            },
        }
    }

    /// Chooses from a line, newest first; the newest is always there.
    fn chosen(&self, line: &[Step]) -> Vec<Step> {
        let mut out: Vec<Step> = match self.every {
            Some(Every::Commits(number)) => line.iter().step_by(number).copied().collect(),
            Some(every) => newest_of_each(line, every),
            None if self.last.is_some() || line.len() <= MOST => line.to_vec(),
            None => {
                let place = |number: usize| number * (line.len() - 1) / (MOST - 1);
                (0..MOST).map(|number| line[place(number)]).collect()
            }
        };
        if let Some(last) = self.last {
            out.truncate(usize::try_from(last).unwrap_or(usize::MAX));
        }
        out
    }
}

/// Measures commits, and shows how far it is.
fn measured(
    session: &Session,
    (common, paths): (&Common, &[PathBuf]),
    repository: &Repository,
    steps: &[Step],
) -> Result<Vec<Point>, Failure> {
    let bar = terminal::progress(steps.len(), "commits");
    let points = session.with_wanted(common, paths, |wanted, nested| {
        let told = |done: usize| bar.set_position(u64::try_from(done).unwrap_or(u64::MAX));
        trend(repository, steps, (wanted, nested, common.jobs), &told)
    });
    bar.finish_and_clear();
    points.map_err(|error| Failure::Io(error.into()))
}

/// Measures the last commits of the newest months, oldest first, each with its day; nothing without a history.
pub(crate) fn by_month(
    session: &Session,
    (common, paths): (&Common, &[PathBuf]),
    months: usize,
) -> Result<Vec<(String, Counts)>, Failure> {
    let Ok(repository) = Repository::around(&session.project.root) else { return Ok(Vec::new()) };
    let Ok(line) = repository.line(&From::Start) else { return Ok(Vec::new()) };
    let mut steps = newest_of_each(&line, Every::Month);
    steps.truncate(months);
    let points = measured(session, (common, paths), &repository, &steps)?;
    Ok(points.iter().map(|point| (day_of(point.step).to_string(), point.counts)).collect())
}

/// Chooses the newest commit of each period from a line, newest first.
fn newest_of_each(line: &[Step], every: Every) -> Vec<Step> {
    let mut last = None;
    let is_newest = |step: &&Step| {
        let period = period(every, day_of(**step));
        last.replace(period) != Some(period)
    };
    line.iter().filter(is_newest).copied().collect()
}

fn at(step: Step) -> Timestamp {
    Timestamp::from_second(step.seconds).unwrap_or(Timestamp::UNIX_EPOCH)
}

/// Returns the day of a commit in universal time, so that every machine counts alike.
fn day_of(step: Step) -> Date {
    at(step).to_zoned(TimeZone::UTC).date()
}

/// Returns what two days of one period have in common.
fn period(every: Every, day: Date) -> (i32, i32) {
    match every {
        Every::Week => {
            let week = day.iso_week_date();
            (i32::from(week.year()), i32::from(week.week()))
        }
        Every::Month => (i32::from(day.year()), i32::from(day.month())),
        Every::Day | Every::Commits(_) => (i32::from(day.year()), i32::from(day.day_of_year())),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn periods_part_days_where_calendars_do() {
        let day = |text: &str| text.parse::<Date>().unwrap();
        assert_eq!(period(Every::Week, day("2026-12-31")), period(Every::Week, day("2027-01-03")));
        assert_ne!(period(Every::Week, day("2027-01-03")), period(Every::Week, day("2027-01-04")));
        assert_ne!(period(Every::Month, day("2026-12-31")), period(Every::Month, day("2027-01-01")));
        assert_ne!(period(Every::Day, day("2026-12-31")), period(Every::Day, day("2026-12-30")));
    }
}
