//! Holds the order of the rooms: inside the core, imports go downwards only.

#![expect(clippy::disallowed_methods, reason = "the test reads the sources; the core does not")]

use std::fs;
use std::path::{Path, PathBuf};

/// The rooms from the bottom to the top; those of one row do not know each other.
const ROWS: &[&[&str]] = &[
    &["text"],
    &["model"],
    &["reading", "settings"],
    &["languages", "notations", "profiles"],
    &["answers", "index", "naming", "pairing", "types", "placeholder"],
    &["debt"],
    &["rules"],
    &["review"],
    &["proof"],
    &["change", "coverage", "draft"],
    &["mend", "recast"],
    &["testing", "lib"],
];

/// Rooms of one row that may be looked into all the same, with the reason.
const KNOWN: &[(&str, &str)] = &[
    // Settings name what a comment owes and which languages there are; both words are defined in reading.
    ("settings", "reading"),
];

fn row(room: &str) -> usize {
    ROWS.iter().position(|row| row.contains(&room)).unwrap_or_else(|| panic!("`{room}` stands in no row"))
}

fn sources(dir: &Path, out: &mut Vec<PathBuf>) {
    for entry in fs::read_dir(dir).expect("the folder is there").filter_map(Result::ok) {
        let path = entry.path();
        // Case files are samples of other people's code.
        if path.is_dir() && !path.ends_with("cases") {
            sources(&path, out);
        } else if path.extension().is_some_and(|ending| ending == "rs") {
            out.push(path);
        }
    }
}

fn room(root: &Path, path: &Path) -> String {
    let relative = path.strip_prefix(root).expect("it lies under the root");
    let first =
        relative.components().next().expect("it has a name").as_os_str().to_string_lossy().into_owned();
    first.trim_end_matches(".rs").to_owned()
}

/// Returns the rooms that a text imports from, outside its tests.
fn imported(text: &str) -> Vec<String> {
    let code = text.split("#[cfg(test)]").next().unwrap_or_default();
    let name = |rest: &str| rest.chars().take_while(|c| c.is_alphanumeric() || *c == '_').collect::<String>();
    let mut out: Vec<String> =
        code.split("crate::").skip(1).map(name).filter(|name| !name.is_empty()).collect();
    out.sort();
    out.dedup();
    out
}

#[test]
fn imports_go_downwards_only() {
    let root = Path::new(env!("CARGO_MANIFEST_DIR")).join("src");
    let mut files = Vec::new();
    sources(&root, &mut files);
    let mut wrong = Vec::new();
    for path in files {
        let from = room(&root, &path);
        if from == "lib" || from == "testing" {
            continue;
        }
        for to in imported(&fs::read_to_string(&path).expect("it can be read")) {
            let known = KNOWN.contains(&(from.as_str(), to.as_str()));
            if to != from && !known && row(&to) >= row(&from) {
                wrong.push(format!("{} imports {to}", path.display()));
            }
        }
    }
    assert!(wrong.is_empty(), "{wrong:#?}");
}

#[test]
fn languages_do_not_know_each_other_and_rules_do_not_either() {
    let root = Path::new(env!("CARGO_MANIFEST_DIR")).join("src");
    let mut files = Vec::new();
    sources(&root.join("languages"), &mut files);
    for path in files {
        let text = fs::read_to_string(&path).expect("it can be read");
        let own = path.parent().and_then(Path::file_name).unwrap_or_default().to_string_lossy().into_owned();
        for other in [
            "java", "csharp", "python", "go", "rust", "php", "ruby", "kotlin", "scala", "swift", "lua",
            "script", "c_family",
        ]
        .iter()
        .filter(|other| **other != own && own != "languages")
        {
            assert!(!text.contains(&format!("languages::{other}")), "{}: {other}", path.display());
        }
    }
    let mut files = Vec::new();
    sources(&root.join("rules"), &mut files);
    for path in files {
        let text = fs::read_to_string(&path).expect("it can be read");
        assert!(
            !text.contains("crate::languages"),
            "{}: rules reach a language by its fields",
            path.display()
        );
    }
}

#[test]
fn every_file_opens_with_what_it_is_for() {
    let root = Path::new(env!("CARGO_MANIFEST_DIR")).join("..");
    let mut files = Vec::new();
    for part in ["core/src", "core/tests", "project", "cli/src", "cli/tests"] {
        sources(&root.join(part), &mut files);
    }
    for path in files {
        let text = fs::read_to_string(&path).expect("it can be read");
        assert!(text.starts_with("//!"), "{} does not say what it is for", path.display());
    }
}
