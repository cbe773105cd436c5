//! Tags that the notation does not know.

use super::repair::{Repair, Rows, sorted_by_key};
use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{DocComment, Kind, Level, MarkStanding, RuleId};
use crate::settings::LanguageSettings;
use crate::text::{Edit, Source, Span};

pub(super) static UNKNOWN: Rule = Rule {
    id: RuleId::new("tag.unknown"),
    level: Level::Warning,
    says: "a lower-case tag is not known and near to a known one",
    why: "Readers drop what they do not know, and the entry with it.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @parm load the load in kg\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(unknown),
};

fn unknown(context: &Context<'_>, findings: &mut Findings<'_>) {
    let settings = context.file.settings;
    for mark in &context.doc.marks {
        let name = mark.name.as_str();
        if !name.starts_with(char::is_lowercase) || settings.tags.iter().any(|tag| tag == name) {
            continue;
        }
        match mark.standing {
            MarkStanding::Near(meant) if names_a_parameter(context, name) || is_own(context, name, meant) => {
            }
            MarkStanding::Near(meant) => {
                let message = format!("`{name}` is no tag of this notation; did you mean `{meant}`?");
                findings.report(mark.span, name, message).replace(mark.span, meant);
            }
            MarkStanding::Unknown if settings.tags_closed => {
                let message = format!(
                    "`{name}` is no tag of this notation; add it to `tags` in the configuration or remove it"
                );
                findings.report(mark.span, name, message).done();
            }
            MarkStanding::Unknown | MarkStanding::Known => {}
        }
    }
}

/// Tells whether a tag is the project's own: it stands in the file again and again, and a slip of the pen would have
/// changed less.
fn is_own(context: &Context<'_>, tag: &str, meant: &str) -> bool {
    if strsim::osa_distance(tag, meant) < 2 {
        return false;
    }
    let text = context.file.source.text();
    let signed = |&(at, _): &(usize, &str)| {
        let behind = text[at + tag.len()..].starts_with([':', ' ', '\n', '\r', '(', '{']);
        text[..at].ends_with(['@', '\\', ':']) && behind
    };
    text.match_indices(tag).filter(signed).nth(2).is_some()
}

/// Tells whether a tag has the name of a parameter: `@data [out] where the load goes`.
fn names_a_parameter(context: &Context<'_>, tag: &str) -> bool {
    let mut parameters = context.declaration().signature.parameters.iter();
    matches!(context.doc.notation.as_str(), "commands" | "tags")
        && parameters.any(|parameter| parameter.named().is_some_and(|name| name == tag))
}

pub(super) static REQUIRED: Rule = Rule {
    id: RuleId::new("tag.required"),
    level: Level::None,
    says: "a tag that is configured for this kind of declaration is missing",
    why: "The team has agreed to say this of every one.",
    example: Example {
        language: "java",
        config: "[languages.java]\nrequired-tags = { class = [\"since\"] }\n",
        before: "/** A scale. */\npublic class Scale {}\n",
        after: "/**\n * A scale.\n *\n * @since 2.1\n */\npublic class Scale {}\n",
    },
    check: Check::Comment(required),
};

pub(super) static ORDER: Rule = Rule {
    id: RuleId::new("tag.order"),
    level: Level::None,
    says: "tags do not follow the configured sequence",
    why: "Where every comment has one order, the eye knows where to look.",
    example: Example {
        language: "java",
        config: "[languages.java]\ntag-order = [\"param\", \"return\", \"since\"]\n",
        before: "/**\n * Weighs a crate.\n *\n * @since 2.1\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @since 2.1\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(order),
};

/// Returns the tags, fields, elements or headings of a comment in order, by name in lower case.
fn tags(doc: &DocComment, source: &Source) -> Vec<(String, Span)> {
    let word = |span: Span| {
        let text = source.slice(span).trim_start_matches(['@', '\\', ':', '<', '-', '#', ' ']);
        text.split(|c: char| !(c.is_alphanumeric() || c == '-' || c == '_'))
            .next()
            .unwrap_or_default()
            .to_lowercase()
    };
    let mut out: Vec<(String, Span)> = Vec::new();
    if doc.sections.is_empty() {
        out.extend(doc.entries.iter().map(|entry| (word(entry.tag), entry.tag)));
    } else {
        out.extend(doc.sections.iter().map(|section| (word(section.heading), section.heading)));
    }
    out.extend(doc.marks.iter().map(|mark| (mark.name.as_str().to_lowercase(), mark.span)));
    out.sort_by_key(|(_, span)| span.start);
    out
}

/// Words that are one tag.
fn same(left: &str, right: &str) -> bool {
    const ALIKE: &[&[&str]] = &[
        &["return", "returns", "result"],
        &["throws", "exception", "throw", "raises", "raise"],
        &["param", "arg", "args", "parameters", "parameter"],
    ];
    left == right || ALIKE.iter().any(|words| words.contains(&left) && words.contains(&right))
}

/// Returns the tags that are configured for a kind of declaration and that a comment of such a one lacks.
pub(crate) fn lacking<'s>(
    doc: &DocComment,
    source: &Source,
    (settings, kind): (&'s LanguageSettings, Kind),
) -> Vec<&'s str> {
    let mut wanted = settings.required_tags_of(kind).peekable();
    if wanted.peek().is_none() || doc.inherits {
        return Vec::new();
    }
    let found = tags(doc, source);
    let is_there = |tag: &str| {
        found.iter().any(|(name, _)| same(name, &tag.to_lowercase()))
            || has_heading(source.slice(doc.span), tag)
    };
    wanted.filter(|tag| !is_there(tag)).collect()
}

