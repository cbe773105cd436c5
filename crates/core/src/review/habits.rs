//! What the comments of a file have in common: whoever adds to them keeps to it.

use super::FileReading;
use crate::model::{
    Carrier, Declaration, DocComment, Entry, EntryKind, Mark, NotationId, Signature, Variadic, Votes,
};
use crate::notations::{self, Align, Lines, TagWords, WordVotes};
use crate::reading::{Dress, DressVotes};
use crate::text::Span;

/// How the comments of a file, or of several, are written.
#[derive(Clone, Debug, Default)]
pub struct Habits {
    dress: DressVotes,
    /// The notations of comments that show one.
    notation: Votes<NotationId>,
    /// Commands are written with a backslash.
    backslash: Votes<bool>,
    /// The summary is marked as such.
    brief: Votes<bool>,
    /// Entries of parameters say whether they are read or written.
    directed: Votes<bool>,
    /// An equals sign stands behind the names of parameters that are passed by keyword: `@param tare= what to take off`.
    keyed: Votes<bool>,
    /// A hyphen stands between name and text.
    hyphen: Votes<bool>,
    /// An empty line parts the description from the entries.
    parted: Votes<bool>,
    /// The parameters stand in a list of their own.
    listed: Votes<bool>,
    /// Entries give the types that the signature gives.
    types_again: Votes<bool>,
    /// Entries give the types that the signature leaves open.
    types_open: Votes<bool>,
    /// Types stand on lines of their own.
    type_lines: Votes<bool>,
    /// Parameters that collect others have their stars.
    starred: Votes<bool>,
    /// What of the entries stands in columns.
    aligned: Votes<Align>,
    /// How comments begin in which the names of entries follow the sign at once.
    colon: Votes<Option<ColonHead>>,
    /// The word before the colon of the paragraph that says what comes back.
    returning: Votes<&'static str>,
    /// What comes back is listed value by value.
    valued: Votes<bool>,
    /// The words that open entries.
    words: WordVotes,
}

/// How a comment begins in which the names of entries follow the sign at once: `@load: what it weighs`.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum ColonHead {
    /// `name() - summary`
    Dashed,
    /// `name:`, with the description below the entries.
    Named,
}

/// The habits that hold for a file.
#[derive(Clone, Copy, Debug)]
pub struct Custom<'f> {
    own: &'f Habits,
    around: Option<&'f Habits>,
}

impl Habits {
    /// Counts what the comments of a file have in common.
    pub(super) fn of(file: &FileReading<'_>) -> Self {
        let mut out =
            Self { dress: DressVotes::of(&file.outline, &file.source, file.language), ..Self::default() };
        let mut last = None;
        for declaration in &file.outline.declarations {
            let Some(id) = declaration.comment.doc.filter(|id| last != Some(*id)) else { continue };
            last = Some(id);
            let Some(doc) = file.docs.get(&id) else { continue };
            let brief = doc.lines.iter().any(|&line| opens_with_brief(file.source.slice(line)));
            if brief || !doc.entries.is_empty() {
                out.brief.add(brief);
            }
            if !doc.entries.is_empty() {
                out.notation.add(doc.notation);
                if doc.notation == file.notation {
                    out.count(file, declaration, doc);
                }
            }
        }
        out
    }

    /// Tells whether there is a comment that shows how entries are written.
    #[must_use]
    pub fn is_telling(&self) -> bool {
        self.told() > 0
    }

    /// Returns how many comments show how entries are written.
    #[must_use]
    pub fn told(&self) -> usize {
        self.notation.count()
    }

    /// Counts what another file has.
    pub fn add(&mut self, other: &Self) {
        let Self {
            dress,
            notation,
            backslash,
            brief,
            directed,
            keyed,
            hyphen,
            parted,
            listed,
            types_again,
            types_open,
            type_lines,
            starred,
            aligned,
            colon,
            returning,
            valued,
            words,
        } = other;
        self.dress.add_all(dress);
        self.notation.add_all(notation);
        self.backslash.add_all(backslash);
        self.brief.add_all(brief);
        self.directed.add_all(directed);
        self.keyed.add_all(keyed);
        self.hyphen.add_all(hyphen);
        self.parted.add_all(parted);
        self.listed.add_all(listed);
        self.types_again.add_all(types_again);
        self.types_open.add_all(types_open);
        self.type_lines.add_all(type_lines);
        self.starred.add_all(starred);
        self.aligned.add_all(aligned);
        self.colon.add_all(colon);
        self.returning.add_all(returning);
        self.valued.add_all(valued);
        self.words.add_all(words);
    }

