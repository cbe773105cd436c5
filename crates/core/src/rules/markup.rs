//! Markup inside comments: elements, inline tags, code spans, headings.

use quick_xml::events::Event;

use super::rule::{Check, Example, Rule};
use super::{Context, Findings, visible};
use crate::model::{Dialect, DocComment, EntryKind, Kind, Level, RuleId, Section};
use crate::notations::heading_meant;
use crate::text::{Edit, Span, narrow, near};

pub(super) static XML: Rule = Rule {
    id: RuleId::new("markup.xml"),
    level: Level::Error,
    says: "a comment in XML is not well formed",
    why: "Compilers drop such a comment as a whole, and readers see none of it.",
    example: Example {
        language: "csharp",
        config: "",
        before: "/// <summary>Weighs a crate, <b>twice.</summary>\npublic class Scale {}\n",
        after: "/// <summary>Weighs a crate, <b>twice</b>.</summary>\npublic class Scale {}\n",
    },
    check: Check::Comment(xml),
};

pub(super) static HTML: Rule = Rule {
    id: RuleId::new("markup.html"),
    level: Level::Warning,
    says: "an HTML element whose end tag is not optional is not closed, or is closed and was never open",
    why: "All that follows is shown as part of it.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a <b>crate. */\npublic class Scale {}\n",
        after: "/** Weighs a <b>crate</b>. */\npublic class Scale {}\n",
    },
    check: Check::Comment(html),
};

pub(super) static INLINE: Rule = Rule {
    id: RuleId::new("markup.inline"),
    level: Level::Warning,
    says: "an inline tag never ends, or a code span is open to the end of its paragraph",
    why: "It is shown as it stands, with all its signs.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a {@code crate. */\npublic class Scale {}\n",
        after: "/** Weighs a {@code crate}. */\npublic class Scale {}\n",
    },
    check: Check::Comment(inline),
};

pub(super) static SECTION: Rule = Rule {
    id: RuleId::new("markup.section"),
    level: Level::Warning,
    says: "a section heading or a field cannot be read in its notation, and holds names of parameters or types",
    why: "What it holds is shown as text, and is lost to whoever looks for a parameter.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh(load, tare):\n    \"\"\"Weigh a crate.\n\n    Argumets:\n        load: what it weighs in kg\n        tare: of the crate in kg\n    \"\"\"\n",
        after: "def weigh(load, tare):\n    \"\"\"Weigh a crate.\n\n    Arguments:\n        load: what it weighs in kg\n        tare: of the crate in kg\n    \"\"\"\n",
    },
    check: Check::Comment(section),
};

/// The text of a comment in one piece, with the way back to the source.
struct Joined {
    text: String,
    /// Where each line begins: in the text, and in the source.
    starts: Vec<(usize, u32)>,
}

impl Joined {
    fn of(context: &Context<'_>, before: &str) -> Self {
        let mut text = before.to_owned();
        let mut starts = Vec::with_capacity(context.doc.lines.len());
        for &line in &context.doc.lines {
            starts.push((text.len(), line.start));
            text.push_str(context.slice(line));
            text.push('\n');
        }
        Self { text, starts }
    }

    fn back(&self, at: usize) -> u32 {
        let row = self.starts.partition_point(|&(start, _)| start <= at).saturating_sub(1);
        self.starts.get(row).map_or(0, |&(start, source)| source + narrow(at.saturating_sub(start)))
    }

    fn span(&self, from: usize, upto: usize) -> Span {
        let start = self.back(from);
        Span::new(start, start + narrow(upto - from))
    }
}

/// The comment is parsed inside one element (XML 1.0, production 43: content).
const ROOT: &str = "<doc>";

