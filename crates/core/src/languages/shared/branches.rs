//! Conditional compilation: branches that only make sense one at a time are given one at a time.

use std::ops::Range;

use crate::reading::Given;
use crate::text::Span;

/// A group from `#if` to `#endif`: the ranges of its directive lines, in order.
type Group = Vec<Range<usize>>;

/// Gives the grammar the first branch of conditional groups, with the directives and all other branches
/// blanked: of all groups when `all`, else of those that an error touches or comes close to. Nothing when
/// there is no such group.
pub(in crate::languages) fn first_branches<'s>(
    text: &'s str,
    errors: &[Span],
    all: bool,
) -> Option<Given<'s>> {
    let touched = |group: &Group| {
        let (start, end) = (group[0].start, group[group.len() - 1].end);
        // The grammar often stumbles on the line after the group.
        let reach = text[end..].match_indices('\n').nth(2).map_or(text.len(), |(at, _)| end + at);
        errors.iter().any(|error| (error.start as usize) < reach && start <= error.end as usize)
    };
    let mut blanks = Vec::new();
    for group in groups(text).into_iter().filter(|group| group.len() > 1 && (all || touched(group))) {
        let last = group.len() - 1;
        if is_never(&text[group[0].clone()]) {
            // What never counts is no branch: the next one is the first.
            blanks.push(group[0].start..group[1].end);
            blanks.extend((last > 1).then(|| group[2].start..group[last].end));
            continue;
        }
        blanks.push(group[0].clone());
        // Everything from the second directive to the last is another branch, or a directive.
        blanks.push(group[1].start..group[last].end);
    }
    (!blanks.is_empty()).then(|| Given::with_blanks(text, &blanks))
}

/// Tells whether a directive's condition never holds.
fn is_never(directive: &str) -> bool {
    let condition =
        directive.trim().trim_start_matches('#').trim_start().strip_prefix("if").unwrap_or_default();
    matches!(condition.split("//").next().unwrap_or_default().trim(), "false" | "0")
}

/// Finds the outermost groups.
fn groups(text: &str) -> Vec<Group> {
    let mut out = Vec::new();
    let mut current: Group = Vec::new();
    let mut depth = 0_usize;
    let mut at = 0;
    for line in text.split_inclusive('\n') {
        let range = at..at + line.len();
        at += line.len();
        let Some(directive) = line.trim_start().strip_prefix('#') else { continue };
        let word: String = directive.trim_start().chars().take_while(char::is_ascii_alphabetic).collect();
        match word.as_str() {
            "if" => {
                if depth == 0 {
                    current = vec![range];
                }
                depth += 1;
            }
            "elif" | "elseif" | "else" if depth == 1 => current.push(range),
            "endif" if depth > 0 => {
                depth -= 1;
                if depth == 0 {
                    current.push(range);
                    out.push(std::mem::take(&mut current));
                }
            }
            _ => {}
        }
    }
    out
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_first_branch_stays_at_its_place() {
        let text = "a\n#if X\nb\n#else\nc\n#endif\nd\n";
        let given = first_branches(text, &[Span::of(2, 4)], false).unwrap();
        assert_eq!(given.text().len(), text.len());
        assert_eq!(given.text().split_whitespace().collect::<Vec<_>>(), ["a", "b", "d"]);
        assert!(first_branches(text, &[], false).is_none());
        let given = first_branches("a\n#if false\nb\n#else\nc\n#endif\nd\n", &[], true).unwrap();
        assert_eq!(given.text().split_whitespace().collect::<Vec<_>>(), ["a", "c", "d"]);
        let given = first_branches("a\n#if false // not yet\nb\n#endif\nd\n", &[], true).unwrap();
        assert_eq!(given.text().split_whitespace().collect::<Vec<_>>(), ["a", "d"]);
    }
}
