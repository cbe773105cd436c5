//! What the Kotlin grammar cannot read, blanked or replaced at equal length.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::languages::shared::without_comments;
use crate::reading::Given;

/// What is looked for in a text.
#[derive(Clone, Copy)]
enum Place {
    Constructor,
    Dynamic,
    Suspend,
    Accessor,
    Annotation,
    Modifier,
    Enumeration,
    Delegation,
}

const PLACES: &[(&str, Place)] = &[
    ("constructor(", Place::Constructor),
    ("constructor (", Place::Constructor),
    ("dynamic", Place::Dynamic),
    ("fun suspend(", Place::Suspend),
    ("set(", Place::Accessor),
    ("get()", Place::Accessor),
    ("\n@", Place::Annotation),
    ("annotation class ", Place::Modifier),
    ("inner class ", Place::Modifier),
    ("expect class ", Place::Modifier),
    ("actual class ", Place::Modifier),
    ("expect object ", Place::Modifier),
    ("actual object ", Place::Modifier),
    ("data object ", Place::Modifier),
    ("expect interface ", Place::Modifier),
    ("actual interface ", Place::Modifier),
    ("enum class ", Place::Enumeration),
    (" by ", Place::Delegation),
];

static MARKS: LazyLock<AhoCorasick> =
    LazyLock::new(|| AhoCorasick::new(PLACES.iter().map(|(word, _)| word)).expect("plain words compile"));

/// Gives the grammar a text without
/// - line breaks, annotations and comments between a class's name and `constructor`, which end the class for it;
/// - the word `dynamic`, which it takes for a keyword where it is a name, and functions called `suspend`;
/// - annotations on a line of their own above an accessor, or in front of one;
/// - what is passed to an annotation with its declaration on the same line, which it may take for an expression;
/// - modifiers behind an annotation that it takes for names, as in `annotation class Weighed`, of which it makes an
///   expression with an infix call; and annotations above an enumeration that it does so with;
/// - what a class delegates an interface to in front of its body, which it may take for a lambda that is passed.
pub(super) fn mask(text: &str) -> Given<'_> {
    let mut bytes: Option<Vec<u8>> = None;
    for found in MARKS.find_iter(text) {
        let start = found.start();
        match PLACES[found.pattern().as_usize()].1 {
            Place::Constructor => {
                if let Some(from) = class_head_end(text, start) {
                    let out = bytes.get_or_insert_with(|| text.as_bytes().to_vec());
                    let kept = text[from..start].trim_end();
                    let word = ["private", "protected", "internal", "public"]
                        .iter()
                        .find(|word| kept.ends_with(**word));
                    out[from..start].fill(b' ');
                    if let Some(word) = word {
                        let at = from + kept.len() - word.len();
                        out[at..at + word.len()].copy_from_slice(word.as_bytes());
                    }
                }
            }
            Place::Dynamic => {
                let is_of_name = |c: char| c.is_alphanumeric() || c == '_';
                if !text[..start].ends_with(is_of_name) && !text[found.end()..].starts_with(is_of_name) {
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[start] = b'_';
                }
            }
            Place::Suspend => {
                bytes.get_or_insert_with(|| text.as_bytes().to_vec())[start + "fun ".len()] = b'_';
            }
            Place::Accessor => {
                if let Some(at) = annotation_above(text, start) {
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[at].fill(b' ');
                }
            }
            Place::Annotation => {
                if let Some(at) = passed_on_one_line(text, start + 1) {
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[at].fill(b' ');
                }
            }
            Place::Modifier => {
                if annotations_before(text, start).is_some() {
                    let word = text[start..].find(' ').unwrap_or(0);
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[start..start + word].fill(b' ');
                }
            }
            Place::Enumeration => {
                let annotations = annotations_before(text, start).filter(|_| may_be_lambda(&text[start..]));
                if let Some(at) = annotations.filter(|at| text[at.clone()].is_ascii()) {
                    let out = bytes.get_or_insert_with(|| text.as_bytes().to_vec());
                    blank(&mut out[at]);
                }
            }
            Place::Delegation => {
                if let Some(at) = delegated_to(text, start) {
                    bytes.get_or_insert_with(|| text.as_bytes().to_vec())[at].fill(b' ');
                }
            }
        }
    }
    // Only ASCII was written, over whole characters or over words that are ASCII.
    bytes.and_then(|bytes| String::from_utf8(bytes).ok()).map_or(Given::all(text), Given::replaced)
}

/// Blanks a part of a text but for its line breaks.
fn blank(part: &mut [u8]) {
    part.iter_mut().filter(|byte| **byte != b'\n').for_each(|byte| *byte = b' ');
}

