//! What a file declares, for people and for programs.

use std::collections::HashMap;
use std::fmt::Write;

use vinequill_core::model::{DeclId, Declaration, DocComment, Origin, ParamName, Parameter, Variadic};
use vinequill_core::review::{FileReading, Standing, Standings};
use vinequill_core::text::Span;
use vinequill_project::Encoding;

use super::json::{Place, pretty};
use super::wire;
use crate::terminal::{style, styled};

/// Takes down what a file declares.
pub(crate) fn file(reading: &FileReading<'_>, encoding: Encoding) -> wire::OutlineFile {
    let standings = Standings::of(reading);
    let mut seen: HashMap<&str, u32> = HashMap::new();
    let place = |span: Span| Place::of(&reading.source, encoding, span);
    let declarations = reading
        .outline
        .ids()
        .map(|id| {
            let declaration = reading.outline.declaration(id);
            let count = seen.entry(declaration.qualified.as_str()).or_default();
            *count += 1;
            let unique = match count {
                1 => declaration.qualified.to_string(),
                count => format!("{}~{count}", declaration.qualified),
            };
            declared(reading, &standings, (id, unique), &place)
        })
        .collect();
    let unparsed = reading.outline.unparsed.iter().map(|&span| {
        let place = place(span);
        wire::Unparsed { line: place.line, end_line: place.end_line, start: place.start, end: place.end }
    });
    wire::OutlineFile {
        path: reading.source.path().to_owned(),
        language: reading.language.id.as_str(),
        unparsed: unparsed.collect(),
        declarations,
    }
}

fn declared(
    reading: &FileReading<'_>,
    standings: &Standings,
    (id, unique): (DeclId, String),
    place: &dyn Fn(Span) -> Place,
) -> wire::Declaration {
    let declaration = reading.outline.declaration(id);
    let signature = &declaration.signature;
    let text = |span: Span| one_line(reading.source.slice(span));
    let doc = reading.doc(id);
    let whole = place(declaration.span);
    wire::Declaration {
        name: declaration.name.as_str().to_owned(),
        qualified: declaration.qualified.to_string(),
        id: unique,
        kind: declaration.kind.as_str(),
        surface: standings.surface(id).as_str(),
        line: reading.source.line(declaration.name_span.start),
        end_line: whole.end_line,
        start: whole.start,
        end: whole.end,
        same_as: declaration
            .elsewhere
            .as_ref()
            .and_then(|place| Some(place.counted_at.as_ref()?.to_string())),
        parameters: signature.parameters.iter().map(|parameter| parameter_of(parameter, &text)).collect(),
        type_parameters: signature.type_parameters.iter().map(|p| p.name.as_str().to_owned()).collect(),
        returns: wire::Returns {
            ty: signature.returns.ty.map(text),
            value: signature.returns.value.as_str(),
        },
        throws: signature
            .throws
            .iter()
            .map(|thrown| wire::Thrown {
                ty: thrown.ty.as_str().to_owned(),
                origin: thrown.origin.as_str(),
                line: reading.source.line(thrown.span.start),
            })
            .collect(),
        deprecated: declaration.deprecated,
        inherits: doc.is_some_and(|doc| doc.inherits),
        excuse: standings.excuse(id).map(|excuse| excuse.as_str()),
        comment: doc.map(|doc| comment_of(reading, doc, place)),
    }
}

fn parameter_of(parameter: &Parameter, text: &dyn Fn(Span) -> String) -> wire::Parameter {
    let name = match &parameter.name {
        ParamName::Named(name) => Some(name.as_str().to_owned()),
        ParamName::Unnamed => Some(String::new()),
        ParamName::Rest => Some("...".to_owned()),
        ParamName::Destructured(_) => None,
    };
    wire::Parameter {
        name,
        ty: parameter.ty.map(text),
        default: parameter.default.map(text),
        optional: parameter.optional,
        variadic: parameter.variadic != Variadic::No,
    }
}

fn comment_of(reading: &FileReading<'_>, doc: &DocComment, place: &dyn Fn(Span) -> Place) -> wire::Comment {
    let whole = place(doc.span);
    let text = |span: Option<Span>| span.map(|span| doc.prose(&reading.source, span)).unwrap_or_default();
    wire::Comment {
        line: whole.line,
        end_line: whole.end_line,
        start: whole.start,
        end: whole.end,
        notation: doc.notation.as_str(),
        summary: text(doc.summary),
        entries: doc
            .entries
            .iter()
            .flat_map(|entry| {
                let names: Vec<Option<String>> = if entry.names.is_empty() {
                    vec![None]
                } else {
                    entry.names.iter().map(|name| Some(spelt(reading, name))).collect()
                };
                names.into_iter().map(|name| wire::Entry {
                    kind: entry.kind.as_str(),
                    name,
                    ty: doc.stated_type(&reading.source, entry).map(|ty| one_line(&ty)),
                    text: text(entry.text),
                    line: reading.source.line(entry.place().start),
                })
            })
            .collect(),
    }
}

/// A dotted name is shown with its dot, so that it is not taken for the parameter itself.
fn spelt(reading: &FileReading<'_>, name: &vinequill_core::model::EntryName) -> String {
    if !name.dotted {
        return name.name.as_str().to_owned();
    }
    let rest = &reading.source.text()[name.span.start as usize..];
    rest.split(|c: char| c.is_whitespace() || c == ':').next().unwrap_or_default().to_owned()
}

