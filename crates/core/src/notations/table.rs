//! Tables of tags: what each means.

use crate::model::{DocComment, EntryKind, MarkStanding, Surface};
use crate::text::{nearest, split_words};

/// What a tag means.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) enum Meaning {
    /// An entry.
    Entry(EntryKind),
    /// The type of a parameter.
    ParamType,
    /// The type of what comes back.
    ReturnType,
    /// Takes over another comment.
    Inherits,
    /// Leaves the declaration out.
    Hidden,
    /// Marks the declaration as deprecated.
    Deprecated,
    /// Replaces the surface.
    Surface(Surface),
    /// Something else, known.
    Mark,
}

/// Takes what a tag means for the whole comment. Returns the kind of entry that the tag opens, where it opens
/// one.
pub(super) fn apply(doc: &mut DocComment, meaning: Option<Meaning>) -> Option<EntryKind> {
    match meaning {
        Some(Meaning::Entry(kind)) => return Some(kind),
        Some(Meaning::Inherits) => doc.inherits = true,
        Some(Meaning::Hidden) => doc.hidden = true,
        Some(Meaning::Deprecated) => doc.deprecated = true,
        Some(Meaning::Surface(surface)) => doc.surface = Some(surface),
        Some(Meaning::ParamType | Meaning::ReturnType | Meaning::Mark) | None => {}
    }
    None
}

/// A tag by name.
pub(super) type Tag = (&'static str, Meaning);

/// Returns the kind of entry that a tag of a table opens, spelt rightly.
pub(super) fn entry_kind(table: &[Tag], name: &str) -> Option<EntryKind> {
    table.iter().find(|(known, _)| *known == name).and_then(|&(_, meaning)| match meaning {
        Meaning::Entry(kind) => Some(kind),
        _ => None,
    })
}

/// Finds what a tag means; a misspelt one means what the one it is near to means.
pub(super) fn look_up(table: &[Tag], name: &str) -> (Option<Meaning>, MarkStanding) {
    // Most tags of a table differ in length or in their first letter: both are looked at before the whole.
    let alike =
        |known: &str| known.len() == name.len() && known.as_bytes().first() == name.as_bytes().first();
    if let Some(&(_, meaning)) = table.iter().find(|(known, _)| alike(known) && *known == name) {
        return (Some(meaning), MarkStanding::Known);
    }
    let candidate = name.starts_with(char::is_lowercase) && name.len() > 2;
    let near = if candidate { nearest(name, table.iter().map(|(known, _)| *known)) } else { None };
    // `publicApi` adds a word of its own: nobody mistypes that.
    let adds = |near: &&str| {
        let (own, known) = (split_words(name), split_words(near));
        let longer = own.len() > known.len() && (own.starts_with(&known) || own.ends_with(&known));
        // `apioption` runs two words together, and `resource` is one of its own.
        let joined = (name.len() > near.len() + 2 && name.starts_with(near))
            || (name.len() > near.len() + 1 && name.ends_with(near));
        longer || joined
    };
    // Of a short word, two letters are another word's.
    let misses = |near: &str| strsim::osa_distance(&name.to_lowercase(), &near.to_lowercase());
    // Words that are run together are nobody's misspelling of one word: `colDef` is not `code`.
    let joined = name.contains(char::is_uppercase);
    let close = |near: &&str| (name.len() > 5 && near.len() > 4 && !joined) || misses(near) <= 1;
    // Who mistypes three letters of a word begins it rightly: `@navigation` is not `@variation`. And `@noimport` says
    // the contrary.
    let begins_alike = |near: &&str| name.as_bytes().first() == near.as_bytes().first();
    // A short word that begins otherwise is another: `@mode` is not `@code`. Letters may have changed places.
    let swapped = |near: &str| {
        let (own, known) = (name.as_bytes(), near.as_bytes());
        own.len() == known.len() && own.len() > 1 && own[0] == known[1] && own[1] == known[0]
    };
    let another = |near: &&str| {
        let short = name.len() <= 5 && !swapped(near);
        !begins_alike(near)
            && (short || misses(near) > 2 || name.strip_prefix("no").is_some_and(|rest| rest == *near))
    };
    // Who mistypes a word leaves letters out, doubles or swaps them: two that are others make another word
    // (`@status` is not `@static`), and so do many.
    let replaced = |near: &str| {
        let differ = || name.bytes().zip(near.bytes()).filter(|(own, known)| own != known);
        name.len() == near.len() && misses(near) == 2 && differ().count() == 2
    };
    let far = |near: &&str| replaced(near) || misses(near) > 2 + usize::from(name.len() > 9);
    let near = near.filter(|near| !adds(near) && close(near) && !another(near) && !far(near));
    let found = near.and_then(|near| table.iter().find(|(known, _)| *known == near));
    // `@aliases` is a project's own word, where `@alias` is no entry.
    let plural = |known: &str| ["s", "es"].iter().any(|end| name.strip_suffix(end) == Some(known));
    // What another notation knows is written from habit: `@ingroup` in PHP is not `@group`.
    let of_another = || {
        let mut tables = [super::commands::TABLE, super::rest::TABLE].into_iter().flatten();
        tables.any(|&(known, meaning)| known == name && meaning == Meaning::Mark)
            || super::commands::STRUCTURE.contains(&name)
    };
    let own = |known: &str, meaning: Meaning| match meaning {
        Meaning::Entry(_) | Meaning::ParamType | Meaning::ReturnType => false,
        Meaning::Mark => plural(known) || of_another(),
        Meaning::Inherits | Meaning::Hidden | Meaning::Deprecated | Meaning::Surface(_) => plural(known),
    };
    let found = found.filter(|&&(known, meaning)| !own(known, meaning));
    match found {
        Some(&(known, meaning)) => (Some(meaning), MarkStanding::Near(known)),
        None => (None, MarkStanding::Unknown),
    }
}
