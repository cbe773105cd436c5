//! Text, places in it, and changes to it. The lowest room of the house: knows nothing of languages.

mod edit;
mod lines;
pub(crate) mod misspellings;
mod prose;
mod sieve;
mod source;
mod span;
mod verbs;
mod words;

pub use edit::{Edit, EditError, Edits};
pub use lines::{LineIndex, Position};
pub(crate) use prose::is_filled_by_code;
pub use prose::{first_sentence_end, has_second_sentence, is_wordless};
pub use source::Source;
pub use span::Span;
pub(crate) use span::narrow;
pub use verbs::{VERBS, is_listed_verb, third_person};
pub(crate) use words::{has_word, is_spelt_out, spoken_words, squeezed};
pub use words::{near, nearest, split_words, surely_says_more};
