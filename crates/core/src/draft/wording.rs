//! What the code itself tells, in words: the condition under which an exception is thrown, and a name as a
//! sentence.

use crate::model::DeclId;
use crate::naming::sentence;
use crate::review::FileReading;
use crate::settings::{Fill, Opening};

/// Marks text as code, as a notation does.
type Code<'c> = &'c dyn Fn(&str) -> String;

/// Conditions that are longer are no help in a comment.
const LONGEST: usize = 60;

/// Puts the condition of a guard into words: "if `load` is negative". `names` are the parameters, `code` marks text
/// as code, `before` is the body up to the condition. Nothing when the condition is too long, runs over lines, or is
/// about what only the body knows.
pub(super) fn condition(text: &str, names: &[&str], before: &str, code: Code<'_>) -> Option<String> {
    let mut bare = text.trim();
    while let Some(inner) = bare.strip_prefix('(').and_then(|rest| rest.strip_suffix(')')) {
        // The two may belong to different pairs.
        if inner.find(')').is_some_and(|close| inner.find('(').is_none_or(|open| close < open)) {
            break;
        }
        bare = inner.trim();
    }
    if bare.is_empty() || bare.contains('\n') || bare.chars().count() > LONGEST {
        return None;
    }
    if words(bare).any(|(at, word)| !names.contains(&word) && is_free(bare, at) && is_set_in(before, word)) {
        return None;
    }
    let simple = emptiness(bare, names).or_else(|| comparison(bare, names, code));
    Some(match simple {
        Some((name, rest)) => format!("if {} {rest}", code(name)),
        None => format!("if {}", code(bare)),
    })
}

/// Returns the words of code with their offsets in bytes.
fn words(text: &str) -> impl Iterator<Item = (usize, &str)> {
    text.split(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '$')))
        .filter(|word| word.starts_with(|c: char| c.is_alphabetic() || matches!(c, '_' | '$')))
        .map(|word| (word.as_ptr() as usize - text.as_ptr() as usize, word))
}

/// Tells whether a word is no part of something else: `load` in `load.weight`, not `weight`.
fn is_free(text: &str, at: usize) -> bool {
    !text[..at].ends_with(['.', '@', '"', '\'', '>'])
}

/// Tells whether code gives a name its value: by an assignment, in a loop, as the name of something caught.
fn is_set_in(code: &str, name: &str) -> bool {
    words(code).filter(|&(_, word)| word == name).any(|(at, _)| {
        let behind = code[at + name.len()..].trim_start();
        let before = code[..at].trim_end();
        let assigned = behind.strip_prefix('=').is_some_and(|rest| !rest.starts_with(['=', '>', '~']));
        let opens = ["as", "let", "var", "val", "const", "auto", "mut", "for", "foreach"];
        let opened =
            before.split(|c: char| !c.is_alphanumeric()).next_back().is_some_and(|w| opens.contains(&w));
        // In a list that is assigned as a whole, too.
        let listed = behind.starts_with(',')
            && behind.lines().next().is_some_and(|line| {
                line.split_once('=').is_some_and(|(list, rest)| !list.contains('(') && !rest.starts_with('='))
            });
        is_free(code, at)
            && (assigned || behind.starts_with(":=") || behind.starts_with("in ") || opened || listed)
    })
}

/// Tells whether text is a parameter, or a part of one.
fn is_named(text: &str, names: &[&str]) -> bool {
    let root = text.trim_start_matches('$').split(['.', '-', '[']).next().unwrap_or_default();
    names.contains(&root) && text.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '$'))
}

