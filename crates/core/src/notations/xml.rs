//! XML elements: `<summary>`, `<param name="x">`.
//!
//! Source: ECMA-334 (the C# language standard), annex D, "Documentation comments".

use super::Lines;
use super::fields::{EntryLines, FieldWriter};
use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::summary::{blank, complete, describe, entry, mark};
use super::table::{Meaning, Tag, look_up};
use crate::model::{Dialect, DocComment, Entry, EntryKind, EntryName, MarkStanding, Name, NotationId};
use crate::text::{Span, first_sentence_end, has_second_sentence, is_wordless, narrow};

/// The notation.
pub(super) static XML: Notation = Notation {
    id: NotationId::new("xml"),
    looks_like: "<param name=\"name\">",
    read,
    evidence: |lines| {
        let found: Vec<usize> = (0..lines.len()).filter(|&at| opens_element(lines.trimmed(at))).collect();
        if found.is_empty() {
            return 0;
        }
        let shown = lines.between_commands("code", "endcode");
        found.into_iter().filter(|&at| !shown[at]).count()
    },
    spelling,
    holds: |kind| kind != EntryKind::Yields,
    writer: &FieldWriter(&XmlLines),
};

/// Tells whether a line opens with an element that no other notation has.
fn opens_element(line: &str) -> bool {
    const OWN: &[&str] =
        &["summary>", "param name=", "typeparam name=", "returns>", "exception cref=", "inheritdoc"];
    line.strip_prefix('<').is_some_and(|inner| OWN.iter().any(|own| inner.starts_with(own)))
}

const TABLE: &[Tag] = &[
    ("summary", Meaning::Mark),
    ("param", Meaning::Entry(EntryKind::Param)),
    ("typeparam", Meaning::Entry(EntryKind::TypeParam)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("exception", Meaning::Entry(EntryKind::Throws)),
    ("value", Meaning::Mark),
    ("inheritdoc", Meaning::Inherits),
    ("include", Meaning::Inherits),
    ("exclude", Meaning::Hidden),
    ("remarks", Meaning::Mark),
    ("example", Meaning::Mark),
    ("permission", Meaning::Mark),
    ("seealso", Meaning::Mark),
    ("see", Meaning::Mark),
    ("paramref", Meaning::Mark),
    ("typeparamref", Meaning::Mark),
    ("para", Meaning::Mark),
    ("code", Meaning::Mark),
    ("list", Meaning::Mark),
    ("note", Meaning::Mark),
    ("threadsafety", Meaning::Mark),
    ("preliminary", Meaning::Mark),
    ("overloads", Meaning::Mark),
    ("history", Meaning::Mark),
    ("author", Meaning::Mark),
    ("version", Meaning::Mark),
    ("created", Meaning::Mark),
    ("a", Meaning::Mark),
    ("b", Meaning::Mark),
    ("i", Meaning::Mark),
    ("p", Meaning::Mark),
    ("c", Meaning::Mark),
    ("br", Meaning::Mark),
    ("ul", Meaning::Mark),
    ("ol", Meaning::Mark),
    ("li", Meaning::Mark),
    ("item", Meaning::Mark),
    ("term", Meaning::Mark),
    ("description", Meaning::Mark),
    ("table", Meaning::Mark),
    ("pre", Meaning::Mark),
    ("em", Meaning::Mark),
    ("strong", Meaning::Mark),
    ("devdoc", Meaning::Mark),
];

/// The comment's text in one piece, with the way back to the source.
struct Joined {
    text: String,
    starts: Vec<(usize, u32)>,
}

impl Joined {
    fn new(lines: &Lines<'_>) -> Self {
        let mut text = String::new();
        let mut starts = Vec::new();
        for at in 0..lines.len() {
            starts.push((text.len(), lines.spans()[at].start));
            text.push_str(lines.text(at));
            text.push('\n');
        }
        Self { text, starts }
    }

    fn row(&self, at: usize) -> usize {
        self.starts.partition_point(|&(start, _)| start <= at).saturating_sub(1)
    }

    fn back(&self, at: usize) -> u32 {
        let (start, source) = self.starts.get(self.row(at)).copied().unwrap_or((0, 0));
        source + narrow(at - start)
    }

    /// The trimmed text of a range, as a span of the source.
    fn span(&self, from: usize, upto: usize) -> Option<Span> {
        let part = self.text.get(from..upto)?;
        let bare = part.trim();
        let start = from + (part.len() - part.trim_start().len());
        (!bare.is_empty()).then(|| Span::new(self.back(start), self.back(start + bare.len() - 1) + 1))
    }
}

/// An element at the top of the comment.
struct Element {
    /// Offset of `<`.
    open: usize,
    /// The name.
    name: (usize, usize),
    /// Attributes: name and the range of the value.
    attributes: Vec<(String, usize, usize)>,
    /// What is between the tags.
    inner: (usize, usize),
    /// Offset behind the element.
    end: usize,
}

/// Finds the elements that stand in no other element. A tag that is never closed holds what follows it
/// up to the next known element; one that was never opened is passed over.
fn elements(text: &str) -> Vec<Element> {
    let mut out = Vec::new();
    let mut at = 0;
    while let Some(found) = text[at..].find('<') {
        let open = at + found;
        if let Some(skipped) = skip_verbatim(text, open) {
            at = skipped;
            continue;
        }
        let Some(element) = element_at(text, open) else {
            at = open + 1;
            continue;
        };
        at = element.end.max(open + 1);
        out.push(element);
    }
    out
}

/// Returns the end of a comment or verbatim section inside the text.
fn skip_verbatim(text: &str, open: usize) -> Option<usize> {
    let rest = &text[open..];
    let (_, close) =
        [("<![CDATA[", "]]>"), ("<!--", "-->")].into_iter().find(|(mark, _)| rest.starts_with(mark))?;
    Some(rest.find(close).map_or(text.len(), |end| open + end + close.len()))
}

fn element_at(text: &str, open: usize) -> Option<Element> {
    let rest = &text[open + 1..];
    let length =
        rest.find(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '-' | ':'))).unwrap_or(rest.len());
    if length == 0 || !rest.starts_with(char::is_alphabetic) {
        return None;
    }
    let name = (open + 1, open + 1 + length);
    let (attributes, tag_end, closed) = attributes(text, name.1)?;
    let mut element = Element { open, name, attributes, inner: (tag_end, tag_end), end: tag_end };
    if closed {
        return Some(element);
    }
    let word = &text[name.0..name.1];
    let (inner_end, end) = closing(text, tag_end, word);
    element.inner.1 = inner_end;
    element.end = end;
    Some(element)
}

