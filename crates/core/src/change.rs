//! Which declarations a change touches: those whose signature, comment, return or exceptions differ. White
//! space never counts, and what is only moved has not changed.

use std::collections::HashMap;
use std::hash::{DefaultHasher, Hash, Hasher};

use smol_str::SmolStr;

use crate::model::{Answer, Declaration, Kind, Misplaced, Parameter};
use crate::review::FileReading;
use crate::text::Span;

/// What of a declaration a change can touch.
#[derive(Clone, Debug, PartialEq, Eq, serde::Serialize, serde::Deserialize)]
pub struct Shape {
    /// Owners inside the file and the name, joined by dots.
    pub qualified: SmolStr,
    /// Its kind: a field and a method may have one name.
    pub kind: Kind,
    /// Offset of its name, in bytes.
    pub at: u32,
    /// Signature, and what leaves it.
    signature: u64,
    /// Its comment, whatever callers see of it; 0 where there is none.
    comment: u64,
    /// The parameters: what each is called, and its type and default without white space.
    parameters: Vec<(SmolStr, String)>,
    /// The type of what comes back, without white space, and whether anything does.
    returns: (String, Answer),
    /// Types of exceptions that can leave it, sorted.
    throws: Vec<String>,
}

impl Shape {
    /// Tells whether it goes by the name of another.
    #[must_use]
    pub fn is_called_like(&self, other: &Self) -> bool {
        self.qualified == other.qualified && self.kind == other.kind
    }

    /// Tells whether signature, return and exceptions are those of another.
    #[must_use]
    pub fn has_signature_of(&self, other: &Self) -> bool {
        self.signature == other.signature
    }

