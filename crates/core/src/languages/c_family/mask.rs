//! What the grammar of C or C++ is given: bodies are left out, and what it cannot read (macros around
//! declarations, conventions, preprocessor lines) is blanked at equal length.
//!
//! The pass knows where it is: in a name space, in a type's members, in an enumeration. There it cuts the
//! text into heads of declarations, and decides for each which words can only be macros. A head always
//! keeps a type and a name, so that no declaration is lost.

use std::ops::Range;

use super::heads::skip_angles;
use super::lexer::{Lexeme, Sort, lex};
use super::small::is_name;
use super::spare::drop_spare;
use super::templates::unwrap_templates;
use super::words::{self, ATTRIBUTES, NOISE, TYPES, is_capital};
use crate::languages::shared::ranges_without;
use crate::reading::Given;
use crate::text::{Span, narrow};

/// Which heads say no more than they must, because the grammar stumbled over less.
pub(super) enum Plainer {
    Nowhere,
    /// Those that the grammar stumbled over: where each error starts, and where the last of those before it
    /// and itself ends.
    At(Vec<(u32, u32)>),
    Everywhere,
}

impl Plainer {
    /// Makes plainer what the grammar stumbled over; `errors` are sorted.
    pub(super) fn at(errors: &[Span]) -> Self {
        let mut furthest = 0;
        let reach = |error: &Span| {
            furthest = furthest.max(error.end);
            (error.start, furthest)
        };
        Self::At(errors.iter().map(reach).collect())
    }
}

/// Decides what the grammar is given of a text.
pub(super) fn mask<'t>(text: &'t str, is_cpp: bool, plainer: &Plainer) -> Given<'t> {
    let all = lex(text);
    let mut code: Vec<Lexeme> = all.into_iter().filter(|lexeme| lexeme.sort != Sort::Comment).collect();
    let mut out = text.as_bytes().to_vec();
    drop_spare(text, &mut code, &mut out);
    if is_cpp {
        unwrap_templates(text, &mut code, &mut out);
    }
    let mut pass = Pass {
        text,
        code: &code,
        out,
        is_cpp,
        plainer,
        scopes: Vec::new(),
        head: Vec::new(),
        parens: 0,
        conditions: Vec::new(),
        bodies: Vec::new(),
        calls: Vec::new(),
        tail: false,
    };
    if is_cpp {
        pass.mask_anywhere();
    }
    pass.run();
    let (bodies, calls) = (pass.bodies, pass.calls);
    // Only whole words and directives were written over; a character that was split is no text.
    let Ok(masked) = String::from_utf8(pass.out) else { return Given::all(text) };
    let ranges = if bodies.is_empty() { Vec::new() } else { ranges_without(text, &bodies) };
    Given::replaced(masked).leaving_out(ranges, calls)
}

/// Where heads stand.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) enum Around {
    Space,
    Members(String),
    Enumerators,
}

/// An `#if` that is open: how things stood at it.
pub(super) struct Condition {
    pub(super) scopes: usize,
    pub(super) heads: bool,
    pub(super) in_parens: i32,
}

pub(super) struct Pass<'s> {
    pub(super) text: &'s str,
    pub(super) code: &'s [Lexeme],
    pub(super) out: Vec<u8>,
    pub(super) is_cpp: bool,
    plainer: &'s Plainer,
    pub(super) scopes: Vec<Around>,
    /// Indexes of the lexemes of the head that is open.
    pub(super) head: Vec<usize>,
    pub(super) parens: i32,
    pub(super) conditions: Vec<Condition>,
    pub(super) bodies: Vec<Range<usize>>,
    pub(super) calls: Vec<u32>,
    /// The head follows the members of a type: names and attributes.
    pub(super) tail: bool,
}

/// A piece of a head outside parentheses.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) enum Item {
    /// A word: index of its lexeme.
    Word(usize),
    /// What stands between a pair of parentheses, the two included: indexes of the two lexemes.
    Group(usize, usize),
    /// A sign.
    Sign(u8, usize),
    /// Anything else.
    Other(usize),
}

