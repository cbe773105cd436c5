//! The disk side on real folders: what is found, which configuration applies, what writing refuses.

#![expect(clippy::unwrap_used, reason = "helpers of tests stop the test where they fail")]

use std::fs;
use std::path::{Path, PathBuf};

use vinequill_core::languages;
use vinequill_core::reading::Parsers;
use vinequill_core::settings::{Config, Overrides, Settings};
use vinequill_project::{
    ConfigSource, Found, Left, Nested, Reviewed, Selection, Texts, Unread, Work, configure, find_files,
    nearest_project, read, review_files, write,
};

/// Reviews files that are a whole project.
fn reviewed(files: &[Found], settings: &Settings, jobs: usize) -> Vec<Result<Reviewed, Unread>> {
    let nested = Nested::default();
    review_files(Work {
        files,
        around: &[],
        settings,
        nested: &nested,
        jobs,
        cache: None,
        texts: Texts::Needed,
    })
    .0
}

fn settings(config: &str) -> Settings {
    vinequill_core::settle(&Config::parse(config).unwrap(), &Overrides::default()).unwrap()
}

fn put(root: &Path, path: &str, text: &str) -> PathBuf {
    let path = root.join(path);
    fs::create_dir_all(path.parent().unwrap()).unwrap();
    fs::write(&path, text).unwrap();
    path
}

fn found(root: &Path, selection: &Selection) -> (Vec<String>, Left) {
    let (files, left, refused) = find_files(root, &[root.to_owned()], selection, &settings("")).unwrap();
    assert!(refused.is_empty());
    (files.into_iter().map(|file| file.shown).collect(), left)
}

#[test]
fn files_are_sorted_and_left_out_ones_counted() {
    let dir = tempfile::tempdir().unwrap();
    for path in [
        "b/B.java", "a/x.py", "a/y.PY", "node_modules/z.py", "third_party/q/w.cs", "A.Designer.cs", "n.txt",
        ".hidden/h.py",
    ] {
        put(dir.path(), path, "");
    }
    let (files, left) = found(dir.path(), &Selection::default());
    assert_eq!(files, ["a/x.py", "a/y.PY", "b/B.java"]);
    assert_eq!((left.vendored, left.generated, left.excluded), (2, 1, 0));
    assert_eq!(left.unknown.get("txt"), Some(&1));
}

#[test]
fn selections_narrow_and_bring_back() {
    let dir = tempfile::tempdir().unwrap();
    for path in ["a.py", "B.java", "vendor/c.py", "old/d.py"] {
        put(dir.path(), path, "");
    }
    let python = Selection { languages: vec!["python".to_owned()], ..Selection::default() };
    assert_eq!(found(dir.path(), &python).0, ["a.py", "old/d.py"]);
    let back = Selection {
        include: vec!["vendor/**".to_owned()],
        exclude: vec!["old/**".to_owned()],
        ..Selection::default()
    };
    assert_eq!(found(dir.path(), &back).0, ["B.java", "a.py", "vendor/c.py"]);
    let wrong = Selection { exclude: vec!["a[".to_owned()], ..Selection::default() };
    let error = find_files(dir.path(), &[dir.path().to_owned()], &wrong, &settings("")).unwrap_err();
    assert!(error.to_string().contains("`a[` is no valid pattern"), "{error}");
}

#[test]
fn the_repositorys_own_ignore_files_count() {
    let dir = tempfile::tempdir().unwrap();
    put(dir.path(), "a.py", "");
    put(dir.path(), "out/b.py", "");
    put(dir.path(), ".gitignore", "out/\n");
    assert_eq!(found(dir.path(), &Selection::default()).0, ["a.py"]);
}

#[test]
fn endings_may_be_configured() {
    let dir = tempfile::tempdir().unwrap();
    put(dir.path(), "build.bzl", "");
    put(dir.path(), "a.py", "");
    let settings = settings("[languages.python]\nendings = [\".bzl\"]\n");
    let (files, ..) =
        find_files(dir.path(), &[dir.path().to_owned()], &Selection::default(), &settings).unwrap();
    assert_eq!(files.iter().map(|file| file.shown.as_str()).collect::<Vec<_>>(), ["build.bzl"]);
}

