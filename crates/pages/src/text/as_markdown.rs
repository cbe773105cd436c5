//! Harmless HTML as Markdown (CommonMark, with the tables of GitHub's), for places that show that.

use std::fmt::Write;

use crate::safe::unescaped;

/// A piece of HTML that is known to be well formed.
#[derive(Debug)]
enum Node<'h> {
    Text(&'h str),
    Element { name: &'h str, attributes: &'h str, inner: Vec<Node<'h>> },
}

/// Writes HTML, as `rendered` makes it, as blocks of Markdown.
#[must_use]
pub(crate) fn as_markdown(html: &str) -> String {
    let mut rest = html;
    blocks(&nodes(&mut rest)).trim_end().to_owned()
}

/// Writes HTML as one line of Markdown: for the cells of tables.
#[must_use]
pub(crate) fn as_line(html: &str) -> String {
    let mut rest = html;
    line_of(&nodes(&mut rest))
}

/// Returns the text of HTML, without its marks.
#[must_use]
pub(crate) fn as_text(html: &str) -> String {
    let mut rest = html;
    text_of(&nodes(&mut rest))
}

/// Writes code between fences that are longer than any in it.
#[must_use]
pub(crate) fn fenced(code: &str, language: &str) -> String {
    let fence = "`".repeat(longest_run(code).max(2) + 1);
    format!("{fence}{language}\n{code}\n{fence}")
}

/// Writes text so that Markdown takes none of it for a mark.
#[must_use]
pub(crate) fn plain(text: &str) -> String {
    let mut out = String::with_capacity(text.len() + 8);
    let mut before = ' ';
    let mut signs = text.chars().peekable();
    while let Some(c) = signs.next() {
        let next = signs.peek().copied().unwrap_or(' ');
        let mark = match c {
            '\\' | '`' | '*' | '[' | ']' | '~' => true,
            // Inside a word it marks nothing.
            '_' => !(before.is_alphanumeric() && next.is_alphanumeric()),
            '<' => !next.is_whitespace(),
            '&' => next.is_alphanumeric() || next == '#',
            _ => false,
        };
        if mark {
            out.push('\\');
        }
        out.push(c);
        before = c;
    }
    out
}

fn nodes<'h>(rest: &mut &'h str) -> Vec<Node<'h>> {
    let mut out = Vec::new();
    while !rest.is_empty() {
        let text = rest.find('<').unwrap_or(rest.len());
        if text > 0 {
            out.push(Node::Text(&rest[..text]));
            *rest = &rest[text..];
            continue;
        }
        let end = rest.find('>').map_or(rest.len(), |end| end + 1);
        let tag = rest[1..end].trim_end_matches('>');
        *rest = &rest[end..];
        if tag.starts_with('/') {
            return out;
        }
        let (name, attributes) = tag.split_once(' ').unwrap_or((tag, ""));
        let inner = if matches!(name, "br" | "hr" | "wbr") { Vec::new() } else { nodes(rest) };
        out.push(Node::Element { name, attributes, inner });
    }
    out
}

fn is_block(node: &Node<'_>) -> bool {
    let Node::Element { name, .. } = node else { return false };
    matches!(*name, "p" | "pre" | "ul" | "ol" | "dl" | "blockquote" | "table" | "hr" | "div")
        || matches!(*name, "li" | "dt" | "dd" | "tr" | "td" | "th" | "tbody" | "thead")
}

