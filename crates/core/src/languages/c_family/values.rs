//! Values that stand where declarations do: lists that are included elsewhere, and what macros are given.

use super::lexer::Sort;
use super::mask::{Around, Item, Pass};

impl Pass<'_> {
    /// Tells whether values may stand here, one behind the other, in a text that is included where a list is made: the
    /// grammar takes ages over them.
    pub(super) fn may_list_values(&self) -> bool {
        !self.tail && matches!(self.scopes.last(), None | Some(Around::Space))
    }

    /// Tells whether no declaration begins like the head that is open, as a comma stands behind it: `-1`, `&weigh`, `[LOAD]
    /// = 1`, `SORT(load, 1)`, `LOAD`.
    pub(super) fn is_value(&self) -> bool {
        let Some(&first) = self.head.first() else { return true };
        match self.code[first].sort {
            Sort::Sign(b'-' | b'+' | b'&' | b'.' | b'!') => true,
            Sort::Sign(b'[') => !self.code.get(first + 1).is_some_and(|next| next.is(b'[')),
            Sort::Word => matches!(
                self.items(&self.head[..self.head.len().min(64)])[..],
                [Item::Word(_)] | [Item::Word(_), Item::Group(..)]
            ),
            _ => false,
        }
    }

    /// `sequence_of(loads, next) = {…}`: a call has no type before it, so it is a macro that makes one.
    pub(super) fn is_macro_with_value(&self, head: &[usize]) -> bool {
        let items = self.items(head);
        let [before @ .., Item::Word(_), Item::Group(open, _), Item::Sign(b'=', _)] = items.as_slice() else {
            return false;
        };
        self.code[*open].is(b'(') && self.are_macros(before)
    }
}
