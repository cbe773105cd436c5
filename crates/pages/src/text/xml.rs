//! The XML of C# comments (ECMA-334, annex D).

use super::fragments::{Ahead, Fragments};
use crate::safe::unescaped;

impl Fragments<'_> {
    /// Turns the elements of XML comments into those of HTML.
    pub(super) fn take_elements(&mut self, text: &str) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        let mut lists: Vec<&str> = Vec::new();
        let mut ahead = Ahead::default();
        while let Some(at) = rest.find('<') {
            out.push_str(&rest[..at]);
            rest = &rest[at..];
            let Some(end) = rest.find('>') else { break };
            let inside = &rest[1..end];
            let name = inside.trim_start_matches('/').split([' ', '/', '\n']).next().unwrap_or_default();
            let attribute = |wanted: &str| {
                let at = inside.find(&format!("{wanted}=\""))? + wanted.len() + 2;
                inside[at..].split('"').next()
            };
            let closes = inside.starts_with('/');
            let alone = inside.ends_with('/');
            let behind = &rest[end + 1..];
            // An element with text in it says what the link is called.
            let mut said = |name: &str| ahead.find(behind, &format!("</{name}>")).map(|at| &behind[..at]);
            let html = match (name, closes) {
                ("see" | "seealso", false) => match attribute("cref").or_else(|| attribute("href")) {
                    Some(target) => {
                        let label = if alone { None } else { said(name) };
                        if let Some(label) = label {
                            rest = &rest[end + 1 + label.len()..];
                            out.push_str(&self.reference(target, &unescaped(label)));
                            continue;
                        }
                        self.reference(target, "")
                    }
                    None => attribute("langword").map(|word| self.code(word)).unwrap_or_default(),
                },
                ("paramref" | "typeparamref", false) => {
                    attribute("name").map(|name| self.code(name)).unwrap_or_default()
                }
                ("c", false) if !alone => match said("c") {
                    Some(code) => {
                        rest = &behind[code.len()..];
                        out.push_str(&self.code(&unescaped(code)));
                        continue;
                    }
                    None => String::new(),
                },
                ("code", false) if !alone => match said("code") {
                    Some(code) => {
                        rest = &behind[code.len()..];
                        let code = code
                            .strip_prefix("<![CDATA[")
                            .and_then(|code| code.trim_end().strip_suffix("]]>"))
                            .map_or_else(|| unescaped(code), str::to_owned);
                        out.push_str(&self.block(
                            &without_indent(&code),
                            attribute("lang").or_else(|| attribute("language")).unwrap_or_default(),
                        ));
                        continue;
                    }
                    None => String::new(),
                },
                ("see" | "seealso" | "c" | "code", true) => String::new(),
                ("para", closes) => format!("<{}p>", if closes || alone { "/" } else { "" }),
                ("list", false) => {
                    let list = if attribute("type") == Some("number") { "ol" } else { "ul" };
                    lists.push(list);
                    format!("<{list}>")
                }
                ("list", true) => lists.pop().map(|list| format!("</{list}>")).unwrap_or_default(),
                ("item" | "listheader", closes) => format!("<{}li>", if closes { "/" } else { "" }),
                ("term", true) => ": ".to_owned(),
                (
                    "summary" | "remarks" | "returns" | "param" | "value" | "term" | "description"
                    | "example" | "exception" | "typeparam",
                    _,
                ) => " ".to_owned(),
                _ => rest[..=end].to_owned(),
            };
            out.push_str(&html);
            rest = &rest[end + 1..];
        }
        out.push_str(rest);
        out
    }
}

/// Returns code without what all its lines are indented by.
fn without_indent(code: &str) -> String {
    let said = code.lines().filter(|line| !line.trim().is_empty());
    let base = said.map(|line| line.len() - line.trim_start().len()).min().unwrap_or(0);
    code.lines().map(|line| line.get(base..).unwrap_or_default()).collect::<Vec<_>>().join("\n")
}
