//! `vinequill mend`

use std::path::PathBuf;

use clap::Args;
use vinequill_core::mend::{self, Wish};
use vinequill_core::model::DeclId;
use vinequill_core::review::FileReading;
use vinequill_project::Decoded;

use crate::editing::{Change, How, Piece, Words, deliver, deliver_given, header_of};
use crate::exit::Done;
use crate::options::change::ChangeOptions;
use crate::options::common::Common;
use crate::session::Session;
use crate::terminal;

/// Options of `mend`.
#[derive(Debug, Args)]
pub(crate) struct Mend {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    #[command(flatten)]
    how: How,
    /// Add the entries that are missing, with placeholders
    #[arg(long)]
    fill_missing: bool,
    /// Break lines of comments that are longer
    #[arg(long, value_name = "N", value_parser = clap::value_parser!(u16).range(20..))]
    wrap: Option<u16>,
    #[command(flatten)]
    change: ChangeOptions,
    #[command(flatten)]
    common: Common,
}

/// What the command says of what it did.
const WORDS: Words = Words { nothing: "nothing to mend", what: ("repair", "repairs"), next: "" };

impl Mend {
    /// Mends, and shows or writes what came of it.
    pub(crate) fn run(&self) -> Done {
        let given = self.common.stdin_path.as_deref();
        self.how.check_given(given.is_some())?;
        let mut session = Session::open(&self.common, &self.paths)?;
        session.narrow(&self.change, true)?;
        let wish = Wish {
            rules: self.common.named_rules(),
            fill_missing: self.fill_missing,
            wrap: self.wrap.map(usize::from),
            only: None,
        };
        let narrowed = session.change_name().is_some();
        let visited = session.visit(&self.common, |file, reading, decoded| {
            let touched = |id: &DeclId| {
                session.is_about(reading.source.path(), reading.outline.declaration(*id).name_span.start)
            };
            let only = narrowed.then(|| reading.outline.ids().filter(touched).collect());
            (file.clone(), self.change(reading, decoded, &Wish { only, ..wish.clone() }))
        })?;
        let unread = session.complain(visited.unread.iter());
        if let (Some(path), [(_, change)]) = (given, visited.files.as_slice()) {
            return Ok(deliver_given(path, &self.how, change)?.max(unread));
        }
        let exit = deliver(&session, &self.how, self.common.quiet, WORDS, &visited.files)?;
        if self.common.verbose && !self.how.ask {
            tell_by_rule(&visited.files);
        }
        Ok(exit.max(unread))
    }

    fn change(&self, reading: &FileReading<'_>, decoded: &Decoded, wish: &Wish) -> Change {
        let before = decoded.clone();
        if self.how.ask {
            let pieces = mend::pieces(reading, wish).into_iter().map(|found| piece(reading, found)).collect();
            let after = before.text.clone();
            return Change { before, after, pieces, amount: 0, by_rule: Vec::new(), remarks: Vec::new() };
        }
        let mended = mend::mend(reading, wish);
        let path = reading.source.path();
        // Whoever names a rule waits for its repairs.
        let tells = self.common.verbose || !wish.rules.is_empty();
        let refused = mended.refused.iter().filter(|_| tells);
        let remarks = refused
            .map(|(rule, line)| {
                format!("{path}:{line}: {rule} was left alone: its repair would have caused another finding")
            })
            .collect();
        let amount = mended.done.values().sum();
        let by_rule = mended.done.into_iter().collect();
        Change { before, after: mended.text, pieces: Vec::new(), amount, by_rule, remarks }
    }
}

/// Says how many repairs each rule led to.
fn tell_by_rule(files: &[(vinequill_project::Found, Change)]) {
    let mut all = std::collections::BTreeMap::<&str, usize>::new();
    for (rule, count) in files.iter().flat_map(|(_, change)| &change.by_rule) {
        *all.entry(rule).or_default() += count;
    }
    for (rule, count) in all {
        terminal::remark(&format!("{count:>6}  {rule}"));
    }
}

/// Makes a repair something to be asked about.
fn piece(reading: &FileReading<'_>, found: mend::Piece) -> Piece {
    Piece {
        line: reading.source.line(found.at),
        signature: found.declaration.map(|id| header_of(reading, id)).unwrap_or_default(),
        what: format!("{}: {}", found.rule, found.message),
        edits: found.edits,
    }
}
