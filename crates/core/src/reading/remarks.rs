//! Tells ordinary comments that describe a declaration from remarks, headings, dividers and code.

use crate::text::is_listed_verb;

/// Tells whether a comment may begin as descriptions of types and values do: not with what was done to them, or how.
pub(super) fn names_a_thing(text: &str) -> bool {
    let lower = text.to_ascii_lowercase();
    let mut words = lower.split(|c: char| !(c.is_alphanumeric() || c == '-')).filter(|word| !word.is_empty());
    let (first, second) = (words.next().unwrap_or_default(), words.next().unwrap_or_default());
    let done =
        first.ends_with("ed") && matches!(second, "in" | "from" | "to" | "with" | "into" | "out" | "as");
    // What is asked of a reader, or of the code: "Support years of four digits", "Eval as one".
    let asks = matches!(
        first,
        "support"
            | "allow"
            | "add"
            | "avoid"
            | "ensure"
            | "eval"
            | "enable"
            | "disable"
            | "prevent"
            | "require"
    );
    // "Is it necessary?"
    let is_question =
        text.trim_end_matches(|c: char| c.is_whitespace() || matches!(c, '*' | '/')).ends_with('?');
    !(done || asks || is_question || first.ends_with("ly") || (first == "code" && second == "is"))
}

/// Tells whether a comment begins as descriptions of what can be called do: with a verb, or with what comes back.
pub(super) fn says_what_is_done(text: &str) -> bool {
    let lower = text.to_ascii_lowercase();
    let mut words = lower
        .split(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '-' | '\'' | '(' | ')')))
        .filter(|word| word.chars().any(char::is_alphanumeric));
    let (first, second) = (words.next().unwrap_or_default(), words.next().unwrap_or_default());
    let opens = [
        "a", "an", "the", "this", "whether", "true", "false", "given", "called", "used", "helper",
        "function", "method", "constructor", "factory", "utility", "callback", "default", "see", "invoked",
    ];
    let stems = ["s", "es", "d", "ed", "ing"].iter().filter_map(|end| first.strip_suffix(end));
    let is_verb = is_listed_verb(first)
        || stems.clone().any(is_listed_verb)
        || first.strip_suffix("ies").is_some_and(|stem| is_listed_verb(&format!("{stem}y")));
    // Whatever stands before an article at the beginning of a sentence is done to something.
    let object = [
        "a", "an", "the", "all", "any", "each", "every", "this", "that", "its", "one", "two", "whether",
        "if", "what", "how", "which", "where", "it", "both", "some", "another", "new", "given",
    ];
    // "Open/Close the press" heads several.
    let opening = text.trim_start_matches(|c: char| !c.is_alphabetic()).split_whitespace().next();
    let heads_several = opening.is_some_and(|word| {
        word.split('/').count() > 1 && word.split('/').all(|part| part.starts_with(char::is_uppercase))
    });
    // A condition tells of a case, not of what is done, and "mostly a concession to testing" of why.
    let is_condition = matches!(first, "if" | "when");
    let is_remark = first.ends_with("ly") && !is_verb && matches!(second, "a" | "an" | "the");
    !(is_condition || is_remark || heads_several)
        && (is_verb || opens.contains(&first) || object.contains(&second) || first.contains(['_', '(']))
}

/// Tells whether a comment begins with a name that is written as code and is not that of the declaration below it:
/// then it speaks of something else.
pub(super) fn opens_with_another_name(text: &str, name: &str) -> bool {
    let first = text.split(|c: char| !(c.is_alphanumeric() || c == '_')).find(|word| !word.is_empty());
    // `scales::weigh`, `weigh()`
    let code = text.split_whitespace().find(|word| word.contains(char::is_alphabetic)).unwrap_or_default();
    let code = code.trim_start_matches(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '~')));
    let bare = code.trim_end_matches(|c: char| !(c.is_alphanumeric() || c == '_'));
    let is_code = bare.contains("::") || code[bare.len()..].starts_with("()");
    if is_code && !bare.rsplit("::").next().is_some_and(|last| last.eq_ignore_ascii_case(name)) {
        return true;
    }
    first.is_some_and(|first| {
        let inner = first.char_indices().skip(1).any(|(_, c)| c.is_uppercase() || c == '_');
        let mixed = inner && first.contains(char::is_lowercase);
        mixed && !first.eq_ignore_ascii_case(name)
    })
}

