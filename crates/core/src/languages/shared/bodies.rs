//! Leaves bodies without any fact out of what the grammar is given: a lexical pass over languages with
//! braces, several times faster than the grammar itself.
//!
//! A body is left out only when it surely declares nothing, throws nothing, and holds no doc comment. What
//! is left of it is a pair of braces, and the note that something was called in it. Of another body those statements
//! are left out that tell nothing, where semicolons part them. When the pass loses its bearings (braces that do not
//! match), everything is given.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;
use tree_sitter::Range;

use super::literals::Literal;
use super::statements::Statements;
use crate::reading::{Given, Places};
use crate::text::{Span, narrow};

/// What the parser library reads faster than it passes over a gap, in bytes.
pub(in crate::languages) const SHORT_COMMENT: usize = 64;

/// The same of a body.
const SHORT_BODY: usize = 6;

/// What the pass must know of a language.
pub(in crate::languages) struct Braces {
    /// Finds texts that a body must not hold to be left out; made once.
    pub(in crate::languages) facts: LazyLock<AhoCorasick>,
    /// Words before a parenthesis or brace that call nothing.
    pub(in crate::languages) statements: &'static [&'static str],
    /// What opens bodies.
    pub(in crate::languages) heads: Heads,
    /// Signs that open literals, and how one is passed over.
    pub(in crate::languages) literals: (&'static [u8], Literal),
    /// Comments stand in comments.
    pub(in crate::languages) nested_comments: bool,
    /// A number sign opens a comment.
    pub(in crate::languages) hash_comments: bool,
    /// Of comments of several lines only the first need be read.
    pub(in crate::languages) runs: bool,
    /// Statements end with semicolons and can be told apart, but where a body holds one of these; nothing where they
    /// need not.
    pub(in crate::languages) parts: Option<&'static [&'static str]>,
}

/// Makes what finds some texts.
///
/// # Panics
/// Never: plain texts always compile.
pub(in crate::languages) fn plain_words(words: &[&str]) -> AhoCorasick {
    AhoCorasick::new(words).expect("plain words compile")
}

/// What opens the body of something that is called.
pub(in crate::languages) enum Heads {
    /// A list of parameters, with nothing between the two but declared exceptions; or one of these words.
    Parameters(&'static [&'static str]),
    /// One of these words and lists of parameters.
    Words {
        /// The words.
        words: &'static [&'static str],
        /// What never stands between one list and the next.
        part: &'static [char],
        /// Tells by what stands between the last list and a brace what the brace opens.
        opens: fn(&str) -> Opens,
    },
}

/// What a brace behind a list of parameters opens.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(in crate::languages) enum Opens {
    /// The body of something that says what it returns.
    Typed,
    /// The body of something that does not: what is returned in it tells.
    Untyped,
    /// Something else.
    Other,
}

/// What is left out: the inside of a body or of a comment, or a statement.
struct Gap {
    range: std::ops::Range<usize>,
    /// The brace of the body or the block, where something is called in it.
    calls: Option<usize>,
}

/// Leaves plain bodies out of what the grammar is given of `text`; `given` is `text` masked.
pub(in crate::languages) fn without_plain_bodies<'s>(
    given: Given<'s>,
    text: &str,
    braces: &Braces,
) -> Given<'s> {
    let Some((gaps, runs)) = Scan::new(text, braces).run() else { return given };
    let mut calls: Vec<u32> = gaps.iter().filter_map(|gap| gap.calls).map(narrow).collect();
    // Statements of a block may stand behind those of blocks in it.
    calls.sort_unstable();
    calls.dedup();
    let gaps = gaps.into_iter().map(|gap| gap.range).collect();
    without_found(given, text, Some((gaps, calls))).without_lines(runs)
}

/// Leaves out of what is given of `text` what a pass found to tell nothing, sorted, and notes where that called
/// something; nothing when the pass lost its bearings.
pub(in crate::languages) fn without_found<'s>(
    given: Given<'s>,
    text: &str,
    found: Option<(Vec<std::ops::Range<usize>>, Vec<u32>)>,
) -> Given<'s> {
    match found {
        Some((left_out, calls)) if !left_out.is_empty() => {
            given.leaving_out(ranges_without(text, &left_out), calls)
        }
        _ => given,
    }
}

