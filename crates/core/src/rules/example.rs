//! Examples in comments.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Carrier, Level, RuleId};
use crate::reading::{Examples, Language, Parsers};
use crate::text::Span;

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("example.missing"),
    level: Level::None,
    says: "a comment of a configured kind shows no example",
    why: "A call that works says more than a page of text.",
    example: Example {
        language: "python",
        config: "[languages.python]\nexamples = [\"function\"]\n",
        before: "def weigh(load):\n    \"\"\"Weigh a crate.\"\"\"\n",
        after: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    >>> weigh(3)\n    \"\"\"\n",
    },
    check: Check::Comment(missing),
};

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    let (doc, declaration) = (context.doc, context.declaration());
    if !context.file.settings.examples.contains(&declaration.kind) || doc.inherits {
        return;
    }
    let named = |name: &str| {
        matches!(name.to_lowercase().as_str(), "example" | "examples" | "usage" | "snippet" | "code")
    };
    let text = context.slice(doc.span);
    let shown = doc.marks.iter().any(|mark| named(mark.name.as_str()))
        || doc.sections.iter().any(|section| named(section.title))
        || ["```", ">>> ", "<pre", "<code>", "{@snippet", "@code", "\\code", "# Example", "::\n"]
            .iter()
            .any(|mark| text.contains(mark));
    if !shown {
        let message = format!(
            "the comment of `{}` shows no example; add one, as is configured for every {}",
            declaration.name,
            declaration.kind.as_str()
        );
        findings.report(declaration.name_span, "", message).related(doc.span, "this comment").done();
    }
}

pub(super) static SYNTAX: Rule = Rule {
    id: RuleId::new("example.syntax"),
    level: Level::Note,
    says: "an example in the declaration's own language does not parse",
    why: "Readers copy it, and learn that it never ran.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    >>> weigh(3\n    3\n    \"\"\"\n",
        after: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    >>> weigh(3)\n    3\n    \"\"\"\n",
    },
    check: Check::Comment(syntax),
};

/// A piece of code in a comment: each line with the index of the comment's line it comes from.
struct Code<'s> {
    lines: Vec<(usize, &'s str)>,
}

impl<'s> Code<'s> {
    /// Returns the code as it is parsed: its own indentation set aside, entities of HTML and escapes of the string
    /// that holds it read.
    fn text(&self, carrier: Carrier) -> String {
        let indent = |line: &str| line.len() - line.trim_start().len();
        let said = self.lines.iter().filter(|(_, line)| !line.trim().is_empty());
        let base = said.map(|(_, line)| indent(line)).min().unwrap_or(0);
        let mut out = String::new();
        for (_, line) in &self.lines {
            out.push_str(line.get(base.min(indent(line))..).unwrap_or_default());
            out.push('\n');
        }
        if out.contains('&') {
            out = out
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&#64;", "@")
                .replace("&quot;", "\"")
                .replace("&amp;", "&");
        }
        // The end of a comment cannot be written in one.
        if matches!(carrier, Carrier::Block { .. }) && out.contains("*\\/") {
            out = out.replace("*\\/", "*/");
        }
        if carrier == Carrier::Docstring {
            out = out.replace("\\\"", "\"").replace("\\\\", "\\");
        }
        out
    }
}

