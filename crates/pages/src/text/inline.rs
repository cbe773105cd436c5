//! Inline tags and commands: `{@code …}`, `\c word`, `C{…}`, `[[…]]`, `+word+`.

use super::fragments::{Ahead, Fragments};
use crate::safe::escaped;

/// What a name in brackets is searched within, at most: longer ones are none.
const LONGEST_NAME: usize = 160;

impl Fragments<'_> {
    /// Takes `{@code …}`, `{@link …}` and their like out of a text.
    pub(super) fn take_inline_tags(&mut self, text: &str) -> String {
        if !text.contains("{@") {
            return text.to_owned();
        }
        let closing = closings(text);
        let mut out = String::with_capacity(text.len());
        let mut at = 0;
        while let Some(found) = text[at..].find("{@") {
            let open = at + found;
            out.push_str(&text[at..open]);
            let Some(end) = closing.of(open) else {
                out.push_str("{@");
                at = open + 2;
                continue;
            };
            let inner = &text[open + 2..end];
            let (name, said) = inner.split_once(char::is_whitespace).unwrap_or((inner, ""));
            let kept = self.inline_tag(name, said, &text[open..=end]);
            out.push_str(&kept);
            at = end + 1;
        }
        out.push_str(&text[at..]);
        out
    }

    fn inline_tag(&mut self, name: &str, said: &str, whole: &str) -> String {
        match name {
            "code" | "systemProperty" => self.code(said.trim_matches([' ', '\n'])),
            "value" if said.trim().is_empty() => String::new(),
            "literal" => self.keep(escaped(said), said),
            "link" | "linkplain" | "linkcode" | "see" | "value" | "tutorial" => {
                let (target, label) = match said.split_once('|') {
                    Some((target, label)) => (target.trim(), label),
                    None => split_reference(said.trim()),
                };
                self.reference(target, label)
            }
            "inheritDoc" | "inheritdoc" | "docRoot" => String::new(),
            "return" => format!("Returns {said}."),
            "summary" => said.to_owned(),
            "snippet" => {
                let (attributes, code) = said.split_once('\n').unwrap_or(("", said));
                let language = attributes.split("lang=").nth(1).unwrap_or_default();
                let language = language.split([' ', ':']).next().unwrap_or_default().trim_matches('"');
                self.block(code, language)
            }
            "index" => self.keep(escaped(said.split_whitespace().next().unwrap_or_default()), said),
            _ => self.keep(escaped(said), whole),
        }
    }

    /// Takes `[Name]`, ``[`Name`]`` and ``` ``Name`` ``` out of Markdown, where they name a declaration.
    pub(super) fn take_reference_links(&mut self, text: &str, may_be: impl Fn(&str) -> bool) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        let mut fenced = false;
        // In Kotlin every name in brackets is a reference ("Document Kotlin code: KDoc", inline markup).
        let always = self.setting.language == "kotlin";
        while let Some(at) = rest.find(['[', '`']) {
            out.push_str(&rest[..at]);
            let here = &rest[at..];
            if here.starts_with("```") {
                fenced = !fenced;
            }
            if !here.starts_with('[') || fenced {
                let marks = here.len() - here.trim_start_matches(['`', '[']).len();
                // Code in a line is code: what stands in it is no link, but where two marks name a declaration.
                let inner = &here[marks..];
                let close = &here[..marks];
                let end = Some(())
                    .filter(|()| !fenced && !close.contains('['))
                    .and_then(|()| bounded(inner).find(close));
                match end.map(|end| (&inner[..end], end)) {
                    Some((name, end)) if marks == 2 && is_name(name) && self.leads_somewhere(name) => {
                        out.push_str(&self.reference(name, ""));
                        rest = &inner[end + marks..];
                    }
                    Some((_, end)) => {
                        out.push_str(&here[..marks + end + marks]);
                        rest = &inner[end + marks..];
                    }
                    None => {
                        out.push_str(close);
                        rest = inner;
                    }
                }
                continue;
            }
            let inner = &here[1..];
            let end = closed_on_line(inner, ']');
            let behind = end.map_or("", |end| &inner[end + 1..]);
            let name = end.map_or("", |end| inner[..end].trim_matches('`'));
            let kept = end.filter(|_| is_name(name) && may_be(name) && !behind.starts_with(['(', '[', ':']));
            match kept {
                Some(end) if always || self.leads_somewhere(name) || inner.starts_with('`') => {
                    out.push_str(&self.reference(name, ""));
                    rest = &inner[end + 1..];
                }
                _ => {
                    out.push('[');
                    rest = inner;
                }
            }
        }
        out.push_str(rest);
        out
    }

    fn leads_somewhere(&self, name: &str) -> bool {
        self.setting.addresses.find(name, self.setting.from).is_some() || self.setting.broken.contains(&name)
    }

    /// Takes commands such as `\c word`, `@ref Name` and `\code … \endcode` out of a text.
    pub(super) fn take_commands(&mut self, text: &str) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        let mut ahead = Ahead::default();
        while let Some(at) = rest.find(['\\', '@']) {
            // Inside a word it is an address, or an escape.
            let inside = rest[..at].ends_with(|c: char| c.is_alphanumeric());
            out.push_str(&rest[..at]);
            let here = &rest[at..];
            let letters = here[1..].find(|c: char| !c.is_ascii_alphabetic()).unwrap_or(here.len() - 1);
            let (name, behind) = here[1..].split_at(letters);
            let word = || {
                let trimmed = behind.trim_start_matches(' ');
                let end = trimmed.find(char::is_whitespace).unwrap_or(trimmed.len());
                // What ends a sentence is not of the word.
                let word = trimmed[..end].trim_end_matches(['.', ',', ';', ':', ')']);
                (word, &trimmed[word.len()..])
            };
            let mut until = |close: &str| {
                let end = ahead.find(behind, &format!("{}{close}", &here[..1]))?;
                Some((&behind[..end], &behind[end + 1 + close.len()..]))
            };
            let taken = match name {
                _ if inside => None,
                "c" | "p" | "a" | "e" | "em" | "b" => {
                    let (word, left) = word();
                    let html = match name {
                        "c" | "p" => self.code(word),
                        "b" => self.keep(format!("<strong>{}</strong>", escaped(word)), word),
                        _ => self.keep(format!("<em>{}</em>", escaped(word)), word),
                    };
                    (!word.is_empty()).then_some((html, left))
                }
                "ref" => {
                    let (word, left) = word();
                    Some((self.reference(word, ""), left)).filter(|_| !word.is_empty())
                }
                "link" => until("endlink").map(|(said, left)| {
                    let (target, label) = split_reference(said.trim());
                    (self.reference(target, label), left)
                }),
                "code" => until("endcode").map(|(code, left)| {
                    let (language, code) = match code.strip_prefix('{') {
                        Some(rest) => rest.split_once('}').unwrap_or(("", code)),
                        None => ("", code),
                    };
                    (format!("\n\n{}\n\n", self.block(code, language.trim_start_matches('.'))), left)
                }),
                "verbatim" => until("endverbatim")
                    .map(|(text, left)| (format!("\n\n{}\n\n", self.block(text, "text")), left)),
                "n" => Some(("<br>".to_owned(), behind)),
                "details" => Some(("\n\n".to_owned(), behind.trim_start())),
                "short" | "brief" | "endverbatim" | "endcode" | "parblock" | "endparblock" => {
                    Some((String::new(), behind))
                }
                "li" | "arg" => Some(("\n- ".to_owned(), behind.trim_start())),
                _ => None,
            };
            match taken {
                Some((kept, left)) => {
                    out.push_str(&kept);
                    rest = left;
                }
                None => {
                    out.push_str(&here[..1]);
                    rest = &here[1..];
                }
            }
        }
        out.push_str(rest);
        out
    }

    /// Takes Epytext's `C{code}`, `L{link}`, `B{bold}` and their like out of a text.
    pub(super) fn take_lettered(&mut self, text: &str) -> String {
        let closing = closings(text);
        let mut out = String::with_capacity(text.len());
        let mut at = 0;
        while let Some(found) = text[at..].find('{') {
            let open = at + found;
            let letter = text[at..open].chars().next_back().filter(char::is_ascii_uppercase);
            let (Some(letter), Some(end)) = (letter, closing.of(open)) else {
                out.push_str(&text[at..=open]);
                at = open + 1;
                continue;
            };
            out.push_str(&text[at..open - 1]);
            let said = &text[open + 1..end];
            let html = match letter {
                'C' | 'M' => self.code(said),
                'L' | 'U' | 'X' => {
                    let (label, target) = match said.split_once('<') {
                        Some((label, target)) => (label.trim(), target.trim_end_matches('>')),
                        None => ("", said),
                    };
                    self.reference(target, label)
                }
                'B' => self.keep(format!("<strong>{}</strong>", escaped(said)), said),
                'I' => self.keep(format!("<em>{}</em>", escaped(said)), said),
                _ => self.keep(escaped(said), said),
            };
            out.push_str(&html);
            at = end + 1;
        }
        out.push_str(&text[at..]);
        out
    }

    /// Takes `[[Name label]]`, `{{{code}}}` and `'''bold'''` out of a text.
    pub(super) fn take_wiki(&mut self, text: &str) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        let mut ahead = Ahead::default();
        while let Some(at) = rest.find(['[', '{', '\'']) {
            out.push_str(&rest[..at]);
            let here = &rest[at..];
            let marks = [("{{{", "}}}"), ("[[", "]]"), ("'''", "'''"), ("''", "''")];
            let found = marks.into_iter().find_map(|(open, close)| {
                let inner = here.strip_prefix(open)?;
                let end = if open == "{{{" { ahead.find(inner, close) } else { bounded(inner).find(close) };
                Some((open, &inner[..end?], close))
            });
            let Some((open, said, close)) = found else {
                let c = here.chars().next().map_or(1, char::len_utf8);
                out.push_str(&here[..c]);
                // An opening that is not closed is not looked for again in what it opened.
                let run = if here.starts_with("{{{") { 3 } else { c };
                out.push_str(&here[c..run]);
                rest = &here[run..];
                continue;
            };
            let html = match open {
                "{{{" if said.contains('\n') => format!("\n\n{}\n\n", self.block(said, "")),
                "{{{" => self.code(said),
                "[[" => {
                    let (target, label) = split_reference(said.trim());
                    self.reference(target, label)
                }
                "'''" => format!("**{said}**"),
                _ => format!("*{said}*"),
            };
            out.push_str(&html);
            rest = &here[open.len() + said.len() + close.len()..];
        }
        out.push_str(rest);
        out
    }

    /// Takes `+code+` and `{Name}` out of a text.
    pub(super) fn take_ruby(&mut self, text: &str) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        while let Some(at) = rest.find(['+', '{']) {
            out.push_str(&rest[..at]);
            let here = &rest[at..];
            let inner = &here[1..];
            let close = if here.starts_with('+') { '+' } else { '}' };
            let end = closed_on_line(inner, close);
            let said = end.map(|end| &inner[..end]).filter(|said| !said.is_empty());
            let fits = |said: &&str| !said.contains(char::is_whitespace) || close == '}';
            let html = match said.filter(fits) {
                Some(said) if close == '+' && is_name(said) => Some(self.code(said)),
                Some(said) if close == '}' => {
                    let (target, label) = split_reference(said);
                    self.leads_somewhere(target).then(|| self.reference(target, label))
                }
                _ => None,
            };
            match (html, end) {
                (Some(html), Some(end)) => {
                    out.push_str(&html);
                    rest = &inner[end + 1..];
                }
                _ => {
                    out.push_str(&here[..1]);
                    rest = inner;
                }
            }
        }
        out.push_str(rest);
        out
    }
}

