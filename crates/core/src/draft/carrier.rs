//! Puts lines of text into what carries them: a block comment, a run of line comments, a docstring.

use crate::model::Carrier;

/// Wraps lines as a comment. `indent` goes before every line but the first.
pub(super) fn wrap(carrier: Carrier, lines: &[String], indent: &str, ending: &str) -> String {
    let mut out = String::new();
    match carrier {
        Carrier::Block { open, close } => {
            let [only] = lines else {
                out.push_str(open);
                for line in lines {
                    out.push_str(&format!("{ending}{indent} *{}", spaced(&escaped(line, close))));
                }
                out.push_str(&format!("{ending}{indent} {close}"));
                return out;
            };
            out.push_str(&format!("{open}{} {close}", spaced(&escaped(only, close))));
        }
        Carrier::Lines { mark } => {
            for (at, line) in lines.iter().enumerate() {
                if at > 0 {
                    out.push_str(ending);
                    out.push_str(indent);
                }
                out.push_str(mark);
                out.push_str(&spaced(line));
            }
        }
        Carrier::Docstring => {
            out.push_str("\"\"\"");
            for (at, line) in lines.iter().enumerate() {
                if at > 0 {
                    out.push_str(ending);
                    if !line.is_empty() {
                        out.push_str(indent);
                    }
                }
                out.push_str(&line.replace("\"\"\"", "'''"));
            }
            if lines.len() > 1 {
                out.push_str(ending);
                out.push_str(indent);
            }
            out.push_str("\"\"\"");
        }
    }
    out
}

fn spaced(line: &str) -> String {
    if line.is_empty() { String::new() } else { format!(" {line}") }
}

/// Text that would end the comment is kept readable and harmless.
fn escaped(line: &str, close: &str) -> String {
    if close == "*/" { line.replace("*/", "*&#47;") } else { line.to_owned() }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn lines(text: &str) -> Vec<String> {
        text.split('\n').map(str::to_owned).collect()
    }

    #[test]
    fn one_line_stays_one_line() {
        let block = Carrier::Block { open: "/**", close: "*/" };
        assert_eq!(wrap(block, &lines("Weighs."), "", "\n"), "/** Weighs. */");
        assert_eq!(
            wrap(block, &lines("Weighs.\n\n@return kg"), "  ", "\n"),
            "/**\n   * Weighs.\n   *\n   * @return kg\n   */"
        );
        assert_eq!(wrap(Carrier::Docstring, &lines("Weigh."), "", "\n"), "\"\"\"Weigh.\"\"\"");
        assert_eq!(wrap(Carrier::Lines { mark: "///" }, &lines("a\n\nb"), " ", "\n"), "/// a\n ///\n /// b");
    }
}
