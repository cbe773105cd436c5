//! Bodies: left out of what the grammar is given, or made readable where something is thrown in them.

use super::lexer::{Lexeme, Sort};
use super::mask::Pass;
use crate::text::narrow;

impl Pass<'_> {
    /// Leaves out what stands between two braces.
    pub(super) fn leave_out(&mut self, open: usize, close: usize) {
        let inner = self.code[open].end..self.code[close].start;
        if !inner.is_empty() {
            self.bodies.push(inner);
        }
    }

    pub(super) fn body(&mut self, at: usize, head: &[usize]) -> usize {
        let Some(close) = self.matching(at) else {
            self.head.clear();
            return at + 1;
        };
        let next = self.code.get(close + 1);
        let in_list = self.is_cpp
            && has_initialisers(self, head)
            && head
                .last()
                .is_some_and(|&last| self.code[last].sort == Sort::Word || self.code[last].is(b'>'))
            && next.is_some_and(|next| next.is(b',') || next.is(b'{'));
        if in_list {
            self.head.push(at);
            self.head.push(close);
            self.leave_out(at, close);
            return close + 1;
        }
        let head = std::mem::take(&mut self.head);
        let lost = self.mask_head(&head, None);
        let words = || self.code[at + 1..close].iter().filter(|lexeme| lexeme.sort == Sort::Word);
        let throws = self.is_cpp && words().any(|lexeme| &self.text[lexeme.range()] == "throw");
        if lost {
            self.blank_lexeme(at);
            self.blank_lexeme(close);
        }
        if !throws {
            let called = self.code[at + 1..close].iter().any(|lexeme| lexeme.is(b'('));
            if called {
                self.calls.push(narrow(self.code[at].start));
            }
            self.leave_out(at, close);
        } else {
            self.mask_body(at + 1, close);
        }
        self.tail = false;
        close + 1
    }

    /// In a body that the grammar is given: directives, second branches, and throws inside expressions.
    pub(super) fn mask_body(&mut self, from: usize, upto: usize) {
        let mut at = from;
        while at < upto {
            if self.code[at].sort == Sort::Directive {
                let line = self.text[self.code[at].range()][1..].trim_start();
                self.blank_lexeme(at);
                if line.starts_with("el")
                    && let Some(end) = self.branch_end(at + 1).filter(|end| *end <= upto)
                {
                    self.blank_lexemes(at + 1, end);
                    at = end;
                }
            } else if self.word(at) == "new" {
                self.mask_array_of_pointers(at + 1, upto);
            } else if self.word(at) == "typeid" {
                at = self.mask_typeid(at, upto);
            } else if self.word(at) == "throw"
                && at > from
                && [b':', b'?', b'(', b','].iter().any(|&sign| self.code[at - 1].is(sign))
            {
                // The grammar knows `throw` as a statement only.
                self.blank_lexeme(at);
            }
            at += 1;
        }
    }

    /// `new Load *[count]`: the grammar does not know the sign there.
    pub(super) fn mask_array_of_pointers(&mut self, from: usize, upto: usize) {
        let is_type = |lexeme: &Lexeme| lexeme.sort == Sort::Word || lexeme.is(b':');
        let star = (from..upto).find(|&at| !is_type(&self.code[at])).unwrap_or(upto);
        let end = (star..upto).find(|&at| !self.code[at].is(b'*')).unwrap_or(upto);
        if star < end && end < upto && self.code[end].is(b'[') {
            self.blank_lexemes(star, end - 1);
        }
    }

    /// Puts a number in place of `typeid(…)`, of which the grammar knows no types of the language; returns its last
    /// lexeme.
    pub(super) fn mask_typeid(&mut self, at: usize, upto: usize) -> usize {
        let mut depth = 0_i32;
        for end in at + 1..upto {
            match self.code[end].sort {
                Sort::Sign(b'(') => depth += 1,
                Sort::Sign(b')') => depth -= 1,
                _ => {}
            }
            if depth == 0 {
                self.blank_lexemes(at, end);
                self.out[self.code[at].start] = b'0';
                return end;
            }
        }
        at
    }
}

/// Tells whether a head has begun with the initialisers of a constructor: `) :`.
fn has_initialisers(pass: &Pass<'_>, head: &[usize]) -> bool {
    head.windows(3).any(|three| {
        (pass.code[three[0]].is(b')') || pass.word(three[0]) == "noexcept")
            && pass.code[three[1]].is(b':')
            && !pass.code[three[2]].is(b':')
    })
}