/// What is only said in remarks: they say why, where a description says what.
const REMARKING: &[&str] = &[
    " because ", " terrible ", " was added in ", " were added in ", " we ", " i ", "we'", "i'm",
    "workaround", "in order to", "needs to be", "must be ", "must hold ", " to avoid warnings",
    "not permitted", "presently", "for now", "so that ", "in sync", "should always", "move this",
    "is necessary ", "otherwise ", "as it ", "due to", "mark:", "mark -", " hack", "note:", "warning:",
    "note that", "go ahead", "should be ", "required by", "needed by", "compatibility with", "backward",
    "testability", "for testing", "for tests", "when editing", " my ", " your ", " so ", "might ", " odd ",
    "for plugins", "should never", "should not ", "shouldn't ", "assumes ", " is only done", "is defined in",
    "are defined in", "are defined by", "subject to removal", "subject for removal", "future release",
    "incompatible release", "now deprecated", " saves ", " improves ", "only be enabled", "unsafe",
    "circular", "side effect of", "the following", "names of these", "quick and ", " dummy ", " with care",
    " supported since ", " available in ", " available since ", " is faster", "surprisingly",
    " also allows ", " ourselves", " will do. ", "operation is the same", " own definition ",
    " for performance", " is written with ", " is needed ", " for the moment", "internal use only",
    "internally only", " hence, ", " to make sure this ", " of the above",
];

/// What begins so leads elsewhere, or says what for.
const LEADING_AWAY: &[&str] = &[
    "guess ", "see ", "cf. ", "cf ", "for ", "same as ", "same code ", "as above", "this can only ",
    "this is only ", "may ", "separate ", "refactored ", "moved ", "changed ", "copied ", "extracted ",
    "renamed ", "adapted ", "ported ", "taken ", "borrowed ", "stolen ", "kept ", "added ", "left ",
    "expose ", "exposed ", "export ", "exported ", "re-export", "required ", "needed ", "replaced ",
    "inspired ", "based on ", "force ", "forces ", "cannot ", "can't ", "so ", "overwritten ", "overridden ",
    "duplicated ", "duplicates ", "would be ", "do not ", "don't ", "no longer ", "not ", "used by ",
    "used in ", "used when ", "used if ", "used internally ", "deprecated", "autogenerated",
    "auto-generated", "automatically generated", "generated by ", "generated from ", "was ", "were ",
    "if it's ", "this is safe", "matching ", "avoid ", "avoids ", "make sure ", "makes sure ", "appears ",
    "defined in ", "remove in ", "removed in ", "warning", "caution", "attention", "according to ",
    "passing ", "depending on ", "use ", "tested ", "this file ", "this header ", "currently", "still ",
    "this uses ", "this is used for ", "all known ", "move somewhere ", "move elsewhere", "default empty ",
    "other ", "expand this ", "require ", "this declaration ", "this definition ",
];

/// Tells whether an ordinary comment says what the declaration below it is, not why the code is as it is.
pub(super) fn reads_like_a_description(text: &str) -> bool {
    // Words may be parted by the end of a line, and by the marks of the next.
    let is_mark = |word: &&str| !word.chars().all(|c| matches!(c, '/' | '*' | '#' | '!'));
    let words: Vec<&str> = text.split_whitespace().filter(is_mark).collect();
    let lower = format!(" {} ", words.join(" ").to_ascii_lowercase());
    let first = text
        .split(|c: char| c.is_whitespace() || matches!(c, '/' | '*' | '#'))
        .find(|word| word.chars().any(char::is_alphabetic))
        .unwrap_or_default();
    // A number opens the heading of a section.
    let numbered =
        text.trim_start_matches(['/', '*', '#', ' ', '\t', '-']).starts_with(|c: char| c.is_ascii_digit());
    // What begins so leads elsewhere, or says what for.
    let leads = lower.trim_start_matches(|c: char| !c.is_alphabetic());
    let leads_away = LEADING_AWAY.iter().any(|words| leads.starts_with(words))
        && !["see if ", "see whether ", "for each ", "for every "]
            .iter()
            .any(|words| leads.starts_with(words));
    // "STONE not supported by this scale": what is not is no description.
    let opening: Vec<&str> = leads.split_whitespace().take(5).collect();
    let denies = opening.windows(2).any(|pair| pair == ["not", "supported"]);
    let begins = first.starts_with(|c: char| !c.is_lowercase())
        || matches!(
            first,
            "returns" | "gets" | "sets" | "creates" | "converts" | "checks" | "makes" | "whether"
        )
        || first.contains(['_', '(']);
    // `JM/Jan2003: what was found out`: somebody says something.
    let signer = text.split_whitespace().find(|word| word.contains(char::is_alphabetic)).unwrap_or_default();
    let signed = signer.strip_suffix(':').is_some_and(|head| head.contains(|c: char| c.is_ascii_digit()));
    // Names alone are a heading: `Sun or Moon`.
    let mut words =
        text.split(|c: char| !c.is_alphanumeric()).filter(|word| word.starts_with(char::is_alphabetic));
    let says = words.any(|word| {
        let joins = matches!(word, "or" | "and" | "on" | "for" | "with");
        word.starts_with(char::is_lowercase) && word.len() > 2 && !joins
    });
    // What opens with code or in quotation marks is spoken by nobody about the declaration.
    let opening =
        text.trim_start_matches(|c: char| matches!(c, '/' | '*' | '#' | '-' | '!') || c.is_whitespace());
    let quotes = opening.starts_with(['"', '\'', '(', '[', '{', '<', '`', '$']);
    !numbered
        && !signed
        && says
        && !quotes
        // What leads to something below it describes more than the declaration.
        && !text.trim_end_matches(['*', '/', ' ', '\t', '\r', '\n']).ends_with(':')
        && !speaks_of_several(&lower)
        && begins
        && !(denies || restricts(&lower))
        && !leads_away
        && !lower.contains("only used")
        && !lower.contains("do not edit")
        && !lower.contains("generated file")
        // A heading is set in capitals.
        && text.chars().any(char::is_lowercase)
        && !REMARKING.iter().any(|mark| lower.contains(mark))
        && reads_as_documentation(text)
}

