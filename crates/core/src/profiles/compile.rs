//! From the text of a profile to a language: every pattern is compiled and every example tried, so that a
//! mistake is told before any file is read.

use regex::{Regex, RegexBuilder};

use super::profile::{Anchor, Columns, Continuation, Mark, Profile, Rule, Sort};
use crate::model::{Carrier, Kind};
use crate::settings::{Case, DeclarationConfig, DocAt, DocMark, Located, Pattern, ProfileConfig};

/// A mistake in a profile.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) struct Mistake {
    /// Offset in bytes into the configuration text.
    pub(super) at: usize,
    /// What is wrong there.
    pub(super) reason: String,
}

impl Mistake {
    pub(super) fn at<T>(place: &Located<T>, reason: impl Into<String>) -> Self {
        Self { at: place.at, reason: reason.into() }
    }
}

/// Keeps a text for as long as the program runs. Profiles are few, and each is compiled once.
pub(super) fn keep(text: &str) -> &'static str {
    Box::leak(text.to_owned().into_boxed_str())
}

/// Compiles the patterns and marks of a profile.
pub(super) fn compile(config: &ProfileConfig) -> Result<Profile, Mistake> {
    let patterns = Patterns { ignore_case: config.case == Case::Ignore };
    let marks = marks(config)?;
    let mut strings = Vec::new();
    for quote in &config.strings {
        let mut chars = quote.value.chars();
        match (chars.next(), chars.next()) {
            (Some(one), None) => strings.push(one),
            _ => return Err(Mistake::at(quote, "a mark of strings is one character")),
        }
    }
    let surfaces =
        config.surface.iter().rev().map(|(&surface, pattern)| Ok((surface, patterns.one(pattern)?)));
    let mut profile = Profile {
        ignore_case: patterns.ignore_case,
        columns: columns(config, &patterns)?,
        strings,
        docs: docs(config, &marks)?,
        marks,
        doc_at: doc_at(config)?,
        border: keep(&config.border),
        continuation: continuation(config, &patterns)?,
        lead: patterns.maybe(config.lead.as_ref())?,
        rules: Vec::new(),
        except: patterns.maybe(config.except.as_ref())?,
        loose: patterns.maybe(config.loose.as_ref())?,
        kinds: std::collections::BTreeMap::new(),
        end: patterns.maybe(config.end.as_ref())?,
        raises: patterns.maybe(config.raises.as_ref())?,
        catches: patterns.maybe(config.catches.as_ref())?,
        surfaces: surfaces.collect::<Result<_, Mistake>>()?,
    };
    for (word, kind) in &config.kinds {
        profile.kinds.insert(profile.folded(word), sort(kind)?);
    }
    if config.declaration.value.0.is_empty() {
        return Err(Mistake::at(&config.declaration, "a profile needs a pattern of its declarations"));
    }
    for declaration in &config.declaration.value.0 {
        let mut declaration = declaration.clone();
        if declaration.pattern.at == 0 {
            // A pattern that stands alone stands where its key does.
            declaration.pattern.at = config.declaration.at;
        }
        profile.rules.push(rule(config, &declaration, &patterns)?);
    }
    Ok(profile)
}

/// Compiles patterns as the profile's case has it.
struct Patterns {
    ignore_case: bool,
}

impl Patterns {
    fn one(&self, pattern: &Pattern) -> Result<Regex, Mistake> {
        self.text(&pattern.value).map_err(|reason| Mistake::at(pattern, reason))
    }

    fn text(&self, pattern: &str) -> Result<Regex, String> {
        let built =
            RegexBuilder::new(pattern).multi_line(true).crlf(true).case_insensitive(self.ignore_case).build();
        let compiled = built.map_err(|error| {
            // The last line of the message says what is wrong; those before repeat the pattern.
            let message = error.to_string();
            let said = message.lines().last().unwrap_or_default().trim();
            format!("`{pattern}` is no pattern: {}", said.trim_start_matches("error: "))
        })?;
        if pattern.is_empty() || compiled.is_match("") && pattern != "^" {
            return Err(format!(
                "`{pattern}` matches where nothing stands; it must need at least one character"
            ));
        }
        Ok(compiled)
    }

    fn maybe(&self, pattern: Option<&Pattern>) -> Result<Option<Regex>, Mistake> {
        pattern.map(|pattern| self.one(pattern)).transpose()
    }
}

fn anchored(mark: &str) -> (Anchor, &str) {
    match mark.strip_prefix('^') {
        Some(rest) if rest.starts_with(' ') => (Anchor::FirstOnLine, rest.trim_start()),
        Some(rest) if !rest.is_empty() => (Anchor::FirstColumn, rest),
        _ => (Anchor::Anywhere, mark),
    }
}

pub(super) fn marks(config: &ProfileConfig) -> Result<Vec<Mark>, Mistake> {
    let mut out = Vec::new();
    for line in &config.line_comment {
        let (anchor, text) = anchored(&line.value);
        if text.is_empty() {
            return Err(Mistake::at(line, "a mark of comments cannot be empty"));
        }
        out.push(Mark { text: keep(text), anchor, close: None });
    }
    for block in &config.block_comment {
        let [open, close] = &block.value;
        let (anchor, text) = anchored(open);
        if text.is_empty() || close.is_empty() {
            return Err(Mistake::at(block, "a mark of comments cannot be empty"));
        }
        out.push(Mark { text: keep(text), anchor, close: Some(keep(close)) });
    }
    if out.is_empty() {
        return Err(Mistake::at(&config.name, "a profile needs `line-comment` or `block-comment`"));
    }
    out.sort_by_key(|mark| std::cmp::Reverse(mark.text.len()));
    Ok(out)
}

