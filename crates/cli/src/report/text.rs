//! The report for people: grouped by file, with the source of both sides, and what to do next.

use std::collections::BTreeMap;
use std::fmt::Write;
use std::io;

use annotate_snippets::renderer::DecorStyle;
use annotate_snippets::{AnnotationKind, Group, Level as Shown, Renderer, Snippet};
use vinequill_core::model::{Finding, Level, State};
use vinequill_core::text::{Source, Span};
use vinequill_project::Reviewed;

use super::View;
use crate::terminal::{self, style, styled, width};

/// Columns of the words that open the closing lines.
const HEAD: usize = 16;

/// More findings than this are summed up on a terminal.
const MANY: usize = 50;

/// Writes the report, while it is made.
///
/// # Errors
/// When it cannot be written.
pub(crate) fn write(view: &View<'_>, out: &mut dyn io::Write) -> io::Result<()> {
    let shown =
        |finding: &&Finding| finding.state == State::New && (view.notes || finding.level > Level::Note);
    let count: usize = view.files.iter().map(|file| file.findings.iter().filter(shown).count()).sum();
    let sheet = Sheet::of(view);
    if count > MANY && !view.all {
        out.write_all(sheet.finished(overview(view)).as_bytes())?;
    } else {
        let report = |file: &Reviewed| {
            let findings: Vec<&Finding> = file.findings.iter().filter(shown).collect();
            if findings.is_empty() { String::new() } else { file_report(&sheet, view, file, &findings) }
        };
        for report in view.each_file(report) {
            out.write_all(report.as_bytes())?;
        }
    }
    if !view.quiet {
        out.write_all(sheet.finished(closing(view, count)).as_bytes())?;
    }
    Ok(())
}

/// What excerpts are laid out for: asked of the terminal once, and not for each of thousands.
struct Sheet {
    renderer: Renderer,
    width: usize,
    /// Somebody looks on. In a pipe a message stays on one line, to be searched for.
    watched: bool,
    styled: bool,
}

impl Sheet {
    fn of(view: &View<'_>) -> Self {
        let width = width();
        let renderer = if view.styled { styles(Renderer::styled()) } else { Renderer::plain() };
        let renderer = renderer.decor_style(DecorStyle::Unicode).term_width(width);
        Self { renderer, width, watched: terminal::is_watched(), styled: view.styled }
    }

    /// Takes styles out where they are not shown.
    fn finished(&self, text: String) -> String {
        if self.styled { text } else { anstream::adapter::strip_str(&text).to_string() }
    }
}

fn file_report(sheet: &Sheet, view: &View<'_>, file: &Reviewed, findings: &[&Finding]) -> String {
    let path = view.session.typed_path(file.text.path());
    let source = file.text.source();
    let mut out = sheet.finished(rule_line(sheet.width, &path, &plural(findings.len(), "finding")));
    for finding in findings {
        out.push_str(&excerpt(sheet, &source, &path, finding));
        if view.verbose {
            let line = format!("vinequill: waive {} -- WHY", finding.raw.rule);
            let how = styled(style::FAINT, &format!("\nto waive it, in its comment: {line}"));
            out.push_str(&sheet.finished(how));
        }
        out.push_str("\n\n");
    }
    out
}

/// A heading that reaches over the width of the report.
fn rule_line(width: usize, left: &str, right: &str) -> String {
    let used = left.chars().count() + right.chars().count() + 4;
    let fill = "─".repeat(width.saturating_sub(used).max(2));
    format!(
        "{} {} {}\n\n",
        styled(style::STRONG, left),
        styled(style::FAINT, &fill),
        styled(style::FAINT, right)
    )
}

