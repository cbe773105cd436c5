//! `path:line:column: level rule: message`, one line a finding.

use std::fmt::Write;

use vinequill_core::model::State;

use super::View;

/// Renders the report.
pub(crate) fn render(view: &View<'_>) -> String {
    let mut out = String::new();
    for file in view.files {
        let path = view.session.typed_path(file.text.path());
        let mut source = None;
        for finding in file.findings.iter().filter(|finding| finding.state == State::New) {
            let at = source.get_or_insert_with(|| file.text.source()).position(finding.raw.span.start);
            let (level, rule, message) = (finding.level.as_str(), finding.raw.rule, &finding.raw.message);
            // Writing to a string cannot fail.
            let _ = writeln!(out, "{path}:{}:{}: {level} {rule}: {message}", at.line, at.column);
        }
    }
    out
}
