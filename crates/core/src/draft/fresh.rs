//! A whole comment for a declaration that has none.

use super::choose::{Drafted, Extent};
use super::complete::complete;
use super::inherit::Inherit;
use super::skeleton::{entries, style};
use super::wording;
use crate::model::DeclId;
use crate::notations;
use crate::reading::{CommentPlace, Place, wrap};
use crate::review::{FileReading, Standings, signature_of, undocumented_debt};
use crate::text::{Edit, Edits, Span};

/// Drafts the comment of a declaration, taken over from a supertype where that is wished for; `blank` is a comment that says nothing and is written over.
///
/// Fails with the reason where no comment can be put.
pub(super) fn fresh(
    file: &FileReading<'_>,
    (standings, inherit): (&Standings, Inherit<'_>),
    id: DeclId,
    blank: Option<Span>,
) -> Result<Option<Drafted>, &'static str> {
    if let Some(lines) = inherit.lines(file, id)? {
        let taken = put(file, id, blank, &lines)?;
        return Ok(Some(match inherit {
            Inherit::Copy(_) => completed(file, standings, taken),
            Inherit::Mark | Inherit::None => taken,
        }));
    }
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
    put(file, id, blank, &notation.writer.whole(&summary, &wanted, &style)).map(Some)
}

/// Puts the lines of a comment to its declaration, or in place of `blank`.
fn put(
    file: &FileReading<'_>,
    id: DeclId,
    blank: Option<Span>,
    lines: &[String],
) -> Result<Drafted, &'static str> {
    let declaration = file.outline.declaration(id);
    let ending = file.source.line_ending();
    let carrier = file.language.carrier;
    if let Some(span) = blank {
        let comment = wrap(carrier, lines, file.source.indent_at(span.start), ending);
        let edit = Edit { span, text: comment.clone() };
        return Ok(Drafted { declaration: id, edits: vec![edit], comment });
    }
    let place = Place { source: &file.source, outline: &file.outline, carrier };
    let (edit, comment) = match file.language.place {
        CommentPlace::Above | CommentPlace::DirectlyAbove => place.above(declaration.span.start, lines)?,
        CommentPlace::Below => place.below(declaration.header_end, lines),
        CommentPlace::FileTop if file.outline.of_file(file.source.file_name()) == Some(id.0 as usize) => {
            place.at_top(lines)
        }
        CommentPlace::FileTop => {
            return Err("only one comment at the top of a file is read in this language");
        }
        CommentPlace::FirstInBody => place.first_in_body(declaration.header_end, declaration.span, lines)?,
    };
    Ok(Drafted { declaration: id, edits: vec![edit], comment })
}

/// Adds what a comment that was taken over lacks here: the supertype may throw less, or say less.
fn completed(file: &FileReading<'_>, standings: &Standings, mut taken: Drafted) -> Drafted {
    let [edit] = &mut taken.edits[..] else { return taken };
    let Ok(text) = Edits::new(vec![edit.clone()]).and_then(|edits| edits.apply(file.source.text())) else {
        return taken;
    };
    let again = file.read_again(&text);
    let Some(doc) = again.doc(taken.declaration).filter(|doc| !doc.blank) else { return taken };
    let more = complete(&again, standings, (taken.declaration, doc), Extent::Everything);
    if let Ok(Some(more)) = more {
        edit.text = edit.text.replacen(&taken.comment, &more.comment, 1);
        taken.comment = more.comment;
    }
    taken
}
