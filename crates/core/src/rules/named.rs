//! What the rules of parameters and of type parameters have in common: finding entries that are missing,
//! unknown, repeated, out of order or empty. The rules of each subject call these with their own words.

use super::excused::{is_declared_by_comment, is_excused};
use super::repair::{Repair, Rows, sorted_by_key};
use super::said::{has_other_names, is_said};
use super::{Context, Findings};
use crate::model::{Dialect, Entry, EntryKind, EntryName, Kind, Variadic};
use crate::pairing::{Match, Side};
use crate::text::{Edit, Span};

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

pub(super) fn named<'a>(context: &Context<'a>, entry: usize, name: usize) -> (&'a Entry, &'a EntryName) {
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
    let stands_for_more = || (0..side.entry_of.len()).any(|at| stands_for_more(sort, context, at));
    if is_declared_by_comment(sort, context) || (sort.kind == EntryKind::TypeParam && stands_for_more()) {
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
        let tag = context.slice(written.tag).trim_start_matches(['@', '\\']);
        let is_word = !tag.is_empty() && tag.bytes().all(|b| b.is_ascii_alphabetic());
        if let Some((_, spelt)) = entry.split_once(' ').filter(|_| entry.starts_with('@') && is_word) {
            // As it is written here: `@template K`, `@arg load`.
            entry = format!("@{tag} {spelt}");
        } else if entry.contains('`') {
            // An item of a list is known by what stands in its backquotes.
            entry = name.name.to_string();
        }
        match paired.is {
            Match::Renamed(_) | Match::Unknown if is_excused(sort, context, side, paired) => {}
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
        .filter(|_| !has_labels_of_its_own(context))
        .filter(|side| !has_alternatives(context) && !is_shortened(context, side))
}

/// Tells whether the entries of a member of an enumeration are a project's own: `@desc: …` is not said of a parameter there.
fn has_labels_of_its_own(context: &Context<'_>) -> bool {
    context.declaration().kind == Kind::EnumMember
        && context.doc.notation.as_str() == "commands"
        && context.spell(EntryKind::Param, "name").starts_with("@name")
}

/// Tells whether a header is written twice, for one of which its reader decides: a comment may be about the other.
fn has_alternatives(context: &Context<'_>) -> bool {
    let header = context.slice(context.declaration().header());
    memchr::memmem::find(header.as_bytes(), b"#el").is_some()
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

/// Tells whether the name of a type parameter is a macro's, which may stand for others: `typename NP_TEMPLATE_PARAMETERS`.
fn stands_for_more(sort: &Sort, context: &Context<'_>, at: usize) -> bool {
    let is_macro = |name: &str| {
        name.matches('_').count() > 1 && !name.starts_with('_') && !name.chars().any(char::is_lowercase)
    };
    context.file.language.notation.as_str() == "commands"
        && sort.at(context, at).is_some_and(|(name, _)| is_macro(name))
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
        let Some((_, place)) = sort.at(context, at) else { continue };
        // Where its parts are told, they say what the whole is.
        let in_parts = || {
            let mut names = context.doc.entries_of(sort.kind).flat_map(|entry| &entry.names);
            names.any(|part| part.dotted && part.name == name.name)
        };
        if is_said(context, entry) || in_parts() || is_told_elsewhere(context, entry) {
            continue;
        }
        let message =
            format!("the entry for `{}` says nothing; describe the {} or remove it", name.name, sort.word);
        let report = findings
            .report(name.span, name.name.as_str(), message)
            .related(place, format!("the {}", sort.word));
        let said_more = |native: Span| {
            entry.ty.is_some_and(|ty| has_other_names(context.slice(ty), context.slice(native)))
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
