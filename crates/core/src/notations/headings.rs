//! Markdown headings, as comments of Rust have them: `# Errors`, `# Panics`, `# Safety`, `# Examples`, and
//! now and then `# Arguments` with a list.
//!
//! Source for the headings: the Rust API guidelines, C-FAILURE, and RFC 1574.

use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle, title};
use super::summary::{blank, complete, describe, describe_from, entry, entry_name};
use super::{Addition, Lines, Order, Writer};
use crate::model::{Dialect, DocComment, EntryKind, EntryName, Name, NotationId};
use crate::text::near;

/// The notation.
pub(super) static HEADINGS: Notation = Notation {
    id: NotationId::new("headings"),
    looks_like: "# Errors, # Panics, # Safety",
    read,
    evidence: |lines| headings(lines).iter().filter(|(_, title)| meaning(title).is_some()).count(),
    spelling: |kind, name, _| match kind {
        EntryKind::Param | EntryKind::TypeParam | EntryKind::Property => format!("* `{name}` -"),
        EntryKind::Returns | EntryKind::Yields => "# Returns".to_owned(),
        EntryKind::Throws => format!("# {name}"),
    },
    holds: |kind| matches!(kind, EntryKind::Throws),
    writer: &HeadingWriter,
};

/// Sections that are entries, by the title that they have.
const SECTIONS: &[(&str, EntryKind)] = &[
    ("Errors", EntryKind::Throws),
    ("Panics", EntryKind::Throws),
    ("Safety", EntryKind::Throws),
    ("Arguments", EntryKind::Param),
    ("Parameters", EntryKind::Param),
    ("Returns", EntryKind::Returns),
    ("Return value", EntryKind::Returns),
];

/// Titles that say the same as one of these.
const OTHER_TITLES: &[(&str, &str)] = &[("Failure", "Errors"), ("Failures", "Errors")];

/// Finds what a title means; one letter off, or the singular, is the same title.
fn meaning(title: &str) -> Option<(&'static str, EntryKind)> {
    let bare = title.trim_end_matches(['.', ':']).trim();
    let known_as = OTHER_TITLES.iter().find(|(title, _)| title.eq_ignore_ascii_case(bare));
    let bare = known_as.map_or(bare, |&(_, known)| known);
    let same = SECTIONS.iter().find(|(known, _)| known.eq_ignore_ascii_case(bare));
    let found = same.or_else(|| {
        let word = bare.len() > 3 && !bare.contains(' ');
        SECTIONS.iter().find(|(known, _)| word && near(bare, known))
    });
    found.copied()
}

/// Tells whether a title stands above an example.
fn shows_use(title: &str) -> bool {
    title.starts_with("Example") || title.starts_with("Usage")
}

/// Returns the headings outside code, with their lines.
fn headings<'s>(lines: &Lines<'s>) -> Vec<(usize, &'s str)> {
    if !(0..lines.len()).any(|at| lines.trimmed(at).starts_with('#')) {
        return Vec::new();
    }
    let shielded = lines.shielded();
    let title = |at: usize| {
        let line = lines.trimmed(at);
        let title = line.trim_start_matches('#');
        let level = line.len() - title.len();
        ((1..=6).contains(&level) && title.starts_with(' ')).then(|| title.trim())
    };
    (0..lines.len()).filter(|&at| !shielded[at]).filter_map(|at| Some((at, title(at)?))).collect()
}

