//! Which entry speaks of which parameter. A step of its own, because a rename is one fault, not two:
//! reviewing, mending and converting must all see the same pairs.

use crate::model::{DocComment, EntryKind, Name, ParamName, Parameter, Signature, Variadic};
use crate::text::{near, nearest, split_words};

/// What a name in an entry is.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Match {
    /// The parameter at this place of the signature.
    Is(usize),
    /// The parameter at this place, which the entry at the second index already has.
    Again(usize, usize),
    /// Most likely the parameter at this place, under another name.
    Renamed(usize),
    /// No parameter by itself: a key of a collector, what follows a dot, or the receiver.
    Part,
    /// Nothing of the signature.
    Unknown,
}

/// One name of one entry.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct PairedName {
    /// Index of the entry in the comment.
    pub entry: usize,
    /// Index of the name in the entry.
    pub name: usize,
    /// What it is.
    pub is: Match,
}

/// The pairs of one sort: parameters, or type parameters.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Side {
    /// Every name of every entry, in source order.
    pub names: Vec<PairedName>,
    /// For each parameter the entry that speaks of it; renames count.
    pub entry_of: Vec<Option<usize>>,
    /// A key of a collector is documented.
    pub has_keys: bool,
}

/// All pairs of a comment and a signature.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Pairing {
    /// Parameters.
    pub params: Side,
    /// Type parameters.
    pub typeparams: Side,
}

/// Pairs the entries of a comment with a signature.
#[must_use]
pub(crate) fn pair(doc: &DocComment, signature: &Signature) -> Pairing {
    let told: Vec<Option<Name>> = signature.parameters.iter().map(|p| told_unused(doc, p)).collect();
    let parameters: Vec<Slot<'_>> = signature
        .parameters
        .iter()
        .zip(&told)
        .map(|(parameter, told)| match &parameter.name {
            // What is left unused has no name; the comment may well give it one.
            ParamName::Named(name) if name.as_str().bytes().all(|b| b == b'_') => Slot::Nameless,
            ParamName::Named(name) => {
                // Its keys are told one by one like what a rest takes, and as seldom beside an entry of its own.
                let variadic = if parameter.keyed { Variadic::Positional } else { parameter.variadic };
                Slot::Named(told.as_ref().unwrap_or(name), variadic)
            }
            ParamName::Destructured(keys) => Slot::AnyName(keys, parameter.keyed),
            ParamName::Unnamed | ParamName::Rest => Slot::Nameless,
        })
        .collect();
    let labels: Vec<Option<&Name>> = signature.parameters.iter().map(|p| p.label.as_ref()).collect();
    let types: Vec<Slot<'_>> = signature
        .type_parameters
        .iter()
        .map(|parameter| Slot::Named(&parameter.name, Variadic::No))
        .collect();
    Pairing {
        params: side(
            doc,
            EntryKind::Param,
            &parameters,
            (signature.receiver.as_ref(), &labels),
            signature.has_collector() || signature.value_may_be_called,
        ),
        typeparams: side(doc, EntryKind::TypeParam, &types, (None, &[]), false),
    }
}

/// Returns the name of a parameter without the underscore by which it is marked as left unused, where a comment knows it
/// by that name alone.
fn told_unused(doc: &DocComment, parameter: &Parameter) -> Option<Name> {
    let name = parameter.named().filter(|_| parameter.exempt)?;
    let bare = name.as_str().strip_prefix('_').filter(|bare| !bare.is_empty())?;
    let told = |sought: &str| {
        doc.entries_of(EntryKind::Param)
            .flat_map(|entry| &entry.names)
            .any(|name| name.name.as_str() == sought)
    };
    (told(bare) && !told(name.as_str())).then(|| Name::new(bare))
}

