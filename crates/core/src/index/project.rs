//! The facts of all files, by family of languages, and the questions that they answer.

use foldhash::{HashMap, HashSet};
use smol_str::SmolStr;

use super::calls::CallGraph;
use super::crates::Crates;
use super::facts::{self, FileFacts, MemberFacts, TypeFacts};
use super::halves::{self, Places};
use super::modules::Modules;
use crate::model::{Declaration, Name, Outline, Parts};
use crate::reading::{Language, Types};
use crate::text::narrow;

/// The type that a member is of, whether or not its file declares it.
#[derive(Clone, Copy, Debug)]
pub struct Owner<'a> {
    /// The path of the member's file.
    pub path: &'a str,
    /// Owners and name of the type, joined by dots.
    pub qualified: &'a str,
    /// Its direct supertypes, as far as this file tells.
    pub supertypes: &'a [Name],
}

/// A member that a supertype has.
#[derive(Clone, Copy, Debug)]
pub struct Member<'i> {
    /// The supertype's name.
    pub owner: &'i str,
    /// The path of the file that declares it.
    pub path: &'i str,
    /// It has a doc comment.
    pub documented: bool,
}

/// What is known of the files of languages that share their types.
#[derive(Debug, Default)]
pub struct Family {
    paths: Vec<SmolStr>,
    numbers: HashMap<SmolStr, u32>,
    /// Each type with the file that declares it.
    types: Vec<(u32, TypeFacts)>,
    by_name: HashMap<SmolStr, Vec<u32>>,
    /// By the name of a type, the members that stand outside of it.
    outside: HashMap<SmolStr, Vec<SmolStr>>,
    halves: Places,
    modules: Modules,
    crates: Crates,
    calls: CallGraph,
}

/// The facts of all files.
#[derive(Debug, Default)]
pub struct Index {
    families: HashMap<SmolStr, Family>,
    nothing: Family,
}

impl Index {
    /// Gathers the facts of files.
    #[must_use]
    pub fn of(files: impl IntoIterator<Item = FileFacts>) -> Self {
        let mut out = Self::default();
        for file in files {
            out.families.entry(file.family.clone()).or_default().take(file);
        }
        for family in out.families.values_mut() {
            let mut calls = std::mem::take(&mut family.calls);
            calls.settle(family);
            family.calls = calls;
            family.halves.settle();
            family.modules.settle(&family.numbers, &family.paths);
            family.crates.settle(&family.numbers);
        }
        out
    }

    /// Hashes what the headers, sources and stubs of a family of languages tell each other: the same for the same files,
    /// in whatever order they were taken in.
    #[must_use]
    pub fn pairs_digest(&self, family: &str) -> u64 {
        self.families.get(family).map_or(0, |family| family.halves.digest(family))
    }

    /// Returns what is known of a language and those that share its types.
    #[must_use]
    pub fn family(&self, language: &Language) -> &Family {
        self.families.get(language.family).unwrap_or(&self.nothing)
    }
}

impl Family {
    fn take(&mut self, file: FileFacts) {
        let number = narrow(self.paths.len());
        self.numbers.insert(file.path.clone(), number);
        self.paths.push(file.path);
        self.halves.take(number, file.half);
        self.crates.take((number, &self.paths[number as usize]), file.modules, &file.links);
        self.modules.take(number, file.links, file.is_entry);
        self.calls.take(number, file.flows);
        for (ty, member) in file.outside {
            self.outside.entry(ty).or_default().push(member);
        }
        for facts in file.types {
            self.by_name.entry(facts.name.clone()).or_default().push(narrow(self.types.len()));
            self.types.push((number, facts));
        }
    }

    /// Returns the path of a file by its number.
    pub(super) fn path(&self, file: u32) -> &str {
        &self.paths[file as usize]
    }

    /// Returns the number of the file at a path.
    pub(super) fn number(&self, path: &str) -> Option<u32> {
        self.numbers.get(path).copied()
    }

