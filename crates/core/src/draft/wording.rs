//! What the code itself tells, in words: the condition under which an exception is thrown, and a name as a
//! sentence.

use crate::model::{Answer, ClosedSet, DeclId, Declaration, Dialect, Kind};
use crate::review::FileReading;
use crate::settings::{Fill, Opening};
use crate::text::{VERBS, split_words, third_person};

/// Marks text as code, as a notation does.
type Code<'c> = &'c dyn Fn(&str) -> String;

/// Conditions that are longer are no help in a comment.
const LONGEST: usize = 60;

/// Puts the condition of a guard into words: "if `load` is negative". `names` are the parameters, `code` marks text
/// as code. Nothing when the condition is too long or runs over lines.
pub(super) fn condition(text: &str, names: &[&str], code: Code<'_>) -> Option<String> {
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
    let simple = emptiness(bare, names).or_else(|| comparison(bare, names, code));
    Some(match simple {
        Some((name, rest)) => format!("if {} {rest}", code(name)),
        None => format!("if {}", code(bare)),
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
    let form = file.settings.opening.unwrap_or(match file.language.dialect {
        _ if file.language.id.as_str() == "python" => Opening::Imperative,
        _ => Opening::ThirdPerson,
    });
    sentence(declaration, owner, form, (file.language.dialect, file.language.family == "c"))
}

/// Words that stand before a noun without an article.
const BARE: &[&str] = &[
    "by", "from", "to", "with", "in", "for", "of", "all", "at", "on", "as", "into", "any", "each", "no", "if",
];

fn sentence(
    declaration: &Declaration,
    owner: Option<&str>,
    form: Opening,
    (dialect, is_c): (Dialect, bool),
) -> Option<String> {
    let name = declaration.name.as_str();
    let mut words = words_of(name);
    // `doWeigh` weighs.
    if words.first().is_some_and(|first| first == "do") && words.get(1).is_some_and(|next| is_verb(next)) {
        words.remove(0);
    }
    // `Cellar_SetLevel`, `cellar_tank_get_level`: what stands before the verb is the library's.
    if is_c
        && declaration.kind.is_callable()
        && name.contains('_')
        && !words.first().is_some_and(|first| is_verb(first))
    {
        let within = words.len() - 1;
        if let Some(at) = words[..within].iter().position(|word| VERBS.contains(&word.as_str())) {
            words.drain(..at);
        }
    }
    let (first, rest) = words.split_first()?;
    if name.starts_with(|c: char| !(c.is_alphabetic() || c == '_')) || name.starts_with("__") {
        return None;
    }
    let with = |verb: &str| {
        let (verb, particle) = parted_verb(verb);
        let verb = match form {
            Opening::Imperative => capital(verb),
            Opening::ThirdPerson => capital(&third_person(verb)),
            Opening::NameFirst => format!("{name} {}", third_person(verb)),
        };
        format!("{verb}{particle}")
    };
    let all = words.join(" ");
    let plural = words.last().is_some_and(|last| last.ends_with('s') && !last.ends_with("ss"));
    let said = match declaration.kind {
        Kind::Constructor => {
            let made = words_of(owner.unwrap_or(name)).join(" ");
            format!("{} {} {made}", with("create"), article(&made))
        }
        kind if kind.is_callable() && kind != Kind::Operator => match first.as_str() {
            "has" if !rest.is_empty() && !plural => {
                let what = rest.join(" ");
                format!("{} whether it has {} {what}", with("tell"), article(&what))
            }
            "is" | "was" if names_a_thing(rest) => {
                let what = rest.join(" ");
                format!("{} whether it {first} {} {what}", with("tell"), article(&what))
            }
            "is" | "has" | "can" | "should" | "was" | "are" if !rest.is_empty() => {
                format!("{} whether it {all}", with("tell"))
            }
            "ensure" | "assert" | "verify" | "check" if rest.len() > 1 && is_auxiliary(&rest[0]) => {
                let link = if first == "check" { "whether" } else { "that" };
                format!("{} {link} it {}", with(first), rest.join(" "))
            }
            "on" if !rest.is_empty() => format!("{} {}", with("handle"), definite(rest)),
            "test" if !rest.is_empty() => format!("{} {}", with("test"), rest.join(" ")),
            "try" if rest.first().is_some_and(|next| is_verb(next)) => match &rest[1..] {
                [] => format!("{} to {}", with("try"), rest[0]),
                about => format!("{} to {} {}", with("try"), rest[0], definite(about)),
            },
            verb if is_verb(verb) && rest.is_empty() => with(verb),
            verb if is_verb(verb) => format!("{}{} {}", with(verb), preposition(verb, rest), definite(rest)),
            word if BARE.contains(&word) || word == "new" => return None,
            _ => match words.split_last() {
                // `ready_to_weigh` is no order.
                Some((_, [.., last])) if BARE.contains(&last.as_str()) => return None,
                // `crate_weigh` names first what it is about.
                Some((verb, about)) if is_verb(verb) && !about.is_empty() => {
                    format!("{} {}", with(verb), definite(about))
                }
                // `valid` tells whether something is.
                _ if declaration.signature.returns.set == Some(ClosedSet::Boolean) => match rest {
                    [] => format!("{} whether it is {first}", with("tell")),
                    _ => return None,
                },
                // What gives nothing back does something, whatever the word for it.
                _ if declaration.signature.returns.value == Answer::No => match rest {
                    [] => with(first),
                    // Of several words, the first need not be one for what is done.
                    _ => return None,
                },
                _ if declaration.signature.returns.value == Answer::Unknown => return None,
                _ => format!("{} {}", with("return"), definite(&words)),
            },
        },
        Kind::Operator | Kind::File | Kind::Program => return None,
        kind if kind.is_type() && form == Opening::NameFirst && plural => format!("{name} are the {all}"),
        kind if kind.is_type() && form == Opening::NameFirst => format!("{name} is {} {all}", article(&all)),
        kind if kind.is_type() && plural => capital(&format!("the {all}")),
        kind if kind.is_type() => capital(&format!("{} {all}", article(&all))),
        _ if form == Opening::NameFirst => format!("{name} is {}", definite(&words)),
        _ => capital(&definite(&words)),
    };
    // What is not ended is read on into the next line in some notations.
    let stop = if dialect == Dialect::Colon { "" } else { "." };
    Some(format!("{said}{stop}"))
}

fn is_auxiliary(word: &str) -> bool {
    matches!(word, "is" | "are" | "has" | "can" | "should" | "was")
}

/// Tells whether words surely name one thing, which wants an article: `crate symbol`, not `ready to weigh`.
fn names_a_thing(words: &[String]) -> bool {
    const THINGS: &[&str] = &[
        "argument", "array", "attribute", "block", "call", "case", "character", "child", "class", "column",
        "command", "date", "digit", "directory", "element", "enum", "event", "exception", "field", "file",
        "folder", "function", "index", "instance", "interface", "key", "leaf", "letter", "link", "list",
        "map", "member", "method", "module", "name", "node", "number", "object", "page", "parameter",
        "parent", "path", "point", "property", "record", "row", "string", "symbol", "table", "tag", "task",
        "token", "tuple", "type", "user", "value", "variable", "word",
    ];
    let Some(last) = words.last().map(String::as_str) else { return false };
    let ending = ["ion", "ment", "ness", "ity", "ator", "ship"].iter().any(|end| last.ends_with(end));
    (THINGS.contains(&last) || ending) && !words.iter().any(|word| BARE.contains(&word.as_str()))
}

/// Splits a verb that names write as one word: `setup` sets up.
fn parted_verb(word: &str) -> (&str, &str) {
    const PARTED: &[(&str, &str, &str)] = &[
        ("backup", "back", " up"),
        ("checkout", "check", " out"),
        ("cleanup", "clean", " up"),
        ("fallback", "fall", " back"),
        ("login", "log", " in"),
        ("logout", "log", " out"),
        ("lookup", "look", " up"),
        ("rollback", "roll", " back"),
        ("setup", "set", " up"),
        ("shutdown", "shut", " down"),
        ("startup", "start", " up"),
        ("teardown", "tear", " down"),
    ];
    PARTED
        .iter()
        .find(|(whole, ..)| *whole == word)
        .map_or((word, ""), |&(_, verb, particle)| (verb, particle))
}

/// Returns what stands between a verb and its object, where something must and the name has nothing there.
fn preposition(verb: &str, object: &[String]) -> &'static str {
    if object.first().is_some_and(|first| BARE.contains(&first.as_str())) {
        return "";
    }
    match verb {
        "iterate" => " over",
        "listen" | "subscribe" | "respond" => " to",
        "unsubscribe" => " from",
        "wait" => " for",
        "warn" => " of",
        _ => "",
    }
}

fn definite(words: &[String]) -> String {
    let text = words.join(" ");
    let bare = words.first().is_some_and(|first| BARE.contains(&first.as_str()));
    if bare { text } else { format!("the {text}") }
}

fn article(text: &str) -> &'static str {
    // What is spelt out letter by letter begins with the name of its first letter.
    let first = text.split(' ').next().unwrap_or_default();
    if first.len() > 1 && first.chars().all(|c| c.is_ascii_uppercase()) && !matches!(first, "RAM" | "MIME") {
        return if first.starts_with(['A', 'E', 'F', 'H', 'I', 'L', 'M', 'N', 'O', 'R', 'S', 'X']) {
            "an"
        } else {
            "a"
        };
    }
    let vowel = text.starts_with(['a', 'e', 'i', 'o', 'A', 'E', 'I', 'O'])
        || (text.starts_with('u') && !text.starts_with("uni") && !text.starts_with("use"));
    if vowel { "an" } else { "a" }
}

