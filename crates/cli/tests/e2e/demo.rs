//! The demo project: the scenario that a newcomer meets first.

use std::collections::BTreeSet;

use vinequill_core::model::Level;

use crate::workshop::Workshop;

#[test]
fn the_demo_is_reviewed_anywhere() {
    let ran = Workshop::new().run(&["demo"]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    assert!(ran.out.contains("press-house/src/weighing/Scale.java"), "{}", ran.out);
    assert_eq!(ran.err, "");
}

#[test]
fn every_rule_fires_somewhere_in_the_demo_and_most_declarations_are_fine() {
    let workshop = Workshop::new();
    assert_eq!(workshop.run(&["demo", "ridge"]).code, 0);
    let report = workshop.run(&["review", "ridge", "--format", "json"]).out;
    let value: serde_json::Value = serde_json::from_str(&report).unwrap();
    let findings = value["findings"].as_array().unwrap();
    let fired: BTreeSet<&str> = findings.iter().map(|finding| finding["rule"].as_str().unwrap()).collect();
    // Rules that are off, and those that only speak where a notation is configured, have nothing to say.
    let speaks = |rule: &&&vinequill_core::rules::Rule| {
        rule.level != Level::None
            && !rule.id.as_str().starts_with("notation.")
            && !matches!(rule.check, vinequill_core::rules::Check::History)
    };
    let rules = vinequill_core::rules::ALL.iter().filter(speaks);
    let known: BTreeSet<&str> = rules.map(|rule| rule.id.as_str()).chain(["param.untyped"]).collect();
    assert_eq!(fired, known);
    let described = workshop.run(&["coverage", "ridge", "--floor", "80"]);
    assert_eq!(described.code, 0, "{}", described.err);
}

#[test]
fn a_folder_that_is_not_empty_is_left_alone() {
    let workshop = Workshop::with(&[("ridge/mine.txt", "keep")]);
    let ran = workshop.run(&["demo", "ridge"]);
    assert_eq!(ran.code, 2);
    assert_eq!(workshop.read("ridge/mine.txt"), b"keep");
}

#[test]
fn drafting_the_demo_leaves_only_placeholders_to_fill_in() {
    let workshop = Workshop::new();
    assert_eq!(workshop.run(&["demo", "ridge"]).code, 0);
    assert_eq!(workshop.run(&["draft", "ridge", "--write"]).code, 0);
    assert_eq!(workshop.run(&["draft", "ridge", "--check"]).code, 0);
    let report = workshop.run(&["review", "ridge", "--format", "short", "--notes"]).out;
    let missing: Vec<&str> =
        report.lines().filter(|line| line.contains(".missing:") || line.contains("comment.empty:")).collect();
    assert!(missing.is_empty(), "{missing:?}");
}

#[test]
fn what_to_do_next_stands_in_one_column() {
    let ran = Workshop::new().run(&["demo"]);
    let column = |text: &str| ran.out.lines().find_map(|line| line.find(text));
    let rules = column("vinequill rules ");
    assert!(rules.is_some() && rules == column("vinequill draft PATH"), "{}", ran.out);
}