    fn count(&mut self, file: &FileReading<'_>, declaration: &Declaration, doc: &DocComment) {
        let text = file.source.text();
        let before = |at: u32| text[..at as usize].chars().next_back();
        let first = doc.entries.iter().map(|entry| entry.lines.0 as usize).min().unwrap_or(0);
        let above = first.checked_sub(1).and_then(|row| doc.lines.get(row));
        let in_mark = |mark: &Mark| mark.lines.1 as usize == first;
        if let Some(&above) = above.filter(|_| doc.summary.is_some() && !doc.marks.iter().any(in_mark)) {
            self.parted.add(file.source.slice(above).trim().is_empty());
        }
        let lines = Lines::new(&file.source, &doc.lines, file.language.dialect);
        if let Some(align) = notations::aligned(doc, &lines) {
            self.aligned.add(align);
        }
        let params = doc.entries_of(EntryKind::Param).count();
        let colon = (params > 0).then(|| notations::is_colon_form(doc, &file.source));
        if let Some(colon) = colon {
            let mut said = doc.lines.iter().map(|&line| file.source.slice(line).trim());
            let first = said.find(|line| !line.is_empty()).unwrap_or_default();
            let head = if first.ends_with(':') { ColonHead::Named } else { ColonHead::Dashed };
            self.colon.add(colon.then_some(head));
        }
        for mark in &doc.marks {
            if let Some(sign @ ('@' | '\\')) = before(mark.span.start) {
                self.backslash.add(sign == '\\');
            }
        }
        for entry in &doc.entries {
            if colon == Some(true) {
                let word = file.source.slice(entry.tag);
                let known = ["Return", "Returns"].into_iter().find(|known| *known == word);
                if let Some(known) = known.filter(|_| entry.kind == EntryKind::Returns) {
                    self.returning.add(known);
                }
            } else {
                self.count_entry(file, &declaration.signature, entry);
            }
            if entry.kind == EntryKind::Param && params > 1 && entry.name().is_some() {
                self.listed.add(entry.opens_with_name() && colon != Some(true));
            }
        }
    }

    /// Counts how an entry is written.
    fn count_entry(&mut self, file: &FileReading<'_>, signature: &Signature, entry: &Entry) {
        let text = file.source.text();
        let before = |at: u32| text[..at as usize].chars().next_back();
        let gap = |from: u32, to: u32| file.source.slice(Span::new(from.min(to), to));
        self.words.add(entry, &file.source);
        if let Some(sign @ ('@' | '\\')) = before(entry.tag.start) {
            self.backslash.add(sign == '\\');
        }
        let named = entry.name().map(|name| &name.name);
        let parameter = signature.parameters.iter().find(|p| p.named() == named && named.is_some());
        let open = match entry.kind {
            EntryKind::Param => parameter.map(|parameter| parameter.ty.is_none()),
            EntryKind::Returns => Some(signature.returns.ty.is_none()),
            _ => None,
        };
        match open {
            Some(true) => self.types_open.add(entry.ty.is_some()),
            Some(false) => self.types_again.add(entry.ty.is_some()),
            None => {}
        }
        if entry.kind == EntryKind::Returns {
            self.valued.add(entry.value.is_some());
        }
        let (EntryKind::Param, Some(name)) = (entry.kind, entry.name()) else { return };
        if let Some(ty) = entry.ty {
            self.type_lines.add(file.source.line(ty.start) != file.source.line(entry.tag.start));
        }
        if parameter.is_some_and(|parameter| parameter.variadic != Variadic::No) {
            let star = file.source.slice(name.span).starts_with('*') || before(name.span.start) == Some('*');
            self.starred.add(star);
        }
        self.directed.add(gap(entry.tag.end, name.span.start).trim_start().starts_with('['));
        if parameter.is_some_and(|parameter| parameter.optional) {
            self.keyed.add(text[name.span.end as usize..].starts_with('='));
        }
        if let Some(said) = entry.text {
            self.hyphen.add(gap(name.span.end, said.start).trim_end().ends_with('-'));
        }
    }
}