/// Returns the ranges of `text` that are left when some, which are sorted and disjoint, are taken out.
pub(in crate::languages) fn ranges_without(text: &str, left_out: &[std::ops::Range<usize>]) -> Vec<Range> {
    let mut places = Places::of(text);
    let mut ranges = Vec::with_capacity(left_out.len() + 1);
    let mut start = 0;
    for inner in left_out {
        // The parser takes the end of an empty range for the end of what stands before it.
        if start < inner.start {
            ranges.push(places.range(start, inner.start));
        }
        start = inner.end;
    }
    ranges.push(places.range(start, text.len()));
    ranges
}

/// Returns what of a block comment the grammar needs not read: all but its marks, where it is long.
pub(in crate::languages) fn inside_comment(
    text: &str,
    start: usize,
    end: usize,
) -> Option<std::ops::Range<usize>> {
    // The third byte may be one of several of a character, and where the comment never ends the last as well.
    let is_boundary = |at: &usize| text.is_char_boundary(*at);
    let from = (start + "/**".len()..=end).find(is_boundary)?;
    let inner = from..(from..=end.saturating_sub("*/".len())).rev().find(is_boundary)?;
    (inner.start + SHORT_COMMENT < inner.end).then_some(inner)
}

/// Returns the whole lines that begin with `mark` below the comment whose line ends at `end`, where they are long.
pub(in crate::languages) fn run_behind(text: &str, end: usize, mark: &str) -> Option<std::ops::Range<usize>> {
    let start = end + text[end..].find('\n')? + 1;
    let lines = text[start..].split_inclusive('\n').take_while(|line| {
        let bare = line.trim_start();
        // In a text that is written out it opens an expression.
        bare.starts_with(mark) && !bare.starts_with("#{")
    });
    let length: usize = lines.map(str::len).sum();
    (length > SHORT_COMMENT).then_some(start..start + length)
}

/// The lexical pass.
struct Scan<'s> {
    text: &'s str,
    bytes: &'s [u8],
    braces: &'s Braces,
    /// Bytes at which the pass stops.
    signs: [bool; 256],
    at: usize,
    /// Offsets of the parentheses and brackets that are open.
    open: Vec<usize>,
    /// The last pair of parentheses that was closed.
    last_pair: Option<(usize, usize)>,
    /// The head that was begun with a word: how many parentheses were open there, and where its last list closed.
    head: Option<(usize, usize)>,
    depth: usize,
    /// The body that is open: offset behind its brace, and the depth it was opened at.
    body: Option<(usize, usize, Opens)>,
    /// What was seen in the open body.
    seen: Seen,
    /// The statements of the open body.
    statements: Statements,
    /// What is left out so far.
    gaps: Vec<Gap>,
    /// Of that, lines of comments behind their first.
    runs: Vec<Span>,
}

#[derive(Default)]
struct Seen {
    statements: usize,
    calls: bool,
    declares: bool,
}

impl<'s> Scan<'s> {
    fn new(text: &'s str, braces: &'s Braces) -> Self {
        let mut signs = [false; 256];
        for &sign in b"/()[];{}".iter().chain(braces.literals.0) {
            signs[usize::from(sign)] = true;
        }
        signs[usize::from(b'#')] = braces.hash_comments;
        Self {
            text,
            bytes: text.as_bytes(),
            braces,
            signs,
            at: 0,
            open: Vec::new(),
            last_pair: None,
            head: None,
            depth: 0,
            body: None,
            seen: Seen::default(),
            statements: Statements::default(),
            gaps: Vec::new(),
            runs: Vec::new(),
        }
    }

