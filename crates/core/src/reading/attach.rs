//! Finds out which declaration each comment belongs to, and which comments belong to none.

use super::remarks::{
    is_about_the_file, names_a_thing, opens_with_another_name, reads_as_documentation,
    reads_like_a_description, says_what_is_done, says_whose,
};
use super::{CommentPlace, Language};
use crate::model::{Attached, Carrier, CommentId, Declaration, Doc, Misplaced, Outline, RawComment};
use crate::text::{Source, Span, narrow};

/// What a language has to say about where its doc comments stand.
#[derive(Clone, Copy, Debug)]
pub struct Custom {
    /// Where the doc comment stands.
    pub place: CommentPlace,
    /// A comment may say by a command which declaration it is about.
    pub by_command: bool,
    /// A doc comment between annotations and the name is dropped.
    pub drops_after_annotations: bool,
}

impl Custom {
    /// Returns what a language has to say.
    #[must_use]
    pub fn of(language: &Language) -> Self {
        Self {
            place: language.place,
            by_command: language.notation.as_str() == "commands",
            drops_after_annotations: language.drops_after_annotations,
        }
    }
}

/// What opens a line of a comment that speaks to this program.
pub const INSTRUCTION: &str = "vinequill:";

/// Takes lines that speak to this program out of the comments, before anything else reads them; a comment of
/// nothing else is none, and parts nothing.
fn withdraw_instructions(outline: &mut Outline, source: &Source) {
    if memchr::memmem::find(source.text().as_bytes(), INSTRUCTION.as_bytes()).is_none() {
        return;
    }
    for comment in &mut outline.comments {
        if !source.slice(comment.span).contains(INSTRUCTION) {
            continue;
        }
        comment.lines.retain(|&line| !source.slice(line).trim_start().starts_with(INSTRUCTION));
        if comment.lines.iter().all(|&line| source.slice(line).trim().is_empty()) {
            comment.doc = false;
            comment.standing = Doc::Directive;
        }
    }
    for declaration in &mut outline.declarations {
        let says_nothing = |id: &mut CommentId| outline.comments[id.0 as usize].standing == Doc::Directive;
        declaration.comment.doc.take_if(says_nothing);
    }
}

/// Attaches the comments of an outline to its declarations.
pub fn attach(outline: &mut Outline, source: &Source, custom: Custom) {
    withdraw_instructions(outline, source);
    if custom.by_command {
        turn_back(outline, source);
    }
    attach_back(outline, source);
    let mut found: Vec<(usize, Attached)> = Vec::new();
    for (at, declaration) in outline.declarations.iter().enumerate() {
        let mut attached = declaration.comment;
        let start = declaration.span.start;
        match custom.place {
            CommentPlace::Above | CommentPlace::Below | CommentPlace::FileTop if attached.doc.is_none() => {
                let name = declaration.name.as_str();
                let mut found = doc_above(outline, source, start);
                if custom.by_command {
                    // Above a comment that is headed by another's name may stand the declaration's own.
                    while let Some(other) =
                        found.filter(|&id| is_headed_by_another(outline, source, (id, name)))
                    {
                        let above = doc_above(outline, source, outline.comment(other).span.start);
                        found = above.filter(|&id| is_headed_by(outline, source, (id, name)));
                    }
                    found = found.filter(|&id| {
                        !(names_another(outline, source, (id, name))
                            || closes_its_line(source, outline.comment(id).span)
                            || heads_a_section(outline, source, (id, start)))
                    });
                }
                attached.doc = found;
            }
            CommentPlace::DirectlyAbove if attached.doc.is_none() => {
                attached.doc = directly_above(outline, source, (start, declaration.name.as_str()));
            }
            CommentPlace::Above
            | CommentPlace::Below
            | CommentPlace::DirectlyAbove
            | CommentPlace::FileTop
            | CommentPlace::FirstInBody => {}
        }
        if custom.by_command && attached.doc.is_none() {
            attached.doc = before_brace(outline, source, declaration.name_span.end);
        }
        if custom.place == CommentPlace::DirectlyAbove {
            if attached.doc.is_none() && attached.misplaced.is_none() {
                attached.misplaced = beyond_gap(outline, source, declaration.name.as_str(), start);
            }
        } else if attached.doc.is_none() && attached.misplaced.is_none() {
            attached.misplaced =
                after_annotations(outline, custom, declaration.span.start, declaration.name_span)
                    .or_else(|| beyond_separators(outline, source, declaration.span.start))
                    .or_else(|| ordinary_above(outline, source, declaration));
        }
        if attached != declaration.comment {
            found.push((at, attached));
        }
    }
    for (at, attached) in found {
        let used = [attached.doc, attached.misplaced.and_then(detached)];
        for id in used.into_iter().flatten() {
            let comment = &mut outline.comments[id.0 as usize];
            comment.attached = true;
            comment.doc = true;
        }
        outline.declarations[at].comment = attached;
    }
    attach_by_directive(outline, source);
}

