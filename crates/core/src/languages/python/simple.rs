//! Recognises code that is made of simple statements alone: assignments, calls, imports.
//!
//! Nearly all examples in docstrings are, and what is recognised here need not be parsed to know that it can be. The part of
//! the language is chosen so that nothing is recognised that the grammar would stumble over; what is not recognised is parsed.

/// Words that are no names (Python 3.13, "Keywords"), and `print` and `exec`, which begin statements of Python 2.
const RESERVED: &[&str] = &[
    "False", "None", "True", "and", "as", "assert", "async", "await", "break", "class", "continue", "def",
    "del", "elif", "else", "except", "exec", "finally", "for", "from", "global", "if", "import", "in", "is",
    "lambda", "match", "nonlocal", "not", "or", "pass", "print", "raise", "return", "try", "type", "while",
    "with", "yield", "case",
];

/// Keywords that are values.
const VALUES: &[&str] = &["False", "None", "True"];

/// As deep as brackets may be nested.
const DEEPEST: usize = 32;

/// Tells whether every line of a text is part of a simple statement; false when in doubt.
pub(super) fn is_simple(text: &str) -> bool {
    let mut scan = Scan { bytes: text.as_bytes(), at: 0, depth: 0 };
    loop {
        scan.skip_blank_lines();
        if scan.at == scan.bytes.len() {
            return true;
        }
        if scan.statement().is_none() || scan.statement_end().is_none() {
            return false;
        }
    }
}

/// What an expression may be assigned to, or not.
#[derive(Clone, Copy, PartialEq, Eq)]
enum Form {
    /// A name, an attribute, an element, or several of them.
    Target,
    Value,
}

impl Form {
    fn both(self, other: Self) -> Self {
        if other == Self::Target { self } else { Self::Value }
    }
}

/// Steps return nothing where they do not know how to go on.
struct Scan<'s> {
    bytes: &'s [u8],
    at: usize,
    /// How many brackets are open: lines do not end inside.
    depth: usize,
}

