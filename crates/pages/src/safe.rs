//! HTML that can do no harm: known elements, no scripts, no attributes but addresses, and every element closed.

/// Elements that may stay, each with whether it parts text into blocks.
const ALLOWED: &[(&str, bool)] = &[
    ("a", false),
    ("abbr", false),
    ("b", false),
    ("blockquote", true),
    ("br", false),
    ("cite", false),
    ("code", false),
    ("dd", true),
    ("del", false),
    ("dfn", false),
    ("dl", true),
    ("dt", true),
    ("em", false),
    ("hr", true),
    ("i", false),
    ("ins", false),
    ("kbd", false),
    ("li", true),
    ("ol", true),
    ("p", true),
    ("pre", true),
    ("q", false),
    ("s", false),
    ("samp", false),
    ("small", false),
    ("strong", false),
    ("sub", false),
    ("sup", false),
    ("table", true),
    ("tbody", true),
    ("td", true),
    ("th", true),
    ("thead", true),
    ("tr", true),
    ("tt", false),
    ("u", false),
    ("ul", true),
    ("var", false),
];

/// Elements whose content is no text.
const SILENT: &[&str] =
    &["script", "style", "iframe", "object", "svg", "math", "template", "noscript", "title", "head"];

/// Elements inside each other, at most: deeper ones are text like their content.
const DEEPEST: usize = 48;

/// Escapes text for HTML.
#[must_use]
pub(crate) fn escaped(text: &str) -> String {
    let mut out = String::with_capacity(text.len());
    push_escaped(&mut out, text);
    out
}

fn push_escaped(out: &mut String, text: &str) {
    for c in text.chars() {
        match c {
            '&' => out.push_str("&amp;"),
            '<' => out.push_str("&lt;"),
            '>' => out.push_str("&gt;"),
            '"' => out.push_str("&quot;"),
            '\'' => out.push_str("&#39;"),
            // Characters that HTML does not have.
            '\u{0}'..='\u{8}' | '\u{b}' | '\u{e}'..='\u{1f}' => out.push('\u{fffd}'),
            c => out.push(c),
        }
    }
}

/// Reads the entities of HTML that code in comments is written with.
#[must_use]
pub(crate) fn unescaped(text: &str) -> String {
    let mut out = String::with_capacity(text.len());
    let mut rest = text;
    while let Some(at) = rest.find('&') {
        out.push_str(&rest[..at]);
        rest = &rest[at..];
        let length = entity(rest);
        let name = rest.get(1..length.saturating_sub(1)).unwrap_or_default();
        let number = name.strip_prefix("#x").or_else(|| name.strip_prefix("#X")).map_or_else(
            || name.strip_prefix('#').and_then(|number| number.parse().ok()),
            |hex| u32::from_str_radix(hex, 16).ok(),
        );
        let c = match name {
            "lt" => Some('<'),
            "gt" => Some('>'),
            "amp" => Some('&'),
            "quot" => Some('"'),
            "apos" => Some('\''),
            "nbsp" => Some(' '),
            "commat" => Some('@'),
            _ => number.and_then(char::from_u32),
        };
        match c {
            Some(c) => {
                out.push(c);
                rest = &rest[length..];
            }
            None => {
                out.push('&');
                rest = &rest[1..];
            }
        }
    }
    out.push_str(rest);
    out
}

/// Makes any text harmless and well formed HTML, with the markup that may stay.
#[must_use]
pub(crate) fn sanitized(html: &str) -> String {
    let mut out = Writer { out: String::with_capacity(html.len() + 64), open: Vec::new() };
    let mut rest = html;
    while let Some(at) = rest.find(['<', '&']) {
        out.text(&rest[..at]);
        rest = &rest[at..];
        if rest.starts_with('&') {
            let length = entity(rest);
            out.make_room_for_text();
            if length > 0 {
                out.out.push_str(&rest[..length]);
            } else {
                out.out.push_str("&amp;");
            }
            rest = &rest[length.max(1)..];
            continue;
        }
        if let Some(comment) = rest.strip_prefix("<!--") {
            rest = comment.find("-->").map_or("", |end| &comment[end + 3..]);
            continue;
        }
        match tag(rest) {
            Some(tag) => {
                rest = &rest[tag.length..];
                if SILENT.contains(&tag.name.as_str()) {
                    if !tag.closes {
                        rest = behind_silent(rest, &tag.name);
                    }
                } else {
                    out.tag(&tag);
                }
            }
            None => {
                out.out.push_str("&lt;");
                rest = &rest[1..];
            }
        }
    }
    out.text(rest);
    out.close_to(0);
    out.out
}

