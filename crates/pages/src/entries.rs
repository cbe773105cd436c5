//! What is shown of parameters, results and exceptions: from the signature, and from the comment.

use vinequill_core::model::{Declaration, DocComment, Entry, EntryKind, Origin, ParamName, Variadic};
use vinequill_core::review::FileReading;
use vinequill_core::text::Span;

use crate::collect::{EntryPage, FindingPage, one_line};
use crate::others::text_in;

/// Returns parameters and type parameters in the order of the signature, and what the comment says of others.
pub(crate) fn parameters(
    reading: &FileReading<'_>,
    declaration: &Declaration,
    doc: Option<&DocComment>,
    findings: &[FindingPage],
) -> Vec<EntryPage> {
    let source = &reading.source;
    let text = |span: Span| doc.map(|doc| text_in(reading, doc, span)).unwrap_or_default();
    let missing = |rule: &str, name: &str| {
        findings.iter().any(|finding| finding.rule == rule && finding.subject == name)
    };
    let entry_of = |kind: EntryKind, name: &str| -> Option<&Entry> {
        doc.and_then(|doc| {
            doc.entries_of(kind)
                .find(|entry| entry.names.iter().any(|own| own.name.as_str() == name && !own.dotted))
        })
    };
    let mut parameters = Vec::new();
    let mut shown: Vec<&Entry> = Vec::new();
    let signature = &declaration.signature;
    for parameter in &signature.type_parameters {
        let name = parameter.name.as_str();
        let entry = entry_of(EntryKind::TypeParam, name).or_else(|| entry_of(EntryKind::Param, name));
        shown.extend(entry);
        parameters.push(EntryPage {
            name: parameter.name.to_string(),
            text: entry.and_then(|entry| entry.text).map(text).unwrap_or_default(),
            origin: "type parameter",
            missing: missing("typeparam.missing", parameter.name.as_str()),
            ..EntryPage::default()
        });
    }
    for parameter in &signature.parameters {
        let name = match &parameter.name {
            ParamName::Named(name) => name.to_string(),
            ParamName::Rest => "...".to_owned(),
            ParamName::Unnamed => String::new(),
            ParamName::Destructured(_) => one_line(source.slice(parameter.span)),
        };
        let entry = entry_of(EntryKind::Param, &name).or_else(|| entry_of(EntryKind::Property, &name));
        shown.extend(entry);
        let stars = match parameter.variadic {
            Variadic::No => "",
            Variadic::Positional | Variadic::Keywords => "…",
        };
        let ty = parameter.ty.or(entry.and_then(|entry| entry.ty));
        parameters.push(EntryPage {
            missing: missing("param.missing", &name),
            name: format!("{name}{stars}"),
            ty: ty.map(|span| one_line(source.slice(span))).unwrap_or_default(),
            default: parameter.default.map(|span| one_line(source.slice(span))).unwrap_or_default(),
            text: entry.and_then(|entry| entry.text).map(text).unwrap_or_default(),
            ..EntryPage::default()
        });
    }
    if let Some(doc) = doc {
        add_others(&mut parameters, reading, (declaration, doc, &shown));
    }
    parameters
}

/// Adds entries that are not shown with a parameter of the signature: parts of one behind it; those of a type, whose
/// constructor may take them; and those of parameters that are not there, since callers read them all the same.
fn add_others(
    parameters: &mut Vec<EntryPage>,
    reading: &FileReading<'_>,
    (declaration, doc, shown): (&Declaration, &DocComment, &[&Entry]),
) {
    let bare = |page: &EntryPage| page.name.trim_end_matches('…').to_owned();
    let callable = declaration.kind.is_callable();
    let signature = &declaration.signature;
    let all_are_named = signature.parameters.iter().all(|parameter| parameter.named().is_some() || !callable);
    let kinds = [EntryKind::TypeParam, EntryKind::Param, EntryKind::Property];
    let left = doc.entries.iter().filter(|entry| {
        kinds.contains(&entry.kind) && !shown.iter().any(|shown| std::ptr::eq(*shown, *entry))
    });
    for entry in left {
        let page = |name: &str, origin: &'static str| EntryPage {
            ty: doc.stated_type(&reading.source, entry).map(|ty| one_line(&ty)).unwrap_or_default(),
            text: entry.text.map(|span| text_in(reading, doc, span)).unwrap_or_default(),
            name: name.to_owned(),
            origin,
            ..EntryPage::default()
        };
        if entry.names.is_empty() {
            parameters.push(page("", ""));
        }
        for name in &entry.names {
            let own = if name.dotted { whole_name(reading, name.span) } else { name.name.to_string() };
            let root = own.split(['.', '[']).next().unwrap_or_default();
            let of_root = |known: &EntryPage| {
                let known = bare(known);
                known == root || known.strip_prefix(root).is_some_and(|rest| rest.starts_with(['.', '[']))
            };
            let place = parameters.iter().rposition(of_root);
            let stray = callable && place.is_none() && entry.kind != EntryKind::Property && all_are_named;
            let page = page(&own, if stray { "in the comment only" } else { "" });
            parameters.insert(place.map_or(parameters.len(), |place| place + 1), page);
        }
    }
}

