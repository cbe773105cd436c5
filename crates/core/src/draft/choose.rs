//! Chooses what is drafted: the comments that are missing, and those that lack something.

use std::collections::HashSet;

use smol_str::SmolStr;

use super::inherit::Inherit;
use crate::model::{DeclId, Kind, Misplaced, State};
use crate::proof::Code;
use crate::reading::{INSTRUCTION, Parsers};
use crate::review::{FileReading, Standing, Standings, review};
use crate::text::{Edit, Edits, Source};

/// Which declarations a draft is for, and how much of a comment that is there already it completes.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Extent {
    /// Only what the review would ask for.
    Owed,
    /// All that the signature has, as if everything were always owed.
    Everything,
}

/// Which comments a draft is for.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Only {
    /// Those that are missing, and those that lack something.
    Both,
    /// Those that are missing.
    Missing,
    /// Those that lack something.
    Partial,
}

/// A comment that was drafted or completed.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Drafted {
    /// The declaration it is for.
    pub declaration: DeclId,
    /// The changes, sorted and disjoint.
    pub edits: Vec<Edit>,
    /// The comment alone, as it will stand in the source, without the indentation of its first line.
    pub comment: String,
}

/// A declaration for which nothing could be written, with the reason.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Left {
    /// The declaration.
    pub declaration: DeclId,
    /// Why, and what to do.
    pub reason: &'static str,
}

/// What a draft came to.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Draft {
    /// Comments, in source order.
    pub drafted: Vec<Drafted>,
    /// Declarations that were left alone.
    pub left: Vec<Left>,
}

/// Drafts comments for all declarations of a file that are asked for one, and that the draft is about.
#[must_use]
pub fn draft_file(
    file: &FileReading<'_>,
    is_about: &dyn Fn(DeclId) -> bool,
    only: Only,
    inherit: Inherit<'_>,
) -> Draft {
    let standings = Standings::of(file);
    let waived = waived(file);
    let asked =
        file.outline.ids().filter(|id| !waived.contains(id) && is_about(*id)).filter(|&id| {
            match file.doc(id) {
                Some(_) => standings.is_asked(file, id),
                None => standings.get(id) == Standing::Asked,
            }
        });
    // What somebody has written for callers already is to be shown to them, not written again.
    let (written, asked): (Vec<DeclId>, Vec<DeclId>) =
        asked.partition(|&id| file.outline.declaration(id).comment.misplaced.is_some());
    let mut out = draft(file, &asked, (Extent::Owed, only), inherit);
    if only != Only::Partial {
        out.left.extend(written.into_iter().filter_map(|id| already_written(file, id)));
    }
    out
}

/// Tells why a declaration is left alone for which somebody has written already.
fn already_written(file: &FileReading<'_>, declaration: DeclId) -> Option<Left> {
    let reason = match file.outline.declaration(declaration).comment.misplaced? {
        Misplaced::Ordinary(_) => {
            "the comment above it reads like its description; make it one (`mend --rule comment.ordinary`)"
        }
        Misplaced::Detached(_) => {
            "a comment for it stands where readers drop it; move it (`mend --rule comment.detached`)"
        }
    };
    Some(Left { declaration, reason })
}

/// Returns the declarations for which the source says that something may be missing, with the reason.
fn waived(file: &FileReading<'_>) -> Vec<DeclId> {
    if memchr::memmem::find(file.source.text().as_bytes(), INSTRUCTION.as_bytes()).is_none() {
        return Vec::new();
    }
    let found = review(file).findings.into_iter();
    found
        .filter(|finding| finding.state != State::New && finding.raw.rule.as_str().ends_with(".missing"))
        .filter_map(|finding| finding.raw.declaration)
        .collect()
}

