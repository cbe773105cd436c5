//! Headers and sources, stubs and sources, parts of one type: several places that declare the same thing. Each
//! comment is checked where it stands; the thing is asked and counted once, and an entry at either place pays.

use std::hash::{DefaultHasher, Hash, Hasher};

use foldhash::HashMap;
use serde::{Deserialize, Serialize};
use smol_str::{SmolStr, format_smolstr};

use super::facts;
use super::project::Family;
use crate::model::{
    CommentId, DeclId, Declaration, DocComment, Elsewhere, EntryKind, Name, Outline, Parts, Said, Surface,
};
use crate::reading::{Half, Halves, Language, headed_subject};
use crate::text::{Source, narrow};

/// What a file declares that its other half may declare as well.
#[derive(Clone, Debug, Default, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct HalfFacts {
    /// What the paths of both halves have in common, and which of the two this file is.
    pub of: Option<(SmolStr, Half)>,
    /// What is declared.
    pub declared: Vec<SharedFacts>,
    /// Names that comments are headed by which stand on nothing here: they describe what is declared elsewhere.
    pub headed: Vec<SmolStr>,
}

/// One thing that may be declared twice.
#[derive(Clone, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct SharedFacts {
    /// Owners and name, joined by dots.
    pub qualified: SmolStr,
    /// How many parameters it takes; nothing for what is not called.
    pub arity: Option<u32>,
    /// What a header calls the parameters, by which its callers know them; empty where one has no name.
    pub names: Vec<SmolStr>,
    /// What its comment says, where it has one.
    pub said: Option<Box<Said>>,
}

/// Reads off what the comment of a declaration says.
pub(super) fn said(doc: Option<&DocComment>) -> Said {
    let Some(doc) = doc else { return Said::default() };
    let names = |kind: EntryKind| -> Vec<Name> {
        doc.entries_of(kind).flat_map(|entry| &entry.names).map(|name| name.name.clone()).collect()
    };
    Said {
        params: names(EntryKind::Param),
        typeparams: names(EntryKind::TypeParam),
        throws: names(EntryKind::Throws),
        returns: doc.has(EntryKind::Returns) || doc.has(EntryKind::Yields),
    }
}

/// Reads off what other files may declare as well.
pub(super) fn tell<'d>(
    (outline, source): (&Outline, &Source),
    language: &Language,
    path: &str,
    doc: &dyn Fn(DeclId) -> Option<&'d DocComment>,
) -> HalfFacts {
    let Some((common, half)) = language.halves.of(path) else { return HalfFacts::default() };
    let shared = outline.ids().filter(|&id| is_shared(outline.declaration(id), language.halves));
    let declared = shared.map(|id| {
        let declaration = outline.declaration(id);
        let documented = declaration.comment.doc.is_some();
        let is_header = half == Half::Leading && matches!(language.halves, Halves::Headers(_));
        SharedFacts {
            qualified: declaration.qualified.clone(),
            arity: facts::arity(declaration),
            names: if is_header { names_of(declaration) } else { Vec::new() },
            said: documented.then(|| Box::new(said(doc(id)))),
        }
    });
    let headed = match language.halves {
        Halves::Headers(_) => headed(outline, source),
        Halves::None | Halves::Stubs(_) => Vec::new(),
    };
    HalfFacts { of: Some((SmolStr::new(common), half)), declared: declared.collect(), headed }
}

/// Returns the names of all parameters; nothing where one has none.
fn names_of(declaration: &Declaration) -> Vec<SmolStr> {
    let parameters = declaration.signature.parameters.iter();
    let names: Option<Vec<SmolStr>> =
        parameters.map(|parameter| Some(SmolStr::new(parameter.named()?.as_str()))).collect();
    names.unwrap_or_default()
}

