//! What the rules of parameters and of type parameters have in common: finding entries that are missing,
//! unknown, repeated, out of order or empty. The rules of each subject call these with their own words.

use super::repair::{Repair, Rows, sorted_by_key};
use super::{Context, Findings};
use crate::model::{
    Construction, Declaration, Dialect, Entry, EntryKind, EntryName, Kind, Name, Parameter, Variadic,
};
use crate::notations::is_title_of_text;
use crate::pairing::{Match, Side};
use crate::text::{Edit, Span, is_filled_by_code, is_wordless};

/// One of the two sorts of named things a signature takes.
pub(super) struct Sort {
    /// The kind of its entries.
    pub(super) kind: EntryKind,
    /// The word for it in messages.
    pub(super) word: &'static str,
}

/// Parameters.
pub(super) const PARAMS: Sort = Sort { kind: EntryKind::Param, word: "parameter" };
/// Type parameters.
pub(super) const TYPE_PARAMS: Sort = Sort { kind: EntryKind::TypeParam, word: "type parameter" };

impl Sort {
    fn side<'a>(&self, context: &Context<'a>) -> Option<&'a Side> {
        let (_, pairing) = context.paired?;
        Some(if self.kind == EntryKind::TypeParam { &pairing.typeparams } else { &pairing.params })
    }

    /// Returns name and place of the thing at `at` in the signature.
    fn at<'a>(&self, context: &Context<'a>, at: usize) -> Option<(&'a str, Span)> {
        let (signature, _) = context.paired?;
        if self.kind == EntryKind::TypeParam {
            return signature.type_parameters.get(at).map(|p| (p.name.as_str(), p.span));
        }
        let parameter = signature.parameters.get(at)?;
        Some((parameter.named().map_or("", |name| name.as_str()), parameter.span))
    }
}

fn named<'a>(context: &Context<'a>, entry: usize, name: usize) -> (&'a Entry, &'a EntryName) {
    let entry = &context.doc.entries[entry];
    (entry, &entry.names[name])
}

/// Reports what has no entry and is owed one.
pub(super) fn missing(sort: &Sort, context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(side) = comparable_side(sort, context) else { return };
    let owed =
        if sort.kind == EntryKind::TypeParam { &context.debt.typeparams } else { &context.debt.params };
    for (at, _) in owed.iter().enumerate().filter(|&(at, &owed)| owed && side.entry_of[at].is_none()) {
        let Some((name, span)) = sort.at(context, at) else { continue };
        if sort.kind == EntryKind::TypeParam && stands_for_more(sort, context, at) {
            continue;
        }
        let entry = context.spell(sort.kind, name);
        let message = format!("{} `{name}` has no entry; add `{entry}` to the comment", sort.word);
        findings.report(span, name, message).related(context.doc.span, "this comment").done();
    }
}

