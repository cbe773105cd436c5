//! Verbs that descriptions begin with, and their forms.

/// Verbs that summaries begin with, in their base form.
pub const VERBS: &[&str] = &[
    "accept", "add", "adjust", "allocate", "allow", "append", "apply", "assert", "assign", "attach", "begin",
    "bind", "build", "calculate", "call", "cancel", "check", "choose", "clean", "clear", "clone", "close",
    "collect", "combine", "compare", "compute", "configure", "connect", "construct", "contain", "convert",
    "copy", "count", "create", "decode", "decrease", "define", "delete", "describe", "destroy", "detach",
    "detect", "determine", "disable", "disconnect", "divide", "draw", "emit", "enable", "encode", "ensure",
    "escape", "evaluate", "execute", "expand", "extract", "fetch", "fill", "filter", "find", "finish",
    "flush", "format", "free", "generate", "get", "give", "handle", "hash", "hide", "implement", "increase",
    "indicate", "initialise", "initialize", "insert", "install", "invoke", "join", "keep", "list", "load",
    "log", "look", "make", "map", "mark", "match", "measure", "merge", "modify", "move", "multiply",
    "normalise", "normalize", "notify", "open", "override", "pad", "parse", "perform", "prepare", "print",
    "process", "produce", "provide", "push", "put", "raise", "read", "receive", "record", "reduce",
    "register", "release", "remove", "rename", "render", "repeat", "replace", "report", "represent",
    "request", "reset", "resolve", "restore", "retrieve", "return", "reverse", "round", "run", "save",
    "scan", "search", "select", "send", "serialise", "serialize", "set", "shift", "show", "skip", "sort",
    "split", "start", "stop", "store", "strip", "subtract", "swap", "take", "tell", "test", "throw",
    "transform", "translate", "trim", "truncate", "try", "turn", "unregister", "update", "use", "validate",
    "verify", "visit", "wait", "walk", "weigh", "wrap", "write", "yield",
];

/// Returns a verb as it stands after "it".
#[must_use]
pub fn third_person(verb: &str) -> String {
    match verb {
        _ if verb.ends_with('y')
            && !verb.ends_with(['a', 'e', 'o', 'u'])
            && !verb.ends_with("ay")
            && !verb.ends_with("oy") =>
        {
            format!("{}ies", &verb[..verb.len() - 1])
        }
        _ if ["s", "sh", "ch", "x", "z", "o"].iter().any(|end| verb.ends_with(end)) => format!("{verb}es"),
        _ => format!("{verb}s"),
    }
}

#[cfg(test)]
mod tests {
    use super::{VERBS, third_person};

    #[test]
    fn verbs_are_sorted_and_take_their_endings() {
        assert!(VERBS.is_sorted());
        for (verb, wanted) in
            [("copy", "copies"), ("search", "searches"), ("get", "gets"), ("destroy", "destroys")]
        {
            assert_eq!(third_person(verb), wanted);
        }
    }
}