/// Returns the length of an entity at the start of a text; 0 where there is none.
fn entity(text: &str) -> usize {
    let Some(end) = text.bytes().take(12).position(|byte| byte == b';') else { return 0 };
    let inner = &text[1..end];
    let plain = |text: &str| !text.is_empty() && text.bytes().all(|byte| byte.is_ascii_alphanumeric());
    let valid = match inner.strip_prefix('#') {
        Some(number) => match number.strip_prefix(['x', 'X']) {
            Some(hex) => !hex.is_empty() && hex.bytes().all(|byte| byte.is_ascii_hexdigit()),
            None => !number.is_empty() && number.bytes().all(|byte| byte.is_ascii_digit()),
        },
        None => plain(inner) && inner.starts_with(|c: char| c.is_ascii_alphabetic()),
    };
    if valid { end + 1 } else { 0 }
}

struct Tag {
    name: String,
    closes: bool,
    address: Option<String>,
    length: usize,
}

/// Reads a tag at the start of a text; nothing where it is none.
fn tag(text: &str) -> Option<Tag> {
    let bytes = text.as_bytes();
    let closes = bytes.get(1) == Some(&b'/');
    let start = if closes { 2 } else { 1 };
    if !bytes.get(start)?.is_ascii_alphabetic() {
        return None;
    }
    let name_end = start + text[start..].find(|c: char| !c.is_ascii_alphanumeric())?;
    let name = text[start..name_end].to_ascii_lowercase();
    let mut quote = None;
    let mut end = None;
    // A tag longer than this is text with a sign in it.
    for (at, &byte) in bytes.iter().enumerate().take(2048).skip(name_end) {
        match (quote, byte) {
            (None, b'"' | b'\'') => quote = Some(byte),
            (Some(open), byte) if open == byte => quote = None,
            (None, b'>') => {
                end = Some(at);
                break;
            }
            (None, b'<') => return None,
            _ => {}
        }
    }
    let end = end?;
    let address = if name == "a" && !closes { address(&text[name_end..end]) } else { None };
    Some(Tag { name, closes, address, length: end + 1 })
}

/// Returns the address of a link, where it leads to a page and nowhere else.
fn address(attributes: &str) -> Option<String> {
    let lower = attributes.to_ascii_lowercase();
    let at = lower.find("href")? + 4;
    let rest = attributes[at..].trim_start().strip_prefix('=')?.trim_start();
    let value = match rest.chars().next()? {
        quote @ ('"' | '\'') => rest[1..].split(quote).next()?,
        _ => rest.split_whitespace().next()?,
    };
    is_harmless(value).then(|| value.to_owned())
}

/// Tells whether an address leads to a page: no script, and nothing that reads like one once signs are left out.
#[must_use]
pub(crate) fn is_harmless(address: &str) -> bool {
    let bare: String = address
        .chars()
        .filter(|c| !c.is_whitespace() && !c.is_control())
        .collect::<String>()
        .to_ascii_lowercase();
    bare.starts_with("https://") || bare.starts_with("http://") || bare.starts_with("mailto:")
}

fn behind_silent<'t>(text: &'t str, name: &str) -> &'t str {
    let mut rest = text;
    while let Some(at) = rest.find("</") {
        rest = &rest[at + 2..];
        let is_it = rest
            .as_bytes()
            .get(..name.len())
            .is_some_and(|found| found.eq_ignore_ascii_case(name.as_bytes()));
        if is_it {
            return rest.find('>').map_or("", |end| &rest[end + 1..]);
        }
    }
    ""
}

struct Writer {
    out: String,
    open: Vec<&'static str>,
}

impl Writer {
    fn tag(&mut self, tag: &Tag) {
        // Headings of a comment are none of the page.
        if matches!(tag.name.as_bytes(), [b'h', b'1'..=b'6']) {
            self.close_inner("p");
            if !tag.closes && self.open.len() < DEEPEST {
                self.make_room_for_text();
                self.push("p");
                self.push("strong");
            }
            return;
        }
        let name = tag.name.as_str();
        let Some(&(name, block)) = ALLOWED.iter().find(|(known, _)| *known == name) else { return };
        if matches!(name, "br" | "hr") {
            self.make_room_for_text();
            if name == "hr" {
                self.close_inner("p");
            }
            self.out.push_str(if name == "br" { "<br>" } else { "<hr>" });
            return;
        }
        if tag.closes {
            if let Some(at) = self.open.iter().rposition(|open| *open == name) {
                self.close_to(at);
            }
            return;
        }
        if block {
            self.close_inner("p");
        }
        if name == "a" {
            self.close_inner("a");
        }
        for (inner, outer) in [
            ("li", ["ul", "ol"]),
            ("dt", ["dl", ""]),
            ("dd", ["dl", ""]),
            ("td", ["tr", ""]),
            ("th", ["tr", ""]),
            ("tr", ["table", ""]),
        ] {
            let same = name == inner || (matches!(name, "dt" | "dd") && matches!(inner, "dt" | "dd"));
            if same {
                self.close_sibling(inner, &outer);
            }
        }
        if !self.make_room(name) || self.open.len() >= DEEPEST {
            return;
        }
        match &tag.address {
            Some(address) => {
                self.out.push_str("<a rel=\"noreferrer\" href=\"");
                push_escaped(&mut self.out, address);
                self.out.push_str("\">");
            }
            None => return self.push(name),
        }
        self.open.push(name);
    }