impl Scan<'_> {
    fn peek(&self) -> u8 {
        self.bytes.get(self.at).copied().unwrap_or(0)
    }

    fn skip_blank_lines(&mut self) {
        loop {
            let start = self.at;
            self.skip_space();
            if self.peek() == b'\n' {
                self.at += 1;
            } else {
                // A statement that is indented belongs to another: it is left for the next step to stumble over.
                if self.at < self.bytes.len() {
                    self.at = start;
                }
                return;
            }
        }
    }

    fn skip_space(&mut self) {
        loop {
            match self.peek() {
                b' ' | b'\t' => self.at += 1,
                b'\n' if self.depth > 0 => self.at += 1,
                b'#' => {
                    let rest = &self.bytes[self.at..];
                    self.at += memchr::memchr(b'\n', rest).unwrap_or(rest.len());
                }
                _ => return,
            }
        }
    }

    /// Takes a sign, with white space behind it.
    fn takes(&mut self, sign: &str) -> bool {
        let taken = self.bytes[self.at..].starts_with(sign.as_bytes());
        if taken {
            self.at += sign.len();
            self.skip_space();
        }
        taken
    }

    /// Returns the word that stands here.
    fn word(&self) -> &str {
        let rest = &self.bytes[self.at..];
        let end = rest.iter().position(|b| !(b.is_ascii_alphanumeric() || *b == b'_')).unwrap_or(rest.len());
        let starts = rest.first().is_some_and(|b| b.is_ascii_alphabetic() || *b == b'_');
        // Only ASCII was looked at.
        if starts { std::str::from_utf8(&rest[..end]).unwrap_or_default() } else { "" }
    }

    fn takes_word(&mut self, wanted: &str) -> bool {
        let taken = self.word() == wanted;
        if taken {
            self.at += wanted.len();
            self.skip_space();
        }
        taken
    }

    fn name(&mut self) -> Option<()> {
        let word = self.word();
        let behind = self.bytes.get(self.at + word.len());
        let is_call = word == "print" && behind == Some(&b'(');
        let is_reserved = RESERVED.contains(&word) && !is_call;
        if word.is_empty() || is_reserved || matches!(behind, Some(b'"' | b'\'' | 0x80..)) {
            return None;
        }
        self.at += word.len();
        self.skip_space();
        Some(())
    }

    fn dotted(&mut self) -> Option<()> {
        self.name()?;
        while self.takes(".") {
            self.name()?;
        }
        if self.takes_word("as") { self.name() } else { Some(()) }
    }

    fn statement_end(&mut self) -> Option<()> {
        self.skip_space();
        match self.peek() {
            b'\n' => self.at += 1,
            b';' => {
                self.at += 1;
                self.skip_space();
            }
            _ if self.at == self.bytes.len() => {}
            _ => return None,
        }
        Some(())
    }

    fn statement(&mut self) -> Option<()> {
        if self.takes_word("import") {
            self.dotted()?;
            while self.takes(",") {
                self.dotted()?;
            }
            return Some(());
        }
        if self.takes_word("from") {
            self.dotted()?;
            return (self.takes_word("import")).then(|| self.imported()).flatten();
        }
        let mut form = self.several()?;
        loop {
            if !self.bytes[self.at..].starts_with(b"==") && self.takes("=") {
                if form != Form::Target {
                    return None;
                }
                form = self.several()?;
            } else if ["+=", "-=", "*=", "/="].iter().any(|sign| self.takes(sign)) {
                self.several()?;
                return (form == Form::Target).then_some(());
            } else {
                return Some(());
            }
        }
    }

    fn imported(&mut self) -> Option<()> {
        if self.takes("*") {
            return Some(());
        }
        self.dotted()?;
        while self.takes(",") {
            self.dotted()?;
        }
        Some(())
    }

    /// Takes expressions with commas between.
    fn several(&mut self) -> Option<Form> {
        let mut form = self.expression()?;
        while self.takes(",") {
            if matches!(self.peek(), b'\n' | b'=' | b'#' | b';' | 0) {
                break;
            }
            form = form.both(self.expression()?);
        }
        Some(form)
    }

    fn expression(&mut self) -> Option<Form> {
        let mut form = self.unary()?;
        while self.operator() {
            self.unary()?;
            form = Form::Value;
        }
        Some(form)
    }

    fn operator(&mut self) -> bool {
        const SIGNS: &[&str] =
            &["**", "//", "==", "!=", "<=", ">=", "<", ">", "+", "-", "*", "/", "%", "@", "&", "|", "^"];
        if let Some(sign) = SIGNS.iter().find(|sign| self.bytes[self.at..].starts_with(sign.as_bytes())) {
            // What assigns is no operator of an expression.
            let assigns = self.bytes.get(self.at + sign.len()) == Some(&b'=');
            return !assigns && self.takes(sign);
        }
        if self.takes_word("not") {
            return self.takes_word("in");
        }
        if self.takes_word("is") {
            _ = self.takes_word("not");
            return true;
        }
        self.takes_word("and") || self.takes_word("or") || self.takes_word("in")
    }

    fn unary(&mut self) -> Option<Form> {
        let mut bare = true;
        while self.takes("-") || self.takes("+") || self.takes("~") {
            bare = false;
        }
        let form = self.postfix()?;
        Some(if bare { form } else { Form::Value })
    }

    fn postfix(&mut self) -> Option<Form> {
        let mut form = self.primary()?;
        loop {
            match self.peek() {
                b'.' => {
                    self.takes(".");
                    self.name()?;
                    form = Form::Target;
                }
                b'(' => {
                    self.bracketed(b')', Self::argument)?;
                    form = Form::Value;
                }
                b'[' => {
                    let before = self.at;
                    self.bracketed(b']', Self::slice)?;
                    if self.bytes[before + 1..self.at].trim_ascii_start().starts_with(b"]") {
                        return None;
                    }
                    form = Form::Target;
                }
                _ => return Some(form),
            }
        }
    }

    /// Takes a list in brackets.
    fn bracketed(&mut self, close: u8, item: fn(&mut Self) -> Option<()>) -> Option<()> {
        if self.depth == DEEPEST {
            return None;
        }
        self.depth += 1;
        self.at += 1;
        self.skip_space();
        while self.peek() != close {
            item(self)?;
            if !self.takes(",") && self.peek() != close {
                return None;
            }
        }
        self.depth -= 1;
        self.at += 1;
        self.skip_space();
        Some(())
    }

    fn argument(&mut self) -> Option<()> {
        if self.takes("**") || self.takes("*") {
            return self.expression().map(drop);
        }
        let start = self.at;
        if self.name().is_some() && self.peek() == b'=' && self.bytes.get(self.at + 1) != Some(&b'=') {
            self.takes("=");
        } else {
            self.at = start;
        }
        self.expression().map(drop)
    }

    fn slice(&mut self) -> Option<()> {
        let ends = |scan: &Self| matches!(scan.peek(), b':' | b',' | b']');
        if !ends(self) {
            self.expression()?;
        }
        if self.peek() == b',' && self.bytes[..self.at].trim_ascii_end().ends_with(b"[") {
            return None;
        }
        for _ in 0..2 {
            if self.takes(":") && !ends(self) {
                self.expression()?;
            }
        }
        Some(())
    }

    fn element(&mut self) -> Option<()> {
        self.expression().map(drop)
    }

    fn pair(&mut self) -> Option<()> {
        self.expression()?;
        self.takes(":").then(|| self.expression().map(drop)).flatten()
    }

    fn primary(&mut self) -> Option<Form> {
        match self.peek() {
            b'(' => self.bracketed(b')', Self::element)?,
            b'[' => self.bracketed(b']', Self::element)?,
            b'{' => self.bracketed(b'}', Self::pair)?,
            b'"' | b'\'' => self.strings()?,
            b'0'..=b'9' | b'.' => self.number()?,
            _ => {
                let word = self.word();
                if VALUES.contains(&word) {
                    self.at += word.len();
                    self.skip_space();
                    return Some(Form::Value);
                }
                if matches!(self.bytes.get(self.at + word.len()), Some(b'"' | b'\'')) {
                    // Of the prefixes of strings only those that change nothing here.
                    if !matches!(word, "b" | "u") {
                        return None;
                    }
                    self.at += word.len();
                    self.strings()?;
                    return Some(Form::Value);
                }
                return self.name().map(|()| Form::Target);
            }
        }
        Some(Form::Value)
    }

    /// Takes a string of one line, and those behind it.
    fn strings(&mut self) -> Option<()> {
        while matches!(self.peek(), b'"' | b'\'') {
            let quote = self.peek();
            let rest = &self.bytes[self.at + 1..];
            let end = rest.iter().position(|&b| b == quote || b == b'\\' || b == b'\n')?;
            // Escapes, line ends and three quotes are left to the grammar.
            if rest[end] != quote || (end == 0 && rest.get(1) == Some(&quote)) {
                return None;
            }
            self.at += end + 2;
            self.skip_space();
        }
        Some(())
    }

    fn number(&mut self) -> Option<()> {
        let digits = |scan: &mut Self| {
            let from = scan.at;
            while scan.peek().is_ascii_digit() {
                scan.at += 1;
            }
            scan.at > from
        };
        let whole = digits(self);
        let mut fraction = false;
        if self.peek() == b'.' {
            self.at += 1;
            fraction = digits(self);
        }
        if !whole && !fraction {
            return None;
        }
        if matches!(self.peek(), b'e' | b'E') {
            self.at += 1;
            if matches!(self.peek(), b'+' | b'-') {
                self.at += 1;
            }
            if !digits(self) {
                return None;
            }
        }
        if matches!(self.peek(), b'j' | b'J') {
            self.at += 1;
        }
        if self.peek().is_ascii_alphanumeric() || matches!(self.peek(), b'_' | b'.' | 0x80..) {
            return None;
        }
        self.skip_space();
        Some(())
    }
}