/// Reports entries that name nothing of the signature.
pub(super) fn unknown(sort: &Sort, context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(side) = comparable_side(sort, context) else { return };
    if sort.kind == EntryKind::TypeParam
        && side.entry_of.iter().enumerate().any(|(at, _)| stands_for_more(sort, context, at))
    {
        return;
    }
    let declares_none = matches!(context.file.language.dialect, Dialect::JavaScript | Dialect::Php);
    // One method of PHP stands for all that are not there, and its comment tells what those take.
    let for_others = matches!(context.declaration().name.as_str(), "__call" | "__callStatic");
    if context.file.language.dialect == Dialect::Php && for_others {
        return;
    }
    // What an accessor of Ruby takes when it is assigned has a name in its comment alone.
    if context.file.language.dialect == Dialect::Ruby && context.declaration().kind == Kind::Property {
        return;
    }
    // The comment is where they are declared; or there are none in the language, and the tag means another thing.
    let language = context.file.language;
    let elsewhere = declares_none || language.untyped || !language.generic;
    if sort.kind == EntryKind::TypeParam && elsewhere {
        return;
    }
    for paired in &side.names {
        let (written, name) = named(context, paired.entry, paired.name);
        let mut entry = context.spell(sort.kind, name.name.as_str());
        // A field of its own for the type is quoted as what it is.
        let head = context.line(written.lines.0).trim_start();
        if head.strip_prefix([':', '@']).is_some_and(|field| field.starts_with("type ")) {
            entry = entry.replacen("param", "type", 1);
        }
        match paired.is {
            Match::Unknown if is_of_another_form(context, written) => {}
            Match::Renamed(_) | Match::Unknown
                if is_set_aside(context, name.name.as_str())
                    || is_hash_of_keys(context, name.name.as_str())
                    || is_below_filled(context, name.span) => {}
            Match::Unknown if is_constant_told(context, name) || is_taken_inside(context, &name.name) => {}
            Match::Unknown if is_taken_by_decorator(context, name.name.as_str()) => {}
            // A section that its author did not set apart: `example: weigh(1)`.
            Match::Unknown if written.section > 0 && is_title_of_text(name.name.as_str()) => {}
            Match::Unknown if is_word_of_macro(context, name.name.as_str()) => {}
            Match::Unknown
                if is_key_of_another(context, written) || is_read_off(context, side, name.name.as_str()) => {}
            Match::Unknown | Match::Renamed(_)
                if sort.kind == EntryKind::TypeParam
                    && (is_of_a_member(context, &name.name) || is_template_by_macro(context)) => {}
            Match::Renamed(at) => {
                let Some((meant, place)) = sort.at(context, at) else { continue };
                let message = format!("`{entry}` names no {}; did you mean `{meant}`?", sort.word);
                // What stands below the name takes the right one with it.
                let below = side.names.iter().filter(|part| part.is == Match::Part).filter_map(|part| {
                    let part = context.doc.entries[part.entry].names.get(part.name)?;
                    (part.dotted && part.name == name.name).then_some(part.span)
                });
                let spans = std::iter::once(name.span).chain(below);
                let report = findings.report(name.span, name.name.as_str(), message);
                report.related(place, format!("the {} is `{meant}`", sort.word)).replace_each(spans, meant);
            }
            Match::Unknown => {
                let header = context.declaration().name_span;
                let way_out = if side.entry_of.is_empty() {
                    format!("`{}` takes none", context.declaration().name)
                } else {
                    "remove it, or correct the name".to_owned()
                };
                let message = format!("`{entry}` names no {}; {way_out}", sort.word);
                // What a person wrote about it is not thrown away.
                let vain = written.names.len() == 1 && written.text.is_none() && written.ty.is_none();
                // A word alone on its line may be one of a sentence.
                let vain = vain && (written.section == 0 || context.line(written.lines.0).contains(':'));
                let repair = if vain { Repair::of(context).remove(written) } else { None };
                findings
                    .report(name.span, name.name.as_str(), message)
                    .related(header, "the declaration")
                    .mend(repair);
            }
            Match::Is(_) | Match::Again(..) | Match::Part => {}
        }
    }
}

/// Returns the pairs of a sort, where the comment surely speaks of the names that the signature has.
fn comparable_side<'a>(sort: &Sort, context: &Context<'a>) -> Option<&'a Side> {
    // A module takes nothing: its comment lists what its callables have in common.
    sort.side(context)
        .filter(|_| context.declaration().kind != Kind::Module)
        .filter(|side| !has_alternatives(context) && !is_shortened(context, side))
}

/// Tells whether a header is written twice, for one of which its reader decides: a comment may be about the other.
fn has_alternatives(context: &Context<'_>) -> bool {
    let header = context.slice(context.declaration().header());
    memchr::memmem::find(header.as_bytes(), b"#el").is_some()
}

/// Tells whether an entry in a section of keywords may be a key of a parameter whose own entry ends with a colon: "the
/// crates, by".
fn is_key_of_another(context: &Context<'_>, entry: &Entry) -> bool {
    let section = (entry.section as usize).checked_sub(1).and_then(|at| context.doc.sections.get(at));
    section.is_some_and(|section| section.title.starts_with("Keyword"))
        && context
            .doc
            .entries_of(entry.kind)
            .filter(|other| other.section != entry.section)
            .any(|other| other.text.is_some_and(|text| context.slice(text).trim_end().ends_with(':')))
}

/// Tells whether what an entry names is read off a parameter that has an entry: `crate.load` (JavaScript).
fn is_read_off(context: &Context<'_>, side: &Side, name: &str) -> bool {
    if !context.file.language.dialect.is_script() {
        return false;
    }
    let declaration = context.declaration();
    let text = context.slice(declaration.span);
    let parameters = declaration.signature.parameters.iter().zip(&side.entry_of);
    let mut told =
        parameters.filter(|(_, entry)| entry.is_some()).filter_map(|(parameter, _)| parameter.named());
    told.any(|parameter| {
        let member = format!("{parameter}.{name}");
        let goes_on = |rest: &str| rest.starts_with(|c: char| c.is_alphanumeric() || matches!(c, '_' | '$'));
        text.match_indices(&member).any(|(at, member)| !goes_on(&text[at + member.len()..]))
    })
}