/// Renders one finding with the source it points at.
fn excerpt(sheet: &Sheet, source: &Source, path: &str, finding: &Finding) -> String {
    let primary = first_line(source, finding.raw.span);
    let related: Vec<(Span, &str)> =
        finding.raw.related.iter().map(|r| (first_line(source, r.span), r.label.as_str())).collect();
    let spans = || related.iter().map(|&(span, _)| span).chain([primary]);
    let first = source.line(spans().map(|span| span.start).min().unwrap_or(0));
    let last = source.line(spans().map(|span| span.end).max().unwrap_or(0));
    let from = source.line_span(first).map_or(0, |line| line.start);
    let upto = source.line_span(last).map_or(from, |line| line.end);
    let local =
        |span: Span| (span.start - from) as usize..(span.end.min(upto).max(span.start) - from) as usize;
    let text = source.slice(Span::new(from, upto));
    let mut snippet = Snippet::source(text)
        .path(path)
        .line_start(first as usize)
        .fold(true)
        .annotation(AnnotationKind::Primary.span(local(primary)));
    for &(span, label) in related.iter().filter(|&&(span, _)| span != primary) {
        snippet = snippet.annotation(AnnotationKind::Context.span(local(span)).label(label));
    }
    let level = match finding.level {
        Level::Error => Shown::ERROR,
        Level::Warning => Shown::WARNING,
        Level::Note | Level::None => Shown::NOTE,
    };
    let rule = finding.raw.rule.as_str();
    let head = finding.level.as_str().len() + rule.len() + "[]: ".len();
    let room = if sheet.watched { sheet.width.saturating_sub(head) } else { usize::MAX };
    let message = filled(&finding.raw.message, room);
    let title = level.primary_title(message.as_str()).id(rule);
    let group: Group<'_> = title.element(snippet);
    sheet.renderer.render(&[group])
}

/// Draws excerpts in the styles of this program.
const fn styles(renderer: Renderer) -> Renderer {
    renderer
        .error(style::ERROR)
        .warning(style::WARNING)
        .note(style::NOTE)
        .line_num(style::FAINT)
        .context(anstyle::Style::new())
        .emphasis(anstyle::Style::new())
}

/// A span that runs over lines is shown by its first line that says something.
fn first_line(source: &Source, span: Span) -> Span {
    let text = source.slice(span);
    let Some(line) =
        text.lines().find(|line| line.chars().any(char::is_alphanumeric)).or(text.lines().next())
    else {
        return span;
    };
    let bare = line.trim();
    let start = span.start as usize + (bare.as_ptr() as usize - text.as_ptr() as usize);
    Span::of(start, start + bare.len())
}

/// Sums up many findings: by rule and folder, the worst files, and what to type next.
fn overview(view: &View<'_>) -> String {
    let mut by_rule: BTreeMap<(std::cmp::Reverse<Level>, &str), usize> = BTreeMap::new();
    let mut by_folder: BTreeMap<String, usize> = BTreeMap::new();
    let mut by_file: Vec<(usize, String)> = Vec::new();
    for file in view.files {
        let path = view.session.typed_path(file.text.path());
        let mut count = 0;
        for finding in &file.findings {
            if finding.state == State::New && (view.notes || finding.level > Level::Note) {
                *by_rule.entry((std::cmp::Reverse(finding.level), finding.raw.rule.as_str())).or_default() +=
                    1;
                let folder = path.rsplit_once('/').map_or(".", |(folder, _)| folder);
                *by_folder.entry(folder.to_owned()).or_default() += 1;
                count += 1;
            }
        }
        if count > 0 {
            by_file.push((count, path));
        }
    }
    let mut out = rule_line(width(), "too many findings to list", "--all lists them");
    for ((level, rule), count) in by_rule {
        // Writing to a string cannot fail.
        let _ = writeln!(out, "{count:>7}  {:<8} {rule}", level_word(level.0));
    }
    let mut folders: Vec<(usize, String)> =
        by_folder.into_iter().map(|(folder, count)| (count, folder)).collect();
    for (title, list) in [("folders", &mut folders), ("files", &mut by_file)] {
        list.sort_by(|a, b| b.0.cmp(&a.0).then_with(|| a.1.cmp(&b.1)));
        let _ = writeln!(out, "\n{}", styled(style::STRONG, &format!("{title} with the most")));
        for (count, name) in list.iter().take(10) {
            let _ = writeln!(out, "{count:>7}  {name}");
        }
    }
    if let Some((_, worst)) = by_file.first() {
        let _ =
            writeln!(out, "\nstart with  {}", styled(style::STRONG, &format!("vinequill review {worst}")));
    }
    out.push('\n');
    out
}

