//! Verbs that descriptions begin with, and their forms.

/// Verbs that summaries begin with, in their base form.
pub const VERBS: &[&str] = &[
    "abort", "accept", "accumulate", "acquire", "activate", "add", "adjust", "advance", "aggregate",
    "allocate", "allow", "analyse", "analyze", "animate", "annotate", "announce", "append", "apply",
    "approve", "archive", "arrange", "ask", "assemble", "assert", "assign", "associate", "attach",
    "authenticate", "authorise", "authorize", "autodetect", "await", "backtrack", "balance", "begin", "bind",
    "broadcast", "browse", "build", "calculate", "call", "cancel", "capture", "cast", "change", "check",
    "choose", "clamp", "classify", "clean", "clear", "clone", "close", "coerce", "collapse", "collect",
    "combine", "commit", "compare", "compile", "complete", "compose", "compress", "compute", "concat",
    "concatenate", "configure", "confirm", "connect", "construct", "consume", "contain", "continue",
    "convert", "copy", "count", "create", "crop", "deactivate", "debounce", "declare", "decode",
    "decompress", "decrease", "deduplicate", "defer", "define", "delete", "deliver", "deny", "deploy",
    "dequeue", "deregister", "derive", "describe", "deserialise", "deserialize", "destroy", "detach",
    "detect", "determine", "disable", "disconnect", "dispatch", "display", "dispose", "divide", "download",
    "drain", "draw", "drop", "dump", "duplicate", "edit", "eject", "embed", "emit", "emulate", "enable",
    "encode", "enqueue", "ensure", "enter", "enumerate", "erase", "escape", "establish", "estimate",
    "evaluate", "evict", "examine", "exchange", "exclude", "execute", "exit", "expand", "explain", "export",
    "expose", "extend", "extract", "fail", "fetch", "fill", "filter", "find", "finish", "flatten", "flip",
    "flush", "fold", "follow", "format", "forward", "free", "freeze", "gather", "generate", "get", "give",
    "grant", "guard", "guess", "gunzip", "gzip", "halt", "handle", "hash", "help", "hide", "implement",
    "import", "include", "increase", "indicate", "infer", "inform", "inherit", "initialise", "initialize",
    "inject", "insert", "inspect", "install", "instantiate", "intercept", "interpolate", "interrupt",
    "intersect", "invalidate", "invert", "invoke", "isolate", "iterate", "join", "keep", "kill", "launch",
    "leave", "list", "listen", "load", "locate", "lock", "log", "look", "lookup", "lower", "make", "map",
    "mark", "match", "maximise", "maximize", "measure", "memoise", "memoize", "merge", "migrate", "minimise",
    "minimize", "modify", "mount", "move", "multiply", "mutate", "navigate", "negate", "negotiate",
    "normalise", "normalize", "notify", "obtain", "offer", "open", "optimise", "optimize", "override",
    "overwrite", "pack", "pad", "paint", "parse", "partition", "pass", "pause", "peek", "perform", "permit",
    "permute", "persist", "pick", "poll", "pop", "populate", "predict", "preload", "prepare", "prepend",
    "present", "preserve", "prevent", "print", "process", "produce", "promote", "prompt", "propagate",
    "provide", "prune", "publish", "pull", "purge", "push", "put", "quit", "quote", "raise", "randomise",
    "randomize", "reach", "read", "rebuild", "recalculate", "receive", "recompute", "reconnect", "record",
    "recover", "redirect", "redo", "redraw", "reduce", "refresh", "register", "reject", "release", "reload",
    "rely", "remove", "rename", "render", "reorder", "repair", "repeat", "replace", "report", "represent",
    "request", "require", "rescale", "reserve", "reset", "resize", "resolve", "respond", "restart",
    "restore", "restrict", "resume", "retain", "rethrow", "retrieve", "retry", "return", "reveal", "reverse",
    "revert", "revoke", "rewind", "rewrite", "rotate", "round", "run", "sanitise", "sanitize", "save",
    "scan", "schedule", "scroll", "seal", "search", "seek", "select", "send", "separate", "serialise",
    "serialize", "set", "settle", "shift", "show", "shuffle", "simplify", "simulate", "skip", "sleep",
    "smooth", "solve", "sort", "spawn", "specify", "splice", "split", "squash", "start", "stop", "store",
    "stringify", "strip", "submit", "subscribe", "substitute", "subtract", "suggest", "summarise",
    "summarize", "suppress", "suspend", "swap", "switch", "sync", "synchronise", "synchronize", "take",
    "tell", "test", "throw", "toggle", "tokenise", "tokenize", "touch", "train", "transfer", "transform",
    "translate", "transmit", "transpose", "traverse", "trigger", "trim", "truncate", "try", "tune", "turn",
    "unbind", "undo", "unescape", "unify", "unlink", "unload", "unlock", "unmount", "unpack", "unregister",
    "unset", "unsubscribe", "unwrap", "unzip", "update", "upgrade", "upload", "upsert", "use", "validate",
    "vary", "verify", "visit", "wait", "walk", "warn", "watch", "weigh", "withdraw", "wrap", "write",
    "yield", "zip", "zoom",
];

/// Tells whether a word, in lower case, is one of [`VERBS`].
#[must_use]
pub fn is_listed_verb(word: &str) -> bool {
    VERBS.binary_search(&word).is_ok()
}

/// Returns a verb as it stands after "it".
#[must_use]
pub fn third_person(verb: &str) -> String {
    match verb {
        _ if verb.ends_with('y') && !["ay", "ey", "oy", "uy"].iter().any(|end| verb.ends_with(end)) => {
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