    /// Returns what is to be left out, in order, and the lines of comments in it; nothing when braces do not match.
    fn run(mut self) -> Option<(Vec<Gap>, Vec<Span>)> {
        loop {
            let from = self.at;
            let Some(found) = self.next_sign() else { break };
            match self.bytes[found] {
                b'/' => self.skip_comment(found),
                b'#' => self.skip_line_comment(found),
                b'(' => {
                    self.begin_head(from, found);
                    self.open.push(found);
                    if self.body.is_some() && self.is_call(found) {
                        self.seen.calls = true;
                        self.statements.call();
                    }
                }
                b'[' => self.open.push(found),
                b')' => {
                    self.last_pair = self.open.pop().map(|open| (open, found));
                    if let Some((base, close)) = &mut self.head
                        && *base == self.open.len()
                    {
                        *close = found + 1;
                    }
                    self.seen.declares |= self.body.is_some() && self.declares_with_arrow(found);
                }
                b']' => _ = self.open.pop(),
                b';' => {
                    self.seen.statements += 1;
                    if self.body.is_some() && self.braces.parts.is_some() {
                        self.statements.semicolon(self.text, found, self.open.len(), &self.braces.facts);
                    }
                    self.head = self.head.filter(|&(base, _)| base < self.open.len());
                }
                b'{' => self.open_brace(found),
                b'}' => {
                    self.depth = self.depth.checked_sub(1)?;
                    self.close_brace(found);
                }
                _ => self.at = (self.braces.literals.1)(self.text, found, 0)?,
            }
        }
        (self.depth == 0).then_some((self.gaps, self.runs))
    }

    fn next_sign(&mut self) -> Option<usize> {
        let rest = self.bytes.get(self.at..)?;
        let found = self.at + rest.iter().position(|&byte| self.signs[usize::from(byte)])?;
        self.at = found + 1;
        Some(found)
    }

    fn skip_line_comment(&mut self, found: usize) {
        // Attributes begin with a number sign as well (PHP).
        if self.bytes.get(found + 1) != Some(&b'[') {
            let end = memchr::memchr(b'\n', &self.bytes[found..]);
            self.at = end.map_or(self.bytes.len(), |end| found + end);
        }
    }

    /// Passes over a comment; what stands in a long one outside of bodies needs not be read by the grammar.
    fn skip_comment(&mut self, found: usize) {
        match self.bytes.get(found + 1) {
            Some(b'/') => {
                self.skip_line_comment(found);
                if self.braces.runs && self.body.is_none() {
                    self.skip_run();
                }
            }
            Some(b'*') => {
                self.at = self.behind_block_comment(found);
                let inner = self.body.is_none().then(|| inside_comment(self.text, found, self.at)).flatten();
                self.gaps.extend(inner.map(|range| Gap { range, calls: None }));
            }
            _ => return,
        }
        if self.body.is_some() {
            self.statements.comment(self.text, found, self.at);
        }
    }

    /// Passes over the lines of comments below one, which the grammar needs not read.
    fn skip_run(&mut self) {
        if let Some(run) = run_behind(self.text, self.at, "//") {
            self.at = run.end;
            self.runs.push(Span::of(run.start, run.end));
            self.gaps.push(Gap { range: run, calls: None });
        }
    }

    fn behind_block_comment(&self, found: usize) -> usize {
        let mut at = found + 2;
        let mut depth = 1_usize;
        while let Some(star) = memchr::memchr(b'*', self.bytes.get(at..).unwrap_or_default()) {
            let star = at + star;
            if self.bytes.get(star + 1) == Some(&b'/') {
                depth -= 1;
                at = star + 2;
                if depth == 0 {
                    return at;
                }
            } else {
                let opens = star > at && self.bytes[star - 1] == b'/';
                depth += usize::from(self.braces.nested_comments && opens);
                at = star + 1;
            }
        }
        self.bytes.len()
    }

    /// Tells whether a parenthesis follows a name that is no statement's word.
    fn is_call(&self, paren: usize) -> bool {
        let word = self.word_before(paren);
        !word.is_empty() && !self.braces.statements.contains(&word)
    }

    /// `int f(int a) => …` declares, `(a) => …` does not.
    fn declares_with_arrow(&self, close: usize) -> bool {
        matches!(self.braces.heads, Heads::Parameters(_))
            && self.text[close + 1..].trim_start().starts_with("=>")
            && self.last_pair.is_some_and(|(open, _)| self.is_call(open))
    }

