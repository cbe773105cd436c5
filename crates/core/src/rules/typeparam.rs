//! Entries for type parameters against those of the declaration.

use super::named::{self, TYPE_PARAMS};
use super::rule::{Check, Example, Rule};
use crate::model::{Level, RuleId};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("typeparam.missing"),
    level: Level::Warning,
    says: "a type parameter has no entry in a comment that owes one",
    why: "Callers cannot tell what it stands for.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Sorts crates.\n *\n * @param <K> what they are sorted by\n */\npublic class Sorter<K, V> {}\n",
        after: "/**\n * Sorts crates.\n *\n * @param <K> what they are sorted by\n * @param <V> what is in them\n */\npublic class Sorter<K, V> {}\n",
    },
    check: Check::Comment(|context, findings| named::missing(&TYPE_PARAMS, context, findings)),
};

pub(super) static UNKNOWN: Rule = Rule {
    id: RuleId::new("typeparam.unknown"),
    level: Level::Error,
    says: "an entry names no type parameter",
    why: "It describes something that is not there.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Sorts crates.\n *\n * @param <T> what they are sorted by\n */\npublic class Sorter {}\n",
        after: "/**\n * Sorts crates.\n */\npublic class Sorter {}\n",
    },
    check: Check::Comment(|context, findings| named::unknown(&TYPE_PARAMS, context, findings)),
};

pub(super) static REPEATED: Rule = Rule {
    id: RuleId::new("typeparam.repeated"),
    level: Level::Error,
    says: "a type parameter has two entries",
    why: "Readers see one of them, and nobody knows which one is right.",
    example: Example {
        language: "csharp",
        config: "",
        before: "/// <summary>Sorts crates.</summary>\n/// <typeparam name=\"T\">A crate.</typeparam>\n/// <typeparam name=\"T\">A box.</typeparam>\npublic class Sorter<T> {}\n",
        after: "/// <summary>Sorts crates.</summary>\n/// <typeparam name=\"T\">A crate.</typeparam>\npublic class Sorter<T> {}\n",
    },
    check: Check::Comment(|context, findings| named::repeated(&TYPE_PARAMS, context, findings)),
};

pub(super) static ORDER: Rule = Rule {
    id: RuleId::new("typeparam.order"),
    level: Level::Warning,
    says: "entries stand in another order than the type parameters",
    why: "Callers read the entries along with the declaration, from left to right.",
    example: Example {
        language: "csharp",
        config: "",
        before: "/// <summary>Sorts crates.</summary>\n/// <typeparam name=\"V\">What is in them.</typeparam>\n/// <typeparam name=\"K\">What they are sorted by.</typeparam>\npublic class Sorter<K, V> {}\n",
        after: "/// <summary>Sorts crates.</summary>\n/// <typeparam name=\"K\">What they are sorted by.</typeparam>\n/// <typeparam name=\"V\">What is in them.</typeparam>\npublic class Sorter<K, V> {}\n",
    },
    check: Check::Comment(|context, findings| named::order(&TYPE_PARAMS, context, findings)),
};

pub(super) static EMPTY: Rule = Rule {
    id: RuleId::new("typeparam.empty"),
    level: Level::Warning,
    says: "an entry for a type parameter has no description",
    why: "It looks documented and tells nothing that the declaration does not.",
    example: Example {
        language: "csharp",
        config: "",
        before: "/// <summary>Sorts crates.</summary>\n/// <typeparam name=\"T\"></typeparam>\npublic class Sorter<T> {}\n",
        after: "/// <summary>Sorts crates.</summary>\n/// <typeparam name=\"T\">What is sorted.</typeparam>\npublic class Sorter<T> {}\n",
    },
    check: Check::Comment(|context, findings| named::empty(&TYPE_PARAMS, context, findings)),
};
