//! Heads of declarations: which words of one can only be macros.
//!
//! A head always keeps a type and a name, so that no declaration is lost.

use super::lexer::Sort;
use super::mask::{Around, Item, Pass};
use super::small::is_name;
use super::words::{ATTRIBUTES, NO_NAMES, NOISE, TYPES, is_capital, is_capital_or_noise, looks_like_macro};

impl Pass<'_> {
    /// Blanks what cannot be read of a declaration's head. Returns whether nothing of it is left.
    pub(super) fn mask_head(&mut self, head: &[usize], semicolon: Option<usize>) -> bool {
        if self.scopes.last() == Some(&Around::Enumerators) {
            return false;
        }
        let bare = self.without_marks(head).or_else(|| self.without_macros_before_constructor(head));
        let head = bare.as_deref().unwrap_or(head);
        self.mask_forms(head);
        if !self.is_plainer(head) {
            return self.mask_words(head, semicolon, false);
        }
        if self.is_made_by_word(head) {
            head.iter().chain(&semicolon).for_each(|&at| self.blank_lexeme(at));
            return false;
        }
        let (left, names) = self.mask_stumbled(head);
        let is_gone = self.mask_words(&left, semicolon, true);
        if !is_gone {
            self.restore(&names);
        }
        is_gone
    }

    /// Blanks the words that can only be macros. Returns whether nothing of the head is left.
    fn mask_words(&mut self, head: &[usize], semicolon: Option<usize>, stumbled: bool) -> bool {
        let lexemes = head;
        let all = self.items(head);
        for (number, item) in all.iter().enumerate() {
            // Noise may stand among type arguments.
            if let Item::Word(at) = *item
                && NOISE.contains(&self.word(at))
                && !matches!(all.get(number + 1), Some(Item::Group(..)))
            {
                self.blank_lexeme(at);
            }
        }
        let template = self.template_in(&all);
        let items = self.behind_template_macros(&all);
        if self.tail {
            self.mask_tail(items);
            return false;
        }
        let nameless =
            self.is_nameless_call(items) || stumbled && self.is_made_by_macro(items, template.is_some());
        if self.is_instantiation(&all) || (semicolon.is_some() && nameless) {
            // Braces among the arguments hold more than the head.
            if let (Some(&first), Some(&last)) = (head.first(), head.last()) {
                self.blank_lexemes(first, last);
            }
            if let Some(semicolon) = semicolon {
                self.blank_lexeme(semicolon);
            }
            return false;
        }
        if let Some(keyword) = items.iter().position(|item| {
            matches!(item, Item::Word(at) if matches!(self.word(*at), "namespace" | "using" | "static_assert" | "_Static_assert"))
        }) {
            self.mask_leading(&items[..keyword]);
            let value = items.iter().position(|item| matches!(item, Item::Sign(b'=', _))).unwrap_or(items.len());
            self.mask_calls_in_capitals(&items[keyword..value.max(keyword)]);
            for item in &items[keyword..] {
                match *item {
                    // `using Ts::weigh...;`
                    Item::Sign(b'.', at) => self.blank_lexeme(at),
                    // `using typename Base<T>::Crate;`; behind a sign of equality the grammar knows the word.
                    Item::Word(at) if self.word(at) == "typename" => self.blank_lexeme(at),
                    Item::Sign(b'=', _) => break,
                    _ => {}
                }
            }
            return false;
        }
        self.mask_before_conversion(items);
        let mut head = Head::default();
        let mut number = 0;
        while number < items.len() && !head.stopped {
            number = self.take_item(items, number, &mut head);
        }
        if head.whole_macro {
            // `template <class T> MACRO(Crate<T>);`
            if template.is_some() {
                for &at in lexemes {
                    self.blank_lexeme(at);
                }
            }
            if let Some(semicolon) = semicolon {
                self.blank_lexeme(semicolon);
            }
            return true;
        }
        self.mask_specifiers(&head);
        false
    }

    /// Blanks what stands before `operator type` and is no word of the language, and before `name::operator type` also
    /// `constexpr` and the like, which the grammar takes for a type there.
    fn mask_before_conversion(&mut self, items: &[Item]) {
        let is_operator = |item: &Item| matches!(item, Item::Word(at) if self.word(*at) == "operator");
        let Some(operator) = items.iter().position(is_operator) else { return };
        let converts = matches!(items.get(operator + 1), Some(Item::Word(at)) if converts_to(self.word(*at)));
        let is_member = operator > 2 && matches!(items[operator - 1], Item::Sign(b':', _));
        if !converts || !is_member && !items[..operator].iter().all(|item| matches!(item, Item::Word(_))) {
            return;
        }
        for (number, item) in items[..operator].iter().enumerate() {
            let at = match *item {
                Item::Word(at) => at,
                // What is passed to a macro.
                Item::Group(from, upto) if number > 0 && self.are_macros(&items[..number]) => {
                    self.blank_lexemes(from, upto);
                    continue;
                }
                _ => return,
            };
            let word = self.word(at);
            let qualifies = matches!(items[number + 1], Item::Sign(b':' | b'<', _));
            let spare = match is_member {
                true => {
                    matches!(word, "constexpr" | "inline" | "consteval") || is_capital(word) && !qualifies
                }
                false => !self.is_qualifier(word) && !TYPES.contains(&word),
            };
            if spare {
                self.blank_lexeme(at);
            } else if is_member {
                return;
            }
        }
    }

    /// `extern template …`, `template …` without parameters, and lines of modules declare nothing new.
    fn is_instantiation(&self, items: &[Item]) -> bool {
        let word = |number: usize| match items.get(number) {
            Some(Item::Word(at)) => self.word(*at),
            _ => "",
        };
        match word(0) {
            "extern" => word(1) == "template",
            "template" => !matches!(items.get(1), Some(Item::Sign(b'<', _))),
            "export" => matches!(word(1), "module" | "import"),
            "module" | "import" => {
                self.is_cpp && items.len() > 1 && matches!(items[1], Item::Word(_)) && items.len() == 2
            }
            _ => false,
        }
    }

    /// `template <class T> MACRO(Crate<T>);`, `macro(extern template class Crate);`: the macro makes the declaration.
    fn is_made_by_macro(&self, items: &[Item], is_template: bool) -> bool {
        let [Item::Word(name), Item::Group(open, _)] = items else { return false };
        is_template && is_capital(self.word(*name))
            || matches!(self.word(open + 1), "extern" | "template" | "class" | "struct")
    }

    /// `static macro(…);` outside all types has no type, nor has `macro(…);` among members of another name: the macro
    /// stands for a whole declaration.
    fn is_nameless_call(&self, items: &[Item]) -> bool {
        // Macros without a semicolon may stand in front.
        let led = items.iter().position(|item| !self.are_macros(std::slice::from_ref(item))).unwrap_or(0);
        let [storage @ .., Item::Word(name), Item::Group(open, _)] = &items[led..] else { return false };
        if let Some(Around::Members(owner)) = self.scopes.last() {
            let constructs = self.is_cpp && (owner.is_empty() || owner == self.word(*name));
            // A word in capitals in front may be the type.
            return led == 0
                && storage.is_empty()
                && !constructs
                && self.is_plain_name(*name)
                && self.code[*open].is(b'(');
        }
        let outside = matches!(self.scopes.last(), None | Some(Around::Space));
        // Without any type C declares nothing either: `PRESS_EXPORT PRESS_DECLARATION(crate);`.
        let gives_out = |item: &Item| {
            matches!(item, Item::Word(at) if {
                let word = self.word(*at);
                is_capital(word) && ["_EXPORT", "_API", "_PUBLIC", "_EXTERN"].iter().any(|end| word.ends_with(end))
            })
        };
        let given_out = !storage.is_empty() && is_capital(self.word(*name)) && storage.iter().all(gives_out);
        let is_bare = !self.is_cpp && led == 0 && (storage.is_empty() || given_out);
        let is_storage = |item: &Item| matches!(item, Item::Word(at) if matches!(self.word(*at), "static" | "inline" | "extern" | "const"));
        (self.is_cpp || is_bare)
            && outside
            && self.code[*open].is(b'(')
            && (is_bare || !storage.is_empty() && storage.iter().all(is_storage))
            && !TYPES.contains(&self.word(*name))
            && !NO_NAMES.contains(&self.word(*name))
    }

    /// Returns the place of `template <`.
    fn template_in(&self, items: &[Item]) -> Option<usize> {
        items.windows(2).position(
            |two| matches!(two, [Item::Word(at), Item::Sign(b'<', _)] if self.word(*at) == "template"),
        )
    }

    /// Blanks macros in front of `template <…>` and skips both.
    pub(super) fn behind_template_macros<'i>(&mut self, items: &'i [Item]) -> &'i [Item] {
        let led = self.template_in(items).filter(|&at| self.are_macros(&items[..at]));
        if let Some(at) = led {
            self.mask_leading(&items[..at]);
        }
        self.behind_template(&items[led.unwrap_or(0)..])
    }

    /// Skips `template <…>` and `requires …` in front of a head.
    fn behind_template<'i>(&mut self, items: &'i [Item]) -> &'i [Item] {
        let mut rest = items;
        while let [Item::Word(at), Item::Sign(b'<', _), ..] = rest
            && self.word(*at) == "template"
        {
            let mut depth = 0_i32;
            let close = rest.iter().position(|item| match item {
                Item::Sign(b'<', _) => {
                    depth += 1;
                    false
                }
                Item::Sign(b'>', _) => {
                    depth -= 1;
                    depth == 0
                }
                _ => false,
            });
            let Some(close) = close else { return rest };
            self.mask_nameless_defaults(&rest[2..close]);
            rest = self.behind_requires(&rest[close + 1..]);
        }
        rest
    }

    /// Skips the constraint behind `template <…>`: names and groups, joined by `&&` and `||`.
    fn behind_requires<'i>(&self, items: &'i [Item]) -> &'i [Item] {
        let is_word = |number: usize, word: &str| matches!(items.get(number), Some(Item::Word(at)) if self.word(*at) == word);
        let sign = |number: usize| match items.get(number) {
            Some(Item::Sign(sign, _)) => *sign,
            _ => 0,
        };
        if !is_word(0, "requires") {
            return items;
        }
        let mut at = 1;
        loop {
            while sign(at) == b'!' || is_word(at, "requires") {
                at += 1;
            }
            at += 1;
            while sign(at) == b':' && sign(at + 1) == b':' {
                at += 3;
            }
            if sign(at) == b'<' {
                let mut depth = 0_i32;
                while at < items.len() {
                    depth += i32::from(sign(at) == b'<') - i32::from(sign(at) == b'>');
                    at += 1;
                    if depth == 0 {
                        break;
                    }
                }
            }
            let joins = matches!((sign(at), sign(at + 1)), (b'&', b'&') | (b'|', b'|'));
            if !joins {
                return items.get(at..).unwrap_or_default();
            }
            at += 2;
        }
    }

    /// Blanks the defaults of template parameters that have no name.
    fn mask_nameless_defaults(&mut self, items: &[Item]) {
        let mut depth = 0_i32;
        let mut blanking = false;
        for (number, item) in items.iter().enumerate() {
            match *item {
                Item::Sign(b'<', _) => depth += 1,
                Item::Sign(b'>', _) => depth -= 1,
                Item::Sign(b',', _) if depth == 0 => blanking = false,
                Item::Sign(b'=', _) if depth == 0 => {
                    blanking |= number > 0 && matches!(items[number - 1], Item::Sign(b'>' | b'*' | b'&', _));
                }
                _ => {}
            }
            let called = match (*item, items.get(number + 1)) {
                (Item::Word(at), Some(&Item::Group(from, upto)))
                    if depth == 0 && is_capital(self.word(at)) =>
                {
                    Some((at, from, upto))
                }
                _ => None,
            };
            if let Some((at, from, upto)) = called {
                // `CONDITION(…)` stands for a parameter without a name.
                self.blank_lexeme(at);
                self.blank_lexemes(from, upto);
                let start = self.code[at].start;
                if self.code[upto].end - start >= 5 {
                    self.out[start..start + 5].copy_from_slice(b"class");
                }
            }
            if blanking {
                match *item {
                    Item::Word(at) | Item::Sign(_, at) | Item::Other(at) => self.blank_lexeme(at),
                    Item::Group(from, upto) => self.blank_lexemes(from, upto),
                }
            }
        }
    }

    /// Behind the members of a type stand names, and attributes that are blanked.
    fn mask_tail(&mut self, items: &[Item]) {
        for (number, item) in items.iter().enumerate() {
            let Item::Word(at) = *item else { continue };
            let word = self.word(at);
            let grouped = items.get(number + 1).and_then(|next| match next {
                Item::Group(from, upto) if self.code[*from].is(b'(') => Some((*from, *upto)),
                _ => None,
            });
            let beside = |number: Option<usize>| match number.and_then(|number| items.get(number)) {
                Some(Item::Word(at)) => self.word(*at),
                _ => "",
            };
            let (before, behind) = (beside(number.checked_sub(1)), beside(Some(number + 1)));
            let doubled = !before.is_empty() || !behind.is_empty();
            // Of two words one is the name: the last, unless that can only be a macro.
            let is_macro = |word: &str| word.starts_with("__") || is_capital(word) && looks_like_macro(word);
            // Behind a name in small letters, one in capitals is none.
            let trails = |before: &str, word: &str| {
                !before.is_empty()
                    && !self.is_qualifier(before)
                    && (is_macro(word) || is_capital(word) && !is_capital(before))
            };
            let leads = !behind.is_empty() && !trails(word, behind) && !self.is_qualifier(word);
            let is_attribute = is_capital(word) && looks_like_macro(word) || leads;
            let spare = doubled && is_attribute || trails(before, word);
            // What is called there is a macro, if it is not what gives the type back.
            let called = grouped.is_some_and(|(from, upto)| {
                is_capital(word) || word.starts_with('_') || self.holds_literals(from, upto)
            });
            if ATTRIBUTES.contains(&word) || NOISE.contains(&word) || spare || called {
                self.blank_lexeme(at);
                if let Some((from, upto)) = grouped {
                    self.blank_lexemes(from, upto);
                }
            }
        }
    }

    /// Looks at one item of a head, and returns the number of the next.
    pub(super) fn take_item(&mut self, items: &[Item], number: usize, head: &mut Head) -> usize {
        match items[number] {
            Item::Word(at) => self.take_word(items, number, at, head),
            Item::Group(from, upto) => {
                if self.code[from].is(b'(') {
                    // `(*name)(…)` or a declarator in parentheses.
                    let behind_angles =
                        !head.named && number > 0 && matches!(items[number - 1], Item::Sign(b'>', _));
                    let list = match items.get(number + 1) {
                        Some(&Item::Group(open, close)) if self.code[open].is(b'(') => Some((open, close)),
                        _ => None,
                    };
                    let in_brackets = upto == from + 2 && self.is_plain_name(from + 1);
                    if let Some((open, close)) = list.filter(|_| behind_angles && in_brackets) {
                        // `type<…> (name)(…)`: the brackets keep a macro of that name away.
                        self.blank_lexeme(from);
                        self.blank_lexeme(upto);
                        self.mask_parameters(open, close);
                        head.named = true;
                        head.listed = true;
                        head.name = self.word(from + 1).to_owned();
                        return number + 2;
                    }
                    if behind_angles {
                        // `name<…>(…)`
                        if head.ordinary.pop().is_some() {
                            head.types = head.types.saturating_sub(1);
                        }
                        head.named = true;
                        head.listed = true;
                        self.mask_parameters(from, upto);
                    } else if !head.named {
                        self.mask_inner(from, upto);
                        head.named = true;
                    } else if !head.listed {
                        self.mask_parameters(from, upto);
                        head.listed = true;
                    }
                }
                number + 1
            }
            Item::Sign(b'=', _) => {
                head.stopped = true;
                number + 1
            }
            Item::Sign(b':', _) => {
                let doubled = matches!(items.get(number + 1), Some(Item::Sign(b':', _)));
                if doubled {
                    return number + 2;
                }
                // Behind the colon stand the bits of a field, or the initialisers of a constructor.
                head.stopped = head.listed;
                head.is_field = !head.listed;
                head.named = true;
                number + 1
            }
            Item::Sign(b',', _) => {
                head.stopped = true;
                number + 1
            }
            Item::Sign(b'<', _) if !head.named => skip_angles(items, number),
            Item::Sign(..) | Item::Other(_) => number + 1,
        }
    }

    fn take_word(&mut self, items: &[Item], number: usize, at: usize, head: &mut Head) -> usize {
        let word = self.word(at);
        let group = match items.get(number + 1) {
            Some(&Item::Group(from, upto)) if self.code[from].is(b'(') => Some((from, upto)),
            _ => None,
        };
        if ATTRIBUTES.contains(&word) || (NOISE.contains(&word) && group.is_none()) {
            self.blank_lexeme(at);
            if let Some((from, upto)) = group {
                self.blank_lexemes(from, upto);
                return number + 2;
            }
            return number + 1;
        }
        if word == "operator" {
            // The name goes on up to the parameters.
            head.named = true;
            head.last = Some(number);
            head.converts =
                matches!(items.get(number + 1), Some(Item::Word(at)) if converts_to(self.word(*at)));
            let mut next = number + 1;
            while next < items.len()
                && !matches!(items[next], Item::Group(from, _) if self.code[from].is(b'('))
            {
                next += 1;
            }
            // `operator<< <>(…)`: the list is empty, and the grammar does not know it.
            if let Some(&[Item::Sign(..), Item::Sign(b'<', open), Item::Sign(b'>', close)]) =
                items[number + 1..next].last_chunk()
            {
                self.blank_lexeme(open);
                self.blank_lexeme(close);
            }
            if next + 1 < items.len() && matches!(items[next + 1], Item::Group(..)) {
                next += 1;
            }
            return next;
        }
        if is_capital(word) {
            return self.take_capital(items, (number, at), group, head);
        }
        // Type arguments may stand between a name and what it qualifies.
        let behind = match items.get(number + 1) {
            Some(Item::Sign(b'<', _)) => skip_angles(items, number + 1),
            _ => number + 1,
        };
        let next_qualifies = matches!(items.get(behind), Some(Item::Sign(b':', _)))
            && matches!(items.get(behind + 1), Some(Item::Sign(b':', _)));
        if let Some(next) = self.take_small_macro(items, (number, at), group, head) {
            return next;
        }
        if let Some(group) = group.filter(|_| !NO_NAMES.contains(&word)) {
            return self.take_called_name(items, (number, at), group, head);
        }
        if group.is_some() {
            // `decltype(…)` is a type, `alignas(…)` and its like say nothing.
            head.types += usize::from(matches!(word, "decltype" | "typeof" | "__typeof__"));
            return number + 2;
        }
        if !next_qualifies {
            self.take_specifier(items, (number, at), head);
        }
        number + 1
    }

    /// Takes a word with parentheses behind it: what is declared, or a type before a declarator in parentheses.
    fn take_called_name(
        &mut self,
        items: &[Item],
        (number, at): (usize, usize),
        (from, upto): (usize, usize),
        head: &mut Head,
    ) -> usize {
        let word = self.word(at);
        let list = match items.get(number + 2) {
            Some(&Item::Group(open, close)) if self.code[open].is(b'(') => Some((open, close)),
            _ => None,
        };
        if let Some((open, close)) = list.filter(|_| upto == from + 2 && self.is_plain_name(from + 1)) {
            // `type (name)(…)`: the brackets keep a macro of that name away.
            head.types += 1;
            head.named = true;
            head.listed = true;
            head.name = self.word(from + 1).to_owned();
            self.blank_lexeme(from);
            self.blank_lexeme(upto);
            self.mask_parameters(open, close);
            return number + 3;
        }
        if TYPES.contains(&word)
            || self.is_pointer_group(from) && matches!(items.get(number + 2), Some(Item::Group(..)))
        {
            head.types += 1;
            self.mask_inner(from, upto);
            head.named = true;
            return number + 2;
        }
        head.named = true;
        head.name = word.to_owned();
        head.listed = true;
        self.mask_parameters(from, upto);
        number + 2
    }

    /// Tells whether a word with parentheses behind it is a macro that stands for a type: no type stands before it, and
    /// behind it a name with a list of parameters.
    pub(super) fn is_type_by_macro(&self, items: &[Item], (number, at): (usize, usize), head: &Head) -> bool {
        let mut next = number + 2;
        while matches!(items.get(next), Some(Item::Sign(b'*', _))) {
            next += 1;
        }
        let Some(&Item::Word(name)) = items.get(next) else { return false };
        // The grammar knows calls with one argument before variables.
        let several =
            matches!(items.get(number + 1), Some(&Item::Group(from, upto)) if self.has_several(from, upto));
        let variable = !self.is_cpp && several;
        let declared = match items.get(next + 1) {
            Some(&Item::Group(open, _)) => self.code[open].is(b'(') || variable,
            Some(Item::Sign(b'=' | b',', _)) | None => variable,
            Some(&Item::Word(word)) => !self.is_cpp && is_capital(self.word(word)),
            _ => false,
        };
        let called = self.word(name);
        let constructs = self.is_cpp
            && (matches!(number.checked_sub(1).map(|before| &items[before]), Some(Item::Sign(..)))
                || matches!(self.scopes.last(), Some(Around::Members(owner)) if owner == self.word(at) || owner == called));
        !(head.named || head.is_parameter || constructs)
            && head.types == 0
            && (head.capitals.is_empty() || !self.is_cpp)
            && declared
            && is_name(self.word(at))
            && is_name(called)
            && !is_capital_or_noise(called)
            && !matches!(called, "noexcept" | "throw" | "requires" | "operator")
            // Where another list follows, both are calls in front of it.
            && !self.declares_list(items.get(next + 2..).unwrap_or_default())
    }

    /// Tells whether a group holds several arguments.
    pub(super) fn has_several(&self, from: usize, upto: usize) -> bool {
        self.code[from..upto].iter().any(|lexeme| lexeme.is(b','))
    }

    /// Counts a word before the name: a type, or a word that can only be a macro.
    fn take_specifier(&mut self, items: &[Item], (number, at): (usize, usize), head: &mut Head) {
        let word = self.word(at);
        let behind_star = number > 0 && matches!(items[number - 1], Item::Sign(b'*' | b'&', _));
        let names = |number: usize, pass: &Self| {
            matches!(items.get(number), Some(Item::Word(at))
                if !pass.is_qualifier(pass.word(*at)) && !is_capital(pass.word(*at)))
                && matches!(items.get(number + 1), Some(Item::Group(..)))
        };
        head.is_typedef |= word == "typedef";
        if behind_star && !self.is_qualifier(word) && names(number + 1, self) {
            // `Load * convention weigh(…)`
            self.blank_lexeme(at);
        } else if matches!(word, "struct" | "union" | "enum") || self.is_cpp && word == "class" {
            self.blank_ordinary(head);
            head.types += 1;
            head.tagged = true;
        } else if TYPES.contains(&word) || word == "const" {
            // No type stands before another: what does is a macro.
            let is_type = word != "const";
            if is_type
                || items[number + 1..]
                    .iter()
                    .any(|item| matches!(item, Item::Word(at) if TYPES.contains(&self.word(*at))))
            {
                self.blank_ordinary(head);
            }
            if is_type {
                head.types += 1;
                head.is_builtin = true;
                head.last = Some(number);
            }
        } else if !self.is_qualifier(word) {
            head.types += 1;
            head.ordinary.push(at);
            head.last = Some(number);
        }
    }

    /// Blanks the words that stand where only macros can.
    fn blank_ordinary(&mut self, head: &mut Head) {
        for macro_word in std::mem::take(&mut head.ordinary) {
            self.blank_lexeme(macro_word);
            head.types -= 1;
        }
    }

    /// Tells whether a word in brackets is the name of what is declared.
    fn is_plain_name(&self, at: usize) -> bool {
        let word = self.word(at);
        self.code[at].sort == Sort::Word
            && !is_capital_or_noise(word)
            && !TYPES.contains(&word)
            && !self.is_qualifier(word)
            && word != "void"
    }

    pub(super) fn is_pointer_group(&self, open: usize) -> bool {
        let mut at = open + 1;
        while self.code.get(at).is_some_and(|lexeme| lexeme.sort == Sort::Word)
            && is_capital_or_noise(self.word(at))
        {
            at += 1;
        }
        self.code.get(at).is_some_and(|lexeme| lexeme.is(b'*') || lexeme.is(b'&') || lexeme.is(b'^'))
    }

    /// Blanks the words in capitals that can only be macros: of all specifiers one type must be left.
    pub(super) fn mask_specifiers(&mut self, head: &Head) {
        let mut capitals = head.capitals.clone();
        let mut types = head.types;
        // Of several words only the last can be the type, and one more the name.
        let spare = head.ordinary.len().saturating_sub(match (head.listed || head.named) && !head.is_field {
            // A type that needs no other is there.
            true if head.listed && head.is_builtin => 0,
            true => 1,
            false => 2,
        });
        for &at in head.ordinary[..spare].iter().filter(|_| !head.is_parameter) {
            self.blank_lexeme(at);
        }
        // `extern const char __given name[];`
        if let Some((_, before)) = head.ordinary.split_last()
            && head.is_builtin
            && !(head.listed || head.is_typedef || head.is_parameter)
        {
            for &at in before {
                if self.word(at).starts_with("__") {
                    self.blank_lexeme(at);
                }
            }
        }
        if !head.listed && (!head.named || head.is_field) && !head.ends_with_sign {
            // The last word is the name of what is declared.
            let behind_name = !head.ordinary.is_empty() && types > 1 + usize::from(head.tagged);
            let name_is_capital =
                !behind_name && capitals.last().is_some_and(|&capital| head.last_is(self, capital));
            if name_is_capital {
                capitals.pop();
            } else {
                types = types.saturating_sub(1);
            }
            if head.is_parameter && types == 0 && capitals.is_empty() {
                return;
            }
        }
        let constructs = self.is_cpp
            && (head.converts
                || head.listed
                    && matches!(self.scopes.last(), Some(Around::Members(name)) if *name == head.name && !name.is_empty()));
        if types == 0 && !constructs {
            // One must be the type: one that does not look like a macro, or else the last.
            let keep = capitals
                .iter()
                .rposition(|&at| !looks_like_macro(self.word(at)))
                .or(capitals.len().checked_sub(1));
            if let Some(keep) = keep {
                capitals.remove(keep);
            }
        }
        for at in capitals {
            self.blank_lexeme(at);
        }
    }
}

