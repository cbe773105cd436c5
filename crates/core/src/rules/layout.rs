//! Where the parts of a comment stand.

use super::repair::Repair;
use super::rule::{Check, Example, Rule};
use super::{Context, Findings, visible};
use crate::model::{Carrier, Level, RuleId};
use crate::text::{Span, narrow};

pub(super) static GAP: Rule = Rule {
    id: RuleId::new("layout.gap"),
    level: Level::None,
    says: "no empty line stands between the description and the entries, or, in docstrings, after the summary",
    why: "The eye finds the entries sooner when the description has ended.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(gap),
};

pub(super) static LATE_TEXT: Rule = Rule {
    id: RuleId::new("layout.late-text"),
    level: Level::None,
    says: "the description goes on after the entries",
    why: "Readers take it for part of the last entry, or never get there.",
    example: Example {
        language: "python",
        config: "",
        before: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load: what it weighs in kg\n\n    The scale must stand still meanwhile.\n    \"\"\"\n",
        after: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    The scale must stand still meanwhile.\n\n    Args:\n        load: what it weighs in kg\n    \"\"\"\n",
    },
    check: Check::Comment(late_text),
};

/// Returns the rows in which something other than the description begins, in order.
fn opened_rows(context: &Context<'_>) -> Vec<u32> {
    let doc = context.doc;
    let entries = doc.entries.iter().map(|entry| entry.lines.0);
    let marks = doc.marks.iter().map(|mark| mark.lines.0);
    let sections = doc.sections.iter().map(|section| section.lines.0);
    let mut rows: Vec<u32> = entries.chain(marks).chain(sections).collect();
    rows.sort_unstable();
    rows
}

fn is_blank(context: &Context<'_>, row: u32) -> bool {
    context.line(row).trim().is_empty()
}

/// In XML every part of a comment is an element of its own.
fn has_elements(context: &Context<'_>) -> bool {
    context.doc.notation.as_str() == "xml"
}

fn gap(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    let Some(summary) = doc.summary.filter(|_| !has_elements(context)) else { return };
    let has_entries = !doc.entries.is_empty();
    let (first, end) = doc.description;
    let opened = opened_rows(context).into_iter().find(|&row| row >= end.max(first + 1));
    if let Some(row) = opened.filter(|&row| has_entries && row > first && !is_blank(context, row - 1)) {
        let at = context.doc.lines[row as usize];
        let message = "the entries begin right below the description; put an empty line between".to_owned();
        findings.report(trimmed(context, at), "", message).mend(Repair::of(context).part(row));
        return;
    }
    if context.file.language.carrier != Carrier::Docstring {
        return;
    }
    // In a docstring the summary stands by itself.
    let below = doc.lines.partition_point(|line| line.start < summary.end);
    let goes_on = doc.lines.get(below - 1).is_some_and(|line| {
        !context.slice(Span::new(summary.end, line.end.max(summary.end))).trim().is_empty()
    });
    if let Some(&line) =
        doc.lines.get(below).filter(|&&line| !goes_on && !context.slice(line).trim().is_empty())
    {
        let message = "the text goes on right below the summary; put an empty line between".to_owned();
        findings.report(trimmed(context, line), "", message).mend(Repair::of(context).part(narrow(below)));
    }
}

fn trimmed(context: &Context<'_>, line: Span) -> Span {
    let text = context.slice(line);
    let lead = text.len() - text.trim_start().len();
    Span::of(line.start as usize + lead, line.start as usize + lead + text.trim().len())
}

/// Tells whether a row belongs to a section, or to a mark that holds text of its own, as an example does.
fn is_inside(context: &Context<'_>, row: u32) -> bool {
    let doc = context.doc;
    let sections = doc.sections.iter().any(|section| section.lines.0 <= row && row < section.lines.1);
    let last_mark = doc.marks.iter().map(|mark| mark.lines.0).filter(|&at| at <= row).max();
    let last_entry = doc.entries.iter().map(|entry| entry.lines.0).filter(|&at| at <= row).max();
    sections || last_mark > last_entry
}

fn late_text(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    // Below a heading of Markdown stands what belongs to it.
    if has_elements(context) || doc.entries.is_empty() || doc.notation.as_str() == "headings" {
        return;
    }
    let opened = opened_rows(context);
    let Some(&first) = opened.first() else { return };
    let column = |row: u32| {
        let text = context.slice(doc.lines[row as usize]);
        text.len() - text.trim_start().len()
    };
    let base = column(first);
    let late = visible::lines(context).iter().find(|line| {
        let row = u32::try_from(line.row).unwrap_or(u32::MAX);
        row > first
            && is_blank(context, row - 1)
            && column(row) <= base
            && !opened.contains(&row)
            && !is_inside(context, row)
            && line.text.trim_start().starts_with(char::is_alphabetic)
    });
    let Some(late) = late else { return };
    let message = "the description goes on after the entries; move this above them".to_owned();
    findings
        .report(trimmed(context, doc.lines[late.row]), "", message)
        .related(doc.lines[first as usize], "the entries begin here")
        .done();
}
