//! Reads what the grammars of the two languages would read, tens of times as fast: a parser made for them (ECMA-262 and
//! TypeScript) reads the text, and what it found is laid down as the tree that the grammar would have made. The walk
//! then asks the same questions of either. What the parser does not accept whole is left to the grammar, which goes on
//! behind a mistake.

mod declarations;
mod expressions;
mod members;
mod nesting;
mod patterns;
mod types;
mod words;

use oxc_allocator::Allocator;
use oxc_ast_visit::Visit;
use oxc_parser::{ParseOptions, Parser, ParserReturn};
use oxc_span::SourceType;

use self::words::{Words, language, words};
use crate::reading::{Builder, BuiltTree};
use crate::text::{Source, Span, narrow};

/// A script or a module, with markup in it or without.
const JAVASCRIPT: SourceType = SourceType::unambiguous().with_jsx(true);

/// Builds the tree of a script, of which `given` is what is read; nothing where the parser does not accept all of it.
pub(super) fn build(source: &Source, given: &str) -> Option<BuiltTree> {
    let kind = kind_of(&source.path().to_ascii_lowercase())?;
    let stack = nesting::stack_for(given)?;
    stacker::maybe_grow(stack, stack, || parse(given, kind))
}

/// Tells how the parser takes a file, by its ending.
fn kind_of(path: &str) -> Option<SourceType> {
    let (_, ending) = path.rsplit_once('.')?;
    Some(match ending {
        "ts" | "mts" | "cts" if [".d.ts", ".d.mts", ".d.cts"].iter().any(|end| path.ends_with(end)) => {
            SourceType::d_ts()
        }
        "ts" | "mts" | "cts" | "vue" | "svelte" => SourceType::ts(),
        "tsx" => SourceType::tsx(),
        "js" | "jsx" | "mjs" | "cjs" => JAVASCRIPT,
        _ => return None,
    })
}

/// Tells whether the parser accepts all of a piece of code, with types in it or without.
pub(super) fn accepts(text: &str, is_typed: bool) -> bool {
    let kinds = if is_typed { &[SourceType::ts(), SourceType::tsx()][..] } else { &[JAVASCRIPT][..] };
    let Some(stack) = nesting::stack_for(text) else { return false };
    stacker::maybe_grow(stack, stack, || {
        kinds.iter().any(|&kind| parsed(&Allocator::default(), text, kind).is_some())
    })
}

fn parsed<'a>(allocator: &'a Allocator, text: &'a str, kind: SourceType) -> Option<ParserReturn<'a>> {
    let options = ParseOptions { allow_return_outside_function: true, ..ParseOptions::default() };
    let read = Parser::new(allocator, text, kind).with_options(options).parse();
    let is_whole = !read.panicked && !read.is_flow_language && read.diagnostics.is_empty();
    is_whole.then_some(read)
}

fn parse(text: &str, kind: SourceType) -> Option<BuiltTree> {
    let allocator = Allocator::default();
    let read = parsed(&allocator, text, kind)?;
    let words = words();
    let comments = read.program.comments.iter().map(|comment| span(comment.span)).collect();
    let builder = Builder::new(language(), (words.PROGRAM, text.len()), (words.COMMENT, comments));
    let mut lowering = Lowering { text, words, builder };
    lowering.visit_directives(&read.program.directives);
    lowering.visit_statements(&read.program.body);
    Some(lowering.builder.done(text.len()))
}

/// Lays down what the parser found as the grammar would have.
struct Lowering<'s> {
    text: &'s str,
    words: &'static Words,
    builder: Builder,
}

fn span(of: oxc_span::Span) -> Span {
    Span::new(of.start, of.end)
}

impl<'s> Lowering<'s> {
    /// Names the field that the next node stands in.
    fn field(&mut self, field: u16) {
        self.builder.in_field(field);
    }

    /// Adds a node, with what `inside` adds to it.
    fn node(&mut self, kind: u16, at: Span, inside: impl FnOnce(&mut Self)) {
        self.builder.open(kind, at.start);
        inside(self);
        self.builder.close(at.end);
    }

    /// Adds a node with nothing inside.
    fn leaf(&mut self, kind: u16, at: impl Into<Place>) {
        self.builder.leaf(kind, at.into().0);
    }

    /// Adds, in a field, a node with nothing inside.
    fn leaf_in(&mut self, field: u16, kind: u16, at: impl Into<Place>) {
        self.field(field);
        self.leaf(kind, at);
    }

