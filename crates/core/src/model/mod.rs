//! What a file says, as plain data: declarations with signatures, comments with entries, findings.
//!
//! Reading fills these, rules look at them, reports lay them out. Nothing here holds a syntax tree.

mod comment;
mod declaration;
mod finding;
mod ids;
mod name;
mod outline;
mod signature;
mod votes;

pub use comment::{
    Carrier, CommentId, Dialect, Doc, DocComment, Entry, EntryKind, EntryName, Labels, Mark, MarkStanding,
    RawComment, Section,
};
pub use declaration::{
    Attached, Body, Construction, DeclId, Declaration, Elsewhere, Excuse, Kind, Misplaced, Parts, Said,
    Surface,
};
pub use finding::{Finding, Level, RawFinding, Related, State};
pub use ids::{LanguageId, NotationId, RuleId};
pub use name::Name;
pub use outline::{Call, Extension, ModuleLink, Outline, Receiver};
pub use signature::{
    Answer, ClosedSet, Origin, ParamName, Parameter, Returns, Signature, Thrown, TypeParameter, Variadic,
};
pub(crate) use votes::Votes;
