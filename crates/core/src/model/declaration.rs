//! A declaration: what is named, where, how far it can be seen, and what stands above it.

use schemars::JsonSchema;
use serde::{Deserialize, Serialize};
use smol_str::SmolStr;

use super::{CommentId, Name, Signature};
use crate::text::Span;

/// Index of a declaration in its outline.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
pub struct DeclId(pub u32);

/// The sort of a declaration, as JSON names it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[expect(missing_docs, reason = "the variants are the words of the output format")]
pub enum Kind {
    File,
    Package,
    Module,
    Class,
    Interface,
    Struct,
    Enum,
    Trait,
    Record,
    Object,
    Union,
    Function,
    Method,
    Constructor,
    Property,
    Field,
    Constant,
    EnumMember,
    TypeAlias,
    Macro,
    Event,
    Delegate,
    Operator,
    Program,
}

impl Kind {
    /// Returns the word used in output.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::File => "file",
            Self::Package => "package",
            Self::Module => "module",
            Self::Class => "class",
            Self::Interface => "interface",
            Self::Struct => "struct",
            Self::Enum => "enum",
            Self::Trait => "trait",
            Self::Record => "record",
            Self::Object => "object",
            Self::Union => "union",
            Self::Function => "function",
            Self::Method => "method",
            Self::Constructor => "constructor",
            Self::Property => "property",
            Self::Field => "field",
            Self::Constant => "constant",
            Self::EnumMember => "enum-member",
            Self::TypeAlias => "type-alias",
            Self::Macro => "macro",
            Self::Event => "event",
            Self::Delegate => "delegate",
            Self::Operator => "operator",
            Self::Program => "program",
        }
    }

    /// All kinds.
    pub const ALL: [Self; 24] = [
        Self::File,
        Self::Package,
        Self::Module,
        Self::Class,
        Self::Interface,
        Self::Struct,
        Self::Enum,
        Self::Trait,
        Self::Record,
        Self::Object,
        Self::Union,
        Self::Function,
        Self::Method,
        Self::Constructor,
        Self::Property,
        Self::Field,
        Self::Constant,
        Self::EnumMember,
        Self::TypeAlias,
        Self::Macro,
        Self::Event,
        Self::Delegate,
        Self::Operator,
        Self::Program,
    ];

    /// Finds the kind that a word names.
    #[must_use]
    pub fn find(word: &str) -> Option<Self> {
        Self::ALL.into_iter().find(|kind| kind.as_str() == word)
    }

    /// Tells whether it is a type.
    #[must_use]
    pub const fn is_type(self) -> bool {
        matches!(
            self,
            Self::Class
                | Self::Interface
                | Self::Struct
                | Self::Enum
                | Self::Trait
                | Self::Record
                | Self::Object
                | Self::Union
                | Self::TypeAlias
                | Self::Delegate
        )
    }

    /// Tells whether it can be called, so that entries make sense.
    #[must_use]
    pub const fn is_callable(self) -> bool {
        matches!(
            self,
            Self::Function
                | Self::Method
                | Self::Constructor
                | Self::Operator
                | Self::Macro
                | Self::Program
                | Self::Delegate
        )
    }

    /// Tells whether it holds a value.
    #[must_use]
    pub const fn is_field(self) -> bool {
        matches!(self, Self::Property | Self::Field | Self::Constant | Self::EnumMember | Self::Event)
    }
}

/// How far a declaration can be seen; ordered from the widest.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize, JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Surface {
    /// By every caller.
    Public,
    /// By subtypes as well.
    Protected,
    /// Inside its package, assembly or module.
    Package,
    /// Only where it stands.
    Private,
}

impl Surface {
    /// Returns the word used in options and output.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::Public => "public",
            Self::Protected => "protected",
            Self::Package => "package",
            Self::Private => "private",
        }
    }
}

/// A sort of declarations of which nothing is asked.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Deserialize, Serialize, JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Excuse {
    /// Overrides of documented-elsewhere members.
    Overrides,
    /// Members whose meaning the language fixes.
    Conventional,
    /// Constructors that take nothing and do nothing.
    EmptyConstructors,
    /// Members of enumerations.
    EnumMembers,
    /// Tests.
    Tests,
    /// Generated code.
    Generated,
    /// The program's entry point.
    Main,
    /// Members that only return or assign one field.
    Accessors,
    /// Handlers whose name says it all.
    EventHandlers,
    /// What callers should no longer use.
    Deprecated,
}

impl Excuse {
    /// Returns the word used in configuration and output.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::Overrides => "overrides",
            Self::Conventional => "conventional",
            Self::EmptyConstructors => "empty-constructors",
            Self::EnumMembers => "enum-members",
            Self::Tests => "tests",
            Self::Generated => "generated",
            Self::Main => "main",
            Self::Accessors => "accessors",
            Self::EventHandlers => "event-handlers",
            Self::Deprecated => "deprecated",
        }
    }
}

/// Where the parameters are of which a type's own comment may speak.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default)]
pub enum Construction {
    /// Not known: entries for parameters are neither owed nor wrong.
    #[default]
    Unknown,
    /// On the type itself: records, primary constructors. They are owed on its comment.
    Header,
    /// On the type itself, as its fields: owed once the comment has begun with them.
    Fields,
    /// On a constructor, whose entries may stand on the type's comment instead.
    Member(DeclId),
}