fn xml(context: &Context<'_>, findings: &mut Findings<'_>) {
    if context.doc.notation.as_str() != "xml" {
        return;
    }
    let mut joined = Joined::of(context, ROOT);
    if !joined.text[ROOT.len()..].contains(['<', '&']) {
        return;
    }
    let end = joined.text.trim_end().len();
    joined.text.truncate(end);
    joined.text.push_str("</doc>");
    let mut reader = quick_xml::Reader::from_str(&joined.text);
    loop {
        let before = reader.buffer_position();
        let (at, reason) = match reader.read_event() {
            Ok(Event::Eof) => return,
            Ok(Event::GeneralRef(name)) => {
                let known = name.is_char_ref() || matches!(&*name, "lt" | "gt" | "amp" | "quot" | "apos");
                if known {
                    continue;
                }
                (before, format!("`&{};` is no entity of XML", &*name))
            }
            Ok(_) => continue,
            Err(error) => {
                let text = error.to_string();
                if text.contains("reference not closed") {
                    report_bare_sign(&joined, reader.error_position(), findings);
                    return;
                }
                let reason = text
                    .strip_prefix("ill-formed document: ")
                    .unwrap_or(&text)
                    .replace("`</doc>`", "the end")
                    .replace("`doc`", "the end");
                (reader.error_position(), reason)
            }
        };
        let at = usize::try_from(at).unwrap_or(0).clamp(ROOT.len(), end.max(ROOT.len()));
        let rest = joined.text[at..end.max(at)].split(|c: char| c.is_whitespace()).next().unwrap_or_default();
        let message = format!("this is not well-formed XML: {reason}");
        findings.report(joined.span(at, at + rest.len()), "", message).done();
        return;
    }
}

/// Reports `&` where it opens no entity; `near` is where the parser noticed.
fn report_bare_sign(joined: &Joined, near: u64, findings: &mut Findings<'_>) {
    let near = usize::try_from(near).unwrap_or(0).min(joined.text.len());
    let at = if joined.text[near..].starts_with('&') { Some(near) } else { joined.text[..near].rfind('&') };
    let span = joined.span(at.unwrap_or(near), at.unwrap_or(near) + 1);
    let message = "this is not well-formed XML: `&` opens no entity; write `&amp;`".to_owned();
    findings.report(span, "", message).replace(span, "&amp;");
}

/// Elements of HTML whose end tag is not optional (HTML Living Standard, 13.1.2.4).
const ELEMENTS: &[&str] = &[
    "a", "abbr", "address", "article", "aside", "b", "big", "blockquote", "caption", "center", "cite",
    "code", "dfn", "div", "dl", "em", "figure", "font", "h1", "h2", "h3", "h4", "h5", "h6", "i", "kbd", "ol",
    "pre", "q", "s", "samp", "section", "small", "span", "strike", "strong", "sub", "sup", "table", "tt",
    "u", "ul", "var",
];

/// Tells whether the notation shows HTML as such.
fn renders_html(context: &Context<'_>) -> bool {
    match context.doc.notation.as_str() {
        "tags" => matches!(
            context.file.language.dialect,
            Dialect::Plain | Dialect::JavaScript | Dialect::TypeScript | Dialect::Php
        ),
        "commands" => true,
        _ => false,
    }
}

/// Tells whether single letters in angles stand for something, `<n> = <i> - 1`: some are no elements at all.
fn has_placeholders(text: &str) -> bool {
    text.as_bytes().windows(3).any(|three| {
        matches!(three, [b'<', letter, b'>']
            if letter.is_ascii_lowercase() && !matches!(letter, b'a' | b'b' | b'i' | b'p' | b'q' | b's' | b'u'))
    })
}

