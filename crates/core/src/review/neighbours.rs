//! What files know of each other before each is read for itself: which header declares what a source file
//! defines, and which of the two has the comment.

use std::collections::HashMap;

use smol_str::SmolStr;

use crate::languages;
use crate::model::{Declaration, Outline, Surface};
use crate::reading::{Language, Parsers};
use crate::text::Source;

/// A callable that one file declares and another may define.
#[derive(Clone, Debug)]
struct Declared {
    /// Owners and name, joined by dots, and the number of parameters.
    key: (SmolStr, usize),
    /// It has a doc comment.
    documented: bool,
}

/// What one file tells the others.
#[derive(Clone, Debug, Default)]
pub struct Told {
    header: bool,
    declared: Vec<Declared>,
}

/// What is known of a callable from all files.
#[derive(Clone, Copy, Debug, Default)]
struct Pair {
    in_header: bool,
    documented_in_source: bool,
}

/// What the files that are read know of each other.
#[derive(Clone, Debug, Default)]
pub struct Neighbours {
    pairs: HashMap<(SmolStr, usize), Pair>,
    /// There are source files, and not one header among them.
    headless: bool,
}

fn key(declaration: &Declaration) -> (SmolStr, usize) {
    (declaration.qualified.clone(), declaration.signature.parameters.len())
}

/// Tells whether another file may see it, as far as linkage goes.
fn is_linked(declaration: &Declaration) -> bool {
    declaration.kind.is_callable() && declaration.surface != Surface::Private && !declaration.unasked
}

/// Reads what a file tells the others; nothing for a language whose files are each for themselves.
#[must_use]
pub fn tell(source: &Source, language: &'static Language, parsers: &mut Parsers) -> Option<Told> {
    let is_header = language.is_header?;
    let language = languages::refined(language, source);
    let outline = language.reader.read(source, parsers);
    let linked = outline.declarations.iter().filter(|declaration| is_linked(declaration));
    let declared = linked
        .map(|declaration| Declared { key: key(declaration), documented: declaration.comment.doc.is_some() });
    Some(Told { header: is_header(source.path()), declared: declared.collect() })
}

impl Neighbours {
    /// Gathers what files told.
    #[must_use]
    pub fn of(told: Vec<Told>) -> Self {
        let headless = !told.is_empty() && told.iter().all(|file| !file.header);
        let mut pairs: HashMap<(SmolStr, usize), Pair> = HashMap::new();
        for file in told {
            for declared in file.declared {
                let pair = pairs.entry(declared.key).or_default();
                pair.in_header |= file.header;
                pair.documented_in_source |= !file.header && declared.documented;
            }
        }
        Self { pairs, headless }
    }

    /// Applies what is known to the outline of a file: one of two comments answers for both places, and the
    /// header decides how far both can be seen.
    pub(super) fn apply(&self, outline: &mut Outline, language: &Language, path: &str) {
        let Some(is_header) = language.is_header else { return };
        let header = is_header(path);
        for declaration in &mut outline.declarations {
            if self.headless && declaration.surface == Surface::Package && declaration.owner.is_none() {
                // Without headers, what can be linked is what callers have.
                declaration.surface = Surface::Public;
            }
            if !is_linked(declaration) {
                continue;
            }
            let Some(pair) = self.pairs.get(&key(declaration)).filter(|pair| pair.in_header) else {
                continue;
            };
            let documented = declaration.comment.doc.is_some();
            match (header, documented) {
                (true, false) => declaration.answered |= pair.documented_in_source,
                (false, false) => declaration.answered = true,
                (false, true) if declaration.surface == Surface::Package => {
                    declaration.surface = Surface::Public;
                }
                (true | false, true) => {}
            }
        }
    }
}
