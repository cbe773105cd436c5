//! Sentences that say what comes back, so that no entry need say it again.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

/// Tells whether a summary already says what comes back.
pub(crate) fn summary_answers(summary: &str) -> bool {
    // `:class:`bool`: whether it is full`, `Optional[:class:`Crate`]: what lies on it`: the type leads.
    let typed = summary.split_once(": ").map_or("", |(head, _)| head);
    if [":class:`", ":obj:`"].iter().any(|role| typed.contains(role)) && typed.ends_with(['`', ']']) {
        return true;
    }
    if opens_with_signature(summary) {
        return true;
    }
    let lower = summary.trim_start_matches("<p>").to_lowercase();
    let mut words = lower.split(|c: char| !c.is_alphanumeric()).filter(|word| !word.is_empty());
    let (first, second, third) = (words.next(), words.next(), words.next());
    // "Decorator for what weighs", "A class decorator": what it gives back is what it decorates.
    let is_decorator = match first {
        Some("decorator") => true,
        Some("a" | "the" | "class" | "function" | "method") => {
            second == Some("decorator")
                || matches!(second, Some("class" | "function" | "method")) && third == Some("decorator")
        }
        _ => false,
    };
    const LEADING: &[&str] =
        &["return", "returns", "get", "gets", "whether", "which", "what", "yield", "yields"];
    let measures = ["many", "much", "long", "often", "far", "large", "big", "deep"];
    is_decorator
        || first.is_some_and(|first| LEADING.contains(&first))
        || matches!((first, second), (Some("true" | "false"), Some("if")))
        || asks(&lower)
        || (first == Some("how") && second.is_some_and(|second| measures.contains(&second)))
}

/// Tells whether a summary says that what comes back decorates something, by its type as well: "Route parameter decorator" of
/// a `ParameterDecorator`.
pub(crate) fn is_told_to_decorate(summary: &str, ty: &str) -> bool {
    ty.trim_end().ends_with("Decorator") && summary.to_lowercase().contains("decorator")
}

/// Tells whether a summary leads with the type that comes back, set apart or written as no word is: "`Crate` at the top",
/// "The NetLoad that lies on it".
pub(crate) fn leads_with_type(summary: &str, ty: &str) -> bool {
    let rest = ["The ", "A ", "An "].iter().find_map(|word| summary.strip_prefix(word)).unwrap_or(summary);
    let first = rest.split_whitespace().next().unwrap_or_default();
    let is_name = |c: char| c.is_alphanumeric() || c == '_';
    let name = first.trim_matches(|c: char| !is_name(c));
    let is_apart = first.len() > name.len() + 1 && !first.starts_with(is_name);
    let is_mixed = name.chars().skip(1).any(char::is_uppercase) && name.chars().any(char::is_lowercase);
    let own = ty.trim_matches(|c: char| !is_name(c)).rsplit(|c: char| !is_name(c)).next().unwrap_or_default();
    !name.is_empty() && name == own && (is_apart || is_mixed)
}

/// Tells whether a summary, in lower case, is a question that yes or no answers: "Is this a directory?"
fn asks(summary: &str) -> bool {
    let is_question = summary.trim_end_matches('.').ends_with('?');
    let first = summary.split_whitespace().next();
    let asking =
        ["is", "are", "was", "were", "does", "do", "did", "has", "have", "can", "should", "will", "may"];
    is_question && first.is_some_and(|first| asking.contains(&first))
}

/// Tells whether a sentence of a text begins with when the answer is yes, or no: "True if it is full".
fn says_when(text: &str) -> bool {
    const WORDS: &[&str] = &["True if ", "False if ", "True when ", "False when "];
    static WHEN: LazyLock<AhoCorasick> =
        LazyLock::new(|| AhoCorasick::new(WORDS).expect("plain words compile"));
    WHEN.find_iter(text).any(|found| {
        let before = text[..found.start()].trim_end_matches([' ', '`', '*']);
        before.is_empty() || before.ends_with(['\n', '.', '-', '!', '?'])
    })
}

