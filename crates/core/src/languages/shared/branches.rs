//! Conditional compilation: branches that only make sense one at a time are given one at a time.

use std::ops::Range;

use crate::reading::Given;
use crate::text::Span;

/// A group from `#if` to `#endif`: the ranges of its directive lines, in order.
type Group = Vec<Range<usize>>;

/// So many groups may stand one inside the other; each level is gone through once more.
const DEEPEST: usize = 16;

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
    let mut kept = vec![(0..text.len(), 0)];
    // What holds for one group holds for all: where `#if PRESS` is kept, `#if !PRESS` is not.
    let mut held: Vec<&str> = Vec::new();
    while let Some((branch, depth)) = kept.pop() {
        if depth == DEEPEST {
            continue;
        }
        let chosen = |group: &Group| group.len() > 1 && (all || touched(group));
        for group in groups(text, branch).into_iter().filter(chosen) {
            let last = group.len() - 1;
            let condition = condition(&text[group[0].clone()]);
            let denied = |held: &&str| {
                condition.strip_prefix('!').is_some_and(|bare| bare.trim() == *held)
                    || held.strip_prefix('!').is_some_and(|bare| bare.trim() == condition)
            };
            if matches!(condition, "false" | "0") || held.iter().any(denied) {
                // What never counts is no branch: the next one is the first.
                blanks.push(group[0].start..group[1].end);
                if last > 1 {
                    kept.push((group[1].end..group[2].start, depth + 1));
                    blanks.push(group[2].start..group[last].end);
                }
                continue;
            }
            if !held.contains(&condition) {
                held.push(condition);
            }
            blanks.push(group[0].clone());
            // What is kept may have groups of its own.
            kept.push((group[0].end..group[1].start, depth + 1));
            // Everything from the second directive to the last is another branch, or a directive.
            blanks.push(group[1].start..group[last].end);
        }
    }
    blanks.sort_by_key(|blank| blank.start);
    (!blanks.is_empty()).then(|| Given::with_blanks(text, &blanks))
}

/// Returns the condition of a directive that opens a group, without a remark behind it.
fn condition(directive: &str) -> &str {
    let behind = directive.trim().trim_start_matches('#').trim_start().strip_prefix("if").unwrap_or_default();
    behind.split("//").next().unwrap_or_default().trim()
}

/// Finds the outermost groups of a part of a text.
fn groups(text: &str, part: Range<usize>) -> Vec<Group> {
    let mut out = Vec::new();
    let mut current: Group = Vec::new();
    let mut depth = 0_usize;
    let mut at = part.start;
    for line in text[part].split_inclusive('\n') {
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