/// Gives the grammar a text in which the last member of a class on one line ends with a semicolon, as without
/// one it reads on past the brace, no comma stands behind the last type of a list, and no `suspend` in front of a lambda.
/// Nothing when there is none of these.
pub(super) fn in_plainer_forms(text: &str) -> Option<Given<'_>> {
    let given = mask(text);
    let mut bytes = given.text().as_bytes().to_vec();
    let mut at = 0;
    let mut changed = false;
    for close in memchr::memchr_iter(b'>', text.as_bytes()) {
        let before = text[..close].trim_ascii_end();
        if before.len() < close && before.ends_with(',') {
            bytes[before.len() - 1] = b' ';
            changed = true;
        }
    }
    for (at, word) in text.match_indices("suspend").filter(|(at, _)| text[at + 7..].starts_with(" {")) {
        bytes[at..at + word.len()].fill(b' ');
        changed = true;
    }
    for line in text.split_inclusive('\n') {
        let bare = line.trim_end();
        let head = ["class ", "interface ", "object "].iter().any(|word| bare.contains(word));
        let body = bare.strip_suffix(" }").map(str::trim_end).filter(|body| head && body.contains('{'));
        if body.is_some_and(|body| !body.ends_with(['{', ';', ',', '('])) {
            bytes[at + bare.len() - 2] = b';';
            changed = true;
        }
        at += line.len();
    }
    let masked = String::from_utf8(bytes).ok().filter(|_| changed)?;
    Some(Given::replaced(masked))
}

/// Gives the grammar a text without the annotations at the left edge that stand on lines of their own, but those that a
/// reader looks at. Nothing when there are none.
pub(super) fn without_annotations(text: &str) -> Option<Given<'_>> {
    let given = in_plainer_forms(text).unwrap_or_else(|| mask(text));
    let mut bytes = given.text().as_bytes().to_vec();
    let mut changed = false;
    for found in memchr::memmem::find_iter(text.as_bytes(), "\n@") {
        let start = found + 1;
        let Some(end) = annotation_end(text, start) else { continue };
        let name = text[start + 1..end].split('(').next().unwrap_or_default();
        let told = matches!(name.rsplit(['.', ':']).next(), Some("Throws" | "Deprecated"));
        if !told && text[start..end].is_ascii() {
            blank(&mut bytes[start..end]);
            changed = true;
        }
    }
    let masked = String::from_utf8(bytes).ok().filter(|_| changed)?;
    Some(Given::replaced(masked))
}

/// Returns where an annotation ends that stands alone on its lines.
fn annotation_end(text: &str, start: usize) -> Option<usize> {
    let name = |c: char| c.is_alphanumeric() || matches!(c, '_' | '.' | ':');
    let open = start + 1 + text[start + 1..].find(|c| !name(c))?;
    // What is passed is short; a limit keeps a bracket that never closes from being looked for again and again.
    let near = text[open..].char_indices().nth(2000).map_or(text.len(), |(at, _)| open + at);
    let mut depth = 0_i32;
    let mut quoted = false;
    let end = text[open..near].char_indices().find_map(|(at, c)| {
        match c {
            '"' => quoted = !quoted,
            '(' if !quoted => depth += 1,
            ')' if !quoted => depth -= 1,
            _ => {}
        }
        (depth == 0 && !quoted && c == '\n').then_some(open + at)
    })?;
    let passed = text[open..end].trim();
    (passed.is_empty() || (passed.starts_with('(') && passed.ends_with(')'))).then_some(end)
}

/// Returns where the name (and type parameters) of the class before a `constructor` end, when there is a
/// line break between the two and nothing but annotations and a visibility.
fn class_head_end(text: &str, constructor: usize) -> Option<usize> {
    let from = text[..constructor].rfind("class ")?;
    let head = &text[from..constructor];
    let name =
        head["class ".len()..].find(|c: char| !(c.is_alphanumeric() || c == '_')).map(|end| end + 6)?;
    let mut end = name;
    if head[name..].starts_with('<') {
        let mut depth = 0_i32;
        for (at, c) in head[name..].char_indices() {
            match c {
                '<' => depth += 1,
                '>' => depth -= 1,
                _ => {}
            }
            if depth == 0 {
                end = name + at + 1;
                break;
            }
        }
    }
    let between = without_comments(&head[end..]);
    let plain = between.contains('\n')
        && between.is_ascii()
        && !between.contains(['{', '}', '/', ';'])
        && between.split_whitespace().next().is_some_and(|word| {
            word.starts_with('@') || matches!(word, "private" | "protected" | "internal" | "public")
        });
    (plain || (!between.is_empty() && between.trim().is_empty() && between.contains('\n')))
        .then_some(from + end)
}

