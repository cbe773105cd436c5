//! What a comment leaves to another place: "See `weigh` for details", "Other arguments are passed on".

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::model::Variadic;

/// Parts of words without which a comment sends its reader nowhere: one of them is in each phrase below.
const REFERRING: &[&str] = &[
    "same", "Same", "ocument", "escri", "etails", "nformation", "lias ", "rameters as", "guments as",
    "as per ", " are as ", ", but ", ", except ", ") but ", ") except ", ", only ", "dentical", "hortcut ",
    "horthand for", "hort for", "quivalent ", "supported", "ike `", "ike [`", "ike :", "ike {@", "ike in ",
    "for the parameters", "for the arguments", "meaning", "ynonym ", "ee `", "ee :", "ee {@", "See ",
];

/// Words, in lower case, by which a comment sends its reader to another for everything.
const WHOLE_ELSEWHERE: &[&str] = &[
    "for full documentation",
    "for the full documentation",
    "for complete documentation",
    "for the complete documentation",
    "for a full description",
    "for a complete description",
    "for documentation of this",
    "for the documentation of this",
    "for documentation.",
    "is an alias for ",
    "is an alias of ",
    "convenient alias for ",
    "is a deprecated alias ",
    "usage is the same as ",
    "is a shortcut for ",
    "is a shortcut to ",
    "is a shorthand for ",
    "is shorthand for ",
    "short for {@",
    "short for `",
    "shorthand for {@",
    "shorthand for `",
    "shortcut for {@",
    "shortcut for `",
    "synonym for ",
    "synonym of ",
    "for documentation)",
];

/// Words, in lower case, by which a comment without entries sends its reader to another's.
const DOCUMENTED_ELSEWHERE: &[&str] = &[
    "see the documentation for ", "see the documentation of ", "see documentation for ",
    "see documentation of ", "equivalent to calling ",
];

/// Words, in lower case, with which a comment begins that leaves all to another.
const LIKE_ANOTHER: &[&str] = &[
    "same as ", "the same as ", "same thing as ", "same thing than ", "alias for ", "alias of ",
    "an alias for ", "an alias of ", "behaves identically to ", "identical to ", "equivalent to ",
    "equivalent of ", "shorthand for ", "a shorthand for ", "short for ", "shortcut for ", "a shortcut for ",
    "like `", "like [`", "like :", "like {@",
];

/// Words, in lower case, by which a comment sends its reader to another for the parameters.
const PARAMS_ELSEWHERE: &[&str] = &[
    "same parameters",
    "same arguments",
    "same options as",
    "same keyword arguments",
    "parameters are the same",
    "arguments are the same",
    "parameters as for",
    "arguments as for",
    "parameters are as for",
    "arguments are as for",
    "same meaning as",
    "same semantics as",
    "signature is identical to",
    "signature is the same as",
    "same meanings as",
    "parameters remain the same",
    "arguments remain the same",
    "for a description of the parameters",
    "for a description of the arguments",
    "for parameter descriptions",
    "for parameter meaning",
    "for the meaning of the parameters",
    "for the meaning of the arguments",
    "for descriptions of the parameters",
    "for details on the parameters",
    "for details of the parameters",
    "for information on the parameters",
    "parameters are described in",
    "arguments are described in",
    "parameters are documented ",
    "arguments are documented ",
    "parameters are as per ",
    "arguments are as per ",
    // A section that begins so: "Parameters", a line across, "Like in `weigh`, except load".
    "--- like in ",
    "--- same as in ",
    "--- see `",
    "--- see :",
    "args: like in ",
    "args: same as in ",
    "args: see `",
    "args: see :",
];

/// Tells whether a sentence of a text sends its reader to other code, for what is `wanted`: "See `weigh` for details", "for more information, see
/// `weigh`", "See PressScale for more info on the parameters".
fn sends_elsewhere(text: &str, wanted: impl Fn(&str) -> bool) -> bool {
    let sentences = text.split('\n').flat_map(|paragraph| paragraph.split(". "));
    let sentences = sentences.map(|one| one.trim().trim_start_matches("<p>").trim_end_matches('.'));
    // "…, see `weigh` for details", "…, for details see `weigh`"
    let mut sentences = sentences.flat_map(|one| {
        let behind = |words: &str| one.rfind(words).map(|comma| &one[comma + 2..]);
        [Some(one), behind(", see "), behind(", for ")].into_iter().flatten()
    });
    sentences.any(|sentence| {
        let lower = sentence.to_ascii_lowercase();
        let is_type = |place: &str| {
            sentence.split_whitespace().any(|word| word.eq_ignore_ascii_case(place) && is_mixed(word))
        };
        place_of_details(&lower)
            .is_some_and(|(what, place)| wanted(what) && (is_code(place) || is_type(place)))
    })
}

