//! Leaves statements without any fact, and the insides of docstrings, out of what the grammar is given: a lexical pass
//! over lines, several times faster than the grammar itself.
//!
//! A docstring is read from the source; the grammar need only tell where it begins and ends. A statement at the level
//! of a function's body, with all that is indented below it, is left out when it surely returns, raises, yields and
//! declares nothing. Enough of them stay for the body to be what it was: one that only gives back a field must not be
//! made. Where the pass loses its bearings, everything is given.

use std::ops::Range;
use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::languages::shared::{SHORT_COMMENT, plain_words, without_found};
use crate::reading::Given;
use crate::text::narrow;

/// What a statement must not hold to be left out.
static FACTS: LazyLock<AhoCorasick> = LazyLock::new(|| {
    plain_words(&[
        "return", "raise", "yield", "def ", "class ", "lambda", "__doc__", "\"\"\"", "'''", "#:",
        "vinequill:",
    ])
});

/// What may call code that is not seen.
static CALLS: LazyLock<AhoCorasick> = LazyLock::new(|| plain_words(&["(", "await", "for ", "with ", "@"]));

/// A logical line: one that is continued in brackets, strings or behind a backslash counts as one.
struct Line {
    /// Where its first word begins.
    start: usize,
    /// Behind its line end.
    end: usize,
    indent: usize,
}

/// Decides what the grammar is given of `text`.
pub(super) fn without_plain_statements(text: &str) -> Given<'_> {
    let given = Given::all(text);
    let Some(lines) = logical_lines(text) else { return given };
    let mut left_out: Vec<_> = lines.iter().filter_map(|line| inside_docstring(text, line)).collect();
    let mut calls = Vec::new();
    let mut at = 0;
    while at < lines.len() {
        let line = &lines[at];
        at += 1;
        let head = &text[line.start..line.end];
        if !(head.starts_with("def ") || head.starts_with("async def ")) {
            continue;
        }
        let body = lines[at..].iter().take_while(|inner| inner.indent > line.indent).count();
        let body = &lines[at..at + body];
        at += body.len();
        let plain = plain_statements(text, body);
        if plain.iter().any(|range| CALLS.is_match(&text[range.clone()])) {
            calls.push(narrow(body[0].start));
        }
        left_out.extend(plain);
    }
    // No statement that holds a docstring is left out.
    left_out.sort_unstable_by_key(|range| range.start);
    without_found(given, text, Some((left_out, calls)))
}

