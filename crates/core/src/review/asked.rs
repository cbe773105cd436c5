//! Of which declarations a comment is asked.

use super::FileReading;
use crate::model::{DeclId, Declaration, DocComment, Excuse, Kind, Surface};
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
    standings: Vec<Standing>,
    surfaces: Vec<Surface>,
    excuses: Vec<Option<Excuse>>,
}

impl Standings {
    /// Works out how the declarations of a file stand; owners come before what they own.
    #[must_use]
    pub fn of(file: &FileReading<'_>) -> Self {
        let count = file.outline.declarations.len();
        let mut out = Self {
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
            let excuse = excuse_of(file, declaration);
            let hidden = doc.is_some_and(|doc| doc.hidden)
                || owner.is_some_and(|owner| out.standings[owner] == Standing::Skipped);
            let sibling = &mut last_sibling[owner.map_or(0, |owner| owner + 1)];
            let answered = (declaration.answered && (doc.is_none() || !declaration.kind.is_type()))
                || sibling.is_some_and(|before| answers(file, DeclId(narrow(before)), declaration, &out.standings));
            *sibling = Some(at);
            out.standings.push(if hidden {
                Standing::Skipped
            } else if declaration.unasked || answered || !is_of_asked_sort(file, declaration.kind) {
                Standing::NotAsked
            } else if surface > file.settings.surface {
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

    /// Returns why nothing is asked of a declaration, where an excuse applies.
    #[must_use]
    pub fn excuse(&self, id: DeclId) -> Option<Excuse> {
        self.excuses[id.0 as usize]
    }

    /// Tells whether rules that ask for something may speak of a declaration's comment.
    #[must_use]
    pub fn is_asked(&self, file: &FileReading<'_>, id: DeclId) -> bool {
        self.surface(id) <= file.settings.surface && self.excuse(id).is_none() && self.get(id) != Standing::Skipped
    }

    /// Tells whether a comment can owe anything at all.
    #[must_use]
    pub fn owes(&self, file: &FileReading<'_>, id: DeclId, doc: &DocComment) -> bool {
        let declaration = file.outline.declaration(id);
        self.is_asked(file, id)
            && !(doc.inherits || declaration.computed_comment || declaration.overrides || declaration.signature.hidden)
            && !is_override(file, declaration)
    }
}

fn narrow(at: usize) -> u32 {
    u32::try_from(at).unwrap_or(u32::MAX)
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

/// An overload directly below a documented namesake is answered by it.
fn answers(file: &FileReading<'_>, before: DeclId, declaration: &Declaration, standings: &[Standing]) -> bool {
    let sibling = file.outline.declaration(before);
    let same = sibling.name == declaration.name && sibling.kind == declaration.kind && declaration.kind.is_callable();
    let documented = sibling.comment.doc.is_some() || standings[before.0 as usize] == Standing::NotAsked && sibling.answered;
    same && declaration.comment.doc.is_none() && documented
}

fn excuse_of(file: &FileReading<'_>, declaration: &Declaration) -> Option<Excuse> {
    let active = &file.settings.excuse;
    let own = declaration.excuses.iter().copied().find(|excuse| active.contains(excuse));
    own.or_else(|| (active.contains(&Excuse::Overrides) && is_override(file, declaration)).then_some(Excuse::Overrides))
}

/// Marked, found in a supertype of this file, or a member of a well-known supertype.
fn is_override(file: &FileReading<'_>, declaration: &Declaration) -> bool {
    if declaration.overrides {
        return true;
    }
    let member = matches!(declaration.kind, Kind::Method | Kind::Property);
    let Some(owner) = declaration.owner.filter(|_| member) else { return false };
    let owner = file.outline.declaration(owner);
    if !owner.kind.is_type() {
        return false;
    }
    let arity = declaration.signature.parameters.len();
    let well_known = file.language.well_known.iter().any(|&(supertype, name, parameters)| {
        declaration.name == name
            && parameters == arity
            && (supertype.is_empty() || owner.supertypes.iter().any(|found| found == supertype))
    });
    well_known || inherited(file, owner, declaration, 0)
}

/// Looks for a member of the same name and arity in the supertypes that this file declares.
fn inherited(file: &FileReading<'_>, owner: &Declaration, member: &Declaration, depth: usize) -> bool {
    if depth > 16 || owner.supertypes.is_empty() {
        return false;
    }
    let arity = member.signature.parameters.len();
    file.outline.ids().any(|id| {
        let supertype = file.outline.declaration(id);
        let is_super = supertype.kind.is_type()
            && supertype.name_span != owner.name_span
            && owner.supertypes.contains(&supertype.name);
        is_super
            && (file.outline.declarations.iter().any(|other| {
                other.owner == Some(id)
                    && other.name == member.name
                    && other.kind == member.kind
                    && other.signature.parameters.len() == arity
            }) || inherited(file, supertype, member, depth + 1))
    })
}
