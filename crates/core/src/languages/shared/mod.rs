//! What several languages share, as plain functions called by name.

mod bodies;
mod branches;
mod c_like;
mod conditions;
mod joined;
mod jvm;
pub(super) mod literals;
mod members;
mod skim;
mod statements;
mod tests_named;

use crate::reading::{Action, Grammar};

pub(super) use bodies::{
    Braces, Heads, Opens, SHORT_COMMENT, inside_comment, plain_words, ranges_without, run_behind,
    without_found, without_plain_bodies,
};
pub(super) use branches::first_branches;
pub(super) use c_like::{block_form, is_doc_block, opens_with_tag, without_comments};
pub(super) use conditions::{
    note_guard, note_guard_in, note_guarded, raises_made, refuses_null, says_left_to_others,
};
pub(super) use joined::{join, line_between, take_out};
pub(super) use jvm::{JVM_AMBIENT, JVM_EXCEPTIONS, JVM_WORDS, exempt_all_but_properties};
pub(super) use members::narrow_by_type;
pub(super) use skim::{skims, skims_calling};
pub(super) use tests_named::is_test_path;

/// Names kinds and fields that `grammar` uses and its tree-sitter grammar lacks.
pub(super) fn unknown_names<G: Grammar>(grammar: &G) -> Vec<String> {
    let language = grammar.table().language();
    let kinds =
        grammar.vocabulary().names.iter().chain(grammar.vocabulary().also).filter(|(kind, action)| {
            !matches!(action, Action::Into) && language.id_for_node_kind(kind, true) == 0
        });
    let fields =
        grammar.vocabulary().fields.iter().filter(|field| language.field_id_for_name(field).is_none());
    kinds.map(|(kind, _)| (*kind).to_owned()).chain(fields.map(|field| (*field).to_owned())).collect()
}
