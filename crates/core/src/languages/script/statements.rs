//! Leaves statements without any fact out of what the grammar is given: a lexical pass, several times faster than the
//! grammar itself.
//!
//! A statement inside a function that ends with a semicolon, and has neither braces nor a word that tells something in
//! it, is left out. Of the first one of each block the semicolon stays, where another follows: a block of one statement must
//! not be made. Where the pass loses its bearings, everything is given.

use std::ops::Range;
use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use super::lexer::{self, first_word, is_word, last_word};
use crate::languages::shared::{inside_comment, literals, plain_words, without_found};
use crate::reading::Given;
use crate::text::narrow;

/// What a statement must not hold to be left out.
static FACTS: LazyLock<AhoCorasick> = LazyLock::new(|| {
    plain_words(&[
        "return", "throw", "yield", "=>", "function", "class", "/*", "arguments", "exports", "prototype",
        "require", "import", "define", "vinequill:",
    ])
});

/// What declares types inside a function.
static TYPES: LazyLock<AhoCorasick> =
    LazyLock::new(|| plain_words(&["type ", "interface ", "enum ", "namespace ", "module ", "declare "]));

/// What may call code that is not seen.
static CALLS: LazyLock<AhoCorasick> = LazyLock::new(|| plain_words(&["(", "await", "new", "`"]));

/// Words that a statement begins with which does not stand by itself.
const DEPENDENT: &[&str] = &[
    "else", "case", "default", "while", "do", "import", "export", "static", "get", "set", "type",
    "interface", "enum", "declare", "namespace", "module", "abstract",
];

/// Words before a parenthesis behind which a block follows, and no body of a function.
const CONTROL: &[&str] = &["if", "for", "while", "switch", "catch", "with", "await"];

/// Words directly before a block.
const BEFORE_BLOCK: &[&str] = &["else", "try", "finally", "do", "catch"];

/// Words that go on with a statement behind a block of it.
const GOES_ON: &[&str] = &["else", "catch", "finally", "while"];

/// Words that begin a statement with blocks which may be left out as a whole.
const BLOCKS: &[&str] = &["if", "for", "switch", "try"];

/// As far before its brace the word of a class may stand, in bytes.
const LONGEST_HEAD: usize = 400;

/// What a pair of braces holds.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Holds {
    /// Statements of a function.
    Statements,
    /// Something else: the members of a class or an object, or statements of a module.
    Other,
}

/// Whether a statement ends where a pair of braces closes.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Ends {
    /// It goes on.
    Nothing,
    /// A block or a statement with blocks ends.
    Block,
    /// A function, a method or a class ends, behind which the grammar looks for a semicolon.
    Declaration,
}

/// An open pair of braces; the file is the outermost.
struct Frame {
    holds: Holds,
    /// The offset of its brace.
    brace: usize,
    /// How many parentheses and brackets were open at its brace.
    base: usize,
    /// Where its current statement begins, comments before it included.
    start: usize,
    /// Where its first word may be.
    code: usize,
    /// Where the statement begins of which a block has ended and another follows (`if` with `else`, `try` with `catch`),
    /// and whether another was passed before it.
    chain: Option<(usize, bool)>,
    /// There is the body of a function, or a block, in its current statement.
    has_code: bool,
    /// There was such a thing in one of its statements, the current one included.
    had_code: bool,
    /// A statement of it was passed.
    has_first: bool,
    /// Its first statement without the semicolon, where that is left out once another follows.
    first: Option<Range<usize>>,
    /// What ends where it closes.
    ends: Ends,
    /// Something was called in what was left out.
    calls: bool,
}

impl Frame {
    /// Opens a pair of braces: where its brace is and what it holds begins, and how many parentheses are open.
    fn of(holds: Holds, (brace, start): (usize, usize), base: usize, ends: Ends) -> Self {
        Self {
            holds,
            brace,
            base,
            start,
            code: start,
            chain: None,
            has_code: false,
            had_code: false,
            has_first: false,
            first: None,
            ends,
            calls: false,
        }
    }
}

