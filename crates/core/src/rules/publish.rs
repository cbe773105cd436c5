//! Turns comments that readers drop into doc comments: at the right place, in the right dress, word by word as
//! they were written.

use super::FileContext;
use crate::model::{Carrier, Declaration, RawComment};
use crate::notations;
use crate::reading::{CommentPlace, Place, wrap};
use crate::text::{Edit, Source, Span};

/// Makes an ordinary comment the doc comment of the declaration below it.
pub(super) fn dressed(file: &FileContext<'_>, comment: &RawComment, declaration: &Declaration) -> Vec<Edit> {
    let lines = texts(file.source, comment);
    let own = file.dress().form(&lines).carrier;
    if lines.is_empty() {
        return Vec::new();
    }
    if file.language.place == CommentPlace::FirstInBody {
        return moved_into_body(file, comment, declaration, &lines).unwrap_or_default();
    }
    match (comment.carrier, own) {
        (Carrier::Lines { mark }, Carrier::Lines { mark: wanted }) if !is_xml(file) => {
            marks(file.source, comment.span, mark, wanted)
        }
        (Carrier::Block { open: "/*", .. }, Carrier::Block { open: wanted @ ("/**" | "/*!"), .. })
            if !file.source.slice(comment.span).starts_with("/**") =>
        {
            let span = Span::new(comment.span.start, comment.span.start + 2);
            vec![Edit { span, text: wanted.to_owned() }]
        }
        _ => {
            let lines = if is_xml(file) { as_summary(file, &lines) } else { lines };
            let indent = file.source.indent_at(comment.span.start);
            vec![Edit {
                span: comment.span,
                text: wrap(file.dress(), &lines, indent, file.source.line_ending()),
            }]
        }
    }
}

/// Moves a doc comment that is parted from its declaration directly above it.
pub(super) fn moved(file: &FileContext<'_>, comment: &RawComment, declaration: &Declaration) -> Vec<Edit> {
    if comment.carrier == Carrier::Docstring {
        // It is code where it stands.
        return Vec::new();
    }
    let (source, start) = (file.source, declaration.span.start);
    let Some(own) = own_lines(source, comment.span) else { return Vec::new() };
    let place = Place { source, outline: file.outline, dress: file.dress() };
    if !place.is_first_on_line(start) {
        return Vec::new();
    }
    let to = place.line_start(start);
    let between = Span::new(own.end.min(to), to.max(own.end));
    if own.end <= to && source.slice(between).trim().is_empty() {
        return vec![Edit { span: between, text: String::new() }];
    }
    let (from, indent) = (source.indent_at(comment.span.start), source.indent_at(start));
    let text: String = source
        .slice(own)
        .split_inclusive('\n')
        .map(|line| match line.strip_prefix(from) {
            Some(rest) => format!("{indent}{rest}"),
            None => line.to_owned(),
        })
        .collect();
    vec![Edit { span: own, text: String::new() }, Edit { span: Span::at(to), text }]
}

/// Makes the lines of a comment above a declaration its docstring.
fn moved_into_body(
    file: &FileContext<'_>,
    comment: &RawComment,
    declaration: &Declaration,
    lines: &[String],
) -> Option<Vec<Edit>> {
    let own = own_lines(file.source, comment.span)?;
    let place = Place { source: file.source, outline: file.outline, dress: file.dress() };
    let (edit, _) = place
        .first_in_body(declaration.header_end, (declaration.span, declaration.kind.is_type()), lines)
        .ok()?;
    Some(vec![Edit { span: own, text: String::new() }, edit])
}

/// Returns the whole lines of a comment, ends included; nothing when other things stand on them.
fn own_lines(source: &Source, span: Span) -> Option<Span> {
    let first = source.line_span(source.line(span.start))?;
    let number = source.line(span.end);
    let last = source.line_span(number)?;
    let before = source.slice(Span::new(first.start, span.start));
    let after = source.slice(Span::new(span.end.min(last.end), last.end));
    let end = source.lines().start(number + 1)?;
    (before.trim().is_empty() && after.trim().is_empty()).then(|| Span::new(first.start, end))
}

/// Gives every line of a run another mark.
fn marks(source: &Source, span: Span, mark: &str, wanted: &str) -> Vec<Edit> {
    let mut at = span.start as usize;
    let mut out = Vec::new();
    for line in source.slice(span).split_inclusive('\n') {
        let lead = line.len() - line.trim_start().len();
        if line[lead..].starts_with(mark) {
            let place = Span::of(at + lead, at + lead + mark.len());
            out.push(Edit { span: place, text: wanted.to_owned() });
        }
        at += line.len();
    }
    out
}

/// Returns the text of a comment line by line, without marks and the indentation that all lines have.
fn texts(source: &Source, comment: &RawComment) -> Vec<String> {
    let text = source.slice(comment.span);
    let lines: Vec<&str> = match comment.carrier {
        Carrier::Lines { mark } => text
            .lines()
            .map(|line| {
                let line = line.trim_start();
                line.strip_prefix(mark).unwrap_or(line)
            })
            .collect(),
        Carrier::Block { open, close } => {
            let inner = text.strip_prefix(open).unwrap_or(text);
            let inner = inner.strip_suffix(close).unwrap_or(inner);
            let starred = inner
                .lines()
                .skip(1)
                .all(|line| line.trim_start().starts_with('*') || line.trim().is_empty());
            let star = |line| -> &str {
                let bare = str::trim_start(line);
                if starred { bare.strip_prefix('*').unwrap_or(bare) } else { line }
            };
            inner.lines().enumerate().map(|(at, line)| if at == 0 { line } else { star(line) }).collect()
        }
        Carrier::Docstring => Vec::new(),
    };
    let said: Vec<&str> = lines.into_iter().map(str::trim_end).skip_while(|line| line.is_empty()).collect();
    let lead = |line: &&&str| line.len() - line.trim_start().len();
    let common =
        said.iter().skip(1).filter(|line| !line.is_empty()).map(|line| lead(&line)).min().unwrap_or(0);
    let mut out: Vec<String> = said
        .iter()
        .enumerate()
        .map(|(at, line)| {
            if at == 0 { line.trim_start() } else { line.get(common..).unwrap_or("") }.to_owned()
        })
        .collect();
    while out.last().is_some_and(String::is_empty) {
        out.pop();
    }
    out
}

fn is_xml(file: &FileContext<'_>) -> bool {
    file.language.notation.as_str() == "xml"
}

/// Makes plain text the summary of an XML comment.
fn as_summary(file: &FileContext<'_>, lines: &[String]) -> Vec<String> {
    let writer = notations::get(file.language.notation).map(|notation| notation.writer);
    let escaped = lines.iter().map(|line| writer.map_or_else(|| line.clone(), |writer| writer.escape(line)));
    let mut out = vec!["<summary>".to_owned()];
    out.extend(escaped);
    out.push("</summary>".to_owned());
    out
}
