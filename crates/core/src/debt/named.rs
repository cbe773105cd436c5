//! The names of parameters that a comment speaks of without an entry.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::model::{DocComment, EntryKind, Mark, MarkStanding, Parameter, Variadic};
use crate::reading::Owe;
use crate::text::{Source, Span, is_spelt_out, spoken_words, squeezed};

/// Returns the names that a text marks as those of parameters by commands: `\a load`, `@p load`.
pub(super) fn spoken_of(text: &str) -> Vec<&str> {
    let marked = text.split(['\\', '@']).skip(1).filter_map(|rest| {
        let rest = ["a ", "p ", "c "].iter().find_map(|command| rest.strip_prefix(command))?.trim_start();
        let end = rest.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(rest.len());
        (end > 0).then(|| &rest[..end])
    });
    marked.collect()
}

/// Returns the names that a line sets apart from its words: `load` in grave accents, bars, asterisks, quotation marks or
/// brackets with a letter in front (`I{load}`, `C<load>`), behind a sign (`@load`), in an element or a tag for code
/// (`<c>load</c>`, `{@code load}`), and in parentheses what no word looks like (`(net_load)`).
pub(super) fn set_apart(line: &str) -> impl Iterator<Item = &str> {
    let parts = words(line).filter(|&(before, name, after)| {
        let signs = before.strip_suffix("**").or_else(|| before.strip_suffix('*')).unwrap_or(before);
        let around = |open: &str, close: &str| before.ends_with(open) && after.starts_with(close);
        let quoted = |open: &str, close: &str| {
            let free = |beside: Option<char>| beside.is_none_or(|c| !c.is_alphanumeric());
            name.len() > 2
                && around(open, close)
                && free(before[..before.len() - open.len()].chars().next_back())
                && free(after[close.len()..].chars().next())
        };
        let lettered = |open: &str, close: &str| {
            around(open, close) && before[..before.len() - 1].ends_with(|c: char| c.is_ascii_uppercase())
        };
        // `!load`, as reStructuredText marks a role that is to link nothing.
        let signs = signs.strip_suffix('!').unwrap_or(signs);
        signs.ends_with('`') && after.starts_with('`')
            || around("|", "|")
            || around("*", "*")
            || name.contains('_') && around("(", ")")
            || quoted("'", "'")
            || quoted("\"", "\"")
            || quoted("\u{201c}", "\u{201d}")
            || lettered("{", "}")
            || lettered("<", ">")
            || before.ends_with(" @")
            // In a formula: `\f$ load \cdot n \f$`.
            || before.contains("\\f$") && after.contains("\\f$")
            || around("{@code ", "}")
            || after.starts_with("</") && ELEMENTS.iter().any(|open| before.ends_with(open))
    });
    parts.map(|(_, name, _)| name)
}

/// Words short for others that only code has.
const CODE_ALONE: &[&str] = &[
    "addr", "arr", "attr", "attrs", "cls", "ctx", "dest", "dtype", "elem", "elems", "expr", "func", "idx",
    "kwargs", "obj",
];

/// Operators that nothing but code has behind a word.
const EQUALS: &[&str] = &["==", " == ", " != "];

/// Elements that set a word apart.
const ELEMENTS: &[&str] = &["<code>", "<tt>", "<c>", "<i>", "<em>", "<b>", "<var>"];

/// Tells whether a word cannot be spoken, `src`, `n` or `load2`, as no word of a text is.
fn is_unspeakable(before: &str, name: &str, after: &str) -> bool {
    // "doesn't", "i.e."
    if before.ends_with(['\'', '\u{2019}', '.']) || after.starts_with('.') && "eig".contains(name) {
        return false;
    }
    match name.as_bytes() {
        &[letter] => letter.is_ascii_alphabetic() && !b"aAI".contains(&letter),
        [first, .., last] if last.is_ascii_digit() => first.is_ascii_lowercase(),
        _ => name.chars().all(|c| c.is_ascii_lowercase() && !"aeiouy".contains(c)),
    }
}