/// Returns the place of the first wanted item outside angle brackets.
pub(super) fn outside_angles(items: &[Item], mut wanted: impl FnMut(&Item) -> bool) -> Option<usize> {
    let mut depth = 0_i32;
    items.iter().position(|item| {
        match item {
            Item::Sign(b'<', _) => depth += 1,
            Item::Sign(b'>', _) => depth -= 1,
            _ => {}
        }
        depth == 0 && wanted(item)
    })
}

impl<'s> Pass<'s> {
    pub(super) fn word(&self, at: usize) -> &'s str {
        let lexeme = &self.code[at];
        if lexeme.sort == Sort::Word { &self.text[lexeme.range()] } else { "" }
    }

    /// Tells whether a word is neither type nor name.
    pub(super) fn is_qualifier(&self, word: &str) -> bool {
        words::is_qualifier(word, self.is_cpp)
    }

    /// Tells whether a head says no more than it must.
    pub(super) fn is_plainer(&self, head: &[usize]) -> bool {
        let (Some(&first), Some(&last)) = (head.first(), head.last()) else { return false };
        match self.plainer {
            Plainer::Nowhere => false,
            Plainer::Everywhere => true,
            Plainer::At(errors) => {
                let (start, end) = (narrow(self.code[first].start), narrow(self.code[last].end));
                let before = errors.partition_point(|&(error, _)| error <= end);
                before > 0 && errors[before - 1].1 >= start
            }
        }
    }

    pub(super) fn blank(&mut self, range: Range<usize>) {
        for byte in &mut self.out[range] {
            if !matches!(*byte, b'\n' | b'\r') {
                *byte = b' ';
            }
        }
    }

    pub(super) fn blank_lexeme(&mut self, at: usize) {
        self.blank(self.code[at].range());
    }

    /// Blanks the lexemes from one up to and including another, and what stands between them but comments.
    pub(super) fn blank_lexemes(&mut self, from: usize, upto: usize) {
        for at in from..=upto {
            self.blank_lexeme(at);
        }
    }

    fn run(&mut self) {
        let mut at = 0;
        while at < self.code.len() {
            at = self.step(at);
        }
        let head = std::mem::take(&mut self.head);
        self.drop_lone_macros(&head);
    }

    /// Takes one lexeme, or a whole body, and returns the index of the next.
    fn step(&mut self, at: usize) -> usize {
        let lexeme = self.code[at];
        if self.is_cpp
            && self.word(at) == "restrict"
            && self.code.get(at + 1).is_some_and(|next| next.is(b'('))
        {
            // No word of C++, but one of its grammar.
            self.out[lexeme.end - 1] = b'_';
        }
        if let Some(behind) = self.behind_linkage_macro(at) {
            self.blank_lexemes(at, behind - 1);
            return behind;
        }
        match lexeme.sort {
            Sort::Directive => return self.directive(at),
            Sort::Number | Sort::Text if self.head.is_empty() && self.may_list_values() => {
                self.blank_lexeme(at)
            }
            Sort::Sign(b',') if self.parens <= 0 && self.may_list_values() && self.is_value() => {
                for before in std::mem::take(&mut self.head) {
                    self.blank_lexeme(before);
                }
                self.blank_lexeme(at);
            }
            Sort::Sign(b'(' | b'[') => {
                self.parens += 1;
                self.head.push(at);
            }
            Sort::Sign(b')' | b']') => {
                self.parens -= 1;
                self.head.push(at);
            }
            Sort::Sign(b'{') if self.parens > 0 => return self.braces_in_parens(at),
            Sort::Sign(b'{') => return self.open(at),
            Sort::Sign(b'}') => {
                let head = std::mem::take(&mut self.head);
                match self.scopes.last() {
                    Some(Around::Enumerators) => self.mask_enumerators(&head),
                    // Members end with a semicolon or a body: what does not is a macro, `PyObject_HEAD`.
                    Some(Around::Members(_)) => head.iter().for_each(|&at| self.blank_lexeme(at)),
                    Some(Around::Space) | None => self.drop_lone_macros(&head),
                }
                self.parens = 0;
                self.tail = matches!(self.scopes.pop(), Some(Around::Members(_) | Around::Enumerators));
            }
            Sort::Sign(b';') if self.parens <= 0 => {
                if let Some(brace) = self.behind_old_declarations(at) {
                    return brace;
                }
                let head = std::mem::take(&mut self.head);
                self.mask_head(&head, Some(at));
                self.tail = false;
                self.parens = 0;
            }
            Sort::Sign(b':') if self.is_label(at) => {
                let head = std::mem::take(&mut self.head);
                self.mask_label(&head, at);
            }
            _ => self.head.push(at),
        }
        at + 1
    }

    /// Returns the index behind `MACRO(extern "C" {)` and `MACRO(})`, whose braces are only half of a pair.
    fn behind_linkage_macro(&self, at: usize) -> Option<usize> {
        let (name, behind) = self.code.get(at..)?.split_first()?;
        if name.sort != Sort::Word || !is_capital(self.word(at)) {
            return None;
        }
        let signs = |lexeme: &Lexeme| if let Sort::Sign(sign) = lexeme.sort { sign } else { 0 };
        match behind {
            [open, brace, close, ..] if [open, brace, close].map(signs) == *b"(})" => Some(at + 4),
            [open, linkage, text, brace, close, ..]
                if [open, brace, close].map(signs) == *b"({)"
                    && text.sort == Sort::Text
                    && &self.text[linkage.range()] == "extern" =>
            {
                Some(at + 6)
            }
            _ => None,
        }
    }

    /// Tells whether a run of items is nothing but words in capitals, with or without arguments.
    pub(super) fn are_macros(&self, items: &[Item]) -> bool {
        items.iter().all(|item| match item {
            Item::Word(word) => is_capital(self.word(*word)),
            Item::Group(..) => true,
            Item::Sign(..) | Item::Other(_) => false,
        })
    }

    /// A default of `= {…}` is made a number; other braces in parentheses are passed over.
    fn braces_in_parens(&mut self, open: usize) -> usize {
        let Some(close) = self.matching(open) else {
            self.head.push(open);
            return open + 1;
        };
        let assigned = self.head.last().is_some_and(|&before| self.code[before].is(b'='));
        if assigned {
            self.blank_lexemes(open, close);
            self.out[self.code[open].start] = b'0';
        }
        self.head.push(open);
        self.head.push(close);
        close + 1
    }

    /// Takes an opening brace outside parentheses.
    fn open(&mut self, at: usize) -> usize {
        let head = self.head.clone();
        let kind = self.sort_of(&head);
        match kind {
            Opened::Space => {
                self.mask_before_keyword(&head, &["namespace", "extern"]);
                self.head.clear();
                self.scopes.push(Around::Space);
                at + 1
            }
            Opened::Members => {
                let name = self.mask_type_head(&head);
                self.head.clear();
                self.scopes.push(Around::Members(name));
                at + 1
            }
            Opened::Enumerators => {
                self.mask_type_head(&head);
                self.head.clear();
                self.scopes.push(Around::Enumerators);
                at + 1
            }
            Opened::Value => {
                // An initialiser is part of the head.
                let Some(close) = self.matching(at) else {
                    self.head.clear();
                    return at + 1;
                };
                if self.is_macro_with_value(&head) {
                    for &lexeme in &head {
                        self.blank_lexeme(lexeme);
                    }
                    self.blank_lexemes(at, close);
                    self.head.clear();
                    return close + 1;
                }
                self.head.push(at);
                self.head.push(close);
                self.leave_out(at, close);
                close + 1
            }
            Opened::Body => self.body(at, &head),
        }
    }

    /// Tells what a brace behind a head opens.
    fn sort_of(&self, head: &[usize]) -> Opened {
        let items = self.items(head);
        let mut parens = false;
        let mut capital_parens = false;
        let mut keyword = None;
        let mut angle = 0_i32;
        for (number, item) in items.iter().enumerate() {
            match *item {
                Item::Word(at) => match self.word(at) {
                    "namespace" => return Opened::Space,
                    "extern"
                        if !parens
                            && matches!(items.get(number + 1), Some(Item::Other(_)))
                            && self.are_macros(&items[number + 2..]) =>
                    {
                        return Opened::Space;
                    }
                    word @ ("class" | "struct" | "union" | "enum") if angle == 0 && keyword.is_none() => {
                        keyword = Some(word)
                    }
                    "operator" => return Opened::Body,
                    _ => {}
                },
                Item::Group(open, _) => {
                    let before = number.checked_sub(1).map(|before| items[before]);
                    let word = match before {
                        Some(Item::Word(word)) => self.word(word),
                        _ => "",
                    };
                    let is_tag = |item: &Item| {
                        matches!(item, Item::Word(at)
                            if matches!(self.word(*at), "class" | "struct" | "union" | "enum"))
                    };
                    let tagged = number > 1 && is_tag(&items[number - 2]);
                    // In front of a type's keyword, and right behind it, macros stand.
                    let spare = is_capital(word) && (keyword.is_none() || tagged);
                    let attribute =
                        ATTRIBUTES.contains(&word) || word == "alignas" || spare || self.holds_base(open);
                    capital_parens |= spare;
                    parens |= self.code[open].is(b'(') && !attribute && angle == 0;
                }
                Item::Sign(b'=', _) if angle == 0 => return Opened::Value,
                Item::Sign(b'<', _) => angle += 1,
                Item::Sign(b'>', _) => angle = (angle - 1).max(0),
                Item::Sign(..) | Item::Other(_) => {}
            }
        }
        match keyword {
            Some("enum") if !parens => Opened::Enumerators,
            Some(_) if !parens => Opened::Members,
            _ if parens || capital_parens || items.is_empty() => Opened::Body,
            _ if items.iter().all(|item| matches!(item, Item::Word(at) if is_capital(self.word(*at)))) => {
                Opened::Space
            }
            _ => Opened::Value,
        }
    }

    /// Takes the groups of a head together.
    pub(super) fn items(&self, head: &[usize]) -> Vec<Item> {
        let mut out = Vec::new();
        let mut depth = 0_i32;
        let mut open = 0;
        for &at in head {
            match self.code[at].sort {
                Sort::Sign(b'(' | b'[') => {
                    if depth == 0 {
                        open = at;
                    }
                    depth += 1;
                }
                Sort::Sign(b')' | b']') => {
                    depth -= 1;
                    if depth == 0 {
                        out.push(Item::Group(open, at));
                    }
                }
                _ if depth > 0 => {}
                Sort::Word => out.push(Item::Word(at)),
                Sort::Sign(sign) => out.push(Item::Sign(sign, at)),
                Sort::Number | Sort::Text | Sort::Directive | Sort::Comment => out.push(Item::Other(at)),
            }
        }
        out
    }

    /// Words in capitals alone, and calls without anything else, as before a closing brace or at the end, are macros.
    fn drop_lone_macros(&mut self, head: &[usize]) {
        let items = self.items(head);
        let called = |number: usize| matches!(items.get(number + 1), Some(Item::Group(open, _)) if self.code[*open].is(b'('));
        let lone = items.iter().enumerate().all(|(number, item)| match item {
            Item::Word(at) => is_capital(self.word(*at)) || (called(number) && is_name(self.word(*at))),
            Item::Group(..) => true,
            Item::Sign(..) | Item::Other(_) => false,
        });
        if lone {
            for &at in head {
                self.blank_lexeme(at);
            }
        }
    }

    /// Blanks what stands behind the names of enumerators: macros and values.
    fn mask_enumerators(&mut self, head: &[usize]) {
        let mut named = false;
        let mut depth = 0_i32;
        for (number, &at) in head.iter().enumerate() {
            match self.code[at].sort {
                Sort::Sign(b',') if depth == 0 => {
                    named = false;
                    continue;
                }
                Sort::Sign(b'(' | b'[') => depth += 1,
                Sort::Sign(b')' | b']') => depth -= 1,
                Sort::Sign(b'<')
                    if number > 0
                        && self.code[head[number - 1]].sort == Sort::Word
                        && head.get(number + 1).is_some_and(|&next| !self.code[next].is(b'<')) =>
                {
                    depth += i32::from(head[number..].iter().any(|&later| self.code[later].is(b'>')));
                }
                Sort::Sign(b'>') if depth > 0 => depth -= 1,
                _ => {}
            }
            if std::mem::replace(&mut named, true) {
                self.blank_lexeme(at);
            }
        }
    }

    /// Blanks calls in capitals beside a name: `namespace OLD("…") press`, `using Load OLD("…") = Crate`; the first item
    /// is the keyword.
    pub(super) fn mask_calls_in_capitals(&mut self, items: &[Item]) {
        let is_word = |number: usize| matches!(items.get(number), Some(Item::Word(_)));
        for (number, two) in items.windows(2).enumerate() {
            let beside_name = number > 1 && is_word(number - 1) || is_word(number + 2);
            if let [Item::Word(at), Item::Group(from, upto)] = *two
                && beside_name
                && is_capital(self.word(at))
                && self.code[from].is(b'(')
            {
                self.blank_lexemes(at, upto);
            }
        }
    }

    /// Blanks macros before a keyword that opens a head.
    fn mask_before_keyword(&mut self, head: &[usize], keywords: &[&str]) {
        let items = self.items(head);
        let until = items
            .iter()
            .position(|item| matches!(item, Item::Word(at) if keywords.contains(&self.word(*at))));
        let Some(until) = until else {
            self.drop_lone_macros(head);
            return;
        };
        self.mask_leading(&items[..until]);
        self.mask_calls_in_capitals(&items[until..]);
        for (number, item) in items.iter().enumerate().skip(until) {
            // What is qualified is a name: `press::house::API`.
            let qualified = number > 0 && matches!(items[number - 1], Item::Sign(b':', _));
            if let Item::Word(at) = *item
                && !qualified
                && is_capital(self.word(at))
                && items.iter().filter(|other| matches!(other, Item::Word(_))).count() > until + 2
            {
                self.blank_lexeme(at);
            }
        }
    }

    /// Blanks words in capitals with their groups.
    pub(super) fn mask_leading(&mut self, items: &[Item]) {
        for (number, item) in items.iter().enumerate() {
            if let Item::Word(at) = *item
                && (is_capital(self.word(at))
                    || NOISE.contains(&self.word(at))
                    || ATTRIBUTES.contains(&self.word(at)))
            {
                self.blank_lexeme(at);
                if let Some(&Item::Group(from, upto)) = items.get(number + 1) {
                    self.blank_lexemes(from, upto);
                }
            }
        }
    }

    /// Blanks macros around the name of a type and returns that name.
    fn mask_type_head(&mut self, head: &[usize]) -> String {
        if self.is_plainer(head) {
            let (left, names) = self.mask_stumbled(head);
            let name = self.mask_around_type(&left);
            self.restore(&names);
            return name;
        }
        self.mask_around_type(head)
    }

    fn mask_around_type(&mut self, head: &[usize]) -> String {
        self.mask_forms(head);
        let all = self.items(head);
        let items = self.behind_template_macros(&all);
        let is_keyword = |item: &Item, pass: &Self| matches!(item, Item::Word(at) if matches!(pass.word(*at), "class" | "struct" | "union" | "enum"));
        let keyword = outside_angles(items, |item| is_keyword(item, self));
        let Some(keyword) = keyword else { return String::new() };
        self.mask_leading(&items[..keyword]);
        let is_enum = matches!(items[keyword], Item::Word(at) if self.word(at) == "enum");
        let mut first = keyword + 1;
        if items.get(first).is_some_and(|item| is_keyword(item, self)) {
            first += 1;
        }
        // The name is the last word before bases, type arguments and `final`.
        let end = items[first..]
            .iter()
            .position(|item| matches!(item, Item::Sign(b':' | b'<', _)))
            .map_or(items.len(), |end| first + end);
        // `class Press::Lid`, `class Press<Fruit>::Lid`
        let behind = match items.get(end) {
            Some(Item::Sign(b'<', _)) => skip_angles(items, end),
            _ => end,
        };
        let qualified = self.last_qualified(items, behind);
        let words: Vec<usize> = items[first..end]
            .iter()
            .filter_map(|item| match item {
                Item::Word(at) if self.word(*at) != "final" && !ATTRIBUTES.contains(&self.word(*at)) => {
                    Some(*at)
                }
                _ => None,
            })
            .collect();
        for (number, item) in items[first..end].iter().enumerate() {
            if let Item::Word(at) = *item
                && ATTRIBUTES.contains(&self.word(at))
            {
                self.blank_lexeme(at);
            }
            if let Item::Group(from, upto) = *item {
                // Of an enumeration the grammar knows none.
                let attribute = self.code[from].is(b'[') && !is_enum;
                let before = number.checked_sub(1).map(|before| items[first + before]);
                if !attribute && !matches!(before, Some(Item::Word(at)) if self.word(at) == "alignas") {
                    self.blank_lexemes(from, upto);
                }
            }
        }
        // `class Press PRESS_FINAL : …`: behind a name in small letters, one in capitals is a macro.
        let is_macro = |at: usize| {
            let word = self.word(at);
            word.starts_with("__") || NOISE.contains(&word) || is_capital(word) && word.contains('_')
        };
        let named = words.iter().rposition(|&at| !is_macro(at));
        let named = named.filter(|&place| !is_capital(self.word(words[place])));
        let Some(&name) = named.map(|place| &words[place]).or(words.last()) else {
            // `enum : Flags {`: without a name the grammar reads no type but the language's own.
            let own = |item: &Item| matches!(item, Item::Word(at) if !TYPES.contains(&self.word(*at)));
            if items[end..].iter().any(own) {
                for item in &items[end..] {
                    match *item {
                        Item::Word(at) | Item::Sign(_, at) | Item::Other(at) => self.blank_lexeme(at),
                        Item::Group(from, upto) => self.blank_lexemes(from, upto),
                    }
                }
            }
            return String::new();
        };
        for &other in words.iter().filter(|&&other| other != name) {
            if self.word(other) != "alignas" {
                self.blank_lexeme(other);
            }
        }
        self.word(qualified.unwrap_or(name)).to_owned()
    }

    /// Returns the last of the names that follow with colons in front: `::Lid` behind `Press<Fruit>`.
    fn last_qualified(&self, items: &[Item], from: usize) -> Option<usize> {
        let mut next = from;
        let mut last = None;
        while let Some(&[Item::Sign(b':', _), Item::Sign(b':', _), Item::Word(at)]) =
            items.get(next..next + 3)
        {
            last = Some(at);
            next += 3;
            if matches!(items.get(next), Some(Item::Sign(b'<', _))) {
                next = skip_angles(items, next);
            }
        }
        last.filter(|&at| is_name(self.word(at)))
    }
}