/// A parameter, as far as pairing looks at it.
enum Slot<'a> {
    Named(&'a Name, Variadic),
    /// What is taken apart, into these, and perhaps into others.
    AnyName(&'a [Name], bool),
    Nameless,
}

fn side(
    doc: &DocComment,
    kind: EntryKind,
    slots: &[Slot<'_>],
    (receiver, labels): (Option<&Name>, &[Option<&Name>]),
    collector: bool,
) -> Side {
    let mut out = Side { names: Vec::new(), entry_of: vec![None; slots.len()], has_keys: false };
    let entries = doc.entries.iter().enumerate().filter(|(_, entry)| entry.kind == kind);
    for (entry, name, found) in
        entries.flat_map(|(at, entry)| entry.names.iter().enumerate().map(move |(n, name)| (at, n, name)))
    {
        let place =
            slots.iter().position(|slot| matches!(slot, Slot::Named(named, _) if **named == found.name));
        let is = match place {
            Some(_) if found.dotted => Match::Part,
            Some(at) => match out.entry_of[at] {
                Some(first) => Match::Again(at, first),
                None => {
                    out.entry_of[at] = Some(entry);
                    Match::Is(at)
                }
            },
            None if receiver.is_some_and(|receiver| *receiver == found.name) => Match::Part,
            None if kind == EntryKind::Param && matches!(found.name.as_str(), "self" | "this") => Match::Part,
            None => Match::Unknown,
        };
        out.names.push(PairedName { entry, name, is });
    }
    pair_labels(doc, &mut out, labels);
    answer_series(doc, kind, &mut out, slots);
    if out.names.iter().any(|name| name.is == Match::Unknown) {
        answer_alternatives(doc, &mut out, slots);
        answer_by_keys(doc, &mut out, slots);
    }
    answer_destructured(doc, &mut out, slots);
    pair_near(doc, &mut out, slots);
    if slots.iter().any(|slot| matches!(slot, Slot::AnyName(_, true))) {
        take_as_parts(&mut out);
    }
    answer_nameless(&mut out, slots);
    pair_remaining(&mut out, slots, collector);
    follow_roots(doc, &mut out);
    if collector {
        out.has_keys |= take_as_parts(&mut out);
    } else if let Some(rest) = undocumented_rest(&out, slots) {
        // What is passed one by one is told one by one.
        take_as_parts(&mut out);
        out.entry_of[rest] = out.names.last().map(|name| name.entry);
    }
    out
}

/// Takes what names nothing as part of what is collected; tells whether there was any.
fn take_as_parts(side: &mut Side) -> bool {
    let mut any = false;
    for name in side.names.iter_mut().filter(|name| name.is == Match::Unknown) {
        name.is = Match::Part;
        any = true;
    }
    any
}

/// Returns the parameter that takes all further arguments, when it has no entry and several entries name nothing:
/// a single one may well be meant for it, or for another parameter, unless all those in front have entries and its own
/// name says nothing.
fn undocumented_rest(side: &Side, slots: &[Slot<'_>]) -> Option<usize> {
    let is_rest = |at: &usize| {
        side.entry_of[*at].is_none() && matches!(slots[*at], Slot::Named(_, Variadic::Positional))
    };
    let is_last = |at: usize| is_bare_rest(&slots[at]) && missing(side, slots).first() == Some(&at);
    (0..slots.len()).find(is_rest).filter(|&at| match unknown(side).len() {
        0 => false,
        1 => is_last(at),
        _ => true,
    })
}

/// Tells whether a parameter takes all further arguments and is called no more than that: `*args`.
fn is_bare_rest(slot: &Slot<'_>) -> bool {
    matches!(slot, Slot::Named(name, Variadic::Positional) if matches!(name.as_str(), "args" | "arguments" | "rest"))
}

fn unknown(side: &Side) -> Vec<usize> {
    (0..side.names.len()).filter(|&at| side.names[at].is == Match::Unknown).collect()
}

fn missing(side: &Side, slots: &[Slot<'_>]) -> Vec<usize> {
    (0..slots.len())
        .filter(|&at| {
            side.entry_of[at].is_none()
                && matches!(slots[at], Slot::Named(_, variadic) if variadic != Variadic::Keywords)
        })
        .collect()
}

/// An entry under the label that callers write means the parameter behind it.
fn pair_labels(doc: &DocComment, side: &mut Side, labels: &[Option<&Name>]) {
    for name in side.names.iter_mut().filter(|name| name.is == Match::Unknown) {
        let spelt = &doc.entries[name.entry].names[name.name].name;
        let free = |&at: &usize| labels[at] == Some(spelt) && side.entry_of[at].is_none();
        if let Some(at) = (0..labels.len()).find(free) {
            side.entry_of[at] = Some(name.entry);
            name.is = Match::Renamed(at);
        }
    }
}

/// An entry without a name of its own (`a1, a2, ...`) answers for one parameter that has none.
fn answer_series(doc: &DocComment, kind: EntryKind, side: &mut Side, slots: &[Slot<'_>]) {
    for (at, _) in
        doc.entries.iter().enumerate().filter(|(_, entry)| entry.kind == kind && entry.names.is_empty())
    {
        if let Some(&first) = missing(side, slots).first() {
            side.entry_of[first] = Some(at);
        }
    }
}

/// A parameter named for what it may be (`optionsOrCallback`, `node_or_range`) is told by one of the names, or by each.
fn answer_alternatives(doc: &DocComment, side: &mut Side, slots: &[Slot<'_>]) {
    for (at, slot) in slots.iter().enumerate() {
        let Slot::Named(name, _) = slot else { continue };
        let perhaps =
            side.entry_of[at].is_none() && ["Or", "_or_"].iter().any(|or| name.as_str().contains(or));
        let words = if perhaps { split_words(name.as_str()) } else { Vec::new() };
        if !words.iter().any(|word| word == "or") {
            continue;
        }
        for found in unknown(side) {
            let spelt = &doc.entries[side.names[found].entry].names[side.names[found].name];
            let sought = split_words(spelt.name.as_str());
            if words.split(|word| word == "or").any(|part| part == sought) {
                side.names[found].is = Match::Part;
                side.entry_of[at] = side.entry_of[at].or(Some(side.names[found].entry));
            }
        }
    }
}

/// Entries for what a parameter is taken apart into answer for it, whether or not they name a root.
fn answer_by_keys(doc: &DocComment, side: &mut Side, slots: &[Slot<'_>]) {
    for (at, slot) in slots.iter().enumerate() {
        let Slot::AnyName(keys, _) = slot else { continue };
        for found in unknown(side) {
            let spelt = &doc.entries[side.names[found].entry].names[side.names[found].name];
            if !spelt.dotted && keys.contains(&spelt.name) {
                side.names[found].is = Match::Part;
                side.entry_of[at] = side.entry_of[at].or(Some(side.names[found].entry));
            }
        }
    }
}

/// What stands below a root that names nothing is that root's, and no second fault.
fn follow_roots(doc: &DocComment, side: &mut Side) {
    if side.names.iter().all(|name| name.is != Match::Unknown) {
        return;
    }
    let spelt = |name: &PairedName| &doc.entries[name.entry].names[name.name];
    let mut roots: Vec<&Name> = side
        .names
        .iter()
        .filter(|name| matches!(name.is, Match::Unknown | Match::Renamed(_)) && !spelt(name).dotted)
        .map(|name| &spelt(name).name)
        .collect();
    for name in &mut side.names {
        let found = spelt(name);
        if name.is != Match::Unknown || !found.dotted {
            continue;
        }
        if roots.contains(&&found.name) {
            name.is = Match::Part;
        } else {
            // Without an entry of its own, the first part stands for the root.
            roots.push(&found.name);
        }
    }
}

/// One root entry of any name answers for a parameter that is taken apart.
fn answer_destructured(doc: &DocComment, side: &mut Side, slots: &[Slot<'_>]) {
    if !slots.iter().any(|slot| matches!(slot, Slot::AnyName(..))) {
        return;
    }
    // What has the name of a parameter but for underscores is meant for that: `value` for `value_`.
    let bare = |name: &str| name.trim_matches('_').to_owned();
    let named = missing(side, slots).into_iter().filter_map(|at| match &slots[at] {
        Slot::Named(name, _) => Some(bare(name.as_str())),
        Slot::AnyName(..) | Slot::Nameless => None,
    });
    let named: Vec<String> = named.collect();
    let spelt = |name: &PairedName| {
        doc.entries[name.entry].names[name.name].name.as_str().trim_matches('_').to_owned()
    };
    for (at, _) in slots.iter().enumerate().filter(|(_, slot)| matches!(slot, Slot::AnyName(..))) {
        let free = unknown(side).into_iter().find(|&at| !named.contains(&spelt(&side.names[at])));
        if let Some(first) = free {
            side.entry_of[at] = Some(side.names[first].entry);
            side.names[first].is = Match::Is(at);
            // What follows below that root are its keys.
            let spelt = |name: &PairedName| &doc.entries[name.entry].names[name.name].name;
            let root = spelt(&side.names[first]).clone();
            for name in &mut side.names[first + 1..] {
                if name.is == Match::Unknown && *spelt(name) == root {
                    name.is = Match::Part;
                }
            }
        }
    }
}

/// Parameters without a name (`void read(struct tank *, int)`) may have one in the comment.
fn answer_nameless(side: &mut Side, slots: &[Slot<'_>]) {
    let nameless = (0..slots.len()).filter(|&at| matches!(slots[at], Slot::Nameless));
    for (at, found) in nameless.zip(unknown(side)) {
        side.names[found].is = Match::Part;
        side.entry_of[at] = Some(side.names[found].entry);
    }
}

/// Pairs unknown names and parameters without entry that are mutually nearest, and near.
fn pair_near(doc: &DocComment, side: &mut Side, slots: &[Slot<'_>]) {
    let (unknown, mut missing) = (unknown(side), missing(side, slots));
    // What takes all further arguments is not meant by one of several names.
    missing.retain(|&at| unknown.len() == 1 || !is_bare_rest(&slots[at]));
    let spelt = |at: usize| doc.entries[side.names[at].entry].names[side.names[at].name].name.as_str();
    let named = |at: usize| match &slots[at] {
        Slot::Named(name, _) => name.as_str(),
        Slot::AnyName(..) | Slot::Nameless => "",
    };
    let mut pairs = Vec::new();
    for &from in &unknown {
        let Some(to) = nearest(spelt(from), missing.iter().map(|&at| named(at))) else { continue };
        let back = nearest(to, unknown.iter().map(|&at| spelt(at)));
        if back == Some(spelt(from)) && near(to, spelt(from)) {
            pairs.extend(missing.iter().find(|&&at| named(at) == to).map(|&at| (from, at)));
        }
    }
    for (from, to) in pairs {
        if side.entry_of[to].is_none() {
            side.names[from].is = Match::Renamed(to);
            side.entry_of[to] = Some(side.names[from].entry);
        }
    }
}

/// Pairs the last of each, when both stand between the same matched neighbours.
fn pair_remaining(side: &mut Side, slots: &[Slot<'_>], collector: bool) {
    let (unknown, missing) = (unknown(side), missing(side, slots));
    let ([from], [to]) = (&unknown[..], &missing[..]) else { return };
    if collector || is_bare_rest(&slots[*to]) {
        return;
    }
    let matched = |at: usize| match side.names[at].is {
        Match::Is(place) | Match::Renamed(place) => Some(place),
        Match::Again(..) | Match::Part | Match::Unknown => None,
    };
    let before = (0..*from).rev().find_map(matched);
    let after = (from + 1..side.names.len()).find_map(matched);
    let documented = |at: usize| side.entry_of[at].is_some();
    let same_before = before == (0..*to).rev().find(|&at| documented(at));
    let same_after = after == (to + 1..slots.len()).find(|&at| documented(at));
    if same_before && same_after {
        side.entry_of[*to] = Some(side.names[*from].entry);
        side.names[*from].is = Match::Renamed(*to);
    }
}
