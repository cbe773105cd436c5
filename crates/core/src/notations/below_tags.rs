//! Descriptions that stand below block tags instead of before them.

use super::Lines;
use super::summary::describe_from;
use super::tags::{end_of, offset_behind};
use crate::model::{Dialect, DocComment};

/// Takes what stands below a tag for the description, where there is no other and the language's authors write it there.
pub(super) fn describe(doc: &mut DocComment, lines: &Lines<'_>, opens: &[(usize, &str)]) {
    match lines.dialect() {
        _ if doc.summary.is_some() => {}
        Dialect::Ruby => below_any(doc, lines, opens),
        Dialect::JavaScript | Dialect::TypeScript => {
            below_flag(doc, lines, opens);
            below_mark(doc, lines, opens);
        }
        Dialect::Php => below_mark(doc, lines, opens),
        _ => {}
    }
}

/// Tags whose text is a word.
const ONE_WORD: &[&str] = &["api", "since", "version", "private", "public", "abstract"];

/// Takes the first paragraph below a tag for the description that is not indented like the tag's text: `@abstract`, an empty
/// line, and what it does. Behind a word no empty line is needed.
fn below_any(doc: &mut DocComment, lines: &Lines<'_>, opens: &[(usize, &str)]) {
    for (number, &(at, name)) in opens.iter().enumerate() {
        let next = end_of(lines, opens, number);
        // What there is to see has often no more than its name.
        let behind = &lines.text(at)[offset_behind(lines, at, name)..];
        let one_word = ONE_WORD.contains(&name) || name == "see" && behind.split_whitespace().count() == 1;
        let below = (at + 1 < next && one_word).then_some(at + 1);
        let below = below.filter(|&row| !lines.is_blank(row) && lines.indent(row) <= lines.indent(at));
        if let Some(row) = below.or_else(|| (at + 1..next).find(|&row| stands_apart(lines, at, row))) {
            describe_from(doc, lines, (row, 0), next);
            return;
        }
    }
}

/// Tells whether a line begins a paragraph that is not indented like the text of the tag above it.
fn stands_apart(lines: &Lines<'_>, tag: usize, row: usize) -> bool {
    !lines.is_blank(row) && lines.is_blank(row - 1) && lines.indent(row) <= lines.indent(tag)
}

/// Takes the first paragraph below a tag that makes no entry for the description, where nothing else is: `@alias weigh`, an
/// empty line, and what it does.
fn below_mark(doc: &mut DocComment, lines: &Lines<'_>, opens: &[(usize, &str)]) {
    const WITH_TEXT: &[&str] = &["example", "license", "copyright", "todo"];
    for (number, &(at, name)) in opens.iter().enumerate() {
        if doc.summary.is_some() || doc.entries.iter().any(|entry| entry.lines.0 as usize <= at) {
            return;
        }
        let words = lines.text(at)[offset_behind(lines, at, name)..].split_whitespace().count();
        if words > 1 || WITH_TEXT.contains(&name) {
            continue;
        }
        let next = end_of(lines, opens, number);
        let begins = |row: usize| lines.trimmed(row).starts_with(char::is_uppercase);
        if let Some(row) = (at + 1..next).find(|&row| stands_apart(lines, at, row)).filter(|&row| begins(row))
        {
            describe_from(doc, lines, (row, 0), next);
        }
    }
}

/// Tags that need no text.
const FLAGS: &[&str] = &[
    "abstract", "alpha", "async", "beta", "class", "constructor", "enum", "experimental", "export", "final",
    "func", "function", "generator", "global", "inner", "instance", "interface", "internal", "method",
    "mixin", "namespace", "override", "package", "private", "protected", "public", "readonly", "sealed",
    "static", "virtual",
];

/// Takes the text below a tag that needs none for the description: `@public`, and on the next line what it does.
fn below_flag(doc: &mut DocComment, lines: &Lines<'_>, opens: &[(usize, &str)]) {
    for (number, &(at, name)) in opens.iter().enumerate().filter(|(_, (_, name))| FLAGS.contains(name)) {
        let next = end_of(lines, opens, number);
        let is_bare = lines.text(at)[offset_behind(lines, at, name)..].trim().is_empty();
        if is_bare && at + 1 < next && !lines.is_blank(at + 1) {
            describe_from(doc, lines, (at + 1, 0), next);
            return;
        }
    }
}