/// Tells whether a comment, in lower case, says where something serves, and nothing else: "This record is scale only".
fn restricts(lower: &str) -> bool {
    lower.trim_start_matches(|c: char| !c.is_alphabetic()).starts_with("this ")
        && lower.trim_end_matches(|c: char| !c.is_alphabetic()).ends_with(" only")
}

/// Tells whether a short comment, in lower case, is the heading of a group of declarations.
fn speaks_of_several(lower: &str) -> bool {
    let words: Vec<&str> =
        lower.split(|c: char| !(c.is_alphanumeric() || c == '-')).filter(|word| !word.is_empty()).collect();
    let groups = [
        "functions", "methods", "macros", "types", "constants", "routines", "definitions", "prototypes",
        "declarations", "structures", "helpers", "utilities", "constructors", "accessors", "getters",
        "setters", "overloads", "operators", "implementations", "interfaces", "classes", "events",
        "attributes", "properties", "fields", "members", "variables", "callbacks", "delegates", "listeners",
        "handlers", "hooks", "signals", "slots", "tests", "checks", "checkers", "commands", "actions",
        "flags", "options", "settings", "defaults", "enums", "aliases", "typedefs", "wrappers", "overrides",
        "stubs", "factories", "builders", "iterators", "conversions", "queries", "requests", "responses",
        "errors", "exceptions", "modules", "imports", "exports", "shortcuts", "procedures", "subroutines",
        "headers", "keys", "codes", "messages", "strings", "identifiers",
    ];
    let heads = words.first().is_some_and(|word| matches!(*word, "the" | "these" | "following"))
        && words.iter().take(2).any(|word| matches!(*word, "following" | "these"));
    let told_of = words
        .windows(2)
        .take(6)
        .any(|two| matches!(two[0], "these" | "some" | "several" | "various") && groups.contains(&two[1]));
    // "Sets the options" is a sentence, "Scale options" none.
    let is_sentence = words.first().is_some_and(|word| {
        ["s", "es"].iter().any(|end| word.strip_suffix(end).is_some_and(is_listed_verb))
            || (is_listed_verb(word)
                && words.get(1).is_some_and(|next| {
                    matches!(*next, "the" | "a" | "an" | "all" | "any" | "each" | "every" | "this" | "its")
                }))
    });
    // "Abstract types from the scale"
    let second = words.get(1).is_some_and(|word| groups.contains(word)) && !is_sentence;
    // "A range of keys" is one.
    let is_one = words.first().is_some_and(|word| matches!(*word, "a" | "an"));
    let named = words.last().is_some_and(|word| groups.contains(word))
        && words.len() <= 6
        && !(is_sentence || is_one);
    // "Predicates for crates": what ends in "s" and is no verb is several.
    let plural = |word: &str| {
        let stem = ["s", "es", "ies"].iter().any(|end| {
            word.strip_suffix(end).is_some_and(|stem| {
                is_listed_verb(stem)
                    || is_listed_verb(&format!("{stem}e"))
                    || is_listed_verb(&format!("{stem}y"))
            })
        });
        word.ends_with('s')
            && !word.ends_with("ss")
            && !word.ends_with("us")
            && !word.ends_with("is")
            && !stem
    };
    let linked = |word: &str| matches!(word, "for" | "of" | "that" | "which" | "used" | "related" | "from");
    let opens = words.first().is_some_and(|word| {
        groups.contains(word) || (plural(word) && words.get(1).is_some_and(|next| linked(next)))
    });
    // "Crates and scales are plain data", "Press and Scale do the same" speak of neither as the declaration.
    let several = words.iter().skip(1).take(3).any(|word| *word == "are")
        || (words.get(1), words.get(3)) == (Some(&"and"), Some(&"do"));
    // "Define the most common types"
    let defines =
        words.first().is_some_and(|word| matches!(*word, "define" | "defines" | "declare" | "declares"))
            && words.last().is_some_and(|word| groups.contains(word));
    heads || told_of || named || defines || second || opens || several
}

