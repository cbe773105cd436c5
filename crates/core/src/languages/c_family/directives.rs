//! Preprocessor lines: of conditions that part a declaration the first branch counts.

use std::borrow::Cow;

use super::lexer::Sort;
use super::mask::{Around, Condition, Pass};
use super::words::is_capital;

impl Pass<'_> {
    /// Takes a preprocessor line. Of a condition whose first branch leaves a declaration open, or opens a
    /// body, only that branch is given; otherwise all branches are.
    pub(super) fn directive(&mut self, at: usize) -> usize {
        let line = &self.text[self.code[at].range()];
        let word =
            line[1..].trim_start().split(|c: char| !c.is_ascii_alphabetic()).next().unwrap_or_default();
        let transparent = self.scopes.iter().all(|scope| *scope != Around::Enumerators);
        self.close_around_macros();
        if word == "define" && transparent && self.head.is_empty() {
            // What the macro stands for need not be read.
            let start = self.code[at].start;
            let bare = without_comments(line);
            let body = start + signature_end(&bare)..self.code[at].end;
            self.out[start..body.start].copy_from_slice(&bare.as_bytes()[..body.start - start]);
            self.blank(body.clone());
            self.blank_rest_name(start, body.start);
            // Without any value the grammar takes the next line for one, behind a blank.
            match body.len() {
                0 => {}
                1 => self.out[body.start] = b'\n',
                _ => self.out[body.start + 1] = b'0',
            }
        } else {
            self.blank_lexeme(at);
        }
        match word {
            "if" | "ifdef" | "ifndef" => {
                self.conditions.push(Condition {
                    scopes: self.scopes.len(),
                    heads: !self.head.is_empty(),
                    in_parens: self.parens,
                });
                let condition = line[1..].trim_start()[word.len()..].trim();
                let never = match word {
                    "if" => condition == "0" || (!self.is_cpp && condition == "defined(__cplusplus)"),
                    // Braces that only an editor is to see.
                    "ifdef" if condition.to_ascii_uppercase().contains("EMACS") => true,
                    "ifdef" => !self.is_cpp && condition.split(' ').next() == Some("__cplusplus"),
                    _ => false,
                };
                if never {
                    return self.skip_branch(at + 1);
                }
            }
            "else" | "elif" | "elifdef" | "elifndef" => {
                let broken = self.conditions.last().is_some_and(|condition| {
                    condition.scopes != self.scopes.len()
                        || condition.heads
                        || !self.head.is_empty()
                        || condition.in_parens != self.parens
                });
                if broken {
                    return self.skip_branch(at + 1);
                }
            }
            "endif" => {
                self.conditions.pop();
            }
            _ => {}
        }
        at + 1
    }

    /// `BEGIN_DECLS` and its like, which no semicolon ends, open no declaration.
    fn close_around_macros(&mut self) {
        const PARTS: &[&str] = &["BEGIN", "END", "NAMESPACE", "DECLS", "PUSH", "POP"];
        let is_around = |&at: &usize| {
            let word = self.word(at);
            is_capital(word) && PARTS.iter().any(|part| word.split('_').any(|own| own == *part))
        };
        if !self.head.is_empty() && self.parens == 0 && self.head.iter().all(is_around) {
            for at in std::mem::take(&mut self.head) {
                self.blank_lexeme(at);
            }
        }
    }

    /// Blanks the name before the dots of a macro (`#define LOG(args...)`), which the grammar does not know.
    pub(super) fn blank_rest_name(&mut self, start: usize, end: usize) {
        let head = self.text[start..end].trim_end_matches(')').trim_end();
        let Some(named) = head.strip_suffix("...") else { return };
        let bare = named.trim_end().trim_end_matches(|c: char| c.is_ascii_alphanumeric() || c == '_');
        self.blank(start + bare.len()..start + named.len());
    }

    /// Blanks all up to the `#endif`, or the `#else` of a branch that is never taken, and returns its index.
    pub(super) fn skip_branch(&mut self, from: usize) -> usize {
        let end = self.branch_end(from).unwrap_or(self.code.len());
        for at in from..end {
            self.blank_lexeme(at);
        }
        end
    }

    /// Returns the index of the brace that closes the one at `open`; of conditions the first branch counts.
    pub(super) fn matching(&self, open: usize) -> Option<usize> {
        let mut depth = 0_i32;
        let mut at = open;
        while at < self.code.len() {
            match self.code[at].sort {
                Sort::Sign(b'{') => depth += 1,
                Sort::Sign(b'}') => {
                    depth -= 1;
                    if depth == 0 {
                        return Some(at);
                    }
                }
                Sort::Directive => {
                    let line = self.text[self.code[at].range()][1..].trim_start();
                    if line.starts_with("el") {
                        at = self.branch_end(at + 1)?;
                        continue;
                    }
                }
                _ => {}
            }
            at += 1;
        }
        None
    }

    /// Returns the index of the `#endif` of the condition around `from`.
    pub(super) fn branch_end(&self, from: usize) -> Option<usize> {
        let mut depth = 0_i32;
        for at in from..self.code.len() {
            if self.code[at].sort == Sort::Directive {
                let line = self.text[self.code[at].range()][1..].trim_start();
                if line.starts_with("if") {
                    depth += 1;
                } else if line.starts_with("endif") {
                    if depth == 0 {
                        return Some(at);
                    }
                    depth -= 1;
                }
            }
        }
        None
    }
}

/// Returns a line with its comments blanked at equal length.
fn without_comments(line: &str) -> Cow<'_, str> {
    let mut out = Cow::Borrowed(line);
    while let Some(open) = out.find("/*") {
        let Some(close) = out[open..].find("*/") else { break };
        let upto = open + close + 2;
        out.to_mut().replace_range(open..upto, &" ".repeat(upto - open));
    }
    out
}

/// Returns where name and parameters of a `#define` end.
fn signature_end(line: &str) -> usize {
    let word = line.find("define").map_or(0, |at| at + "define".len());
    let name = word + line[word..].find(|c: char| !c.is_whitespace()).unwrap_or(0);
    let end =
        line[name..].find(|c: char| !(c.is_alphanumeric() || c == '_')).map_or(line.len(), |at| name + at);
    if line[end..].starts_with('(') {
        line[end..].find(')').map_or(line.len(), |at| end + at + 1)
    } else {
        end
    }
}