/// Returns a name with the part of the parameter that it goes on into.
fn whole_name(reading: &FileReading<'_>, span: Span) -> String {
    let text = reading.source.text().get(span.start as usize..).unwrap_or_default();
    let end = text.find(|c: char| c.is_whitespace() || matches!(c, '=' | ',' | ':')).unwrap_or(text.len());
    let name = &text[..end];
    let open = name.matches('[').count();
    if name.matches(']').count() > open { name.trim_end_matches(']').to_owned() } else { name.to_owned() }
}

/// Returns what comes back, where something does or is said to.
pub(crate) fn returned(
    reading: &FileReading<'_>,
    declaration: &Declaration,
    doc: Option<&DocComment>,
    findings: &[FindingPage],
) -> Option<EntryPage> {
    let returns = &declaration.signature.returns;
    let entries: Vec<&Entry> = doc
        .map(|doc| doc.entries_of(EntryKind::Returns).chain(doc.entries_of(EntryKind::Yields)).collect())
        .unwrap_or_default();
    let missing = findings.iter().any(|finding| matches!(finding.rule, "returns.missing" | "yields.missing"));
    let gives = declaration.kind.is_callable() && returns.value == vinequill_core::model::Answer::Yes;
    if entries.is_empty() && !missing && !gives {
        return None;
    }
    let ty = returns.ty.or_else(|| entries.first().and_then(|entry| entry.ty));
    let texts = entries.iter().filter_map(|entry| {
        let text = entry.text.and_then(|span| doc.map(|doc| text_in(reading, doc, span)))?;
        let value = entry.value.map(|span| format!("`{}`: ", reading.source.slice(span))).unwrap_or_default();
        Some(value + &text)
    });
    Some(EntryPage {
        ty: ty.map(|span| one_line(reading.source.slice(span))).unwrap_or_default(),
        text: texts.collect::<Vec<_>>().join("\n\n"),
        missing,
        ..EntryPage::default()
    })
}

/// Returns the exceptions: first those that the comment describes, then those that were only found in the code.
pub(crate) fn thrown(
    reading: &FileReading<'_>,
    declaration: &Declaration,
    doc: Option<&DocComment>,
    findings: &[FindingPage],
) -> Vec<EntryPage> {
    let mut out: Vec<EntryPage> = Vec::new();
    for entry in doc.into_iter().flat_map(|doc| doc.entries_of(EntryKind::Throws)) {
        let name = entry.name().map(|name| name.name.to_string()).unwrap_or_default();
        let text = entry.text.and_then(|span| doc.map(|doc| text_in(reading, doc, span)));
        out.push(EntryPage { name, text: text.unwrap_or_default(), ..EntryPage::default() });
    }
    for thrown in declaration.signature.throws.iter().filter(|thrown| !thrown.exempt) {
        let name = thrown.ty.to_string();
        if out.iter().any(|known| known.name == name) {
            continue;
        }
        let origin = match thrown.origin {
            Origin::Declared => "declared",
            Origin::Body => "thrown in the body",
            Origin::Guard => "thrown by a guard",
            Origin::Callee => "passed on from a call",
        };
        let missing =
            findings.iter().any(|finding| finding.rule.starts_with("throws.") && finding.subject == name);
        out.push(EntryPage { name, origin, missing, ..EntryPage::default() });
    }
    out
}
