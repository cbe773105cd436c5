//! Writing in notations where an entry is a line or two of its own: tags, fields, elements.

use super::{Addition, Align, Lines, NewEntry, Order, TypeCustom, WriteStyle, Writer};
use crate::model::{Dialect, DocComment, Entry, EntryKind};
use crate::text::Span;

/// How one entry is written.
pub(super) trait EntryLines: Sync {
    /// Writes an entry.
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String>;

    /// Writes the summary.
    fn summary(&self, summary: &str, _style: &WriteStyle) -> Vec<String> {
        vec![summary.to_owned()]
    }

    /// Returns the heading of a list of parameters, and a parameter's item in it, where the notation has such lists.
    fn listed(&self, _entry: &NewEntry) -> Option<(&'static str, String)> {
        None
    }

    /// Tells when types are written.
    fn types(&self, dialect: Dialect) -> TypeCustom;

    /// Returns the mark that takes over the comment of what is overridden, where there is one.
    fn inherits(&self, _dialect: Dialect) -> Option<&'static str> {
        None
    }

    /// Writes a tag that documents no part of the signature.
    fn mark(&self, tag: &str, text: &str, _style: &WriteStyle) -> Option<String> {
        Some(format!("@{tag} {text}"))
    }

    /// Tells whether an empty line parts the description from the entries.
    fn parted(&self) -> bool {
        true
    }

    /// Marks text as code.
    fn code(&self, text: &str, _dialect: Dialect) -> String {
        format!("`{text}`")
    }

    /// Escapes text.
    fn escape(&self, text: &str) -> String {
        text.to_owned()
    }
}

