//! Finds statements without any fact inside bodies that have some, in languages whose statements end with semicolons.
//!
//! A statement is left out that holds no fact and no braces but those of blocks. The first one of each block stays: no
//! block of one statement must be made of a longer one. What throws a variable needs all that is said of the variable.

use std::collections::HashSet;
use std::ops::Range;

use aho_corasick::AhoCorasick;

/// Words that a statement begins with which does not stand by itself, or declares something.
const DEPENDENT: &[&str] = &[
    "else", "elseif", "case", "default", "while", "do", "catch", "finally", "use", "const", "static", "type",
    "extern",
];

/// Words that begin a statement with blocks, or a part of one.
const BLOCKS: &[&str] = &[
    "if", "else", "elseif", "for", "foreach", "while", "switch", "try", "catch", "finally", "synchronized",
    "lock", "using", "fixed", "checked", "unchecked", "unsafe", "loop", "match",
];

/// Words that go on with a statement behind a block of it.
const GOES_ON: &[&str] = &["else", "elseif", "catch", "finally"];

/// Words behind a brace that go on with an expression.
const OPERATORS: &[&str] = &["as", "is", "with", "and", "or", "instanceof"];

/// How far behind its word what is thrown is looked at, in bytes.
const LONGEST_THROWN: usize = 120;

/// A pair of braces inside a body, the body's own included.
struct Block {
    /// The offset of its brace.
    brace: usize,
    /// How many parentheses and brackets were open at its brace.
    base: usize,
    /// Where its current statement begins, comments before it included.
    start: usize,
    /// Where the first word of that may be.
    code: usize,
    /// Where the statement begins of which a block has ended and another follows (`if` with `else`), whether another
    /// was passed before it, and whether it calls something.
    chain: Option<(usize, bool, bool)>,
    /// There are braces in its current statement.
    has_braces: bool,
    /// Of these, some are not those of a block.
    has_others: bool,
    /// Something is called in its current statement.
    calls: bool,
    /// Something is called in one before.
    called: bool,
    /// A statement of it was passed.
    has_first: bool,
    /// It is one of a statement with blocks.
    is_block: bool,
}

/// A statement to be left out.
pub(super) struct Plain {
    pub(super) range: Range<usize>,
    /// The brace of the function or block that it stands in.
    pub(super) brace: usize,
    /// Something is called in it.
    pub(super) calls: bool,
}

/// The statements of one body, as they are passed.
#[derive(Default)]
pub(super) struct Statements {
    blocks: Vec<Block>,
    plain: Vec<Plain>,
    /// Brackets did not match.
    lost: bool,
}

impl Statements {
    /// Begins a body at its brace; `base` parentheses and brackets are open.
    pub(super) fn begin(&mut self, brace: usize, base: usize) {
        self.blocks.clear();
        self.plain.clear();
        self.lost = false;
        self.push(brace, base, false);
    }

    fn push(&mut self, brace: usize, base: usize, is_block: bool) {
        let start = brace + 1;
        self.blocks.push(Block {
            brace,
            base,
            start,
            code: start,
            chain: None,
            has_braces: false,
            has_others: false,
            calls: false,
            called: false,
            has_first: false,
            is_block,
        });
    }

    /// Passes a comment, which ends before `end`.
    pub(super) fn comment(&mut self, text: &str, found: usize, end: usize) {
        if let Some(block) = self.blocks.last_mut()
            && text.get(block.code..found).is_some_and(|before| before.trim().is_empty())
        {
            block.code = end;
        }
    }

    /// Notes a call in the current statement.
    pub(super) fn call(&mut self) {
        if let Some(block) = self.blocks.last_mut() {
            block.calls = true;
        }
    }

    /// Passes an opening brace.
    pub(super) fn open(&mut self, text: &str, brace: usize, base: usize) {
        let Some(block) = self.blocks.last_mut() else { return };
        let head = text.get(block.code..brace).unwrap_or_default().trim();
        let is_block = base == block.base && (head.is_empty() || BLOCKS.contains(&first_word(head)));
        block.has_braces = true;
        block.has_others |= !is_block;
        self.push(brace, base, is_block);
    }