impl<'f> Custom<'f> {
    pub(super) fn new(own: &'f Habits, around: Option<&'f Habits>) -> Self {
        Self { own, around }
    }

    fn settled<T: Copy + PartialEq>(&self, votes: impl Fn(&Habits) -> &Votes<T>, customary: T) -> T {
        let own = votes(self.own).most(customary);
        let around = || self.around.and_then(|around| votes(around).most(customary));
        own.or_else(around).unwrap_or(customary)
    }

    /// Returns how comments are put down.
    pub(crate) fn dress(&self, carrier: Carrier) -> Dress {
        let own = self.own.dress.most(carrier);
        let around = || self.around.and_then(|around| around.dress.most(carrier));
        own.or_else(around).unwrap_or_else(|| Dress::of_carrier(carrier))
    }

    /// Returns the notation that the files around show, where the file itself shows none.
    pub(super) fn notation_around(&self, customary: NotationId) -> Option<NotationId> {
        let around = self.around.filter(|_| !self.own.is_telling())?;
        around.notation.most(customary)
    }

    /// Tells whether commands are written with a backslash.
    #[must_use]
    pub fn backslash(&self) -> bool {
        self.settled(|habits| &habits.backslash, false)
    }

    /// Tells whether the summary is marked as such.
    #[must_use]
    pub fn brief(&self) -> bool {
        self.settled(|habits| &habits.brief, false)
    }

    /// Tells whether entries of parameters say that they are read or written.
    #[must_use]
    pub fn directed(&self) -> bool {
        self.settled(|habits| &habits.directed, false)
    }

    /// Tells whether an equals sign stands behind the names of parameters that are passed by keyword.
    #[must_use]
    pub fn keyed(&self) -> bool {
        self.settled(|habits| &habits.keyed, false)
    }

    /// Tells whether a hyphen stands between name and text.
    #[must_use]
    pub fn hyphen(&self, customary: bool) -> bool {
        self.settled(|habits| &habits.hyphen, customary)
    }

    /// Tells whether an empty line parts the description from the entries.
    #[must_use]
    pub fn parted(&self) -> bool {
        self.settled(|habits| &habits.parted, true)
    }

    /// Tells whether parameters stand in a list of their own, where there are several.
    #[must_use]
    pub fn listed(&self) -> bool {
        self.settled(|habits| &habits.listed, false)
    }

    /// Tells whether entries give the types that the signature gives.
    #[must_use]
    pub fn types_again(&self, customary: bool) -> bool {
        self.settled(|habits| &habits.types_again, customary)
    }

    /// Tells whether entries give the types that the signature leaves open.
    #[must_use]
    pub fn types_open(&self, customary: bool) -> bool {
        self.settled(|habits| &habits.types_open, customary)
    }

    /// Tells whether types stand on lines of their own.
    #[must_use]
    pub fn type_lines(&self) -> bool {
        self.settled(|habits| &habits.type_lines, false)
    }

    /// Tells whether parameters that collect others have their stars.
    #[must_use]
    pub fn starred(&self) -> bool {
        self.settled(|habits| &habits.starred, true)
    }

    /// Tells what of the entries stands in columns.
    #[must_use]
    pub fn aligned(&self) -> Align {
        self.settled(|habits| &habits.aligned, Align::No)
    }

    /// Returns how comments begin where the names of entries follow the sign at once; nothing where they do not.
    #[must_use]
    pub fn colon(&self) -> Option<ColonHead> {
        self.settled(|habits| &habits.colon, None)
    }

    /// Returns the word before the colon of the paragraph that says what comes back.
    #[must_use]
    pub fn returning(&self) -> &'static str {
        let customary = if self.colon() == Some(ColonHead::Named) { "Returns" } else { "Return" };
        self.settled(|habits| &habits.returning, customary)
    }

    /// Tells whether what comes back is listed value by value.
    #[must_use]
    pub fn valued(&self) -> bool {
        self.settled(|habits| &habits.valued, false)
    }

    /// Returns the words that open entries.
    #[must_use]
    pub fn words(&self) -> TagWords {
        let around = self.around.map(|around| around.words.most()).unwrap_or_default();
        self.own.words.most().or(around)
    }
}

fn opens_with_brief(line: &str) -> bool {
    line.trim_start().strip_prefix(['@', '\\']).is_some_and(|tag| tag.starts_with("brief"))
}