/// Returns what the grammar need not read of a string that opens a line: all behind its first line, where that is long.
fn inside_docstring(text: &str, line: &Line) -> Option<Range<usize>> {
    let prefix = usize::from(text[line.start..].starts_with(['r', 'R', 'u', 'U']));
    let open = line.start + prefix;
    let opens = [r#"""""#, "'''"].iter().any(|quotes| text[open..].starts_with(quotes));
    let from = open + text[open..line.end].find('\n').filter(|_| opens)?;
    let inner = from..behind_string(text, open)? - "'''".len();
    (inner.start + SHORT_COMMENT < inner.end).then_some(inner)
}

/// Returns the statements of a body that hold no fact, those that stay all the same set aside.
fn plain_statements(text: &str, body: &[Line]) -> Vec<Range<usize>> {
    let mut out = Vec::new();
    // Where a body begins must not change, nor what is its second statement.
    leave_out_plain(text, body, (2, 0), &mut out);
    out
}

/// A statement, with what stands before it: comments, empty lines.
struct Statement {
    range: Range<usize>,
    /// Its first line, and the one behind its last.
    lines: Range<usize>,
}

/// Leaves out the plain statements of a body or a block, the first `stay` of them and the last set aside.
fn leave_out_plain(text: &str, body: &[Line], (stay, depth): (usize, usize), out: &mut Vec<Range<usize>>) {
    let Some(first) = body.first() else { return };
    let mut statements: Vec<Statement> = Vec::new();
    for (at, line) in body.iter().enumerate() {
        let goes_on = line.indent > first.indent || is_clause(&text[line.start..line.end]);
        // What stands before a statement stays or goes with it.
        let from = match statements.last_mut() {
            Some(statement) if goes_on => {
                (statement.range.end, statement.lines.end) = (line.end, at + 1);
                continue;
            }
            Some(statement) => statement.range.end,
            None => line.start,
        };
        statements.push(Statement { range: from..line.end, lines: at..at + 1 });
    }
    let last = statements.len() - 1;
    for (at, Statement { range, lines }) in statements.into_iter().enumerate() {
        let head = &text[body[lines.start].start..body[lines.start].end];
        let tells = FACTS.is_match(&text[range.clone()]);
        // A string that stands alone may be meant for a docstring; a decorator belongs to what follows.
        if at >= stay && at != last && !tells && !head.starts_with(['"', '\'', '@']) {
            out.push(range);
        } else if tells && depth < DEEPEST && has_blocks(head) {
            let inner = body[lines].split(|line| line.indent <= first.indent);
            for block in inner {
                leave_out_plain(text, block, (1, depth + 1), out);
            }
        }
    }
}

/// As deep as blocks in blocks are looked through.
const DEEPEST: usize = 6;

/// Tells whether a line begins a statement with blocks that belong to the function around it.
fn has_blocks(line: &str) -> bool {
    ["if", "for", "while", "with", "try", "async for", "async with"]
        .iter()
        .any(|word| begins_with(line, word))
}

/// Tells whether a line belongs to the compound statement before it.
fn is_clause(line: &str) -> bool {
    ["else", "elif", "except", "finally"].iter().any(|word| begins_with(line, word))
}

fn begins_with(line: &str, word: &str) -> bool {
    line.strip_prefix(word).is_some_and(|rest| !rest.starts_with(|c: char| c.is_alphanumeric() || c == '_'))
}

/// Returns the logical lines of a text; nothing when brackets or strings do not end.
fn logical_lines(text: &str) -> Option<Vec<Line>> {
    let bytes = text.as_bytes();
    let mut out = Vec::new();
    let mut at = if text.starts_with('\u{feff}') { 3 } else { 0 };
    while at < bytes.len() {
        let mut indent = 0;
        while let Some(byte) = bytes.get(at) {
            match byte {
                b' ' => indent += 1,
                // As the language counts them.
                b'\t' => indent = (indent / 8 + 1) * 8,
                0x0c => indent = 0,
                _ => break,
            }
            at += 1;
        }
        match bytes.get(at) {
            None => break,
            Some(b'\n' | b'\r') => at += 1,
            Some(b'#') => at = end_of_line(bytes, at),
            Some(_) => {
                let end = end_of_logical_line(text, at)?;
                out.push(Line { start: at, end, indent });
                at = end;
            }
        }
    }
    Some(out)
}

/// Returns the offset of the end of the line at `at`.
fn end_of_line(bytes: &[u8], at: usize) -> usize {
    memchr::memchr(b'\n', &bytes[at..]).map_or(bytes.len(), |found| at + found)
}

/// Returns the offset behind the logical line at `at`; nothing when it does not end.
fn end_of_logical_line(text: &str, mut at: usize) -> Option<usize> {
    let bytes = text.as_bytes();
    let mut open = 0_usize;
    loop {
        // Most bytes are none of these.
        let telling = |byte: &u8| {
            matches!(byte, b'\n' | b'#' | b'"' | b'\'' | b'\\' | b'(' | b'[' | b'{' | b')' | b']' | b'}')
        };
        let Some(found) = bytes[at..].iter().position(telling) else {
            return (open == 0).then_some(bytes.len());
        };
        at += found;
        match bytes[at] {
            b'\n' if open == 0 => return Some(at + 1),
            b'#' => at = end_of_line(bytes, at),
            b'"' | b'\'' => at = behind_string(text, at)?,
            b'\\' => at += if bytes[at + 1..].starts_with(b"\r\n") { 3 } else { 2 },
            b'(' | b'[' | b'{' => {
                open += 1;
                at += 1;
            }
            b')' | b']' | b'}' => {
                open = open.checked_sub(1)?;
                at += 1;
            }
            _ => at += 1,
        }
        if at >= bytes.len() {
            return (open == 0).then_some(bytes.len());
        }
    }
}

/// Returns the offset behind the string that a quote opens; nothing when it does not end where it must.
fn behind_string(text: &str, open: usize) -> Option<usize> {
    let bytes = text.as_bytes();
    let quote = bytes[open];
    let triple = bytes[open..].starts_with(&[quote; 3]);
    let mut at = open + if triple { 3 } else { 1 };
    loop {
        if triple {
            at += memchr::memchr2(b'\\', quote, bytes.get(at..)?)?;
        }
        match *bytes.get(at)? {
            // Also in a raw string a backslash keeps a quote from closing it.
            b'\\' => at += 2,
            b'\n' if !triple => return None,
            byte if byte == quote && !triple => return Some(at + 1),
            byte if byte == quote && bytes[at..].starts_with(&[quote; 3]) => return Some(at + 3),
            _ => at += 1,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::without_plain_statements;

    /// Returns what the grammar is given.
    fn given(text: &str) -> String {
        without_plain_statements(text).shown()
    }

    #[test]
    fn statements_without_facts_are_left_out() {
        let text = "def weigh(load):\n    \"\"\"Weigh.\"\"\"\n    a = 1\n    b = 2\n    # c\n    c = [\n  3,\n]\n    \
                    if a:\n        b = f'{a}('\n    else:\n        print()\n    return c\n\nclass A:\n    x = 1\n";
        let wanted =
            "def weigh(load):\n    \"\"\"Weigh.\"\"\"\n    a = 1\n    return c\n\nclass A:\n    x = 1\n";
        assert_eq!(given(text), wanted);
        assert_eq!(without_plain_statements(text).into_calls(), [21]);
    }

    #[test]
    fn statements_in_blocks_with_facts_are_left_out() {
        let text = concat!(
            "def f():\n    if a:\n        b = 1\n        c = (\n1)\n        raise d\n",
            "    else:\n        e()\n        f()\n",
            "        for g in h:\n            i()\n            j()\n            return k\n        l()\n",
        );
        let wanted = concat!(
            "def f():\n    if a:\n        b = 1\n        raise d\n",
            "    else:\n        e()\n",
            "        for g in h:\n            i()\n            return k\n        l()\n",
        );
        assert_eq!(given(text), wanted);
        // What is declared inside belongs to others.
        let inner = "def f():\n    class A:\n        b = 1\n        c = 2\n        def g(): pass\n    def h():\n        i()\n        j()\n        k()\n";
        assert_eq!(given(inner), inner);
    }

    #[test]
    fn the_insides_of_docstrings_are_left_out() {
        let long = "With its lid or without, \\\"\"\" as it stands.\n".repeat(3);
        let text = format!(
            "r\"\"\"Of crates.\n{long}\"\"\"\ndef weigh(load):\n    \"\"\"Weigh.\n{long}\"\"\" 'it'\n    a = f\"\"\"\n{long}\"\"\"\n"
        );
        let wanted = format!(
            "r\"\"\"Of crates.\"\"\"\ndef weigh(load):\n    \"\"\"Weigh.\"\"\" 'it'\n    a = f\"\"\"\n{long}\"\"\"\n"
        );
        assert_eq!(given(&text), wanted);
    }

    #[test]
    fn what_raises_declares_or_may_be_a_docstring_stays() {
        for text in [
            "def f():\n    a = 1\n    try:\n        b()\n    except E:\n        raise\n    return a\n",
            "def f():\n    a = 1\n    'Late.'\n    def g(): pass\n    f.__doc__ = ''\n",
            "def f():\n    a = 1\n    return a\n",
            "def f(): return 1\nx = 2\ny = 3\nz = 4\n",
            "def f():\n    a = 1\n    @b\n    def c(): pass\n    #",
        ] {
            assert_eq!(given(text), text);
        }
    }

    #[test]
    fn what_does_not_end_is_given_whole() {
        let body = "    a = 1\n    b = 2\n    c = 3\n    d = 4\n";
        for end in ["    e = (\n", "    e = '\n", "    e = )\n", "    e = '''\n"] {
            let text = format!("def f():\n{body}{end}");
            assert_eq!(given(&text), text);
        }
        assert!(given(&format!("def f():\n{body}")).len() < body.len());
    }
}