/// What a brace opens.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Opened {
    Space,
    Members,
    Enumerators,
    Value,
    Body,
}

#[cfg(test)]
mod tests {
    use super::*;

    /// Returns what the grammar is given, with white space made one.
    fn given(text: &str) -> String {
        let given = mask(text, true, &Plainer::Nowhere);
        assert_eq!(given.text().len(), text.len());
        let parts: Vec<&str> = if given.ranges().is_empty() {
            vec![given.text()]
        } else {
            given.ranges().iter().map(|range| &given.text()[range.start_byte..range.end_byte]).collect()
        };
        parts.concat().split_whitespace().collect::<Vec<_>>().join(" ")
    }

    #[test]
    fn macros_go_and_declarations_stay() {
        for (text, wanted) in [
            ("API int f(void);", "int f(void);"),
            ("EXTERN int CALL f OF((int a, int b));", "int f (int a, int b) ;"),
            ("VAT_EXTERN(int) f(int a);", "int f(int a);"),
            ("VAT_DEPRECATED(\"x\") int f(int a) VAT_NONNULL(1);", "int f(int a) ;"),
            ("BOOL API f(DWORD a);", "BOOL f(DWORD a);"),
            ("static VATTYPE f(VATTYPE a);", "static VATTYPE f(VATTYPE a);"),
            (
                "__attribute__((x)) void f(const char *RESTRICT s, int n) NOEXCEPT;",
                "void f(const char * s, int n) ;",
            ),
            (
                "class API Vat : public Base { Q_OBJECT public: API Vat(int x = {}); };",
                "class Vat : public Base { public: Vat(int x = 0 ); };",
            ),
            ("BEGIN_DECLS\nint f(void);\nEND_DECLS", "int f(void);"),
            ("VAT_TEST(a, b) { if (x) { y(); } }\nint f(void);", "int f(void);"),
            ("int f(int a) { g(); }", "int f(int a) {}"),
            ("Vat::Vat() : a{1}, b(2) { g(); }", "Vat::Vat() : a{}, b(2) {}"),
            ("typedef int (CALLBACK *cb)(int a);", "typedef int ( *cb)(int a);"),
            ("enum vat { ONE API = 1, TWO };", "enum vat { ONE , TWO };"),
            ("static declare_const(ZERO, 0);\nint f(void);", "int f(void);"),
            ("typedef __vector __bool int flags;", "typedef int flags;"),
            ("typedef wrap<__vector short, 0> flags;", "typedef wrap< short, 0> flags;"),
            ("inline void f(const UNPACK(T)* from, T to);", "inline void f(const UNPACK * from, T to);"),
            (
                "LIST_VALUE(net, \\sa gross)\nLIST_VALUE(tare, \\sa gross)\ntemplate<class T> int f(T a);",
                "template<class T> int f(T a);",
            ),
            (
                "class A { LIST_VALUE(net, to \\c p, const A& p)\nprotected: int f(); };",
                "class A { protected: int f(); };",
            ),
            ("class A { int MTU(void) const; };", "class A { int MTU(void) const; };"),
            ("class A { Load *CP() const { return p; } };", "class A { Load *CP() const {} };"),
            ("void log(void *a, ...) printf_like(3, 4);", "void log(void *a, ...) ;"),
            ("void f(const A<B1, C2>::D &a, E<F1> b);", "void f(const A<B1, C2>::D &a, E<F1> b);"),
            (
                "void f(std::map<int, A> AB, const a::B<C>::D &EF);",
                "void f(std::map<int, A> AB, const a::B<C>::D &EF);",
            ),
            ("void f(unsigned __int128 a);", "void f(unsigned __int128 a);"),
            ("void f(char my_const *a, int my_unused b);", "void f(char *a, int b);"),
            (
                "class A { static const bool Vat_EXPORT zero = false; };",
                "class A { static const bool zero = false; };",
            ),
            ("namespace OLD(\"gone\") press { using A OLD(\"b\") = B; }", "namespace press { using A = B; }"),
            ("template(typename T)( requires C<T> AND D<T>) int f(T a);", "template<typename T> int f(T a);"),
            (
                "class A { void f(ListOf(Load) a, const ListOf(Load *) &b); };",
                "class A { void f(ListOf a, const ListOf &b); };",
            ),
            ("void log(const char *a, ...) _form_(printf, 1, 2);", "void log(const char *a, ...) ;"),
            ("class A { int f() const _override; };", "class A { int f() const ; };"),
            ("extern const char __given a[];", "extern const char a[];"),
            ("void f(void *(*cb)(void *a) NOEXCEPT) NOEXCEPT;", "void f(void *(*cb)(void *a) ) ;"),
            ("CPP(extern \"C\" {)\nint f(int a);\nCPP(})", "int f(int a);"),
            ("#define /* int */ f(/* long */ c) ((c)->d)\nint g(int a);", "#define f( c) 0 int g(int a);"),
            ("template<class... T> int f(T*... all);", "template<class... T> int f(T ... all);"),
            ("const char v[] = \"cellar \" VERSION;", "const char v[] = \"cellar \" ;"),
            ("enum VAT_SORT vat_sort(enum VatKind kind);", "enum VAT_SORT vat_sort(enum VatKind kind);"),
            ("typedef struct { int a; } PACKED vat_t;", "typedef struct { int a; } vat_t;"),
            ("typedef struct __attribute__((packed)) { int a; } vat_t;", "typedef struct { int a; } vat_t;"),
        ] {
            assert_eq!(given(text), wanted, "{text}");
        }
    }