fn syntax(context: &Context<'_>, findings: &mut Findings<'_>) {
    let shown = context.file.language.examples;
    let text = context.slice(context.doc.span);
    let has = |what: &str| memchr::memmem::find(text.as_bytes(), what.as_bytes()).is_some();
    let prompt = shown.prompt.filter(|(prompt, _)| has(prompt));
    let fenced = !shown.fences.is_empty() && has("```");
    let block = shown.blocks.iter().any(|(open, _)| has(open));
    if prompt.is_none() && !fenced && !block {
        return;
    }
    let mut codes: Vec<Code<'_>> = Vec::new();
    if fenced {
        codes.extend(fences(context, shown.fences));
    }
    if let Some(prompt) = prompt {
        codes.extend(prompted(context, prompt));
    }
    for (open, close) in shown.blocks {
        codes.extend(blocks(context, open, close));
    }
    let codes: Vec<(Code<'_>, String)> = codes
        .into_iter()
        .filter_map(|code| {
            let text = code.text(context.file.language.carrier);
            (is_code(&text) && is_meant_to_run(&text, shown)).then_some((code, text))
        })
        .collect();
    if codes.iter().all(|(_, text)| (shown.is_simple)(text)) {
        return;
    }
    let mut parsers = context.file.parsers.borrow_mut();
    // Most examples are right: those of one comment are tried together before each is looked at.
    if codes.len() > 1 && codes.iter().all(|(_, text)| is_closed(text)) {
        let together: String = codes.iter().map(|(_, text)| text.as_str()).collect();
        if parses(context.file.language, &together, &mut parsers) {
            return;
        }
    }
    for (code, text) in codes {
        let Some(row) = stumbled(context, (&code, &text), &mut parsers) else { continue };
        let line = context.doc.lines[row];
        let text = context.slice(line);
        let lead = text.len() - text.trim_start().len();
        let span = Span::of(line.start as usize + lead, line.start as usize + lead + text.trim().len());
        let message = format!("this example is no {} that parses; correct it", context.file.language.label);
        findings.report(span, "", message).done();
    }
}

/// Tells whether a text is to be parsed: drawings, what a prompt answered and what is not meant to run are no code.
fn is_code(text: &str) -> bool {
    let is_code = text.contains(['(', '=', ';', '{']);
    is_code && !text.contains("+SKIP") && !text.lines().any(|line| line.starts_with("> "))
}

/// Tells whether a text is whole: parts that are left out make no mistake, and expressions one below the other, and
/// what they give, are no statements and not meant as such.
fn is_meant_to_run(text: &str, shown: Examples) -> bool {
    let left_out = ["...", ". . .", "…", "<<", ">>"].iter().any(|sign| text.contains(sign));
    let braces = || shown.blocks.iter().any(|(open, _)| open.contains("{@code"));
    !left_out && !(braces() && is_closed(text) && (!text.contains(';') || text.contains(" => ")))
}

/// Tells whether an example ends in itself: what is left open could be closed by the next one.
fn is_closed(text: &str) -> bool {
    if text.trim_end().ends_with('\\') {
        return false;
    }
    let count = |sign: u8| memchr::memchr_iter(sign, text.as_bytes()).count();
    [(b'(', b')'), (b'[', b']'), (b'{', b'}')].iter().all(|&(open, close)| count(open) == count(close))
}

/// Tells whether code can be read with the first of what may be taken for granted around it.
fn parses(language: &Language, text: &str, parsers: &mut Parsers) -> bool {
    let around = language.examples.around.first();
    around.is_some_and(|around| language.reader.stumbles(&within(*around, text), parsers).is_none())
}

/// Returns code with what is taken for granted around it.
fn within((before, behind): (&str, &str), text: &str) -> String {
    // What stands in a block is indented where that matters.
    if before.ends_with(":\n") {
        let inner: String = text.lines().map(|line| format!("    {line}\n")).collect();
        return format!("{before}{inner}{behind}");
    }
    format!("{before}{text}{behind}")
}

/// Returns the row at which the code cannot be read, whatever is taken for granted around it.
fn stumbled(context: &Context<'_>, (code, text): (&Code<'_>, &str), parsers: &mut Parsers) -> Option<usize> {
    let language = context.file.language;
    let mut furthest = 0;
    for (before, behind) in language.examples.around {
        let whole = within((before, behind), text);
        let at = language.reader.stumbles(&whole, parsers)?;
        let row = whole[before.len().min(at)..at.min(whole.len())].matches('\n').count();
        furthest = furthest.max(row);
    }
    code.lines.get(furthest.min(code.lines.len().saturating_sub(1))).map(|&(row, _)| row)
}