/// Drafts comments for some declarations of a file.
#[must_use]
pub fn draft(
    file: &FileReading<'_>,
    declarations: &[DeclId],
    (extent, only): (Extent, Only),
    inherit: Inherit<'_>,
) -> Draft {
    let standings = Standings::of(file);
    let mut out = Draft::default();
    let mut at_places: Vec<u32> = Vec::new();
    let described = file.outline.ids().filter(|&id| file.doc(id).is_some());
    let described: HashSet<u32> = described.map(|id| file.outline.declaration(id).span.start).collect();
    for &id in declarations {
        let declaration = file.outline.declaration(id);
        let blank = file.doc(id).is_none_or(|doc| doc.blank);
        // Variables of one statement share its comment.
        if at_places.contains(&declaration.span.start) && file.doc(id).is_none() {
            continue;
        }
        if file.doc(id).is_none() && described.contains(&declaration.span.start) {
            let reason =
                "others of its statement are described apart; give it a statement of its own, or a directive";
            out.left.push(Left { declaration: id, reason });
            continue;
        }
        let result = match file.doc(id) {
            Some(doc) if !blank => {
                if only == Only::Missing {
                    continue;
                }
                super::complete::complete(file, &standings, (id, doc), extent)
            }
            _ if only == Only::Partial => continue,
            found => super::fresh::fresh(file, (&standings, inherit), id, found.map(|doc| doc.span)),
        };
        match result {
            Ok(Some(drafted)) => {
                at_places.push(declaration.span.start);
                out.drafted.push(drafted);
            }
            Ok(None) => {}
            Err(reason) => out.left.push(Left { declaration: id, reason }),
        }
    }
    if !out.drafted.is_empty() {
        let mut parsers = Parsers::new();
        let code = Code::of(&file.source, file.language, &mut parsers);
        out.drafted = proved((file, &code, &mut parsers), extent, out.drafted, &mut out.left);
    }
    out
}

/// Returns the drafts that surely change nothing but comments, and are read back as they were meant; one that is not
/// must not cost the others. What is left out is added to `left`.
fn proved(
    (file, code, parsers): (&FileReading<'_>, &Code<'_>, &mut Parsers),
    extent: Extent,
    mut drafted: Vec<Drafted>,
    left: &mut Vec<Left>,
) -> Vec<Drafted> {
    if drafted.is_empty() {
        return drafted;
    }
    if let Some(again) = applied((file, code, parsers), &drafted) {
        let standings = Standings::of(&again);
        drafted.retain(|drafted| {
            let is_read = is_read_back(&again, &standings, drafted.declaration, extent);
            if !is_read {
                let reason = "what is written there would not be read as its comment";
                left.push(Left { declaration: drafted.declaration, reason });
            }
            is_read
        });
        return drafted;
    }
    if let [only] = &drafted[..] {
        let reason = "a comment there would be read as code, or change how the code is read";
        left.push(Left { declaration: only.declaration, reason });
        return Vec::new();
    }
    let second = drafted.split_off(drafted.len() / 2);
    let mut out = proved((file, code, parsers), extent, drafted, left);
    out.extend(proved((file, code, parsers), extent, second, left));
    out
}

/// Reads the file with some drafts in it; nothing when more than comments would change.
fn applied<'a>(
    (file, code, parsers): (&FileReading<'a>, &Code<'_>, &mut Parsers),
    drafted: &[Drafted],
) -> Option<FileReading<'a>> {
    let edits = drafted.iter().flat_map(|drafted| drafted.edits.iter().cloned()).collect();
    let text = Edits::new(edits).and_then(|edits| edits.apply(file.source.text())).ok()?;
    let after = Source::new(file.source.path(), &text);
    code.compare(&after, file.language, parsers).ok()?;
    let again = file.read_again(&text);
    // The same declarations, or the code is read otherwise now.
    let names = |file: &FileReading<'_>| -> Vec<SmolStr> {
        let declarations = file.outline.declarations.iter();
        declarations.filter(|is| is.kind != Kind::Module).map(|is| is.qualified.clone()).collect()
    };
    (names(file) == names(&again)).then_some(again)
}

/// Tells whether the comment of a declaration is there, and lacks nothing that was drafted.
fn is_read_back(file: &FileReading<'_>, standings: &Standings, id: DeclId, extent: Extent) -> bool {
    let Some(doc) = file.doc(id).filter(|doc| !doc.blank) else { return false };
    // What takes its text over lacks nothing.
    doc.inherits
        || super::complete::complete(file, standings, (id, doc), extent)
            .is_ok_and(|lacking| lacking.is_none())
}
