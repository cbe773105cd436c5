//! End to end: the built program on files in a temporary folder, its real output and exit code.
//!
//! `accepted` what was accepted before · `ask` questions on a terminal · `mend` repairs and notations ·
//! `bad_input` what it is given that is no clean source · `coverage` numbers and floors · `demo` the demo
//! project · `draft` diffs, targets, writing · `formats` reports for programs · `history` changes and the past · `outline` what is understood · `pages` the site and its Markdown · `profiles` languages without a
//! grammar · `review` formats, levels, configuration · `usage` options, help, errors · `workshop` the helpers.

#![expect(clippy::unwrap_used, reason = "helpers of tests stop the test where they fail")]

mod accepted;
mod ask;
mod bad_input;
mod configuration;
mod coverage;
mod demo;
mod draft;
mod formats;
mod history;
mod mend;
mod outline;
mod pages;
mod profiles;
mod repository;
mod review;
mod usage;
mod workshop;
