//! What says nothing of what is declared, and can be told from its neighbours alone: it is taken out of the lexemes before
//! heads are read.

use std::ops::RangeInclusive;

use super::lexer::{Lexeme, Sort, closing};
use super::small::is_name;
use super::words::is_capital;

/// Takes such lexemes out of `code`, which holds no comments, and blanks them in what the grammar is given.
pub(super) fn drop_spare(text: &str, code: &mut Vec<Lexeme>, out: &mut [u8]) {
    let near = Near { text, code };
    let mut spare = Vec::new();
    for at in 0..code.len() {
        near.add_spare(at, &mut spare);
    }
    if spare.is_empty() {
        return;
    }
    let mut keep = vec![true; code.len()];
    for range in spare {
        for at in range {
            out[code[at].range()].fill(b' ');
            keep[at] = false;
        }
    }
    let mut keep = keep.into_iter();
    code.retain(|_| keep.next().unwrap_or(true));
}

/// A look at what stands around a lexeme.
struct Near<'a> {
    text: &'a str,
    code: &'a [Lexeme],
}

impl Near<'_> {
    /// Adds what is spare at a place, and opens there.
    fn add_spare(&self, at: usize, spare: &mut Vec<RangeInclusive<usize>>) {
        match self.code[at].sort {
            Sort::Sign(b'@') => spare.extend(self.to_be_filled_in(at)),
            Sort::Sign(b'#') => spare.extend(self.before_named_argument(at)),
            Sort::Word if self.is(at + 1, b'(') => {
                let around = self.around_declarator(at).or_else(|| self.around_type(at));
                spare.extend(around.into_iter().flatten());
                spare.extend(self.attribute_of_ones_own(at));
            }
            Sort::Word if at > 0 && self.code[at - 1].sort == Sort::Number => {
                spare.extend(self.behind_number(at));
            }
            _ => {}
        }
    }

    fn is(&self, at: usize, sign: u8) -> bool {
        self.code.get(at).is_some_and(|lexeme| lexeme.is(sign))
    }

    fn has_sort(&self, at: usize, sort: Sort) -> bool {
        self.code.get(at).is_some_and(|lexeme| lexeme.sort == sort)
    }

    fn word(&self, at: usize) -> &str {
        let word = self.code.get(at).filter(|lexeme| lexeme.sort == Sort::Word);
        word.map_or("", |lexeme| &self.text[lexeme.range()])
    }

    /// Returns the parenthesis that closes the one at `open`, where it is near.
    fn closing(&self, open: usize) -> Option<usize> {
        const FAR: usize = 128;
        closing(&self.code[..self.code.len().min(open + FAR)], open)
    }

    /// `@GUARD_PREFIX@`: something that a program fills in before a compiler sees it.
    fn to_be_filled_in(&self, at: usize) -> Option<RangeInclusive<usize>> {
        (is_capital(self.word(at + 1)) && self.is(at + 2, b'@')).then_some(at..=at + 2)
    }

    /// `int run_press(#crate, int load);`: what a macro makes a string of, as its documentation shows.
    fn before_named_argument(&self, at: usize) -> Option<RangeInclusive<usize>> {
        let opens = at > 0 && (self.is(at - 1, b'(') || self.is(at - 1, b','));
        (opens && self.has_sort(at + 1, Sort::Word)).then_some(at..=at)
    }

    /// `64 KB`: a macro that multiplies.
    fn behind_number(&self, at: usize) -> Option<RangeInclusive<usize>> {
        is_capital(self.word(at)).then_some(at..=at)
    }

    /// `press_attribute((noreturn))`: a macro for `__attribute__`, which is read.
    fn attribute_of_ones_own(&self, at: usize) -> Option<RangeInclusive<usize>> {
        let word = self.word(at);
        let attribute = word.ends_with("attribute") && !word.starts_with("__attribute");
        let close =
            (attribute && self.is(at + 1, b'(') && self.is(at + 2, b'(')).then(|| self.closing(at + 1));
        Some(at..=close??)
    }

    /// `uint8_t ALIGN(loads[2][32], 8);`: a macro around the name that is declared, and a number behind it.
    fn around_declarator(&self, at: usize) -> Option<[RangeInclusive<usize>; 2]> {
        const NO_TYPES: &[&str] =
            &["static", "extern", "const", "inline", "return", "else", "typedef", "struct", "case", "goto"];
        if !is_capital(self.word(at)) || !self.is(at + 1, b'(') || at == 0 {
            return None;
        }
        let before = self.word(at - 1);
        let typed = self.is(at - 1, b'*') || !before.is_empty() && !NO_TYPES.contains(&before);
        let name = self.word(at + 2);
        if !typed || name.is_empty() || !is_name(name) {
            return None;
        }
        let close = self.closing(at + 1)?;
        let numbered = close > at + 4 && self.has_sort(close - 1, Sort::Number) && self.is(close - 2, b',');
        let declares = close == at + 5 || self.is(at + 3, b'[') && self.is(close - 3, b']');
        let ends = [b';', b',', b'='].into_iter().any(|sign| self.is(close + 1, sign));
        (numbered && declares && ends).then(|| [at..=at + 1, close - 2..=close])
    }

    /// `X(plan) X(plan_press)(int count)`: one macro makes the names of a type and of a function.
    fn around_type(&self, at: usize) -> Option<[RangeInclusive<usize>; 2]> {
        let wraps = |at: usize| {
            let inner = self.word(at + 2);
            (self.is(at + 1, b'(') && !inner.is_empty() && self.is(at + 3, b')')).then(|| self.word(at))
        };
        let name = wraps(at)?;
        let next = at + 4 + usize::from(self.is(at + 4, b'*'));
        let declares = wraps(next) == Some(name) && self.is(next + 4, b'(');
        declares.then_some([at..=at + 1, at + 3..=at + 3])
    }
}