/// What was seen of a head.
#[derive(Default)]
pub(super) struct Head {
    pub(super) types: usize,
    /// Words that are neither keywords nor capitals, before the name.
    pub(super) ordinary: Vec<usize>,
    /// The type is a word of the language.
    pub(super) is_builtin: bool,
    pub(super) is_typedef: bool,
    /// The type is named with its tag.
    pub(super) tagged: bool,
    /// A conversion operator, which has no type before it.
    pub(super) converts: bool,
    /// Words in capitals: macros, or types, or the name.
    pub(super) capitals: Vec<usize>,
    /// The name of what is declared has been seen, so that what follows are attributes.
    pub(super) named: bool,
    /// A list of parameters has been seen.
    pub(super) listed: bool,
    pub(super) name: String,
    /// The item of the last word that may be the name.
    pub(super) last: Option<usize>,
    pub(super) stopped: bool,
    pub(super) whole_macro: bool,
    pub(super) is_parameter: bool,
    /// A field with a number of bits.
    pub(super) is_field: bool,
    pub(super) ends_with_sign: bool,
}

impl Head {
    /// Tells whether no type was found yet.
    pub(super) fn is_bare(&self) -> bool {
        self.types == 0 && self.capitals.is_empty()
    }

    pub(super) fn only_macros(&self) -> bool {
        self.types == 0 && self.capitals.is_empty() && !self.named
    }

