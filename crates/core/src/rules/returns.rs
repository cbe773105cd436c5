//! Entries for what comes back.

use super::named::without_second;
use super::repair::Repair;
use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::index::Family;
use crate::model::{
    Answer, Body, Declaration, Dialect, Entry, EntryKind, Kind, Level, Mark, RuleId, Signature,
};
use crate::text::{Source, Span, is_wordless, narrow, split_words, surely_says_more};
use crate::types;

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("returns.missing"),
    level: Level::Warning,
    says: "a value comes back, the comment owes an entry for it and has none",
    why: "Callers cannot tell what the value means, or what it is in special cases.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param crate the tag of the crate\n */\npublic int weigh(int crate) { return 0; }\n",
        after: "/**\n * Weighs a crate.\n *\n * @param crate the tag of the crate\n * @return the net load in kg\n */\npublic int weigh(int crate) { return 0; }\n",
    },
    check: Check::Comment(missing),
};

pub(super) static UNEXPECTED: Rule = Rule {
    id: RuleId::new("returns.unexpected"),
    level: Level::Error,
    says: "there is an entry for a value, and none ever comes back",
    why: "It promises something that callers will look for in vain.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @return the net load in kg\n */\npublic void weigh() {}\n",
        after: "/**\n * Weighs a crate.\n */\npublic void weigh() {}\n",
    },
    check: Check::Comment(unexpected),
};

pub(super) static REPEATED: Rule = Rule {
    id: RuleId::new("returns.repeated"),
    level: Level::Error,
    says: "there are two entries for what comes back",
    why: "Readers see one of them, and nobody knows which one is right.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @return the net load in kg\n * @return the gross load in kg\n */\npublic int weigh() { return 0; }\n",
        after: "/**\n * Weighs a crate.\n *\n * @return the net load in kg\n */\npublic int weigh() { return 0; }\n",
    },
    check: Check::Comment(repeated),
};

pub(super) static EMPTY: Rule = Rule {
    id: RuleId::new("returns.empty"),
    level: Level::Warning,
    says: "the entry has neither description nor type",
    why: "It looks documented and tells nothing.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @return\n */\npublic int weigh() { return 0; }\n",
        after: "/**\n * Weighs a crate.\n *\n * @return the net load in kg\n */\npublic int weigh() { return 0; }\n",
    },
    check: Check::Comment(empty),
};

pub(super) static ECHO: Rule = Rule {
    id: RuleId::new("returns.echo"),
    level: Level::Note,
    says: "the entry only says the callable's name or the type again",
    why: "The reader knows no more than before: say the unit, or what the value is in special cases.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @return the int\n */\npublic int weigh() { return 0; }\n",
        after: "/**\n * Weighs a crate.\n *\n * @return the net load in kg, 0 for an empty crate\n */\npublic int weigh() { return 0; }\n",
    },
    check: Check::Comment(echo),
};

pub(super) static TYPE: Rule = Rule {
    id: RuleId::new("returns.type"),
    level: Level::Error,
    says: "the stated type contradicts the one in the signature",
    why: "One of the two is wrong, and callers believe the comment.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh() -> int:\n    \"\"\"Weigh a crate.\n\n    Returns:\n        str: the net load in kg\n    \"\"\"\n    return 0\n",
        after: "def weigh() -> int:\n    \"\"\"Weigh a crate.\n\n    Returns:\n        int: the net load in kg\n    \"\"\"\n    return 0\n",
    },
    check: Check::Comment(wrong_type),
};

pub(super) static VALUES: Rule = Rule {
    id: RuleId::new("returns.values"),
    level: Level::Note,
    says: "single values of what comes back are listed, the type is a closed set, and some of its values are left out",
    why: "A list looks complete; callers will not expect the values that are missing.",
    example: Example {
        language: "c",
        config: "",
        before: "#include <stdbool.h>\n/**\n * Weighs a crate.\n *\n * @retval true when it stood still\n */\nbool weigh(void);\n",
        after: "#include <stdbool.h>\n/**\n * Weighs a crate.\n *\n * @retval true when it stood still\n * @retval false when it moved\n */\nbool weigh(void);\n",
    },
    check: Check::Comment(values),
};

