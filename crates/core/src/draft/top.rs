//! What a file opens with: the header that the project wants in every one, and the comment of the module.

use crate::model::{Carrier, Doc, Kind};
use crate::reading::{ModuleComment, Place};
use crate::review::FileReading;
use crate::rules::has_header;
use crate::text::{Edit, Span};

/// Lines that must stay before all else: interpreters and compilers read them there.
const FIRST: &[&str] = &["#!", "<?php", "# -*-", "# coding", "# encoding", "# frozen_string_literal"];

/// Drafts the top of a file: `header` where it is missing, and the module's comment where the language has one that
/// stands there. Returns the edit, and the comments that it adds; nothing when all is there.
#[must_use]
pub fn draft_top(file: &FileReading<'_>, header: &[String]) -> Option<(Edit, Vec<String>)> {
    let ending = file.source.line_ending();
    let has_header = has_header(&file.context(), header);
    let remark = |carrier: Carrier, lines: &[String]| {
        let dress = file.dress().carried_by(carrier);
        Place { source: &file.source, outline: &file.outline, dress }.remark(lines)
    };
    let mut added = Vec::new();
    if !header.is_empty() && !has_header {
        added.push(remark(file.language.remark, header));
    }
    if let Some(carrier) = missing_module_comment(file) {
        added.push(remark(carrier, std::slice::from_ref(&file.settings.placeholder)));
    }
    if added.is_empty() {
        return None;
    }
    let top = behind_first_lines(file.source.text());
    let at = if has_header { behind_comment(file, top) } else { top };
    // Empty lines keep comments from running on.
    let close = has_header && at > 0 && !file.source.text()[..at].ends_with("\n\n");
    let mut text = if close { ending.to_owned() } else { String::new() };
    for comment in &added {
        text.push_str(&format!("{comment}{ending}{ending}"));
    }
    Some((Edit { span: Span::of(at, at), text }, added))
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
