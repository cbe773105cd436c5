//! The wording of descriptions.

use super::rule::{Check, Example, Rule};
use std::sync::LazyLock;

use smol_str::SmolStr;
use unicase::UniCase;

use super::{Context, Findings, visible};
use crate::model::{Level, RuleId};
use crate::placeholder::is_placeholder;
use crate::text::{Span, narrow, split_words};

pub(super) static PLACEHOLDER: Rule = Rule {
    id: RuleId::new("text.placeholder"),
    level: Level::Warning,
    says: "placeholder text is left over",
    why: "It is an embarrassment to whoever published it, and no help to whoever reads it.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * @param load TODO: describe\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(placeholder),
};

fn placeholder(context: &Context<'_>, findings: &mut Findings<'_>) {
    let own = &context.file.settings.placeholder;
    let doc = context.doc;
    let name = context.declaration().name.as_str();
    if let Some(span) = doc.summary
        && is_placeholder(&doc.prose(context.file.source, span), name, own)
    {
        let message = format!("the description of `{name}` is a placeholder; say what it is for");
        findings.report(span, "", message).done();
    }
    for entry in &doc.entries {
        let Some(span) = entry.text else { continue };
        let subject = entry.name().map_or("", |name| name.name.as_str());
        if is_placeholder(&context.text_of(entry), subject, own) {
            let what = if subject.is_empty() { "what comes back".to_owned() } else { format!("`{subject}`") };
            let message = format!("the entry for {what} is a placeholder; describe it");
            findings.report(span, subject, message).done();
        }
    }
    // Of a tag only our own words are sure to be left over.
    for mark in doc.marks.iter().filter(|_| !own.is_empty()) {
        let Some(&line) = doc.lines.get(mark.lines.0 as usize) else { continue };
        let rest = Span::new(mark.span.end.min(line.end), line.end);
        let said = context.slice(rest);
        if said.trim() == own.as_str() {
            let start = rest.end - narrow(said.trim_start().len());
            let message = format!("what `{}` says is a placeholder; say it", mark.name);
            findings.report(Span::new(start, rest.end), "", message).done();
        }
    }
}

pub(super) static SPELLING: Rule = Rule {
    id: RuleId::new("text.spelling"),
    level: Level::Note,
    says: "a word is known to be a misspelling",
    why: "It is found by nobody who searches for it, and it makes the reader doubt the rest.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a crate seperately. */\npublic void weigh() {}\n",
        after: "/** Weighs a crate separately. */\npublic void weigh() {}\n",
    },
    check: Check::Comment(spelling),
};

/// Words from this length on are looked up: short ones are too often names.
const SHORTEST: usize = 4;

/// Only what is listed as a misspelling is reported, so that jargon never is; a project's own words are never
/// looked up, nor are names of the declaration.
fn spelling(context: &Context<'_>, findings: &mut Findings<'_>) {
    let sections = || context.doc.sections.iter();
    let sieve = &*SIEVE;
    // Most comments hold no word that may be on the list, in code or outside.
    let whole = |(first, last): (&Span, &Span)| Span::new(first.start, last.end);
    let lines = &context.doc.lines;
    let Some(whole) = lines.first().zip(lines.last()).map(whole) else { return };
    if !sieve.holds_one_of(context.slice(whole)) {
        return;
    }
    for line in visible::lines(context) {
        // A misspelt heading is the fault of another rule; references name others' work.
        let skipped = sections().any(|section| {
            let inside = section.lines.0 as usize <= line.row && line.row < section.lines.1 as usize;
            section.lines.0 as usize == line.row
                || (inside && matches!(section.title, "See Also" | "References"))
        });
        // Of a text in another language nothing is known.
        let foreign = !line.text.is_ascii()
            && line.text.chars().filter(|c| c.is_alphabetic() && !c.is_ascii()).count() > 1;
        if skipped || foreign || line.text.contains("//") {
            continue;
        }
        let bare = visible::without_code(line.text);
        visible::each_word(&bare, |at, word| {
            if word.len() < SHORTEST || !sieve.holds(word) || is_proper_noun(&bare, at, word) {
                return;
            }
            if let Some(meant) = typos_dict::WORD.find(&UniCase::new(word)).filter(|meant| !meant.is_empty())
            {
                report_misspelling(context, (word, line.span(at, at + word.len())), meant, findings);
            }
        });
    }
}

/// What lets nearly all words pass before they are looked up: nearly every word is spelt right, and the look-up, like
/// telling words from code, costs more than all else here (B. H. Bloom, "Space/time trade-offs in hash coding with
/// allowable errors", 1970).
struct Sieve(Vec<u64>);

static SIEVE: LazyLock<Sieve> = LazyLock::new(|| {
    let mut bits = vec![0_u64; 1 << (Sieve::BITS - 6)];
    for word in typos_dict::WORD.map.keys() {
        for (at, bit) in Sieve::places(Sieve::hash(word.into_inner())) {
            bits[at] |= bit;
        }
    }
    Sieve(bits)
});

impl Sieve {
    /// There are two to the power of this many bits.
    const BITS: u32 = 21;

    /// What a hash begins with (FNV-1a, 64 bits).
    const SEED: u64 = 0xcbf2_9ce4_8422_2325;

    /// Tells whether a word may be on the list; of one that is, always.
    fn holds(&self, word: &str) -> bool {
        self.holds_hash(Self::hash(word))
    }