fn one_line(text: &str) -> String {
    text.split_whitespace().collect::<Vec<_>>().join(" ")
}

/// Renders outlines as JSON.
pub(crate) fn json(files: &[wire::OutlineFile]) -> String {
    pretty(&wire::Outline { format: "vinequill-outline/1", files })
}

/// Renders one file for people.
pub(crate) fn text(reading: &FileReading<'_>, path: &str) -> String {
    let standings = Standings::of(reading);
    let mut out = String::new();
    // Writing to a string cannot fail.
    let _ = writeln!(out, "{} {}", styled(style::STRONG, path), styled(style::FAINT, reading.language.label));
    for id in reading.outline.ids() {
        let declaration = reading.outline.declaration(id);
        let depth = depth(reading, declaration);
        let line = reading.source.line(declaration.name_span.start);
        let indent = "  ".repeat(depth);
        let standing = match standings.excuse(id) {
            Some(excuse) => format!(", excused: {}", excuse.as_str()),
            None => String::new(),
        };
        let about = format!("{} {}{standing}", standings.surface(id).as_str(), declaration.kind.as_str());
        let shown = signature(reading, declaration);
        let _ = writeln!(
            out,
            "{line:>5}  {indent}{}  {}",
            styled(style::STRONG, &shown),
            styled(style::FAINT, &about)
        );
        let _ = write!(out, "{}", described(reading, &standings, id, &format!("       {indent}  ")));
    }
    for span in &reading.outline.unparsed {
        let (from, upto) = (reading.source.line(span.start), reading.source.line(span.end));
        let _ = writeln!(
            out,
            "{from:>5}  {}",
            styled(style::WARNING, &format!("not understood up to line {upto}"))
        );
    }
    out
}

fn depth(reading: &FileReading<'_>, declaration: &Declaration) -> usize {
    let mut depth = 0;
    let mut owner = declaration.owner;
    while let Some(id) = owner {
        depth += 1;
        owner = reading.outline.declaration(id).owner;
    }
    depth
}

fn signature(reading: &FileReading<'_>, declaration: &Declaration) -> String {
    let signature = &declaration.signature;
    let text = |span: Span| one_line(reading.source.slice(span));
    let mut out = declaration.name.as_str().to_owned();
    if !signature.type_parameters.is_empty() {
        let names: Vec<_> = signature.type_parameters.iter().map(|p| p.name.as_str()).collect();
        out.push_str(&format!("<{}>", names.join(", ")));
    }
    if declaration.kind.is_callable() || !signature.parameters.is_empty() {
        let list: Vec<String> = signature
            .parameters
            .iter()
            .map(|parameter| {
                let mut shown = match &parameter.name {
                    ParamName::Named(name) => name.as_str().to_owned(),
                    ParamName::Unnamed => "_".to_owned(),
                    ParamName::Rest => "...".to_owned(),
                    ParamName::Destructured(_) => "{…}".to_owned(),
                };
                if parameter.variadic != Variadic::No && parameter.name != ParamName::Rest {
                    shown.insert_str(0, "...");
                }
                if let Some(ty) = parameter.ty {
                    shown.push_str(&format!(": {}", text(ty)));
                }
                if let Some(default) = parameter.default {
                    shown.push_str(&format!(" = {}", text(default)));
                }
                shown
            })
            .collect();
        out.push_str(&format!("({})", list.join(", ")));
    }
    if let Some(ty) = signature.returns.ty {
        let sign = if declaration.kind.is_callable() { " ->" } else { ":" };
        out.push_str(&format!("{sign} {}", text(ty)));
    }
    out
}

/// What the comment says, and what can come out besides a value.
fn described(reading: &FileReading<'_>, standings: &Standings, id: DeclId, indent: &str) -> String {
    let mut out = String::new();
    let thrown: Vec<String> = reading
        .outline
        .declaration(id)
        .signature
        .throws
        .iter()
        .map(|thrown| match thrown.origin {
            Origin::Declared => thrown.ty.to_string(),
            origin => format!("{} ({})", thrown.ty, origin.as_str()),
        })
        .collect();
    if !thrown.is_empty() {
        let _ = writeln!(out, "{indent}throws {}", thrown.join(", "));
    }
    let Some(doc) = reading.doc(id) else {
        if standings.get(id) == Standing::Asked {
            let _ = writeln!(out, "{indent}{}", styled(style::WARNING, "no comment"));
        }
        return out;
    };
    let summary = doc.summary_prose(&reading.source);
    let told = if summary.is_empty() { "no description" } else { &summary };
    let _ = writeln!(out, "{indent}{} {}", styled(style::NOTE, &format!("[{}]", doc.notation)), told);
    for entry in &doc.entries {
        let names: Vec<_> = entry.names.iter().map(|name| name.name.as_str()).collect();
        let text = entry.text.map(|span| doc.prose(&reading.source, span)).unwrap_or_default();
        let names = if names.is_empty() { String::new() } else { format!(" {}", names.join(", ")) };
        let _ = writeln!(out, "{indent}  {}{names}: {text}", entry.kind.as_str());
    }
    out
}
