//! The same as Markdown, a file for each source file, for repositories and wikis that show it.

use std::fmt::Write;

use vinequill_core::coverage::{Counts, permille};

use crate::collect::{DeclarationPage, EntryPage, FilePage, Other};

/// Renders the page of a file.
#[must_use]
pub fn markdown(page: &FilePage) -> String {
    let mut out = format!("# {}\n\n{}.\n", escaped(&page.path), page.language_name);
    // Writing to a string cannot fail.
    for finding in &page.findings {
        let _ = writeln!(
            out,
            "\n> {} `{}` line {}: {}",
            finding.level, finding.rule, finding.line, finding.message
        );
    }
    if !page.declarations.is_empty() {
        out.push_str("\n| declaration | kind | |\n|---|---|---|\n");
    }
    for declaration in &page.declarations {
        let summary = if declaration.summary.is_empty() {
            "*no description*".to_owned()
        } else {
            cell(&declaration.summary)
        };
        let _ = writeln!(out, "| `{}` | {} | {summary} |", declaration.qualified, declaration.kind);
    }
    for declaration in &page.declarations {
        section(&mut out, page, declaration);
    }
    out
}

/// Renders the first page: what there is, and how much of it is described. `name_of` tells where the page of a file is.
#[must_use]
pub fn contents(title: &str, pages: &[FilePage], name_of: &dyn Fn(&FilePage) -> String) -> String {
    let mut out = format!("# {}\n\n", escaped(title));
    let mut total = Counts::default();
    pages.iter().for_each(|page| total.add(page.counts));
    let share = |part, counts: Counts| {
        permille(part, counts.declared)
            .map_or("–".to_owned(), |tenths| format!("{}.{} %", tenths / 10, tenths % 10))
    };
    // Writing to a string cannot fail.
    let _ = writeln!(
        out,
        "{} of {} declarations are described, {} completely.\n",
        share(total.described, total),
        total.declared,
        share(total.complete, total)
    );
    out.push_str("| file | declared | described | complete |\n|---|---:|---:|---:|\n");
    for page in pages {
        let counts = page.counts;
        let _ = writeln!(
            out,
            "| [{}]({}) | {} | {} | {} |",
            escaped(&page.path),
            name_of(page),
            counts.declared,
            share(counts.described, counts),
            share(counts.complete, counts)
        );
    }
    out
}

fn section(out: &mut String, page: &FilePage, declaration: &DeclarationPage) {
    let gone = if declaration.deprecated { " (deprecated)" } else { "" };
    let _ = write!(
        out,
        "\n## {} {}{gone}\n\n```{}\n{}\n```\n",
        declaration.kind,
        escaped(&declaration.qualified),
        page.language,
        declaration.signature.replace("```", "` ` `")
    );
    let text =
        if declaration.description.is_empty() { "*No description.*" } else { &declaration.description };
    let _ = write!(out, "\n{text}\n");
    let named = |title: &str, entries: &[EntryPage]| {
        let mut out = String::new();
        for (at, entry) in entries.iter().enumerate() {
            if at == 0 {
                let _ = write!(out, "\n**{title}**\n\n");
            }
            let ty = if entry.ty.is_empty() { String::new() } else { format!(" (`{}`)", entry.ty) };
            let origin =
                if entry.origin.is_empty() { String::new() } else { format!(" — {}", entry.origin) };
            let text = if entry.text.is_empty() {
                "*no description*".to_owned()
            } else {
                entry.text.replace('\n', " ")
            };
            let name = if entry.name.is_empty() { String::new() } else { format!("`{}`", entry.name) };
            let _ = writeln!(out, "- {name}{ty}{origin}: {text}");
        }
        out
    };
    out.push_str(&named("Parameters", &declaration.parameters));
    let returns: Vec<EntryPage> = declaration.returns.iter().cloned().collect();
    out.push_str(&named("Returns", &returns));
    out.push_str(&named("Throws", &declaration.throws));
    for Other { title, is_section, is_code, text } in &declaration.others {
        let fence = |text: &str| format!("\n```{}\n{text}\n```", page.language);
        let text = if *is_code { fence(text) } else { text.clone() };
        let _ = match (title.is_empty(), is_section) {
            (true, _) => write!(out, "\n{text}\n"),
            (false, true) => write!(out, "\n**{title}**\n\n{text}\n"),
            (false, false) => write!(out, "\n**{title}** {text}\n"),
        };
    }
    for finding in &declaration.findings {
        let _ = write!(
            out,
            "\n> {} `{}` line {}: {}\n",
            finding.level, finding.rule, finding.line, finding.message
        );
    }
}

fn escaped(text: &str) -> String {
    let mut out = String::with_capacity(text.len());
    for c in text.chars() {
        if matches!(c, '*' | '_' | '`' | '[' | ']' | '<' | '>' | '#' | '|' | '\\' | '~') {
            out.push('\\');
        }
        out.push(c);
    }
    out
}

fn cell(text: &str) -> String {
    text.replace('|', "\\|").replace('\n', " ")
}