fn values(context: &Context<'_>, findings: &mut Findings<'_>) {
    let listed: Vec<&Entry> = entries(context).filter(|entry| entry.value.is_some()).collect();
    let (Some(first), Some((signature, _))) = (listed.first(), context.paired) else { return };
    if entries(context).any(|entry| entry.value.is_none()) {
        return;
    }
    let Some(wanted) = closed_values(context.file.source, context.file.known, signature) else { return };
    let said: Vec<&str> = listed
        .iter()
        .filter_map(|entry| entry.value)
        .map(|value| context.slice(value).rsplit([':', '.']).next().unwrap_or_default())
        .collect();
    // Other values than those of the set: the list speaks of something else.
    if said.iter().any(|value| !wanted.contains(value)) {
        return;
    }
    let missing: Vec<&str> = wanted.into_iter().filter(|value| !said.contains(value)).collect();
    if missing.is_empty() {
        return;
    }
    let shown = missing.iter().map(|value| format!("`{value}`")).collect::<Vec<_>>().join(", ");
    let message = format!("{shown} can come back too and the list leaves it out; add an entry for it");
    findings
        .report(first.tag, &missing.join(", "), message)
        .related(context.declaration().name_span, "the declaration")
        .done();
}

/// Returns the values of the closed set that comes back: true and false, or the members of an enumeration of the project.
pub(crate) fn closed_values<'a>(
    source: &Source,
    known: &'a Family,
    signature: &Signature,
) -> Option<Vec<&'a str>> {
    let ty = source.slice(signature.returns.ty?).trim();
    let bare = ty.rsplit([' ', ':', '.']).next().unwrap_or(ty);
    match bare {
        "bool" | "_Bool" | "boolean" | "Boolean" => Some(vec!["true", "false"]),
        _ => known.values(bare).map(|values| values.iter().map(|value| value.as_str()).collect()),
    }
}

fn entries<'a>(context: &Context<'a>) -> impl Iterator<Item = &'a Entry> {
    context.doc.entries_of(EntryKind::Returns)
}

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !context.debt.returns || context.doc.has(EntryKind::Returns) || context.doc.has(EntryKind::Yields) {
        return;
    }
    let declaration = context.declaration();
    let entry = context.spell(EntryKind::Returns, "");
    let message = format!(
        "`{}` gives back a value and the comment does not say which; add `{entry}`",
        declaration.name
    );
    let report = findings.report(declaration.name_span, "", message);
    match declaration.signature.returns.ty {
        Some(ty) => report.related(ty, "what comes back").related(context.doc.span, "this comment").done(),
        None => report.related(context.doc.span, "this comment").done(),
    }
}

/// Texts that only say that nothing comes back.
const NOTHING: &[&str] = &[
    "never", "void", "none", "nothing", "null", "undefined", "nil", "unit", "n/a", "no value",
    "no return value", "no return values", "no value is returned", "nill",
];

/// Types that hold the value which comes back where nothing is said to.
const HOLD_NOTHING: &[&str] =
    &["null", "nil", "none", "undefined", "mixed", "any", "unknown", "optional", "void"];

/// Tells whether a type, of several parts perhaps, holds the value that comes back where nothing is said to.
fn holds_nothing(ty: &str) -> bool {
    ty.starts_with('?')
        || ty.split(|c: char| !c.is_alphanumeric() && c != '_').any(|part| HOLD_NOTHING.contains(&part))
}

