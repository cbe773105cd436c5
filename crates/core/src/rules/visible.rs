//! What of a comment is running text: code, links, addresses and markup set aside. Where it is not sure that
//! something is text, it is taken for code: rules that read the text would rather miss a fault than invent one.

use std::borrow::Cow;
use std::ops::Range;
use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use super::Context;
use crate::model::Carrier;
use crate::text::Span;

/// Marks that open code over several lines, with what closes it.
const BLOCKS: &[(&str, &str)] = &[
    ("```", "```"),
    ("~~~", "~~~"),
    ("<pre", "</pre>"),
    ("<code", "</code>"),
    ("<script", "</script>"),
    ("<style", "</style>"),
    ("@code", "@endcode"),
    ("\\code", "\\endcode"),
    ("@verbatim", "@endverbatim"),
    ("\\verbatim", "\\endverbatim"),
    ("@dot", "@enddot"),
    ("\\dot", "\\enddot"),
    ("@startuml", "@enduml"),
    ("\\f[", "\\f]"),
    ("@f[", "@f]"),
    ("$$", "$$"),
    ("<!--", "-->"),
    ("<![CDATA[", "]]>"),
];

/// A line of a comment outside code.
pub struct Visible<'s> {
    /// Its index among the comment's lines.
    pub(super) row: usize,
    /// Its text, indentation included.
    pub(super) text: &'s str,
    /// Where it begins, in bytes.
    pub(super) start: u32,
}

impl Visible<'_> {
    /// Returns the span of a part of the line, by offsets in it.
    pub(super) fn span(&self, from: usize, upto: usize) -> Span {
        Span::of(self.start as usize + from, self.start as usize + upto)
    }
}

/// Returns the lines outside blocks of code, worked out once a comment.
pub(super) fn lines<'c, 'a>(context: &'c Context<'a>) -> &'c [Visible<'a>] {
    context.visible.get_or_init(|| read_lines(context))
}

static OPENS: LazyLock<AhoCorasick> =
    LazyLock::new(|| AhoCorasick::new(BLOCKS.iter().map(|(open, _)| open)).expect("plain words compile"));

/// Returns what closes the block that a line opens and does not close itself.
fn opened_block(line: &str) -> Option<&'static str> {
    OPENS.find_iter(line).find_map(|found| {
        let (_, close) = BLOCKS[found.pattern().as_usize()];
        // `{@code` is an inline tag.
        let inline = line[..found.start()].ends_with('{');
        (!inline && !line[found.end()..].contains(close)).then_some(close)
    })
}

fn read_lines<'a>(context: &Context<'a>) -> Vec<Visible<'a>> {
    let doc = context.doc;
    let mut out = Vec::with_capacity(doc.lines.len());
    let mut closing: Option<&str> = None;
    // A block that is opened by its indentation lasts until a line at this indentation or less.
    let mut literal: Option<usize> = None;
    let mut blank_before = false;
    let docstring = context.file.language.carrier == Carrier::Docstring;
    let base = doc.lines.iter().skip(usize::from(docstring)).map(|&line| context.slice(line));
    let base = base.filter(|line| !line.trim().is_empty()).map(indent).min().unwrap_or(0);
    let examples = unfenced_examples(context);
    for (row, &line) in doc.lines.iter().enumerate() {
        if examples.iter().any(|example| example.contains(&row)) {
            continue;
        }
        let text = context.slice(line);
        let bare = text.trim();
        if let Some(close) = closing {
            if bare.contains(close) {
                closing = None;
            }
            continue;
        }
        if bare.is_empty() {
            blank_before = true;
            continue;
        }
        let column = if docstring && row == 0 { base } else { indent(text) };
        if literal.is_some_and(|limit| column > limit) {
            continue;
        }
        literal = None;
        // What a code span is broken at may begin with dots: `...)`.
        let goes_on = || docstring && (bare == "..." || bare.starts_with("... "));
        if bare.starts_with(">>>") || goes_on() {
            // What a prompt answers lasts until an empty line.
            literal = Some(column.saturating_sub(1));
            continue;
        }
        if let Some(close) = opened_block(bare) {
            closing = Some(close);
            continue;
        }
        if blank_before && !docstring && column >= base + 4 {
            literal = Some(base + 3);
            continue;
        }
        blank_before = false;
        if bare.ends_with("::") {
            literal = Some(column);
        }
        out.push(Visible { row, text, start: line.start });
    }
    out
}

/// Returns the rows of the examples that are code from their first line to their last: those of JavaScript's notation
/// that set no code apart themselves.
pub(super) fn unfenced_examples(context: &Context<'_>) -> Vec<Range<usize>> {
    if !context.file.language.dialect.is_script() {
        return Vec::new();
    }
    let doc = context.doc;
    let examples = doc.marks.iter().filter(|mark| mark.name == "example");
    let rows = examples.map(|mark| mark.lines.0 as usize..mark.lines.1 as usize);
    let fenced = |rows: &Range<usize>| {
        let lines = doc.lines.get(rows.clone()).unwrap_or_default();
        lines.iter().any(|&line| context.slice(line).contains("```"))
    };
    rows.filter(|rows| !fenced(rows)).collect()
}

fn indent(line: &str) -> usize {
    let white = line.bytes().take_while(|byte| matches!(byte, b' ' | b'\t'));
    white.map(|byte| if byte == b'\t' { 4 } else { 1 }).sum()
}

