//! Where literals end, as far as a lexical pass must know: nothing in them is code, and nothing behind them is text.
//!
//! Each function is given the offset of the sign that opens a literal and returns the offset behind it; nothing when
//! it never ends.

/// How a literal of a language is passed over.
/// The number counts the expressions in literals around it.
pub(in crate::languages) type Literal = fn(&str, usize, u8) -> Option<usize>;

/// The literals in expressions in literals: how they are passed over, the signs that open them, and the number of
/// expressions around.
type Inner = (Literal, &'static [u8], u8);

/// Expressions in literals in expressions: nobody writes more of them into one another, and the pass must end.
const DEEPEST: u8 = 16;

/// A string on one line in which a backslash escapes, or a text block in three quotes; characters in single quotes.
/// With `@` before it, a string may go on over lines and knows no escapes (C#).
pub(in crate::languages) fn c_like(text: &str, open: usize, _depth: u8) -> Option<usize> {
    let bytes = text.as_bytes();
    match bytes[open] {
        b'"' if text[open..].starts_with("\"\"\"") => behind(text, open + 3, "\"\"\""),
        b'"' if text[..open].ends_with('@') || text[..open].ends_with("@$") => verbatim(bytes, open),
        b'"' => on_one_line(bytes, open),
        _ => Some(character(bytes, open)),
    }
}

/// Strings over lines, raw strings, characters and lifetimes (Rust).
pub(in crate::languages) fn rust(text: &str, open: usize, _depth: u8) -> Option<usize> {
    let bytes = text.as_bytes();
    if bytes[open] == b'\'' {
        return Some(match bytes.get(open + 1) {
            Some(b'\\') => character(bytes, open),
            _ => lifetime_or_character(text, open),
        });
    }
    let before = text[..open].trim_end_matches('#');
    let hashes = open - before.len();
    let prefix = before.len() - before.trim_end_matches(|c: char| c.is_alphanumeric() || c == '_').len();
    if matches!(&before[before.len() - prefix..], "r" | "br" | "cr") {
        return behind(text, open + 1, &format!("\"{}", "#".repeat(hashes)));
    }
    over_lines(bytes, open)
}

/// Raw strings in backquotes, strings and runes (Go).
pub(in crate::languages) fn go(text: &str, open: usize, _depth: u8) -> Option<usize> {
    let bytes = text.as_bytes();
    match bytes[open] {
        b'`' => behind(text, open + 1, "`"),
        b'"' => on_one_line(bytes, open),
        _ => Some(character(bytes, open)),
    }
}

/// Strings with expressions in `${}`, text blocks with the same, characters, names in backquotes (Kotlin).
pub(in crate::languages) fn kotlin(text: &str, open: usize, depth: u8) -> Option<usize> {
    match text.as_bytes()[open] {
        b'`' => behind(text, open + 1, "`"),
        b'\'' => Some(character(text.as_bytes(), open)),
        _ => with_expressions(text, open, ("${", b'{', b'}'), (kotlin, b"\"", depth)),
    }
}

/// The same, where only strings with a name in front hold expressions, and a quote may begin a symbol (Scala).
pub(in crate::languages) fn scala(text: &str, open: usize, depth: u8) -> Option<usize> {
    let bytes = text.as_bytes();
    match bytes[open] {
        b'`' => behind(text, open + 1, "`"),
        b'\'' if bytes.get(open + 1) == Some(&b'\\') => Some(character(bytes, open)),
        b'\'' => Some(lifetime_or_character(text, open)),
        _ if text[..open].ends_with(|c: char| c.is_alphanumeric()) => {
            with_expressions(text, open, ("${", b'{', b'}'), (scala, b"\"", depth))
        }
        _ if text[open..].starts_with("\"\"\"") => {
            let end = behind(text, open + 3, "\"\"\"")?;
            Some(end + text[end..].bytes().take_while(|&b| b == b'"').count())
        }
        _ => on_one_line(bytes, open),
    }
}

/// Strings with expressions in `\(…)`, those in number signs without (Swift).
pub(in crate::languages) fn swift(text: &str, open: usize, depth: u8) -> Option<usize> {
    if text.as_bytes()[open] == b'`' {
        return behind(text, open + 1, "`");
    }
    let hashes = open - text[..open].trim_end_matches('#').len();
    if hashes > 0 {
        let quotes = if text[open..].starts_with("\"\"\"") { 3 } else { 1 };
        return behind(text, open + quotes, &("\"".repeat(quotes) + &"#".repeat(hashes)));
    }
    with_expressions(text, open, ("\\(", b'(', b')'), (swift, b"\"", depth))
}

/// Strings on one line, and templates with expressions in `${}` (JavaScript).
pub(in crate::languages) fn script(text: &str, open: usize, depth: u8) -> Option<usize> {
    match text.as_bytes()[open] {
        b'`' => over_lines_with(text, open, "${", (script, b"\"'`", depth)),
        _ => on_one_line(text.as_bytes(), open),
    }
}

/// Strings over lines; in double quotes with expressions in `{$…}` (PHP).
pub(in crate::languages) fn php(text: &str, open: usize, depth: u8) -> Option<usize> {
    match text.as_bytes()[open] {
        b'"' => over_lines_with(text, open, "{$", (php, b"\"", depth)),
        _ => over_lines(text.as_bytes(), open),
    }
}

/// A string over lines with expressions in braces, of which `sign` has the opening one.
fn over_lines_with(text: &str, open: usize, sign: &str, inner: Inner) -> Option<usize> {
    let bytes = text.as_bytes();
    let mut at = open + 1;
    loop {
        match *bytes.get(at)? {
            b'\\' => at += 2,
            byte if byte == bytes[open] => return Some(at + 1),
            _ if bytes[at..].starts_with(sign.as_bytes()) => {
                let brace = at + sign.find('{').unwrap_or(0);
                at = expression(text, brace + 1, (b'{', b'}'), inner)?;
            }
            _ => at += 1,
        }
    }
}

/// Returns the offset behind the first `close` from `from`.
fn behind(text: &str, from: usize, close: &str) -> Option<usize> {
    memchr::memmem::find(text.get(from..)?.as_bytes(), close.as_bytes())
        .map(|found| from + found + close.len())
}

fn verbatim(bytes: &[u8], open: usize) -> Option<usize> {
    memchr::memchr(b'"', &bytes[open + 1..]).map(|found| open + 1 + found + 1)
}

fn on_one_line(bytes: &[u8], open: usize) -> Option<usize> {
    let mut at = open + 1;
    loop {
        match *bytes.get(at)? {
            b'\\' => at += 2,
            b'\n' => return None,
            byte if byte == bytes[open] => return Some(at + 1),
            _ => at += 1,
        }
    }
}

fn over_lines(bytes: &[u8], open: usize) -> Option<usize> {
    let mut at = open + 1;
    loop {
        at += memchr::memchr2(b'\\', bytes[open], bytes.get(at..)?)?;
        if bytes[at] != b'\\' {
            return Some(at + 1);
        }
        at += 2;
    }
}

/// A character is at most as long as an escape; a quote that stands alone is passed over alone.
fn character(bytes: &[u8], open: usize) -> usize {
    let rest = &bytes[open + 1..];
    let close = match rest.first() {
        Some(b'\\') => rest.iter().skip(2).take(10).position(|&b| b == b'\'').map(|end| end + 2),
        _ => rest.iter().skip(1).take(4).position(|&b| b == b'\'').map(|end| end + 1),
    };
    open + 1 + close.map_or(0, |close| close + 1)
}

/// One character with a quote behind it, else the quote alone.
fn lifetime_or_character(text: &str, open: usize) -> usize {
    let mut rest = text[open + 1..].chars();
    match (rest.next(), rest.next()) {
        (Some(c), Some('\'')) => open + 1 + c.len_utf8() + 1,
        _ => open + 1,
    }
}

/// A string, or a text block in three quotes, with expressions that begin with `sign` and end with the closing one
/// of a pair.
fn with_expressions(
    text: &str,
    open: usize,
    (sign, opens, closes): (&str, u8, u8),
    inner: Inner,
) -> Option<usize> {
    let bytes = text.as_bytes();
    let block = text[open..].starts_with("\"\"\"");
    let mut at = open + if block { 3 } else { 1 };
    loop {
        let byte = *bytes.get(at)?;
        if bytes[at..].starts_with(sign.as_bytes()) {
            at = expression(text, at + sign.len(), (opens, closes), inner)?;
        } else if block && bytes[at..].starts_with(b"\"\"\"") {
            // Quotes directly before the closing ones belong to the text.
            return Some(at + bytes[at..].iter().take_while(|&&b| b == b'"').count());
        } else {
            match byte {
                b'"' if !block => return Some(at + 1),
                b'\n' if !block => return None,
                b'\\' if !block => at += 2,
                _ => at += 1,
            }
        }
    }
}

/// Returns the offset behind an expression that was opened before `from`, the literals in it passed over.
fn expression(
    text: &str,
    from: usize,
    (opens, closes): (u8, u8),
    (literal, quotes, depth): Inner,
) -> Option<usize> {
    if depth >= DEEPEST {
        return None;
    }
    let bytes = text.as_bytes();
    let (mut at, mut open) = (from, 1_usize);
    while open > 0 {
        match *bytes.get(at)? {
            byte if quotes.contains(&byte) => at = literal(text, at, depth + 1)?,
            byte => {
                open = open + usize::from(byte == opens) - usize::from(byte == closes);
                at += 1;
            }
        }
    }
    Some(at)
}

#[cfg(test)]
mod tests {
    use super::*;

    /// Returns what is behind the literal that the text begins with.
    fn rest(literal: Literal, text: &str) -> Option<&str> {
        let open = text.find(['"', '\'', '`'])?;
        literal(text, open, 0).map(|end| &text[end..])
    }

    #[test]
    fn literals_end_where_their_language_says() {
        for (literal, text, wanted) in [
            (c_like as Literal, r#""a\"b" c"#, Some(" c")),
            (c_like, "\"\"\"\n \" \"\"\" c", Some(" c")),
            (c_like, r#"@"a\" c"#, Some(" c")),
            (c_like, "\"a\n", None),
            (c_like, r"'\'' c", Some(" c")),
            (rust, "r#\"a\" b\"# c", Some(" c")),
            (rust, "\"a\n\\\"\" c", Some(" c")),
            (rust, "'a, 'b> c", Some("a, 'b> c")),
            (rust, "'{' c", Some(" c")),
            (go, "`a\n\"` c", Some(" c")),
            (kotlin, r#""a ${b("}")} " c"#, Some(" c")),
            (kotlin, "\"\"\"a \"b\" ${c}\"\"\"\" c", Some(" c")),
            (scala, r#""${" c"#, Some(" c")),
            (scala, r#"s"${f("{")}" c"#, Some(" c")),
            (scala, "'symbol c", Some("symbol c")),
            (swift, r#""a \(f("b)")) d" c"#, Some(" c")),
            (swift, "#\"a \" b\"# c", Some(" c")),
            (php, "\"a {$b[\"c\"]} \\\" \n\" c", Some(" c")),
            (php, "'a\\'b' c", Some(" c")),
        ] {
            assert_eq!(rest(literal, text), wanted, "{text}");
        }
    }

    #[test]
    fn nesting_without_an_end_is_given_up() {
        assert_eq!(kotlin(&"\"${".repeat(100_000), 0, 0), None);
    }
}
