//! Marks and macros in front of heads that no type can be: they are taken out of the head.

use super::lexer::Sort;
use super::mask::{Item, Pass};
use super::small::is_name;
use super::words::{ATTRIBUTES, NO_NAMES, NOISE, TYPES, is_capital};

impl Pass<'_> {
    /// Blanks what the grammars cannot read wherever it stands: the sign of a pack of pointers, `Load*... loads`, a macro
    /// that ends a string, `"cellar " VERSION`, and what <complex.h> makes of a type (ISO C, 7.3.1): `double complex`.
    pub(super) fn mask_anywhere(&mut self) {
        for found in memchr::memmem::find_iter(self.text.as_bytes(), b"*...") {
            self.out[found] = b' ';
        }
        if memchr::memmem::find(self.text.as_bytes(), b"complex").is_some() {
            self.mask_complex();
        }
        for at in 1..self.code.len().saturating_sub(1) {
            let (before, next) = (&self.code[at - 1], &self.code[at + 1]);
            let ends = matches!(next.sort, Sort::Text | Sort::Sign(b';' | b',' | b')'));
            if before.sort == Sort::Text && ends && is_capital(self.word(at)) {
                self.blank_lexeme(at);
            }
            if next.is(b'(') && is_capital(self.word(at)) && self.holds_base(at + 1) {
                self.unwrap_base(at);
            }
        }
    }

    /// Blanks a macro around a base of a class, which ends in front of the class's body.
    fn unwrap_base(&mut self, name: usize) {
        let open = name + 1;
        let body = (open + 1..self.code.len()).take(64).find(|&at| self.code[at].is(b'{'));
        let close = body.and_then(|body| (open + 1..body).rev().find(|&at| self.code[at].is(b')')));
        for part in [Some(name), Some(open), close].into_iter().flatten() {
            self.blank_lexeme(part);
        }
    }

    fn mask_complex(&mut self) {
        for at in 1..self.code.len().saturating_sub(1) {
            let is_real = |at: usize| matches!(self.word(at), "float" | "double");
            if self.word(at) == "complex" && (is_real(at - 1) || is_real(at + 1)) {
                self.blank_lexeme(at);
            }
        }
    }

    /// Tells whether brackets hold a base of a class: `class Tank : HIDDEN(public Vat)`.
    pub(super) fn holds_base(&self, open: usize) -> bool {
        let inner = self.code.get(open + 1).map_or("", |_| self.word(open + 1));
        self.code[open].is(b'(') && matches!(inner, "public" | "private" | "protected")
    }

    /// Blanks words in front of a type that are written as no type is, `_pure_ static int weigh(void)`, `_In_ int load`,
    /// with what is passed to them, and returns the rest; nothing where there is none.
    pub(super) fn without_marks(&mut self, head: &[usize]) -> Option<Vec<usize>> {
        if !head.first().is_some_and(|&first| self.is_mark(first) || self.is_before_mark(first)) {
            return None;
        }
        let items = self.items(head);
        let mut marks = Vec::new();
        let mut number = 0;
        while let Some(&Item::Word(at)) = items.get(number) {
            let is_mark = self.is_mark(at);
            if !is_mark && !self.is_before_mark(at) {
                break;
            }
            number += 1;
            if !is_mark {
                continue;
            }
            let passed = match items.get(number) {
                Some(&Item::Group(open, close)) if self.code[open].is(b'(') => Some(close),
                _ => None,
            };
            number += usize::from(passed.is_some());
            marks.push((at, passed.unwrap_or(at)));
        }
        // A type has to be left: one of the language, or a word in front of a name, a sign or what it qualifies.
        let rest = &items[number..];
        let typed = match rest {
            [Item::Word(first), ..] if TYPES.contains(&self.word(*first)) => true,
            [Item::Word(_), Item::Word(_) | Item::Sign(b'*' | b'&' | b':' | b'<', _), ..] => true,
            _ => false,
        };
        if !typed || marks.is_empty() {
            return None;
        }
        for &(from, upto) in &marks {
            self.blank_lexemes(from, upto);
        }
        let is_left = |at: &usize| !marks.iter().any(|(from, upto)| (from..=upto).contains(&at));
        Some(head.iter().copied().filter(is_left).collect())
    }

    /// Blanks macros in front of what a class makes or unmakes its objects by, `PRESS_INLINE Vat::Vat(int size)`,
    /// `PRESS_OLD("gone") ~Vat()`, where no type can stand, and returns the rest; nothing where there are none.
    pub(super) fn without_macros_before_constructor(&mut self, head: &[usize]) -> Option<Vec<usize>> {
        let macros = head.iter().take_while(|&&at| is_capital(self.word(at))).count();
        if !self.is_cpp || macros == 0 {
            return None;
        }
        let rest = &head[macros..];
        // What is passed to the last of them may stand in front of a destructor.
        let passed = self.code[*rest.first()?].is(b'(');
        let behind = if passed { self.head_closing(rest, 0)? + 1 } else { 0 };
        if rest.get(behind).is_some_and(|&at| self.code[at].is(b'~')) {
            head[..macros + behind].iter().for_each(|&at| self.blank_lexeme(at));
            return Some(rest[behind..].to_vec());
        }
        let is = |number: usize, sign: u8| rest.get(number).is_some_and(|&at| self.code[at].is(sign));
        let word = |number: usize| rest.get(number).map_or("", |&at| self.word(at));
        // `space::Vat::Vat`: the last two names count.
        let mut number = 0;
        while is_name(word(number)) && is(number + 1, b':') && is(number + 2, b':') {
            let last = number + 3 + usize::from(is(number + 3, b'~'));
            if word(last) == word(number) && is(last + 1, b'(') {
                for &at in &head[..macros] {
                    self.blank_lexeme(at);
                }
                return Some(rest.to_vec());
            }
            number += 3;
        }
        None
    }

    /// Tells whether a word is one of those that compilers and libraries keep for marks: `_used_`, `__attribute_pure__`,
    /// `_In_`, `__in_ecount`.
    fn is_mark(&self, at: usize) -> bool {
        let word = self.word(at);
        let enclosed = word.len() > 3
            && word.starts_with('_')
            && word.ends_with('_')
            && word.bytes().any(|byte| byte.is_ascii_lowercase());
        let directed = ["__in", "__out", "__inout", "__deref"].iter().any(|begins| {
            word.strip_prefix(begins).is_some_and(|rest| rest.is_empty() || rest.starts_with('_'))
        });
        (enclosed || directed)
            && ![ATTRIBUTES, NOISE, NO_NAMES, TYPES].iter().any(|words| words.contains(&word))
    }

    /// What may stand in front of such a word, and before the type all the same.
    fn is_before_mark(&self, at: usize) -> bool {
        matches!(self.word(at), "static" | "inline" | "extern" | "const")
    }
}