    #[test]
    fn what_makes_heads_and_stands_around_them_is_seen_through() {
        for (text, wanted) in [
            ("VAT_FUNCTION(VAT_RV, f)(int a) { g(); }", "VAT_RV f (int a) {}"),
            ("class Vat : HIDE(public Base<A>) { int f(); };", "class Vat : public Base<A> { int f(); };"),
            (
                "struct VAT_API_LIST *f(struct VAT_API_LIST *a);",
                "struct VAT_API_LIST *f(struct VAT_API_LIST *a);",
            ),
            ("float complex f(double complex *a, int complex);", "float f(double *a, int complex);"),
            ("#ifdef CONFUSE_EMACS\n}\n#endif\nint f(void);", "int f(void);"),
            ("void VAT_FORTRAN(f,F)(const char*, int *b);", "void (f )(const char*, int *b);"),
            ("VAT_FUNCTION(const char *, f)(int a);", "const char * f (int a);"),
            ("0x12, 0x34, 0x56,\n\"ab\", \"cd\"\nint f(void);", "int f(void);"),
            ("-1, &g, .a = 2,\n[B] = 3, SORT(c, 1), D,\nint f(void), *g(int a);", "int f(void), *g(int a);"),
            ("struct A { Vat_HEAD };\nint f(void);", "struct A { }; int f(void);"),
            ("class A { VAT_OLD(5, \"b\") ~A() override; };", "class A { ~A() override; };"),
            ("class A { void restrict(int a); };", "class A { void restric_(int a); };"),
            ("int f(char *__vat_const *a);", "int f(char * *a);"),
        ] {
            assert_eq!(given(text), wanted, "{text}");
        }
    }

