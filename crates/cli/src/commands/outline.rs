//! `vinequill outline`

use std::path::PathBuf;

use clap::{Args, ValueEnum};
use vinequill_core::review::FileReading;
use vinequill_project::{Decoded, visit_files};

use crate::exit::Done;
use crate::options::common::Common;
use crate::options::output::{Pair, deliver};
use crate::report::outline;
use crate::session::Session;

/// Options of `outline`.
#[derive(Debug, Args)]
pub(crate) struct Outline {
    /// Files and folders
    #[arg(required_unless_present = "stdin_path")]
    paths: Vec<PathBuf>,
    /// Form of the report
    #[arg(long, value_name = "F", value_enum, num_args = 1)]
    format: Vec<Format>,
    /// File to write the report to
    #[arg(short = 'o', long = "output", value_name = "FILE", num_args = 1)]
    output: Vec<PathBuf>,
    #[command(flatten)]
    common: Common,
}

/// A form of the report.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Format {
    /// For people
    Text,
    /// For programs
    Json,
}

impl Outline {
    /// Shows what files declare.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        let session = Session::open(&self.common, &self.paths)?;
        let take_down = |reading: &FileReading<'_>, decoded: &Decoded| {
            let shown = outline::text(reading, &session.typed_path(reading.source.path()));
            (outline::file(reading, decoded.encoding), shown)
        };
        let results = match &self.common.stdin_path {
            Some(path) => vec![Ok(session.with_standard_input(path, take_down)?)],
            None => visit_files(
                &session.files,
                &session.project.settings,
                self.common.jobs,
                &|reading, decoded, _| take_down(reading, decoded),
            ),
        };
        let mut files = Vec::new();
        let mut unread = Vec::new();
        for result in results {
            match result {
                Ok(file) => files.push(file),
                Err(error) => unread.push(error),
            }
        }
        let (wires, texts): (Vec<_>, Vec<String>) = files.into_iter().unzip();
        for pair in pairs {
            let json =
                pair.format.as_deref().is_some_and(|name| Format::from_str(name, true) == Ok(Format::Json));
            let text = if json { outline::json(&wires) } else { texts.join("\n") };
            deliver(pair.file.as_deref(), &text)?;
        }
        Ok(session.complain(unread.iter()))
    }
}
