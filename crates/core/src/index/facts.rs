//! What one file tells the project: compact, and without places, so that few edits change it.

use serde::{Deserialize, Serialize};
use smol_str::SmolStr;

use super::crates::DeclaredModule;
use super::halves::{self, HalfFacts};
use crate::model::{
    Answer, Body, DeclId, Declaration, DocComment, Excuse, Kind, ModuleLink, Name, Origin, Outline,
    Parameter, Parts, Receiver, Thrown,
};
use crate::reading::Language;
use crate::text::{Source, narrow};

/// What one file tells the project.
#[derive(Clone, Debug, Default, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct FileFacts {
    /// Its path, relative to the project.
    pub path: SmolStr,
    /// The languages that share their types with this file's.
    pub family: SmolStr,
    /// The types it declares, and those it extends.
    pub types: Vec<TypeFacts>,
    /// In languages with headers and with stubs, what other files may declare as well. Kept apart from the rest, since
    /// most of it concerns no other file.
    #[serde(skip)]
    pub half: HalfFacts,
    /// What it takes from other modules, where the package names its entries.
    pub links: Vec<ModuleLink>,
    /// Members that stand outside of what they are members of, each behind the name of that type.
    pub outside: Vec<(SmolStr, SmolStr)>,
    /// The modules that it says other files to be (Rust).
    pub modules: Vec<DeclaredModule>,
    /// The package names it as an entry.
    pub is_entry: bool,
    /// What leaves each callable and what it calls, where that was wished for.
    pub flows: Vec<FlowFacts>,
}

/// What leaves a callable, and what it calls.
#[derive(Clone, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct FlowFacts {
    /// Owners and name, joined by dots.
    pub qualified: SmolStr,
    /// Types of exceptions that surely leave it, each with the line, from 1, that throws it.
    pub throws: Vec<(Name, u32)>,
    /// What it calls.
    pub calls: Vec<CallFacts>,
}

/// A call whose target may be known.
#[derive(Clone, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct CallFacts {
    /// What it is made on.
    pub receiver: Receiver,
    /// The name of what is called.
    pub name: Name,
    /// The types that handlers around it catch.
    pub caught: Vec<Name>,
}

/// A type as other files may know it.
#[derive(Clone, Debug, Default, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct TypeFacts {
    /// Its name.
    pub name: SmolStr,
    /// Owners inside the file and the name, joined by dots.
    pub qualified: SmolStr,
    /// Direct supertypes by simple name.
    pub supertypes: Vec<SmolStr>,
    /// What it has that a subtype may override.
    pub members: Vec<MemberFacts>,
    /// The values of an enumeration, in order.
    pub values: Vec<SmolStr>,
    /// It has a doc comment.
    pub documented: bool,
    /// Whether all of it stands in one place.
    pub parts: Parts,
    /// It is an interface: what it has is there for others to have as well.
    pub is_interface: bool,
    /// Only what an extension adds to it is known here.
    pub is_extension: bool,
}

/// A member of a type.
#[derive(Clone, Debug, Default, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct MemberFacts {
    /// Its name.
    pub name: SmolStr,
    /// How many parameters it takes; nothing for what is not called.
    pub arity: Option<u32>,
    /// It has a doc comment.
    pub documented: bool,
}

/// Returns how many parameters a member takes; nothing for what is not called.
pub(super) fn arity(declaration: &Declaration) -> Option<u32> {
    declaration.kind.is_callable().then(|| narrow(declaration.signature.parameters.len()))
}

/// Returns the members that a type's comment says it has: `@method Load weigh(int $attempts) how it weighs`.
fn members_by_tag(source: &Source, doc: &DocComment) -> Vec<MemberFacts> {
    let methods = doc.marks.iter().filter(|mark| mark.name == "method");
    let heads = methods.filter_map(|mark| {
        let rest = &source.text()[mark.span.end as usize..];
        let line = rest.split('\n').next().unwrap_or_default();
        let (head, _) = line.split_once('(')?;
        head.rsplit(|c: char| c.is_whitespace() || c == '&').next().filter(|name| !name.is_empty())
    });
    heads.map(|name| MemberFacts { name: SmolStr::new(name), arity: None, documented: true }).collect()
}

