//! Commands at the start of a line, `@param name text` or `\param name text`, as comments of the C family
//! have them; and, as a variant found per comment, the colon form: `name() - summary`, `@name: text`.

use super::notation::{NewEntry, Notation, TypeCustom, WriteStyle};
use super::summary::{blank, complete, describe_from, entry, entry_name, first_word, mark};
use super::table::{Meaning, Tag, apply, entry_kind, look_up};
use super::{Lines, fields, fields::EntryLines};
use crate::model::{
    Dialect, DocComment, Entry, EntryKind, EntryName, MarkStanding, Name, NotationId, Surface,
};
use crate::text::{Source, Span, has_second_sentence, narrow};

/// The notation.
pub(super) static COMMANDS: Notation = Notation {
    id: NotationId::new("commands"),
    looks_like: "@param name text, \\param name text",
    read,
    evidence: |lines| opens(lines).into_iter().filter(|&open| is_telling(lines, open)).count(),
    spelling,
    holds: |kind| !matches!(kind, EntryKind::Yields),
    writer: &fields::FieldWriter(&CommandLines),
};

pub(super) const TABLE: &[Tag] = &[
    ("param", Meaning::Entry(EntryKind::Param)),
    ("tparam", Meaning::Entry(EntryKind::TypeParam)),
    ("return", Meaning::Entry(EntryKind::Returns)),
    ("returns", Meaning::Entry(EntryKind::Returns)),
    ("result", Meaning::Entry(EntryKind::Returns)),
    ("retval", Meaning::Entry(EntryKind::Returns)),
    ("throw", Meaning::Entry(EntryKind::Throws)),
    ("throws", Meaning::Entry(EntryKind::Throws)),
    ("exception", Meaning::Entry(EntryKind::Throws)),
    ("property", Meaning::Entry(EntryKind::Property)),
    ("copydoc", Meaning::Inherits),
    ("copybrief", Meaning::Inherits),
    ("copydetails", Meaning::Inherits),
    ("overload", Meaning::Inherits),
    ("deprecated", Meaning::Deprecated),
    ("private", Meaning::Surface(Surface::Private)),
    ("protected", Meaning::Surface(Surface::Protected)),
    ("public", Meaning::Surface(Surface::Public)),
    ("internal", Meaning::Mark),
    ("attention", Meaning::Mark),
    ("author", Meaning::Mark),
    ("authors", Meaning::Mark),
    ("abstract", Meaning::Mark),
    ("brief", Meaning::Mark),
    ("bug", Meaning::Mark),
    ("copyright", Meaning::Mark),
    ("date", Meaning::Mark),
    ("details", Meaning::Mark),
    ("example", Meaning::Mark),
    ("invariant", Meaning::Mark),
    ("license", Meaning::Mark),
    ("note", Meaning::Mark),
    ("par", Meaning::Mark),
    ("post", Meaning::Mark),
    ("pre", Meaning::Mark),
    ("remark", Meaning::Mark),
    ("remarks", Meaning::Mark),
    ("sa", Meaning::Mark),
    ("see", Meaning::Mark),
    ("short", Meaning::Mark),
    ("since", Meaning::Mark),
    ("test", Meaning::Mark),
    ("todo", Meaning::Mark),
    ("version", Meaning::Mark),
    ("warning", Meaning::Mark),
];

/// Commands that say what or where a comment is, on a line of their own; text may follow them.
pub(super) const STRUCTURE: &[&str] = &[
    "addtogroup", "anchor", "callergraph", "callgraph", "category", "class", "cond", "concept", "def",
    "defgroup", "dir", "else", "elseif", "endcond", "endif", "endinternal", "enum", "extends", "file", "fn",
    "headerfile", "hideinitializer", "if", "ifnot", "implements", "ingroup", "interface", "internal",
    "mainpage", "memberof", "module", "name", "namespace", "nosubgrouping", "package", "page",
    "private_member", "protocol", "pure", "related", "relatedalso", "relates", "relatesalso", "section",
    "showinitializer", "static", "struct", "subpage", "subsection", "subsubsection", "tableofcontents",
    "typedef", "union", "var", "weakgroup",
];

