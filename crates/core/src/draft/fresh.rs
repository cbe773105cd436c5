//! A whole comment for a declaration that has none.

use super::choose::{Drafted, Extent};
use super::complete::complete;
use super::inherit::Inherit;
use super::skeleton::{TagLines, all_entries, entries, lacking_tags, style, tag_lines};
use super::wording;
use crate::model::{DeclId, Declaration, Dialect, EntryKind, Kind};
use crate::notations::{self, NewEntry, Notation, WriteStyle};
use crate::reading::{CommentPlace, Place, wrap};
use crate::review::{ColonHead, FileReading, Standings, signature_of, undocumented_debt};
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
    let Some(notation) = notations::get(file.draft_notation()) else { return Ok(None) };
    let declaration = file.outline.declaration(id);
    let (signature, _) = signature_of(file, declaration);
    let style = style(file, notation);
    // What a constructor takes that stands by itself is told there.
    let listed = if declaration.has_constructor_apart() { entries } else { all_entries };
    let wanted = listed(file, (signature, declaration.header_end), &undocumented_debt(file, id), notation);
    let opening =
        if file.language.opens_with_name { format!("{} ", declaration.name) } else { String::new() };
    let summary = match wording::summary(file, id) {
        Some(said) => said,
        None => format!("{opening}{}", style.placeholder),
    };
    let colon = file.custom().colon().filter(|_| notation.id.as_str() == "commands");
    let lines = match colon {
        Some(head) => {
            let value = |tag: &str| file.settings.tag_values.get(tag).unwrap_or(&style.placeholder).clone();
            let tags = lacking_tags(file, declaration, None).into_iter();
            let tags: Vec<(&str, String)> = tags.map(|tag| (tag, value(tag))).collect();
            headed_by_name((head, declaration), (&summary, &wanted, &tags), notation, style)
        }
        None => ordered(file, declaration, (&summary, wanted), (notation, &style)),
    };
    put(file, id, blank, &lines).map(Some)
}

/// Writes a whole comment with the tags that are required of its kind, in the sequence that is configured.
fn ordered(
    file: &FileReading<'_>,
    declaration: &Declaration,
    (summary, mut entries): (&str, Vec<NewEntry>),
    (notation, style): (&Notation, &WriteStyle),
) -> Vec<String> {
    let settings = file.settings;
    let last = settings.tag_order.len();
    let rank = |tags: &[&str]| {
        let place = |tag: &String| tags.iter().any(|name| tag.eq_ignore_ascii_case(name));
        settings.tag_order.iter().position(place).unwrap_or(last)
    };
    let of_entry = |entry: &NewEntry| match entry.kind {
        EntryKind::Param => rank(&["param"]),
        EntryKind::TypeParam => rank(&["tparam", "typeparam", "template", "param"]),
        EntryKind::Returns => rank(&["return", "returns"]),
        EntryKind::Yields => rank(&["yields", "yield"]),
        EntryKind::Throws => rank(&["throws", "exception", "raises", "raise"]),
        EntryKind::Property => rank(&["property"]),
    };
    entries.sort_by_key(of_entry);
    let mut tags = lacking_tags(file, declaration, None);
    tags.sort_by_key(|tag| rank(&[tag]));
    let mut lines = notation.writer.whole(summary, &entries, style);
    let head = notation.writer.whole(summary, &[], style).len();
    let first = entries.iter().map(of_entry).min().unwrap_or(last);
    let (mut ahead, mut behind, mut sections) = (Vec::new(), Vec::new(), Vec::new());
    for tag in tags {
        match tag_lines(file, tag, (notation, style)) {
            TagLines::Mark(line) if rank(&[tag]) < first => ahead.push(line),
            TagLines::Mark(line) => behind.push(line),
            TagLines::Section(lines) => sections.extend(lines),
            TagLines::None if tag == "deprecated" => {
                let paragraph = [String::new(), format!("Deprecated: {}", style.placeholder)];
                lines.splice(head..head, paragraph);
            }
            TagLines::None => {}
        }
    }
    let parted = lines.get(head).is_some_and(String::is_empty);
    let has_marks = !ahead.is_empty() || !behind.is_empty();
    if has_marks && !parted && entries.is_empty() {
        lines.push(String::new());
    }
    let at = (head + 1).min(lines.len());
    lines.splice(at..at, ahead);
    lines.extend(behind);
    lines.extend(sections);
    lines
}

/// Writes a whole comment that begins with the name of what it is about, and in which those of entries follow the sign
/// at once.
fn headed_by_name(
    (head, declaration): (ColonHead, &Declaration),
    (summary, entries, tags): (&str, &[NewEntry], &[(&str, String)]),
    notation: &Notation,
    style: WriteStyle,
) -> Vec<String> {
    let style = WriteStyle { dialect: Dialect::Colon, ..style };
    // The writer's own summary is set aside.
    let written = |kinds: fn(&NewEntry) -> bool| -> Vec<String> {
        let entries: Vec<NewEntry> = entries.iter().filter(|entry| kinds(entry)).cloned().collect();
        let lines = notation.writer.whole("", &entries, &style);
        lines.into_iter().skip_while(String::is_empty).collect()
    };
    let (params, returns) =
        (written(|entry| entry.kind == EntryKind::Param), written(|entry| entry.kind == EntryKind::Returns));
    let name = &declaration.name;
    let mut out = match head {
        ColonHead::Named => vec![format!("{name}:")],
        ColonHead::Dashed if declaration.kind.is_callable() => vec![format!("{name}() - {summary}")],
        ColonHead::Dashed => {
            let word = match declaration.kind {
                Kind::Struct => "struct ",
                Kind::Union => "union ",
                Kind::Enum => "enum ",
                _ => "",
            };
            vec![format!("{word}{name} - {summary}")]
        }
    };
    out.extend(params);
    if head == ColonHead::Named {
        out.extend([String::new(), summary.to_owned()]);
    }
    if !returns.is_empty() {
        out.push(String::new());
        out.extend(returns);
    }
    for (tag, value) in tags {
        if let Some(line) = notation.writer.mark(tag, value, &style) {
            out.extend([String::new(), line]);
        }
    }
    out
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
    let dress = file.dress();
    if let Some(span) = blank {
        let comment = wrap(dress, lines, file.source.indent_at(span.start), ending);
        let edit = Edit { span, text: comment.clone() };
        return Ok(Drafted { declaration: id, edits: vec![edit], comment });
    }
    let place = Place { source: &file.source, outline: &file.outline, dress };
    let (edit, comment) = match file.language.place {
        CommentPlace::Above | CommentPlace::DirectlyAbove => place.above(declaration.span.start, lines)?,
        CommentPlace::Below => place.below(declaration.header_end, lines),
        CommentPlace::FileTop if file.outline.of_file(file.source.file_name()) == Some(id.0 as usize) => {
            place.at_top(lines)
        }
        CommentPlace::FileTop => {
            return Err("only one comment at the top of a file is read in this language");
        }
        CommentPlace::FirstInBody => {
            let of_class = declaration.kind.is_type();
            place.first_in_body(declaration.header_end, (declaration.span, of_class), lines)?
        }
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
