//! What an entry of a docstring may name besides a parameter.

use crate::model::{Carrier, Construction, Declaration, Entry, Kind, Name, Parameter};
use crate::pairing::{Match, PairedName, Side};
use crate::rules::Context;
use crate::text::{Span, is_filled_by_code};

/// Tells whether a docstring of a class tells of a field that its constructor does not take, or one of a property of what
/// its setter takes.
pub(super) fn is_field_or_of_setter(context: &Context<'_>, name: &Name) -> bool {
    let declaration = context.declaration();
    let mut others = context.file.outline.declarations.iter();
    let takes = |parameter: &Parameter| parameter.named() == Some(name);
    context.file.language.carrier == Carrier::Docstring
        && match declaration.kind {
            Kind::Property => others.any(|other| {
                other.owner == declaration.owner
                    && other.name == declaration.name
                    && other.signature.parameters.iter().any(takes)
            }),
            kind if kind.is_type() => is_annotated_field(context, name),
            _ => false,
        }
}

/// Tells whether the body of a class has a field with a type: `load: float = field(init=False)`.
fn is_annotated_field(context: &Context<'_>, name: &Name) -> bool {
    let end = context.declaration().span.end.max(context.doc.span.end);
    let behind = context.slice(Span::new(context.doc.span.end, end));
    let mut lines = behind.lines().skip(1).filter(|line| !line.trim().is_empty()).peekable();
    let indent = |line: &str| line.len() - line.trim_start().len();
    let own = lines.peek().map_or(0, |line| indent(line));
    lines.filter(|line| indent(line) == own).any(|line| {
        let rest = line.trim_start().strip_prefix(name.as_str()).map(str::trim_start);
        rest.is_some_and(|rest| rest.starts_with(": "))
    })
}

/// Tells whether an entry in a section of keywords may be a key of a parameter whose own entry ends with a colon ("the
/// crates, by:"), or one in a section of other parameters what a function is given that another section tells of by its
/// name: "called with *(load, total)*".
pub(super) fn is_key_of_another(context: &Context<'_>, entry: &Entry) -> bool {
    let section = (entry.section as usize).checked_sub(1).and_then(|at| context.doc.sections.get(at));
    let title = section.map_or("", |section| section.title);
    let texts = || {
        let elsewhere = context.doc.entries_of(entry.kind).filter(|other| other.section != entry.section);
        elsewhere.filter_map(|other| other.text).map(|text| context.slice(text))
    };
    if title.starts_with("Keyword") {
        return texts().any(|text| text.trim_end().ends_with(':'));
    }
    let is_word = |c: char| c.is_alphanumeric() || c == '_';
    let beside = || context.doc.entries_of(entry.kind).filter(|other| other.section == entry.section);
    let told = |text: &str| {
        text.split(|c| !is_word(c))
            .any(|word| beside().any(|one| one.names.iter().any(|name| name.name == word)))
    };
    // "load: as for the press, and optionally:", and what that may be.
    let mut before = beside().take_while(|one| one.lines.0 < entry.lines.0);
    let leads = |one: &Entry| one.text.is_some_and(|text| context.slice(text).trim_end().ends_with(':'));
    let in_docstring = context.file.language.carrier == Carrier::Docstring;
    (title.starts_with("Other") && texts().any(told)) || (in_docstring && before.any(leads))
}

/// Tells whether the entries of a docstring are for keys of the only parameter, which the text names: "Accepted in the
/// `arguments` dictionary:".
pub(super) fn are_keys_of_the_only(context: &Context<'_>, side: &Side) -> bool {
    let Some((signature, _)) = context.paired else { return false };
    let [only] = &signature.parameters[..] else { return false };
    let unknown = |paired: &&PairedName| !matches!(paired.is, Match::Is(_));
    let name = only.named().map_or("", |name| name.as_str());
    context.file.language.carrier == Carrier::Docstring && side.names.iter().filter(unknown).count() > 1 && {
        let first = context.doc.entries.first().map_or(context.doc.span.end, |entry| entry.tag.start);
        let above = context.slice(Span::new(context.doc.span.start, first.max(context.doc.span.start)));
        let is_word = |c: char| c.is_alphanumeric() || c == '_';
        let mut words = above.split(|c| !is_word(c));
        let holds_keys = |word: &str| matches!(word, "dict" | "dictionary" | "mapping" | "keys");
        words.clone().any(holds_keys) && words.any(|word| word == name)
    }
}

/// Tells whether an entry stands below a paragraph that tells of another form of the call: "Alternatively, you may give
/// …". A decorator may take those in the declaration's place.
pub(super) fn is_of_another_form(context: &Context<'_>, entry: &Entry) -> bool {
    let decorated = context.slice(context.declaration().span).starts_with('@');
    let before = entry.lines.0 as usize;
    decorated
        && context.doc.lines.iter().take(before).any(|&line| {
            let line = context.slice(line).trim_start();
            line.starts_with("Alternatively,") || line.starts_with("Alternatively you")
        })
}

/// Tells whether an entry stands below a line that code fills in: that may have opened another list (attributes).
pub(super) fn is_below_filled(context: &Context<'_>, at: Span) -> bool {
    let mut above = context.doc.lines.iter().take_while(|line| line.end <= at.start);
    context.declaration().computed_comment && above.any(|&line| is_filled_by_code(context.slice(line)))
}

/// Tells whether a name stands as a string in a decorator, or is that of one, which may take it in the declaration's place.
pub(super) fn is_taken_by_decorator(context: &Context<'_>, name: &str) -> bool {
    let declaration = context.declaration();
    let in_string = |declaration: &Declaration| {
        let start = declaration.span.start;
        let above = context.slice(Span::new(start, declaration.name_span.start.max(start)));
        let mut strings = above.split(['"', '\'']).skip(1).step_by(2);
        // `@Press.timeout` adds what it is called by.
        let called = |line: &str| {
            let decorator = line.trim_start().strip_prefix('@').unwrap_or_default();
            let path = decorator.split('(').next().unwrap_or_default();
            path.trim_end().rsplit('.').next() == Some(name)
        };
        strings.any(|string| string == name) || above.lines().any(called)
    };
    let taken_by = match declaration.construction {
        Construction::Member(id) => Some(context.file.outline.declaration(id)),
        Construction::Unknown | Construction::Header | Construction::Fields => None,
    };
    std::iter::once(declaration).chain(taken_by).any(in_string)
}