/// Reads the facts of a file off its outline.
#[must_use]
pub fn tell<'d>(
    outline: &Outline,
    language: &Language,
    source: &Source,
    doc: &dyn Fn(DeclId) -> Option<&'d DocComment>,
) -> FileFacts {
    let path = source.path();
    let mut types: Vec<TypeFacts> = Vec::new();
    let mut place: Vec<Option<usize>> = vec![None; outline.declarations.len()];
    for (at, declaration) in outline.declarations.iter().enumerate() {
        if declaration.kind.is_type() || !declaration.supertypes.is_empty() {
            place[at] = Some(types.len());
            let written = doc(DeclId(narrow(at))).map(|doc| members_by_tag(source, doc)).unwrap_or_default();
            types.push(TypeFacts {
                members: written,
                name: SmolStr::new(declaration.name.as_str()),
                qualified: declaration.qualified.clone(),
                supertypes: declaration.supertypes.iter().map(|name| SmolStr::new(name.as_str())).collect(),
                documented: declaration.comment.doc.is_some(),
                // What an alias stands for has its members elsewhere.
                parts: match declaration.kind {
                    Kind::TypeAlias => Parts::Several,
                    _ => declaration.parts,
                },
                is_interface: declaration.kind == Kind::Interface,
                ..TypeFacts::default()
            });
            continue;
        }
        // What a constructor puts on its object is the type's.
        let mut around = declaration.owner;
        while let Some(id) = around.filter(|id| place[id.0 as usize].is_none()) {
            around = outline.declaration(id).owner;
        }
        let owner = around.and_then(|owner| place[owner.0 as usize]);
        let Some(owner) = owner.map(|at| &mut types[at]) else { continue };
        let name = SmolStr::new(declaration.name.as_str());
        if declaration.kind == Kind::EnumMember {
            owner.values.push(name);
        } else if declaration.kind != Kind::Constructor {
            let documented = declaration.comment.doc.is_some();
            owner.members.push(MemberFacts { name, arity: arity(declaration), documented });
        }
    }
    let outside = if language.member_links.is_some() { outside(outline) } else { Vec::new() };
    for extension in outline.extensions.iter().filter(|extension| !extension.supertypes.is_empty()) {
        let name = extension.qualified.rsplit('.').next().unwrap_or_default();
        types.push(TypeFacts {
            name: SmolStr::new(name),
            qualified: extension.qualified.clone(),
            supertypes: extension.supertypes.iter().map(|name| SmolStr::new(name.as_str())).collect(),
            is_extension: true,
            ..TypeFacts::default()
        });
    }
    FileFacts {
        path: SmolStr::new(path),
        family: SmolStr::new_static(language.family),
        types,
        half: halves::tell((outline, source), language, path, doc),
        links: outline.links.clone(),
        modules: declared_modules(outline, language),
        outside,
        is_entry: false,
        flows: if outline.calls.is_empty() { Vec::new() } else { flows(outline, source) },
    }
}

/// Reads off what stands outside of the type that it is a member of.
fn outside(outline: &Outline) -> Vec<(SmolStr, SmolStr)> {
    let of_type = |declaration: &Declaration| {
        let (around, name) = declaration.qualified.rsplit_once('.')?;
        let inside = declaration.owner.is_some_and(|owner| outline.declaration(owner).kind.is_type());
        let ty = around.rsplit('.').next().filter(|_| !inside)?;
        Some((SmolStr::new(ty), SmolStr::new(name)))
    };
    // What a primary constructor takes may be a property as well.
    let types = outline.declarations.iter().filter(|declaration| declaration.kind.is_type());
    let taken = types.flat_map(|ty| {
        let names = ty.signature.parameters.iter().filter_map(Parameter::named);
        names.map(|name| (SmolStr::new(ty.name.as_str()), SmolStr::new(name.as_str())))
    });
    outline.declarations.iter().filter_map(of_type).chain(taken).collect()
}

/// Reads off which modules other files are.
fn declared_modules(outline: &Outline, language: &Language) -> Vec<DeclaredModule> {
    if !language.files_are_modules {
        return Vec::new();
    }
    let modules = outline.declarations.iter().filter(|declaration| {
        declaration.kind == Kind::Module && declaration.owner.is_none() && declaration.body == Body::Absent
    });
    // `#[path = "scale.rs"]` names another file than the module's, and each configuration may name one of its own.
    let files_of = |module: &Declaration| {
        let named = outline.links.iter().filter_map(|link| match link {
            ModuleLink::Alias { given, local } if module.name == local.as_str() => Some(given.clone()),
            _ => None,
        });
        named.chain([SmolStr::new(module.name.as_str())]).collect::<Vec<_>>()
    };
    let declared = modules.flat_map(|module| {
        files_of(module).into_iter().map(|name| DeclaredModule {
            name,
            surface: module.surface,
            tests: module.excuses.contains(&Excuse::Tests),
            hidden: module.hidden,
        })
    });
    declared.collect()
}

/// Reads off what leaves each callable and what it calls.
fn flows(outline: &Outline, source: &Source) -> Vec<FlowFacts> {
    let mut calls: Vec<Vec<CallFacts>> = vec![Vec::new(); outline.declarations.len()];
    for call in &outline.calls {
        let (receiver, name) = (call.receiver.clone(), call.name.clone());
        calls[call.caller.0 as usize].push(CallFacts { receiver, name, caught: call.caught.clone() });
    }
    let callables =
        outline.declarations.iter().zip(calls).filter(|(declaration, _)| declaration.kind.is_callable());
    let flow = |(declaration, calls): (&Declaration, Vec<CallFacts>)| {
        let leaves = |thrown: &&Thrown| {
            thrown.leaves == Answer::Yes
                && !thrown.exempt
                && matches!(thrown.origin, Origin::Declared | Origin::Body)
        };
        let throws = declaration.signature.throws.iter().filter(leaves);
        FlowFacts {
            qualified: declaration.qualified.clone(),
            throws: throws.map(|thrown| (thrown.ty.clone(), source.line(thrown.span.start))).collect(),
            calls,
        }
    };
    callables.map(flow).collect()
}
