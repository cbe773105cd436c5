//! `vinequill languages`

use std::fmt::Write;

use clap::Args;
use vinequill_core::languages;
use vinequill_core::reading::{Demand, Owe};

use crate::exit::{Done, Exit};
use crate::terminal::{self, style, styled};

/// Options of `languages`.
#[derive(Debug, Args)]
pub(crate) struct Languages {}

impl Languages {
    /// Lists the languages with their endings, notations and what their comments owe.
    pub(crate) fn run(&self) -> Done {
        let mut out = String::new();
        for language in languages::ALL {
            let notations: Vec<_> = language
                .notations
                .iter()
                .map(|id| if *id == language.notation { format!("{id} (default)") } else { id.to_string() })
                .collect();
            // Writing to a string cannot fail.
            let _ = writeln!(out, "{}  {}", styled(style::STRONG, language.id.as_str()), language.label);
            let _ = writeln!(out, "  files      {}", language.endings.join(" "));
            let _ = writeln!(out, "  comments   {}", language.doc_mark);
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
