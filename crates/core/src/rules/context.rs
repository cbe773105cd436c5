//! What a check is given, and where it puts what it finds.

use std::cell::{OnceCell, RefCell};

use foldhash::HashMap;
use smol_str::SmolStr;

use super::visible::Visible;

use crate::debt::Debt;
use crate::index::Family;
use crate::model::{
    DeclId, Declaration, Dialect, DocComment, Entry, EntryKind, Outline, RawFinding, Related, RuleId,
    Signature,
};
use crate::notations::{self, Notation};
use crate::pairing::Pairing;
use crate::reading::{Dress, Language, Parsers};
use crate::settings::LanguageSettings;
use crate::text::{Edit, Source, Span};

/// A file under review.
pub struct FileContext<'a> {
    /// Its text.
    pub source: &'a Source,
    /// What it declares.
    pub outline: &'a Outline,
    /// What the project knows.
    pub known: &'a Family,
    /// For code in comments.
    pub parsers: &'a RefCell<Parsers>,
    /// Words that were looked for in the code of the file, and whether they are there.
    pub words: &'a RefCell<HashMap<SmolStr, bool>>,
    /// What it imports, once that was asked for.
    pub imports: OnceCell<Imports>,
    /// How its comments are put down, once that was asked for.
    pub(crate) dress: OnceCell<Dress>,
    /// Its language.
    pub language: &'a Language,
    /// What holds for that language.
    pub settings: &'a LanguageSettings,
}

/// What the statements at the start of lines say of packages and imports.
pub struct Imports {
    /// The first part of the file's own package, where it has one.
    pub root: Option<SmolStr>,
    /// Packages, each with the name that is taken from it; `*` or `_` for all.
    pub names: Vec<(SmolStr, SmolStr)>,
}

impl Imports {
    fn of(source: &Source) -> Self {
        let mut out = Self { root: None, names: Vec::new() };
        let text = source.text();
        let mut begin = 0;
        let ends = memchr::memchr_iter(b'\n', text.as_bytes()).chain([text.len()]);
        // Nearly all lines begin with another letter.
        let lines = ends.filter_map(|end| {
            let line = &text.as_bytes()[std::mem::replace(&mut begin, end + 1)..end];
            let lead = line.iter().position(|byte| !matches!(byte, b' ' | b'\t'))?;
            matches!(line[lead], b'p' | b'n' | b'i' | b'u')
                .then(|| text[end - line.len() + lead..end].trim_end())
        });
        for line in lines {
            let behind = |words: &[&str]| words.iter().find_map(|word| line.strip_prefix(word));
            if let Some(package) = behind(&["package ", "namespace "]).filter(|_| out.root.is_none()) {
                let root = package.split(['.', '\\', ';', ' ']).next();
                out.root = root.filter(|root| !root.is_empty()).map(SmolStr::new);
            } else if let Some(rest) = behind(&["import static ", "import ", "use "]) {
                let target = rest.trim_end().trim_end_matches(';').split(" as ").next().unwrap_or_default();
                let parts = target.trim().rsplit_once(['.', '\\']);
                out.names.extend(parts.map(|(from, what)| (SmolStr::new(from), SmolStr::new(what))));
            }
        }
        out
    }
}

impl FileContext<'_> {
    /// Returns what the file imports.
    #[must_use]
    pub fn imports(&self) -> &Imports {
        self.imports.get_or_init(|| Imports::of(self.source))
    }

    /// Returns how its comments are put down.
    pub(crate) fn dress(&self) -> Dress {
        *self.dress.get_or_init(|| Dress::of(self.outline, self.source, self.language))
    }
}

/// A declaration that is asked for a comment.
pub struct Asking<'a> {
    /// The file.
    pub file: &'a FileContext<'a>,
    /// The declaration.
    pub id: DeclId,
}

impl Asking<'_> {
    /// Returns the declaration.
    #[must_use]
    pub fn declaration(&self) -> &Declaration {
        self.file.outline.declaration(self.id)
    }
}

/// A doc comment under review.
pub struct Context<'a> {
    /// The file.
    pub file: &'a FileContext<'a>,
    /// The declaration it stands on.
    pub id: DeclId,
    /// The comment.
    pub doc: &'a DocComment,
    /// The signature that it speaks of, with the pairs of entries and parameters; none when the
    /// signature is not known.
    pub paired: Option<(&'a Signature, &'a Pairing)>,
    /// What it owes.
    pub debt: &'a Debt,
    /// The declaration overrides a member of a supertype, marked or not.
    pub overrides: bool,
    /// The lines of the comment that are no code, once they were asked for.
    pub visible: OnceCell<Vec<Visible<'a>>>,
}