fn level_word(level: Level) -> String {
    let style = match level {
        Level::Error => style::ERROR,
        Level::Warning => style::WARNING,
        Level::Note | Level::None => style::NOTE,
    };
    styled(style, level.as_str())
}

/// The sums, and what to do next.
fn closing(view: &View<'_>, shown: usize) -> String {
    let totals = view.totals;
    let mut out = String::new();
    let checked = format!(
        "{} in {}",
        plural_u64(totals.counts.declared, "declaration"),
        plural_u64(totals.files, "file")
    );
    for level in [Level::Error, Level::Warning, Level::Note] {
        let count = totals.at(level);
        if count == 0 {
            continue;
        }
        let rules: Vec<String> = totals
            .by_rule
            .iter()
            .filter(|((_, found), _)| *found == level)
            .map(|((rule, _), count)| format!("{rule} {count}"))
            .collect();
        let hidden = if level == Level::Note && !view.notes { " (--notes shows them)" } else { "" };
        let head = plural_u64(count, level.as_str());
        out.push_str(&wrapped(
            &styled(level_style(level), &format!("{head:<HEAD$}")),
            &format!("{}{hidden}", rules.join(", ")),
        ));
    }
    if totals.by_rule.is_empty() {
        let _ = writeln!(out, "{}", styled(style::GOOD, "nothing to complain of"));
    }
    let excused = match totals.counts.excused {
        0 => String::new(),
        count => format!(", {count} excused"),
    };
    let _ = writeln!(
        out,
        "{}",
        wrapped(&format!("{:<HEAD$}", "reviewed"), &format!("{checked}{excused}")).trim_end()
    );
    if !view.left_out.is_empty() {
        let _ = writeln!(out, "{:<HEAD$}{}", "not reviewed", view.left_out);
    }
    if let Some(name) = view.session.change_name() {
        let _ = writeln!(out, "{:<HEAD$}only what differs, {name}", "change");
    }
    out.push_str(&accepted(view));
    out.push_str(&waived(view));
    out.push_str(&plain_comments(view));
    if shown > 0 {
        let rule = totals.by_rule.iter().max_by_key(|((_, level), count)| (*level, **count));
        let rule = rule.map_or("", |((rule, _), _)| rule.as_str());
        let missing = totals.by_rule.keys().any(|(rule, _)| rule.as_str().ends_with(".missing"));
        let _ = writeln!(out, "{:<HEAD$}vinequill rules {rule} says what that rule means", "next");
        if missing {
            let _ =
                writeln!(out, "{:<HEAD$}vinequill draft PATH shows what is missing as a diff to fill in", "");
        }
    }
    out
}

/// Counts what was accepted before, and what of it is gone.
fn accepted(view: &View<'_>) -> String {
    let (accepted, gone) = (view.totals.accepted, view.gone.len());
    let mut out = String::new();
    if accepted > 0 {
        let _ = writeln!(out, "{:<HEAD$}{accepted}", "accepted");
    }
    if gone > 0 {
        let hint = "vinequill accept --prune drops them";
        let more = if view.verbose { "" } else { "; -v lists them" };
        let _ = writeln!(out, "{:<HEAD$}{gone} accepted before ({hint}{more})", "gone");
    }
    for (known, count) in view.gone.iter().filter(|_| view.verbose) {
        let name =
            if known.declaration.is_empty() { String::new() } else { format!(" {}", known.declaration) };
        let subject = if known.subject.is_empty() { String::new() } else { format!(" `{}`", known.subject) };
        let times = if count > 1 { format!(" ({count} times)") } else { String::new() };
        let _ = writeln!(out, "{:<HEAD$}{}{name}: {}{subject}{times}", "", known.path, known.rule);
    }
    out
}