    /// Tells whether a text has a run of letters that may be on the list, where no word has anything else.
    fn holds_one_of(&self, text: &str) -> bool {
        let (mut length, mut hash) = (0, Self::SEED);
        for byte in text.bytes().chain([b' ']) {
            if byte.is_ascii_alphabetic() {
                (length, hash) = (length + 1, Self::step(hash, byte));
            } else if length > 0 {
                if length >= SHORTEST && self.holds_hash(hash) {
                    return true;
                }
                (length, hash) = (0, Self::SEED);
            }
        }
        false
    }

    fn holds_hash(&self, hash: u64) -> bool {
        Self::places(hash).all(|(at, bit)| self.0[at] & bit != 0)
    }

    /// Hashes a word, case set aside.
    fn hash(word: &str) -> u64 {
        word.bytes().fold(Self::SEED, Self::step)
    }

    fn step(hash: u64, byte: u8) -> u64 {
        (hash ^ u64::from(byte.to_ascii_lowercase())).wrapping_mul(0x0100_0000_01b3)
    }

    /// Returns the three places of a hash.
    fn places(hash: u64) -> impl Iterator<Item = (usize, u64)> {
        [0, 21, 42].into_iter().map(move |shift| {
            let place = (hash >> shift) & ((1 << Self::BITS) - 1);
            ((place >> 6) as usize, 1 << (place & 63))
        })
    }
}

/// A capital inside a sentence makes a name.
fn is_proper_noun(line: &str, at: usize, word: &str) -> bool {
    let before = line[..at].trim_end();
    let opens = before.is_empty()
        || before.ends_with(['.', ':', '!', '?', '-', '*', '('])
        || !before.contains(char::is_alphanumeric);
    let abbreviated = line[at + word.len()..].starts_with('.')
        && word.len() < 7
        && line[at + word.len() + 1..].starts_with(|c: char| !c.is_whitespace());
    word.starts_with(char::is_uppercase) && (!opens || line[at + word.len()..].starts_with('.'))
        || abbreviated
}

fn report_misspelling(
    context: &Context<'_>,
    (word, span): (&str, Span),
    meant: &[&str],
    findings: &mut Findings<'_>,
) {
    let lower = word.to_lowercase();
    let entries = context.doc.entries.iter().flat_map(|entry| &entry.names).map(|name| name.span);
    // A name that is misspelt in an entry or a tag is another rule's.
    if entries.chain(context.doc.marks.iter().map(|mark| mark.span)).any(|name| name.contains(span))
        || context.file.settings.words.contains(&lower)
        || is_a_name(context, &lower)
        || is_in_code(context, word)
    {
        return;
    }
    let capital = word.starts_with(char::is_uppercase);
    let spell =
        |meant: &&str| if capital { meant[..1].to_uppercase() + &meant[1..] } else { (*meant).to_owned() };
    let spelt: Vec<String> = meant.iter().map(spell).collect();
    // Of a short word many are near: the likeliest come first.
    let mut shown = spelt.iter().take(3).map(|meant| format!("`{meant}`")).collect::<Vec<_>>().join(" or ");
    if spelt.len() > 3 {
        shown += " or others";
    }
    let message = format!("`{word}` is a misspelling of {shown}; correct it, or add it to `words`");
    let report = findings.report(span, word, message);
    match spelt.as_slice() {
        [one] => report.replace(span, one),
        _ => report.done(),
    }
}

/// Tells whether a word is part of a name in the signature.
fn is_a_name(context: &Context<'_>, lower: &str) -> bool {
    let declaration = context.declaration();
    let parameters = declaration.signature.parameters.iter().filter_map(|parameter| parameter.named());
    let mut names = parameters.chain([&declaration.name]);
    names.any(|name| {
        name.as_str().to_lowercase() == lower || split_words(name.as_str()).iter().any(|word| word == lower)
    })
}

/// Tells whether a word stands in the code of the file: then the comment speaks of what has that name.
pub(super) fn is_in_code(context: &Context<'_>, word: &str) -> bool {
    if let Some(&known) = context.file.words.borrow().get(word) {
        return known;
    }
    let found = stands_in_code(context, word);
    context.file.words.borrow_mut().insert(SmolStr::new(word), found);
    found
}

fn stands_in_code(context: &Context<'_>, word: &str) -> bool {
    let text = context.file.source.text();
    let comments = &context.file.outline.comments;
    memchr::memmem::find_iter(text.as_bytes(), word).any(|at| {
        let at = Span::of(at, at + word.len());
        let next = comments.partition_point(|comment| comment.span.end <= at.start);
        comments.get(next).is_none_or(|comment| !comment.span.contains(at))
    })
}

#[cfg(test)]
mod tests {
    use super::SIEVE;

    #[test]
    fn every_listed_word_is_held_and_most_others_pass() {
        for word in typos_dict::WORD.map.keys().map(|word| word.into_inner()) {
            assert!(SIEVE.holds(word));
            assert!(!word.is_ascii() || word.bytes().all(|byte| byte.is_ascii_alphabetic()), "{word}");
        }
        let plain = ["weigh", "crate", "load", "scale", "press", "cellar", "must", "cider", "vat", "tare"];
        assert_eq!(plain.iter().filter(|word| SIEVE.holds(word)).count(), 0);
        for (text, wanted) in [
            ("Weighs the crate,\n * and the pallet.", false),
            ("Weighs seperately.", true),
            ("'Seperate'", true),
            ("Waage für {@code recieve}", true),
            ("", false),
        ] {
            assert_eq!(SIEVE.holds_one_of(text), wanted, "{text}");
        }
    }
}