    /// Passes a closing brace that is not the body's.
    pub(super) fn close(&mut self, text: &str, found: usize, base: usize, facts: &AhoCorasick) {
        let Some(inner) = self.blocks.pop() else { return };
        let Some(outer) = self.blocks.last_mut() else { return };
        self.lost |= inner.base != base;
        outer.calls |= inner.calls || inner.called;
        if !inner.is_block {
            return;
        }
        let rest = &text[found + 1..];
        let next = first_word(rest.trim_start());
        let stands_alone = match rest.trim_start().bytes().next() {
            None | Some(b'}' | b'$' | b'@' | b'#' | b'\\' | b'/') => true,
            Some(_) => !next.is_empty() && !OPERATORS.contains(&next),
        };
        if !stands_alone {
            outer.has_others = true;
            return;
        }
        let (start, has_first, called) = outer.chain.take().unwrap_or((outer.start, outer.has_first, false));
        let calls = std::mem::take(&mut outer.calls) || called;
        outer.called |= calls;
        (outer.start, outer.code) = (found + 1, found + 1);
        (outer.has_braces, outer.has_first) = (false, true);
        if GOES_ON.contains(&next) {
            // Braces of another kind in one of its blocks keep all of it.
            outer.chain = Some((start, has_first, calls));
            return;
        }
        let others = std::mem::take(&mut outer.has_others);
        if has_first && !others && is_plain(&text[start..=found], facts) {
            self.leave_out(start..found + 1, calls);
        }
    }

    /// Passes a semicolon.
    pub(super) fn semicolon(&mut self, text: &str, found: usize, base: usize, facts: &AhoCorasick) {
        let Some(block) = self.blocks.last_mut() else { return };
        if base != block.base {
            return;
        }
        let range = block.start..found + 1;
        let first = first_word(text[block.code..found].trim_start());
        (block.start, block.code, block.chain) = (found + 1, found + 1, None);
        let calls = std::mem::take(&mut block.calls);
        block.called |= calls;
        let had_braces = std::mem::take(&mut block.has_braces);
        block.has_others = false;
        let is_first = !std::mem::replace(&mut block.has_first, true);
        let depends = || DEPENDENT.contains(&first) || first_word(text[found + 1..].trim_start()) == "else";
        if !is_first && !had_braces && !depends() && is_plain(&text[range.clone()], facts) {
            self.leave_out(range, calls);
        }
    }

    fn leave_out(&mut self, range: Range<usize>, calls: bool) {
        // Braces of a statement (`switch`) need not be those of a block.
        let Some(block) = self.blocks.iter().rfind(|block| !block.is_block) else { return };
        while self.plain.last().is_some_and(|last| last.range.start >= range.start) {
            self.plain.pop();
        }
        self.plain.push(Plain { range, brace: block.brace, calls });
    }

    /// Ends the body, whose text is given, and returns what of it may be left out, in order.
    pub(super) fn end(&mut self, inner: &str, text: &str) -> impl Iterator<Item = Plain> {
        let lost = self.lost || self.blocks.len() > 1;
        self.blocks.clear();
        let plain = if lost { Vec::new() } else { std::mem::take(&mut self.plain) };
        let thrown = if plain.is_empty() { HashSet::new() } else { names_thrown(inner) };
        plain.into_iter().filter(move |plain| {
            let statement = &text[plain.range.clone()];
            thrown.is_empty() || !words(statement).any(|word| thrown.contains(word))
        })
    }
}

/// Directives of a preprocessor and waivers stay, like all that tells something.
fn is_plain(statement: &str, facts: &AhoCorasick) -> bool {
    memchr::memchr(b'#', statement.as_bytes()).is_none()
        && memchr::memmem::find(statement.as_bytes(), b"vinequill:").is_none()
        && !facts.is_match(statement)
}