/// Counts what the source waives; with reasons where more is to be said.
fn waived(view: &View<'_>) -> String {
    if view.totals.waived == 0 {
        return String::new();
    }
    let hint = if view.verbose { "" } else { " (-v shows the reasons)" };
    let mut out = format!("{:<HEAD$}{}{hint}\n", "waived", view.totals.waived);
    if !view.verbose {
        return out;
    }
    for file in view.files {
        let path = view.session.typed_path(file.text.path());
        let is_waived = |finding: &Finding| matches!(finding.state, State::Waived(_));
        if !file.findings.iter().any(is_waived) {
            continue;
        }
        let source = file.text.source();
        for finding in &file.findings {
            if let State::Waived(reason) = &finding.state {
                let line = source.line(finding.raw.span.start);
                // Writing to a string cannot fail.
                let _ = writeln!(out, "{:<HEAD$}{path}:{line} {}: {reason}", "", finding.raw.rule);
            }
        }
    }
    out
}

/// Where plain comments stand more often than doc comments, they may be the custom.
fn plain_comments(view: &View<'_>) -> String {
    let ordinary = view.totals.by_rule.iter().filter(|((rule, _), _)| rule.as_str() == "comment.ordinary");
    let ordinary: u64 = ordinary.map(|(_, count)| *count).sum();
    if ordinary < 20 || ordinary <= view.totals.counts.described {
        return String::new();
    }
    format!(
        "{:<HEAD$}are plain comments the custom here? then name their marks in `doc-marks` of the language\n",
        ""
    )
}

const fn level_style(level: Level) -> anstyle::Style {
    match level {
        Level::Error => style::ERROR,
        Level::Warning => style::WARNING,
        Level::Note | Level::None => style::NOTE,
    }
}

/// Breaks a list at spaces so that it stays within the width, behind a head of its own column.
fn wrapped(head: &str, list: &str) -> String {
    let mut out = head.to_owned();
    let mut column = HEAD;
    for (at, word) in list.split(", ").enumerate() {
        let length = word.chars().count() + 2;
        if at > 0 {
            out.push(',');
            if column + length > width() {
                out.push('\n');
                out.push_str(&" ".repeat(HEAD));
                column = HEAD;
            } else {
                out.push(' ');
            }
        }
        out.push_str(word);
        column += length;
    }
    out + "\n"
}

/// Breaks a text between words, so that no line is longer than `room` unless one word is.
fn filled(text: &str, room: usize) -> String {
    let mut out = String::with_capacity(text.len());
    let mut column = 0;
    for word in text.split(' ') {
        let length = word.chars().count();
        if column > 0 {
            let fits = column + 1 + length <= room;
            out.push(if fits { ' ' } else { '\n' });
            column = if fits { column + 1 } else { 0 };
        }
        out.push_str(word);
        column += length;
    }
    out
}

fn plural(count: usize, word: &str) -> String {
    plural_u64(u64::try_from(count).unwrap_or(u64::MAX), word)
}

fn plural_u64(count: u64, word: &str) -> String {
    if count == 1 { format!("1 {word}") } else { format!("{count} {word}s") }
}

#[cfg(test)]
mod tests {
    use super::filled;

    #[test]
    fn lines_break_between_words() {
        assert_eq!(filled("keep one of the two", 8), "keep one\nof the\ntwo");
        assert_eq!(filled("a `veryLongName` here", 6), "a\n`veryLongName`\nhere");
        assert_eq!(filled("keep one of the two", usize::MAX), "keep one of the two");
    }
}
