//! What comments leave out: all between `\cond` and `\endcond` is for nobody who reads the documentation.

use std::ops::Range;

use super::kinds::C;
use crate::reading::Walk;

/// Hides what is declared between the two commands.
pub(super) fn hide(walk: &mut Walk<'_, C>) {
    let text = walk.source.text();
    if memchr::memmem::find(text.as_bytes(), b"endcond").is_none() {
        return;
    }
    let mut open: Vec<u32> = Vec::new();
    let mut hidden: Vec<Range<u32>> = Vec::new();
    for comment in &walk.outline.comments {
        for line in walk.source.slice(comment.span).lines() {
            let bare = line.trim_start_matches([' ', '\t', '*', '/', '!']);
            let Some(rest) = bare.strip_prefix(['@', '\\']) else { continue };
            match rest.split(|c: char| !c.is_ascii_alphanumeric()).next() {
                Some("cond") => open.push(comment.span.end),
                Some("endcond") => hidden.extend(open.pop().map(|start| start..comment.span.start)),
                _ => {}
            }
        }
    }
    for declaration in &mut walk.outline.declarations {
        declaration.hidden |= hidden.iter().any(|range| range.contains(&declaration.name_span.start));
    }
}
