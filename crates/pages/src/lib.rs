//! Pages of a project: each declaration as a caller reads it, with what is missing beside it. Values in, text out: whoever
//! calls this writes the files.

mod addresses;
mod collect;
mod entries;
mod others;
mod safe;
mod site;
mod text;
mod tree;

pub use addresses::Addresses;
pub use collect::{DeclarationPage, EntryPage, FilePage, FindingPage, Other, Side, collect};
pub use site::{About, Moment, Site, assets};
pub use text::Form;
