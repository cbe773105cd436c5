//! The text that a member takes over from the one it overrides or implements.

use crate::model::{Carrier, DeclId, EntryKind, Name};
use crate::notations;
use crate::review::{FileReading, owner_of};
use crate::text::Span;

/// What a draft does where a supertype of the project describes the member already.
#[derive(Clone, Copy, Default)]
pub enum Inherit<'f> {
    /// Copies the text; the function reads another file of the project by its path.
    Copy(&'f ReadAnother<'f>),
    /// Writes the mark that takes the text over.
    Mark,
    /// Drafts as if nothing were described.
    #[default]
    None,
}

/// Reads another file of the project.
pub type ReadAnother<'f> = dyn Fn(&str) -> Option<FileReading<'f>> + Sync + 'f;

impl std::fmt::Debug for Inherit<'_> {
    fn fmt(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        out.write_str(match self {
            Self::Copy(_) => "Copy",
            Self::Mark => "Mark",
            Self::None => "None",
        })
    }
}

impl Inherit<'_> {
    /// Returns the lines of the comment that a declaration takes over; nothing when there is nothing to take.
    ///
    /// Fails with the reason where the notation has no mark for it.
    pub(super) fn lines(
        self,
        file: &FileReading<'_>,
        id: DeclId,
    ) -> Result<Option<Vec<String>>, &'static str> {
        let declaration = file.outline.declaration(id);
        let described = match self {
            Self::None => None,
            Self::Copy(_) | Self::Mark => owner_of(file, declaration)
                .and_then(|owner| file.known().overridden(owner, declaration, file.language))
                .filter(|member| member.documented),
        };
        let Some(described) = described else { return Ok(None) };
        let Self::Copy(read) = self else {
            let mark =
                notations::get(file.draft_notation()).and_then(|n| n.writer.inherits(file.language.dialect));
            return mark
                .map(|mark| Some(vec![mark.to_owned()]))
                .ok_or("its notation has no mark that takes over a comment; use --inherit copy");
        };
        let (base, names) = (described.owner, own_names(file, id));
        if described.path == file.source.path() {
            return Ok(copied(file, base, &declaration.name, &names));
        }
        let other = read(described.path).filter(|other| other.language.id == file.language.id);
        Ok(other.and_then(|other| copied(&other, base, &declaration.name, &names)))
    }
}

/// The names of the parameters, in order; nothing for those without.
fn own_names(file: &FileReading<'_>, id: DeclId) -> Vec<Option<Name>> {
    let parameters = file.outline.declaration(id).signature.parameters.iter();
    parameters.map(|parameter| parameter.named().cloned()).collect()
}

/// Copies the comment of the member of a type, its parameters renamed to those it has here.
fn copied(file: &FileReading<'_>, ty: &str, member: &Name, names: &[Option<Name>]) -> Option<Vec<String>> {
    let outline = &file.outline;
    let is_it = |&id: &DeclId| {
        let found = outline.declaration(id);
        found.name == *member
            && found.signature.parameters.len() == names.len()
            && found.owner.is_some_and(|owner| outline.declaration(owner).name == ty)
    };
    let base = outline.ids().filter(is_it).find(|&id| file.doc(id).is_some())?;
    let doc = file.doc(base).filter(|doc| !doc.blank && !doc.inherits)?;
    let raw = outline.comment(outline.declaration(base).comment.doc?);
    let parameters = &outline.declaration(base).signature.parameters;
    let mut renamed: Vec<(Span, &Name)> = Vec::new();
    for name in doc.entries_of(EntryKind::Param).flat_map(|entry| &entry.names) {
        let at = parameters.iter().position(|parameter| parameter.named() == Some(&name.name));
        if let Some(Some(own)) = at.map(|at| names[at].as_ref())
            && *own != name.name
        {
            renamed.push((name.span, own));
        }
    }
    let mut lines: Vec<String> = raw.lines.iter().map(|&line| with_names(file, line, &renamed)).collect();
    // What is said is escaped for what carries it there.
    let elsewhere = raw.carrier != file.language.carrier;
    let docstring = raw.carrier == Carrier::Docstring;
    if lines.iter().any(|line| (elsewhere && line.contains("*/")) || (docstring && line.contains('\\'))) {
        return None;
    }
    let skipped = usize::from(docstring);
    let indent = |line: &String| line.len() - line.trim_start().len();
    let common =
        lines.iter().skip(skipped).filter(|line| !line.trim().is_empty()).map(indent).min().unwrap_or(0);
    for (at, line) in lines.iter_mut().enumerate() {
        let cut = if at < skipped { indent(line) } else { common.min(indent(line)) };
        *line = line[cut..].trim_end().to_owned();
    }
    let first = lines.iter().position(|line| !line.is_empty())?;
    let last = lines.iter().rposition(|line| !line.is_empty())?;
    Some(lines.drain(first..=last).collect())
}

/// Returns a line with names replaced.
fn with_names(file: &FileReading<'_>, line: Span, renamed: &[(Span, &Name)]) -> String {
    let mut out = String::new();
    let mut at = line.start;
    for (span, name) in renamed.iter().filter(|(span, _)| line.start <= span.start && span.end <= line.end) {
        out.push_str(file.source.slice(Span::new(at, span.start)));
        out.push_str(name.as_str());
        at = span.end;
    }
    out.push_str(file.source.slice(Span::new(at, line.end)));
    out
}
