//! Macro calls that hold items: `cfg_press! { pub fn weigh() {} }`. The grammar knows none of what a macro is given, and
//! the items inside would be lost without a word.

use std::ops::Range;

use crate::languages::shared::literals;

/// Words that an item begins with.
const ITEMS: &[&str] = &[
    "pub", "fn", "impl", "struct", "enum", "trait", "mod", "use", "const", "static", "type", "unsafe",
    "async", "extern", "macro_rules",
];

/// Calls inside calls are looked through until so many times the text was read: deeper than anybody writes them.
const MOST_READ: usize = 8;

/// Returns what is to be blanked for the items inside macro calls to stand free: each call's head, up to its first item's
/// comments and attributes, and its brace at the end.
pub(super) fn around_items(text: &str) -> Vec<Range<usize>> {
    let mut blanks = Vec::new();
    let (mut from, mut read) = (0, 0);
    for sign in memchr::memchr_iter(b'!', text.as_bytes()) {
        let Some(head) = head_at(text, sign).filter(|head| head.start >= from) else { continue };
        let close = closing(text, head.end - 1);
        read += close.unwrap_or(text.len()) - head.end;
        if read > text.len() * MOST_READ {
            return Vec::new();
        }
        let Some(close) = close else { continue };
        let inner = &text[head.end..close];
        let skipped = behind_inner_attributes(inner);
        if holds_items(&inner[skipped..]) {
            from = head.end;
            blanks.push(head.start..head.end + skipped);
            blanks.push(close..close + 1);
        } else if let Some(branches) = branches(text, head.end..close) {
            from = head.end;
            let starts = std::iter::once(head.start).chain(branches.iter().map(|branch| branch.end));
            let ends = branches.iter().map(|branch| branch.start).chain(std::iter::once(close + 1));
            blanks.extend(starts.zip(ends).map(|(start, end)| start..end));
        }
    }
    blanks.sort_unstable_by_key(|range| range.start);
    blanks
}

/// Returns what stands between the braces of each branch where a macro is given branches by configuration
/// (`if #[cfg(hall)] { … } else { … }`), each of which holds items or nothing.
fn branches(text: &str, given: Range<usize>) -> Option<Vec<Range<usize>>> {
    let mut branches = Vec::new();
    let mut at = given.start;
    loop {
        let rest = &text[at..given.end];
        let head = rest.trim_start();
        if head.is_empty() && !branches.is_empty() {
            return Some(branches);
        }
        let behind_else = head.strip_prefix("else").filter(|_| !branches.is_empty()).map(str::trim_start);
        let body = match behind_else {
            Some(rest) if rest.starts_with('{') => rest,
            _ => {
                let condition = behind_else.unwrap_or(head).strip_prefix("if")?.trim_start();
                condition.starts_with("#[").then(|| condition.find('{').map(|open| &condition[open..]))??
            }
        };
        let open = given.end - body.len();
        let close = closing(text, open).filter(|&close| close < given.end)?;
        let inner = &text[open + 1..close];
        if !holds_items(inner) && !inner.trim().is_empty() {
            return None;
        }
        branches.push(open + 1..close);
        at = close + 1;
    }
}

/// Returns the head of the macro call whose sign stands at `sign`, brace included; nothing for what does not stand first on
/// its line.
fn head_at(text: &str, sign: usize) -> Option<Range<usize>> {
    let behind = &text[sign + 1..];
    let open = sign + 1 + (behind.len() - behind.trim_start().len());
    if !text[open..].starts_with('{') {
        return None;
    }
    let is_path = |c: char| c.is_alphanumeric() || matches!(c, '_' | ':');
    let name = text[..sign].trim_end_matches(is_path).len();
    let line = text[..name].rfind('\n').map_or(0, |at| at + 1);
    (name < sign && text[line..name].trim().is_empty()).then_some(name..open + 1)
}

