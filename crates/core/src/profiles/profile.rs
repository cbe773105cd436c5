//! A line profile, compiled: patterns, marks and habits of one language.

use std::collections::BTreeMap;

use regex::Regex;

use crate::model::{Carrier, Kind, Surface};

/// Where a comment mark counts.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) enum Anchor {
    /// Anywhere outside strings.
    Anywhere,
    /// In the first column of code only.
    FirstColumn,
    /// As the first thing on its line only.
    FirstOnLine,
}

/// A mark that opens a comment.
#[derive(Clone, Copy, Debug)]
pub(super) struct Mark {
    /// How it is written.
    pub(super) text: &'static str,
    /// Where it counts.
    pub(super) anchor: Anchor,
    /// What closes it; the end of the line where there is none.
    pub(super) close: Option<&'static str>,
}

/// The columns that hold code.
#[derive(Debug)]
pub(super) struct Columns {
    /// The first, from 1.
    pub(super) from: u32,
    /// The last.
    pub(super) to: u32,
    /// A source in which this matches is free of columns.
    pub(super) unless: Option<Regex>,
}

/// Which of two lines says that they are one.
#[derive(Debug)]
pub(super) enum Continuation {
    /// The second: this matches in it.
    ByNext(Regex),
    /// The first: this matches in it.
    ByLine(Regex),
}

/// What the word for a kind means.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) enum Sort {
    /// A declaration.
    Of(Kind),
    /// A scope that declares nothing.
    Scope,
}

/// One sort of declarations.
#[derive(Debug)]
pub(super) struct Rule {
    pub(super) pattern: Regex,
    pub(super) sort: Option<Sort>,
    pub(super) only_after: Option<Regex>,
    pub(super) nests: bool,
    /// What ends it, where the profile's own end does not.
    pub(super) end: Option<Regex>,
    /// The profile's end, or its own, closes it; otherwise the next declaration does.
    pub(super) has_end: bool,
    pub(super) parameters_at: Option<Regex>,
    pub(super) parameters_until: Option<Regex>,
    pub(super) split: Regex,
    pub(super) trim: Option<Regex>,
    pub(super) parameter: Regex,
    pub(super) returns_value: Option<Regex>,
    pub(super) surface: Option<Surface>,
    pub(super) private_when_nested: bool,
}

/// Where a doc comment is looked for besides above.
pub(super) use crate::settings::DocAt;

/// A compiled profile.
#[derive(Debug)]
pub(super) struct Profile {
    pub(super) ignore_case: bool,
    pub(super) columns: Option<Columns>,
    /// Marks of comments, longest first.
    pub(super) marks: Vec<Mark>,
    /// What opens and closes strings.
    pub(super) strings: Vec<char>,
    /// How doc comments are carried, longest opening first; empty when every comment may be one.
    pub(super) docs: Vec<Carrier>,
    pub(super) doc_at: Vec<DocAt>,
    pub(super) border: &'static str,
    pub(super) continuation: Option<Continuation>,
    pub(super) lead: Option<Regex>,
    pub(super) rules: Vec<Rule>,
    pub(super) except: Option<Regex>,
    pub(super) loose: Option<Regex>,
    pub(super) kinds: BTreeMap<String, Sort>,
    pub(super) end: Option<Regex>,
    pub(super) raises: Option<Regex>,
    pub(super) catches: Option<Regex>,
    /// Surfaces with the patterns of headers that give them, narrowest first.
    pub(super) surfaces: Vec<(Surface, Regex)>,
}

impl Profile {
    /// Returns a word as the profile compares it.
    pub(super) fn folded(&self, word: &str) -> String {
        if self.ignore_case { word.to_lowercase() } else { word.to_owned() }
    }
}
