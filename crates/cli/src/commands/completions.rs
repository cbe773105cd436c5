//! `vinequill completions` and `vinequill man`

use clap::{Args, Command};
use clap_complete::Shell;

use crate::exit::{Done, Exit};
use crate::terminal;

/// Options of `completions`.
#[derive(Debug, Args)]
pub(crate) struct Completions {
    /// The shell
    #[arg(value_enum)]
    shell: Shell,
}

impl Completions {
    /// Prints what the shell reads to complete options.
    pub(crate) fn run(&self, mut command: Command) -> Done {
        let mut out = Vec::new();
        clap_complete::generate(self.shell, &mut command, "vinequill", &mut out);
        terminal::print_bytes(&out)?;
        Ok(Exit::Clean)
    }
}

/// Options of `man`.
#[derive(Debug, Args)]
pub(crate) struct Man {}

impl Man {
    /// Prints the manual: the page of the program, and one after the other those of its commands.
    pub(crate) fn run(&self, mut command: Command) -> Done {
        command.build();
        let mut out = Vec::new();
        clap_mangen::Man::new(command.clone()).render(&mut out)?;
        for inner in command.get_subcommands().filter(|inner| inner.get_name() != "help") {
            clap_mangen::Man::new(inner.clone()).render(&mut out)?;
        }
        terminal::print_bytes(&out)?;
        Ok(Exit::Clean)
    }
}