/// Writes entries one below the other.
pub(super) struct FieldWriter(pub(super) &'static dyn EntryLines);

impl FieldWriter {
    /// Writes an entry with the words of the file.
    fn lines(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let mut lines = self.0.entry(entry, style);
        if let Some(first) = lines.first_mut() {
            style.words.put(entry.kind, first);
        }
        lines
    }
}

impl Writer for FieldWriter {
    fn whole(&self, summary: &str, entries: &[NewEntry], style: &WriteStyle) -> Vec<String> {
        let mut out = self.0.summary(&self.0.escape(summary), style);
        if self.parted(style) && !entries.is_empty() {
            out.push(String::new());
        }
        let mut lines: Vec<Vec<String>> = entries.iter().map(|entry| self.lines(entry, style)).collect();
        let params = |entry: &&NewEntry| entry.kind == EntryKind::Param;
        if style.listed && entries.iter().filter(params).count() > 1 {
            let mut heading = true;
            for (entry, lines) in entries.iter().zip(&mut lines).filter(|(entry, _)| params(entry)) {
                let Some((title, item)) = self.0.listed(entry) else { continue };
                *lines = if heading { vec![title.to_owned(), item] } else { vec![item] };
                heading = false;
            }
        }
        if style.align == Align::NamesAndTexts {
            align_names(entries, &mut lines);
        }
        if style.align != Align::No {
            align(entries, &mut lines);
        }
        out.extend(lines.into_iter().flatten());
        out
    }

    fn additions(
        &self,
        (doc, lines): (&DocComment, &Lines<'_>),
        entries: &[NewEntry],
        order: &Order,
        style: &WriteStyle,
    ) -> Vec<Addition> {
        let mut out: Vec<Addition> = Vec::new();
        let parted = self.0.parted() && (style.parted || style.dialect == Dialect::Colon);
        for entry in entries {
            let (at, opens) = match (style.dialect, entry.kind) {
                // Below the entries the description may go on.
                (Dialect::Colon, EntryKind::Returns) => at_end(lines),
                _ => place(doc, lines, entry, order),
            };
            let mut text = self.lines(entry, style);
            if let ([line], Some(columns)) = (&mut text[..], Columns::of(doc, lines, entry.kind)) {
                *line = columns.put(entry, line);
            }
            let lead = lead(doc, lines, entry);
            text.iter_mut().for_each(|line| line.insert_str(0, &lead));
            if let Some((lead, (_, item))) = list_lead(doc, lines, entry).zip(self.0.listed(entry)) {
                text = vec![format!("{}{}", " ".repeat(lead), item.trim_start())];
            }
            if let Some(same) = out.iter_mut().find(|addition| addition.at == at) {
                same.lines.extend(text);
                continue;
            }
            let mut added = Vec::new();
            // The first entries of a comment are parted from its description.
            let row_before = at.checked_sub(1).filter(|&row| !lines.is_blank(row) && !is_in_mark(doc, row));
            if opens && parted && row_before.is_some() {
                added.push(String::new());
            }
            added.extend(text);
            out.push(Addition { at, lines: added });
        }
        out
    }

    fn inherits(&self, dialect: Dialect) -> Option<&'static str> {
        self.0.inherits(dialect)
    }

    fn mark(&self, tag: &str, text: &str, style: &WriteStyle) -> Option<String> {
        self.0.mark(tag, text, style)
    }

    fn types(&self, dialect: Dialect) -> TypeCustom {
        self.0.types(dialect)
    }

    fn parted(&self, style: &WriteStyle) -> bool {
        self.0.parted() && style.parted
    }

    fn code(&self, text: &str, dialect: Dialect) -> String {
        self.0.code(text, dialect)
    }

    fn escape(&self, text: &str) -> String {
        self.0.escape(text)
    }
}

/// How the entries of a comment are laid out, where all are laid out alike.
struct Columns {
    /// Where names begin, in characters.
    name: Option<usize>,
    /// Where texts begin.
    text: Option<usize>,
    /// A hyphen stands before the text.
    hyphen: bool,
}

impl Columns {
    /// Reads the layout off the entries of a kind; nothing where there is none of its own.
    fn of(doc: &DocComment, lines: &Lines<'_>, kind: EntryKind) -> Option<Self> {
        let place = |entry: &Entry| {
            let line = lines.span_of(lines.text(entry.lines.0 as usize));
            let column = |at: u32| {
                let inside = line.start <= at && at <= line.end;
                inside.then(|| lines.source().slice(Span::new(line.start, at)).chars().count())
            };
            let (name, text) = (entry.name()?.span, entry.text?);
            let gap = lines.source().slice(Span::new(name.end, text.start.max(name.end)));
            Some((column(name.start)?, column(text.start)?, gap))
        };
        let places: Vec<_> = doc.entries_of(kind).map(place).collect::<Option<_>>()?;
        let Some(&(name, text, _)) = places.first() else { return Self::of_others(doc, lines) };
        let hyphen = places.iter().all(|(.., gap)| gap.trim_matches([' ', ']', ')']) == "-");
        // Several blanks before the text tell that somebody meant the column.
        let wide = |gap: &str| gap.len() > if hyphen { 3 } else { 1 } && (hyphen || gap.trim().is_empty());
        let meant = places.len() > 1
            && places.iter().any(|(.., gap)| wide(gap))
            && places.iter().all(|&(_, other, _)| other == text);
        let names_too = meant && places.iter().all(|&(other, ..)| other == name);
        // The comment's own indentation is put in front of what is added, and is no part of the line.
        let lead = lines.indent(doc.entries_of(kind).next()?.lines.0 as usize);
        (meant || hyphen).then(|| Self {
            name: names_too.then(|| name.saturating_sub(lead)),
            text: meant.then(|| text.saturating_sub(lead)),
            hyphen,
        })
    }

    /// Reads the layout off the entries of other kinds: several blanks before all their texts, in one column.
    fn of_others(doc: &DocComment, lines: &Lines<'_>) -> Option<Self> {
        let column = |entry: &Entry| {
            let line = lines.span_of(lines.text(entry.lines.0 as usize));
            let before = entry.text.filter(|text| line.start <= text.start && text.start <= line.end)?;
            let before = lines.source().slice(Span::new(line.start, before.start));
            before.ends_with("  ").then(|| before.chars().count())
        };
        let columns: Vec<usize> = doc.entries.iter().map(column).collect::<Option<_>>()?;
        let first = *columns.first()?;
        let lead = lines.indent(doc.entries[0].lines.0 as usize);
        let meant = columns.iter().all(|&column| column == first);
        meant.then(|| Self { name: None, text: Some(first.saturating_sub(lead)), hyphen: false })
    }

    /// Lays out a new entry like the others, as far as it fits.
    fn put(&self, entry: &NewEntry, line: &str) -> String {
        let pad = |head: &str, column: usize| {
            let head = head.trim_end();
            let wide = column.saturating_sub(head.chars().count()).max(1);
            format!("{head}{}", " ".repeat(wide))
        };
        let Some(head) = line.strip_suffix(entry.text.as_str()).filter(|head| head.ends_with(' ')) else {
            return line.to_owned();
        };
        let head = head.trim_end();
        let mut head = head.strip_suffix(" -").unwrap_or(head).to_owned();
        if let (Some(column), Some((before, name))) = (self.name, head.rsplit_once(' ')) {
            head = format!("{}{name}", pad(before, column_of_name(name, column)));
        }
        let sign = if self.hyphen { "- " } else { "" };
        let column = self.text.unwrap_or(0).saturating_sub(sign.len());
        format!("{}{sign}{}", pad(&head, column), entry.text)
    }
}

/// A sign in front of a name stands before the column.
fn column_of_name(name: &str, column: usize) -> usize {
    let signs = name.chars().take_while(|c| !c.is_alphanumeric() && *c != '_').count();
    column.saturating_sub(signs)
}

/// Where the parts of an entry stand on its line, in characters.
struct Place {
    /// Behind the tag, and the type where there is one.
    head: usize,
    /// Before the name.
    name: usize,
    /// Behind the name.
    end: usize,
    /// Before the text.
    text: usize,
}

impl Place {
    fn of(entry: &Entry, lines: &Lines<'_>) -> Option<Self> {
        let line = lines.span_of(lines.text(entry.lines.0 as usize));
        let before = |at: u32| lines.source().slice(Span::new(line.start, at.max(line.start)));
        let column = |at: u32| before(at).chars().count();
        let (name, text) = (entry.name()?.span, entry.text.filter(|text| text.start <= line.end)?);
        let head = before(name.start).trim_end_matches([' ', '$', '&', '*', '.']).chars().count();
        Some(Self { head, name: column(name.start), end: column(name.end), text: column(text.start) })
    }
}

/// Tells what stands in columns in a comment; nothing where its entries would look the same either way.
pub(crate) fn aligned(doc: &DocComment, lines: &Lines<'_>) -> Option<Align> {
    let entries = doc.entries_of(EntryKind::Param);
    let places: Vec<Place> = entries.filter_map(|entry| Place::of(entry, lines)).collect();
    let first = places.first()?;
    let all = |part: fn(&Place) -> usize| places.iter().all(|place| part(place) == part(first));
    // Types of one length put the names below each other, and names of one length the texts.
    let heads = all(|place| place.head);
    match (all(|place| place.text), all(|place| place.name)) {
        _ if places.len() < 2 || (heads && all(|place| place.end)) => None,
        (true, true) if !heads => Some(Align::NamesAndTexts),
        (true, _) => Some(Align::Texts),
        (false, _) => Some(Align::No),
    }
}

/// Puts the names of parameters into one column, behind their types.
fn align_names(entries: &[NewEntry], lines: &mut [Vec<String>]) {
    let split = |entry: &NewEntry, line: &[String]| {
        let [line] = line else { return None };
        let name = entry.name.as_deref().filter(|_| entry.kind == EntryKind::Param)?;
        let head = line.strip_suffix(entry.text.as_str())?;
        let at = head.rfind(name)?;
        let at = head[..at].rfind(' ')?;
        Some((line[..at].to_owned(), line[at..].to_owned()))
    };
    let parts: Vec<_> = entries.iter().zip(&*lines).map(|(entry, line)| split(entry, line)).collect();
    let width = parts.iter().flatten().map(|(head, _)| head.chars().count()).max().unwrap_or(0);
    for (line, parts) in lines.iter_mut().zip(parts) {
        if let Some((head, rest)) = parts {
            *line = vec![format!("{head:<width$}{rest}")];
        }
    }
}

/// Puts the descriptions of entries of one kind into one column.
fn align(entries: &[NewEntry], lines: &mut [Vec<String>]) {
    let head = |entry: &NewEntry, line: &str| {
        let head = line.strip_suffix(entry.text.as_str()).filter(|head| head.ends_with(' '))?.trim_end();
        // A hyphen stands before the description.
        let (bare, sign) = head.strip_suffix(" -").map_or((head, ""), |bare| (bare, "- "));
        Some((bare.to_owned(), sign))
    };
    let of_line = |at: usize, lines: &[Vec<String>]| match &lines[at][..] {
        [line] => head(&entries[at], line),
        _ => None,
    };
    let widths: Vec<usize> = (0..entries.len())
        .map(|at| {
            let alike = (0..entries.len()).filter(|&other| entries[other].kind == entries[at].kind);
            let heads = alike.filter_map(|other| of_line(other, lines));
            heads.map(|(head, _)| head.chars().count()).max().unwrap_or(0)
        })
        .collect();
    for at in 0..entries.len() {
        if let Some((head, sign)) = of_line(at, lines) {
            lines[at] = vec![format!("{head:<width$} {sign}{}", entries[at].text, width = widths[at])];
        }
    }
}

/// Returns how far the items of a list of parameters are indented beyond the comment's text; nothing where there is no
/// such list, or the entry does not belong into it.
fn list_lead(doc: &DocComment, lines: &Lines<'_>, entry: &NewEntry) -> Option<usize> {
    let items = |found: &&Entry| found.opens_with_name();
    let item = doc.entries_of(EntryKind::Param).find(items).filter(|_| entry.kind == EntryKind::Param)?;
    Some(lines.indent(item.lines.0 as usize).saturating_sub(least(lines)))
}

/// Returns the white space by which entries stand behind the comment's text.
fn lead(doc: &DocComment, lines: &Lines<'_>, entry: &NewEntry) -> String {
    let alike = doc.entries_of(entry.kind).next().or(doc.entries.first());
    let row = alike.map(|entry| entry.lines.0).or(doc.marks.first().map(|mark| mark.lines.0));
    let row = row.map(|row| row as usize).filter(|&row| row > 0 && row < lines.len());
    let is_below = alike.is_none_or(|entry| !entry.opens_with_name());
    let by = row.filter(|_| is_below).map_or(0, |row| lines.indent(row).saturating_sub(least(lines)));
    " ".repeat(by)
}

/// Returns the least indentation of the lines that say something; the first, which stands behind the opening mark, counts
/// only where it is the only one.
fn least(lines: &Lines<'_>) -> usize {
    let said = |from: usize| (from..lines.len()).filter(|&row| !lines.is_blank(row));
    let below = said(1).map(|row| lines.indent(row)).min();
    below.or_else(|| said(0).map(|row| lines.indent(row)).min()).unwrap_or(0)
}

fn is_in_mark(doc: &DocComment, row: usize) -> bool {
    doc.marks.iter().any(|mark| (mark.lines.0 as usize) <= row && row < mark.lines.1 as usize)
}

/// Returns the line before which an entry goes, and whether it is the first entry there.
fn place(doc: &DocComment, lines: &Lines<'_>, entry: &NewEntry, order: &Order) -> (usize, bool) {
    let ranked = matches!(entry.kind, EntryKind::Param | EntryKind::TypeParam);
    let alike: Vec<(usize, &Entry)> =
        doc.entries.iter().enumerate().filter(|(_, found)| found.kind == entry.kind).collect();
    let goes_before = |at: usize| !ranked || order.rank(at).is_some_and(|rank| rank <= entry.rank);
    let before = alike.iter().rfind(|&&(at, _)| goes_before(at)).map(|&(_, found)| found);
    if let Some(found) = before {
        return (behind(found), false);
    }
    if let Some(&(_, found)) = alike.first() {
        return (ahead(found), false);
    }
    if let Some(found) = doc.entries.iter().rfind(|found| found.kind < entry.kind) {
        return (behind(found), false);
    }
    if let Some(found) = doc.entries.iter().find(|found| found.kind > entry.kind) {
        return (ahead(found), false);
    }
    if let Some(mark) = doc.marks.iter().find(|mark| mark.lines.0 as usize >= doc.description.1 as usize) {
        return (mark.lines.0 as usize, true);
    }
    at_end(lines)
}

fn at_end(lines: &Lines<'_>) -> (usize, bool) {
    let last = (0..lines.len()).rev().find(|&at| !lines.is_blank(at)).unwrap_or(0);
    (last + 1, true)
}

fn behind(entry: &Entry) -> usize {
    entry.lines.1 as usize
}

fn ahead(entry: &Entry) -> usize {
    entry.lines.0 as usize
}
