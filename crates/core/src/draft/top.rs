//! What a file opens with: the header that the project wants in every one, and the comment of the module.

use crate::model::{Carrier, Doc, Kind};
use crate::reading::{ModuleComment, Place};
use crate::review::FileReading;
use crate::rules::has_header;
use crate::text::{Edit, Span};

/// Lines that must stay before all else: interpreters and compilers read them there.
const FIRST: &[&str] = &["#!", "<?php", "# -*-", "# coding", "# encoding", "# frozen_string_literal"];

/// Drafts the top of a file: `header` where it is missing, and the module's comment where the language has one that
/// stands there. Returns the edits, in order, and the comments that they add; nothing when all is there.
#[must_use]
pub fn draft_top(file: &FileReading<'_>, header: &[String]) -> Option<(Vec<Edit>, Vec<String>)> {
    let ending = file.source.line_ending();
    let top = behind_first_lines(file.source.text());
    let has_header = has_header(&file.context(), header);
    let mut added = Vec::new();
    let mut edits = Vec::new();
    let mut text = String::new();
    // An empty line keeps what follows from running on.
    let mut add = |text: &mut String, carrier: Carrier, lines: &[String]| {
        let comment = Place { source: &file.source, outline: &file.outline, carrier }.remark(lines);
        text.push_str(&format!("{comment}{ending}{ending}"));
        added.push(comment);
    };
    if !header.is_empty() && !has_header {
        add(&mut text, file.language.remark, header);
    }
    let behind = if has_header { behind_comment(file, top) } else { top };
    let mut own = String::new();
    if let Some(carrier) = missing_module_comment(file) {
        add(&mut own, carrier, std::slice::from_ref(&file.settings.placeholder));
    }
    if behind == top {
        text.push_str(&own);
        own.clear();
    }
    for (at, text) in [(top, text), (behind, own)] {
        if !text.is_empty() {
            let gap = if at > 0 && !file.source.text()[..at].ends_with("\n\n") && at == behind && has_header {
                ending
            } else {
                ""
            };
            edits.push(Edit { span: Span::of(at, at), text: format!("{gap}{text}") });
        }
    }
    (!edits.is_empty()).then_some((edits, added))
}

/// Returns what carries the module's comment, where the language has one at the top of a file and there is none.
fn missing_module_comment(file: &FileReading<'_>) -> Option<Carrier> {
    // A file without code needs no words.
    let mut at = 0;
    let code = file.outline.comments.iter().any(|comment| {
        let gap = &file.source.text()[at.min(comment.span.start as usize)..comment.span.start as usize];
        at = comment.span.end as usize;
        !gap.trim().is_empty()
    });
    if !code && file.source.text()[at..].trim().is_empty() {
        return None;
    }
    match file.language.module_comment {
        ModuleComment::None => None,
        ModuleComment::Docstring => {
            let has = file.outline.declarations.iter().any(|declaration| declaration.kind == Kind::Module);
            (!has).then_some(Carrier::Docstring)
        }
        ModuleComment::Lines(mark) => {
            let is = |comment: &crate::model::RawComment| {
                comment.standing == Doc::Elsewhere && file.source.slice(comment.span).starts_with(mark)
            };
            (!file.outline.comments.iter().any(is)).then_some(Carrier::Lines { mark })
        }
    }
}

/// Returns the offset behind the lines that must stay first.
fn behind_first_lines(text: &str) -> usize {
    let mut at = 0;
    for line in text.split_inclusive('\n') {
        let lower = line.trim_start_matches('\u{feff}').to_ascii_lowercase();
        if !FIRST.iter().any(|first| lower.starts_with(first)) || !line.ends_with('\n') {
            break;
        }
        at += line.len();
    }
    if at == 0 && text.starts_with('\u{feff}') { '\u{feff}'.len_utf8() } else { at }
}

/// Returns the offset behind the line that ends the comment at the top, `top` where there is none.
fn behind_comment(file: &FileReading<'_>, top: usize) -> usize {
    let text = file.source.text();
    let first = top + (text[top..].len() - text[top..].trim_start().len());
    let comment = file.outline.comments.iter().find(|comment| comment.span.start as usize == first);
    comment.map_or(top, |comment| {
        let end = comment.span.end as usize;
        text[end..].find('\n').map_or(text.len(), |found| end + found + 1)
    })
}
