//! `vinequill rules`

use std::fmt::Write;

use clap::Args;
use vinequill_core::model::Level;
use vinequill_core::rules::{self, Rule};
use vinequill_core::text::nearest;

use crate::exit::{Done, Exit, Failure};
use crate::terminal::{self, style, styled};

/// Options of `rules`.
#[derive(Debug, Args)]
pub(crate) struct Rules {
    /// A rule, as `param.missing`
    rule: Option<String>,
    /// Explain the words excuse, waive, accept and skip
    #[arg(long)]
    words: bool,
}

const WORDS: &str = "\
excuse   A whole sort of declarations of which nothing is asked: overrides, tests, empty
         constructors. Set by `excuse` in the configuration. Out of coverage.
waive    One finding, in the source, with a reason. Coverage stays as it is.
accept   Today's findings, in a file, so that only new ones count. Coverage stays as it is.
skip     This does not exist for the review: out of findings and coverage.
";

impl Rules {
    /// Lists the rules, or explains one.
    pub(crate) fn run(&self) -> Done {
        if self.words {
            terminal::print(WORDS)?;
            return Ok(Exit::Clean);
        }
        let Some(name) = &self.rule else {
            terminal::print(&list())?;
            return Ok(Exit::Clean);
        };
        let Some(rule) = rules::find(name) else {
            let near = nearest(name, rules::ALL.iter().map(|rule| rule.id.as_str()));
            let hint = near
                .map_or("`vinequill rules` lists them".to_owned(), |near| format!("did you mean `{near}`?"));
            return Err(Failure::usage(anyhow::anyhow!("no rule is named `{name}`; {hint}")));
        };
        terminal::print(&explain(rule))?;
        Ok(Exit::Clean)
    }
}

fn list() -> String {
    let mut out = String::new();
    let mut subject = "";
    for rule in rules::ALL {
        let (this, _) = rule.id.as_str().split_once('.').unwrap_or_default();
        if this != subject {
            subject = this;
            // Writing to a string cannot fail.
            let _ =
                writeln!(out, "{}{}", if out.is_empty() { "" } else { "\n" }, styled(style::STRONG, subject));
        }
        let _ = writeln!(out, "  {:<20} {:<8} {}", rule.id.as_str(), rule.level.as_str(), rule.says);
    }
    out
}

fn show_example(out: &mut String, language: &str, (fires, silent): (&str, &str)) {
    for (title, text) in [("fires", fires), ("is silent", silent)] {
        // Writing to a string cannot fail.
        let _ = writeln!(out, "\n{}", styled(style::FAINT, &format!("{language} ({title})")));
        for line in text.lines() {
            let _ = writeln!(out, "    {line}");
        }
    }
}

fn explain(rule: &Rule) -> String {
    let mut out = String::new();
    // Writing to a string cannot fail.
    let _ = writeln!(out, "{}  {}", styled(style::STRONG, rule.id.as_str()), rule.level.as_str());
    let _ = writeln!(out, "\nFires when {}.\n{}", rule.says, rule.why);
    let first = &rule.example;
    show_example(&mut out, first.language, (first.before, first.after));
    if !rule.example.config.is_empty() {
        let _ = writeln!(out, "\n{}", styled(style::FAINT, "vinequill.toml"));
        for line in rule.example.config.lines() {
            let _ = writeln!(out, "    {line}");
        }
    }
    for example in rules::further_examples_of(rule.id) {
        show_example(&mut out, &example.language, (&example.fires, &example.silent));
    }
    let other = if rule.level == Level::None { "warning" } else { "none" };
    let _ = writeln!(out, "\nits level     [rules] \"{}\" = \"{other}\" in vinequill.toml, or", rule.id);
    let _ = writeln!(out, "              --rule {}={other} for one run", rule.id);
    let _ = writeln!(out, "one finding   vinequill: waive {} -- WHY", rule.id);
    let _ = writeln!(out, "              on a line of its own in the comment, or in one above it");
    out
}
