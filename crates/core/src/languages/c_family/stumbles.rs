//! Where the grammar stumbled: macros inside a head, among arguments of types and of functions, are made plain names,
//! and words that can only be macros are blanked.

use super::mask::{Around, Pass};
use super::words::{BEHIND_LISTS, TYPES, is_capital};

/// Words that may stand in front of a destructor or of `explicit`.
const IN_FRONT: &[&str] = &["virtual", "inline", "constexpr", "consteval", "static", "operator", "friend"];

/// So many lexemes are looked over for the end of a list: a head may be as long as its file.
const FAR: usize = 1000;

impl<'s> Pass<'s> {
    /// Masks macros in a head that the grammar stumbled over. Returns what is left of it, for what is gone is no part of
    /// it any more, and the words that are needed for names.
    pub(super) fn mask_stumbled(&mut self, head: &[usize]) -> (Vec<usize>, Vec<usize>) {
        self.plainer(&self.items(head));
        let mut names = Vec::new();
        self.mask_before_attributed_friend(head);
        // The sign of a value has another in front, `flags&~OPEN`, that of a destructor a word or a colon.
        let is_begun = |number: usize| {
            number == 0
                || !self.head_word(head, number - 1).is_empty()
                || self.head_is(head, number - 1, b':')
        };
        let has_destructor =
            (0..head.len()).any(|number| self.head_is(head, number, b'~') && is_begun(number));
        let mut number = 0;
        while number < head.len() {
            let word = self.head_word(head, number);
            if !self.stands(head[number]) {
                number += 1;
                continue;
            }
            number += if word.is_empty() {
                self.mask_after_sign(head, number, &mut names);
                1
            } else if is_capital(word) {
                self.mask_capital(head, number, &mut names)
            } else {
                self.mask_small(head, (number, word), has_destructor)
            };
        }
        (head.iter().copied().filter(|&at| self.stands(at)).collect(), names)
    }

    /// Tells whether nothing is declared under a name that can be read: `unsigned : 3;`, `typedef CALLBACK(void, *weigh,
    /// (int));`.
    pub(super) fn is_made_by_word(&self, head: &[usize]) -> bool {
        let first = self.head_word(head, 0);
        let bits = self.head_is(head, 1, b':')
            && !self.head_is(head, 2, b':')
            && matches!(self.scopes.last(), Some(Around::Members(_)))
            && !first.is_empty();
        // A macro on a line of its own may stand in front.
        let lead = head.iter().take_while(|&&at| is_capital(self.word(at))).count();
        let typedef = self.head_word(head, lead) == "typedef"
            && is_capital(self.head_word(head, lead + 1))
            && self.head_is(head, lead + 2, b'(')
            && self.head_closing(head, lead + 2) == Some(head.len() - 1);
        bits || typedef
    }

    /// Puts words back that were taken for macros.
    pub(super) fn restore(&mut self, names: &[usize]) {
        for &at in names {
            let range = self.code[at].range();
            self.out[range.clone()].copy_from_slice(&self.text.as_bytes()[range]);
        }
    }

