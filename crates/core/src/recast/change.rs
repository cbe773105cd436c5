//! Changes the docstrings of a file, and proves that each says the same afterwards.

use std::collections::{BTreeMap, HashMap, HashSet};

use super::parts::{Part, parts};
use super::write::{Target, sayable, write};
use crate::model::{Carrier, DeclId, DocComment, EntryKind};
use crate::notations::{Lines, evident};
use crate::review::FileReading;
use crate::text::{Edit, Edits, Span};

/// The notations that docstrings can be changed into.
pub const TARGETS: &[&str] = &["epytext", "google", "numpy", "rest"];

/// A docstring that was left alone, or of which something could only be kept as text.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Left {
    /// The declaration it belongs to.
    pub declaration: DeclId,
    /// What, and why.
    pub reason: String,
}

/// One docstring in its new form.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Changed {
    /// The declaration it belongs to.
    pub declaration: DeclId,
    /// The change.
    pub edit: Edit,
}

/// What came of a file.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Recast {
    /// The text, as it was where there was nothing to change.
    pub text: String,
    /// The docstrings that changed, in source order.
    pub changed: Vec<Changed>,
    /// What was kept as text, docstring by docstring.
    pub losses: Vec<Left>,
    /// Docstrings that were left as they are.
    pub left: Vec<Left>,
}

/// Changes all docstrings of a file into a notation of [`TARGETS`]; nothing when it is none of them, or the file
/// has no docstrings.
#[must_use]
pub fn recast(file: &FileReading<'_>, notation: &str) -> Option<Recast> {
    let target = Target::of(notation).filter(|_| file.language.carrier == Carrier::Docstring)?;
    let mut out = Recast { text: file.source.text().to_owned(), ..Recast::default() };
    let mut seen = HashSet::new();
    let mut expected = HashMap::new();
    for id in file.outline.ids() {
        let Some(comment) = file.outline.declaration(id).comment.doc.filter(|&comment| seen.insert(comment))
        else {
            continue;
        };
        let raw = file.outline.comment(comment);
        let Some(doc) = file.doc(id).filter(|doc| doc.notation.as_str() != notation) else { continue };
        let lines = Lines::new(&file.source, &raw.lines, file.language.dialect);
        // What shows no notation needs no other.
        let shows =
            !doc.sections.is_empty() || evident(&lines, file.language.notations, doc.notation).is_some();
        let Some((first, found)) = parts(doc, &lines).filter(|_| shows) else { continue };
        if raw.carrier != Carrier::Docstring || !stands_alone(file, &raw.lines, first) {
            let reason = "its text does not stand on lines of its own; put it in triple quotes".to_owned();
            out.left.push(Left { declaration: id, reason });
            continue;
        }
        if introduces_a_list(&found) {
            let reason = "text leads to its second list of parameters, which would be joined with the first; write that \
                          list as text"
                .to_owned();
            out.left.push(Left { declaration: id, reason });
            continue;
        }
        let (meant, told) = sayable(target, found);
        let written = write(target, &meant, file.source.step());
        let edit = edit(file, doc, first, &written.lines);
        let losses = told.into_iter().chain(written.losses);
        out.losses.extend(losses.map(|reason| Left { declaration: id, reason }));
        out.changed.push(Changed { declaration: id, edit });
        expected.insert(id.0, (first, meant));
    }
    settle(file, notation, &expected, &mut out);
    Some(out)
}

/// Tells whether text between two lists of parameters leads to the second: "Alternatively, give its sides:".
fn introduces_a_list(parts: &[Part]) -> bool {
    let is_list = |part: &Part| matches!(part, Part::Entries(group) if group.kind == EntryKind::Param);
    parts.windows(3).any(|three| {
        let leads =
            matches!(&three[1], Part::Text(lines) if lines.last().is_some_and(|line| line.ends_with(':')));
        leads && is_list(&three[0]) && is_list(&three[2])
    })
}

/// Each row from `first` on must be a line of its own.
fn stands_alone(file: &FileReading<'_>, rows: &[Span], first: usize) -> bool {
    let line = |span: &Span| file.source.line(span.start);
    let apart = rows.windows(2).all(|pair| line(&pair[0]) < line(&pair[1]));
    let alone = |span: &Span| {
        let whole = file.source.line_span(line(span)).unwrap_or_default();
        file.source.slice(Span::new(whole.start, span.start)).trim().is_empty()
    };
    apart && first > 0 && rows[first..].iter().all(alone)
}

/// Replaces the rows from `first` to the last that says something.
fn edit(file: &FileReading<'_>, doc: &DocComment, first: usize, lines: &[String]) -> Edit {
    let source = &file.source;
    let lead = |row: usize| {
        let text = source.slice(doc.lines[row]);
        &text[..text.len() - text.trim_start().len()]
    };
    let said = (1..doc.lines.len()).filter(|&row| !source.slice(doc.lines[row]).trim().is_empty());
    let indent = said.map(lead).min_by_key(|lead| lead.len()).unwrap_or_default();
    let last = (first..doc.lines.len()).rev().find(|&row| !source.slice(doc.lines[row]).trim().is_empty());
    let end = last.map_or(doc.lines[first].end, |row| {
        let text = source.slice(doc.lines[row]);
        doc.lines[row].start + Span::of(text.trim_end().len(), 0).start
    });
    let text: Vec<String> = lines
        .iter()
        .map(|line| if line.is_empty() { String::new() } else { format!("{indent}{line}") })
        .collect();
    Edit { span: Span::new(doc.lines[first].start, end), text: text.join(source.line_ending()) }
}