fn capital(text: &str) -> String {
    let mut chars = text.chars();
    chars.next().map_or_else(String::new, |first| first.to_uppercase().chain(chars).collect())
}

/// Abbreviations that are written in capitals wherever they stand.
const CAPITALS: &[&str] = &[
    "ansi", "api", "ascii", "cli", "cpu", "css", "csv", "db", "dns", "dom", "dpi", "eof", "ftp", "gpu",
    "gui", "html", "http", "https", "id", "imap", "io", "ip", "jpeg", "json", "jwt", "ldap", "mime", "nfc",
    "os", "pdf", "php", "png", "ram", "rgb", "rgba", "rpc", "sdk", "smtp", "sql", "ssh", "ssl", "svg", "tcp",
    "tls", "ttl", "udp", "ui", "uri", "url", "usb", "utc", "uuid", "vm", "xml", "yaml",
];

/// Splits a name into words; those written in capitals inside it stay so, and abbreviations become so.
fn words_of(name: &str) -> Vec<String> {
    let mixed = name.chars().any(char::is_lowercase);
    split_words(name)
        .into_iter()
        .map(|word| {
            let upper = word.to_uppercase();
            if CAPITALS.contains(&word.as_str()) || (mixed && word.len() > 1 && name.contains(&upper)) {
                return upper;
            }
            match word.strip_suffix('s') {
                Some(one) if CAPITALS.contains(&one) => format!("{}s", one.to_uppercase()),
                _ => word,
            }
        })
        .collect()
}

