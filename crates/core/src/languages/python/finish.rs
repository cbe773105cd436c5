//! What can be told of a Python file once all of it was seen.

use super::kinds::Python;
use crate::model::{Construction, DeclId, Kind, Surface};
use crate::reading::Walk;
use crate::text::narrow;

/// Completes the outline: `__all__`, constructors, overloads.
pub(super) fn finish(walk: &mut Walk<'_, Python>) {
    if let Some(given_out) = all_names(walk.source.text()) {
        for declaration in &mut walk.outline.declarations {
            if declaration.owner.is_none() && !given_out.contains(&declaration.name.as_str()) {
                declaration.surface = Surface::Private;
            }
        }
    }
    let owners: Vec<_> = walk.outline.declarations.iter().map(|declaration| declaration.owner).collect();
    for (at, owner) in owners.into_iter().enumerate() {
        if let Some(DeclId(owner)) = owner {
            let narrowed = walk.outline.declarations[owner as usize].surface;
            let declaration = &mut walk.outline.declarations[at];
            declaration.surface = declaration.surface.max(narrowed);
            let constructs = matches!(declaration.name.as_str(), "__init__" | "__new__");
            if constructs && declaration.kind == Kind::Constructor {
                let is_init = declaration.name == "__init__";
                let id = DeclId(narrow(at));
                let before = walk.outline.declarations[owner as usize].construction;
                let takes = match before {
                    Construction::Unknown => true,
                    // Behind its overloads stands what takes all of them; and what makes the object only passes on
                    // what `__init__` takes.
                    Construction::Member(before) => {
                        let before = walk.outline.declaration(before);
                        before.answered || (is_init && before.name == "__new__")
                    }
                    Construction::Header | Construction::Fields => false,
                };
                if takes {
                    walk.outline.declarations[owner as usize].construction = Construction::Member(id);
                }
            }
        }
    }
}

/// Returns the names of `__all__`, when it is one literal list; nothing when there is none, or when it
/// is put together in a way that the text does not tell.
fn all_names(text: &str) -> Option<Vec<&str>> {
    let mut names = None;
    for (at, _) in text.match_indices("__all__") {
        let line_start = text[..at].rfind('\n').map_or(0, |found| found + 1);
        if at != line_start {
            continue;
        }
        let rest = text[at + "__all__".len()..].trim_start_matches([' ', '\t']);
        let list = rest.strip_prefix('=')?.trim_start();
        let close = match list.chars().next()? {
            '[' => ']',
            '(' => ')',
            _ => return None,
        };
        let (inner, after) = list[1..].split_once(close)?;
        let added = after.split('\n').next().unwrap_or_default().trim();
        if names.is_some() || !(added.is_empty() || added.starts_with('#')) {
            return None;
        }
        let mut found = Vec::new();
        for line in inner.lines() {
            let line = line.split('#').next().unwrap_or_default();
            for item in line.split(',').map(str::trim).filter(|item| !item.is_empty()) {
                let bare = item.strip_prefix(['"', '\'']).and_then(|item| item.strip_suffix(['"', '\'']))?;
                found.push(bare);
            }
        }
        names = Some(found);
    }
    names
}

#[cfg(test)]
mod tests {
    use super::all_names;

    #[test]
    fn only_a_literal_list_counts() {
        assert_eq!(all_names("__all__ = ['a',\n  \"b\",  # why\n]\n"), Some(vec!["a", "b"]));
        assert_eq!(all_names("__all__ = ['a'] + other\n"), None);
        assert_eq!(all_names("__all__ = ['a']\n__all__ += ['b']\n"), None);
        assert_eq!(all_names("x = 1\n"), None);
    }
}
