//! Entries for parameters against the parameters of the signature.

use super::named::{self, PARAMS};
use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Carrier, Declaration, Dialect, EntryKind, Level, Name, Parameter, RuleId, Variadic};
use crate::pairing::Match;
use crate::text::{Source, Span, split_words, surely_says_more};
use crate::types;

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("param.missing"),
    level: Level::Warning,
    says: "a parameter has no entry in a comment that owes one",
    why: "Whoever calls it has to guess what to pass, or read the body.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load, int crate) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @param crate the tag of the crate\n */\npublic void weigh(double load, int crate) {}\n",
    },
    check: Check::Comment(|context, findings| named::missing(&PARAMS, context, findings)),
};

pub(super) static UNKNOWN: Rule = Rule {
    id: RuleId::new("param.unknown"),
    level: Level::Error,
    says: "an entry names no parameter; the nearest one without an entry is suggested",
    why: "It describes something that is not there: left over from a rename, or misspelt.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param laod the load in kg\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(|context, findings| named::unknown(&PARAMS, context, findings)),
};

pub(super) static REPEATED: Rule = Rule {
    id: RuleId::new("param.repeated"),
    level: Level::Error,
    says: "a parameter has two entries",
    why: "Readers see one of them, and nobody knows which one is right.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @param load the load in g\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(|context, findings| named::repeated(&PARAMS, context, findings)),
};

pub(super) static ORDER: Rule = Rule {
    id: RuleId::new("param.order"),
    level: Level::Warning,
    says: "entries of one section stand in another order than the parameters",
    why: "Callers read the entries along with the call, from left to right.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param crate the tag of the crate\n * @param load the load in kg\n */\npublic void weigh(double load, int crate) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @param crate the tag of the crate\n */\npublic void weigh(double load, int crate) {}\n",
    },
    check: Check::Comment(|context, findings| named::order(&PARAMS, context, findings)),
};

pub(super) static EMPTY: Rule = Rule {
    id: RuleId::new("param.empty"),
    level: Level::Warning,
    says: "an entry has no description",
    why: "It looks documented and tells nothing that the signature does not.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param load\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(|context, findings| named::empty(&PARAMS, context, findings)),
};

pub(super) static ECHO: Rule = Rule {
    id: RuleId::new("param.echo"),
    level: Level::Note,
    says: "a description only says the parameter's name or type again",
    why: "The reader knows no more than before: say the unit, the range, or what it is for.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param netWeight the net weight\n */\npublic void weigh(double netWeight) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param netWeight without the crate itself, in kg\n */\npublic void weigh(double netWeight) {}\n",
    },
    check: Check::Comment(echo),
};

pub(super) static TYPE: Rule = Rule {
    id: RuleId::new("param.type"),
    level: Level::Error,
    says: "the type in the entry contradicts the one in the signature",
    why: "One of the two is wrong, and callers believe the comment.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh(load: int):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load (str): what it weighs in kg\n    \"\"\"\n",
        after: "def weigh(load: int):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load (int): what it weighs in kg\n    \"\"\"\n",
    },
    check: Check::Comment(wrong_type),
};

pub(super) static OPTIONAL: Rule = Rule {
    id: RuleId::new("param.optional"),
    level: Level::Warning,
    says: "the entry is marked optional and the signature requires it, or gives another default",
    why: "A caller who leaves it out gets an error, or another value than the one promised.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh(load, tare=2):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load (int, optional): what it weighs in kg\n        tare (int): of the crate, in kg\n    \"\"\"\n",
        after: "def weigh(load, tare=2):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load (int): what it weighs in kg\n        tare (int, optional): of the crate, in kg\n    \"\"\"\n",
    },
    check: Check::Comment(optional),
};

pub(super) static UNTYPED: Rule = Rule {
    id: RuleId::new("param.untyped"),
    level: Level::None,
    says: "neither the signature nor the entry gives a type, in a language that leaves types open",
    why: "Callers cannot tell what is accepted.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load: what it weighs in kg\n    \"\"\"\n",
        after: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load (int): what it weighs in kg\n    \"\"\"\n",
    },
    check: Check::Comment(untyped),
};

