//! A change to one file: shown as a diff, written, or only told of.

use std::path::Path;

use clap::Args;
use similar::TextDiff;
use vinequill_core::reading::Parsers;
use vinequill_project::{Decoded, Encoding, Found, write};

use super::ask::{self, Answer, Piece};
use crate::exit::{Done, Exit, Failure};
use crate::session::Session;
use crate::terminal::{self, style, styled};

/// What becomes of changes.
#[derive(Clone, Debug, Default, Args)]
pub(crate) struct How {
    /// Write to the files
    #[arg(long, conflicts_with_all = ["check", "ask"])]
    pub(crate) write: bool,
    /// Show each change and ask whether to make it
    #[arg(long, conflicts_with = "check")]
    pub(crate) ask: bool,
    /// Fail when there is something to change
    #[arg(long)]
    pub(crate) check: bool,
}

/// What came of one file.
pub(crate) struct Change {
    /// The file as it was read.
    pub(crate) before: Decoded,
    /// Its text afterwards.
    pub(crate) after: String,
    /// What is to be decided on, where people are asked.
    pub(crate) pieces: Vec<Piece>,
    /// How many comments or faults are concerned.
    pub(crate) amount: usize,
    /// The same by rule, where rules are concerned.
    pub(crate) by_rule: Vec<(&'static str, usize)>,
    /// What could not be done, and why.
    pub(crate) remarks: Vec<String>,
}

/// The words of a command for what it did.
#[derive(Clone, Copy)]
pub(crate) struct Words {
    /// There was nothing to do.
    pub(crate) nothing: &'static str,
    /// One, and several, of what was done.
    pub(crate) what: (&'static str, &'static str),
    /// What to do next, with the sign that parts it from the figures; may be empty.
    pub(crate) next: &'static str,
}

impl How {
    /// Returns how a run ends that shows a change.
    pub(crate) fn exit(&self, change: &Change) -> Exit {
        if self.check && change.before.text != change.after { Exit::Found } else { Exit::Clean }
    }

    /// Refuses what cannot be done with standard input.
    pub(crate) fn check_given(&self, given: bool) -> Result<(), Failure> {
        let option = if self.write { "--write" } else { "--ask" };
        if given && (self.write || self.ask) {
            return Err(Failure::usage(anyhow::anyhow!(
                "{option} needs files; standard input is shown as a diff"
            )));
        }
        if self.ask && !terminal::can_ask() {
            return Err(Failure::usage(anyhow::anyhow!(
                "--ask needs a terminal to ask on; without it a diff is shown, and --write writes"
            )));
        }
        Ok(())
    }
}

/// Shows a change to what came from standard input: there is no file to write to.
pub(crate) fn deliver_given(path: &Path, how: &How, change: &Change) -> Done {
    for remark in &change.remarks {
        terminal::remark(remark);
    }
    show(&path.to_string_lossy(), &change.before, &change.after)?;
    Ok(how.exit(change))
}

/// Shows, writes or asks about changes, in the order of their files.
pub(crate) fn deliver(
    session: &Session,
    how: &How,
    quiet: bool,
    words: Words,
    changes: &[(Found, Change)],
) -> Done {
    let mut exit = Exit::Clean;
    let mut tally = Tally::default();
    for (file, change) in changes {
        for remark in &change.remarks {
            terminal::remark(remark);
        }
        if how.ask {
            let path = session.typed_path(&file.shown);
            let (done, answer) = ask::about(&path, file, change)?;
            tally.add(done);
            if answer == Answer::Quit {
                break;
            }
            continue;
        }
        if change.before.text == change.after {
            continue;
        }
        tally.differs = true;
        exit = exit.max(how.exit(change));
        if how.write {
            match write(&file.path, &change.before, &change.after, file.language, &mut Parsers::new()) {
                Ok(()) => tally.add(change.amount),
                Err(failure) => {
                    terminal::complain(&failure.to_string());
                    exit = exit.max(Exit::Incomplete);
                }
            }
        } else {
            let path = session.typed_path(&file.shown);
            show(&path, &change.before, &change.after)?;
        }
    }
    if quiet {
        return Ok(exit);
    }
    if how.write || how.ask {
        let (one, several) = words.what;
        let Tally { files, amount, .. } = tally;
        terminal::print(&match amount {
            0 if how.ask => "nothing was changed\n".to_owned(),
            0 => format!("{}\n", words.nothing),
            amount => format!(
                "{amount} {} in {files} {}{}\n",
                if amount == 1 { one } else { several },
                if files == 1 { "file" } else { "files" },
                words.next
            ),
        })?;
    } else if !tally.differs {
        terminal::remark(words.nothing);
    }
    Ok(exit)
}

#[derive(Default)]
struct Tally {
    files: usize,
    amount: usize,
    differs: bool,
}

impl Tally {
    fn add(&mut self, amount: usize) {
        self.files += usize::from(amount > 0);
        self.amount += amount;
    }
}

/// Prints a unified diff. For programs it is in the file's own bytes, so that it applies to them.
fn show(path: &str, before: &Decoded, after: &str) -> std::io::Result<()> {
    let marked = |text: &str| format!("\u{feff}{text}");
    let text = match before.encoding {
        Encoding::Utf8Marked => diff(path, &marked(&before.text), &marked(after)),
        Encoding::Utf8 | Encoding::Utf16Le | Encoding::Utf16Be | Encoding::Other(_) => {
            diff(path, &before.text, after)
        }
    };
    match before.encoding {
        Encoding::Other(_) if !terminal::is_watched() => {
            let text = anstream::adapter::strip_str(&text).to_string();
            let body = text.splitn(3, '\n').nth(2).unwrap_or_default();
            let names = &text[..text.len() - body.len()];
            let bytes = before.encoding.encode(body).unwrap_or_else(|| body.as_bytes().to_vec());
            terminal::print_bytes(&[names.as_bytes(), &bytes].concat())
        }
        _ => terminal::print(&text),
    }
}

/// Renders a unified diff that `git apply` and `patch` take.
pub(crate) fn diff(path: &str, before: &str, after: &str) -> String {
    let diff = TextDiff::from_lines(before, after);
    let plain =
        diff.unified_diff().context_radius(3).header(&format!("a/{path}"), &format!("b/{path}")).to_string();
    plain
        .split_inclusive('\n')
        .map(|line| {
            let text = line.trim_end_matches('\n');
            let end = &line[text.len()..];
            match line.as_bytes().first() {
                Some(b'+') if !line.starts_with("+++") => format!("{}{end}", styled(style::GOOD, text)),
                Some(b'-') if !line.starts_with("---") => format!("{}{end}", styled(style::GONE, text)),
                Some(b'@') => format!("{}{end}", styled(style::NOTE, text)),
                _ => line.to_owned(),
            }
        })
        .collect()
}
