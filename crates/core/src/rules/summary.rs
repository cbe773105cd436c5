//! The opening description.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Entry, EntryKind, Kind, Level, Mark, RuleId};
use crate::naming::is_made_of_name;
use crate::settings::Opening;
use crate::text::{Span, VERBS, is_wordless, split_words, surely_says_more, third_person};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("summary.missing"),
    level: Level::Warning,
    says: "there are entries, and no description before them",
    why: "Lists and hovers show the first sentence; here there is none.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * @param load the load in kg\n * @param crate its tag\n */\npublic void weigh(double load, int crate) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @param crate its tag\n */\npublic void weigh(double load, int crate) {}\n",
    },
    check: Check::Comment(missing),
};

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    // Comments of only types, marks or inherit tags are no descriptions that went missing, and what is deprecated says
    // there what there is to say.
    let is_tag = |text: Span| context.slice(text).trim_start().starts_with('@');
    // A bound says nothing of what it is for: `@template Load of Crate`.
    let is_bound = |entry: &Entry, text: Span| {
        let text = context.slice(text);
        entry.kind == EntryKind::TypeParam && (text.starts_with("of ") || text.starts_with("as "))
    };
    let says = doc
        .entries
        .iter()
        .any(|entry| entry.text.is_some_and(|text| !is_tag(text) && !is_bound(entry, text)));
    if doc.summary.is_some() || doc.blank || doc.inherits || doc.deprecated || !says {
        return;
    }
    let Some(first) = doc.entries.first() else { return };
    // A command of the project's own may well carry it.
    let own = |mark: &Mark| mark.lines.0 < first.lines.0 && mark.lines.1 > mark.lines.0 + 1;
    if doc.notation.as_str() == "commands" && doc.marks.iter().any(own) {
        return;
    }
    if doc.notation.as_str() == "commands" && tells_below(context, first) {
        return;
    }
    let declaration = context.declaration();
    // `@prop {number} order what comes first`, above `order`: the entry describes what it stands on.
    let of_itself = |entry: &Entry| {
        entry.kind == EntryKind::Property
            && entry.name().is_none_or(|name| name.name == declaration.name)
            && entry.text.is_some()
    };
    if doc.entries.iter().all(of_itself) {
        return;
    }
    let message = format!(
        "the comment of `{}` has entries and no description; begin it with a sentence",
        declaration.name
    );
    let report = findings.report(first.tag, "", message).related(declaration.name_span, "the declaration");
    // What is constructed is described by the comment of the type.
    let outline = context.file.outline;
    let described = declaration.kind == Kind::Constructor
        && declaration.owner.is_some_and(|owner| outline.declaration(owner).comment.doc.is_some());
    let gives = |entry: &Entry| matches!(entry.kind, EntryKind::Returns | EntryKind::Yields);
    if described || doc.entries.iter().all(gives) {
        report.only_note();
    } else {
        report.done();
    }
}

/// Tells whether a paragraph follows the entry for what comes back with which a comment begins: it says what there is to
/// say.
fn tells_below(context: &Context<'_>, first: &Entry) -> bool {
    let rows = first.lines.0 as usize..(first.lines.1 as usize).min(context.doc.lines.len());
    let is_blank = |line: &Span| context.slice(*line).trim().is_empty();
    let lines = context.doc.lines.get(rows).unwrap_or_default();
    let gap = lines.iter().position(is_blank);
    first.kind == EntryKind::Returns && gap.is_some_and(|gap| !lines[gap..].iter().all(is_blank))
}

pub(super) static ECHO: Rule = Rule {
    id: RuleId::new("summary.echo"),
    level: Level::Note,
    says: "the description only says the declaration's name again",
    why: "The reader knows no more than before: say what it is for, or what is special about it.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Gets the net weight. */\npublic int getNetWeight() { return 0; }\n",
        after: "/** Gets the net weight: without crate and pallet, in kg. */\npublic int getNetWeight() { return 0; }\n",
    },
    check: Check::Comment(echo),
};