/// Returns the names that comments are headed by which stand on nothing, without signs in front.
fn headed(outline: &Outline, source: &Source) -> Vec<SmolStr> {
    let free = outline.comments.iter().enumerate().filter(|(_, comment)| comment.doc && !comment.attached);
    let subjects = free.filter_map(|(at, _)| headed_subject(outline, source, CommentId(narrow(at))));
    subjects.map(|name| SmolStr::new(name.trim_start_matches('_'))).collect()
}

/// Tells whether another file may declare it too, as far as linkage goes.
fn is_shared(declaration: &Declaration, halves: Halves) -> bool {
    let (kind, seen) = (declaration.kind, declaration.surface != Surface::Private);
    match halves {
        Halves::None => false,
        Halves::Headers(_) => seen && kind.is_callable() && !declaration.unasked,
        // Of a stub alone nothing is asked.
        Halves::Stubs(_) => seen && (kind.is_callable() || kind.is_type()),
    }
}

/// A place that declares something.
#[derive(Debug)]
struct Place {
    file: u32,
    half: Half,
    names: Vec<SmolStr>,
    said: Option<Box<Said>>,
}

/// What is told of a place: its path, whether it leads, its names and what its comment says.
type ToldPlace = (SmolStr, bool, Vec<SmolStr>, Option<Box<Said>>);

/// What is the same at several places: what their paths have in common, the qualified name, the number of parameters.
type Key = (SmolStr, SmolStr, Option<u32>);

/// All places that may declare the same thing.
#[derive(Debug, Default)]
pub(super) struct Places {
    places: HashMap<Key, Vec<Place>>,
    /// Names that comments are headed by, each with the files that have such a comment.
    headed: HashMap<SmolStr, Vec<u32>>,
    has_headers: bool,
}

impl Places {
    /// Takes what a file tells.
    pub(super) fn take(&mut self, file: u32, facts: HalfFacts) {
        let Some((common, half)) = facts.of else { return };
        self.has_headers |= half == Half::Leading && common.is_empty();
        for name in facts.headed {
            self.headed.entry(name).or_default().push(file);
        }
        for shared in facts.declared {
            let key = (common.clone(), shared.qualified, shared.arity);
            self.places.entry(key).or_default().push(Place {
                file,
                half,
                names: shared.names,
                said: shared.said,
            });
        }
    }

    /// Drops what only one half declares.
    pub(super) fn settle(&mut self) {
        self.places.retain(|_, places| places.iter().any(|place| place.half != places[0].half));
        self.places.shrink_to_fit();
    }

    /// Hashes all that it tells: what is declared in both halves, and whether there are headers at all.
    pub(super) fn digest(&self, family: &Family) -> u64 {
        let told = |(key, places): (&'_ Key, &'_ Vec<Place>)| {
            let mut places: Vec<ToldPlace> = places
                .iter()
                .map(|place| {
                    let path = SmolStr::new(family.path(place.file));
                    (path, place.half == Half::Leading, place.names.clone(), place.said.clone())
                })
                .collect();
            // Of equals in one file the order is the file's.
            places.sort_by(|one, other| (&one.0, one.1).cmp(&(&other.0, other.1)));
            (key.clone(), places)
        };
        let mut all: Vec<_> = self.places.iter().map(told).collect();
        all.sort_by(|(one, _), (other, _)| one.cmp(other));
        let place = |(name, files): (&SmolStr, &Vec<u32>)| (name.clone(), first_of(files, family));
        let mut headed: Vec<_> = self.headed.iter().map(place).collect();
        headed.sort();
        let mut hash = DefaultHasher::new();
        (self.has_headers, all, headed).hash(&mut hash);
        hash.finish()
    }

