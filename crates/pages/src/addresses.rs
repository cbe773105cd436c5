//! Where each declaration stands on the pages, and what a reference in a comment leads to.

use std::collections::HashMap;

use crate::collect::{EntryPage, FilePage};

/// The addresses of all declarations.
#[derive(Debug, Default)]
pub struct Addresses {
    /// Page and anchor of each declaration.
    places: Vec<Place>,
    /// By qualified name, by its last two parts, and by simple name.
    by_name: HashMap<String, Vec<u32>>,
}

#[derive(Debug)]
struct Place {
    page: String,
    family: &'static str,
    anchor: String,
    /// Without what tells overloads apart.
    qualified: String,
    is_member: bool,
}

/// Who refers to something.
#[derive(Clone, Copy, Debug, Default)]
pub(crate) struct From<'a> {
    /// The address of its page.
    pub(crate) page: &'a str,
    /// Its qualified name.
    pub(crate) qualified: &'a str,
    /// The family of its language.
    pub(crate) family: &'a str,
    /// Its parameters.
    pub(crate) parameters: &'a [EntryPage],
}

impl Addresses {
    /// Gathers the addresses of pages.
    #[must_use]
    pub fn of(pages: &[FilePage]) -> Self {
        let mut out = Self::default();
        for page in pages {
            for declaration in &page.declarations {
                let number = u32::try_from(out.places.len()).unwrap_or(u32::MAX);
                out.places.push(Place {
                    page: page.address.clone(),
                    family: page.family,
                    anchor: declaration.anchor.clone(),
                    qualified: declaration.qualified.clone(),
                    is_member: declaration.is_member,
                });
                let mut add = |name: &str| match out.by_name.get_mut(name) {
                    Some(known) => known.push(number),
                    None => _ = out.by_name.insert(name.to_owned(), vec![number]),
                };
                add(&declaration.qualified);
                if declaration.name != declaration.qualified {
                    add(&declaration.name);
                    // The last two parts are how comments name a member.
                    let mut dots = declaration.qualified.rmatch_indices('.');
                    if let Some((second, _)) = dots.nth(1) {
                        add(&declaration.qualified[second + 1..]);
                    }
                }
            }
        }
        out
    }

    /// Finds what a reference names, in the forms of all notations: owners and members parted by `.`, `#` or `::`. What
    /// stands nearest counts; nothing where several are as near.
    #[must_use]
    pub(crate) fn find(&self, reference: &str, from: From<'_>) -> Option<String> {
        // A bare name is that of a parameter first.
        if from.parameters.iter().any(|parameter| parameter.name == reference.trim()) {
            return None;
        }
        let bare = reference.trim().trim_start_matches(['~', '#', '@', '.', '!', ':']);
        // `T:Name` and its like say the kind as well.
        let bare = match bare.as_bytes() {
            [kind, b':', next, ..] if kind.is_ascii_uppercase() && *next != b':' => &bare[2..],
            _ => bare,
        };
        let bare = bare.split(['(', '<', '{', '[']).next().unwrap_or_default().trim_end_matches(['`', '!']);
        if bare.is_empty() || bare.len() > 300 || bare.contains(' ') {
            return None;
        }
        let plain = bare.replace("::", ".").replace(['#', '\\', '/'], ".");
        let plain = plain.trim_matches('.');
        // What is named inside an owner is of that owner first.
        let mut owner = from.qualified;
        while !owner.is_empty() {
            if let Some(found) = self.nearest(&format!("{owner}.{plain}"), from) {
                return Some(found);
            }
            owner = owner.rsplit_once('.').map_or("", |(outer, _)| outer);
        }
        let mut rest = plain;
        loop {
            if self.by_name.contains_key(rest) {
                return self.nearest(rest, from);
            }
            // Packages and modules stand in front.
            rest = rest.split_once('.')?.1;
        }
    }

    /// Finds the one that is nearest of those with a name; overloads stand one below the other, and the first leads to
    /// all.
    fn nearest(&self, name: &str, from: From<'_>) -> Option<String> {
        let found = self.by_name.get(name)?;
        let places = || found.iter().filter_map(|&number| self.places.get(number as usize));
        let on_page = places().filter(|place| place.page == from.page);
        // A simple name is none of a member elsewhere, and means nothing to another language.
        let is_simple = !name.contains('.');
        let in_family =
            places().filter(|place| place.family == from.family && !(is_simple && place.is_member));
        let elsewhere = places().filter(|_| !is_simple);
        let one = |mut places: Box<dyn Iterator<Item = &Place> + '_>| {
            let first = places.next()?;
            let same = |place: &Place| place.page == first.page && place.qualified == first.qualified;
            places.all(same).then(|| format!("{}#{}", first.page, first.anchor))
        };
        one(Box::new(on_page)).or_else(|| one(Box::new(in_family))).or_else(|| one(Box::new(elsewhere)))
    }
}