fn html(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !renders_html(context) {
        return;
    }
    if !has(context, "<") {
        return;
    }
    let joined = Joined::of(context, "");
    let text = &joined.text;
    let mut hidden = hidden_html(text);
    // An example is code, though it may end the element that its reader puts around it.
    let offset = |row: usize| joined.starts.get(row).map_or(text.len(), |&(at, _)| at);
    let examples = visible::unfenced_examples(context).into_iter();
    hidden.extend(examples.map(|rows| (offset(rows.start), offset(rows.end))));
    let has_placeholders = has_placeholders(text);
    // Each block tag begins a text of its own.
    let doc = context.doc;
    let rows = doc.entries.iter().map(|entry| entry.lines.0).chain(doc.marks.iter().map(|mark| mark.lines.0));
    let mut parts: Vec<usize> =
        rows.filter_map(|row| joined.starts.get(row as usize).map(|&(at, _)| at)).collect();
    parts.sort_unstable();
    let mut parts = parts.into_iter().filter(|&at| at > 0).peekable();
    let mut open: Vec<(String, usize, usize)> = Vec::new();
    let mut faults: Vec<(String, usize, usize, bool)> = Vec::new();
    let mut set_aside: Vec<String> = Vec::new();
    let mut at = 0;
    while let Some(found) = text[at..].find('<') {
        let start = at + found;
        at = start + 1;
        while parts.next_if(|&part| part <= start).is_some() {
            // A command (`\sa`) may stand inside an element that is closed further down; a tag ends it.
            let in_commands = doc.notation.as_str() == "commands";
            let closed = |name: &str| in_commands && text[start..].contains(&format!("</{name}>"));
            let (later, never): (Vec<_>, Vec<_>) = open.drain(..).partition(|(name, ..)| closed(name));
            set_aside.extend(later.into_iter().map(|(name, ..)| name));
            faults.extend(never.into_iter().map(|(name, from, upto)| (name, from, upto, true)));
        }
        if hidden.iter().any(|(from, upto)| (*from..*upto).contains(&start)) {
            continue;
        }
        let Some(element) = element_at(text, start) else { continue };
        at = element.end;
        // What closes an element does so, whatever follows.
        let closes_one = element.closes && open.iter().any(|(name, ..)| *name == element.name);
        let spoken_of =
            !closes_one && (is_spoken_of(&text[element.end..]) || is_named(text, start, &element));
        // `\<b\>` shows the sign itself.
        let escaped = doc.notation.as_str() == "commands" && text[..start].ends_with('\\');
        let placeholder = (has_placeholders && element.name.len() == 1)
            || (element.like_type && !closes_one)
            || (escaped && !element.closes);
        if is_quoted(text, start, element.end) || spoken_of || placeholder {
            set_aside.push(element.name);
            continue;
        }
        if element.closes {
            match open.iter().rposition(|(name, ..)| *name == element.name) {
                Some(place) => {
                    faults.extend(open.drain(place + 1..).map(|(name, from, upto)| (name, from, upto, true)));
                    open.pop();
                }
                // One that was set aside above, since it is spoken of, was opened all the same.
                None if set_aside.contains(&element.name) => {}
                None => faults.push((element.name, start, element.end, false)),
            }
        } else if !element.empty {
            open.push((element.name, start, element.end));
        }
    }
    faults.extend(open.into_iter().map(|(name, from, upto)| (name, from, upto, true)));
    faults.sort_by_key(|&(_, from, ..)| from);
    let twice = opened_twice(text, &faults);
    for (name, from, upto, opened) in faults {
        let message = if opened {
            format!("`<{name}>` is never closed; add `</{name}>`")
        } else {
            format!("`</{name}>` closes what was never open; remove it, or open it before")
        };
        let second = twice.iter().find(|pair| pair.0 == from).map(|&(_, second)| second);
        let repair = second.map(|second| Edit { span: joined.span(second, second), text: "/".to_owned() });
        findings.report(joined.span(from, upto), &name, message).mend(repair);
    }
}

/// Tells whether a sentence names an element that nothing is put into: `wrapped in <span>`, `an anchor (<a>)`.
fn is_named(text: &str, start: usize, element: &Element) -> bool {
    let before =
        text[..start].rsplit('\n').next().unwrap_or_default().trim_start_matches(['*', ' ', '\t', '/']);
    let bare = element.end - start == element.name.len() + "<>".len();
    let behind = text[element.end..].chars().next();
    let parts = |c: char| c.is_whitespace() || matches!(c, ',' | ')' | '.' | ';');
    !element.closes
        && bare
        && before.ends_with([' ', '('])
        && behind.is_none_or(parts)
        && !text[element.end..].contains(&format!("</{}", element.name))
}