    fn slice(&self, at: Span) -> &'s str {
        &self.text[at.range()]
    }

    /// Returns where the first token behind an offset begins: white space and comments stand before it.
    fn token_behind(&self, mut at: u32) -> u32 {
        loop {
            let rest = &self.text[at as usize..];
            let bare = rest.trim_start();
            at += narrow(rest.len() - bare.len());
            let comment = if bare.starts_with("//") {
                bare.find('\n').unwrap_or(bare.len())
            } else if bare.starts_with("/*") {
                bare.find("*/").map_or(bare.len(), |end| end + 2)
            } else {
                return at;
            };
            at += narrow(comment);
        }
    }

    /// Returns where a word or sign behind an offset begins, if it is the next token.
    fn next_is(&self, at: u32, token: &str) -> Option<u32> {
        let at = self.token_behind(at);
        self.text[at as usize..].starts_with(token).then_some(at)
    }

    /// Returns a member's place without the semicolon or comma that ends it.
    fn without_end(&self, at: oxc_span::Span) -> Span {
        let at = span(at);
        let bare = self.slice(at).trim_end_matches([';', ',']).trim_end();
        Span::new(at.start, at.start + narrow(bare.len()))
    }
}

/// Where a node stands.
struct Place(Span);

impl From<oxc_span::Span> for Place {
    fn from(at: oxc_span::Span) -> Self {
        Self(span(at))
    }
}

impl From<Span> for Place {
    fn from(at: Span) -> Self {
        Self(at)
    }
}

#[cfg(test)]
mod tests {
    #![expect(clippy::disallowed_methods, reason = "the tests read the case files")]

    use std::path::{Path, PathBuf};

    use super::super::{ANNOTATED, JS_READER, TS_READER, TSX, TSX_READER};
    use super::build;
    use crate::model::Outline;
    use crate::reading::{Given, GrammarReader, Parsers, Reader, Wishes};
    use crate::text::Source;

    /// What the grammar cannot read as it stands, and what is made of it for the grammar begins elsewhere.
    const REWRITTEN: &[&str] = &["typescript/default-export-without-name/booking.d.ts"];

    fn scripts(folder: &Path) -> Vec<PathBuf> {
        let entries = std::fs::read_dir(folder).expect("the folder is there").filter_map(Result::ok);
        entries
            .flat_map(|entry| match entry.path() {
                path if path.is_dir() => scripts(&path),
                path => vec![path],
            })
            .collect()
    }

    /// Reads a text as the grammar has it, and as it is built; nothing where it is not built.
    fn both(path: &str, text: &str) -> Option<(Outline, Outline)> {
        let source = Source::new(path, text);
        let tree = build(&source, text)?;
        let (wishes, mut parsers) = (Wishes::default(), Parsers::new());
        let typed = [".ts", ".mts", ".cts"].iter().any(|ending| path.ends_with(ending));
        let (by_grammar, built) = match () {
            () if typed => (TS_READER.read(&source, wishes, &mut parsers), &TSX),
            () if path.ends_with(".tsx") => (TSX_READER.read(&source, wishes, &mut parsers), &TSX),
            () => (JS_READER.read(&source, wishes, &mut parsers), &ANNOTATED),
        };
        Some((by_grammar, GrammarReader(built).read_built(&source, wishes, (tree, Given::all(text)))))
    }

    #[test]
    fn the_grammar_and_the_parser_see_the_same_in_all_cases() {
        let cases = Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/cases");
        let (mut built, mut differ) = (0, Vec::new());
        for path in ["javascript", "typescript"].iter().flat_map(|language| scripts(&cases.join(language))) {
            let name = path.strip_prefix(&cases).expect("a case is under its root").display().to_string();
            let text = std::fs::read_to_string(&path).expect("a case is text");
            let Some((by_grammar, by_parser)) = both(&name, &text) else { continue };
            built += 1;
            let shown = |outline: &Outline| format!("{:#?}{:#?}", outline.declarations, outline.comments);
            if shown(&by_grammar) != shown(&by_parser) && !REWRITTEN.contains(&name.as_str()) {
                let (wanted, found) = (shown(&by_grammar), shown(&by_parser));
                let line = wanted.lines().zip(found.lines()).find(|(wanted, found)| wanted != found);
                differ.push(format!("{name}: {line:?}"));
            }
        }
        assert_eq!(differ, Vec::<String>::new());
        assert!(built > 40, "only {built} of the cases are read so");
    }

    #[test]
    fn what_nests_thousands_deep_is_left_to_the_grammar_or_has_the_stack_that_it_takes() {
        let nesting = [
            ("(", "1", ")"),
            ("[", "1", "]"),
            ("!", "1", ""),
            ("a=>", "1", ""),
            ("a?b:", "1", ""),
            ("a = ", "1", ""),
            ("<a>", "", "</a>"),
            ("typeof ", "1", ""),
            ("", "a", ".b()"),
            ("", "1", " + 1"),
            ("", "a", "?.[0]"),
        ];
        for (before, inside, behind) in nesting {
            for depth in [200, 2000] {
                let text = format!("x = {}{inside}{}\n", before.repeat(depth), behind.repeat(depth));
                // That it comes back is what is asked.
                _ = build(&Source::new("x.js", &text), &text);
            }
        }
    }
}