/// Makes the changes and reads them back; those that do not say the same are undone.
fn settle(file: &FileReading<'_>, notation: &str, expected: &Expected, out: &mut Recast) {
    for _ in 0..3 {
        let edits = out.changed.iter().map(|changed| changed.edit.clone()).collect();
        let Ok(text) = Edits::new(edits).and_then(|edits| edits.apply(file.source.text())) else { return };
        let again = file.read_again(&text);
        let same = again.outline.declarations.len() == file.outline.declarations.len();
        let fault = |changed: &Changed| {
            let id = changed.declaration;
            match file.doc(id).zip(again.doc(id)).filter(|_| same) {
                Some((old, new)) => difference((file, old, &expected[&id.0]), (&again, new), notation),
                None => Some("the docstring".to_owned()),
            }
        };
        let bad: Vec<Left> = out
            .changed
            .iter()
            .filter_map(|changed| {
                let reason = format!("in `{notation}` {} would not read the same", fault(changed)?);
                Some(Left { declaration: changed.declaration, reason })
            })
            .collect();
        if bad.is_empty() {
            out.text = text;
            return;
        }
        let is_bad = |id: DeclId| bad.iter().any(|left| left.declaration == id);
        out.changed.retain(|changed| !is_bad(changed.declaration));
        out.losses.retain(|loss| !is_bad(loss.declaration));
        out.left.extend(bad);
    }
    out.changed.clear();
    out.losses.clear();
}

/// What each docstring is to say, with the row below its description, by declaration.
type Expected = HashMap<u32, (usize, Vec<Part>)>;

/// Returns what a docstring does not say as it was meant to; nothing when all is as it should be.
fn difference(
    (before, old, (first, meant)): (&FileReading<'_>, &DocComment, &(usize, Vec<Part>)),
    (after, new): (&FileReading<'_>, &DocComment),
    notation: &str,
) -> Option<String> {
    if old.summary_prose(&before.source) != new.summary_prose(&after.source) {
        return Some("the summary".to_owned());
    }
    let lines = Lines::new(&after.source, &new.lines, after.language.dialect);
    let (row, found) = parts(new, &lines).unwrap_or((lines.len(), Vec::new()));
    let (was, is) = (entries(meant), entries(&found));
    if let Some((was, _)) = was.iter().zip(&is).find(|(was, is)| was != is) {
        let name = match (was.1.first(), was.0) {
            (Some(name), _) => format!("`{name}`"),
            (None, EntryKind::Throws) => "an exception without a name".to_owned(),
            (None, _) => "what comes back".to_owned(),
        };
        return Some(format!("the entry for {name}"));
    }
    if was.len() != is.len() || (!new.entries.is_empty() && new.notation.as_str() != notation) {
        return Some("the list of entries".to_owned());
    }
    let old_lines = Lines::new(&before.source, &old.lines, before.language.dialect);
    let same = words((&old_lines, *first), meant) == words((&lines, row), &found);
    (!same).then(|| "text beside the entries".to_owned())
}

/// What an entry says, whatever the notation.
type Said = (EntryKind, Vec<String>, Option<String>, String);

/// Returns what the entries say, kind by kind, in order.
fn entries(parts: &[Part]) -> Vec<Said> {
    let squeezed = |text: &str| text.split_whitespace().collect::<Vec<_>>().join(" ");
    let mut out = Vec::new();
    for part in parts {
        let Part::Entries(group) = part else { continue };
        for item in &group.items {
            let ty = item.ty.as_deref().map(squeezed);
            out.push((group.kind, item.names.clone(), ty, squeezed(&item.text.join(" "))));
        }
    }
    out.sort_by_key(|said: &Said| said.0);
    out
}

/// Counts the words outside entries: description, sections, marks and text of their own.
fn words((lines, first): (&Lines<'_>, usize), parts: &[Part]) -> BTreeMap<String, usize> {
    let mut out = BTreeMap::new();
    let mut count = |line: &str| {
        for word in line.split_whitespace() {
            // The signs of fields and headings differ from notation to notation.
            let word = word.trim_matches([':', '@']);
            if !matches!(word, "" | ".." | "rubric") {
                *out.entry(word.to_owned()).or_insert(0) += 1;
            }
        }
    };
    (0..first).for_each(|row| count(lines.text(row)));
    for part in parts {
        match part {
            Part::Entries(_) => {}
            Part::Section(title, lines) => {
                count(title);
                lines.iter().for_each(|line| count(line));
            }
            Part::Text(lines) | Part::Mark(_, lines) => lines.iter().for_each(|line| count(line)),
        }
    }
    out
}
