//! What leaves a body: return values, exceptions and the handlers around them.

use std::collections::HashMap;
use std::sync::OnceLock;

use crate::model::{Answer, Declaration, Name, Origin, Thrown};
use crate::text::{Source, Span};

/// Exception types of a standard library, each with its supertype.
pub struct Hierarchy {
    /// Type and direct supertype.
    pub parents: &'static [(&'static str, &'static str)],
    /// Types that catch everything that programs throw.
    pub roots: &'static [&'static str],
    /// Names ending so are not caught by the second and later roots.
    pub beyond_roots: &'static str,
    /// Other names of types, each with the one that stands among `parents`.
    pub aliases: &'static [(&'static str, &'static str)],
    index: OnceLock<HashMap<&'static str, &'static str>>,
}

/// The hierarchy of a language whose exceptions have no types of their own.
pub(super) static NO_HIERARCHY: Hierarchy = Hierarchy::new(&[], &[], "");

impl Hierarchy {
    /// Makes a hierarchy of pairs of type and direct supertype.
    #[must_use]
    pub const fn new(
        parents: &'static [(&'static str, &'static str)],
        roots: &'static [&'static str],
        beyond_roots: &'static str,
    ) -> Self {
        Self { parents, roots, beyond_roots, aliases: &[], index: OnceLock::new() }
    }

    /// Adds other names of types, each with the one that stands among the pairs.
    #[must_use]
    pub const fn with_aliases(mut self, aliases: &'static [(&'static str, &'static str)]) -> Self {
        self.aliases = aliases;
        self
    }

    fn plain_name<'n>(&self, ty: &'n str) -> &'n str {
        self.aliases.iter().find(|(alias, _)| *alias == ty).map_or(ty, |(_, name)| name)
    }

    fn parent(&self, ty: &str) -> Option<&'static str> {
        self.index.get_or_init(|| self.parents.iter().copied().collect()).get(ty).copied()
    }

    /// Tells whether `ty` is one of the standard library's or a root.
    #[must_use]
    pub fn knows(&self, ty: &str) -> bool {
        let ty = self.plain_name(ty);
        self.parent(ty).is_some() || self.roots.contains(&ty)
    }

    /// Tells whether `sub` is `sup` or a subtype of it; `types` knows those that are declared in code.
    #[must_use]
    pub fn is_subtype(&self, sub: &str, sup: &str, types: &dyn Types) -> Answer {
        let (sub, sup) = (self.plain_name(sub), self.plain_name(sup));
        if sub == sup || self.roots.first() == Some(&sup) {
            return Answer::Yes;
        }
        let mut open = vec![sub];
        let mut seen = vec![sub];
        let mut answer = Answer::No;
        // A climb longer than this is a cycle in broken code.
        while let Some(current) = open.pop().filter(|_| seen.len() < 64) {
            let mut above = match types.supertypes(current) {
                Some(declared) => declared,
                None => self.parent(current).into_iter().collect(),
            };
            above.iter_mut().for_each(|name| *name = self.plain_name(name));
            if above.contains(&sup) {
                return Answer::Yes;
            }
            if above.is_empty() && !self.knows(current) {
                answer = Answer::Unknown;
                let beyond = !self.beyond_roots.is_empty() && current.ends_with(self.beyond_roots);
                if self.roots.contains(&sup) && !beyond {
                    return Answer::Yes;
                }
            }
            for name in above {
                if !seen.contains(&name) {
                    seen.push(name);
                    open.push(name);
                }
            }
        }
        answer
    }

    /// Decides of what only perhaps left whether a handler catches it, now that `types` are known; what is
    /// caught is taken out.
    pub fn settle(&self, throws: &mut Vec<Thrown>, types: &dyn Types) {
        throws.retain_mut(|thrown| {
            if thrown.leaves == Answer::Unknown && !thrown.caught.is_empty() {
                thrown.leaves = leaves(&thrown.ty, &thrown.caught, self, types);
            }
            thrown.leaves != Answer::No
        });
    }
}

/// The types that code declares, with their supertypes.
pub trait Types {
    /// Returns the direct supertypes, by simple name, of the types of a name; nothing when none has it.
    fn supertypes(&self, name: &str) -> Option<Vec<&str>>;
}

/// The types of one file.
pub(super) struct LocalTypes<'o>(HashMap<&'o str, Vec<&'o str>>);

impl<'o> LocalTypes<'o> {
    /// Gathers the types among declarations.
    pub(super) fn of(declarations: &'o [Declaration]) -> Self {
        let mut types: HashMap<&str, Vec<&str>> = HashMap::new();
        for declaration in declarations.iter().filter(|declaration| declaration.kind.is_type()) {
            let known = types.entry(declaration.name.as_str()).or_default();
            known.extend(declaration.supertypes.iter().map(Name::as_str));
        }
        Self(types)
    }
}

impl Types for LocalTypes<'_> {
    fn supertypes(&self, name: &str) -> Option<Vec<&str>> {
        self.0.get(name).cloned()
    }
}