/// The directive that says which attribute a comment describes, wherever in its class it stands.
const OF_ATTRIBUTE: &str = "@!attribute";

/// Attaches comments that name the attributes they describe: `@!attribute [r] load`.
fn attach_by_directive(outline: &mut Outline, source: &Source) {
    for at in 0..outline.comments.len() {
        let comment = &outline.comments[at];
        let text = source.slice(comment.span);
        if comment.standing != Doc::Elsewhere || !text.contains(OF_ATTRIBUTE) {
            continue;
        }
        let named = |line: &str| {
            let rest = line.trim_start_matches(['#', ' ', '\t']).strip_prefix(OF_ATTRIBUTE)?.trim_start();
            let rest = rest.split_once(']').filter(|_| rest.starts_with('[')).map_or(rest, |(_, rest)| rest);
            rest.split_whitespace().next().map(str::to_owned)
        };
        let (names, owner): (Vec<String>, _) = (text.lines().filter_map(named).collect(), comment.owner);
        for declaration in &mut outline.declarations {
            let is_named = || names.iter().any(|name| declaration.name == name.as_str());
            if declaration.owner == owner && declaration.comment.doc.is_none() && is_named() {
                declaration.comment.doc = Some(id(at));
                declaration.comment.misplaced = None;
            }
        }
        outline.comments[at].doc = true;
    }
}

const fn detached(misplaced: Misplaced) -> Option<CommentId> {
    match misplaced {
        Misplaced::Detached(id) => Some(id),
        Misplaced::Ordinary(_) => None,
    }
}

/// Returns the index behind the last comment that ends at or before `start`.
fn before(outline: &Outline, start: u32) -> usize {
    outline.comments.partition_point(|comment| comment.span.end <= start)
}

fn id(at: usize) -> CommentId {
    CommentId(narrow(at))
}

/// Returns the doc comment that ends right above `start`: only white space, other comments and
/// preprocessor lines lie between.
fn doc_above(outline: &Outline, source: &Source, start: u32) -> Option<CommentId> {
    let mut upto = start;
    for at in (0..before(outline, start)).rev() {
        let comment = &outline.comments[at];
        if comment.standing == Doc::Elsewhere {
            upto = comment.span.start;
            continue;
        }
        // A comment behind other code on its line belongs to that code.
        if comment.attached && comment.carrier == Carrier::Docstring
            || !parts_nothing(source, comment.span.end, upto)
        {
            return None;
        }
        if comment.doc && comment.standing != Doc::Back && !is_trailing(source, comment.span) {
            return (at > 0 || !heads_the_file(source, comment)).then(|| id(at));
        }
        upto = comment.span.start;
    }
    None
}

/// Tells whether the first comment of a file says whose the file is, and nothing of a declaration.
fn heads_the_file(source: &Source, comment: &RawComment) -> bool {
    let text = source.slice(comment.span);
    is_first(source, comment.span.start)
        && says_whose(text)
        && !["param", "return", "tparam", "throws"]
            .iter()
            .any(|tag| text.contains(&format!("@{tag}")) || text.contains(&format!("\\{tag}")))
}

/// Tells whether nothing but a line for the system stands before an offset.
fn is_first(source: &Source, start: u32) -> bool {
    let before = source.text().get(..start as usize).unwrap_or_default().trim();
    before.is_empty() || before.starts_with("#!") && !before.contains('\n')
}

/// Returns the documentation between the head of a declaration, whose name ends at `name_end`, and its brace.
fn before_brace(outline: &Outline, source: &Source, name_end: u32) -> Option<CommentId> {
    let at = outline.comments.partition_point(|comment| comment.span.start < name_end);
    let comment = outline.comments.get(at).filter(|comment| comment.doc && !comment.attached)?;
    let head = source.slice(Span::new(name_end, comment.span.start));
    let behind = source.text().get(comment.span.end as usize..).unwrap_or_default();
    (!head.contains(['{', '}', ';']) && behind.trim_start().starts_with('{')).then(|| id(at))
}