/// Tells whether a word is surely a verb: a known one, or one with an ending that only verbs have.
fn is_verb(word: &str) -> bool {
    let nouns =
        ["promise", "premise", "precise", "concise", "exercise", "enterprise", "expertise", "franchise"];
    let ending = ["ize", "ise", "ify"].iter().any(|end| word.ends_with(end));
    VERBS.contains(&word)
        || parted_verb(word).0 != word
        || (word.len() > 5 && ending && !word.ends_with("wise") && !nouns.contains(&word))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn simple_conditions_become_words() {
        let said = |text: &str| condition(text, &["load", "crates", "crate"], &|code| format!("`{code}`"));
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
    fn names_keep_their_acronyms() {
        assert_eq!(words_of("parseHTTPHeader"), ["parse", "HTTP", "header"]);
        assert_eq!(words_of("MAX_LOAD"), ["max", "load"]);
        assert_eq!(words_of("crateIds"), ["crate", "IDs"]);
        assert_eq!(words_of("cached_dns_name"), ["cached", "DNS", "name"]);
        assert!(is_verb("tokenize") && is_verb("palletize") && !is_verb("size") && !is_verb("rise"));
        assert_eq!(article("unique crate"), "a");
        assert_eq!(article("empty crate"), "an");
        assert_eq!(article("SVG of a crate"), "an");
        assert_eq!(article("URL of a crate"), "a");
    }
}