/// Tells whether a word has a capital inside and no signs, as the names of types do.
fn is_mixed(word: &str) -> bool {
    word.chars().all(char::is_alphanumeric)
        && word.chars().skip(1).any(char::is_uppercase)
        && word.contains(char::is_lowercase)
}

/// Returns what a sentence, in lower case, sends its reader elsewhere for, where it is details, and where to.
fn place_of_details(sentence: &str) -> Option<(&str, &str)> {
    const SENDS: &[&str] = &["see ", "- see ", "please see ", "refer to ", "please refer to ", "see also "];
    const DETAILS: &[&str] =
        &["details", "information", "info", "description", "documentation", "explanation", "contract"];
    let sent = |text: &str| SENDS.iter().find(|words| text.starts_with(**words)).map(|words| words.len());
    let (what, place) = if let Some(behind) = sent(sentence) {
        let (place, what) = sentence[behind..].rsplit_once(" for ")?;
        (what, place)
    } else {
        let behind = sentence.strip_prefix("for ")?;
        let (what, rest) = match behind.split_once(", ").filter(|(_, rest)| sent(rest).is_some()) {
            Some(parts) => parts,
            None => behind.split_at_checked(behind.find(" see ").or_else(|| behind.find(" refer to "))?)?,
        };
        let rest = rest.trim_start();
        (what, &rest[sent(rest)?..])
    };
    let more = what.strip_prefix("more ").and_then(|what| what.split_once(' ')).map_or("", |(word, _)| word);
    // "For API details, such as the `unit`"
    let head = what.split(',').next().unwrap_or_default();
    let is_asked = |word: &&str| what.ends_with(*word) || head.ends_with(*word) || more == *word;
    (DETAILS.iter().any(is_asked)
        || ["parameters", "arguments", "args"].iter().any(|word| what.contains(word)))
    .then_some((what, place))
}

/// Tells whether a text, in lower case, says no more than that nothing is done: "Not supported by sealed crates."
fn is_unsupported(text: &str) -> bool {
    let mut paragraphs = text.split('\n').map(str::trim).filter(|paragraph| !paragraph.is_empty());
    let first = paragraphs.next().unwrap_or_default();
    let begins = ["not supported", "unsupported"].iter().any(|words| first.starts_with(words));
    // Headings of entries say nothing themselves.
    begins && !first.contains(". ") && paragraphs.all(|paragraph| paragraph.ends_with(':'))
}

/// Tells whether what a reader is sent to is code, by how it is written, or the comment of it.
fn is_code(place: &str) -> bool {
    matches!(place, "above" | "that function" | "that method" | "that class")
        || place.contains(['_', '(', '`', '#', '\\', '@'])
        || place.contains("::")
        || ["documentation", "docstring", "the help on ", "the help of "]
            .iter()
            .any(|word| place.contains(word))
}

/// What a comment leaves to another place.
pub(super) struct Left {
    /// All that there is to say.
    pub(super) all: bool,
    /// What there is to say of the parameters.
    pub(super) parameters: bool,
}

/// Tells whether a text may send its reader elsewhere, by a glance at it.
pub(super) fn may_refer(text: &str) -> bool {
    static WORDS: LazyLock<AhoCorasick> =
        LazyLock::new(|| AhoCorasick::new(REFERRING).expect("plain words compile"));
    WORDS.is_match(text)
}

