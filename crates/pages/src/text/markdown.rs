//! Markdown, and the code blocks of HTML.

use pulldown_cmark::{CodeBlockKind, CowStr, Event, Options, Parser, Tag, TagEnd};

use super::fragments::Fragments;
use crate::safe::unescaped;

impl Fragments<'_> {
    /// Renders Markdown (CommonMark 0.31, with tables).
    pub(super) fn markdown(&mut self, text: &str) -> String {
        let mut events: Vec<Event<'_>> = Vec::new();
        // The code block that is open: its language, and what was read of it.
        let mut open: Option<(String, String)> = None;
        for event in Parser::new_ext(text, Options::ENABLE_TABLES | Options::ENABLE_STRIKETHROUGH) {
            match event {
                Event::Start(Tag::CodeBlock(kind)) => {
                    let info = match kind {
                        CodeBlockKind::Fenced(info) => info.to_string(),
                        CodeBlockKind::Indented => String::new(),
                    };
                    open = Some((info, String::new()));
                }
                Event::End(TagEnd::CodeBlock) => {
                    if let Some((info, code)) = open.take() {
                        let html = self.block(&code, info.trim());
                        events.push(Event::Html(CowStr::from(html)));
                    }
                }
                Event::Text(text) if open.is_some() => {
                    if let Some((_, code)) = &mut open {
                        code.push_str(&text);
                    }
                }
                Event::Code(text) => {
                    let html = self.code(&text);
                    events.push(Event::InlineHtml(CowStr::from(html)));
                }
                event => events.push(event),
            }
        }
        let mut out = String::with_capacity(text.len() * 2);
        pulldown_cmark::html::push_html(&mut out, events.into_iter());
        out
    }

    /// Takes the content of `<pre>` that is nothing but code out of HTML.
    pub(super) fn take_pre(&mut self, text: &str) -> String {
        let mut out = String::with_capacity(text.len());
        let mut rest = text;
        while let Some(at) = find_tag(rest, "<pre") {
            let Some(open) = rest[at..].find('>').map(|end| at + end + 1) else { break };
            let Some(close) = find_tag(&rest[open..], "</pre").map(|end| open + end) else { break };
            out.push_str(&rest[..at]);
            let inner = self.restored(&rest[open..close]);
            let inner = inner.trim().trim_start_matches("<code>").trim_end_matches("</code>");
            if inner.contains("</") {
                out.push_str(&rest[at..close]);
            } else {
                let code = self.block(&unescaped(inner), "");
                out.push_str(code.trim_end_matches("</pre>"));
            }
            rest = &rest[close..];
        }
        out.push_str(rest);
        out
    }
}

/// Finds the start of a tag, in whatever case it is written.
fn find_tag(text: &str, tag: &str) -> Option<usize> {
    let mut from = 0;
    while let Some(found) = text[from..].find('<') {
        let at = from + found;
        if text.as_bytes()[at..]
            .get(..tag.len())
            .is_some_and(|start| start.eq_ignore_ascii_case(tag.as_bytes()))
        {
            return Some(at);
        }
        from = at + 1;
    }
    None
}
