//! The wording of descriptions.

use super::rule::{Check, Example, Rule};

use smol_str::SmolStr;

use super::{Context, Findings, visible};
use crate::model::{Kind, Level, RuleId};
use crate::placeholder::{is_placeholder, may_be_placeholder};
use crate::text::{Span, misspellings, narrow, split_words};

pub(super) static PLACEHOLDER: Rule = Rule {
    id: RuleId::new("text.placeholder"),
    level: Level::Warning,
    says: "placeholder text is left over",
    why: "It is an embarrassment to whoever published it, and no help to whoever reads it.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param load TODO: describe\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(placeholder),
};

fn placeholder(context: &Context<'_>, findings: &mut Findings<'_>) {
    let own = &context.file.settings.placeholder;
    let doc = context.doc;
    let name = context.declaration().name.as_str();
    // `padding2; /**< placeholder */` says what it is.
    let fills = ["pad", "dummy", "reserved", "unused"]
        .iter()
        .any(|word| name.trim_start_matches('_').starts_with(word));
    // A heading of Markdown names what follows.
    if let Some(span) = doc.summary.filter(|span| !context.slice(*span).starts_with('#'))
        && is_placeholder(&doc.prose(context.file.source, span), name, own)
        && !(fills && context.declaration().kind == Kind::Field)
    {
        let message = format!("the description of `{name}` is a placeholder; say what it is for");
        findings.report(span, "", message).done();
    }
    for entry in &doc.entries {
        let Some(span) = entry.text else { continue };
        let subject = entry.name().map_or("", |name| name.name.as_str());
        if may_be_placeholder(context.slice(span), subject, own)
            && is_placeholder(&context.text_of(entry), subject, own)
        {
            let what = if subject.is_empty() { "what comes back".to_owned() } else { format!("`{subject}`") };
            let message = format!("the entry for {what} is a placeholder; describe it");
            findings.report(span, subject, message).done();
        }
    }
    // Of a tag only our own words are sure to be left over.
    for mark in doc.marks.iter().filter(|_| !own.is_empty()) {
        let Some(&line) = doc.lines.get(mark.lines.0 as usize) else { continue };
        let rest = Span::new(mark.span.end.min(line.end), line.end);
        let said = context.slice(rest);
        if said.trim() == own.as_str() {
            let start = rest.end - narrow(said.trim_start().len());
            let message = format!("what `{}` says is a placeholder; say it", mark.name);
            findings.report(Span::new(start, rest.end), "", message).done();
        }
    }
}

pub(super) static SPELLING: Rule = Rule {
    id: RuleId::new("text.spelling"),
    level: Level::Note,
    says: "a word is known to be a misspelling",
    why: "It is found by nobody who searches for it, and it makes the reader doubt the rest.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a crate seperately. */\npublic void weigh() {}\n",
        after: "/** Weighs a crate separately. */\npublic void weigh() {}\n",
    },
    check: Check::Comment(spelling),
};

/// Words from this length on are looked up: short ones are too often names.
const SHORTEST: usize = 4;

/// Only what is listed as a misspelling is reported, so that jargon never is; a project's own words are never
/// looked up, nor are names of the declaration.
fn spelling(context: &Context<'_>, findings: &mut Findings<'_>) {
    let sections = || context.doc.sections.iter();
    // Most comments hold no word that may be on the list, in code or outside.
    let whole = |(first, last): (&Span, &Span)| Span::new(first.start, last.end);
    let lines = &context.doc.lines;
    let Some(whole) = lines.first().zip(lines.last()).map(whole) else { return };
    if !misspellings::may_have_listed(context.slice(whole), SHORTEST) {
        return;
    }
    for line in visible::lines(context) {
        // A misspelt heading is the fault of another rule; references name others' work.
        let skipped = sections().any(|section| {
            let inside = section.lines.0 as usize <= line.row && line.row < section.lines.1 as usize;
            section.lines.0 as usize == line.row
                || (inside && matches!(section.title, "See Also" | "References"))
        });
        // Of a text in another language nothing is known.
        let foreign = !line.text.is_ascii()
            && line.text.chars().filter(|c| c.is_alphabetic() && !c.is_ascii()).count() > 1;
        if skipped || foreign || line.text.contains("//") {
            continue;
        }
        let bare = visible::without_code(line.text);
        visible::each_word(&bare, |at, word| {
            let may_be_one = word.len() >= SHORTEST && misspellings::may_be_listed(word);
            let quoted = bare[..at].ends_with('\'') && bare[at + word.len()..].starts_with('\'');
            if !may_be_one || quoted || is_proper_noun(&bare, at, word) {
                return;
            }
            if let Some(meant) = misspellings::meant_by(word) {
                let word = (word, line.span(at, at + word.len()));
                report_misspelling(context, word, &meant.collect::<Vec<_>>(), findings);
            }
        });
    }
}