/// Commands inside running text.
const INLINE: &[&str] = &[
    "a", "arg", "b", "c", "cite", "copybrief", "diafile", "dontinclude", "dotfile", "e", "em", "emoji",
    "endlink", "f", "htmlinclude", "image", "include", "includelineno", "li", "line", "link", "mscfile", "n",
    "p", "ref", "refitem", "secreflist", "skip", "skipline", "snippet", "until", "verbinclude", "xrefitem",
];

/// Commands that open text in which nothing is read, with what ends it.
const VERBATIM: &[(&str, &str)] = &[
    ("code", "endcode"),
    ("verbatim", "endverbatim"),
    ("dot", "enddot"),
    ("msc", "endmsc"),
    ("startuml", "enduml"),
    ("htmlonly", "endhtmlonly"),
    ("latexonly", "endlatexonly"),
    ("xmlonly", "endxmlonly"),
    ("manonly", "endmanonly"),
    ("rtfonly", "endrtfonly"),
    ("f[", "f]"),
    ("f{", "f}"),
];

fn is_inline(name: &str) -> bool {
    INLINE.contains(&name) || VERBATIM.iter().any(|(open, close)| *open == name || *close == name)
}

/// Returns the name of the command that opens a line, and its sign.
fn opening(line: &str) -> Option<(char, &str)> {
    let trimmed = line.trim_start();
    let sign = trimmed.chars().next().filter(|sign| matches!(sign, '@' | '\\'))?;
    let rest = &trimmed[1..];
    let end = rest.find(|c: char| !c.is_ascii_alphanumeric() && c != '_').unwrap_or(rest.len());
    let after = rest[end..].chars().next();
    let command = rest.starts_with(|c: char| c.is_ascii_lowercase())
        && !matches!(after, Some('-' | '\\' | '.' | '/' | '(' | '@'));
    command.then(|| (sign, &rest[..end]))
}

/// Returns, line by line, whether it lies in text in which nothing is read.
fn shielded(lines: &Lines<'_>) -> Vec<bool> {
    let mut out = lines.shielded();
    for at in (0..lines.len()).filter(|&at| lines.trimmed(at).ends_with("::")) {
        // Docstrings show code below such a line, further in.
        let inside = |row: &usize| lines.is_blank(*row) || lines.indent(*row) > lines.indent(at);
        (at + 1..lines.len()).take_while(inside).for_each(|row| out[row] = true);
    }
    let mut closing: Option<&str> = None;
    for (at, shield) in out.iter_mut().enumerate() {
        let line = lines.text(at);
        let has = |name: &str| {
            [format!("@{name}"), format!("\\{name}")].iter().any(|text| line.contains(text.as_str()))
        };
        match closing {
            Some(close) => {
                *shield = true;
                if has(close) {
                    closing = None;
                }
            }
            None if line.contains(['@', '\\']) => {
                let opened = VERBATIM.iter().find(|(open, close)| {
                    opening(line).is_some_and(|(_, name)| name == *open || open.starts_with("f") && has(open))
                        && !has(close)
                });
                closing = opened.map(|&(_, close)| close);
            }
            None => {}
        }
    }
    // What is opened and never closed shields nothing.
    if closing.is_some() { lines.shielded() } else { out }
}

/// Commands that the opening description stands behind.
const BRIEF: &[&str] = &["brief", "short", "abstract"];

/// Returns the lines that commands open, with their names.
fn opens<'s>(lines: &Lines<'s>) -> Vec<(usize, char, &'s str)> {
    // Most comments have none: one look at the whole tells.
    if memchr::memchr2(b'@', b'\\', lines.whole().as_bytes()).is_none() {
        return Vec::new();
    }
    let shielded = shielded(lines);
    (0..lines.len())
        .filter(|&at| !shielded[at])
        .filter_map(|at| opening(lines.text(at)).map(|(sign, name)| (at, sign, name)))
        .filter(|(_, _, name)| !is_inline(name))
        .collect()
}

