//! Finds the declarations of a text by the patterns of its profile.

use super::parameters;
use super::profile::{Profile, Rule, Sort};
use super::scan::Scanned;
use crate::model::{
    Answer, Body, DeclId, Declaration, Kind, Name, Origin, Outline, Returns, Surface, Thrown,
};
use crate::text::{Span, narrow};

/// What a place in the text matched, for people who write profiles.
#[derive(Default)]
pub(super) struct Notes(pub(super) Vec<(usize, String)>);

impl Notes {
    fn add(&mut self, at: usize, what: impl Into<String>) {
        self.0.push((at, what.into()));
    }
}

/// A place where a declaration begins.
struct Start {
    at: usize,
    rule: usize,
    /// Where the pattern's match ends.
    end: usize,
    name: Span,
    /// The word for its kind.
    word: String,
    parameters: Option<Span>,
}

/// A place where a declaration ends.
struct End {
    at: usize,
    end: usize,
    /// The only rule whose declarations it ends; those without an end of their own where there is none.
    rule: Option<usize>,
    word: Option<String>,
    name: Option<String>,
}

/// A declaration that is not closed yet.
struct Open {
    /// None for a scope that declares nothing.
    id: Option<DeclId>,
    rule: usize,
    word: String,
    name: String,
    start: usize,
}

impl Open {
    /// Tells whether the words of an end name this declaration.
    fn is_named(&self, profile: &Profile, end: &End) -> bool {
        end.name.as_ref().is_none_or(|name| *name == profile.folded(&self.name))
    }
}

/// Finds all declarations; `scanned.comments` are left to be attached.
pub(super) fn declare(profile: &Profile, scanned: &Scanned, notes: &mut Notes) -> Outline {
    let starts = starts(profile, scanned, notes);
    let ends = ends(profile, scanned, notes);
    let after: Vec<Vec<usize>> = profile.rules.iter().map(|rule| positions(rule, scanned)).collect();
    let mut build = Build {
        profile,
        scanned,
        outline: Outline::default(),
        rules: Vec::new(),
        open: Vec::new(),
        header_end: 0,
        refused: Vec::new(),
    };
    let mut ends = ends.into_iter().peekable();
    let mut accepted = Vec::new();
    for start in &starts {
        while let Some(end) = ends.next_if(|end| end.at <= start.at) {
            build.close(&end);
        }
        let rule = &profile.rules[start.rule];
        if start.at < build.header_end || !build.is_after(start, rule, &after[start.rule]) {
            continue;
        }
        notes.add(start.at, described(start));
        accepted.push(start.at);
        build.open(start, rule, notes);
    }
    for end in ends {
        build.close(&end);
    }
    build.close_all();
    build.find_later_parameters(notes);
    build.find_flow(notes);
    build.find_missed(&accepted, notes);
    build.outline
}

fn described(start: &Start) -> String {
    let kind = if start.word.is_empty() { String::new() } else { format!(", kind `{}`", start.word) };
    format!("declaration {}{kind}", start.rule + 1)
}

/// Returns the offset of the first thing in a match that is not white space.
fn first(found: &regex::Match<'_>) -> usize {
    found.start() + found.as_str().len() - found.as_str().trim_start().len()
}

fn starts(profile: &Profile, scanned: &Scanned, notes: &mut Notes) -> Vec<Start> {
    let mut out: Vec<Start> = Vec::new();
    let excepted: Vec<usize> = profile
        .except
        .as_ref()
        .map_or(Vec::new(), |except| except.find_iter(&scanned.code).map(|found| first(&found)).collect());
    for &at in &excepted {
        notes.add(at, "except");
    }
    for (number, rule) in profile.rules.iter().enumerate() {
        for found in rule.pattern.captures_iter(&scanned.code) {
            let (Some(whole), Some(name)) = (found.get(0), found.name("name")) else { continue };
            let at = first(&whole);
            if name.as_str().trim().is_empty() || scanned.in_string(at) || excepted.binary_search(&at).is_ok()
            {
                continue;
            }
            let word = found.name("kind").map_or_else(String::new, |kind| profile.folded(kind.as_str()));
            out.push(Start {
                at,
                rule: number,
                end: whole.end(),
                name: Span::of(name.start(), name.end()),
                word: word.split_whitespace().collect::<Vec<_>>().join(" "),
                parameters: found.name("parameters").map(|list| Span::of(list.start(), list.end())),
            });
        }
    }
    out.sort_by_key(|start| (start.at, start.rule));
    out.dedup_by_key(|start| start.at);
    out
}