#[test]
fn the_nearest_configuration_up_to_the_repository_applies() {
    let dir = tempfile::tempdir().unwrap();
    put(dir.path(), "vinequill.toml", "surface = \"private\"\n");
    put(dir.path(), "repo/.git/HEAD", "");
    put(dir.path(), "repo/src/a.py", "");
    let inside = dir.path().join("repo/src");
    let beyond = configure(&inside, &ConfigSource::Nearest, &Overrides::default()).unwrap();
    assert_eq!(beyond.file, None, "a configuration above the repository is somebody else's");
    put(dir.path(), "repo/vinequill.toml", "surface = \"package\"\n");
    let own = configure(&inside, &ConfigSource::Nearest, &Overrides::default()).unwrap();
    assert_eq!(own.file, Some(dir.path().join("repo/vinequill.toml")));
    assert_eq!(nearest_project(&inside), Some(dir.path().join("repo")));
    let none = configure(&inside, &ConfigSource::None, &Overrides::default()).unwrap();
    assert_eq!(none.config, Config::default());
    assert!(configure(&inside, &ConfigSource::File("/nowhere.toml".into()), &Overrides::default()).is_err());
}

#[test]
fn writing_refuses_code_changes_and_other_peoples_changes() {
    let dir = tempfile::tempdir().unwrap();
    let path = put(dir.path(), "A.java", "class A {}\n");
    let java = languages::find("java").unwrap();
    let before = read(&path, 1000, None).unwrap();
    let code = write(&path, &before, "class B {}\n", java, &mut Parsers::new()).unwrap_err();
    assert!(code.to_string().contains("would alter code at line 1"), "{code}");
    fs::write(&path, "class A { int x; }\n").unwrap();
    let changed = write(&path, &before, "/** A. */\nclass A {}\n", java, &mut Parsers::new()).unwrap_err();
    assert!(changed.to_string().contains("changed since it was read"), "{changed}");
    assert_eq!(fs::read_to_string(&path).unwrap(), "class A { int x; }\n");
    let before = read(&path, 1000, None).unwrap();
    write(&path, &before, "/** A. */\nclass A { int x; }\n", java, &mut Parsers::new()).unwrap();
    assert_eq!(fs::read_to_string(&path).unwrap(), "/** A. */\nclass A { int x; }\n");
    let left: Vec<_> = fs::read_dir(dir.path()).unwrap().collect();
    assert_eq!(left.len(), 1, "no temporary file stays behind");
}

#[test]
fn results_come_back_in_the_order_of_the_files() {
    let dir = tempfile::tempdir().unwrap();
    let java = languages::find("java").unwrap();
    let files: Vec<Found> = (0..30)
        .map(|at| {
            let shown = format!("A{at:02}.java");
            let path =
                put(dir.path(), &shown, &format!("class A {{ {} }}\n", "int x; ".repeat((at * 7) % 30)));
            Found { path, shown, language: java, named: false, only: None, given: None }
        })
        .collect();
    let settings = settings("");
    for jobs in [1, 3] {
        let paths: Vec<String> = reviewed(&files, &settings, jobs)
            .into_iter()
            .map(|result| result.ok().unwrap().text.path().to_owned())
            .collect();
        assert!(paths.is_sorted() && paths.len() == 30);
    }
}

#[test]
fn generated_files_are_left_out_unless_they_are_named() {
    let dir = tempfile::tempdir().unwrap();
    let path = put(dir.path(), "a.py", "# Generated by a tool, do not edit.\n");
    let python = languages::find("python").unwrap();
    let file = |named| Found {
        path: path.clone(),
        shown: "a.py".to_owned(),
        language: python,
        named,
        only: None,
        given: None,
    };
    let settings = settings("");
    assert!(matches!(reviewed(&[file(false)], &settings, 1)[0], Err(Unread::Generated)));
    assert!(reviewed(&[file(true)], &settings, 1)[0].is_ok());
}

#[test]
fn scripts_are_told_by_their_first_line_and_headers_by_their_content() {
    let folder = tempfile::tempdir().unwrap();
    let put = |name: &str, text: &str| fs::write(folder.path().join(name), text).unwrap();
    put("press", "#!/usr/bin/env python3\ndef weigh(load):\n    pass\n");
    put("notes", "#!/bin/sh\necho no\n");
    put("tank.h", "int tank_level(void);\n");
    put("pump.h", "class Pump { public: void run(); };\n");
    let settings = settings("");
    let languages = |chosen: &[&str]| -> Vec<String> {
        let selection = Selection {
            languages: chosen.iter().map(|id| (*id).to_owned()).collect(),
            ..Selection::default()
        };
        let paths = [folder.path().to_owned()];
        let (files, _, _) = find_files(folder.path(), &paths, &selection, &settings).unwrap();
        let reviewed = reviewed(&files, &settings, 1);
        let shown = files.iter().zip(&reviewed).filter_map(|(file, reviewed)| {
            reviewed.as_ref().ok().map(|reviewed| format!("{} {}", file.shown, reviewed.language))
        });
        shown.collect()
    };
    assert_eq!(languages(&[]), ["press python", "pump.h cpp", "tank.h c"]);
    assert_eq!(languages(&["cpp"]), ["pump.h cpp"]);
    assert_eq!(languages(&["c", "python"]), ["press python", "tank.h c"]);
}