/// How doc comments are carried: by their own marks, within those of plain comments.
pub(super) fn docs(config: &ProfileConfig, marks: &[Mark]) -> Result<Vec<Carrier>, Mistake> {
    let mut out = Vec::new();
    for doc in &config.doc {
        let (open, close) = match &doc.value {
            DocMark::Open(open) => (open, None),
            DocMark::Pair([open, close]) => (open, Some(close)),
        };
        let Some(mark) = marks.iter().find(|mark| open.starts_with(mark.text)) else {
            return Err(Mistake::at(
                doc,
                format!("`{open}` opens no comment: it begins with none of their marks"),
            ));
        };
        out.push(match (mark.close, close) {
            (Some(plain), close) => {
                let close = close.map_or(plain, |close| keep(close));
                if !close.ends_with(plain) {
                    return Err(Mistake::at(
                        doc,
                        format!("`{close}` does not close a comment that ends with `{plain}`"),
                    ));
                }
                Carrier::Block { open: keep(open), close }
            }
            (None, None) => Carrier::Lines { mark: keep(open) },
            (None, Some(close)) => {
                return Err(Mistake::at(
                    doc,
                    format!("a comment that opens with `{open}` ends with its line, not with `{close}`"),
                ));
            }
        });
    }
    out.sort_by_key(|carrier| {
        std::cmp::Reverse(match carrier {
            Carrier::Block { open, .. } => open.len(),
            Carrier::Lines { mark } => mark.len(),
            Carrier::Docstring => 0,
        })
    });
    Ok(out)
}

pub(super) fn doc_at(config: &ProfileConfig) -> Result<Vec<DocAt>, Mistake> {
    match &config.doc_at {
        None => Ok(vec![DocAt::Above]),
        Some(places) if places.value.all().is_empty() => {
            Err(Mistake::at(places, "`doc-at` needs `above`, `below` or `file-top`"))
        }
        Some(places) => Ok(places.value.all().to_vec()),
    }
}

fn columns(config: &ProfileConfig, patterns: &Patterns) -> Result<Option<Columns>, Mistake> {
    let Some(place) = &config.columns else { return Ok(None) };
    let columns = &place.value;
    if columns.from == 0 || columns.to < columns.from {
        let reason =
            format!("`columns` go from {} to {}; they count from 1 and rise", columns.from, columns.to);
        return Err(Mistake::at(place, reason));
    }
    Ok(Some(Columns { from: columns.from, to: columns.to, unless: patterns.maybe(columns.unless.as_ref())? }))
}

fn continuation(config: &ProfileConfig, patterns: &Patterns) -> Result<Option<Continuation>, Mistake> {
    let Some(pattern) = &config.continuation else { return Ok(None) };
    let compiled = patterns.one(pattern)?;
    let next = pattern.value.starts_with('^');
    Ok(Some(if next { Continuation::ByNext(compiled) } else { Continuation::ByLine(compiled) }))
}

fn sort(kind: &Located<String>) -> Result<Sort, Mistake> {
    if kind.value == "scope" {
        return Ok(Sort::Scope);
    }
    Kind::find(&kind.value).map(Sort::Of).ok_or_else(|| {
        Mistake::at(
            kind,
            format!(
                "`{}` is no kind; `function`, `method`, `class`, `program`, `macro`, … or `scope` are",
                kind.value
            ),
        )
    })
}

/// A name, and a default behind an equals sign.
const PARAMETER: &str = r"^(?<name>[^\s=:,]+)\s*(?:=\s*(?<default>[\s\S]*))?$";

fn rule(config: &ProfileConfig, own: &DeclarationConfig, patterns: &Patterns) -> Result<Rule, Mistake> {
    let pattern = patterns.one(&own.pattern)?;
    needs_name(&pattern, &own.pattern)?;
    let end = patterns.maybe(own.end.as_ref())?;
    let has_end = end.is_some() || config.end.is_some();
    let pick =
        |own: &Option<Pattern>, profile: &Option<Pattern>| patterns.maybe(own.as_ref().or(profile.as_ref()));
    let parameter = match own.parameter.as_ref().or(config.parameter.as_ref()) {
        Some(given) => {
            let compiled = patterns.one(given)?;
            needs_name(&compiled, given)?;
            compiled
        }
        None => patterns.text(PARAMETER).map_err(|reason| Mistake::at(&own.pattern, reason))?,
    };
    let split = pick(&own.split, &config.split)?;
    Ok(Rule {
        pattern,
        sort: own.kind.as_ref().map(sort).transpose()?,
        only_after: patterns.maybe(own.only_after.as_ref())?,
        nests: own.nests.unwrap_or(has_end),
        end,
        has_end,
        parameters_at: pick(&own.parameters_at, &config.parameters_at)?,
        parameters_until: pick(&own.parameters_until, &config.parameters_until)?,
        split: match split {
            Some(split) => split,
            None => patterns.text(",").map_err(|reason| Mistake::at(&own.pattern, reason))?,
        },
        trim: pick(&own.trim, &config.trim)?,
        parameter,
        returns_value: pick(&own.returns_value, &config.returns_value)?,
        surface: own.surface,
        private_when_nested: own.private_when_nested.unwrap_or(config.private_when_nested),
    })
}

fn needs_name(compiled: &Regex, pattern: &Pattern) -> Result<(), Mistake> {
    if compiled.capture_names().flatten().any(|name| name == "name") {
        return Ok(());
    }
    Err(Mistake::at(pattern, format!("`{}` says no name; put one in `(?<name>…)`", pattern.value)))
}
