//! What comments refer to.

use super::rule::{Check, Example, Rule};
use super::text::is_in_code;
use super::{Context, Findings, visible};
use crate::index::{Lookup, Owner};
use crate::model::{Dialect, Kind, Level, Name, RuleId, Signature};
use crate::reading::MemberLinks;
use crate::text::{Span, nearest};

pub(super) static BROKEN: Rule = Rule {
    id: RuleId::new("reference.broken"),
    level: Level::Warning,
    says: "a link or a reference to a parameter names something of this project, or a parameter, that is not there",
    why: "The reader is sent to a place that does not exist; mostly it was renamed.",
    example: Example {
        language: "csharp",
        config: "",
        before: "/// <summary>Weighs <paramref name=\"laod\"/> in kg.</summary>\npublic class Scale { }\npublic class Bridge {\n    /// <summary>Weighs <paramref name=\"laod\"/> in kg.</summary>\n    public void Weigh(int load) { }\n}\n",
        after: "public class Bridge {\n    /// <summary>Weighs <paramref name=\"load\"/> in kg.</summary>\n    public void Weigh(int load) { }\n}\n",
    },
    check: Check::Comment(broken),
};

pub(super) static INHERIT: Rule = Rule {
    id: RuleId::new("reference.inherit"),
    level: Level::Warning,
    says: "the comment asks to inherit, and there is nothing to inherit from",
    why: "Readers see an empty comment.",
    example: Example {
        language: "csharp",
        config: "",
        before: "/// <summary>A scale.</summary>\npublic class Scale {\n    /// <inheritdoc/>\n    public void Weigh() { }\n}\n",
        after: "/// <summary>A scale.</summary>\npublic class Scale {\n    /// <summary>Weighs a crate.</summary>\n    public void Weigh() { }\n}\n",
    },
    check: Check::Comment(inherit),
};

fn broken(context: &Context<'_>, findings: &mut Findings<'_>) {
    match context.doc.notation.as_str() {
        "xml" => {
            named_elements(context, findings);
            members(context, &["cref=\""], ".", findings);
        }
        "tags" => members(context, &["{@link ", "{@linkplain ", "@see "], "#", findings),
        "google" | "numpy" | "rest" | "epytext" => members(context, &[":meth:`"], ".", findings),
        _ => {}
    }
    links(context, findings);
}

/// Links of the language's own form, `[Scale.weigh]`: the type is declared where its bare name means it, and has no such
/// member, but one like it. Without one like it the member may come from a macro or an embedded type.
fn links(context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(MemberLinks { marks, between, folder_wide, given }) = context.file.language.member_links else {
        return;
    };
    let here = context.file.source.path();
    let declared = |ty: &str| match folder_wide {
        true => context.file.known.places(ty).any(|path| folder(path) == folder(here)),
        false => {
            let mut types = context.file.outline.declarations.iter().filter(|found| found.kind.is_type());
            types.any(|found| found.name.as_str() == ty)
        }
    };
    let is_name = |text: &str| !text.is_empty() && text.chars().all(|c| c.is_alphanumeric() || c == '_');
    for (line, at, from) in marked(context, marks, between) {
        let rest = &line.text[from..];
        let ends = |c: char| !(c.is_alphanumeric() || c == '_' || between.contains(c));
        let Some(end) = rest.find(ends).filter(|&end| rest[end..].starts_with([']', '`', '('])) else {
            continue;
        };
        let Some((ty, member)) = rest[..end].split_once(between) else { continue };
        // Where it leads is said elsewhere: `[`Scale::weigh`][0]`, `[`Scale::weigh`](scale.html)`.
        let behind = rest[end..].trim_start_matches("()").trim_start_matches('`').strip_prefix(']');
        let defined = || {
            let label = line.text[at..from + end].trim_start_matches('[');
            let text = context.slice(context.doc.span);
            text.contains(&format!("[{label}]:")) || text.contains(&format!("[{label}`]:"))
        };
        if behind.is_some_and(|behind| behind.starts_with(['[', '(', ':'])) || defined() {
            continue;
        }
        // What stands in backquotes is code and no link.
        let is_code = line.text[..at].ends_with('`');
        if is_code || !is_name(ty) || !is_name(member) || given.contains(&member) || !declared(ty) {
            continue;
        }
        let span = line.span(from + end - member.len(), from + end);
        check_member(context, (ty, member), (span, true), findings);
    }
}