/// Returns the names in what is thrown and not made on the spot.
fn names_thrown(body: &str) -> HashSet<String> {
    let mut names = HashSet::new();
    for found in memchr::memmem::find_iter(body.as_bytes(), b"throw") {
        let rest = &body[found + "throw".len()..];
        let end = rest.char_indices().find(|&(at, c)| c == ';' || at >= LONGEST_THROWN);
        let thrown = rest[..end.map_or(rest.len(), |(at, _)| at)].trim_start();
        if first_word(thrown) != "new" {
            names.extend(words(thrown).map(str::to_owned));
        }
    }
    names
}

fn words(text: &str) -> impl Iterator<Item = &str> {
    text.split(|c: char| !(c.is_alphanumeric() || c == '_')).filter(|word| !word.is_empty())
}

fn first_word(text: &str) -> &str {
    let end = text.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(text.len());
    &text[..end]
}

#[cfg(test)]
mod tests {
    use super::super::bodies::{SAMPLE, without_plain_bodies};
    use crate::reading::Given;

    /// Returns what the grammar is given of the body of a method, and where something is called that it is not given.
    fn given(body: &str) -> (String, Vec<u32>) {
        let text = format!("class A {{ void f() {{{body}}} }}");
        let given = without_plain_bodies(Given::all(&text), &text, &SAMPLE);
        let shown = given.shown();
        let inner = shown.strip_prefix("class A { void f() {").and_then(|rest| rest.strip_suffix("} }"));
        (inner.expect("the frame is given").to_owned(), given.into_calls())
    }

    #[test]
    fn statements_without_facts_are_left_out() {
        for (body, wanted) in [
            (" a(); b = 1; throw new C(); ", " a(); throw new C(); "),
            (" a(); if (b) { throw c(); d(); } e = 1; ", " a(); if (b) { throw c(); } "),
            (" a(); if (b) { c(); } else { d(); } throw e(); ", " a(); throw e(); "),
            (
                " a(); if (b) c(); try { d(); e(); } catch (F g) { throw h(); } ",
                " a(); try { d(); } catch (F g) { throw h(); } ",
            ),
            (" a(); for (;;) { b(); if (c) { d(); } } throw e(); ", " a(); throw e(); "),
            (" a(); switch (b) { case 1: c(); d(); break; } throw e(); ", " a(); throw e(); "),
            (" a(() -> { b(); c(); throw d(); }); e(); ", " a(() -> { b(); throw d(); }); "),
        ] {
            assert_eq!(given(body).0, wanted);
        }
    }

    #[test]
    fn what_tells_something_or_does_not_stand_alone_stays() {
        for body in [
            // The first of a block.
            " a(); throw b(); ",
            // Part of another statement.
            " a(); if (b) c(); else throw d(); ",
            " a(); do b(); while (c); throw d(); ",
            " a(); switch (b) { case 1: c(); case 2: throw d(); } ",
            // Braces that are no block's.
            " a(); b = new int[] {1, 2}; throw c(); ",
            " a(); b = switch (c) { default -> d; }; throw e(); ",
            // What is thrown was made before.
            " a(); B c = d(); throw c; ",
            " a(); B c = d(); throw (B) c.e(); ",
            // Waivers and conditions.
            " a(); // vinequill: allow param.missing\n b(); throw c(); ",
            " a();\n#if X\n b();\n#endif\n throw c(); ",
            " a(); goto b; c(); throw d(); ",
            // A class that is made on the spot.
            " a(); b = new C() { int d() { e(); f(); return 1; } }; throw g(); ",
        ] {
            assert_eq!(given(body).0, body);
        }
    }

    #[test]
    fn calls_in_what_is_left_out_are_noted_at_the_function() {
        let brace = |body: &str| given(body).1;
        assert_eq!(brace(" a = 1; b = 2; throw new C(); "), Vec::<u32>::new());
        assert_eq!(brace(" a = 1; b(); throw new C(); "), [19]);
        assert_eq!(brace(" a = 1; if (b) { c = 1; d(); e = 2; } throw new C(); "), [19]);
        assert_eq!(brace(" a = b -> { c = 1; d(); throw new E(); }; "), [30]);
    }
}
