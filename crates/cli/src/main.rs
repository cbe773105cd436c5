//! The program. All it does is in the library, so that it can be tested.

use std::process::ExitCode;

/// A tenth of a review would go into the system's allocator; the parser library allocates by this one as well.
#[global_allocator]
static ALLOCATOR: mimalloc::MiMalloc = mimalloc::MiMalloc;

fn main() -> ExitCode {
    vinequill_cli::run(std::env::args_os()).into()
}
