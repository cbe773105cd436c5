//! Plain text: empty lines part paragraphs, indented lines are code or a list, a line with `# ` in front is a heading.

use super::fragments::Fragments;
use crate::safe::escaped;

impl Fragments<'_> {
    /// Renders plain text, as Go's comments are written (its specification, "Go Doc Comments").
    pub(super) fn plain(&mut self, text: &str) -> String {
        let mut out = String::new();
        for block in blocks(text) {
            let lines: Vec<&str> = block.lines().collect();
            let indented = lines.iter().all(|line| line.starts_with([' ', '\t']) || line.trim().is_empty());
            let is_list = lines.first().is_some_and(|line| item(line).is_some());
            if is_list {
                let mut open = false;
                for line in lines {
                    match item(line) {
                        Some(said) => {
                            out.push_str(if open { "</li><li>" } else { "<ul><li>" });
                            open = true;
                            out.push_str(&escaped(said));
                        }
                        None => {
                            out.push(' ');
                            out.push_str(&escaped(line.trim()));
                        }
                    }
                }
                out.push_str("</li></ul>");
            } else if indented {
                let base = lines.iter().filter(|line| !line.trim().is_empty());
                let base = base.map(|line| line.len() - line.trim_start().len()).min().unwrap_or(0);
                let code: Vec<&str> = lines.iter().map(|line| line.get(base..).unwrap_or_default()).collect();
                let html = self.block(&code.join("\n"), "");
                out.push_str(&html);
            } else {
                let text = lines.join("\n");
                let said = text.strip_prefix("# ").filter(|_| lines.len() == 1);
                match said {
                    Some(heading) => out.push_str(&format!("<p><strong>{}</strong></p>", escaped(heading))),
                    None => out.push_str(&format!("<p>{}</p>", escaped(&text))),
                }
            }
        }
        out
    }
}

/// Parts a text at empty lines; code goes on over them.
fn blocks(text: &str) -> Vec<String> {
    let mut out: Vec<String> = Vec::new();
    let mut empty = true;
    for line in text.lines() {
        if line.trim().is_empty() {
            empty = true;
            continue;
        }
        let indented = line.starts_with([' ', '\t']);
        let goes_on = out.last().is_some_and(|last| {
            let was = last.lines().last().is_some_and(|line| line.starts_with([' ', '\t']));
            if empty { was && indented && item(line).is_none() } else { was == indented }
        });
        match out.last_mut().filter(|_| goes_on) {
            Some(last) => {
                last.push_str(if empty { "\n\n" } else { "\n" });
                last.push_str(line);
            }
            None => out.push(line.to_owned()),
        }
        empty = false;
    }
    out
}

/// Returns what an item of a list says.
fn item(line: &str) -> Option<&str> {
    let said = line.strip_prefix([' ', '\t'])?.trim_start();
    said.strip_prefix("- ")
        .or_else(|| said.strip_prefix("* "))
        .or_else(|| said.strip_prefix("• "))
        .map(str::trim)
}