/// Finds fenced code in the language (CommonMark 0.31, 4.5).
fn fences<'a>(context: &Context<'a>, words: &[&str]) -> Vec<Code<'a>> {
    let mut out = Vec::new();
    let mut open: Option<(bool, Code<'a>)> = None;
    for (row, &line) in context.doc.lines.iter().enumerate() {
        let text = context.slice(line);
        let bare = text.trim_start();
        let Some(info) = bare.strip_prefix("```") else {
            if let Some((_, code)) = &mut open {
                // A hash hides a line of an example from readers, not from compilers.
                let hidden = words
                    .contains(&"rust")
                    .then(|| {
                        bare.strip_prefix("# ").or(bare.strip_prefix('#').filter(|rest| rest.is_empty()))
                    })
                    .flatten();
                code.lines.push((row, hidden.unwrap_or(text)));
            }
            continue;
        };
        match open.take() {
            Some((true, code)) => out.push(code),
            Some((false, _)) => {}
            None => {
                let mut attributes =
                    info.trim().trim_start_matches('{').trim_end_matches('}').split([',', ' ']);
                let first = attributes.next().unwrap_or_default().trim_start_matches('.');
                let attributes: Vec<&str> = attributes.collect();
                let known = words.contains(&first)
                    || (words.contains(&"")
                        && matches!(first, "should_panic" | "no_run" | "edition2021" | "edition2024"));
                let left = ["ignore", "text", "compile_fail"]
                    .iter()
                    .any(|word| attributes.contains(word) || first == *word);
                open = Some((known && !left, Code { lines: Vec::new() }));
            }
        }
    }
    out
}

/// Finds code behind prompts: each prompt with the lines that go on from it.
fn prompted<'a>(context: &Context<'a>, (prompt, more): (&str, &str)) -> Vec<Code<'a>> {
    let mut out: Vec<Code<'a>> = Vec::new();
    let mut goes_on = false;
    for (row, &line) in context.doc.lines.iter().enumerate() {
        let text = context.slice(line);
        let bare = text.trim_start();
        if let Some(rest) = bare.strip_prefix(prompt) {
            out.push(Code { lines: vec![(row, rest.strip_prefix(' ').unwrap_or(rest))] });
            goes_on = true;
        } else if let (true, Some(rest), Some(last)) = (goes_on, bare.strip_prefix(more), out.last_mut()) {
            last.lines.push((row, rest.strip_prefix(' ').unwrap_or(rest)));
        } else {
            goes_on = false;
        }
    }
    // Commands of a shell are no code of the language.
    out.retain(|code| {
        !code.lines.iter().any(|(_, line)| line.trim_start().starts_with(['%', '!', '?', '$']))
    });
    out
}

/// Finds blocks between marks that each stand at the start or the end of a line.
fn blocks<'a>(context: &Context<'a>, open: &str, close: &str) -> Vec<Code<'a>> {
    let mut out = Vec::new();
    let mut current: Option<Code<'a>> = None;
    let mut depth = 0_i32;
    for (row, &line) in context.doc.lines.iter().enumerate() {
        let text = context.slice(line);
        let bare = text.trim();
        match &mut current {
            None if bare.ends_with(open)
                || (open.starts_with("{@") && bare.starts_with(open) && bare.ends_with(':')) =>
            {
                current = Some(Code { lines: Vec::new() });
                depth = 0;
            }
            None => {}
            Some(code) => {
                let ends = if close == "}" { bare == "}" && depth <= 0 } else { bare.starts_with(close) };
                if ends {
                    out.extend(current.take());
                    continue;
                }
                depth += i32::try_from(bare.matches('{').count()).unwrap_or(0)
                    - i32::try_from(bare.matches('}').count()).unwrap_or(0);
                code.lines.push((row, text));
            }
        }
    }
    out
}
