//! What a rule is.

use super::{Asking, Context, FileContext, Findings};
use crate::model::{Level, RuleId};

/// A rule: what it says, why, and how it is checked.
pub struct Rule {
    /// `subject.fault`.
    pub id: RuleId,
    /// Its level unless configured otherwise.
    pub level: Level,
    /// When it fires, in one sentence.
    pub says: &'static str,
    /// Why that matters to whoever reads the comment.
    pub why: &'static str,
    /// Source that fires it, and the same source mended.
    pub example: Example,
    /// Checks it.
    pub check: Check,
}

impl Rule {
    /// Tells whether a finding of this rule makes a comment incomplete, whatever its level.
    #[must_use]
    pub fn decides_completeness(&self) -> bool {
        let Some((subject, fault)) = self.id.as_str().split_once('.') else { return false };
        matches!(subject, "param" | "typeparam" | "returns" | "yields" | "throws")
            && matches!(fault, "missing" | "unknown" | "repeated" | "empty" | "unexpected" | "type")
    }
}

/// Source before and after.
pub struct Example {
    /// The language's id; resolved by a test, since rules do not know languages.
    pub language: &'static str,
    /// The configuration that it needs besides the rule's level; mostly none.
    pub config: &'static str,
    /// Fires the rule, and no other of its subject.
    pub before: &'static str,
    /// Is silent.
    pub after: &'static str,
}

/// What a rule is checked on.
#[derive(Clone, Copy)]
pub enum Check {
    /// A doc comment and the declaration it stands on.
    Comment(fn(&Context<'_>, &mut Findings<'_>)),
    /// A declaration that is asked for a comment and has none.
    Uncommented(fn(&Asking<'_>, &mut Findings<'_>)),
    /// A file as a whole.
    File(fn(&FileContext<'_>, &mut Findings<'_>)),
    /// What the review itself finds when all rules have run.
    Afterwards,
    /// What only shows beside an earlier text of the file; its example is the present text.
    History,
}
