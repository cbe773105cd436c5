//! Leaves statements without any fact out of what the grammar is given: a lexical pass, many times faster than the
//! grammar itself.
//!
//! A statement inside a function in which nothing is returned, raised, defined or remarked is left out, blocks and all.
//! Where one ends is sure in Lua: behind what can end an expression, a name or the word of a statement begins the next
//! (reference manual 5.4, §3.3). Where the pass loses its bearings, everything is given.

use std::ops::Range;

use crate::languages::shared::{inside_comment, without_found};
use crate::reading::Given;
use crate::text::narrow;

/// Statements that the parser library reads faster than it passes over a gap, in bytes.
const SHORT: usize = 16;

/// Words that begin a statement.
const STATEMENTS: &[&str] =
    &["local", "if", "while", "for", "repeat", "do", "goto", "break", "return", "function"];

/// Words that stand between the parts of an expression.
const OPERATORS: &[&str] = &["and", "or", "not", "in"];

/// What a block waits for before its statements begin.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Head {
    /// The list of parameters.
    Parameters,
    /// This word.
    Word(&'static str),
    /// Nothing: its statements have begun.
    Read,
}

/// An open block.
struct Block {
    head: Head,
    /// How many brackets were open where it began.
    base: usize,
    /// Where its current statement begins.
    statement: Option<usize>,
    /// Where the function begins whose body it is.
    function: Option<usize>,
    /// A statement of the function, or of a block in it, was left out.
    has_left_out: bool,
}

/// Decides what the grammar is given of `text`, which is Lua without types.
pub(super) fn without_plain_statements(text: &str) -> Given<'_> {
    without_found(Given::all(text), text, Scan::new(text).run())
}

struct Scan<'s> {
    text: &'s str,
    bytes: &'s [u8],
    at: usize,
    brackets: usize,
    blocks: Vec<Block>,
    /// How many of the blocks are bodies of functions.
    functions: usize,
    /// The last token may end an expression.
    after_operand: bool,
    /// Where the last token ends.
    end: usize,
    /// Where the last word began that tells something.
    fact: Option<usize>,
    left_out: Vec<Range<usize>>,
    calls: Vec<u32>,
}

impl<'s> Scan<'s> {
    fn new(text: &'s str) -> Self {
        let file = Block { head: Head::Read, base: 0, statement: None, function: None, has_left_out: false };
        Self {
            text,
            bytes: text.as_bytes(),
            at: if text.starts_with("#!") { text.find('\n').unwrap_or(text.len()) } else { 0 },
            brackets: 0,
            blocks: vec![file],
            functions: 0,
            after_operand: false,
            end: 0,
            fact: None,
            left_out: Vec::new(),
            calls: Vec::new(),
        }
    }

    /// Returns what to leave out, and where functions begin of which something was; nothing when blocks, brackets or
    /// literals do not end.
    fn run(mut self) -> Option<(Vec<Range<usize>>, Vec<u32>)> {
        while let Some(&byte) = self.bytes.get(self.at) {
            let start = self.at;
            match byte {
                b' ' | b'\t' | b'\r' | b'\n' => {
                    self.at += 1;
                    continue;
                }
                b'-' if self.bytes.get(start + 1) == Some(&b'-') => {
                    self.comment(start)?;
                    continue;
                }
                b'"' | b'\'' => {
                    self.at = self.behind_string(start)?;
                    self.after_operand = true;
                }
                b'[' if self.long_open(start).is_some() => {
                    self.at = self.behind_long(start)?;
                    self.after_operand = true;
                }
                b'(' | b'[' | b'{' => {
                    if byte == b'(' && self.begins_block() {
                        // Behind another statement it would call what that one ends with.
                        self.blocks.last_mut()?.statement = Some(start);
                    }
                    self.at += 1;
                    self.brackets += 1;
                    self.after_operand = false;
                }
                b')' | b']' | b'}' => {
                    self.at += 1;
                    self.brackets = self.brackets.checked_sub(1)?;
                    self.after_operand = true;
                    self.close_bracket()?;
                }
                b';' => {
                    self.end_statement();
                    self.at += 1;
                    self.after_operand = false;
                }
                b'.' if self.text[start..].starts_with("...") => {
                    self.at += 3;
                    self.after_operand = true;
                }
                b':' if self.text[start..].starts_with("::") && self.begins_statement() => {
                    // A label: its name and marks are tokens of a statement that stays.
                    self.note_fact(start);
                    self.at += 2;
                    self.after_operand = false;
                }
                _ if byte.is_ascii_alphanumeric() || byte == b'_' || byte >= 0x80 => self.word(start)?,
                _ => {
                    self.at += 1;
                    self.after_operand = false;
                }
            }
            self.end = self.at;
        }
        self.end_statement();
        self.calls.sort_unstable();
        (self.blocks.len() == 1 && self.brackets == 0).then_some((self.left_out, self.calls))
    }