/// Returns where marks stand in lines that have a sign besides, each with its line and where what it opens begins.
fn marked<'c, 'a>(
    context: &'c Context<'a>,
    marks: &'c [&str],
    sign: &'c str,
) -> impl Iterator<Item = (&'c visible::Visible<'a>, usize, usize)> {
    let has = |text: &str, part: &str| memchr::memmem::find(text.as_bytes(), part.as_bytes()).is_some();
    // Few comments name a member.
    let text = context.slice(context.doc.span);
    let may = has(text, sign) && marks.iter().any(|mark| has(text, mark));
    let lines = if may { visible::lines(context) } else { &[] };
    lines.iter().filter(move |line| has(line.text, sign)).flat_map(move |line| {
        let places = move |mark: &'c &str| {
            line.text.match_indices(*mark).map(move |(at, mark)| (line, at, at + mark.len()))
        };
        marks.iter().flat_map(places)
    })
}

/// Elements of XML that name a parameter or a type parameter.
fn named_elements(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    let takes_some = |signature: &Signature| {
        declaration.kind.is_callable() || declaration.kind == Kind::Record || !signature.parameters.is_empty()
    };
    let Some((signature, _)) = context.paired.filter(|(signature, _)| takes_some(signature)) else { return };
    for &line in &context.doc.lines {
        let text = context.slice(line);
        for (mark, of_types) in [("<paramref name=\"", false), ("<typeparamref name=\"", true)] {
            for (at, _) in text.match_indices(mark) {
                let start = at + mark.len();
                let Some(name) = text[start..].split('"').next().filter(|name| !name.is_empty()) else {
                    continue;
                };
                let known: Vec<&str> = if of_types {
                    type_parameters(context)
                } else {
                    signature
                        .parameters
                        .iter()
                        .filter_map(|parameter| parameter.named())
                        .map(|name| name.as_str())
                        .collect()
                };
                if known.contains(&name)
                    || (!of_types && signature.receiver.as_ref().is_some_and(|receiver| *receiver == name))
                {
                    continue;
                }
                let span = Span::of(line.start as usize + start, line.start as usize + start + name.len());
                let what = if of_types { "type parameter" } else { "parameter" };
                match nearest(name, known) {
                    Some(meant) => {
                        let message = format!(
                            "`{name}` is no {what} of `{}`; did you mean `{meant}`?",
                            declaration.name
                        );
                        findings
                            .report(span, name, message)
                            .related(declaration.name_span, "the declaration")
                            .replace(span, meant);
                    }
                    None => {
                        let message =
                            format!("`{name}` is no {what} of `{}`; correct the name", declaration.name);
                        findings
                            .report(span, name, message)
                            .related(declaration.name_span, "the declaration")
                            .done();
                    }
                }
            }
        }
    }
}

/// Returns the names of the type parameters of a declaration and of all around it.
fn type_parameters<'a>(context: &Context<'a>) -> Vec<&'a str> {
    let mut out = Vec::new();
    let mut at = Some(context.id);
    while let Some(id) = at {
        let declaration = context.file.outline.declaration(id);
        out.extend(declaration.signature.type_parameters.iter().map(|parameter| parameter.name.as_str()));
        at = declaration.owner;
    }
    out
}

/// Links of the form `Type#member`: the type is declared in this project, and has no such member.
fn members(context: &Context<'_>, marks: &[&str], sign: &str, findings: &mut Findings<'_>) {
    for (line, _, from) in marked(context, marks, sign) {
        let rest = &line.text[from..];
        let end = rest
            .find(|c: char| c.is_whitespace() || matches!(c, '}' | '"' | '`' | '(' | '<' | ')' | ',' | '{'))
            .unwrap_or(rest.len());
        let target = rest[..end].trim_start_matches(['~', '.']);
        let target = match target.split_once(':') {
            // What is said to be a type, or a namespace, is no member.
            Some(("T" | "N", _)) => continue,
            Some((letter, rest)) if letter.len() == 1 => rest,
            _ => target,
        };
        let Some((ty, member)) = target.rsplit_once(sign) else { continue };
        let is_name = |text: &str| {
            text.chars().all(|c| c.is_alphanumeric() || c == '_' || c == '$') && !text.is_empty()
        };
        let (package, ty) = ty.rsplit_once(['.', '$']).unwrap_or(("", ty));
        if !ty.is_empty() && !may_be_meant(context, (package, ty)) {
            continue;
        }
        // In C# what stands in front is written where the type is declared: `Press.Scale.Weigh`.
        let elsewhere = || !context.file.known.has_type_in((package, ty));
        if context.doc.notation.as_str() == "xml" && !package.is_empty() && elsewhere() {
            continue;
        }
        if !is_name(member) || (!ty.is_empty() && !is_name(ty)) {
            continue;
        }
        let span = line.span(from + end - member.len(), from + end);
        check_member(context, (ty, member), (span, false), findings);
    }
}

