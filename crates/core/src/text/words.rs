//! Names as words: how near two are, and what a name is made of.

/// Tells whether two names are near enough that one may be a misspelling of the other.
///
/// Case and underscores are set aside; a transposition counts one. The distance may be 1 up to four
/// letters, 2 up to eight, and a third of the longer name beyond.
#[must_use]
pub fn near(left: &str, right: &str) -> bool {
    distance(left, right).is_some()
}

/// Returns the distance of two names when they are near.
fn distance(left: &str, right: &str) -> Option<usize> {
    Sought::of(left).distance(right)
}

/// A name that others are compared with.
struct Sought {
    plain: String,
    length: usize,
    letters: u32,
}

impl Sought {
    fn of(name: &str) -> Self {
        let plain = plain(name);
        Self { length: plain.chars().count(), letters: letters(name), plain }
    }

    /// Returns the distance of another name when it is near.
    fn distance(&self, other: &str) -> Option<usize> {
        // Most names differ in length or letters by more than a misspelling would: nothing need be written for those.
        let length = other.chars().filter(|&c| c != '_').count();
        let (longer, shorter) = (length.max(self.length), length.min(self.length));
        let allowed = match longer {
            0 => return None,
            1..=4 => 1,
            5..=8 => 2,
            more => more / 3,
        };
        let differing = (letters(other) ^ self.letters).count_ones() as usize;
        // What is written in other letters may count more characters in lower case.
        let is_ascii = other.is_ascii() && self.plain.is_ascii();
        if is_ascii && (longer - shorter > allowed || differing > 2 * allowed) {
            return None;
        }
        let other = plain(other);
        if longer - shorter > allowed || (shorter == 1 && longer == 1 && self.plain != other) {
            return None;
        }
        let found = strsim::osa_distance(&self.plain, &other);
        (found <= allowed).then_some(found)
    }
}

/// Returns which letters of ASCII a name has, a bit for each; an edit changes two at most.
fn letters(name: &str) -> u32 {
    name.bytes()
        .filter(u8::is_ascii_alphabetic)
        .fold(0, |bits, byte| bits | 1 << (byte.to_ascii_lowercase() - b'a'))
}

/// Returns the candidate nearest to `name`, if one is near; of equals the first.
#[must_use]
pub fn nearest<'n>(name: &str, candidates: impl IntoIterator<Item = &'n str>) -> Option<&'n str> {
    let sought = Sought::of(name);
    candidates
        .into_iter()
        .filter_map(|candidate| sought.distance(candidate).map(|found| (found, candidate)))
        .min_by_key(|&(found, _)| found)
        .map(|(_, candidate)| candidate)
}

fn plain(name: &str) -> String {
    name.chars().filter(|&c| c != '_').flat_map(char::to_lowercase).collect()
}

/// Splits a name at case changes, digits, underscores and hyphens into lower-case words.
#[must_use]
pub fn split_words(name: &str) -> Vec<String> {
    let mut words: Vec<String> = Vec::new();
    let chars: Vec<char> = name.chars().collect();
    let mut fresh = true;
    for (at, &c) in chars.iter().enumerate() {
        if !c.is_alphanumeric() {
            fresh = true;
            continue;
        }
        let before = at.checked_sub(1).map(|i| chars[i]);
        let after = chars.get(at + 1);
        let hump = c.is_uppercase()
            && (before.is_some_and(|b| b.is_lowercase() || b.is_numeric())
                || (before.is_some_and(char::is_uppercase) && after.is_some_and(|a| a.is_lowercase())));
        if fresh || hump {
            words.push(String::new());
        }
        fresh = false;
        if let Some(word) = words.last_mut() {
            word.extend(c.to_lowercase());
        }
    }
    words
}

/// Tells at a glance, without a copy, that a text has a word, `fillers` set aside, that surely is in none of `names`:
/// what it begins with is not in them. False says nothing.
#[must_use]
pub fn surely_says_more(text: &str, fillers: &[&str], names: &[&str]) -> bool {
    let words = text.split(|c: char| !c.is_alphanumeric()).filter(|word| word.is_ascii() && !word.is_empty());
    words.into_iter().any(|word| {
        let opening = &word.as_bytes()[..word.len().min(2)];
        let holds = |name: &&str| {
            name.as_bytes().windows(opening.len()).any(|part| part.eq_ignore_ascii_case(opening))
        };
        !names.iter().any(holds) && !fillers.iter().any(|filler| filler.eq_ignore_ascii_case(word))
    })
}

/// Tells whether a text has a word, by itself.
#[must_use]
pub(crate) fn has_word(text: &str, word: &str) -> bool {
    let part = |c: char| c.is_alphanumeric() || c == '_';
    text.match_indices(word)
        .any(|(at, word)| !text[..at].ends_with(part) && !text[at + word.len()..].starts_with(part))
}

/// Returns a name in which case and underscores are set aside.
pub(crate) fn squeezed(name: &str) -> String {
    name.replace('_', "").to_lowercase()
}

/// Returns the words of a text, squeezed; signs of comments are none.
pub(crate) fn spoken_words(text: &str) -> Vec<String> {
    let words = text.split(|c: char| !(c.is_alphanumeric() || c == '_')).filter(|word| !word.is_empty());
    words.map(squeezed).collect()
}

/// Tells whether a name of several words is among spoken ones in its words: "from a string of HTML code" of `html_code`, "a base
/// class" of `baseclass`, "an illegal state exception" of `IllegalStateException`.
pub(crate) fn is_spelt_out(name: &str, spoken: &[String]) -> bool {
    const SHORTEST: usize = 6;
    let name = squeezed(name);
    let begins = |from: usize| {
        let (mut rest, mut count) = (name.as_str(), 0);
        for word in &spoken[from..] {
            match rest.strip_prefix(word.as_str()) {
                Some(behind) if !word.is_empty() => (rest, count) = (behind, count + 1),
                _ => break,
            }
        }
        rest.is_empty() && count > 1
    };
    name.len() >= SHORTEST && (0..spoken.len()).any(begins)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_glance_tells_of_words_that_no_name_has() {
        let fillers = ["the", "of"];
        assert!(surely_says_more("The load of the crate.", &fillers, &["load"]));
        assert!(!surely_says_more("The Load\n of the loads", &fillers, &["net_load"]));
        assert!(!surely_says_more("The w\u{e4}rme", &fillers, &["load"]));
        assert!(!surely_says_more("", &fillers, &[]));
    }

    #[test]
    fn nearness_grows_with_length() {
        assert!(near("laod", "load"));
        assert!(near("user_name", "userName"));
        assert!(!near("cat", "dog"));
        assert!(!near("a", "b"));
        assert!(near("arguements", "arguments"));
        assert!(!near("width", "height"));
        assert_eq!(nearest("wieght", ["height", "weight"]), Some("weight"));
    }

    #[test]
    fn names_split_into_words() {
        assert_eq!(split_words("parseHTTPHeader_v2"), ["parse", "http", "header", "v2"]);
        assert_eq!(split_words("__init__"), ["init"]);
    }
}