#[cfg(test)]
mod tests {
    use super::is_simple;
    use crate::languages::python::PYTHON;
    use crate::reading::Parsers;

    #[test]
    fn simple_statements_are_recognised_and_can_be_parsed() {
        for text in [
            "",
            "\n  \n# The press.\n",
            "weigh(3)",
            "print(weigh(3), 'kg')",
            "import crates\nimport crates.scale as scale, press",
            "from crates import Scale as S, weigh\nfrom press import *",
            "a, b = scale.weigh(crate, *loads, unit='kg', **rest)[0].value",
            "x[0, 1:2, ::-1, :] = y = -1.5e-3j ** 2 // .5",
            "loads = [1, (2,), (), {'a': 1, 'b': [],}, []]",
            "weigh(  # a remark\n    crate,\n    load,\n)",
            "a += 1; b = not_in\n",
            "a == b, a is not None, b not in c or d and e",
            "'a' \"b\" == b'c'",
            "scale . weigh (crate) . value",
            "x = y < z > 3 != 4",
        ] {
            assert!(is_simple(text), "{text}");
            assert_eq!(PYTHON.reader.stumbles(text, &mut Parsers::new()), None, "{text}");
        }
    }

    #[test]
    fn anything_else_is_left_to_the_grammar() {
        for text in [
            "weigh(3", "weigh 3", "print x", "a b", "weigh(3) = a", "3 = a", "a = = b",
            "for a in b:\n    c()", "    weigh(3)", "x[]", "x[,]", "a..b", "1.2.3", "3x", "'a", "'''a'''",
            "r'\\'", "f'{a}'", "def f(): pass", "a = lambda: 1", "[a for a in b]", "{1, 2}", "a if b else c",
            "@wraps", "a,, b", "weigh(,)", "(,)", "€", "weight€", "a =", "a +", "not", "import a.",
            "from a import (b)", "a = b)", "-a = b", "a: int = 3", "5 + = 3", "a + 1 = 3",
            "weigh(crate load)",
        ] {
            assert!(!is_simple(text), "{text}");
        }
    }
}
