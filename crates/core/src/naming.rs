//! A name as a sentence: `setUp`, "Sets up." What drafts begin with, and what rules do not take for a description.

use crate::model::{Answer, ClosedSet, Declaration, Dialect, Kind};
use crate::reading::Language;
use crate::settings::Opening;
use crate::text::{is_listed_verb, split_words, third_person};

/// Tells whether a summary is what a name becomes as a sentence, in whichever form.
#[must_use]
pub(crate) fn is_made_of_name(
    language: &Language,
    (declaration, owner): (&Declaration, Option<&str>),
    text: &str,
) -> bool {
    let first = text.split(|c: char| !c.is_alphabetic()).next().unwrap_or_default();
    let forms = [
        // `process` ends so too.
        (Opening::Imperative, !first.ends_with('s') || first.ends_with("ss")),
        (Opening::ThirdPerson, first.ends_with('s')),
        (Opening::NameFirst, text.starts_with(declaration.name.as_str())),
    ];
    forms
        .into_iter()
        .filter(|&(_, may_be)| may_be)
        .any(|(form, _)| sentence((declaration, owner), form, language).is_some_and(|said| said == text))
}

/// Words that stand before a noun without an article.
const BARE: &[&str] = &[
    "by", "from", "to", "with", "in", "for", "of", "all", "at", "on", "as", "into", "any", "each", "no", "if",
];

/// Returns the sentence that a name makes, `owner` being the name of its type; nothing where it makes none.
#[must_use]
pub(crate) fn sentence(
    (declaration, owner): (&Declaration, Option<&str>),
    form: Opening,
    language: &Language,
) -> Option<String> {
    let name = declaration.name.as_str();
    let mut words = words_of(name);
    // `doWeigh` weighs.
    if words.first().is_some_and(|first| first == "do") && words.get(1).is_some_and(|next| is_verb(next)) {
        words.remove(0);
    }
    // `Cellar_SetLevel`, `cellar_tank_get_level`: what stands before the verb is the library's.
    if language.family == "c"
        && declaration.kind.is_callable()
        && name.contains('_')
        && !words.first().is_some_and(|first| is_verb(first))
    {
        let within = words.len().saturating_sub(1);
        let leads = |word: &String| is_listed_verb(word) || is_auxiliary(word) || word == "to";
        if let Some(at) = words[..within].iter().position(leads) {
            words.drain(..at);
        }
    }
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
    let plural = words.last().is_some_and(|last| {
        last.ends_with('s') && !last.ends_with("ss")
            || matches!(last.as_str(), "data" | "metadata" | "information")
    });
    let said = match declaration.kind {
        Kind::Constructor => {
            // What stands in an extension of a type has its name from there.
            let around = declaration.qualified.rsplit(['.', ':']).nth(1).filter(|around| !around.is_empty());
            let made = words_of(owner.or(around).unwrap_or(name)).join(" ");
            format!("{} {} {made}", with("create"), article(&made))
        }
        kind if kind.is_callable() && kind != Kind::Operator => match created(language, &words) {
            Some(what) => format!("{} {what}", with("create")),
            None => deed(declaration, (&words, plural), &with)?,
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
    let stop = if language.dialect == Dialect::Colon { "" } else { "." };
    Some(format!("{said}{stop}"))
}

/// Returns what a function of C creates, by its name: `press_new`, `press_new_with_load`.
fn created(language: &Language, words: &[String]) -> Option<String> {
    let at = words.iter().position(|word| word == "new").filter(|&at| language.family == "c" && at > 0)?;
    let (thing, rest) = (words[..at].join(" "), &words[at + 1..]);
    let by = rest.first().is_none_or(|word| BARE.contains(&word.as_str()) && rest.len() > 1);
    by.then(|| [article(&thing), &thing, &rest.join(" ")].join(" ").trim_end().to_owned())
}

/// Says what a callable does, by the words of its name; `with` puts a verb into its form.
fn deed(
    declaration: &Declaration,
    (words, plural): (&[String], bool),
    with: &dyn Fn(&str) -> String,
) -> Option<String> {
    let (first, rest) = words.split_first()?;
    let all = words.join(" ");
    let gives = declaration.signature.returns.value == Answer::Yes;
    let takes_nothing = declaration.signature.parameters.is_empty();
    Some(match first.as_str() {
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
        "to" if gives && names_a_form(rest) => {
            format!("{} it to {}", with("convert"), indefinite(rest, plural))
        }
        "as" if gives && names_a_form(rest) => {
            format!("{} it as {}", with("return"), indefinite(rest, plural))
        }
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
            // `crate_weigh` names first what it is about; `error_log`, which takes nothing and gives something, is that.
            Some((verb, about)) if is_verb(verb) && !about.is_empty() && !(gives && takes_nothing) => {
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
            _ => format!("{} {}", with("return"), definite(words)),
        },
    })
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

/// Tells whether words may name what something is turned into: `filter`, not `owned`, `upper` or `of`.
fn names_a_form(words: &[String]) -> bool {
    let Some(last) = words.last() else { return false };
    let quality = last.ends_with("ed") || matches!(last.as_str(), "upper" | "lower" | "mut" | "ref" | "own");
    !quality && !words.iter().any(|word| BARE.contains(&word.as_str()) || is_auxiliary(word))
}

/// Puts the article of something that is made before it, where it has one: `an array`, `JSON`, `bytes`, `upper case`.
fn indefinite(words: &[String], plural: bool) -> String {
    let text = words.join(" ");
    let last = words.last().map_or("", String::as_str);
    let bare = plural
        || matches!(last, "case" | "text" | "markdown" | "latin")
        || last.chars().all(|c| c.is_uppercase() || c.is_numeric());
    if bare { text } else { format!("{} {text}", article(&text)) }
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
    is_listed_verb(word)
        || parted_verb(word).0 != word
        || (word.len() > 5 && ending && !word.ends_with("wise") && !nouns.contains(&word))
}

#[cfg(test)]
mod tests {
    use super::*;

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