    /// Opens what an element stands in, where that is missing; tells whether it can stand here.
    fn make_room(&mut self, name: &'static str) -> bool {
        let inner = self.open.last().copied().unwrap_or_default();
        match (name, inner) {
            ("li", "ul" | "ol")
            | ("dt" | "dd", "dl")
            | ("td" | "th", "tr")
            | ("tr", "table" | "tbody" | "thead") => {}
            ("tbody" | "thead", "table") => {}
            ("li", _) => self.push("ul"),
            ("td" | "th", "table" | "tbody" | "thead") => self.push("tr"),
            ("dt" | "dd" | "td" | "th" | "tr" | "tbody" | "thead", _) => return false,
            _ => self.make_room_for_text(),
        }
        true
    }

    /// Opens what text stands in, where the innermost element can hold none.
    fn make_room_for_text(&mut self) {
        match self.open.last().copied().unwrap_or_default() {
            "ul" | "ol" => self.push("li"),
            "dl" => self.push("dd"),
            "table" | "tbody" | "thead" => {
                self.push("tr");
                self.push("td");
            }
            "tr" => self.push("td"),
            _ => {}
        }
    }

    fn text(&mut self, text: &str) {
        if !text.trim().is_empty() {
            self.make_room_for_text();
        }
        push_escaped(&mut self.out, text);
    }

    fn push(&mut self, name: &'static str) {
        self.out.push('<');
        self.out.push_str(name);
        self.out.push('>');
        self.open.push(name);
    }

    /// Closes an element where it is open, with all inside it.
    fn close_inner(&mut self, name: &str) {
        if let Some(at) = self.open.iter().rposition(|open| *open == name) {
            self.close_to(at);
        }
    }

    /// Closes an item that is open in the innermost list.
    fn close_sibling(&mut self, name: &str, lists: &[&str]) {
        let item = self.open.iter().rposition(|open| *open == name);
        let list = self.open.iter().rposition(|open| lists.contains(open));
        if let Some(at) = item.filter(|at| list.is_none_or(|list| list < *at)) {
            self.close_to(at);
        }
    }

    fn close_to(&mut self, depth: usize) {
        while self.open.len() > depth {
            if let Some(name) = self.open.pop() {
                self.out.push_str("</");
                self.out.push_str(name);
                self.out.push('>');
            }
        }
    }
}

#[cfg(test)]
mod tests {
    use super::sanitized;

    #[test]
    fn what_can_do_harm_is_gone_and_all_is_closed() {
        for (text, wanted) in [
            ("a <b>c", "a <b>c</b>"),
            ("<script>alert(1)</script>x", "x"),
            ("<SCRIPT >alert(1)", ""),
            ("<b onclick=\"x()\">y</b>", "<b>y</b>"),
            ("<a href=\"javascript:x()\">y</a>", "<a>y</a>"),
            ("<a href=' java\tscript:x()'>y</a>", "<a>y</a>"),
            (
                "<a href=\"https://ridge.example/?a=1&b=2\">y</a>",
                "<a rel=\"noreferrer\" href=\"https://ridge.example/?a=1&amp;b=2\">y</a>",
            ),
            ("</b></p>a", "a"),
            ("<ul><li>a<li>b</ul>c", "<ul><li>a</li><li>b</li></ul>c"),
            ("<p>a<p>b", "<p>a</p><p>b</p>"),
            ("a < b && c > d &lt; &nope", "a &lt; b &amp;&amp; c &gt; d &lt; &amp;nope"),
            ("<img src=x onerror=alert(1)>a", "a"),
            ("<!-- x --><h1>a</h1>b", "<p><strong>a</strong></p>b"),
            ("List<String> x", "List x"),
            ("<b", "&lt;b"),
            ("<ul>a<li>b</ul>", "<ul><li>a</li><li>b</li></ul>"),
            ("<li>a", "<ul><li>a</li></ul>"),
            ("<table><td>a</table><td>b", "<table><tr><td>a</td></tr></table>b"),
            ("<script>a</SCRIPT>b<style>c", "b"),
        ] {
            assert_eq!(sanitized(text), wanted, "{text}");
        }
    }

    #[test]
    fn depth_and_length_are_bounded() {
        let deep = "<b>".repeat(100_000);
        assert!(sanitized(&deep).len() < 1000);
        let long = "a < ".repeat(300_000);
        assert_eq!(sanitized(&long).matches("&lt;").count(), 300_000);
    }
}
