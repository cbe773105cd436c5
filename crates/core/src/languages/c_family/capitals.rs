//! Words in capitals in heads: macros, types or names.

use super::heads::{Head, skip_angles};
use super::lexer::Sort;
use super::mask::{Around, Item, Pass};
use super::small::is_name;
use super::words::{BEHIND_LISTS, TYPES, is_capital, looks_like_macro};

impl Pass<'_> {
    /// Tells whether the item is the arguments of a macro that was blanked.
    pub(super) fn is_blank_call(&self, items: &[Item], number: usize) -> bool {
        matches!(items[number], Item::Group(..))
            && number > 0
            && matches!(items[number - 1], Item::Word(at) if self.out[self.code[at].start] == b' ')
    }

    /// Looks at a word in capitals: a macro, a type, or a name.
    pub(super) fn take_capital(
        &mut self,
        items: &[Item],
        (number, at): (usize, usize),
        group: Option<(usize, usize)>,
        head: &mut Head,
    ) -> usize {
        if self.is_tag(items, number) {
            // The type was counted with its keyword.
            head.last = Some(number);
            return number + 1;
        }
        let Some((from, upto)) = group else {
            if head.is_field {
                // How many bits it has.
            } else if head.named {
                self.blank_lexeme(at);
            } else {
                let behind = match items.get(number + 1) {
                    Some(Item::Sign(b'<', _)) => skip_angles(items, number + 1),
                    _ => number + 1,
                };
                let next_qualifies = matches!(items.get(behind), Some(Item::Sign(b':', _)))
                    && matches!(items.get(behind + 1), Some(Item::Sign(b':', _)));
                if !next_qualifies {
                    head.capitals.push(at);
                    head.last = Some(number);
                }
            }
            return number + 1;
        };
        if !head.named
            && self.is_pointer_group(from)
            && matches!(items.get(number + 2), Some(Item::Group(open, _)) if self.code[*open].is(b'('))
        {
            // `HANDLE (CALLBACK *name)(…)`: the word is what comes back.
            head.types += 1;
            self.mask_inner(from, upto);
            head.named = true;
            return number + 2;
        }
        let constructs = self.is_cpp
            && !head.named
            && matches!(self.scopes.last(), Some(Around::Members(owner)) if owner == self.word(at));
        if constructs {
            head.name = self.word(at).to_owned();
        }
        // `PRESS::PRESS(…)`: no macro is a member.
        let is_member = self.is_cpp
            && !head.named
            && number > 1
            && items[number - 2..number].iter().all(|item| matches!(item, Item::Sign(b':', _)));
        if constructs || is_member || number > 0 && matches!(items[number - 1], Item::Sign(b'~', _)) {
            self.take_list((from, upto), head);
            return number + 2;
        }
        if head.named {
            self.blank_lexeme(at);
            self.blank_lexemes(from, upto);
            return number + 2;
        }
        let doubled = self.code.get(from + 1).is_some_and(|inner| inner.is(b'('))
            && upto > 0
            && self.code[upto - 1].is(b')');
        // `EXTERN(int) name OF((parameters))`: a macro in capitals may stand for the type.
        if doubled && head.types + head.capitals.len() > 1 && head.types > 0 {
            // `name OF((parameters))`
            self.blank_lexeme(at);
            self.blank_lexeme(from);
            self.blank_lexeme(upto);
            self.mask_parameters(from + 1, upto - 1);
            head.types -= 1;
            head.ordinary.pop();
            head.named = true;
            head.listed = true;
            return number + 2;
        }
        let behind_name = head.types > 1
            && number > 0
            && (matches!(items[number - 1], Item::Word(before) if !TYPES.contains(&self.word(before)) && !self.is_qualifier(self.word(before)))
                || matches!(items[number - 1], Item::Group(open, _) if self.code[open].is(b'['))
                || self.is_blank_call(items, number - 1));
        if behind_name {
            self.blank_lexeme(at);
            self.blank_lexemes(from, upto);
            return number + 2;
        }
        if self.wraps_declaration(items, number, (from, upto), head) {
            return number + 2;
        }
        self.take_called(items, (number, at), (from, upto), head)
    }

    /// Looks into a macro whose argument is all that is declared, or all but its type:
    /// `DEPRECATED(int weigh(int load));`, `bool NOTHROW(operator==(const Load &a, const Load &b))`.
    fn wraps_declaration(
        &mut self,
        items: &[Item],
        number: usize,
        (from, upto): (usize, usize),
        head: &mut Head,
    ) -> bool {
        let inner: Vec<usize> = (from + 1..upto).collect();
        let inner = self.items(&inner);
        let wraps = self.ends_declarator(&items[number + 2..]) && self.declares(&inner, head.types > 0);
        if let (true, Item::Word(at)) = (wraps, items[number]) {
            self.blank_lexeme(at);
            self.blank_lexeme(from);
            self.blank_lexeme(upto);
            let mut next = 0;
            while next < inner.len() && !head.stopped {
                next = self.take_item(&inner, next, head);
            }
        }
        wraps
    }

    /// Tells whether brackets hold a name twice, in small letters and in capitals: a macro makes of it what the linker
    /// knows a procedure of Fortran by.
    fn is_name_in_both_cases(&self, from: usize, upto: usize) -> bool {
        let names = (self.word(from + 1), self.word(from + 3));
        upto == from + 4
            && self.code[from + 2].is(b',')
            && names.0 != names.1
            && names.0.eq_ignore_ascii_case(names.1)
    }

    /// Looks at a word in capitals with parentheses, in front of what is declared.
    pub(super) fn take_called(
        &mut self,
        items: &[Item],
        (number, at): (usize, usize),
        (from, upto): (usize, usize),
        head: &mut Head,
    ) -> usize {
        let specified = head.types > 0 || !head.capitals.is_empty();
        match items.get(number + 2) {
            Some(&Item::Group(open, close)) if self.code[open].is(b'(') && self.code[from].is(b'(') => {
                self.blank_lexeme(at);
                match self.name_behind_type(from, upto).filter(|_| !specified) {
                    // `FUNCTION(type, name)(parameters)`
                    Some(comma) => {
                        for sign in [from, comma, upto] {
                            self.blank_lexeme(sign);
                        }
                        head.types += 1;
                    }
                    // `void FORTRAN(name, NAME)(parameters)`
                    None if self.is_name_in_both_cases(from, upto) => self.blank_lexemes(from + 2, upto - 1),
                    // `int CALLBACK(name)(parameters)`
                    None => self.mask_inner(from, upto),
                }
                self.mask_parameters(open, close);
                head.named = true;
                head.listed = true;
                return number + 3;
            }
            None if !specified => {
                self.blank_lexeme(at);
                self.blank_lexemes(from, upto);
                head.whole_macro = head.only_macros();
                head.stopped = true;
            }
            Some(Item::Word(next)) if specified && self.ends_list(&items[number + 2..], *next) => {
                // `int MTU(void) const`
                self.take_list((from, upto), head);
            }
            Some(Item::Word(next))
                if !is_capital(self.word(*next)) || items.len() > number + 3 || head.is_typedef =>
            {
                // `MEMBERS(name) OTHER(name) type name(…)`, and `MEMBERS(name) name(…)` of a constructor, are
                // macros of their own.
                let alone = is_capital(self.word(*next))
                    && matches!(items.get(number + 4), Some(Item::Word(_) | Item::Sign(b'*' | b'&', _)))
                    || self.word(from + 1) == self.word(*next);
                // `EXTERN(type) name OF((…))`
                let list = match items.get(number + 3) {
                    Some(Item::Word(at)) if is_capital(self.word(*at)) => number + 4,
                    _ => number + 3,
                };
                let wraps_type = !specified
                    && !alone
                    && matches!(items.get(list), Some(Item::Group(open, _)) if self.code[*open].is(b'('))
                    && !self.is_qualifier(self.word(*next))
                    && !TYPES.contains(&self.word(*next))
                    && !self.declares_list(items.get(list + 1..).unwrap_or_default())
                    && self.is_type_text(from + 1, upto);
                if wraps_type {
                    self.blank_lexeme(at);
                    // `EXTERN(type) name(…)`
                    self.blank_lexeme(from);
                    self.blank_lexeme(upto);
                    head.types += 1;
                } else {
                    // Should no type be left, this must stand for it.
                    self.blank_lexemes(from, upto);
                    head.capitals.push(at);
                }
            }
            Some(Item::Sign(b'*' | b'&', _))
                if !specified || head.types == 0 && self.is_type_text(from + 1, upto) =>
            {
                self.blank_lexeme(at);
                self.blank_lexeme(from);
                self.blank_lexeme(upto);
                head.types += 1;
            }
            _ => {
                // A function whose name is in capitals.
                self.take_list((from, upto), head);
            }
        }
        number + 2
    }

    /// Returns the comma between a type and a name that are all that stands between two lexemes.
    fn name_behind_type(&self, from: usize, upto: usize) -> Option<usize> {
        let comma = upto.checked_sub(2).filter(|&comma| comma > from + 1 && self.code[comma].is(b','))?;
        (is_name(self.word(upto - 1)) && self.is_type_text(from + 1, comma)).then_some(comma)
    }

    /// Takes what stands in parentheses for the parameters of what was named in front.
    fn take_list(&mut self, (from, upto): (usize, usize), head: &mut Head) {
        head.named = true;
        head.listed = true;
        self.mask_parameters(from, upto);
    }

    /// Tells whether nothing more is declared by what follows: attributes at most.
    fn ends_declarator(&self, items: &[Item]) -> bool {
        let attribute =
            |word: &str| BEHIND_LISTS.contains(&word) || is_capital(word) && looks_like_macro(word);
        let end = items
            .iter()
            .position(|item| !matches!(item, Item::Word(at) if attribute(self.word(*at))))
            .unwrap_or(items.len());
        matches!(items.get(end), None | Some(Item::Sign(b'=' | b':', _)))
    }

    /// Tells whether items are a name with its list of parameters; where no type was seen before, with a type in front,
    /// or the name of the type around.
    fn declares(&self, items: &[Item], has_type: bool) -> bool {
        let behind = |item: &Item| matches!(item, Item::Word(at) if BEHIND_LISTS.contains(&self.word(*at)));
        let last = items.iter().rposition(|item| !behind(item)).map_or(0, |last| last + 1);
        let operator =
            items.iter().position(|item| matches!(item, Item::Word(at) if self.word(*at) == "operator"));
        let (front, name) = match (operator, &items[..last]) {
            (Some(operator), [.., Item::Group(..)]) => (&items[..operator], None),
            (None, [front @ .., Item::Word(name), Item::Group(open, _)]) if self.code[*open].is(b'(') => {
                (front, Some(self.word(*name)))
            }
            _ => return false,
        };
        // `const Colour RED(Colour(1, 0, 0));` constructs.
        let holds_values = matches!(items[last - 1], Item::Group(open, close)
            if self.code[open..close].iter().any(|lexeme| matches!(lexeme.sort, Sort::Number | Sort::Text))
                && !self.code[open..close].iter().any(|lexeme| lexeme.is(b'=') || lexeme.is(b'[')));
        let constructs =
            matches!(self.scopes.last(), Some(Around::Members(owner)) if Some(owner.as_str()) == name);
        let typed = front
            .iter()
            .all(|item| matches!(item, Item::Word(_) | Item::Sign(b'*' | b'&' | b':' | b'<' | b'>', _)))
            && front.iter().any(|item| matches!(item, Item::Word(at) if !self.is_qualifier(self.word(*at))));
        !holds_values
            && name.is_none_or(is_name)
            && if has_type { front.is_empty() } else { typed || front.is_empty() && constructs }
    }

    /// Tells whether items are words that stand behind a list of parameters, and at most what is put in the place of a
    /// body.
    fn ends_list(&self, items: &[Item], first: usize) -> bool {
        BEHIND_LISTS.contains(&self.word(first))
            && items.iter().all(|item| match item {
                Item::Word(at) => {
                    let word = self.word(*at);
                    BEHIND_LISTS.contains(&word) || is_capital(word) || matches!(word, "default" | "delete")
                }
                Item::Sign(sign, _) => *sign == b'=',
                Item::Other(_) => true,
                Item::Group(..) => false,
            })
    }

    /// Tells whether what stands between two lexemes reads like a type.
    pub(super) fn is_type_text(&self, from: usize, upto: usize) -> bool {
        from < upto
            && self.code[from..upto].iter().all(|lexeme| {
                matches!(lexeme.sort, Sort::Word | Sort::Sign(b'*' | b'&' | b':' | b'<' | b'>'))
            })
    }
}
