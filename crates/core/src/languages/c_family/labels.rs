//! Labels among the members of a type: access, and what macros make of it.

use super::lexer::Sort;
use super::mask::{Around, Item, Pass};
use super::small::is_name;
use super::words::{is_capital, looks_like_macro};

impl Pass<'_> {
    /// An access label: a word for it, perhaps with macros or further words, and a colon.
    pub(super) fn is_label(&self, at: usize) -> bool {
        // No label is longer; a head without an end would be gone through again at every colon.
        const LONGEST: usize = 64;
        let inside = self.parens == 0 && matches!(self.scopes.last(), Some(Around::Members(_)));
        if !inside || self.head.len() > LONGEST {
            return false;
        }
        let doubled = self.code.get(at + 1).is_some_and(|next| next.is(b':'))
            || at.checked_sub(1).is_some_and(|before| self.code[before].is(b':'));
        let labels = ["public", "private", "protected", "signals", "Q_SIGNALS", "slots", "Q_SLOTS"];
        let is_label = |item: &Item| matches!(item, Item::Word(word) if labels.contains(&self.word(*word)));
        let items = self.items(&self.head);
        let first = items.iter().position(is_label);
        if let [Item::Word(only)] = items[..] {
            // A macro that stands for one; a nameless bit-field has a width.
            let width = self.code.get(at + 1).is_none_or(|next| next.sort != Sort::Word)
                || self.code.get(at + 2).is_none_or(|next| next.is(b';'));
            if !doubled && is_capital(self.word(only)) && !width {
                return true;
            }
        }
        let plain = first
            .is_some_and(|first| self.are_macros(&items[..first]) && items[first..].iter().all(is_label));
        !doubled && plain
    }

    /// Blanks a label, or what the grammar does not know of it.
    pub(super) fn mask_label(&mut self, head: &[usize], colon: usize) {
        let kept =
            head.iter().copied().find(|&word| matches!(self.word(word), "public" | "private" | "protected"));
        for &word in head.iter().filter(|&&word| Some(word) != kept) {
            self.blank_lexeme(word);
        }
        if kept.is_none() {
            self.blank_lexeme(colon);
        }
    }

    /// Tells whether a word in capitals is the tag of a type, as in `struct TANK *tank`, and no macro before one.
    pub(super) fn is_tag(&self, items: &[Item], number: usize) -> bool {
        let Item::Word(at) = items[number] else { return false };
        let behind_keyword = number > 0
            && matches!(items[number - 1], Item::Word(before) if matches!(self.word(before), "struct" | "union" | "enum" | "class"));
        behind_keyword
            && is_capital(self.word(at))
            && match items.get(number + 1) {
                Some(Item::Sign(sign, _)) => matches!(sign, b'*' | b'&'),
                _ if looks_like_macro(self.word(at)) => false,
                // `enum LOAD weigh(…)`
                Some(Item::Word(name))
                    if items.len() == number + 3
                        && matches!(items[number + 2], Item::Group(open, _) if self.code[open].is(b'('))
                        && is_name(self.word(*name)) =>
                {
                    true
                }
                // A name, and nothing that a type of that name would have.
                Some(Item::Word(_)) => !matches!(
                    items.get(number + 2),
                    Some(Item::Group(..) | Item::Word(_) | Item::Sign(b':', _))
                ),
                Some(Item::Group(..) | Item::Other(_)) | None => false,
            }
    }
}
