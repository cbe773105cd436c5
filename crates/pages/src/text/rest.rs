//! The part of reStructuredText that comments use: paragraphs, lists, literal blocks, directives, inline markup
//! (docutils, "reStructuredText Markup Specification").

use super::fragments::Fragments;
use crate::safe::escaped;

/// How a literal block lasts.
#[derive(Clone, Copy, PartialEq, Eq)]
enum Literal {
    /// As long as lines are indented deeper than what opened it.
    Deeper(usize),
    /// Until an empty line: a prompt and what it answers.
    Prompt,
}

/// What is being written.
#[derive(Default)]
struct Writing {
    out: String,
    /// A list is open, and an item of it.
    list: bool,
    paragraph: Vec<String>,
    /// Code that is being gathered, and its language.
    code: (Vec<String>, String),
    literal: Option<Literal>,
}

impl Fragments<'_> {
    /// Renders a text.
    pub(super) fn rest(&mut self, text: &str) -> String {
        let mut to = Writing::default();
        // A literal block begins behind the next empty line; it is deeper than this.
        let mut awaited: Option<usize> = None;
        // How deep the text stands that was read last.
        let mut depth = 0;
        for line in text.lines().chain([""]) {
            let bare = line.trim();
            let indent = line.len() - line.trim_start().len();
            if let (Some(outer), false) = (awaited, bare.is_empty()) {
                awaited = None;
                if indent > outer {
                    to.literal = Some(Literal::Deeper(outer));
                }
            }
            match to.literal {
                Some(Literal::Deeper(outer)) if bare.is_empty() || indent > outer => {
                    to.code.0.push(line.to_owned());
                    continue;
                }
                Some(Literal::Prompt) if !bare.is_empty() => {
                    to.code.0.push(line.to_owned());
                    continue;
                }
                Some(_) => self.literal(&mut to),
                None => {}
            }
            if bare.is_empty() {
                let opens = to.paragraph.last().is_some_and(|last| last.ends_with("::"));
                self.paragraph(&mut to);
                if opens {
                    awaited = Some(depth);
                }
                continue;
            }
            if bare.starts_with(">>>") {
                self.paragraph(&mut to);
                to.literal = Some(Literal::Prompt);
                to.code.0.push(line.to_owned());
                continue;
            }
            if let Some((name, said)) = directive(bare) {
                self.paragraph(&mut to);
                if matches!(name, "code" | "code-block" | "sourcecode" | "math" | "parsed-literal") {
                    to.code.1 = if name == "math" { "text" } else { said }.to_owned();
                    awaited = Some(indent);
                } else {
                    let label = name.replace('-', " ");
                    to.paragraph.push(format!("**{label}** {said}"));
                }
                continue;
            }
            if let Some(said) = item(bare) {
                self.paragraph(&mut to);
                to.out.push_str(if to.list { "</li><li>" } else { "<ul><li>" });
                to.list = true;
                to.paragraph.push(said.to_owned());
                depth = indent;
                continue;
            }
            if to.list && indent == 0 && to.paragraph.is_empty() {
                to.out.push_str("</li></ul>");
                to.list = false;
            }
            // A line of signs below a title, or around a table, is no text.
            let underline =
                bare.len() > 2 && bare.bytes().all(|byte| matches!(byte, b'=' | b'-' | b'~' | b'^' | b' '));
            if underline && bare.contains(['=', '~', '^', '-']) {
                if let Some(title) = to.paragraph.pop() {
                    to.paragraph.push(format!("**{title}**"));
                    self.paragraph(&mut to);
                }
                continue;
            }
            to.paragraph.push(bare.to_owned());
            depth = indent;
        }
        self.paragraph(&mut to);
        self.literal(&mut to);
        if to.list {
            to.out.push_str("</li></ul>");
        }
        to.out
    }

    fn literal(&mut self, to: &mut Writing) {
        to.literal = None;
        let (code, language) = std::mem::take(&mut to.code);
        let said = code.iter().filter(|line| !line.trim().is_empty());
        let base = said.map(|line| line.len() - line.trim_start().len()).min().unwrap_or(0);
        // What says how a directive is meant is no code.
        let options = |line: &&str| line.trim_start().starts_with(':') && !language.is_empty();
        let code = code.iter().map(|line| line.get(base..).unwrap_or_default()).skip_while(options);
        let text = code.collect::<Vec<_>>().join("\n");
        if !text.trim().is_empty() {
            let html = self.block(&text, &language);
            to.out.push_str(&html);
        }
    }

    fn paragraph(&mut self, to: &mut Writing) {
        let text = std::mem::take(&mut to.paragraph).join(" ");
        let text = match text.strip_suffix("::") {
            Some(before) if before.is_empty() || before.ends_with(' ') => before.trim_end().to_owned(),
            Some(before) => format!("{before}:"),
            None => text,
        };
        if text.trim().is_empty() {
            return;
        }
        let inline = self.rest_inline(&text);
        // The first words of an item stand in it as they are.
        if to.list && to.out.ends_with("<li>") {
            to.out.push_str(&inline);
        } else {
            to.out.push_str(&format!("<p>{inline}</p>"));
        }
    }

    /// Renders inline markup: ``code``, `names`, roles, emphasis.
    fn rest_inline(&mut self, text: &str) -> String {
        let mut out = String::new();
        let mut rest = text;
        while let Some(at) = rest.find(['`', '*']) {
            let before = &rest[..at];
            let here = &rest[at..];
            let mark = ["``", "**", "`", "*"].into_iter().find(|mark| here.starts_with(mark)).unwrap_or("`");
            let inner = &here[mark.len()..];
            // Inside a word a star is a sign.
            let in_word = mark.starts_with('*') && before.ends_with(|c: char| c.is_alphanumeric());
            let end = inner.find(mark).filter(|&end| end > 0 && !inner.starts_with(' ') && !in_word);
            let Some(end) = end else {
                out.push_str(&escaped(before));
                out.push_str(&escaped(mark));
                rest = inner;
                continue;
            };
            let said = &inner[..end];
            let role = if mark == "`" { role(before) } else { None };
            out.push_str(&escaped(&before[..role.unwrap_or(before.len())]));
            let html = match mark {
                "``" => self.code(said),
                "`" if role.is_some() => {
                    let (label, target) = match said.split_once('<') {
                        Some((label, target)) => (label.trim(), target.trim_end_matches('>')),
                        None => {
                            (said.rsplit('.').next().filter(|_| said.starts_with('~')).unwrap_or(said), said)
                        }
                    };
                    self.reference(target, label)
                }
                "`" => {
                    let behind = &inner[end + 1..];
                    match said.split_once('<').filter(|_| behind.starts_with('_')) {
                        Some((label, target)) => self.reference(target.trim_end_matches('>'), label.trim()),
                        None => self.reference(said, ""),
                    }
                }
                "**" => format!("<strong>{}</strong>", escaped(said)),
                _ => format!("<em>{}</em>", escaped(said)),
            };
            out.push_str(&html);
            rest = &inner[end + mark.len()..];
            if mark == "`" {
                rest = rest.strip_prefix("__").or_else(|| rest.strip_prefix('_')).unwrap_or(rest);
            }
        }
        out.push_str(&escaped(rest));
        out
    }
}

