//! Markdown, fit for a comment on a change: what to mend first, everything else folded away.

use std::fmt::Write;

use super::wire::{Finding, Review};

/// Renders the report. `about` says what it is about, empty for everything.
pub(crate) fn render(report: &Review<'_>, about: &str) -> String {
    let totals = &report.totals;
    let counted: Vec<String> = [(totals.error, "error"), (totals.warning, "warning"), (totals.note, "note")]
        .into_iter()
        .filter(|(count, _)| *count > 0)
        .map(|(count, word)| plural(count, word))
        .collect();
    let found = if counted.is_empty() { "nothing to complain of".to_owned() } else { counted.join(", ") };
    let about = if about.is_empty() { String::new() } else { format!(" ({about})") };
    let mut out = format!("### Doc comments: {found}{about}\n\n");
    let new = |level: &'static str| {
        let of_level = move |finding: &&Finding<'_>| finding.state == "new" && finding.level == level;
        report.findings.iter().filter(of_level)
    };
    let grave: Vec<&Finding<'_>> = new("error").chain(new("warning")).collect();
    table(&mut out, &grave);
    let notes: Vec<&Finding<'_>> = new("note").collect();
    fold(&mut out, &plural(count(&notes), "note"), &notes);
    let of_state = |state: &'static str| report.findings.iter().filter(move |finding| finding.state == state);
    let waived: Vec<&Finding<'_>> = of_state("waived").collect();
    fold(&mut out, &format!("{} waived", waived.len()), &waived);
    let accepted: Vec<&Finding<'_>> = of_state("accepted").collect();
    fold(&mut out, &format!("{} accepted before", accepted.len()), &accepted);
    let excused = if totals.excused > 0 { format!(", {} excused", totals.excused) } else { String::new() };
    // Writing to a string cannot fail.
    let _ = writeln!(
        out,
        "{} in {} reviewed{excused}.",
        plural(totals.declarations, "declaration"),
        plural(totals.files, "file")
    );
    out
}

fn count(findings: &[&Finding<'_>]) -> u64 {
    u64::try_from(findings.len()).unwrap_or(u64::MAX)
}

fn fold(out: &mut String, title: &str, findings: &[&Finding<'_>]) {
    if findings.is_empty() {
        return;
    }
    let _ = write!(out, "<details>\n<summary>{title}</summary>\n\n");
    table(out, findings);
    out.push_str("</details>\n\n");
}

fn table(out: &mut String, findings: &[&Finding<'_>]) {
    if findings.is_empty() {
        return;
    }
    out.push_str("| | where | what | rule |\n|---|---|---|---|\n");
    for finding in findings {
        let sign = match &*finding.level {
            "error" => "**error**",
            level => level,
        };
        let reason = finding.reason.as_ref().map(|reason| format!(" — {reason}")).unwrap_or_default();
        let _ = writeln!(
            out,
            "| {sign} | {}:{} | {}{} | `{}` |",
            cell(&finding.path),
            finding.line,
            cell(&finding.message),
            cell(&reason),
            finding.rule
        );
    }
    out.push('\n');
}

/// Makes a text safe in a cell: neither a bar nor markup of its own breaks out. Code spans stay.
fn cell(text: &str) -> String {
    let mut out = String::with_capacity(text.len());
    let spans = text.matches('`').count().is_multiple_of(2);
    let mut code = false;
    for c in text.chars() {
        match c {
            '`' if spans => {
                code = !code;
                out.push(c);
            }
            '|' => out.push_str("\\|"),
            '\n' | '\r' => out.push(' '),
            '<' | '>' | '&' if !code => out.push_str(match c {
                '<' => "&lt;",
                '>' => "&gt;",
                _ => "&amp;",
            }),
            '*' | '_' | '[' | ']' | '`' | '\\' | '~' if !code => {
                out.push('\\');
                out.push(c);
            }
            c => out.push(c),
        }
    }
    out
}

fn plural(count: u64, word: &str) -> String {
    if count == 1 { format!("1 {word}") } else { format!("{count} {word}s") }
}

#[cfg(test)]
mod tests {
    use super::cell;

    #[test]
    fn cells_hold_any_text() {
        assert_eq!(cell("a|b `c|d<e>` <f> *g*"), "a\\|b `c\\|d<e>` &lt;f&gt; \\*g\\*");
        assert_eq!(cell("one ` only\nline"), "one \\` only line");
    }
}
