//! The JSON shapes. Stable: a changed field is a changed format.

use serde::Serialize;

/// `vinequill-review/1`.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Review<'a> {
    pub(super) format: &'static str,
    pub(super) findings: Vec<Finding<'a>>,
    pub(super) totals: ReviewTotals,
}

/// One finding.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Finding<'a> {
    pub(super) rule: &'static str,
    pub(super) level: &'static str,
    pub(super) path: &'a str,
    pub(super) line: u32,
    pub(super) column: u32,
    pub(super) end_line: u32,
    pub(super) end_column: u32,
    pub(super) start: u64,
    pub(super) end: u64,
    pub(super) declaration: &'a str,
    pub(super) declaration_line: Option<u32>,
    pub(super) subject: &'a str,
    pub(super) message: &'a str,
    pub(super) suggestion: Option<&'a str>,
    pub(super) related: Vec<Related<'a>>,
    pub(super) edits: Vec<Edit<'a>>,
    pub(super) state: &'static str,
    pub(super) reason: Option<&'a str>,
    pub(super) fingerprint: String,
}

/// A related place.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Related<'a> {
    pub(super) path: &'a str,
    pub(super) line: u32,
    pub(super) column: u32,
    pub(super) end_line: u32,
    pub(super) end_column: u32,
    pub(super) start: u64,
    pub(super) end: u64,
    pub(super) label: &'a str,
}

/// An edit.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Edit<'a> {
    pub(super) start: u64,
    pub(super) end: u64,
    pub(super) text: &'a str,
}

/// Sums of a review.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct ReviewTotals {
    pub(super) files: u64,
    pub(super) declarations: u64,
    pub(super) error: u64,
    pub(super) warning: u64,
    pub(super) note: u64,
    pub(super) accepted: u64,
    pub(super) waived: u64,
    pub(super) excused: u64,
    pub(super) unparsed_bytes: u64,
}

/// `vinequill-coverage/1`.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Coverage<'a> {
    pub(super) format: &'static str,
    pub(super) total: Counts,
    pub(super) by: &'static str,
    pub(super) groups: Vec<Group<'a>>,
}

/// Numbers of coverage.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Counts {
    pub(super) declared: u64,
    pub(super) described: u64,
    pub(super) complete: u64,
    pub(super) items_asked: u64,
    pub(super) items_present: u64,
    pub(super) excused: u64,
    pub(super) described_percent: Option<f64>,
    pub(super) complete_percent: Option<f64>,
}

/// One group.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(super) struct Group<'a> {
    pub(super) name: &'a str,
    #[serde(flatten)]
    pub(super) counts: Counts,
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