/// A capital inside a sentence makes a name.
fn is_proper_noun(line: &str, at: usize, word: &str) -> bool {
    let before = line[..at].trim_end();
    let opens = before.is_empty()
        || before.ends_with(['.', ':', '!', '?', '-', '*', '('])
        || !before.contains(char::is_alphanumeric);
    let abbreviated = line[at + word.len()..].starts_with('.')
        && word.len() < 7
        && line[at + word.len() + 1..].starts_with(|c: char| !c.is_whitespace());
    word.starts_with(char::is_uppercase) && (!opens || line[at + word.len()..].starts_with('.'))
        || abbreviated
}

fn report_misspelling(
    context: &Context<'_>,
    (word, span): (&str, Span),
    meant: &[&str],
    findings: &mut Findings<'_>,
) {
    let lower = word.to_lowercase();
    let entries = context.doc.entries.iter().flat_map(|entry| &entry.names).map(|name| name.span);
    // A name that is misspelt in an entry or a tag is another rule's.
    if entries.chain(context.doc.marks.iter().map(|mark| mark.span)).any(|name| name.contains(span))
        || context.file.settings.words.contains(&lower)
        || is_a_name(context, &lower)
        || is_in_code(context, word)
    {
        return;
    }
    let capital = word.starts_with(char::is_uppercase);
    let spell =
        |meant: &&str| if capital { meant[..1].to_uppercase() + &meant[1..] } else { (*meant).to_owned() };
    let spelt: Vec<String> = meant.iter().map(spell).collect();
    // Of a short word many are near: the likeliest come first.
    let mut shown = spelt.iter().take(3).map(|meant| format!("`{meant}`")).collect::<Vec<_>>().join(" or ");
    if spelt.len() > 3 {
        shown += " or others";
    }
    let message = format!("`{word}` is a misspelling of {shown}; correct it, or add it to `words`");
    let report = findings.report(span, word, message);
    match spelt.as_slice() {
        [one] => report.replace(span, one),
        _ => report.done(),
    }
}

/// Tells whether a word is part of a name in the signature, or the name of a type around it.
fn is_a_name(context: &Context<'_>, lower: &str) -> bool {
    let declaration = context.declaration();
    if declaration.qualified.split('.').any(|owner| owner.eq_ignore_ascii_case(lower)) {
        return true;
    }
    let parameters = declaration.signature.parameters.iter().filter_map(|parameter| parameter.named());
    let mut names = parameters.chain([&declaration.name]);
    names.any(|name| {
        name.as_str().to_lowercase() == lower || split_words(name.as_str()).iter().any(|word| word == lower)
    })
}

/// Tells whether a word stands in the code of the file: then the comment speaks of what has that name.
pub(super) fn is_in_code(context: &Context<'_>, word: &str) -> bool {
    if let Some(&known) = context.file.words.borrow().get(word) {
        return known;
    }
    let found = stands_in_code(context, word);
    context.file.words.borrow_mut().insert(SmolStr::new(word), found);
    found
}

fn stands_in_code(context: &Context<'_>, word: &str) -> bool {
    let source = context.file.source;
    let text = source.text();
    let comments = &context.file.outline.comments;
    memchr::memmem::find_iter(text.as_bytes(), word).any(|found| {
        let at = Span::of(found, found + word.len());
        // In a name of several words it stands by itself.
        let goes_on = text[found + word.len()..].starts_with(|c: char| c.is_lowercase());
        let next = comments.partition_point(|comment| comment.span.end <= at.start);
        let commented = comments.get(next).is_some_and(|comment| comment.span.contains(at));
        // Comments in bodies that tell nothing are not listed.
        let before = text[source.line_start(found)..found].trim_start();
        let remarked = before.contains("//") || before.starts_with(['*', '#']) || before.starts_with("--");
        !(goes_on || commented || remarked)
    })
}