    /// Tells whether exactly one type of the project has this name, parts of one taken together.
    pub(super) fn only_type(&self, name: &str) -> Option<&str> {
        let mut found = self.named(name);
        let (_, first) = found.next()?;
        found.all(|(_, other)| other.qualified == first.qualified).then_some(first.qualified.as_str())
    }

    fn named<'i>(&'i self, name: &str) -> impl Iterator<Item = (&'i str, &'i TypeFacts)> + use<'i> {
        let found = self.by_name.get(name).map(Vec::as_slice).unwrap_or_default();
        found.iter().map(|&at| {
            let (file, facts) = &self.types[at as usize];
            (self.paths[*file as usize].as_str(), facts)
        })
    }

    /// Tells whether the project declares a type of this name.
    #[must_use]
    pub fn has_type(&self, name: &str) -> bool {
        self.by_name.contains_key(name)
    }

    /// Tells whether the project declares a type of this name, and does not only extend it.
    #[must_use]
    pub fn has_type_itself(&self, name: &str) -> bool {
        self.named(name).any(|(_, facts)| !facts.is_extension)
    }

    /// Returns the paths of the files that declare a type of this name.
    pub fn places<'i>(&'i self, name: &str) -> impl Iterator<Item = &'i str> + use<'i> {
        self.named(name).map(|(path, _)| path)
    }

    /// Tells whether the project declares a type of this name in a namespace, or in another type, as it is written in front
    /// of the name.
    pub(crate) fn has_type_in(&self, (around, name): (&str, &str)) -> bool {
        self.named(name).any(|(_, facts)| {
            let outer = facts.qualified.strip_suffix(name).and_then(|outer| outer.strip_suffix('.'));
            outer
                .and_then(|outer| outer.strip_suffix(around))
                .is_some_and(|rest| rest.is_empty() || rest.ends_with('.'))
        })
    }

    /// Returns the values of an enumeration; nothing when there is none, or more than one, of this name.
    #[must_use]
    pub fn values(&self, name: &str) -> Option<&[SmolStr]> {
        let mut found = self.named(name);
        let (_, facts) = found.next()?;
        (found.next().is_none() && !facts.values.is_empty()).then_some(facts.values.as_slice())
    }

    /// Finds the member of a supertype that a member of `owner` overrides.
    ///
    /// Supertypes are looked for by simple name, however far up; each name is looked at once, since broken
    /// code has cycles. Where several types have the name, one that has the member counts.
    #[must_use]
    pub fn overridden(
        &self,
        owner: Owner<'_>,
        member: &Declaration,
        language: &Language,
    ) -> Option<Member<'_>> {
        Self::overridden_among(&self.supertypes_of(owner), member, language)
    }

    /// Returns all supertypes of `owner` that the project declares, however far up: the path of each, and what is known of it.
    #[must_use]
    pub fn supertypes_of(&self, owner: Owner<'_>) -> Vec<(&str, &TypeFacts)> {
        let mut out = Vec::new();
        self.each_supertype(owner, |path, supertype| {
            out.push((path, supertype));
            false
        });
        out
    }

    /// Finds the member that another overrides, among what [`Family::supertypes_of`] gives for the type of that.
    #[must_use]
    pub fn overridden_among<'i>(
        supertypes: &[(&'i str, &'i TypeFacts)],
        member: &Declaration,
        language: &Language,
    ) -> Option<Member<'i>> {
        supertypes.iter().find_map(|&(path, supertype)| {
            let same = same_member(supertype, member, language)?;
            Some(Member { owner: &supertype.name, path, documented: same.documented })
        })
    }

    /// Tells whether a member that stands outside of an interface, in an extension of it, is one that the interface asks for.
    #[must_use]
    pub fn asks_for(&self, qualified: &str, member: &Declaration, language: &Language) -> bool {
        let name = qualified.rsplit('.').next().unwrap_or_default();
        self.named(name).any(|(_, facts)| {
            facts.is_interface
                && facts.qualified == qualified
                && same_member(facts, member, language).is_some()
        })
    }

    /// Tells whether all supertypes of `owner`, however far up, are declared in the project.
    #[must_use]
    pub fn knows_supertypes(&self, owner: Owner<'_>) -> bool {
        let mut known = true;
        let own = owner.supertypes.iter().all(|name| self.has_type(name.as_str()));
        self.each_supertype(owner, |_, supertype| {
            known &= supertype.supertypes.iter().all(|name| self.has_type(name));
            !known
        });
        own && known
    }

    /// Tells the same, and that what inherits has nothing between it and its supertypes' names: a name means
    /// another type in another package.
    #[must_use]
    pub fn surely_knows_supertypes(&self, owner: Owner<'_>) -> bool {
        let folder = |path: &str| path.rsplit_once('/').map_or(0, |(folder, _)| folder.len());
        let mut sure = true;
        self.each_supertype(owner, |path, supertype| {
            let near = |place: &str| place[..folder(place)] == path[..folder(path)];
            sure &= supertype.supertypes.iter().all(|name| self.places(name).any(near));
            !sure
        });
        sure && self.knows_supertypes(owner)
    }

    /// Calls `each` with every supertype of `owner` that the project declares, until it says to stop.
    fn each_supertype<'i>(&'i self, owner: Owner<'_>, mut each: impl FnMut(&'i str, &'i TypeFacts) -> bool) {
        let is_owner = |facts: &TypeFacts| facts.qualified == owner.qualified;
        let mut open: Vec<&str> = owner.supertypes.iter().map(Name::as_str).collect();
        // Parts and extensions of a type may say what it inherits.
        let name = owner.qualified.rsplit('.').next().unwrap_or_default();
        for (_, part) in self.named(name).filter(|(_, facts)| is_owner(facts)) {
            open.extend(part.supertypes.iter().map(SmolStr::as_str));
        }
        let mut seen: HashSet<&str> = open.iter().copied().collect();
        while let Some(name) = open.pop() {
            for (place, supertype) in self.named(name) {
                if place == owner.path && is_owner(supertype) {
                    continue;
                }
                if each(place, supertype) {
                    return;
                }
                open.extend(
                    supertype.supertypes.iter().map(SmolStr::as_str).filter(|&name| seen.insert(name)),
                );
            }
        }
    }

    /// Applies what is known to the outline of a file: one of two comments answers for header and source, the
    /// header decides how far both can be seen, and handlers of the project's exceptions are understood.
    pub fn apply(&self, outline: &mut Outline, language: &Language, path: &str) {
        self.calls.pass_on(outline, language, (self, path));
        for declaration in &mut outline.declarations {
            language.hierarchy.settle(&mut declaration.signature.throws, self);
        }
        self.halves.apply(outline, language, (self, path));
        halves::join_parts(outline, (self, path));
        self.modules.apply(outline, self.number(path));
        self.crates.apply(outline, self.number(path), |name| self.nearest(name, path));
    }

    /// Finds of the files that declare a type the one that lies nearest to `path`: that is meant where several have one of the
    /// name.
    fn nearest(&self, name: &str, path: &str) -> Option<u32> {
        let shared = |place: &str| {
            path.split('/').zip(place.split('/')).take_while(|(one, other)| one == other).count()
        };
        let found = self.named(name).map(|(place, _)| place).max_by_key(|place| shared(place))?;
        self.number(found)
    }

    /// Returns the parts of a type: the path of each, and whether it has a comment.
    pub(super) fn parts(&self, qualified: &str) -> Vec<(&str, bool)> {
        let name = qualified.rsplit('.').next().unwrap_or_default();
        let parts =
            self.named(name).filter(|(_, facts)| facts.parts != Parts::One && facts.qualified == qualified);
        parts.map(|(path, facts)| (path, facts.documented)).collect()
    }
}