/// Decides what the grammar is given of `text`; with types in it, braces may hold members of a type.
pub(super) fn without_plain_statements(text: &str, typed: bool) -> Given<'_> {
    without_found(Given::all(text), text, Scan::new(text, typed).run())
}

struct Scan<'s> {
    text: &'s str,
    bytes: &'s [u8],
    typed: bool,
    at: usize,
    /// Offsets of the parentheses and brackets that are open.
    open: Vec<usize>,
    /// The last pair of parentheses that was closed.
    last_pair: (usize, usize),
    frames: Vec<Frame>,
    /// Where the last brace opened that is not one of a block.
    last_object: Option<usize>,
    left_out: Vec<Range<usize>>,
    calls: Vec<u32>,
}

impl<'s> Scan<'s> {
    fn new(text: &'s str, typed: bool) -> Self {
        let file = Frame::of(Holds::Other, (0, 0), 0, Ends::Nothing);
        Self {
            text,
            bytes: text.as_bytes(),
            typed,
            at: 0,
            open: Vec::new(),
            last_pair: (0, 0),
            frames: vec![file],
            last_object: None,
            left_out: Vec::new(),
            calls: Vec::new(),
        }
    }

    /// Returns the statements to leave out, and the braces of blocks in which something of them was called; nothing
    /// when brackets or literals do not end.
    fn run(mut self) -> Option<(Vec<Range<usize>>, Vec<u32>)> {
        let telling = |byte: &u8| {
            matches!(byte, b'/' | b'"' | b'\'' | b'`' | b'(' | b')' | b'[' | b']' | b'{' | b'}' | b';')
        };
        while let Some(found) = self.bytes[self.at..].iter().position(telling) {
            let found = self.at + found;
            self.at = found + 1;
            match self.bytes[found] {
                b'/' => self.slash(found)?,
                b'"' | b'\'' | b'`' => self.at = literals::script(self.text, found, 0)?,
                b'(' | b'[' => self.open.push(found),
                b')' => self.last_pair = (self.open.pop()?, found),
                b']' => _ = self.open.pop()?,
                b'{' => self.open_brace(found),
                b'}' => self.close_brace(found)?,
                _ => self.semicolon(found)?,
            }
        }
        self.calls.sort_unstable();
        self.left_out.sort_unstable_by_key(|range| range.start);
        (self.frames.len() == 1 && self.open.is_empty()).then_some((self.left_out, self.calls))
    }

    fn slash(&mut self, found: usize) -> Option<()> {
        // Text between tags may hold any sign.
        if self.bytes.get(found + 1) == Some(&b'>') || self.bytes[..found].ends_with(b"<") {
            return None;
        }
        self.at = lexer::behind_slash(self.text, found)?;
        let frame = self.frames.last_mut()?;
        let is_comment = matches!(self.bytes.get(found + 1), Some(b'/' | b'*'));
        if is_comment && self.bytes[frame.code..found].iter().all(u8::is_ascii_whitespace) {
            frame.code = self.at;
        }
        if self.bytes.get(found + 1) == Some(&b'*') {
            self.left_out.extend(inside_comment(self.text, found, self.at));
        }
        Some(())
    }

