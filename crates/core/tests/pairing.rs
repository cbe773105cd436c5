//! Which entry speaks of which parameter: renames, lists, keys of collectors, parts.

use vinequill_core::testing::review_text;

/// Reviews a Python function with an indented section of entries; returns rule and subject of each finding.
fn paired(parameters: &str, entries: &[&str]) -> Vec<String> {
    let lines: String = entries.iter().map(|entry| format!("        {entry}: x y z\n")).collect();
    let text = format!("def f({parameters}):\n    \"\"\"Do it.\n\n    Args:\n{lines}    \"\"\"\n");
    let report = review_text("a.py", &text, "");
    report
        .lines()
        .filter_map(|line| {
            let mut words = line.split(' ');
            let rule = words.nth(2)?;
            let subject = words.next()?;
            let meant = line.split_once("did you mean `").map(|(_, rest)| rest.trim_end_matches("`?"));
            Some(format!("{rule} {subject}{}", meant.map(|meant| format!(" -> {meant}")).unwrap_or_default()))
        })
        .collect()
}

#[test]
fn what_matches_is_silent() {
    assert!(paired("load, unit", &["load", "unit"]).is_empty());
    assert!(paired("load, *rest, **more", &["load", "*rest", "**more"]).is_empty());
    assert!(paired("load, unit", &["load, unit"]).is_empty());
}

#[test]
fn a_near_name_is_one_fault() {
    assert_eq!(paired("load, unit", &["laod", "unit"]), ["param.unknown [laod] -> load"]);
    assert_eq!(paired("net_weight", &["netWeigth"]), ["param.unknown [netWeigth] -> net_weight"]);
}

#[test]
fn the_last_of_each_between_the_same_neighbours_is_one_fault() {
    assert_eq!(paired("a, middle, z", &["a", "other", "z"]), ["param.unknown [other] -> middle"]);
    assert_eq!(
        paired("a, middle, z", &["other", "a", "z"]),
        ["param.missing [middle]", "param.unknown [other]"]
    );
}

#[test]
fn two_far_names_are_two_faults_each() {
    assert_eq!(
        paired("a, first, second", &["a", "wholly", "different"]),
        [
            "param.missing [first]", "param.missing [second]", "param.unknown [wholly]",
            "param.unknown [different]"
        ]
    );
}

#[test]
fn a_collector_takes_unmatched_entries_for_its_keys() {
    assert!(paired("load, **options", &["load", "depth", "width"]).is_empty());
    assert_eq!(paired("load, unit, **options", &["load", "unti", "width"]), ["param.unknown [unti] -> unit"]);
    assert_eq!(paired("load, **options", &["load"]), ["param.missing [options]"]);
}

#[test]
fn second_entries_are_repeated() {
    assert_eq!(paired("load", &["load", "load"]), ["param.repeated [load]"]);
    assert_eq!(paired("load, unit", &["load, unit", "unit"]), ["param.repeated [unit]"]);
}

#[test]
fn the_first_that_is_not_at_its_place_is_told() {
    assert_eq!(paired("a, b, c", &["b", "a", "c"]), ["param.order [b]"]);
    assert_eq!(paired("a, b, c", &["a", "c", "b"]), ["param.order [c]"]);
    assert_eq!(paired("a, b, c", &["c", "a"]), ["param.missing [b]", "param.order [c]"]);
}

#[test]
fn dotted_entries_are_parts_of_a_parameter() {
    assert!(paired("options", &["options", "options.depth"]).is_empty());
    assert_eq!(paired("options", &["options", "other.depth"]), ["param.unknown [other]"]);
}

#[test]
fn receivers_and_underscores_are_never_owed() {
    assert!(paired("self, load, _unused", &["load"]).is_empty());
}
