//! Of which declarations a comment is asked.

use crate::text::{has_word, narrow};

use super::FileReading;
use crate::index::{Family, Owner, TypeFacts};
use crate::model::{DeclId, Declaration, DocComment, Excuse, Kind, Surface};
use crate::reading::MembersOf;
use crate::settings::Ask;

/// How a declaration stands to the review.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Standing {
    /// A comment is asked of it.
    Asked,
    /// It would be asked, and a sort it belongs to is excused.
    Excused(Excuse),
    /// Nothing is asked of it.
    NotAsked,
    /// It does not exist for the review.
    Skipped,
}

/// How all declarations of a file stand.
pub struct Standings {
    overriding: Vec<bool>,
    answered: Vec<bool>,
    standings: Vec<Standing>,
    surfaces: Vec<Surface>,
    excuses: Vec<Option<Excuse>>,
}

impl Standings {
    /// Works out how the declarations of a file stand; owners come before what they own.
    #[must_use]
    pub fn of(file: &FileReading<'_>) -> Self {
        let count = file.outline.declarations.len();
        let mut above = None;
        let overriding = file.outline.declarations.iter().map(|d| is_override(file, d, &mut above)).collect();
        let mut out = Self {
            overriding,
            answered: Vec::with_capacity(count),
            standings: Vec::with_capacity(count),
            surfaces: Vec::with_capacity(count),
            excuses: Vec::with_capacity(count),
        };
        let mut last_sibling: Vec<Option<usize>> = vec![None; count + 1];
        for (at, id) in file.outline.ids().enumerate() {
            let declaration = file.outline.declaration(id);
            let doc = file.doc(id);
            let owner = declaration.owner.map(|owner| owner.0 as usize);
            let surface = surface_of(declaration, doc, owner.map(|owner| out.surfaces[owner]));
            let excuse = excuse_of(file, declaration, out.overriding[at]);
            let hidden = declaration.hidden
                || doc.is_some_and(|doc| doc.hidden)
                || owner.is_some_and(|owner| out.standings[owner] == Standing::Skipped);
            let sibling = &mut last_sibling[owner.map_or(0, |owner| owner + 1)];
            let answered = (declaration.answered && (doc.is_none() || !declaration.kind.is_type()))
                || declaration.is_counted_elsewhere()
                || sibling.is_some_and(|before| {
                    answers(file, DeclId(narrow(before)), declaration, out.answered[before])
                })
                || is_told_of_above(file, id, declaration);
            *sibling = Some(at);
            out.answered.push(answered);
            out.standings.push(if hidden {
                Standing::Skipped
            } else if declaration.unasked
                || answered
                || !is_of_asked_sort(file, declaration.kind)
                || surface > file.settings.surface
            {
                Standing::NotAsked
            } else {
                excuse.map_or(Standing::Asked, Standing::Excused)
            });
            out.surfaces.push(surface);
            out.excuses.push(excuse);
        }
        out
    }

    /// Returns how a declaration stands.
    #[must_use]
    pub fn get(&self, id: DeclId) -> Standing {
        self.standings[id.0 as usize]
    }

    /// Returns the surface of a declaration, with what its comment says of it.
    #[must_use]
    pub fn surface(&self, id: DeclId) -> Surface {
        self.surfaces[id.0 as usize]
    }

    /// Tells whether a declaration overrides a member of a supertype, marked or not.
    #[must_use]
    pub fn overrides(&self, id: DeclId) -> bool {
        self.overriding[id.0 as usize]
    }

    /// Returns why nothing is asked of a declaration, where an excuse applies.
    #[must_use]
    pub fn excuse(&self, id: DeclId) -> Option<Excuse> {
        self.excuses[id.0 as usize]
    }

    /// Tells whether rules that ask for something may speak of a declaration's comment.
    #[must_use]
    pub fn is_asked(&self, file: &FileReading<'_>, id: DeclId) -> bool {
        self.surface(id) <= file.settings.surface
            && self.excuse(id).is_none()
            && self.get(id) != Standing::Skipped
    }

    /// Tells whether a comment can owe anything at all.
    #[must_use]
    pub fn owes(&self, file: &FileReading<'_>, id: DeclId, doc: &DocComment) -> bool {
        let declaration = file.outline.declaration(id);
        self.is_asked(file, id)
            && !(doc.inherits
                || declaration.computed_comment
                || declaration.is_counted_elsewhere()
                || declaration.overrides
                || declaration.signature.hidden)
            && !self.overriding[id.0 as usize]
    }
}

fn surface_of(declaration: &Declaration, doc: Option<&DocComment>, owner: Option<Surface>) -> Surface {
    let own = doc.and_then(|doc| doc.surface).unwrap_or(declaration.surface);
    owner.map_or(own, |owner| own.max(owner))
}

fn is_of_asked_sort(file: &FileReading<'_>, kind: Kind) -> bool {
    let sort = if kind.is_type() {
        Ask::Types
    } else if kind.is_callable() {
        Ask::Callables
    } else if kind == Kind::Property && file.language.untyped {
        // Where properties are written as functions, they are asked for like functions.
        Ask::Callables
    } else if kind.is_field() {
        Ask::Fields
    } else {
        return false;
    };
    file.settings.ask.contains(&sort)
}