/// What stands between the braces.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default)]
pub enum Body {
    /// Nothing: a prototype, an abstract member, a stub.
    #[default]
    Absent,
    /// Code.
    Present,
}

/// A comment that a reader would take for the documentation, and the language does not.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Misplaced {
    /// A doc comment that is dropped because of where it stands.
    Detached(CommentId),
    /// An ordinary comment where a doc comment would stand.
    Ordinary(CommentId),
}

/// The comment of a declaration.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default)]
pub struct Attached {
    /// The doc comment that callers see.
    pub doc: Option<CommentId>,
    /// What stands there instead.
    pub misplaced: Option<Misplaced>,
}

/// One declaration of an outline.
#[derive(Clone, Debug)]
pub struct Declaration {
    /// Its sort.
    pub kind: Kind,
    /// Its name, without owners.
    pub name: Name,
    /// Owners inside the file and the name, joined by dots.
    pub qualified: SmolStr,
    /// The name in the source.
    pub name_span: Span,
    /// All of it, modifiers, annotations and body included.
    pub span: Span,
    /// Where the signature ends and the body begins, in bytes.
    pub header_end: u32,
    /// The declaration it stands in.
    pub owner: Option<DeclId>,
    /// How far it can be seen: the narrower of its own surface and its owner's.
    pub surface: Surface,
    /// What it takes, gives back and throws.
    pub signature: Signature,
    /// Whether there is code.
    pub body: Body,
    /// Its comment.
    pub comment: Attached,
    /// The code marks it as deprecated.
    pub deprecated: bool,
    /// It is marked as overriding or implementing a member of a supertype.
    pub overrides: bool,
    /// Local or anonymous, or of a sort that is never asked for a comment.
    pub unasked: bool,
    /// What it takes and gives back is fixed by the language, or by the type of a property: entries are owed where others
    /// are there already.
    pub fixed: bool,
    /// Another declaration's comment answers for it (accessors, overload stubs).
    pub answered: bool,
    /// Whether all of it stands here, where it is a type.
    pub parts: Parts,
    /// Where else the same thing is declared, once the project is known.
    pub elsewhere: Option<Box<Elsewhere>>,
    /// Why nothing is asked of it; one of several where several apply.
    pub excuses: Vec<Excuse>,
    /// A mark in the code leaves it, and all it owns, out of the documentation.
    pub hidden: bool,
    /// The comment is rewritten or assigned by code, or shown to others than callers: nothing is owed.
    pub computed_comment: bool,
    /// Direct supertypes by simple name.
    pub supertypes: Vec<Name>,
    /// For a type whose constructor is a member: what that takes, under the type's own type parameters.
    pub constructor: Option<Box<Signature>>,
    /// For a type: where the parameters of its constructor are, of which its comment may speak.
    pub construction: Construction,
}

/// Whether a type is declared at one place.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub enum Parts {
    /// All of it stands at one place.
    #[default]
    One,
    /// It is marked as one of several parts, which may stand in several files.
    Several,
    /// Whoever declares it again adds to it (Ruby).
    Open,
}

/// Another place that declares the same thing: a header or source, a stub or source, a part of a type.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Elsewhere {
    /// Path and qualified name of the place that is asked and counted, joined by `#`; nothing when it is this one.
    pub counted_at: Option<SmolStr>,
    /// What the comment there says: it need not be said again.
    pub said: Said,
    /// What the header calls the parameters of a definition, one after another.
    pub names: Vec<SmolStr>,
}

/// What the entries of a comment speak of.
#[derive(Clone, Debug, Default, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct Said {
    /// Parameters.
    pub params: Vec<Name>,
    /// Type parameters.
    pub typeparams: Vec<Name>,
    /// Types of exceptions.
    pub throws: Vec<Name>,
    /// There is an entry for what comes back.
    pub returns: bool,
}

impl Declaration {
    /// Tells whether it is a type whose parameters are those of a constructor that stands by itself, and are told there.
    #[must_use]
    pub fn has_constructor_apart(&self) -> bool {
        self.kind.is_type() && self.kind != Kind::Delegate && self.construction != Construction::Header
    }

    /// Tells whether another place that declares the same is asked and counted for both.
    #[must_use]
    pub fn is_counted_elsewhere(&self) -> bool {
        self.elsewhere.as_ref().is_some_and(|elsewhere| elsewhere.counted_at.is_some())
    }

    /// Makes a declaration of which only kind, name and place are known.
    #[must_use]
    pub fn new(kind: Kind, name: Name, name_span: Span, span: Span) -> Self {
        Self {
            kind,
            qualified: SmolStr::new(name.as_str()),
            name,
            name_span,
            span,
            header_end: span.end,
            owner: None,
            surface: Surface::Public,
            signature: Signature::default(),
            body: Body::Absent,
            comment: Attached::default(),
            deprecated: false,
            overrides: false,
            unasked: false,
            fixed: false,
            answered: false,
            parts: Parts::One,
            elsewhere: None,
            excuses: Vec::new(),
            hidden: false,
            computed_comment: false,
            supertypes: Vec::new(),
            constructor: None,
            construction: Construction::Unknown,
        }
    }

    /// Returns the span of the signature: from the declaration's start to its body.
    #[must_use]
    pub fn header(&self) -> Span {
        Span::new(self.span.start, self.header_end)
    }
}
