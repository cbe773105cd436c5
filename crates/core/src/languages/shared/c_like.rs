//! Comments of languages with `/* */` and `//`.

use std::borrow::Cow;

use crate::model::{Carrier, Doc};
use crate::reading::CommentForm;

/// Tells whether a comment is a banner: ornament, never documentation.
fn is_banner(text: &str) -> bool {
    text.starts_with("/***") || text.starts_with("////") || is_line_of_box(text)
}

/// Tells whether a comment is an empty line of a box: `/**                **/`.
fn is_line_of_box(text: &str) -> bool {
    text.ends_with("**/") && text.bytes().all(|b| b"/* \t".contains(&b))
}

/// Returns code without the comments in it, which may speak of anything; one that does not end is left.
pub(in crate::languages) fn without_comments(code: &str) -> Cow<'_, str> {
    let mut out = String::new();
    let mut rest = code;
    while let Some(at) = rest.find("/*").into_iter().chain(rest.find("//")).min() {
        let inner = &rest[at + 2..];
        // The line goes on being one.
        let end =
            if rest[at..].starts_with("//") { inner.find('\n') } else { inner.find("*/").map(|end| end + 2) };
        let Some(end) = end else { break };
        out.push_str(&rest[..at]);
        out.push(' ');
        rest = &inner[end..];
    }
    if out.is_empty() {
        return Cow::Borrowed(code);
    }
    out.push_str(rest);
    Cow::Owned(out)
}

/// Tells whether a comment is `/** */` documentation. What opens with `/**#@` begins or ends a group of declarations that
/// share their tags.
pub(in crate::languages) fn is_doc_block(text: &str) -> bool {
    text.starts_with("/**") && text.len() > 4 && !is_banner(text) && !text.starts_with("/**#@")
}

/// Tells whether a line of a comment opens with one of these tags.
pub(in crate::languages) fn opens_with_tag(text: &str, tags: &[&str]) -> bool {
    let bytes = text.as_bytes();
    memchr::memchr_iter(b'@', bytes).any(|at| {
        let line = bytes[..at].iter().rev().take_while(|&&byte| byte != b'\n');
        let rest = &bytes[at + 1..];
        let end = rest.iter().position(|byte| !(byte.is_ascii_alphanumeric() || *byte == b'_'));
        let tag = &rest[..end.unwrap_or(rest.len())];
        tags.iter().any(|known| known.as_bytes() == tag)
            && line.copied().all(|byte| byte.is_ascii_whitespace() || matches!(byte, b'*' | b'/' | b'!'))
    })
}

/// Takes a comment as `/** */` documentation, `///` documentation, or an ordinary comment.
pub(in crate::languages) fn block_form(text: &str) -> CommentForm {
    let doc_block = is_doc_block(text);
    let doc_line = text.starts_with("///") && !is_banner(text);
    let (carrier, doc) = if text.starts_with("/*") {
        (Carrier::Block { open: if doc_block { "/**" } else { "/*" }, close: "*/" }, doc_block)
    } else {
        (Carrier::Lines { mark: if doc_line { "///" } else { "//" } }, doc_line)
    };
    CommentForm { carrier, doc: if doc { Doc::Yes } else { Doc::No } }
}