/// Returns where the brace stands that closes the one at `open`, comments and literals left aside.
fn closing(text: &str, open: usize) -> Option<usize> {
    let bytes = text.as_bytes();
    let (mut at, mut depth) = (open, 0_usize);
    loop {
        at += bytes.get(at..)?.iter().position(|byte| matches!(byte, b'{' | b'}' | b'"' | b'\'' | b'/'))?;
        match bytes[at] {
            b'{' => depth += 1,
            b'}' if depth == 1 => return Some(at),
            b'}' => depth -= 1,
            b'/' if bytes[at..].starts_with(b"//") => {
                at += memchr::memchr(b'\n', &bytes[at..])?;
                continue;
            }
            b'/' if bytes[at..].starts_with(b"/*") => {
                at += 2 + memchr::memmem::find(&bytes[at + 2..], b"*/")?;
            }
            b'"' | b'\'' => {
                at = literals::rust(text, at, 0)?;
                continue;
            }
            _ => {}
        }
        at += 1;
    }
}

/// Returns the length of the attributes of its own that what a macro is given begins with: `#![feature = "scale"]`.
fn behind_inner_attributes(inner: &str) -> usize {
    let mut at = 0;
    loop {
        let rest = &inner[at..];
        let bare = rest.trim_start();
        match bare.find(']').filter(|_| bare.starts_with("#![")) {
            Some(end) => at += rest.len() - bare.len() + end + 1,
            None => return at,
        }
    }
}

/// Tells whether what a macro is given reads as items, and not as a language of the macro's own.
fn holds_items(inner: &str) -> bool {
    // A dollar sign belongs to what a macro makes of itself, or to one that is defined inside.
    let own = inner.contains('$') && !inner.contains("macro_rules!") || inner.contains("static ref ");
    !own && begins_with_item(inner)
}

/// Tells whether a text begins with an item, or with a macro call that does, comments and attributes in front set aside.
fn begins_with_item(text: &str) -> bool {
    let mut rest = text.trim_start();
    loop {
        let skipped = if rest.starts_with("//") {
            rest.find('\n')
        } else if rest.starts_with("#[") {
            rest.find(']')
        } else {
            let end = rest.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(rest.len());
            if ITEMS.contains(&&rest[..end]) {
                return true;
            }
            let call = rest[end..].starts_with('!') && rest[end + 1..].trim_start().starts_with('{');
            rest.find('{').filter(|_| call)
        };
        let Some(end) = skipped else { return false };
        rest = rest[end + 1..].trim_start();
    }
}

#[cfg(test)]
mod tests {
    use super::around_items;

    /// Returns a text without what is blanked.
    fn free(text: &str) -> String {
        let mut out = text.to_owned();
        for range in around_items(text).into_iter().rev() {
            out.replace_range(range, "");
        }
        out
    }

    #[test]
    fn items_inside_calls_stand_free() {
        let text = "impl Scale {\n    cfg_hall! {\n        #![feature = \"hall\"]\n        /// Weighs {.\n        pub fn weigh() { '}'; }\n    }\n}\n";
        assert_eq!(
            free(text),
            "impl Scale {\n    \n        /// Weighs {.\n        pub fn weigh() { '}'; }\n    \n}\n"
        );
        assert_eq!(free("a::outer! {\ninner! { fn f() {} }\n}"), "\n fn f() {} \n");
        let defined = "outer! {\nmacro_rules! load { ($a:ident) => { } }\nfn f() {}\n}";
        assert_eq!(free(defined), "\nmacro_rules! load { ($a:ident) => { } }\nfn f() {}\n");
    }

    #[test]
    fn branches_by_configuration_stand_free() {
        let text = "cfg_if::cfg_if! {\n    if #[cfg(hall)] {\n        mod hall;\n    } else if #[cfg(yard)] {} else {\n        fn f() {}\n    }\n}\n";
        assert_eq!(free(text), "\n        mod hall;\n    \n        fn f() {}\n    \n");
        for text in [
            "cfg_if! { if #[cfg(hall)] { weigh() } else { fn f() {} } }",
            "cfg_if! { if hall { fn f() {} } }",
        ] {
            assert_eq!(free(text), text);
        }
    }

    #[test]
    fn languages_of_macros_stay_theirs() {
        for text in [
            "select! { load = weigh() => {} }",
            "lazy_static! { pub static ref SCALE: Scale = Scale; }",
            "make! { pub fn $name() {} }",
            "let a = quote! { fn f() {} };",
            "if a != b { fn f() {} }",
            "open! { fn f() {",
        ] {
            assert_eq!(free(text), text);
        }
        // What nobody writes costs no more than it must.
        let deep = format!("{}fn f() {{}}{}", "a! {\n".repeat(20_000), "}\n".repeat(20_000));
        assert!(around_items(&deep).is_empty());
    }
}