/// Returns the lines of documentation directly above a comment, `//! Weighs a crate.` above a block: they are the
/// beginning of the same.
#[must_use]
pub fn goes_on_from(outline: &Outline, source: &Source, comment: CommentId) -> Option<CommentId> {
    let block = outline.comment(comment);
    if is_lines(block.carrier) {
        return None;
    }
    let mut below = block.span.start;
    for (at, above) in outline.comments[..comment.0 as usize].iter().enumerate().rev() {
        let gap = source.slice(Span::new(above.span.end, below));
        let adjoins = gap.trim().is_empty() && gap.matches('\n').count() <= 1;
        if !adjoins || !is_lines(above.carrier) || is_trailing(source, above.span) {
            return None;
        }
        if above.standing == Doc::Yes {
            return (!above.attached).then(|| id(at));
        }
        // Ordinary lines may stand between the two.
        below = above.span.start;
    }
    None
}

const fn is_lines(carrier: Carrier) -> bool {
    matches!(carrier, Carrier::Lines { .. })
}

/// Tells whether a comment stands behind a finished declaration, with nothing behind it on its line: it was
/// written about what stands before it.
fn closes_its_line(source: &Source, comment: Span) -> bool {
    let line = source.line(comment.start);
    let Some(end) = source.line_span(line).map(|span| span.end) else { return false };
    source.line(comment.end.saturating_sub(1)) == line
        && before_on_line(source, comment).ends_with([';', ',', '}'])
        && source.slice(Span::new(comment.end.min(end), end)).trim().is_empty()
}

/// Returns what stands before a comment on its first line.
fn before_on_line(source: &Source, comment: Span) -> &str {
    let line = source.line_span(source.line(comment.start));
    line.map_or("", |line| source.slice(Span::new(line.start, comment.start)).trim())
}

/// Tells whether a comment, parted by an empty line from the declaration at `start`, is the heading of several:
/// its first line is underlined.
fn heads_a_section(outline: &Outline, source: &Source, (id, start): (CommentId, u32)) -> bool {
    let comment = outline.comment(id);
    if source.slice(Span::new(comment.span.end, start)).matches('\n').count() < 2 {
        return false;
    }
    let mut lines =
        comment.lines.iter().map(|&line| source.slice(line).trim()).filter(|line| !line.is_empty());
    let (title, under) = (lines.next(), lines.next().unwrap_or_default());
    title.is_some() && under.len() >= 3 && under.chars().all(|c| c == '-' || c == '=')
}

/// Tells whether a comment is headed by the name of what it is about, and so need not stand above it.
#[must_use]
pub fn names_its_subject(outline: &Outline, source: &Source, comment: CommentId) -> bool {
    heading(outline, source, comment).is_some()
}

/// Returns the name of the declaration that a comment's heading says it is about, wherever that stands.
#[must_use]
pub fn headed_subject<'s>(outline: &Outline, source: &'s Source, comment: CommentId) -> Option<&'s str> {
    heading(outline, source, comment).filter(|&(name, part)| !part && !name.is_empty()).map(|(name, _)| name)
}

/// Returns the name that heads a comment on a line of its own, `weigh_crate:` or `Scale::weighed:`, and whether that of a
/// part follows.
fn heading<'s>(outline: &Outline, source: &'s Source, id: CommentId) -> Option<(&'s str, bool)> {
    let lines = outline.comment(id).lines.iter().map(|&line| source.slice(line).trim());
    let first = lines.into_iter().find(|line| !line.is_empty())?;
    if first.starts_with("SECTION:") {
        return Some(("", true));
    }
    let (token, rest) = first.split_once(char::is_whitespace).unwrap_or((first, ""));
    let token = match token.strip_suffix(':') {
        Some(token) => token,
        None if rest.is_empty() && token.contains('_') => token,
        None => return None,
    };
    if !(rest.is_empty() || rest.trim_start().starts_with('(')) {
        return None;
    }
    let (name, part) = token.split_once(':').map_or((token, false), |(name, _)| (name, true));
    let is_name = !name.is_empty() && name.chars().all(|c| c.is_alphanumeric() || c == '_');
    // `Note:` heads a paragraph.
    let joined = name.contains('_')
        || name.as_bytes().windows(2).any(|two| two[0].is_ascii_lowercase() && two[1].is_ascii_uppercase())
        || name.as_bytes().windows(2).take(1).any(|two| two.iter().all(u8::is_ascii_uppercase))
            && name.bytes().any(|b| b.is_ascii_lowercase());
    (is_name && (joined || part)).then_some((name, part))
}

