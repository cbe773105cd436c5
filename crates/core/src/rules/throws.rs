//! Entries for exceptions against those that can come out.

use super::named::without_second;
use super::repair::{Repair, sorted_by_key};
use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::debt::{is_documented, text_names};
use crate::model::{Answer, Body, EntryKind, Kind, Level, Origin, RuleId, Thrown};
use crate::text::{Span, is_wordless};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("throws.missing"),
    level: Level::Warning,
    says: "an exception that is declared, or thrown and not caught, has no entry in a comment that owes one",
    why: "It is the entry most useful to whoever must catch it, and the one most often forgotten.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {\n    if (load < 0) throw new IllegalArgumentException();\n}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @throws IllegalArgumentException if the load is negative\n */\npublic void weigh(double load) {\n    if (load < 0) throw new IllegalArgumentException();\n}\n",
    },
    check: Check::Comment(missing),
};

pub(super) static GUARD: Rule = Rule {
    id: RuleId::new("throws.guard"),
    level: Level::Note,
    says: "an exception that only a guard throws (a null check, a precondition) has no entry",
    why: "Many teams take it for granted; those who do not want it told.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param crate its tag\n */\npublic void weigh(String crate) {\n    if (crate == null) throw new IllegalArgumentException();\n}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param crate its tag\n * @throws IllegalArgumentException if there is no tag\n */\npublic void weigh(String crate) {\n    if (crate == null) throw new IllegalArgumentException();\n}\n",
    },
    check: Check::Comment(guard),
};

pub(super) static UNKNOWN: Rule = Rule {
    id: RuleId::new("throws.unknown"),
    level: Level::Note,
    says: "an entry names an exception that is neither declared nor thrown, in a body that calls nothing unknown",
    why: "Callers write handlers for something that never comes.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @throws IllegalStateException if the scale is off\n */\npublic int weigh() { return 0; }\n",
        after: "/**\n * Weighs a crate.\n */\npublic int weigh() { return 0; }\n",
    },
    check: Check::Comment(unknown),
};

pub(super) static EMPTY: Rule = Rule {
    id: RuleId::new("throws.empty"),
    level: Level::Warning,
    says: "an entry names an exception and does not say when it is thrown",
    why: "The condition is what callers need.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @throws java.io.IOException\n */\npublic void weigh() throws java.io.IOException {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @throws java.io.IOException if the scale does not answer\n */\npublic void weigh() throws java.io.IOException {}\n",
    },
    check: Check::Comment(empty),
};

pub(super) static REPEATED: Rule = Rule {
    id: RuleId::new("throws.repeated"),
    level: Level::Note,
    says: "an exception has two entries with the same text, or one without any",
    why: "The second says nothing new.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @throws java.io.IOException if the scale is off\n * @throws java.io.IOException if the scale is off\n */\npublic void weigh() throws java.io.IOException {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @throws java.io.IOException if the scale is off\n */\npublic void weigh() throws java.io.IOException {}\n",
    },
    check: Check::Comment(repeated),
};

pub(super) static PANICS: Rule = Rule {
    id: RuleId::new("throws.panics"),
    level: Level::Note,
    says: "the body panics directly and the comment has no section `Panics`",
    why: "A caller who knows when it panics can see to it that it does not.",
    example: Example {
        language: "rust",
        config: "",
        before: "/// Weighs a crate.\npub fn weigh(load: i32) -> i32 {\n    assert!(load >= 0);\n    load\n}\n",
        after: "/// Weighs a crate.\n///\n/// # Panics\n///\n/// If the load is negative.\npub fn weigh(load: i32) -> i32 {\n    assert!(load >= 0);\n    load\n}\n",
    },
    check: Check::Comment(panics),
};

fn owed<'a>(context: &Context<'a>) -> impl Iterator<Item = &'a Thrown> {
    let signature = &context.declaration().signature;
    context.debt.throws.iter().filter_map(|&at| signature.throws.get(at))
}

fn is_told(context: &Context<'_>, thrown: &Thrown) -> bool {
    let file = context.file;
    let kin = (file.language.hierarchy, file.known);
    is_documented(thrown, context.doc, &context.declaration().signature, kin)
}

pub(super) static ORDER: Rule = Rule {
    id: RuleId::new("throws.order"),
    level: Level::None,
    says: "entries for exceptions are not in alphabetical order",
    why: "In a long list an exception is found by its name.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @throws java.io.IOException when it cannot be read\n * @throws BusyException when it moves\n */\npublic void weigh() throws IOException, BusyException {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @throws BusyException when it moves\n * @throws java.io.IOException when it cannot be read\n */\npublic void weigh() throws IOException, BusyException {}\n",
    },
    check: Check::Comment(order),
};