    fn open_brace(&mut self, found: usize) {
        let before = self.text[..found].trim_end();
        let frame = self.frames.last().expect("the file is never closed");
        let in_code = frame.holds == Holds::Statements;
        let level = self.open.len() == frame.base;
        let head = self.text[frame.code..found].trim_start();
        let first = match first_word(head) {
            "else" => first_word(head["else".len()..].trim_start()),
            first => first,
        };
        // A class may extend what a call makes; its head is not long.
        let near = &self.bytes[frame.start.max(found.saturating_sub(LONGEST_HEAD)).min(found)..found];
        let is_class = || memchr::memmem::find(near, b"class").is_some();
        let ends = |ends: Ends, does: bool| if does { ends } else { Ends::Nothing };
        let (holds, ends) = match before.as_bytes().last() {
            Some(b'>') if before.ends_with("=>") => {
                (if self.is_arrow(before) { Holds::Statements } else { Holds::Other }, Ends::Nothing)
            }
            Some(b')') if self.last_pair.1 + 1 == before.len() && !is_class() => {
                let word = last_word(self.text[..self.last_pair.0].trim_end());
                if CONTROL.contains(&word) {
                    (frame.holds, ends(Ends::Block, level && CONTROL.contains(&first)))
                } else {
                    // A method ends with its body, as a function does that is declared.
                    let declared = matches!(first, "function" | "async") || frame.holds == Holds::Other;
                    (Holds::Statements, ends(Ends::Declaration, level && declared))
                }
            }
            Some(b';' | b'{' | b'}') if in_code && level && head.is_empty() => {
                (Holds::Statements, Ends::Block)
            }
            Some(b':') if in_code && level && matches!(first, "case" | "default") => {
                (Holds::Statements, Ends::Block)
            }
            Some(&byte) if level && is_word(byte) && BEFORE_BLOCK.contains(&last_word(before)) => {
                (frame.holds, Ends::Block)
            }
            Some(_) if self.typed && self.says_type(before) && !is_class() => {
                let declared = matches!(first, "function" | "async") || frame.holds == Holds::Other;
                (Holds::Statements, ends(Ends::Declaration, level && declared))
            }
            _ => (Holds::Other, ends(Ends::Declaration, level && first == "class")),
        };
        let frame = self.frames.last_mut().expect("the file is never closed");
        // With types, braces may hold the members of one.
        let is_code = self.typed || holds == Holds::Statements || ends != Ends::Nothing;
        (frame.has_code, frame.had_code) = (frame.has_code || is_code, frame.had_code || is_code);
        if ends != Ends::Block {
            self.last_object = Some(found);
        }
        self.frames.push(Frame::of(holds, (found, found + 1), self.open.len(), ends));
    }

    /// Tells an arrow function from the type of a function, by what stands before its parameters; in doubt it is a type.
    fn is_arrow(&self, before: &str) -> bool {
        if !self.typed {
            return true;
        }
        let (open, close) = self.last_pair;
        let before = before[..before.len() - "=>".len()].trim_end();
        let between = before.get(close + 1..).unwrap_or_default().trim_start();
        let ends_with_pair = close + 1 == before.len();
        if !ends_with_pair && !between.starts_with(':') {
            // No type of a function has its one parameter without parentheses.
            return before.bytes().next_back().is_some_and(is_word);
        }
        let outer = self.text[..open].trim_end();
        let outer = outer.strip_suffix("async").unwrap_or(outer).trim_end();
        // Where statements end without a semicolon, the first word seen may be that of another.
        let name = outer[..outer.len().saturating_sub(1)].trim_end();
        match outer.bytes().next_back() {
            Some(b'=') => {
                let word = last_word(name);
                !word.is_empty() && last_word(name[..name.len() - word.len()].trim_end()) != "type"
            }
            Some(b'(') => {
                name.bytes().next_back().is_some_and(|byte| is_word(byte) || byte == b')' || byte == b']')
            }
            Some(b',') => true,
            _ => last_word(outer) == "return",
        }
    }

    /// Tells whether what stands between a list of parameters and a brace is the type of a result.
    fn says_type(&self, before: &str) -> bool {
        let between = self.text.get(self.last_pair.1 + 1..before.len()).unwrap_or_default();
        let ty = between.trim_start().strip_prefix(':').unwrap_or_default().trim();
        !ty.is_empty()
            && !matches!(last_word(ty), "is" | "keyof" | "extends" | "infer" | "readonly" | "unique")
            && !ty.contains([';', '='])
            && ty.ends_with(|c: char| c.is_alphanumeric() || matches!(c, '_' | '$' | '>' | ']' | '}'))
    }

