//! Gathers the comments that the walk passes: runs of lines become one, and where each stands is noted.

use super::{Action, Grammar, Node, Walk, comments};
use crate::model::{Carrier, CommentId, Doc, Misplaced, Outline, RawComment};
use crate::text::{Span, narrow};

/// Takes a comment, and the lines of it that the grammar was not given.
pub(super) fn take<G: Grammar>(grammar: &G, walk: &mut Walk<'_, G::Node>, node: Node<'_>) {
    let bare = walk.text(node).trim_end();
    take_at(grammar, walk, Span::of(node.start_byte(), node.start_byte() + bare.len()));
    for line in walk.lines_behind(narrow(node.end_byte())) {
        take_at(grammar, walk, line);
    }
}

/// Gathers the comments inside a node that is passed over.
pub(super) fn take_inside<'t, G: Grammar>(grammar: &G, walk: &mut Walk<'t, G::Node>, node: Node<'t>) {
    let mut cursor = node.walk();
    let mut depth = 0;
    let mut down = true;
    loop {
        if down && cursor.goto_first_child() {
            depth += 1;
        } else {
            while !cursor.goto_next_sibling() {
                if depth <= 1 || !cursor.goto_parent() {
                    return;
                }
                depth -= 1;
            }
        }
        let inner = cursor.node();
        let is_comment = grammar.table().action(inner) == Action::Comment;
        if is_comment {
            take(grammar, walk, inner);
        }
        down = !is_comment;
    }
}

/// Takes a comment: joins it with the run of lines that it goes on with, or begins another.
fn take_at<G: Grammar>(grammar: &G, walk: &mut Walk<'_, G::Node>, at: Span) {
    let bare = walk.source.slice(at);
    let mut form = grammar.comment(bare);
    if form.doc == Doc::No && walk.wishes.take(bare) {
        form.doc = Doc::Yes;
    }
    let (doc, candidate) =
        (matches!(form.doc, Doc::Yes | Doc::Back | Doc::Elsewhere), form.doc == Doc::IfAbove);
    let source = walk.source.text();
    let start = at.start as usize;
    let line_start = walk.source.line_start(start);
    let trailing = !source[line_start..start].trim().is_empty();
    if let Carrier::Lines { mark } = form.carrier {
        // Docstrings are taken ahead of the comments before them.
        let last = walk.outline.comments.iter_mut().rfind(|comment| comment.carrier != Carrier::Docstring);
        if let Some(last) = last.filter(|last| last.span.end <= at.start) {
            let gap = &source[last.span.end as usize..start];
            let joined = gap.trim().is_empty() && gap.matches('\n').count() == 1;
            let alike = last.carrier == form.carrier
                // Where plain lines are documentation, the first may have a mark of its own.
                || (candidate && matches!(last.carrier, Carrier::Lines { .. }));
            // What goes on behind a line's code is part of what began there.
            let apart = trailing || (last.attached && !matches!(last.standing, Doc::Back | Doc::Elsewhere));
            if form.doc == Doc::Elsewhere && alike && joined && !apart && says_nothing(last, source) {
                // Below such lines only it says what the comment is about.
                (last.standing, last.attached) = (Doc::Elsewhere, true);
            }
            let same = last.standing == form.doc
                || (last.standing == Doc::Elsewhere && matches!(form.doc, Doc::Yes | Doc::IfAbove))
                || (last.standing == Doc::IfAbove && form.doc == Doc::Elsewhere);
            if alike && same && joined && !apart {
                last.span.end = at.end;
                if doc || candidate {
                    last.lines.push(line_text(source, at, mark, candidate));
                }
                return;
            }
        }
    }
    let lines = match form.carrier {
        Carrier::Lines { mark } if doc || candidate => {
            vec![line_text(source, at, mark, candidate)]
        }
        Carrier::Block { open, close } if doc || candidate => {
            comments::block_lines(source, at, open.len(), close.len())
        }
        Carrier::Lines { .. } | Carrier::Block { .. } | Carrier::Docstring => Vec::new(),
    };
    let comment = RawComment {
        span: at,
        carrier: form.carrier,
        doc,
        standing: form.doc,
        in_body: walk.in_code(),
        owner: walk.owner(),
        // A comment behind code on its line belongs to that code, never to what follows.
        attached: trailing || form.doc == Doc::Elsewhere,
        lines,
    };
    walk.outline.comments.push(comment);
}

/// Tells whether documentation has no text yet; a brace alone ends a group.
fn says_nothing(comment: &RawComment, source: &str) -> bool {
    !comment.lines.is_empty()
        && comment.lines.iter().all(|line| matches!(source[line.range()].trim(), "" | "{" | "}"))
}

/// Returns the text of a comment line; where plain comments are documentation, a divider has none.
fn line_text(source: &str, at: Span, mark: &str, candidate: bool) -> Span {
    let text = comments::without_mark(&source[at.range()], at.start as usize, mark);
    let divider = candidate && source[text.range()].bytes().all(|b| b"-=*#~_/ ".contains(&b));
    if divider { Span::at(text.end) } else { text }
}

/// Puts comments into source order: docstrings were taken ahead of the comments before them.
pub(super) fn sort(outline: &mut Outline) {
    if outline.comments.is_sorted_by_key(|comment| comment.span.start) {
        return;
    }
    let mut order: Vec<usize> = (0..outline.comments.len()).collect();
    order.sort_by_key(|&at| outline.comments[at].span.start);
    let mut new_place = vec![CommentId(0); order.len()];
    for (new, &old) in order.iter().enumerate() {
        new_place[old] = CommentId(narrow(new));
    }
    outline.comments = order.iter().map(|&old| outline.comments[old].clone()).collect();
    for declaration in &mut outline.declarations {
        let attached = &mut declaration.comment;
        attached.doc = attached.doc.map(|id| new_place[id.0 as usize]);
        attached.misplaced = attached.misplaced.map(|misplaced| match misplaced {
            Misplaced::Detached(id) => Misplaced::Detached(new_place[id.0 as usize]),
            Misplaced::Ordinary(id) => Misplaced::Ordinary(new_place[id.0 as usize]),
        });
    }
}
