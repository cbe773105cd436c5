//! Asks about changes one by one. What is accepted is written at once, so that nothing is lost however it ends.

use std::io::{BufRead, Write};
use std::process::Command;

use vinequill_core::model::DeclId;
use vinequill_core::reading::Parsers;
use vinequill_core::review::FileReading;
use vinequill_core::text::{Edit, Edits, Span};
use vinequill_project::{Decoded, Found, write};

use super::change::{Change, diff};
use crate::exit::Failure;
use crate::terminal::{self, style, styled};

/// One change that can be accepted by itself.
#[derive(Clone, Debug)]
pub(crate) struct Piece {
    /// The line, from 1, of what it is about.
    pub(crate) line: u32,
    /// The declaration as its callers see it, on one line; empty for the file.
    pub(crate) signature: String,
    /// What is done, and by which rule.
    pub(crate) what: String,
    /// The changes, sorted and disjoint.
    pub(crate) edits: Vec<Edit>,
}

/// Returns the header of a declaration on one line, as far as it fits the terminal.
pub(crate) fn header_of(reading: &FileReading<'_>, id: DeclId) -> String {
    let declaration = reading.outline.declaration(id);
    let text = reading.source.slice(declaration.header());
    let text = text.split_whitespace().collect::<Vec<_>>().join(" ");
    let width = terminal::width();
    if text.chars().count() <= width {
        return text;
    }
    text.chars().take(width - 1).chain(['…']).collect()
}

/// How the questions about a file ended.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(crate) enum Answer {
    /// The next file comes.
    GoOn,
    /// No more questions.
    Quit,
}

/// What a person wants of one piece.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Choice {
    Yes,
    No,
    Edit,
    AllHere,
    Quit,
}

/// Asks about the pieces of a file and writes what is accepted. Returns how many were, and how it ended.
pub(super) fn about(path: &str, file: &Found, change: &Change) -> Result<(usize, Answer), Failure> {
    let mut accepted: Vec<Edit> = Vec::new();
    let mut written = change.before.clone();
    let (mut done, mut all) = (0, false);
    for piece in &change.pieces {
        let alone = accepted.iter().chain(&piece.edits).cloned().collect();
        // What touches an accepted change is asked about in the next run, when that change is there.
        let Ok(both) = Edits::new(alone) else { continue };
        let Ok(mut text) = both.apply(&change.before.text) else { continue };
        let mut edits = piece.edits.clone();
        let choice = if all { Choice::Yes } else { ask(path, &change.before, piece)? };
        match choice {
            Choice::Yes => {}
            Choice::AllHere => all = true,
            Choice::No => continue,
            Choice::Quit => return Ok((done, Answer::Quit)),
            Choice::Edit => {
                let Some(own) = edited(path, &change.before.text, &piece.edits)? else { continue };
                let with = accepted.iter().cloned().chain([own.clone()]).collect();
                let Ok(changed) = Edits::new(with).and_then(|edits| edits.apply(&change.before.text)) else {
                    continue;
                };
                (text, edits) = (changed, vec![own]);
            }
        }
        match write(&file.path, &written, &text, file.language, &mut Parsers::new()) {
            Ok(()) => {
                written.text = text;
                accepted.extend(edits);
                done += 1;
            }
            Err(failure) => terminal::complain(&failure.to_string()),
        }
    }
    Ok((done, Answer::GoOn))
}

/// Shows a piece and asks what becomes of it; the end of input means to stop.
fn ask(path: &str, before: &Decoded, piece: &Piece) -> Result<Choice, Failure> {
    let after = Edits::new(piece.edits.clone()).and_then(|edits| edits.apply(&before.text));
    let shown = diff(path, &before.text, after.as_deref().unwrap_or(&before.text));
    // The names of the file stand above, once.
    let body: String = shown.split_inclusive('\n').skip(2).collect();
    let place = styled(style::STRONG, &format!("{path}:{}", piece.line));
    terminal::print(&format!("\n{place}  {}\n{}\n{body}", piece.what, piece.signature))?;
    loop {
        terminal::print(&styled(
            style::NOTE,
            "Make this change? yes, no, edit, all in this file, quit [y/n/e/a/q] ",
        ))?;
        let mut answer = String::new();
        if std::io::stdin().lock().read_line(&mut answer)? == 0 {
            return Ok(Choice::Quit);
        }
        match answer.trim().to_lowercase().as_str() {
            "y" | "yes" => return Ok(Choice::Yes),
            "n" | "no" => return Ok(Choice::No),
            "e" | "edit" => return Ok(Choice::Edit),
            "a" | "all" => return Ok(Choice::AllHere),
            "q" | "quit" => return Ok(Choice::Quit),
            _ => terminal::print("type y, n, e, a or q\n")?,
        }
    }
}

/// Lets a person change what would be written, in an editor. Nothing when nothing comes back.
fn edited(path: &str, text: &str, edits: &[Edit]) -> Result<Option<Edit>, Failure> {
    let (Some(first), Some(last)) = (edits.first(), edits.last()) else { return Ok(None) };
    let hull = Span::new(first.span.start, last.span.end);
    let moved = |edit: &Edit| Edit {
        span: Span::new(edit.span.start - hull.start, edit.span.end - hull.start),
        text: edit.text.clone(),
    };
    let inner = text.get(hull.range()).unwrap_or_default();
    let Ok(proposed) = Edits::new(edits.iter().map(moved).collect()).and_then(|edits| edits.apply(inner))
    else {
        return Ok(None);
    };
    let ending = path.rsplit_once('.').map_or(String::new(), |(_, ending)| format!(".{ending}"));
    let mut draft = tempfile::Builder::new().prefix("vinequill-").suffix(&ending).tempfile()?;
    draft.write_all(proposed.as_bytes())?;
    draft.flush()?;
    let editor = ["VISUAL", "EDITOR"]
        .iter()
        .find_map(|name| std::env::var(name).ok().filter(|value| !value.trim().is_empty()))
        .unwrap_or_else(|| "vi".to_owned());
    // The variable may hold options besides the program.
    let mut words = editor.split_whitespace();
    let program = words.next().unwrap_or("vi");
    match Command::new(program).args(words).arg(draft.path()).status() {
        Ok(status) if status.success() => {}
        Ok(_) => return Ok(None),
        Err(error) => {
            terminal::complain(&format!("{program}: {error}; set EDITOR to the editor of your choice"));
            return Ok(None);
        }
    }
    let text = std::fs::read_to_string(draft.path())?;
    Ok((!text.trim().is_empty()).then_some(Edit { span: hull, text }))
}