pub(super) static DIRECTION: Rule = Rule {
    id: RuleId::new("param.direction"),
    level: Level::Warning,
    says: "an entry is marked as one that is written to, and the parameter is a value or points to what is constant",
    why: "A caller waits for a result that can never arrive there.",
    example: Example {
        language: "c",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param[out] load the load in kg\n */\nvoid weigh(int load);\n",
        after: "/**\n * Weighs a crate.\n *\n * @param[out] load the load in kg\n */\nvoid weigh(int *load);\n",
    },
    check: Check::Comment(direction),
};

fn direction(context: &Context<'_>, findings: &mut Findings<'_>) {
    each_matched(context, |parameter, entry, name| {
        let Some(first) = entry.name() else { return };
        let mark = context.slice(Span::new(entry.tag.start, first.span.start.max(entry.tag.start)));
        let direction =
            mark.split_once('[').and_then(|(_, rest)| rest.split_once(']')).map(|(inner, _)| inner);
        if !direction.is_some_and(|direction| direction.contains("out")) {
            return;
        }
        let Some(reason) = only_read(context.file.source, parameter) else { return };
        let message =
            format!("`{}` is marked as written to and {reason}; correct the mark, or the type", name.name);
        findings
            .report(name.span, name.name.as_str(), message)
            .related(parameter.span, "the parameter")
            .done();
    });
}

/// Tells whether nothing can be written to a parameter.
pub(crate) fn is_only_read(source: &Source, parameter: &Parameter) -> bool {
    only_read(source, parameter).is_some()
}

/// Returns why nothing can be written to a parameter; nothing where it can, or may.
fn only_read(source: &Source, parameter: &Parameter) -> Option<&'static str> {
    let ty = parameter.ty?;
    // All between the commas around it: qualifiers, pointers and brackets on either side of the name.
    let text = source.text();
    let before = text[..ty.start as usize].rfind(['(', ',']).map_or(0, |at| at + 1);
    let end = parameter.span.end.max(ty.end) as usize;
    let behind = text[end..].find([',', ')']).map_or(text.len(), |at| end + at);
    let whole = text[before..behind].trim();
    let written = whole.contains(['*', '&', '[', '^']);
    let pointers = whole.matches(['*', '&', '[']).count();
    let constant = pointers == 1
        && (whole.starts_with("const ")
            || whole.split(['*', '&']).next().is_some_and(|ty| ty.trim_end().ends_with(" const")));
    // A type with a name of its own may be a pointer.
    match (written, constant) {
        (true, true) => Some("points to what is constant"),
        (false, _) if is_plain_value(source.slice(ty)) => Some("is passed by value"),
        _ => None,
    }
}

/// Tells whether a type is a number, a truth value or an enumeration by its own words.
fn is_plain_value(ty: &str) -> bool {
    const WORDS: &[&str] = &[
        "int", "unsigned", "signed", "long", "short", "char", "float", "double", "bool", "_Bool", "size_t",
        "enum", "const", "volatile", "int8_t", "int16_t", "int32_t", "int64_t", "uint8_t", "uint16_t",
        "uint32_t", "uint64_t", "ssize_t",
    ];
    let mut words = ty.split_whitespace();
    words.next().is_some_and(|first| WORDS.contains(&first))
        && (ty.starts_with("enum ") || words.all(|word| WORDS.contains(&word)))
}

/// Calls `each` with every parameter that has an entry of its own.
fn each_matched<'a>(
    context: &Context<'a>,
    mut each: impl FnMut(&'a Parameter, &'a crate::model::Entry, &'a crate::model::EntryName),
) {
    let Some((signature, pairing)) = context.paired else { return };
    for paired in &pairing.params.names {
        if let Match::Is(at) = paired.is {
            let entry = &context.doc.entries[paired.entry];
            each(&signature.parameters[at], entry, &entry.names[paired.name]);
        }
    }
}

/// Words that add nothing to a name.
const FILLERS: &[&str] = &["the", "a", "an", "this", "of", "given", "specified", "value", "parameter", "s"];

