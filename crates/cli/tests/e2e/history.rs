//! `--since`, `--staged`, `coverage --compare`, `trend`: what a change touches, and how it was before.

use std::process::Command;

use crate::repository::Repository;
use crate::workshop::Workshop;

const SCALE: &str = "\
def weigh(load, tare):
    \"\"\"Weigh a crate.

    Args:
        load: what stands on the scale, in kg
    \"\"\"
    print(load)


def fill(crate):
    print(crate)
";

#[test]
fn only_what_a_change_touches_is_told() {
    let repository =
        Repository::with(&[("scale.py", SCALE), ("press.py", "def press(must):\n    print(must)\n")]);
    assert_eq!(repository.found(&["--since", "HEAD"]), [""; 0]);
    // A body, white space and a line elsewhere touch nothing.
    repository.write(
        "scale.py",
        &SCALE.replace("print(load)", "print(load,  tare)").replace("def fill(crate)", "def fill( crate )"),
    );
    assert_eq!(repository.found(&["--since", "HEAD"]), [""; 0]);
    // A parameter touches its declaration, and no other.
    repository.write("scale.py", &SCALE.replace("load, tare", "load, tare, wet"));
    let found = repository.found(&["--since", "HEAD"]);
    assert_eq!(found, ["param.missing weigh", "param.missing weigh", "comment.stale weigh"]);
    assert_eq!(repository.found(&[]).len(), 4);
    // A new file is new as a whole.
    repository.write("gate.py", "def open(width):\n    print(width)\n");
    let ran = repository.run(&["review", "--since", "HEAD"]);
    assert_eq!(ran.code, 1);
    assert!(ran.out.contains("change          only what differs, since HEAD"), "{}", ran.out);
    assert!(ran.out.contains("gate.py") && !ran.out.contains("press.py"), "{}", ran.out);
}

#[test]
fn a_merge_base_is_what_is_compared_with() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    repository.git(&["checkout", "-q", "-b", "crates"]);
    repository.write("crates.py", "def stack(height):\n    print(height)\n");
    repository.commit("Stacks", "2026-01-06T08:00:00+00:00");
    repository.git(&["checkout", "-q", "main"]);
    repository.write("scale.py", &SCALE.replace("def fill(crate)", "def fill(crate, wet)"));
    repository.commit("Wet crates", "2026-01-07T08:00:00+00:00");
    repository.git(&["checkout", "-q", "crates"]);
    // What only the other branch did is no part of this one's change.
    for rev in ["main", "main..."] {
        assert_eq!(repository.found(&["--since", rev]), ["comment.missing stack"], "{rev}");
    }
    repository.git(&["checkout", "-q", "--detach"]);
    assert_eq!(repository.found(&["--since", "main"]), ["comment.missing stack"]);
    repository.git(&["merge", "-q", "main", "-m", "Both"]);
    assert_eq!(repository.found(&["--since", "main"]), ["comment.missing stack"]);
}

#[test]
fn renames_are_followed() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    repository.git(&["mv", "scale.py", "weighing.py"]);
    assert_eq!(repository.found(&["--since", "HEAD"]), [""; 0]);
    repository.write("weighing.py", &SCALE.replace("def fill(crate)", "def fill(crate, wet)"));
    assert_eq!(repository.found(&["--since", "HEAD"]), ["comment.missing fill"]);
}

#[test]
fn a_prototype_is_touched_with_its_definition() {
    let header = "/**\n * Opens the gate for good.\n *\n * @param width how far\n */\nvoid open_gate(int width);\n\n/** Shuts it, and\n * holds it. */\nvoid shut_gate(int force);\n";
    let repository = Repository::with(&[
        ("gate.h", header),
        ("gate.c", "#include \"gate.h\"\nvoid open_gate(int width) {}\nvoid shut_gate(int force) {}\n"),
    ]);
    repository.write(
        "gate.c",
        "#include \"gate.h\"\nvoid open_gate(int width) {}\nint shut_gate(int force) { return force; }\n",
    );
    let found = repository.found(&["--since", "HEAD", "--demand", "always"]);
    assert!(found.iter().all(|finding| finding.ends_with("shut_gate")) && !found.is_empty(), "{found:?}");
}

#[test]
fn what_is_staged_is_reviewed_as_it_is_staged() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    repository.write("scale.py", &SCALE.replace("def fill(crate)", "def fill(crate, wet)"));
    assert_eq!(repository.found(&["--staged"]), [""; 0]);
    repository.git(&["add", "scale.py"]);
    // What was changed since is no part of what is staged.
    repository.write("scale.py", &SCALE.replace("def weigh(load, tare)", "def weigh(load, tare, wet)"));
    assert_eq!(repository.found(&["--staged"]), ["comment.missing fill"]);
    repository.write("new.py", "def new(a):\n    print(a)\n");
    assert_eq!(repository.found(&["--staged"]), ["comment.missing fill"]);
}

