//! A file with its comments read.

use std::collections::HashMap;

use crate::model::{CommentId, DeclId, DocComment, NotationId, Outline};
use crate::notations::{self, Lines};
use crate::reading::{Language, Parsers};
use crate::rules::FileContext;
use crate::settings::{LanguageSettings, Settings};
use crate::text::Source;

/// A file that was read: what it declares, and its comments as their notation means them.
pub struct FileReading<'a> {
    /// Its text.
    pub source: &'a Source,
    /// Its language.
    pub language: &'static Language,
    /// What holds for that language.
    pub settings: &'a LanguageSettings,
    /// What it declares.
    pub outline: Outline,
    /// The notation of comments that do not tell, and of drafts.
    pub notation: NotationId,
    docs: HashMap<CommentId, DocComment>,
}

impl<'a> FileReading<'a> {
    /// Reads a source once: parses it, attaches its comments and reads them.
    #[must_use]
    pub fn read(
        source: &'a Source,
        language: &'static Language,
        settings: &'a Settings,
        parsers: &mut Parsers,
    ) -> Self {
        let outline = language.reader.read(source, parsers);
        let settings = settings.language(language.id);
        let attached: Vec<CommentId> = outline.declarations.iter().filter_map(|d| d.comment.doc).collect();
        let notation = settings
            .notation
            .or_else(|| majority(&outline, &attached, source, language))
            .unwrap_or(language.notation);
        let mut docs = HashMap::with_capacity(attached.len());
        for id in attached {
            docs.entry(id).or_insert_with(|| {
                notations::read(outline.comment(id), source, language.notations, notation)
            });
        }
        Self { source, language, settings, outline, notation, docs }
    }

    /// Returns the doc comment of a declaration, where it has one that callers see.
    #[must_use]
    pub fn doc(&self, id: DeclId) -> Option<&DocComment> {
        self.outline.declaration(id).comment.doc.and_then(|comment| self.docs.get(&comment))
    }

    /// Returns the view of the file that rules have.
    #[must_use]
    pub fn context(&self) -> FileContext<'_> {
        FileContext {
            source: self.source,
            outline: &self.outline,
            language: self.language,
            settings: self.settings,
        }
    }
}

/// Returns the notation that most comments of the file are evidently in.
fn majority(
    outline: &Outline,
    attached: &[CommentId],
    source: &Source,
    language: &Language,
) -> Option<NotationId> {
    if language.notations.len() < 2 {
        return None;
    }
    let mut counts = vec![0_usize; language.notations.len()];
    for &id in attached {
        let lines = &outline.comment(id).lines;
        if lines.len() < 2 {
            continue;
        }
        let found = notations::evident(&Lines::new(source, lines), language.notations, language.notation);
        if let Some(at) = found.and_then(|found| language.notations.iter().position(|&id| id == found)) {
            counts[at] += 1;
        }
    }
    let best = counts.iter().enumerate().max_by_key(|&(at, &count)| (count, std::cmp::Reverse(at)))?;
    (*best.1 > 0).then(|| language.notations[best.0])
}