    fn head_word(&self, head: &[usize], number: usize) -> &'s str {
        head.get(number).map_or("", |&at| self.word(at))
    }

    fn head_is(&self, head: &[usize], number: usize, sign: u8) -> bool {
        head.get(number).is_some_and(|&at| self.code[at].is(sign))
    }

    /// Returns the number of the parenthesis that closes the one at `open`.
    pub(super) fn head_closing(&self, head: &[usize], open: usize) -> Option<usize> {
        let mut depth = 0_i32;
        (open..head.len().min(open + FAR)).find(|&number| {
            depth += i32::from(self.head_is(head, number, b'('));
            depth -= i32::from(self.head_is(head, number, b')'));
            depth == 0
        })
    }

    /// `[[nodiscard]] friend bool operator==`: the grammar knows no attribute there.
    fn mask_before_attributed_friend(&mut self, head: &[usize]) {
        let opens = self.head_is(head, 0, b'[') && self.head_is(head, 1, b'[');
        let close = (2..head.len()).find(|&n| self.head_is(head, n, b']') && self.head_is(head, n - 1, b']'));
        if let Some(close) = close.filter(|&close| opens && self.head_word(head, close + 1) == "friend") {
            for &at in &head[..=close] {
                self.blank_lexeme(at);
            }
        }
    }

    /// `= typename Base::Crate()`: in a value the grammar does not know the word.
    fn mask_after_sign(&mut self, head: &[usize], number: usize, names: &mut Vec<usize>) {
        // `Crate(Load) -> CRATE_OF_LOAD`
        if self.head_is(head, number, b'-') && self.head_is(head, number + 1, b'>') {
            names.extend(head.get(number + 2).filter(|&&at| is_capital(self.word(at))));
        }
        // `Traits<Load& const volatile>`
        if self.head_is(head, number, b'&') {
            let qualifies = |at: usize| matches!(self.head_word(head, at), "const" | "volatile");
            let count = (number + 1..head.len()).take_while(|&at| qualifies(at)).count();
            let next = number + 1 + count;
            if count > 0 && (self.head_is(head, next, b'>') || self.head_is(head, next, b',')) {
                head[number + 1..next].iter().for_each(|&at| self.blank_lexeme(at));
            }
        }
        if self.head_is(head, number, b'=') && !self.is_cpp {
            self.mask_default(head, number);
        }
        if self.head_is(head, number, b'=') && self.head_word(head, number + 1) == "typename" {
            self.blank_lexeme(head[number + 1]);
        }
    }

    /// `void print(FILE *, long = 0);`: a header of C may have a part for C++.
    fn mask_default(&mut self, head: &[usize], number: usize) {
        let mut depth = 0_i32;
        let end = (number..head.len().min(number + FAR)).find(|&at| {
            depth += i32::from(self.head_is(head, at, b'('));
            depth -= i32::from(self.head_is(head, at, b')'));
            depth < 0 || depth == 0 && self.head_is(head, at, b',')
        });
        if let Some(end) = end {
            head[number..end].iter().for_each(|&at| self.blank_lexeme(at));
        }
    }

    /// Masks what a word in capitals makes unreadable; returns how many lexemes are done.
    fn mask_capital(&mut self, head: &[usize], number: usize, names: &mut Vec<usize>) -> usize {
        let before = |sign: u8| number > 0 && self.head_is(head, number - 1, sign);
        let begins = [b'(', b',', b'<', b'='].into_iter().any(before);
        let called = self.head_is(head, number + 1, b'(');
        if called && self.is_behind_name(head, number) {
            // `Load min PREVENT_SUBSTITUTION () const`
            self.blank_lexeme(head[number]);
            return 1;
        }
        if called && let Some(close) = self.head_closing(head, number + 1) {
            let next = |sign: u8| self.head_is(head, close + 1, sign);
            let qualifies = next(b':') && self.head_is(head, close + 2, b':');
            let stands_alone = begins && [b')', b',', b'>'].into_iter().any(next);
            let is_type = begins && !self.head_word(head, close + 1).is_empty();
            let before = number.checked_sub(1).map_or("", |before| self.head_word(head, before));
            let tagged = matches!(before, "struct" | "class" | "union")
                && (close + 1 == head.len() || next(b':'))
                || before == "typename" && (next(b',') || next(b'>'));
            if qualifies || next(b'.') || stands_alone || is_type || tagged {
                names.push(head[number]);
                for &at in &head[number + 1..=close] {
                    self.blank_lexeme(at);
                }
            }
            return close + 1 - number;
        }
        // `DEDUCED_TYPENAME Iterator::crate`
        let qualified = |at: usize| {
            !self.head_word(head, at).is_empty()
                && self.head_is(head, at + 1, b':')
                && self.head_is(head, at + 2, b':')
        };
        let aliases = number == 2 && self.head_word(head, 0) == "using" && self.head_is(head, 3, b'=');
        if begins && qualified(number + 1) || aliases || self.is_before_member(head, number + 1) {
            self.blank_lexeme(head[number]);
        }
        1
    }

    /// Tells whether `Crate<Load>::Crate(` or `Crate<Load>::operator Load` stands at a number.
    fn is_before_member(&self, head: &[usize], number: usize) -> bool {
        let owner = self.head_word(head, number);
        if owner.is_empty() || !self.head_is(head, number + 1, b'<') {
            return false;
        }
        let mut depth = 0_i32;
        let close = (number + 1..head.len().min(number + FAR)).find(|&at| {
            depth += i32::from(self.head_is(head, at, b'<'));
            depth -= i32::from(self.head_is(head, at, b'>'));
            depth == 0
        });
        close.is_some_and(|close| {
            let member = self.head_word(head, close + 3);
            self.head_is(head, close + 1, b':')
                && self.head_is(head, close + 2, b':')
                && (member == owner
                    || self.head_is(head, close + 3, b'~')
                    || member == "operator" && !self.head_word(head, close + 4).is_empty())
        })
    }

    /// Tells whether a type and a name stand in front of a word, which can only be a macro then.
    fn is_behind_name(&self, head: &[usize], number: usize) -> bool {
        if number < 2 || !self.head_word(head, number).contains('_') {
            return false;
        }
        let (name, ty) = (self.head_word(head, number - 1), self.head_word(head, number - 2));
        let is_name = !name.is_empty()
            && !is_capital(name)
            && !TYPES.contains(&name)
            && !self.is_qualifier(name)
            && name != "operator";
        let has_type = !ty.is_empty() && !self.is_qualifier(ty)
            || [b'&', b'*', b'>', b')'].into_iter().any(|sign| self.head_is(head, number - 2, sign));
        is_name && has_type
    }

    /// Returns the parenthesis that closes `macro(name)` where a list of parameters follows, and a type stands in front.
    fn wraps_name(&self, head: &[usize], number: usize) -> Option<usize> {
        let typed = number.checked_sub(1).is_some_and(|before| {
            !self.head_word(head, before).is_empty()
                || self.head_is(head, before, b'*')
                || self.head_is(head, before, b'&')
        });
        let one = self.head_is(head, number + 1, b'(')
            && !self.head_word(head, number + 2).is_empty()
            && self.head_is(head, number + 3, b')')
            && self.head_is(head, number + 4, b'(');
        (typed
            && one
            && !matches!(self.head_word(head, number), "operator" | "decltype" | "noexcept" | "explicit"))
        .then_some(number + 3)
    }

    /// Masks a macro in small letters; returns how many lexemes are done.
    fn mask_small(&mut self, head: &[usize], (number, word): (usize, &str), has_destructor: bool) -> usize {
        let in_front = self.head_is(head, number + 1, b'~') || self.head_word(head, number + 1) == "explicit";
        let behind = number > 0 && self.head_is(head, number - 1, b')');
        let called = self.head_is(head, number + 1, b'(');
        let unknown = !BEHIND_LISTS.contains(&word);
        let wraps = self.wraps_name(head, number);
        if let Some(close) = wraps {
            // `float wrapped(weigh)(int crate)`
            for at in [number, number + 1, close] {
                self.blank_lexeme(head[at]);
            }
            return close + 1 - number;
        }
        let member =
            number > 0 && self.head_is(head, number - 1, b'>') && self.is_before_member(head, number + 1);
        if member || in_front && !IN_FRONT.contains(&word) {
            self.blank_lexeme(head[number]);
        } else if behind && word.starts_with("__") && called {
            // `void log(const char *form, ...) __attribute_format__(1, 2)`
            if let Some(close) = self.head_closing(head, number + 1) {
                for &at in &head[number..=close] {
                    self.blank_lexeme(at);
                }
                return close + 1 - number;
            }
        } else if behind && has_destructor && unknown && !called {
            self.blank_lexeme(head[number]);
        }
        1
    }
}