fn says_nothing_comes(context: &Context<'_>, entry: &Entry) -> bool {
    let text = context.text_of(entry).to_lowercase();
    let ty = entry.ty.map(|ty| context.slice(ty).to_lowercase()).unwrap_or_default();
    let text = text.trim_start_matches("return value:").trim_start();
    let script = context.file.language.dialect.is_script();
    // Without the mark around it: `L{None}`.
    let bare = |text: &str| {
        let text = text.trim_matches(|c: char| !c.is_alphanumeric());
        text.split_once('{')
            .map_or(text, |(mark, inner)| if mark.len() == 1 { inner } else { text })
            .to_owned()
    };
    // A role around the word: `:py:data:`None``.
    let in_role = text.trim().strip_prefix(':').and_then(|role| role.split('`').nth(1)).unwrap_or_default();
    let first_part = text.split(['.', ',', ';']).next().unwrap_or_default();
    let first_line = entry.text.and_then(|span| context.slice(span).lines().next()).unwrap_or_default();
    let declared = context.declaration().signature.returns.ty.map_or("", |ty| context.slice(ty));
    let settles = ["task", "promise", "future", "awaitable", "operation"];
    let speaks_of_settling = settles.iter().any(|word| text.contains(word) || ty.contains(word))
        || ["resolves ", "rejects ", "settles "].iter().any(|word| text.starts_with(word))
        || text.contains("fulfil");
    // When it comes back, and whether, is no value.
    let only_when = ["never returns", "only returns", "does not return", "doesn't return", "returns nothing"];
    // What comes back can be awaited, and gives nothing then.
    let awaited = !matches!(declared, "" | "void" | "None") && speaks_of_settling;
    // Where the signature leaves the type open, one that holds nothing is only waited for as well.
    let settles_with_nothing =
        ["promise", "promise<>", "promise<void>", "promise<undefined>", "promise<null>"]
            .contains(&ty.trim_start_matches(['!', '?']));
    // "A promise that settles when the press is empty": that it does is all that is told.
    let only_settles = text.contains("promise")
        && [" settles when ", " settles once ", " resolves when ", " resolves once ", " resolves after "]
            .iter()
            .any(|words| text.contains(words));
    let awaited = awaited
        || (declared.is_empty() && (settles_with_nothing || only_settles) && is_asynchronous(context));
    // Where no type is declared, a callable without a word about it gives back the value for nothing.
    let admitted =
        declared.is_empty() && context.declaration().kind != Kind::Constructor && holds_nothing(&ty);
    // What takes a callback, or the promise itself, may be made to give a promise instead, by whoever exports it.
    let takes_callback =
        declaration_takes_callback(context) && (ty.contains("promise") || text.contains("promise"));
    // A result may have a name in front: `@return load nil, since the vat is empty`.
    let named_nil = context.doc.notation.as_str() == "annotations"
        && text
            .split_whitespace()
            .take(2)
            .any(|word| word.trim_matches(|c: char| !c.is_alphanumeric()) == "nil");
    // `@returns {Scale} a scale` of what makes a scale: the object that is made.
    let made = script && (is_made_by(context, entry) || is_instance(context, text));
    // `:return: -`
    let dash = ty.is_empty() && matches!(text.trim(), "-" | "--" | "–" | "—");
    awaited
        || made
        || dash
        || takes_callback
        || named_nil
        // A type that narrows what was passed is no value.
        || ty.trim_start_matches('{').trim_start().starts_with("asserts ")
        || admitted
        // "None if the crate is full": it is only said when nothing is thrown.
        || ["none if ", "none when "].iter().any(|words| text.starts_with(words) || ty.starts_with(words))
        || (script && text.starts_with("undefined "))
        || only_when.iter().any(|words| text.contains(words))
        || NOTHING.contains(&bare(&ty).as_str())
        || NOTHING.contains(&bare(text).as_str())
        || NOTHING.contains(&in_role)
        // `@return void`, and a link in the line below.
        || (ty.is_empty() && NOTHING.contains(&bare(&first_line.to_lowercase()).as_str()))
        || (ty.is_empty() && NOTHING.contains(&bare(first_part).as_str()))
}

/// Tells whether the type of an entry is that of the objects which a function or a constructor makes.
fn is_made_by(context: &Context<'_>, entry: &Entry) -> bool {
    let declaration = context.declaration();
    let owner = declaration.owner.filter(|_| declaration.kind == Kind::Constructor);
    let maker = owner.map_or(declaration, |owner| context.file.outline.declaration(owner));
    entry.ty.is_some_and(|ty| maker.name == context.slice(ty).trim())
}

/// Tells whether a text, in lower case, is about the object that a constructor makes: "An instance of Scale".
fn is_instance(context: &Context<'_>, text: &str) -> bool {
    context.declaration().kind == Kind::Constructor && text.contains("instance")
}

/// Tells whether the last parameter is called back, or settled.
fn declaration_takes_callback(context: &Context<'_>) -> bool {
    let last = context.declaration().signature.parameters.last().and_then(|last| last.named());
    last.is_some_and(|name| {
        let name = name.as_str();
        matches!(name, "cb" | "done" | "promise") || name.to_ascii_lowercase().ends_with("callback")
    })
}

