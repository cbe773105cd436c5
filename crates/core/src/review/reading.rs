//! A file with its comments read.

use std::cell::{OnceCell, RefCell};
use std::sync::Arc;

use foldhash::HashMap;
use smol_str::SmolStr;

use super::{Custom, Habits, owner_of, reconcile, waivers};
use crate::index::{self, Family, FileFacts, Index, Member};
use crate::languages;
use crate::model::{CommentId, DeclId, DocComment, Level, NotationId, Outline};
use crate::notations::{self, Lines};
use crate::reading::{Dress, INSTRUCTION, Language, Parsers, Wishes, goes_on_from};
use crate::rules::{FileContext, LEFTOVER_CODE, LEFTOVER_TODO, PASSED, Rule};
use crate::settings::{LanguageSettings, Settings};
use crate::text::{Source, Span};

/// A file that was read: what it declares, and its comments as their notation means them.
pub struct FileReading<'a> {
    /// Its text.
    pub source: Source,
    /// Its language.
    pub language: &'static Language,
    /// What holds for that language.
    pub settings: &'a LanguageSettings,
    /// What it declares.
    pub outline: Outline,
    /// The notation of comments that do not tell, and of drafts.
    pub notation: NotationId,
    /// The source says to leave the whole file out.
    pub skipped: bool,
    /// What the project knows.
    index: Arc<Index>,
    pub(super) docs: HashMap<CommentId, DocComment>,
    habits: OnceCell<Habits>,
    /// The habits of the files around it.
    around: OnceCell<Habits>,
    /// For code in comments, made when first needed.
    parsers: RefCell<Parsers>,
    /// Words that were looked for in the code, and whether they are there.
    words: RefCell<HashMap<SmolStr, bool>>,
}

impl<'a> FileReading<'a> {
    /// Reads a source by itself: parses it, attaches its comments and reads them.
    #[must_use]
    pub fn read(
        source: &Source,
        language: &'static Language,
        settings: &'a Settings,
        parsers: &mut Parsers,
    ) -> Self {
        let file = Self::read_first(source, language, settings, parsers);
        let index = Arc::new(Index::of([file.facts()]));
        file.among(&index)
    }

    /// Reads a source that is one of many: parses it once, and leaves open what only the others can tell.
    #[must_use]
    pub fn read_first(
        source: &Source,
        language: &'static Language,
        settings: &'a Settings,
        parsers: &mut Parsers,
    ) -> Self {
        let language = languages::refined(language, source);
        Self::read_with(source, language, settings.language(language.id), parsers)
    }

    /// Reads another text of the same file: what the project knows of the others stays.
    #[must_use]
    pub fn read_again(&self, text: &str) -> Self {
        let source = Source::new(self.source.path(), text);
        let file = Self::read_with(&source, self.language, self.settings, &mut self.parsers.borrow_mut());
        let file = Self { around: self.around.clone(), ..file };
        file.among(&self.index)
    }

    fn read_with(
        source: &Source,
        language: &'static Language,
        settings: &'a LanguageSettings,
        parsers: &mut Parsers,
    ) -> Self {
        let mut outline = language.reader.read(source, wishes(settings), parsers);
        let mut evident: HashMap<CommentId, Option<NotationId>> = HashMap::default();
        for id in outline.declarations.iter().filter_map(|declaration| declaration.comment.doc) {
            evident.entry(id).or_insert_with(|| evidence(&outline.comment(id).lines, source, language));
        }
        let notation =
            settings.notation.or_else(|| majority(evident.values(), language)).unwrap_or(language.notation);
        let by_command = language.notation.as_str() == "commands";
        let read = |(&id, found): (&CommentId, &Option<NotationId>)| {
            let read = |id| {
                let accepted = (language.notations, language.dialect);
                notations::read(outline.comment(id), source, found.unwrap_or(notation), accepted)
            };
            let mut doc = read(id);
            let above = if by_command { goes_on_from(&outline, source, id).map(read) } else { None };
            if let Some(above) = above.filter(|above| above.entries.is_empty() && above.summary.is_some()) {
                doc.go_on_from(above);
            }
            (id, doc)
        };
        let mut docs: HashMap<CommentId, DocComment> = evident.iter().map(read).collect();
        reconcile::reconcile(&mut outline, &mut docs, source, language);
        let mut file = Self {
            source: source.clone(),
            language,
            settings,
            outline,
            notation,
            index: Arc::default(),
            docs,
            habits: OnceCell::new(),
            around: OnceCell::new(),
            parsers: RefCell::default(),
            words: RefCell::default(),
            skipped: false,
        };
        if memchr::memmem::find(source.text().as_bytes(), INSTRUCTION.as_bytes()).is_some() {
            file.skipped = waivers::skip(&mut file);
        }
        file
    }