/// Tells whether what follows an element speaks of it as one: `the <p> tag`.
fn is_spoken_of(behind: &str) -> bool {
    const WHAT: &[&str] = &[
        "tag", "tags", "form", "forms", "element", "elements", "markup", "attribute", "attributes", "node",
        "nodes",
    ];
    let Some(behind) = behind.strip_prefix(' ') else { return false };
    let word = behind.split(|c: char| !c.is_alphanumeric()).next().unwrap_or_default();
    WHAT.contains(&word)
}

/// Tells whether quotation marks around an element make it a value that is spoken of.
fn is_quoted(text: &str, start: usize, end: usize) -> bool {
    let quote = text[..start].chars().next_back().filter(|c| matches!(c, '\'' | '"'));
    if quote.is_some() && text[end..].chars().next() == quote {
        return true;
    }
    // Inside of a quotation that begins and ends in its line; quotation marks of attributes aside.
    let before = text[..start].rsplit('\n').next().unwrap_or_default();
    let behind = text[end..].split('\n').next().unwrap_or_default();
    !before.contains("=\"") && before.matches('"').count() % 2 == 1 && behind.contains('"')
}

/// Finds elements that were opened a second time where they were to be closed, as in `<b>load<b>`: where each
/// begins, and where the stroke is missing.
fn opened_twice(text: &str, faults: &[(String, usize, usize, bool)]) -> Vec<(usize, usize)> {
    let mut out = Vec::new();
    for (at, (name, from, upto, opened)) in faults.iter().enumerate() {
        let same = |other: &&(String, usize, usize, bool)| other.0 == *name;
        let alone = faults.iter().filter(same).count() == 2;
        let next = faults.get(at + 1).filter(|next| alone && *opened && next.3 && next.0 == *name);
        let Some((_, second, end, _)) = next else { continue };
        let inner = &text[*upto..*second];
        let bare = text[*second..*end].len() == name.len() + 2;
        if bare && !inner.trim().is_empty() && !inner.contains("\n\n") && !inner.contains('<') {
            out.push((*from, second + 1));
        }
    }
    out
}

/// An HTML tag of a known element.
struct Element {
    name: String,
    closes: bool,
    empty: bool,
    end: usize,
    /// It may be a type parameter as well: `<T>`.
    like_type: bool,
}

fn element_at(text: &str, start: usize) -> Option<Element> {
    let rest = &text[start + 1..];
    let (closes, rest) = rest.strip_prefix('/').map_or((false, rest), |rest| (true, rest));
    let length = rest.find(|c: char| !c.is_ascii_alphanumeric()).unwrap_or(rest.len());
    let name = &rest[..length];
    // `<code-example>` is an element of somebody's own.
    if !rest[length..].starts_with(|c: char| c.is_whitespace() || matches!(c, '>' | '/')) {
        return None;
    }
    // Behind a name stand type arguments: `list<Table>`.
    let lower = name.to_ascii_lowercase();
    let argument =
        !closes && text[..start].ends_with(|c: char| c.is_alphanumeric() || matches!(c, '_' | '<' | '&'));
    let (single, capital) = (name.len() == 1, name != lower);
    let closed_later = || {
        let line = rest.split('\n').next().unwrap_or_default();
        line.contains(&format!("</{name}>"))
    };
    let close = rest.find('>')?;
    let attributes = rest[length..close].trim();
    let is_argument = || (single || capital) && argument && !attributes.contains('=') && !closed_later();
    if !ELEMENTS.contains(&lower.as_str()) || is_argument() {
        return None;
    }
    let plain = attributes.trim_end_matches('/');
    // What has no attributes' form is no tag; a template names an element by `#crate`.
    if !plain.is_empty() && !plain.contains('=') && !plain.starts_with('#') {
        return None;
    }
    let end = start + 1 + usize::from(closes) + close + 1;
    // One capital letter is a type parameter, unless it has attributes.
    let like_type = single && capital && plain.is_empty();
    Some(Element { name: lower, closes, empty: attributes.ends_with('/'), end, like_type })
}