/// Tells whether a command opens a summary or an entry and its text as no field does, whose text stands behind a colon:
/// `@param name text`.
fn is_telling(lines: &Lines<'_>, (at, _, name): (usize, char, &str)) -> bool {
    let behind = lines.text(at).trim_start()[1..].strip_prefix(name).unwrap_or_default();
    let tells =
        BRIEF.contains(&name) || matches!(entry_kind(TABLE, name), Some(kind) if kind != EntryKind::Property);
    let field = behind.split_once(':').is_some_and(|(head, _)| head.split_whitespace().count() < 2);
    tells && !field && behind.starts_with(char::is_whitespace) && !behind.trim().is_empty()
}

fn read(lines: &Lines<'_>, span: Span) -> DocComment {
    let mut doc = blank(lines, span, COMMANDS.id);
    // Comments that are headed by a name say so in a paragraph.
    doc.deprecated = (0..lines.len()).any(|at| lines.trimmed(at).starts_with("Deprecated:"));
    let opens = opens(lines);
    if reads_as_colon_form(lines, &opens) {
        read_colon(&mut doc, lines);
        complete(&mut doc);
        return doc;
    }
    describe_opening(&mut doc, lines, &opens);
    if let Some(command) = command_behind_summary(&doc, lines) {
        doc.beyond_summary = false;
        doc.deprecated |= command == "deprecated";
    }
    for (number, &(at, sign, name)) in opens.iter().enumerate() {
        let end = opens.get(number + 1).map_or(lines.len(), |&(next, ..)| next);
        let kind = entry_kind(TABLE, name);
        let behind = kind.map_or(end, |kind| paragraph_end(lines, at, (name, kind), end));
        read_command(&mut doc, lines, (sign, name), (at, lines.last_said(at, behind)));
        // Text of the comment may stand below its entries alone, below a remark, or behind the command for details.
        if doc.summary.is_none() {
            let below = if behind < end { Some(behind) } else { below_remarked(lines, name, (at, end)) };
            if let Some(below) = below {
                describe_from(&mut doc, lines, (below, 0), end);
            } else if name == "details" {
                describe_from(&mut doc, lines, (at, lines.span_of(name).end), end);
            }
        }
    }
    for line in (0..lines.len()).map(|at| lines.text(at)) {
        doc.inherits |=
            ["@copydoc", "\\copydoc", "@copybrief", "\\copybrief"].iter().any(|c| line.contains(c));
    }
    complete(&mut doc);
    doc
}

/// The opening description begins with the text of `brief`, or else with the first line that is text.
fn describe_opening(doc: &mut DocComment, lines: &Lines<'_>, opens: &[(usize, char, &str)]) {
    let brief = opens.iter().position(|(.., name)| BRIEF.contains(name));
    let runs_on = |name: &str| is_beside(name) || BRIEF.contains(&name);
    let first = brief.unwrap_or(0);
    let end = |from: usize| {
        let stop = opens.iter().skip(from).find(|(.., name)| !runs_on(name));
        stop.map_or(lines.len(), |&(at, ..)| at)
    };
    match brief {
        Some(number) => {
            let (at, _, name) = opens[number];
            let upto = end(number);
            describe_past(doc, lines, (at, lines.span_of(name).end), upto, opens);
            // The brief text ends with its paragraph, full stop or not.
            // A command of structure (`@ingroup`) says nothing.
            let command = |row: usize| opens.iter().find(|(open, ..)| *open == row).map(|&(.., name)| name);
            doc.beyond_summary |= (at + 1..upto).filter(|&row| !lines.is_blank(row)).any(|row| {
                let opened = command(row);
                opened.map_or(lines.is_blank(row - 1), |name| !STRUCTURE.contains(&name))
            });
        }
        None => {
            let structural = opens.iter().skip(first).take_while(|(.., name)| STRUCTURE.contains(name));
            let said_before = opens.first().is_some_and(|&(at, ..)| (0..at).any(|row| !lines.is_blank(row)));
            match structural.last().filter(|_| !said_before) {
                // `\internal Weighs a crate.`: the text may begin on the line.
                Some(&(at, _, name)) if name == "internal" => {
                    // Before all else it speaks of the whole.
                    doc.surface = doc.surface.or(Some(Surface::Package));
                    describe_past(doc, lines, (at, lines.span_of(name).end), end(0).max(at + 1), opens);
                }
                above => {
                    let from = above.map_or_else(|| below_name(lines), |&(at, ..)| at + 1);
                    describe_past(doc, lines, (from, 0), end(0).max(from), opens);
                }
            }
            if doc.summary.is_some() {
                return;
            }
            if let Some((below, upto)) = below_remark(lines, opens) {
                describe_from(doc, lines, (below, 0), upto);
            } else if let Some(&(at, _, name)) = opens.first()
                && matches!(name, "remark" | "remarks")
            {
                // What is remarked before all else, with nothing besides, is the description.
                let upto = opens.get(1).map_or(lines.len(), |&(next, ..)| next);
                describe_from(doc, lines, (at, lines.span_of(name).end), upto);
            }
        }
    }
}

