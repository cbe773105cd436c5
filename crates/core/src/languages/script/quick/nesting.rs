//! How deep a text may nest, before it is parsed by a parser that calls itself for what stands inside.

/// How much stack a level takes at most, in bytes: 2000 were measured; without optimisation it is several times as much.
const PER_LEVEL: usize = if cfg!(debug_assertions) { 16 << 10 } else { 4 << 10 };

/// The most stack that is taken for a text: of it only what is needed is ever touched.
const MOST: usize = 256 << 20;

/// The most brackets that are open at once: what is written has a few dozen, and the time that the parser takes over
/// thousands grows with their square.
const MOST_OPEN: usize = 300;

/// Returns how much stack suffices for a text, in bytes; nothing where the text nests deeper than is reasonable.
pub(super) fn stack_for(text: &str) -> Option<usize> {
    let stack = (levels(text) + 32) * PER_LEVEL;
    (stack <= MOST && open_brackets(text) <= MOST_OPEN).then_some(stack)
}

/// Returns more levels than a text can nest: whatever takes what follows into itself does so by a bracket, by another
/// sign or by a word of the language. All of them are counted, whether they nest or not, and those in strings and in
/// comments as well: no text can make it less.
fn levels(text: &str) -> usize {
    let bytes = text.as_bytes();
    let mut count = 0;
    let mut at = 0;
    while let Some(&byte) = bytes.get(at) {
        at += 1;
        count += match byte {
            b'a'..=b'z' => {
                let end = bytes[at..].iter().position(|byte| !byte.is_ascii_lowercase());
                let word = &bytes[at - 1..end.map_or(bytes.len(), |length| at + length)];
                at += word.len() - 1;
                usize::from(takes_what_follows(word))
            }
            b'!' | b'%' | b'&' | b'(' | b'+' | b'-' | b'.' | b'/' | b':' | b'<' | b'=' | b'>' | b'?'
            | b'@' | b'[' | b'^' | b'`' | b'{' | b'|' | b'~' => 1,
            // A run of them stands in a comment.
            b'*' => usize::from(bytes.get(at) != Some(&b'*')),
            _ => 0,
        };
    }
    count
}

/// Returns how many brackets are open at once, about: those in strings and comments count as well.
fn open_brackets(text: &str) -> usize {
    let (mut open, mut most) = (0_usize, 0);
    for byte in text.bytes() {
        match byte {
            b'(' | b'[' | b'{' => open += 1,
            b')' | b']' | b'}' => open = open.saturating_sub(1),
            _ => {}
        }
        most = most.max(open);
    }
    most
}

/// Tells whether a word of the language takes the expression, statement or type that follows into itself, without brackets.
fn takes_what_follows(word: &[u8]) -> bool {
    matches!(
        word,
        b"abstract"
            | b"as"
            | b"asserts"
            | b"async"
            | b"await"
            | b"class"
            | b"delete"
            | b"do"
            | b"else"
            | b"extends"
            | b"for"
            | b"function"
            | b"if"
            | b"in"
            | b"infer"
            | b"instanceof"
            | b"is"
            | b"keyof"
            | b"new"
            | b"of"
            | b"readonly"
            | b"return"
            | b"satisfies"
            | b"throw"
            | b"typeof"
            | b"unique"
            | b"void"
            | b"while"
            | b"with"
            | b"yield"
    )
}

#[cfg(test)]
mod tests {
    use super::levels;

    #[test]
    fn whatever_may_hold_what_follows_counts() {
        let nesting = [
            "(", "[", "{", "!", "- ", "typeof ", "if(a)", "if(a){}else ", "a=>", "<a>", "a.", "a+", "a?b:",
            "a=", "`${", "new ", "l:", "a extends b?c:", "()=>", "do ", "await ", "a[", "@a ", "**a",
        ];
        for sign in nesting {
            assert!(levels(&sign.repeat(1000)) >= 1000, "{sign}");
        }
    }
}
