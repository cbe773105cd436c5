//! Lays the list of misspellings down as plain bytes. As the list comes it is a table of a hundred thousand references,
//! all of which the system would have to put right at every start of the program, whatever it is asked.

#[path = "src/text/sieve.rs"]
mod sieve;

use std::fs;
use std::path::PathBuf;

#[expect(
    clippy::disallowed_methods,
    reason = "where the library is built there is a folder for what is made"
)]
fn main() {
    println!("cargo::rerun-if-changed=build.rs");
    println!("cargo::rerun-if-changed=src/text/sieve.rs");
    let out = PathBuf::from(std::env::var_os("OUT_DIR").expect("cargo names a folder for what is made"));
    let listed = typos_dict::WORD.map.entries();
    let mut words: Vec<_> = listed
        .filter(|(_, meant)| !meant.is_empty())
        .map(|(word, meant)| (word.into_inner().to_lowercase(), meant.join(",")))
        .filter(|(word, _)| !sieve::TERMS.contains(&word.as_str()))
        .collect();
    words.sort();
    let lines: String = words.iter().map(|(word, meant)| format!("{word} {meant}\n")).collect();
    let bits = sieve::filled(words.iter().map(|(word, _)| word.as_str()));
    fs::write(out.join("misspellings.txt"), lines).expect("the folder can be written");
    fs::write(out.join("misspellings.sieve"), bits).expect("the folder can be written");
}