fn ends(profile: &Profile, scanned: &Scanned, notes: &mut Notes) -> Vec<End> {
    let mut out = Vec::new();
    let own = profile.rules.iter().enumerate().filter_map(|(at, rule)| Some((rule.end.as_ref()?, Some(at))));
    for (pattern, rule) in profile.end.iter().map(|end| (end, None)).chain(own) {
        for found in pattern.captures_iter(&scanned.code) {
            let Some(whole) = found.get(0) else { continue };
            let at = first(&whole);
            if scanned.in_string(at) {
                continue;
            }
            notes.add(at, "end");
            let said = |group: &str| found.name(group).map(|said| profile.folded(said.as_str().trim()));
            let end = whole.start() + whole.as_str().trim_end().len();
            out.push(End { at, end, rule, word: said("kind"), name: said("name") });
        }
    }
    out.sort_by_key(|end| end.at);
    out
}

fn positions(rule: &Rule, scanned: &Scanned) -> Vec<usize> {
    let Some(pattern) = &rule.only_after else { return Vec::new() };
    pattern.find_iter(&scanned.code).map(|found| first(&found)).collect()
}

struct Build<'p> {
    profile: &'p Profile,
    scanned: &'p Scanned,
    outline: Outline,
    /// The rule of each declaration.
    rules: Vec<usize>,
    open: Vec<Open>,
    /// Where the header of the last declaration ends.
    header_end: usize,
    /// Lists of parameters that were not understood.
    refused: Vec<Span>,
}

