//! Leaves bodies without any fact out of what the grammar is given: a lexical pass over languages with
//! braces, several times faster than the grammar itself.
//!
//! A body is left out only when it surely declares nothing, throws nothing, and holds no doc comment. What
//! is left of it is a pair of braces, and the note that something was called in it. When the pass loses
//! its bearings (braces that do not match), everything is given.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;
use tree_sitter::{Point, Range};

use crate::reading::Given;
use crate::text::narrow;

/// What the pass must know of a language.
pub(in crate::languages) struct Braces {
    /// Texts that a body must not hold to be left out.
    pub(in crate::languages) facts: &'static [&'static str],
    /// Words before a parenthesis that open a block of statements; after any other word a block in a body
    /// may declare something.
    pub(in crate::languages) statements: &'static [&'static str],
    /// Finds the facts; made once.
    pub(in crate::languages) finder: LazyLock<AhoCorasick>,
}

/// A body that is left out, with what was seen in it.
struct Body {
    inner: std::ops::Range<usize>,
    calls: bool,
}

/// Decides what the grammar is given of `text`.
pub(in crate::languages) fn without_plain_bodies<'s>(text: &'s str, braces: &Braces) -> Given<'s> {
    let Some(bodies) = Scan::new(text, braces).bodies() else { return Given::all(text) };
    if bodies.is_empty() {
        return Given::all(text);
    }
    let calls = bodies.iter().filter(|body| body.calls).map(|body| narrow(body.inner.start - 1)).collect();
    let left_out: Vec<_> = bodies.into_iter().map(|body| body.inner).collect();
    Given::in_ranges(text, ranges_without(text, &left_out), calls)
}

/// Returns the ranges of `text` that are left when some, which are sorted and disjoint, are taken out.
pub(in crate::languages) fn ranges_without(text: &str, left_out: &[std::ops::Range<usize>]) -> Vec<Range> {
    let mut places = Places { bytes: text.as_bytes(), at: 0, row: 0, line: 0 };
    let mut ranges = Vec::with_capacity(left_out.len() + 1);
    let mut start = 0;
    for inner in left_out {
        ranges.push(places.range(start, inner.start));
        start = inner.end;
    }
    ranges.push(places.range(start, text.len()));
    ranges
}

/// Turns offsets that only grow into rows and columns, as the parser wants them.
struct Places<'s> {
    bytes: &'s [u8],
    at: usize,
    row: usize,
    line: usize,
}

impl Places<'_> {
    fn point(&mut self, offset: usize) -> Point {
        for newline in memchr::memchr_iter(b'\n', &self.bytes[self.at..offset]) {
            self.row += 1;
            self.line = self.at + newline + 1;
        }
        self.at = offset;
        Point { row: self.row, column: offset - self.line }
    }

    fn range(&mut self, start: usize, end: usize) -> Range {
        Range { start_byte: start, end_byte: end, start_point: self.point(start), end_point: self.point(end) }
    }
}

/// The lexical pass.
struct Scan<'s> {
    text: &'s str,
    bytes: &'s [u8],
    braces: &'s Braces,
    at: usize,
    /// Offsets of the parentheses that are open.
    parens: Vec<usize>,
    /// The last pair of parentheses that was closed.
    last_pair: Option<(usize, usize)>,
    depth: usize,
    /// The body that is open: offset behind its brace, and the depth it was opened at.
    body: Option<(usize, usize)>,
    /// What was seen in the open body.
    seen: Seen,
}

#[derive(Default)]
struct Seen {
    statements: usize,
    calls: bool,
    declares: bool,
}

impl<'s> Scan<'s> {
    fn new(text: &'s str, braces: &'s Braces) -> Self {
        Self {
            text,
            bytes: text.as_bytes(),
            braces,
            at: 0,
            parens: Vec::new(),
            last_pair: None,
            depth: 0,
            body: None,
            seen: Seen::default(),
        }
    }

    /// Returns the bodies to be left out; nothing when braces do not match.
    fn bodies(mut self) -> Option<Vec<Body>> {
        let mut out = Vec::new();
        while let Some(found) = self.next_sign() {
            match self.bytes[found] {
                b'"' => self.skip_string(found)?,
                b'\'' => self.skip_character(found),
                b'/' => self.skip_comment(found),
                b'(' => {
                    self.parens.push(found);
                    self.seen.calls |= self.body.is_some() && self.is_call(found);
                }
                b')' => self.last_pair = self.parens.pop().map(|open| (open, found)),
                b';' => self.seen.statements += 1,
                b'{' => self.open_brace(found),
                _ => {
                    self.depth = self.depth.checked_sub(1)?;
                    out.extend(self.close_brace(found));
                }
            }
        }
        (self.depth == 0).then_some(out)
    }

    fn next_sign(&mut self) -> Option<usize> {
        let rest = &self.bytes[self.at..];
        let found =
            rest.iter().position(|b| matches!(b, b'"' | b'\'' | b'/' | b'(' | b')' | b';' | b'{' | b'}'))?;
        let found = self.at + found;
        self.at = found + 1;
        Some(found)
    }

    /// Passes over a string; text blocks are closed by three quotes. Nothing when it never ends.
    fn skip_string(&mut self, found: usize) -> Option<()> {
        let rest = &self.text[found..];
        if let Some(inner) = rest.strip_prefix("\"\"\"") {
            let end = inner.find("\"\"\"")?;
            self.at = found + 3 + end + 3;
            return Some(());
        }
        let before = &self.bytes[..found];
        let verbatim = before.ends_with(b"@") || before.ends_with(b"@$");
        let mut at = found + 1;
        loop {
            match *self.bytes.get(at)? {
                b'\\' if !verbatim => at += 2,
                b'"' => break,
                b'\n' if !verbatim => return None,
                _ => at += 1,
            }
        }
        self.at = at + 1;
        Some(())
    }

