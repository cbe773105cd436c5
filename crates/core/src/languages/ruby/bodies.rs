//! Leaves bodies of methods without any fact out of what the grammar is given: a pass over lines, many times faster
//! than the grammar itself.
//!
//! A body is left out when its `def` stands alone on its line, an `end` as far to the right closes it, and every line
//! between stands further to the right. Where that is not so, the grammar is given all; where the grammar then
//! stumbles, it is given the whole file again.

use std::ops::Range;

use aho_corasick::AhoCorasick;

use crate::languages::shared::{run_behind, without_found};
use crate::reading::Given;
use crate::text::Span;

/// Bodies that the parser library reads faster than it passes over a gap, in bytes.
const SHORT: usize = 12;

/// Decides what the grammar is given of `text`. `facts` finds what a body must not hold; a number sign that opens an
/// expression in a string is none.
pub(super) fn without_plain_bodies<'s>(text: &'s str, facts: &AhoCorasick) -> Given<'s> {
    let mut left_out: Vec<Range<usize>> = Vec::new();
    let mut runs = Vec::new();
    let mut lines = Lines { text, at: 0 };
    while let Some(line) = lines.next() {
        if text[line.clone()].trim_start().starts_with('#') {
            let end = line.start + text[line].trim_end_matches(['\r', '\n']).len();
            if let Some(run) = run_behind(text, end, "#") {
                lines.at = run.end;
                runs.push(Span::of(run.start, run.end));
                left_out.push(run);
            }
            continue;
        }
        let Some(indentation) = head(&text[line.clone()]) else { continue };
        let from = lines.at;
        if let Some(body) = body(Lines { text, at: from }, &text[line.start..line.start + indentation])
            && body.len() > SHORT
            && is_plain(&text[body.clone()], facts)
        {
            lines.at = body.end;
            left_out.push(body);
        }
    }
    without_found(Given::all(text), text, Some((left_out, Vec::new()))).without_lines(runs)
}

/// The lines of a text from an offset on, their ends included.
struct Lines<'s> {
    text: &'s str,
    at: usize,
}

impl Iterator for Lines<'_> {
    type Item = Range<usize>;

    fn next(&mut self) -> Option<Range<usize>> {
        let rest = self.text.as_bytes().get(self.at..).filter(|rest| !rest.is_empty())?;
        let start = self.at;
        self.at += memchr::memchr(b'\n', rest).map_or(rest.len(), |end| end + 1);
        Some(start..self.at)
    }
}

/// Returns how far to the right the head of a method stands that is alone on its line, with all its parameters.
fn head(line: &str) -> Option<usize> {
    let bare = line.trim_start();
    let rest = bare.strip_prefix("def ")?.trim_start();
    // What is made may hold nothing, which matters there.
    if rest.starts_with("initialize") {
        return None;
    }
    let name = rest.find(|c: char| c.is_whitespace() || matches!(c, '(' | ';')).unwrap_or(rest.len());
    let after = rest[name..].trim();
    let after = match after.strip_prefix('(') {
        Some(list) => behind_list(list)?.trim_start(),
        None => after,
    };
    (after.is_empty() || after.starts_with('#')).then_some(line.len() - bare.len())
}

/// Returns what stands behind a list of parameters that was opened; nothing where it holds literals or goes on.
fn behind_list(list: &str) -> Option<&str> {
    let mut depth = 1_usize;
    for (at, byte) in list.bytes().enumerate() {
        match byte {
            b'(' => depth += 1,
            b')' => depth -= 1,
            b'"' | b'\'' | b'#' | b'`' | b'%' | b'/' | b'?' => return None,
            _ => {}
        }
        if depth == 0 {
            return Some(&list[at + 1..]);
        }
    }
    None
}

/// Returns the lines up to the `end` that stands as far to the right as the head.
fn body(lines: Lines<'_>, indentation: &str) -> Option<Range<usize>> {
    let (text, from) = (lines.text, lines.at);
    for line in lines {
        let (start, line) = (line.start, &text[line]);
        if line.trim().is_empty() {
            continue;
        }
        let rest = line.strip_prefix(indentation)?;
        if rest.starts_with([' ', '\t']) {
            continue;
        }
        return (rest.trim_end() == "end").then_some(from..start);
    }
    None
}

fn is_plain(body: &str, facts: &AhoCorasick) -> bool {
    let expression = |at: usize| body[at..].starts_with("#{");
    // Lines of a text that is written out may close what they do not belong to.
    let here_document = memchr::memmem::find_iter(body.as_bytes(), b"<<").any(|at| {
        body[at + 2..].starts_with(|c: char| matches!(c, '~' | '-' | '"' | '\'' | '`') || c.is_uppercase())
    });
    !here_document && facts.find_iter(body).all(|found| expression(found.start()))
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::languages::shared::plain_words;

    /// Returns what the grammar is given.
    fn given(text: &str) -> String {
        let facts = plain_words(&["raise", "return", "#"]);
        without_plain_bodies(text, &facts).shown()
    }

    const LONG: &str = "crates.each do |crate|\n      weigh(crate, \"#{crate.name} of #{all}\")\n    end\n";

    #[test]
    fn bodies_without_facts_are_left_out() {
        for head in
            ["def weigh", "def self.weigh(a, b = (1), *c)", "def weigh?()  # :nodoc:", "def weigh=(a)"]
        {
            let text = format!("class A\n  {head}\n    {LONG}\n  end\n\n  attr :b\nend\n");
            assert_eq!(given(&text), format!("class A\n  {head}\n  end\n\n  attr :b\nend\n"));
        }
    }

    #[test]
    fn what_is_not_sure_stays() {
        for (head, more) in [
            ("def weigh(a) = b", ""),
            ("def weigh a, b", ""),
            ("def weigh(a,", "b)\n    "),
            ("def weigh(a = \")\")", ""),
            ("def weigh; end", ""),
            ("def initialize", ""),
            ("private def weigh", ""),
            ("def weigh", "raise A\n    "),
            ("def weigh", "# A remark.\n    "),
            ("def weigh", "a <<~B\n  end\n    B\n    "),
            ("def weigh", "a\n  rescue B\n    "),
        ] {
            let text = format!("class A\n  {head}\n    {more}{LONG}\n  end\nend\n");
            assert_eq!(given(&text), text);
        }
        let text = format!("def weigh\n  {LONG}");
        assert_eq!(given(&text), text);
    }
}