/// Returns the command that is all that follows the first sentence: `Weighs a crate. \since 1.2` says no more than that, nor
/// does one of a project's own that stands alone, `Weighs a crate. @HALL`.
fn command_behind_summary(doc: &DocComment, lines: &Lines<'_>) -> Option<String> {
    const PLAIN: &[&str] =
        &["since", "version", "date", "author", "see", "sa", "deprecated", "stable", "draft", "internal"];
    let summary = doc.summary?;
    let mut rest = String::new();
    for row in doc.description.0..doc.description.1 {
        let (span, text) = (lines.trimmed_span(row as usize), lines.trimmed(row as usize));
        let skipped = summary.end.clamp(span.start, span.end) - span.start;
        rest.push_str(text.get(skipped as usize..).unwrap_or_default());
        rest.push(' ');
    }
    let rest = rest.trim_start().strip_prefix(['\\', '@'])?;
    let (command, behind) = first_word(rest);
    let says_nothing =
        PLAIN.contains(&command) || behind.trim().is_empty() && entry_kind(TABLE, command).is_none();
    (says_nothing && !has_second_sentence(rest)).then(|| command.to_owned())
}

/// Tells whether a command ends the sentence above it, and the description goes on behind it.
fn is_beside(name: &str) -> bool {
    STRUCTURE.contains(&name) || name == "details"
}

/// Describes as `describe_from` does; what stands behind lines with commands of structure or `@details` is no part of the
/// opening sentence.
fn describe_past(
    doc: &mut DocComment,
    lines: &Lines<'_>,
    (from, start): (usize, u32),
    upto: usize,
    opens: &[(usize, char, &str)],
) {
    let inside = |at: usize| from < at && at < upto;
    let structure = opens.iter().find(|&&(at, _, name)| inside(at) && is_beside(name));
    let Some(&(first, ..)) = structure else {
        describe_from(doc, lines, (from, start), upto);
        return;
    };
    describe_from(doc, lines, (from, start), first);
    if doc.summary.is_none() {
        describe_from(doc, lines, (from, start), upto);
        return;
    }
    let says_nothing = |row: usize| opens.iter().any(|&(at, _, name)| at == row && STRUCTURE.contains(&name));
    let last = (first..upto).rev().find(|&row| !lines.is_blank(row) && !says_nothing(row));
    if let Some(last) = last {
        doc.description.1 = narrow(last + 1);
        doc.beyond_summary = true;
    }
}

/// Commands whose text ends with its paragraph.
const REMARKS: &[&str] = &[
    "warning", "note", "attention", "remark", "remarks", "since", "deprecated", "todo", "bug", "version",
    "author", "date", "pre", "post", "copyright",
];

/// Finds the paragraph below a remark that a comment opens with, which is the description: first line and behind the
/// last.
fn below_remark(lines: &Lines<'_>, opens: &[(usize, char, &str)]) -> Option<(usize, usize)> {
    let behind = |number: usize| opens.get(number + 1).map_or(lines.len(), |&(next, ..)| next);
    let mut remarks = opens.iter().enumerate().take_while(|(_, (.., name))| REMARKS.contains(name));
    remarks.find_map(|(number, &(at, _, name))| {
        let below = below_remarked(lines, name, (at, behind(number)))?;
        Some((below, behind(number)))
    })
}

/// Finds the paragraph below a remark, which ends with its own: its first line.
fn below_remarked(lines: &Lines<'_>, name: &str, (at, upto): (usize, usize)) -> Option<usize> {
    let gap = (at + 1..upto).find(|&row| lines.is_blank(row)).filter(|_| REMARKS.contains(&name))?;
    (gap..upto).find(|&row| !lines.is_blank(row))
}

