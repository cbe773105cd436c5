//! `vinequill recast`

use std::path::PathBuf;

use clap::Args;
use clap::builder::PossibleValuesParser;
use vinequill_core::recast::{self, Left};
use vinequill_core::review::FileReading;
use vinequill_project::Decoded;

use crate::editing::{Change, How, Piece, Words, deliver, deliver_given, header_of};
use crate::exit::Done;
use crate::options::common::Common;
use crate::session::Session;

/// Options of `recast`.
#[derive(Debug, Args)]
pub(crate) struct Recast {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// The notation that docstrings are to be in
    #[arg(long, value_name = "NOTATION", value_parser = PossibleValuesParser::new(recast::TARGETS))]
    to: String,
    #[command(flatten)]
    how: How,
    #[command(flatten)]
    common: Common,
}

/// What the command says of what it did.
const WORDS: Words =
    Words { nothing: "nothing to recast", what: ("docstring recast", "docstrings recast"), next: "" };

impl Recast {
    /// Changes the notation, and shows or writes what came of it.
    pub(crate) fn run(&self) -> Done {
        let given = self.common.stdin_path.as_deref();
        self.how.check_given(given.is_some())?;
        let session = Session::open(&self.common, &self.paths)?;
        let visited = session.visit(&self.common, |file, reading, decoded| {
            self.change(reading, decoded).map(|change| (file.clone(), change))
        })?;
        let unread = session.complain(visited.unread.iter());
        let changes: Vec<_> = visited.files.into_iter().flatten().collect();
        if let (Some(path), [(_, change)]) = (given, changes.as_slice()) {
            return Ok(deliver_given(path, &self.how, change)?.max(unread));
        }
        Ok(deliver(&session, &self.how, self.common.quiet, WORDS, &changes)?.max(unread))
    }

    fn change(&self, reading: &FileReading<'_>, decoded: &Decoded) -> Option<Change> {
        let made = recast::recast(reading, &self.to)?;
        let told = |left: &Left, what: &str| {
            let declaration = reading.outline.declaration(left.declaration);
            let line = reading.source.line(declaration.name_span.start);
            format!("{}:{line}: `{}`{what}: {}", reading.source.path(), declaration.name, left.reason)
        };
        let losses = made.losses.iter().map(|left| told(left, ""));
        let remarks = losses.chain(made.left.iter().map(|left| told(left, " was left alone"))).collect();
        let piece = |changed: &recast::Changed| Piece {
            line: reading.source.line(reading.outline.declaration(changed.declaration).name_span.start),
            signature: header_of(reading, changed.declaration),
            what: format!("its docstring in the notation `{}`", self.to),
            edits: vec![changed.edit.clone()],
        };
        Some(Change {
            before: decoded.clone(),
            amount: made.changed.len(),
            pieces: made.changed.iter().filter(|_| self.how.ask).map(piece).collect(),
            after: made.text,
            by_rule: Vec::new(),
            remarks,
        })
    }
}
