//! Forms that PHP has, or had, and the grammar cannot read, written plainly at equal length.

use std::sync::LazyLock;

use regex::Regex;

/// Words of the language that may be names all the same: of members inside a string, `"$crate->default"`, of constants, and
/// of classes behind a bracket, where a type in brackets would be a cast: `(Integer::of(1))`.
static NAMES: LazyLock<[Regex; 3]> = LazyLock::new(|| {
    [
        r"(?i)->(abstract|and|as|break|callable|case|catch|class|clone|const|continue|declare|default|do|echo|else|elseif|enddeclare|endfor|endforeach|endif|endswitch|endwhile|extends|final|finally|fn|for|foreach|function|global|goto|if|implements|include|instanceof|insteadof|interface|match|namespace|new|or|print|private|protected|public|readonly|require|return|static|switch|throw|trait|try|use|var|while|xor|yield)\b",
        r"(?i)\bconst\s+(callable|iterable|mixed|namespace|true|void)\s*=",
        r"(?i)[(,]\s*(array|binary|bool|boolean|double|float|int|integer|object|real|string|unset)::",
    ]
    .map(|pattern| Regex::new(pattern).expect("the pattern is valid"))
});

/// Makes plain what the grammar cannot read; nothing where there is none of it.
pub(super) fn plainer(text: &str) -> Option<String> {
    let mut bytes = text.as_bytes().to_vec();
    let mut any = with_brackets(text, &mut bytes);
    for names in NAMES.iter() {
        for name in names.captures_iter(text).filter_map(|found| found.get(1)) {
            // Whatever begins so is no word of the language.
            (bytes[name.start()], any) = (b'_', true);
        }
    }
    if any { String::from_utf8(bytes).ok() } else { None }
}

/// Writes what takes a character out of a string with brackets: up to PHP 7 braces did as well, `$tag{0}`.
fn with_brackets(text: &str, bytes: &mut [u8]) -> bool {
    let is_of_name = |byte: &u8| byte.is_ascii_alphanumeric() || *byte == b'_' || !byte.is_ascii();
    let mut any = false;
    for at in memchr::memchr_iter(b'{', text.as_bytes()) {
        let before = &text.as_bytes()[..at];
        let name = before.iter().rev().take_while(|byte| is_of_name(byte)).count();
        let taken_from = match before.len() - name {
            start if name > 0 => before[..start].ends_with(b"$") || before[..start].ends_with(b"->"),
            _ => before.ends_with(b"]"),
        };
        let inner = if taken_from { &text.as_bytes()[at + 1..] } else { &[] };
        let end = inner.iter().take(200).position(|byte| matches!(byte, b'{' | b'}' | b';' | b'\n'));
        if let Some(end) = end.filter(|&end| inner[end] == b'}') {
            (bytes[at], bytes[at + 1 + end], any) = (b'[', b']', true);
        }
    }
    any
}

#[cfg(test)]
mod tests {
    use super::plainer;

    #[test]
    fn what_the_grammar_cannot_read_is_written_plainly() {
        let plain = |text: &str| plainer(text).unwrap_or_else(|| text.to_owned());
        assert_eq!(plain("$tag{0} == $this->tags[1]{$at}"), "$tag[0] == $this->tags[1][$at]");
        assert_eq!(plain("if ($a){ $b = 1; } do{ f(); }"), "if ($a){ $b = 1; } do{ f(); }");
        assert_eq!(plain("\"$a->default\""), "\"$a->_efault\"");
        assert_eq!(plain("const VOID = 1;"), "const _OID = 1;");
        assert_eq!(plain("f(Integer::of(1), Integer::most())"), "f(_nteger::of(1), _nteger::most())");
        assert_eq!(plain("$a->defaults; (int) $b; int::c"), "$a->defaults; (int) $b; int::c");
    }
}
