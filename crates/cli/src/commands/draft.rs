//! `vinequill draft`

use std::path::{Path, PathBuf};

use clap::{Args, ValueEnum};
use similar::TextDiff;
use vinequill_core::draft::{self, Draft as Drafts, Extent, Only};
use vinequill_core::model::DeclId;
use vinequill_core::reading::Parsers;
use vinequill_core::review::FileReading;
use vinequill_core::text::Edits;
use vinequill_project::{Decoded, Found, write};

use crate::exit::{Done, Exit, Failure};
use crate::options::common::Common;
use crate::session::Session;
use crate::terminal::{self, style, styled};

/// Options of `draft`.
#[derive(Debug, Args)]
pub(crate) struct Draft {
    /// PATH, PATH:LINE, or PATH#Name
    #[arg(required_unless_present = "stdin_path", value_name = "TARGET")]
    targets: Vec<String>,
    /// Write to the files
    #[arg(long, conflicts_with_all = ["print", "check"])]
    write: bool,
    /// Print the comments alone
    #[arg(long)]
    print: bool,
    /// Fail when there is something to draft
    #[arg(long)]
    check: bool,
    /// Only comments that are missing, or only those that lack something
    #[arg(long, value_name = "WHICH", value_enum)]
    only: Option<Which>,
    #[command(flatten)]
    common: Common,
}

/// Which comments are drafted.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Which {
    /// Those that are missing
    Missing,
    /// Those that lack something
    Partial,
}

/// What is named by a target.
#[derive(Clone, Debug, PartialEq, Eq)]
enum Aim {
    /// All that is asked for a comment.
    All,
    /// The declaration at or around a line.
    Line(u32),
    /// All declarations of a name.
    Named(String),
}

/// What came of one file.
struct Outcome {
    before: Decoded,
    after: String,
    comments: Vec<String>,
    remarks: Vec<String>,
    matched: bool,
}

impl Draft {
    /// Drafts, and shows or writes what came of it.
    pub(crate) fn run(&self) -> Done {
        if let Some(path) = &self.common.stdin_path {
            return self.draft_standard_input(path);
        }
        let targets: Vec<(PathBuf, Aim)> = self.targets.iter().map(|target| parse_target(target)).collect();
        let paths: Vec<PathBuf> = targets.iter().map(|(path, _)| path.clone()).collect();
        let session = Session::open(&self.common, &paths)?;
        let cwd = std::env::current_dir()?;
        let aims = |file: &Found| -> Vec<Aim> {
            let here =
                |path: &Path| file.path.starts_with(cwd.join(path)) || same(&file.path, &cwd.join(path));
            targets.iter().filter(|(path, _)| here(path)).map(|(_, aim)| aim.clone()).collect()
        };
        let visited = session.visit(&self.common, |file, reading, decoded| {
            (file.clone(), self.draft_file(reading, decoded, &aims(file)))
        })?;
        let (outcomes, unread) = (visited.files, visited.unread);
        let precise = targets.iter().any(|(_, aim)| *aim != Aim::All);
        if precise && !outcomes.iter().any(|(_, outcome)| outcome.matched) && unread.is_empty() {
            let shown = self.targets.join(", ");
            return Err(Failure::usage(anyhow::anyhow!(
                "{shown}: no declaration there; `vinequill outline` shows what there is"
            )));
        }
        let exit = self.deliver(&session, &outcomes)?;
        Ok(exit.max(session.complain(unread.iter())))
    }

    /// Drafts for a text from standard input; there is no file to write to. A target is then `:LINE` or
    /// `#Name`.
    fn draft_standard_input(&self, path: &Path) -> Done {
        if self.write {
            return Err(Failure::usage(anyhow::anyhow!(
                "--write needs files; standard input is shown as a diff"
            )));
        }
        let session = Session::open(&self.common, &[])?;
        let mut aims: Vec<Aim> = self.targets.iter().map(|target| parse_target(target).1).collect();
        if aims.is_empty() {
            aims.push(Aim::All);
        }
        let mut visited =
            session.visit(&self.common, |_, reading, decoded| self.draft_file(reading, decoded, &aims))?;
        let exit = session.complain(visited.unread.iter());
        let Some(outcome) = visited.files.pop() else { return Ok(exit) };
        for remark in &outcome.remarks {
            terminal::remark(remark);
        }
        if self.print {
            terminal::print(&(outcome.comments.join("\n\n") + "\n"))?;
        } else {
            let shown = path.to_string_lossy();
            terminal::print(&diff(&shown, &outcome.before.text, &outcome.after))?;
        }
        let differs = outcome.before.text != outcome.after;
        Ok(if self.check && differs { Exit::Found } else { Exit::Clean })
    }