/// Tells whether a comment says where its file comes from: who made it, or what.
pub(super) fn is_about_the_file(text: &str) -> bool {
    let lower = text.to_ascii_lowercase();
    LICENCE.iter().chain(&["generated", "do not edit", "do not modify"]).any(|mark| lower.contains(mark))
}

/// Tells whether a comment says who has the rights in something.
pub(super) fn says_whose(text: &str) -> bool {
    let lower = text.to_ascii_lowercase();
    // Version control writes who changed a file, and when: `$Id: scale.c 53 2009-01-07 $`.
    ["copyright", "all rights reserved", "$id:", "$id$", "$revision:"]
        .iter()
        .any(|words| lower.contains(words))
}

/// Words of a licence, in lower case.
const LICENCE: &[&str] = &["copyright", "license", "licence", "spdx", "(c)", "all rights reserved"];

/// Tells whether an ordinary comment reads like documentation: no divider, licence, directive,
/// reminder or commented-out code.
pub(super) fn reads_as_documentation(text: &str) -> bool {
    let words: Vec<&str> = text
        .split(|c: char| c.is_whitespace() || matches!(c, '/' | '*' | '#'))
        .filter(|word| word.chars().any(char::is_alphabetic))
        .collect();
    let lower = text.to_ascii_lowercase();
    let reminder = ["todo", "fixme", "xxx", "hack", "bug:", "nolint", "noqa", "type:", "noinspection"];
    let directive = [
        // Whatever the program is that a line speaks to, these are the words for turning it off and on.
        "disable=", "disable-", "-disable", "disable:", "disable once", "disable all", "enable=", "-enable",
        ":off", ":on ", "@ts-", ".js", ".ts", ".mjs", "clang-format", "region", "pragma", "fmt:", "isort:",
        "vinequill:", "lint:", "://",
    ];
    let code_line = |line: &str| {
        let line = line.trim_matches(|c: char| c.is_whitespace() || matches!(c, '/' | '*' | '#'));
        line.ends_with([';', '{', '}', ')', '=', ','])
            || line.contains(" = ")
            || line.contains("==")
            || line.contains("();")
            || line.starts_with("return ")
            || line.starts_with("import ")
            || line.starts_with('@')
    };
    // A list of alternatives is no sentence.
    let listed = text.matches(" | ").count() > 2;
    let divider = ["----", "====", "****", "####", "~~~~", "////", "____", "....", "<<<<", ">>>>"];
    let ruled = ["##", "==", "--", "~~", "**"].iter().any(|mark| text.trim_end().ends_with(mark));
    words.len() >= 3
        && !listed
        && !ruled
        && !reminder.iter().chain(LICENCE).chain(&directive).any(|mark| lower.contains(mark))
        && !divider.iter().any(|mark| text.contains(mark))
        && !text.lines().any(code_line)
}

#[cfg(test)]
mod tests {
    use super::{
        opens_with_another_name, reads_as_documentation, reads_like_a_description, says_what_is_done,
    };

    #[test]
    fn what_can_be_called_is_described_by_what_it_does() {
        assert!(says_what_is_done("// Weighs a crate."));
        assert!(says_what_is_done("// Tare the scale"));
        assert!(says_what_is_done("/* The net load in kg */"));
        assert!(!says_what_is_done("// Open/Close the press"));
        assert!(!says_what_is_done("// Structurally much like the other one"));
        assert!(!says_what_is_done("// Weighty crates of the upper hall"));
    }

    #[test]
    fn what_begins_with_the_name_of_another_speaks_of_that() {
        assert!(opens_with_another_name("// weigh() is the safe way", "tip"));
        assert!(opens_with_another_name("// scales::weigh is gone, so this stands for it", "tip"));
        assert!(!opens_with_another_name("// scales::tip() tips it", "tip"));
        assert!(opens_with_another_name("// OpenPress is of the older cellar", "Press"));
        assert!(!opens_with_another_name("// openPress opens it", "OpenPress"));
        assert!(!opens_with_another_name("// SQL of the cellar", "query"));
        assert!(!opens_with_another_name("// Opens the press", "open"));
    }

