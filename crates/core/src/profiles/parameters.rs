//! Parameters of a declaration: where their list ends, and what each is.

use regex::Regex;

use super::profile::Rule;
use super::scan::Scanned;
use crate::model::{Name, ParamName, Parameter, Variadic};
use crate::text::Span;

/// Parameters as they were read.
pub(super) struct Listed {
    /// In order.
    pub(super) parameters: Vec<Parameter>,
    /// Where the list ends, the mark of its end included.
    pub(super) end: usize,
    /// A part that is no parameter, or the whole where no end was found.
    pub(super) doubtful: Option<Span>,
}

/// Reads the parameters that begin at `from`; `group` is what the pattern found to be their list, which
/// counts where no end is given. `limit` is where the declaration ends at the latest.
pub(super) fn read(rule: &Rule, scanned: &Scanned, group: Span, limit: usize) -> Listed {
    let from = group.start as usize;
    let (upto, end) = match &rule.parameters_until {
        None => (group.end as usize, group.end as usize),
        Some(until) => match closing(until, scanned, from, limit) {
            Some(found) => found,
            None => {
                let line = scanned.code[from..].find('\n').map_or(scanned.code.len(), |found| from + found);
                return Listed { parameters: Vec::new(), end: line, doubtful: Some(Span::of(from, line)) };
            }
        },
    };
    let mut parameters = Vec::new();
    let mut doubtful = None;
    for part in parts(&rule.split, scanned, from, upto) {
        match one(rule, scanned, part) {
            Part::Parameter(parameter) => parameters.push(*parameter),
            Part::Nothing => {}
            Part::Doubtful(span) => doubtful = doubtful.or(Some(span)),
        }
    }
    Listed { parameters, end, doubtful }
}

/// Finds the first match outside brackets and strings: where it begins, and where it ends.
fn closing(until: &Regex, scanned: &Scanned, from: usize, limit: usize) -> Option<(usize, usize)> {
    let code = &scanned.code;
    let mut depth = Depth::at(from);
    for found in until.find_iter(code.get(from..limit)?) {
        let start = from + found.start();
        let first = start + found.as_str().len() - found.as_str().trim_start().len();
        // A pattern may begin with a bracket of its own.
        if depth.upto(scanned, start) == 0 && !scanned.in_string(first) {
            return Some((start, from + found.end()));
        }
    }
    None
}

/// How deep in brackets a place is; asked for rising places only.
struct Depth {
    at: usize,
    depth: usize,
}

impl Depth {
    const fn at(at: usize) -> Self {
        Self { at, depth: 0 }
    }

    fn upto(&mut self, scanned: &Scanned, upto: usize) -> usize {
        let bytes = scanned.code.as_bytes();
        while self.at < upto {
            match bytes[self.at] {
                b'(' | b'[' | b'{' if !scanned.in_string(self.at) => self.depth += 1,
                b')' | b']' | b'}' if !scanned.in_string(self.at) => {
                    self.depth = self.depth.saturating_sub(1)
                }
                _ => {}
            }
            self.at += 1;
        }
        self.depth
    }
}

/// Splits a list outside brackets and strings.
fn parts(split: &Regex, scanned: &Scanned, from: usize, upto: usize) -> Vec<Span> {
    let mut out = Vec::new();
    let mut start = from;
    let mut depth = Depth::at(from);
    for found in split.find_iter(&scanned.code[from..upto]) {
        let at = from + found.start();
        if depth.upto(scanned, at) == 0 && !scanned.in_string(at) {
            out.push(Span::of(start, at));
            start = from + found.end();
        }
    }
    out.push(Span::of(start, upto));
    out
}

enum Part {
    Parameter(Box<Parameter>),
    Nothing,
    Doubtful(Span),
}

fn one(rule: &Rule, scanned: &Scanned, span: Span) -> Part {
    let mut text = scanned.code[span.range()].to_owned();
    if let Some(trim) = &rule.trim {
        // Blanked at equal length, so that places stay true.
        text = trim.replace_all(&text, |found: &regex::Captures<'_>| " ".repeat(found[0].len())).into_owned();
    }
    let bare = text.trim();
    if bare.is_empty() {
        return Part::Nothing;
    }
    let at = span.start as usize + text.len() - text.trim_start().len();
    let whole = Span::of(at, at + bare.len());
    let Some(found) = rule.parameter.captures(bare) else { return Part::Doubtful(whole) };
    let part = |name: &str| {
        let group = found.name(name)?;
        let said = group.as_str().trim();
        let lead = group.as_str().len() - group.as_str().trim_start().len();
        (!said.is_empty())
            .then(|| (said, Span::of(at + group.start() + lead, at + group.start() + lead + said.len())))
    };
    let Some((name, place)) = part("name") else { return Part::Doubtful(whole) };
    let mut parameter = Parameter::new(ParamName::Named(Name::new(name)), place);
    parameter.ty = part("type").map(|(_, span)| span);
    parameter.default = part("default").map(|(_, span)| span);
    // `name=` without a value may be left out just the same.
    parameter.optional = found.name("default").is_some() || found.name("optional").is_some();
    if found.name("variadic").is_some() {
        parameter.variadic = Variadic::Positional;
    }
    Part::Parameter(Box::new(parameter))
}
