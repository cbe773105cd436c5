//! `review`: formats, levels, configuration, what is left out.

use serde_json::Value;

use crate::workshop::{CLEAN, FAULTY, Workshop};

#[test]
fn a_clean_project_is_exit_0() {
    let ran = Workshop::with(&[("Scale.java", CLEAN)]).run(&["review"]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    assert_eq!(ran.out, "nothing to complain of\nreviewed        2 declarations in 1 file\n");
}

#[test]
fn text_points_at_both_sides() {
    let ran = Workshop::with(&[("Scale.java", FAULTY)]).run(&["review"]);
    assert_eq!(ran.code, 1);
    let wanted = "\
error[param.unknown]: `@param laod` names no parameter; did you mean `load`?
  ╭▸ Scale.java:6:15
  │
6 │      * @param laod in kg
  │               ━━━━
7 │      */
8 │     public void weigh(double load) {}
  ╰╴                             ──── the parameter is `load`
";
    assert!(ran.out.contains(wanted), "{}", ran.out);
    assert!(ran.out.contains("1 error         param.unknown 1\n"), "{}", ran.out);
    assert!(!ran.out.contains('\u{1b}'), "no colour in a pipe");
}

#[test]
fn short_is_one_line_a_finding_from_the_working_folder() {
    let workshop = Workshop::with(&[("src/Scale.java", FAULTY)]);
    let ran = workshop.run(&["review", "--format", "short", "src"]);
    let wanted =
        "src/Scale.java:6:15: error param.unknown: `@param laod` names no parameter; did you mean `load`?\n";
    assert_eq!(ran.out, wanted);
}

#[test]
fn json_has_the_shape_of_the_contract() {
    let ran = Workshop::with(&[("src/Scale.java", FAULTY)]).run(&["review", "--format", "json"]);
    let value: Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(value["format"], "vinequill-review/1");
    let finding = &value["findings"][0];
    for (key, wanted) in [
        ("rule", Value::from("param.unknown")),
        ("level", Value::from("error")),
        ("path", Value::from("src/Scale.java")),
        ("line", Value::from(6)),
        ("column", Value::from(15)),
        ("end_line", Value::from(6)),
        ("end_column", Value::from(19)),
        ("start", Value::from(89)),
        ("end", Value::from(93)),
        ("declaration", Value::from("Scale.weigh")),
        ("declaration_line", Value::from(8)),
        ("subject", Value::from("laod")),
        ("suggestion", Value::from("load")),
        ("state", Value::from("new")),
        ("reason", Value::Null),
    ] {
        assert_eq!(finding[key], wanted, "{key}");
    }
    assert_eq!(finding["edits"][0], serde_json::json!({"start": 89, "end": 93, "text": "load"}));
    assert_eq!(finding["related"][0]["line"], 8);
    assert_eq!(finding["fingerprint"].as_str().map(str::len), Some(16));
    let totals = serde_json::json!({
        "files": 1, "declarations": 2, "error": 1, "warning": 0, "note": 0, "accepted": 0, "waived": 0,
        "excused": 0, "unparsed_bytes": 0,
    });
    assert_eq!(value["totals"], totals);
}

#[test]
fn the_same_input_gives_the_same_bytes_whatever_the_jobs() {
    let files: Vec<(String, &str)> = (0..40).map(|at| (format!("p{at}/Scale{at}.java"), FAULTY)).collect();
    let files: Vec<(&str, &str)> = files.iter().map(|(path, text)| (path.as_str(), *text)).collect();
    let workshop = Workshop::with(&files);
    let one = workshop.run(&["review", "--format", "json", "--jobs", "1"]).out;
    assert_eq!(one, workshop.run(&["review", "--format", "json", "--jobs", "7"]).out);
}

#[test]
fn the_findings_of_a_file_are_those_of_the_project() {
    let workshop =
        Workshop::with(&[("vinequill.toml", ""), ("a/Scale.java", FAULTY), ("b/Scale.java", FAULTY)]);
    let all: Value = serde_json::from_str(&workshop.run(&["review", "--format", "json"]).out).unwrap();
    let one: Value =
        serde_json::from_str(&workshop.run(&["review", "--format", "json", "b/Scale.java"]).out).unwrap();
    assert_eq!(one["findings"][0], all["findings"][1]);
}

#[test]
fn several_reports_of_one_run() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    let ran = workshop.run(&["review", "--format", "short", "--format", "json", "-o", "report.json"]);
    assert!(ran.out.starts_with("Scale.java:6:15"), "{}", ran.out);
    assert!(String::from_utf8(workshop.read("report.json")).unwrap().contains("vinequill-review/1"));
}