    fn comment(&mut self, start: usize) -> Option<()> {
        let long = self.bytes.get(start + 2) == Some(&b'[') && self.long_open(start + 2).is_some();
        self.at = match long {
            true => self.behind_long(start + 2)?,
            false => memchr::memchr(b'\n', &self.bytes[start..]).map_or(self.bytes.len(), |end| start + end),
        };
        if self.functions == 0 {
            // The marks of a long comment of no level are as long as those of a block comment, and one more.
            let plain = long && self.bytes.get(start + 3) == Some(&b'[');
            self.left_out.extend(plain.then(|| inside_comment(self.text, start + 1, self.at)).flatten());
        } else {
            self.note_fact(start);
        }
        Some(())
    }

    fn word(&mut self, start: usize) -> Option<()> {
        let rest = &self.bytes[start..];
        let len = rest.iter().position(|&b| !(b.is_ascii_alphanumeric() || b == b'_' || b >= 0x80));
        self.at = start + len.unwrap_or(rest.len());
        let word = &self.text[start..self.at];
        let is_name = !(STATEMENTS.contains(&word)
            || OPERATORS.contains(&word)
            || matches!(word, "then" | "else" | "elseif" | "end" | "until"));
        if (is_name || STATEMENTS.contains(&word)) && self.begins_statement() {
            self.end_statement();
            self.blocks.last_mut()?.statement = Some(start);
        }
        self.after_operand = is_name;
        match word {
            "function" => {
                self.note_fact(start);
                let top = self.blocks.last()?;
                let local = top.statement.filter(|&from| self.text[from..start].trim_end() == "local");
                self.open(Head::Parameters, Some(local.unwrap_or(start)));
            }
            "if" => self.open(Head::Word("then"), None),
            "while" | "for" => self.open(Head::Word("do"), None),
            "repeat" => self.open(Head::Read, None),
            "do" if self.waits_for("do") => self.begin_statements(),
            "do" => self.open(Head::Read, None),
            "then" if self.waits_for("then") => self.begin_statements(),
            "then" => return None,
            "elseif" | "else" => {
                self.end_statement();
                self.blocks.last_mut()?.head = if word == "else" { Head::Read } else { Head::Word("then") };
            }
            "end" | "until" => {
                self.end_statement();
                self.close()?;
                self.after_operand = word == "end";
            }
            "return" | "error" | "goto" => self.note_fact(start),
            _ => {}
        }
        Some(())
    }

    fn open(&mut self, head: Head, function: Option<usize>) {
        self.functions += usize::from(function.is_some());
        self.blocks.push(Block { head, base: self.brackets, statement: None, function, has_left_out: false });
    }

    fn close(&mut self) -> Option<()> {
        let block = self.blocks.pop()?;
        if block.base != self.brackets || self.blocks.is_empty() || block.head != Head::Read {
            return None;
        }
        match block.function {
            Some(start) => {
                self.functions -= 1;
                if block.has_left_out {
                    self.calls.push(narrow(start));
                }
            }
            None => self.blocks.last_mut()?.has_left_out |= block.has_left_out,
        }
        Some(())
    }

    fn waits_for(&self, word: &'static str) -> bool {
        self.blocks.last().is_some_and(|top| top.head == Head::Word(word) && top.base == self.brackets)
    }

    fn begin_statements(&mut self) {
        if let Some(top) = self.blocks.last_mut() {
            top.head = Head::Read;
        }
    }

    /// A list of parameters is behind a bracket that closes at the level of its function.
    fn close_bracket(&mut self) -> Option<()> {
        let top = self.blocks.last_mut()?;
        if top.base > self.brackets {
            return None;
        }
        if top.head == Head::Parameters && top.base == self.brackets {
            top.head = Head::Read;
        }
        Some(())
    }

    /// Tells whether a name or a word would begin a statement here.
    fn begins_statement(&self) -> bool {
        self.blocks.last().is_some_and(|top| {
            top.head == Head::Read
                && top.base == self.brackets
                && (top.statement.is_none() || self.after_operand || self.text[..self.end].ends_with("break"))
        })
    }

    /// Tells whether the first statement of a block would begin here.
    fn begins_block(&self) -> bool {
        self.blocks
            .last()
            .is_some_and(|top| top.head == Head::Read && top.base == self.brackets && top.statement.is_none())
    }

    fn note_fact(&mut self, at: usize) {
        self.fact = Some(at);
    }

