//! `vinequill draft`

use std::collections::BTreeMap;
use std::path::{Path, PathBuf};

use clap::{Args, ValueEnum};
use vinequill_core::draft::{self, Draft as Drafts, Drafted, Extent, Inherit, Left, Only};
use vinequill_core::model::DeclId;
use vinequill_core::review::FileReading;
use vinequill_core::text::Edits;
use vinequill_project::{Decoded, Found, version_control_user};

use crate::editing::{Change, How, Piece, Words, deliver, deliver_given, header_of};
use crate::exit::{Done, Exit, Failure};
use crate::neighbours::Neighbours;
use crate::options::change::ChangeOptions;
use crate::options::common::Common;
use crate::session::Session;
use crate::terminal;

/// Options of `draft`.
#[derive(Debug, Args)]
pub(crate) struct Draft {
    /// PATH, PATH:LINE, or PATH#Name
    #[arg(required_unless_present_any = ["stdin_path", "since", "staged"], value_name = "TARGET")]
    targets: Vec<String>,
    /// Print the comments alone
    #[arg(long, conflicts_with_all = ["write", "ask", "check"])]
    print: bool,
    #[command(flatten)]
    how: How,
    /// Only comments that are missing, or only those that lack something
    #[arg(long, value_name = "WHICH", value_enum)]
    only: Option<Which>,
    /// Draft what files open with: the header of the configuration, and the module's comment
    #[arg(long, conflicts_with_all = ["only", "inherit"])]
    file_header: bool,
    /// What is done where a supertype of the project describes the member already
    #[arg(long, value_name = "HOW", value_enum, default_value_t = Inheriting::Copy)]
    inherit: Inheriting,
    #[command(flatten)]
    change: ChangeOptions,
    #[command(flatten)]
    common: Common,
}

/// What is done where a supertype describes a member already.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Inheriting {
    /// The text is copied
    Copy,
    /// The mark that takes it over is written
    Mark,
    /// Neither
    None,
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
    change: Change,
    comments: Vec<String>,
    matched: bool,
}

impl Draft {
    /// Drafts, and shows or writes what came of it.
    pub(crate) fn run(&self) -> Done {
        self.how.check_given(self.common.stdin_path.is_some())?;
        if let Some(path) = &self.common.stdin_path {
            return self.draft_standard_input(path);
        }
        let targets: Vec<(PathBuf, Aim)> = self.targets.iter().map(|target| parse_target(target)).collect();
        let paths: Vec<PathBuf> = targets.iter().map(|(path, _)| path.clone()).collect();
        let mut session = Session::open(&self.common, &paths)?;
        session.narrow(&self.change, true)?;
        session.fill_in(&known_here(&session.project.root));
        if self.file_header && session.project.config.header.text.is_none() {
            terminal::remark(
                "no `text` under `[header]` in the configuration: only comments of modules are drafted",
            );
        }
        let cwd = std::env::current_dir()?;
        let all = targets.is_empty();
        let aims = |file: &Found| -> Vec<Aim> {
            if all {
                return vec![Aim::All];
            }
            let here =
                |path: &Path| file.path.starts_with(cwd.join(path)) || same(&file.path, &cwd.join(path));
            targets.iter().filter(|(path, _)| here(path)).map(|(_, aim)| aim.clone()).collect()
        };
        let neighbours = Neighbours::new(&session);
        let visited = session.visit(&self.common, |file, reading, decoded| {
            neighbours.lend(reading);
            (file.clone(), self.draft_file(&session, (reading, decoded), &aims(file)))
        })?;
        let (outcomes, unread) = (visited.files, visited.unread);
        let precise = targets.iter().any(|(_, aim)| *aim != Aim::All);
        if precise && !outcomes.iter().any(|(_, outcome)| outcome.matched) && unread.is_empty() {
            let shown = self.targets.join(", ");
            return Err(Failure::usage(anyhow::anyhow!(
                "{shown}: no declaration there; `vinequill outline` shows what there is"
            )));
        }
        let exit = if self.print {
            Self::print_comments(&outcomes.into_iter().map(|(_, outcome)| outcome).collect::<Vec<_>>())?
        } else {
            let changes: Vec<_> =
                outcomes.into_iter().map(|(file, outcome)| (file, outcome.change)).collect();
            deliver(&session, &self.how, self.common.quiet, WORDS, &changes)?
        };
        Ok(exit.max(session.complain(unread.iter())))
    }

    /// Drafts for a text from standard input; there is no file to write to. A target is then `:LINE` or
    /// `#Name`.
    fn draft_standard_input(&self, path: &Path) -> Done {
        let mut session = Session::open(&self.common, &[])?;
        session.fill_in(&known_here(&session.project.root));
        let mut aims: Vec<Aim> = self.targets.iter().map(|target| parse_target(target).1).collect();
        if aims.is_empty() {
            aims.push(Aim::All);
        }
        let neighbours = Neighbours::new(&session);
        let mut visited = session.visit(&self.common, |_, reading, decoded| {
            neighbours.lend(reading);
            self.draft_file(&session, (reading, decoded), &aims)
        })?;
        let exit = session.complain(visited.unread.iter());
        let Some(outcome) = visited.files.pop() else { return Ok(exit) };
        if !self.print {
            return Ok(deliver_given(path, &self.how, &outcome.change)?.max(exit));
        }
        Ok(Self::print_comments(&[outcome])?.max(exit))
    }