pub(super) static ENDING: Rule = Rule {
    id: RuleId::new("summary.ending"),
    level: Level::None,
    says: "the first sentence does not end like one",
    why: "Where summaries are listed, sentences that break off look like a mistake of the list.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a crate */\npublic void weigh() {}\n",
        after: "/** Weighs a crate. */\npublic void weigh() {}\n",
    },
    check: Check::Comment(ending),
};

pub(super) static OPENING: Rule = Rule {
    id: RuleId::new("summary.opening"),
    level: Level::None,
    says: "the first word of the description does not follow the configured form",
    why: "Descriptions of one form are read in a list without stumbling.",
    example: Example {
        language: "java",
        config: "[languages.java]\nopening = \"third-person\"\n",
        before: "/** Return the net load. */\npublic int net() { return 0; }\n",
        after: "/** Returns the net load. */\npublic int net() { return 0; }\n",
    },
    check: Check::Comment(opening),
};

/// Words that add nothing to a name.
const FILLERS: &[&str] = &[
    "the", "a", "an", "this", "of", "for", "to", "and", "or", "gets", "get", "sets", "set", "returns",
    "return", "is", "class", "function", "method", "value", "object", "constructor", "creates", "create",
    "new", "instance", "given", "specified",
];

/// Returns a word without its plural or verb ending.
fn stem(word: &str) -> &str {
    for ending in ["ies", "ing", "es", "ed", "s", "e", "y"] {
        if let Some(stem) = word.strip_suffix(ending).filter(|stem| stem.len() >= 3) {
            return stem;
        }
    }
    word
}

fn echo(context: &Context<'_>, findings: &mut Findings<'_>) {
    let (doc, declaration) = (context.doc, context.declaration());
    // Whoever says more in a second sentence has said something.
    let Some(span) = doc.summary.filter(|span| span.len() <= 120) else { return };
    // What has more words than a name can have says more than the name.
    let raw = context.slice(span);
    let reject = |byte: u8| matches!(byte, b'{' | b'<' | b'`' | b'(' | b'=' | b':' | b',');
    if raw.bytes().any(reject) || raw.split_ascii_whitespace().nth(16).is_some() {
        return;
    }
    let end = doc.description.1;
    let last = doc.lines.get((end as usize).saturating_sub(1)).map_or(span.end, |line| line.end);
    if !is_wordless(context.slice(Span::new(span.end, last.max(span.end)))) {
        return;
    }
    // A question in words is still the name: `isOpen`, "Tells whether it is open."
    // So is what is done: `onPress`, "Handles the press."
    let openings = ["Tells whether it ", "Tell whether it ", "Handles ", "Handle "];
    let event = declaration.name.as_str().starts_with("on");
    let openings = if event { &openings[..] } else { &openings[..2] };
    let bare = openings.iter().find_map(|opening| raw.trim_start().strip_prefix(opening)).unwrap_or(raw);
    let owner = declaration.owner.filter(|_| declaration.kind == Kind::Constructor);
    let owner = owner.map_or("", |owner| context.file.outline.declaration(owner).name.as_str());
    let echoes = !surely_says_more(bare, FILLERS, &[declaration.name.as_str(), owner])
        && repeats(context, (span, openings), owner);
    // What is made of a name may have words of its own: `setUp`, "Sets up".
    let made = || {
        let owner = declaration.owner.map(|owner| context.file.outline.declaration(owner).name.as_str());
        raw.len() <= 60
            && may_be_made_of(raw, declaration.name.as_str())
            && is_made_of_name(context.file.language, (declaration, owner), raw.trim_end())
    };
    if echoes || made() {
        let message =
            format!("the description only says the name `{}` again; say what it is for", declaration.name);
        findings.report(span, "", message).related(declaration.name_span, "the name").done();
    }
}

/// Tells whether a summary is short enough to be a name in words; most are not.
fn may_be_made_of(summary: &str, name: &str) -> bool {
    let parts = |c: char| c.is_uppercase() || c == '_';
    let words = name.chars().filter(|&c| parts(c)).count() + 1;
    summary.split_ascii_whitespace().count() <= words + 6
        && name.get(..2).is_some_and(|start| {
            summary.as_bytes().windows(2).any(|two| two.eq_ignore_ascii_case(start.as_bytes()))
        })
}