fn is_headed_by(outline: &Outline, source: &Source, (id, name): (CommentId, &str)) -> bool {
    heading(outline, source, id)
        .is_some_and(|(found, part)| !part && found.trim_start_matches('_') == name.trim_start_matches('_'))
}

fn is_headed_by_another(outline: &Outline, source: &Source, (id, name): (CommentId, &str)) -> bool {
    heading(outline, source, id).is_some() && !is_headed_by(outline, source, (id, name))
}

/// Words of commands that say which declaration a comment is about.
const NAMING: &[&str] =
    &["fn", "def", "struct", "class", "enum", "union", "typedef", "var", "interface", "property", "concept"];

/// Tells whether a comment says that it is about another declaration than `name`.
fn names_another(outline: &Outline, source: &Source, (id, name): (CommentId, &str)) -> bool {
    let comment = outline.comment(id);
    comment.lines.iter().any(|&line| {
        let Some(rest) = source.slice(line).trim_start().strip_prefix(['\\', '@']) else { return false };
        let (word, what) = rest.split_once(' ').unwrap_or((rest, ""));
        let mut words =
            what.split(|c: char| !(c.is_alphanumeric() || c == '_')).filter(|part| !part.is_empty());
        NAMING.contains(&word) && !what.trim().is_empty() && !words.any(|part| part == name)
    })
}

/// Finds documentation that a project writes below its declarations: on the next line, further to the right, and with an
/// empty line or the end of a block behind it; or between marks that are turned round, `/*!` and `!*/`.
fn turn_back(outline: &mut Outline, source: &Source) {
    let text = source.text();
    let is_turned = |comment: &RawComment| source.slice(comment.span).ends_with("!*/");
    let is_candidate = |comment: &RawComment| {
        comment.standing == Doc::Yes && (is_lines(comment.carrier) || is_turned(comment))
    };
    if !outline.comments.iter().any(is_candidate) {
        return;
    }
    let mut ends: Vec<u32> = outline.declarations.iter().map(|declaration| declaration.span.end).collect();
    ends.sort_unstable();
    for comment in &mut outline.comments {
        if !is_candidate(comment) {
            continue;
        }
        let (start, end) = (comment.span.start as usize, comment.span.end as usize);
        let (before, behind) = (text[..start].trim_end(), &text[end..]);
        let next = behind.trim_start();
        let parted = behind[..behind.len() - next.len()].matches('\n').count() > 1;
        let last = before.rsplit('\n').next().unwrap_or_default();
        let indent = |line: &str| line.len() - line.trim_start().len();
        let own = start - text[..start].rfind('\n').map_or(0, |found| found + 1);
        let near_below = text[before.len()..start].matches('\n').count() == 1;
        let turned = is_turned(comment);
        // At the beginning of a type's body it is the type's, and surely no member's.
        if turned && before.ends_with('{') {
            comment.standing = Doc::Back;
            continue;
        }
        let below = near_below && (turned || own > indent(last));
        if !below || !(parted || next.is_empty() || next.starts_with('}')) {
            continue;
        }
        let near = ends[..ends.partition_point(|&end| end as usize <= start)].last();
        let follows = near.is_some_and(|&end| text[end as usize..start].trim().trim_matches(';').is_empty());
        if follows {
            comment.standing = Doc::Back;
        }
    }
}

