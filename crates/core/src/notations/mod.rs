//! The notations of comments. One file each: `read` (raw comment to entries with spans), `write` (entry
//! to lines), the tags as a table. Nothing here knows a language.
//!
//! To add a notation: a file, a `mod` line and an entry in [`ALL`].

mod annotations;
mod below_tags;
mod callouts;
mod choose;
mod commands;
mod epytext;
mod field_lists;
mod fields;
mod google;
mod headings;
mod labels;
mod lines;
mod long_types;
mod notation;
mod numpy;
mod prose;
mod rest;
mod sections;
mod summary;
mod table;
mod tags;
mod xml;

pub use choose::{evident, read};
pub(crate) use commands::is_colon_form;
pub(crate) use field_lists::is_list_field;
pub(crate) use fields::aligned;
pub use lines::Lines;
pub(crate) use notation::WordVotes;
pub use notation::{Addition, Align, NewEntry, Notation, Order, TagWords, TypeCustom, WriteStyle, Writer};
pub use sections::heading_meant;
pub(crate) use sections::is_title_of_text;

use crate::model::NotationId;

/// All notations, by id.
pub static ALL: &[&Notation] = &[
    &annotations::ANNOTATIONS,
    &callouts::CALLOUTS,
    &commands::COMMANDS,
    &epytext::EPYTEXT,
    &google::GOOGLE,
    &headings::HEADINGS,
    &labels::LABELS,
    &numpy::NUMPY,
    &prose::PROSE,
    &rest::REST,
    &tags::TAGS,
    &xml::XML,
];

/// Returns the ids of all notations.
#[must_use]
pub fn ids() -> Vec<NotationId> {
    ALL.iter().map(|notation| notation.id).collect()
}

/// Finds a notation by its id.
#[must_use]
pub fn find(id: &str) -> Option<&'static Notation> {
    ALL.iter().copied().find(|notation| notation.id.as_str() == id)
}

/// Returns the notation of an id that the registry handed out.
#[must_use]
pub fn get(id: NotationId) -> Option<&'static Notation> {
    find(id.as_str())
}