/// Returns the row behind an entry: it ends with its paragraph where the text below stands no further in than its
/// command, and is no item of a list.
fn paragraph_end(lines: &Lines<'_>, at: usize, (name, kind): (&str, EntryKind), upto: usize) -> usize {
    let behind = lines.text(at).trim_start()[1..].strip_prefix(name).unwrap_or_default();
    // A name alone has its text below.
    let named = kind != EntryKind::Returns || name == "retval";
    let told = behind.split_whitespace().nth(usize::from(named)).is_some()
        || (at + 1 < upto && !lines.is_blank(at + 1));
    let indent = lines.indent(at);
    let goes_on = |row: usize| {
        let text = lines.trimmed(row);
        let item =
            text.starts_with(|c: char| c.is_ascii_digit() || matches!(c, '-' | '*' | '+' | '#' | '|' | '.'));
        lines.indent(row) > indent || item || matches!(opening(text), Some((_, "li" | "arg")))
    };
    let ends = |row: usize| lines.is_blank(row - 1) && !lines.is_blank(row) && !goes_on(row);
    (at + 1..upto).find(|&row| told && ends(row)).unwrap_or(upto)
}

fn read_command(doc: &mut DocComment, lines: &Lines<'_>, (sign, name): (char, &str), rows: (usize, usize)) {
    let (mut meaning, mut standing) = look_up(TABLE, name);
    if STRUCTURE.contains(&name) || (sign == '\\' && standing != MarkStanding::Known) {
        // A backslash may be anything.
        (meaning, standing) = (Some(Meaning::Mark), MarkStanding::Known);
    }
    if standing != MarkStanding::Known {
        doc.marks.push(mark(lines, name, standing.clone(), rows));
    }
    if let Some(kind) = apply(doc, meaning) {
        doc.entries.push(read_entry(lines, kind, name, rows));
        return;
    }
    if standing == MarkStanding::Known && !BRIEF.contains(&name) {
        doc.marks.push(mark(lines, name, MarkStanding::Known, rows));
    }
}

fn read_entry(lines: &Lines<'_>, kind: EntryKind, tag: &str, rows: (usize, usize)) -> Entry {
    let mut found = entry(kind, lines.span_of(tag), rows);
    let line = lines.text(rows.0);
    let behind = (lines.span_of(tag).end - lines.spans()[rows.0].start) as usize;
    let mut rest = line[behind..].trim_start_matches(':').trim_start();
    // `[in,out]`
    if kind == EntryKind::Param
        && let Some((_, after)) = rest.strip_prefix('[').and_then(|inner| inner.split_once(']'))
    {
        rest = after.trim_start();
    }
    if kind != EntryKind::Returns || tag == "retval" {
        let (word, after) = keyword(lines, rest, &mut found).unwrap_or_else(|| first_word(rest));
        // `@param a, b text`: names that go on behind a comma.
        let (word, after) = names_until(rest, word, after);
        if tag == "retval" {
            found.value = Some(lines.span_of(word));
        } else if kind == EntryKind::Throws {
            found.names.extend(thrown_name(lines, word));
        } else {
            found.names.extend(word.split([',', ' ']).filter_map(|part| entry_name(lines, part)));
            if word.trim() == "..." {
                found.names.push(EntryName {
                    name: Name::new("..."),
                    span: lines.span_of(word.trim()),
                    dotted: true,
                });
            }
        }
        rest = after;
    }
    // The entry ends with its paragraph where text of the comment goes on behind it.
    found.text = lines.text_span(lines.span_of(rest).start, rows.0, rows.1).and_then(|span| {
        let text = lines.source().slice(span);
        let bare = text.trim_start_matches(['-', '–', '—', ':']).trim_start();
        (!bare.is_empty()).then(|| Span::of(span.end as usize - bare.len(), span.end as usize))
    });
    found
}