/// Returns the words of a line that no language has and so are names, without anything that sets them apart: `net_load`,
/// `netLoad`, `kwargs`, `src`.
fn unmistakable(line: &str) -> impl Iterator<Item = &str> {
    let has_hump = |name: &str| {
        let pairs = name.as_bytes().windows(2);
        name.starts_with(|c: char| c.is_lowercase())
            && pairs.into_iter().any(|two| two[0].is_ascii_lowercase() && two[1].is_ascii_uppercase())
    };
    let alone = words(line).filter(move |&(before, name, after)| {
        let is_path = before.ends_with(['.', '/', '-', '@', '\\', ':']) || after.starts_with(['(', '/']);
        !is_path
            && (name.trim_matches('_').contains('_')
                || has_hump(name)
                // `load==NULL`, `crate->load`
                || ["!=", "->"].iter().chain(EQUALS).any(|operator| after.starts_with(operator))
                || CODE_ALONE.contains(&name)
                || is_unspeakable(before, name, after)
                // "Args:" alone opens a list.
                || name == "args" && !(after.starts_with(':') && before.trim().is_empty()))
    });
    alone.map(|(_, name, _)| name)
}

/// Returns the words of a line that may be names, each with what stands before and behind it.
fn words(line: &str) -> impl Iterator<Item = (&str, &str, &str)> {
    let mut from = 0;
    std::iter::from_fn(move || {
        let is_name = |c: char| c.is_alphanumeric() || c == '_';
        let start = from + line[from..].find(is_name)?;
        let end = line[start..].find(|c| !is_name(c)).map_or(line.len(), |length| start + length);
        from = end;
        Some((&line[..start], &line[start..end], &line[end..]))
    })
}

/// Returns the name behind a tag for a parameter, and behind a direction or a type: `[in] load`, `{number} load`. In tags
/// brackets stand around what may be left out: `{number} [load=0]`.
pub(super) fn name_behind_tag(behind: &str, in_tags: bool) -> &str {
    let behind = past(behind.trim_start(), '{', '}');
    let behind = if in_tags { behind.strip_prefix('[').unwrap_or(behind) } else { past(behind, '[', ']') };
    behind.split(|c: char| c.is_whitespace() || matches!(c, ']' | '=')).next().unwrap_or_default()
}

/// Returns what stands behind brackets that a text begins with.
fn past(text: &str, open: char, close: char) -> &str {
    let inner = text.strip_prefix(open).and_then(|inner| inner.split_once(close));
    inner.map_or(text, |(_, behind)| behind).trim_start()
}

/// Returns the names of parameters that a comment speaks of without an entry, the `wanted` ones among them.
pub(super) fn told_of<'a>(
    source: &'a Source,
    doc: &'a DocComment,
    demand: Owe,
    wanted: &'a [String],
) -> Vec<&'a str> {
    let mut names = tag_aliases(source, doc);
    // Whoever demands an entry always is not content with one that only tools read, or people.
    if demand != Owe::Always {
        let words = for_tools(source, doc, "param").flat_map(str::split_whitespace);
        names.extend(words.filter_map(|word| word.trim_start_matches(['&', '.']).strip_prefix('$')));
        names.extend(listed(source, doc, wanted));
        names.extend(listed_keys(source, doc));
    }
    names
}

/// Returns the first words behind tags that the notation does not know: a project may have made its own for parameters
/// of a type, `@crate first the crate to weigh`.
fn tag_aliases<'a>(source: &'a Source, doc: &DocComment) -> Vec<&'a str> {
    if doc.notation.as_str() == "commands" {
        // A project may have made a command for a parameter that many functions take: `\type_id`.
        let own = doc.marks.iter().map(|mark| source.slice(mark.span).trim_start_matches(['@', '\\']));
        // An item of a list there, by which some write their parameters.
        let items = doc.lines.iter().map(|line| source.slice(*line).trim_start());
        let items =
            items.filter_map(|line| line.strip_prefix("@arg ").or_else(|| line.strip_prefix("\\arg ")));
        // What comes back through a parameter may be told where all that comes back is: `@retval count how many`.
        let given_back = doc.entries_of(EntryKind::Returns).filter_map(|entry| entry.value);
        let given_back = given_back.map(|value| source.slice(value).trim_matches(['*', ',']));
        return items
            .filter_map(|item| item.split_whitespace().next())
            .chain(own)
            .chain(given_back)
            .collect();
    }
    if doc.notation.as_str() == "tags" {
        // A tag that is a parameter's name tells of it: `@load [Number] what lies on it`.
        let own = doc.marks.iter().filter(|mark| mark.standing != MarkStanding::Known);
        let own = own.map(|mark| source.slice(mark.span).trim_start_matches('@'));
        // An entry that tools are not to read is there for people: `@param- {Object} [guard] says who calls`.
        let lines = doc.lines.iter().map(|line| source.slice(*line).trim_start());
        let hidden = lines.filter_map(|line| line.strip_prefix("@param-"));
        return own.chain(hidden.map(|behind| name_behind_tag(behind, true))).collect();
    }
    if doc.notation.as_str() != "annotations" {
        return Vec::new();
    }
    let unknown = doc.marks.iter().filter(|mark| mark.standing == MarkStanding::Unknown);
    unknown
        .filter_map(|mark| {
            let line = doc.lines.get(mark.lines.0 as usize)?;
            let behind = source.slice(Span::new(mark.span.end, line.end.max(mark.span.end)));
            // Modifiers may follow the tag: `@crate[opt] first`.
            let behind = match behind.strip_prefix('[') {
                Some(rest) => rest.split_once(']')?.1,
                None => behind,
            };
            behind.split_whitespace().next()
        })
        .collect()
}

