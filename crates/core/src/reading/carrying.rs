//! Puts lines of text into what carries them: a block comment, a run of line comments, a docstring.

use crate::model::Carrier;

/// Wraps lines as a comment. `indent` goes before every line but the first.
pub(crate) fn wrap(carrier: Carrier, lines: &[String], indent: &str, ending: &str) -> String {
    let mut out = String::new();
    match carrier {
        Carrier::Block { open, close } => {
            let [only] = lines else {
                out.push_str(open);
                if close != "*/" {
                    // A mark of its own closes it: the lines between need no asterisk.
                    for line in lines {
                        let text = format!("{indent} {}", spaced(&escaped(line, close)));
                        out.push_str(ending);
                        out.push_str(text.trim_end());
                    }
                    out.push_str(&format!("{ending}{indent}{close}"));
                    return out;
                }
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

/// Breaks lines between words so that none is longer than `width` characters; longer words stay whole.
pub(crate) fn broken(lines: &[String], width: usize) -> Vec<String> {
    let mut out = Vec::new();
    for line in lines {
        let lead = &line[..line.len() - line.trim_start().len()];
        let mut current = lead.to_owned();
        for word in line.split_whitespace() {
            let fits = current.chars().count() + 1 + word.chars().count() <= width;
            if current.trim().is_empty() || fits {
                if !current.trim().is_empty() {
                    current.push(' ');
                }
                current.push_str(word);
            } else {
                out.push(std::mem::replace(&mut current, format!("{lead}{word}")));
            }
        }
        out.push(current.trim_end().to_owned());
    }
    out
}

/// Text that would end the comment is kept readable and harmless.
fn escaped(line: &str, close: &str) -> String {
    match close {
        close if close.ends_with("*/") => line.replace("*/", "*&#47;"),
        close if close.len() > 1 => line.replace(close, &close[..close.len() - 1]),
        close => line.replace(close, " "),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn lines(text: &str) -> Vec<String> {
        text.split('\n').map(str::to_owned).collect()
    }

    #[test]
    fn long_lines_are_broken_between_words() {
        assert_eq!(
            broken(&lines("Reckons the levy\n\n  of a day"), 10),
            ["Reckons", "the levy", "", "  of a day"]
        );
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