impl Build<'_> {
    /// Tells whether a declaration of this rule counts here.
    fn is_after(&self, start: &Start, rule: &Rule, after: &[usize]) -> bool {
        if rule.only_after.is_none() {
            return true;
        }
        let around = self
            .open
            .iter()
            .rev()
            .find(|open| open.rule != start.rule && self.profile.rules[open.rule].nests);
        let from = around.map_or(0, |open| open.start);
        let last = after[..after.partition_point(|&at| at < start.at)].last();
        last.is_some_and(|&at| at >= from)
    }

    fn open(&mut self, start: &Start, rule: &Rule, notes: &mut Notes) {
        if !rule.nests {
            self.close_flat(start.at);
        }
        let code = &self.scanned.code;
        let name = code[start.name.range()].to_owned();
        let sort = match self.profile.kinds.get(&start.word) {
            Some(&sort) => sort,
            None => rule
                .sort
                .or_else(|| Kind::find(&start.word).map(Sort::Of))
                .unwrap_or(Sort::Of(Kind::Function)),
        };
        let mut opened = Open {
            id: None,
            rule: start.rule,
            word: start.word.clone(),
            name: name.clone(),
            start: start.at,
        };
        if let Sort::Of(kind) = sort {
            let id = DeclId(narrow(self.outline.declarations.len()));
            let declaration = self.declaration(start, rule, (kind, &name), notes);
            self.outline.declarations.push(declaration);
            self.rules.push(start.rule);
            opened.id = Some(id);
        }
        self.open.push(opened);
    }

    fn declaration(
        &mut self,
        start: &Start,
        rule: &Rule,
        (kind, name): (Kind, &str),
        notes: &mut Notes,
    ) -> Declaration {
        let scanned = self.scanned;
        let begin = self.with_lead(start.at, notes);
        let mut header_end = start.end;
        let mut declaration = Declaration::new(kind, Name::new(name), start.name, Span::of(begin, start.end));
        // Parameters follow the header where the pattern names no place for them.
        let at_end = rule.parameters_until.is_some()
            && !rule.pattern.capture_names().flatten().any(|n| n == "parameters");
        let group = start.parameters.or_else(|| at_end.then(|| Span::of(start.end, start.end)));
        if let Some(group) =
            group.filter(|_| rule.parameters_at.is_none() && (kind.is_callable() || !kind.is_type()))
        {
            let listed = parameters::read(rule, scanned, group, scanned.code.len());
            header_end = header_end.max(listed.end);
            for parameter in &listed.parameters {
                notes.add(
                    parameter.span.start as usize,
                    format!("parameter `{}`", &scanned.code[parameter.span.range()]),
                );
            }
            declaration.signature.parameters = listed.parameters;
            if let Some(doubtful) = listed.doubtful {
                declaration.signature.hidden = true;
                self.refused.push(doubtful);
            }
        }
        self.header_end = header_end;
        let header_end = begin + scanned.code[begin..header_end].trim_end().len();
        declaration.header_end = narrow(header_end);
        declaration.body = Body::Present;
        let owner = self.open.iter().rev().find_map(|open| open.id);
        declaration.owner = owner;
        let scopes: Vec<&str> = self.open.iter().map(|open| open.name.as_str()).collect();
        // The owners' names as they are written, not as they are compared.
        let written = self
            .open
            .iter()
            .rev()
            .find_map(|open| open.id)
            .map(|id| &self.outline.declarations[id.0 as usize].qualified);
        let qualified = match written {
            Some(owner) => format!("{owner}.{name}"),
            None if scopes.is_empty() => name.to_owned(),
            None => format!("{}.{name}", scopes.join(".")),
        };
        declaration.qualified = qualified.as_str().into();
        let header = &scanned.code[start.at..header_end];
        let own = self
            .profile
            .surfaces
            .iter()
            .find(|(_, pattern)| pattern.is_match(header))
            .map(|&(surface, _)| surface);
        let mut surface = own.or(rule.surface).unwrap_or(Surface::Public);
        if let Some(owner) = owner {
            surface = surface.max(self.outline.declarations[owner.0 as usize].surface);
            if rule.private_when_nested {
                surface = Surface::Private;
            }
        }
        declaration.surface = surface;
        declaration
    }

    /// Returns where a declaration begins with the lines above that belong to it.
    fn with_lead(&self, at: usize, notes: &mut Notes) -> usize {
        let code = &self.scanned.code;
        let mut begin = at;
        let Some(lead) = &self.profile.lead else { return begin };
        loop {
            let line_start = code[..begin].rfind('\n').map_or(0, |found| found + 1);
            let Some(before) = line_start.checked_sub(1) else { return begin };
            let above = code[..before].rfind('\n').map_or(0, |found| found + 1);
            let line = &code[above..before];
            if line.trim().is_empty() || !lead.is_match(line) {
                return begin;
            }
            begin = above + line.len() - line.trim_start().len();
            notes.add(begin, "lead");
        }
    }

    fn close(&mut self, end: &End) {
        let closes = |open: &Open| match end.rule {
            Some(rule) => open.rule == rule,
            None => self.profile.rules[open.rule].has_end && self.profile.rules[open.rule].end.is_none(),
        };
        let says = |open: &Open| end.word.as_ref().is_none_or(|word| *word == open.word);
        let found =
            self.open.iter().rposition(|open| closes(open) && says(open) && open.is_named(self.profile, end));
        let found = found.or_else(|| self.open.iter().rposition(|open| closes(open) && says(open)));
        let Some(found) = found else { return };
        for open in self.open.split_off(found).into_iter().rev() {
            self.set_end(open.id, if open.start >= end.at { open.start } else { end.end });
        }
    }

    /// Closes declarations that do not nest, where another begins.
    fn close_flat(&mut self, at: usize) {
        let Some(found) = self.open.iter().position(|open| !self.profile.rules[open.rule].nests) else {
            return;
        };
        let end = self.scanned.code[..at].trim_end().len();
        for open in self.open.split_off(found) {
            self.set_end(open.id, end);
        }
    }

    fn close_all(&mut self) {
        let end = self.scanned.code.trim_end().len();
        for open in std::mem::take(&mut self.open) {
            self.set_end(open.id, end);
        }
    }

    fn set_end(&mut self, id: Option<DeclId>, end: usize) {
        if let Some(id) = id {
            let declaration = &mut self.outline.declarations[id.0 as usize];
            declaration.span.end = narrow(end).max(declaration.header_end);
        }
    }

    /// Reads the parameters that do not stand in the header.
    fn find_later_parameters(&mut self, notes: &mut Notes) {
        for at in 0..self.rules.len() {
            let rule = &self.profile.rules[self.rules[at]];
            let Some(place) = &rule.parameters_at else { continue };
            let declaration = &self.outline.declarations[at];
            let (from, limit) = (declaration.header_end as usize, declaration.span.end as usize);
            let Some(found) = self.scanned.code.get(..limit).and_then(|code| place.captures_at(code, from))
            else {
                continue;
            };
            if let Some(whole) = found.get(0) {
                notes.add(first(&whole), "parameters-at");
            }
            let Some(group) = found.name("parameters") else { continue };
            let listed = parameters::read(rule, self.scanned, Span::of(group.start(), group.end()), limit);
            for parameter in &listed.parameters {
                notes.add(
                    parameter.span.start as usize,
                    format!("parameter `{}`", &self.scanned.code[parameter.span.range()]),
                );
            }
            let signature = &mut self.outline.declarations[at].signature;
            signature.parameters = listed.parameters;
            if let Some(doubtful) = listed.doubtful {
                signature.hidden = true;
                self.refused.push(doubtful);
            }
        }
    }

    /// Finds what comes back and which exceptions are raised.
    fn find_flow(&mut self, notes: &mut Notes) {
        let profile = self.profile;
        for declaration in self.outline.declarations.iter_mut().zip(&self.rules) {
            let (declaration, &rule) = declaration;
            if profile.rules[rule].returns_value.is_some() {
                declaration.signature.returns = Returns::nothing();
            }
        }
        let mut patterns: Vec<&regex::Regex> = Vec::new();
        for pattern in profile.rules.iter().filter_map(|rule| rule.returns_value.as_ref()) {
            if !patterns.iter().any(|known| known.as_str() == pattern.as_str()) {
                patterns.push(pattern);
            }
        }
        for pattern in patterns {
            for found in pattern.captures_iter(&self.scanned.code) {
                let Some(whole) = found.get(0) else { continue };
                let Some(id) = self.innermost(first(&whole)) else { continue };
                let same = profile.rules[self.rules[id]].returns_value.as_ref();
                if same.is_none_or(|own| own.as_str() != pattern.as_str())
                    || self.scanned.in_string(first(&whole))
                {
                    continue;
                }
                notes.add(first(&whole), "returns-value");
                let returns = &mut self.outline.declarations[id].signature.returns;
                let nothing = found.name("nothing").is_some();
                returns.ty = returns.ty.or(found
                    .name("type")
                    .or_else(|| found.name("nothing"))
                    .map(|ty| Span::of(ty.start(), ty.end())));
                if !nothing {
                    returns.value = Answer::Yes;
                }
            }
        }
        self.find_raised(notes);
    }

    fn find_raised(&mut self, notes: &mut Notes) {
        let Some(raises) = &self.profile.raises else { return };
        let mut guarded = vec![false; self.rules.len()];
        for found in self.profile.catches.iter().flat_map(|catches| catches.find_iter(&self.scanned.code)) {
            if let Some(id) = self.innermost(first(&found)) {
                guarded[id] = true;
            }
        }
        for found in raises.captures_iter(&self.scanned.code) {
            let Some(whole) = found.get(0) else { continue };
            let Some(id) = self.innermost(first(&whole)) else { continue };
            let signature = &mut self.outline.declarations[id].signature;
            let Some(name) = found.name("name") else {
                signature.throws_unknown = true;
                continue;
            };
            notes.add(first(&whole), format!("raises `{}`", name.as_str()));
            signature.throws.push(Thrown {
                ty: Name::simple(name.as_str()),
                span: Span::of(name.start(), name.end()),
                origin: Origin::Body,
                leaves: if guarded[id] { Answer::Unknown } else { Answer::Yes },
                exempt: false,
                condition: None,
                caught: Vec::new(),
                via: None,
            });
        }
        for declaration in &mut self.outline.declarations {
            // What is called may raise as well.
            declaration.signature.opaque = true;
        }
    }

    /// Returns the innermost declaration around an offset.
    fn innermost(&self, at: usize) -> Option<usize> {
        let list = &self.outline.declarations;
        let mut found =
            list.partition_point(|declaration| declaration.span.start as usize <= at).checked_sub(1)?;
        loop {
            if at < list[found].span.end as usize {
                return Some(found);
            }
            found = list[found].owner?.0 as usize;
        }
    }

    /// Lists lines that look like a declaration and are none, and lists that were not understood.
    fn find_missed(&mut self, accepted: &[usize], notes: &mut Notes) {
        let code = &self.scanned.code;
        let line_of = |at: usize| code[..at].rfind('\n').map_or(0, |found| found + 1);
        let taken: Vec<usize> = accepted.iter().map(|&at| line_of(at)).collect();
        let excepted: Vec<usize> = self.profile.except.as_ref().map_or(Vec::new(), |except| {
            except.find_iter(code).map(|found| line_of(first(&found))).collect()
        });
        let mut missed = std::mem::take(&mut self.refused);
        for found in self.profile.loose.iter().flat_map(|loose| loose.find_iter(code)) {
            let at = first(&found);
            let line = line_of(at);
            if taken.binary_search(&line).is_ok()
                || excepted.binary_search(&line).is_ok()
                || self.scanned.in_string(at)
            {
                continue;
            }
            let end = code[at..].find('\n').map_or(code.len(), |found| at + found);
            let text = code[at..end].trim_end();
            notes.add(at, "loose, and no declaration: not understood");
            missed.push(Span::of(at, at + text.len()));
        }
        missed.sort();
        for span in missed {
            match self.outline.unparsed.last_mut().filter(|last| span.start < last.end) {
                Some(last) => *last = last.cover(span),
                None => self.outline.unparsed.push(span),
            }
        }
    }
}
