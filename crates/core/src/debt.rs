//! What a comment owes: which parameters, return values and exceptions it must speak of.

use crate::answers::{iterates, names_a_value, sentence_answers, speaks_of_yielding, summary_answers};
use crate::index::Family;
use crate::model::{
    Answer, Construction, Declaration, DocComment, EntryKind, Kind, Mark, MarkStanding, Origin, Said,
    Signature, Thrown, Variadic,
};
use crate::notations;
use crate::pairing::Pairing;
use crate::reading::{Demand, Hierarchy, Owe};
use crate::text::{Source, Span};

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
        let construction = debtor.declaration.construction;
        let on_type = kind.is_type() && kind != Kind::Delegate;
        let has_params = doc.has(EntryKind::Param);
        let mut demand = debtor.demand;
        if on_type && construction != Construction::Header {
            demand.param = demand.param.max(Owe::OnceStarted);
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
        let named_in_prose = !has_params && names_a_value(&summary);
        returns &= demand.returns == Owe::Always || !(named_in_prose || summary_answers(&summary));
        if (by_text && returns) || named {
            let text = told(debtor.source, doc);
            let whole = debtor.source.slice(doc.span);
            // "Yields each crate" tells what an iterator gives that was made elsewhere.
            let iterator = debtor.signature.returns.ty.map_or("", |ty| debtor.source.slice(ty));
            let iterates = iterator.contains("Iter") || iterator.contains("Generator");
            returns &= !(by_text && (sentence_answers(&text) || iterates && speaks_of_yielding(&text)));
            thrown.retain(|&at| {
                let thrown = &debtor.signature.throws[at];
                !named || has_entry(doc, thrown) || !names_exception((&text, whole), thrown)
            });
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
        out.pay_by_text(debtor, doc, demand);
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

    /// Sets aside what the text of a comment says of parameters, and what it leaves to another place.
    fn pay_by_text(&mut self, debtor: &Debtor<'_>, doc: &DocComment, demand: Demand) {
        let has_params = doc.has(EntryKind::Param);
        let links = if debtor.links_answer && demand.param != Owe::Always {
            doc.prose(debtor.source, doc.span)
        } else {
            String::new()
        };
        // Where no parameter has an entry, the text may well speak of each: `the tank \a number`.
        let inline = doc.notation.as_str() == "commands" && !has_params && demand.param != Owe::Always;
        let spoken_of = if inline && self.params.contains(&true) {
            spoken_of(debtor.source.slice(doc.span))
        } else {
            Vec::new()
        };
        let aliases =
            if self.params.contains(&true) { told_of(debtor.source, doc, demand.param) } else { Vec::new() };
        let marked =
            |name: &str| doc.notation.as_str() == "tags" && doc.marks.iter().any(|mark| mark.name == name);
        // What can be chained gives back its object, and what is a class its instance; a function's type,
        // `@type {Handler}`, says what it takes and gives.
        let typed = marked("type");
        self.returns &= demand.returns == Owe::Always
            || (!(typed || ["chainable", "class", "constructor"].into_iter().any(marked))
                && for_tools(debtor.source, doc, "return").next().is_none());
        for (owed, parameter) in self.params.iter_mut().zip(&debtor.signature.parameters) {
            *owed &= !parameter.named().is_some_and(|name| aliases.contains(&name.as_str()));
            *owed &= !parameter.named().is_some_and(|name| spoken_of.contains(&name.as_str()));
            *owed &= !((typed || parameter.typed_enough) && demand.param != Owe::Always);
            // Its parts are told one by one.
            *owed &= !parameter.named().is_some_and(|name| {
                doc.entries_of(EntryKind::Property)
                    .any(|part| part.name().is_some_and(|part| part.name == *name))
            });
            // A link to a parameter in the text says what it is.
            *owed &= !parameter.named().is_some_and(|name| links.contains(&format!("[{name}]")));
        }
        // Of several tags on one line, only the first is read as one, and of commands none behind a text.
        let only = match doc.lines[..] {
            [line] => debtor.source.slice(line).trim_start(),
            _ => "",
        };
        let behind = match doc.notation.as_str() {
            "tags" => only.strip_prefix('@').unwrap_or_default(),
            "commands" => only,
            _ => "",
        };
        if behind.contains(['@', '\\']) {
            let told =
                |tag: &str| behind.match_indices(tag).any(|(at, _)| behind[..at].ends_with(['@', '\\']));
            self.returns &= !told("return");
            let names: Vec<&str> = behind.split("param").skip(1).map(name_behind_tag).collect();
            for (owed, parameter) in self.params.iter_mut().zip(&debtor.signature.parameters) {
                *owed &= !parameter.named().is_some_and(|name| names.contains(&name.as_str()));
            }
        }
        // Most texts have none of the words.
        let may_refer = || {
            let text = debtor.source.slice(doc.span).as_bytes();
            REFERRING.iter().any(|word| memchr::memmem::find(text, word).is_some())
        };
        let owing = self.params.contains(&true) || self.returns || !self.throws.is_empty();
        if demand.param != Owe::Always && owing && may_refer() {
            let told = told(debtor.source, doc);
            let text = told.to_ascii_lowercase();
            let says = |phrases: &[&str]| phrases.iter().any(|phrase| text.contains(phrase));
            let begins = |phrase: &&str| text.trim_start().starts_with(*phrase);
            let all_elsewhere = says(WHOLE_ELSEWHERE)
                || LIKE_ANOTHER.iter().any(begins)
                || is_unsupported(&text)
                || (doc.entries_of(EntryKind::Param).next().is_none() && sends_elsewhere(&told));
            if all_elsewhere || says(PARAMS_ELSEWHERE) {
                self.params.fill(false);
            }
            self.returns &= !all_elsewhere || demand.returns == Owe::Always;
            if all_elsewhere && demand.throws != Owe::Always && !doc.has(EntryKind::Throws) {
                self.throws.clear();
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

/// Returns the names that a text marks as those of parameters: `\a load`, `@p load`.
fn spoken_of(text: &str) -> Vec<&str> {
    let marked = text.split(['\\', '@']).skip(1).filter_map(|rest| {
        let rest = ["a ", "p ", "c "].iter().find_map(|command| rest.strip_prefix(command))?.trim_start();
        let end = rest.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(rest.len());
        (end > 0).then(|| &rest[..end])
    });
    marked.collect()
}

/// Parts of words without which a comment sends its reader nowhere: one of them is in each phrase below.
const REFERRING: &[&[u8]] = &[
    b"same", b"Same", b"ocument", b"escri", b"etails", b"nformation", b"lias ", b"rameters as",
    b"guments as", b"dentical", b"hortcut for", b"supported", b"ike `", b"ike [`", b"ike :", b"ike {@",
    b"for the parameters", b"for the arguments", b"meaning", b"ynonym ",
];

/// Words, in lower case, by which a comment sends its reader to another for everything.
const WHOLE_ELSEWHERE: &[&str] = &[
    "for full documentation",
    "for the full documentation",
    "for complete documentation",
    "for the complete documentation",
    "for a full description",
    "for a complete description",
    "for documentation of this",
    "for the documentation of this",
    "for documentation.",
    "synonym for ",
    "synonym of ",
    "for documentation)",
];

/// Words, in lower case, with which a comment begins that leaves all to another.
const LIKE_ANOTHER: &[&str] = &[
    "same as ", "alias for ", "alias of ", "an alias for ", "an alias of ", "behaves identically to ",
    "identical to ", "shortcut for ", "a shortcut for ", "like `", "like [`", "like :", "like {@",
];

/// Words, in lower case, by which a comment sends its reader to another for the parameters.
const PARAMS_ELSEWHERE: &[&str] = &[
    "same parameters",
    "same arguments",
    "same options as",
    "same keyword arguments",
    "parameters are the same",
    "arguments are the same",
    "parameters as for",
    "arguments as for",
    "same meaning as",
    "for a description of the parameters",
    "for a description of the arguments",
    "for parameter descriptions",
    "for parameter meaning",
    "for the meaning of the parameters",
    "for the meaning of the arguments",
    "for descriptions of the parameters",
    "for details on the parameters",
    "for details of the parameters",
    "for information on the parameters",
    "parameters are described in",
    "arguments are described in",
    "parameters are documented in",
];

/// Tells whether a sentence of a text sends its reader to other code: "See `weigh` for details", "for more information, see
/// `weigh`", "See PressScale for more info on the parameters".
fn sends_elsewhere(text: &str) -> bool {
    let sentences = text.split('\n').flat_map(|paragraph| paragraph.split(". "));
    let mut sentences = sentences.map(|one| one.trim().trim_start_matches("<p>").trim_end_matches('.'));
    sentences.any(|sentence| {
        let lower = sentence.to_ascii_lowercase();
        let is_type = |place: &str| {
            sentence.split_whitespace().any(|word| word.eq_ignore_ascii_case(place) && is_mixed(word))
        };
        place_of_details(&lower).is_some_and(|place| is_code(place) || is_type(place))
    })
}

/// Tells whether a word has a capital inside and no signs, as the names of types do.
fn is_mixed(word: &str) -> bool {
    word.chars().all(char::is_alphanumeric)
        && word.chars().skip(1).any(char::is_uppercase)
        && word.contains(char::is_lowercase)
}

/// Returns where a sentence, in lower case, sends its reader for details.
fn place_of_details(sentence: &str) -> Option<&str> {
    const SENDS: &[&str] = &["see ", "- see ", "please see ", "refer to ", "please refer to ", "see also "];
    const DETAILS: &[&str] = &["details", "information", "info"];
    let sent = |text: &str| SENDS.iter().find(|words| text.starts_with(**words)).map(|words| words.len());
    let (what, place) = if let Some(behind) = sent(sentence) {
        let (place, what) = sentence[behind..].rsplit_once(" for ")?;
        (what, place)
    } else {
        let (what, rest) = sentence.strip_prefix("for ")?.split_once(", ")?;
        (what, &rest[sent(rest)?..])
    };
    let more = what.strip_prefix("more ").and_then(|what| what.split_once(' ')).map_or("", |(word, _)| word);
    let is_asked = |word: &&str| what.ends_with(*word) || more == *word;
    (DETAILS.iter().any(is_asked) || ["parameters", "arguments"].iter().any(|word| what.contains(word)))
        .then_some(place)
}

/// Tells whether a text, in lower case, says no more than that nothing is done: "Not supported by sealed crates."
fn is_unsupported(text: &str) -> bool {
    let mut paragraphs = text.split('\n').map(str::trim).filter(|paragraph| !paragraph.is_empty());
    let first = paragraphs.next().unwrap_or_default();
    let begins = ["not supported", "unsupported"].iter().any(|words| first.starts_with(words));
    // Headings of entries say nothing themselves.
    begins && !first.contains(". ") && paragraphs.all(|paragraph| paragraph.ends_with(':'))
}

/// Tells whether what a reader is sent to is code, by how it is written, or the comment of it.
fn is_code(place: &str) -> bool {
    place == "above"
        || place.contains(['_', '(', '`', '#', '\\', '@'])
        || place.contains("::")
        || ["documentation", "docstring"].iter().any(|word| place.contains(word))
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

/// Returns the name behind a tag for a parameter, and behind a direction or a type: `[in] load`, `{number} load`.
fn name_behind_tag(behind: &str) -> &str {
    let behind = behind.trim_start();
    let qualified = behind.starts_with(['[', '{']);
    let named = if qualified { behind.split_once([']', '}']).map(|(_, named)| named) } else { None };
    named.unwrap_or(behind).split_whitespace().next().unwrap_or_default()
}

/// Returns the names of parameters that a comment speaks of without an entry.
fn told_of<'a>(source: &'a Source, doc: &'a DocComment, demand: Owe) -> Vec<&'a str> {
    let mut names = tag_aliases(source, doc);
    // Whoever demands an entry always is not content with one that only tools read, or people.
    if demand != Owe::Always {
        let words = for_tools(source, doc, "param").flat_map(str::split_whitespace);
        names.extend(words.filter_map(|word| word.trim_start_matches(['&', '.']).strip_prefix('$')));
        names.extend(listed(source, doc));
        names.extend(listed_keys(source, doc));
    }
    names
}

/// Returns the first words behind tags that the notation does not know: a project may have made its own for parameters
/// of a type, `@crate first the crate to weigh`.
fn tag_aliases<'a>(source: &'a Source, doc: &DocComment) -> Vec<&'a str> {
    if doc.notation.as_str() == "commands" {
        // A project may have made a command for a parameter that many functions take: `\type_id`.
        let own = doc.marks.iter().map(|mark| source.slice(mark.span).trim_start_matches(['@', '\\']));
        // An item of a list there, by which some write their parameters.
        let items = doc.lines.iter().map(|line| source.slice(*line).trim_start());
        let items =
            items.filter_map(|line| line.strip_prefix("@arg ").or_else(|| line.strip_prefix("\\arg ")));
        return items.filter_map(|item| item.split_whitespace().next()).chain(own).collect();
    }
    if doc.notation.as_str() == "tags" {
        // A tag that is a parameter's name tells of it: `@load [Number] what lies on it`.
        let own = doc.marks.iter().filter(|mark| mark.standing != MarkStanding::Known);
        return own.map(|mark| source.slice(mark.span).trim_start_matches('@')).collect();
    }
    if doc.notation.as_str() != "annotations" {
        return Vec::new();
    }
    let unknown = doc.marks.iter().filter(|mark| mark.standing == MarkStanding::Unknown);
    unknown
        .filter_map(|mark| {
            let line = doc.lines.get(mark.lines.0 as usize)?;
            let behind = source.slice(Span::new(mark.span.end, line.end.max(mark.span.end)));
            // Modifiers may follow the tag: `@crate[opt] first`.
            let behind = match behind.strip_prefix('[') {
                Some(rest) => rest.split_once(']')?.1,
                None => behind,
            };
            behind.split_whitespace().next()
        })
        .collect()
}

/// Returns the lines of tags that tools read in the place of `kind`, and more exactly: `@crate-param list<Crate> $first`.
fn for_tools<'a>(
    source: &'a Source,
    doc: &'a DocComment,
    kind: &'static str,
) -> impl Iterator<Item = &'a str> {
    let named = move |mark: &&Mark| {
        mark.name.as_str().rsplit_once('-').is_some_and(|(_, end)| end == kind)
            && doc.notation.as_str() == "tags"
    };
    let rows = doc.marks.iter().filter(named).flat_map(|mark| mark.lines.0..mark.lines.1);
    rows.filter_map(|row| doc.lines.get(row as usize)).map(|&line| source.slice(line))
}

/// Returns the names that lines outside of entries open with, in a form of the author's own: `load (float): what to
/// weigh`, `:load: what to weigh`, `* load, crate - what to weigh`, `load` above its description, or "The `load` argument is".
fn listed<'a>(source: &'a Source, doc: &'a DocComment) -> impl Iterator<Item = &'a str> {
    let is_entry = |row: u32| doc.entries.iter().any(|entry| entry.lines.0 <= row && row < entry.lines.1);
    // A list below an entry may go on with others.
    let is_item =
        |line: Span| doc.notation.as_str() == "google" && source.slice(line).trim_start().starts_with("- ");
    let rows = doc.lines.iter().zip(0..).filter(move |&(line, row)| !is_entry(row) || is_item(*line));
    let indent = |line: &str| line.len() - line.trim_start().len();
    // Elsewhere a word alone on its line is the last of a paragraph.
    let in_docstring = matches!(doc.notation.as_str(), "google" | "numpy" | "rest" | "epytext");
    let describes_below = move |row: u32, line: &str| {
        let below = doc.lines.get(row as usize + 1).map_or("", |&below| source.slice(below));
        in_docstring && !below.trim().is_empty() && indent(below) > indent(line)
    };
    let told_in = move |(&line, row): (&Span, u32)| {
        let whole = source.slice(line);
        let line = whole.trim_start();
        if let Some(names) = names_before_noun(line) {
            return Some(names);
        }
        let marked = line.strip_prefix("The ").filter(|rest| rest.starts_with(['`', '*']));
        let opening = marked.unwrap_or(line).trim_start_matches(['*', '-', '+', ' ', '`', ':']);
        let (names, behind) = names_ahead(opening);
        let behind = behind.trim_start_matches(['`', '*']).trim_start();
        let noun = ["argument ", "parameter "].iter().find_map(|noun| behind.strip_prefix(noun));
        let behind = noun.unwrap_or(behind);
        let behind = match behind.strip_prefix('(') {
            Some(inner) => inner.split_once(')')?.1.trim_start(),
            None => behind,
        };
        if matches!(behind.trim_end(), "" | ":") && describes_below(row, whole) {
            return Some(names);
        }
        // `- load is the weight in kg`
        if behind.split_whitespace().next().is_some_and(|word| SAYING.contains(&word)) {
            return Some(names);
        }
        let text = behind.strip_prefix([':', '-', '–', '—', '='])?;
        // A value or an operator (`load::mass`, `load->mass`) follows at once.
        (text.starts_with(' ') && text.trim().len() > 2).then_some(names)
    };
    let is_word = |c: char| c.is_alphanumeric() || c == '_';
    rows.filter_map(told_in).flat_map(move |names| names.split(move |c| !is_word(c)))
}

/// Returns what stands before the word for parameters in a sentence that opens with them: "The `load` and `crate` arguments
/// are".
fn names_before_noun(line: &str) -> Option<&str> {
    let rest = line.strip_prefix("The ")?;
    let end = [" argument", " parameter"].iter().filter_map(|noun| rest.find(noun)).min()?;
    let names = &rest[..end];
    (names.split(' ').count() < 8).then_some(names)
}

/// Divides a text behind the names that it opens with, one or several with commas between, brackets around them or none.
fn names_ahead(text: &str) -> (&str, &str) {
    let is_name = |c: char| c.is_alphanumeric() || c == '_';
    let bracketed = text.strip_prefix('(').and_then(|inner| inner.split_once(')'));
    if let Some(found) = bracketed.filter(|(names, _)| names.chars().all(|c| is_name(c) || ", ".contains(c)))
    {
        return found;
    }
    let mut end = 0;
    loop {
        end += text[end..].find(|c: char| !is_name(c)).unwrap_or(text.len() - end);
        match text[end..].strip_prefix(", ") {
            Some(next) if next.starts_with(is_name) => end += 2,
            _ => return text.split_at(end),
        }
    }
}

/// Returns the keys that items of a list in an entry open with, as Ruby writes them: "- `:unit => 'kg'`: what to count in".
fn listed_keys<'a>(source: &'a Source, doc: &'a DocComment) -> impl Iterator<Item = &'a str> {
    let rows = doc.entries.iter().filter(|_| doc.notation.as_str() == "tags");
    rows.flat_map(|entry| entry.lines.0 + 1..entry.lines.1).filter_map(|row| {
        let item = source.slice(*doc.lines.get(row as usize)?).trim_start();
        let key = item.strip_prefix(['-', '*'])?.trim_start().trim_start_matches('`').strip_prefix(':')?;
        let end = key.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(key.len());
        (end > 0).then(|| &key[..end])
    })
}

/// What follows the name at the beginning of a line that says what a parameter is.
const SAYING: &[&str] = &[
    "is", "are", "contains", "holds", "needs", "must", "may", "can", "should", "gives", "tells", "says",
    "specifies", "points",
];

/// Returns what a comment says outside of its entries, lines joined by spaces and paragraphs by line breaks.
///
/// What stands behind a blank line is no longer surely an entry's, nor is what says on a line of its own what is returned.
fn told(source: &Source, doc: &DocComment) -> String {
    let mut out = String::new();
    let mut entries = doc.entries.iter().peekable();
    let mut entry_ends = 0;
    for (at, &line) in doc.lines.iter().enumerate() {
        while let Some(entry) = entries.next_if(|entry| entry.lines.0 as usize <= at) {
            entry_ends = entry.lines.1 as usize;
        }
        let text = source.slice(line).trim();
        // In an entry a sentence of its own may say it; one that goes on from the line above speaks of the entry.
        let inside = entry_ends > at;
        let begins = || at > 0 && source.slice(doc.lines[at - 1]).trim_end().ends_with('.');
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

/// Returns the last part of a type's name, however it is qualified.
fn last_part(name: &str) -> &str {
    name.rsplit(['.', ':', '\\']).next().unwrap_or_default()
}

/// Tells whether an exception has an entry under its own name, however qualified.
fn has_entry(doc: &DocComment, thrown: &Thrown) -> bool {
    let wanted = last_part(thrown.ty.as_str());
    doc.entries_of(EntryKind::Throws).any(|entry| {
        entry.names.is_empty() || entry.names.iter().any(|name| last_part(name.name.as_str()) == wanted)
    })
}

/// Tells whether a text says that an error, of whatever type, comes.
fn speaks_of_errors(text: &str) -> bool {
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

/// Tells whether a comment says by name what is thrown, wherever; or outside of its entries, where no type is named,
/// that something is.
fn names_exception((told, whole): (&str, &str), thrown: &Thrown) -> bool {
    // Whoever says that some error comes has said that one does.
    if speaks_of_errors(told) {
        return true;
    }
    match thrown.ty.as_str() {
        "throws" => {
            let words = ["throws", "Throws", "thrown", "throw", "rethrows", "Rethrows"];
            words.iter().any(|word| has_word(told, word))
        }
        ty => !last_part(ty).is_empty() && has_word(whole, last_part(ty)),
    }
}

/// Tells whether the text of a comment, outside of its entries, names an exception.
pub(crate) fn text_names(source: &Source, doc: &DocComment, exception: &str) -> bool {
    let name = last_part(exception);
    !name.is_empty() && has_word(&told(source, doc), name)
}

/// Tells whether a text has a word, by itself.
fn has_word(text: &str, word: &str) -> bool {
    let part = |c: char| c.is_alphanumeric() || c == '_';
    text.match_indices(word)
        .any(|(at, word)| !text[..at].ends_with(part) && !text[at + word.len()..].starts_with(part))
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

#[cfg(test)]
mod tests {
    use super::{
        LIKE_ANOTHER, PARAMS_ELSEWHERE, REFERRING, WHOLE_ELSEWHERE, is_unsupported, sends_elsewhere,
    };

    #[test]
    fn every_phrase_that_refers_has_a_word_that_is_looked_for() {
        let phrases = WHOLE_ELSEWHERE.iter().chain(LIKE_ANOTHER).chain(PARAMS_ELSEWHERE);
        for phrase in phrases {
            let text = phrase.as_bytes();
            assert!(
                REFERRING.iter().any(|word| memchr::memmem::find(text, word).is_some()),
                "{phrase}: no word of it is looked for"
            );
        }
    }

    #[test]
    fn what_is_not_supported_asks_for_no_entries() {
        assert!(is_unsupported("not supported by sealed crates."));
        assert!(!is_unsupported("not supported by sealed crates. opens the crate."));
        assert!(!is_unsupported("opens the crate."));
    }

    #[test]
    fn a_text_may_send_its_reader_to_other_code() {
        assert!(sends_elsewhere("weighs a crate. see weigh_all() for more details. "));
        assert!(sends_elsewhere("weighs a crate. \n for further information, see `weigh`."));
        assert!(sends_elsewhere("weighs a crate. - see above for the parameters and the return value. "));
        assert!(sends_elsewhere("refer to the documentation of this class for more information."));
        assert!(!sends_elsewhere("weighs a crate. for details on the law, see the handbook."));
        assert!(!sends_elsewhere("weighs a crate. see the scale for its load."));
        assert!(sends_elsewhere("Weighs a crate. See PressScale for more info on the loads. "));
        assert!(!sends_elsewhere("Weighs a crate. See Weigher for details."));
        assert!(!sends_elsewhere("see [weigher 1987] for details."));
    }
}