/// Tells whether a comment says that others are to write the body.
fn is_left_to_others(comment: &str) -> bool {
    let done = ["overrid", "overwritten", "extended by", "implemented by", "redefined", "filled in"];
    let lower = comment.to_ascii_lowercase();
    lower.match_indices(" be ").any(|(at, be)| {
        ["must", "should", "to", "can", "may"].iter().any(|verb| lower[..at].ends_with(verb))
            && done.iter().any(|done| lower[at + be.len()..].starts_with(done))
    })
}

/// Tells whether the last thing that a body does, in any case, is to throw: others are to give something back.
fn ends_by_throwing(context: &Context<'_>) -> bool {
    let declaration = context.declaration();
    let whole = context.slice(declaration.span).trim_end().trim_end_matches(';');
    let inner = whole.strip_suffix('}').map(str::trim_end).and_then(|inner| inner.strip_suffix(';'));
    let last = inner.and_then(|inner| inner.rsplit([';', '{', '}']).next());
    let throws = |last: &str| {
        // Some have a function for it: `ScaleError.throwNotImplemented()`.
        let callee = last.split('(').next().and_then(|path| path.rsplit('.').next()).unwrap_or_default();
        let calls = last.contains('(');
        last.starts_with("throw ") || (calls && (callee.starts_with("throw") || complains(last)))
    };
    declaration.kind != Kind::Constructor && last.is_some_and(|last| throws(last.trim_start()))
}

/// Tells whether a call says that it stands in for what others write: `trigger_error('Call to abstract class')`.
fn complains(call: &str) -> bool {
    const SAYS: &[&str] = &[
        "abstract", "not implemented", "yet implemented", "never be called", "must be implemented",
        "be overrid", "must override",
    ];
    let lower = call.to_ascii_lowercase();
    SAYS.iter().any(|says| lower.contains(says)) && lower.contains(['\'', '"'])
}

/// Tells whether a body is there and holds nothing but remarks, or only leaves.
fn has_empty_body(context: &Context<'_>) -> bool {
    let declaration = context.declaration();
    let end = declaration.span.end.max(declaration.header_end);
    let whole = context.slice(Span::new(declaration.header_end, end)).trim();
    let body = whole.strip_prefix('{').unwrap_or(whole);
    let body = body.strip_suffix('}').or_else(|| body.strip_suffix("end")).unwrap_or(body);
    let is_remark = |line: &str| {
        let nothing = matches!(line.trim_end_matches(';'), "" | "return" | "return undefined");
        nothing || line.starts_with(['/', '*', '#', ';']) || line.starts_with("--")
    };
    // What is assigned has more than its body behind the name: `= function (load) {};`
    let is_empty_block = || {
        let inner = whole.trim_end_matches(';').trim_end().strip_suffix('}');
        inner
            .and_then(|inner| inner.rsplit_once('{'))
            .is_some_and(|(_, inner)| inner.lines().all(|line| is_remark(line.trim())))
    };
    declaration.body == Body::Present
        && declaration.kind != Kind::Constructor
        && (body.lines().all(|line| is_remark(line.trim())) || is_empty_block())
}

/// Tells whether the signature says that what comes back is waited for.
fn is_asynchronous(context: &Context<'_>) -> bool {
    let declaration = context.declaration();
    let head = Span::new(declaration.span.start, declaration.name_span.start.max(declaration.span.start));
    context.slice(head).split_whitespace().any(|word| word == "async")
        // A function that is bound to a name.
        || context.file.source.text()[declaration.name_span.end as usize..]
            .trim_start_matches(|c: char| c.is_whitespace() || matches!(c, '=' | ':'))
            .starts_with("async")
}

/// Tells whether an entry for a single value has the name of a parameter, through which something comes back:
/// `@retval count how many` (C).
fn names_parameter(context: &Context<'_>, entry: &Entry) -> bool {
    entry.value.is_some_and(|value| {
        let name = context.slice(value).trim_matches(['*', ',']);
        let mut parameters = context.declaration().signature.parameters.iter();
        parameters.any(|parameter| parameter.named().is_some_and(|taken| taken == name))
    })
}

