//! `accept`: from today on, only what is new is told.

use crate::workshop::Workshop;

const TWO: &str = "def weigh(load):\n    print(load)\n\n\ndef fill(crate):\n    print(crate)\n";

fn states(workshop: &Workshop) -> Vec<(String, String)> {
    let ran = workshop.run(&["review", "--format", "json"]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    let text = |finding: &serde_json::Value, key: &str| finding[key].as_str().unwrap().to_owned();
    let findings = value["findings"].as_array().unwrap().iter();
    findings.map(|finding| (text(finding, "declaration"), text(finding, "state"))).collect()
}

fn pairs(found: &[(&str, &str)]) -> Vec<(String, String)> {
    found.iter().map(|(name, state)| ((*name).to_owned(), (*state).to_owned())).collect()
}

#[test]
fn only_new_findings_are_told() {
    let workshop = Workshop::with(&[("scale.py", TWO)]);
    assert_eq!(workshop.run(&["review"]).code, 1);
    let ran = workshop.run(&["accept"]);
    assert_eq!((ran.code, ran.out.as_str()), (0, "vinequill-accepted.json: 2 added, 2 accepted\n"));
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 0);
    assert!(ran.out.contains("accepted        2"), "{}", ran.out);
    // Lines move, and an edit elsewhere changes nothing.
    workshop.write("scale.py", format!("import os\n\n\n{TWO}\n\ndef new(a):\n    print(a)\n").as_bytes());
    assert_eq!(states(&workshop), pairs(&[("weigh", "accepted"), ("fill", "accepted"), ("new", "new")]));
    assert_eq!(workshop.run(&["review"]).code, 1);
    // The file has a finding a line, sorted.
    let text = String::from_utf8(workshop.read("vinequill-accepted.json")).unwrap();
    assert!(text.contains("\n    {\"rule\":\"comment.missing\",\"path\":\"scale.py\",\"declaration\":\"fill\",\"subject\":\"\"},\n"), "{text}");
}

#[test]
fn equals_are_counted() {
    let workshop = Workshop::with(&[("a.js", "export class A {\n  f(a) { g(a); }\n}\n")]);
    workshop.write("vinequill.toml", b"[rules]\n\"leftover.todo\" = \"warning\"\n");
    workshop.write("a.js", b"// TODO weigh\nexport function f() {}\n");
    workshop.run(&["accept"]);
    assert_eq!(workshop.run(&["review"]).code, 0);
    workshop.write("a.js", b"// TODO weigh\nexport function f() {}\n// TODO fill\n");
    let found = states(&workshop);
    assert_eq!(found.iter().filter(|(_, state)| state == "new").count(), 1, "{found:?}");
}

#[test]
fn what_is_gone_is_named_and_dropped() {
    let workshop = Workshop::with(&[("scale.py", TWO)]);
    workshop.run(&["accept"]);
    workshop.write("scale.py", b"def weigh(load):\n    print(load)\n");
    let ran = workshop.run(&["review", "-v"]);
    assert_eq!(ran.code, 0);
    assert!(ran.out.contains("gone            1 accepted before"), "{}", ran.out);
    assert!(ran.out.contains("scale.py fill: comment.missing"), "{}", ran.out);
    let ran = workshop.run(&["accept", "--prune", "--check"]);
    assert_eq!(
        (ran.code, ran.out.as_str()),
        (1, "vinequill-accepted.json: 1 would be dropped; 1 would stay\n")
    );
    assert_eq!(workshop.run(&["accept", "--prune"]).out, "vinequill-accepted.json: 1 dropped, 1 accepted\n");
    assert_eq!(workshop.run(&["accept", "--check"]).code, 0);
    assert!(!workshop.run(&["review"]).out.contains("gone"));
}

#[test]
fn a_file_that_moved_takes_what_was_accepted_along() {
    let workshop = Workshop::with(&[("scale.py", TWO)]);
    workshop.run(&["accept"]);
    workshop.write("weighing.py", TWO.as_bytes());
    std::fs::remove_file(workshop.path().join("scale.py")).unwrap();
    assert_eq!(states(&workshop), pairs(&[("weigh", "accepted"), ("fill", "accepted")]));
    // Of two that could be it nobody knows which one it was.
    workshop.write("another.py", TWO.as_bytes());
    assert!(states(&workshop).iter().all(|(_, state)| state == "new"));
}

#[test]
fn coverage_knows_nothing_of_it() {
    let workshop = Workshop::with(&[("scale.py", TWO)]);
    let before = workshop.run(&["coverage", "--format", "json"]).out;
    workshop.run(&["accept"]);
    assert_eq!(workshop.run(&["coverage", "--format", "json"]).out, before);
}

#[test]
fn a_broken_file_is_explained() {
    let workshop =
        Workshop::with(&[("scale.py", TWO), ("vinequill-accepted.json", "{\n  \"format\": 3\n}\n")]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("vinequill-accepted.json: line 2"), "{}", ran.err);
    workshop.write("vinequill-accepted.json", b"{\"format\": \"vinequill-accepted/9\", \"findings\": []}");
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("vinequill-accepted/9"), "{}", ran.err);
    workshop.write("vinequill.toml", b"accepted = \"kept/today.json\"\n");
    std::fs::create_dir(workshop.path().join("kept")).unwrap();
    assert!(workshop.run(&["accept"]).out.starts_with("kept/today.json: 2 added"));
}
