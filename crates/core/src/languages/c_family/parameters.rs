//! Lists of parameters, and declarators in parentheses: which words of them can only be macros.

use super::heads::{Head, skip_angles};
use super::lexer::Sort;
use super::mask::{Item, Pass};
use super::small::is_name;
use super::words::{ATTRIBUTES, NOISE, TYPES, is_capital, is_capital_or_noise};

impl Pass<'_> {
    /// Blanks macros inside a declarator in parentheses: `(CALLBACK *name)`, `(*name(parameters))`.
    pub(super) fn mask_inner(&mut self, from: usize, upto: usize) {
        let inner: Vec<usize> = (from + 1..upto).collect();
        let items = self.items(&inner);
        let last = items.iter().rposition(|item| matches!(item, Item::Word(_)));
        for (number, item) in items.iter().enumerate() {
            match *item {
                Item::Word(at) => {
                    // `(*MADE(name))`: the macro makes a name of the word.
                    let makes_name = matches!(items.get(number + 1), Some(&Item::Group(open, close))
                        if self.code[open].is(b'(') && close == open + 2 && is_capital(self.word(at)));
                    let spare = makes_name
                        || last.is_some_and(|last| number < last) && is_capital_or_noise(self.word(at));
                    if spare || NOISE.contains(&self.word(at)) {
                        self.blank_lexeme(at);
                    }
                }
                Item::Group(open, close) if self.code[open].is(b'(') => {
                    let follows = number > 0 && matches!(items[number - 1], Item::Word(_) | Item::Group(..));
                    if follows && !self.is_blank_call(&items, number) {
                        self.mask_parameters(open, close);
                    } else {
                        self.mask_inner(open, close);
                    }
                }
                Item::Group(..) | Item::Sign(..) | Item::Other(_) => {}
            }
        }
    }

    /// Blanks macros among the parameters of a list.
    pub(super) fn mask_parameters(&mut self, from: usize, upto: usize) {
        let mut start = from + 1;
        let (mut depth, mut angle, mut defaults) = (0_i32, 0_i32, false);
        for at in from + 1..=upto {
            match self.code[at].sort {
                Sort::Sign(b'(' | b'[' | b'{') => depth += 1,
                Sort::Sign(b')' | b']' | b'}') if depth > 0 => depth -= 1,
                // Behind the sign of equality they may compare.
                Sort::Sign(b'=') if depth == 0 => defaults = true,
                Sort::Sign(b'<') if !defaults && self.code[at - 1].sort == Sort::Word => angle += 1,
                Sort::Sign(b'>') if angle > 0 => angle -= 1,
                Sort::Sign(sign @ (b',' | b')'))
                    if depth == 0 && (angle == 0 || defaults || sign == b')') =>
                {
                    self.mask_parameter(start, at);
                    start = at + 1;
                    (angle, defaults) = (0, false);
                }
                Sort::Directive => self.blank_lexeme(at),
                _ => {}
            }
        }
    }

    pub(super) fn mask_parameter(&mut self, from: usize, upto: usize) {
        let head: Vec<usize> = (from..upto).filter(|&at| self.code[at].sort != Sort::Directive).collect();
        let head = self.without_marks(&head).unwrap_or(head);
        let items = self.items(&head);
        let mut found = Head::default();
        let mut angle = 0_i32;
        for (number, item) in items.iter().enumerate() {
            match *item {
                Item::Sign(b'=', at) => {
                    // The grammar reads no default of a parameter without a name: `Load *`, `Load *const`.
                    let nameless = match items[..number] {
                        [.., Item::Sign(b'*' | b'&' | b'>', _)] => true,
                        [.., Item::Sign(b'*', _), Item::Word(at)] => self.word(at) == "const",
                        _ => false,
                    };
                    if nameless {
                        self.blank_lexemes(at, upto - 1);
                    }
                    break;
                }
                Item::Sign(b'<', _) => angle += 1,
                Item::Sign(b'>', _) => angle -= 1,
                _ if angle > 0 => {}
                // `void (*cb)(void *load) MACRO`
                Item::Word(at)
                    if number > 1
                        && is_capital_or_noise(self.word(at))
                        && items[number - 2..number].iter().all(|item| matches!(item, Item::Group(..))) =>
                {
                    self.blank_lexeme(at);
                }
                // `char *MACRO *names`
                Item::Word(at)
                    if number > 0
                        && matches!(items[number - 1], Item::Sign(b'*', _))
                        && matches!(items.get(number + 1), Some(Item::Sign(b'*', _)))
                        && !self.is_qualifier(self.word(at)) =>
                {
                    self.blank_lexeme(at);
                }
                Item::Word(at) => self.take_parameter_word(&items, (number, at), &mut found),
                // Behind the name of a pointer to a function stand its parameters.
                Item::Group(from, upto) if number > 0 && matches!(items[number - 1], Item::Group(..)) => {
                    self.mask_parameters(from, upto);
                }
                Item::Group(from, upto) => self.mask_inner(from, upto),
                Item::Sign(..) | Item::Other(_) => {}
            }
        }
        self.mask_unknown_words(&items);
        if found.types + found.capitals.len() < 3 && found.types == 0 {
            return;
        }
        found.name = String::new();
        found.is_parameter = true;
        found.ends_with_sign = matches!(items.last(), Some(Item::Sign(b'*' | b'&', _)));
        self.mask_specifiers(&found);
    }

    /// Takes a word of a parameter outside angle brackets: a macro, a type or the name.
    fn take_parameter_word(&mut self, items: &[Item], (number, at): (usize, usize), found: &mut Head) {
        let word = self.word(at);
        let group = match items.get(number + 1) {
            Some(&Item::Group(from, upto)) if self.code[from].is(b'(') => Some((from, upto)),
            _ => None,
        };
        if let Some((from, upto)) =
            group.filter(|_| found.is_bare() && self.is_parameter_type_by_macro(items, (number, at)))
        {
            // `MACRO(word) *name`: the macro makes a type of the word.
            self.blank_lexemes(from, upto);
            found.types += 1;
        } else if NOISE.contains(&word)
            || ATTRIBUTES.contains(&word)
            // `VALUE (*name)(…)` is a pointer to a function.
            || (is_capital(word)
                && group.is_some_and(|(open, _)| !self.is_pointer_group(open))
                && items.len() > 2)
        {
            self.blank_lexeme(at);
            if let Some((from, upto)) = group {
                self.blank_lexemes(from, upto);
            }
        } else if self.is_tag(items, number) {
            found.last = Some(number);
        } else if number > 0 && matches!(items[number - 1], Item::Sign(b':', _)) {
            // `space::TYPE`: what is qualified is no macro.
            found.types += 1;
            found.last = Some(number);
        } else if qualifies(items, number) {
            // `space::Type` is one type.
        } else if is_capital(word) && !matches!(items.get(number + 1), Some(Item::Sign(b'<', _))) {
            found.capitals.push(at);
            found.last = Some(number);
        } else if !self.is_qualifier(word) {
            found.types += 1;
            if !TYPES.contains(&word) {
                found.ordinary.push(at);
            }
            found.last = Some(number);
        }
    }

    /// Tells whether a word with parentheses behind it stands for a parameter's type: `MACRO(Load) *load`,
    /// `list_of(Load) loads`, `const list_of(Load) &loads`, in C `list_of(Load, next) **loads[]`.
    fn is_parameter_type_by_macro(&self, items: &[Item], (number, at): (usize, usize)) -> bool {
        let Some(&Item::Group(from, upto)) = items.get(number + 1) else { return false };
        let word = self.word(at);
        let behind = &items[number + 2..];
        if is_capital(word) && matches!(behind.first(), Some(Item::Sign(b'*' | b'&', _))) {
            return true;
        }
        if !is_name(word) {
            return false;
        }
        let is_qualifier = |item: &Item| matches!(item, Item::Word(at) if self.is_qualifier(self.word(*at)));
        let named = matches!(behind, [Item::Word(_)] | [Item::Sign(b'*' | b'&', _), Item::Word(_)]);
        if named && items[..number].iter().all(is_qualifier) {
            return true;
        }
        let mut declarator = behind.iter().skip_while(|item| matches!(item, Item::Sign(b'*', _)));
        !self.is_cpp
            && number == 0
            && self.has_several(from, upto)
            && matches!(declarator.next(), Some(Item::Word(_)))
            && matches!(declarator.next(), None | Some(Item::Group(..)))
    }
}

/// Tells whether a word, perhaps with type arguments, stands in front of what it qualifies.
fn qualifies(items: &[Item], number: usize) -> bool {
    let behind = match items.get(number + 1) {
        Some(Item::Sign(b'<', _)) => skip_angles(items, number + 1),
        _ => number + 1,
    };
    items
        .get(behind..behind + 2)
        .is_some_and(|two| two.iter().all(|item| matches!(item, Item::Sign(b':', _))))
}