/// Finds what a text leaves to another place; where parameters have entries, it leaves only what it says that it leaves.
pub(super) fn left(told: &str, has_entries: bool) -> Left {
    let text = told.to_ascii_lowercase();
    // All phrases are looked for at once.
    static PHRASES: LazyLock<AhoCorasick> = LazyLock::new(|| {
        let all = WHOLE_ELSEWHERE.iter().chain(DOCUMENTED_ELSEWHERE).chain(PARAMS_ELSEWHERE);
        AhoCorasick::new(all).expect("plain words compile")
    });
    let (whole, documented) = (WHOLE_ELSEWHERE.len(), WHOLE_ELSEWHERE.len() + DOCUMENTED_ELSEWHERE.len());
    let mut found = [false; 3];
    for place in PHRASES.find_overlapping_iter(&text).map(|at| at.pattern().as_usize()) {
        found[usize::from(place >= whole) + usize::from(place >= documented)] = true;
    }
    let [says_all, says_documented, says_params] = found;
    let begins = |phrase: &&str| text.trim_start().starts_with(*phrase);
    let all = says_all
        || LIKE_ANOTHER.iter().any(begins)
        || differs_from_another(&text)
        || is_unsupported(&text)
        || (!has_entries && (says_documented || sends_elsewhere(told, |_| true) || equals_another(&text)));
    // "See `weigh` for the usual arguments" may stand beside entries for others.
    let of_parameters = |what: &str| what.split_whitespace().any(|word| ARGUMENTS.contains(&word));
    Left { all, parameters: all || says_params || sends_elsewhere(told, of_parameters) }
}

/// Tells whether a text, in lower case, begins with what else is so: "As weigh(), but slower".
fn differs_from_another(text: &str) -> bool {
    let rest = ["as ", "like ", "just like "].iter().find_map(|word| text.trim_start().strip_prefix(word));
    let differs = |parts: Option<(&str, &str)>, words: &[&str]| {
        parts.is_some_and(|(other, behind)| {
            !other.contains(' ') && words.iter().any(|word| behind.starts_with(word))
        })
    };
    // "As tip(), only slower", "Like tip() except that it is slow"
    rest.is_some_and(|rest| {
        differs(rest.split_once(", "), &["but ", "except ", "only "])
            || differs(rest.split_once("() "), &["but ", "except "])
    })
}

/// Tells whether a sentence of a text, in lower case, says of what is declared that it is the same as another, and no more:
/// "Same as `weigh_all()`", "Works like `weigh`."
fn equals_another(text: &str) -> bool {
    const EQUALS: &[&str] = &[
        "same as ", "this is the same as ", "alias for ", "alias of ", "works like ", "works exactly like ",
        "works the same way as ", "behaves like ", "behaves exactly like ",
    ];
    let sentences = text.split('\n').flat_map(|paragraph| paragraph.split(". ")).map(str::trim);
    let mut ends =
        sentences.filter_map(|sentence| EQUALS.iter().find_map(|words| sentence.strip_prefix(words)));
    ends.any(|other| {
        let other = other.split_once(" but ").map_or(other, |(other, _)| other.trim_end_matches(','));
        let other = other.strip_prefix("`new ").unwrap_or(other);
        other.split_whitespace().count() == 1
    }) || sends_to_code_alone(text)
}

/// Tells whether the last sentence of a text, in lower case, is no more than where to look, or any that names a callable: "See
/// :func:`weigh`.", "See Press::weigh(Crate crate, int load)."
fn sends_to_code_alone(text: &str) -> bool {
    let is_callable = |place: &str| {
        let name = place.split('(').next().unwrap_or_default();
        let name = name.strip_prefix("{@link ").unwrap_or(name);
        !name.contains(' ') && (place.ends_with(')') || place.ends_with(")}")) && place.len() > name.len()
    };
    let mut sentences = text.split('\n').flat_map(|paragraph| paragraph.split(". ")).map(str::trim);
    if sentences.any(|one| one.trim_end_matches('.').strip_prefix("see ").is_some_and(is_callable)) {
        return true;
    }
    let last = text.trim_end().rsplit('\n').next().unwrap_or_default();
    let last = last.rsplit(". ").next().unwrap_or_default().trim().trim_end_matches('.');
    // "Do not call this directly - see `weigh` instead."
    let instead =
        last.strip_suffix(" instead").and_then(|last| last.rsplit_once("see ")).map(|(_, place)| place);
    let place = instead.or_else(|| last.strip_prefix("see "));
    place.is_some_and(|place| !place.contains(' ') && place.contains(['`', '(']))
}

/// What arguments are called.
const ARGUMENTS: &[&str] =
    &["arguments", "argument", "args", "parameters", "parameter", "params", "keywords", "kwargs", "options"];

/// Words by which something is handed to others.
const HANDED: &[&str] = &["passed", "forwarded", "handed", "given", "delegated", "relayed"];

/// Words for who hands something to others.
const HANDING: &[&str] = &["passes", "forwards", "delegates", "relays"];

