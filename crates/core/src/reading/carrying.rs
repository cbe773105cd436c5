//! Puts lines of text into what carries them: a block comment, a run of line comments, a docstring.

use super::dress::{Dress, Layout};
use crate::model::Carrier;

/// Wraps lines as a comment, as it is put down in the file. `indent` goes before every line but the first.
pub(crate) fn wrap(dress: Dress, lines: &[String], indent: &str, ending: &str) -> String {
    let form = dress.form(lines);
    match form.carrier {
        Carrier::Lines { mark } => {
            let rest = form.rest.unwrap_or(mark);
            let marks = std::iter::once(mark).chain(std::iter::repeat(rest));
            let put = |(line, mark): (&String, &str)| match form.tight && line.starts_with('@') {
                true => format!("{mark}{line}"),
                false => format!("{mark}{}", spaced(line)),
            };
            let lines: Vec<String> = lines.iter().zip(marks).map(put).collect();
            lines.join(&format!("{ending}{indent}"))
        }
        Carrier::Block { open, close } => {
            let lines: Vec<String> = lines.iter().map(|line| escaped(line, close)).collect();
            block((open, close), form.layout, &lines, (indent, ending))
        }
        Carrier::Docstring => {
            let quotes = form.quotes;
            let other = if quotes == "'''" { "\"\"\"" } else { "'''" };
            let lines: Vec<String> = lines.iter().map(|line| line.replace(quotes, other)).collect();
            docstring(quotes, form.layout, &lines, (indent, ending))
        }
    }
}

fn block(
    (open, close): (&str, &str),
    layout: Layout,
    lines: &[String],
    (indent, ending): (&str, &str),
) -> String {
    let Layout::Lines { opens, star, lead, gap, tail } = layout else {
        let text: String = lines.iter().map(|line| spaced(line)).collect();
        return format!("{open}{text} {close}");
    };
    let mut out = open.to_owned();
    for (at, line) in lines.iter().enumerate() {
        if at == 0 && opens {
            out.push_str(&spaced(line));
            continue;
        }
        let text = if star { format!("*{}{line}", " ".repeat(gap)) } else { line.clone() };
        let line = format!("{indent}{}{text}", " ".repeat(lead));
        out.push_str(ending);
        out.push_str(line.trim_end());
    }
    format!("{out}{ending}{indent}{}{close}", " ".repeat(tail))
}

fn docstring(quotes: &str, layout: Layout, lines: &[String], (indent, ending): (&str, &str)) -> String {
    let Layout::Lines { opens, .. } = layout else {
        return format!("{quotes}{}{quotes}", lines.concat());
    };
    let mut out = quotes.to_owned();
    for (at, line) in lines.iter().enumerate() {
        if at > 0 || !opens {
            out.push_str(ending);
            if !line.is_empty() {
                out.push_str(indent);
            }
        }
        out.push_str(line);
    }
    format!("{out}{ending}{indent}{quotes}")
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
        let block = Dress::of_carrier(Carrier::Block { open: "/**", close: "*/" });
        let docstring = Dress::of_carrier(Carrier::Docstring);
        let slashes = Dress::of_carrier(Carrier::Lines { mark: "///" });
        assert_eq!(wrap(block, &lines("Weighs."), "", "\n"), "/** Weighs. */");
        assert_eq!(
            wrap(block, &lines("Weighs.\n\n@return kg"), "  ", "\n"),
            "/**\n   * Weighs.\n   *\n   * @return kg\n   */"
        );
        assert_eq!(wrap(docstring, &lines("Weigh."), "", "\n"), "\"\"\"Weigh.\"\"\"");
        assert_eq!(wrap(slashes, &lines("a\n\nb"), " ", "\n"), "/// a\n ///\n /// b");
    }
}
