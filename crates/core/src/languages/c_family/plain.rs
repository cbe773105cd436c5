//! Where the grammar stumbled: what a head says beyond names and kinds is made plainer, at equal length.
//! Defaults and conditions of templates, promises about exceptions and conditions inside type arguments
//! declare nothing.

use super::lexer::AT_LEAST;
use super::mask::{Item, Pass, outside_angles};
use super::words::is_capital;

impl Pass<'_> {
    /// Makes a head plainer.
    pub(super) fn plainer(&mut self, items: &[Item]) {
        self.drop_template_defaults(items);
        self.plainer_types(items);
        self.drop_beginnings(items);
        self.drop_macro_values(items);
        self.drop_arguments_of_operators(items);
    }

    /// Blanks what macros are given that stand for a value: `= PRESS_INFO(.load = 1, )`.
    fn drop_macro_values(&mut self, items: &[Item]) {
        let value = outside_angles(items, |item| matches!(item, Item::Sign(b'=', _))).unwrap_or(items.len());
        for two in items[value..].windows(2) {
            if let [Item::Word(name), Item::Group(from, upto)] = *two
                && is_capital(self.word(name))
                && from + 1 < upto
            {
                self.blank_lexemes(from + 1, upto - 1);
            }
        }
    }

    /// Blanks the type arguments of operators, which the grammar takes for comparisons: `operator()<Crate>(…)`,
    /// `operator<<<Load>(…)`.
    fn drop_arguments_of_operators(&mut self, items: &[Item]) {
        let Some(operator) = items.iter().position(|&item| self.is_word(item, "operator")) else { return };
        let is_angle = |number: usize| matches!(items.get(number), Some(Item::Sign(b'<', _)));
        let open = match items.get(operator + 1) {
            Some(Item::Group(..)) => operator + 2,
            Some(Item::Sign(b'<', _)) if is_angle(operator + 2) => operator + 3,
            _ => return,
        };
        let close = if is_angle(open) { closing(items, open) } else { None };
        if let Some(close) = close.filter(|close| matches!(items.get(close + 1), Some(Item::Group(..)))) {
            items[open..=close].iter().for_each(|&item| self.blank_item(item));
        }
    }

    /// Makes types plainer, those of parameters included.
    fn plainer_types(&mut self, items: &[Item]) {
        self.drop_conditions(items);
        for (number, item) in items.iter().enumerate() {
            let Item::Group(from, upto) = *item else { continue };
            let before = number.checked_sub(1).map(|before| items[before]);
            let follows = |word: &str| before.is_some_and(|before| self.is_word(before, word));
            if follows("noexcept") {
                self.blank_lexemes(from - 1, upto);
            } else if follows("decltype") || follows("sizeof") {
                if from + 1 < upto {
                    let kept = self.stands(from);
                    self.blank_lexemes(from + 1, upto - 1);
                    if kept {
                        self.out[self.code[from + 1].start] = b'0';
                    }
                }
            } else if self.stands_for_type(items, number) {
                self.blank_lexemes(from, upto);
            } else {
                let inner: Vec<usize> = (from + 1..upto).collect();
                let inner = self.items(&inner);
                self.drop_nameless_defaults(&inner);
                self.plainer_types(&inner);
            }
        }
    }

    /// Tells whether a lexeme is still there, as it was.
    pub(super) fn stands(&self, at: usize) -> bool {
        let start = self.code[at].start;
        self.out[start] == self.text.as_bytes()[start]
    }

    fn is_word(&self, item: Item, word: &str) -> bool {
        matches!(item, Item::Word(at) if self.word(at) == word)
    }

    /// `macro(word) *name`: the macro makes a type of the word.
    fn stands_for_type(&self, items: &[Item], number: usize) -> bool {
        let Item::Group(from, upto) = items[number] else { return false };
        let next = |ahead: usize| items.get(number + ahead);
        let pointer = matches!(next(1), Some(Item::Sign(b'*', _))) && matches!(next(2), Some(Item::Word(_)));
        // `macro(word) name` and nothing behind.
        let plain = matches!(next(1), Some(Item::Word(at)) if !is_specifier(self.word(*at)))
            && !matches!(next(2), Some(Item::Group(..) | Item::Word(_)));
        (pointer || plain) && upto == from + 2 && number > 0 && matches!(items[number - 1], Item::Word(_))
    }

    /// Makes template parameters plainer: they lose their defaults, and those without a name their types.
    fn drop_template_defaults(&mut self, items: &[Item]) {
        let mut number = 0;
        while number + 1 < items.len() {
            let opens =
                self.is_word(items[number], "template") && matches!(items[number + 1], Item::Sign(b'<', _));
            let close = if opens { closing(items, number + 1) } else { None };
            let Some(close) = close else {
                number += 1;
                continue;
            };
            let mut start = number + 2;
            let mut depth = 0_i32;
            for at in number + 2..=close {
                match items[at] {
                    Item::Sign(b'<', _) => depth += 1,
                    Item::Sign(b'>', _) if at < close => depth -= 1,
                    Item::Sign(b',', _) if depth == 0 => {
                        self.plainer_template_parameter(&items[start..at]);
                        start = at + 1;
                    }
                    _ => {}
                }
            }
            self.plainer_template_parameter(&items[start..close]);
            number = close + 1;
        }
    }

    fn plainer_template_parameter(&mut self, items: &[Item]) {
        let equals = outside_angles(items, |item| matches!(item, Item::Sign(b'=', _)));
        let (kept, default) = items.split_at(equals.unwrap_or(items.len()));
        for &item in default {
            self.blank_item(item);
        }
        let nested = kept.iter().any(|&item| self.is_word(item, "template"));
        let nameless = match kept {
            [.., Item::Sign(b'>', _)] => true,
            [.., Item::Sign(b':', _), Item::Word(_)] => {
                kept.iter().any(|item| matches!(item, Item::Sign(b'<', _)))
            }
            _ => false,
        };
        if let Some(&Item::Word(first)) = kept.first().filter(|_| nameless && !nested) {
            let start = self.code[first].start;
            if self.code[first].end - start >= 3 {
                for &item in kept {
                    self.blank_item(item);
                }
                self.out[start..start + 3].copy_from_slice(b"int");
            }
        }
    }

    /// Blanks defaults of parameters that have no name, and the sign of the outermost scope behind `typename`.
    fn drop_nameless_defaults(&mut self, items: &[Item]) {
        let mut blanking = false;
        for (number, &item) in items.iter().enumerate() {
            let before = number.checked_sub(1).map(|before| items[before]);
            match item {
                Item::Sign(b',', _) => blanking = false,
                Item::Sign(b'=', _) if !matches!(items.get(number + 1), Some(Item::Sign(b'=', _))) => {
                    blanking |= matches!(before, Some(Item::Sign(b'*' | b'&' | b'>', _) | Item::Group(..)));
                }
                Item::Sign(b':', _) => {
                    let behind = |number: usize| number.checked_sub(1).map(|before| items[before]);
                    let typename =
                        |item: Option<Item>| item.is_some_and(|item| self.is_word(item, "typename"));
                    let doubled = matches!(before, Some(Item::Sign(b':', _))) && typename(behind(number - 1));
                    if typename(before) || doubled {
                        self.blank_item(item);
                    }
                }
                _ => {}
            }
            if blanking {
                self.blank_item(item);
            }
        }
    }

    fn blank_item(&mut self, item: Item) {
        match item {
            Item::Word(at) | Item::Sign(_, at) | Item::Other(at) => self.blank_lexeme(at),
            Item::Group(from, upto) => self.blank_lexemes(from, upto),
        }
    }

    /// Puts `0` in place of type arguments that hold a condition.
    fn drop_conditions(&mut self, items: &[Item]) {
        let mut number = 0;
        while number < items.len() {
            let opens = matches!(items[number], Item::Sign(b'<', _))
                && number > 0
                && matches!(items[number - 1], Item::Word(at) if self.word(at) != "template");
            let close = if opens { closing(items, number) } else { None };
            let Some(close) = close.filter(|&close| self.holds_condition(&items[number + 1..close])) else {
                number += 1;
                continue;
            };
            let (Item::Word(open) | Item::Sign(_, open) | Item::Other(open) | Item::Group(open, _)) =
                items[number];
            let kept = self.stands(open);
            for &inner in &items[number + 1..close] {
                self.blank_item(inner);
            }
            if let Some(&first) = items.get(number + 1).filter(|_| kept) {
                let (Item::Word(at) | Item::Sign(_, at) | Item::Other(at) | Item::Group(at, _)) = first;
                self.out[self.code[at].start] = b'0';
            }
            number = close + 1;
        }
    }

    fn holds_condition(&self, items: &[Item]) -> bool {
        let sign = |number: usize| match items.get(number) {
            Some(Item::Sign(sign, _)) => *sign,
            _ => 0,
        };
        (0..items.len()).any(|number| match items[number] {
            Item::Word(at) => matches!(self.word(at), "sizeof" | "template" | "noexcept"),
            Item::Sign(b'!', _) => true,
            Item::Sign(AT_LEAST, _) => true,
            Item::Sign(b'>', _) => sign(number + 1) == b':',
            Item::Sign(b'|' | b'=', _) => sign(number + 1) == sign(number),
            // `T &&` in a list of types is a reference.
            Item::Sign(b'&', _) => {
                sign(number + 1) == b'&'
                    && !matches!(sign(number + 2), b',' | b'>')
                    && number + 2 < items.len()
            }
            Item::Sign(b':', _) => sign(number + 1) == b':' && sign(number + 2) == b'*',
            // `if_c<(a > b), c>`
            Item::Group(open, _) => {
                self.code[open].is(b'(') && (number == 0 || matches!(items[number - 1], Item::Sign(b',', _)))
            }
            Item::Sign(..) | Item::Other(_) => false,
        })
    }

    /// Blanks bases that are computed, `struct A : decltype(…)`, and what a constructor begins with.
    fn drop_beginnings(&mut self, items: &[Item]) {
        let is_type = items.iter().any(|&item| self.is_word(item, "struct") || self.is_word(item, "class"));
        let colon = (1..items.len()).find(|&number| {
            let sign = |at: usize| matches!(items.get(at), Some(Item::Sign(b':', _)));
            sign(number) && !sign(number - 1) && !sign(number + 1)
        });
        let Some(colon) = colon else { return };
        let parameters = items[..colon].iter().any(|item| matches!(item, Item::Group(..)));
        let computed = items[colon..].iter().any(|&item| self.is_word(item, "decltype"));
        if if is_type { computed } else { parameters } {
            for &item in &items[colon..] {
                self.blank_item(item);
            }
        }
    }
}

/// Words that follow a list of parameters.
fn is_specifier(word: &str) -> bool {
    matches!(word, "const" | "volatile" | "noexcept" | "override" | "final" | "requires" | "throw" | "try")
}

/// Returns the item that closes the angle brackets opened at `open`.
fn closing(items: &[Item], open: usize) -> Option<usize> {
    let mut depth = 0_i32;
    for (number, item) in items.iter().enumerate().skip(open) {
        match item {
            Item::Sign(b'<', _) => depth += 1,
            Item::Sign(b'>', _) => depth -= 1,
            _ => {}
        }
        if depth == 0 {
            return Some(number);
        }
    }
    None
}
