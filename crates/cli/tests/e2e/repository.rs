//! A real repository in a folder of a test's own.

use std::process::Command;

use crate::workshop::{Ran, Workshop};

/// A workshop that is under version control.
pub(crate) struct Repository {
    /// The files.
    pub(crate) workshop: Workshop,
}

impl Repository {
    /// Makes one with files that are committed.
    pub(crate) fn with(files: &[(&str, &str)]) -> Self {
        let repository = Self { workshop: Workshop::with(files) };
        repository.git(&["init", "-q", "-b", "main"]);
        repository.commit("The first files", "2026-01-05T08:00:00+00:00");
        repository
    }

    /// Runs version control in it.
    pub(crate) fn git(&self, arguments: &[&str]) -> String {
        self.git_at(arguments, "2026-01-05T08:00:00+00:00")
    }

    fn git_at(&self, arguments: &[&str], date: &str) -> String {
        let output = Command::new("git")
            .args(["-c", "user.name=Lise Anhalt", "-c", "user.email=lise@sallow.example"])
            .args([
                "-c", "commit.gpgsign=false", "-c", "core.autocrlf=false", "-c", "protocol.file.allow=always",
            ])
            .args(arguments)
            .current_dir(self.workshop.path())
            .env("GIT_CONFIG_GLOBAL", "/dev/null")
            .env("GIT_CONFIG_SYSTEM", "/dev/null")
            .env("GIT_AUTHOR_DATE", date)
            .env("GIT_COMMITTER_DATE", date)
            .output()
            .unwrap();
        assert!(output.status.success(), "git {arguments:?}: {}", String::from_utf8_lossy(&output.stderr));
        String::from_utf8(output.stdout).unwrap()
    }

    /// Commits everything.
    pub(crate) fn commit(&self, message: &str, date: &str) {
        self.git(&["add", "-A"]);
        self.git_at(&["commit", "-q", "--allow-empty", "-m", message], date);
    }

    /// Writes a file.
    pub(crate) fn write(&self, path: &str, text: &str) {
        self.workshop.write(path, text.as_bytes());
    }

    /// Runs the program in it.
    pub(crate) fn run(&self, arguments: &[&str]) -> Ran {
        self.workshop.run(arguments)
    }

    /// Returns the findings of a review, each as rule and declaration.
    pub(crate) fn found(&self, arguments: &[&str]) -> Vec<String> {
        let ran = self.run(&[&["review", "--format", "json"], arguments].concat());
        let value: serde_json::Value =
            serde_json::from_str(&ran.out).unwrap_or_else(|error| panic!("{error}: {}{}", ran.out, ran.err));
        let text = |finding: &serde_json::Value, key: &str| finding[key].as_str().unwrap().to_owned();
        let findings = value["findings"].as_array().unwrap().iter();
        findings
            .map(|finding| format!("{} {}", text(finding, "rule"), text(finding, "declaration")))
            .collect()
    }
}