/// Tells whether a tag stands in a comment as a heading (`Since:`, `# Since`, `Since` and a rule below) or as a directive
/// (`.. since::`), which is how comments say it that are written in sections.
fn has_heading(comment: &str, tag: &str) -> bool {
    let mut lines = comment.lines().peekable();
    while let Some(line) = lines.next() {
        let text = line.trim_matches(['*', '/', '!', '"', '\'', ' ', '\t', '\r']);
        let title = text.trim_start_matches(['#', '.', ' ']);
        let Some(behind) = title.get(tag.len()..).filter(|_| title[..tag.len()].eq_ignore_ascii_case(tag))
        else {
            continue;
        };
        let mut ruled = || lines.peek().is_some_and(|next| next.contains("---") || next.contains("==="));
        if behind.starts_with(':') || (behind.is_empty() && (title.len() < text.len() || ruled())) {
            return true;
        }
    }
    false
}

fn required(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    let file = context.file;
    for tag in lacking(context.doc, file.source, (file.settings, declaration.kind)) {
        let message = format!(
            "the comment of `{}` has no `{tag}`; add it, as is configured for every {}",
            declaration.name,
            declaration.kind.as_str()
        );
        findings.report(declaration.name_span, tag, message).related(context.doc.span, "this comment").done();
    }
}

/// Puts the tags that the sequence names into it; the others keep their places.
fn in_sequence(context: &Context<'_>, rank: &dyn Fn(&str) -> Option<usize>) -> Vec<Edit> {
    let doc = context.doc;
    if !doc.sections.is_empty() {
        return Vec::new();
    }
    let blocks = doc.entries.iter().map(|entry| (entry.tag, entry.lines));
    let mut blocks: Vec<(Span, Rows)> =
        blocks.chain(doc.marks.iter().map(|mark| (mark.span, mark.lines))).collect();
    blocks.sort_by_key(|(span, _)| span.start);
    let names = tags(context.doc, context.file.source);
    let ranked: Vec<(usize, Rows)> =
        blocks.iter().zip(&names).filter_map(|(&(_, rows), (name, _))| Some((rank(name)?, rows))).collect();
    let rows: Vec<Rows> = ranked.iter().map(|&(_, rows)| rows).collect();
    Repair::of(context).permute(&rows, &sorted_by_key(&ranked, |&(rank, _)| rank))
}

fn order(context: &Context<'_>, findings: &mut Findings<'_>) {
    let wanted = &context.file.settings.tag_order;
    if wanted.is_empty() {
        return;
    }
    let rank = |name: &str| wanted.iter().position(|tag| same(name, &tag.to_lowercase()));
    let mut highest: Option<(usize, String, Span)> = None;
    for (name, span) in tags(context.doc, context.file.source) {
        let Some(place) = rank(&name) else { continue };
        match &highest {
            Some((before, other, at)) if place < *before => {
                let message = format!(
                    "`{name}` stands behind `{other}`; put it before, as the configured sequence has it"
                );
                let repair = in_sequence(context, &rank);
                findings.report(span, &name, message).related(*at, "should come later").mend(repair);
                return;
            }
            _ => highest = Some((place, name, span)),
        }
    }
}