/// Returns the lines of tags that tools read in the place of `kind`, and more exactly: `@crate-param list<Crate> $first`.
pub(super) fn for_tools<'a>(
    source: &'a Source,
    doc: &'a DocComment,
    kind: &'static str,
) -> impl Iterator<Item = &'a str> {
    let named = move |mark: &&Mark| {
        mark.name.as_str().rsplit_once('-').is_some_and(|(_, end)| end == kind)
            && doc.notation.as_str() == "tags"
    };
    let rows = doc.marks.iter().filter(named).flat_map(|mark| mark.lines.0..mark.lines.1);
    rows.filter_map(|row| doc.lines.get(row as usize)).map(|&line| source.slice(line))
}

/// Returns the names that lines outside of entries open with, in a form of the author's own: `load (float): what to
/// weigh`, `:load: what to weigh`, `* load, crate - what to weigh`, `load` above its description, or "The `load` argument is".
fn listed<'a>(
    source: &'a Source,
    doc: &'a DocComment,
    wanted: &'a [String],
) -> impl Iterator<Item = &'a str> {
    let is_entry =
        move |row: u32| doc.entries.iter().any(|entry| entry.lines.0 <= row && row < entry.lines.1);
    // A list below an entry may go on with others.
    let is_item =
        |line: Span| doc.notation.as_str() == "google" && source.slice(line).trim_start().starts_with("- ");
    let rows = doc.lines.iter().zip(0..).filter(move |&(line, row)| !is_entry(row) || is_item(*line));
    // Most lines have none of the names.
    let has_one = move |line: Span| {
        let line = source.slice(line).as_bytes();
        wanted.iter().any(|name| memchr::memmem::find(line, name.as_bytes()).is_some())
    };
    let rows = rows.filter(move |&(line, _)| has_one(*line));
    let indent = |line: &str| line.len() - line.trim_start().len();
    // Elsewhere a word alone on its line is the last of a paragraph.
    let in_docstring = matches!(doc.notation.as_str(), "google" | "numpy" | "rest" | "epytext");
    let describes_below = move |row: u32, line: &str| {
        let below = doc.lines.get(row as usize + 1).map_or("", |&below| source.slice(below));
        in_docstring && !below.trim().is_empty() && indent(below) > indent(line)
    };
    let leads_to_list = move |row: u32| {
        let below = doc.lines.get(row as usize + 1).map_or("", |&below| source.slice(below));
        below.trim_start().starts_with(['-', '*'])
    };
    // Beside entries a condition is one case more.
    let has_entries = doc.has(EntryKind::Param);
    let told_in = move |(&line, row): (&Span, u32)| {
        let whole = source.slice(line);
        let line = whole.trim_start();
        if let Some(names) = names_before_noun(line).or_else(|| condition(line).filter(|_| !has_entries)) {
            return Some(names);
        }
        let (names, behind) = subject(line);
        let behind = match behind.strip_prefix('(') {
            Some(inner) => inner.split_once(')')?.1.trim_start(),
            // `load Optional[float]: what to weigh`
            None => {
                behind.find(": ").filter(|&at| is_generic(&behind[..at])).map_or(behind, |at| &behind[at..])
            }
        };
        if matches!(behind.trim_end(), "" | ":") && describes_below(row, whole) {
            return Some(names);
        }
        // `- load is the weight in kg`
        if says(behind) {
            return Some(names);
        }
        let text = behind.strip_prefix("--").or_else(|| behind.strip_prefix([':', '-', '–', '—', '=']))?;
        // A value or an operator (`load::mass`, `load->mass`) follows at once.
        (text.starts_with(' ') && text.trim().len() > 2).then_some(names)
    };
    // Where there are no entries, a sentence may speak of a parameter that it marks, wherever it begins.
    let in_sentences = move |(&line, _): (&Span, u32)| {
        let line = source.slice(line);
        let rest = line
            .match_indices(". ")
            .filter(move |_| !has_entries)
            .map(move |(at, _)| line[at + 2..].trim_start());
        rest.filter_map(|sentence| {
            // No sentence begins with a small letter but one that begins with a name.
            let opens = |c: char| matches!(c, '`' | '*') || c.is_lowercase();
            let marked = sentence.strip_prefix("The ").unwrap_or(sentence).starts_with(opens);
            let (names, behind) = subject(sentence);
            condition(sentence).or_else(|| (marked && says(behind)).then_some(names))
        })
    };
    let is_word = |c: char| c.is_alphanumeric() || c == '_';
    // So may code, and whatever sets a name apart.
    let marks = in_docstring || matches!(doc.notation.as_str(), "commands" | "tags" | "xml");
    let marked = move |(&line, row): (&Span, u32)| {
        let line = source.slice(line);
        let speaks = !has_entries && !line.trim_start().starts_with(">>> ");
        let apart = (marks && speaks).then(|| set_apart(line).chain(unmistakable(line)));
        let given = (speaks && line.contains('`')).then(|| given_values(line));
        let called = speaks.then(|| before_nouns(line));
        let broken = speaks.then(|| behind_broken_tag(source, doc, row)).flatten();
        let apart = apart.into_iter().flatten().chain(given.into_iter().flatten());
        apart.chain(called.into_iter().flatten()).chain(broken)
    };
    let above_list =
        move |(&line, row): (&Span, u32)| name_above_list(source.slice(line)).filter(|_| leads_to_list(row));
    let names = rows.flat_map(move |row| {
        let listed = told_in(row).into_iter().chain(above_list(row));
        listed.chain(in_sentences(row)).chain(marked(row))
    });
    // What comes back is told with what goes in: "@return whether x1 is above x2".
    let returned = doc.entries_of(EntryKind::Returns).flat_map(|entry| entry.lines.0..entry.lines.1);
    let returned = returned.filter_map(|row| doc.lines.get(row as usize).zip(Some(row)));
    let names = names.chain(returned.filter(move |&(line, _)| has_one(*line)).flat_map(marked));
    names.flat_map(move |names| names.split(move |c| !is_word(c)))
}