    fn close_brace(&mut self, found: usize) -> Option<()> {
        if self.frames.len() == 1 {
            return None;
        }
        let frame = self.frames.pop()?;
        if frame.base != self.open.len() {
            return None;
        }
        if frame.calls {
            self.calls.push(narrow(frame.brace));
        }
        if frame.ends == Ends::Block {
            self.end_blocks(found, frame.calls);
        }
        let outer = self.frames.last_mut()?;
        (outer.has_code, outer.had_code) =
            (outer.has_code || frame.had_code, outer.had_code || frame.had_code);
        if frame.ends != Ends::Nothing {
            (outer.start, outer.code) = (found + 1, found + 1);
            outer.has_code = false;
            // What follows a declaration says where it ends.
            outer.has_first = frame.ends == Ends::Block;
        }
        Some(())
    }

    /// A block ends that may be the last of its statement: a whole one without any fact is left out.
    fn end_blocks(&mut self, found: usize, calls: bool) {
        let Some(outer) = self.frames.last_mut() else { return };
        let (start, has_first) = outer.chain.take().unwrap_or((outer.start, outer.has_first));
        let follows = lexer::next_word(self.text, found + 1);
        if GOES_ON.contains(&follows) {
            outer.chain = Some((start, has_first));
            return;
        }
        let earlier = outer.first.take();
        let statement = &self.text[start..=found];
        // Objects may hold methods.
        let blocks_alone = self.last_object.is_none_or(|object| object < start);
        let whole = outer.holds == Holds::Statements && has_first && blocks_alone;
        let tells = |text: &str| FACTS.is_match(text) || (self.typed && TYPES.is_match(text));
        if whole && BLOCKS.contains(&first_word(statement.trim_start())) && !tells(statement) {
            outer.calls |= calls || CALLS.is_match(statement);
            while self.left_out.last().is_some_and(|last| last.start >= start) {
                self.left_out.pop();
            }
            self.left_out.push(start..found + 1);
        }
        self.leave_out_first(earlier);
    }

    fn semicolon(&mut self, found: usize) -> Option<()> {
        let frame = self.frames.last_mut()?;
        if self.open.len() != frame.base {
            return Some(());
        }
        let range = frame.start..found + 1;
        let statement = self.text.get(range.clone())?;
        let first = first_word(self.text[frame.code..found].trim_start());
        (frame.start, frame.code) = (found + 1, found + 1);
        frame.chain = None;
        let (is_first, has_code) = (!frame.has_first, frame.has_code);
        frame.has_first = true;
        frame.has_code = false;
        let earlier = frame.first.take();
        if frame.holds == Holds::Other {
            return Some(());
        }
        if !(has_code
            || FACTS.is_match(statement)
            || DEPENDENT.contains(&first)
            || lexer::next_word(self.text, found + 1) == "else")
        {
            if is_first {
                frame.first = Some(range.start..found);
            } else {
                frame.calls |= CALLS.is_match(statement);
                self.left_out.push(range);
            }
        }
        self.leave_out_first(earlier);
        Some(())
    }

    /// Leaves out the first statement of the current block but for its semicolon: another follows.
    fn leave_out_first(&mut self, first: Option<Range<usize>>) {
        let (Some(first), Some(frame)) = (first, self.frames.last_mut()) else { return };
        frame.calls |= CALLS.is_match(&self.text[first.clone()]);
        // It comes behind what was left out inside the statements that follow it: all is sorted in the end.
        self.left_out.push(first);
    }
}

#[cfg(test)]
mod tests {
    use super::without_plain_statements;

    /// Returns what the grammar is given.
    fn given(text: &str, typed: bool) -> String {
        without_plain_statements(text, typed).shown()
    }

