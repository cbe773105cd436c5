//! The JSON shapes. Stable: a changed field is a changed format.

use std::borrow::Cow;

use serde::{Deserialize, Serialize};

/// `vinequill-review/1`.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Review<'a> {
    pub(crate) format: Cow<'a, str>,
    pub(crate) findings: Vec<Finding<'a>>,
    pub(crate) totals: ReviewTotals,
}

/// One finding.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Finding<'a> {
    pub(crate) rule: Cow<'a, str>,
    pub(crate) level: Cow<'a, str>,
    pub(crate) path: Cow<'a, str>,
    pub(crate) line: u32,
    pub(crate) column: u32,
    pub(crate) end_line: u32,
    pub(crate) end_column: u32,
    pub(crate) start: u64,
    pub(crate) end: u64,
    pub(crate) declaration: Cow<'a, str>,
    pub(crate) declaration_line: Option<u32>,
    pub(crate) subject: Cow<'a, str>,
    pub(crate) message: Cow<'a, str>,
    pub(crate) suggestion: Option<Cow<'a, str>>,
    pub(crate) related: Vec<Related<'a>>,
    pub(crate) edits: Vec<Edit<'a>>,
    pub(crate) state: Cow<'a, str>,
    pub(crate) reason: Option<Cow<'a, str>>,
    pub(crate) fingerprint: String,
}

/// A related place.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Related<'a> {
    pub(crate) path: Cow<'a, str>,
    pub(crate) line: u32,
    pub(crate) column: u32,
    pub(crate) end_line: u32,
    pub(crate) end_column: u32,
    pub(crate) start: u64,
    pub(crate) end: u64,
    pub(crate) label: Cow<'a, str>,
}

/// An edit.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Edit<'a> {
    pub(crate) start: u64,
    pub(crate) end: u64,
    pub(crate) text: Cow<'a, str>,
}

/// Sums of a review.
#[derive(Clone, Debug, Default, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct ReviewTotals {
    pub(crate) files: u64,
    pub(crate) declarations: u64,
    pub(crate) error: u64,
    pub(crate) warning: u64,
    pub(crate) note: u64,
    pub(crate) accepted: u64,
    pub(crate) waived: u64,
    pub(crate) excused: u64,
    pub(crate) unparsed_bytes: u64,
}

impl ReviewTotals {
    /// Adds the sums of another part.
    pub(crate) const fn add(&mut self, other: &Self) {
        self.files += other.files;
        self.declarations += other.declarations;
        self.error += other.error;
        self.warning += other.warning;
        self.note += other.note;
        self.accepted += other.accepted;
        self.waived += other.waived;
        self.excused += other.excused;
        self.unparsed_bytes += other.unparsed_bytes;
    }
}

/// `vinequill-coverage/1`.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Coverage<'a> {
    pub(crate) format: Cow<'a, str>,
    pub(crate) total: Counts,
    pub(crate) by: Cow<'a, str>,
    pub(crate) groups: Vec<Group<'a>>,
    /// Only with `--compare`.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub(crate) compared: Option<Compared<'a>>,
    /// Only with `--list`.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub(crate) list: Option<Vec<Gap<'a>>>,
}

/// What another revision had.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Compared<'a> {
    pub(crate) revision: Cow<'a, str>,
    pub(crate) total: Counts,
    pub(crate) files: Vec<ComparedFile<'a>>,
}

/// A file whose numbers changed.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct ComparedFile<'a> {
    pub(crate) path: Cow<'a, str>,
    pub(crate) before: Counts,
    pub(crate) now: Counts,
}

/// A declaration that lacks something, or is excused.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Gap<'a> {
    pub(crate) path: Cow<'a, str>,
    pub(crate) line: u32,
    pub(crate) declaration: Cow<'a, str>,
    pub(crate) kind: Cow<'a, str>,
    pub(crate) described: bool,
    pub(crate) items_asked: u64,
    pub(crate) items_present: u64,
    pub(crate) excuse: Option<Cow<'a, str>>,
}

/// Numbers of coverage.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Counts {
    pub(crate) declared: u64,
    pub(crate) described: u64,
    pub(crate) complete: u64,
    pub(crate) items_asked: u64,
    pub(crate) items_present: u64,
    pub(crate) excused: u64,
    pub(crate) described_percent: Option<f64>,
    pub(crate) complete_percent: Option<f64>,
}

/// One group.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Group<'a> {
    pub(crate) name: Cow<'a, str>,
    #[serde(flatten)]
    pub(crate) counts: Counts,
}

/// `vinequill-outline/1`.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Outline<'a> {
    pub(super) format: &'static str,
    pub(super) files: &'a [OutlineFile],
}

/// One file of an outline.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct OutlineFile {
    pub(super) path: String,
    pub(super) language: &'static str,
    pub(super) unparsed: Vec<Unparsed>,
    pub(super) declarations: Vec<Declaration>,
}

/// A range that was not understood.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Unparsed {
    pub(super) line: u32,
    pub(super) end_line: u32,
    pub(super) start: u64,
    pub(super) end: u64,
}

/// One declaration.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Declaration {
    pub(super) name: String,
    pub(super) qualified: String,
    pub(super) id: String,
    pub(super) kind: &'static str,
    pub(super) surface: &'static str,
    pub(super) line: u32,
    pub(super) end_line: u32,
    pub(super) start: u64,
    pub(super) end: u64,
    pub(super) same_as: Option<String>,
    pub(super) parameters: Vec<Parameter>,
    pub(super) type_parameters: Vec<String>,
    pub(super) returns: Returns,
    pub(super) throws: Vec<Thrown>,
    pub(super) deprecated: bool,
    pub(super) inherits: bool,
    pub(super) excuse: Option<&'static str>,
    pub(super) comment: Option<Comment>,
}

/// One parameter.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Parameter {
    pub(super) name: Option<String>,
    #[serde(rename = "type")]
    pub(super) ty: Option<String>,
    pub(super) default: Option<String>,
    pub(super) optional: bool,
    pub(super) variadic: bool,
}

/// What comes back.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Returns {
    #[serde(rename = "type")]
    pub(super) ty: Option<String>,
    pub(super) value: &'static str,
}

/// An exception.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Thrown {
    #[serde(rename = "type")]
    pub(super) ty: String,
    pub(super) origin: &'static str,
    pub(super) line: u32,
}

/// A comment as understood.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Comment {
    pub(super) line: u32,
    pub(super) end_line: u32,
    pub(super) start: u64,
    pub(super) end: u64,
    pub(super) notation: &'static str,
    pub(super) summary: String,
    pub(super) entries: Vec<Entry>,
}

/// One entry.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Entry {
    pub(super) kind: &'static str,
    pub(super) name: Option<String>,
    #[serde(rename = "type")]
    pub(super) ty: Option<String>,
    pub(super) text: String,
    pub(super) line: u32,
}