fn unexpected(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    if !declaration.kind.is_callable() || declaration.signature.returns.value != Answer::No {
        return;
    }
    // Most say nothing of it: no more is looked at then. What stands for another thing gives back what that does.
    if !context.doc.has(EntryKind::Returns) || context.paired.is_none() {
        return;
    }
    // Whoever declares that it is undefined may say why.
    let ty = declaration.signature.returns.ty.map(|ty| context.slice(ty).trim());
    if ty == Some("undefined") && context.file.language.dialect == Dialect::TypeScript {
        return;
    }
    // Nor is known what a decorator makes of it.
    if declaration.signature.returns.wrapped && declaration.kind != Kind::Constructor {
        return;
    }
    // What is only there to be filled in gives back what those will that fill it in.
    let to_fill_in = |mark: &Mark| matches!(mark.name.as_str(), "abstract" | "virtual" | "interface");
    if context.doc.marks.iter().any(to_fill_in) || is_left_to_others(context.slice(context.doc.span)) {
        return;
    }
    // A comment above overloads speaks of those that give something back as well.
    let gives = |other: &Declaration| other.signature.returns.value != Answer::No;
    if context.file.outline.silent_overloads(context.id).any(gives) {
        return;
    }
    // So does what stands empty where no type is declared: it only shows how it is called.
    let undeclared = declaration.signature.returns.ty.is_none();
    if undeclared && (has_empty_body(context) || ends_by_throwing(context)) {
        return;
    }
    // What an asynchronous function hands out is waited for.
    let awaited = |entry: &Entry| {
        let text = context.text_of(entry);
        text.contains("Future") || text.contains("await")
    };
    if context.file.language.dialect == Dialect::Plain && entries(context).any(awaited) {
        return;
    }
    // What `new` gives back is customarily told where the object is made ready.
    if declaration.kind == Kind::Constructor && context.file.language.dialect == Dialect::Ruby {
        return;
    }
    let promises = |entry: &&Entry| !names_parameter(context, entry) && !says_nothing_comes(context, entry);
    let Some(entry) = entries(context).find(promises) else { return };
    let vain = entry.text.is_none() && entry.ty.is_none() && entry.value.is_none();
    // Whatever is asynchronous gives back a promise.
    if vain && context.file.language.dialect.is_script() && is_asynchronous(context) {
        return;
    }
    let what = if declaration.kind == Kind::Constructor { "a constructor gives" } else { "the code gives" };
    let spelt = context.spell(EntryKind::Returns, "");
    let message = format!("`{spelt}` promises a value, and {what} none back; remove the entry");
    let place = declaration.signature.returns.ty.unwrap_or(declaration.name_span);
    let repair = if vain { Repair::of(context).remove(entry) } else { None };
    findings.report(entry.tag, "", message).related(place, "nothing comes back").mend(repair);
}

fn repeated(context: &Context<'_>, findings: &mut Findings<'_>) {
    // Lists of single values are no repetition; one notation has an entry for each result, and a module's comment
    // may tell of several functions.
    if context.doc.notation.as_str() == "annotations" || context.declaration().kind == Kind::Module {
        return;
    }
    let mut all = entries(context).filter(|entry| entry.value.is_none());
    let (Some(first), Some(second)) = (all.next(), all.next()) else { return };
    // Entries for single outcomes are customarily written one below the other; in Ruby each with its type.
    let each = context.doc.notation.as_str() == "commands" || context.file.language.dialect == Dialect::Ruby;
    let slice = |span: Option<Span>| span.map_or("", |span| context.slice(span));
    let other = context.text_of(first) != context.text_of(second) || slice(first.ty) != slice(second.ty);
    // Parts of what comes back have names of their own: `sample.mass the mass in g`.
    let first_word = |entry: &Entry| {
        let text = context.text_of(entry);
        let word = text.split_whitespace().next().unwrap_or_default();
        word.trim_end_matches(['.', ',', ':']).to_owned()
    };
    let of_part = |entry: &Entry| first_word(entry).contains('.');
    // So do values: `true` if it is full, `false` if it is empty, with braces around or without.
    let of_value = |entry: &Entry| {
        let is_value =
            |word: &str| matches!(word, "true" | "false" | "null" | "undefined" | "True" | "False" | "None");
        let word = first_word(entry);
        word.starts_with('`') || is_value(&word) || is_value(slice(entry.ty))
    };
    let of_values = other && of_value(first) && of_value(second);
    // Nor is what a promise is settled with, one way and the other: "Resolves: the load", "Rejects: with an error".
    let rejects = |entry: &Entry| first_word(entry).to_ascii_lowercase().starts_with("reject");
    let of_outcomes = rejects(second) && !rejects(first);
    // A field for the type may stand beside a section for the text: `:rtype: Crate` and `Returns:`.
    let types_alone = |entry: &Entry| entry.ty.is_some() && slice(entry.text).is_empty();
    let in_docstring = matches!(context.doc.notation.as_str(), "google" | "numpy" | "rest" | "epytext");
    let of_type = in_docstring
        && types_alone(first) != types_alone(second)
        && (first.ty.is_none() || second.ty.is_none());
    if (each && other) || of_type || of_values || of_outcomes || entries(context).any(of_part) {
        return;
    }
    let message = "what comes back has a second entry; keep one of the two".to_owned();
    findings
        .report(second.tag, "", message)
        .related(first.tag, "the first entry")
        .mend(without_second(context, first, second));
}