/// One thing that a body throws, before its handlers are looked at.
#[derive(Clone, Debug)]
pub struct Raised {
    /// The type by simple name.
    pub ty: Name,
    /// The type in the source, or the throw as a whole.
    pub span: Span,
    /// How it is known.
    pub origin: Origin,
    /// Never owed.
    pub exempt: bool,
    /// The condition of the `if` around it.
    pub condition: Option<Span>,
}

/// What a body was seen to do.
#[derive(Clone, Debug, Default)]
pub(super) struct Flow {
    /// A `return` with a value.
    pub value: bool,
    /// An expression body whose value is not known.
    pub perhaps_value: bool,
    /// A `yield`.
    pub yields: bool,
    /// A call whose exceptions are not known.
    pub opaque: bool,
    /// Something thrown whose type is not known.
    pub raised_unknown: bool,
    /// What is thrown, with the types that handlers around it catch, innermost first.
    pub raised: Vec<(Raised, Vec<Name>)>,
}

/// Tells whether what is raised leaves through its handlers.
pub(super) fn leaves(raised: &Name, caught: &[Name], hierarchy: &Hierarchy, types: &dyn Types) -> Answer {
    let mut answer = Answer::Yes;
    for caught in caught {
        match hierarchy.is_subtype(raised.as_str(), caught.as_str(), types) {
            Answer::Yes => return Answer::No,
            Answer::Unknown => answer = Answer::Unknown,
            Answer::No => {}
        }
    }
    answer
}

/// Tells whether a remark behind what is thrown, or above it, says that it never is.
pub(super) fn never_happens(source: &Source, thrown: Span) -> bool {
    let text = source.text();
    // The line of the throw, the one above and the one below.
    let (before, behind) = (&text[..thrown.start as usize], &text[thrown.start as usize..]);
    let begin = before.rmatch_indices('\n').nth(1).map_or(0, |(at, _)| at + 1);
    let end = behind.match_indices('\n').nth(1).map_or(text.len(), |(at, _)| thrown.start as usize + at);
    let statement = text[thrown.start as usize..end].split(';').next().unwrap_or_default();
    if statement.split(['"', '\'']).skip(1).step_by(2).any(message_says_never) {
        return true;
    }
    text[begin..end].lines().any(|line| {
        let remark = ["//", "/*", "# ", "--"].iter().filter_map(|mark| line.find(mark)).min();
        remark.is_some_and(|at| {
            let lower = line[at..].to_ascii_lowercase();
            [
                "never happen", "not happen", "n't happen", "never get here", "not reached", "unreachable",
                "impossible",
            ]
            .iter()
            .any(|words| lower.contains(words))
        })
    })
}

/// Tells whether the message of what is thrown says that it never is.
fn message_says_never(message: &str) -> bool {
    // Few messages hold any of it.
    if !["happen", "reach", "get here"].iter().any(|word| message.contains(word)) {
        return false;
    }
    let lower = message.to_ascii_lowercase();
    let phrases = [
        "never happen", "not happen", "n't happen", "never get here", "not get here", "n't get here",
        "never be reached", "not be reached", "never reach", "not reach this", "not reach here",
        "unreachable code", "unreachable case", "unreachable branch", "unreachable state",
    ];
    lower == "unreachable" || phrases.iter().any(|phrase| lower.contains(phrase))
}

/// Tells whether what throws is to be written elsewhere, as the exception's name says or a mark in its header.
pub(super) fn stands_for_another(ty: &str, header: &str) -> bool {
    header.trim_start().starts_with("virtual ")
        || ["NotSupported", "NotImplemented", "Unsupported", "Unimplemented", "Abstract"]
            .iter()
            .any(|part| ty.contains(part))
}

/// Tells whether a condition stands behind what is thrown: `raise NotSupported unless pressed`.
pub(super) fn is_conditional(source: &Source, thrown: Span) -> bool {
    let line = source.line_span(source.line(thrown.start)).map_or("", |line| source.slice(line));
    let mut code = line.split(['"', '\'']).step_by(2);
    code.any(|part| [" if ", " unless "].iter().any(|word| part.contains(word)))
}

/// Tells whether a body begins by throwing, and so does nothing else, unless a condition stands behind.
pub(super) fn only_throws(body: &str) -> bool {
    let mut first = body;
    loop {
        first = first.trim_start_matches(|c: char| c.is_whitespace() || matches!(c, '{' | ':' | ';'));
        // What the body says of itself comes before what it does.
        let ends = [
            ("\"\"\"", "\"\"\""),
            ("'''", "'''"),
            ("/*", "*/"),
            ("//", "\n"),
            ("#", "\n"),
            ("--", "\n"),
            // Statements by which a body says that it leaves something unused.
            ("del ", "\n"),
            ("_ = ", "\n"),
            ("(void)", ";"),
        ];
        let bare = first.trim_start_matches(['r', 'R', 'u', 'b']);
        let opened = ends.iter().find_map(|(open, close)| Some((bare.strip_prefix(open)?, *close)));
        let Some((inner, close)) = opened else { break };
        let Some(end) = inner.find(close) else { return false };
        first = &inner[end + close.len()..];
    }
    ["throw ", "raise "].iter().any(|word| first.starts_with(word))
}
