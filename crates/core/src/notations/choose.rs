//! Chooses the notation that a comment is read in.

use super::{Lines, get, tags};
use crate::model::{DocComment, NotationId, RawComment};
use crate::text::Source;

/// Reads a comment in a notation.
#[must_use]
pub fn read(raw: &RawComment, source: &Source, notation: NotationId) -> DocComment {
    let lines = Lines::new(source, &raw.lines);
    let notation = get(notation).unwrap_or(&tags::TAGS);
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