#[test]
fn coverage_drafts_and_repairs_keep_to_the_change() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    let changed = SCALE.replace("def fill(crate)", "def fill(crate, wet)");
    repository.write("scale.py", &changed);
    let ran = repository.run(&["coverage", "--since", "HEAD", "--format", "json"]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(value["total"]["declared"], 1);
    assert_eq!(repository.run(&["draft", "--since", "HEAD", "--write"]).code, 0);
    let drafted = String::from_utf8(repository.workshop.read("scale.py")).unwrap();
    assert!(drafted.contains("        wet: TODO"), "{drafted}");
    assert!(!drafted.contains("        tare: TODO"), "{drafted}");
    let faulty = "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    Args:\n        laod: in kg\n    \"\"\"\n    print(load)\n";
    let two = format!("{faulty}\n\n{}", faulty.replace("def weigh(load)", "def tare(load)"));
    let repository = Repository::with(&[("scale.py", &two)]);
    repository.write("scale.py", &two.replace("def tare(load)", "def tare(load, wet)"));
    repository.run(&["mend", "--since", "HEAD", "--write"]);
    let mended = String::from_utf8(repository.workshop.read("scale.py")).unwrap();
    assert_eq!((mended.matches("laod").count(), mended.matches("load: in kg").count()), (1, 1), "{mended}");
}