    fn skip_character(&mut self, found: usize) {
        let rest = &self.bytes[found + 1..];
        let close = match rest.first() {
            Some(b'\\') => rest.iter().skip(2).position(|&b| b == b'\'').map(|end| end + 2),
            _ => rest.iter().skip(1).take(4).position(|&b| b == b'\'').map(|end| end + 1),
        };
        self.at = found + 1 + close.map_or(0, |close| close + 1);
    }

    fn skip_comment(&mut self, found: usize) {
        let rest = &self.bytes[found + 1..];
        let end = match rest.first() {
            Some(b'/') => memchr::memchr(b'\n', rest),
            Some(b'*') => memchr::memmem::find(&rest[1..], b"*/").map(|end| end + 3),
            _ => return,
        };
        self.at = end.map_or(self.bytes.len(), |end| found + 1 + end);
    }

    /// Tells whether a parenthesis follows a name that is no statement's word.
    fn is_call(&self, paren: usize) -> bool {
        let word = self.word_before(paren);
        !word.is_empty() && !self.braces.statements.contains(&word)
    }

    /// Returns the word that ends before `at`, white space between set aside.
    fn word_before(&self, at: usize) -> &'s str {
        let before = self.text[..at].trim_end();
        let start = before
            .rfind(|c: char| !(c.is_alphanumeric() || c == '_' || c == '>'))
            .map_or(0, |found| found + before[found..].chars().next().map_or(1, char::len_utf8));
        &before[start..]
    }

    fn open_brace(&mut self, found: usize) {
        let head = self.last_pair.filter(|&(_, close)| self.is_head(close, found));
        match (self.body, head) {
            (None, Some((open, _))) if !self.makes_object(open) => {
                self.body = Some((found + 1, self.depth));
                self.seen = Seen::default();
            }
            (Some(_), Some((open, _))) => {
                let word = self.word_before(open);
                self.seen.declares |= !self.braces.statements.contains(&word) || self.makes_object(open);
            }
            (None | Some(_), _) => {}
        }
        self.depth += 1;
    }

    /// Between a parameter list and its body stand at most the exceptions that the signature declares.
    fn is_head(&self, close: usize, brace: usize) -> bool {
        let between = self.text[close + 1..brace].trim();
        between.is_empty()
            || between.strip_prefix("throws").is_some_and(|rest| rest.starts_with(char::is_whitespace))
    }

    /// Tells whether the parentheses are those of `new X(…)`, whose block is a class.
    fn makes_object(&self, paren: usize) -> bool {
        let before = &self.text[..paren];
        let from =
            before.rfind([';', '{', '}', '=', '(', ',', ')', '>', '?', ':']).map_or(0, |found| found + 1);
        before[from..].split_whitespace().any(|word| word == "new") || before[..from].ends_with('>')
    }

    fn close_brace(&mut self, found: usize) -> Option<Body> {
        let (start, depth) = self.body?;
        if depth != self.depth {
            return None;
        }
        self.body = None;
        let inner = &self.text[start..found];
        // Bodies of one statement may be accessors, or constructors that do nothing.
        let plain = self.seen.statements >= 2 && !self.seen.declares && !self.braces.finder.is_match(inner);
        plain.then_some(Body { inner: start..found, calls: self.seen.calls })
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    static BRACES: Braces = Braces {
        facts: &["throw", "/**", "class "],
        statements: &["if", "for", "while", "switch", "catch", "try"],
        finder: LazyLock::new(|| AhoCorasick::new(BRACES.facts).expect("plain words compile")),
    };

    /// Returns what the grammar is given.
    fn given(text: &str) -> String {
        let given = without_plain_bodies(text, &BRACES);
        if given.ranges().is_empty() {
            return text.to_owned();
        }
        given.ranges().iter().map(|range| &text[range.start_byte..range.end_byte]).collect()
    }

    #[test]
    fn plain_bodies_are_left_out_and_others_kept() {
        assert_eq!(
            given("class A { void f(int a) { a(); if (a) { b(); } } }"),
            "class A { void f(int a) {} }"
        );
        assert_eq!(
            given("class A { void f() throws E, F { a(); b(); } }"),
            "class A { void f() throws E, F {} }"
        );
        for kept in [
            "class A { void f() { a(); throw x; } }",
            "class A { int f() { return 1; } }",
            "class A { void f() { int x(int a) { b(); } c(); } }",
            "class A { Object o = new B(1) { int g() { a(); b(); } }; }",
            "class A { B(1) { int g() { a(); b(); } } }",
            "class A { void f() { a(); b();",
            "class A {\n#if X\nvoid f() {\n#else\nvoid g() {\n#endif\na(); b(); } }",
        ] {
            let inner = given(kept);
            assert!(inner == kept || inner.contains("int g()"), "{kept}: {inner}");
        }
    }

    #[test]
    fn strings_characters_and_comments_hold_no_braces() {
        let text = "class A { void f() { a(\"}\"); b('}'); c('\\''); /* } */ d(); // }\n } void g(); }";
        assert_eq!(given(text), "class A { void f() {} void g(); }");
        let block = "class A { void f() { a(\"\"\"\n } \" \"\"\"); b(); } void g(); }";
        assert_eq!(given(block), "class A { void f() {} void g(); }");
    }
}