/// Finds the member of a type that another one has the name and as many parameters as.
fn same_member<'i>(ty: &'i TypeFacts, member: &Declaration, language: &Language) -> Option<&'i MemberFacts> {
    let arity = facts::arity(member);
    ty.members.iter().find(|found| {
        let named = match language.members_ignore_case {
            true => member.name.as_str().eq_ignore_ascii_case(&found.name),
            false => member.name == found.name.as_str(),
        };
        named && (!language.overloads || found.arity == arity || found.arity.is_none() != arity.is_none())
    })
}

impl Types for Family {
    fn supertypes(&self, name: &str) -> Option<Vec<&str>> {
        self.has_type(name)
            .then(|| self.named(name).flat_map(|(_, facts)| &facts.supertypes).map(SmolStr::as_str).collect())
    }
}

/// Whether a type has a member.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum Lookup {
    /// It has.
    Found,
    /// It surely has not; these are the members that it has.
    Absent(Vec<SmolStr>),
    /// The type, or one it inherits from, is not of this project, or several have its name.
    Unknown,
}

/// Members that enumerations have without declaring them (Java, Kotlin, PHP, Swift).
const OF_ENUMERATIONS: &[&str] = &[
    "values", "valueOf", "ordinal", "name", "compareTo", "getDeclaringClass", "entries", "cases", "from",
    "tryFrom", "value", "rawValue", "allCases",
];