/// Tells whether a text is a type with arguments, `Optional[float]`, and no more.
fn is_generic(text: &str) -> bool {
    let name = text.split(['[', '(']).next().unwrap_or_default();
    name.len() < text.len()
        && text.ends_with([']', ')'])
        && name.starts_with(|c: char| c.is_uppercase())
        && name.chars().all(|c| c.is_alphanumeric() || matches!(c, '.' | '_'))
}

/// Returns the names that code in a line gives values, as a call would, or compares: `weigh_all=True`, `load == 12`.
fn given_values(line: &str) -> impl Iterator<Item = &str> {
    let given = |&(before, _, after): &(&str, &str, &str)| {
        let compared = [" < ", " > ", " <= ", " >= "];
        let follows = |operator: &&str| after.starts_with(*operator);
        before.ends_with('`') && (after.starts_with('=') || EQUALS.iter().chain(&compared).any(follows))
    };
    words(line).filter(given).map(|(_, name, _)| name)
}

/// Divides a sentence behind the names that it opens with: "The `load` argument is", "Where load is".
fn subject(sentence: &str) -> (&str, &str) {
    let marked = sentence.strip_prefix("The ").filter(|rest| rest.starts_with(['`', '*']));
    let marked =
        marked.or_else(|| sentence.strip_prefix("Where ")).or_else(|| sentence.strip_prefix("where "));
    let opening = marked.unwrap_or(sentence).trim_start_matches(['*', '-', '+', ' ', '`', ':']);
    let (names, behind) = names_ahead(opening);
    let behind = behind.trim_start_matches(['`', '*']).trim_start();
    let noun = ["argument ", "parameter ", "function "].iter().find_map(|noun| behind.strip_prefix(noun));
    (names, noun.unwrap_or(behind))
}