/// Splits off a parameter that is passed by keyword, as macro languages have them: `name=`, and the default
/// in brackets behind it, `name= (work)`.
fn keyword<'t>(lines: &Lines<'_>, rest: &'t str, found: &mut Entry) -> Option<(&'t str, &'t str)> {
    let (word, _) = first_word(rest);
    let equals = word.find('=').filter(|&at| at > 0)?;
    let behind = rest[rest.len() - rest.trim_start().len() + equals + 1..].trim_start();
    let default = behind.strip_prefix('(').and_then(|inner| Some(inner.split_at(closing(inner)?)));
    let Some((default, after)) = default else { return Some((&word[..equals], behind)) };
    let after = &after[1..];
    if !default.trim().is_empty() {
        found.default = Some(lines.span_of(default.trim()));
    }
    found.optional = true;
    Some((&word[..equals], after))
}

/// Returns where the bracket is closed that was opened before a text: `%str( )) the rest`.
fn closing(text: &str) -> Option<usize> {
    let mut depth = 0_usize;
    for (at, c) in text.bytes().enumerate() {
        match c {
            b'(' => depth += 1,
            b')' if depth == 0 => return Some(at),
            b')' => depth -= 1,
            _ => {}
        }
    }
    None
}

/// Widens a first word that ends with a comma by the words that belong to the same list.
fn names_until<'t>(rest: &'t str, word: &'t str, after: &'t str) -> (&'t str, &'t str) {
    let (mut word, mut after) = (word, after);
    while word.ends_with(',') {
        let (next, behind) = first_word(after);
        let bare = next.trim_end_matches(',');
        if bare.is_empty() || !bare.chars().all(|c| c.is_alphanumeric() || c == '_') {
            break;
        }
        word = &rest[..rest.len() - behind.len()];
        after = behind;
    }
    (word, after)
}

fn thrown_name(lines: &Lines<'_>, word: &str) -> Option<EntryName> {
    let bare = word.trim_matches(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | ':' | '<' | '>')));
    let bare = bare.trim_end_matches(':');
    let name = Name::simple(bare);
    (!name.as_str().is_empty()).then(|| EntryName { name, span: lines.span_of(bare), dotted: false })
}

/// Headings of paragraphs in the colon form that say what comes back.
const RETURN_HEADINGS: &[&str] = &[
    "Return:", "Returns:", "Return :", "Returns :", "RETURN:", "RETURNS:", "Return value:", "return:",
    "returns:",
];

/// Words that open a sentence about what comes back, in the colon form with a paragraph of its own.
const RETURN_WORDS: &[&str] = &["Returns ", "returns ", "Return "];

fn colon_name(line: &str) -> Option<(&str, &str)> {
    let rest = line.trim_start().strip_prefix('@')?;
    let end = rest.find(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '.' | '-' | '>')))?;
    let after = rest[end..].trim_start_matches([' ', '\t']).strip_prefix(':')?;
    (end > 0).then(|| (&rest[..end], after))
}

/// No parameter is called so.
fn is_return_name(name: &str) -> bool {
    matches!(name, "return" | "returns" | "Return" | "Returns")
}

/// Tells whether the names of a comment's entries follow the sign at once, `@load: what it weighs`, or it has no names and
/// tells what comes back without a sign, `Returns: the load`.
pub(crate) fn is_colon_form(doc: &DocComment, source: &Source) -> bool {
    let signed = |at: u32| source.text()[..at as usize].ends_with(['@', '\\']);
    let mut named = doc.entries_of(EntryKind::Param).filter_map(|entry| entry.name());
    let heads =
        |entry: &Entry| !signed(entry.tag.start) && source.slice(entry.tag).ends_with(&['n', 's'][..]);
    doc.notation == COMMANDS.id
        && (named.any(|name| signed(name.span.start))
            || !doc.has(EntryKind::Param) && doc.entries_of(EntryKind::Returns).any(heads))
}

/// In the colon form the names themselves stand behind the sign, and the first line names the callable.
fn reads_as_colon_form(lines: &Lines<'_>, opens: &[(usize, char, &str)]) -> bool {
    let is_known = |name: &str| TABLE.iter().any(|(known, _)| *known == name);
    let names: Vec<&str> =
        (0..lines.len()).filter_map(|at| colon_name(lines.text(at))).map(|(name, _)| name).collect();
    let first =
        (0..lines.len()).map(|at| lines.trimmed(at)).find(|line| !line.is_empty()).unwrap_or_default();
    let headed = headed(first).is_some();
    // A name may be that of a command.
    let commands = opens.iter().any(|&(at, _, name)| colon_name(lines.text(at)).is_none() && is_known(name));
    // `@todo:` alone makes none.
    let own = names.iter().any(|name| !is_known(name));
    let returns = || (0..lines.len()).any(|at| return_heading(lines.trimmed(at)).is_some());
    let named = own
        || (is_only_a_name(first) && (!names.is_empty() || returns()))
        || (headed && (!names.is_empty() || first.contains("()")));
    !commands && named
}

