//! `--format` and `-o`, which go in pairs and in order, so that one run can write several reports.

use std::borrow::Cow;
use std::fs::File;
use std::io::{BufWriter, Write};
use std::path::{Path, PathBuf};

use clap::ArgMatches;

use crate::exit::Failure;
use crate::terminal;

/// A format, and the file it goes to; standard output where none is named.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(crate) struct Pair {
    /// The format as typed.
    pub(crate) format: Option<String>,
    /// The file.
    pub(crate) file: Option<PathBuf>,
}

impl Pair {
    /// Returns the format of a command's own; clap has refused names that it does not have.
    pub(crate) fn format_as<F: clap::ValueEnum>(&self) -> Option<F> {
        self.format.as_deref().and_then(|name| F::from_str(name, true).ok())
    }
}

/// Returns the pairs in the order typed: a file belongs to the format before it.
pub(crate) fn pairs(matches: &ArgMatches) -> Vec<Pair> {
    let known = |id: &str| matches.ids().any(|found| found.as_str() == id);
    let mut typed: Vec<(usize, bool, String)> = Vec::new();
    for (id, is_format) in [("format", true), ("output", false)] {
        if !known(id) {
            continue;
        }
        let values =
            matches.get_raw(id).into_iter().flatten().map(|value| value.to_string_lossy().into_owned());
        let places = matches.indices_of(id).into_iter().flatten();
        typed.extend(places.zip(values).map(|(place, value)| (place, is_format, value)));
    }
    typed.sort();
    let mut out: Vec<Pair> = Vec::new();
    for (_, is_format, value) in typed {
        match out.last_mut() {
            Some(last) if !is_format && last.file.is_none() => last.file = Some(value.into()),
            _ if is_format => out.push(Pair { format: Some(value), file: None }),
            _ => out.push(Pair { format: None, file: Some(value.into()) }),
        }
    }
    if out.is_empty() {
        out.push(Pair { format: None, file: None });
    }
    out
}

/// Writes a report to a file, without styles, or to standard output.
pub(crate) fn deliver(file: Option<&Path>, text: &str) -> Result<(), Failure> {
    match file {
        None => Ok(terminal::print(text)?),
        Some(path) => {
            // Looking for styles takes longer than writing, and most reports have none.
            let plain = match text.as_bytes().contains(&b'\x1b') {
                true => Cow::Owned(anstream::adapter::strip_str(text).to_string()),
                false => Cow::Borrowed(text),
            };
            std::fs::write(path, plain.as_bytes()).map_err(|error| told(path, &error))
        }
    }
}

/// Writes a report, while it is made, to a file or to standard output; it has styles only where they are shown.
pub(crate) fn deliver_as_made(
    file: Option<&Path>,
    make: impl FnOnce(&mut dyn Write) -> std::io::Result<()>,
) -> Result<(), Failure> {
    let into = |out: &mut dyn Write| {
        let mut out = BufWriter::new(out);
        make(&mut out).and_then(|()| out.flush())
    };
    match file {
        None if terminal::shows_styles() => Ok(into(&mut anstream::stdout().lock())?),
        // Taking styles out of what has none would take longer than writing it.
        None => Ok(into(&mut std::io::stdout().lock())?),
        Some(path) => {
            let written = File::create(path).and_then(|mut file| into(&mut file));
            written.map_err(|error| told(path, &error))
        }
    }
}

fn told(path: &Path, error: &std::io::Error) -> Failure {
    Failure::Io(anyhow::anyhow!("{}: {error}", path.display()))
}