/// Returns a line with what is no running text replaced, at equal length, by spaces: code spans, inline tags,
/// elements, addresses, paths, and words that are names.
pub(super) fn without_code(text: &str) -> Cow<'_, str> {
    if !text.bytes().any(|byte| matches!(byte, b'`' | b'{' | b'<' | b'[' | b'$' | b'"')) {
        return Cow::Borrowed(text);
    }
    let mut out: Vec<u8> = text.bytes().collect();
    let mut blank = |from: usize, upto: usize| out[from..upto].fill(b' ');
    let mut at = 0;
    while let Some(found) = text[at..].find(['`', '{', '<', '[', '$', '"']) {
        let open = at + found;
        let rest = &text[open..];
        let end = match rest.as_bytes()[0] {
            b'`' => {
                let ticks = rest.len() - rest.trim_start_matches('`').len();
                let close = rest[ticks..].find(&rest[..ticks]);
                Some(close.map_or(text.len(), |close| open + ticks + close + ticks))
            }
            b'{' if rest.starts_with("{@") || rest.starts_with("{") => Some(closed(text, open, b'{', b'}')),
            b'<' if rest[1..].starts_with(|c: char| c.is_ascii_alphabetic() || matches!(c, '/' | '!')) => {
                Some(rest.find('>').map_or(text.len(), |close| open + close + 1))
            }
            b'[' => Some(closed(text, open, b'[', b']')),
            b'$' => rest[1..].find('$').map(|close| open + close + 2),
            b'"' if rest[1..].starts_with(char::is_alphanumeric) => {
                rest[1..].find('"').map(|close| open + close + 2)
            }
            _ => None,
        };
        match end {
            Some(end) => {
                blank(open, end);
                at = end.max(open + 1);
            }
            None => at = open + 1,
        }
    }
    Cow::Owned(String::from_utf8(out).unwrap_or_else(|_| " ".repeat(text.len())))
}

fn closed(text: &str, open: usize, opening: u8, closing: u8) -> usize {
    let mut depth = 0_i32;
    for (at, byte) in text.bytes().enumerate().skip(open) {
        depth += i32::from(byte == opening) - i32::from(byte == closing);
        if depth == 0 {
            return at + 1;
        }
    }
    text.len()
}

/// What a byte is to a word.
#[derive(Clone, Copy, PartialEq, Eq)]
enum Sign {
    Space,
    Letter,
    Capital,
    /// Stands inside words as well.
    Joint,
    Other,
    /// A digit, or a letter beyond ASCII.
    Foreign,
}

/// The signs of all bytes: every byte of every comment is looked up.
static SIGNS: [Sign; 256] = {
    let mut signs = [Sign::Foreign; 256];
    let mut byte = 0_u8;
    while byte < 128 {
        signs[byte as usize] = match byte {
            b' ' | b'\t' | b'\n' | b'\r' | 0x0c => Sign::Space,
            b'a'..=b'z' => Sign::Letter,
            b'A'..=b'Z' => Sign::Capital,
            b'-' | b'\'' => Sign::Joint,
            b'0'..=b'9' => Sign::Foreign,
            _ => Sign::Other,
        };
        byte += 1;
    }
    signs
};

/// Calls `take` with the plain words of a line from which code was taken out, each with its offset: letters only, in
/// lower case but for the first letter, and no part of a name, path, address or number.
pub(super) fn each_word<'t>(text: &'t str, mut take: impl FnMut(usize, &'t str)) {
    let bytes = text.as_bytes();
    let sign = |at: usize| SIGNS[usize::from(bytes[at])];
    let mut at = 0;
    while at < bytes.len() {
        if sign(at) == Sign::Space {
            at += 1;
            continue;
        }
        let start = at;
        while at < bytes.len() && matches!(sign(at), Sign::Joint | Sign::Other) {
            at += 1;
        }
        let from = at;
        // Up to here letters, from there on signs at the end.
        let mut upto = at;
        let (mut plain, mut joined) = (true, false);
        while at < bytes.len() {
            match sign(at) {
                Sign::Space => break,
                Sign::Letter | Sign::Capital => {
                    // A capital inside, or a sign that is no joint, makes a name, a path or an address.
                    plain &= bytes[upto..at].iter().all(|&byte| matches!(byte, b'-' | b'\''));
                    plain &= sign(at) == Sign::Letter || at == from || bytes[at - 1] == b'-';
                    joined |= at > upto;
                    upto = at + 1;
                }
                Sign::Joint | Sign::Other => {}
                // A letter beyond ASCII makes a word of another language, or a name.
                Sign::Foreign => {
                    plain = false;
                    upto = at + 1;
                }
            }
            at += 1;
        }
        let marked = matches!(
            bytes[start],
            b'@' | b'\\' | b'#' | b'$' | b'%' | b'&' | b'-' | b'.' | b':' | b'/' | b'_'
        );
        if marked || !plain || upto == from {
            continue;
        }
        if !joined {
            take(from, &text[from..upto]);
            continue;
        }
        let mut place = from;
        for word in text[from..upto].split('-') {
            if !word.is_empty() {
                take(place, word);
            }
            place += word.len() + 1;
        }
    }
}

#[cfg(test)]
mod tests {
    use super::{each_word, without_code};

    #[test]
    fn code_links_and_names_are_no_words() {
        let text = "Reads `teh` {@link Teh} <b>teh</b> a_b [teh](http://teh.x) parseTeh v2 end-to-end, teh.";
        let bare = without_code(text);
        assert_eq!(bare.len(), text.len());
        let mut found: Vec<&str> = Vec::new();
        each_word(&bare, |_, word| found.push(word));
        assert_eq!(found, ["Reads", "teh", "end", "to", "end", "teh"]);
    }
}
