//! Writes the parts of a docstring in a notation.

use super::parts::{Group, Item, Part};
use crate::model::EntryKind;

/// A notation to be written, with what it is known by.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) enum Target {
    Rest,
    Google,
    Numpy,
    Epytext,
}

impl Target {
    pub(super) fn of(id: &str) -> Option<Self> {
        Some(match id {
            "rest" => Self::Rest,
            "google" => Self::Google,
            "numpy" => Self::Numpy,
            "epytext" => Self::Epytext,
            _ => return None,
        })
    }

    /// Fields, one below the other, in place of sections.
    fn has_fields(self) -> bool {
        matches!(self, Self::Rest | Self::Epytext)
    }
}

/// Makes text of what a notation has no form for, and tells of it: names of results, and lists of them.
pub(super) fn sayable(target: Target, mut parts: Vec<Part>) -> (Vec<Part>, Vec<String>) {
    let mut told = Vec::new();
    if target == Target::Numpy {
        return (parts, told);
    }
    let groups = parts.iter_mut().filter_map(|part| match part {
        Part::Entries(group) => Some(group),
        Part::Section(..) | Part::Text(_) | Part::Mark(..) => None,
    });
    for group in groups.filter(|group| matches!(group.kind, EntryKind::Returns | EntryKind::Yields)) {
        for item in &mut group.items {
            if !item.further.is_empty() {
                told.push("the single results were kept as a list".to_owned());
                item.text = std::mem::take(&mut item.further).iter().flat_map(listed).collect();
            } else if !item.names.is_empty() {
                let names = std::mem::take(&mut item.names).join(", ");
                told.push(format!("the name of what comes back, `{names}`, was kept as text"));
                match item.text.first_mut() {
                    Some(first) => *first = format!("{names}: {first}"),
                    None => item.text.push(names),
                }
            }
        }
    }
    (parts, told)
}

/// Writes one of several results as an item of a list.
fn listed(item: &Item) -> Vec<String> {
    let names = item.names.join(", ");
    let head = match (&item.ty, names.is_empty()) {
        (Some(ty), false) => format!("{names} ({ty})"),
        (Some(ty), true) => ty.clone(),
        (None, _) => names,
    };
    let mut out = match item.text.first() {
        Some(first) => vec![format!("- {head}: {first}")],
        None => vec![format!("- {head}")],
    };
    let rest = item.text.iter().skip(1);
    out.extend(rest.map(|line| if line.is_empty() { String::new() } else { format!("  {line}") }));
    out
}

/// Lines, and what could not be said in the notation and was kept as text.
pub(super) struct Written {
    pub(super) lines: Vec<String>,
    pub(super) losses: Vec<String>,
}

/// Writes parts; `step` is one step of indentation.
pub(super) fn write(target: Target, parts: &[Part], step: &str) -> Written {
    let mut writer = Writer { target, step, out: Vec::new(), losses: Vec::new() };
    if target.has_fields() {
        // Fields come last: what stands below them would be taken for part of the last.
        let (entries, rest): (Vec<&Part>, Vec<&Part>) =
            parts.iter().partition(|part| matches!(part, Part::Entries(_) | Part::Mark(..)));
        rest.iter().for_each(|part| writer.part(part));
        if !entries.is_empty() {
            writer.gap();
        }
        entries.iter().for_each(|part| writer.part(part));
    } else {
        for part in gathered(parts) {
            writer.part(&part);
        }
    }
    Written { lines: writer.out, losses: writer.losses }
}

/// Brings entries of one kind together where the first of them stands: fields may come in any order.
fn gathered(parts: &[Part]) -> Vec<Part> {
    let mut out: Vec<Part> = Vec::new();
    for part in parts {
        let Part::Entries(group) = part else {
            out.push(part.clone());
            continue;
        };
        let same = out.iter_mut().find_map(|found| match found {
            Part::Entries(found) if found.kind == group.kind && found.beside == group.beside => Some(found),
            _ => None,
        });
        match same {
            Some(found) => found.items.extend(group.items.iter().cloned()),
            None => out.push(Part::Entries(group.clone())),
        }
    }
    out
}

