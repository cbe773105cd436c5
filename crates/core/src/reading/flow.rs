//! What leaves a body: return values, exceptions and the handlers around them.

use std::collections::HashMap;
use std::sync::OnceLock;

use crate::model::{Answer, Declaration, Name, Origin};
use crate::text::Span;

/// Exception types of a standard library, each with its supertype.
pub struct Hierarchy {
    /// Type and direct supertype.
    pub parents: &'static [(&'static str, &'static str)],
    /// Types that catch everything that programs throw.
    pub roots: &'static [&'static str],
    /// Names ending so are not caught by the second and later roots.
    pub beyond_roots: &'static str,
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
        Self { parents, roots, beyond_roots, index: OnceLock::new() }
    }

    fn parent(&self, ty: &str) -> Option<&'static str> {
        self.index.get_or_init(|| self.parents.iter().copied().collect()).get(ty).copied()
    }

    /// Tells whether `ty` is one of the standard library's or a root.
    #[must_use]
    pub fn knows(&self, ty: &str) -> bool {
        self.parent(ty).is_some() || self.roots.contains(&ty)
    }

    /// Tells whether `sub` is `sup` or a subtype of it, with the types of this file at hand.
    #[must_use]
    pub fn is_subtype(&self, sub: &str, sup: &str, local: &[Declaration]) -> Answer {
        if sub == sup || self.roots.first() == Some(&sup) {
            return Answer::Yes;
        }
        let mut current = sub.to_owned();
        // A chain longer than this is a cycle in broken code.
        for _ in 0..64 {
            let next = match local.iter().find(|d| d.kind.is_type() && d.name == current.as_str()) {
                Some(declared) => match declared.supertypes.iter().find(|s| s.as_str() == sup) {
                    Some(found) => Some(found.as_str()),
                    None => declared.supertypes.first().map(Name::as_str),
                },
                None => self.parent(&current),
            };
            match next {
                Some(next) if next == sup => return Answer::Yes,
                Some(next) => current = next.to_owned(),
                None if self.knows(&current) => return Answer::No,
                None => break,
            }
        }
        let beyond = !self.beyond_roots.is_empty() && current.ends_with(self.beyond_roots);
        if self.roots.contains(&sup) && !beyond { Answer::Yes } else { Answer::Unknown }
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
    /// What is thrown, with the handlers around it, innermost first.
    pub raised: Vec<(Raised, Vec<Vec<Name>>)>,
}

/// Tells whether what is raised leaves through its handlers.
pub(super) fn leaves(
    raised: &Name,
    handlers: &[Vec<Name>],
    hierarchy: &Hierarchy,
    local: &[Declaration],
) -> Answer {
    let mut answer = Answer::Yes;
    for caught in handlers.iter().flatten() {
        match hierarchy.is_subtype(raised.as_str(), caught.as_str(), local) {
            Answer::Yes => return Answer::No,
            Answer::Unknown => answer = Answer::Unknown,
            Answer::No => {}
        }
    }
    answer
}
