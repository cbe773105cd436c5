//! What was left behind in comments.

use super::rule::{Check, Example, Rule};
use super::{FileContext, Findings};
use crate::model::{Level, RawComment, RuleId};
use crate::text::Span;

pub(crate) static TODO: Rule = Rule {
    id: RuleId::new("leftover.todo"),
    level: Level::None,
    says: "a comment holds a reminder",
    why: "It is a promise to nobody: do it, or write it down where work is planned.",
    example: Example {
        language: "java",
        config: "",
        before: "class Scale {\n    // TODO weigh twice\n    int load;\n}\n",
        after: "class Scale {\n    // Weighed once.\n    int load;\n}\n",
    },
    check: Check::File(todo),
};

pub(crate) static CODE: Rule = Rule {
    id: RuleId::new("leftover.code"),
    level: Level::None,
    says: "a comment holds code that was commented out",
    why: "Nobody knows whether it still works, and version control remembers it.",
    example: Example {
        language: "java",
        config: "",
        before: "class Scale {\n    void weigh() {\n        // int tare = read();\n        // print(tare);\n    }\n}\n",
        after: "class Scale {\n    void weigh() {\n        // The tare is known.\n    }\n}\n",
    },
    check: Check::File(code),
};

/// Reminders, as words of their own in capitals.
const REMINDERS: &[&str] = &["TODO", "FIXME", "XXX", "HACK", "BUG", "TBD"];

fn todo(file: &FileContext<'_>, findings: &mut Findings<'_>) {
    for comment in &file.outline.comments {
        let text = file.source.slice(comment.span);
        for word in REMINDERS {
            for (at, _) in text.match_indices(word) {
                let is_word = |c: char| c.is_alphanumeric() || c == '_';
                let apart = !text[..at].ends_with(is_word) && !text[at + word.len()..].starts_with(is_word);
                // What a draft leaves to be filled in is told by a rule of its own.
                let own = !file.settings.placeholder.is_empty()
                    && text[at..].starts_with(file.settings.placeholder.as_str());
                if !apart || own {
                    continue;
                }
                let start = comment.span.start as usize + at;
                let message = format!("a reminder is left here (`{word}`); do it, or plan it elsewhere");
                findings.report_in(comment.owner, Span::of(start, start + word.len()), word, message).done();
            }
        }
    }
}

fn code(file: &FileContext<'_>, findings: &mut Findings<'_>) {
    for comment in file.outline.comments.iter().filter(|comment| !comment.doc) {
        if is_code(file, comment) {
            let message = "this is code that was commented out; remove it".to_owned();
            findings.report_in(comment.owner, comment.span, "", message).done();
        }
    }
}

/// Tells whether all lines of a comment read like statements, and surely so.
fn is_code(file: &FileContext<'_>, comment: &RawComment) -> bool {
    let text = file.source.slice(comment.span);
    let lines = text
        .lines()
        .map(|line| line.trim_matches(|c: char| c.is_whitespace() || matches!(c, '/' | '*' | '#')));
    let said: Vec<&str> = lines.filter(|line| !line.is_empty()).collect();
    let sure = said.iter().filter(|line| is_statement(line, file.language.ends_with_line)).count();
    let open = said.iter().filter(|line| is_bracket(line)).count();
    sure > 0 && sure + open == said.len()
}

fn is_bracket(line: &str) -> bool {
    line.chars().all(|c| matches!(c, '{' | '}' | '(' | ')' | '[' | ']' | ';' | ',') || c.is_whitespace())
}

/// A line that no sentence looks like.
fn is_statement(line: &str, ends_with_line: bool) -> bool {
    let first = line.split(|c: char| !(c.is_alphanumeric() || c == '_')).next().unwrap_or_default();
    if !line.starts_with(|c: char| c.is_alphabetic() || matches!(c, '_' | '$' | '@' | '}')) {
        return false;
    }
    let ends = line.ends_with([';', '{', '}']) && !line.contains("::=");
    let signs = line.contains(['=', '(', '.']);
    if ends && signs && !line.contains(". ") {
        return true;
    }
    // Where statements end with their line: an assignment or a call, and nothing else.
    let call = line.ends_with(')')
        && line.contains('(')
        && !line.split('(').next().unwrap_or_default().contains(' ');
    let assigned = line.split_once(" = ").is_some_and(|(name, _)| {
        !name.is_empty()
            && name.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '[' | ']' | '$' | '@'))
    });
    let keyword = matches!(first, "if" | "for" | "while" | "def" | "elif" | "else")
        && line.ends_with(':')
        && line.contains(['(', '=', '.']);
    ends_with_line && (call || assigned || keyword)
}
