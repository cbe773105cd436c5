//! Placeholder text: ours, and the kinds that editors and habit leave behind.

/// Tells whether a description is only a placeholder: `own` (the configured one), or of a generic kind.
/// `name` is what it should describe.
#[must_use]
pub(crate) fn is_placeholder(text: &str, name: &str, own: &str) -> bool {
    let text = text.trim();
    if text.is_empty() {
        return false;
    }
    if !own.is_empty() && text.trim_end_matches('.') == own.trim().trim_end_matches('.') {
        return true;
    }
    // "Rename TODO: describe": where sentences begin with the name, a placeholder stands behind it.
    let behind = text.strip_prefix(name).filter(|rest| !name.is_empty() && rest.starts_with(' '));
    if let Some(rest) = behind.map(str::trim_start) {
        let ours = !own.is_empty() && rest.trim_end_matches('.') == own.trim().trim_end_matches('.');
        if ours || rest.starts_with("TODO") {
            return is_placeholder(rest, name, own);
        }
    }
    // The generic kinds are short; what begins so is put there when the comment is read, or is a value.
    if text.len() > 80 || text.starts_with(['$', '%', '{', '"', '\'', '`']) {
        return false;
    }
    if !may_begin_one(text) {
        return false;
    }
    let lower = text.to_lowercase();
    let bare = lower.trim_matches(|c: char| !c.is_alphanumeric());
    // What is called so is named, not left open.
    // So is a description that is meant: "Description of the parameter." of a field `description`.
    let is_meant =
        bare.starts_with("desc") && ["desc", "dsc"].iter().any(|short| name.to_lowercase().contains(short));
    if bare == name.to_lowercase() || is_meant || lower.ends_with('=') {
        return false;
    }
    if matches!(
        bare,
        "todo"
            | "tbd"
            | "fixme"
            | "xxx"
            | "description"
            | "desc"
            | "placeholder"
            | "lorem ipsum"
            | "document me"
            | "documentation"
            | "add description"
            | "add description here"
            | "insert description here"
            | "description here"
            | "missing description"
            | "no description"
            | "to be documented"
            | "undocumented"
            | "todo describe"
            | "todo document"
            | "add documentation"
            | "enter description"
            | "summary"
            | "docstring"
    ) {
        return true;
    }
    // "Description of x", "TODO: describe x", "TODO document this".
    let after =
        ["description of ", "desc of ", "todo: describe", "todo: document", "todo document", "todo: add doc"]
            .iter()
            .find_map(|opening| bare.strip_prefix(opening));
    after.is_some_and(|rest| {
        let rest = rest.trim_matches(|c: char| !c.is_alphanumeric() && c != '_').trim_start_matches("the ");
        rest.is_empty()
            || rest == name.to_lowercase()
            || matches!(rest, "this" | "it" | "me" | "parameter" | "return value")
    })
}

/// Tells by how it begins whether a text as it stands in a comment, behind its indentation, may be a placeholder for what
/// `name` should describe: most are not, and need not be looked at further.
#[must_use]
pub(crate) fn may_be_placeholder(text: &str, name: &str, own: &str) -> bool {
    let first = |of: &str| of.trim_start().chars().next();
    may_begin_one(text)
        || (!own.is_empty() && first(own) == first(text))
        || (!name.is_empty() && text.trim_start().starts_with(name))
}

/// Tells by its first two letters whether a text may be one of the generic kinds: most are not.
fn may_begin_one(text: &str) -> bool {
    let mut letters = text.bytes().skip_while(|byte| !byte.is_ascii_alphanumeric());
    let first = [letters.next(), letters.next()].map(|byte| byte.unwrap_or_default().to_ascii_lowercase());
    [b"to", b"tb", b"fi", b"xx", b"de", b"pl", b"lo", b"do", b"ad", b"in", b"mi", b"no", b"un", b"en", b"su"]
        .contains(&&first)
}

#[cfg(test)]
mod tests {
    use super::is_placeholder;

    #[test]
    fn leftovers_are_told_from_descriptions() {
        for text in [
            "TODO: describe", "load TODO: describe", "load TODO", "Description of load", "document me",
            "TBD.", "[description]",
        ] {
            assert!(is_placeholder(text, "load", "TODO: describe"), "{text}");
        }
        assert!(!is_placeholder("Description of the parameter.", "description", "TODO: describe"));
        assert!(!is_placeholder("description", "dsc", "TODO: describe"));
        for text in [
            "SUMMARY=",
            "Description of the harvest in kg",
            "the load",
            "TODO list of the press",
            "\"summary\"",
            "",
        ] {
            assert!(!is_placeholder(text, "load", "TODO: describe"), "{text}");
        }
    }
}