impl Family {
    /// Tells whether the type of a simple name has a member, inherited ones included. `is_meant` tells whether the
    /// supertype that a file names by its simple name may be one of the project.
    #[must_use]
    pub fn member(&self, ty: &str, member: &str, is_meant: &dyn Fn(&str, &str) -> bool) -> Lookup {
        let mut found = self.named(ty);
        let Some((path, first)) = found.next() else { return Lookup::Unknown };
        // Parts of one type are one; others of the same name make it uncertain.
        let mut parts = 1;
        if found.inspect(|_| parts += 1).any(|(_, other)| other.qualified != first.qualified) {
            return Lookup::Unknown;
        }
        // The other parts of a lone one are made by a tool, or kept elsewhere.
        if first.parts == Parts::Several && parts == 1 {
            return Lookup::Unknown;
        }
        let supertypes: Vec<Name> = first.supertypes.iter().map(|name| Name::new(name)).collect();
        // `interface Scale extends press.Scale`: another one of the same name.
        if supertypes.iter().any(|name| name.as_str() == ty) {
            return Lookup::Unknown;
        }
        // Of enumerations the language declares some by itself.
        if !first.values.is_empty() && OF_ENUMERATIONS.contains(&member) {
            return Lookup::Found;
        }
        let owner = Owner { path, qualified: &first.qualified, supertypes: &supertypes };
        let mut meant = supertypes.iter().all(|name| is_meant(path, name.as_str()));
        self.each_supertype(owner, |path, supertype| {
            meant &= supertype.supertypes.iter().all(|name| is_meant(path, name));
            !meant
        });
        if !meant || !self.knows_supertypes(owner) {
            return Lookup::Unknown;
        }
        let mut names: Vec<SmolStr> = Vec::new();
        let mut take = |facts: &TypeFacts| {
            names.extend(facts.members.iter().map(|member| member.name.clone()));
            names.extend(facts.values.iter().cloned());
            names.extend(self.outside.get(&facts.name).into_iter().flatten().cloned());
        };
        self.named(ty).for_each(|(_, part)| take(part));
        self.each_supertype(owner, |_, supertype| {
            take(supertype);
            false
        });
        // What stands on the companion of a class goes by the name of the class.
        let companion = format!("{}.Companion", first.qualified);
        self.named("Companion")
            .filter(|(_, facts)| facts.qualified == companion)
            .for_each(|(_, facts)| take(facts));
        // Types inside it are members as well.
        let inner = format!("{}.{member}", first.qualified);
        let nested = self.named(member).any(|(_, facts)| facts.qualified == inner);
        if nested || names.iter().any(|name| name == member) { Lookup::Found } else { Lookup::Absent(names) }
    }
}