/// Returns where the role in front of a name begins: `:class:`.
fn role(before: &str) -> Option<usize> {
    let trimmed = before.strip_suffix(':')?;
    // `:py:class:` names the language as well.
    let is_of_role = |c: char| c.is_ascii_alphanumeric() || matches!(c, '-' | '+' | ':');
    let start = trimmed
        .rfind(|c: char| !is_of_role(c))
        .map_or(0, |at| at + trimmed[at..].chars().next().map_or(1, char::len_utf8));
    trimmed[start..].starts_with(':').then_some(start).filter(|_| trimmed.len() > start + 1)
}

/// Returns the name of a directive and what stands behind it.
fn directive(bare: &str) -> Option<(&str, &str)> {
    let (name, said) = bare.strip_prefix(".. ")?.split_once("::")?;
    name.chars().all(|c| c.is_ascii_alphanumeric() || c == '-').then_some((name, said.trim()))
}

/// Returns what an item of a list says.
fn item(bare: &str) -> Option<&str> {
    let plain =
        bare.strip_prefix("- ").or_else(|| bare.strip_prefix("* ")).or_else(|| bare.strip_prefix("+ "));
    plain.or_else(|| {
        let digits = bare.bytes().take_while(u8::is_ascii_digit).count();
        let rest = &bare[digits..];
        (digits > 0 && digits < 3)
            .then(|| rest.strip_prefix(". ").or_else(|| rest.strip_prefix(") ")))
            .flatten()
    })
}
