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

/// Every key that a configuration may have.
const WHOLE: &str = r#"requires = ">=0.1"
paths = ["src"]
exclude = ["**/legacy/**"]
surface = "public"
ask = ["types", "callables"]
excuse = ["overrides", "conventional", "empty-constructors", "enum-members", "tests", "generated", "main"]
words = ["must", "brix"]
accepted = "vinequill-accepted.json"
fail-on = "warning"
max-unparsed = 2
locked = ["param.*"]

[rules]
"summary.ending" = "warning"
"param.*" = "error"

[coverage]
floor = 85
complete-floor = 70
folders = { "src/api" = 100 }

[languages.python]
notation = "google"
demand = { param = "always", throws = "once-started" }

[languages.java]
tag-order = ["param", "return", "throws", "see", "since"]
required-tags = { class = ["author", "version"] }
tags = ["ticket"]
rules = { "summary.opening" = "note" }
opening = "third-person"

[languages.c]
endings = [".c", ".h"]
doc-marks = ["/**", "/*!", "///", "/*"]
encoding = "windows-1252"

[languages.typescript]
entry = ["src/index.ts"]
surface = "public"

[header]
pattern = "Copyright \\d{4} .+"

[draft]
placeholder = "TODO: describe"
fill = "none"
"#;

#[test]
fn all_keys_are_known_together() {
    let workshop = Workshop::with(&[
        ("vinequill.toml", WHOLE),
        ("src/index.ts", "export { weigh } from './scale';\n"),
        ("src/scale.ts", "export function weigh(): void {}\nexport function tare(): void {}\n"),
    ]);
    let ran = workshop.run(&["review", "--format", "short"]);
    assert_eq!(
        ran.out,
        "src/scale.ts:1:17: warning comment.missing: function `weigh` has no doc comment; describe it in one (`/**`)\n"
    );
    assert_eq!((ran.code, ran.err.as_str()), (1, ""));
}

#[test]
fn an_entry_that_is_not_there_is_told() {
    let config = "[languages.typescript]\nentry = [\"src/main.ts\"]\n";
    let workshop = Workshop::with(&[("vinequill.toml", config), ("src/index.ts", "")]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("`entry` of `typescript` names `src/main.ts`"), "{}", ran.err);
}

#[test]
fn one_half_is_reviewed_as_the_project_is() {
    let stub = "def weigh(load: int) -> int:\n    \"\"\"Weighs. It must stand still.\n\n    Args:\n        laod: In kg.\n    \"\"\"\n";
    let workshop = Workshop::with(&[
        ("vinequill.toml", ""),
        ("press.py", "def weigh(load):\n    return load\n"),
        ("press.pyi", stub),
        ("tank.h", "int fill(int tank);\n"),
        ("tank.c", "/** Opens the valve by night. */\nint fill(int tank) { return tank; }\n"),
    ]);
    let all = workshop.run(&["review", "--format", "short"]).out;
    let mut each = String::new();
    for file in ["press.py", "press.pyi", "tank.c", "tank.h"] {
        each.push_str(&workshop.run(&["review", "--format", "short", file]).out);
    }
    assert_eq!(all, each);
    assert_eq!(all.lines().count(), 2, "{all}");
    let outline: serde_json::Value =
        serde_json::from_str(&workshop.run(&["outline", "--format", "json", "."]).out).unwrap();
    assert_eq!(outline["files"][0]["declarations"][0]["same_as"], "press.pyi#weigh");
    assert_eq!(outline["files"][3]["declarations"][0]["same_as"], "tank.c#fill");
}