/// Attaches documentation that stands behind what it documents: a declaration, or a parameter in a list.
fn attach_back(outline: &mut Outline, source: &Source) {
    if !outline.comments.iter().any(|comment| comment.standing == Doc::Back) {
        return;
    }
    let mut by_end: Vec<(u32, usize)> =
        outline.declarations.iter().enumerate().map(|(at, declaration)| (declaration.span.end, at)).collect();
    by_end.sort_unstable();
    let mut upto = 0;
    for at in 0..outline.comments.len() {
        let comment = &outline.comments[at];
        let (start, back) = (comment.span.start, comment.standing == Doc::Back);
        let from = std::mem::replace(&mut upto, comment.span.end);
        if !back {
            continue;
        }
        outline.comments[at].attached = true;
        // Two comments behind one declaration are the first's.
        let before = &by_end[..by_end.partition_point(|&(end, _)| end <= start)];
        let behind = before.last().filter(|&&(end, _)| {
            end >= from
                && source.slice(Span::new(end, start)).chars().all(|c| c.is_whitespace() || ",;".contains(c))
        });
        if let Some(&(end, _)) = behind {
            // Variables of one statement share its comment.
            for &(_, found) in before.iter().rev().take_while(|&&(other, _)| other == end) {
                let attached = &mut outline.declarations[found].comment;
                attached.doc = attached.doc.or(Some(id(at)));
            }
            continue;
        }
        let inside = outline.declarations.iter_mut().rev().find(|declaration| {
            declaration.span.start < start && start < declaration.span.end && !declaration.kind.is_field()
        });
        let Some(inside) = inside else { continue };
        let opened = source.slice(Span::new(inside.header_end.min(start), start)).trim();
        if inside.kind.is_type() && matches!(opened, "" | "{") {
            inside.comment.doc = inside.comment.doc.or(Some(id(at)));
            continue;
        }
        let told = inside.signature.parameters.iter_mut().rfind(|parameter| parameter.span.end <= start);
        if let Some(parameter) = told {
            parameter.told = true;
        }
    }
}

/// Returns the comment that ends on the line above `start`; comments to tools may stand between.
fn directly_above(outline: &Outline, source: &Source, (start, name): (u32, &str)) -> Option<CommentId> {
    let mut upto = start;
    for at in (0..before(outline, start)).rev() {
        let comment = &outline.comments[at];
        let gap = source.slice(Span::new(comment.span.end, upto));
        // A comment that names what it is about may name this very declaration.
        let named = || {
            source.slice(comment.span).split(|c: char| !(c.is_alphanumeric() || c == '_')).any(|w| w == name)
        };
        let elsewhere = comment.standing == Doc::Elsewhere;
        if !gap.trim().is_empty() || gap.matches('\n').count() > 1 || (comment.attached && !elsewhere) {
            return None;
        }
        if elsewhere && named() {
            return Some(id(at));
        }
        match comment.standing {
            Doc::IfAbove | Doc::Yes => return Some(id(at)),
            Doc::Directive => upto = comment.span.start,
            Doc::No | Doc::Back | Doc::Elsewhere => return None,
        }
    }
    None
}

/// Returns a comment that empty lines part from the declaration, and that surely speaks of it: it begins
/// with its name, or holds entries. The file's first comment is its header.
fn beyond_gap(outline: &Outline, source: &Source, name: &str, start: u32) -> Option<Misplaced> {
    let at = before(outline, start).checked_sub(1).filter(|&at| at > 0)?;
    let comment = &outline.comments[at];
    let gap = source.slice(Span::new(comment.span.end, start));
    let near = gap.trim().is_empty() && (2..=3).contains(&gap.matches('\n').count());
    if !near || comment.attached || !matches!(comment.standing, Doc::IfAbove | Doc::Yes) {
        return None;
    }
    let mut texts = comment.lines.iter().map(|&line| source.slice(line).trim());
    // Other tags than these say what the comment is about: it stands for itself.
    let mut tags = texts.clone().filter_map(|line| line.strip_prefix('@'));
    let free = tags.any(|rest| {
        let end = rest.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(rest.len());
        !TAGS_OF_CALLABLES.contains(&&rest[..end])
    });
    if free {
        return None;
    }
    let mut words = texts.clone().next()?.split_whitespace();
    let first = words.next().unwrap_or_default();
    // "Load and Weight are set by the scale" is about several.
    let of_several = words.next().is_some_and(|second| matches!(second, "and" | "or" | "&" | "/"));
    let speaks = (first == name && !of_several && reads_as_documentation(source.slice(comment.span)))
        || texts.any(|line| line.starts_with("@param ") || line.starts_with("@return "));
    speaks.then(|| Misplaced::Detached(id(at)))
}

/// Tags of comments that speak of the callable below them.
const TAGS_OF_CALLABLES: &[&str] = &[
    "api", "array", "async", "author", "bool", "deprecated", "error", "example", "func", "generic", "int",
    "local", "nodiscard", "note", "number", "option", "overload", "package", "param", "private", "protected",
    "raise", "return", "returns", "see", "since", "string", "tab", "thread", "todo", "tparam", "treturn",
    "usage", "vararg", "yield", "yieldparam", "yieldreturn",
];

