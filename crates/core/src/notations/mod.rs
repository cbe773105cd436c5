//! The notations of comments. One file each: `read` (raw comment to entries with spans), `write` (entry
//! to lines), the tags as a table. Nothing here knows a language.
//!
//! To add a notation: a file, a `mod` line and an entry in [`ALL`].

mod epytext;
mod field_lists;
mod fields;
mod google;
mod lines;
mod notation;
mod numpy;
mod rest;
mod sections;
mod summary;
mod table;
mod tags;
mod xml;

pub use lines::Lines;
pub use notation::{Addition, NewEntry, Notation, Order, TypeCustom, WriteStyle, Writer};

use crate::model::{DocComment, NotationId, RawComment};
use crate::text::Source;

/// All notations, by id.
pub static ALL: &[&Notation] =
    &[&epytext::EPYTEXT, &google::GOOGLE, &numpy::NUMPY, &rest::REST, &tags::TAGS, &xml::XML];

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

/// Reads a comment in the notation whose entries it has; one without entries in `otherwise`.
#[must_use]
pub fn read(raw: &RawComment, source: &Source, accepted: &[NotationId], otherwise: NotationId) -> DocComment {
    let lines = Lines::new(source, &raw.lines);
    let chosen = evident(&lines, accepted, otherwise).unwrap_or(otherwise);
    let notation = get(chosen).unwrap_or(&tags::TAGS);
    let mut doc = (notation.read)(&lines, raw.span);
    doc.notation = notation.id;
    doc
}

/// Returns the notation whose entries a comment has; of equals the preferred one, then the first.
#[must_use]
pub fn evident(lines: &Lines<'_>, accepted: &[NotationId], preferred: NotationId) -> Option<NotationId> {
    let [only] = accepted else {
        let scored = accepted.iter().map(|&id| {
            let entries = get(id).map_or(0, |notation| (notation.evidence)(lines));
            (entries, id == preferred, id)
        });
        let mut best: Option<(usize, bool, NotationId)> = None;
        for found in scored.filter(|(entries, ..)| *entries > 0) {
            if best.is_none_or(|(entries, chosen, _)| (found.0, found.1) > (entries, chosen)) {
                best = Some(found);
            }
        }
        return best.map(|(_, _, id)| id);
    };
    Some(*only)
}