    /// Returns the word that ends before `at`, white space between set aside.
    fn word_before(&self, at: usize) -> &'s str {
        let before = self.text[..at].trim_end();
        let start = before
            .rfind(|c: char| !(c.is_alphanumeric() || c == '_' || c == '>'))
            .map_or(0, |found| found + before[found..].chars().next().map_or(1, char::len_utf8));
        &before[start..]
    }

    /// Notes the head that a parenthesis belongs to, when one of the words stands before it, behind `from`.
    fn begin_head(&mut self, from: usize, paren: usize) {
        let Heads::Words { words, part, .. } = self.braces.heads else { return };
        if self.body.is_some() {
            return;
        }
        if let Some((base, close)) = self.head
            && base == self.open.len()
            && self.text[close..paren].contains(part)
        {
            self.head = None;
        }
        let before = &self.text[from..paren];
        let is_word = |word: &&str| {
            before.rfind(*word).is_some_and(|found| {
                let inside = |c: char| c.is_alphanumeric() || c == '_' || c == '.';
                !before[..found].ends_with(inside) && !before[found + word.len()..].starts_with(inside)
            })
        };
        if words.iter().any(is_word) {
            self.head = Some((self.open.len(), paren));
        }
    }

    fn open_brace(&mut self, found: usize) {
        let opens = match self.braces.heads {
            Heads::Parameters(accessors) => self.after_parameters(found, accessors),
            Heads::Words { opens, .. } => match self.head.filter(|&(base, _)| base == self.open.len()) {
                Some((_, close)) if self.body.is_none() => {
                    self.head = None;
                    opens(&self.text[close..found])
                }
                _ => {
                    // A block behind a name is an argument of a call.
                    self.seen.calls |= self.body.is_some() && self.is_call(found);
                    Opens::Other
                }
            },
        };
        let base = self.open.len();
        if self.body.is_some() {
            self.statements.open(self.text, found, base);
        } else if opens != Opens::Other {
            self.body = Some((found + 1, self.depth, opens));
            self.seen = Seen::default();
            self.statements.begin(found, base);
        }
        self.depth += 1;
    }

    /// Tells whether a brace behind a list of parameters opens a body; in a body that a block may declare
    /// something is noted.
    fn after_parameters(&mut self, found: usize, accessors: &[&str]) -> Opens {
        if self.body.is_none() && !accessors.is_empty() && self.is_accessor(found, accessors) {
            return Opens::Typed;
        }
        let Some((open, _)) = self.last_pair.filter(|&(_, close)| self.is_head(close, found)) else {
            return Opens::Other;
        };
        if self.body.is_some() {
            let word = self.word_before(open);
            self.seen.declares |= !self.braces.statements.contains(&word) || self.makes_object(open);
            return Opens::Other;
        }
        if self.makes_object(open) { Opens::Other } else { Opens::Typed }
    }

    /// Tells whether one of these words stands before a brace, and nothing but words of access before that.
    fn is_accessor(&self, brace: usize, accessors: &[&str]) -> bool {
        const ACCESS: &[&str] = &["private", "protected", "internal", "readonly"];
        let word = self.word_before(brace);
        let before = self.text[..brace].trim_end();
        let mut before = before[..before.len() - word.len()].trim_end();
        while let Some(access) = ACCESS.iter().find_map(|access| before.strip_suffix(access)) {
            before = access.trim_end();
        }
        accessors.contains(&word) && before.ends_with(['{', '}', ';', ']'])
    }

    /// Between a parameter list and its body stand at most the exceptions that the signature declares.
    fn is_head(&self, close: usize, brace: usize) -> bool {
        let between = self.text[close + 1..brace].trim();
        // A signature without a body ends before another brace opens.
        let declared =
            |rest: &str| rest.starts_with(char::is_whitespace) && !rest.contains([';', '{', '}', '=']);
        between.is_empty() || between.strip_prefix("throws").is_some_and(declared)
    }

    /// Tells whether the parentheses are those of `new X(…)`, whose block is a class.
    fn makes_object(&self, paren: usize) -> bool {
        let before = &self.text[..paren];
        let from =
            before.rfind([';', '{', '}', '=', '(', ',', ')', '>', '?', ':']).map_or(0, |found| found + 1);
        before[from..].split_whitespace().any(|word| word == "new") || before[..from].ends_with('>')
    }

    /// Where conditions of a preprocessor stand between, only a brace that is alone on its line and as far to the
    /// right as the line of the other closes it for sure.
    fn is_aligned(&self, start: usize, close: usize) -> bool {
        let indent = |at: usize| {
            let line = &self.text[memchr::memrchr(b'\n', &self.bytes[..at]).map_or(0, |found| found + 1)..at];
            (&line[..line.len() - line.trim_start().len()], line.trim().is_empty())
        };
        let (closing, alone) = indent(close);
        alone && indent(start).0 == closing
    }

    fn close_brace(&mut self, found: usize) {
        let Some((start, depth, opens)) = self.body else { return };
        if depth != self.depth {
            return self.statements.close(self.text, found, self.open.len(), &self.braces.facts);
        }
        self.body = None;
        let inner = &self.text[start..found];
        // Bodies of one statement may be accessors, or constructors that only call another.
        let delegates = || inner.contains("super") || inner.contains("this") || inner.contains("base");
        let long = match self.braces.heads {
            Heads::Parameters(_) => match self.seen.statements {
                0 => false,
                1 => self.seen.calls && !delegates(),
                _ => true,
            },
            Heads::Words { .. } => inner.trim().len() > SHORT_BODY,
        };
        if self.seen.declares {
            return;
        }
        let holds = |word: &str| memchr::memmem::find(inner.as_bytes(), word.as_bytes()).is_some();
        let conditional = holds("#if");
        let silent = opens == Opens::Typed || !holds("return");
        if !self.braces.facts.is_match(inner) && silent {
            if long && (!conditional || self.is_aligned(start, found)) {
                let calls = self.seen.calls.then_some(start - 1);
                self.gaps.push(Gap { range: start..found, calls });
            }
        } else if let Some(spoilers) = self.braces.parts
            && !conditional
            && !spoilers.iter().any(|word| holds(word))
        {
            let returns = |statement: &str| memchr::memmem::find(statement.as_bytes(), b"return").is_some();
            let text = self.text;
            let plain = self.statements.end(inner, text);
            let plain = plain.filter(|plain| opens == Opens::Typed || !returns(&text[plain.range.clone()]));
            self.gaps.extend(
                plain.map(|plain| Gap { range: plain.range, calls: plain.calls.then_some(plain.brace) }),
            );
        }
    }
}

