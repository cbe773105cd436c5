//! What an entry of a script (JavaScript, TypeScript) may name besides a parameter.

use crate::model::{Entry, EntryKind, Parameter};
use crate::pairing::Side;
use crate::rules::Context;
use crate::text::has_word;

/// Tells whether a name that no parameter has may be right all the same in a script.
pub(super) fn is_excused(context: &Context<'_>, side: &Side, entry: &Entry, name: &str) -> bool {
    context.file.language.dialect.is_script()
        && (is_of_an_element(context)
            || is_of_callback(context, entry)
            || is_taken_by_callback(context, name)
            || is_callback_beside_promise(context, name)
            || is_read_off(context, side, name))
}

/// Tells whether a parameter has the name with an underscore in front, because its function has that name as well: compilers
/// part the two (`weigh: function weigh(_weigh)`).
pub(super) fn is_renamed_by_compiler(context: &Context<'_>, name: &str) -> bool {
    let declaration = context.declaration();
    let takes = |parameter: &Parameter| {
        parameter.named().is_some_and(|taken| taken.as_str().strip_prefix('_') == Some(name))
    };
    context.file.language.dialect.is_script()
        && declaration.name == name
        && declaration.signature.parameters.iter().any(takes)
}

/// Tells whether an entry stands so much further in than the first tag that it tells what a callback is given.
fn is_of_callback(context: &Context<'_>, entry: &Entry) -> bool {
    const FURTHER: usize = 6;
    let indent = |row: u32| {
        let line = context.line(row);
        line.len() - line.trim_start().len()
    };
    let first = (0..entry.lines.0).find(|&row| context.line(row).trim_start().starts_with('@'));
    first.is_some_and(|first| indent(entry.lines.0) >= indent(first) + FURTHER)
}

/// Tells whether a name is one that the type of a parameter gives to what it is called with: `each: (load: number) => void`.
fn is_taken_by_callback(context: &Context<'_>, name: &str) -> bool {
    context.declaration().signature.parameters.iter().any(|parameter| {
        let ty = parameter.ty.map_or("", |ty| context.slice(ty));
        ty.rsplit_once("=>").is_some_and(|(takes, _)| has_word(takes, name))
    })
}

/// Tells whether a comment tells of the attributes of an element: in a script no parameter has a hyphen in its name.
fn is_of_an_element(context: &Context<'_>) -> bool {
    let has_hyphen =
        |entry: &Entry| entry.name().is_some_and(|name| name.name.as_str().trim_matches('-').contains('-'));
    context.doc.entries_of(EntryKind::Param).filter(|entry| has_hyphen(entry)).nth(1).is_some()
}

/// Tells whether a name is that of the callback which others add to what gives a promise: "a promise if no callback is
/// provided".
fn is_callback_beside_promise(context: &Context<'_>, name: &str) -> bool {
    let says = |text: &str| {
        let lower = text.to_ascii_lowercase();
        lower.contains("promise") && (lower.contains("callback") || lower.contains("void"))
    };
    matches!(name, "callback" | "cb" | "done")
        && context
            .doc
            .entries_of(EntryKind::Returns)
            .any(|entry| entry.ty.is_some_and(|ty| says(context.slice(ty))) || says(&context.text_of(entry)))
}

/// Tells whether what an entry names is read off a parameter that has an entry, or off the only one, `crate.load`, or taken
/// out of any: `let { load = 0 } = crate` (JavaScript).
fn is_read_off(context: &Context<'_>, side: &Side, name: &str) -> bool {
    let declaration = context.declaration();
    let text = context.slice(declaration.span);
    let is_word = |c: char| c.is_alphanumeric() || matches!(c, '_' | '$');
    let ends = |rest: &str| !rest.starts_with(is_word);
    let is_taken =
        |inner: &str| inner.split(',').any(|part| part.trim_start().strip_prefix(name).is_some_and(&ends));
    let is_only = declaration.signature.parameters.len() == 1;
    let mut parameters = declaration.signature.parameters.iter().zip(&side.entry_of);
    parameters.any(|(parameter, entry)| {
        let Some(parameter) = parameter.named() else { return false };
        let member = format!("{parameter}.{name}");
        let read = |(at, member): (usize, &str)| ends(&text[at + member.len()..]);
        let out_of = format!("}} = {parameter}");
        let taken = |(at, out_of): (usize, &str)| {
            ends(&text[at + out_of.len()..]) && is_taken(inside_brace(&text[..at]))
        };
        ((entry.is_some() || is_only) && text.match_indices(&member).any(read))
            || text.match_indices(&out_of).any(taken)
    })
}

/// Returns what stands behind the brace that is open at the end of a text: defaults may have braces of their own.
fn inside_brace(text: &str) -> &str {
    let mut open = 0_usize;
    let brace = text.rmatch_indices(['{', '}']).find(|&(_, brace)| {
        let found = brace == "{" && open == 0;
        open = if brace == "}" { open + 1 } else { open.saturating_sub(1) };
        found
    });
    brace.map_or("", |(at, _)| &text[at + 1..])
}

#[cfg(test)]
mod tests {
    use super::inside_brace;

    #[test]
    fn braces_of_defaults_are_passed_over() {
        assert_eq!(inside_brace("let { load = {}, crate "), " load = {}, crate ");
        assert_eq!(inside_brace("if (crate) { let { load "), " load ");
        assert_eq!(inside_brace("{} "), "");
    }
}