#[test]
fn a_revision_that_is_not_there_is_explained() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    repository.commit("Another", "2026-01-06T08:00:00+00:00");
    let ran = repository.run(&["review", "--since", "nowhere"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("there is no revision `nowhere`"), "{}", ran.err);
    let shallow = Workshop::new();
    let from = format!("file://{}", repository.workshop.path().display());
    let cloned = Command::new("git")
        .args(["clone", "-q", "--depth", "1", &from, "."])
        .current_dir(shallow.path())
        .env("GIT_CONFIG_GLOBAL", "/dev/null")
        .status()
        .unwrap();
    assert!(cloned.success());
    let ran = shallow.run(&["review", "--since", "HEAD~1"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("shallow") && ran.err.contains("--unshallow"), "{}", ran.err);
    let none = Workshop::with(&[("scale.py", SCALE)]);
    let ran = none.run(&["review", "--since", "HEAD"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("no repository"), "{}", ran.err);
    let bare = Workshop::new();
    let made =
        Command::new("git").args(["init", "-q", "--bare", "."]).current_dir(bare.path()).status().unwrap();
    assert!(made.success());
    let ran = bare.run(&["review", "--since", "HEAD"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("bare") || ran.err.contains("no repository"), "{}", ran.err);
}

#[test]
fn repositories_inside_are_left_alone() {
    let inner = Repository::with(&[("inner.py", "def inner(a):\n    print(a)\n")]);
    let repository = Repository::with(&[("scale.py", SCALE)]);
    let from = inner.workshop.path().display().to_string();
    repository.git(&["submodule", "-q", "add", &from, "inner"]);
    repository.commit("With another inside", "2026-01-06T08:00:00+00:00");
    repository.write("inner/inner.py", "def inner(a, b):\n    print(a)\n");
    assert_eq!(repository.found(&["--since", "HEAD"]), [""; 0]);
}

#[test]
fn coverage_is_compared_with_a_revision() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    let better = SCALE.replace("def fill(crate):\n", "def fill(crate):\n    \"\"\"Fills it.\"\"\"\n");
    repository.write("scale.py", &better);
    let ran = repository.run(&["coverage", "--compare", "HEAD", "--floor", "keep"]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    assert!(ran.out.contains("described 50.0 % → 100.0 %"), "{}", ran.out);
    assert!(ran.out.contains("▲ scale.py"), "{}", ran.out);
    // Under another name it is the same file.
    std::fs::rename(
        repository.workshop.path().join("scale.py"),
        repository.workshop.path().join("scales.py"),
    )
    .unwrap();
    let ran = repository.run(&["coverage", "--compare", "HEAD"]);
    assert!(ran.out.contains("▲ scales.py  described 50.0 % → 100.0 %"), "{}", ran.out);
    assert!(!ran.out.contains("scale.py"), "{}", ran.out);
    std::fs::remove_file(repository.workshop.path().join("scales.py")).unwrap();
    repository.write("scale.py", &format!("{SCALE}\n\ndef press(must):\n    print(must)\n"));
    let ran = repository.run(&["coverage", "--compare", "HEAD", "--floor", "keep"]);
    assert_eq!(ran.code, 1);
    assert!(ran.err.contains("33.3 % described, and it was 50.0 %"), "{}", ran.err);
    let ran = repository.run(&["coverage", "--floor", "keep"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("--compare"), "{}", ran.err);
    // In the configuration it only holds where something is compared.
    repository.write("vinequill.toml", "[coverage]\nfloor = \"keep\"\n");
    let ran = repository.run(&["coverage"]);
    assert_eq!(ran.code, 0);
    assert!(ran.err.contains("was not checked"), "{}", ran.err);
    assert_eq!(repository.run(&["coverage", "--compare", "HEAD"]).code, 1);
}

#[test]
fn the_trend_follows_the_first_parents() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    let better = SCALE.replace("def fill(crate):\n", "def fill(crate):\n    \"\"\"Fills it.\"\"\"\n");
    repository.write("scale.py", &better);
    repository.commit("Says what it does", "2026-01-06T08:00:00+00:00");
    repository.write("press.py", "def press(must):\n    print(must)\n");
    repository.commit("Presses", "2026-02-20T08:00:00+00:00");
    let ran = repository.run(&["trend", "--format", "json"]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(value["format"], "vinequill-trend/1");
    let points = value["points"].as_array().unwrap();
    let described: Vec<_> =
        points.iter().map(|p| (p["declared"].as_u64(), p["described"].as_u64())).collect();
    let pair = |declared, described| (Some(declared), Some(described));
    assert_eq!(described, [pair(2, 1), pair(2, 2), pair(3, 2)]);
    // The newest is what coverage says of the same files.
    let ran = repository.run(&["coverage", "--format", "json"]);
    let now: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(points[2]["items_present"], now["total"]["items_present"]);
    let lines = |arguments: &[&str]| {
        let ran = repository.run(&[&["trend", "--format", "csv"], arguments].concat());
        assert_eq!(ran.code, 0, "{}", ran.err);
        ran.out.lines().count() - 1
    };
    assert_eq!(lines(&["--last", "2"]), 2);
    assert_eq!(lines(&["--every", "2"]), 2);
    assert_eq!(lines(&["--every", "month"]), 2);
    assert_eq!(lines(&["--from", "HEAD~1"]), 2);
    assert_eq!(lines(&["--from", "2026-02-01"]), 1);
    let ran = repository.run(&["trend", "--chart", "trend.svg"]);
    assert!(ran.out.contains("described  ▄█▅  50.0 % → 66.6 %"), "{}", ran.out);
    assert!(String::from_utf8(repository.workshop.read("trend.svg")).unwrap().contains("<svg"));
    repository.run(&["trend", "--chart", "trend.png"]);
    assert_eq!(&repository.workshop.read("trend.png")[1..4], b"PNG");
    assert_eq!(repository.run(&["trend", "--from", "2027-01-01"]).code, 2);
    assert_eq!(repository.run(&["trend", "--chart", "trend.gif"]).code, 2);
}

#[test]
fn comments_that_stayed_behind_are_told() {
    let repository = Repository::with(&[("scale.py", SCALE)]);
    repository.write("scale.py", &SCALE.replace("def weigh(load, tare)", "def weigh(load, tare, limit)"));
    let stale = |arguments: &[&str]| {
        let ran = repository.run(&[&["review", "--format", "short"], arguments].concat());
        ran.out.lines().filter(|line| line.contains("comment.stale")).map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(stale(&[]), [""; 0]);
    let found = stale(&["--since", "HEAD"]);
    let wanted = "parameter `limit` was added since HEAD, and this comment is as it was; read it again";
    assert!(found.len() == 1 && found[0].ends_with(wanted), "{found:?}");
    repository.commit("A limit", "2026-04-15T08:00:00+00:00");
    assert_eq!(stale(&["--since", "HEAD"]), [""; 0]);
    let found = stale(&["--history"]);
    let short = repository.git(&["rev-parse", "--short", "HEAD"]);
    let wanted = format!(
        "parameter `limit` was added in {}, 14 weeks after this comment; read it again",
        short.trim()
    );
    assert!(found.len() == 1 && found[0].ends_with(&wanted), "{found:?}");
    // Formatting and moves count for nothing; a word about it settles it.
    let text = String::from_utf8(repository.workshop.read("scale.py")).unwrap();
    repository
        .write("scale.py", &text.replace("(load, tare, limit)", "(\n    load,\n    tare,\n    limit\n)"));
    repository.commit("Format", "2026-04-16T08:00:00+00:00");
    assert_eq!(stale(&["--history"]).len(), 1);
    repository.write("scale.py", &text.replace("Weigh a crate.", "Weigh a crate, up to a limit."));
    repository.commit("Say so", "2026-04-17T08:00:00+00:00");
    assert_eq!(stale(&["--history"]), [""; 0]);
    // What the source waives is waived.
    let waived = text.replace(
        "    Args:",
        "    vinequill: waive comment.stale -- the limit is told elsewhere\n\n    Args:",
    );
    repository.write("scale.py", &waived);
    repository.commit("Waive", "2026-04-18T08:00:00+00:00");
    repository.write("scale.py", &waived.replace("tare, limit", "tare, limit, wet"));
    assert_eq!(stale(&["--history"]), [""; 0]);
    let report = repository.run(&["review", "--notes"]).out;
    assert!(!report.contains("waiver.unused"), "{report}");
}
