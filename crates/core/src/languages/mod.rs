//! The languages that can be read. One folder each, with the same files in every one: `mod.rs` (the
//! `Language` value and what trips it up), `kinds.rs` (node kinds and fields), `declare.rs` (node to
//! declaration), `flow.rs` (what leaves a body), `types.rs` (data of the standard library).
//!
//! To add a language: a folder, a `mod` line and an entry in [`ALL`].

mod c_family;
mod csharp;
mod go;
mod java;
mod kotlin;
mod lua;
mod php;
mod python;
mod ruby;
mod rust;
mod scala;
mod script;
mod shared;
mod swift;

use crate::reading::Language;
use crate::text::Source;

/// All languages, by id.
pub static ALL: &[&Language] = &[
    &c_family::C,
    &c_family::CPP,
    &csharp::CSHARP,
    &go::GO,
    &java::JAVA,
    &script::JAVASCRIPT,
    &kotlin::KOTLIN,
    &lua::LUA,
    &lua::LUAU,
    &php::PHP,
    &python::PYTHON,
    &ruby::RUBY,
    &rust::RUST,
    &scala::SCALA,
    &swift::SWIFT,
    &script::TYPESCRIPT,
];

/// Finds a language by its id.
#[must_use]
pub fn find(id: &str) -> Option<&'static Language> {
    ALL.iter().copied().find(|language| language.id.as_str() == id)
}

/// Finds a language by the word that stands behind a fence of Markdown: its id, its ending, or what else it is called.
#[must_use]
pub fn for_fence(word: &str) -> Option<&'static Language> {
    let word = word.to_ascii_lowercase();
    if word.is_empty() {
        return None;
    }
    let named = || ALL.iter().copied().find(|language| language.examples.fences.contains(&word.as_str()));
    find(&word).or_else(named).or_else(|| for_file(&format!("x.{word}")))
}

/// Finds the language of a file by its name's ending.
#[must_use]
pub fn for_file(file_name: &str) -> Option<&'static Language> {
    ALL.iter().copied().find(|language| language.reads(file_name))
}

/// Finds the language of a script by its first line, as `#!/usr/bin/env python3` names it.
#[must_use]
pub fn for_first_line(line: &str) -> Option<&'static Language> {
    let command = line.strip_prefix("#!")?;
    let program = command.split_whitespace().map(|word| word.rsplit('/').next().unwrap_or_default());
    let program =
        program.into_iter().find(|word| !word.is_empty() && *word != "env" && !word.starts_with('-'))?;
    let name = program.trim_end_matches(|c: char| c.is_ascii_digit() || c == '.');
    let id = match name {
        "python" | "pypy" => "python",
        "ruby" | "jruby" => "ruby",
        "node" | "nodejs" | "deno" | "bun" => "javascript",
        "lua" | "luajit" => "lua",
        "luau" => "luau",
        "php" => "php",
        "kotlin" => "kotlin",
        "scala" => "scala",
        "swift" => "swift",
        _ => return None,
    };
    find(id)
}

/// Finds the language of a source: by its name's ending, and where two languages share that, by content.
#[must_use]
pub fn refined(language: &'static Language, source: &Source) -> &'static Language {
    if !std::ptr::eq(language, &raw const c_family::C) {
        return language;
    }
    let text = source.text();
    let path = source.path().to_ascii_lowercase();
    let is_cpp = if path.ends_with(".h") {
        c_family::is_cpp_header(text)
    } else {
        // The definitions of templates may stand in a file of their own, which the header includes.
        path.ends_with(".c") && ["\ntemplate <", "\ntemplate<"].iter().any(|open| text.contains(open))
    };
    if is_cpp { &c_family::CPP } else { language }
}

/// Names the language that a source is in, where its name's ending promises one that can be read and its content is of
/// one that cannot.
#[must_use]
pub fn foreign(language: &Language, source: &Source) -> Option<&'static str> {
    let shared =
        std::ptr::eq(language, &raw const c_family::C) && source.path().to_ascii_lowercase().ends_with(".h");
    if shared && c_family::is_fortran(source.text()) {
        return Some("Fortran");
    }
    (shared && c_family::is_objective_c(source.text())).then_some("Objective-C")
}

/// Names kinds and fields that a language uses and its grammar lacks. Empty when all is well.
#[must_use]
pub fn unknown_names() -> Vec<String> {
    let mut unknown = Vec::new();
    unknown.extend(shared::unknown_names(&c_family::PLUS));
    unknown.extend(shared::unknown_names(&csharp::grammar::GRAMMAR));
    unknown.extend(shared::unknown_names(&go::GRAMMAR));
    unknown.extend(shared::unknown_names(&java::grammar::GRAMMAR));
    unknown.extend(shared::unknown_names(&kotlin::GRAMMAR));
    unknown.extend(shared::unknown_names(&scala::GRAMMAR));
    unknown.extend(shared::unknown_names(&lua::TYPED));
    unknown.extend(shared::unknown_names(&swift::GRAMMAR));
    unknown.extend(shared::unknown_names(&php::GRAMMAR));
    unknown.extend(shared::unknown_names(&python::grammar::GRAMMAR));
    unknown.extend(shared::unknown_names(&ruby::GRAMMAR));
    unknown.extend(shared::unknown_names(&rust::GRAMMAR));
    unknown.extend(shared::unknown_names(&script::TS));
    unknown.extend(shared::unknown_names(&script::TSX));
    unknown
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_node_kind_and_field_exists_in_its_grammar() {
        assert_eq!(unknown_names(), Vec::<String>::new());
    }

    #[test]
    fn endings_are_told_apart_without_regard_to_case() {
        assert_eq!(for_file("Press.JAVA").map(|l| l.id.as_str()), Some("java"));
        assert_eq!(for_file("stub.pyi").map(|l| l.id.as_str()), Some("python"));
        assert!(for_file("notes.txt").is_none());
    }

    #[test]
    fn first_lines_of_scripts_tell_their_language() {
        let id = |line| for_first_line(line).map(|language| language.id.as_str());
        assert_eq!(id("#!/usr/bin/env python3.12"), Some("python"));
        assert_eq!(id("#!/usr/bin/env -S node --no-warnings"), Some("javascript"));
        assert_eq!(id("#! /usr/bin/ruby -w"), Some("ruby"));
        assert_eq!(id("#!/bin/sh"), None);
        assert_eq!(id("import os"), None);
    }
}