    /// Returns what the file tells the others.
    #[must_use]
    pub fn facts(&self) -> FileFacts {
        let facts = index::tell(&self.outline, self.language, &self.source, &|id| self.doc(id));
        FileFacts { is_entry: self.settings.is_entry(self.source.path()), ..facts }
    }

    /// Settles what the files of the project tell of this one.
    #[must_use]
    pub fn among(mut self, index: &Arc<Index>) -> Self {
        self.index = Arc::clone(index);
        index.family(self.language).apply(&mut self.outline, self.language, self.source.path());
        self
    }

    /// Exchanges the parsers for code in comments with those of a worker, which has used them before.
    pub fn swap_parsers(&self, parsers: &mut Parsers) {
        std::mem::swap(&mut *self.parsers.borrow_mut(), parsers);
    }

    /// Returns what the project knows of this language and those that share its types.
    #[must_use]
    pub fn known(&self) -> &Family {
        self.index.family(self.language)
    }

    /// Returns the doc comment of a declaration, where it has one that callers see.
    #[must_use]
    pub fn doc(&self, id: DeclId) -> Option<&DocComment> {
        self.outline.declaration(id).comment.doc.and_then(|comment| self.docs.get(&comment))
    }

    /// Finds the member of a supertype of the project that a declaration overrides.
    #[must_use]
    pub fn overridden(&self, id: DeclId) -> Option<Member<'_>> {
        let declaration = self.outline.declaration(id);
        self.known().overridden(owner_of(self, declaration)?, declaration, self.language)
    }

    /// Returns what the comments of the file have in common.
    pub fn habits(&self) -> &Habits {
        self.habits.get_or_init(|| Habits::of(self))
    }

    /// Gives drafts the habits of the files around where the file's own comments show none.
    pub fn follow(&self, around: Habits) {
        // Who was followed first is followed on.
        let _ = self.around.set(around);
    }

    /// Returns how what is added to the file is to be written.
    #[must_use]
    pub fn custom(&self) -> Custom<'_> {
        Custom::new(self.habits(), self.around.get())
    }

    /// Returns how comments that are added to the file are to be put down.
    pub(crate) fn dress(&self) -> Dress {
        self.custom().dress(self.language.carrier)
    }

    /// Returns the notation of drafts: the one that is configured, that of the file, that of the files around.
    #[must_use]
    pub fn draft_notation(&self) -> NotationId {
        let around = || self.custom().notation_around(self.notation);
        match self.settings.notation {
            Some(configured) => configured,
            None => around().filter(|id| self.language.notations.contains(id)).unwrap_or(self.notation),
        }
    }

    /// Returns the view of the file that rules have.
    #[must_use]
    pub fn context(&self) -> FileContext<'_> {
        FileContext {
            source: &self.source,
            outline: &self.outline,
            known: self.known(),
            parsers: &self.parsers,
            words: &self.words,
            imports: OnceCell::new(),
            dress: OnceCell::new(),
            language: self.language,
            settings: self.settings,
        }
    }
}

/// What the settings want of a reading.
fn wishes(settings: &LanguageSettings) -> Wishes<'_> {
    let wanted = |rule: &Rule| settings.level(rule.id) != Level::None;
    Wishes {
        doc_marks: &settings.doc_marks,
        calls: wanted(&PASSED),
        links: !settings.entry.is_empty(),
        remarks: wanted(&LEFTOVER_TODO) || wanted(&LEFTOVER_CODE),
    }
}

/// Returns the notation that a comment is evidently in; a single line has no entries.
fn evidence(lines: &[Span], source: &Source, language: &Language) -> Option<NotationId> {
    let several = language.notations.len() > 1;
    (!several || lines.len() > 1)
        .then(|| {
            notations::evident(
                &Lines::new(source, lines, language.dialect),
                language.notations,
                language.notation,
            )
        })
        .flatten()
}

/// Returns the notation that most comments of the file are evidently in; of equals the language's first.
fn majority<'e>(
    evident: impl Iterator<Item = &'e Option<NotationId>> + Clone,
    language: &Language,
) -> Option<NotationId> {
    let count = |id: NotationId| evident.clone().filter(|found| **found == Some(id)).count();
    let counted =
        language.notations.iter().enumerate().map(|(at, &id)| (count(id), std::cmp::Reverse(at), id));
    counted.max_by_key(|&(count, at, _)| (count, at)).filter(|&(count, ..)| count > 0).map(|(_, _, id)| id)
}
