//! What a callable takes, gives back and throws.

use super::Name;
use crate::text::Span;

/// Yes, no, or not known: doubt is an answer of its own, and means silence.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, serde::Serialize, serde::Deserialize)]
pub enum Answer {
    /// It is so.
    Yes,
    /// It is not so.
    No,
    /// The source does not tell.
    #[default]
    Unknown,
}

impl Answer {
    /// Returns the word used in JSON.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::Yes => "yes",
            Self::No => "no",
            Self::Unknown => "unknown",
        }
    }
}

/// How a parameter is named.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum ParamName {
    /// By an ordinary name.
    Named(Name),
    /// Not at all, as in a C prototype.
    Unnamed,
    /// A nameless variadic: `...`.
    Rest,
    /// Taken apart into keys: `{width, height}`.
    Destructured(Vec<Name>),
}

/// Whether a parameter takes several arguments.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default)]
pub enum Variadic {
    /// One argument.
    #[default]
    No,
    /// Any number of positional arguments.
    Positional,
    /// Any number of named arguments: a collector, whose keys may be documented one by one.
    Keywords,
}

/// One parameter of a signature.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Parameter {
    /// Its name.
    pub name: ParamName,
    /// The name in the source, or the whole parameter when it has none.
    pub span: Span,
    /// What callers write in front of the argument, where that is not the name (Swift: `by` in `by height: Int`).
    pub label: Option<Name>,
    /// The type as written.
    pub ty: Option<Span>,
    /// The default value as written.
    pub default: Option<Span>,
    /// A caller may leave it out.
    pub optional: bool,
    /// Whether it takes several arguments.
    pub variadic: Variadic,
    /// Nothing is ever owed for it (unused by its name, implicit, and the like).
    pub exempt: bool,
    /// A comment beside it in the list says what it is.
    pub told: bool,
    /// Its native type says enough, unless entries are owed always.
    pub typed_enough: bool,
    /// What may be put in may be told one by one: it is empty by default (Ruby: `options = {}`), or what is not taken
    /// apart is collected (JavaScript: `{ width, ...others }`).
    pub keyed: bool,
}

impl Parameter {
    /// Makes a parameter of which only name and place are known.
    #[must_use]
    pub const fn new(name: ParamName, span: Span) -> Self {
        Self {
            name,
            span,
            label: None,
            ty: None,
            default: None,
            optional: false,
            variadic: Variadic::No,
            exempt: false,
            told: false,
            typed_enough: false,
            keyed: false,
        }
    }

    /// Makes a parameter with an ordinary name.
    #[must_use]
    pub fn of(name: &str, span: Span) -> Self {
        Self::new(ParamName::Named(Name::new(name)), span)
    }

    /// Returns the name, where there is an ordinary one.
    #[must_use]
    pub fn named(&self) -> Option<&Name> {
        match &self.name {
            ParamName::Named(name) => Some(name),
            ParamName::Unnamed | ParamName::Rest | ParamName::Destructured(_) => None,
        }
    }
}

/// One type parameter of a signature.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct TypeParameter {
    /// Its name.
    pub name: Name,
    /// The name in the source.
    pub span: Span,
}

/// A type of which every value is known.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum ClosedSet {
    /// True and false.
    Boolean,
    /// The members of an enumeration of the project, by the enumeration's name.
    Enumeration(Name),
}

/// What comes back from a call.
#[derive(Clone, Debug, PartialEq, Eq, Default)]
pub struct Returns {
    /// Whether a value comes back.
    pub value: Answer,
    /// The type as written.
    pub ty: Option<Span>,
    /// Whether values are yielded one by one.
    pub yields: bool,
    /// The closed set that the values come from, where known.
    pub set: Option<ClosedSet>,
    /// Nothing is ever owed for it, as on properties.
    pub exempt: bool,
    /// Something may make another thing of what is yielded or comes back, before a caller sees it.
    pub wrapped: bool,
    /// Its native type says enough, unless an entry is owed always.
    pub typed_enough: bool,
}

impl Returns {
    /// Gives nothing back.
    #[must_use]
    pub fn nothing() -> Self {
        Self { value: Answer::No, ..Self::default() }
    }

    /// Gives back, or does not, as the type at `ty` says.
    #[must_use]
    pub fn typed(value: Answer, ty: Span) -> Self {
        Self { value, ty: Some(ty), ..Self::default() }
    }
}

/// How it is known that an exception can come out.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub enum Origin {
    /// The signature says so.
    Declared,
    /// The body throws it.
    Body,
    /// A standard guard helper throws it, or it only refuses null.
    Guard,
    /// A callee of the project lets it out.
    Callee,
}

impl Origin {
    /// Returns the word used in JSON.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::Declared => "declared",
            Self::Body => "body",
            Self::Guard => "guard",
            Self::Callee => "callee",
        }
    }
}

/// An exception that can come out of a callable.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Thrown {
    /// The type by simple name.
    pub ty: Name,
    /// The type in the source: in the clause, or at the throw.
    pub span: Span,
    /// How it is known.
    pub origin: Origin,
    /// Whether it surely leaves; `Unknown` when a handler around it may catch it.
    pub leaves: Answer,
    /// Never owed: not-implemented stubs, assertion errors, unreachable markers.
    pub exempt: bool,
    /// The condition under which it is thrown, where a plain `if` guards the throw.
    pub condition: Option<Span>,
    /// The types that handlers around it catch, innermost first.
    pub caught: Vec<Name>,
    /// By which calls it comes from where, as people read it; nothing where it is thrown here.
    pub via: Option<String>,
}

/// What a callable takes, gives back and throws.
#[derive(Clone, Debug, PartialEq, Eq, Default)]
pub struct Signature {
    /// A property whose value, of no written type, may be called: its comment may describe what that takes.
    pub value_may_be_called: bool,
    /// The body takes arguments that no parameter names.
    pub collects: bool,
    /// The receiver, where it stands among the parameters: an entry for it is accepted, never asked for.
    pub receiver: Option<Name>,
    /// In order; receivers left out.
    pub parameters: Vec<Parameter>,
    /// In order.
    pub type_parameters: Vec<TypeParameter>,
    /// What functions take that are given back: the comment may tell of it as well.
    pub handed_on: Vec<Name>,
    /// What comes back.
    pub returns: Returns,
    /// Declared ones first, then those of the body, each in source order.
    pub throws: Vec<Thrown>,
    /// Something is thrown whose type is not known.
    pub throws_unknown: bool,
    /// The body calls something whose exceptions are not known.
    pub opaque: bool,
    /// The signature is bound to the result of a call or otherwise not known: nothing can be owed.
    pub hidden: bool,
}

impl Signature {
    /// Tells whether any number of named arguments is collected.
    #[must_use]
    pub fn has_collector(&self) -> bool {
        self.collects
            || self.parameters.iter().any(|p| p.variadic == Variadic::Keywords || p.name == ParamName::Rest)
    }
}
