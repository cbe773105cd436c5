//! What a module of JavaScript or TypeScript takes from others, and under which names it gives things out.

use smol_str::SmolStr;

use super::kinds::Script;
use crate::model::ModuleLink;
use crate::reading::{Node, Walk};

/// Notes what an `import` takes.
pub(super) fn import<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if !walk.wants_links() {
        return;
    }
    let Some(module) = walk.field(node, "source").map(|source| unquoted(walk, source)) else { return };
    let clause = node.named_child(0).filter(|clause| clause.kind() == "import_clause");
    for part in clause.map(|clause| walk.children(clause)).unwrap_or_default() {
        let taken: Vec<(SmolStr, Option<SmolStr>)> = match part.kind() {
            "identifier" => vec![(walk.text(part).into(), Some("default".into()))],
            "namespace_import" => {
                part.named_child(0).map(|name| (walk.text(name).into(), None)).into_iter().collect()
            }
            _ => specifiers(walk, part).into_iter().map(|(name, local)| (local, Some(name))).collect(),
        };
        for (local, name) in taken {
            walk.link(|| ModuleLink::Import { local, module: module.clone(), name });
        }
    }
}

/// Notes what an `export` passes on, and what it gives out under another name.
pub(super) fn export<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if !walk.wants_links() {
        return;
    }
    let module = walk.field(node, "source").map(|source| unquoted(walk, source));
    let mut named = false;
    for part in walk.children(node) {
        if part.kind() == "namespace_export" {
            let (Some(module), Some(name)) = (module.clone(), part.named_child(0)) else { continue };
            let given = SmolStr::new(walk.text(name));
            walk.link(|| ModuleLink::Pass { given, module, name: None });
            named = true;
        }
        if walk.kind(part) != Some(Script::ExportClause) {
            continue;
        }
        named = true;
        for (local, given) in specifiers(walk, part) {
            let module = module.clone();
            walk.link(|| match module {
                Some(module) => ModuleLink::Pass { given, module, name: Some(local) },
                None => ModuleLink::Alias { given, local },
            });
        }
    }
    match module {
        Some(module) if !named => walk.link(|| ModuleLink::PassAll { module }),
        Some(_) => {}
        None => default_of(walk, node),
    }
}

/// `export default` gives out what may have a name in its file.
fn default_of<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let is_default = walk.text(node)["export".len()..].trim_start().starts_with("default");
    let value = walk.field(node, "value").or_else(|| walk.field(node, "declaration"));
    let Some(value) = value.filter(|_| is_default) else { return };
    let name =
        if walk.kind(value) == Some(Script::Identifier) { Some(value) } else { walk.field(value, "name") };
    if let Some(name) = name {
        let local = SmolStr::new(walk.text(name));
        walk.link(|| ModuleLink::Alias { given: "default".into(), local });
    }
}

/// Notes what `exports.x = require(…)` and `module.exports = …` pass on.
pub(super) fn assignment<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if !walk.wants_links() || walk.in_code() {
        return;
    }
    let (Some(left), Some(right)) = (walk.field(node, "left"), walk.field(node, "right")) else { return };
    let target = walk.text(left);
    let given = target.strip_prefix("module.exports.").or_else(|| target.strip_prefix("exports."));
    let required = required(walk, right);
    match (given, required) {
        (Some(given), Some(module)) => {
            walk.link(|| ModuleLink::Pass { given: given.into(), module, name: None });
        }
        (None, Some(module)) if target == "module.exports" => walk.link(|| ModuleLink::PassAll { module }),
        (Some(given), None) if walk.kind(right) == Some(Script::Identifier) => {
            let local = SmolStr::new(walk.text(right));
            walk.link(|| ModuleLink::Alias { given: given.into(), local });
        }
        (None, None) if target == "module.exports" && walk.kind(right) == Some(Script::Object) => {
            object(walk, right);
        }
        _ => {}
    }
}

/// Notes what the keys of an object that is given out stand for.
fn object<'t>(walk: &mut Walk<'t, Script>, object: Node<'t>) {
    for member in walk.children(object) {
        let pair = match walk.kind(member) {
            Some(Script::Shorthand) => Some((member, member)),
            Some(Script::Pair) => walk.field(member, "key").zip(walk.field(member, "value")),
            _ => None,
        };
        let Some((key, value)) = pair else { continue };
        let given = SmolStr::new(walk.text(key).trim_matches(['"', '\'']));
        if let Some(module) = required(walk, value) {
            walk.link(|| ModuleLink::Pass { given, module, name: None });
        } else {
            let local = SmolStr::new(walk.text(value));
            walk.link(|| ModuleLink::Alias { given, local });
        }
    }
}

/// Notes what `const x = require(…)` takes.
pub(super) fn variables<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if !walk.wants_links() || walk.in_code() {
        return;
    }
    for declarator in walk.children_of(node, Script::Declarator) {
        let (Some(name), Some(value)) = (walk.field(declarator, "name"), walk.field(declarator, "value"))
        else {
            continue;
        };
        let Some(module) = required(walk, value) else { continue };
        // Names that are taken out of it one by one are the module's.
        let locals: Vec<(SmolStr, Option<SmolStr>)> = match walk.kind(name) {
            Some(Script::Identifier) => vec![(walk.text(name).into(), None)],
            Some(Script::ObjectPattern) => walk
                .children(name)
                .into_iter()
                .map(|part| {
                    let key = walk.field(part, "key").unwrap_or(part);
                    let value = walk.field(part, "value").unwrap_or(part);
                    (walk.text(value).into(), Some(walk.text(key).into()))
                })
                .collect(),
            _ => Vec::new(),
        };
        for (local, name) in locals {
            walk.link(|| ModuleLink::Import { local, module: module.clone(), name });
        }
    }
}

/// Returns the module that `require("…")` names.
fn required<'t>(walk: &Walk<'t, Script>, value: Node<'t>) -> Option<SmolStr> {
    let text = walk.text(value).strip_prefix("require(")?.strip_suffix(')')?;
    let name = text.trim().trim_matches(['"', '\'', '`']);
    (!name.contains(['(', '+', '$'])).then(|| SmolStr::new(name))
}

/// Returns the names in braces: the one that comes first, and the one that it is given.
fn specifiers<'t>(walk: &Walk<'t, Script>, list: Node<'t>) -> Vec<(SmolStr, SmolStr)> {
    let mut out = Vec::new();
    for specifier in walk.children(list) {
        let Some(name) = walk.field(specifier, "name") else { continue };
        let alias = walk.field(specifier, "alias").unwrap_or(name);
        let text = |node: Node<'t>| SmolStr::new(walk.text(node).trim_matches(['"', '\'']));
        out.push((text(name), text(alias)));
    }
    out
}

fn unquoted<'t>(walk: &Walk<'t, Script>, source: Node<'t>) -> SmolStr {
    SmolStr::new(walk.text(source).trim_matches(['"', '\'', '`']))
}
