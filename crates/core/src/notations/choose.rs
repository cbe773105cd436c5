//! Chooses the notation that a comment is read in.

use super::{Lines, get, tags};
use crate::model::{Dialect, DocComment, Entry, NotationId, RawComment};
use crate::text::{Source, narrow};

/// Reads a comment in a notation. Entries that it has in another of the `accepted` ones are read as well:
/// a comment may mix two.
#[must_use]
pub fn read(
    raw: &RawComment,
    source: &Source,
    notation: NotationId,
    (accepted, dialect): (&[NotationId], Dialect),
) -> DocComment {
    let lines = Lines::new(source, &raw.lines, dialect);
    let notation = get(notation).unwrap_or(&tags::TAGS);
    let mut doc = (notation.read)(&lines, raw.span);
    doc.notation = notation.id;
    if lines.len() < 2 || doc.entries.is_empty() {
        return doc;
    }
    for other in accepted.iter().filter(|&&id| id != notation.id).filter_map(|&id| get(id)) {
        if (other.evidence)(&lines) > 0 {
            add_entries(&mut doc, (other.read)(&lines, raw.span).entries);
        }
    }
    doc
}

/// Adds entries that stand outside those that are there.
fn add_entries(doc: &mut DocComment, others: Vec<Entry>) {
    let taken: Vec<(u32, u32)> = doc.entries.iter().map(|entry| entry.lines).collect();
    let sections = narrow(doc.sections.len() + 1);
    for mut entry in others {
        let apart = taken.iter().all(|&(from, upto)| entry.lines.1 <= from || upto <= entry.lines.0);
        if apart {
            // Two notations in one comment are no order of entries.
            entry.section += sections;
            doc.entries.push(entry);
        }
    }
    doc.entries.sort_by_key(|entry| entry.lines.0);
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