#[test]
fn levels_come_from_the_file_and_options_win() {
    let workshop =
        Workshop::with(&[("Scale.java", FAULTY), ("vinequill.toml", "[rules]\n\"param.*\" = \"note\"\n")]);
    assert_eq!(workshop.run(&["review"]).code, 0);
    assert_eq!(workshop.run(&["review", "--fail-on", "note"]).code, 1);
    assert_eq!(workshop.run(&["review", "--rule", "param.unknown=warning"]).code, 1);
    assert_eq!(workshop.run(&["review", "--no-config"]).code, 1);
    assert_eq!(workshop.run(&["review", "--rule", "param.*=none", "--format", "short"]).out, "");
}

#[test]
fn notes_are_counted_and_shown_on_request() {
    let text = "def f(path):\n    \"\"\"Do it.\n\n    Args:\n        path: the path\n    \"\"\"\n";
    let workshop = Workshop::with(&[("a.py", text)]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 0);
    assert!(ran.out.contains("1 note          param.echo 1 (--notes shows them)"), "{}", ran.out);
    assert!(workshop.run(&["review", "--notes"]).out.contains("note[param.echo]"));
}

#[test]
fn surface_and_demand_are_options() {
    let text = "/** A. */\npublic class A {\n    void hidden(int a) {}\n    /** Shown. */\n    public void shown(int a) {}\n}\n";
    let workshop = Workshop::with(&[("A.java", text)]);
    assert_eq!(workshop.run(&["review"]).code, 0);
    assert!(workshop.run(&["review", "--surface", "package"]).out.contains("comment.missing"));
    assert!(workshop.run(&["review", "--demand", "always"]).out.contains("param.missing"));
    workshop.write("A.java", b"/** A. */\npublic class A<T> {}\n");
    assert!(workshop.run(&["review", "--demand", "always"]).out.contains("typeparam.missing"));
}

#[test]
fn what_is_vendored_generated_or_excluded_is_left_out_and_counted() {
    let workshop = Workshop::with(&[
        ("Scale.java", CLEAN),
        ("vendor/a/Scale.java", FAULTY),
        ("gen/Made.cs", "// <auto-generated/>\npublic class Made {}\n"),
        ("old/Scale.java", FAULTY),
        ("ignored/Scale.java", FAULTY),
        (".gitignore", "ignored/\n"),
        ("vinequill.toml", "exclude = [\"old/**\"]\n"),
    ]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 0, "{}", ran.out);
    assert!(ran.out.contains("not reviewed    1 vendored, 1 generated, 1 excluded\n"), "{}", ran.out);
    assert_eq!(workshop.run(&["review", "--include", "vendor/**"]).code, 1);
}

#[test]
fn a_language_can_be_chosen() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY), ("a.py", "x = 1\n")]);
    assert_eq!(workshop.run(&["review", "--language", "python"]).code, 0);
    let ran = workshop.run(&["review", "--language", "pyton"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("did you mean `python`?"), "{}", ran.err);
}

#[test]
fn standard_input_is_reviewed_as_if_it_stood_there() {
    let ran = Workshop::new().run_with_input(
        &["review", "--stdin-path", "src/Scale.java", "--format", "short"],
        FAULTY.as_bytes(),
    );
    assert!(ran.out.starts_with("src/Scale.java:6:15: error param.unknown"), "{}{}", ran.out, ran.err);
    assert_eq!(ran.code, 1);
}

