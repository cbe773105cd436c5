//! One parser a grammar, kept by each worker.

use std::ops::ControlFlow;

use tree_sitter::{ParseOptions, ParseState, Parser, Tree};

use super::Given;
use super::mask::changes;

/// The parsers of one worker thread, made when first needed.
#[derive(Default)]
pub struct Parsers {
    made: Vec<(usize, Parser)>,
}

impl Parsers {
    /// Makes an empty set.
    #[must_use]
    pub fn new() -> Self {
        Self::default()
    }

    /// Parses what is given. Nothing when the grammar was built for another version of the parser
    /// library, which the registry test rules out.
    pub fn parse(&mut self, key: usize, language: &tree_sitter::Language, given: &Given<'_>) -> Option<Tree> {
        let (text, ranges) = given.handed();
        let parser = self.of(key, language)?;
        parser.set_included_ranges(&ranges).ok()?;
        parser.parse(text.as_ref(), None)
    }

    /// Parses what is given, and gives up where the grammar stumbles: going on costs many times as much there. Nothing
    /// when it gave up; a tree may have errors all the same, got over quickly.
    pub fn parse_until_error(
        &mut self,
        key: usize,
        language: &tree_sitter::Language,
        given: &Given<'_>,
    ) -> Option<Tree> {
        let (text, ranges) = given.handed();
        let parser = self.of(key, language)?;
        parser.set_included_ranges(&ranges).ok()?;
        let bytes = text.as_bytes();
        let mut read = |at: usize, _| bytes.get(at..).unwrap_or_default();
        let mut give_up = |state: &ParseState| match state.has_error() {
            true => ControlFlow::Break(()),
            false => ControlFlow::Continue(()),
        };
        let options = ParseOptions::new().progress_callback(&mut give_up);
        let tree = parser.parse_with_options(&mut read, None, Some(options));
        if tree.is_none() {
            // The parser would go on there with the next text.
            parser.reset();
        }
        tree
    }

    /// Parses what is given as [`Parsers::parse`] does, where all but what differs from what was given `before` is
    /// taken over from the tree of that. Nothing when what is left out differs, or the grammar stumbles: what is taken
    /// over beside errors may not be what parsing from the beginning gives.
    pub(super) fn parse_changed(
        &mut self,
        key: usize,
        language: &tree_sitter::Language,
        given: &Given<'_>,
        (before, tree): (&Given<'_>, &Tree),
    ) -> Option<Tree> {
        let ((text, ranges), (text_before, ranges_before)) = (given.handed(), before.handed());
        if text.len() != text_before.len() || ranges != ranges_before {
            return None;
        }
        let mut old = tree.clone();
        for change in changes(&text_before, &text) {
            old.edit(&change);
        }
        let parser = self.of(key, language)?;
        parser.set_included_ranges(&ranges).ok()?;
        parser.parse(text.as_ref(), Some(&old)).filter(|tree| !tree.root_node().has_error())
    }

    /// Returns the parser of a grammar.
    fn of(&mut self, key: usize, language: &tree_sitter::Language) -> Option<&mut Parser> {
        let at = match self.made.iter().position(|(made_for, _)| *made_for == key) {
            Some(at) => at,
            None => {
                let mut parser = Parser::new();
                parser.set_language(language).ok()?;
                self.made.push((key, parser));
                self.made.len() - 1
            }
        };
        Some(&mut self.made[at].1)
    }
}
