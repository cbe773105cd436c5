//! One file a subcommand: its options and what it does.

pub(crate) mod accept;
pub(crate) mod completions;
pub(crate) mod coverage;
pub(crate) mod demo;
pub(crate) mod draft;
pub(crate) mod init;
pub(crate) mod languages;
pub(crate) mod mend;
pub(crate) mod merge;
pub(crate) mod outline;
pub(crate) mod pages;
pub(crate) mod recast;
pub(crate) mod review;
pub(crate) mod rules;
pub(crate) mod trend;