/// Finds where an element ends, nested ones of its own name set aside.
fn closing(text: &str, from: usize, name: &str) -> (usize, usize) {
    let mut depth = 0_usize;
    let mut at = from;
    while let Some(found) = text[at..].find('<') {
        let open = at + found;
        if let Some(skipped) = skip_verbatim(text, open) {
            at = skipped;
            continue;
        }
        let rest = &text[open + 1..];
        let (slash, word) = rest.strip_prefix('/').map_or((false, rest), |word| (true, word));
        let same = word
            .strip_prefix(name)
            .is_some_and(|after| after.starts_with(|c: char| c == '>' || c == '/' || c.is_whitespace()));
        if same && slash {
            let end = text[open..].find('>').map_or(text.len(), |close| open + close + 1);
            if depth == 0 {
                return (open, end);
            }
            depth -= 1;
        } else if same {
            let self_closed = attributes(text, open + 1 + name.len()).is_some_and(|(_, _, closed)| closed);
            depth += usize::from(!self_closed);
        }
        at = open + 1;
    }
    // Never closed: it holds what follows up to the next element at a line's start.
    let next = text[from..]
        .match_indices("\n")
        .map(|(line, _)| from + line + 1)
        .find(|&line| text[line..].trim_start_matches([' ', '\t']).starts_with('<') && line > from);
    next.map_or((text.len(), text.len()), |line| (line, line))
}

type Attributes = (Vec<(String, usize, usize)>, usize, bool);