/// Returns the row that the description begins at, below a first line that is only a name and an empty one.
fn below_name(lines: &Lines<'_>) -> usize {
    let Some(first) = (0..lines.len()).find(|&at| !lines.is_blank(at)) else { return 0 };
    let line = lines.trimmed(first);
    // `Function: weigh`
    let kind = ["Function: ", "Macro: ", "Type: ", "Struct: ", "Enum: "]
        .iter()
        .find_map(|kind| line.strip_prefix(kind));
    let titles = kind.is_some_and(|name| !name.contains(' '));
    let names = titles || line.contains('_') && is_only_a_name(line);
    let heads = names && first + 2 < lines.len() && lines.is_blank(first + 1);
    if heads { first + 1 } else { 0 }
}

/// Splits `name() - summary` and `struct name - summary`.
fn headed(line: &str) -> Option<&str> {
    let (head, summary) = line.split_once(" - ").or_else(|| line.split_once(": "))?;
    let head = head.trim().trim_end_matches("()");
    let word = head.rsplit(' ').next().unwrap_or_default();
    let plain = !word.is_empty() && word.chars().all(|c| c.is_alphanumeric() || c == '_');
    (plain && head.split(' ').count() <= 2).then_some(summary)
}

/// Tells whether a line is the name of what the comment is about, with at most notes in parentheses behind it:
/// `press_load:`, `press_load: (skip)`.
fn is_only_a_name(line: &str) -> bool {
    let end = line.find([' ', '\t']).unwrap_or(line.len());
    let (name, behind) = line.split_at(end);
    let behind = behind.trim();
    name.strip_suffix(':').is_some_and(|name| !name.is_empty() && !name.starts_with('@'))
        && (behind.is_empty() || (behind.starts_with('(') && behind.ends_with([')', ':'])))
}

/// Splits the heading of a paragraph that says what comes back off its line.
fn return_heading(line: &str) -> Option<(&str, &str)> {
    let heading = RETURN_HEADINGS.iter().find(|heading| line.starts_with(**heading))?;
    let end = heading.len() - 1;
    Some((line[..end].trim_end(), &line[end + 1..]))
}

/// Splits the word for what comes back off a line that speaks of it, in a paragraph of its own or under a heading.
fn return_head<'s>(lines: &Lines<'s>, at: usize) -> Option<(&'s str, &'s str)> {
    let line = lines.trimmed(at);
    if let Some(found) = return_heading(line) {
        return Some(found);
    }
    let word = RETURN_WORDS.iter().find(|word| line.starts_with(**word))?.trim_end();
    (at > 0 && lines.is_blank(at - 1)).then(|| line.split_at(word.len()))
}

