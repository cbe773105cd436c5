//! Tries the examples that a profile brings along.

use super::compile::Mistake;
use crate::model::{Outline, ParamName};
use crate::reading::{Language, Parsers, Wishes};
use crate::settings::{ExampleConfig, ProfileConfig};
use crate::text::Source;

/// Reads every example and compares what comes of it.
pub(super) fn check(config: &ProfileConfig, language: &Language) -> Result<(), Mistake> {
    for (number, example) in config.examples.iter().enumerate() {
        let source = Source::new("example", &example.source.value);
        let outline = language.reader.read(&source, Wishes::default(), &mut Parsers::new());
        if let Some(reason) = differs(example, &outline, &source) {
            return Err(Mistake::at(&example.source, format!("example {} {reason}", number + 1)));
        }
    }
    Ok(())
}

/// Says in what an example came out otherwise than it says.
fn differs(example: &ExampleConfig, outline: &Outline, source: &Source) -> Option<String> {
    let Some(found) = outline.declarations.iter().find(|found| found.name == example.name.as_str()) else {
        let names: Vec<&str> = outline.declarations.iter().map(|found| found.name.as_str()).collect();
        let found = if names.is_empty() { "nothing".to_owned() } else { format!("`{}`", names.join("`, `")) };
        return Some(format!("declares {found}, not `{}`", example.name));
    };
    let names: Vec<&str> = found
        .signature
        .parameters
        .iter()
        .map(|parameter| match &parameter.name {
            ParamName::Named(name) => name.as_str(),
            ParamName::Unnamed | ParamName::Rest | ParamName::Destructured(_) => "",
        })
        .collect();
    if names != example.parameters {
        return Some(format!(
            "gives `{}` the parameters ({}), not ({})",
            example.name,
            names.join(", "),
            example.parameters.join(", ")
        ));
    }
    let missed = outline.unparsed.first()?;
    Some(format!("has something in its line {} that is not understood", source.line(missed.start)))
}
