//! Helpers for tests that take text and give text. Behind the feature `testing`, for this crate's own
//! tests and those of the others.

use std::fmt::Write;
use std::sync::Arc;

use crate::draft::{self, Only};
use crate::index::Index;
use crate::model::{Declaration, Kind, ParamName, State};
use crate::reading::Parsers;
use crate::review::{self, FileReading, Standing, Standings};
use crate::settings::{Config, Overrides, Settings};
use crate::text::{Edits, Source};

/// Returns settings of a configuration text.
///
/// # Panics
/// When the configuration has a mistake.
#[must_use]
pub fn settings(config: &str) -> Settings {
    let config = Config::parse(config).expect("the test's configuration is valid");
    crate::settle(&config, &Overrides::default()).expect("the test's configuration names what there is")
}

fn read<'a>(source: &Source, settings: &'a Settings) -> FileReading<'a> {
    let language = settings.language_of_file(source.file_name()).expect("a language has this ending");
    FileReading::read(source, language, settings, &mut Parsers::new())
}

/// Reads the files of a project, given as path and text, and shows each with `show`, under its path where
/// there are several.
fn each_of(files: &[(String, String)], config: &str, show: fn(&FileReading<'_>) -> String) -> String {
    let settings = settings(config);
    let first = |(path, text): &(String, String)| {
        let source = Source::new(path, text);
        let language = settings.language_of_file(source.file_name()).expect("a language has this ending");
        FileReading::read_first(&source, language, &settings, &mut Parsers::new())
    };
    let read: Vec<FileReading<'_>> = files.iter().map(first).collect();
    let index = Arc::new(Index::of(read.iter().map(FileReading::facts)));
    let shown = read.into_iter().map(|file| {
        let path = file.source.path().to_owned();
        let shown = show(&file.among(&index));
        if files.len() > 1 { format!("== {path}\n{shown}") } else { shown }
    });
    shown.collect()
}

/// Reviews the files of a project, given as path and text; see [`review_text`].
///
/// # Panics
/// When no language has a path's ending.
#[must_use]
pub fn review_project(files: &[(String, String)], config: &str) -> String {
    each_of(files, config, reviewed)
}

/// Returns the outlines of the files of a project, given as path and text; see [`outline_text`].
///
/// # Panics
/// When no language has a path's ending.
#[must_use]
pub fn outline_project(files: &[(String, String)], config: &str) -> String {
    each_of(files, config, outlined)
}

/// Reviews a text and returns its findings, one a line: place, level, rule, subject, message.
///
/// # Panics
/// When no language has the path's ending.
#[must_use]
pub fn review_text(path: &str, text: &str, config: &str) -> String {
    let (settings, source) = (settings(config), Source::new(path, text));
    reviewed(&read(&source, &settings))
}

fn reviewed(file: &FileReading<'_>) -> String {
    let source = &file.source;
    let mut out = String::new();
    for finding in review::review(file).findings {
        let at = source.position(finding.raw.span.start);
        // Writing to a string cannot fail.
        let _ = writeln!(
            out,
            "{}:{} {} {} [{}] {}{}",
            at.line,
            at.column,
            finding.level.as_str(),
            finding.raw.rule,
            finding.raw.subject,
            finding.raw.message,
            if let State::Waived(reason) = &finding.state {
                format!(" (waived: {reason})")
            } else {
                String::new()
            }
        );
    }
    out
}

/// Returns the outline of a text, one declaration a line.
///
/// # Panics
/// When no language has the path's ending.
#[must_use]
pub fn outline_text(path: &str, text: &str, config: &str) -> String {
    let (settings, source) = (settings(config), Source::new(path, text));
    outlined(&read(&source, &settings))
}

fn outlined(file: &FileReading<'_>) -> String {
    let source = &file.source;
    let standings = Standings::of(file);
    let mut out = String::new();
    for id in file.outline.ids() {
        let declaration = file.outline.declaration(id);
        let line = source.line(declaration.name_span.start);
        let standing = match standings.get(id) {
            Standing::Asked => "asked".to_owned(),
            Standing::Excused(excuse) => format!("excused:{}", excuse.as_str()),
            Standing::NotAsked => "not asked".to_owned(),
            Standing::Skipped => "skipped".to_owned(),
        };
        // Writing to a string cannot fail.
        let _ = write!(
            out,
            "{line} {} {} {}{} [{standing}]",
            standings.surface(id).as_str(),
            declaration.kind.as_str(),
            declaration.qualified,
            signature(source, declaration)
        );
        if let Some(doc) = file.doc(id) {
            let _ = write!(out, " doc({}", doc.notation);
            for entry in &doc.entries {
                let names: Vec<_> = entry.names.iter().map(|name| name.name.as_str()).collect();
                let ty = doc.stated_type(source, entry).map(|ty| format!(":{ty}")).unwrap_or_default();
                let _ = write!(out, "; {} {}{ty}", entry.kind.as_str(), names.join(","));
            }
            out.push(')');
        }
        out.push('\n');
    }
    for span in &file.outline.unparsed {
        let _ = writeln!(out, "{} unparsed {:?}", source.line(span.start), source.slice(*span));
    }
    out
}

fn signature(source: &Source, declaration: &Declaration) -> String {
    let signature = &declaration.signature;
    let mut out = String::new();
    if !signature.type_parameters.is_empty() {
        let names: Vec<_> = signature.type_parameters.iter().map(|p| p.name.as_str()).collect();
        out.push_str(&format!("<{}>", names.join(",")));
    }
    let has_list = declaration.kind.is_callable() || !signature.parameters.is_empty();
    if has_list {
        let list: Vec<String> = signature
            .parameters
            .iter()
            .map(|parameter| {
                let name = match &parameter.name {
                    ParamName::Named(name) => name.to_string(),
                    ParamName::Unnamed => "_".to_owned(),
                    ParamName::Rest => "...".to_owned(),
                    ParamName::Destructured(_) => "{}".to_owned(),
                };
                let ty = parameter.ty.map(|ty| format!(": {}", source.slice(ty))).unwrap_or_default();
                let default =
                    parameter.default.map(|value| format!(" = {}", source.slice(value))).unwrap_or_default();
                let variadic = if parameter.variadic == crate::model::Variadic::No { "" } else { "*" };
                format!("{variadic}{name}{ty}{default}")
            })
            .collect();
        out.push_str(&format!("({})", list.join(", ")));
    }
    if declaration.kind.is_callable() || declaration.kind == Kind::Property {
        let returns = &signature.returns;
        let ty = returns.ty.map(|ty| format!(" {}", source.slice(ty))).unwrap_or_default();
        out.push_str(&format!(" -> {}{ty}", returns.value.as_str()));
        if returns.yields {
            out.push_str(" yields");
        }
    }
    for thrown in &signature.throws {
        let doubt = if thrown.leaves == crate::model::Answer::Unknown { "?" } else { "" };
        out.push_str(&format!(" !{}:{}{doubt}", thrown.ty, thrown.origin.as_str()));
    }
    out
}

/// Drafts all that is asked for in a text and returns the new text.
///
/// # Panics
/// When no language has the path's ending, or the edits do not fit together.
#[must_use]
pub fn draft_text(path: &str, text: &str, config: &str) -> String {
    let (settings, source) = (settings(config), Source::new(path, text));
    let file = read(&source, &settings);
    let drafts = draft::draft_file(&file, &|_| true, Only::Both, draft::Inherit::None);
    let edits = drafts.drafted.into_iter().flat_map(|drafted| drafted.edits).collect();
    Edits::new(edits).and_then(|edits| edits.apply(text)).expect("edits of different comments are disjoint")
}