fn blocks(nodes: &[Node<'_>]) -> String {
    let mut out = String::new();
    let mut at = 0;
    while at < nodes.len() {
        let length = nodes[at..].iter().take_while(|node| !is_block(node)).count();
        let block = if length > 0 {
            at += length;
            paragraph(&nodes[at - length..at])
        } else {
            at += 1;
            block(&nodes[at - 1])
        };
        if !block.is_empty() {
            out.push_str(&block);
            out.push_str("\n\n");
        }
    }
    out
}

fn block(node: &Node<'_>) -> String {
    let Node::Element { name, inner, .. } = node else { return String::new() };
    match *name {
        "pre" => {
            let language = match inner.as_slice() {
                [Node::Element { name: "code", attributes, .. }] => {
                    attribute(attributes, "class=\"language-")
                }
                _ => "",
            };
            fenced(text_of(inner).trim_matches('\n'), language)
        }
        "hr" => "---".to_owned(),
        "ul" => list(inner, |_| "- ".to_owned()),
        "ol" => list(inner, |number| format!("{number}. ")),
        "dl" => list(inner, |_| "- ".to_owned()),
        "blockquote" => indented(&blocks(inner), "> ", "> "),
        "table" => table(inner),
        _ if inner.iter().any(is_block) => blocks(inner).trim_end().to_owned(),
        _ => paragraph(inner),
    }
}

fn list(items: &[Node<'_>], mark: fn(usize) -> String) -> String {
    let mut out = String::new();
    let mut number = 0;
    for item in items {
        let Node::Element { name, inner, .. } = item else { continue };
        let text = blocks(inner);
        let text = text.trim_end();
        // What is said of a term is below the term.
        let mark = if *name == "dd" {
            "  ".to_owned()
        } else {
            mark({
                number += 1;
                number
            })
        };
        let rest = " ".repeat(mark.len());
        let first = if *name == "dd" { "\n  " } else { mark.as_str() };
        out.push_str(&indented(text, first, &rest));
        out.push('\n');
    }
    out.trim_end().to_owned()
}

/// Puts something in front of the first line and of each further one; empty lines stay without trailing spaces.
fn indented(text: &str, first: &str, rest: &str) -> String {
    let mut out = String::with_capacity(text.len() + 16);
    for (at, line) in text.trim_end().lines().enumerate() {
        if at > 0 {
            out.push('\n');
        }
        let front = if at == 0 { first } else { rest };
        out.push_str(if line.is_empty() { front.trim_end() } else { front });
        out.push_str(line);
    }
    out
}

fn table(nodes: &[Node<'_>]) -> String {
    let mut rows: Vec<Vec<String>> = Vec::new();
    gather_rows(nodes, &mut rows);
    let width = rows.iter().map(Vec::len).max().unwrap_or(0);
    let mut out = String::new();
    for (at, row) in rows.iter().enumerate() {
        // Writing to a string cannot fail.
        let _ = writeln!(
            out,
            "| {} |",
            (0..width).map(|at| row.get(at).map_or("", String::as_str)).collect::<Vec<_>>().join(" | ")
        );
        if at == 0 {
            let _ = writeln!(out, "|{}", "---|".repeat(width));
        }
    }
    out.trim_end().to_owned()
}

fn gather_rows(nodes: &[Node<'_>], rows: &mut Vec<Vec<String>>) {
    for node in nodes {
        let Node::Element { name, inner, .. } = node else { continue };
        if *name != "tr" {
            gather_rows(inner, rows);
            continue;
        }
        let cell = |cell: &Node<'_>| {
            let Node::Element { inner, .. } = cell else { return None };
            Some(line_of(inner))
        };
        rows.push(inner.iter().filter_map(cell).collect());
    }
}

/// Writes blocks as one line that may stand in a table.
fn line_of(nodes: &[Node<'_>]) -> String {
    let mut parts = Vec::new();
    flatten(nodes, &mut parts);
    parts.join(" ").replace('|', "\\|")
}

/// Gathers what blocks say, each as one line.
fn flatten(nodes: &[Node<'_>], out: &mut Vec<String>) {
    let mut at = 0;
    while at < nodes.len() {
        let length = nodes[at..].iter().take_while(|node| !is_block(node)).count();
        if length > 0 {
            let line = inline(&nodes[at..at + length]).replace("\\\n", " ");
            let line = line.trim();
            if !line.is_empty() {
                out.push(line.to_owned());
            }
            at += length;
            continue;
        }
        if let Node::Element { name, inner, .. } = &nodes[at] {
            if *name == "pre" {
                out.push(code(&text_of(inner).split_whitespace().collect::<Vec<_>>().join(" ")));
            } else {
                flatten(inner, out);
            }
        }
        at += 1;
    }
}

/// Writes a paragraph; what would begin something else at the start of a line is kept from it.
fn paragraph(nodes: &[Node<'_>]) -> String {
    let text = inline(nodes);
    let lines = text.trim().lines().map(|line| {
        let line = line.trim_start();
        let number = line.len() - line.trim_start_matches(|c: char| c.is_ascii_digit()).len();
        let behind = &line[number..];
        if (1..10).contains(&number) && behind.starts_with(['.', ')']) {
            return format!("{}\\{behind}", &line[..number]);
        }
        // Below a line with a bar in it, this would make a table of both.
        let makes_table = line.contains('-') && line.chars().all(|c| matches!(c, '-' | '|' | ':' | ' '));
        let is_mark = makes_table
            || line.starts_with(['#', '>', '+', '='])
            || line.starts_with('-')
            || line.starts_with("~~~");
        if is_mark { format!("\\{line}") } else { line.to_owned() }
    });
    lines.collect::<Vec<_>>().join("\n")
}

fn inline(nodes: &[Node<'_>]) -> String {
    let mut out = String::new();
    for node in nodes {
        match node {
            Node::Text(text) => out.push_str(&plain(&unescaped(text))),
            Node::Element { name, attributes, inner } => out.push_str(&element(name, attributes, inner)),
        }
    }
    out
}

fn element(name: &str, attributes: &str, inner: &[Node<'_>]) -> String {
    let around = |mark: &str| {
        let text = inline(inner);
        let said = text.trim();
        if said.is_empty() {
            return text;
        }
        // Marks touch what they mark; spaces inside them stand outside.
        let (start, end) = (text.len() - text.trim_start().len(), text.trim_end().len());
        format!("{}{mark}{said}{mark}{}", &text[..start], &text[end..])
    };
    match name {
        "br" => "\\\n".to_owned(),
        "wbr" => String::new(),
        "code" | "tt" | "samp" => code(&text_of(inner)),
        "strong" | "b" => around("**"),
        "em" | "i" | "var" | "cite" | "dfn" => around("*"),
        "del" | "s" => around("~~"),
        "a" => {
            let address = unescaped(attribute(attributes, "href=\""));
            if address.is_empty() {
                return inline(inner);
            }
            format!("[{}](<{}>)", inline(inner), address.replace(['<', '>', '\n'], ""))
        }
        "sub" | "sup" | "kbd" => format!("<{name}>{}</{name}>", inline(inner)),
        "span" if attributes.contains("\"gap\"") => around("*"),
        _ => inline(inner),
    }
}

/// Writes code in a line, between more backticks than there are in it.
#[must_use]
pub(crate) fn code(text: &str) -> String {
    let text = text.replace('\n', " ");
    if text.trim().is_empty() {
        return text;
    }
    let marks = "`".repeat(longest_run(&text) + 1);
    let room = if text.starts_with('`') || text.ends_with('`') { " " } else { "" };
    format!("{marks}{room}{text}{room}{marks}")
}

fn longest_run(text: &str) -> usize {
    text.split(|c| c != '`').map(str::len).max().unwrap_or(0)
}

fn attribute<'h>(attributes: &'h str, start: &str) -> &'h str {
    let behind = attributes.find(start).map(|at| &attributes[at + start.len()..]);
    behind.and_then(|value| value.split('"').next()).unwrap_or_default()
}

fn text_of(nodes: &[Node<'_>]) -> String {
    let mut out = String::new();
    for node in nodes {
        match node {
            Node::Text(text) => out.push_str(&unescaped(text)),
            Node::Element { name: "br", .. } => out.push('\n'),
            Node::Element { inner, .. } => out.push_str(&text_of(inner)),
        }
    }
    out
}

#[cfg(test)]
mod tests {
    use proptest::prelude::*;
    use pulldown_cmark::{Event, Options, Parser, TagEnd};

    use super::{as_line, as_markdown, fenced, plain};

    /// Returns what readers of Markdown see: its text, runs of blanks as one.
    fn seen(markdown: &str) -> String {
        let mut out = String::new();
        for event in Parser::new_ext(markdown, Options::ENABLE_TABLES | Options::ENABLE_STRIKETHROUGH) {
            match event {
                Event::Text(text) | Event::Code(text) => out.push_str(&text),
                Event::SoftBreak | Event::HardBreak => out.push(' '),
                Event::End(TagEnd::Paragraph | TagEnd::Item | TagEnd::CodeBlock) => out.push(' '),
                _ => {}
            }
        }
        out.split_whitespace().collect::<Vec<_>>().join(" ")
    }

    #[test]
    fn marks_of_html_become_marks_of_markdown() {
        for (html, markdown) in [
            ("<p>One <b>two </b>three.</p>", "One **two** three."),
            ("one<p>two", "one\n\ntwo"),
            ("<p>a <code>x `y` z</code></p>", "a ``x `y` z``"),
            ("<p>read <a href=\"a.md#B.c\"><code>B.c</code></a></p>", "read [`B.c`](<a.md#B.c>)"),
            ("<ul><li>one</li><li>two<ul><li>three</li></ul></li></ul>", "- one\n- two\n\n  - three"),
            ("<ol><li><p>one</p><p>more</p></li></ol>", "1. one\n\n   more"),
            ("<dl><dt>dry</dt><dd>below 4 g/l</dd></dl>", "- dry\n\n  below 4 g/l"),
            (
                "<pre><code class=\"language-rust\">let <span class=\"c-name\">a</span> = 1;\n\nb();</code></pre>",
                "```rust\nlet a = 1;\n\nb();\n```",
            ),
            ("<pre>a ``` b</pre>", "````\na ``` b\n````"),
            ("<blockquote><p>a</p><p>b</p></blockquote>", "> a\n>\n> b"),
            (
                "<table><tr><th>a</th><th>b|c</th></tr><tr><td>1</td></tr></table>",
                "| a | b\\|c |\n|---|---|\n| 1 |  |",
            ),
            ("<p>2. no list\n# no heading\n- no item</p>", "2\\. no list\n\\# no heading\n\\- no item"),
            (
                "<p>a_b, _c, *d*, &lt;e&gt;, [f](g), &amp;lt;</p>",
                "a_b, \\_c, \\*d\\*, \\<e>, \\[f\\](g), \\&lt;",
            ),
        ] {
            assert_eq!(as_markdown(html), markdown, "{html}");
        }
        assert_eq!(
            as_line("<p>One|two.</p><ul><li>three</li></ul><pre>a\n  b</pre>"),
            "One\\|two. three `a b`"
        );
    }

    proptest! {
        /// Text stays text, whatever it has in it.
        #[test]
        fn no_text_becomes_a_mark(text in "[-a1 .*_`<>\\[\\](){}#+=~|\\\\&;:!/\"\n]{0,60}") {
            let html = format!("<p>{}</p>", crate::safe::escaped(&text));
            let expected = text.split_whitespace().collect::<Vec<_>>().join(" ");
            prop_assert_eq!(seen(&as_markdown(&html)), expected, "{}", as_markdown(&html));
        }

        #[test]
        fn a_fence_holds_any_code(code in "[a`~\n ]{0,40}") {
            let mut inside = String::new();
            for event in Parser::new(&fenced(&code, "rust")) {
                if let Event::Text(text) = event { inside.push_str(&text); }
            }
            prop_assert_eq!(inside.trim_end_matches('\n'), code.trim_end_matches('\n'));
        }

        #[test]
        fn plain_text_in_a_heading_stays_text(text in "[a1.*_`<>\\[\\](){}~\\\\&;:!/\"]{1,40}") {
            prop_assert_eq!(seen(&format!("# a {} a", plain(&text))), format!("a {text} a"));
        }
    }
}