pub(crate) static PASSED: Rule = Rule {
    id: RuleId::new("throws.passed"),
    level: Level::None,
    says: "an exception reaches the declaration from what it calls in this project, and has no entry",
    why: "Whoever calls it has to catch it all the same, and finds it in no comment.",
    example: Example {
        language: "python",
        config: "",
        before: "def parse(line):\n    \"\"\"Parse a line.\"\"\"\n    raise LineError(line)\n\n\ndef load(name):\n    \"\"\"Load a file. It is read as a whole.\"\"\"\n    parse(name)\n",
        after: "def parse(line):\n    \"\"\"Parse a line.\"\"\"\n    raise LineError(line)\n\n\ndef load(name):\n    \"\"\"Load a file. It is read as a whole.\n\n    Raises:\n        LineError: when a line is broken\n    \"\"\"\n    parse(name)\n",
    },
    check: Check::Comment(passed),
};

fn passed(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !context.debt.passed || has_sections(context) {
        return;
    }
    let signature = &context.declaration().signature;
    for thrown in signature.throws.iter().filter(|thrown| thrown.origin == Origin::Callee) {
        if is_told(context, thrown) {
            continue;
        }
        let entry = context.spell(EntryKind::Throws, thrown.ty.as_str());
        let message = format!(
            "{}, and the comment does not say when; add `{entry}`",
            thrown.via.as_deref().unwrap_or_default()
        );
        findings
            .report(thrown.span, thrown.ty.as_str(), message)
            .related(context.doc.span, "this comment")
            .done();
    }
}

fn order(context: &Context<'_>, findings: &mut Findings<'_>) {
    if has_sections(context) {
        return;
    }
    let named: Vec<_> = context.doc.entries_of(EntryKind::Throws).filter_map(|entry| entry.name()).collect();
    let key = |name: &crate::model::EntryName| name.name.as_str().to_lowercase();
    let mut sorted = named.clone();
    sorted.sort_by_key(|name| key(name));
    let Some((found, wanted)) = named.iter().zip(&sorted).find(|(found, wanted)| key(found) != key(wanted))
    else {
        return;
    };
    let message = format!(
        "`{}` stands where `{}` should; put the exceptions in alphabetical order",
        found.name, wanted.name
    );
    let entries: Vec<_> =
        context.doc.entries_of(EntryKind::Throws).filter(|entry| entry.name().is_some()).collect();
    let several = entries.iter().any(|entry| entry.names.len() > 1);
    let order = sorted_by_key(&entries, |entry| entry.name().map(key));
    let rows: Vec<_> = entries.iter().map(|entry| entry.lines).collect();
    let repair = if several { Vec::new() } else { Repair::of(context).permute(&rows, &order) };
    findings
        .report(found.span, found.name.as_str(), message)
        .related(wanted.span, "comes first")
        .mend(repair);
}

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    for thrown in owed(context).filter(|thrown| matches!(thrown.origin, Origin::Declared | Origin::Body)) {
        if is_told(context, thrown) {
            continue;
        }
        if has_sections(context) {
            if thrown.origin == Origin::Declared {
                report_section(context, findings, thrown);
            }
            continue;
        }
        let entry = context.spell(EntryKind::Throws, thrown.ty.as_str());
        let how = if thrown.origin == Origin::Declared { "is declared" } else { "is thrown here" };
        let message = format!("`{}` {how} and the comment does not say when; add `{entry}`", thrown.ty);
        findings
            .report(thrown.span, thrown.ty.as_str(), message)
            .related(context.doc.span, "this comment")
            .done();
    }
}

/// Tells whether the notation speaks of what goes wrong in sections instead of type by type.
fn has_sections(context: &Context<'_>) -> bool {
    context.doc.notation.as_str() == "headings"
}

fn report_section(context: &Context<'_>, findings: &mut Findings<'_>, thrown: &Thrown) {
    let name = &context.declaration().name;
    let title = thrown.ty.as_str();
    let (is, says) = match title {
        "Errors" => ("gives back a `Result`", "when it fails"),
        "Safety" => ("is unsafe", "what callers must ensure"),
        _ => ("may panic", "when"),
    };
    // The text may say it; readers look for the section.
    let message =
        format!("`{name}` {is} and the comment has no section `# {title}` that says {says}; add it");
    findings
        .report(thrown.span, thrown.ty.as_str(), message)
        .related(context.doc.span, "this comment")
        .done();
}

fn panics(context: &Context<'_>, findings: &mut Findings<'_>) {
    let panics = owed(context).find(|thrown| thrown.origin == Origin::Body && !is_told(context, thrown));
    if let Some(thrown) = panics.filter(|_| has_sections(context)) {
        report_section(context, findings, thrown);
    }
}

