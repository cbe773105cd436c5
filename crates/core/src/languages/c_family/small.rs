//! Macros in small letters: what no rule of the language allows where they stand.

use super::heads::Head;
use super::lexer::{Lexeme, Sort};
use super::mask::{Item, Pass};
use super::words::{
    ATTRIBUTES, BEHIND_LISTS, NO_NAMES, TYPES, is_capital, is_capital_or_noise, is_qualifier,
};

impl Pass<'_> {
    /// Looks at a word of a head that may be a macro, and returns the number of the item behind it if it is one.
    pub(super) fn take_small_macro(
        &mut self,
        items: &[Item],
        (number, at): (usize, usize),
        group: Option<(usize, usize)>,
        head: &mut Head,
    ) -> Option<usize> {
        let word = self.word(at);
        if head.named {
            // One word alone behind a list of parameters is an attribute, if it is none of the language.
            let is_behind_list = match items[..number] {
                [.., Item::Group(..), Item::Word(at)] => matches!(self.word(at), "const" | "noexcept"),
                [.., Item::Group(..)] => true,
                _ => false,
            };
            let alone = head.listed && !head.is_bare() && number + 1 == items.len() && is_behind_list;
            if alone && !BEHIND_LISTS.contains(&word) && !TYPES.contains(&word) {
                self.blank_lexeme(at);
            }
            // `void log(const char *form, ...) cold printf_like(1, 2) sentinel;`
            // `int weigh(const load *load) no_throw warn_unused;`
            let attributes = || {
                self.are_attributes(&items[number..])
                    || self.are_words_behind_types(items, number)
                    || self.is_call_behind_types(items, number)
            };
            if head.listed && !head.is_bare() && attributes() {
                for item in &items[number..] {
                    match *item {
                        Item::Word(at) if !BEHIND_LISTS.contains(&self.word(at)) => self.blank_lexeme(at),
                        Item::Group(from, upto) => self.blank_lexemes(from, upto),
                        _ => {}
                    }
                }
                return Some(items.len());
            }
            return Some(number + 1);
        }
        let behind_array = number > 1
            && matches!(items[number - 1], Item::Group(open, _)
                if self.code[open].is(b'[') && !self.code[open + 1].is(b'['))
            && matches!(items[number - 2], Item::Word(name) if is_name(self.word(name)))
            && matches!(items.get(number + 1), None | Some(Item::Sign(b'=', _)));
        if behind_array {
            self.blank_lexeme(at);
            return Some(number + 1);
        }
        let (from, upto) = group?;
        // `uint64_t raw aligned(8);` in C, where nothing is constructed.
        let behind_name = !self.is_cpp && head.ordinary.len() + usize::from(head.is_builtin) > 1;
        if behind_name && number + 2 == items.len() && is_name(word) && self.holds_literals(from, upto) {
            self.blank_lexeme(at);
            self.blank_lexemes(from, upto);
            return Some(number + 2);
        }
        let makes_type = head.is_typedef
            && head.is_bare()
            && matches!(items.get(number + 2), Some(Item::Word(_)))
            && items.len() == number + 3;
        if makes_type && is_name(word) {
            // `typedef list_of(load) loads;`
            self.blank_lexemes(from, upto);
            head.types += 1;
            return Some(number + 2);
        }
        if self.is_type_by_macro(items, (number, at), head) {
            // `list_of(crate) weigh(…)`
            self.blank_lexemes(from, upto);
            head.types += 1;
            head.ordinary.push(at);
            head.last = Some(number);
            return Some(number + 2);
        }
        let begins = number == 0 || matches!(items[number - 1], Item::Group(..));
        let leads = head.types == 0 && begins && is_name(word) && self.is_leading_call(items, number);
        if leads || self.is_attribute_call(items, number) {
            self.blank_lexeme(at);
            self.blank_lexemes(from, upto);
            return Some(number + 2);
        }
        None
    }

    /// `int printf_like(1, 2) log(const char *form, ...)`: a call with nothing but literals before the name.
    fn is_attribute_call(&self, items: &[Item], number: usize) -> bool {
        let (Some(&Item::Group(from, upto)), Some(&Item::Word(next)), Some(&Item::Group(open, _))) =
            (items.get(number + 1), items.get(number + 2), items.get(number + 3))
        else {
            return false;
        };
        self.holds_literals(from, upto)
            && self.code[open].is(b'(')
            && !is_capital(self.word(next))
            && !ATTRIBUTES.contains(&self.word(next))
            && !NO_NAMES.contains(&self.word(next))
    }

    /// Tells whether items behind a list of parameters can only be attributes: words, one of them at least with
    /// literals or nothing in parentheses.
    fn are_attributes(&self, items: &[Item]) -> bool {
        if near(items).len() < items.len() {
            // What goes on for long is none, and would be gone through again at each of its words.
            return false;
        }
        let mut calls = 0;
        let all = items.iter().enumerate().all(|(number, item)| match *item {
            Item::Word(at) => !TYPES.contains(&self.word(at)) && !NO_NAMES.contains(&self.word(at)),
            Item::Group(from, upto) => {
                calls += 1;
                number > 0
                    && matches!(items[number - 1], Item::Word(_))
                    && (upto == from + 1 || self.holds_literals(from, upto))
            }
            Item::Sign(..) | Item::Other(_) => false,
        });
        all && calls > 0
    }

    /// Tells whether an item is a list of parameters that have types, unlike those of an old definition.
    fn is_typed_list(&self, item: &Item) -> bool {
        matches!(*item, Item::Group(open, close) if {
            let inner = &self.code[open + 1..close];
            let is_word = |lexeme: &Lexeme| matches!(lexeme.sort, Sort::Word);
            inner.windows(2).any(|two| is_word(&two[0]) && (is_word(&two[1]) || two[1].is(b'*')))
                || matches!(inner, [only] if is_word(only) && self.word(open + 1) == "void")
        })
    }

    /// `void log(const char *form, ...) _form_(printf, 1, 2)`: a call of words and literals at the end.
    fn is_call_behind_types(&self, items: &[Item], number: usize) -> bool {
        let [.., list, Item::Word(name), Item::Group(from, upto)] = *items else { return false };
        if number + 2 != items.len() {
            return false;
        }
        let inner = &self.code[from + 1..upto];
        let may_be_said = |lexeme: &Lexeme| {
            matches!(lexeme.sort, Sort::Word | Sort::Number | Sort::Text) || lexeme.is(b',')
        };
        let apart = |two: &[Lexeme]| two[0].is(b',') || two[1].is(b',');
        self.is_typed_list(&list)
            && is_name(self.word(name))
            && self.code[from].is(b'(')
            && inner.iter().all(may_be_said)
            && inner.windows(2).all(apart)
    }

    /// Tells whether items directly behind a list of parameters with types are words and nothing else.
    fn are_words_behind_types(&self, items: &[Item], number: usize) -> bool {
        items[..number].last().is_some_and(|list| self.is_typed_list(list))
            && near(&items[number..]).len() == items.len() - number
            && items[number..].iter().all(|item| {
                matches!(item, Item::Word(at) if !TYPES.contains(&self.word(*at))
                    && !NO_NAMES.contains(&self.word(*at))
                    && !self.is_qualifier(self.word(*at))
                    && !matches!(self.word(*at), "struct" | "class" | "union" | "enum" | "requires"))
            })
    }

    /// Tells whether nothing but literals stands in parentheses.
    pub(super) fn holds_literals(&self, from: usize, upto: usize) -> bool {
        let inner = self.code.get(from + 1..upto).unwrap_or_default();
        let literal = |lexeme: &Lexeme| matches!(lexeme.sort, Sort::Number | Sort::Text) || lexeme.is(b',');
        !inner.is_empty() && inner.iter().all(literal)
    }

    /// `define_list(loads, int) int weigh(void)`: a call in front of all, and a declaration with its own list behind.
    fn is_leading_call(&self, items: &[Item], number: usize) -> bool {
        let behind = near(items.get(number + 2..).unwrap_or_default());
        let ends = |at: usize| match behind[at] {
            // `A(int load) MACRO : load(load)` constructs.
            Item::Sign(b':', _) => {
                let colon =
                    |at: Option<usize>| matches!(at.and_then(|at| behind.get(at)), Some(Item::Sign(b':', _)));
                !colon(at.checked_sub(1)) && !colon(Some(at + 1))
            }
            Item::Sign(sign, _) => matches!(sign, b'=' | b','),
            _ => false,
        };
        let end = (0..behind.len()).find(|&at| ends(at)).unwrap_or(behind.len());
        let behind = &behind[..end];
        let may_follow =
            |word: &str| ![ATTRIBUTES, NO_NAMES, BEHIND_LISTS].iter().any(|words| words.contains(&word));
        let follows = matches!(behind.first(), Some(&Item::Word(next)) if may_follow(self.word(next)));
        follows && self.declares_list(behind)
    }

    /// Tells whether a name with a list of parameters is among some items.
    pub(super) fn declares_list(&self, items: &[Item]) -> bool {
        near(items).windows(2).any(|two| {
            matches!(*two, [Item::Word(name), Item::Group(open, _)]
                if is_name(self.word(name)) && self.code[open].is(b'('))
        })
    }

    /// Blanks calls in front of a parameter's type, `counted_by(size) const char *text`, and returns what is behind them.
    fn behind_annotations<'i>(&mut self, items: &'i [Item]) -> &'i [Item] {
        let mut rest = items;
        // What stands before a name alone makes the type.
        while let [
            Item::Word(at),
            Item::Group(open, close),
            Item::Word(_),
            Item::Word(_) | Item::Sign(b'*' | b'&', _),
            ..,
        ] = *rest
        {
            if NO_NAMES.contains(&self.word(at))
                || TYPES.contains(&self.word(at))
                || !self.code[open].is(b'(')
            {
                break;
            }
            self.blank_lexemes(at, close);
            rest = &rest[2..];
        }
        rest
    }

    /// Blanks words in front of a parameter's type: `unused_in_tests int load`, `my_unused Load *load`.
    pub(super) fn mask_unknown_words(&mut self, items: &[Item]) {
        if items.iter().any(|item| matches!(item, Item::Sign(b':' | b'<', _))) {
            return;
        }
        let items = self.behind_annotations(items);
        let declarator = |item: &Item| matches!(item, Item::Sign(b'*' | b'&' | b'=', _) | Item::Group(..));
        let end = items.iter().position(declarator).unwrap_or(items.len());
        let points = matches!(items.get(end), Some(Item::Sign(b'*' | b'&', _)));
        let is_type =
            |item: &Item, pass: &Self| matches!(item, Item::Word(at) if TYPES.contains(&pass.word(*at)));
        let unknown: Vec<usize> = items[..end]
            .iter()
            .take_while(|item| !is_type(item, self))
            .filter_map(word_of)
            .filter(|&at| {
                let word = self.word(at);
                !is_capital_or_noise(word) && !self.is_qualifier(word) && !ATTRIBUTES.contains(&word)
            })
            .collect();
        // Behind these may stand: a type by itself; the name of a type before a sign; both names.
        let kept = match items[..end].iter().any(|item| is_type(item, self)) {
            true => 0,
            false if points => 1,
            false => 2,
        };
        for &at in &unknown[..unknown.len().saturating_sub(kept)] {
            self.blank_lexeme(at);
        }
        // `char my_const *name`, `int my_unused name`: behind a word of the language stands no other type.
        if let Some(typed) = items[..end].iter().rposition(|item| is_type(item, self)) {
            let named: Vec<usize> =
                items[typed..end].iter().filter_map(word_of).filter(|&at| is_name(self.word(at))).collect();
            for &at in &named[..named.len().saturating_sub(usize::from(!points))] {
                self.blank_lexeme(at);
            }
        }
        // `char **pg_restrict end`
        for three in items[end..].windows(3) {
            if let [Item::Sign(b'*' | b'&', _), Item::Word(first), Item::Word(name)] = *three
                && is_name(self.word(first))
                && is_name(self.word(name))
            {
                self.blank_lexeme(first);
            }
        }
    }
}

/// Returns the lexeme of an item that is a word.
fn word_of(item: &Item) -> Option<usize> {
    if let Item::Word(at) = item { Some(*at) } else { None }
}

/// Returns the next items: a head without an end would be gone through again at every word or call in it.
fn near(items: &[Item]) -> &[Item] {
    &items[..items.len().min(64)]
}

/// Tells whether a word may be the name of something that is called.
pub(super) fn is_name(word: &str) -> bool {
    let known = [ATTRIBUTES, NO_NAMES, BEHIND_LISTS, TYPES].iter().any(|words| words.contains(&word))
        || is_qualifier(word, true);
    !known && !is_capital(word)
}
