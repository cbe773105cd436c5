//! Case files: each folder `cases/LANGUAGE/TOPIC/` holds a source, or several that are one project, and
//! beside it what the core makes of it: `outline.txt`, `review.txt` (with `config.toml`, if there is one), and
//! `drafted.txt` where the folder has that file. `UPDATE_EXPECT=1` writes the expected side anew; look at the difference.

#![expect(clippy::disallowed_methods, reason = "the harness reads files; the core does not")]

use std::fs;
use std::path::{Path, PathBuf};

use libtest_mimic::{Arguments, Failed, Trial};
use similar::TextDiff;
use vinequill_core::testing;

fn main() {
    let root = Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/cases");
    let mut trials = Vec::new();
    for language in folders(&root) {
        for case in folders(&language) {
            let name = case.strip_prefix(&root).expect("a case is under its root").display().to_string();
            trials.push(Trial::test(name, move || run(&case)));
        }
    }
    libtest_mimic::run(&Arguments::from_args(), trials).exit();
}

fn folders(path: &Path) -> Vec<PathBuf> {
    let entries = fs::read_dir(path).expect("the folder is there").filter_map(Result::ok);
    let mut found: Vec<PathBuf> = entries.map(|entry| entry.path()).filter(|path| path.is_dir()).collect();
    found.sort();
    found
}

/// Returns the sources of a case by path inside it, sorted; those of folders in it as well.
fn sources(case: &Path, within: &Path) -> Result<Vec<(String, String)>, Failed> {
    let mut out = Vec::new();
    for entry in fs::read_dir(within)?.filter_map(Result::ok) {
        let path = entry.path();
        let expected = ["txt", "toml"];
        if path.is_dir() {
            out.extend(sources(case, &path)?);
        } else if path.extension().is_none_or(|ending| !expected.iter().any(|known| ending == *known)) {
            let name = path.strip_prefix(case)?.to_string_lossy().replace('\\', "/");
            out.push((name, fs::read_to_string(&path)?));
        }
    }
    out.sort();
    Ok(out)
}

fn run(case: &Path) -> Result<(), Failed> {
    let files = sources(case, case)?;
    let (name, text) = files.first().ok_or("the case has no source")?;
    let config = fs::read_to_string(case.join("config.toml")).unwrap_or_default();
    compare(&case.join("outline.txt"), &testing::outline_project(&files, &config))?;
    compare(&case.join("review.txt"), &testing::review_project(&files, &config))?;
    let drafted = case.join("drafted.txt");
    if drafted.exists() {
        compare(&drafted, &testing::draft_text(name, text, &config))?;
    }
    Ok(())
}

fn compare(path: &Path, found: &str) -> Result<(), Failed> {
    if std::env::var_os("UPDATE_EXPECT").is_some() {
        fs::write(path, found)?;
        return Ok(());
    }
    let wanted = fs::read_to_string(path).map_err(|error| format!("{}: {error}", path.display()))?;
    if wanted == found {
        return Ok(());
    }
    let diff = TextDiff::from_lines(wanted.as_str(), found);
    Err(format!("{}\n{}", path.display(), diff.unified_diff().header("expected", "found")).into())
}
