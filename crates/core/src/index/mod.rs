//! What the project knows: which types there are, what they inherit, which header declares what a source
//! file defines. Each file tells its facts once; the index of all of them answers for every file alike, so that
//! one file is reviewed as the whole project is.
//!
//! `facts` is what one file tells; `calls` follows exceptions through calls; `halves` joins
//! what is declared at several places; `modules` follows what they give out; `project` is all of it, by family of languages.

mod calls;
mod crates;
mod facts;
mod halves;
mod modules;
mod project;

pub use crates::DeclaredModule;
pub use facts::{CallFacts, FileFacts, FlowFacts, MemberFacts, TypeFacts, tell};
pub use halves::{HalfFacts, SharedFacts};
pub use project::{Family, Index, Lookup, Member, Owner};