/// Returns the start of a text, as far as a name may reach.
fn bounded(text: &str) -> &str {
    let end = (0..=LONGEST_NAME.min(text.len())).rev().find(|&at| text.is_char_boundary(at));
    &text[..end.unwrap_or(0)]
}

/// Finds what closes a name on its line.
fn closed_on_line(text: &str, close: char) -> Option<usize> {
    let near = bounded(text);
    near.find(close).filter(|&end| !near[..end].contains('\n'))
}

fn is_name(text: &str) -> bool {
    !text.is_empty()
        && text.chars().all(|c| c.is_alphanumeric() || "_.:#~()!?=$".contains(c))
        && text.contains(char::is_alphabetic)
}

/// Parts what is referred to from how it is called; parentheses may hold spaces.
fn split_reference(said: &str) -> (&str, &str) {
    let mut depth = 0_usize;
    for (at, c) in said.char_indices() {
        match c {
            '(' | '<' => depth += 1,
            ')' | '>' => depth = depth.saturating_sub(1),
            c if c.is_whitespace() && depth == 0 => return (&said[..at], &said[at..]),
            _ => {}
        }
    }
    (said, "")
}

/// Which brace closes which, in one pass over a text.
struct Closings(Vec<(usize, usize)>);

impl Closings {
    /// Returns where the brace that opens at an offset is closed.
    fn of(&self, open: usize) -> Option<usize> {
        self.0.binary_search_by_key(&open, |&(open, _)| open).ok().map(|at| self.0[at].1)
    }
}

fn closings(text: &str) -> Closings {
    let mut open = Vec::new();
    let mut out = Vec::new();
    for (at, byte) in text.bytes().enumerate() {
        match byte {
            b'{' => open.push(at),
            b'}' => out.extend(open.pop().map(|start| (start, at))),
            _ => {}
        }
    }
    out.sort_unstable();
    Closings(out)
}