/// Tells whether a sentence of a text says what comes out: "The output is a list of crates", "The result is in kg".
fn says_what_comes_out(text: &str) -> bool {
    [
        "The output is ", "The outputs are ", "The result is ", "The results are ", "The result may be ",
        "The result will be ", "it produces a", "It produces a", "Produces a",
    ]
    .iter()
    .any(|words| memchr::memmem::find(text.as_bytes(), words.as_bytes()).is_some())
}

/// Tells whether a summary is a call with what it gives back: `weigh(crate, unit='kg') -> float`.
fn opens_with_signature(summary: &str) -> bool {
    let Some((head, gives)) = summary.split_once(" -> ") else { return false };
    let Some((name, _)) = head.strip_suffix(')').and_then(|call| call.split_once('(')) else { return false };
    let is_path = name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.'));
    is_path && !name.is_empty() && !gives.starts_with("None")
}

/// Tells whether a summary names the value that comes back, or the question that it answers: "The number of crates on the
/// scale", "Checks whether it is full".
pub(crate) fn names_a_value(summary: &str) -> bool {
    let lower = summary.to_lowercase();
    let words = lower.split(|c: char| !c.is_alphanumeric()).filter(|word| !word.is_empty());
    let words: Vec<&str> = words.take(8).collect();
    let word = |at: usize| words.get(at).copied();
    let (first, second, third) = (word(0), word(1), word(2));
    const VALUES: &[&str] = &[
        "number", "count", "amount", "sum", "list", "set", "index", "size", "length", "name", "names",
        "value", "average", "mean", "maximum", "minimum", "position", "information",
    ];
    let counts = |word: Option<&str>| word.is_some_and(|word| VALUES.contains(&word));
    const ASKING: &[&str] = &[
        "check", "checks", "test", "tests", "tell", "tells", "determine", "determines", "decide", "decides",
        "indicate", "indicates", "see",
    ];
    let asks = first.is_some_and(|first| ASKING.contains(&first));
    // "A crate as a float": what comes back, where it is not said what the callable is.
    let speaks_of_itself =
        words.iter().any(|word| CALLABLES.contains(word) || matches!(*word, "is" | "are" | "that"));
    // "The raw bytes of the crate": no word in it says what is done.
    let is_of_it = first == Some("the")
        && (2..5).any(|at| word(at) == Some("of"))
        && !["can ", "will ", "should ", "must ", "may "].iter().any(|word| lower.contains(word))
        && !speaks_of_itself;
    let is_noun = matches!(first, Some("a" | "an")) && !speaks_of_itself;
    let is_part = first == Some("the")
        && matches!(second, Some("first" | "last" | "next" | "previous" | "rest" | "largest" | "smallest"))
        && !speaks_of_itself;
    is_noun
        || is_part
        || is_of_it
        || (asks && matches!(second, Some("if" | "whether")))
        || (first == Some("the") && counts(second) && third == Some("of"))
        || (counts(first) && matches!(second, Some("of" | "about")))
}

/// What a callable may be called by its own comment.
const CALLABLES: &[&str] = &[
    "function", "method", "helper", "decorator", "wrapper", "factory", "utility", "callback", "hook",
    "generator", "shortcut", "convenience", "version", "variant", "alias", "routine", "procedure", "command",
    "test", "coroutine", "operation", "subroutine", "implementation", "constructor", "context", "simple",
    "quick",
];

/// Words that may stand between who gives something back and that it does.
const HELPING: &[&str] =
    &["will ", "should ", "may ", "must ", "can ", "always ", "also ", "simply ", "then "];

/// What may stand in front of the word, and gives something back.
const SUBJECTS: &[&str] = &[
    "this ", "it ", "this function ", "this method ", "the function ", "the method ", "function ", "method ",
    "the callback ", "will ", "may ", "must ", "should ", "always ", "also ", "simply ", "otherwise ",
    "otherwise, ", "by default ", "by default, ",
];