    #[test]
    fn statements_without_facts_are_left_out() {
        for (text, wanted) in [
            ("function f(a) { b(); c(a); d = 1; return d; }", "function f(a) {; return d; }"),
            ("const f = (a) => { b(); c(a); };\nd();", "const f = (a) => {; };\nd();"),
            ("class A { x = 1; f(a) { b(); c(a); } y = 2; }", "class A { x = 1; f(a) {; } y = 2; }"),
            (
                "function f() { if (a) { b(); c(); } else { d(); e(); } if (g) h(); try { i(); j(); } catch (k) { throw k; } }",
                "function f() { if (a) {; } else {; } try {; } catch (k) { throw k; } }",
            ),
            ("function f() { a = '</p>'; b(); /* </p> */ c(); }", "function f() {; /* </p> */ c(); }"),
            ("function f() { a = '</p>'; b('/>'); return c; }", "function f() {; return c; }"),
            ("function f() { a = '}'; b(/[/}]/g); c(`${d({})}}`); e = 4 / 2; }", "function f() {; }"),
            ("function f() { a(); switch (b) { case 1: c(); d(); break; } e(); }", "function f() {; }"),
            ("function f() { a(); if (b) { c(); } }", "function f() {; }"),
        ] {
            assert_eq!(given(text, false), wanted);
            assert_eq!(given(text, true), wanted);
        }
        let objects = "function f() { a = { b: 1, c: [{}] }; d({ e }); return f; }";
        assert_eq!(given(objects, false), "function f() {; return f; }");
        assert_eq!(given(objects, true), objects);
        assert_eq!(without_plain_statements("function f() { a = 1; b(); }", false).into_calls(), [13]);
        assert_eq!(without_plain_statements("function f() { a(); b = 1; }", false).into_calls(), [13]);
        assert!(without_plain_statements("function f() { a = 2; b = 1; }", false).into_calls().is_empty());
    }

    #[test]
    fn what_tells_something_stays() {
        for text in [
            "a(); b(); module.exports = c; d = 1;",
            "if (a) { b(); c = 1; d(); }",
            "function f() { a(); }",
            "function f() { return b; throw c; }",
            "function f() { if (b) return c; else d(); }",
            "function f() { do b(); while (c); }",
            "function f() { var g = function () { return 1; }, h = 2; }",
            "function f() { b = { c() { d(); } }; }",
            "function f() { b = { get c() { return 1; } }; return b; }",
            "function f() { b = [{ c: (d) => { e(); } }]; return b; }",
            "class A extends B(c) { x = 1; y = 2; z = 3; }",
            "x = { get a() { return 1; }, b: 2 };",
            "function f() { a(); b(\n",
            "function f() { a(); b = <p>it's; c();</p>; d(); }",
            "function f() { a(); b = <p>it's</p>; c(); d = '</p>'; }",
            "function f() { a(); b = <C d='e' />; c(); }",
        ] {
            assert_eq!(given(text, false), text);
            assert_eq!(given(text, true), text);
        }
        let told = "function f() { a(); /** The b. */ b = 1; // vinequill: allow param.missing\n c(); }";
        let wanted = "function f() {; /** The b. */ b = 1; // vinequill: allow param.missing\n c(); }";
        assert_eq!(given(told, false), wanted);
    }

    #[test]
    fn members_of_types_are_no_statements() {
        for text in [
            "type F = (a: b) => { c: string; d(): void; e: f };",
            "interface A { f: (a: b) => { c: string; d(): void; }; g(): void; h: i; }",
            "function f(a: () => { c: string; d(): void; }): { e: string; f(): void; g: h } { return a(); }",
            "function f() { if (b) { c({ d(e) { g(); } }); } return e; }",
            "function f() { if (b) { type C = d; } return e; }",
            "function f() { const a: { b: string; c: d } = e(); return a; }",
            "declare module 'a' { let b: c; let d: e; let f: g; }",
            "function f() { type B = c; interface D { e: f; g: h; } return a; }",
        ] {
            assert_eq!(given(text, true), text);
        }
        for (text, wanted) in [
            (
                "class A { f(a: b): Promise<{ c: d }> { e(); f = 1; g(); } }",
                "class A { f(a: b): Promise<{ c: d }> {; } }",
            ),
            (
                "const f = async (a: b): Promise<c> => { d(); e(); };",
                "const f = async (a: b): Promise<c> => {; };",
            ),
        ] {
            assert_eq!(given(text, true), wanted);
        }
    }
}
