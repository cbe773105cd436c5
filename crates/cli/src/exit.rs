//! How the program ends.

use std::io::ErrorKind;
use std::process::ExitCode;

use crate::terminal;

/// How a run ended; the number is the exit code.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub enum Exit {
    /// Nothing to report.
    Clean,
    /// A finding at the level that fails the run, a floor missed, or a difference under `--check`.
    Found,
    /// Something could not be read or written, or too much was not understood; the rest was done.
    Incomplete,
    /// Wrong usage or configuration, or a target that matches nothing.
    Usage,
}

impl From<Exit> for ExitCode {
    fn from(exit: Exit) -> Self {
        Self::from(match exit {
            Exit::Clean => 0,
            Exit::Found => 1,
            Exit::Usage => 2,
            Exit::Incomplete => 3,
        })
    }
}

/// Why a command gave up.
#[derive(Debug)]
pub(crate) enum Failure {
    /// What was asked for makes no sense.
    Usage(anyhow::Error),
    /// Reading or writing failed.
    Io(anyhow::Error),
}

/// What a command comes to.
pub(crate) type Done = Result<Exit, Failure>;

impl Failure {
    /// Makes a usage failure of any error.
    pub(crate) fn usage(error: impl Into<anyhow::Error>) -> Self {
        Self::Usage(error.into())
    }
}

impl From<std::io::Error> for Failure {
    fn from(error: std::io::Error) -> Self {
        Self::Io(error.into())
    }
}

/// Tells why a command gave up; a closed pipe ends it quietly.
pub(crate) fn tell(failure: &Failure) -> Exit {
    match failure {
        Failure::Usage(error) => {
            terminal::complain(&format!("{error:#}"));
            Exit::Usage
        }
        Failure::Io(error) => {
            let closed =
                error.downcast_ref::<std::io::Error>().is_some_and(|e| e.kind() == ErrorKind::BrokenPipe);
            if closed {
                return Exit::Clean;
            }
            terminal::complain(&format!("{error:#}"));
            Exit::Incomplete
        }
    }
}
