//! The program. All it does is in the library, so that it can be tested.

use std::process::ExitCode;

fn main() -> ExitCode {
    vinequill_cli::run(std::env::args_os()).into()
}
