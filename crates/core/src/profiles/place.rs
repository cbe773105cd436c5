//! Attaches doc comments that do not stand above their declaration.

use super::profile::DocAt;
use crate::model::{Doc, Outline};
use crate::reading::{Custom, attach};
use crate::text::{Source, Span};

/// Attaches the comments of an outline, place by place in the order that the profile has.
pub(super) fn place(outline: &mut Outline, source: &Source, places: &[DocAt], custom: Custom) {
    settle_owners(outline);
    for place in places {
        match place {
            DocAt::Above => attach(outline, source, custom),
            DocAt::Below => below(outline, source),
            DocAt::FileTop => file_top(outline, source),
        }
    }
}

/// Says of each comment in which declaration it stands.
fn settle_owners(outline: &mut Outline) {
    for comment in &mut outline.comments {
        let behind = outline.declarations.partition_point(|found| found.span.start <= comment.span.start);
        let mut found = behind.checked_sub(1);
        while let Some(at) = found.filter(|&at| outline.declarations[at].span.end < comment.span.end) {
            found = outline.declarations[at].owner.map(|owner| owner.0 as usize);
        }
        let Some(at) = found else { continue };
        comment.owner = Some(crate::model::DeclId(crate::text::narrow(at)));
        comment.in_body = outline.declarations[at].kind.is_callable();
    }
}

/// A comment that follows the header of a declaration directly is its own.
fn below(outline: &mut Outline, source: &Source) {
    for at in 0..outline.declarations.len() {
        let declaration = &outline.declarations[at];
        if declaration.comment.doc.is_some() {
            continue;
        }
        let from = declaration.header_end;
        let id = outline.comments.partition_point(|comment| comment.span.start < from);
        let Some(comment) = outline.comments.get_mut(id) else { continue };
        let gap = source.slice(Span::new(from, comment.span.start));
        // What ends a statement may stand between.
        let near =
            gap.trim().trim_matches(['.', ';', ':', '{']).trim().is_empty() && gap.matches('\n').count() == 1;
        if near && !comment.attached && matches!(comment.standing, Doc::Yes | Doc::IfAbove) {
            (comment.attached, comment.doc) = (true, true);
            let attached = &mut outline.declarations[at].comment;
            attached.doc = Some(crate::model::CommentId(crate::text::narrow(id)));
            attached.misplaced = None;
        }
    }
}

/// The first comment of a file, ahead of all code, is of its only declaration, or of the one that is named as
/// the file is.
fn file_top(outline: &mut Outline, source: &Source) {
    let Some(at) = outline.of_file(source.file_name()) else { return };
    let declaration = &outline.declarations[at];
    let Some(comment) = outline.comments.first_mut() else { return };
    let leads = source.text()[..comment.span.start as usize].trim().is_empty();
    let ahead = comment.span.end <= declaration.span.start;
    if declaration.comment.doc.is_none()
        && leads
        && ahead
        && !comment.attached
        && matches!(comment.standing, Doc::Yes | Doc::IfAbove)
    {
        (comment.attached, comment.doc) = (true, true);
        let attached = &mut outline.declarations[at].comment;
        attached.doc = Some(crate::model::CommentId(0));
        attached.misplaced = None;
    }
}