fn is_trailing(source: &Source, comment: Span) -> bool {
    let before = before_on_line(source, comment);
    !before.is_empty() && !before.ends_with(['{', ';', '}', '(', ',', '/'])
}

/// Tells whether only white space and preprocessor lines lie between two offsets.
fn parts_nothing(source: &Source, from: u32, upto: u32) -> bool {
    source.slice(Span::new(from, upto.max(from))).lines().all(|line| {
        let line = line.trim();
        let directive = line.strip_prefix('#').map(str::trim_start);
        // A macro is a declaration of its own, and behind an attribute one may follow on the line; what stands above
        // the files that are included speaks of its own file.
        let parts = |directive: &str| {
            ["define", "include", "import"].iter().any(|word| directive.starts_with(word))
                || directive.starts_with('[') && !line.ends_with(']')
        };
        line.is_empty() || directive.is_some_and(|directive| !parts(directive))
    })
}

/// Returns a doc comment that stands between annotations and the name, where the language drops it.
fn after_annotations(outline: &Outline, custom: Custom, start: u32, name: Span) -> Option<Misplaced> {
    if !custom.drops_after_annotations {
        return None;
    }
    let from = before(outline, start);
    let inside = outline.comments[from..].iter().take_while(|comment| comment.span.end <= name.start);
    inside.enumerate().find(|(_, c)| c.doc && !c.attached).map(|(at, _)| Misplaced::Detached(id(from + at)))
}

/// Returns a doc comment that imports or the like part from the declaration.
fn beyond_separators(outline: &Outline, source: &Source, start: u32) -> Option<Misplaced> {
    let mut upto = start;
    let mut parted = false;
    let mut separators =
        outline.separators[..outline.separators.partition_point(|s| s.end <= start)].iter().rev();
    let mut separator = separators.next();
    for at in (0..before(outline, start)).rev() {
        let comment = &outline.comments[at];
        while let Some(found) = separator.filter(|found| found.start >= comment.span.end) {
            if !parts_nothing(source, found.end, upto) {
                return None;
            }
            upto = found.start;
            parted = true;
            separator = separators.next();
        }
        if !parts_nothing(source, comment.span.end, upto) {
            return None;
        }
        if comment.doc {
            // The file's own header is never detached, and what says where the file comes from is one; so is what
            // stands above all that parts, below a licence.
            let above_all = outline.separators.first().is_some_and(|first| first.start > comment.span.start);
            let is_header = at == 0 || above_all || is_about_the_file(source.slice(comment.span));
            return (parted && !is_header && !comment.attached).then(|| Misplaced::Detached(id(at)));
        }
        upto = comment.span.start;
    }
    None
}

/// Tells whether a comment stands far to the right of the declaration below it, and directly below a line of code: it goes on
/// from that.
fn goes_with_line_above(source: &Source, comment: Span, declaration: Span) -> bool {
    let lead = |at: u32| {
        let line =
            source.line_span(source.line(at)).map_or("", |line| source.slice(Span::new(line.start, at)));
        let width = |c: char| if c == '\t' { 8 } else { 1 };
        line.chars().map(width).sum::<usize>()
    };
    let above = source.line(comment.start).checked_sub(1).and_then(|line| source.line_span(line));
    lead(comment.start) >= lead(declaration.start) + 8
        && above.is_some_and(|above| !source.slice(above).trim().is_empty())
}

/// Returns an ordinary comment directly above the declaration that reads like its documentation.
fn ordinary_above(outline: &Outline, source: &Source, declaration: &Declaration) -> Option<Misplaced> {
    let start = declaration.span.start;
    let at = before(outline, start).checked_sub(1)?;
    let comment = &outline.comments[at];
    let gap = source.slice(Span::new(comment.span.end, start));
    let directly = gap.trim().is_empty() && gap.matches('\n').count() == 1;
    let placed = directly && !comment.doc && !comment.attached && !comment.in_body;
    let text = source.slice(comment.span);
    let fits = if declaration.kind.is_callable() { says_what_is_done(text) } else { names_a_thing(text) };
    let reads = placed
        && reads_like_a_description(text)
        && fits
        && !opens_with_another_name(text, declaration.name.as_str())
        && !goes_with_line_above(source, comment.span, declaration.span);
    reads.then(|| Misplaced::Ordinary(id(at)))
}