    fn draft_file(
        &self,
        session: &Session,
        (reading, decoded): (&FileReading<'_>, &Decoded),
        aims: &[Aim],
    ) -> Outcome {
        if self.file_header {
            return Self::draft_top(reading, decoded);
        }
        let another = |path: &str| session.read_another(path);
        let inherit = match self.inherit {
            Inheriting::Copy => Inherit::Copy(&another),
            Inheriting::Mark => Inherit::Mark,
            Inheriting::None => Inherit::None,
        };
        let only = match self.only {
            None => Only::Both,
            Some(Which::Missing) => Only::Missing,
            Some(Which::Partial) => Only::Partial,
        };
        let mut drafts = Drafts::default();
        let mut matched = false;
        if aims.contains(&Aim::All) {
            let name = |id: DeclId| reading.outline.declaration(id).name_span.start;
            let is_about = |id: DeclId| session.is_about(reading.source.path(), name(id));
            drafts = draft::draft_file(reading, &is_about, only, inherit);
        } else {
            let ids: Vec<DeclId> = aims.iter().flat_map(|aim| declarations(reading, aim)).collect();
            matched = !ids.is_empty();
            if matched {
                drafts = draft::draft(reading, &ids, (Extent::Everything, only), inherit);
            }
        }
        let mut remarks = left_alone(reading, &drafts.left);
        let edits = drafts.drafted.iter().flat_map(|drafted| drafted.edits.iter().cloned()).collect();
        let applied = Edits::new(edits).and_then(|edits| edits.apply(reading.source.text()));
        let after = applied.unwrap_or_else(|error| {
            remarks.push(format!("{}: left alone: {error}", reading.source.path()));
            reading.source.text().to_owned()
        });
        let pieces = if self.how.ask {
            drafts.drafted.iter().map(|d| piece(reading, d)).collect()
        } else {
            Vec::new()
        };
        let before = decoded.clone();
        let change =
            Change { before, after, pieces, amount: drafts.drafted.len(), by_rule: Vec::new(), remarks };
        let comments = drafts.drafted.into_iter().map(|drafted| drafted.comment).collect();
        Outcome { change, comments, matched }
    }

    /// Drafts what a file opens with.
    fn draft_top(reading: &FileReading<'_>, decoded: &Decoded) -> Outcome {
        let drafted = draft::draft_top(reading, &reading.settings.header_text);
        let (edits, comments) = drafted.map_or_else(Default::default, |(edit, added)| (vec![edit], added));
        let piece = (!edits.is_empty()).then(|| Piece {
            line: 1,
            signature: reading.source.path().to_owned(),
            what: "what the file opens with".to_owned(),
            edits: edits.clone(),
        });
        let after = Edits::new(edits).and_then(|edits| edits.apply(reading.source.text()));
        let change = Change {
            before: decoded.clone(),
            after: after.expect("one edit overlaps no other"),
            pieces: piece.into_iter().collect(),
            amount: comments.len(),
            by_rule: Vec::new(),
            remarks: Vec::new(),
        };
        Outcome { change, comments, matched: true }
    }

    fn print_comments(outcomes: &[Outcome]) -> Done {
        for outcome in outcomes.iter().filter(|outcome| !outcome.comments.is_empty()) {
            for remark in &outcome.change.remarks {
                terminal::remark(remark);
            }
            terminal::print(&(outcome.comments.join("\n\n") + "\n"))?;
        }
        Ok(Exit::Clean)
    }
}

/// What is only known where the program runs: names as the configuration has them in braces, and what they stand for.
fn known_here(root: &Path) -> Vec<(&'static str, String)> {
    let today = jiff::Zoned::now().date();
    let mut known = vec![("year", today.year().to_string()), ("date", today.to_string())];
    known.extend(version_control_user(root).map(|name| ("user", name)));
    known
}

/// What the command says of what it did.
const WORDS: Words = Words {
    nothing: "nothing to draft",
    what: ("comment drafted", "comments drafted"),
    next: "; review finds what is left to fill in",
};

/// Makes a draft something to be asked about.
fn piece(reading: &FileReading<'_>, drafted: &Drafted) -> Piece {
    let declaration = reading.outline.declaration(drafted.declaration);
    let what = match reading.doc(drafted.declaration).is_some_and(|doc| !doc.blank) {
        true => format!("what the comment of `{}` lacks", declaration.name),
        false => format!("a comment for `{}`", declaration.name),
    };
    Piece {
        line: reading.source.line(declaration.name_span.start),
        signature: header_of(reading, drafted.declaration),
        what,
        edits: drafted.edits.clone(),
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

/// How many declarations of a file are named of which the same is to be told.
const NAMED: usize = 3;

/// Says which declarations were left alone, and why; of many for the same reason, how many.
fn left_alone(reading: &FileReading<'_>, left: &[Left]) -> Vec<String> {
    let path = reading.source.path();
    let mut by_reason: BTreeMap<&str, Vec<(u32, &str)>> = BTreeMap::new();
    for left in left {
        let declaration = reading.outline.declaration(left.declaration);
        let place = (reading.source.line(declaration.name_span.start), declaration.name.as_str());
        by_reason.entry(left.reason).or_default().push(place);
    }
    let mut out: Vec<(u32, String)> = Vec::new();
    for (reason, same) in by_reason {
        if same.len() > NAMED {
            let (first, count) = (same[0].0, same.len());
            let from_here = format!("{count} declarations from here on were left alone: of each, {reason}");
            out.push((first, format!("{path}:{first}: {from_here}")));
            continue;
        }
        out.extend(
            same.into_iter()
                .map(|(line, name)| (line, format!("{path}:{line}: `{name}` was left alone: {reason}"))),
        );
    }
    out.sort();
    out.into_iter().map(|(_, text)| text).collect()
}