    /// Tells whether a word in capitals is the last word of the head.
    fn last_is(&self, pass: &Pass<'_>, capital: usize) -> bool {
        // Between it and the end of the head no other word stands.
        let rest = pass.code[capital + 1..].iter();
        let next = rest.into_iter().find(|lexeme| !matches!(lexeme.sort, Sort::Directive));
        next.is_none_or(|next| next.sort != Sort::Word)
            && !next.is_some_and(|next| next.is(b'*') || next.is(b'&') || next.is(b'('))
    }
}

/// Tells whether a word behind `operator` begins the type of a conversion.
fn converts_to(word: &str) -> bool {
    let named = ["new", "delete", "co_await", "and", "or", "not", "xor", "bitand", "bitor", "compl"];
    !named.contains(&word) && !word.ends_with("_eq")
}

/// Skips type arguments; a sign that is none is passed over.
pub(super) fn skip_angles(items: &[Item], open: usize) -> usize {
    let mut depth = 0_i32;
    for (number, item) in items.iter().enumerate().skip(open) {
        match item {
            Item::Sign(b'<', _) => depth += 1,
            Item::Sign(b'>', _) => {
                depth -= 1;
                if depth == 0 {
                    return number + 1;
                }
            }
            _ => {}
        }
    }
    open + 1
}
