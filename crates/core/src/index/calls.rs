//! Exceptions on their way through calls: which reach a callable from what it calls, and by which path.
//!
//! A call is followed where exactly one callable of the project can be meant. The types known to leave each
//! callable grow until nothing new arrives, so that cycles end.

use foldhash::HashMap;
use smol_str::SmolStr;

use super::Family;
use super::facts::{CallFacts, FlowFacts};
use crate::model::{Answer, Name, Origin, Outline, Receiver, Thrown};
use crate::reading::{Hierarchy, Language};
use crate::text::narrow;

/// A type that leaves a callable.
#[derive(Clone, Debug)]
struct Escape {
    ty: Name,
    /// The callables that it comes through, this one first; the last throws it.
    path: Vec<u32>,
    /// The line, from 1, that throws it, in the last one's file.
    line: u32,
}

/// A call from one callable to another.
#[derive(Debug)]
struct Edge {
    caller: u32,
    caught: Vec<Name>,
}

/// Paths longer than this say nothing more to anybody.
const LONGEST: usize = 8;

/// All callables of a family with what leaves them.
#[derive(Debug, Default)]
pub(super) struct CallGraph {
    flows: Vec<(u32, FlowFacts)>,
    by_name: HashMap<SmolStr, Vec<u32>>,
    escapes: Vec<Vec<Escape>>,
}

fn last(qualified: &str) -> &str {
    qualified.rsplit('.').next().unwrap_or(qualified)
}

fn owner(qualified: &str) -> &str {
    qualified.rsplit_once('.').map_or("", |(owner, _)| owner)
}

impl CallGraph {
    /// Takes in what a file tells.
    pub(super) fn take(&mut self, file: u32, flows: Vec<FlowFacts>) {
        for flow in flows {
            let number = narrow(self.flows.len());
            self.by_name.entry(SmolStr::new(last(&flow.qualified))).or_default().push(number);
            self.flows.push((file, flow));
        }
    }

