//! The command line: what was typed, what it means, and how the results are laid out.
//!
//! `options` holds what several commands share, `commands` one file each, `report` one file a format.
//! Nothing here decides what a finding is: that is the core's.

mod commands;
mod editing;
mod exit;
mod neighbours;
mod options;
mod report;
mod session;
mod terminal;
mod watch;

use std::ffi::OsString;

use clap::{CommandFactory, FromArgMatches, Parser, Subcommand};

pub use exit::Exit;

/// Compares doc comments with function signatures: finds what is missing or wrong, measures how much is
/// documented, and writes the skeleton to fill in.
#[derive(Debug, Parser)]
#[command(name = "vinequill", version, max_term_width = 100, propagate_version = true)]
struct Cli {
    #[command(subcommand)]
    command: Command,
}

#[derive(Debug, Subcommand)]
enum Command {
    /// Where do comments and signatures disagree?
    Review(commands::review::Review),
    /// How much is documented, and how fully?
    Coverage(commands::coverage::Coverage),
    /// Write the skeleton to fill in; shows a diff unless told otherwise
    Draft(commands::draft::Draft),
    /// Make repairs that need no thought; shows a diff unless told otherwise
    Mend(commands::mend::Mend),
    /// Bring docstrings into one notation; shows a diff unless told otherwise
    Recast(commands::recast::Recast),
    /// Read it as callers will: a site of static pages, or Markdown
    Pages(commands::pages::Pages),
    /// Are we getting better?
    Trend(commands::trend::Trend),
    /// What does the tool think this declares?
    Outline(commands::outline::Outline),
    /// Accept today's findings, so that a review tells only of new ones
    Accept(commands::accept::Accept),
    /// Join the reports that parallel jobs wrote
    Merge(commands::merge::Merge),
    /// What does a rule mean?
    Rules(commands::rules::Rules),
    /// What can be read?
    Languages(commands::languages::Languages),
    /// Write a commented configuration to start from
    Init(commands::init::Init),
    /// Try it on a small project in many languages
    Demo(commands::demo::Demo),
    /// What a shell reads to complete options
    Completions(commands::completions::Completions),
    /// The manual, for `man -l -`
    Man(commands::completions::Man),
}

/// Runs the program with the given arguments, the first of which is its name.
pub fn run(arguments: impl IntoIterator<Item = OsString>) -> Exit {
    let matches = match Cli::command().try_get_matches_from(arguments) {
        Ok(matches) => matches,
        Err(error) => {
            let shown = error.print().is_ok();
            return if shown && !error.use_stderr() { Exit::Clean } else { Exit::Usage };
        }
    };
    let cli = match Cli::from_arg_matches(&matches) {
        Ok(cli) => cli,
        Err(error) => error.exit(),
    };
    let pairs = matches.subcommand().map(|(_, inner)| options::output::pairs(inner)).unwrap_or_default();
    let done = match cli.command {
        Command::Review(command) => command.run(&pairs),
        Command::Coverage(command) => command.run(&pairs),
        Command::Draft(command) => command.run(),
        Command::Mend(command) => command.run(),
        Command::Recast(command) => command.run(),
        Command::Pages(command) => command.run(),
        Command::Trend(command) => command.run(&pairs),
        Command::Outline(command) => command.run(&pairs),
        Command::Accept(command) => command.run(),
        Command::Merge(command) => command.run(&pairs),
        Command::Rules(command) => command.run(),
        Command::Languages(command) => command.run(),
        Command::Init(command) => command.run(),
        Command::Demo(command) => command.run(&pairs),
        Command::Completions(command) => command.run(Cli::command()),
        Command::Man(command) => command.run(Cli::command()),
    };
    match done {
        Ok(exit) => exit,
        Err(failure) => exit::tell(&failure),
    }
}