/// Reads attributes up to the end of the tag: their ranges, the offset behind the tag, and whether it
/// closes itself.
fn attributes(text: &str, from: usize) -> Option<Attributes> {
    let mut found = Vec::new();
    let bytes = text.as_bytes();
    let mut at = from;
    loop {
        while bytes.get(at).is_some_and(u8::is_ascii_whitespace) {
            at += 1;
        }
        match bytes.get(at)? {
            b'>' => return Some((found, at + 1, false)),
            b'/' if bytes.get(at + 1) == Some(&b'>') => return Some((found, at + 2, true)),
            b'<' => return None,
            _ => {}
        }
        let name_end =
            text[at..].find(|c: char| c == '=' || c == '>' || c == '/' || c == '<' || c.is_whitespace())?;
        let name = text[at..at + name_end].to_owned();
        at += name_end.max(1);
        while bytes.get(at).is_some_and(u8::is_ascii_whitespace) {
            at += 1;
        }
        if bytes.get(at) != Some(&b'=') {
            continue;
        }
        at += 1;
        while bytes.get(at).is_some_and(u8::is_ascii_whitespace) {
            at += 1;
        }
        let quote = *bytes.get(at)?;
        if !matches!(quote, b'"' | b'\'') {
            continue;
        }
        let length = text[at + 1..].find(quote as char)?;
        found.push((name, at + 1, at + 1 + length));
        at += length + 2;
    }
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let joined = Joined::new(lines);
    let mut doc = blank(lines, span, XML.id);
    let elements = elements(&joined.text);
    let first = elements.iter().find(|element| is_known(&joined, element)).map(|element| element.open);
    let mut summarised = false;
    for element in &elements {
        let name = &joined.text[element.name.0..element.name.1];
        let rows = (joined.row(element.open), joined.row(element.end.saturating_sub(1)) + 1);
        let (meaning, standing) = look_up(TABLE, name);
        let means_summary = name == "summary" || standing == MarkStanding::Near("summary");
        match meaning {
            Some(Meaning::Entry(kind)) => doc.entries.extend(read_entry(&joined, element, kind, rows)),
            Some(Meaning::Inherits) => doc.inherits = true,
            Some(Meaning::Hidden) => doc.hidden = true,
            _ => {}
        }
        let is_entry = matches!(meaning, Some(Meaning::Entry(_)));
        if standing != MarkStanding::Known || !(is_entry || means_summary) {
            let place = Span::new(joined.back(element.name.0), joined.back(element.name.1));
            let mut made = mark(lines, lines.source().slice(place), standing, rows);
            made.span = place;
            doc.marks.push(made);
        }
        if means_summary && !summarised {
            summarised = true;
            read_summary(&mut doc, &joined, element, rows);
        }
        doc.beyond_summary |= matches!(name, "remarks" | "example" | "value");
    }
    if !summarised {
        // Text outside all elements is a description as well.
        let upto = first.map_or(lines.len(), |open| joined.row(open));
        describe(&mut doc, lines, upto);
    }
    complete(&mut doc);
    if summarised && doc.summary.is_none() && doc.entries.is_empty() && doc.marks.is_empty() && !doc.inherits
    {
        doc.blank = true;
    }
    doc
}

fn is_known(joined: &Joined, element: &Element) -> bool {
    let name = &joined.text[element.name.0..element.name.1];
    TABLE.iter().any(|(known, _)| *known == name)
}

fn read_summary(doc: &mut DocComment, joined: &Joined, element: &Element, rows: (usize, usize)) {
    let inner = &joined.text[element.inner.0..element.inner.1];
    let plain = without_elements(inner);
    doc.description = (narrow(rows.0), narrow(rows.1));
    if is_wordless(&plain) && !inner.contains("cref") && !inner.contains("name=") {
        return;
    }
    let start = element.inner.0 + (inner.len() - inner.trim_start().len());
    let end = first_sentence_end(joined.text[start..element.inner.1].trim_end());
    doc.summary = joined.span(start, start + end);
    // Not so `<paramref>`.
    let has_paragraphs = ["<para>", "<para "].iter().any(|tag| inner.contains(tag));
    doc.beyond_summary |= has_second_sentence(&plain) || has_paragraphs;
}