    #[test]
    fn reasons_are_told_from_descriptions() {
        assert!(reads_like_a_description("// A crate of grapes."));
        assert!(reads_like_a_description("// returns the heaviest crate"));
        assert!(!reads_like_a_description("// The class is open because crates inherit it."));
        assert!(!reads_like_a_description("// disable the second scale"));
        assert!(!reads_like_a_description("// MARK: - Scales and crates"));
        assert!(!reads_like_a_description(
            "// The flag spans the whole cycle, so\n  // that no other one begins."
        ));
        assert!(!reads_like_a_description("// The last one shows how crates are tipped:"));
        assert!(!reads_like_a_description("// We want to tell crates apart."));
        assert!(reads_like_a_description("// See if a crate is weighed"));
        assert!(reads_like_a_description("// Sets the options"));
        assert!(reads_like_a_description("// Clear all flags"));
        assert!(!reads_like_a_description("// See the scales above"));
        assert!(!reads_like_a_description("// For older crates of plugins"));
        assert!(!reads_like_a_description("// Separate method for testability"));
        assert!(!reads_like_a_description("// Events of weighing and loading"));
        assert!(!reads_like_a_description("// Crate loading events"));
        assert!(!reads_like_a_description("/* The following functions read crate tags */"));
        assert!(!reads_like_a_description("// Crate tag helper functions"));
        assert!(!reads_like_a_description("/* Use these methods instead of the older scale */"));
        assert!(!reads_like_a_description("// Abstract types from the scale"));
        assert!(!reads_like_a_description("// Use the scale's own once all presses have it"));
        assert!(!reads_like_a_description("// Used by the scale"));
        assert!(!reads_like_a_description("/* This makes the types of the press:\n */"));
        assert!(!reads_like_a_description("// Used when there is no scale"));
        assert!(!reads_like_a_description("// Currently, all crates are weighed on the upper floor."));
        assert!(!reads_like_a_description("// This method is too heavy and shouldn't be inlined."));
        assert!(!reads_like_a_description("/* Tested with all crates of the hall */"));
        assert!(!reads_like_a_description("/* This file has all that weighs crates. */"));
        assert!(reads_like_a_description("// Used to weigh a crate"));
        assert!(!reads_like_a_description("// 7.2.1 Scales of the press"));
        assert!(!reads_like_a_description("// Only used on the press floor"));
        assert!(!reads_like_a_description("// Refactored to a common method of both scales"));
        assert!(!reads_like_a_description("// Crate phase callbacks"));
        assert!(!reads_like_a_description("// Predicates for weighing crates"));
        assert!(!reads_like_a_description("// INTERFACE FOR CRATES AND SCALES"));
        assert!(!reads_like_a_description("// Cannot inherit from the crate here"));
        assert!(reads_like_a_description("// Copies of the crate are left out"));
        assert!(!reads_like_a_description("/* Press or Old Cellar */"));
        assert!(!reads_like_a_description("// Define the most common crate types"));
        assert!(!reads_like_a_description("// Weighing twice before the call saves a lot of time."));
        assert!(!reads_like_a_description("/* Was public, now deprecated. */"));
        assert!(!reads_like_a_description("/* If it's late, the second scale is used */"));
        assert!(!reads_like_a_description("/* Avoid a circular dependency on the scale */"));
        assert!(reads_like_a_description("// Defines the crates of a press"));
        assert!(!reads_like_a_description("// This record is Linux only"));
        assert!(reads_like_a_description("// Weighs the crates that are full only."));
        assert!(!reads_like_a_description("// This is for internal use only. Don't call it"));
        assert!(!reads_like_a_description("// This one is needed to weigh twice"));
        assert!(!reads_like_a_description("// Move somewhere else."));
        assert!(!reads_like_a_description("// PressLock and TankLock do the same, for both"));
        assert!(!reads_like_a_description("/* STONE not supported by this scale */"));
    }

    #[test]
    fn remarks_are_told_from_dividers_and_code() {
        assert!(!reads_as_documentation("# ### What reads and writes loads ###"));
        assert!(reads_as_documentation("// Weighs a crate of grapes."));
        assert!(!reads_as_documentation("// ---- weighing the crates ----"));
        assert!(!reads_as_documentation("// TODO weigh twice here"));
        assert!(!reads_as_documentation("// int weigh(Crate crate);"));
        assert!(!reads_as_documentation("/* Copyright of the cooperative, all of it */"));
    }
}
