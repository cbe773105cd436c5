//! What a comment owes: which parameters, return values and exceptions it must speak of.

mod elsewhere;
mod named;
mod thrown;

use crate::answers::{
    is_told_to_decorate, iterates, leads_with_type, names_a_value, sentence_answers, speaks_of_yielding,
    summary_answers,
};
use crate::model::{
    Answer, Declaration, DocComment, EntryKind, Kind, Origin, Parameter, Said, Signature, Thrown, Variadic,
};
use crate::notations;
use crate::pairing::Pairing;
use crate::reading::{Demand, Owe};
use crate::text::{Source, has_word};
use named::{for_tools, name_behind_tag, spoken_of, told_in_sentences, told_of};
use thrown::{has_entry, names_exception, tells_of_rejection};
pub(crate) use thrown::{is_documented, text_names};

/// What is owed, whether or not it is there.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Debt {
    /// For each parameter.
    pub params: Vec<bool>,
    /// For each type parameter.
    pub typeparams: Vec<bool>,
    /// An entry for what comes back.
    pub returns: bool,
    /// An entry for what is yielded.
    pub yields: bool,
    /// Indexes into the signature's exceptions, one a type.
    pub throws: Vec<usize>,
    /// Entries for exceptions are owed at all.
    pub passed: bool,
}

/// What a debt is worked out from.
pub struct Debtor<'a> {
    /// The source.
    pub source: &'a Source,
    /// The declaration the comment stands on.
    pub declaration: &'a Declaration,
    /// The signature the comment speaks of, which may be a constructor's.
    pub signature: &'a Signature,
    /// How much is owed.
    pub demand: Demand,
    /// Whether a link to a parameter in the text answers for it.
    pub links_answer: bool,
}

impl Debt {
    /// Owes nothing.
    #[must_use]
    pub fn none(signature: &Signature) -> Self {
        Self {
            params: vec![false; signature.parameters.len()],
            typeparams: vec![false; signature.type_parameters.len()],
            ..Self::default()
        }
    }

    /// Works out what a comment owes.
    #[must_use]
    pub fn of(debtor: &Debtor<'_>, doc: &DocComment, pairing: &Pairing) -> Self {
        let kind = debtor.declaration.kind;
        let on_type = kind.is_type() && kind != Kind::Delegate;
        let has_params = doc.has(EntryKind::Param);
        let mut demand = debtor.demand;
        if debtor.declaration.has_constructor_apart() {
            demand.param = demand.param.max(Owe::OnceStarted);
        }
        if debtor.declaration.fixed {
            for owed in [&mut demand.param, &mut demand.returns, &mut demand.throws] {
                if *owed != Owe::Always {
                    *owed = (*owed).max(Owe::OnceStarted);
                }
            }
        }
        let started = |owe: Owe, begun: bool| match owe {
            Owe::Always => true,
            Owe::BeyondSummary => doc.beyond_summary,
            Owe::OnceStarted => begun,
            Owe::Never => false,
        };
        let callable =
            kind.is_callable() || (kind == Kind::Property && !debtor.signature.parameters.is_empty());
        let full = Self::whole(debtor.signature, notation_of(doc));
        let params = (callable || on_type) && started(demand.param, has_params);
        let typeparams =
            (callable || kind.is_type()) && started(demand.typeparam, doc.has(EntryKind::TypeParam));
        let mut returns = callable && (full.returns || full.yields) && started(demand.returns, has_params);
        // Whoever demands an entry always is not content with the text.
        let summary = if returns && demand.returns != Owe::Always {
            doc.summary_prose(debtor.source)
        } else {
            String::new()
        };
        // Where one entry tells of all exceptions, it is owed like the return.
        let single = doc.notation.as_str() == "callouts" && has_params;
        let throws = callable && started(demand.throws, doc.has(EntryKind::Throws) || single);
        let mut thrown = if throws { full.throws } else { Vec::new() };
        // What has its entry asks for no words besides.
        let by_text = returns && demand.returns != Owe::Always && !doc.has(EntryKind::Returns);
        let named = !thrown.is_empty() && demand.throws != Owe::Always;
        // Whoever gave the parameters entries gives one to what comes back.
        let ty = debtor.signature.returns.ty.map_or("", |ty| debtor.source.slice(ty));
        let named_in_prose = !has_params && (names_a_value(&summary) || leads_with_type(&summary, ty));
        let in_summary = named_in_prose || summary_answers(&summary) || is_told_to_decorate(&summary, ty);
        returns &= demand.returns == Owe::Always || !in_summary;
        if (by_text && returns) || named {
            let text = told(debtor.source, doc);
            let whole = debtor.source.slice(doc.span);
            // "Yields each crate" tells what an iterator gives that was made elsewhere.
            let is_iterator = ty.contains("Iter") || ty.contains("Generator");
            let tells_each = || speaks_of_yielding(&text) || iterates(&summary);
            returns &= !(by_text && (sentence_answers(&text) || is_iterator && tells_each()));
            thrown.retain(|&at| {
                let thrown = &debtor.signature.throws[at];
                // What is thrown may be what is passed.
                let is_open = debtor.signature.type_parameters.iter().any(|ty| ty.name == thrown.ty);
                let told = names_exception((&text, whole), thrown) || is_open && text.contains("hrow");
                !named || has_entry(doc, thrown) || !told
            });
        }
        if named && tells_of_rejection(debtor.source, doc) {
            thrown.clear();
        }
        // "A crate yields itself", "weigh each and yield the load".
        let yields_by_text = || by_text && speaks_of_yielding(&told(debtor.source, doc));
        let owed = |list: Vec<bool>, owed: bool| list.into_iter().map(|each| each && owed).collect();
        let mut out = Self {
            params: owed(full.params, params),
            typeparams: owed(full.typeparams, typeparams),
            returns: full.returns && returns,
            yields: full.yields && returns && !iterates(&summary) && !yields_by_text(),
            throws: thrown,
            passed: throws,
        };
        out.pay_by_text(debtor, doc, demand, &pairing.params.entry_of);
        out.returns &= !(debtor.signature.returns.typed_enough && demand.returns != Owe::Always);
        if pairing.params.has_keys {
            // Where all is collected, what is passed by position has been told by name as well: `weigh(*args, **kwargs)`.
            let parameters = &debtor.signature.parameters;
            let all_collected = parameters.iter().all(|parameter| parameter.variadic != Variadic::No);
            for (owed, parameter) in out.params.iter_mut().zip(parameters) {
                *owed &= !all_collected && parameter.variadic != Variadic::Keywords;
            }
        }
        out
    }