fn echo(context: &Context<'_>, findings: &mut Findings<'_>) {
    each_matched(context, |parameter, entry, name| {
        // An echo is short.
        let Some(span) = entry.text.filter(|span| span.len() <= 80) else { return };
        let ty = parameter.ty.map_or("", |ty| context.slice(ty));
        if surely_says_more(context.slice(span), FILLERS, &[name.name.as_str(), ty]) {
            return;
        }
        let text = context.text_of(entry);
        let said: Vec<String> =
            split_words(&text).into_iter().filter(|w| !FILLERS.contains(&w.as_str())).collect();
        if text.trim().is_empty()
            || said.len() > 5
            || text.contains(['{', '<', '`', '(', '.', '=']) && said.len() > 1
        {
            return;
        }
        let mut known = split_words(name.name.as_str());
        known.extend(split_words(ty));
        if said.iter().all(|word| known.iter().any(|k| k == word || k.strip_suffix('s') == Some(word))) {
            let message =
                format!("the entry for `{}` only says its name again; say what it is for", name.name);
            findings
                .report(span, name.name.as_str(), message)
                .related(parameter.span, "the parameter")
                .done();
        }
    });
}

fn wrong_type(context: &Context<'_>, findings: &mut Findings<'_>) {
    each_matched(context, |parameter, entry, name| {
        let (Some(stated), Some(declared)) = (entry.ty, parameter.ty) else { return };
        let (said, is) = (context.slice(stated), context.slice(declared));
        // What a collecting parameter is inside may be told as well as what each is that it collects.
        let collects = parameter.variadic != Variadic::No;
        let collected = collects && is_collection(said);
        let is = if collects { is.strip_suffix("[]").unwrap_or(is) } else { is };
        if !collected && types::contradict(context.file.language.type_words, said, is) {
            let message = format!(
                "`{}` is `{is}` in the signature and `{}` here; correct one of them",
                name.name,
                bare(said)
            );
            findings
                .report(stated, name.name.as_str(), message)
                .related(declared, "the signature's type")
                .done();
        }
    });
}

/// Returns a type as a message shows it: without the backquotes around it, and what stands behind them.
fn bare(said: &str) -> &str {
    said.trim_start_matches('`').split('`').next().unwrap_or(said)
}

/// Tells whether a type, as a comment states it, holds several values.
fn is_collection(said: &str) -> bool {
    let lower = said.to_ascii_lowercase();
    let words =
        ["list", "tuple", "sequence", "iterable", "collection", "dict", "mapping", "set", "array", "varargs"];
    lower.ends_with("[]") || words.iter().any(|word| lower.contains(word))
}

fn optional(context: &Context<'_>, findings: &mut Findings<'_>) {
    each_matched(context, |parameter, entry, name| {
        let place = entry.ty.unwrap_or(name.span);
        // Where nothing checks the types of a file, its parameters have none, and any may be left out.
        let unchecked = context.file.language.dialect == Dialect::TypeScript && parameter.ty.is_none();
        // What may be nothing can be called optional: `Optional[Crate]`, `Crate | undefined`.
        let nothing: &[&str] = match context.file.language.carrier {
            Carrier::Docstring => &["Optional", "None"],
            _ if context.file.language.dialect == Dialect::TypeScript => &["undefined"],
            _ => &[],
        };
        let may_be_nothing =
            parameter.ty.is_some_and(|ty| nothing.iter().any(|word| context.slice(ty).contains(word)));
        let may_be_left_out = context.file.language.any_optional
            || parameter.optional
            || parameter.variadic != Variadic::No
            || unchecked
            || may_be_nothing;
        if entry.optional && !may_be_left_out && !an_overload_lacks(context, &name.name) {
            let message =
                format!("`{}` is marked optional and the signature requires it; remove the mark", name.name);
            findings
                .report(place, name.name.as_str(), message)
                .related(parameter.span, "no default here")
                .done();
            return;
        }
        let told = || if entry.names.len() == 1 { default_in_text(context, entry.text?) } else { None };
        let (Some(declared), Some(stated)) = (parameter.default, entry.default.or_else(told)) else { return };
        let (said, is) = (context.slice(stated), context.slice(declared));
        if other_literal(said, is) {
            let message = format!(
                "`{}` defaults to `{is}` in the signature and to `{said}` here; correct one",
                name.name
            );
            findings
                .report(stated, name.name.as_str(), message)
                .related(declared, "the signature's default")
                .done();
        }
    });
}

