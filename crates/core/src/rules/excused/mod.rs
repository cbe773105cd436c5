//! What the name of an entry may be besides a parameter of the signature: names for which the comment answers to
//! something else, or which it declares itself. Of these nothing is reported.

mod docstring;
mod script;

use super::Context;
use super::named::{Sort, named};
use crate::model::{Carrier, Dialect, EntryKind, EntryName, Kind, Name, Parameter};
use crate::notations::is_title_of_text;
use crate::pairing::{Match, PairedName, Side};
use crate::text::Span;

/// Tells whether what the entries of a comment name is declared by the comment itself, or means another thing.
pub(super) fn is_declared_by_comment(sort: &Sort, context: &Context<'_>) -> bool {
    let (language, declaration) = (context.file.language, context.declaration());
    if sort.kind == EntryKind::TypeParam {
        // The comment is where they are declared; or there are none in the language, and the tag means another thing.
        let declares_none = matches!(language.dialect, Dialect::JavaScript | Dialect::Php);
        if declares_none || language.untyped || !language.generic {
            return true;
        }
    }
    match language.dialect {
        // One method stands for all that are not there, and its comment tells what those take.
        Dialect::Php => matches!(declaration.name.as_str(), "__call" | "__callStatic"),
        // What an accessor takes when it is assigned has a name in its comment alone.
        Dialect::Ruby => declaration.kind == Kind::Property,
        _ => false,
    }
}

/// Tells whether a name that no parameter has may be right all the same. Of what looks like a slip of a parameter's name
/// less is believed.
pub(super) fn is_excused(sort: &Sort, context: &Context<'_>, side: &Side, paired: &PairedName) -> bool {
    let (entry, name) = named(context, paired.entry, paired.name);
    let text = name.name.as_str();
    is_set_aside(context, text)
        || script::is_renamed_by_compiler(context, text)
        || is_behind_comma(context, side, paired)
        || is_hash_of_keys(context, text)
        || docstring::is_below_filled(context, name.span)
        || docstring::are_keys_of_the_only(context, side)
        || is_handed_on(context, &name.name)
        || (sort.kind == EntryKind::TypeParam
            && (is_of_a_member(context, &name.name) || is_template_by_macro(context)))
        || (paired.is == Match::Unknown
            && (docstring::is_of_another_form(context, entry)
                || is_constant_told(context, name)
                || is_taken_inside(context, &name.name)
                || docstring::is_taken_by_decorator(context, text)
                // A section that its author did not set apart: `example: weigh(1)`.
                || (entry.section > 0 && is_title_of_text(text))
                || is_word_of_macro(context, text)
                || docstring::is_key_of_another(context, entry)
                || docstring::is_field_or_of_setter(context, &name.name)
                || script::is_excused(context, side, entry, text)))
}

/// Tells whether a name is the first word of a text behind a comma, `@param crate, the tag`, and not another of several. In
/// docstrings a colon or the end of the line parts names from text.
fn is_behind_comma(context: &Context<'_>, side: &Side, paired: &PairedName) -> bool {
    if context.file.language.carrier == Carrier::Docstring {
        return false;
    }
    let (_, name) = named(context, paired.entry, paired.name);
    let before = &context.file.source.text()[..name.span.start as usize];
    let first = side.names.iter().find(|first| first.entry == paired.entry);
    paired.name > 0 && before.ends_with(", ") && first.is_some_and(|first| matches!(first.is, Match::Is(_)))
}

/// Tells whether the name of an entry for a type parameter is that of a member's, of which the comment of a type may speak
/// where the member is what the type is for.
fn is_of_a_member(context: &Context<'_>, name: &Name) -> bool {
    context.declaration().kind.is_type()
        && context.file.outline.declarations.iter().any(|member| {
            member.owner == Some(context.id)
                && member.signature.type_parameters.iter().any(|taken| taken.name == *name)
        })
}