impl<'a> Context<'a> {
    /// Returns the declaration.
    #[must_use]
    pub fn declaration(&self) -> &'a Declaration {
        self.file.outline.declaration(self.id)
    }

    /// Returns the notation that the comment was read in.
    #[must_use]
    pub fn notation(&self) -> Option<&'static Notation> {
        notations::get(self.doc.notation)
    }

    /// Spells an entry as its notation does.
    #[must_use]
    pub fn spell(&self, kind: EntryKind, name: &str) -> String {
        let colon = notations::is_colon_form(self.doc, self.file.source);
        let dialect = if colon { Dialect::Colon } else { self.file.language.dialect };
        let behind_sign = |entry: &&Entry| {
            let before = self.file.source.text().get(..entry.tag.start as usize);
            entry.kind == kind && before.is_some_and(|text| text.ends_with('@'))
        };
        if colon && let Some(written) = self.doc.entries_of(EntryKind::Returns).find(behind_sign) {
            return format!("@{}:", self.slice(written.tag));
        }
        self.notation().map_or_else(|| name.to_owned(), |notation| (notation.spelling)(kind, name, dialect))
    }

    /// Returns the description of an entry as prose, empty where there is none.
    #[must_use]
    pub fn text_of(&self, entry: &Entry) -> String {
        entry.text.map(|span| self.doc.prose(self.file.source, span)).unwrap_or_default()
    }

    /// Returns a line of the comment by its row, empty where there is none.
    pub(super) fn line(&self, row: u32) -> &'a str {
        self.doc.lines.get(row as usize).map_or("", |&line| self.slice(line))
    }

    /// Returns the text of a span.
    #[must_use]
    pub fn slice(&self, span: Span) -> &'a str {
        self.file.source.slice(span)
    }
}

/// Gathers what the checks find.
pub struct Findings<'a> {
    rule: RuleId,
    declaration: Option<DeclId>,
    found: &'a mut Vec<RawFinding>,
}

impl<'a> Findings<'a> {
    /// Gathers findings of a rule into `found`.
    pub fn new(rule: RuleId, declaration: Option<DeclId>, found: &'a mut Vec<RawFinding>) -> Self {
        Self { rule, declaration, found }
    }

    /// Reports a finding; the message names the fault and the way out.
    pub fn report(&mut self, span: Span, subject: &str, message: String) -> Reported<'_> {
        self.found.push(RawFinding {
            rule: self.rule,
            span,
            declaration: self.declaration,
            subject: SmolStr::new(subject),
            message: message.into(),
            suggestion: None,
            related: Vec::new(),
            edits: Vec::new(),
            only_note: false,
        });
        let at = self.found.len() - 1;
        Reported(&mut self.found[at])
    }

    /// Reports a finding that belongs to a declaration other than the current one.
    pub fn report_in(
        &mut self,
        declaration: Option<DeclId>,
        span: Span,
        subject: &str,
        message: String,
    ) -> Reported<'_> {
        let Reported(finding) = self.report(span, subject, message);
        finding.declaration = declaration;
        Reported(finding)
    }
}

/// A finding that was reported, for what may be added to it.
pub struct Reported<'f>(&'f mut RawFinding);

impl Reported<'_> {
    /// Adds the other side.
    #[must_use = "ends the report with nothing more to add"]
    pub fn related(self, span: Span, label: impl Into<String>) -> Self {
        self.0.related.push(Related { span, label: label.into() });
        self
    }

    /// Adds what probably was meant, and the edit that says so.
    pub fn replace(self, span: Span, with: &str) {
        self.0.suggestion = Some(SmolStr::new(with));
        self.0.edits.push(Edit { span, text: with.to_owned() });
    }

    /// Adds what probably was meant, and the edits that say so at several places.
    pub fn replace_each(self, spans: impl IntoIterator<Item = Span>, with: &str) {
        self.0.suggestion = Some(SmolStr::new(with));
        self.0.edits.extend(spans.into_iter().map(|span| Edit { span, text: with.to_owned() }));
    }

    /// Adds the edits that mend it, where there are any.
    pub fn mend(self, edits: impl IntoIterator<Item = Edit>) {
        self.0.edits.extend(edits);
    }

    /// Lowers the finding to a note.
    pub fn only_note(self) {
        self.0.only_note = true;
    }

    /// Ends the report.
    pub fn done(self) {}
}