/// Tells whether a text goes on as what is said of a parameter.
fn says(behind: &str) -> bool {
    behind.split_whitespace().next().is_some_and(|word| SAYING.contains(&word))
}

/// Returns what stands before the word for parameters in a sentence that opens with them: "The `load` and `crate` arguments
/// are".
fn names_before_noun(line: &str) -> Option<&str> {
    let rest = line.strip_prefix("The ")?;
    let nouns = [" argument", " param", " option ", " flag ", " keyword "];
    let end = nouns.iter().filter_map(|noun| rest.find(noun)).min()?;
    let names = &rest[..end];
    (names.split(' ').count() < 8).then_some(names)
}

/// Returns the last word of a line that leads to what is below it: "Available options:".
fn name_above_list(line: &str) -> Option<&str> {
    let words = line.trim_end().strip_suffix(':')?;
    words.rsplit(' ').next().filter(|word| !word.is_empty())
}

/// Returns the words in front of the word for parameters, wherever it stands: "What is in the load and crate parameters".
fn before_nouns(line: &str) -> impl Iterator<Item = &str> {
    let nouns = [" parameter", " argument"].into_iter();
    let places = nouns.flat_map(|noun| memchr::memmem::find_iter(line.as_bytes(), noun.as_bytes()));
    places.flat_map(|at| {
        let words = line[..at].rsplit(' ');
        words.take_while(|word| !word.ends_with(['.', ':', ';']) && !matches!(*word, "the" | "The")).take(5)
    })
}

/// Returns the name that a condition at the beginning of a line is about: "If *load* is `None`, it is weighed", "When
/// load=True, weigh".
fn condition(line: &str) -> Option<&str> {
    const SAYS: &[&str] = &["is", "are", "isn't", "equals", "contains", "has", "was"];
    let rest = ["If ", "When ", "Unless "].iter().find_map(|word| line.strip_prefix(word))?;
    let marks = ['*', '`', '\'', '"'];
    // "If no load is given", "If the load is null"
    let rest = ["no ", "the "].iter().find_map(|word| rest.strip_prefix(word)).unwrap_or(rest);
    let (name, behind) = names_ahead(rest.trim_start_matches(marks));
    let behind = behind.trim_start_matches(marks).trim_start();
    let says =
        behind.starts_with('=') || behind.split_whitespace().next().is_some_and(|word| SAYS.contains(&word));
    says.then_some(name)
}

/// Tells of each of the first parameters whether a text speaks of it by its place, and of all whether it speaks of them
/// together: "The second argument is the load", "Both arguments are loads", "The arguments are two loads".
fn counted(text: &str) -> impl Iterator<Item = bool> {
    const NOUNS: &[&str] = &["argument", "parameter"];
    // Most texts have no word of it.
    let speaks = NOUNS.iter().any(|noun| memchr::memmem::find(text.as_bytes(), noun.as_bytes()).is_some());
    let says = |phrase: &dyn Fn(&str) -> String| {
        speaks && NOUNS.iter().any(|noun| text.contains(phrase(noun).as_str()))
    };
    // "The arguments are looked at" says nothing of them.
    let what = ["the", "two", "three", "four", "all"];
    let all = says(&|noun| format!("Both {noun}s "))
        || what.iter().any(|what| says(&|noun| format!("The {noun}s are {what} ")));
    let places = ["first", "second", "third", "fourth"].map(|place| says(&|noun| format!(" {place} {noun}")));
    places.into_iter().chain(std::iter::repeat(false)).map(move |told| told || all)
}

/// Tells of each parameter whether a text speaks of it without its name: of an only one, "the argument", and of each of a row
/// of equal ones, `load1, load2, load3`, "the given loads".
fn told_together(parameters: &[Parameter], text: &str) -> Vec<bool> {
    let says = |words: &[&str]| words.iter().any(|words| text.contains(words));
    let stem = |parameter: &'_ Parameter| {
        let name = parameter.named()?.as_str();
        let stem = name.trim_end_matches(|c: char| c.is_ascii_digit());
        (stem.len() < name.len()).then(|| stem.to_owned())
    };
    if let [_] = parameters {
        return vec![says(&[
            "he argument ", "his argument ", "he parameter ", "his parameter ", "ts argument ",
        ])];
    }
    if parameters.len() < 2 || !says(&["given ", "specified ", "provided ", "supplied "]) {
        return vec![false; parameters.len()];
    }
    let stems: Vec<Option<String>> = parameters.iter().map(stem).collect();
    let alike = |stem: &Option<String>| stems.iter().filter(|other| *other == stem).count() > 1;
    stems.iter().map(|stem| stem.is_some() && alike(stem)).collect()
}

