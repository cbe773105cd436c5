//! Which declarations a change touches: those whose signature, comment, return or exceptions differ. White
//! space never counts, and what is only moved has not changed.

use std::collections::HashMap;
use std::hash::{DefaultHasher, Hash, Hasher};

use smol_str::SmolStr;

use crate::model::{Declaration, Misplaced};
use crate::review::FileReading;
use crate::text::Span;

/// What of a declaration a change can touch.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Shape {
    /// Owners inside the file and the name, joined by dots.
    pub qualified: SmolStr,
    /// Offset of its name, in bytes.
    pub at: u32,
    /// Signature, and what leaves it.
    signature: u64,
    /// Its comment, whatever callers see of it; 0 where there is none.
    comment: u64,
}

impl Shape {
    /// Tells whether signature, return and exceptions are those of another.
    #[must_use]
    pub fn has_signature_of(&self, other: &Self) -> bool {
        self.signature == other.signature
    }

    /// Tells whether there is a comment.
    #[must_use]
    pub const fn is_commented(&self) -> bool {
        self.comment != 0
    }

    /// Tells whether the comment is that of another.
    #[must_use]
    pub fn has_comment_of(&self, other: &Self) -> bool {
        self.comment == other.comment
    }
}

/// Returns the shapes of the declarations of a file, in source order. Files are compared as each is by itself.
#[must_use]
pub fn shapes(file: &FileReading<'_>) -> Vec<Shape> {
    file.outline.declarations.iter().map(|declaration| shape(file, declaration)).collect()
}

fn shape(file: &FileReading<'_>, declaration: &Declaration) -> Shape {
    let slice = |span: Span| file.source.slice(span);
    let (comments, attached) = (&file.outline.comments, declaration.comment);
    let misplaced = attached.misplaced.map(|misplaced| match misplaced {
        Misplaced::Detached(id) | Misplaced::Ordinary(id) => id,
    });
    let comment = attached.doc.or(misplaced).map(|id| comments[id.0 as usize].span);
    let mut hash = DefaultHasher::new();
    let head = declaration.header();
    // A docstring stands inside, and is compared by itself.
    let head = match comment {
        Some(span) if span.start >= head.start && span.end <= head.end => Span::new(head.start, span.start),
        _ => head,
    };
    tokens(slice(head), &mut hash);
    let signature = &declaration.signature;
    signature.returns.value.as_str().hash(&mut hash);
    signature.returns.yields.hash(&mut hash);
    let mut thrown: Vec<&str> = signature.throws.iter().map(|thrown| thrown.ty.as_str()).collect();
    thrown.sort_unstable();
    thrown.dedup();
    thrown.hash(&mut hash);
    Shape {
        qualified: declaration.qualified.clone(),
        at: declaration.name_span.start,
        signature: hash.finish(),
        comment: comment.map_or(0, |span| {
            let mut hash = DefaultHasher::new();
            tokens(slice(span), &mut hash);
            hash.finish().max(1)
        }),
    }
}

/// Hashes a text without its white space; what stood apart stays apart.
fn tokens(text: &str, hash: &mut DefaultHasher) {
    let is_word = |c: char| c.is_alphanumeric() || c == '_';
    let mut last = None;
    for part in text.split_whitespace() {
        let joins = last.is_some_and(is_word) && part.starts_with(is_word);
        if joins {
            b' '.hash(hash);
        }
        part.as_bytes().iter().for_each(|byte| byte.hash(hash));
        last = part.chars().next_back();
    }
}

/// Tells of each shape `now` whether nothing like it was there `before` under the same name.
#[must_use]
pub fn touched(before: &[Shape], now: &[Shape]) -> Vec<bool> {
    let mut left: HashMap<&str, Vec<&Shape>> = HashMap::new();
    for shape in before {
        left.entry(&shape.qualified).or_default().push(shape);
    }
    let is_new = |shape: &Shape| {
        let Some(same) = left.get_mut(shape.qualified.as_str()) else { return true };
        let found =
            same.iter().position(|other| shape.has_signature_of(other) && shape.has_comment_of(other));
        found.map(|at| same.swap_remove(at)).is_none()
    };
    now.iter().map(is_new).collect()
}

#[cfg(test)]
mod tests {
    use super::{shapes, touched};
    use crate::reading::Parsers;
    use crate::review::FileReading;
    use crate::settings::{Config, Overrides};
    use crate::text::Source;

    fn names_touched(path: &str, before: &str, now: &str) -> Vec<String> {
        let settings = crate::settle(&Config::default(), &Overrides::default()).expect("defaults hold");
        let language = crate::languages::for_file(path).expect("the ending is known");
        let read = |text: &str| {
            let file =
                FileReading::read_first(&Source::new(path, text), language, &settings, &mut Parsers::new());
            shapes(&file)
        };
        let (before, now) = (read(before), read(now));
        let touched = touched(&before, &now);
        now.iter().zip(touched).filter(|(_, is)| *is).map(|(shape, _)| shape.qualified.to_string()).collect()
    }

    #[test]
    fn white_space_bodies_and_order_touch_nothing() {
        let before = "/** Weighs. */\nint weigh(int load) { return load; }\n/** Opens. */\nvoid open();\n";
        let now = "/**\n Weighs. */\nint weigh( int load )\n{ return load + 1; }\n";
        assert_eq!(names_touched("a.h", before, now), [""; 0]);
        let moved = "/** Opens. */\nvoid open();\n/** Weighs. */\nint weigh(int load) { return load; }\n";
        assert_eq!(names_touched("a.h", before, moved), [""; 0]);
    }

    #[test]
    fn signature_comment_return_and_exceptions_do() {
        let before = "def a(b):\n    \"\"\"Does.\"\"\"\n    open(b)\n";
        for (now, wanted) in [
            ("def a(b, c):\n    \"\"\"Does.\"\"\"\n    open(b)\n", vec!["a"]),
            ("def a(b):\n    \"\"\"Does it.\"\"\"\n    open(b)\n", vec!["a"]),
            ("def a(b):\n    \"\"\"Does.\"\"\"\n    return 1\n", vec!["a"]),
            ("def a(b):\n    \"\"\"Does.\"\"\"\n    raise ValueError(b)\n", vec!["a"]),
            ("def a(b):\n    \"\"\"Does.\"\"\"\n    print(b)\n", vec![]),
            ("def a(b):\n    \"\"\"Does.\"\"\"\n    open(b)\n\ndef d():\n    open(b)\n", vec!["d"]),
        ] {
            assert_eq!(names_touched("a.py", before, now), wanted, "{now}");
        }
    }
}