fn empty(context: &Context<'_>, findings: &mut Findings<'_>) {
    for entry in entries(context).filter(|entry| entry.ty.is_none() && entry.value.is_none()) {
        let said =
            entry.text.is_some_and(|span| !is_wordless(context.slice(span)) || context.slice(span).len() > 2);
        if !said && !goes_on_below(context, entry) {
            let message =
                "the entry for what comes back says nothing; describe the value or remove it".to_owned();
            findings.report(entry.tag, "", message).done();
        }
    }
}

/// Tells whether text stands below an entry of a section that its author did not indent, perhaps behind blank lines.
fn goes_on_below(context: &Context<'_>, entry: &Entry) -> bool {
    let rows = entry.lines.1..narrow(context.doc.lines.len());
    let text = |row: u32| context.doc.lines.get(row as usize).map_or("", |&line| context.slice(line)).trim();
    let below = rows.clone().find(|&row| !text(row).is_empty());
    let heads = |row: u32| context.doc.sections.iter().any(|section| section.lines.0 == row);
    entry.section > 0
        && below.is_some_and(|row| {
            !heads(row) && (!text(row).ends_with(':') || text(row).contains(' ') && row > rows.start)
        })
}

const FILLERS: &[&str] = &["the", "a", "an", "of", "value", "result", "returns", "return", "s"];

fn echo(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    if declaration.signature.returns.value != Answer::Yes {
        return;
    }
    let ty = declaration.signature.returns.ty.map_or("", |ty| context.slice(ty));
    for entry in entries(context) {
        // An echo is short, and nothing below goes on from it.
        let goes_on = context.doc.description.0 >= entry.lines.1;
        let Some(span) = entry.text.filter(|span| span.len() <= 80 && !goes_on) else { continue };
        if surely_says_more(context.slice(span), FILLERS, &[declaration.name.as_str(), ty]) {
            continue;
        }
        let text = context.text_of(entry);
        let said: Vec<String> =
            split_words(&text).into_iter().filter(|w| !FILLERS.contains(&w.as_str())).collect();
        if text.trim().is_empty() || said.len() > 4 || text.contains(['{', '<', '`', '(', '=']) {
            continue;
        }
        let mut known = split_words(declaration.name.as_str());
        known.retain(|word| !matches!(word.as_str(), "get" | "is" | "has"));
        known.extend(split_words(ty));
        if said.iter().all(|word| known.contains(word)) {
            let message = "the entry for what comes back only says the name or type again; say what it means"
                .to_owned();
            findings.report(span, "", message).done();
        }
    }
}

fn wrong_type(context: &Context<'_>, findings: &mut Findings<'_>) {
    let returns = &context.declaration().signature.returns;
    let (Some(declared), Answer::Yes) = (returns.ty, returns.value) else { return };
    for entry in entries(context) {
        let Some(stated) = entry.ty else { continue };
        let (said, is) = (context.slice(stated), context.slice(declared));
        if types::contradict(context.file.language.type_words, said, is) {
            let message = format!(
                "`{is}` comes back by the signature and `{said}` by the comment; correct one of them"
            );
            findings.report(stated, "", message).related(declared, "the signature's type").done();
        }
    }
}
