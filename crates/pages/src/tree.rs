//! Folders and files with their numbers, as rows that can be opened; large folders have pages of their own.

use std::collections::BTreeMap;

use minijinja::{Value, context};
use serde::Serialize;
use vinequill_core::coverage::Counts;

use crate::collect::{FilePage, safe};
use crate::site::share;

/// A folder with more rows than this in it has a page of its own: a page is to be usable at once.
const MOST_ROWS: usize = 150;

/// A folder or file with its numbers, as a row that can be opened.
#[derive(Clone, Debug, Default, Serialize)]
pub(crate) struct Row {
    name: String,
    address: String,
    declared: u64,
    described: String,
    complete: String,
    /// Parts of a bar of a hundred: complete, and described besides.
    bar: (u64, u64),
    /// How wide the bar is, in percent of the widest.
    width: u64,
    findings: u64,
    rows: Vec<Row>,
}

/// A folder.
#[derive(Debug, Default)]
pub(crate) struct Folder {
    /// Its path; empty for the project.
    path: String,
    pub(crate) counts: Counts,
    pub(crate) findings: u64,
    /// How many files there are in it, however deep.
    pub(crate) size: usize,
    folders: BTreeMap<String, Folder>,
    files: Vec<File>,
}

#[derive(Debug)]
struct File {
    name: String,
    address: String,
    counts: Counts,
    findings: u64,
}

impl Folder {
    /// Takes in a file.
    pub(crate) fn take(&mut self, page: &FilePage, findings: u64) {
        let parts: Vec<&str> = page.path.split('/').collect();
        self.take_below(&parts, page, findings);
    }

    fn take_below(&mut self, parts: &[&str], page: &FilePage, findings: u64) {
        self.counts.add(page.counts);
        self.findings += findings;
        self.size += 1;
        match parts {
            [] => {}
            [name] => self.files.push(File {
                name: (*name).to_owned(),
                address: page.address.clone(),
                counts: page.counts,
                findings,
            }),
            [name, rest @ ..] => {
                let path =
                    if self.path.is_empty() { (*name).to_owned() } else { format!("{}/{name}", self.path) };
                let folder = self.folders.entry((*name).to_owned());
                folder.or_insert_with(|| Self { path, ..Self::default() }).take_below(rest, page, findings);
            }
        }
    }

    fn has_page(&self) -> bool {
        self.size > MOST_ROWS && self.only_folder().is_none()
    }

    /// Returns the folder that is all there is in this one.
    fn only_folder(&self) -> Option<&Self> {
        if self.files.is_empty() && self.folders.len() == 1 { self.folders.values().next() } else { None }
    }

    /// Returns the address of its page, relative to the site.
    pub(crate) fn address(&self) -> String {
        format!("folders/{}.html", safe(self.path.trim_start_matches("../"), '/'))
    }

    /// Returns its path.
    pub(crate) fn path(&self) -> &str {
        &self.path
    }

    /// Returns the folders below that have pages of their own, outer ones first.
    pub(crate) fn with_pages(&self) -> Vec<&Self> {
        let mut out = Vec::new();
        for folder in self.folders.values() {
            if folder.has_page() {
                out.push(folder);
            }
            out.extend(folder.with_pages());
        }
        out
    }

    /// Returns the steps that lead to a path, each with an address where it has a page; `root` leads to the site.
    pub(crate) fn steps(&self, path: &str, root: &str) -> Vec<Value> {
        let mut out = Vec::new();
        let mut folder = self;
        for name in path.split('/') {
            let Some(next) = folder.folders.get(name) else { break };
            let address = next.has_page().then(|| format!("{root}{}", next.address()));
            out.push(context! { name, address });
            folder = next;
        }
        out
    }

    /// Returns its rows; the longest bar is that of the largest of them.
    pub(crate) fn rows(&self, root: &str) -> Vec<Row> {
        let files = self.files.iter().map(|file| file.counts.declared);
        let largest = self.folders.values().map(|folder| folder.counts.declared).chain(files).max();
        self.rows_of(largest.unwrap_or(1).max(1), root)
    }

    fn rows_of(&self, largest: u64, root: &str) -> Vec<Row> {
        let mut out = Vec::new();
        for (name, folder) in &self.folders {
            // A folder of one folder is one step.
            let (mut name, mut folder) = (format!("{name}/"), folder);
            while let Some(only) = folder.only_folder() {
                name.push_str(only.path.rsplit('/').next().unwrap_or_default());
                name.push('/');
                folder = only;
            }
            let own = Row { name, ..row(folder.counts, folder.findings, largest) };
            out.push(if folder.has_page() {
                Row { address: format!("{root}{}", folder.address()), ..own }
            } else {
                Row { rows: folder.rows_of(largest, root), ..own }
            });
        }
        for file in &self.files {
            let address = format!("{root}{}", file.address);
            out.push(Row { name: file.name.clone(), address, ..row(file.counts, file.findings, largest) });
        }
        out
    }
}

fn row(counts: Counts, findings: u64, largest: u64) -> Row {
    let part = |part: u64| (part * 100).checked_div(counts.declared).unwrap_or(0);
    let complete = part(counts.complete);
    Row {
        declared: counts.declared,
        described: share(counts.described, counts),
        complete: share(counts.complete, counts),
        bar: (complete, part(counts.described).saturating_sub(complete)),
        width: if counts.declared == 0 { 0 } else { (counts.declared * 100 / largest).max(2) },
        findings,
        ..Row::default()
    }
}