/// Tells whether a program shortened the parameters to `a`, `b`, `c` and the comment speaks of the names that people
/// wrote: as many, none of them one of these (JavaScript).
fn is_shortened(context: &Context<'_>, side: &Side) -> bool {
    let parameters = &context.declaration().signature.parameters;
    context.file.language.dialect == Dialect::JavaScript
        && parameters.len() > 2
        && side.names.len() == parameters.len()
        && side.names.iter().all(|paired| paired.is == Match::Unknown)
        && parameters.iter().zip('a'..).all(|(parameter, letter)| {
            parameter.named().is_some_and(|name| name.as_str().chars().eq(std::iter::once(letter)))
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

/// Tells whether the name of a type parameter is a macro's, which may stand for others: `typename NP_TEMPLATE_PARAMETERS`.
fn stands_for_more(sort: &Sort, context: &Context<'_>, at: usize) -> bool {
    let is_macro = |name: &str| {
        name.matches('_').count() > 1 && !name.starts_with('_') && !name.chars().any(char::is_lowercase)
    };
    context.file.language.notation.as_str() == "commands"
        && sort.at(context, at).is_some_and(|(name, _)| is_macro(name))
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

/// Tells whether a name stands as a string in a decorator, which may take it in the declaration's place.
fn is_taken_by_decorator(context: &Context<'_>, name: &str) -> bool {
    let declaration = context.declaration();
    let in_string = |declaration: &Declaration| {
        let start = declaration.span.start;
        let above = context.slice(Span::new(start, declaration.name_span.start.max(start)));
        above.split(['"', '\'']).skip(1).step_by(2).any(|string| string == name)
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

/// Tells whether a name is that of a parameter which a function inside takes: one that is handed out may be told of in its
/// maker's comment. Of a class it is what `__new__` takes besides `__init__`.
fn is_taken_inside(context: &Context<'_>, name: &Name) -> bool {
    let is_type = context.declaration().kind.is_type();
    let handed_on = context.paired.is_some_and(|(signature, _)| signature.handed_on.contains(name));
    let takes = |parameter: &Parameter| parameter.named() == Some(name);
    handed_on
        || context.file.outline.declarations.iter().any(|inner| {
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

/// Reports second entries for one thing.
pub(super) fn repeated(sort: &Sort, context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(side) = sort.side(context) else { return };
    for paired in &side.names {
        let Match::Again(_, first) = paired.is else { continue };
        let (second, name) = named(context, paired.entry, paired.name);
        let Some(earlier) = context.doc.entries.get(first) else { continue };
        // "-OR-": both forms of a call are told.
        let is_or =
            |row| context.line(row).trim_matches(|c: char| !c.is_alphanumeric()).eq_ignore_ascii_case("or");
        if first == paired.entry
            || is_told_elsewhere(context, second)
            || is_collected_twice(sort, context, paired.is, (earlier, second))
            || (earlier.lines.0..second.lines.0).any(is_or)
        {
            continue;
        }
        let message = format!("{} `{}` has a second entry; keep one of the two", sort.word, name.name);
        findings
            .report(name.span, name.name.as_str(), message)
            .related(earlier.place(), "the first entry")
            .mend(without_second(context, earlier, second));
    }
}

/// Tells whether two entries say different things of what collects: more is told of it where it is taken for something else.
fn is_collected_twice(
    sort: &Sort,
    context: &Context<'_>,
    is: Match,
    (first, second): (&Entry, &Entry),
) -> bool {
    let Match::Again(at, _) = is else { return false };
    let parameter = context.paired.and_then(|(signature, _)| signature.parameters.get(at));
    let (said, said_first) = (context.text_of(second), context.text_of(first));
    sort.kind == EntryKind::Param
        && parameter.is_some_and(|parameter| parameter.variadic == Variadic::Keywords)
        && !said.is_empty()
        && said != said_first
}

/// Tells whether an entry only lists names whose description the line above leaves to another place: "See there for the
/// following:".
fn is_told_elsewhere(context: &Context<'_>, entry: &Entry) -> bool {
    let above = || entry.lines.0.checked_sub(1).map_or("", |row| context.line(row));
    entry.names.len() > 1 && entry.ty.is_none() && entry.text.is_none() && above().trim_end().ends_with(':')
}

/// Removes the second of two entries that say the same, or that says nothing.
pub(super) fn without_second(context: &Context<'_>, first: &Entry, second: &Entry) -> Option<Edit> {
    let (said, said_first) = (context.text_of(second), context.text_of(first));
    let ty = |entry: &Entry| entry.ty.map(|ty| context.slice(ty));
    let nothing_new = (said.is_empty() || said == said_first)
        && (ty(second).is_none() || ty(second) == ty(first))
        && second.names.len() <= 1
        && first.names.len() <= 1;
    if nothing_new { Repair::of(context).remove(second) } else { None }
}

/// Reports, once a comment, that entries stand in another order than the signature.
pub(super) fn order(sort: &Sort, context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(side) = sort.side(context) else { return };
    // What a macro holds is put in by its name, wherever that is.
    if context.file.language.dialect == Dialect::Ruby && context.slice(context.doc.span).contains("@!macro") {
        return;
    }
    let mut sections: Vec<u32> = Vec::new();
    for paired in &side.names {
        let section = context.doc.entries[paired.entry].section;
        if !sections.contains(&section) {
            sections.push(section);
        }
    }
    for section in sections {
        let mut placed: Vec<(usize, usize, usize)> = side
            .names
            .iter()
            .filter(|paired| context.doc.entries[paired.entry].section == section)
            .filter_map(|paired| match paired.is {
                Match::Is(at) | Match::Renamed(at) => Some((at, paired.entry, paired.name)),
                Match::Again(..) | Match::Part | Match::Unknown => None,
            })
            .collect();
        // Names that share an entry stand in no order.
        for shared in placed.chunk_by_mut(|(_, one, _), (_, other, _)| one == other) {
            shared.sort_unstable();
        }
        let mut sorted: Vec<usize> = placed.iter().map(|&(at, ..)| at).collect();
        sorted.sort_unstable();
        let misplaced = placed.iter().zip(&sorted).find(|((at, ..), wanted)| at != *wanted);
        let Some((&(_, entry, name), &wanted)) = misplaced else { continue };
        let (_, name) = named(context, entry, name);
        let Some((expected, place)) = sort.at(context, wanted) else { continue };
        let message = format!(
            "entry `{}` stands where `{expected}` should; put the entries in the order of the signature",
            name.name
        );
        findings
            .report(name.span, name.name.as_str(), message)
            .related(place, "comes first here")
            .mend(in_order(context, side, &placed));
        return;
    }
}

/// Puts entries into the order of the signature; `placed` has the place, entry and name of each.
fn in_order(context: &Context<'_>, side: &Side, placed: &[(usize, usize, usize)]) -> Vec<Edit> {
    let entries = &context.doc.entries;
    let mut blocks: Vec<(usize, Rows)> = Vec::new();
    for &(at, entry, name) in placed.iter() {
        // An entry for several parameters has no one place.
        if name > 0 || entries[entry].names.len() > 1 {
            return Vec::new();
        }
        // Entries for parts of a parameter move with it.
        let parts = side.names.iter().filter(|part| {
            part.is == Match::Part
                && part.entry > entry
                && placed.iter().all(|&(_, other, _)| other <= entry || other > part.entry)
        });
        let end = parts.map(|part| entries[part.entry].lines.1).max().unwrap_or(0);
        blocks.push((at, (entries[entry].lines.0, entries[entry].lines.1.max(end))));
    }
    let rows: Vec<Rows> = blocks.iter().map(|&(_, rows)| rows).collect();
    Repair::of(context).permute(&rows, &sorted_by_key(&blocks, |&(at, _)| at))
}

/// Reports entries without a description.
pub(super) fn empty(sort: &Sort, context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(side) = sort.side(context) else { return };
    for paired in side.names.iter().filter(|paired| paired.name == 0) {
        let at = match paired.is {
            Match::Is(at) | Match::Renamed(at) | Match::Again(at, _) => at,
            Match::Part | Match::Unknown => continue,
        };
        let (entry, name) = named(context, paired.entry, paired.name);
        let said = entry.text.is_some_and(|span| says_something(context.slice(span)))
            || entry
                .ty
                .is_some_and(|span| is_sentence(context.slice(span)) || is_described(context.slice(span)));
        let Some((_, place)) = sort.at(context, at) else { continue };
        // Where its parts are told, they say what the whole is.
        let in_parts = || {
            let mut names = context.doc.entries_of(sort.kind).flat_map(|entry| &entry.names);
            names.any(|part| part.dotted && part.name == name.name)
        };
        if said || in_parts() || is_told_elsewhere(context, entry) {
            continue;
        }
        let message =
            format!("the entry for `{}` says nothing; describe the {} or remove it", name.name, sort.word);
        let report = findings
            .report(name.span, name.name.as_str(), message)
            .related(place, format!("the {}", sort.word));
        let said_more = |native: Span| {
            entry.ty.is_some_and(|ty| type_names(context.slice(ty)) != type_names(context.slice(native)))
        };
        let open = context.paired.and_then(|(signature, _)| signature.parameters.get(at)).is_some_and(|p| {
            let in_words = context.file.language.dialect == Dialect::Php;
            p.ty.is_none_or(|native| in_words && (!p.typed_enough || said_more(native)))
        });
        let by_type =
            context.file.language.untyped && entry.ty.is_some() && open && sort.kind == EntryKind::Param;
        // What declares it where there are no types comes along from there: `@template T`.
        let comes_along = sort.kind == EntryKind::TypeParam && context.slice(entry.tag) == "template";
        if by_type || comes_along {
            // The type is all that the signature leaves open.
            report.only_note();
        } else {
            report.done();
        }
    }
}

/// Returns the names of which a type is made up (PHP), without name spaces and without `null`, for which a default may
/// stand; sorted.
fn type_names(ty: &str) -> Vec<String> {
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