    /// Sets aside what the text of a comment says of parameters that have no entry, and what it leaves to another place.
    fn pay_by_text(
        &mut self,
        debtor: &Debtor<'_>,
        doc: &DocComment,
        demand: Demand,
        entry_of: &[Option<usize>],
    ) {
        let has_params = doc.has(EntryKind::Param);
        // What has an entry stays owed, and is paid by it.
        let has_entry = |at: usize| entry_of.get(at).is_some_and(Option::is_some);
        let links = if debtor.links_answer && demand.param != Owe::Always {
            doc.prose(debtor.source, doc.span)
        } else {
            String::new()
        };
        // Most texts do not have the name of what is owed at all.
        let text = debtor.source.slice(doc.span);
        let named = |(at, (owed, parameter)): (usize, (&bool, &'_ Parameter))| {
            let name = parameter.named().filter(|_| *owed && !has_entry(at))?.as_str();
            memchr::memmem::find(text.as_bytes(), name.as_bytes()).map(|_| name.to_owned())
        };
        let named: Vec<String> =
            self.params.iter().zip(&debtor.signature.parameters).enumerate().filter_map(named).collect();
        let is_named = !named.is_empty();
        // Where no parameter has an entry, the text may well speak of each: `the tank \a number`.
        let inline = doc.notation.as_str() == "commands" && !has_params && demand.param != Owe::Always;
        let spoken_of = if inline && is_named { spoken_of(text) } else { Vec::new() };
        let aliases = if is_named { told_of(debtor.source, doc, demand.param, &named) } else { Vec::new() };
        let marked =
            |name: &str| doc.notation.as_str() == "tags" && doc.marks.iter().any(|mark| mark.name == name);
        // What can be chained gives back its object, and what is a class its instance; a function's type,
        // `@type {Handler}`, says what it takes and gives.
        let typed = marked("type");
        self.returns &= demand.returns == Owe::Always
            || (!(typed || ["chainable", "class", "constructor"].into_iter().any(marked))
                && for_tools(debtor.source, doc, "return").next().is_none());
        for (at, (owed, parameter)) in self.params.iter_mut().zip(&debtor.signature.parameters).enumerate() {
            *owed &= !((typed || parameter.typed_enough) && demand.param != Owe::Always);
            if has_entry(at) {
                continue;
            }
            *owed &= !parameter.named().is_some_and(|name| aliases.contains(&name.as_str()));
            *owed &= !parameter.named().is_some_and(|name| spoken_of.contains(&name.as_str()));
            // Its parts are told one by one.
            *owed &= !parameter.named().is_some_and(|name| {
                doc.entries_of(EntryKind::Property)
                    .any(|part| part.name().is_some_and(|part| part.name == *name))
            });
            // A link to a parameter in the text says what it is.
            *owed &= !parameter.named().is_some_and(|name| links.contains(&format!("[{name}]")));
        }
        if !has_params && demand.param != Owe::Always && self.params.contains(&true) {
            let (name, parameters) = (debtor.declaration.name.as_str(), &debtor.signature.parameters);
            let told = told_in_sentences(debtor.source, (name, parameters), text);
            for (owed, told) in self.params.iter_mut().zip(told) {
                *owed &= !told;
            }
        }
        if doc.notation.as_str() == "tags" && demand.param != Owe::Always {
            self.pay_for_block(debtor, text);
        }
        self.pay_by_tags_behind(debtor, doc);
        if demand.param != Owe::Always && self.asks_for_more(doc, entry_of) {
            self.pay_elsewhere(debtor, doc, demand, entry_of);
        }
    }

    /// The block of a method in Ruby is told of wherever a text has a word of it: "Yields each crate", "If a block is given".
    fn pay_for_block(&mut self, debtor: &Debtor<'_>, text: &str) {
        let whole = debtor.source.text();
        for (owed, parameter) in self.params.iter_mut().zip(&debtor.signature.parameters) {
            let (before, after) = whole.split_at(parameter.span.start as usize);
            // In PHP a variable that is passed by reference has its sign in between.
            let is_block = before.ends_with('&') && !after.starts_with('$');
            *owed &= !(is_block && (has_word(text, "block") || speaks_of_yielding(text)));
        }
    }

    /// Of several tags on one line, only the first is read as one, and of commands none behind a text.
    fn pay_by_tags_behind(&mut self, debtor: &Debtor<'_>, doc: &DocComment) {
        let [line] = doc.lines[..] else { return };
        let only = debtor.source.slice(line).trim_start();
        let behind = match doc.notation.as_str() {
            "tags" => only.strip_prefix('@').unwrap_or_default(),
            "commands" => only,
            _ => return,
        };
        if !behind.contains(['@', '\\']) {
            return;
        }
        let told = |tag: &str| behind.match_indices(tag).any(|(at, _)| behind[..at].ends_with(['@', '\\']));
        self.returns &= !told("return");
        let names: Vec<&str> = behind
            .split("param")
            .skip(1)
            .map(|behind| name_behind_tag(behind, doc.notation.as_str() == "tags"))
            .collect();
        for (owed, parameter) in self.params.iter_mut().zip(&debtor.signature.parameters) {
            *owed &= !parameter.named().is_some_and(|name| names.contains(&name.as_str()));
        }
    }

    /// Tells whether anything is still owed that a comment may leave to another place.
    fn asks_for_more(&self, doc: &DocComment, entry_of: &[Option<usize>]) -> bool {
        let lacks = self.params.iter().zip(entry_of).any(|(owed, entry)| *owed && entry.is_none());
        lacks || (self.returns && !doc.has(EntryKind::Returns)) || !self.throws.is_empty()
    }

    /// Sets aside what a comment sends its reader elsewhere for.
    fn pay_elsewhere(
        &mut self,
        debtor: &Debtor<'_>,
        doc: &DocComment,
        demand: Demand,
        entry_of: &[Option<usize>],
    ) {
        let whole = debtor.source.slice(doc.span);
        // Most texts have none of the words.
        if elsewhere::may_refer(whole) {
            let left = elsewhere::left(&told(debtor.source, doc), doc.has(EntryKind::Param));
            if left.parameters {
                for (owed, entry) in self.params.iter_mut().zip(entry_of) {
                    *owed &= entry.is_some();
                }
            }
            self.returns &= !left.all || demand.returns == Owe::Always;
            if left.all && demand.throws != Owe::Always && !doc.has(EntryKind::Throws) {
                self.throws.clear();
            }
        }
        let collects = |(parameter, owed): (&Parameter, &bool)| *owed && parameter.variadic != Variadic::No;
        if debtor.signature.parameters.iter().zip(&self.params).any(collects) && elsewhere::may_pass_on(whole)
        {
            let passed_on = elsewhere::passed_on(&told(debtor.source, doc));
            for (owed, parameter) in self.params.iter_mut().zip(&debtor.signature.parameters) {
                *owed &= !passed_on.contains(&parameter.variadic);
            }
        }
    }

    /// Sets aside what a comment at another place says.
    pub fn pay(&mut self, signature: &Signature, said: &Said) {
        for (owed, parameter) in self.params.iter_mut().zip(&signature.parameters) {
            *owed &= !parameter.named().is_some_and(|name| said.params.contains(name));
        }
        for (owed, parameter) in self.typeparams.iter_mut().zip(&signature.type_parameters) {
            *owed &= !said.typeparams.contains(&parameter.name);
        }
        self.returns &= !said.returns;
        self.yields &= !said.returns;
        self.throws.retain(|&at| !said.throws.contains(&signature.throws[at].ty));
    }

    /// Returns all that a signature has to document in a notation.
    #[must_use]
    pub fn whole(signature: &Signature, holds: fn(EntryKind) -> bool) -> Self {
        let named = |exempt: bool, has_name: bool| !exempt && has_name && holds(EntryKind::Param);
        let returns = &signature.returns;
        Self {
            params: signature
                .parameters
                .iter()
                .map(|p| named(p.exempt || p.told, p.named().is_some()))
                .collect(),
            typeparams: vec![holds(EntryKind::TypeParam); signature.type_parameters.len()],
            returns: returns.value == Answer::Yes && !returns.exempt && holds(EntryKind::Returns),
            yields: returns.yields && !returns.exempt && !returns.wrapped && holds(EntryKind::Yields),
            throws: if holds(EntryKind::Throws) { thrown_once(&signature.throws) } else { Vec::new() },
            passed: false,
        }
    }

    /// Takes away the subjects of which nothing is ever owed.
    #[must_use]
    pub fn without_never(mut self, demand: Demand) -> Self {
        if demand.param == Owe::Never {
            self.params.fill(false);
        }
        if demand.typeparam == Owe::Never {
            self.typeparams.fill(false);
        }
        if demand.returns == Owe::Never {
            self.returns = false;
            self.yields = false;
        }
        if demand.throws == Owe::Never {
            self.throws.clear();
        }
        self
    }
}

fn notation_of(doc: &DocComment) -> fn(EntryKind) -> bool {
    notations::get(doc.notation).map_or(|_| true, |notation| notation.holds)
}

/// Returns the exceptions to be documented, one a type: the declared before the thrown, the thrown
/// before those of guards. What is exempt, or only perhaps leaves, is not among them.
fn thrown_once(throws: &[Thrown]) -> Vec<usize> {
    let mut order: Vec<usize> = (0..throws.len()).collect();
    order.sort_by_key(|&at| throws[at].origin);
    let mut out: Vec<usize> = Vec::new();
    for at in order {
        let thrown = &throws[at];
        let known = out.iter().any(|&other| throws[other].ty == thrown.ty);
        if !known && !thrown.exempt && thrown.leaves == Answer::Yes && thrown.origin != Origin::Callee {
            out.push(at);
        }
    }
    out
}

/// Tells whether a line ends in the middle of a sentence.
fn breaks_off(line: &str) -> bool {
    let last = line.rsplit(' ').next().unwrap_or_default();
    line.ends_with(',') || matches!(last, "and" | "or" | "that" | "which" | "who" | "it" | "then" | "to")
}

/// Returns what a comment says outside of its entries, lines joined by spaces and paragraphs by line breaks.
///
/// What stands behind a blank line is no longer surely an entry's, nor is what says on a line of its own what is returned.
fn told(source: &Source, doc: &DocComment) -> String {
    let mut out = String::new();
    let mut entries = doc.entries.iter().peekable();
    let (mut entry_row, mut entry_ends) = (0, 0);
    for (at, &line) in doc.lines.iter().enumerate() {
        while let Some(entry) = entries.next_if(|entry| entry.lines.0 as usize <= at) {
            (entry_row, entry_ends) = (entry.lines.0 as usize, entry.lines.1 as usize);
        }
        let text = source.slice(line).trim();
        // In an entry a sentence of its own may say it; one that goes on from the line above speaks of the entry.
        let mut inside = entry_ends > at;
        let lead = |row: usize| {
            let line = source.slice(doc.lines[row]);
            line.len() - line.trim_start().len()
        };
        let as_far_left = || at > entry_row && lead(at) <= lead(entry_row);
        // A field of reStructuredText goes on further to the right ("Field Lists").
        if inside && doc.notation.as_str() == "rest" && !text.is_empty() && as_far_left() {
            (inside, entry_ends) = (false, 0);
            out.push('\n');
        }
        // Below a command another sentence begins as far left as it, where it does not end in the middle of one.
        let above = || source.slice(doc.lines[at - 1]).trim_end();
        let below_command = || doc.notation.as_str() == "commands" && as_far_left() && !breaks_off(above());
        let begins = || at > 0 && (above().ends_with('.') || below_command());
        let says_return = || {
            ["Return ", "Returns "].iter().any(|word| text.starts_with(word))
                || begins() && ["return ", "returns "].iter().any(|word| text.starts_with(word))
        };
        if text.is_empty() {
            entry_ends = 0;
            out.push('\n');
        } else if !inside || says_return() {
            if text.ends_with(':') || inside {
                // A heading begins a paragraph, whatever stands above it: `Returns:`.
                out.push('\n');
            }
            out.push_str(text);
            out.push(' ');
        }
    }
    out
}