/// A language that the tests of the pass read.
#[cfg(test)]
pub(super) static SAMPLE: Braces = Braces {
    facts: LazyLock::new(|| plain_words(&["throw", "/**", "class "])),
    statements: &["if", "for", "while", "switch", "catch", "try"],
    heads: Heads::Parameters(&["get"]),
    literals: (b"\"'", super::literals::c_like),
    nested_comments: false,
    hash_comments: false,
    runs: true,
    parts: Some(&["goto"]),
};

#[cfg(test)]
mod tests {
    use super::*;
    use crate::languages::shared::literals;

    /// Returns what the grammar is given.
    fn given(text: &str) -> String {
        without_plain_bodies(Given::all(text), text, &SAMPLE).shown()
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
            "interface A { void f() throws E; interface B { void g(int a); void h(int b); } }",
            "class A {\n#if X\nvoid f() {\n#else\nvoid g() {\n#endif\na(); b(); } }",
        ] {
            let inner = given(kept);
            assert!(inner == kept || inner.contains("int g()"), "{kept}: {inner}");
            assert!(!kept.starts_with("interface") || inner == kept, "{kept}: {inner}");
        }
    }

    static WORDS: Braces = Braces {
        facts: LazyLock::new(|| plain_words(&["throw"])),
        statements: &["if"],
        heads: Heads::Words {
            words: &["fun"],
            part: &['\n', '='],
            opens: |between| match between {
                _ if between.contains(['\n', '=']) => Opens::Other,
                _ if between.contains(':') => Opens::Typed,
                _ => Opens::Untyped,
            },
        },
        literals: (b"\"'`", literals::kotlin),
        nested_comments: true,
        hash_comments: false,
        runs: true,
        parts: None,
    };

    #[test]
    fn words_tell_which_brace_opens_a_body() {
        let left = |text: &str| {
            let given = without_plain_bodies(Given::all(text), text, &WORDS);
            let ranges = given.ranges().iter().map(|range| &text[range.start_byte..range.end_byte]);
            ranges.collect::<String>()
        };
        for (text, wanted) in [
            ("fun a(b: (C) -> D): E {\n b()\n c()\n}\nfun d()", "fun a(b: (C) -> D): E {}\nfun d()"),
            ("fun a() {\n b() /* /* } */ } */\n c(\"${d(\"}\")}\")\n}", "fun a() {}"),
            // An expression, and a class behind it.
            ("fun a(): B = c()\nclass D(e: F) {\n g\n h\n}", ""),
            ("fun a()\nclass D(e: F) {\n g\n h\n}", ""),
            ("fun a() {\n b()\n return c\n}", ""),
            ("fun a() {\n b()\n throw c\n}", ""),
            ("fun a() {\n b(\"\n}\n", ""),
        ] {
            assert_eq!(left(text), wanted, "{text}");
        }
    }

    #[test]
    fn insides_of_long_comments_are_left_out() {
        let long = "é".repeat(50);
        for (text, wanted) in [
            (format!("/**{long}*/ class A {{}}"), "/***/ class A {}".to_owned()),
            (format!("/*{long}*/ class A {{}}"), "/*é*/ class A {}".to_owned()),
            (format!("/* {long} */ /** short */"), "/* */ /** short */".to_owned()),
            (format!("class A {{}} /*{long}"), "class A {} /*éé".to_owned()),
        ] {
            assert_eq!(given(&text), wanted);
        }
    }

    #[test]
    fn of_long_comments_of_lines_the_first_line_is_given() {
        let line = format!("  // {}\n", "x".repeat(40));
        let text = format!("class A {{\n{line}{line}{line}  void f();\n{line}}}");
        let shown = format!("class A {{\n{line}  void f();\n{line}}}");
        assert_eq!(given(&text), shown);
        let ends = format!("class A {{\r\n{line}}}\n{line}{line}{line}").replace("x\n", "x\r\n");
        assert_eq!(given(&ends).matches("//").count(), 2);
        assert_eq!(given("class A {}\n// x\n// y\n"), "class A {}\n// x\n// y\n");
    }

    #[test]
    fn bodies_of_accessors_are_known_by_a_word() {
        for (text, wanted) in [
            ("class A { B c { get { d(); e(); } } }", "class A { B c { get {} } }"),
            ("class A { B c { get { throw d(); } } }", "class A { B c { get { throw d(); } } }"),
            ("class A { B c { get; set; } }", "class A { B c { get; set; } }"),
            ("class A { B get { get; set; } }", "class A { B get { get; set; } }"),
        ] {
            assert_eq!(given(text), wanted);
        }
    }

    #[test]
    fn conditions_between_braces_are_mistrusted() {
        let text = "class A {\n  void f() {\n    a();\n#if X\n    b();\n#endif\n  }\n}";
        assert_eq!(given(text), "class A {\n  void f() {}\n}");
        let text = "class A {\n  void f() {\n    a();\n#if X\n    b(); }\n#endif\n}";
        assert_eq!(given(text), text);
    }

    #[test]
    fn strings_characters_and_comments_hold_no_braces() {
        let text = "class A { void f() { a(\"}\"); b('}'); c('\\''); /* } */ d(); // }\n } void g(); }";
        assert_eq!(given(text), "class A { void f() {} void g(); }");
        let block = "class A { void f() { a(\"\"\"\n } \" \"\"\"); b(); } void g(); }";
        assert_eq!(given(block), "class A { void f() {} void g(); }");
    }
}