/// Tells whether a sentence of a text, wherever it stands, begins with what comes back: `Returns the load`, `This will
/// return the load`.
pub(crate) fn sentence_answers(text: &str) -> bool {
    const PHRASES: &[&str] = &[
        " is returned", " simply returned", " are returned", " be returned", "he returned ",
        "eturn value is ", "eturn value will ", "eturn value indicates ", "heck the return value",
        "eturn NULL", "eturns NULL", " returning a ", " returning an ", " returning the ",
    ];
    if says_what_it_serves_as(text) || says_when(text) {
        return true;
    }
    // What can be chained gives back its object.
    if memchr::memmem::find(text.as_bytes(), b"an be chained").is_some() {
        return true;
    }
    if says_what_comes_out(text) {
        return true;
    }
    // Most texts have no word of it.
    if memchr::memmem::find(text.as_bytes(), b"eturn").is_none() {
        return false;
    }
    if PHRASES.iter().any(|words| text.contains(words)) {
        return true;
    }
    text.match_indices("eturn").any(|(at, _)| {
        let (Some(before), Some(after)) = (text.get(..at.wrapping_sub(1)), text.get(at + 5..)) else {
            return false;
        };
        let capital = text[..at].ends_with('R');
        if !capital && !text[..at].ends_with('r') {
            return false;
        }
        let called =
            ends_with_a_call(before.rsplit(['\n', '.', '!', '?', ';']).next().unwrap_or_default().trim());
        let opening =
            before.rsplit(['\n', '.', ':', '!', '?', ';', '(', ')', '>', '-']).next().unwrap_or_default();
        let opening = opening.trim_start().to_ascii_lowercase();
        // `@post Returns the load.`
        let tag = opening.rsplit_once(['@', '\\']).map_or(" ", |(_, tag)| tag.trim_end());
        let opening = if tag.chars().all(char::is_alphanumeric) { "" } else { opening.as_str() };
        // "If it returns true, the crate is full."
        let behind_condition = ["if ", "when "].iter().find_map(|word| opening.strip_prefix(word));
        let opening = behind_condition.unwrap_or(opening);
        // "This method should always return the load".
        let mut bare = opening;
        while let Some(shorter) = HELPING.iter().find_map(|word| bare.strip_suffix(*word)) {
            bare = shorter;
        }
        // "Weighs the crate and returns its load", not "and returns to the start".
        let is_mark = |c: char| c.is_whitespace() || "%*`'\"-#/<:@\\([{".contains(c);
        let next = after.strip_prefix('s').unwrap_or(after).trim_start_matches(is_mark);
        let next = next.split(|c: char| !c.is_alphanumeric()).next();
        let without_value = [
            "", "to", "from", "control", "early", "immediately", "when", "if", "at", "once", "without",
            "with",
        ];
        let has_value = next.is_some_and(|next| !without_value.contains(&next));
        let joined = ["and ", "or "].contains(&opening)
            || [" and ", ", or ", ", "].iter().any(|joins| opening.ends_with(joins));
        let second = joined && has_value;
        // An item of a list begins as it likes, and so does a paragraph.
        let starts = before.trim_end_matches(' ');
        let listed = starts.is_empty() || starts.ends_with(['-', '*', '\n']);
        // "If there is a crate this returns its load", "then return its load".
        let follows = behind_condition.is_some()
            && [" this ", " it ", " then "]
                .iter()
                .any(|subject| opening.ends_with(subject) || bare.ends_with(subject))
            && has_value;
        // "If that fails, then this method returns zero", not "before this method returns control".
        let named = ["this function ", "this method ", "the function ", "the method "]
            .iter()
            .find_map(|subject| bare.strip_suffix(subject));
        let when = ["when ", "before ", "until ", "after ", "once ", "if ", "while ", "as ", "that "];
        let named = named.is_some_and(|before| !when.iter().any(|word| before.ends_with(word))) && has_value;
        let opens = opening.is_empty() && (capital || listed)
            || named
            || says_what_it_is(opening)
            || follows
            || (is_case(opening) && has_value)
            || second
            || called
            || SUBJECTS.contains(&opening)
            || SUBJECTS.contains(&bare)
            // "Given a crate, it returns its load."
            || bare.ends_with(", it ");
        opens && ["s ", " ", "s: ", ": ", "ing ", "\n", "s\n"].iter().any(|next| after.starts_with(next))
    })
}