/// Tells of each parameter whether a text without entries speaks of it: by its place, with others, as what is given, or by its
/// type; all of them where a formula has them.
pub(super) fn told_in_sentences(
    source: &Source,
    (callable, parameters): (&str, &[Parameter]),
    text: &str,
) -> Vec<bool> {
    if in_formula(callable, parameters, text) {
        return vec![true; parameters.len()];
    }
    let given = given(text);
    let word = |parameter: &Parameter| word_for_type(source.slice(parameter.ty?));
    // "weigh(crate=load, ...)" as the first line shows what is collected.
    let opening = text.trim_start_matches(|c: char| !c.is_alphanumeric()).strip_prefix(callable);
    let shows_its_call = opening.is_some_and(|behind| behind.starts_with('('));
    let types = types_apart(text);
    let spoken = spoken_words(text);
    let speaks = !given.is_empty() || !types.is_empty();
    let kinds: Vec<Option<String>> = if speaks { parameters.iter().map(word).collect() } else { Vec::new() };
    let only_of = |kind: &String| kinds.iter().flatten().filter(|other| *other == kind).count() == 1;
    let each = parameters.iter().enumerate().zip(counted(text).zip(told_together(parameters, text)));
    let told = each.map(|((at, parameter), (counted, together))| {
        let kind = kinds.get(at).and_then(Option::as_ref).filter(|kind| only_of(kind));
        let by_type = kind.is_some_and(|kind| given.contains(kind) || types.contains(kind));
        let name = parameter.named().map(|name| name.as_str().trim_matches('_'));
        let is_named = |name: &str| {
            let squeezed = squeezed(name);
            given.contains(&squeezed) || types.contains(&squeezed) || is_spelt_out(name, &spoken)
        };
        let shown = parameter.variadic == Variadic::Keywords && shows_its_call;
        counted || together || by_type || shown || name.is_some_and(is_named)
    });
    told.collect()
}

/// Returns the word that a text has for a parameter of a type, squeezed: "the given matrix" for a `Matrix44<T>`, "a given
/// net load" for a `NetLoad`, "the given byte array" for a `byte[]`.
fn word_for_type(ty: &str) -> Option<String> {
    let path = ty.trim_start_matches("ref ").trim_start_matches("const ");
    let path = path.split(|c: char| !(c.is_alphanumeric() || c == '_' || c == '.')).next()?;
    let name = path.rsplit('.').next()?.trim_end_matches(|c: char| c.is_ascii_digit());
    let many = if ty.ends_with("[]") { "array" } else { "" };
    let is_word = name.len() > 2 && (!many.is_empty() || name.starts_with(|c: char| c.is_uppercase()));
    is_word.then(|| squeezed(name) + many)
}

/// Tells whether a text has a formula for what a callable gives back: "moment(load, arm) = load * arm".
fn in_formula(name: &str, parameters: &[Parameter], text: &str) -> bool {
    let own = |argument: &str| {
        let argument = argument.split('=').next().unwrap_or_default().trim();
        parameters.iter().any(|parameter| parameter.named().is_some_and(|name| name.as_str() == argument))
    };
    text.match_indices(name).any(|(at, _)| {
        let arguments = text[at + name.len()..].strip_prefix('(').and_then(|rest| rest.split_once(')'));
        arguments.is_some_and(|(arguments, behind)| {
            behind.trim_start().starts_with('=') && arguments.contains(',') && arguments.split(',').all(own)
        })
    })
}

