//! Makes forms plain that the grammars do not know: blanked, or replaced, at equal length.

use std::sync::LazyLock;

use regex::Regex;

use crate::reading::Given;

/// Directions of type parameters (TypeScript 4.7): `<in T, out U>`.
static DIRECTIONS: LazyLock<Regex> = LazyLock::new(|| {
    pattern(r"(?m)(?:[<,]|^)\s*((?:in\s+)?(?:out|in))\s+[A-Z_$]\w*\s*(?:[,>=]|extends\b|$)")
});

/// Types of other modules with arguments: `import('./crates').Crate<T>`.
static IMPORTED: LazyLock<Regex> =
    LazyLock::new(|| pattern(r#"(import\((?:'[^'\n]*'|"[^"\n]*")\)\.)(?:\w+\.)*[A-Z]\w*<"#));

/// A call signature on a line of its own, behind a member that ends without a sign.
static SIGNATURE: LazyLock<Regex> = LazyLock::new(|| {
    pattern(r"(?m)[\w>\]})'](?:[ \t]*//[^\n]*)?[ \t]*\r?\n[ \t]*( )<[A-Za-z_$][\w$]*[^\n(]*>\(")
});

/// Exports under names that are words of the language: `export { nothing as void }`.
static RESERVED: LazyLock<Regex> = LazyLock::new(|| {
    pattern(
        r"(?m)(?:[{,]|^)\s*[\w$]+(\s+as\s+(?:void|null|function|enum|class|var|new|in|delete|typeof|true|false|import|export|throw|return|switch|case|if|else|for|while|do|try|catch|finally|with|this|super|instanceof|const|default|break|continue|extends|debugger))\s*[,}]",
    )
});

fn pattern(text: &str) -> Regex {
    Regex::new(text).expect("the pattern is one of ours")
}

/// Gives `text` without forms that the grammar stumbles over though the language has them.
pub(super) fn without_what_is_new(text: &str, typed: bool) -> Given<'_> {
    let mut bytes = text.as_bytes().to_vec();
    let mut changed = false;
    let mut each = |regex: &Regex, with: u8| {
        let mut at = 0;
        // What ends one may begin the next.
        while let Some(found) = regex.captures_at(text, at) {
            let Some(part) = found.get(1) else { break };
            for byte in &mut bytes[part.range()] {
                if !matches!(*byte, b'\n' | b'\r') {
                    *byte = with;
                }
            }
            changed = true;
            at = part.end();
        }
    };
    if typed {
        each(&DIRECTIONS, b' ');
        each(&IMPORTED, b' ');
        each(&SIGNATURE, b';');
    }
    each(&RESERVED, b' ');
    match String::from_utf8(bytes) {
        Ok(masked) if changed => Given::replaced(masked),
        _ => Given::all(text),
    }
}

#[cfg(test)]
mod tests {
    use super::without_what_is_new;

    #[test]
    fn forms_go_and_lengths_stay() {
        for (text, wanted) in [
            ("interface A<in T, out U extends B> {}", "interface A<   T,     U extends B> {}"),
            ("a: import('./x').Crate<T>", "a:               Crate<T>"),
            ("a: A<B>\n  <C>(d: C): E", "a: A<B>\n ;<C>(d: C): E"),
            ("export { a as void };", "export { a         };"),
            ("for (const k in Things) {}", "for (const k in Things) {}"),
        ] {
            let given = without_what_is_new(text, true);
            assert_eq!(given.text(), wanted);
            assert_eq!(given.text().len(), text.len());
        }
    }
}
