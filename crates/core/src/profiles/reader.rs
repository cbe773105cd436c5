//! Reads a text by a profile: the same answers as a grammar gives.

use std::sync::LazyLock;

use super::declare::{Notes, declare};
use super::place::place;
use super::profile::Profile;
use super::scan::{Scanned, scan};
use crate::model::Outline;
use crate::reading::{Custom, Explained, Parsers, Reader, Token, Wishes};
use crate::text::{Source, Span, narrow};

/// Compiles a profile.
pub(super) type Compile = Box<dyn FnOnce() -> Profile + Send + Sync>;

/// The reader of a line profile.
pub(super) struct ProfileReader {
    /// Compiled when first needed: most runs meet none of the languages that profiles describe.
    pub(super) profile: LazyLock<Profile, Compile>,
    /// How comments are attached in its language.
    pub(super) custom: Custom,
}

impl ProfileReader {
    fn outline(&self, source: &Source, notes: &mut Notes) -> Outline {
        let scanned = scan(&self.profile, source.text());
        let mut outline = declare(&self.profile, &scanned, notes);
        outline.columns = scanned.columns;
        // Numbers beside the code part nothing.
        let inside = scanned.inside_columns(source.text()).map(|text| Source::new(source.path(), &text));
        outline.comments = scanned.comments;
        place(&mut outline, inside.as_ref().unwrap_or(source), &self.profile.doc_at, self.custom);
        outline
    }
}

impl Reader for ProfileReader {
    fn read(&self, source: &Source, _wishes: Wishes<'_>, _parsers: &mut Parsers) -> Outline {
        self.outline(source, &mut Notes::default())
    }

    fn tokens(&self, source: &Source, _parsers: &mut Parsers) -> Vec<Token> {
        let scanned = scan(&self.profile, source.text());
        tokens(source, &scanned)
    }

    fn parse_only(&self, source: &Source, _parsers: &mut Parsers) -> usize {
        scan(&self.profile, source.text()).code.lines().count()
    }

    fn explain(&self, source: &Source) -> Vec<Explained> {
        let mut notes = Notes::default();
        self.outline(source, &mut notes);
        let mut out: Vec<Explained> =
            notes.0.into_iter().map(|(at, what)| Explained { line: source.line(narrow(at)), what }).collect();
        out.sort_by_key(|explained| explained.line);
        out.dedup();
        out
    }
}

/// Stands where a reader is not there yet; it reads nothing.
pub(super) struct Nothing;

/// The one value of it.
pub(super) static NONE: Nothing = Nothing;

impl Reader for Nothing {
    fn read(&self, _source: &Source, _wishes: Wishes<'_>, _parsers: &mut Parsers) -> Outline {
        Outline::default()
    }

    fn tokens(&self, _source: &Source, _parsers: &mut Parsers) -> Vec<Token> {
        Vec::new()
    }

    fn parse_only(&self, _source: &Source, _parsers: &mut Parsers) -> usize {
        0
    }
}

/// Every word outside comments is a token; what stands outside the columns counts as well.
fn tokens(source: &Source, scanned: &Scanned) -> Vec<Token> {
    let text = source.text();
    let mut out = Vec::new();
    let mut comments = scanned.comments.iter().peekable();
    let mut at = 0;
    while at < text.len() {
        while comments.next_if(|comment| (comment.span.end as usize) <= at).is_some() {}
        if let Some(comment) = comments.peek()
            && comment.span.start as usize <= at
        {
            at = comment.span.end as usize;
            continue;
        }
        let limit = comments.peek().map_or(text.len(), |comment| comment.span.start as usize);
        let rest = &text[at..limit];
        let lead = rest.len() - rest.trim_start().len();
        let word = rest[lead..].find(char::is_whitespace).unwrap_or(rest.len() - lead);
        if word > 0 {
            out.push(Token { kind: 0, span: Span::of(at + lead, at + lead + word) });
        }
        at += (lead + word).max(1);
    }
    out
}