    /// Ends the current statement of the innermost block where the last token ends.
    fn end_statement(&mut self) {
        let Some(top) = self.blocks.last_mut() else { return };
        let Some(start) = top.statement.take() else { return };
        let plain = self.fact.is_none_or(|fact| fact < start);
        if self.functions == 0 || !plain || self.end < start + SHORT {
            return;
        }
        top.has_left_out = true;
        // What was left out in it is left out with it; what stands before, with nothing between, as well.
        while self.left_out.last().is_some_and(|last| last.start >= start) {
            self.left_out.pop();
        }
        match self.left_out.last_mut() {
            Some(last) if self.text[last.end..start].trim().is_empty() => last.end = self.end,
            _ => self.left_out.push(start..self.end),
        }
    }

    /// Returns the offset behind a quoted string; nothing when it does not end on its line.
    fn behind_string(&self, open: usize) -> Option<usize> {
        let mut at = open + 1;
        loop {
            match *self.bytes.get(at)? {
                b'\\' if self.bytes.get(at + 1) == Some(&b'z') => {
                    at += 2;
                    at += self.bytes[at..].iter().take_while(|byte| byte.is_ascii_whitespace()).count();
                    continue;
                }
                b'\\' => at += 1,
                b'\n' => return None,
                byte if byte == self.bytes[open] => return Some(at + 1),
                _ => {}
            }
            at += 1;
        }
    }

    /// Returns the level of the long bracket that opens at an offset.
    fn long_open(&self, open: usize) -> Option<usize> {
        let level = self.bytes[open + 1..].iter().take_while(|&&byte| byte == b'=').count();
        (self.bytes.get(open + 1 + level) == Some(&b'[')).then_some(level)
    }

    fn behind_long(&self, open: usize) -> Option<usize> {
        let level = self.long_open(open)?;
        let close = format!("]{}]", "=".repeat(level));
        let from = open + level + 2;
        Some(from + memchr::memmem::find(&self.bytes[from..], close.as_bytes())? + close.len())
    }
}

#[cfg(test)]
mod tests {
    use super::without_plain_statements;

    /// Returns what the grammar is given.
    fn given(text: &str) -> String {
        without_plain_statements(text).shown()
    }

    #[test]
    fn statements_without_facts_are_left_out() {
        for (text, wanted) in [
            (
                "function m.f(a)\n  local crates = weigh(a)\n  crates.load = 'end' .. a\n  return crates\nend",
                "function m.f(a)\n  \n  return crates\nend",
            ),
            (
                "local f = function(a) if a then a.load = a.load + 1 else a.load = nil end return a end",
                "local f = function(a)  return a end",
            ),
            (
                "function f(a) for i = 1, #a do a[i] = a[i] + 100 if a[i] > 9 then return i end end end",
                "function f(a) for i = 1, #a do  if a[i] > 9 then return i end end end",
            ),
            (
                "function f(a) repeat a.load = a.load - 1 until a.load < 1 return [[ end ]] end",
                "function f(a)  return [[ end ]] end",
            ),
            (
                "function f(a) while a.load do a = a.next; weigh(a) end; return a end",
                "function f(a) ; return a end",
            ),
        ] {
            assert_eq!(given(text), wanted);
        }
        let text = "local function f(a) weigh(a, a, a, a) end function g() return 1 end";
        assert_eq!(without_plain_statements(text).into_calls(), [0]);
    }

    #[test]
    fn what_tells_something_stays() {
        for text in [
            "local crates = weigh(all_that_is_there)\nfunction f() return crates end",
            "function f(a) if a.load < 0 then error('no load: ' .. a.name) end end",
            "function f(a) -- a remark in between\n return a end",
            "function f(a) local g = function() a.load = 1 end return g end",
            "function f(a) a.load = a.load + 1 + 2",
            "function f(a) ::again:: goto again end",
            "x = ']] end' function f(a) return a",
        ] {
            assert_eq!(given(text), text);
        }
    }

    #[test]
    fn statements_end_where_the_next_begins() {
        for (text, wanted) in [
            ("function f(a) (a.load or a):weigh(1) return a end", "function f(a)  return a end"),
            // A call goes on over lines, an operator as well.
            (
                "function f(a)\n  weigh\n  (a.load)\n  .name = a\n    or b\n  return a\nend",
                "function f(a)\n  \n  return a\nend",
            ),
            ("function f(a) do local b = a.load + 1 end return ... end", "function f(a)  return ... end"),
            ("function f(a) while a do weigh(a.load) break end return a end", "function f(a)  return a end"),
            (
                "function f(a) weigh{ load = a, name = 1 } weigh'a longer text' return a end",
                "function f(a)  return a end",
            ),
        ] {
            assert_eq!(given(text), wanted);
        }
    }
}
