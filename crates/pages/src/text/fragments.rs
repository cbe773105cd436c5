//! Pieces that stand for themselves while the rest of a text is rendered.

use vinequill_core::languages;

use super::code::fence_name;
use super::{Setting, coloured};
use crate::safe::{escaped, is_harmless};

/// What stands in front of a piece's number, and behind it: characters that no text has.
const OPEN: char = '\u{e000}';
const CLOSE: char = '\u{e001}';

/// Pieces of one text.
pub(super) struct Fragments<'a> {
    pub(super) setting: Setting<'a>,
    /// Each with the HTML that it becomes and what was written.
    done: Vec<(String, String)>,
}

impl<'a> Fragments<'a> {
    pub(super) const fn of(setting: Setting<'a>) -> Self {
        Self { setting, done: Vec::new() }
    }

    /// Returns a text without the characters that stand for pieces.
    pub(super) fn clean(text: &str) -> String {
        text.chars().filter(|c| !matches!(*c, OPEN | CLOSE)).collect()
    }

    /// Keeps a piece, and returns what stands for it.
    pub(super) fn keep(&mut self, html: String, written: &str) -> String {
        self.done.push((html, written.to_owned()));
        format!("{OPEN}{}{CLOSE}", self.done.len() - 1)
    }

    /// Puts the HTML of all pieces in.
    pub(super) fn put_back(&self, html: &str) -> String {
        self.replaced(html, |piece| &piece.0)
    }

    /// Returns a text as it was written, the pieces in it included.
    pub(super) fn restored(&self, text: &str) -> String {
        self.replaced(text, |piece| &piece.1)
    }

    fn replaced(&self, text: &str, by: impl Fn(&(String, String)) -> &String) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        while let Some(at) = rest.find(OPEN) {
            out.push_str(&rest[..at]);
            let behind = &rest[at + OPEN.len_utf8()..];
            let Some(end) = behind.find(CLOSE) else { break };
            let piece = behind[..end].parse::<usize>().ok().and_then(|number| self.done.get(number));
            if let Some(piece) = piece {
                out.push_str(by(piece));
            }
            rest = &behind[end + CLOSE.len_utf8()..];
        }
        out.push_str(rest);
        out
    }

    /// A piece of code in a line.
    pub(super) fn code(&mut self, text: &str) -> String {
        let text = self.restored(text);
        self.keep(format!("<code>{}</code>", escaped(&text)), &text)
    }

    /// A block of code, in the language that is named, or the one around where none is.
    pub(super) fn block(&mut self, text: &str, language: &str) -> String {
        let text = self.restored(text);
        let text = text.trim_matches('\n').trim_end();
        let language = if language.is_empty() { self.setting.language } else { language };
        let text = &shown_lines(text, language);
        // As the HTML standard has it for the language of code ("The code element").
        let name = languages::for_fence(fence_name(language)).map(|language| language.id);
        let mut code = coloured(text, language);
        if let Some(name) = name {
            code = format!("<code class=\"language-{name}\">{code}</code>");
        }
        let inner = self.keep(code, text);
        format!("<pre>{inner}</pre>")
    }

    /// A link to what is referred to.
    pub(super) fn reference(&mut self, target: &str, label: &str) -> String {
        let target = self.restored(target);
        let target = target.trim();
        let label = self.restored(label);
        let bare = target.trim_start_matches(['#', '~', '!']);
        let shown = if label.trim().is_empty() { bare } else { label.trim() };
        let is_broken = || {
            let last = bare.rsplit(['.', '#', ':']).next().unwrap_or(bare);
            let last = last.split('(').next().unwrap_or(last);
            self.setting.broken.iter().any(|broken| *broken == bare || *broken == last)
        };
        let html = match self.setting.addresses.find(target, self.setting.from) {
            Some(address) => {
                format!(
                    "<a href=\"{}{}\"><code>{}</code></a>",
                    self.setting.root,
                    escaped(&address),
                    escaped(shown)
                )
            }
            None if is_harmless(target) => {
                format!("<a rel=\"noreferrer\" href=\"{}\">{}</a>", escaped(target), escaped(shown))
            }
            None if is_broken() => {
                format!("<code>{}</code> <span class=\"gap\">leads nowhere</span>", escaped(shown))
            }
            None => format!("<code>{}</code>", escaped(shown)),
        };
        self.keep(html, &format!("{{{target}}}"))
    }
}

/// Returns the lines of an example that readers see: in Rust those behind `# ` are for the compiler alone (The rustdoc
/// book, "Hiding portions of the example").
fn shown_lines(text: &str, language: &str) -> String {
    if !language.starts_with("rust") {
        return text.to_owned();
    }
    let hidden = |line: &&str| line.trim() == "#" || line.trim_start().starts_with("# ");
    let lines: Vec<&str> = text.lines().filter(|line| !hidden(line)).collect();
    lines.join("\n").trim_matches('\n').to_owned()
}

/// Finds what closes something further on in a text; what was once not found is not looked for again, so that a text
/// of nothing but openings is read once.
#[derive(Default)]
pub(super) struct Ahead {
    lacking: Vec<String>,
}

impl Ahead {
    /// Finds `close` in the rest of the text.
    pub(super) fn find(&mut self, rest: &str, close: &str) -> Option<usize> {
        if self.lacking.iter().any(|lacking| lacking == close) {
            return None;
        }
        let found = rest.find(close);
        if found.is_none() {
            self.lacking.push(close.to_owned());
        }
        found
    }
}