/// An overload below a documented namesake is answered by it, and so are those directly below that one.
fn answers(file: &FileReading<'_>, before: DeclId, declaration: &Declaration, answered: bool) -> bool {
    let sibling = file.outline.declaration(before);
    let same = sibling.name == declaration.name
        && sibling.kind == declaration.kind
        && declaration.kind.is_callable();
    // An ordinary comment, or one out of its place, is reported once, and answers for all when it is mended.
    let to_be_mended = sibling.comment.misplaced.is_some() && declaration.comment.misplaced.is_none();
    same && declaration.comment.doc.is_none() && (sibling.comment.doc.is_some() || to_be_mended || answered)
}

/// What an interface is for is what its only method does, and its comment may speak of several by their names: where that is
/// the custom, it answers for them.
fn is_told_of_above(file: &FileReading<'_>, id: DeclId, declaration: &Declaration) -> bool {
    let Some(owner) = declaration.owner.filter(|_| file.language.interfaces_tell) else { return false };
    let is_interface = file.outline.declaration(owner).kind == Kind::Interface;
    let Some(doc) = file.doc(owner).filter(|_| is_interface && declaration.comment.doc.is_none()) else {
        return false;
    };
    let next = file.outline.declarations.get(id.0 as usize + 1);
    let is_alone = id.0 == owner.0 + 1 && next.is_none_or(|next| next.owner != Some(owner));
    is_alone || has_word(file.source.slice(doc.span), declaration.name.as_str())
}

fn excuse_of(file: &FileReading<'_>, declaration: &Declaration, overriding: bool) -> Option<Excuse> {
    let active = &file.settings.excuse;
    let own = declaration.excuses.iter().copied().find(|excuse| active.contains(excuse));
    own.or_else(|| (overriding && active.contains(&Excuse::Overrides)).then_some(Excuse::Overrides))
}

/// A type, and the supertypes that the project declares of it.
type Above<'f> = (Owner<'f>, Vec<(&'f str, &'f TypeFacts)>);

/// Marked, found in a supertype of the project, or a member of a well-known supertype. `above` is kept from one member of a
/// type to the next.
fn is_override<'f>(
    file: &'f FileReading<'_>,
    declaration: &'f Declaration,
    above: &mut Option<Above<'f>>,
) -> bool {
    if declaration.overrides {
        return true;
    }
    let member = matches!(declaration.kind, Kind::Method | Kind::Property);
    if !member {
        return false;
    }
    let Some(owner) = owner_of(file, declaration) else { return false };
    let arity = declaration.signature.parameters.len();
    // What an extension gives is what all that conform to its protocol have to have.
    let given = || {
        file.language.extensions_implement
            && declaration.owner.is_none()
            && file.known().asks_for(owner.qualified, declaration, file.language)
    };
    let called_back = || {
        let caller = (file.language.caller)(declaration, &file.source);
        caller.is_some_and(|ty| !file.known().has_type_itself(ty))
    };
    if given() || called_back() {
        return true;
    }
    let same =
        |of: &Owner<'_>| of.qualified == owner.qualified && std::ptr::eq(of.supertypes, owner.supertypes);
    let supertypes = match above {
        Some((of, supertypes)) if same(of) => supertypes,
        _ => &mut above.insert((owner, file.known().supertypes_of(owner))).1,
    };
    let inherits = |from: &str| {
        owner.supertypes.iter().any(|name| name == from)
            || supertypes.iter().any(|(_, above)| above.supertypes.iter().any(|name| name == from))
    };
    let well_known = file.language.well_known.iter().any(|&(supertype, name, parameters)| {
        declaration.name == name && parameters == arity && (supertype.is_empty() || inherits(supertype))
    });
    well_known
        || is_member_of(file.language.members_of, declaration.name.as_str(), inherits)
        || Family::overridden_among(supertypes, declaration, file.language).is_some()
}

/// Tells whether one of the types that are inherited has a member of this name.
fn is_member_of(members_of: MembersOf, name: &str, inherits: impl Fn(&str) -> bool) -> bool {
    let is_named = |member: &str| match member.strip_suffix('*') {
        Some(beginning) => name.starts_with(beginning),
        None => name == member,
    };
    let mut having = members_of.iter().filter(|(_, members)| members.iter().any(|member| is_named(member)));
    having.any(|(types, _)| types.iter().any(|ty| inherits(ty)))
}

/// Returns the type that a member is of, which another file may declare.
pub(crate) fn owner_of<'f>(file: &'f FileReading<'_>, member: &'f Declaration) -> Option<Owner<'f>> {
    let path = file.source.path();
    match member.owner.map(|owner| file.outline.declaration(owner)) {
        Some(owner) if owner.kind.is_type() => {
            Some(Owner { path, qualified: &owner.qualified, supertypes: &owner.supertypes })
        }
        Some(_) => None,
        None => {
            let (qualified, _) = member.qualified.rsplit_once('.')?;
            Some(Owner { path, qualified, supertypes: &[] })
        }
    }
}