/// Tells whether a type of the project may be the one that a name stands for here: it is of this file or folder, or
/// what is imported from, or said in front, names its folder.
fn may_be_meant(context: &Context<'_>, (package, name): (&str, &str)) -> bool {
    let file = context.file;
    if !file.language.imports_types {
        return true;
    }
    let here = file.source.path();
    let imports = file.imports();
    // Packages of one root need not be spelt out in the folders.
    let root = imports.root.as_deref();
    let mut places = file.known.places(name);
    if !package.is_empty() {
        return places.any(|path| names_folder((package, name), path, root));
    }
    let folder = |path: &str| folder(path).to_lowercase();
    let last = |folder: String| folder.rsplit('/').next().unwrap_or_default().to_owned();
    let imported = || {
        let names = imports.names.iter();
        names.filter(|(_, what)| what == name || matches!(what.as_str(), "*" | "_"))
    };
    let by_name = imported().any(|(_, what)| what == name);
    places.any(|path| {
        path == here
            || (!by_name && last(folder(path)) == last(folder(here)))
            || imported().any(|(from, _)| names_folder((from.as_str(), name), path, root))
    })
}

/// Tells whether a package, or a type around, is where a file stands: its parts end the file's path, or at least the
/// last does where the package begins like the file's own, `root`, and no folder is called so.
fn names_folder((package, name): (&str, &str), path: &str, root: Option<&str>) -> bool {
    let parts: Vec<&str> = package.split(['.', '\\', '$']).filter(|part| !part.is_empty()).collect();
    let same = |(one, other): &(&&str, &str)| one.eq_ignore_ascii_case(other);
    let mut folders = path.rsplit('/').skip(1);
    let alike = parts.iter().rev().zip(folders.by_ref()).take_while(same).count();
    // A type around, whose file it is.
    let outer = parts
        .last()
        .is_some_and(|part| part.eq_ignore_ascii_case(&stem(path)) && !part.eq_ignore_ascii_case(name));
    let left_out =
        || !path.split('/').any(|folder| root.is_some_and(|root| folder.eq_ignore_ascii_case(root)));
    let of_root = root.is_some() && parts.first().copied() == root;
    outer || alike == parts.len() || (alike > 0 && of_root && left_out())
}

fn folder(path: &str) -> &str {
    path.rsplit_once('/').map_or("", |(folder, _)| folder)
}

/// Returns the name of a file without its ending, in lower case.
fn stem(path: &str) -> String {
    let name = path.rsplit('/').next().unwrap_or_default();
    name.split('.').next().unwrap_or_default().to_lowercase()
}

/// Reports a member that a type lacks; if so asked, only where it has one of nearly the same name.
fn check_member(
    context: &Context<'_>,
    (ty, member): (&str, &str),
    (span, only_if_near): (Span, bool),
    findings: &mut Findings<'_>,
) {
    let (known, outline) = (context.file.known, context.file.outline);
    let ty = if ty.is_empty() {
        // Within the type around: only where that is the outermost, since outer members are seen as well.
        let declaration = context.declaration();
        let around = declaration.owner.filter(|_| !declaration.kind.is_type()).unwrap_or(context.id);
        let owner = outline.declaration(around);
        if !owner.kind.is_type() || owner.owner.is_some() {
            return;
        }
        owner.name.as_str()
    } else {
        ty
    };
    // Where nothing is declared an object gets members wherever its code runs: only the file of its type shows
    // them.
    let open = context.file.language.untyped;
    let here = || outline.declarations.iter().any(|found| found.kind.is_type() && found.name.as_str() == ty);
    if open && (!here() || is_in_code(context, member)) {
        return;
    }
    let well_known = context.file.language.well_known.iter().any(|&(_, name, _)| name == member);
    if well_known || member == ty {
        return;
    }
    let is_meant = |path: &str, name: &str| {
        // What another file imports is not known: there it is a neighbour, or may be anything.
        let near = |place: &str| folder(place) == folder(path);
        !context.file.language.imports_types
            || if path == context.file.source.path() {
                may_be_meant(context, ("", name))
            } else {
                known.places(name).any(near)
            }
    };
    let Lookup::Absent(candidates) = known.member(ty, member, &is_meant) else { return };
    match nearest(member, candidates.iter().map(|name| name.as_str())) {
        Some(meant) => {
            let message = format!("`{ty}` has no member `{member}`; did you mean `{meant}`?");
            findings.report(span, member, message).replace(span, meant);
        }
        None if only_if_near => {}
        None => {
            let message = format!("`{ty}` has no member `{member}`; correct the reference, or remove it");
            findings.report(span, member, message).done();
        }
    }
}