/// Tells whether another declaration under the same name does without a parameter.
fn an_overload_lacks(context: &Context<'_>, parameter: &Name) -> bool {
    let (declaration, outline) = (context.declaration(), context.file.outline);
    let is_overload = |other: &Declaration| {
        other.name == declaration.name && other.owner == declaration.owner && other.kind == declaration.kind
    };
    let requires = |other: &Declaration| {
        other.signature.parameters.iter().any(|p| p.named() == Some(parameter) && !p.optional)
    };
    let mut others = outline.ids().filter(|&id| id != context.id).map(|id| outline.declaration(id));
    context.file.language.dialect.is_script() && others.any(|other| is_overload(other) && !requires(other))
}

/// Returns the number or truth value that a text says to be the default, and no more: "Defaults to 2.", "(default: true)".
fn default_in_text(context: &Context<'_>, text: Span) -> Option<Span> {
    let whole = context.slice(text);
    // Where it is spoken of twice, it may depend on something.
    let mut words = memchr::memmem::find_iter(whole.as_bytes(), b"efault");
    let (at, None) = (words.next()? + "efault".len(), words.next()) else { return None };
    let border = |c: char| c.is_whitespace() || matches!(c, '*' | '/' | '#' | '`');
    let mut behind = whole[at..].strip_prefix('s').unwrap_or(&whole[at..]).trim_start_matches(border);
    for word in ["value", "to", "is", ":", "="] {
        let rest = behind.strip_prefix(word).filter(|rest| rest.starts_with(|c: char| !c.is_alphanumeric()));
        behind = rest.map_or(behind, |rest| rest.trim_start_matches(border));
    }
    let is_part = |c: char| c.is_alphanumeric() || matches!(c, '.' | '-' | '+' | '_');
    let length = behind.find(|c| !is_part(c)).unwrap_or(behind.len());
    let literal = behind[..length].trim_end_matches('.');
    let rest = behind[literal.len()..].trim_start_matches('`');
    let ends = rest.is_empty()
        || rest.starts_with([')', ']', ';', '\n', '\r'])
        || rest
            .strip_prefix('.')
            .is_some_and(|rest| rest.is_empty() || rest.starts_with(char::is_whitespace));
    let is_literal = literal.parse::<f64>().is_ok() || matches!(literal, "True" | "False" | "true" | "false");
    let start = text.start as usize + (whole.len() - behind.len());
    (ends && is_literal).then(|| Span::of(start, start + literal.len()))
}

/// Tells whether two texts are literals that surely differ.
fn other_literal(said: &str, is: &str) -> bool {
    let bare = |text: &str| text.trim().trim_end_matches('.').trim_matches(['`', '"', '\'']).to_owned();
    let (left, right) = (bare(said), bare(is));
    if let (Ok(left), Ok(right)) = (left.parse::<f64>(), right.parse::<f64>()) {
        return (left - right).abs() > f64::EPSILON * left.abs().max(right.abs());
    }
    let word = |text: &str| matches!(text, "True" | "False" | "true" | "false");
    let number = |text: &str| text.parse::<f64>().is_ok();
    (word(&left) && word(&right) && !left.eq_ignore_ascii_case(&right))
        || (word(&left) && number(&right) && right != "0" && right != "1")
}

fn untyped(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !context.file.language.untyped {
        return;
    }
    each_matched(context, |parameter, entry, name| {
        if parameter.ty.is_none() && entry.ty.is_none() && entry.kind == EntryKind::Param {
            let message = format!("`{}` has no type here and none in the signature; give one", name.name);
            findings
                .report(name.span, name.name.as_str(), message)
                .related(parameter.span, "the parameter")
                .done();
        }
    });
}

#[cfg(test)]
mod tests {
    use super::other_literal;

    #[test]
    fn only_literals_that_surely_differ_count() {
        assert!(other_literal("3", "4"));
        assert!(other_literal("True", "False"));
        assert!(!other_literal("1e3", "1000.0"));
        assert!(!other_literal("'kg'", "\"kg\""));
        assert!(!other_literal("the tare", "2"));
        assert!(!other_literal("None", "0"));
    }
}