    /// Notes where else the declarations of a file are declared, and how far the header lets them be seen.
    pub(super) fn apply(&self, outline: &mut Outline, language: &Language, (family, path): (&Family, &str)) {
        let Some((common, half)) = language.halves.of(path) else { return };
        let headers = matches!(language.halves, Halves::Headers(_));
        let common = SmolStr::new(common);
        for declaration in &mut outline.declarations {
            if headers && !self.has_headers && declaration.surface == Surface::Package {
                // Without headers, what can be linked is what callers have.
                declaration.surface = Surface::Public;
            }
            // Whatever the kind, a comment that is headed by its name describes it.
            let bare = declaration.name.as_str().trim_start_matches('_');
            let files = self.headed.get(bare).filter(|_| headers && declaration.comment.doc.is_none());
            if let Some(files) = files {
                let counted_at = format_smolstr!("{}#{}", first_of(files, family), declaration.qualified);
                let elsewhere = Elsewhere { counted_at: Some(counted_at), ..Elsewhere::default() };
                declaration.elsewhere = Some(Box::new(elsewhere));
                continue;
            }
            if !is_shared(declaration, language.halves) {
                continue;
            }
            let key = (common.clone(), declaration.qualified.clone(), facts::arity(declaration));
            let Some(places) = self.places.get(&key) else { continue };
            let own_documented = declaration.comment.doc.is_some();
            if headers && half == Half::Following && own_documented && declaration.surface == Surface::Package
            {
                declaration.surface = Surface::Public;
            }
            declaration.elsewhere =
                elsewhere((half, own_documented), places, (family, &declaration.qualified));
            if !headers && own_documented && half == Half::Following {
                declaration.unasked = false;
            }
        }
    }
}

/// Returns the path that comes first.
fn first_of(files: &[u32], family: &Family) -> SmolStr {
    files.iter().map(|&file| family.path(file)).min().map_or_else(SmolStr::default, SmolStr::new)
}

/// Works out what the other half of a declaration means for this one.
fn elsewhere(
    (half, own_documented): (Half, bool),
    places: &[Place],
    (family, qualified): (&Family, &str),
) -> Option<Box<Elsewhere>> {
    let other = || places.iter().filter(|place| place.half != half);
    let documented = other().find(|place| place.said.is_some());
    // Where only one of the two has a comment, that one is asked and counted; else the leading one.
    let leads = match (own_documented, documented.is_some()) {
        (true, false) => true,
        (false, true) => false,
        (true, true) | (false, false) => half == Half::Leading,
    };
    let counted_at = (!leads).then(|| {
        let place = documented.or_else(|| other().next());
        place.map(|place| format_smolstr!("{}#{qualified}", family.path(place.file)))
    });
    // Which of several comments speaks of this one is not known.
    let only = places.len() == 2;
    let said = documented.filter(|_| only).and_then(|place| place.said.as_deref().cloned());
    let counted_at = counted_at.flatten();
    let said = said.unwrap_or_default();
    let names = other().next().filter(|_| only).map_or_else(Vec::new, |place| place.names.clone());
    let tells = counted_at.is_some() || said != Said::default() || !names.is_empty();
    tells.then(|| Box::new(Elsewhere { counted_at, said, names }))
}

/// Notes which of the parts of a type is asked and counted: the first with a comment, by path, or else the first.
pub(super) fn join_parts(outline: &mut Outline, (family, path): (&Family, &str)) {
    let mut seen: Vec<SmolStr> = Vec::new();
    for at in 0..outline.declarations.len() {
        let declaration = &outline.declarations[at];
        if declaration.parts == Parts::One {
            continue;
        }
        let qualified = declaration.qualified.clone();
        let documented = declaration.comment.doc.is_some();
        let parts = family.parts(&qualified);
        let Some(&(first, first_documented)) =
            parts.iter().min_by_key(|(place, documented)| (!documented, *place))
        else {
            continue;
        };
        // Of the parts in one file, the first that is like the one that counts.
        let counts = first == path && documented == first_documented && !seen.contains(&qualified);
        if counts {
            seen.push(qualified);
        } else {
            let counted_at = Some(format_smolstr!("{first}#{qualified}"));
            let elsewhere = Elsewhere { counted_at, ..Elsewhere::default() };
            outline.declarations[at].elsewhere = Some(Box::new(elsewhere));
        }
    }
}