fn inherit(context: &Context<'_>, findings: &mut Findings<'_>) {
    let (doc, declaration) = (context.doc, context.declaration());
    if !doc.inherits || declaration.overrides || context.overrides {
        return;
    }
    let text = context.slice(doc.span);
    let lower = text.to_lowercase();
    // What names its source is copied from there.
    let Some(at) = lower.find("inheritdoc").filter(|_| !lower.contains("cref") && text.len() == lower.len())
    else {
        return;
    };
    // `{@inheritDoc Scale.weigh}`
    let behind = text[at + "inheritdoc".len()..].trim_start_matches([' ', '\t']);
    if text[..at].ends_with("{@") && !behind.starts_with('}') {
        return;
    }
    // `@inheritDoc Scale.weigh`
    let source = behind.split_whitespace().next().unwrap_or_default();
    if source.contains(['.', '#']) && source.starts_with(char::is_alphabetic) {
        return;
    }
    let member = matches!(declaration.kind, Kind::Method | Kind::Property | Kind::Event);
    let owner = declaration
        .owner
        .map(|owner| context.file.outline.declaration(owner))
        // What uses a trait has its comments from elsewhere.
        .filter(|owner| owner.kind.is_type() && owner.kind != Kind::Trait);
    let Some(owner) = owner.filter(|_| member) else { return };
    let owner = Owner {
        path: context.file.source.path(),
        qualified: &owner.qualified,
        supertypes: &owner.supertypes,
    };
    // `class Scale implements press.Scale, cellar.Scale`: of several namesakes one at least stands elsewhere.
    let namesakes = |name: &&Name| {
        owner.supertypes.iter().filter(|other| other == name).count() > 1
            || owner.qualified.rsplit('.').next() == Some(name.as_str())
    };
    let elsewhere = |name: &Name| namesakes(&name) || !may_be_meant(context, ("", name.as_str()));
    if !context.file.known.surely_knows_supertypes(owner)
        || owner.supertypes.iter().any(elsewhere)
        || context.file.known.overridden(owner, declaration, context.file.language).is_some()
    {
        return;
    }
    let span = Span::of(doc.span.start as usize + at, doc.span.start as usize + at + "inheritdoc".len());
    let message = format!(
        "`{}` overrides nothing from which a comment could be inherited; describe it here",
        declaration.name
    );
    let report = findings.report(span, "", message).related(declaration.name_span, "the declaration");
    if context.file.language.dialect == Dialect::JavaScript {
        // Interfaces and abstract members, from which it may come, are not written in the language.
        report.only_note();
    } else {
        report.done();
    }
}

#[cfg(test)]
mod tests {
    use super::names_folder;

    #[test]
    fn a_package_is_a_folder_whose_path_ends_like_it() {
        let is_there = |package: &str, path: &str| names_folder((package, "Reading"), path, Some("Sallow"));
        assert!(is_there("Sallow\\Press\\Scale", "lib/Sallow/Press/Scale/Reading.php"));
        assert!(is_there("Sallow\\Press\\Scale", "src/Scale/Reading.php"));
        assert!(!is_there("Ridge\\Press\\Scale", "src/Scale/Reading.php"));
        assert!(!is_there("Sallow\\Press\\Scale", "lib/Sallow/Cellar/Scale/Reading.php"));
    }
}
