//! Makes forms plain that the grammars do not know: blanked, or replaced, at equal length.

use std::ops::Range;
use std::sync::LazyLock;

use regex::bytes::{Regex, RegexBuilder};

use super::lexer;
use crate::languages::shared::literals;
use crate::reading::Given;

/// Directions of type parameters (TypeScript 4.7): `<in T, out U>`.
static DIRECTIONS: LazyLock<Regex> = LazyLock::new(|| {
    pattern(
        r"(?m)(?:[<,]|^)\s*((?:in\s+)?(?:out|in))\s+(?:[A-Z_$]\w*\s*(?:[,>=]|extends\b|$)|[a-z]\w*\s*(?:\bextends\b|[,>]|=[^=>]))",
    )
});

/// Types of other modules: `import('./crates').Crate<T>`; what is called is none.
static IMPORTED: LazyLock<Regex> =
    LazyLock::new(|| pattern(r#"(import\((?:'[^'\n]*'|"[^"\n]*")\)\.)(?:[\w$]+\.)*[\w$]+\s*[^\s(\w$.]"#));

/// Name spaces that have the name of a type of the language: `string.Crate`, a type of them.
static NAME_SPACES: LazyLock<Regex> = LazyLock::new(|| {
    pattern(
        r"[:<|&,=(]\s*(?:(s)tring|(n)umber|(o)bject|(u)nknown|(b)oolean|(n)ever|(a)ny|(s)ymbol|(b)igint)\.[\w$]",
    )
});

/// Names that are words elsewhere: a parameter `using`, a type parameter `type`, a member `abstract`.
static NAMES: LazyLock<Regex> = LazyLock::new(|| {
    pattern(
        r"(?m)(?:[(,]\s*(using)\s*\??\s*[:,)]|[(|&=?:,<]\s*(type)\s+extends\b|\(\s*(type)\.[\w$]|[{;,]\s*(abstract)\s*\??:|^\s*(abstract)\s*\??:|[\[,]\s*(symbol)\s*\??:|\b(?:let|const|var)\s+(as)\b|(?:[{;]|^)\s*(accessor)\s*[=;])",
    )
});

/// A variable `using`, which is a word of declarations since ECMAScript 2026.
static USING: LazyLock<Regex> = LazyLock::new(|| pattern(r"\b(using)\s*[=.,;)\]]"));

/// `for (using scale of scales)`, of which the grammar knows `const`.
static USING_EACH: LazyLock<Regex> =
    LazyLock::new(|| pattern(r"\bfor\s*(?:await\s*)?\(\s*(await\s+)?(using)\s+[\w$]+\s+of\b"));

/// `abstract accessor name` (TypeScript 4.9), and `abstract override name`, of which the grammar knows the other order.
static ACCESSORS: LazyLock<Regex> =
    LazyLock::new(|| pattern(r"\babstract\s+(accessor)\s+[\w#$]|\b(abstract)\s+override\b"));

/// An optional parameter that is taken apart, in the type of a function: `({ load }?: Crate) => void`.
static TAKEN_APART: LazyLock<Regex> = LazyLock::new(|| pattern(r"[}\]](\?):"));

/// What a word is for the grammar, and not here: `typeof undefined` as a type, `global {` in a module that is declared.
static WORDS: LazyLock<Regex> =
    LazyLock::new(|| pattern(r"(?m)(?:\b(typeof)\s+undefined\b|^[ \t]+(global)\s*\{)"));

/// A function without a name and without a body: `export default function (crate: Crate): void;`.
static NAMELESS: LazyLock<Regex> = LazyLock::new(|| pattern(r"(?m)^(export default) (function)\s*[<(]"));

/// Exports under names that are words of the language: `export { nothing as void }`.
static RESERVED: LazyLock<Regex> = LazyLock::new(|| {
    pattern(
        r"(?m)(?:[{,]|^)\s*[\w$]+(\s+as\s+(?:void|null|function|enum|class|var|new|in|delete|typeof|true|false|import|export|throw|return|switch|case|if|else|for|while|do|try|catch|finally|with|this|super|instanceof|const|default|break|continue|extends|debugger))\s*[,}]",
    )
});

/// Builds a pattern of bytes: words are those of ASCII, since the border of any other costs the fast search wherever a
/// text has but one letter beyond.
fn pattern(text: &str) -> Regex {
    RegexBuilder::new(text).unicode(false).build().expect("the pattern is one of ours")
}

/// Gives `text` without forms that the grammar stumbles over though the language has them; nothing when it has none.
pub(super) fn without_what_is_new(text: &str, typed: bool) -> Option<Given<'_>> {
    let mut bytes = text.as_bytes().to_vec();
    let each = |bytes: &mut [u8], regex: &Regex, with: &[u8]| {
        let mut at = 0;
        // What ends one may begin the next.
        while let Some(found) = regex.captures_at(text.as_bytes(), at) {
            let parts = found.iter().skip(1).flatten();
            for (part, &with) in parts.zip(with.iter().cycle()) {
                for byte in &mut bytes[part.range()] {
                    if !matches!(*byte, b'\n' | b'\r') {
                        *byte = with;
                    }
                }
                at = at.max(part.end());
            }
        }
    };
    if typed {
        each(&mut bytes, &DIRECTIONS, b" ");
        each(&mut bytes, &IMPORTED, b" ");
        each(&mut bytes, &NAME_SPACES, b"_");
        each(&mut bytes, &NAMES, b"_");
        each(&mut bytes, &ACCESSORS, b" ");
        each(&mut bytes, &TAKEN_APART, b" ");
        each(&mut bytes, &WORDS, b" ");
        for found in NAMELESS.captures_iter(text.as_bytes()) {
            // A signature whose name is the word: the reader of functions knows it.
            bytes[found.get(1).map_or(0..0, |part| part.range())].copy_from_slice(b"function      ");
            bytes[found.get(2).map_or(0..0, |part| part.range())].copy_from_slice(b"________");
        }
        for (at, with) in beyond_patterns(text) {
            bytes[at] = with;
        }
    }
    each(&mut bytes, &USING, b"_");
    for found in USING_EACH.captures_iter(text.as_bytes()) {
        bytes[found.get(1).map_or(0..0, |part| part.range())].fill(b' ');
        bytes[found.get(2).map_or(0..0, |part| part.range())].copy_from_slice(b"const");
    }
    each(&mut bytes, &RESERVED, b" ");
    String::from_utf8(bytes).ok().filter(|masked| masked != text).map(Given::replaced)
}

/// Finds what no pattern can, each byte with what stands for it: blanks before a generic call signature, or a member
/// named `in`, behind a member of a type that ends without a sign, comments between set aside; escapes in templates.
fn beyond_patterns(text: &str) -> Vec<(usize, u8)> {
    let bytes = text.as_bytes();
    let (mut out, mut at) = (Vec::new(), 0);
    // The last two bytes of code, and whether a line ended since.
    let (mut before, mut last, mut ended) = (b' ', b' ', false);
    while let Some(&byte) = bytes.get(at) {
        let behind = match byte {
            b'\n' => {
                ended = true;
                Some(at + 1)
            }
            b' ' | b'\t' | b'\r' => Some(at + 1),
            b'/' => lexer::behind_slash(text, at),
            b'"' | b'\'' | b'`' => literals::script(text, at, 0),
            _ => Some(at + 1),
        };
        let Some(behind) = behind else { break };
        let is_comment = byte == b'/' && matches!(bytes.get(at + 1), Some(b'/' | b'*'));
        if !byte.is_ascii_whitespace() && !is_comment {
            let ends_member =
                lexer::is_word(last) || matches!(last, b'>' | b']' | b'}' | b')' | b'\'' | b'"' | b'`');
            let ends_member = ends_member && !(last == b'>' && before == b'=');
            let blank = at > 0 && matches!(bytes[at - 1], b' ' | b'\t');
            let begins_member = match byte {
                b'<' => is_signature(text, at),
                b'i' => text[at..].starts_with("in:") || text[at..].starts_with("in?:"),
                _ => false,
            };
            if ended && blank && ends_member && begins_member {
                out.push((at - 1, b';'));
            }
            if byte == b'`' {
                out.extend(escapes(bytes, at..behind));
            }
            (before, last) = (last, bytes[behind - 1]);
            ended = false;
        }
        at = behind;
    }
    out
}

/// Returns the bytes of escapes, as plain text.
fn escapes(bytes: &[u8], range: Range<usize>) -> Vec<(usize, u8)> {
    let (mut out, mut at) = (Vec::new(), range.start);
    while let Some(found) = bytes.get(at..range.end).and_then(|rest| memchr::memchr(b'\\', rest)) {
        at += found;
        if bytes.get(at + 1).is_some_and(u8::is_ascii_graphic) {
            out.extend([(at, b'_'), (at + 1, b'_')]);
        }
        at += 2;
    }
    out
}

/// Tells whether type parameters, parameters and a type of the result begin here.
fn is_signature(text: &str, open: usize) -> bool {
    let next = |behind: usize| {
        let rest = text[behind..].trim_start();
        (text.len() - rest.len(), rest.bytes().next())
    };
    let behind = lexer::behind_pair(text, open).map(next);
    let Some((paren, Some(b'('))) = behind else { return false };
    matches!(lexer::behind_pair(text, paren).map(next), Some((_, Some(b':'))))
}

#[cfg(test)]
mod tests {
    use super::without_what_is_new;

    #[test]
    fn forms_go_and_lengths_stay() {
        for (text, wanted) in [
            ("interface A<in T, out U extends B> {}", "interface A<   T,     U extends B> {}"),
            ("interface A<out b = C, in d,\n out e = F> {}", "interface A<    b = C,    d,\n     e = F> {}"),
            ("a: string.B; c: D<number.E>;", "a: _tring.B; c: D<_umber.E>;"),
            ("a: import('./x').Crate<T>", "a:               Crate<T>"),
            ("a: import('./x').$Crate<T>", "a:               $Crate<T>"),
            ("a: A<B>\n  <C>(d: C): E", "a: A<B>\n ;<C>(d: C): E"),
            ("export { a as void };", "export { a         };"),
            (
                "a: A\n  /** Of C. */\n  <C>(d: (e: C) => F): G",
                "a: A\n  /** Of C. */\n ;<C>(d: (e: C) => F): G",
            ),
            ("a: A\n  in: B", "a: A\n ;in: B"),
            ("a: `b \\`${C}\\``", "a: `b __${C}__`"),
            ("let a = b\n  <c>(d)", "let a = b\n  <c>(d)"),
            ("using = a; b(using)", "_____ = a; b(_____)"),
            ("f(using: A, b: C)", "f(_____: A, b: C)"),
            ("for await (using a of b) {}", "for await (const a of b) {}"),
            ("for (await using a of b) {}", "for (      const a of b) {}"),
            ("for (using of b) {}", "for (using of b) {}"),
            ("type A<type> = (type extends B ? C : D)", "type A<type> = (____ extends B ? C : D)"),
            ("type A = (type.B extends C ? D : E)", "type A = (____.B extends C ? D : E)"),
            ("type A = ({ b }?: C) => D", "type A = ({ b } : C) => D"),
            ("abstract accessor a: B;", "abstract          a: B;"),
            ("abstract override a: B;", "         override a: B;"),
            ("export default function (a: B): C;", "function       ________ (a: B): C;"),
            ("for (const k in Things) {}", "for (const k in Things) {}"),
        ] {
            let given = without_what_is_new(text, true);
            assert_eq!(given.as_ref().map_or(text, |given| given.text()), wanted);
            assert_eq!(wanted.len(), text.len());
        }
    }
}
