//! Which declarations a change touches, file by file: what a run that is about a change tells of.

use std::collections::{HashMap, HashSet};
use std::hash::{DefaultHasher, Hash, Hasher};
use std::sync::Mutex;

use rayon::prelude::*;
use smol_str::SmolStr;
use vinequill_core::change::{Shape, left_behind, shapes, touched};
use vinequill_core::model::{DeclId, Finding};
use vinequill_core::reading::{Halves, Parsers};
use vinequill_core::review::{FileReading, report_stale};
use vinequill_core::settings::Settings;
use vinequill_core::text::Source;

use crate::decode::decode;
use crate::history::Change;
use crate::run::{Reviewed, source_of};
use crate::stale::is_wanted;
use crate::{Found, Nested};

/// The declarations that a change touches.
#[derive(Debug, Default)]
pub struct Touched {
    files: HashMap<String, TouchedFile>,
}

#[derive(Debug, Default)]
struct TouchedFile {
    /// Offsets of the names of declarations, in bytes.
    names: HashSet<u32>,
    /// Hashes of the lines that the file had before.
    lines: HashSet<u64>,
    /// Comments that the change left behind.
    stale: Vec<Finding>,
}

/// What the halves of one thing have in common: the part of their paths, and the qualified name.
type Half = (String, SmolStr);

impl Touched {
    /// Works out what changes touch. `files` are those that are told of; the half of a touched declaration in
    /// another of them is touched as well. `name` says in messages what the change is.
    #[must_use]
    pub fn of(
        (changes, name): (&[Change], &str),
        files: &[Found],
        (settings, nested): (&Settings, &Nested),
    ) -> Self {
        let by_path: HashMap<&str, &Found> = files.iter().map(|file| (file.shown.as_str(), file)).collect();
        let halves: Mutex<HashSet<Half>> = Mutex::default();
        let settings = |file: &Found| nested.for_file(&file.path).unwrap_or(settings);
        let each = |change: &Change| {
            let file = *by_path.get(change.path.as_str())?;
            let source = source_of(file, settings(file)).ok()?;
            let reading =
                FileReading::read_first(&source, file.language, settings(file), &mut Parsers::new());
            let (language, now) = (reading.language.halves, shapes(&reading));
            let label = settings(file).language(file.language.id).encoding.as_deref();
            let before = change.before.clone().and_then(|bytes| decode(bytes, label));
            let before = before.map(|decoded| decoded.text);
            let was = before.as_deref().map_or(Vec::new(), |text| {
                let source = Source::new(&file.shown, text);
                shapes(&FileReading::read_first(&source, file.language, settings(file), &mut Parsers::new()))
            });
            let mut out = TouchedFile::default();
            let changed = touched(&was, &now);
            for (shape, _) in now.iter().zip(&changed).filter(|(_, touched)| **touched) {
                out.names.insert(shape.at);
                if let Some((common, _)) = language.of(&file.shown)
                    && let Ok(mut halves) = halves.lock()
                {
                    halves.insert((common.to_owned(), shape.qualified.clone()));
                }
            }
            if is_wanted(&reading) {
                let stale = left_behind(&was, &now).into_iter().map(|(at, what)| {
                    let id = DeclId(u32::try_from(at).unwrap_or(u32::MAX));
                    (id, format!("{what} {name}, and this comment is as it was; read it again"))
                });
                out.stale = report_stale(&reading, stale.collect());
            }
            out.lines = before.iter().flat_map(|text| text.lines()).map(line_hash).collect();
            Some((change.path.clone(), out))
        };
        let mut touched = Self { files: changes.par_iter().filter_map(each).collect() };
        touched.add_halves(&halves.into_inner().unwrap_or_default(), files, &settings);
        touched
    }

    /// A prototype is touched when its definition is, and the other way round.
    fn add_halves<'s>(
        &mut self,
        halves: &HashSet<Half>,
        files: &[Found],
        settings: &(dyn Fn(&Found) -> &'s Settings + Sync),
    ) {
        if halves.is_empty() {
            return;
        }
        let simple: HashSet<&str> =
            halves.iter().map(|(_, name)| name.rsplit('.').next().unwrap_or_default()).collect();
        let may_hold = |file: &&Found| {
            let common = file.language.halves.of(&file.shown).map(|(common, _)| common);
            common.is_some_and(|common| halves.iter().any(|(other, _)| other == common))
        };
        let found: Vec<(String, Vec<u32>)> = files
            .par_iter()
            .filter(may_hold)
            .filter_map(|file| {
                let source = source_of(file, settings(file)).ok()?;
                if !simple.iter().any(|name| source.text().contains(name)) {
                    return None;
                }
                let (pairs, shapes) = read_shapes(file, settings(file))?;
                let (common, _) = pairs.of(&file.shown)?;
                let touched = shapes
                    .into_iter()
                    .filter(|shape| halves.contains(&(common.to_owned(), shape.qualified.clone())));
                Some((file.shown.clone(), touched.map(|shape| shape.at).collect()))
            })
            .collect();
        for (path, names) in found.into_iter().filter(|(_, names)| !names.is_empty()) {
            let file = self.files.entry(path).or_insert_with(|| TouchedFile {
                // Nothing of the file itself changed: none of its lines is new.
                lines: HashSet::from([EVERY_LINE]),
                ..TouchedFile::default()
            });
            file.names.extend(names);
        }
    }

    /// Tells whether a file holds anything that is touched.
    #[must_use]
    pub fn has_file(&self, path: &str) -> bool {
        self.files.contains_key(path)
    }

    /// Tells whether the declaration whose name stands at an offset is touched.
    #[must_use]
    pub fn has(&self, path: &str, name: u32) -> bool {
        self.files.get(path).is_some_and(|file| file.names.contains(&name))
    }

    /// Returns the comments of a file that the change left behind.
    #[must_use]
    pub fn stale(&self, path: &str) -> &[Finding] {
        self.files.get(path).map_or(&[], |file| file.stale.as_slice())
    }

    /// Leaves of a review what is touched: of findings that are a file's own, those on lines that are new.
    pub fn restrict(&self, reviewed: &mut Reviewed) {
        let Some(file) = self.files.get(reviewed.text.path()) else {
            reviewed.findings.clear();
            reviewed.tallies.clear();
            return;
        };
        let source = &reviewed.text.source();
        reviewed.findings.retain(|finding| match finding.declaration_span {
            Some(name) => file.names.contains(&name.start),
            None => {
                let line = source.line_span(source.line(finding.raw.span.start));
                let text = line.map_or("", |line| source.slice(line));
                !file.lines.contains(&EVERY_LINE) && !file.lines.contains(&line_hash(text))
            }
        });
        reviewed.tallies.retain(|tally| file.names.contains(&tally.at));
    }
}

/// Stands for all lines there are.
const EVERY_LINE: u64 = 0;

fn line_hash(line: &str) -> u64 {
    let mut hash = DefaultHasher::new();
    line.trim().hash(&mut hash);
    hash.finish().max(1)
}

fn read_shapes(file: &Found, settings: &Settings) -> Option<(Halves, Vec<Shape>)> {
    let source = source_of(file, settings).ok()?;
    let reading = FileReading::read_first(&source, file.language, settings, &mut Parsers::new());
    Some((reading.language.halves, shapes(&reading)))
}
