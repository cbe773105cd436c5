//! A whole comment for a declaration that has none.

use super::carrier::{broken, wrap};
use super::choose::{Drafted, is_first_on_line, line_start, step};
use super::skeleton::{entries, style};
use crate::model::{Carrier, DeclId};
use crate::notations;
use crate::reading::CommentPlace;
use crate::review::{FileReading, signature_of, undocumented_debt};
use crate::text::{Edit, Span};

/// Drafts the comment of a declaration; `blank` is a comment that says nothing and is written over.
///
/// Fails with the reason where no comment can be put.
pub(super) fn fresh(
    file: &FileReading<'_>,
    id: DeclId,
    blank: Option<Span>,
) -> Result<Option<Drafted>, &'static str> {
    let Some(notation) = notations::get(file.notation) else { return Ok(None) };
    let declaration = file.outline.declaration(id);
    let (signature, _) = signature_of(file, declaration);
    let style = style(file);
    let wanted = entries(file, signature, &undocumented_debt(file, id), notation);
    let opening =
        if file.language.opens_with_name { format!("{} ", declaration.name) } else { String::new() };
    let lines = notation.writer.whole(&format!("{opening}{}", style.placeholder), &wanted, &style);
    let ending = file.source.line_ending();
    let carrier = file.language.carrier;
    if let Some(span) = blank {
        let comment = wrap(carrier, &lines, file.source.indent_at(span.start), ending);
        let edit = Edit { span, text: comment.clone() };
        return Ok(Some(Drafted { declaration: id, edits: vec![edit], comment }));
    }
    let (edit, comment) = match file.language.place {
        CommentPlace::Above | CommentPlace::DirectlyAbove => above(file, declaration.span.start, &lines)?,
        CommentPlace::Below => below(file, declaration.header_end, &lines),
        CommentPlace::FileTop if file.outline.of_file(file.source.file_name()) == Some(id.0 as usize) => {
            let comment = wrapped(file, "", &lines);
            (Edit { span: Span::at(0), text: format!("{comment}{}", file.source.line_ending()) }, comment)
        }
        CommentPlace::FileTop => {
            return Err("only one comment at the top of a file is read in this language");
        }
        CommentPlace::FirstInBody => first_in_body(file, declaration.header_end, declaration.span, &lines)?,
    };
    Ok(Some(Drafted { declaration: id, edits: vec![edit], comment }))
}

fn above(file: &FileReading<'_>, start: u32, lines: &[String]) -> Result<(Edit, String), &'static str> {
    let ending = file.source.line_ending();
    let indent = indent(file, start);
    if is_first_on_line(file, start) || file.outline.columns.is_some() {
        let comment = wrapped(file, &indent, lines);
        let edit =
            Edit { span: Span::at(line_start(file, start)), text: format!("{indent}{comment}{ending}") };
        return Ok((edit, comment));
    }
    // Other code stands before it on its line: the one-line block form goes between, where that code ends.
    let before = file.source.slice(Span::new(line_start(file, start), start)).trim_end();
    if !before.ends_with(['{', '}', ';', ',', '/']) {
        return Err("other code stands before it on its line; put it on a line of its own");
    }
    let block = Carrier::Block { open: "/**", close: "*/" };
    let end = lines.iter().position(String::is_empty).unwrap_or(lines.len());
    let text: Vec<&str> = lines[..end].iter().map(|line| line.trim()).collect();
    let first = if text.first().is_some_and(|line| line.starts_with('<')) {
        text[..text.len().min(3)].concat()
    } else {
        text.first().copied().unwrap_or_default().to_owned()
    };
    let comment = wrap(block, &[first], &indent, ending);
    Ok((Edit { span: Span::at(start), text: format!("{comment} ") }, comment))
}

/// Returns what stands before a comment beside the declaration at `start`: in a file of fixed columns, all
/// up to the first of them.
fn indent(file: &FileReading<'_>, start: u32) -> String {
    match file.outline.columns {
        Some((from, _)) => " ".repeat(from.saturating_sub(1) as usize),
        None => file.source.indent_at(start).to_owned(),
    }
}

/// Wraps lines as a comment that stays inside the columns of the file, where it has any.
fn wrapped(file: &FileReading<'_>, indent: &str, lines: &[String]) -> String {
    let (carrier, ending) = (file.language.carrier, file.source.line_ending());
    let Some((from, to)) = file.outline.columns else { return wrap(carrier, lines, indent, ending) };
    let mark = match carrier {
        Carrier::Lines { mark } => mark.len(),
        Carrier::Block { .. } | Carrier::Docstring => 2,
    };
    let width = (to + 1).saturating_sub(from) as usize;
    wrap(carrier, &broken(lines, width.saturating_sub(mark + 1).max(8)), indent, ending)
}

/// Puts a comment on the lines below a header.
fn below(file: &FileReading<'_>, header_end: u32, lines: &[String]) -> (Edit, String) {
    let ending = file.source.line_ending();
    let line = file.source.line(header_end);
    let end = file.source.line_span(line).map_or(header_end, |span| span.end);
    let next = file.source.line_span(line + 1).filter(|&span| !file.source.slice(span).trim().is_empty());
    let indent = indent(file, next.map_or(header_end, |span| span.start));
    let comment = wrapped(file, &indent, lines);
    (Edit { span: Span::at(end), text: format!("{ending}{indent}{comment}") }, comment)
}

fn first_in_body(
    file: &FileReading<'_>,
    header_end: u32,
    span: Span,
    lines: &[String],
) -> Result<(Edit, String), &'static str> {
    let ending = file.source.line_ending();
    let rest = file.source.slice(Span::new(header_end, span.end));
    let gap = rest.len() - rest.trim_start().len();
    if gap == rest.len() {
        return Err("it has no body; write one to hold the docstring");
    }
    let body = header_end + Span::of(gap, gap).start;
    let gap_text = &rest[..gap];
    if gap_text.contains("\\") {
        return Err("its body is joined to it by a backslash; put it on a line of its own");
    }
    if gap_text.contains('\n') {
        let indent = file.source.indent_at(body);
        let comment = wrap(Carrier::Docstring, lines, indent, ending);
        return Ok((
            Edit { span: Span::at(header_end), text: format!("{ending}{indent}{comment}") },
            comment,
        ));
    }
    // A suite on the line of its header gets the line break and indentation it needs.
    let indent = format!("{}{}", file.source.indent_at(span.start), step(file));
    let comment = wrap(Carrier::Docstring, lines, &indent, ending);
    let text = format!("{ending}{indent}{comment}{ending}{indent}");
    Ok((Edit { span: Span::new(header_end, body), text }, comment))
}