/// Tells whether the beginning of a sentence is a case, "On success return the load", and not "on return".
fn is_case(opening: &str) -> bool {
    opening.strip_prefix("on ").is_some_and(|case| (1..4).contains(&case.split_whitespace().count()))
}

/// Tells whether the beginning of a sentence says what is called: "A factory method that returns the load".
fn says_what_it_is(opening: &str) -> bool {
    let kinds = ["function that ", "method that ", "helper that ", "factory that ", "property that "];
    (opening.starts_with("a ") || opening.starts_with("an "))
        && opening.split(' ').count() < 7
        && kinds.iter().any(|kind| opening.ends_with(kind))
}

/// Tells whether the beginning of a sentence is the name of what is called: "weigh() returns the load", "Dict-like items() that
/// returns a list", "Weigh call returns the load".
fn ends_with_a_call(opening: &str) -> bool {
    match opening.split_whitespace().count() {
        0 | 1 => opening.ends_with("()"),
        2..5 => opening.ends_with("() that") || opening.ends_with(" call"),
        _ => false,
    }
}

/// Tells whether a text says what the value is good for that comes back: "Can be used as a decorator or a context manager".
fn says_what_it_serves_as(text: &str) -> bool {
    let mut uses =
        memchr::memmem::find_iter(text.as_bytes(), " as a ").filter_map(|at| text.split_at_checked(at));
    uses.any(|(before, after)| {
        let named = after.split([',', '.', ';', ':']).next().unwrap_or_default();
        ["used", "use", "Use", "usable", "serves", "works"].iter().any(|word| before.ends_with(word))
            && named.split_whitespace().take(8).any(|word| matches!(word, "decorator" | "manager"))
    })
}

/// Tells whether a text says what is yielded by the word for it, and not only that there is a generator.
pub(crate) fn speaks_of_yielding(text: &str) -> bool {
    let mut words = text.split(|c: char| !c.is_alphanumeric() && c != '_').filter(|word| !word.is_empty());
    words.any(|word| matches!(word, "yield" | "yields" | "yielding" | "Yield" | "Yields" | "Yielding"))
}

/// Tells whether a summary says what is yielded, one by one.
pub(crate) fn iterates(summary: &str) -> bool {
    let lower = summary.to_lowercase();
    // "Recursively iterates …"
    let mut words = lower.split_whitespace().skip_while(|word| word.ends_with("ly"));
    match words.next() {
        Some("iterate" | "iterates" | "generate" | "generates") => true,
        // "Generator for the crates of a shelf."
        Some("generator" | "iterator") => {
            matches!(words.next(), Some("for" | "of" | "over" | "producing" | "returning" | "giving"))
        }
        _ => false,
    }
}

#[cfg(test)]
mod tests {
    use super::{iterates, leads_with_type, names_a_value, sentence_answers, summary_answers};

