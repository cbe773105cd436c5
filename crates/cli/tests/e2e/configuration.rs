//! `vinequill.toml`: building on another, folders with one of their own, locks, versions, marks.

use crate::workshop::{FAULTY, Workshop};

/// A class of which two things are wrong: an error and a warning.
const WRONG: &str = "\
/** A frame. */
public class Scale {
    /**
     * Checks a crate.
     *
     * @param laod in kg
     */
    public void weigh(double load) {}

    public void read() {}
}
";

fn short(workshop: &Workshop, more: &[&str]) -> String {
    let mut arguments = vec!["review", "--format", "short"];
    arguments.extend(more);
    workshop.run(&arguments).out
}

#[test]
fn the_nearest_configuration_takes_the_place_of_those_above() {
    let workshop = Workshop::with(&[
        ("vinequill.toml", "[rules]\n\"param.unknown\" = \"warning\"\n\"comment.missing\" = \"none\"\n"),
        ("a/Scale.java", WRONG),
        ("b/vinequill.toml", "[rules]\n\"param.unknown\" = \"none\"\n"),
        ("b/deep/Scale.java", WRONG),
    ]);
    let all = short(&workshop, &[]);
    let wanted = "\
a/Scale.java:6:15: warning param.unknown: `@param laod` names no parameter; did you mean `load`?
b/deep/Scale.java:10:17: warning comment.missing: method `read` has no doc comment; describe it in one (`/**`)
";
    assert_eq!(all, wanted);
    // One file is looked at as all of it is.
    let one = short(&workshop, &["b/deep/Scale.java"]);
    assert!(all.ends_with(&one) && !one.is_empty(), "{one}");
}

#[test]
fn a_configuration_builds_on_another() {
    let workshop = Workshop::with(&[
        (
            "base.toml",
            "words = [\"laod\"]\n[rules]\n\"param.unknown\" = \"warning\"\n\"comment.missing\" = \"none\"\n",
        ),
        (
            "vinequill.toml",
            "extends = \"base.toml\"\nwords = [\"brix\"]\n[rules]\n\"comment.missing\" = \"note\"\n",
        ),
        ("Scale.java", WRONG),
    ]);
    let out = short(&workshop, &[]);
    let levels: Vec<&str> = out.lines().filter_map(|line| line.split(' ').nth(1)).collect();
    assert_eq!(levels, ["warning", "note"], "{out}");
}

#[test]
fn what_is_locked_can_be_raised_and_not_lowered() {
    let base = "locked = [\"param.*\"]\n[rules]\n\"param.unknown\" = \"warning\"\n";
    let with = |level: &str| {
        let own = format!("extends = \"base.toml\"\n[rules]\n\"param.unknown\" = \"{level}\"\n");
        Workshop::with(&[("base.toml", base), ("vinequill.toml", &own), ("Scale.java", WRONG)])
    };
    assert_eq!(with("error").run(&["review"]).code, 1);
    let lowered = with("note").run(&["review"]);
    assert_eq!(lowered.code, 2);
    assert!(lowered.err.contains("`param.unknown` is locked at `warning`"), "{}", lowered.err);
    let by_option = with("error").run(&["review", "--rule", "param.unknown=none"]);
    assert_eq!(by_option.code, 2, "{}", by_option.out);
}

#[test]
fn circles_and_other_mistakes_are_told() {
    for (own, other, wanted) in [
        ("extends = \"base.toml\"", "extends = \"vinequill.toml\"", "leads in a circle"),
        ("extends = \"none.toml\"", "", "none.toml"),
        ("requires = \">=99\"", "", "this configuration is for version `>=99`"),
        ("requires = \"new\"", "", "`requires = \"new\"`"),
        ("[header]\npattern = \"(\"", "", "`header.pattern = \"(\"`"),
        ("locked = [\"parm.*\"]", "", "no rule is named `parm.*`"),
        ("[languages.java]\nexamples = [\"methd\"]", "", "did you mean `method`?"),
    ] {
        let workshop =
            Workshop::with(&[("vinequill.toml", own), ("base.toml", other), ("Scale.java", FAULTY)]);
        let ran = workshop.run(&["review"]);
        assert_eq!(ran.code, 2, "{own}: {}", ran.out);
        assert!(ran.err.contains(wanted), "{own}: {}", ran.err);
    }
    let nested = Workshop::with(&[
        ("vinequill.toml", ""),
        ("a/vinequill.toml", "paths = [\"x\"]"),
        ("a/Scale.java", FAULTY),
    ]);
    let ran = nested.run(&["review"]);
    assert!(ran.code == 2 && ran.err.contains("`paths` is for the whole project"), "{}", ran.err);
}

#[test]
fn plain_comments_are_documentation_where_marks_say_so() {
    let source =
        "#include \"vat.h\"\n/* Fills it.\n * @param litres how much\n */\nint vat_fill(int amount);\n";
    let marks = "[languages.c]\ndoc-marks = [\"/*\"]\n";
    let with = Workshop::with(&[("vinequill.toml", marks), ("vat.h", source)]);
    assert!(short(&with, &[]).contains("param.unknown"), "{}", short(&with, &[]));
    let without = Workshop::with(&[("vat.h", source)]);
    assert!(!short(&without, &[]).contains("param.unknown"));
}

#[test]
fn a_file_is_reviewed_with_the_configurations_of_all_folders() {
    // Only the marks of the folder beside make the definition's comment one that answers for the prototype.
    let workshop = Workshop::with(&[
        ("vinequill.toml", ""),
        ("include/vat.h", "int vat_fill(int litres);\n"),
        ("src/vinequill.toml", "[languages.c]\ndoc-marks = [\"/*\"]\n"),
        ("src/vat.c", "/* Fills it. */\nint vat_fill(int litres) { return litres; }\n"),
    ]);
    assert_eq!(short(&workshop, &[]), "");
    assert_eq!(short(&workshop, &["include/vat.h"]), "");
}

#[test]
fn waivers_are_counted_and_their_reasons_shown() {
    let source = FAULTY.replace(
        "     * @param",
        "     * vinequill: waive param.unknown -- it is renamed soon\n     * @param",
    );
    let workshop = Workshop::with(&[("Scale.java", &source)]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 0, "{}", ran.out);
    assert!(ran.out.contains("waived          1"), "{}", ran.out);
    let told = workshop.run(&["review", "-v"]).out;
    assert!(told.contains("it is renamed soon"), "{told}");
    let json = workshop.run(&["review", "--format", "json"]).out;
    let value: serde_json::Value = serde_json::from_str(&json).unwrap();
    assert_eq!(value["findings"][0]["state"], "waived");
    assert_eq!(value["findings"][0]["reason"], "it is renamed soon");
    assert_eq!(value["totals"]["waived"], 1);
}