/// Returns the ranges in which nothing is markup: inline code tags, code spans, fences, comments, verbatim parts,
/// and the inside of elements that show code.
fn hidden_html(text: &str) -> Vec<(usize, usize)> {
    const PAIRS: &[(&str, &str)] = &[
        ("<pre", "</pre>"),
        ("<code", "</code>"),
        ("<!--", "-->"),
        ("```", "```"),
        ("@code", "@endcode"),
        ("\\code", "\\endcode"),
        ("@verbatim", "@endverbatim"),
        ("\\verbatim", "\\endverbatim"),
        ("@htmlonly", "@endhtmlonly"),
        ("\\htmlonly", "\\endhtmlonly"),
        ("`", "`"),
    ];
    let mut out = Vec::new();
    let mut at = 0;
    while at < text.len() {
        let rest = &text[at..];
        if rest.starts_with("{@") {
            let end = braces_end(text, at).unwrap_or(text.len());
            out.push((at, end));
            at = end;
            continue;
        }
        let first = rest.as_bytes()[0];
        let pair = PAIRS.iter().filter(|(open, _)| open.as_bytes()[0] == first).find(|(open, _)| {
            rest.strip_prefix(open).is_some_and(|behind| {
                !matches!(*open, "<pre" | "<code")
                    || behind.starts_with(|c: char| c.is_whitespace() || c == '>')
            })
        });
        let end = pair.and_then(|(open, close)| {
            let from = at + open.len();
            if *open == "<code"
                && let Some(end) = nested_end(text, from, (open, close))
            {
                return Some((from, end));
            }
            // A code span ends with its paragraph at the latest.
            let limit = if *open == "`" {
                text[from..].find("\n\n").map_or(text.len(), |end| from + end)
            } else {
                text.len()
            };
            text[from..limit].find(close).map(|end| {
                (
                    from,
                    from + end
                        + if open.starts_with("<p") || open.starts_with("<c") { 0 } else { close.len() },
                )
            })
        });
        match end {
            // The tags themselves still open and close.
            Some((from, end)) => {
                out.push((from, end));
                at = end;
            }
            None => {
                let next = rest.bytes().skip(1).position(|b| matches!(b, b'<' | b'`' | b'@' | b'\\' | b'{'));
                at += next.map_or(rest.len(), |next| next + 1);
            }
        }
    }
    out
}

/// Returns where the element that is open at `from` is closed, where others of its name are opened and closed inside.
fn nested_end(text: &str, from: usize, (open, close): (&str, &str)) -> Option<usize> {
    let (mut depth, mut at) = (1, from);
    while depth > 0 {
        at += text[at..].find('<')?;
        if text[at..].starts_with(close) {
            depth -= 1;
        } else if text[at..].strip_prefix(open).is_some_and(|rest| rest.starts_with('>')) {
            depth += 1;
        }
        at += 1;
    }
    Some(at - 1)
}

/// Returns the offset behind the brace that closes the one at `open`.
fn braces_end(text: &str, open: usize) -> Option<usize> {
    let mut depth = 0_i32;
    for (at, byte) in text.bytes().enumerate().skip(open) {
        // `&#125;` is one that is written otherwise.
        let closes = byte == b'}' || byte == b';' && text[..at].ends_with("&#125");
        depth += i32::from(byte == b'{') - i32::from(closes);
        if depth == 0 {
            return Some(at + 1);
        }
    }
    None
}

fn inline(context: &Context<'_>, findings: &mut Findings<'_>) {
    if context.doc.notation.as_str() == "tags" {
        inline_tags(context, findings);
    }
    if let Some(sign) = code_span_sign(context) {
        code_spans(context, sign, findings);
    }
}

/// Tells whether a comment holds some text anywhere.
fn has(context: &Context<'_>, text: &str) -> bool {
    memchr::memmem::find(context.slice(context.doc.span).as_bytes(), text.as_bytes()).is_some()
}

