//! `vinequill demo`

use std::path::PathBuf;

use anyhow::Context;
use clap::Args;
use include_dir::{Dir, include_dir};

use super::review::Review;
use vinequill_project::Texts;

use crate::exit::{Done, Exit, Failure};
use crate::options::common::Common;
use crate::options::output::Pair;
use crate::session::Session;
use crate::terminal::{self, Color};

/// The demo project, in the program itself so that it can be tried anywhere.
static DEMO: Dir<'_> = include_dir!("$CARGO_MANIFEST_DIR/../../demo");

/// Options of `demo`.
#[derive(Debug, Args)]
pub(crate) struct Demo {
    /// Folder to put the demo project into; it is kept
    dir: Option<PathBuf>,
    /// When to use colour
    #[arg(long, value_name = "WHEN", value_enum, default_value_t)]
    color: Color,
}

impl Demo {
    /// Puts the demo somewhere and reviews it.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        self.color.apply();
        let temporary = tempfile::tempdir()?;
        let dir = self.dir.clone().unwrap_or_else(|| temporary.path().join("sallow-ridge"));
        if self.dir.is_some() && dir.exists() && std::fs::read_dir(&dir)?.next().is_some() {
            return Err(Failure::usage(anyhow::anyhow!(
                "{}: is not empty; name a new folder",
                dir.display()
            )));
        }
        std::fs::create_dir_all(&dir)?;
        DEMO.extract(&dir)
            .with_context(|| format!("cannot write to {}", dir.display()))
            .map_err(Failure::Io)?;
        let dir = std::fs::canonicalize(&dir)?;
        let mut common = Common::default();
        common.no_cache = true;
        let session = Session::open_in(&common, &[PathBuf::from(".")], &dir)?;
        let visited = session.review(&common, Texts::Needed)?;
        Review::for_demo().report(&session, &visited, pairs)?;
        if let Some(kept) = &self.dir {
            let remark =
                format!("the demo is in {}; try: cd {} && vinequill draft .", kept.display(), kept.display());
            terminal::print(&format!("{remark}\n"))?;
        }
        // Its findings are seeded: they are the point, and no failure.
        Ok(Exit::Clean)
    }
}