/// Returns the words for what is given, squeezed, and each with the next one or two as one word: "Weighs the given load",
/// "Opens the specified crate file", "is set to the load passed in", "every crate specified".
fn given(text: &str) -> Vec<String> {
    const GIVING: &[&str] = &["given", "specified", "provided", "supplied", "passed"];
    static GIVEN: LazyLock<AhoCorasick> =
        LazyLock::new(|| AhoCorasick::new(GIVING).expect("plain words compile"));
    let is_name = |c: char| c.is_alphanumeric() || c == '_';
    let behind = GIVEN.find_iter(text).flat_map(|found| {
        let words = text[found.end()..].split(|c: char| !is_name(c)).filter(|word| !word.is_empty());
        let words: Vec<String> = words.take(3).map(squeezed).collect();
        // "The given number of crates"
        let told = if words.get(1).is_some_and(|word| word == "of") { 3 } else { 2 };
        let before = text[..found.start()].strip_suffix(' ');
        let before = before.and_then(|before| before.rsplit(|c: char| !is_name(c)).next()).map(squeezed);
        let together = [2, 3].into_iter().filter_map(|count| words.get(..count)).map(<[String]>::concat);
        let together: Vec<String> = together.collect();
        words.into_iter().take(told).chain(together).chain(before)
    });
    behind.collect()
}

/// Returns the word that a tag for code sets apart, where the tag stands on the line above: `{@code` and below it `load}`.
fn behind_broken_tag<'a>(source: &'a Source, doc: &DocComment, row: u32) -> Option<&'a str> {
    let above = source.slice(*doc.lines.get(row.checked_sub(1)? as usize)?);
    let word = source.slice(*doc.lines.get(row as usize)?).trim_start().split_once('}')?.0;
    above.trim_end().ends_with("{@code").then_some(word)
}

/// Returns the names of the types that a text sets apart or links, squeezed: `NetLoad` stands for what is called after it,
/// `net_load` or `netLoad`.
fn types_apart(text: &str) -> Vec<String> {
    let types = set_apart(text).filter(|name| name.starts_with(|c: char| c.is_uppercase()));
    types.chain(linked_types(text)).map(squeezed).collect()
}

/// Returns the names of the types that a text links: `{@link loads.NetLoad}`, `cref="NetLoad"`.
fn linked_types(text: &str) -> impl Iterator<Item = &str> {
    let links = ["{@link ", "{@linkplain ", "cref=\""].into_iter();
    let places =
        links.flat_map(|link| memchr::memmem::find_iter(text.as_bytes(), link).map(|at| at + link.len()));
    places.filter_map(|at| {
        let path =
            text[at..].split(|c: char| !(c.is_alphanumeric() || matches!(c, '_' | '.' | '#'))).next()?;
        // What is a member of it says nothing of the type.
        (!path.contains('#')).then(|| path.rsplit('.').next().unwrap_or_default())
    })
}

/// Divides a text behind the names that it opens with, one or several with commas between, brackets around them or none.
fn names_ahead(text: &str) -> (&str, &str) {
    let is_name = |c: char| c.is_alphanumeric() || c == '_';
    let bracketed = text.strip_prefix('(').and_then(|inner| inner.split_once(')'));
    if let Some(found) = bracketed.filter(|(names, _)| names.chars().all(|c| is_name(c) || ", ".contains(c)))
    {
        return found;
    }
    let mut end = 0;
    loop {
        end += text[end..].find(|c: char| !is_name(c)).unwrap_or(text.len() - end);
        match text[end..].strip_prefix(", ") {
            Some(next) if next.starts_with(is_name) => end += 2,
            _ => return text.split_at(end),
        }
    }
}

/// Returns the keys that items of a list in an entry open with, as Ruby writes them: "- `:unit => 'kg'`: what to count in".
fn listed_keys<'a>(source: &'a Source, doc: &'a DocComment) -> impl Iterator<Item = &'a str> {
    let rows = doc.entries.iter().filter(|_| doc.notation.as_str() == "tags");
    rows.flat_map(|entry| entry.lines.0 + 1..entry.lines.1).filter_map(|row| {
        let item = source.slice(*doc.lines.get(row as usize)?).trim_start();
        let key = item.strip_prefix(['-', '*'])?.trim_start().trim_start_matches('`').strip_prefix(':')?;
        let end = key.find(|c: char| !(c.is_alphanumeric() || c == '_')).unwrap_or(key.len());
        (end > 0).then(|| &key[..end])
    })
}

/// What follows the name at the beginning of a line that says what a parameter is.
const SAYING: &[&str] = &[
    "is", "are", "contains", "holds", "needs", "must", "may", "can", "should", "gives", "tells", "says",
    "specifies", "points",
];