fn inline_tags(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !has(context, "{@") {
        return;
    }
    let joined = Joined::of(context, "");
    let text = &joined.text;
    let mut at = 0;
    while let Some(found) = text[at..].find("{@") {
        let open = at + found;
        let name = text[open + 2..].split(|c: char| !c.is_alphanumeric()).next().unwrap_or_default();
        at = open + 2;
        let quoted = text[..open].ends_with(['\'', '"', '`', '\\']);
        if name.is_empty() || quoted {
            continue;
        }
        match braces_end(text, open) {
            Some(end) => at = end,
            None => {
                let message = format!("`{{@{name}` never ends; close it with `}}`");
                // Where one word is left on the line, there is one place to close it.
                let rest = text[open + 2 + name.len()..].lines().next().unwrap_or_default();
                let word = rest.trim().trim_end_matches(['.', ',', ';', ':']);
                let end = open + 2 + name.len() + (rest.len() - rest.trim_start().len()) + word.len();
                let sole = !word.is_empty() && !word.contains(char::is_whitespace);
                let repair = sole.then(|| Edit { span: joined.span(end, end), text: "}".to_owned() });
                findings.report(joined.span(open, open + 2 + name.len()), name, message).mend(repair);
                return;
            }
        }
    }
}

/// Returns the sign of code spans where the notation has them.
fn code_span_sign(context: &Context<'_>) -> Option<&'static str> {
    match context.doc.notation.as_str() {
        "callouts" | "headings" => Some("`"),
        "tags" if matches!(context.file.language.dialect, Dialect::Kotlin | Dialect::TypeScript) => Some("`"),
        "rest" => Some("``"),
        _ => None,
    }
}

/// Tells whether a line opens an item of a numbered list: `3. Tare the scale.`
fn opens_numbered_item(line: &str) -> bool {
    let rest = line.trim_start_matches(|c: char| c.is_ascii_digit());
    rest.len() < line.len() && (rest.starts_with(". ") || rest.starts_with(") "))
}

fn code_spans(context: &Context<'_>, sign: &'static str, findings: &mut Findings<'_>) {
    // Text in quotes of another kind uses the sign for itself.
    if !has(context, "`") || context.slice(context.doc.span).contains("''") {
        return;
    }
    let mut open: Option<Span> = None;
    let mut run = 0;
    let mut last_row = None;
    let lines = visible::lines(context);
    for line in lines {
        let bare = line.text.trim_start();
        let parted = last_row.is_none_or(|row| row + 1 != line.row)
            || bare.starts_with(['@', '|', '>'])
            // A field of reStructuredText; elsewhere a line of text may begin so.
            || (sign == "``" && bare.starts_with(':'))
            || (bare.starts_with('#') && bare.trim_start_matches('#').starts_with([' ', '\t']))
            || (bare.starts_with(['-', '*', '+']) && !bare[1..].starts_with(|c: char| !c.is_whitespace()))
            || opens_numbered_item(bare);
        // A line that begins like an item is none within a paragraph (reStructuredText, "Bullet Lists"): it may go on.
        let goes_on = sign == "``"
            && last_row.is_some_and(|row| row + 1 == line.row)
            && bare.starts_with(['-', '*', '+'])
            && line.text.matches(sign).count() % 2 == 1;
        if parted
            && !goes_on
            && let Some(span) = open.take()
        {
            report_span(sign, span, findings);
        }
        last_row = Some(line.row);
        // A cell of a table may go on in the line below (reStructuredText, "Grid Tables").
        if bare.starts_with('|') && bare.trim_end().ends_with('|') {
            continue;
        }
        let mut at = 0;
        while let Some(found) = line.text[at..].find('`') {
            let start = at + found;
            let length = line.text[start..].len() - line.text[start..].trim_start_matches('`').len();
            at = start + length;
            // Inside a code span a backslash is one (CommonMark 0.31, 6.1).
            let escaped = open.is_none() && line.text[..start].ends_with('\\');
            let (before, behind) = (&line.text[..start], &line.text[at..]);
            // `<kbd>`</kbd>` shows the sign itself, and so does one that stands alone or between quotation marks.
            let around = [(" ", " "), ("\"", "\""), ("'", "'"), ("'", "~'"), ("(", ")")];
            let between = |&(left, right): &(&str, &str)| before.ends_with(left) && behind.starts_with(right);
            let unpaired = length == 1 && open.is_none() && line.text.matches('`').count() % 2 == 1;
            // A span of nothing is written of two signs: "`index`, ``, or `crate`".
            let of_nothing = length == 2
                && open.is_none()
                && sign.len() == 1
                && before.ends_with([' ', '(', '|'])
                && (behind.is_empty() || behind.starts_with([' ', ',', '.', ';', ':', ')', '|']));
            let last = before.ends_with(' ') && behind.is_empty();
            let alone =
                (unpaired && (last || around.iter().any(between))) || (of_nothing && !behind.contains("``"));
            let shown = before.ends_with('>') && behind.starts_with('<') || alone;
            if escaped || shown || (sign.len() == 2 && length != 2) {
                continue;
            }
            match open {
                Some(_) if length == run => open = None,
                Some(_) => {}
                None => {
                    open = Some(line.span(start, at));
                    run = length;
                }
            }
        }
    }
    if let Some(span) = open {
        report_span(sign, span, findings);
    }
}

fn report_span(sign: &'static str, span: Span, findings: &mut Findings<'_>) {
    let message = "this code span is open to the end of its paragraph; close it".to_owned();
    findings.report(span, sign, message).done();
}

fn section(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    for section in &doc.sections {
        let text = context.slice(section.heading);
        if lacks_colon(context, section) {
            let message = format!("`{text}` is no heading without its colon; write `{text}:`");
            findings.report(section.heading, text, message).replace(section.heading, &format!("{text}:"));
            continue;
        }
        // What a module's comment opens with is its title.
        let first = (0..section.lines.0).all(|row| context.line(row).trim().is_empty());
        if first && context.declaration().kind == Kind::Module {
            continue;
        }
        let Some(meant) = heading_meant(text, section.title) else { continue };
        let message = format!("`{text}` is no heading of this notation; did you mean `{meant}`?");
        let length = narrow(text.trim_end_matches(':').len());
        let span = Span::new(section.heading.start, section.heading.start + length);
        findings.report(span, text.trim_end_matches(':'), message).replace(span, &meant);
    }
    if doc.notation.as_str() == "rest" {
        open_fields(context, findings);
    }
    if doc.notation.as_str() == "headings" {
        misspelt_headings(context, findings);
    } else if context.file.language.notations.iter().any(|id| id.as_str() == "numpy") {
        if doc.notation.as_str() == "numpy" {
            short_underlines(context, findings);
        }
        unread_sections(context, findings);
    }
}

/// Fields whose name no colon ends: `:return the load`.
fn open_fields(context: &Context<'_>, findings: &mut Findings<'_>) {
    for entry in &context.doc.entries {
        let line = context.line(entry.lines.0).trim();
        if line.strip_prefix(':').is_none_or(|rest| rest.contains(':')) {
            continue;
        }
        let end = entry.names.last().map_or(entry.tag.end, |name| name.span.end);
        let span = Span::new(entry.tag.start, end);
        let text = context.slice(span);
        let message = format!("`:{text}` is no field without its colon; write `:{text}:`");
        findings.report(span, text, message).replace(span, &format!("{text}:"));
    }
}

/// Tells whether a heading of entries has no colon behind it where the notation has one.
fn lacks_colon(context: &Context<'_>, section: &Section) -> bool {
    let line = context.line(section.lines.0);
    // A module's comment may list what its program takes.
    let of_module = context.declaration().kind == Kind::Module;
    context.doc.notation.as_str() == "google" && section.kind.is_some() && !line.contains(':') && !of_module
}

/// Headings in Markdown that are near to a known one.
fn misspelt_headings(context: &Context<'_>, findings: &mut Findings<'_>) {
    for entry in context.doc.entries.iter().filter(|entry| entry.kind == EntryKind::Throws) {
        let Some(name) = entry.name() else { continue };
        let written = context.slice(name.span);
        let bare = written.trim_end_matches(['.', ':']).trim();
        // Another title for it is none that is misspelt: `# Failure`.
        if bare.eq_ignore_ascii_case(name.name.as_str()) || !near(bare, name.name.as_str()) {
            continue;
        }
        let message = format!("`{written}` is no heading that readers know; did you mean `{}`?", name.name);
        findings.report(name.span, written, message).replace(name.span, name.name.as_str());
    }
}

/// Tells whether a section around a row was read as one and has entries.
fn holds_entries(doc: &DocComment, section: &Section, row: usize) -> bool {
    let around = section.lines.0 as usize <= row && row < section.lines.1 as usize;
    around
        && doc.entries.iter().any(|entry| section.lines.0 <= entry.lines.0 && entry.lines.0 < section.lines.1)
}

/// Returns a span without the white space around its text.
fn trimmed(context: &Context<'_>, span: Span) -> Span {
    let text = context.slice(span);
    let lead = narrow(text.len() - text.trim_start().len());
    Span::new(span.start + lead, span.start + lead + narrow(text.trim().len()))
}

/// Underlines that are shorter than their heading: readers of the notation take both for text.
fn short_underlines(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    for section in doc.sections.iter().filter(|section| section.kind.is_some()) {
        let title = context.slice(section.heading).trim_end_matches(':');
        let Some(&under) = doc.lines.get(section.lines.0 as usize + 1) else { continue };
        let line = trimmed(context, under);
        let under = context.slice(line);
        let is_line = under.len() >= 3 && under.bytes().all(|byte| matches!(byte, b'-' | b'='));
        if is_line && under.len() < title.len() && holds_entries(doc, section, section.lines.0 as usize) {
            let message = format!(
                "the line below `{title}` is shorter than the heading, so that nobody reads it as one; make it as long"
            );
            let line = Span::new(line.start, line.start + narrow(under.len()));
            let text = under[..1].repeat(title.chars().count());
            findings.report(section.heading, title, message).mend([Edit { span: line, text }]);
        }
    }
}

/// A known heading whose items are not indented, or whose underline is of another sign, with names of parameters
/// below it.
fn unread_sections(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    let Some((signature, _)) = context.paired else { return };
    let names: Vec<&str> = signature
        .parameters
        .iter()
        .filter_map(|parameter| parameter.named())
        .map(|name| name.as_str())
        .collect();
    let lines = visible::lines(context);
    for pair in lines.windows(2) {
        let (heading, next) = (&pair[0], &pair[1]);
        let text = heading.text.trim();
        let title = text.trim_end_matches(':');
        if next.row != heading.row + 1
            || !matches!(
                title,
                "Args"
                    | "Arguments"
                    | "Parameters"
                    | "Params"
                    | "Keyword Args"
                    | "Keyword Arguments"
                    | "Other Parameters"
            )
            || doc.sections.iter().any(|section| holds_entries(doc, section, heading.row))
        {
            continue;
        }
        let below = next.text.trim();
        let named = |text: &str| {
            let first =
                text.split(|c: char| !(c.is_alphanumeric() || c == '_')).find(|word| !word.is_empty());
            first.is_some_and(|first| names.contains(&first)) && text.contains([':', '-', '('])
        };
        let indent = |line: &str| line.len() - line.trim_start().len();
        let lead = indent(heading.text);
        let span = heading.span(lead, lead + text.len());
        if text.ends_with(':') && named(below) && (indent(next.text) <= lead && heading.row > 0) {
            let message = format!(
                "the entries below `{text}` are not indented, so that nobody reads them as such; indent them"
            );
            findings.report(span, title, message).done();
        } else if !text.ends_with(':')
            && below.len() >= 3
            && below.chars().all(|c| matches!(c, '=' | '~' | '_' | '*' | '–' | '—'))
        {
            let after = lines.iter().find(|line| line.row == next.row + 1);
            if after.is_some_and(|line| {
                names.contains(&line.text.trim().split([' ', ':', ',']).next().unwrap_or_default())
            }) {
                let message =
                    format!("`{title}` is underlined with `{}`; underline it with `-`", &below[..1]);
                findings.report(span, title, message).done();
            }
        }
    }
}