/// Reads `load < 0`, `crate == null` and their like: what is compared, and how it stands.
fn comparison<'t>(text: &'t str, names: &[&str], code: Code<'_>) -> Option<(&'t str, String)> {
    const SIGNS: &[&str] = &["===", "!==", "==", "!=", "<=", ">=", " is not ", " is ", "<", ">"];
    if text.contains("&&") || text.contains("||") || text.contains(" and ") || text.contains(" or ") {
        return None;
    }
    let sign = SIGNS.iter().find(|sign| text.contains(**sign))?;
    let (left, right) = text.split_once(sign)?;
    let (left, right) = (left.trim(), right.trim());
    if !is_named(left, names) || right.is_empty() || right.contains(['<', '>', '=', '?']) {
        return None;
    }
    let plain = right.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '-' | '"' | '\'' | '$'));
    if !plain {
        return None;
    }
    let nothing = matches!(right, "null" | "None" | "nil" | "undefined" | "nullptr" | "NULL");
    let zero = matches!(right, "0" | "0.0" | "0L" | "0f" | "0d");
    let number = right.starts_with(|c: char| c.is_ascii_digit() || c == '-');
    let shown = if number || nothing { right.to_owned() } else { code(right) };
    let stands = match sign.trim() {
        "==" | "===" if matches!(right, "\"\"" | "''") => "is empty".to_owned(),
        "!=" | "!==" if matches!(right, "\"\"" | "''") => "is not empty".to_owned(),
        "<" if zero => "is negative".to_owned(),
        "<=" if zero => "is not positive".to_owned(),
        ">" if zero => "is positive".to_owned(),
        "==" | "===" | "is" if zero => "is zero".to_owned(),
        "==" | "===" | "is" if nothing => format!("is {shown}"),
        "!=" | "!==" | "is not" if nothing => format!("is not {shown}"),
        "<" => format!("is less than {shown}"),
        "<=" => format!("is {shown} or less"),
        ">" => format!("is greater than {shown}"),
        ">=" => format!("is {shown} or more"),
        "==" | "===" => format!("is {shown}"),
        "!=" | "!==" => format!("is not {shown}"),
        _ => return None,
    };
    Some((left, stands))
}

/// Reads `crate.isEmpty()`, `len(crates) == 0` and their like.
fn emptiness<'t>(text: &'t str, names: &[&str]) -> Option<(&'t str, String)> {
    let methods = [".isEmpty()", ".is_empty()", ".empty()", ".empty?", ".isEmpty"];
    let counted = [".length", ".Length", ".size()", ".Count", ".length()", ".size"];
    let called = [("len(", ")"), ("empty(", ")"), ("count(", ")")];
    let compared = ["== 0", "=== 0"].iter().find_map(|zero| text.strip_suffix(zero)).map(str::trim_end);
    let name = methods.iter().find_map(|method| text.strip_suffix(method)).or_else(|| {
        let inner = compared.unwrap_or(text);
        let call = called.iter().find_map(|(open, close)| inner.strip_prefix(open)?.strip_suffix(close));
        let call = call.filter(|_| compared.is_some() || text.starts_with("empty("));
        call.or_else(|| counted.iter().find_map(|count| compared?.strip_suffix(count)))
    })?;
    is_named(name, names).then(|| (name, "is empty".to_owned()))
}

/// Returns a sentence made of the name of a declaration, where that is wanted and the name is made of words.
pub(super) fn summary(file: &FileReading<'_>, id: DeclId) -> Option<String> {
    if file.settings.fill != Fill::Names {
        return None;
    }
    let declaration = file.outline.declaration(id);
    let owner = declaration.owner.map(|owner| file.outline.declaration(owner).name.as_str());
    let python = file.language.id.as_str() == "python";
    let form =
        file.settings.opening.unwrap_or(if python { Opening::Imperative } else { Opening::ThirdPerson });
    sentence((declaration, owner), form, file.language)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn simple_conditions_become_words() {
        let said =
            |text: &str| condition(text, &["load", "crates", "crate"], "", &|code| format!("`{code}`"));
        for (text, wanted) in [
            ("(load < 0)", "if `load` is negative"),
            ("load <= 0.0", "if `load` is not positive"),
            ("load >= MAX", "if `load` is `MAX` or more"),
            ("crate == null", "if `crate` is null"),
            ("crate is None", "if `crate` is None"),
            ("crates.isEmpty()", "if `crates` is empty"),
            ("len(crates) == 0", "if `crates` is empty"),
            ("crate.load != other", "if `crate.load` is not `other`"),
            ("load < 0 || load > 9", "if `load < 0 || load > 9`"),
            ("!open", "if `!open`"),
        ] {
            assert_eq!(said(text).as_deref(), Some(wanted));
        }
        assert_eq!(said("a\n|| b"), None);
    }

    #[test]
    fn what_only_the_body_knows_is_not_told() {
        let said = |before: &str, text: &str| condition(text, &["load"], before, &|code| code.to_owned());
        for body in
            ["rest = load - 1", "int rest = 1;", "let rest := 2", "for rest in load:", "a, rest = load"]
        {
            assert_eq!(said(body, "rest < load"), None, "{body}");
        }
        for body in ["self.rest = 1", "if rest == 1", "weigh(load, rest)", "rest.weigh()"] {
            assert_eq!(said(body, "rest < load").as_deref(), Some("if rest < load"), "{body}");
        }
        assert_eq!(said("load = 1", "load < 0").as_deref(), Some("if load is negative"));
    }
}
