//! `vinequill outline`

use std::path::PathBuf;

use clap::{Args, ValueEnum};

use crate::exit::Done;
use crate::options::common::Common;
use crate::options::output::{Pair, deliver};
use crate::report::{explain, outline};
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
    /// Show every line beside what it was taken for
    #[arg(long)]
    explain: bool,
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
        let visited = session.visit(&self.common, |_, reading, decoded| {
            let path = session.typed_path(reading.source.path());
            let shown =
                if self.explain { explain::text(reading, &path) } else { outline::text(reading, &path) };
            (outline::file(reading, decoded.encoding), shown)
        })?;
        let (wires, texts): (Vec<_>, Vec<String>) = visited.files.into_iter().unzip();
        for pair in pairs {
            let text = match pair.format_as() {
                Some(Format::Json) => outline::json(&wires),
                Some(Format::Text) | None => texts.join("\n"),
            };
            deliver(pair.file.as_deref(), &text)?;
        }
        Ok(session.complain(visited.unread.iter()))
    }
}