fn guard(context: &Context<'_>, findings: &mut Findings<'_>) {
    for thrown in owed(context).filter(|thrown| thrown.origin == Origin::Guard && !is_told(context, thrown)) {
        let entry = context.spell(EntryKind::Throws, thrown.ty.as_str());
        let message =
            format!("this guard throws `{}` and the comment does not say so; add `{entry}`", thrown.ty);
        findings
            .report(thrown.span, thrown.ty.as_str(), message)
            .related(context.doc.span, "this comment")
            .done();
    }
}

fn unknown(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    let signature = &declaration.signature;
    if has_sections(context) {
        unknown_sections(context, findings);
        return;
    }
    let clear = declaration.kind.is_callable()
        && declaration.body == Body::Present
        && !is_hook(context)
        && !(signature.opaque || signature.throws_unknown || signature.returns.yields);
    if !clear {
        return;
    }
    let (language, known) = (context.file.language, context.file.known);
    let entries = context.doc.entries_of(EntryKind::Throws);
    for (entry, name) in entries.flat_map(|entry| entry.names.iter().map(move |name| (entry, name))) {
        let documented = name.name.as_str();
        let thrown = signature.throws.iter().any(|thrown| {
            language.hierarchy.is_subtype(thrown.ty.as_str(), documented, known) != Answer::No
                || language.hierarchy.is_subtype(documented, thrown.ty.as_str(), known) == Answer::Yes
        });
        if thrown || language.ambient.contains(&documented) {
            continue;
        }
        let spelt = context.spell(EntryKind::Throws, documented);
        let message = format!("`{spelt}` names an exception that the code never throws; remove the entry");
        let vain = entry.text.is_none() && entry.names.len() == 1;
        let repair = if vain { Repair::of(context).remove(entry) } else { None };
        findings
            .report(name.span, documented, message)
            .related(declaration.name_span, "nothing throws it")
            .mend(repair);
    }
}

/// Tells whether a body in braces is empty: a place for others to fill in, who may throw what the comment says.
fn is_hook(context: &Context<'_>) -> bool {
    let declaration = context.declaration();
    let body = context.slice(Span::new(declaration.header_end, declaration.span.end)).trim();
    let inner = body.strip_prefix('{').and_then(|rest| rest.strip_suffix('}'));
    // Where the signature must say that something is thrown, nothing is left to fill in.
    let declared = context.file.language.hierarchy.roots.is_empty();
    !declared && declaration.kind == Kind::Method && inner.is_some_and(|inner| inner.trim().is_empty())
}

/// A section whose cause is surely not there.
fn unknown_sections(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    let signature = &declaration.signature;
    if !declaration.kind.is_callable() || declaration.body != Body::Present {
        return;
    }
    for name in context.doc.entries_of(EntryKind::Throws).flat_map(|entry| &entry.names) {
        let section = name.name.as_str();
        let caused = signature.throws.iter().any(|thrown| thrown.ty == section);
        let reason = match section {
            "Safety" => "is not unsafe",
            // A type that is not known may well be an alias of one that can fail.
            "Errors" if signature.returns.value == Answer::No => "gives nothing back",
            "Panics" if !signature.opaque && !signature.throws_unknown => "never panics",
            _ => continue,
        };
        if !caused {
            let message = format!("`{}` {reason}; remove the section `# {section}`", declaration.name);
            findings
                .report(name.span, section, message)
                .related(declaration.name_span, "the function")
                .done();
        }
    }
}

fn empty(context: &Context<'_>, findings: &mut Findings<'_>) {
    // A module's comment lists the exceptions that there are.
    if matches!(context.declaration().kind, Kind::Module | Kind::Package | Kind::File) {
        return;
    }
    for entry in context.doc.entries_of(EntryKind::Throws) {
        let Some(name) = entry.name() else { continue };
        // `@throw nothing` says that none is.
        if matches!(name.name.as_str(), "nothing" | "none" | "nothrow" | "never") {
            continue;
        }
        if entry.text.is_none_or(|span| is_wordless(context.slice(span)))
            && !text_names(context.file.source, context.doc, name.name.as_str())
        {
            let message =
                format!("the entry for `{}` does not say when it is thrown; add the condition", name.name);
            findings.report(name.span, name.name.as_str(), message).done();
        }
    }
}

fn repeated(context: &Context<'_>, findings: &mut Findings<'_>) {
    let entries: Vec<_> = context.doc.entries_of(EntryKind::Throws).collect();
    for (at, entry) in entries.iter().enumerate() {
        let Some(name) = entry.name() else { continue };
        let text = context.text_of(entry);
        let same = entries[..at].iter().find(|other| {
            other.name().is_some_and(|n| n.name == name.name)
                && (text.is_empty() || context.text_of(other) == text)
        });
        let Some(first) = same else { continue };
        let message =
            format!("`{}` has a second entry that says nothing new; keep one of the two", name.name);
        findings
            .report(name.span, name.name.as_str(), message)
            .related(first.place(), "the first entry")
            .mend(without_second(context, first, entry));
    }
}
