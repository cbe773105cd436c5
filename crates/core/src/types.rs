//! Comparing the type that a comment states with the one that the signature has.
//!
//! Types contradict each other only when both resolve fully and share nothing: whatever is not known is
//! silence.

use crate::reading::TypeWords;

/// The family of what holds values in their order.
const LIST: &str = "list";

/// Tells whether two types, as written, surely have no value in common.
#[must_use]
pub(crate) fn contradict(words: TypeWords, stated: &str, signature: &str) -> bool {
    let (Some(stated), Some(signature)) = (families(words, stated), families(words, signature)) else {
        return false;
    };
    let said: Vec<_> = stated.iter().filter(|family| **family != "none").collect();
    if said.is_empty() {
        return false;
    }
    // `bool, bytes` are those of a tuple, one by one.
    if said.len() > 1 && signature.contains(&"tuple") {
        return false;
    }
    !said.iter().any(|family| signature.contains(family))
}

/// Resolves a union to the families of its parts; nothing when one part is not known.
fn families(words: TypeWords, text: &str) -> Option<Vec<&'static str>> {
    let text = text.trim().trim_matches(['"', '\'', '`']);
    let unquoted = optional_inner(text).unwrap_or(text);
    let mut out = Vec::new();
    for part in split_union(unquoted) {
        let word = part.trim();
        if matches!(word, "optional" | "required" | "") || word.starts_with("default") {
            continue;
        }
        let word = may_be_nothing(word);
        if is_array(word) {
            out.push(LIST);
            continue;
        }
        let bare = word.split(['[', '<', '{']).next().unwrap_or_default().trim().trim_end_matches('.');
        let bare = bare.rsplit(['.', '\\']).next().unwrap_or_default();
        out.push(words.iter().find(|(known, _)| *known == bare)?.1);
    }
    (!out.is_empty()).then_some(out)
}

/// Strips the signs by which a type says that there may be no value: `?Crate`, `Crate?`, `Crate=`.
fn may_be_nothing(word: &str) -> &str {
    let word = word.strip_prefix(['?', '!']).unwrap_or(word);
    word.strip_suffix(['?', '=']).unwrap_or(word).trim()
}

/// Tells whether a type is an array of whatever it names: `Crate[]`, `readonly Crate[]`, `(int|string)[]`.
fn is_array(word: &str) -> bool {
    let Some(element) = word.strip_suffix("[]") else { return false };
    let element = element.strip_prefix("readonly ").unwrap_or(element);
    let in_parentheses = element.starts_with('(') && element.find(')') == Some(element.len() - 1);
    let is_name = |c: char| c.is_alphanumeric() || matches!(c, '_' | '.' | '\\' | '$');
    in_parentheses || !element.is_empty() && element.trim_end_matches("[]").chars().all(is_name)
}

/// `Optional[X]` and `Union[X, Y]` say what `X | None` and `X | Y` say.
fn optional_inner(text: &str) -> Option<&str> {
    let open = text.find('[')?;
    let name = text[..open].rsplit('.').next()?;
    matches!(name, "Optional" | "Union").then(|| text[open + 1..].strip_suffix(']')).flatten()
}

/// Splits at `|`, `,` and the word `or`, outside brackets.
fn split_union(text: &str) -> Vec<&str> {
    let mut parts = Vec::new();
    let (mut depth, mut from) = (0_i32, 0);
    for (at, c) in text.char_indices() {
        match c {
            '[' | '(' | '{' | '<' => depth += 1,
            ']' | ')' | '}' | '>' => depth -= 1,
            '|' | ',' if depth == 0 => {
                parts.push(&text[from..at]);
                from = at + 1;
            }
            _ => {}
        }
    }
    parts.push(&text[from..]);
    if depth != 0 {
        return vec![text];
    }
    parts.into_iter().flat_map(|part| part.split(" or ")).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    const WORDS: TypeWords = &[
        ("int", "number"),
        ("float", "number"),
        ("str", "text"),
        ("string", "text"),
        ("list", "list"),
        ("None", "none"),
    ];

    #[test]
    fn only_disjoint_known_types_contradict() {
        assert!(contradict(WORDS, "str", "int"));
        assert!(contradict(WORDS, "string, optional", "int | None"));
        assert!(!contradict(WORDS, "float", "int"));
        assert!(!contradict(WORDS, "str or int", "Optional[int]"));
        assert!(!contradict(WORDS, "array_like", "int"));
        assert!(!contradict(WORDS, "str", "Crate"));
        assert!(contradict(WORDS, "list[str]", "int"));
        assert!(contradict(WORDS, "?string", "int?"));
        assert!(!contradict(WORDS, "?string", "string"));
    }

    #[test]
    fn an_array_is_not_what_it_holds() {
        assert!(contradict(WORDS, "string", "string[]"));
        assert!(contradict(WORDS, "int", "readonly Crate[]"));
        assert!(!contradict(WORDS, "Crate[]", "list<int>"));
        assert!(!contradict(WORDS, "(int|string)[]", "int[][]"));
        // What a function gives back is no array of functions.
        assert!(!contradict(WORDS, "string", "() => string[]"));
        assert!(!contradict(WORDS, "string", "Crate['load'][]"));
    }
}