#[test]
fn the_configured_notation_is_used_for_comments_that_do_not_tell() {
    let config = "[languages.python]\nnotation = \"numpy\"\n";
    let workshop =
        Workshop::with(&[("a.py", "def f(x):\n    \"\"\"Do it. Twice.\"\"\"\n"), ("vinequill.toml", config)]);
    let ran = workshop.run(&["draft", "a.py", "--write"]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    assert!(
        String::from_utf8(workshop.read("a.py")).unwrap().contains("    Parameters\n    ----------\n    x\n")
    );
}

const HEADER: &str = "\
/** Opens its door.\n * @param number which\n */\nvoid tank_open(int number);\nvoid tank_shut(int number, int hard);\nint tank_level(int number);\n";
const SOURCE: &str = "\
#include \"tank.h\"
void tank_open(int number) {}
/** Closes its door.
 * @param number which
 */
void tank_shut(int number, int hard) {}
int tank_level(int number) { return 1; }
static int inner(int n) { return n; }
int linked(void) { return 0; }
";

#[test]
fn a_prototype_and_its_definition_are_one_thing() {
    let workshop = Workshop::with(&[("tank.h", HEADER), ("src/tank.c", SOURCE)]);
    let ran = workshop.run(&["review", "--format", "short", "--surface", "package", "."]);
    let lines: Vec<&str> = ran.out.lines().collect();
    // The comment at the definition is checked, the prototype that neither has is asked for, and what no
    // header declares is the package's.
    assert_eq!(
        lines,
        [
            "src/tank.c:6:32: warning param.missing: parameter `hard` has no entry; add `@param hard` to the comment",
            "src/tank.c:9:5: warning comment.missing: function `linked` has no doc comment; describe it in one (`/**`)",
            "tank.h:6:5: warning comment.missing: function `tank_level` has no doc comment; describe it in one (`/**`)",
        ],
        "{}",
        ran.out
    );
    assert_eq!(workshop.run(&["review", "--format", "short", "."]).out.lines().count(), 2);
    let drafted = workshop.run(&["draft", "--surface", "package", "."]).out;
    assert_eq!(drafted.matches("+ * @param").count() + drafted.matches("+/**").count(), 4, "{drafted}");
    let covered = workshop.run(&["coverage", "--format", "json", "."]).out;
    let value: Value = serde_json::from_str(&covered).unwrap();
    assert_eq!((&value["total"]["declared"], &value["total"]["described"]), (&3.into(), &2.into()));
}

#[test]
fn where_there_is_no_header_what_can_be_linked_is_public() {
    let workshop = Workshop::with(&[("tank.c", SOURCE)]);
    let ran = workshop.run(&["review", "--format", "short", "."]);
    assert!(ran.out.contains("function `linked`") && !ran.out.contains("`inner`"), "{}", ran.out);
    workshop.write("other.h", b"int other(void);\n");
    assert!(!workshop.run(&["review", "--format", "short", "."]).out.contains("`linked`"));
}

/// Runs a review that keeps what it found out in `kept`.
fn with_cache(workshop: &Workshop) -> String {
    let ran = workshop.run(&["review", "--format", "json", "--cache", ".kept"]);
    assert_eq!(ran.err, "");
    ran.out
}

#[test]
fn what_was_kept_changes_no_report() {
    let interface = "/** What weighs. */\npublic interface Weigher {\n    /** Weighs it. */\n    int weigh(int load);\n}\n";
    let class = "/** A frame. */\npublic class Scale implements Weigher {\n    public int weigh(int load) { return load; }\n}\n";
    let workshop =
        Workshop::with(&[("Weigher.java", interface), ("Scale.java", class), ("b/Faulty.java", FAULTY)]);
    let fresh = |workshop: &Workshop| workshop.run(&["review", "--format", "json", "--no-cache"]).out;
    for _ in 0..3 {
        assert_eq!(with_cache(&workshop), fresh(&workshop));
    }
    // Another file decides: the method overrides nothing any more.
    workshop.write("Weigher.java", interface.replace("int weigh", "int read").as_bytes());
    let changed = with_cache(&workshop);
    assert!(changed.contains("comment.missing"), "{changed}");
    assert_eq!(changed, fresh(&workshop));
    // A file that comes, one that changes, and one that goes.
    workshop.write("c/New.java", FAULTY.as_bytes());
    workshop.write("b/Faulty.java", FAULTY.replace("laod", "load").as_bytes());
    assert_eq!(with_cache(&workshop), fresh(&workshop));
    std::fs::remove_file(workshop.path().join("c/New.java")).unwrap();
    assert_eq!(with_cache(&workshop), fresh(&workshop));
    // Other settings, other findings.
    workshop.write("vinequill.toml", b"[rules]\n\"comment.missing\" = \"none\"\n");
    assert_eq!(with_cache(&workshop), fresh(&workshop));
    // One file alone, and with it from standard input.
    let one = workshop.run(&["review", "--format", "short", "--cache", ".kept", "Scale.java"]);
    assert_eq!(one.out, workshop.run(&["review", "--format", "short", "--no-cache", "Scale.java"]).out);
}

#[test]
fn numbers_leave_what_is_kept_whole() {
    let source = "/** A scale. */\npublic class Scale {\n    public void tare() {}\n}\n";
    let workshop = Workshop::with(&[("Scale.java", source), ("Press.java", "public class Press {}\n")]);
    let coverage = |more: &[&str]| workshop.run(&[&["coverage", "--format", "json"], more].concat()).out;
    let first = with_cache(&workshop);
    assert_eq!(coverage(&["--cache", ".kept"]), coverage(&["--no-cache"]));
    assert_eq!(with_cache(&workshop), first);
    // One file changes in what the others do not see: the other is recalled, and kept as it was.
    workshop.write("Press.java", b"/* pressed */ public class Press {}\n");
    assert_eq!(coverage(&["--cache", ".kept"]), coverage(&["--no-cache"]));
    assert_eq!(with_cache(&workshop), workshop.run(&["review", "--format", "json", "--no-cache"]).out);
}

#[test]
fn a_damaged_cache_is_dropped_with_a_note() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    let first = with_cache(&workshop);
    let folder = workshop.path().join(".kept");
    let kept = std::fs::read_dir(&folder).unwrap().next().unwrap().unwrap().path();
    for cut in [3, 60] {
        let mut bytes = std::fs::read(&kept).unwrap();
        let at = bytes.len() - cut;
        bytes[at] ^= 0x55;
        std::fs::write(&kept, &bytes).unwrap();
        let ran = workshop.run(&["review", "--format", "json", "--cache", ".kept"]);
        assert!(ran.err.contains("the cache was damaged and is made anew"), "{}", ran.err);
        assert_eq!(ran.out, first);
        assert_eq!(with_cache(&workshop), first);
    }
}

