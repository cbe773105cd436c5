//! Comments that stand apart and are one.

use crate::model::{Carrier, Outline, RawComment};
use crate::text::{Source, Span};

/// Tells whether the comment behind the one at `at` is an ordinary line between two lines of the same documentation,
/// of which `parts_nothing` decides by its text.
pub(in crate::languages) fn line_between(
    (outline, source): (&Outline, &Source),
    at: usize,
    parts_nothing: fn(&str) -> bool,
) -> bool {
    let [first, between, last, ..] = &outline.comments[at..] else { return false };
    let directly_above = |from: &RawComment, upto: &RawComment| {
        let gap = source.slice(Span::new(from.span.end, upto.span.start));
        gap.trim().is_empty() && gap.matches('\n').count() == 1
    };
    first.doc
        && last.doc
        && !between.doc
        && first.carrier == last.carrier
        && matches!(between.carrier, Carrier::Lines { .. })
        && parts_nothing(source.slice(between.span))
        && directly_above(first, between)
        && directly_above(between, last)
}

/// Makes one comment of the one at `at` and the one behind it.
pub(in crate::languages) fn join(outline: &mut Outline, at: usize) {
    let second = outline.comments[at + 1].clone();
    let first = &mut outline.comments[at];
    first.lines.extend(second.lines);
    first.span.end = second.span.end;
    take_out(outline, at + 1);
}

/// Takes a comment out, and keeps declarations with theirs.
pub(in crate::languages) fn take_out(outline: &mut Outline, at: usize) {
    outline.comments.remove(at);
    for declaration in &mut outline.declarations {
        for id in declaration.comment.doc.iter_mut().filter(|id| id.0 as usize >= at) {
            id.0 -= 1;
        }
    }
}
