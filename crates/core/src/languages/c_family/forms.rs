//! Legal forms of heads that the grammars cannot read, brought into ones that they can: never a name or a parameter
//! is written over.

use super::lexer::{Lexeme, Sort};
use super::mask::{Item, Pass};
use super::small::is_name;
use super::words::is_capital;

impl Pass<'_> {
    /// `char *name(load, next) int load; int next; {`: the grammar knows this oldest form of definition only where no
    /// pointer comes back. Blanks what declares the parameters, and returns the brace behind it; the list is left with
    /// the names alone. The lexeme is the first semicolon.
    pub(super) fn behind_old_declarations(&mut self, semicolon: usize) -> Option<usize> {
        if self.is_cpp || self.head.is_empty() || !self.scopes.is_empty() {
            return None;
        }
        let items = self.items(&self.head);
        // `MARK(1) char *CALL name(load)`: a list stands behind the name of what gives a pointer back.
        let is_headed = |list: usize| {
            let [before @ .., Item::Word(_)] = &items[..list] else { return false };
            let of_macros = before.iter().rev().take_while(|item| self.are_macros(&[**item])).count();
            matches!(before[..before.len() - of_macros], [.., Item::Sign(b'*', _)])
        };
        let is_list = |&number: &usize| matches!(items[number], Item::Group(..)) && is_headed(number);
        // Heads of thousands of calls are no definitions.
        let list = (0..items.len().min(64)).find(is_list)?;
        let (Item::Group(open, close), Some(Item::Word(_))) = (items[list], items.get(list + 1)) else {
            return None;
        };
        let names = (open + 1..close).all(|at| match (at - open) % 2 {
            1 => self.code[at].sort == Sort::Word && is_name(self.word(at)),
            _ => self.code[at].is(b','),
        });
        if !names || close == open + 1 || !self.code[open].is(b'(') {
            return None;
        }
        let declares = |lexeme: &Lexeme| {
            matches!(lexeme.sort, Sort::Word | Sort::Number)
                || matches!(lexeme.sort, Sort::Sign(b'*' | b',' | b';' | b'[' | b']' | b'(' | b')'))
        };
        // What goes on for long declares no parameters, and would be gone through again at each semicolon.
        let near = semicolon + 1..self.code.len().min(semicolon + 256);
        let brace = near.into_iter().find(|&at| !declares(&self.code[at]))?;
        if !self.code[brace].is(b'{') || !self.code[brace - 1].is(b';') {
            return None;
        }
        self.blank_lexemes(close + 1, brace - 1);
        self.head.retain(|&at| at <= close);
        Some(brace)
    }

    /// Blanks what makes a legal head unreadable.
    pub(super) fn mask_forms(&mut self, head: &[usize]) {
        if self.is_cpp {
            self.mask_before_friend(head);
            self.mask_member_pointer(head);
            self.mask_function_types(head);
        }
        self.mask_named_in_parentheses(head);
    }

    /// `inline friend`: the grammar knows the two the other way round.
    fn mask_before_friend(&mut self, head: &[usize]) {
        let Some(friend) = head.iter().position(|&at| self.word(at) == "friend") else { return };
        for &at in &head[..friend] {
            if matches!(self.word(at), "inline" | "constexpr") {
                self.blank_lexeme(at);
            }
        }
    }

    /// `int (Press::*weigh)(int) const`: whose member the function is that is pointed to, and what qualifies it.
    fn mask_member_pointer(&mut self, head: &[usize]) {
        let is = |at: usize, sign: u8| head.get(at).is_some_and(|&at| self.code[at].is(sign));
        let stars: Vec<usize> =
            (2..head.len()).filter(|&at| is(at, b'*') && is(at - 1, b':') && is(at - 2, b':')).collect();
        if stars.is_empty() {
            return;
        }
        for star in stars {
            // `Owner::` or `space::Owner::`, from behind.
            let mut owner = star;
            while owner > 2
                && is(owner - 1, b':')
                && is(owner - 2, b':')
                && !self.word(head[owner - 3]).is_empty()
            {
                owner -= 3;
            }
            // Behind a parenthesis or a type; elsewhere it may be the type itself.
            let before = owner.checked_sub(1).map(|before| head[before]);
            let follows = before.is_some_and(|before| {
                self.code[before].is(b'(') || self.code[before].is(b'>') || !self.word(before).is_empty()
            });
            for &at in head[owner..star].iter().filter(|_| follows) {
                self.blank_lexeme(at);
            }
        }
        for &at in head.iter().rev().take_while(|&&at| self.code[at].sort == Sort::Word) {
            if matches!(self.word(at), "const" | "volatile" | "noexcept") {
                self.blank_lexeme(at);
            }
        }
    }

    /// `Traits<int (Press::*)(int) const>`: qualifiers of a function type among type arguments.
    fn mask_function_types(&mut self, head: &[usize]) {
        for pair in head.windows(3) {
            let [before, at, behind] = *pair else { continue };
            let qualifies = matches!(self.word(at), "const" | "volatile" | "noexcept");
            let ends = self.code[behind].is(b'>') || self.code[behind].is(b',');
            if qualifies && ends && self.code[before].is(b')') {
                self.blank_lexeme(at);
            }
        }
    }

    /// `int (API weigh)(int)`: a convention before a name in parentheses.
    fn mask_named_in_parentheses(&mut self, head: &[usize]) {
        let items = self.items(head);
        for pair in items.windows(2) {
            let [Item::Group(open, close), Item::Group(parameters, _)] = *pair else { continue };
            let (first, second) = (open + 1, open + 2);
            let two = close == open + 3 && !self.word(first).is_empty() && !self.word(second).is_empty();
            if two && self.code[parameters].is(b'(') && is_capital(self.word(first)) {
                self.blank_lexeme(first);
            }
        }
    }
}
