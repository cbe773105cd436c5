//! `vinequill languages`

use std::fmt::Write;
use std::path::PathBuf;

use anyhow::Context;
use clap::Args;
use vinequill_core::languages;
use vinequill_core::reading::{Demand, Owe};
use vinequill_core::settings::Overrides;
use vinequill_project::{ConfigSource, configure};

use crate::exit::{Done, Exit, Failure};
use crate::terminal::{self, style, styled};

/// Options of `languages`.
#[derive(Debug, Args)]
pub(crate) struct Languages {
    /// Use this configuration file
    #[arg(long, value_name = "FILE", conflicts_with = "no_config")]
    config: Option<PathBuf>,
    /// Use no configuration file
    #[arg(long)]
    no_config: bool,
}

impl Languages {
    /// Lists the languages with their endings, notations and what their comments owe.
    pub(crate) fn run(&self) -> Done {
        let mut out = String::new();
        let cwd = std::env::current_dir().context("the working folder is not there").map_err(Failure::Io)?;
        let config = match (&self.config, self.no_config) {
            (Some(path), _) => ConfigSource::File(path.clone()),
            (None, true) => ConfigSource::None,
            (None, false) => ConfigSource::Nearest,
        };
        let project = configure(&cwd, &config, &Overrides::default()).map_err(Failure::usage)?;
        let mut known = project.settings.languages().to_vec();
        known.sort_by_key(|language| language.id);
        for language in known {
            let notations: Vec<_> = language
                .notations
                .iter()
                .map(|id| if *id == language.notation { format!("{id} (default)") } else { id.to_string() })
                .collect();
            // Writing to a string cannot fail.
            let _ = writeln!(out, "{}  {}", styled(style::STRONG, language.id.as_str()), language.label);
            let _ = writeln!(out, "  files      {}", language.endings.join(" "));
            let _ = writeln!(out, "  comments   {}", language.doc_mark);
            if languages::find(language.id.as_str()).is_none() {
                let _ = writeln!(out, "  read by    a line profile");
            }
            let _ = writeln!(out, "  notations  {}", notations.join(", "));
            let _ = writeln!(out, "  demand     {}\n", demand(language.demand));
        }
        terminal::print(&out)?;
        Ok(Exit::Clean)
    }
}

fn demand(demand: Demand) -> String {
    let word = |owe: Owe| match owe {
        Owe::Always => "always",
        Owe::BeyondSummary => "beyond-summary",
        Owe::OnceStarted => "once-started",
        Owe::Never => "never",
    };
    format!(
        "param {}, typeparam {}, returns {}, throws {}",
        word(demand.param),
        word(demand.typeparam),
        word(demand.returns),
        word(demand.throws)
    )
}