/// Tells whether an entry is for the hash that a method of Ruby once took, where callers pass each of its keys by name now.
fn is_hash_of_keys(context: &Context<'_>, name: &str) -> bool {
    let by_key =
        |parameter: &Parameter| context.file.source.text()[parameter.span.end as usize..].starts_with(':');
    context.file.language.dialect == Dialect::Ruby
        && matches!(name, "options" | "opts" | "args" | "params")
        && context.declaration().signature.parameters.iter().any(by_key)
}

/// Tells whether a parameter stands in a comment inside the header: not taken here, but by those that fill it in.
fn is_set_aside(context: &Context<'_>, name: &str) -> bool {
    let declaration = context.declaration();
    let header = context.slice(declaration.header());
    if context.file.language.dialect == Dialect::Ruby && matches!(name, "block" | "blk") {
        // A block is taken without being named.
        return memchr::memmem::find(context.slice(declaration.span).as_bytes(), b"yield").is_some();
    }
    let comments = header.match_indices("/*").filter_map(|(at, _)| {
        let inner = &header[at + 2..];
        inner.find("*/").map(|end| &inner[..end])
    });
    let word = |c: char| c.is_alphanumeric() || c == '_';
    comments.flat_map(|comment| comment.split(|c: char| !word(c))).any(|found| found == name)
}

/// Tells whether a name is that of a parameter which a function takes that this one gives back: a maker's comment may tell
/// of what it makes.
fn is_handed_on(context: &Context<'_>, name: &Name) -> bool {
    context.paired.is_some_and(|(signature, _)| signature.handed_on.contains(name))
}

/// Tells whether a name is that of a parameter which a function inside takes: one that is handed out may be told of in its
/// maker's comment. Of a class it is what `__new__` takes besides `__init__`.
fn is_taken_inside(context: &Context<'_>, name: &Name) -> bool {
    let is_type = context.declaration().kind.is_type();
    let takes = |parameter: &Parameter| parameter.named() == Some(name);
    context.file.outline.declarations.iter().any(|inner| {
        inner.owner == Some(context.id)
            && inner.kind.is_callable()
            && (!is_type || inner.name == "__new__")
            && inner.signature.parameters.iter().any(takes)
    })
}

/// Tells whether an entry in the colon form tells of one of the constants that are passed: `@PRESS_SLOW: take time`.
fn is_constant_told(context: &Context<'_>, name: &EntryName) -> bool {
    let (text, behind) = (name.name.as_str(), context.file.source.text().get(name.span.end as usize..));
    context.doc.notation.as_str() == "commands"
        && text.contains('_')
        && !text.contains(char::is_lowercase)
        && behind.is_some_and(|behind| behind.starts_with(':'))
}

/// Tells whether a name is a word of what a macro stands for: its comment may be about what that declares.
fn is_word_of_macro(context: &Context<'_>, name: &str) -> bool {
    let declaration = context.declaration();
    if declaration.kind != Kind::Macro {
        return false;
    }
    let rest = context.file.source.text().get(declaration.name_span.end as usize..).unwrap_or_default();
    let mut goes_on = true;
    let mut body =
        rest.lines().take_while(|line| std::mem::replace(&mut goes_on, line.trim_end().ends_with('\\')));
    body.any(|line| line.split(|c: char| !(c.is_alphanumeric() || c == '_')).any(|word| word == name))
}

/// Tells whether a macro in front of a type may make a template of it: `PRESS_TEMPLATE class Vat`.
fn is_template_by_macro(context: &Context<'_>) -> bool {
    let declaration = context.declaration();
    let between = Span::new(context.doc.span.end, declaration.name_span.start.max(context.doc.span.end));
    let is_macro = |word: &str| {
        word.len() > 3 && word.bytes().all(|b| b.is_ascii_uppercase() || b == b'_' || b.is_ascii_digit())
    };
    context.doc.notation.as_str() == "commands"
        && declaration.kind.is_type()
        && declaration.signature.type_parameters.is_empty()
        && context.slice(between).split_whitespace().next().is_some_and(is_macro)
}