    /// Says what became of an older signature here, in the words of a message.
    #[must_use]
    pub fn what_changed_since(&self, old: &Self) -> String {
        let names = |shape: &Self| -> Vec<SmolStr> {
            shape.parameters.iter().map(|(name, _)| name.clone()).collect()
        };
        let (was, is) = (names(old), names(self));
        let gone: Vec<&SmolStr> = was.iter().filter(|name| !is.contains(name)).collect();
        let new: Vec<&SmolStr> = is.iter().filter(|name| !was.contains(name)).collect();
        if was.len() == is.len()
            && let ([gone], [new]) = (&gone[..], &new[..])
        {
            return format!("parameter `{gone}` became `{new}`");
        }
        if !new.is_empty() || !gone.is_empty() {
            let told = [(new, "added"), (gone, "removed")].into_iter().filter(|(names, _)| !names.is_empty());
            return told.map(|(names, what)| parameters_were(&names, what)).collect::<Vec<_>>().join(", ");
        }
        if was != is {
            return "the parameters were put into another order".to_owned();
        }
        let pairs = || self.parameters.iter().zip(&old.parameters);
        if let Some(((name, _), _)) = pairs().find(|(now, before)| now.1 != before.1) {
            return format!("the type or default of parameter `{name}` changed");
        }
        match (old.returns.1, self.returns.1) {
            (Answer::No | Answer::Unknown, Answer::Yes) => return "it gives back a value now".to_owned(),
            (Answer::Yes, Answer::No | Answer::Unknown) => {
                return "it gives back no value any more".to_owned();
            }
            _ if old.returns.0 != self.returns.0 => return "the type of what comes back changed".to_owned(),
            _ => {}
        }
        if let Some(thrown) = self.throws.iter().find(|thrown| !old.throws.contains(thrown)) {
            return format!("it throws `{thrown}` now");
        }
        if let Some(thrown) = old.throws.iter().find(|thrown| !self.throws.contains(thrown)) {
            return format!("it does not throw `{thrown}` any more");
        }
        "the signature changed".to_owned()
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

fn parameters_were(names: &[&SmolStr], what: &str) -> String {
    let listed = names.iter().map(|name| format!("`{name}`")).collect::<Vec<_>>().join(", ");
    match names {
        [_] => format!("parameter {listed} was {what}"),
        _ => format!("parameters {listed} were {what}"),
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
    let mut throws: Vec<String> = signature.throws.iter().map(|thrown| thrown.ty.to_string()).collect();
    throws.sort_unstable();
    throws.dedup();
    throws.hash(&mut hash);
    let plain =
        |span: Option<Span>| span.map_or(String::new(), |span| slice(span).split_whitespace().collect());
    let parameter = |parameter: &Parameter| {
        let name = parameter.named().map_or_else(|| plain(Some(parameter.span)), ToString::to_string);
        (SmolStr::new(name), format!("{}={}", plain(parameter.ty), plain(parameter.default)))
    };
    Shape {
        qualified: declaration.qualified.clone(),
        kind: declaration.kind,
        at: declaration.name_span.start,
        signature: hash.finish(),
        parameters: signature.parameters.iter().map(parameter).collect(),
        returns: (plain(signature.returns.ty), signature.returns.value),
        throws,
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
    let mut left: HashMap<(&str, Kind), Vec<&Shape>> = HashMap::new();
    for shape in before {
        left.entry((&shape.qualified, shape.kind)).or_default().push(shape);
    }
    let mut out = Vec::with_capacity(now.len());
    for shape in now {
        let same = left.get_mut(&(shape.qualified.as_str(), shape.kind));
        let found = same.and_then(|same| {
            let at =
                same.iter().position(|other| shape.has_signature_of(other) && shape.has_comment_of(other))?;
            Some(same.swap_remove(at))
        });
        out.push(found.is_none());
    }
    out
}

/// Finds declarations whose signature differs from what it was `before` while their comment is the same, and says what
/// changed. Each is told by its number among those that are there `now`.
#[must_use]
pub fn left_behind(before: &[Shape], now: &[Shape]) -> Vec<(usize, String)> {
    let changed = touched(before, now);
    let mut out = Vec::new();
    for (at, shape) in now.iter().enumerate().filter(|&(at, shape)| changed[at] && shape.is_commented()) {
        let alike = |list: &[Shape]| list.iter().filter(|other| other.is_called_like(shape)).count();
        // Of several overloads nobody knows which one became which.
        if alike(before) != 1 || alike(now) != 1 {
            continue;
        }
        let old = before.iter().find(|old| old.is_called_like(shape));
        if let Some(old) = old.filter(|old| shape.has_comment_of(old) && !shape.has_signature_of(old)) {
            out.push((at, shape.what_changed_since(old)));
        }
    }
    out
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
    fn a_comment_that_stayed_behind_is_told_with_what_changed() {
        let settings = crate::settle(&Config::default(), &Overrides::default()).expect("defaults hold");
        let language = crate::languages::find("python").expect("it is read");
        let read = |text: &str| {
            let source = Source::new("a.py", text);
            shapes(&FileReading::read_first(&source, language, &settings, &mut Parsers::new()))
        };
        let text = |head: &str, says: &str, does: &str| {
            format!("def a({head}):\n    \"\"\"{says}\"\"\"\n    {does}\n")
        };
        let before = read(&text("b", "Does.", "open(b)"));
        for (now, wanted) in [
            (text("b, c", "Does.", "open(b)"), vec!["parameter `c` was added"]),
            (text("c", "Does.", "open(c)"), vec!["parameter `b` became `c`"]),
            (text("", "Does.", "open(1)"), vec!["parameter `b` was removed"]),
            (text("b: int", "Does.", "open(b)"), vec!["the type or default of parameter `b` changed"]),
            (text("b", "Does.", "return 1"), vec!["it gives back a value now"]),
            (text("b", "Does.", "raise ValueError(b)"), vec!["it throws `ValueError` now"]),
            (text("b, c", "Does both.", "open(b)"), vec![]),
            (text("b", "Does.", "shut(b)"), vec![]),
        ] {
            let found: Vec<String> =
                super::left_behind(&before, &read(&now)).into_iter().map(|(_, what)| what).collect();
            assert_eq!(found, wanted, "{now}");
        }
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
