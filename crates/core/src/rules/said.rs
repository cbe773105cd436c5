//! Whether an entry describes what it names, or only names it.

use super::Context;
use crate::model::Entry;
use crate::text::is_wordless;

/// Tells whether an entry says something: behind its name, or where its type should stand.
pub(super) fn is_said(context: &Context<'_>, entry: &Entry) -> bool {
    // Behind the colon of a name stands its type there, and many write what it is.
    let loose = context.doc.notation.as_str() == "numpy";
    let in_type = |ty: &str| is_sentence(ty) || is_described(ty) || loose && is_phrase(ty);
    entry.text.is_some_and(|span| says_something(context.slice(span)))
        || entry.ty.is_some_and(|span| in_type(context.slice(span)))
}

/// Tells whether a type has other names than another (PHP), name spaces and `null` set aside, for which a default may
/// stand.
pub(super) fn has_other_names(ty: &str, native: &str) -> bool {
    names_of(ty) != names_of(native)
}

/// Returns the names of which a type is made up, without name spaces and `null`; sorted.
fn names_of(ty: &str) -> Vec<String> {
    let name = |part: &str| {
        part.trim_matches(['?', ' ', '(', ')']).rsplit('\\').next().unwrap_or_default().to_lowercase()
    };
    let mut names: Vec<String> = ty.split('|').map(name).filter(|name| name != "null").collect();
    names.sort_unstable();
    names
}

/// A description may stand where its type should: `load : float, the mass to lift.`
fn is_sentence(ty: &str) -> bool {
    const SMALL: &[&str] =
        &["a", "an", "the", "to", "with", "for", "from", "that", "which", "is", "in", "if", "when"];
    let words = || ty.split_whitespace();
    let says = |words: &&str| ty.contains(*words);
    [" to ", " that ", " which ", " whose ", " used "].iter().any(says)
        || (ty.ends_with('.') && words().count() > 3)
        || (words().count() > 5
            && words().filter(|word| SMALL.contains(&word.to_lowercase().as_str())).count() > 1)
}

/// Tells whether something stands behind the type, where nothing but marks should: `str, the tag of the crate`.
/// So do words behind a shape: `(m, n) the masses by row`.
fn is_described(ty: &str) -> bool {
    let shaped = ty.strip_prefix('(').and_then(|inner| inner.split_once(')'));
    if shaped.is_some_and(|(_, behind)| is_worded(behind)) {
        return true;
    }
    const MARKS: &[&str] = &[
        "optional", "default", "defaults", "keyword", "positional", "shape", "dtype", "ndim", "length",
        "size", "required", "of", "or", "and", "in", "read", "deprecated",
    ];
    let mut depth = 0_i32;
    let comma = ty.char_indices().find(|&(_, c)| {
        depth += i32::from(matches!(c, '(' | '[' | '{')) - i32::from(matches!(c, ')' | ']' | '}'));
        c == ',' && depth == 0
    });
    let behind = comma.map_or("", |(at, _)| &ty[at + 1..]).trim();
    let first = behind.split(|c: char| !c.is_alphanumeric()).next().unwrap_or_default();
    first.len() > 1
        && first.chars().all(char::is_lowercase)
        && !MARKS.contains(&first)
        && !is_type_word(first)
}

/// Tells whether a text has words of its own, as no type has: `made by the older press`, not `list of str or None`.
fn is_phrase(text: &str) -> bool {
    const TYPING: &[&str] = &[
        "of", "or", "and", "with", "shape", "size", "length", "optional", "default", "like", "instance",
        "any", "boolean", "integer", "ints", "floats", "strings", "lists", "arrays", "tuples", "numpy",
        "pandas", "matrix", "vector", "iterable", "sequence", "elements", "values", "nested", "sparse",
        "between",
    ];
    let words = || text.split(|c: char| !c.is_alphanumeric()).filter(|word| !word.is_empty());
    let own = |word: &&str| {
        word.len() > 2
            && word.chars().all(|c| c.is_ascii_lowercase())
            && !TYPING.contains(word)
            && !is_type_word(word)
    };
    words().count() > 3 && words().filter(own).count() > 1
}

/// Tells whether a text has more words than a type does.
fn is_worded(text: &str) -> bool {
    let is_word = |word: &str| word.chars().all(|c| c.is_ascii_lowercase());
    let words: Vec<&str> = text.split_whitespace().collect();
    words.len() > 2 && words.iter().all(|word| is_word(word) && !matches!(*word, "of" | "or"))
}

/// Tells whether a word in small letters may be a type's.
fn is_type_word(word: &str) -> bool {
    matches!(
        word,
        "int"
            | "float"
            | "str"
            | "bool"
            | "list"
            | "dict"
            | "tuple"
            | "set"
            | "bytes"
            | "callable"
            | "array"
            | "object"
            | "none"
            | "number"
            | "string"
            | "function"
            | "complex"
            | "scalar"
            | "ndarray"
            | "type"
    )
}

/// A description may be a formula or a range; ornament alone is none.
fn says_something(text: &str) -> bool {
    !is_wordless(text)
        || text.chars().any(|c| !c.is_whitespace() && !matches!(c, '-' | '–' | '—' | '*' | '.' | ':'))
}