/// Tells whether a summary holds no word but fillers and those of the name, in whatever form.
fn repeats(context: &Context<'_>, (span, openings): (Span, &[&str]), owner: &str) -> bool {
    let (doc, declaration) = (context.doc, context.declaration());
    let text = doc.prose(context.file.source, span);
    let question = openings.iter().find_map(|opening| text.strip_prefix(opening));
    let said: Vec<String> = split_words(question.unwrap_or(&text))
        .into_iter()
        .filter(|word| !FILLERS.contains(&word.as_str()))
        .collect();
    let mut known = split_words(declaration.name.as_str());
    known.extend(split_words(owner));
    let knows = |word: &String| known.iter().any(|known| stem(known) == stem(word));
    // Of a name that is all fillers, like `get`, nothing can be told.
    let named = known.iter().any(|word| !FILLERS.contains(&word.as_str()));
    if !named || said.len() > known.len() || !said.iter().all(knows) || is_wordless(&text) {
        return false;
    }
    !said.is_empty() || known.iter().all(|word| FILLERS.contains(&word.as_str()))
}

fn ending(context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(span) = context.doc.summary else { return };
    let text = context.slice(span).trim_end();
    let bare = text
        .trim_end_matches(|c: char| {
            c.is_whitespace() || matches!(c, ')' | ']' | '}' | '"' | '\'' | '*' | '_' | '`' | '”' | '’')
        })
        .trim_end_matches("</p>")
        .trim_end();
    // What a list or code follows ends with a colon.
    if bare.is_empty()
        || bare.ends_with(['.', '!', '?', '…', '。', ':', '>', '！', '？'])
        || context.doc.inherits
    {
        return;
    }
    let message = "the first sentence has no end; finish it with a full stop".to_owned();
    let at = Span::of(span.start as usize + text.len(), span.start as usize + text.len());
    let last = Span::of(
        span.start as usize + text.len() - text.chars().next_back().map_or(0, char::len_utf8),
        at.end as usize,
    );
    findings.report(last, "", message).replace(at, ".");
}

fn opening(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    let (Some(form), Some(span)) = (context.file.settings.opening, context.doc.summary) else { return };
    let text = context.slice(span);
    let first =
        text.split(|c: char| !(c.is_alphanumeric() || c == '_' || c == '\'')).next().unwrap_or_default();
    if first.is_empty() || context.doc.inherits {
        return;
    }
    let place = Span::of(span.start as usize, span.start as usize + first.len());
    let lower = first.to_lowercase();
    let wanted = match form {
        Opening::NameFirst => {
            let mut words =
                text.split(|c: char| !(c.is_alphanumeric() || c == '_')).filter(|word| !word.is_empty());
            let opens =
                words.clone().next().is_some_and(|word| matches!(word, "A" | "An" | "The" | "Deprecated"));
            let named =
                words.clone().take(if opens { 2 } else { 1 }).any(|word| word == declaration.name.as_str());
            if named || words.next() == Some("Deprecated") {
                return;
            }
            let message = format!(
                "the description begins with `{first}`; begin it with the name `{}`",
                declaration.name
            );
            findings.report(place, first, message).related(declaration.name_span, "the name").done();
            return;
        }
        Opening::ThirdPerson | Opening::Imperative if !declaration.kind.is_callable() => return,
        Opening::ThirdPerson => VERBS.iter().find(|verb| **verb == lower).map(|verb| third_person(verb)),
        Opening::Imperative => {
            VERBS.iter().find(|verb| third_person(verb) == lower).map(|verb| (*verb).to_owned())
        }
    };
    let Some(wanted) = wanted else { return };
    let wanted = if first.starts_with(char::is_uppercase) {
        wanted[..1].to_uppercase() + &wanted[1..]
    } else {
        wanted
    };
    let message = format!("the description begins with `{first}`; the form here is `{wanted}`");
    findings.report(place, first, message).replace(place, &wanted);
}
