//! Words that are known to be misspelt, and what is meant by them.

use std::cmp::Ordering;

use super::sieve::{self, SEED, step};

/// A line each, sorted: the word, a space, what may be meant, parted by commas.
static LIST: &str = include_str!(concat!(env!("OUT_DIR"), "/misspellings.txt"));

/// What lets nearly all words pass before they are looked up: nearly every word is spelt right, and the look-up, like
/// telling words from code, costs more than all else.
static SIEVE: &[u8] = include_bytes!(concat!(env!("OUT_DIR"), "/misspellings.sieve"));

/// Tells whether a word may be on the list; of one that is, always.
pub(crate) fn may_be_listed(word: &str) -> bool {
    holds(word.bytes().fold(SEED, step))
}

/// Tells whether a text has a run of `shortest` letters or more that may be on the list, where no word has anything
/// else.
pub(crate) fn may_have_listed(text: &str, shortest: usize) -> bool {
    let bytes = text.as_bytes();
    let mut at = 0;
    while at < bytes.len() {
        let (start, mut hash) = (at, SEED);
        while let Some(&byte) = bytes.get(at).filter(|byte| byte.is_ascii_alphabetic()) {
            hash = step(hash, byte);
            at += 1;
        }
        if at - start >= shortest && holds(hash) {
            return true;
        }
        at += 1;
    }
    false
}

fn holds(hash: u64) -> bool {
    sieve::places(hash).all(|(at, bit)| SIEVE[at] & bit != 0)
}

/// Returns what may be meant by a word on the list, whatever its case, the likeliest first.
pub(crate) fn meant_by(word: &str) -> Option<impl Iterator<Item = &'static str>> {
    let word = word.to_lowercase();
    let mut rest = LIST;
    while !rest.is_empty() {
        let middle = memchr::memrchr(b'\n', &rest.as_bytes()[..rest.len() / 2]).map_or(0, |found| found + 1);
        let (line, after) = rest[middle..].split_once('\n')?;
        let (listed, meant) = line.split_once(' ')?;
        match listed.cmp(&word) {
            Ordering::Equal => return Some(meant.split(',')),
            Ordering::Less => rest = after,
            Ordering::Greater => rest = &rest[..middle],
        }
    }
    None
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_listed_word_is_found_and_most_others_pass() {
        for (word, meant) in typos_dict::WORD.map.entries() {
            let word = word.into_inner();
            if sieve::TERMS.contains(&word) {
                assert!(meant_by(word).is_none(), "{word}");
                continue;
            }
            assert!(!word.is_ascii() || word.bytes().all(|byte| byte.is_ascii_alphabetic()), "{word}");
            let found: Vec<_> = meant_by(word).into_iter().flatten().collect();
            assert_eq!(found, meant.to_vec(), "{word}");
            assert!(may_be_listed(word) || meant.is_empty(), "{word}");
        }
        let plain = ["weigh", "crate", "load", "scale", "press", "cellar", "must", "cider", "vat", "tare"];
        assert!(plain.iter().all(|word| !may_be_listed(word) && meant_by(word).is_none()));
        assert_eq!(meant_by("Recieve").into_iter().flatten().collect::<Vec<_>>(), ["receive"]);
        for (text, wanted) in [
            ("Weighs the crate,\n * and the pallet.", false),
            ("Weighs seperately.", true),
            ("'Seperate'", true),
            ("Waage für {@code recieve}", true),
            ("", false),
        ] {
            assert_eq!(may_have_listed(text, 4), wanted, "{text}");
        }
    }
}