    #[test]
    fn a_sentence_that_says_what_comes_back_answers_for_it() {
        assert!(sentence_answers("Takes one crate out. Returns false if there was none."));
        assert!(sentence_answers("Takes one crate out \n Returns the crate."));
        assert!(sentence_answers("Called for each crate. The return value is taken for a mass."));
        assert!(!sentence_answers("Weighs it. The Returns of last year are left alone."));
        assert!(sentence_answers("Weighs it twice. This will return the mean."));
        assert!(sentence_answers("Weighs it twice. This method returns the mean."));
        assert!(!sentence_answers("Weighs it twice. They return the crate."));
        assert!(sentence_answers("Weighs it and returns its load."));
        assert!(sentence_answers("When it is empty, zero is returned."));
        assert!(sentence_answers("If it returns \"true\", the crate is full."));
        assert!(sentence_answers("Given a crate, return its load."));
        assert!(sentence_answers("If it is weighed, it should return 0."));
        assert!(!sentence_answers("Weighs it and returns to the start."));
        assert!(sentence_answers("Weighs it. And returns its load."));
        assert!(sentence_answers("If it is empty, then this method returns zero."));
        assert!(sentence_answers("Looks up its load, or returns what it was last."));
        assert!(sentence_answers("Tells of the crate. Should return true to keep it."));
        assert!(sentence_answers("@pre The scale is level @post Returns its load"));
        assert!(sentence_answers("@post  Returns its load if it is full."));
        assert!(sentence_answers("@tip This function returns the load."));
        assert!(sentence_answers("Weighs it. Note the returned load is in kg."));
        assert!(!sentence_answers("Tares it before this method returns what it has."));
        assert!(sentence_answers("ensures - the scale is level - returns its load"));
        assert!(!sentence_answers("Weighs it and returns."));
        assert!(sentence_answers("Weighs it (and returns the load)."));
        assert!(sentence_answers("Dict-like items() that returns a list of loads."));
        assert!(sentence_answers("Weighs it. Weigh call returns the load."));
        assert!(!sentence_answers("The scale that hangs there weighs until the call returns the load."));
        assert!(sentence_answers("An extended version of map() returning a list."));
        assert!(sentence_answers("Weighs it.\nweigh() returns the load."));
        assert!(!sentence_answers("Weighs it until press() returns the load."));
        assert!(sentence_answers("A factory method that returns the scale of a hall."));
        assert!(!sentence_answers("A press calls the method that returns the load."));
        assert!(sentence_answers("Takes one crate out. Function returns 0 if it is empty."));
    }

    #[test]
    fn summaries_may_name_the_value_or_the_question_that_it_answers() {
        assert!(names_a_value("The number of crates on it."));
        assert!(names_a_value("Checks whether it is full."));
        assert!(!names_a_value("Checks the scale."));
        assert!(names_a_value("See if it is full."));
        assert!(names_a_value("Indicates if it is full."));
        assert!(!names_a_value("See the scale."));
        assert!(names_a_value("Information about the load, if there is one."));
        assert!(!names_a_value("The number is weighed."));
    }

    #[test]
    fn summaries_may_lead_with_the_type_that_comes_back() {
        assert!(leads_with_type("|_Crate| at the top of a stack.", "_Crate"));
        assert!(leads_with_type("The `Crate` at the top.", "\"Crate\""));
        assert!(leads_with_type("NetLoad of a crate.", "loads.NetLoad"));
        assert!(!leads_with_type("Match the crates.", "Match"));
        assert!(!leads_with_type("`Crate` is full.", "Load"));
    }

    #[test]
    fn summaries_may_say_what_is_yielded() {
        assert!(iterates("Generates the crates."));
        assert!(iterates("Generator for the crates of a shelf."));
        assert!(!iterates("Generator that is fast."));
    }

    #[test]
    fn summaries_that_say_what_comes_back_answer_for_it() {
        assert!(summary_answers("scales.weigh(crate, unit='kg') -> float"));
        assert!(!summary_answers("press(crate) -> None"));
        assert!(!summary_answers("A map (crate) -> load, which is kept"));
        assert!(summary_answers("Returns the weight."));
        assert!(summary_answers("Gets or sets it"));
        assert!(summary_answers("True if it is full"));
        assert!(summary_answers("*Whether* it is full"));
        assert!(summary_answers(":class:`bool`: Whether it is full."));
        assert!(summary_answers("Optional[:class:`Crate`]: What lies on it."));
        assert!(!summary_answers(":class:`Crate` is weighed: twice."));
        assert!(!summary_answers("Weighs and returns"));
        assert!(!summary_answers("Getter-like thing"));
    }
}