struct Writer<'s> {
    target: Target,
    step: &'s str,
    out: Vec<String>,
    losses: Vec<String>,
}

impl Writer<'_> {
    fn gap(&mut self) {
        if self.out.last().is_some_and(|line| !line.is_empty()) {
            self.out.push(String::new());
        }
    }

    fn indented(&mut self, lines: &[String], by: &str) {
        for line in lines {
            self.out.push(if line.is_empty() { String::new() } else { format!("{by}{line}") });
        }
    }

    fn part(&mut self, part: &Part) {
        match part {
            Part::Entries(group) if self.target.has_fields() => self.fields(group),
            Part::Entries(group) => self.section_of(group),
            Part::Text(lines) => {
                self.gap();
                self.indented(lines, "");
            }
            Part::Section(title, lines) => self.section(title, lines),
            Part::Mark(name, lines) => self.mark(name, lines),
        }
    }

    fn section(&mut self, title: &str, lines: &[String]) {
        self.gap();
        let step = self.step.to_owned();
        match self.target {
            Target::Numpy => {
                self.out.push(title.to_owned());
                self.out.push("-".repeat(title.chars().count()));
                self.indented(lines, "");
            }
            Target::Google | Target::Epytext => {
                self.out.push(format!("{title}:"));
                self.indented(lines, &step);
            }
            Target::Rest => {
                self.out.push(format!(".. rubric:: {title}"));
                self.out.push(String::new());
                self.indented(lines, "");
            }
        }
    }

    fn mark(&mut self, name: &str, lines: &[String]) {
        // Both notations with fields have the same ones; only their signs differ.
        let first = lines.first().map_or("", String::as_str);
        let changed = match self.target {
            Target::Epytext => first.strip_prefix(':').map(|rest| format!("@{rest}")),
            Target::Rest => first.strip_prefix('@').map(|rest| format!(":{rest}")),
            Target::Google | Target::Numpy => None,
        };
        let kept =
            changed.is_none() && !first.starts_with(if self.target == Target::Epytext { '@' } else { ':' });
        if !self.target.has_fields() {
            self.gap();
        }
        if !self.target.has_fields() || kept {
            self.losses.push(format!("the field `{name}` has no place and was kept as text"));
        }
        self.out.push(changed.unwrap_or_else(|| first.to_owned()));
        let step = self.step.to_owned();
        self.indented(lines.get(1..).unwrap_or_default(), &step);
    }

    fn fields(&mut self, group: &Group) {
        if let Some(heading) = group.beside.filter(|&heading| heading == "Other Parameters") {
            self.losses.push(format!("the heading `{heading}` has no place; its entries follow the others"));
        }
        for item in &group.items {
            self.field(group, item);
        }
    }

    fn field(&mut self, group: &Group, item: &Item) {
        let sign = if self.target == Target::Rest { ':' } else { '@' };
        let names = item.names.join(", ");
        let keyword = group.beside == Some("Keyword Args");
        let (tag, ty_tag) = match (group.kind, self.target) {
            (EntryKind::Param | EntryKind::TypeParam, _) if keyword => ("keyword", "type"),
            (EntryKind::Param | EntryKind::TypeParam, _) => ("param", "type"),
            (EntryKind::Returns, Target::Rest) => ("returns", "rtype"),
            (EntryKind::Returns, _) => ("return", "rtype"),
            (EntryKind::Yields, Target::Rest) => ("yields", "rtype"),
            (EntryKind::Yields, _) => ("yield", "rtype"),
            (EntryKind::Throws, Target::Rest) => ("raises", ""),
            (EntryKind::Throws, _) => ("raise", ""),
            (EntryKind::Property, _) => ("ivar", "type"),
        };
        let plain = |ty: &&String| !ty.contains([' ', ':', ',']);
        let inside = item.ty.as_ref().filter(|ty| {
            self.target == Target::Rest
                && group.kind == EntryKind::Param
                && item.names.len() == 1
                && plain(ty)
        });
        let mut head = format!("{sign}{tag}");
        for word in inside.into_iter().chain(Some(&names).filter(|names| !names.is_empty())) {
            head.push(' ');
            head.push_str(word);
        }
        head.push(':');
        let step = self.step.to_owned();
        let said = item.text.first().filter(|line| !line.is_empty());
        let alone = said.is_none()
            && item.ty.is_some()
            && matches!(group.kind, EntryKind::Returns | EntryKind::Yields);
        if !alone || group.kind == EntryKind::Yields {
            self.out.push(match said {
                Some(line) => format!("{head} {line}"),
                None => head,
            });
            self.indented(item.text.get(1..).unwrap_or_default(), &step);
        }
        let Some(ty) = item.ty.as_ref().filter(|_| inside.is_none()) else { return };
        match group.kind {
            EntryKind::Throws => {}
            EntryKind::Returns | EntryKind::Yields => self.out.push(format!("{sign}{ty_tag}: {ty}")),
            EntryKind::Param | EntryKind::TypeParam | EntryKind::Property => {
                for name in &item.names {
                    self.out.push(format!("{sign}{ty_tag} {name}: {ty}"));
                }
            }
        }
    }

    fn section_of(&mut self, group: &Group) {
        self.gap();
        let numpy = self.target == Target::Numpy;
        let title = match (group.kind, group.beside) {
            (EntryKind::Param | EntryKind::TypeParam, Some("Keyword Args")) if !numpy => "Keyword Args",
            (EntryKind::Param | EntryKind::TypeParam, Some(_)) => "Other Parameters",
            (EntryKind::Param | EntryKind::TypeParam, None) if numpy => "Parameters",
            (EntryKind::Param | EntryKind::TypeParam, None) => "Args",
            (EntryKind::Returns, _) => "Returns",
            (EntryKind::Yields, _) => "Yields",
            (EntryKind::Throws, _) => "Raises",
            (EntryKind::Property, _) => "Attributes",
        };
        if numpy && group.beside == Some("Keyword Args") {
            self.losses.push("the heading `Keyword Args` became `Other Parameters`".to_owned());
        }
        if numpy {
            self.out.push(title.to_owned());
            self.out.push("-".repeat(title.len()));
        } else {
            self.out.push(format!("{title}:"));
        }
        for item in &group.items {
            if numpy { self.numpy_item(group.kind, item) } else { self.google_item(group.kind, item) }
        }
    }

    fn numpy_item(&mut self, kind: EntryKind, item: &Item) {
        let names = item.names.join(", ");
        let step = self.step.to_owned();
        let head = match (&item.ty, names.is_empty()) {
            (Some(ty), false) if kind != EntryKind::Throws => format!("{names} : {ty}"),
            (Some(ty), true) => ty.clone(),
            (_, false) => names,
            (None, true) => {
                self.indented(&item.text, "");
                return;
            }
        };
        self.out.push(head);
        self.indented(&item.text, &step);
    }

    fn google_item(&mut self, kind: EntryKind, item: &Item) {
        let names = item.names.join(", ");
        let (step, deeper) = (self.step.to_owned(), self.step.repeat(2));
        let head = match (&item.ty, names.is_empty()) {
            (Some(ty), false) if kind != EntryKind::Throws => format!("{names} ({ty}):"),
            (_, false) => format!("{names}:"),
            (Some(ty), true) => format!("{ty}:"),
            (None, true) => String::new(),
        };
        let first = item.text.first().map_or("", String::as_str);
        let line =
            [head.as_str(), first].into_iter().filter(|part| !part.is_empty()).collect::<Vec<_>>().join(" ");
        if !line.is_empty() {
            self.out.push(format!("{step}{line}"));
        }
        let by = if head.is_empty() { step } else { deeper };
        self.indented(item.text.get(1..).unwrap_or_default(), &by);
    }
}
