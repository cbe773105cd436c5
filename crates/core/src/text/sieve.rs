//! A set of words that holds all its own and lets nearly all others pass (B. H. Bloom, "Space/time trade-offs in hash
//! coding with allowable errors", 1970). It is filled where the library is built, and asked where it runs.

/// Words on the list that are terms of languages read here: SAS has informats, and missings for values.
#[allow(dead_code, reason = "the library asks only in its tests")]
pub(crate) const TERMS: &[&str] = &["informat", "informats", "missings"];

/// There are two to the power of this many bits.
const BITS: u32 = 21;

/// What a hash (FNV-1a, 64 bits) begins with: of three thousand that were tried, the one with which the sieve stops the
/// fewest of the words that comments and code have most.
pub(crate) const SEED: u64 = 0x9e7f_4970_7dff_132d;

/// Takes one more byte of a word into its hash, case set aside.
#[must_use]
pub(crate) const fn step(hash: u64, byte: u8) -> u64 {
    (hash ^ byte.to_ascii_lowercase() as u64).wrapping_mul(0x0100_0000_01b3)
}

/// Returns the three places of a hash: a byte, and the bit in it.
pub(crate) fn places(hash: u64) -> impl Iterator<Item = (usize, u8)> {
    [0, 21, 42].into_iter().map(move |shift| {
        let place = (hash >> shift) & ((1 << BITS) - 1);
        ((place >> 3) as usize, 1 << (place & 7))
    })
}

/// Fills a sieve with words.
#[allow(dead_code, reason = "only the build fills one")]
pub(crate) fn filled<'w>(words: impl Iterator<Item = &'w str>) -> Vec<u8> {
    let mut bits = vec![0; 1 << (BITS - 3)];
    for word in words {
        for (at, bit) in places(word.bytes().fold(SEED, step)) {
            bits[at] |= bit;
        }
    }
    bits
}
