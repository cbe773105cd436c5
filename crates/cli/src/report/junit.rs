//! JUnit's XML, as build servers read it: a suite a file, a case a finding.

use std::fmt::Write;

use vinequill_core::model::Level;

use super::wire::{Finding, Review};

/// Renders the report: findings from `fail_on` upwards are failures, all others are skipped.
pub(crate) fn render(report: &Review<'_>, fail_on: Level) -> String {
    let fails = |finding: &Finding<'_>| finding.state == "new" && reaches(&finding.level, fail_on);
    let failures = |findings: &[&Finding<'_>]| findings.iter().filter(|finding| fails(finding)).count();
    let all: Vec<&Finding<'_>> = report.findings.iter().collect();
    let mut out = String::from("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
    // Writing to a string cannot fail.
    let _ = writeln!(
        out,
        "<testsuites name=\"vinequill\" tests=\"{}\" failures=\"{}\" errors=\"0\" skipped=\"{}\">",
        all.len(),
        failures(&all),
        all.len() - failures(&all)
    );
    for suite in all.chunk_by(|one, other| one.path == other.path) {
        let _ = writeln!(
            out,
            "  <testsuite name=\"{}\" tests=\"{}\" failures=\"{}\" errors=\"0\" skipped=\"{}\">",
            escaped(&suite[0].path),
            suite.len(),
            failures(suite),
            suite.len() - failures(suite)
        );
        for finding in suite {
            case(&mut out, finding, fails(finding));
        }
        out.push_str("  </testsuite>\n");
    }
    out.push_str("</testsuites>\n");
    out
}

fn case(out: &mut String, finding: &Finding<'_>, fails: bool) {
    let about = if finding.declaration.is_empty() { "the file" } else { &finding.declaration };
    let subject = if finding.subject.is_empty() { String::new() } else { format!(" {}", finding.subject) };
    let _ = writeln!(
        out,
        "    <testcase name=\"{}\" classname=\"{}\" file=\"{}\" line=\"{}\">",
        escaped(&format!("{about}: {}{subject}", finding.rule)),
        escaped(&finding.path),
        escaped(&finding.path),
        finding.line
    );
    let place = format!("{}:{}:{}", finding.path, finding.line, finding.column);
    if fails {
        let _ = writeln!(
            out,
            "      <failure type=\"{}\" message=\"{}\">{}</failure>",
            escaped(&finding.rule),
            escaped(&finding.message),
            escaped(&format!("{place}: {} {}: {}", finding.level, finding.rule, finding.message))
        );
    } else {
        let why = match (&*finding.state, &finding.reason) {
            ("waived", Some(reason)) => format!("waived: {reason}"),
            ("accepted", _) => "accepted".to_owned(),
            _ => format!("{} at {place}: {}", finding.level, finding.message),
        };
        let _ = writeln!(out, "      <skipped message=\"{}\"/>", escaped(&why));
    }
    out.push_str("    </testcase>\n");
}

/// Tells whether a level, as a word, is at least another.
pub(crate) fn reaches(level: &str, least: Level) -> bool {
    let known = [Level::Note, Level::Warning, Level::Error].into_iter().find(|known| known.as_str() == level);
    least != Level::None && known.is_some_and(|known| known >= least)
}

/// Escapes a text for XML 1.0; characters that it cannot hold are replaced.
fn escaped(text: &str) -> String {
    let mut out = String::with_capacity(text.len());
    for c in text.chars() {
        match c {
            '&' => out.push_str("&amp;"),
            '<' => out.push_str("&lt;"),
            '>' => out.push_str("&gt;"),
            '"' => out.push_str("&quot;"),
            '\n' => out.push_str("&#10;"),
            '\t' => out.push_str("&#9;"),
            '\u{0}'..='\u{1f}' | '\u{fffe}' | '\u{ffff}' => out.push('\u{fffd}'),
            c => out.push(c),
        }
    }
    out
}

#[cfg(test)]
mod tests {
    use super::{escaped, reaches};
    use vinequill_core::model::Level;

    #[test]
    fn signs_of_xml_are_escaped() {
        assert_eq!(escaped("a<b> & \"c\"\u{1}\n"), "a&lt;b&gt; &amp; &quot;c&quot;\u{fffd}&#10;");
    }

    #[test]
    fn levels_are_compared_by_rank() {
        assert!(reaches("error", Level::Warning) && reaches("warning", Level::Warning));
        assert!(!reaches("note", Level::Warning) && !reaches("error", Level::None));
    }
}
