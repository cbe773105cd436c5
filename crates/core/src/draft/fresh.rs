//! A whole comment for a declaration that has none.

use super::choose::Drafted;
use super::skeleton::{entries, style};
use super::wording;
use crate::model::DeclId;
use crate::notations;
use crate::reading::{CommentPlace, Place, wrap};
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
    let summary = match wording::summary(file, id) {
        Some(said) => said,
        None => format!("{opening}{}", style.placeholder),
    };
    let lines = notation.writer.whole(&summary, &wanted, &style);
    let ending = file.source.line_ending();
    let carrier = file.language.carrier;
    if let Some(span) = blank {
        let comment = wrap(carrier, &lines, file.source.indent_at(span.start), ending);
        let edit = Edit { span, text: comment.clone() };
        return Ok(Some(Drafted { declaration: id, edits: vec![edit], comment }));
    }
    let place = Place { source: &file.source, outline: &file.outline, carrier };
    let (edit, comment) = match file.language.place {
        CommentPlace::Above | CommentPlace::DirectlyAbove => place.above(declaration.span.start, &lines)?,
        CommentPlace::Below => place.below(declaration.header_end, &lines),
        CommentPlace::FileTop if file.outline.of_file(file.source.file_name()) == Some(id.0 as usize) => {
            place.at_top(&lines)
        }
        CommentPlace::FileTop => {
            return Err("only one comment at the top of a file is read in this language");
        }
        CommentPlace::FirstInBody => place.first_in_body(declaration.header_end, declaration.span, &lines)?,
    };
    Ok(Some(Drafted { declaration: id, edits: vec![edit], comment }))
}
