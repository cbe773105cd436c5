//! What a review reports.

use arcstr::Substr;
use smol_str::SmolStr;

use super::{DeclId, RuleId};
use crate::text::{Edit, Span};

/// How grave a finding is; the levels of the SARIF standard (OASIS SARIF 2.1.0, 3.27.10).
#[derive(
    Clone,
    Copy,
    Debug,
    PartialEq,
    Eq,
    PartialOrd,
    Ord,
    Hash,
    serde::Deserialize,
    serde::Serialize,
    schemars::JsonSchema,
)]
#[serde(rename_all = "lowercase")]
pub enum Level {
    /// Off.
    None,
    /// Worth knowing.
    Note,
    /// Wrong or missing.
    Warning,
    /// Surely wrong: it misleads whoever reads it.
    Error,
}

impl Level {
    /// Returns the word used in options and output.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::None => "none",
            Self::Note => "note",
            Self::Warning => "warning",
            Self::Error => "error",
        }
    }
}

/// A place that belongs to a finding, with what is there.
#[derive(Clone, Debug, PartialEq, Eq, serde::Serialize, serde::Deserialize)]
pub struct Related {
    /// Where, in the same file.
    pub span: Span,
    /// What is there.
    pub label: String,
}

/// A finding as a rule makes it: no level, no path.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct RawFinding {
    /// The rule.
    pub rule: RuleId,
    /// Where the fault is.
    pub span: Span,
    /// The declaration it concerns.
    pub declaration: Option<DeclId>,
    /// The parameter, type or tag it is about.
    pub subject: SmolStr,
    /// The fault and the way out; many may share one text, as those of a file that was kept do.
    pub message: Substr,
    /// What probably was meant.
    pub suggestion: Option<SmolStr>,
    /// The other side.
    pub related: Vec<Related>,
    /// What mends it.
    pub edits: Vec<Edit>,
    /// The rule's level is lowered to a note in this case.
    pub only_note: bool,
}

/// What became of a finding.
#[derive(Clone, Debug, PartialEq, Eq, serde::Serialize, serde::Deserialize)]
pub enum State {
    /// Reported.
    New,
    /// Accepted once, in a file of the project.
    Accepted,
    /// Waived in the source, with the reason given there.
    Waived(String),
}

/// A finding with its level, ready to be reported.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Finding {
    /// What was found.
    pub raw: RawFinding,
    /// Its level.
    pub level: Level,
    /// The declaration's qualified name, empty for findings of a file.
    pub declaration: Substr,
    /// The declaration's name in the source.
    pub declaration_span: Option<Span>,
    /// Whether it is reported.
    pub state: State,
}