fn read(lines: &Lines<'_>, span: crate::text::Span) -> DocComment {
    let mut doc = blank(lines, span, HEADINGS.id);
    let headings = headings(lines);
    let upto = |number: usize| headings.get(number).map_or(lines.len(), |&(at, _)| at);
    describe(&mut doc, lines, upto(0));
    // A title may stand above the description.
    let is_title = |title: &str| meaning(title).is_none() && !shows_use(title);
    if let Some(&(at, title)) = headings.first()
        && doc.summary.is_none()
        && is_title(title)
    {
        describe_from(&mut doc, lines, (at + 1, 0), upto(1));
    }
    for (number, &(at, title)) in headings.iter().enumerate() {
        let next = headings.get(number + 1).map_or(lines.len(), |&(next, _)| next);
        let end = (at..next).rev().find(|&row| !lines.is_blank(row)).map_or(next, |row| row + 1);
        match meaning(title) {
            Some((name, kind @ EntryKind::Throws)) => {
                let place = lines.span_of(title);
                let mut found = entry(kind, place, (at, end));
                found.names.push(EntryName { name: Name::new(name), span: place, dotted: false });
                found.text = lines.text_span(0, at + 1, end);
                doc.entries.push(found);
            }
            Some((_, EntryKind::Returns)) => {
                let mut found = entry(EntryKind::Returns, lines.span_of(title), (at, end));
                found.text = lines.text_span(0, at + 1, end);
                doc.entries.push(found);
            }
            Some(_) => read_list(&mut doc, lines, at + 1, end),
            None => doc.beyond_summary = true,
        }
    }
    complete(&mut doc);
    if doc.blank && !headings.is_empty() {
        // What is told below a heading is told; code alone is not.
        let shielded = lines.shielded();
        let opens = |at: usize| ["#", "```", "~~~"].iter().any(|sign| lines.trimmed(at).starts_with(sign));
        let says = |at: usize| !shielded[at] && !lines.is_blank(at) && !opens(at);
        doc.blank = !(0..lines.len()).any(says);
    }
    doc
}

/// Reads a list of parameters: `* `name` - text`.
fn read_list(doc: &mut DocComment, lines: &Lines<'_>, from: usize, upto: usize) {
    let item = |at: usize| {
        let line = lines.trimmed(at);
        line.strip_prefix("* ").or_else(|| line.strip_prefix("- ")).map(str::trim_start)
    };
    let indent = (from..upto).find(|&at| item(at).is_some()).map_or(0, |at| lines.indent(at));
    let starts: Vec<usize> =
        (from..upto).filter(|&at| item(at).is_some() && lines.indent(at) == indent).collect();
    for (number, &at) in starts.iter().enumerate() {
        let end = starts.get(number + 1).copied().unwrap_or(upto);
        let Some((name, rest)) = item(at).and_then(|text| text.strip_prefix('`')?.split_once('`')) else {
            continue;
        };
        let mut found = entry(EntryKind::Param, lines.span_of(name), (at, end));
        found.names.extend(name.split(',').filter_map(|part| entry_name(lines, part.trim())));
        let text = rest.trim_start().trim_start_matches(['-', ':', '–']).trim_start();
        found.text = lines.text_span(lines.span_of(text).start, at, end);
        doc.entries.push(found);
    }
}

/// Writes sections at the end of the comment.
struct HeadingWriter;

impl HeadingWriter {
    fn entry(entry: &NewEntry) -> Vec<String> {
        Self::titled(entry.name.as_deref().unwrap_or("Returns"), &entry.text)
    }

    fn titled(title: &str, text: &str) -> Vec<String> {
        vec![String::new(), format!("# {title}"), String::new(), text.to_owned()]
    }
}

impl Writer for HeadingWriter {
    fn whole(&self, summary: &str, entries: &[NewEntry], _style: &WriteStyle) -> Vec<String> {
        let mut out = vec![summary.to_owned()];
        out.extend(entries.iter().flat_map(Self::entry));
        out
    }

    fn additions(
        &self,
        (doc, lines): (&DocComment, &Lines<'_>),
        entries: &[NewEntry],
        _order: &Order,
        _style: &WriteStyle,
    ) -> Vec<Addition> {
        let said = (0..lines.len()).rev().find(|&at| !lines.is_blank(at)).map_or(0, |at| at + 1);
        // Examples stay last.
        let examples = headings(lines).into_iter().find(|(_, title)| shows_use(title));
        let mut added: Vec<String> = entries.iter().flat_map(Self::entry).collect();
        let at = match examples {
            Some((at, _)) if doc.entries.iter().all(|entry| entry.lines.1 as usize <= at) => {
                added.remove(0);
                added.push(String::new());
                at
            }
            _ => said,
        };
        if added.is_empty() { Vec::new() } else { vec![Addition { at, lines: added }] }
    }

    fn section(&self, tag: &str, text: &str, _style: &WriteStyle) -> Vec<String> {
        Self::titled(&title(tag), text)
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }
}