/// Returns the range of `by` and of what a class delegates to, where the class's body follows: a path that may be called.
fn delegated_to(text: &str, by: usize) -> Option<std::ops::Range<usize>> {
    // Delegates are short; a limit keeps the search from going through a text that is none again and again.
    let near = text[by..].char_indices().nth(400).map_or(text.len(), |(at, _)| by + at);
    let mut depth = 0_i32;
    let brace = text[by + " by ".len()..near].char_indices().find_map(|(at, c)| {
        depth += i32::from(c == '(') - i32::from(c == ')');
        let part = depth > 0 || c.is_alphanumeric() || matches!(c, '_' | '.' | ')' | ' ' | '?' | '!');
        (!part).then_some((by + " by ".len() + at, c))
    });
    let (end, _) = brace.filter(|(_, c)| *c == '{')?;
    is_class_head(&text[..by]).then_some(by..end)
}

/// Tells whether a text ends in the head of a class or an object, behind the name of a supertype: a property's type could
/// stand there too.
fn is_class_head(text: &str) -> bool {
    let mut depth = 0_i32;
    let mut words_end = None;
    for (at, c) in text.char_indices().rev().take(8000) {
        if depth == 0 && (c.is_alphanumeric() || c == '_') {
            words_end = words_end.or(Some(at + c.len_utf8()));
            continue;
        }
        if let Some(end) = words_end.take() {
            match &text[at + c.len_utf8()..end] {
                "class" | "object" => return true,
                "val" | "var" | "fun" | "interface" => return false,
                _ => {}
            }
        }
        match c {
            // Types of functions are written with an arrow.
            '>' if text[..at].ends_with('-') => {}
            ')' | '>' => depth += 1,
            '(' | '<' => depth -= 1,
            '{' | '}' | ';' | '=' if depth == 0 => return false,
            _ => {}
        }
        if depth < 0 {
            return false;
        }
    }
    false
}

/// Returns the range of the annotations that stand in front of a word, on its line or on lines of their own above.
fn annotations_before(text: &str, word: usize) -> Option<std::ops::Range<usize>> {
    let line_of = |at: usize| text[..at].rfind('\n').map_or(0, |found| found + 1);
    let mut start = line_of(word);
    let before = text[start..word].trim();
    // What is passed may stand on lines of its own.
    let is_one = |line: &str| line.starts_with('@') || line == ")";
    if !before.is_empty() {
        return is_one(before).then_some(start..word);
    }
    let mut found = None;
    while start > 0 {
        let above = line_of(start - 1);
        if !is_one(text[above..start].trim()) {
            break;
        }
        found = Some(above..word);
        start = above;
    }
    found
}

/// Tells whether the body of an enumeration could be that of a lambda: a single name, and nothing else.
fn may_be_lambda(head: &str) -> bool {
    // What a lambda is taken for is short; without a brace the rest of the text would be gone through each time.
    let near = head.char_indices().nth(400).map_or(head.len(), |(at, _)| at);
    let head = &head[..near];
    let body = head.split_once('{').and_then(|(_, body)| body.split_once('}'));
    body.is_some_and(|(body, _)| !body.contains([',', ';', '(']))
}

/// Returns the range of what is passed to an annotation that opens a line, where a declaration goes on behind it. What is
/// thrown is told so.
fn passed_on_one_line(text: &str, start: usize) -> Option<std::ops::Range<usize>> {
    let line = text[start..].lines().next().unwrap_or_default();
    let open = line.find(['(', ' ']).filter(|&at| line[at..].starts_with('('))?;
    let mut depth = 0_i32;
    let close = line[open..].bytes().position(|byte| {
        depth += i32::from(byte == b'(') - i32::from(byte == b')');
        depth == 0
    })?;
    let behind = open + close + 1;
    let declares = line[behind..].strip_prefix(' ')?.starts_with(|c: char| c.is_ascii_lowercase());
    let told = matches!(line[1..open].rsplit('.').next(), Some("Throws" | "Deprecated"));
    (declares && !told).then_some(start + open..start + behind)
}

/// Returns the range of an annotation that stands alone on the line above an accessor, or alone in front of it.
fn annotation_above(text: &str, accessor: usize) -> Option<std::ops::Range<usize>> {
    let line = text[..accessor].rfind('\n')?;
    let before = text[line..accessor].trim();
    if !before.is_empty() {
        let name = |c: char| c.is_ascii_alphanumeric() || matches!(c, '_' | '.' | ':');
        let start = line + text[line..accessor].find(before)?;
        // It may be passed a string, or several.
        let annotation = before.strip_prefix('@')?;
        let named = annotation.split_once('(').map_or(annotation, |(named, _)| named);
        let whole = named.len() == annotation.len() || annotation.find(')') == Some(annotation.len() - 1);
        let alone = whole && before.is_ascii() && named.chars().all(name);
        return alone.then(|| start..start + before.len());
    }
    let above = text[..line].rfind('\n').map_or(0, |found| found + 1);
    let content = text[above..line].trim();
    let start = above + text[above..line].find('@')?;
    (content.starts_with('@') && content.is_ascii()).then(|| start..start + content.len())
}
