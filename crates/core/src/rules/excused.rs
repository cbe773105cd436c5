//! What the name of an entry may be besides a parameter of the signature: names for which the comment answers to
//! something else, or which it declares itself. Of these nothing is reported.

use super::Context;
use super::named::{Sort, named};
use crate::model::{
    Carrier, Construction, Declaration, Dialect, Entry, EntryKind, EntryName, Kind, Name, Parameter,
};
use crate::notations::is_title_of_text;
use crate::pairing::{Match, PairedName, Side};
use crate::text::{Span, is_filled_by_code};

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
        || is_renamed_by_compiler(context, text)
        || is_behind_comma(context, side, paired)
        || is_hash_of_keys(context, text)
        || is_below_filled(context, name.span)
        || is_handed_on(context, &name.name)
        || (sort.kind == EntryKind::TypeParam
            && (is_of_a_member(context, &name.name) || is_template_by_macro(context)))
        || (paired.is == Match::Unknown
            && (is_of_another_form(context, entry)
                || is_constant_told(context, name)
                || is_taken_inside(context, &name.name)
                || is_taken_by_decorator(context, text)
                // A section that its author did not set apart: `example: weigh(1)`.
                || (entry.section > 0 && is_title_of_text(text))
                || is_word_of_macro(context, text)
                || is_key_of_another(context, entry)
                || is_of_an_element(context)
                || is_field_or_of_setter(context, &name.name)
                || is_of_callback(context, entry)
                || is_callback_beside_promise(context, text)
                || is_read_off(context, side, text)))
}

/// Tells whether a parameter has the name with an underscore in front, because its function has that name as well: compilers
/// part the two (`weigh: function weigh(_weigh)`).
fn is_renamed_by_compiler(context: &Context<'_>, name: &str) -> bool {
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
    context.file.language.dialect.is_script()
        && first.is_some_and(|first| indent(entry.lines.0) >= indent(first) + FURTHER)
}

/// Tells whether a name is the first word of a text behind a comma, `@param crate, the tag`, and not another of several.
fn is_behind_comma(context: &Context<'_>, side: &Side, paired: &PairedName) -> bool {
    let (_, name) = named(context, paired.entry, paired.name);
    let before = &context.file.source.text()[..name.span.start as usize];
    let first = side.names.iter().find(|first| first.entry == paired.entry);
    paired.name > 0 && before.ends_with(", ") && first.is_some_and(|first| matches!(first.is, Match::Is(_)))
}

/// Tells whether an entry in a section of keywords may be a key of a parameter whose own entry ends with a colon ("the
/// crates, by:"), or one in a section of other parameters what a function is given that another section tells of by its
/// name: "called with *(load, total)*".
fn is_key_of_another(context: &Context<'_>, entry: &Entry) -> bool {
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

/// Tells whether a docstring of a class tells of a field that its constructor does not take, or one of a property of what
/// its setter takes.
fn is_field_or_of_setter(context: &Context<'_>, name: &Name) -> bool {
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

/// Tells whether a comment tells of the attributes of an element: in a script no parameter has a hyphen in its name.
fn is_of_an_element(context: &Context<'_>) -> bool {
    let has_hyphen =
        |entry: &Entry| entry.name().is_some_and(|name| name.name.as_str().trim_matches('-').contains('-'));
    context.file.language.dialect.is_script()
        && context.doc.entries_of(EntryKind::Param).filter(|entry| has_hyphen(entry)).nth(1).is_some()
}

/// Tells whether a name is that of the callback which others add to what gives a promise: "a promise if no callback is
/// provided".
fn is_callback_beside_promise(context: &Context<'_>, name: &str) -> bool {
    let says = |text: &str| {
        let lower = text.to_ascii_lowercase();
        lower.contains("promise") && (lower.contains("callback") || lower.contains("void"))
    };
    context.file.language.dialect.is_script()
        && matches!(name, "callback" | "cb" | "done")
        && context
            .doc
            .entries_of(EntryKind::Returns)
            .any(|entry| entry.ty.is_some_and(|ty| says(context.slice(ty))) || says(&context.text_of(entry)))
}

/// Tells whether what an entry names is read off a parameter that has an entry, `crate.load`, or taken out of any:
/// `let { load = 0 } = crate` (JavaScript).
fn is_read_off(context: &Context<'_>, side: &Side, name: &str) -> bool {
    if !context.file.language.dialect.is_script() {
        return false;
    }
    let declaration = context.declaration();
    let text = context.slice(declaration.span);
    let is_word = |c: char| c.is_alphanumeric() || matches!(c, '_' | '$');
    let ends = |rest: &str| !rest.starts_with(is_word);
    let is_taken =
        |inner: &str| inner.split(',').any(|part| part.trim_start().strip_prefix(name).is_some_and(&ends));
    let mut parameters = declaration.signature.parameters.iter().zip(&side.entry_of);
    parameters.any(|(parameter, entry)| {
        let Some(parameter) = parameter.named() else { return false };
        let member = format!("{parameter}.{name}");
        let read = |(at, member): (usize, &str)| ends(&text[at + member.len()..]);
        let out_of = format!("}} = {parameter}");
        let taken = |(at, out_of): (usize, &str)| {
            let inner = text[..at].rsplit_once('{').map_or("", |(_, inner)| inner);
            ends(&text[at + out_of.len()..]) && is_taken(inner)
        };
        (entry.is_some() && text.match_indices(&member).any(read)) || text.match_indices(&out_of).any(taken)
    })
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

/// Tells whether an entry stands below a paragraph that tells of another form of the call: "Alternatively, you may give
/// …". A decorator may take those in the declaration's place.
fn is_of_another_form(context: &Context<'_>, entry: &Entry) -> bool {
    let decorated = context.slice(context.declaration().span).starts_with('@');
    let before = entry.lines.0 as usize;
    decorated
        && context.doc.lines.iter().take(before).any(|&line| {
            let line = context.slice(line).trim_start();
            line.starts_with("Alternatively,") || line.starts_with("Alternatively you")
        })
}

/// Tells whether an entry stands below a line that code fills in: that may have opened another list (attributes).
fn is_below_filled(context: &Context<'_>, at: Span) -> bool {
    let mut above = context.doc.lines.iter().take_while(|line| line.end <= at.start);
    context.declaration().computed_comment && above.any(|&line| is_filled_by_code(context.slice(line)))
}

/// Tells whether an entry is for the hash that a method of Ruby once took, where callers pass each of its keys by name now.
fn is_hash_of_keys(context: &Context<'_>, name: &str) -> bool {
    let by_key =
        |parameter: &Parameter| context.file.source.text()[parameter.span.end as usize..].starts_with(':');
    context.file.language.dialect == Dialect::Ruby
        && matches!(name, "options" | "opts" | "args" | "params")
        && context.declaration().signature.parameters.iter().any(by_key)
}

/// Tells whether a name stands as a string in a decorator, or is that of one, which may take it in the declaration's place.
fn is_taken_by_decorator(context: &Context<'_>, name: &str) -> bool {
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