#[test]
fn several_processes_share_a_cache() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY), ("b/Scale.java", FAULTY)]);
    let first = with_cache(&workshop);
    std::thread::scope(|scope| {
        for round in 0..4 {
            let (workshop, first) = (&workshop, &first);
            scope.spawn(move || {
                for _ in 0..3 {
                    workshop.write(&format!("other{round}.txt"), b"x");
                    assert_eq!(&with_cache(workshop), first);
                }
            });
        }
    });
}

#[test]
fn what_only_looks_like_a_header_of_c_is_counted_and_left_alone() {
    let workshop = Workshop::with(&[
        ("vinequill.toml", ""),
        (
            "Press.h",
            "#import <Foundation/Foundation.h>\n\n@interface Press : NSObject\n- (int)weigh:(int)load;\n@end\n",
        ),
        ("tank.h", "/** Fills it by night: 2 ^ 3 litres. @author x */\nvoid fill(void);\n"),
        ("loads.h", "! Loads of the press.\n!\n      integer LOADS\n      parameter (LOADS=3)\n"),
    ]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 0, "{}", ran.out);
    assert!(ran.out.contains("not reviewed    1 Fortran, 1 Objective-C"), "{}", ran.out);
    assert!(!ran.out.contains("Press.h") && !ran.out.contains("loads.h"), "{}", ran.out);
}

#[test]
fn what_changes_is_reviewed_again_while_it_is_watched() {
    use std::io::{BufRead, BufReader};

    let workshop = Workshop::with(&[("scale.py", "def weigh(load):\n    print(load)\n")]);
    let mut child = workshop.start(&["review", "--watch", "--format", "short"]);
    let (tell, lines) = std::sync::mpsc::channel();
    let out = BufReader::new(child.stdout.take().unwrap());
    std::thread::spawn(move || out.lines().map_while(Result::ok).try_for_each(|line| tell.send(line)));
    let next = || lines.recv_timeout(std::time::Duration::from_secs(120)).unwrap();
    assert!(next().contains("function `weigh` has no doc comment"));
    // It says on standard error when it has begun to watch.
    let mut err = BufReader::new(child.stderr.take().unwrap());
    let mut line = String::new();
    err.read_line(&mut line).unwrap();
    assert!(line.contains("watching"), "{line}");
    workshop.write("scale.py", b"def press(load):\n    print(load)\n");
    assert!(next().contains("function `press` has no doc comment"));
    // Settings take effect at once.
    workshop.write("vinequill.toml", b"[rules]\n\"comment.missing\" = \"error\"\n");
    assert!(next().contains("error comment.missing"));
    child.kill().unwrap();
    child.wait().unwrap();
}
