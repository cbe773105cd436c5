//! `coverage`: numbers, groups, floors.

use crate::workshop::Workshop;

const MIXED: &str = "\
/** A scale. */
public class Scale {
    /**
     * Weighs.
     *
     * @param load in kg
     */
    public int weigh(double load) { return 1; }
    public void tare() {}
    /** TODO: describe */
    public int size() { return 1; }
    @Override public String toString() { return \"\"; }
}
";

fn json(workshop: &Workshop, arguments: &[&str]) -> serde_json::Value {
    let ran = workshop.run(&[&["coverage", "--format", "json"], arguments].concat());
    serde_json::from_str(&ran.out).unwrap()
}

#[test]
fn counts_follow_the_definitions() {
    let workshop = Workshop::with(&[("src/Scale.java", MIXED)]);
    let value = json(&workshop, &[]);
    assert_eq!(value["format"], "vinequill-coverage/1");
    let total = &value["total"];
    // Scale, weigh, tare, size are asked; the override is excused; a placeholder describes nothing.
    for (key, wanted) in [
        ("declared", 4),
        ("described", 2),
        ("complete", 1),
        ("items_asked", 6),
        ("items_present", 3),
        ("excused", 1),
    ] {
        assert_eq!(total[key], wanted, "{key}");
    }
    assert_eq!(value["by"], "folder");
    assert_eq!(value["groups"][0]["name"], "src");
}

#[test]
fn levels_do_not_change_coverage() {
    let workshop =
        Workshop::with(&[("Scale.java", MIXED), ("vinequill.toml", "[rules]\n\"*\" = \"none\"\n")]);
    assert_eq!(json(&workshop, &[])["total"], json(&workshop, &["--no-config"])["total"]);
}

#[test]
fn groups_may_be_files_languages_or_kinds() {
    let workshop = Workshop::with(&[("a/Scale.java", MIXED), ("b/x.py", "def f(): pass\n")]);
    let names = |by: &str| -> Vec<String> {
        let value = json(&workshop, &["--by", by]);
        value["groups"].as_array().unwrap().iter().map(|g| g["name"].as_str().unwrap().to_owned()).collect()
    };
    assert_eq!(names("file"), ["a/Scale.java", "b/x.py"]);
    assert_eq!(names("language"), ["java", "python"]);
    assert_eq!(names("kind"), ["class", "function", "method"]);
}

#[test]
fn floors_fail_the_run() {
    let workshop = Workshop::with(&[("Scale.java", MIXED)]);
    assert_eq!(workshop.run(&["coverage"]).code, 0);
    assert_eq!(workshop.run(&["coverage", "--floor", "50"]).code, 0);
    let ran = workshop.run(&["coverage", "--floor", "51"]);
    assert_eq!(ran.code, 1);
    assert!(ran.err.contains("50.0 % described, below the floor of 51 %"), "{}", ran.err);
    assert_eq!(workshop.run(&["coverage", "--complete-floor", "26"]).code, 1);
    workshop.write("vinequill.toml", b"[coverage]\nfloor = 90\n");
    assert_eq!(workshop.run(&["coverage"]).code, 1);
    assert_eq!(workshop.run(&["coverage", "--floor", "200"]).code, 2);
}

#[test]
fn folders_have_floors_of_their_own() {
    let workshop = Workshop::with(&[("src/api/Scale.java", MIXED), ("src/in/x.py", "def f():\n    pass\n")]);
    workshop.write("vinequill.toml", b"[coverage]\nfolders = { \"src/api\" = 100, \"src\" = 40 }\n");
    let ran = workshop.run(&["coverage"]);
    assert_eq!(ran.code, 1);
    assert_eq!(ran.err.trim(), "vinequill: 50.0 % described in src/api, below the floor of 100 %");
    workshop.write("vinequill.toml", b"[coverage]\nfolders = { \"src/api\" = 50, \"src/none\" = 100 }\n");
    assert_eq!(workshop.run(&["coverage"]).code, 0);
    workshop.write("vinequill.toml", b"[coverage]\nfolders = { \"src/api\" = 101 }\n");
    let ran = workshop.run(&["coverage"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("a floor of 101 is no percentage"), "{}", ran.err);
}

#[test]
fn nothing_declared_passes_any_floor() {
    let workshop = Workshop::with(&[("a.py", "x = 1\n")]);
    assert_eq!(workshop.run(&["coverage", "--floor", "100"]).code, 0);
    assert!(json(&workshop, &[])["total"]["described_percent"].is_null());
}

#[test]
fn a_draft_never_raises_coverage() {
    let workshop = Workshop::with(&[("Scale.java", MIXED)]);
    let before = json(&workshop, &[])["total"]["described"].clone();
    assert_eq!(workshop.run(&["draft", ".", "--write"]).code, 0);
    assert_eq!(json(&workshop, &[])["total"]["described"], before);
}
