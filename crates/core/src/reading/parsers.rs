//! One parser a grammar, kept by each worker.

use tree_sitter::{Parser, Tree};

use super::Given;

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
        let at = match self.made.iter().position(|(made_for, _)| *made_for == key) {
            Some(at) => at,
            None => {
                let mut parser = Parser::new();
                parser.set_language(language).ok()?;
                self.made.push((key, parser));
                self.made.len() - 1
            }
        };
        let parser = &mut self.made[at].1;
        let (text, ranges) = given.handed();
        parser.set_included_ranges(&ranges).ok()?;
        parser.parse(text.as_ref(), None)
    }
}