    #[test]
    fn texts_may_end_anywhere() {
        for text in [
            "CPP(extern \"C\" {)\nint f(int a) const _given form(1, a);\nCPP(})",
            "template(class T)(requires A<T> AND (B<T>))\nint f(std::map<int, A> AB, ListOf(C *) &d);",
            "#define /* int */ f(/* long */ c) ((c)->d)\nnamespace OLD(\"a\") b { using A OLD(\"c\") = B; }",
            "extern const char __given a[];\nvoid f(void *(*cb)(void *a) NOEXCEPT, char my_const *b) NOEXCEPT;",
        ] {
            for end in 0..=text.len() {
                for is_cpp in [false, true] {
                    for plainer in [Plainer::Nowhere, Plainer::Everywhere] {
                        assert_eq!(mask(&text[..end], is_cpp, &plainer).text().len(), end);
                        assert_eq!(mask(&text[end..], is_cpp, &plainer).text().len(), text.len() - end);
                    }
                }
            }
        }
    }

    #[test]
    fn characters_that_are_written_over_in_part_do_no_harm() {
        let text = "#define A(x) \u{2211}\n\u{e9} API int f(void);\nint g;\n";
        assert_eq!(mask(text, false, &Plainer::Nowhere).text().len(), text.len());
        let outline = crate::testing::outline_text("a.h", text, "");
        assert!(outline.contains("function f("), "{outline}");
    }

    #[test]
    fn of_conditions_inside_a_declaration_the_first_branch_stays() {
        assert_eq!(given("int f(\n#if A\nint a\n#else\nint b\n#endif\n);"), "int f( int a );");
        assert_eq!(
            given("#if A\nint f(int a) {\n#else\nint f(int b) {\n#endif\nx(); }\nint g;"),
            "int f(int a) {} int g;"
        );
        assert_eq!(
            given("#ifdef A\nint f(int a);\n#else\nint f(int b);\n#endif\n"),
            "int f(int a); int f(int b);"
        );
    }
}
