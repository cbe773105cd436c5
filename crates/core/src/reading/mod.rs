//! From text to outline: what every language needs, written once.
//!
//! `mask` decides what the grammar is given; `walk` goes through the tree once and asks the language's
//! `Grammar` what a node declares or does; `tree` is asked as a whole; `flow` works out what leaves a body; `gather` takes the comments
//! on the way, `comments` takes them apart into lines; `classes` tells what shows in colours; `attach` finds out which declaration each belongs to, `remarks` which ordinary ones describe it.
//! The other way round, `dress` tells how a file puts its comments down, `carrying` puts lines into comment marks, and `placing` puts a comment where its
//! readers look for it.

mod attach;
mod built;
mod carrying;
mod classes;
mod comments;
mod dress;
mod flow;
mod gather;
mod grammar;
mod language;
mod mask;
mod node;
mod parsers;
mod placing;
mod remarks;
mod tree;
mod walk;

pub use attach::{Custom, INSTRUCTION, attach, goes_on_from, headed_subject, names_its_subject};
pub use built::{Builder, BuiltNode, BuiltTree};
pub(crate) use carrying::wrap;
pub use classes::Class;
pub use comments::{block_lines, line_run_text, without_mark};
pub(crate) use comments::{commands_in, leaves_out};
pub(crate) use dress::{Dress, DressVotes};
pub use flow::{Hierarchy, Raised, Types};
pub(crate) use grammar::kinds;
pub use grammar::{Action, CommentForm, Grammar, GrammarReader, Next, Table, Vocabulary};
pub use language::{
    CommentPlace, Demand, Deprecation, Examples, Explained, Half, Halves, Language, MemberLinks, MembersOf,
    ModuleComment, Owe, Reader, Token, TypeWords, Wishes,
};
pub use mask::Given;
pub(crate) use mask::Places;
pub use node::{Cursor, Node};
pub use parsers::Parsers;
pub(crate) use placing::Place;
pub use walk::{Scope, Walk};
