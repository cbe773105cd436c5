//! Reports for other programs: they agree with each other, and their parts join.

use std::collections::BTreeSet;

use crate::workshop::Workshop;

const FILES: &[(&str, &str)] = &[
    (
        "a b/Scale.java",
        "/** A <b>scale. */\npublic class Scale {\n  /**\n   * Weighs it. Twice.\n   *\n   * @param laod in kg\n   */\n  public int weigh(double load) { return 1; }\n}\n",
    ),
    (
        "press.py",
        "def press(must):\n    print(must)\n\n\n# vinequill: waive comment.missing -- the name | says it\ndef tare():\n    return 2\n",
    ),
    ("gate.ts", "export function open(width: number): number { return width; }\n"),
];

/// Returns what a run finds, each as path, line and rule.
fn found_in_json(text: &str) -> BTreeSet<(String, u64, String)> {
    let value: serde_json::Value = serde_json::from_str(text).unwrap();
    let all = value["findings"].as_array().unwrap().iter();
    let text = |finding: &serde_json::Value, key: &str| finding[key].as_str().unwrap().to_owned();
    all.map(|finding| (text(finding, "path"), finding["line"].as_u64().unwrap(), text(finding, "rule")))
        .collect()
}

fn read(workshop: &Workshop, path: &str) -> String {
    String::from_utf8(workshop.read(path)).unwrap()
}

#[test]
fn one_run_writes_several_reports_that_agree() {
    let workshop = Workshop::with(FILES);
    workshop.run(&["accept", "press.py"]);
    let ran = workshop.run(&[
        "review", "--notes", "--format", "json", "-o", "r.json", "--format", "sarif", "-o", "r.sarif",
        "--format", "junit", "-o", "r.xml", "--format", "markdown", "-o", "r.md", "--format", "short",
    ]);
    assert_eq!(ran.code, 1);
    let found = found_in_json(&read(&workshop, "r.json"));
    assert!(found.len() > 4, "{found:?}");
    let sarif: serde_json::Value = serde_json::from_str(&read(&workshop, "r.sarif")).unwrap();
    let results = sarif["runs"][0]["results"].as_array().unwrap();
    let place = |result: &serde_json::Value| {
        let place = &result["locations"][0]["physicalLocation"];
        (
            place["artifactLocation"]["uri"].as_str().unwrap().replace("%20", " "),
            place["region"]["startLine"].as_u64().unwrap(),
            result["ruleId"].as_str().unwrap().to_owned(),
        )
    };
    assert_eq!(results.iter().map(place).collect::<BTreeSet<_>>(), found);
    let xml = read(&workshop, "r.xml");
    let markdown = read(&workshop, "r.md");
    for (path, line, rule) in &found {
        assert!(xml.contains(&format!("file=\"{path}\" line=\"{line}\"")), "{path}:{line}\n{xml}");
        let row = markdown
            .lines()
            .find(|row| row.contains(&format!("| {path}:{line} |")) && row.contains(&format!("`{rule}`")));
        assert!(row.is_some(), "{path}:{line} {rule}\n{markdown}");
    }
    // Only what is new is told line by line.
    assert_eq!(
        ran.out.lines().count(),
        results.iter().filter(|r| r["baselineState"] == "new" && r["suppressions"].is_null()).count()
    );
    let told = |state: &str| results.iter().filter(|r| r["suppressions"][0]["kind"] == state).count();
    assert_eq!((told("inSource"), told("external")), (1, 1));
}

#[test]
fn sarif_is_valid_by_the_schema_of_the_standard() {
    // The one pattern of the published text that is no regular expression: a bracket is too many.
    let text = include_str!("../data/sarif-2.1.0.schema.json").replace("[a-zA-Z]{2}]?$", "[a-zA-Z]{2}$");
    let schema: serde_json::Value = serde_json::from_str(&text).unwrap();
    let validator = jsonschema::validator_for(&schema).unwrap();
    let workshop = Workshop::with(FILES);
    for accepted in [false, true] {
        if accepted {
            workshop.run(&["accept"]);
        }
        let ran = workshop.run(&["review", "--format", "sarif"]);
        let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
        let errors: Vec<String> = validator
            .iter_errors(&value)
            .map(|error| format!("{}: {error}", error.instance_path()))
            .collect();
        assert!(errors.is_empty(), "{errors:#?}");
        let results = value["runs"][0]["results"].as_array().unwrap();
        assert!(results.iter().any(|result| result["fixes"].is_array()));
    }
}

#[test]
fn parts_join_to_the_report_of_a_single_run() {
    let mut files: Vec<(String, String)> = Vec::new();
    for number in 0..40 {
        files.push((
            format!("p{}/scale{number}.py", number % 7),
            FILES[1].1.replace("press", &format!("press{number}")),
        ));
    }
    let files: Vec<(&str, &str)> = files.iter().map(|(path, text)| (path.as_str(), text.as_str())).collect();
    let workshop = Workshop::with(&files);
    workshop.write(".git/HEAD", b"");
    for command in ["review", "coverage"] {
        let whole = workshop.run(&[command, "--format", "json", "."]).out;
        let mut names = Vec::new();
        for part in 1..=4 {
            let (shard, name) = (format!("{part}/4"), format!("{command}{part}.json"));
            let ran = workshop.run(&[command, "--shard", &shard, "--format", "json", "-o", &name, "."]);
            assert!(ran.code < 2, "{}", ran.err);
            names.push(name);
        }
        names.reverse();
        let arguments: Vec<&str> = std::iter::once("merge").chain(names.iter().map(String::as_str)).collect();
        assert_eq!(workshop.run(&arguments).out, whole, "{command}");
    }
    let ran = workshop.run(&["merge", "review1.json", "coverage1.json"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("one sort"), "{}", ran.err);
    workshop.write("no.json", b"{}");
    assert_eq!(workshop.run(&["merge", "no.json"]).code, 2);
    for wrong in ["0/4", "5/4", "x", "1"] {
        assert_eq!(workshop.run(&["review", "--shard", wrong]).code, 2, "{wrong}");
    }
    let joined = workshop.run(&["merge", "review1.json", "review2.json", "--format", "markdown"]);
    assert_eq!(joined.code, 1);
    assert!(joined.out.starts_with("### Doc comments: "), "{}", joined.out);
}

#[test]
fn coverage_has_forms_of_its_own() {
    let workshop = Workshop::with(FILES);
    let ran = workshop.run(&["coverage", "--format", "csv"]);
    assert!(
        ran.out.starts_with("folder,declared,described,complete,items_asked,items_present,excused\r\n"),
        "{}",
        ran.out
    );
    let ran = workshop.run(&["coverage", "--format", "svg"]);
    assert!(ran.out.starts_with("<svg") && ran.out.contains("40.0 %"), "{}", ran.out);
    let ran = workshop.run(&["coverage", "--list"]);
    assert!(ran.out.contains("     1  press  function     no description, 1 entry missing"), "{}", ran.out);
    let ran = workshop.run(&["coverage", "--list", "--format", "csv"]);
    assert!(ran.out.contains("press.py,1,press,function,false,2,0,\r\n"), "{}", ran.out);
    let ran = workshop.run(&["coverage", "--list", "--format", "json"]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(value["list"].as_array().unwrap().len(), 4, "{}", ran.out);
    let ran = workshop.run(&["coverage", "--format", "markdown"]);
    assert!(ran.out.contains("| **all** | 5 | 40.0 %"), "{}", ran.out);
}