/// Tells whether a text may say that arguments go to others, by a glance at it.
pub(super) fn may_pass_on(text: &str) -> bool {
    let words = HANDED.iter().chain(HANDING);
    words.into_iter().any(|word| memchr::memmem::find(text.as_bytes(), word.as_bytes()).is_some())
}

/// Returns what the words of a sentence say to be handed on by what is declared: "Passes all args and kwargs through to the
/// scale".
fn handed_on<'a>(words: &'a [&'a str]) -> Option<&'a [&'a str]> {
    const JOINING: &[&str] =
        &["and", "or", "all", "any", "most", "other", "its", "the", "keyword", "positional"];
    let verb = words.iter().position(|word| HANDING.contains(word))?;
    let behind = &words[verb + 1..];
    let end = behind.iter().position(|word| !(JOINING.contains(word) || ARGUMENTS.contains(word)))?;
    let goes_on = matches!(behind[end], "through" | "on" | "along" | "to");
    goes_on.then(|| &behind[..end])
}

/// Finds which collected arguments a text says to be passed on: "Other arguments are passed to `weigh`".
pub(super) fn passed_on(told: &str) -> Vec<Variadic> {
    let lower = told.to_ascii_lowercase();
    let mut out = Vec::new();
    for sentence in lower.split('\n').flat_map(|paragraph| paragraph.split(". ")) {
        let words: Vec<&str> = sentence
            .split(|c: char| !(c.is_alphanumeric() || c == '_'))
            .filter(|word| !word.is_empty())
            .collect();
        if let Some(handed) = handed_on(&words) {
            let by_name = |word: &&str| matches!(*word, "keyword" | "keywords" | "kwargs" | "options");
            let plain = |word: &&str| ARGUMENTS.contains(word) && !by_name(word);
            out.extend(handed.iter().any(by_name).then_some(Variadic::Keywords));
            let only_by_name = handed.windows(2).any(|two| two[0] == "keyword" && two[1].starts_with("arg"));
            out.extend((handed.iter().any(plain) && !only_by_name).then_some(Variadic::Positional));
        }
        let Some(noun) = words.iter().position(|word| ARGUMENTS.contains(word)) else { continue };
        let of = |what: &[&str]| words[..noun].iter().any(|word| what.contains(word));
        let mut behind = &words[noun + 1..];
        let is_verb = |word: &str| matches!(word, "are" | "is" | "be" | "get");
        let helps = |word: &str| is_verb(word) || matches!(word, "will" | "then") || word.ends_with("ly");
        // "Any arguments other than the load will be passed on".
        if behind.first().is_some_and(|word| matches!(*word, "other" | "except" | "besides")) {
            let verb =
                behind.iter().position(|word| is_verb(word) || *word == "will").unwrap_or(behind.len());
            behind = &behind[verb..];
        }
        let helping = behind.iter().take_while(|word| helps(word)).count();
        let done = behind.get(helping).is_some_and(|word| HANDED.contains(word));
        // "A list of options passed in" says nothing of others.
        if !done || !behind[..helping].iter().any(|word| is_verb(word)) {
            continue;
        }
        let by_name = words[..=noun]
            .iter()
            .any(|word| matches!(*word, "keyword" | "keywords" | "kwargs" | "named" | "options"));
        let others = of(&["other", "others", "remaining", "additional", "extra", "further", "all", "any"]);
        if by_name || others {
            out.push(Variadic::Keywords);
        }
        if others && !by_name {
            out.push(Variadic::Positional);
        }
    }
    out
}

#[cfg(test)]
mod tests {
    use crate::model::Variadic;

    use super::{
        DOCUMENTED_ELSEWHERE, LIKE_ANOTHER, PARAMS_ELSEWHERE, WHOLE_ELSEWHERE, is_unsupported, left,
        may_refer, passed_on, sends_elsewhere,
    };

    #[test]
    fn every_phrase_that_refers_has_a_word_that_is_looked_for() {
        let phrases = WHOLE_ELSEWHERE.iter().chain(DOCUMENTED_ELSEWHERE);
        let phrases = phrases.chain(LIKE_ANOTHER).chain(PARAMS_ELSEWHERE);
        for phrase in phrases {
            assert!(may_refer(phrase), "{phrase}: no word of it is looked for");
        }
    }

    #[test]
    fn what_is_not_supported_asks_for_no_entries() {
        assert!(is_unsupported("not supported by sealed crates."));
        assert!(!is_unsupported("not supported by sealed crates. opens the crate."));
        assert!(!is_unsupported("opens the crate."));
    }

    #[test]
    fn a_text_may_send_its_reader_to_other_code() {
        let any = |_: &str| true;
        assert!(sends_elsewhere("see `.crate.weigh` for api details, such as the `unit`. ", any));
        assert!(left("Weighs. See `scale.weigh()` for the standard args. ", true).parameters);
        assert!(!left("Weighs. See `scale.weigh()` for details. ", true).parameters);
        assert!(left("Weighs. See the documentation of `scale.weigh()`. ", false).all);
        assert!(!left("Weighs. See the documentation of `scale.weigh()`. ", true).all);
        assert!(left("As tip(), but weighs it twice. It is slow. ", true).all);
        assert!(!left("As tip() does, but slowly. It is weighed. ", true).all);
        assert!(left("Kept for old presses.\nSee :func:`weigh`. ", false).all);
        assert!(left("Weighs. See Press::weigh(Crate crate, int load). ", false).all);
        assert!(left("Stubs it. See {@link Press#weigh(Crate)}. Needed for old ones. ", false).all);
        assert!(!left("Weighs. See the press (or the scale). It is slow. ", false).all);
        assert!(!left("Weighs a crate.\nSee the press. ", false).all);
        assert!(left("Made by others. Do not call this, see :meth:`weigh` instead. ", false).all);
        assert!(!left("Made by others. Do not call this, see the press instead. ", false).all);
        assert!(left("`tip` is a deprecated alias for `weigh`. It will go. ", true).all);
        assert!(left("Weighs. Works like :func:`weigh`. ", false).all);
        assert!(left("Weighs. Alias for tip(Crate)). ", false).all);
        assert!(left("Like tip() except that it is slow. ", true).all);
        assert!(!left("Like tip() it is slow. ", true).all);
        assert!(left("Opens a press. This is the same as `new Press()` but shorter. ", false).all);
        assert!(left("Weighs. Works the same way as weigh, but twice. ", false).all);
        assert!(left("Weighs. See the help on the \u{201c}weigh\u{201d} function for details. ", false).all);
        assert!(sends_elsewhere("weighs a crate. see weigh_all() for more details. ", any));
        assert!(sends_elsewhere("weighs a crate. \n for further information, see `weigh`.", any));
        assert!(sends_elsewhere(
            "weighs a crate. - see above for the parameters and the return value. ",
            any
        ));
        assert!(sends_elsewhere("refer to the documentation of this class for more information.", any));
        assert!(!sends_elsewhere("weighs a crate. for details on the law, see the handbook.", any));
        assert!(sends_elsewhere("Weighs a crate. See Scale.weigh() for description. ", any));
        assert!(!sends_elsewhere("weighs a crate. see the scale for its load.", any));
        assert!(sends_elsewhere("Weighs a crate. See `tip` for the scale contract. ", any));
        assert!(sends_elsewhere("Is `tip` for loads, see `tip` for details.", any));
        assert!(sends_elsewhere("Weighs a crate. See PressScale for more info on the loads. ", any));
        assert!(!sends_elsewhere("Weighs a crate. See Weigher for details.", any));
        assert!(!sends_elsewhere("see [weigher 1987] for details.", any));
    }

    #[test]
    fn collected_arguments_may_be_passed_on() {
        let both = [Variadic::Keywords, Variadic::Positional];
        assert_eq!(passed_on("Weighs.\nOther arguments are passed directly to `tip`. "), both);
        assert_eq!(passed_on("All other keyword arguments are passed on to the scale. "), both[..1]);
        assert_eq!(passed_on("Any remaining options will be forwarded. "), both[..1]);
        assert_eq!(passed_on("Any args other than \"load\" will be passed on to the scale. "), both);
        assert_eq!(passed_on("It passes most args & kwargs through to the scale. "), both);
        assert_eq!(passed_on("Forwards all keyword arguments to the scale. "), both[..1]);
        assert!(passed_on("It passes arguments that are heavy to the scale. ").is_empty());
        assert!(passed_on("It has a list of options passed in when it is made. ").is_empty());
        assert!(passed_on("The arguments are weighed. Crates are passed to the scale. ").is_empty());
    }
}