/// Takes tags out of a text; what they refer to stays as a word.
fn without_elements(text: &str) -> String {
    let mut out = String::new();
    let mut rest = text;
    while let Some(open) = rest.find('<') {
        out.push_str(&rest[..open]);
        let Some(close) = rest[open..].find('>') else { break };
        let tag = &rest[open..open + close];
        if let Some(value) = tag.split('"').nth(1) {
            out.push_str(value);
        }
        rest = &rest[open + close + 1..];
    }
    out.push_str(rest);
    out
}

fn read_entry(joined: &Joined, element: &Element, kind: EntryKind, rows: (usize, usize)) -> Option<Entry> {
    let tag = Span::new(joined.back(element.name.0), joined.back(element.name.1));
    let mut found = entry(kind, tag, rows);
    let attribute = if kind == EntryKind::Throws { "cref" } else { "name" };
    let value = element.attributes.iter().find(|(name, ..)| name == attribute);
    if kind != EntryKind::Returns {
        let &(_, from, upto) = value?;
        let text = &joined.text[from..upto];
        let span = Span::new(joined.back(from), joined.back(upto));
        let name =
            if kind == EntryKind::Throws { referred(text) } else { Name::new(text.trim_start_matches('@')) };
        found.names.push(EntryName { name, span, dotted: false });
    }
    found.text = joined.span(element.inner.0, element.inner.1);
    Some(found)
}

/// Returns the simple name that a `cref` refers to: `T:System.ArgumentException`, `List{T}`.
fn referred(text: &str) -> Name {
    let bare = match text.as_bytes() {
        [kind, b':', ..] if kind.is_ascii_uppercase() || *kind == b'!' => &text[2..],
        _ => text,
    };
    Name::simple(bare)
}

fn spelling(kind: EntryKind, name: &str, _dialect: Dialect) -> String {
    match kind {
        EntryKind::Param => format!("<param name=\"{name}\">"),
        EntryKind::TypeParam => format!("<typeparam name=\"{name}\">"),
        EntryKind::Returns | EntryKind::Yields => "<returns>".to_owned(),
        EntryKind::Throws => format!("<exception cref=\"{name}\">"),
        EntryKind::Property => format!("<value>{name}"),
    }
}

/// How this notation writes one entry.
struct XmlLines;

impl EntryLines for XmlLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        let open = spelling(entry.kind, entry.name.as_deref().unwrap_or_default(), style.dialect);
        let element = open[1..].split([' ', '>']).next().unwrap_or_default();
        vec![format!("{open}{}</{element}>", entry.text)]
    }

    fn summary(&self, summary: &str, _style: &WriteStyle) -> Vec<String> {
        vec!["<summary>".to_owned(), summary.to_owned(), "</summary>".to_owned()]
    }

    fn code(&self, text: &str, _dialect: Dialect) -> String {
        format!("<c>{}</c>", self.escape(text))
    }

    fn inherits(&self, _dialect: Dialect) -> Option<&'static str> {
        Some("<inheritdoc/>")
    }

    fn mark(&self, tag: &str, text: &str, _style: &WriteStyle) -> Option<String> {
        Some(format!("<{tag}>{}</{tag}>", self.escape(text)))
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }

    fn parted(&self) -> bool {
        false
    }

    fn escape(&self, text: &str) -> String {
        text.replace('&', "&amp;").replace('<', "&lt;").replace('>', "&gt;")
    }
}

#[cfg(test)]
mod tests {
    use super::{elements, without_elements};

    #[test]
    fn only_outer_elements_are_found() {
        let text =
            "<summary>Weighs <see cref=\"Crate\"/>.</summary>\n<param name=\"load\">a <c>kg</c></param>\n";
        let names: Vec<_> = elements(text).iter().map(|e| &text[e.name.0..e.name.1]).collect();
        assert_eq!(names, ["summary", "param"]);
    }

    #[test]
    fn an_open_element_ends_at_the_next_line_with_one() {
        let text = "<summary>Weighs\n<param name=\"load\">kg</param>\n";
        let names: Vec<_> = elements(text).iter().map(|e| &text[e.name.0..e.name.1]).collect();
        assert_eq!(names, ["summary", "param"]);
    }

    #[test]
    fn references_stay_as_words() {
        assert_eq!(without_elements("a <see cref=\"T:Crate\"/> b"), "a T:Crate b");
    }
}