fn read_colon(doc: &mut DocComment, lines: &Lines<'_>) {
    let first = (0..lines.len()).find(|&at| !lines.is_blank(at)).unwrap_or(0);
    // Where a heading says what comes back, a sentence about it is only part of the description.
    let headed_return = (0..lines.len()).any(|at| {
        let named = colon_name(lines.text(at)).is_some_and(|(name, _)| is_return_name(name));
        named || return_heading(lines.trimmed(at)).is_some()
    });
    let is_return = |at: usize| {
        if headed_return {
            return_heading(lines.trimmed(at)).is_some()
        } else {
            at > first && return_head(lines, at).is_some()
        }
    };
    let starts: Vec<usize> =
        (0..lines.len()).filter(|&at| colon_name(lines.text(at)).is_some() || is_return(at)).collect();
    let start = headed(lines.trimmed(first)).map_or(0, |summary| lines.span_of(summary).start);
    let upto = |from: usize| starts.iter().copied().find(|&at| at >= from).unwrap_or(lines.len());
    // Below a first line that is only a name, or an entry, the description is the first paragraph.
    let paragraph = |at: &usize| lines.is_blank(at - 1) && !lines.is_blank(*at) && !starts.contains(at);
    let undescribed = is_only_a_name(lines.trimmed(first)) || starts.first() == Some(&first);
    match (first + 1..lines.len()).find(paragraph).filter(|_| undescribed) {
        Some(below) => describe_from(doc, lines, (below, 0), upto(below)),
        None => describe_from(doc, lines, (first, start), upto(0)),
    }
    for (number, &at) in starts.iter().enumerate() {
        let next = starts.get(number + 1).copied().unwrap_or(lines.len());
        // An entry of a name ends with its paragraph.
        let end = (at + 1..next).find(|&row| lines.is_blank(row)).unwrap_or(next);
        let line = lines.text(at);
        let (mut found, rest) = match colon_name(line) {
            Some((name, rest)) if is_return_name(name) => {
                (entry(EntryKind::Returns, lines.span_of(name), (at, end)), rest)
            }
            // `@Deprecated: use press_open2()` is no parameter's.
            Some((name, _)) if name.eq_ignore_ascii_case("deprecated") => {
                doc.deprecated = true;
                continue;
            }
            Some((name, _)) if name.eq_ignore_ascii_case("since") => continue,
            Some((name, rest)) => {
                let mut found = entry(EntryKind::Param, lines.span_of(name), (at, end));
                found.names.extend(entry_name(lines, name));
                (found, rest)
            }
            None => {
                let (heading, rest) = return_head(lines, at).unwrap_or((line, ""));
                (entry(EntryKind::Returns, lines.span_of(heading), (at, end)), rest)
            }
        };
        found.text = lines.text_span(lines.span_of(rest).start, at, end);
        doc.entries.push(found);
    }
}

fn spelling(kind: EntryKind, name: &str, dialect: Dialect) -> String {
    match (kind, dialect) {
        (EntryKind::Param, Dialect::Colon) => format!("@{name}:"),
        (EntryKind::Returns, Dialect::Colon) => "Return:".to_owned(),
        (EntryKind::Param, _) => format!("@param {name}"),
        (EntryKind::TypeParam, _) => format!("@tparam {name}"),
        (EntryKind::Returns, _) => "@return".to_owned(),
        (EntryKind::Yields, _) => "@yield".to_owned(),
        (EntryKind::Throws, _) => format!("@throws {name}"),
        (EntryKind::Property, _) => format!("@property {name}"),
    }
}

/// How this notation writes one entry.
struct CommandLines;

impl EntryLines for CommandLines {
    fn entry(&self, entry: &NewEntry, style: &WriteStyle) -> Vec<String> {
        if let Some(value) = &entry.value {
            return vec![format!("{} {}", signed(&format!("@retval {value}"), style), entry.text)];
        }
        let head = spelling(entry.kind, entry.name.as_deref().unwrap_or_default(), style.dialect);
        let head = match (style.dialect, entry.kind) {
            (Dialect::Colon, EntryKind::Returns) => format!("{}:", style.returning),
            (Dialect::Colon, _) => return vec![format!("{head} {}", entry.text)],
            _ => signed(&head, style),
        };
        let head = if entry.only_read { head.replacen("param ", "param[in] ", 1) } else { head };
        let gap = style.gap(entry);
        vec![format!("{head}{gap}{}", entry.text)]
    }

    fn summary(&self, summary: &str, style: &WriteStyle) -> Vec<String> {
        if style.brief {
            return vec![format!("{} {summary}", signed("@brief", style))];
        }
        vec![summary.to_owned()]
    }

    fn mark(&self, tag: &str, text: &str, style: &WriteStyle) -> Option<String> {
        if style.dialect == Dialect::Colon && tag == "deprecated" {
            return Some(format!("Deprecated: {text}"));
        }
        Some(signed(&format!("@{tag} {text}"), style))
    }

    fn types(&self, _dialect: Dialect) -> TypeCustom {
        TypeCustom::Never
    }
}

/// Writes a command with the sign that the file prefers.
fn signed(head: &str, style: &WriteStyle) -> String {
    if style.backslash { head.replacen('@', "\\", 1) } else { head.to_owned() }
}
