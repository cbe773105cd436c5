//! A folder of a test's own, and the program run in it.

use std::fs;
use std::io::ErrorKind;
use std::path::{Path, PathBuf};
use std::process::{Child, Command, Output, Stdio};

/// A temporary folder with files in it.
pub(crate) struct Workshop {
    dir: tempfile::TempDir,
    /// Where the program keeps what it found out.
    cache: tempfile::TempDir,
}

/// What a run came to.
pub(crate) struct Ran {
    /// The exit code.
    pub(crate) code: i32,
    /// Standard output.
    pub(crate) out: String,
    /// Standard error.
    pub(crate) err: String,
}

impl Workshop {
    /// Makes an empty one.
    pub(crate) fn new() -> Self {
        Self { dir: tempfile::tempdir().unwrap(), cache: tempfile::tempdir().unwrap() }
    }

    /// Makes one with files.
    pub(crate) fn with(files: &[(&str, &str)]) -> Self {
        let workshop = Self::new();
        for (path, text) in files {
            workshop.write(path, text.as_bytes());
        }
        workshop
    }

    /// Returns the folder.
    pub(crate) fn path(&self) -> &Path {
        self.dir.path()
    }

    /// Writes a file.
    pub(crate) fn write(&self, path: &str, bytes: &[u8]) -> PathBuf {
        let path = self.dir.path().join(path);
        fs::create_dir_all(path.parent().unwrap()).unwrap();
        fs::write(&path, bytes).unwrap();
        path
    }

    /// Reads a file.
    pub(crate) fn read(&self, path: &str) -> Vec<u8> {
        fs::read(self.dir.path().join(path)).unwrap()
    }

    /// Runs the program in the folder.
    pub(crate) fn run(&self, arguments: &[&str]) -> Ran {
        self.run_with_input(arguments, b"")
    }

    /// Runs the program in the folder and returns what it writes to standard output, byte by byte.
    pub(crate) fn bytes(&self, arguments: &[&str]) -> Vec<u8> {
        self.output(arguments, b"").stdout
    }

    /// Runs the program in the folder with something on standard input.
    pub(crate) fn run_with_input(&self, arguments: &[&str], input: &[u8]) -> Ran {
        let output = self.output(arguments, input);
        Ran {
            code: output.status.code().unwrap_or(-1),
            out: String::from_utf8(output.stdout).unwrap(),
            err: String::from_utf8(output.stderr).unwrap(),
        }
    }

    /// Starts the program in the folder.
    pub(crate) fn start(&self, arguments: &[&str]) -> Child {
        Command::new(env!("CARGO_BIN_EXE_vinequill"))
            .args(arguments)
            .current_dir(self.dir.path())
            .env("XDG_CACHE_HOME", self.cache.path())
            .env_remove("NO_COLOR")
            .env_remove("COLUMNS")
            .env_remove("GIT_INDEX_FILE")
            .stdin(Stdio::piped())
            .stdout(Stdio::piped())
            .stderr(Stdio::piped())
            .spawn()
            .unwrap()
    }

    fn output(&self, arguments: &[&str], input: &[u8]) -> Output {
        let mut child = self.start(arguments);
        // What is refused by its options alone ends before it has read anything.
        let written = std::io::Write::write_all(&mut child.stdin.take().unwrap(), input);
        let refused = written.as_ref().is_err_and(|error| error.kind() == ErrorKind::BrokenPipe);
        assert!(written.is_ok() || refused, "{written:?}");
        child.wait_with_output().unwrap()
    }
}

/// A class with one fault: an entry that names no parameter.
pub(crate) const FAULTY: &str = "\
/** A frame. */
public class Scale {
    /**
     * Checks a crate.
     *
     * @param laod in kg
     */
    public void weigh(double load) {}
}
";

/// The same class without the fault.
pub(crate) const CLEAN: &str = "\
/** A frame. */
public class Scale {
    /**
     * Checks a crate.
     *
     * @param load in kg
     */
    public void weigh(double load) {}
}
";