    /// Finds the one callable that a call in `caller` can mean.
    fn target(&self, family: &Family, (file, caller): (u32, &str), call: &CallFacts) -> Option<u32> {
        let named = |name: &str| self.by_name.get(name).map(Vec::as_slice).unwrap_or_default();
        let of =
            |number: u32| (self.flows[number as usize].0, self.flows[number as usize].1.qualified.as_str());
        let only = |mut found: Box<dyn Iterator<Item = u32> + '_>| {
            let first = found.next()?;
            found.next().is_none().then_some(first)
        };
        let name = call.name.as_str();
        let own = owner(caller);
        match &call.receiver {
            Receiver::Own => only(Box::new(
                named(name).iter().copied().filter(|&n| of(n).0 == file && owner(of(n).1) == own),
            )),
            Receiver::Type(ty) => {
                let ty = family.only_type(ty.as_str())?;
                only(Box::new(named(name).iter().copied().filter(move |&n| owner(of(n).1) == ty)))
            }
            Receiver::Made => self.constructor(family, name),
            Receiver::None => {
                let local: Vec<u32> = named(name)
                    .iter()
                    .copied()
                    .filter(|&n| of(n).0 == file && (owner(of(n).1).is_empty() || owner(of(n).1) == own))
                    .collect();
                match local.as_slice() {
                    [one] => Some(*one),
                    // What is made without a word for it is made by the type's name.
                    [] => self.constructor(family, name).or_else(|| {
                        only(Box::new(named(name).iter().copied())).filter(|&n| owner(of(n).1).is_empty())
                    }),
                    _ => None,
                }
            }
            Receiver::Other => None,
        }
    }

    fn constructor(&self, family: &Family, ty: &str) -> Option<u32> {
        let qualified = family.only_type(ty)?;
        let names = [ty, "__init__", "constructor", "init", "__construct", "initialize"];
        let mut found = names
            .iter()
            .filter_map(|name| self.by_name.get(*name))
            .flatten()
            .copied()
            .filter(|&number| owner(&self.flows[number as usize].1.qualified) == qualified);
        let first = found.next()?;
        found.next().is_none().then_some(first)
    }

    /// Works out what leaves every callable.
    pub(super) fn settle(&mut self, family: &Family) {
        if self.flows.is_empty() {
            return;
        }
        let mut callers: Vec<Vec<Edge>> = Vec::new();
        callers.resize_with(self.flows.len(), Vec::new);
        for (number, (file, flow)) in self.flows.iter().enumerate() {
            for call in &flow.calls {
                let Some(target) = self.target(family, (*file, &flow.qualified), call) else { continue };
                if target as usize != number {
                    callers[target as usize]
                        .push(Edge { caller: narrow(number), caught: call.caught.clone() });
                }
            }
        }
        let own = |(number, (_, flow)): (usize, &(u32, FlowFacts))| {
            let mut out: Vec<Escape> = Vec::new();
            for (ty, line) in &flow.throws {
                if !out.iter().any(|escape| escape.ty == *ty) {
                    out.push(Escape { ty: ty.clone(), path: vec![narrow(number)], line: *line });
                }
            }
            out
        };
        self.escapes = self.flows.iter().enumerate().map(own).collect();
        let mut open: Vec<u32> = (0..narrow(self.flows.len())).collect();
        while let Some(number) = open.pop() {
            let leaving = self.escapes[number as usize].clone();
            for edge in &callers[number as usize] {
                let known = &mut self.escapes[edge.caller as usize];
                let before = known.len();
                for escape in &leaving {
                    let is_new = !known.iter().any(|other| other.ty == escape.ty);
                    // What a handler may catch is nobody's business here.
                    if is_new && edge.caught.is_empty() && escape.path.len() < LONGEST {
                        let path = std::iter::once(edge.caller).chain(escape.path.iter().copied()).collect();
                        known.push(Escape { path, ..escape.clone() });
                    }
                }
                if known.len() > before {
                    open.push(edge.caller);
                }
            }
        }
    }

    /// Adds to the callables of a file what reaches them from what they call.
    pub(super) fn pass_on(
        &self,
        outline: &mut Outline,
        language: &Language,
        (family, path): (&Family, &str),
    ) {
        let Some(file) = family.number(path).filter(|_| !self.flows.is_empty()) else { return };
        for call in std::mem::take(&mut outline.calls) {
            let declaration = outline.declaration(call.caller);
            let facts =
                CallFacts { receiver: call.receiver.clone(), name: call.name.clone(), caught: Vec::new() };
            let Some(target) = self.target(family, (file, &declaration.qualified), &facts) else { continue };
            let name = declaration.name.as_str().to_owned();
            for escape in &self.escapes[target as usize] {
                let signature = &mut outline.declarations[call.caller.0 as usize].signature;
                let known = signature.throws.iter().any(|thrown| thrown.ty == escape.ty);
                if known || is_caught(language.hierarchy, &escape.ty, &call.caught, family) {
                    continue;
                }
                signature.throws.push(Thrown {
                    ty: escape.ty.clone(),
                    span: call.span,
                    origin: Origin::Callee,
                    leaves: Answer::Yes,
                    exempt: false,
                    condition: None,
                    caught: Vec::new(),
                    via: Some(self.told(&name, escape, family)),
                });
            }
        }
    }

    fn told(&self, caller: &str, escape: &Escape, family: &Family) -> String {
        let mut out = format!("`{caller}`");
        for &number in &escape.path {
            out.push_str(&format!(" → `{}`", last(&self.flows[number as usize].1.qualified)));
        }
        let thrower = escape.path.last().map_or("", |&number| family.path(self.flows[number as usize].0));
        format!("{out} throws `{}` at {thrower}:{}", escape.ty, escape.line)
    }
}

/// Tells whether a handler catches a type, or may.
fn is_caught(hierarchy: &Hierarchy, ty: &Name, caught: &[Name], family: &Family) -> bool {
    caught.iter().any(|handler| hierarchy.is_subtype(ty.as_str(), handler.as_str(), family) != Answer::No)
}
