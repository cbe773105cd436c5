//! The papers that are made from the code: the rule catalogue, the the JSON Schemas. A test
//! compares them with what is kept in `docs/`; `UPDATE_EXPECT=1 cargo test` writes them anew.

use std::fmt::Write;
use std::path::Path;

use vinequill_core::rules;
use vinequill_core::settings::Config;

use super::wire;

fn hold(name: &str, made: &str) {
    let path = Path::new(env!("CARGO_MANIFEST_DIR")).join("../../docs").join(name);
    if std::env::var_os("UPDATE_EXPECT").is_some() {
        std::fs::create_dir_all(path.parent().expect("it has a folder")).expect("docs can be written");
        std::fs::write(&path, made).expect("docs can be written");
        return;
    }
    let kept = std::fs::read_to_string(&path).unwrap_or_default();
    assert!(kept == made, "docs/{name} is not what the code says; UPDATE_EXPECT=1 cargo test writes it anew");
}

fn schema<T: schemars::JsonSchema>() -> String {
    let schema = schemars::schema_for!(T);
    serde_json::to_string_pretty(&schema).expect("a schema is plain data") + "\n"
}

#[test]
fn rules_are_those_of_the_code() {
    let mut out = String::from(
        "# Rules\n\nMade from the code. `vinequill rules RULE` explains one with an example; \
         `[rules]` in `vinequill.toml` sets levels.\n\n| rule | default | fires when |\n|---|---|---|\n",
    );
    for rule in rules::ALL {
        writeln!(out, "| `{}` | {} | {} |", rule.id, rule.level.as_str(), rule.says)
            .expect("a string takes all");
    }
    for rule in rules::ALL {
        let example = &rule.example;
        write!(
            out,
            "\n## {}\n\nFires when {}. {}\n\n```{}\n{}```\n\nIs silent:\n\n```{}\n{}```\n",
            rule.id, rule.says, rule.why, example.language, example.before, example.language, example.after
        )
        .expect("a string takes all");
        if !example.config.is_empty() {
            write!(out, "\nWith:\n\n```toml\n{}```\n", example.config).expect("a string takes all");
        }
        for more in rules::further_examples_of(rule.id) {
            let language = &more.language;
            write!(
                out,
                "\nIn {language}, fires:\n\n```{language}\n{}```\n\nIs silent:\n\n```{language}\n{}```\n",
                more.fires, more.silent
            )
            .expect("a string takes all");
        }
    }
    hold("rules.md", &out);
}

#[test]
fn languages_are_those_of_the_code() {
    let mut out = String::from(
        "# Languages\n\nMade from the code.\n\n| id | language | files | doc comment | notations (the first is the default) |\n\
         |---|---|---|---|---|\n",
    );
    for language in vinequill_core::known_languages() {
        let mut notations = vec![language.notation];
        notations.extend(language.notations.iter().copied().filter(|id| *id != language.notation));
        let notations: Vec<String> = notations.iter().map(|id| format!("`{id}`")).collect();
        let endings: Vec<String> = language.endings.iter().map(|ending| format!("`{ending}`")).collect();
        writeln!(
            out,
            "| `{}` | {} | {} | `{}` | {} |",
            language.id,
            language.label,
            endings.join(" "),
            language.doc_mark,
            notations.join(", ")
        )
        .expect("a string takes all");
    }
    hold("languages.md", &out);
}

#[test]
fn schemas_are_those_of_the_types() {
    hold("schema/vinequill.toml.json", &schema::<Config>());
    hold("schema/review.json", &schema::<wire::Review<'static>>());
    hold("schema/coverage.json", &schema::<wire::Coverage<'static>>());
    hold("schema/trend.json", &schema::<super::trend::Wire<'static>>());
    hold("schema/outline.json", &schema::<wire::Outline<'static>>());
}
