//! Which exceptions a comment speaks of.

use super::told;
use crate::index::Family;
use crate::model::{Answer, DocComment, EntryKind, Origin, Signature, Thrown};
use crate::reading::Hierarchy;
use crate::text::{Source, Span, has_word, is_spelt_out, spoken_words};

/// Returns the last part of a type's name, however it is qualified.
fn last_part(name: &str) -> &str {
    name.rsplit(['.', ':', '\\']).next().unwrap_or_default()
}

/// Tells whether an exception has an entry under its own name, however qualified.
pub(super) fn has_entry(doc: &DocComment, thrown: &Thrown) -> bool {
    let wanted = last_part(thrown.ty.as_str());
    doc.entries_of(EntryKind::Throws).any(|entry| {
        entry.names.is_empty() || entry.names.iter().any(|name| last_part(name.name.as_str()) == wanted)
    })
}

/// Tells whether a text says that an error, of whatever type, comes.
fn speaks_of_errors(text: &str) -> bool {
    const WHEN: &[&str] = &["hrows if ", "hrows when ", "ill throw if ", "ill throw when ", "aises if "];
    if WHEN.iter().any(|words| memchr::memmem::find(text.as_bytes(), words.as_bytes()).is_some()) {
        return true;
    }
    const PASSIVE: &[&str] =
        &["is raised", "is thrown", "will be raised", "will be thrown", "gets raised", "gets thrown"];
    const ACTIVE: &[&str] = &["aises an ", "aise an ", "hrows an ", "hrow an "];
    ["error", "Error", "exception", "Exception"].iter().any(|what| {
        text.match_indices(what).any(|(at, what)| {
            let behind = text[at + what.len()..].trim_start_matches(' ');
            PASSIVE.iter().any(|done| behind.starts_with(done))
                || ACTIVE.iter().any(|done| text[..at].ends_with(done))
        })
    })
}

/// Tells whether a comment says by name what is thrown, wherever, or in its words, "an illegal state exception"; or outside of
/// its entries, where no type is named, that something is.
pub(super) fn names_exception((told, whole): (&str, &str), thrown: &Thrown) -> bool {
    // Whoever says that some error comes has said that one does.
    if speaks_of_errors(told) {
        return true;
    }
    match thrown.ty.as_str() {
        "throws" => {
            let words = ["throws", "Throws", "thrown", "throw", "rethrows", "Rethrows"];
            words.iter().any(|word| has_word(told, word))
        }
        ty => {
            let name = last_part(ty);
            !name.is_empty() && (has_word(whole, name) || is_spelt_out(name, &spoken_words(told)))
        }
    }
}

/// Tells whether the text of a comment, outside of its entries, names an exception.
pub(crate) fn text_names(source: &Source, doc: &DocComment, exception: &str) -> bool {
    let name = last_part(exception);
    !name.is_empty() && has_word(&told(source, doc), name)
}

/// Tells whether the entry for a promise says when it is rejected, which is how what gives it back throws.
pub(super) fn tells_of_rejection(source: &Source, doc: &DocComment) -> bool {
    doc.entries_of(EntryKind::Returns).any(|entry| {
        let part = |span: Option<Span>| span.map_or("", |span| source.slice(span));
        let (ty, text) = (part(entry.ty), part(entry.text));
        text.contains("reject") && (ty.contains("romise") || text.contains("romise"))
    })
}

/// Tells whether a thrown type is documented: itself, or a supertype of it.
///
/// An entry for a type whose kinship is not known answers when it is a standard one, from which the thrown
/// type may well descend, or when it is no other thrown type's.
#[must_use]
pub(crate) fn is_documented(
    thrown: &Thrown,
    doc: &DocComment,
    signature: &Signature,
    (hierarchy, types): (&Hierarchy, &Family),
) -> bool {
    // A signature that lets anything pass is told of by what passes.
    let anything = matches!(thrown.ty.as_str(), "Exception" | "Throwable" | "java.lang.Exception");
    if anything && thrown.origin == Origin::Declared && doc.has(EntryKind::Throws) {
        return true;
    }
    doc.entries_of(EntryKind::Throws).any(|entry| {
        // A section that only tells in prose may speak of anything.
        entry.names.is_empty()
            || entry.names.iter().any(|name| {
                match hierarchy.is_subtype(thrown.ty.as_str(), name.name.as_str(), types) {
                    Answer::Yes => true,
                    Answer::No => false,
                    Answer::Unknown => {
                        hierarchy.knows(name.name.as_str())
                            || !signature.throws.iter().any(|other| other.ty == name.name)
                    }
                }
            })
    })
}
