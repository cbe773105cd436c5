//! `vinequill merge`

use std::borrow::Cow;
use std::collections::BTreeMap;
use std::path::{Path, PathBuf};

use clap::{Args, ValueEnum};
use serde::Deserialize;
use vinequill_core::coverage::Counts;
use vinequill_core::model::Level;

use crate::exit::{Done, Exit, Failure};
use crate::options::common::parse_level_word;
use crate::options::output::{Pair, deliver};
use crate::report::json::{COVERAGE_FORMAT, REVIEW_FORMAT};
use crate::report::{self, junit, wire};

/// Options of `merge`.
#[derive(Debug, Args)]
pub(crate) struct Merge {
    /// Reports that parallel jobs wrote with `--format json`
    #[arg(required = true, value_name = "REPORT")]
    reports: Vec<PathBuf>,
    /// The level from which a finding fails the run
    #[arg(long, value_name = "LEVEL", value_parser = parse_level_word, default_value = "warning")]
    fail_on: Level,
    /// Form of the report
    #[arg(long, value_name = "F", value_enum, num_args = 1)]
    format: Vec<Format>,
    /// File to write the report to
    #[arg(short = 'o', long = "output", value_name = "FILE", num_args = 1)]
    output: Vec<PathBuf>,
}

/// A form of the report.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Format {
    /// For programs
    Json,
    /// SARIF 2.1.0, for programs that gather results
    Sarif,
    /// JUnit's XML, for build servers
    Junit,
    /// For a comment on a change
    Markdown,
}

/// What tells the sorts of reports apart.
#[derive(Deserialize)]
struct Headed {
    format: String,
}

impl Merge {
    /// Joins the parts into the report that one run would have given.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        let texts = self.reports.iter().map(|path| read(path)).collect::<Result<Vec<_>, _>>()?;
        let mut formats: Vec<String> = Vec::new();
        for (path, text) in self.reports.iter().zip(&texts) {
            let headed: Headed = parse(path, text)?;
            if !matches!(headed.format.as_str(), REVIEW_FORMAT | COVERAGE_FORMAT) {
                return Err(Failure::usage(anyhow::anyhow!(
                    "{}: `{}` cannot be joined; only `{REVIEW_FORMAT}` and `{COVERAGE_FORMAT}` can",
                    path.display(),
                    headed.format
                )));
            }
            formats.push(headed.format);
        }
        if let Some(at) = formats.iter().position(|format| *format != formats[0]) {
            return Err(Failure::usage(anyhow::anyhow!(
                "{} is `{}` and {} is `{}`; join reports of one sort",
                self.reports[0].display(),
                formats[0],
                self.reports[at].display(),
                formats[at]
            )));
        }
        if formats[0] == COVERAGE_FORMAT {
            return self.coverage(pairs, &texts);
        }
        self.review(pairs, &texts)
    }

    fn review(&self, pairs: &[Pair], texts: &[String]) -> Done {
        let parts = self.reports.iter().zip(texts).map(|(path, text)| parse(path, text));
        let parts: Vec<wire::Review<'_>> = parts.collect::<Result<_, _>>()?;
        let whole = joined(parts);
        let compares = whole.findings.iter().any(|finding| finding.state == "accepted");
        for pair in pairs {
            let text = match pair.format_as() {
                Some(Format::Json) | None => report::json::review(&whole),
                Some(Format::Sarif) => report::sarif::render(&whole, compares),
                Some(Format::Junit) => junit::render(&whole, self.fail_on),
                Some(Format::Markdown) => report::markdown::render(&whole, ""),
            };
            deliver(pair.file.as_deref(), &text)?;
        }
        let fails = whole
            .findings
            .iter()
            .any(|finding| finding.state == "new" && junit::reaches(&finding.level, self.fail_on));
        Ok(if fails { Exit::Found } else { Exit::Clean })
    }

    fn coverage(&self, pairs: &[Pair], texts: &[String]) -> Done {
        let parts = self.reports.iter().zip(texts).map(|(path, text)| parse(path, text));
        let parts: Vec<wire::Coverage<'_>> = parts.collect::<Result<_, _>>()?;
        let by = parts[0].by.clone().into_owned();
        if let Some(other) = parts.iter().find(|part| part.by != by) {
            return Err(Failure::usage(anyhow::anyhow!(
                "one report is by {by} and another by {}; join reports of one sort",
                other.by
            )));
        }
        let mut total = Counts::default();
        let mut groups: BTreeMap<String, Counts> = BTreeMap::new();
        for part in parts {
            total.add(counts(&part.total));
            for group in part.groups {
                groups.entry(group.name.into_owned()).or_default().add(counts(&group.counts));
            }
        }
        let groups: Vec<(String, Counts)> = groups.into_iter().collect();
        for pair in pairs {
            if matches!(pair.format_as(), Some(Format::Sarif | Format::Junit | Format::Markdown)) {
                return Err(Failure::usage(anyhow::anyhow!("coverage is joined as `json` only")));
            }
            deliver(pair.file.as_deref(), &report::json::coverage(total, &by, &groups))?;
        }
        Ok(Exit::Clean)
    }
}

fn read(path: &Path) -> Result<String, Failure> {
    std::fs::read_to_string(path)
        .map_err(|error| Failure::usage(anyhow::anyhow!("{}: {error}", path.display())))
}

fn parse<'t, T: Deserialize<'t>>(path: &Path, text: &'t str) -> Result<T, Failure> {
    serde_json::from_str(text).map_err(|error| {
        Failure::usage(anyhow::anyhow!(
            "{}: this is no report that `--format json` writes: {error}",
            path.display()
        ))
    })
}

/// Joins parts: findings by path, as one run has them, and sums.
fn joined(parts: Vec<wire::Review<'_>>) -> wire::Review<'_> {
    let mut findings = Vec::new();
    let mut totals = wire::ReviewTotals::default();
    for part in parts {
        findings.extend(part.findings);
        totals.add(&part.totals);
    }
    // Each file is in one part, where its findings are in order.
    findings.sort_by(|a, b| a.path.cmp(&b.path));
    wire::Review { format: Cow::Borrowed(REVIEW_FORMAT), findings, totals }
}

const fn counts(wire: &wire::Counts) -> Counts {
    Counts {
        declared: wire.declared,
        described: wire.described,
        complete: wire.complete,
        items_asked: wire.items_asked,
        items_present: wire.items_present,
        excused: wire.excused,
    }
}