    fn draft_file(&self, reading: &FileReading<'_>, decoded: &Decoded, aims: &[Aim]) -> Outcome {
        let only = match self.only {
            None => Only::Both,
            Some(Which::Missing) => Only::Missing,
            Some(Which::Partial) => Only::Partial,
        };
        let mut drafts = Drafts::default();
        let mut matched = false;
        if aims.contains(&Aim::All) {
            drafts = draft::draft_file(reading, only);
        } else {
            let ids: Vec<DeclId> = aims.iter().flat_map(|aim| declarations(reading, aim)).collect();
            matched = !ids.is_empty();
            if matched {
                drafts = draft::draft(reading, &ids, Extent::Everything, only);
            }
        }
        let mut remarks: Vec<String> = drafts
            .left
            .iter()
            .map(|left| {
                let declaration = reading.outline.declaration(left.declaration);
                let line = reading.source.line(declaration.name_span.start);
                format!(
                    "{}:{line}: `{}` was left alone: {}",
                    reading.source.path(),
                    declaration.name,
                    left.reason
                )
            })
            .collect();
        let edits = drafts.drafted.iter().flat_map(|drafted| drafted.edits.iter().cloned()).collect();
        let applied = Edits::new(edits).and_then(|edits| edits.apply(reading.source.text()));
        let after = applied.unwrap_or_else(|error| {
            remarks.push(format!("{}: left alone: {error}", reading.source.path()));
            reading.source.text().to_owned()
        });
        Outcome {
            before: decoded.clone(),
            after,
            comments: drafts.drafted.into_iter().map(|drafted| drafted.comment).collect(),
            remarks,
            matched,
        }
    }

    fn deliver(&self, session: &Session, outcomes: &[(Found, Outcome)]) -> Done {
        let mut exit = Exit::Clean;
        let (mut written, mut comments) = (0, 0);
        for (file, outcome) in outcomes {
            for remark in &outcome.remarks {
                terminal::remark(remark);
            }
            if outcome.before.text == outcome.after {
                continue;
            }
            if self.check {
                exit = exit.max(Exit::Found);
            }
            if self.print {
                terminal::print(&(outcome.comments.join("\n\n") + "\n"))?;
            } else if self.write {
                match write(&file.path, &outcome.before, &outcome.after, file.language, &mut Parsers::new()) {
                    Ok(()) => {
                        written += 1;
                        comments += outcome.comments.len();
                    }
                    Err(failure) => {
                        terminal::complain(&failure.to_string());
                        exit = exit.max(Exit::Incomplete);
                    }
                }
            } else {
                let path = session.typed_path(&file.shown);
                terminal::print(&diff(&path, &outcome.before.text, &outcome.after))?;
            }
        }
        if self.write && !self.common.quiet {
            let text = match written {
                0 => "nothing to draft\n".to_owned(),
                files => format!(
                    "{comments} comments drafted in {files} files; review finds what is left to fill in\n"
                ),
            };
            terminal::print(&text)?;
        } else if !self.print && !self.common.quiet && outcomes.iter().all(|(_, o)| o.before.text == o.after)
        {
            terminal::remark("nothing to draft");
        }
        Ok(exit)
    }
}

/// Tells whether two paths lead to the same file.
fn same(left: &Path, right: &Path) -> bool {
    let real = |path: &Path| std::fs::canonicalize(path).ok();
    real(left).is_some() && (real(left) == real(right))
        || real(left).zip(real(right)).is_some_and(|(left, right)| left.starts_with(right))
}

/// Takes a target apart; what is there as a path is one, whatever signs its name has.
fn parse_target(target: &str) -> (PathBuf, Aim) {
    let whole = PathBuf::from(target);
    if whole.exists() {
        return (whole, Aim::All);
    }
    if let Some((path, name)) = target.rsplit_once('#') {
        return (path.into(), Aim::Named(name.to_owned()));
    }
    match target.rsplit_once(':').map(|(path, line)| (path, line.parse::<u32>())) {
        Some((path, Ok(line))) => (path.into(), Aim::Line(line)),
        _ => (whole, Aim::All),
    }
}

/// Finds what an aim names: by line the innermost declaration around it, from its comment to its end.
fn declarations(reading: &FileReading<'_>, aim: &Aim) -> Vec<DeclId> {
    let source = &reading.source;
    match aim {
        Aim::All => Vec::new(),
        Aim::Named(name) => reading
            .outline
            .ids()
            .filter(|&id| {
                let qualified = reading.outline.declaration(id).qualified.as_str();
                qualified == name
                    || qualified.strip_suffix(name.as_str()).is_some_and(|owner| owner.ends_with('.'))
            })
            .collect(),
        Aim::Line(line) => {
            let around = |&id: &DeclId| {
                let declaration = reading.outline.declaration(id);
                let start = reading
                    .doc(id)
                    .map_or(declaration.span.start, |doc| doc.span.start.min(declaration.span.start));
                source.line(start) <= *line && *line <= source.line(declaration.span.end)
            };
            let innermost = reading.outline.ids().filter(around).min_by_key(|&id| {
                let declaration = reading.outline.declaration(id);
                (declaration.span.len(), declaration.name_span.start)
            });
            innermost.into_iter().collect()
        }
    }
}

/// Renders a unified diff that `git apply` and `patch` take.
fn diff(path: &str, before: &str, after: &str) -> String {
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
                Some(b'-') if !line.starts_with("---") => format!("{}{end}", styled(style::ERROR, text)),
                Some(b'@') => format!("{}{end}", styled(style::NOTE, text)),
                _ => line.to_owned(),
            }
        })
        .collect()
}
