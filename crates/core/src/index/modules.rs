//! What can be reached from the entry modules of a package, where it names them: the rest of what its modules give
//! out is for the package itself.

use foldhash::{HashMap, HashSet};
use smol_str::{SmolStr, format_smolstr};

use crate::model::{ModuleLink, Outline, Surface};

/// Endings that an import leaves out, in the order in which they are tried.
const ENDINGS: &[&str] =
    &[".ts", ".tsx", ".d.ts", ".mts", ".cts", ".js", ".jsx", ".mjs", ".cjs", ".vue", ".svelte"];

/// Endings that an import names though the file has another one.
const WRITTEN: &[&str] = &[".js", ".jsx", ".mjs", ".cjs"];

/// How the modules of a project hang together.
#[derive(Debug, Default)]
pub(super) struct Modules {
    /// Links by the number of the file.
    links: HashMap<u32, Vec<ModuleLink>>,
    entries: Vec<u32>,
    /// Files all of whose names are reached.
    whole: HashSet<u32>,
    /// Names that are reached, under the name that they have in their file.
    reached: HashSet<(u32, SmolStr)>,
}

/// What is asked of a module: one name, or all.
type Wanted = (u32, Option<SmolStr>);

impl Modules {
    /// Takes what a file tells.
    pub(super) fn take(&mut self, file: u32, links: Vec<ModuleLink>, is_entry: bool) {
        if !links.is_empty() {
            self.links.insert(file, links);
        }
        if is_entry {
            self.entries.push(file);
        }
    }

    /// Follows all links from the entries; `numbers` has the files by path, `paths` the other way round.
    pub(super) fn settle(&mut self, numbers: &HashMap<SmolStr, u32>, paths: &[SmolStr]) {
        let links = std::mem::take(&mut self.links);
        let mut open: Vec<Wanted> = self.entries.iter().map(|&file| (file, None)).collect();
        let mut seen: HashSet<Wanted> = open.iter().cloned().collect();
        while let Some((file, name)) = open.pop() {
            let own = links.get(&file).map(Vec::as_slice).unwrap_or_default();
            let mut further: Vec<(&SmolStr, Option<SmolStr>)> = Vec::new();
            match &name {
                None => {
                    self.whole.insert(file);
                    further.extend(own.iter().filter_map(|link| passed_on(own, link)));
                }
                Some(name) => {
                    let local = follow(own, name, &mut further);
                    self.reached.insert((file, local));
                }
            }
            for (module, name) in further {
                let Some(found) = resolve(module, &paths[file as usize], numbers) else { continue };
                if seen.insert((found, name.clone())) {
                    open.push((found, name));
                }
            }
        }
    }

    /// Narrows what cannot be reached, where entries are named and one of them was found.
    pub(super) fn apply(&self, outline: &mut Outline, file: Option<u32>) {
        let Some(file) = file.filter(|file| !self.entries.is_empty() && !self.whole.contains(file)) else {
            return;
        };
        for declaration in &mut outline.declarations {
            let root = declaration.qualified.split('.').next().unwrap_or_default();
            if !self.reached.contains(&(file, SmolStr::new(root))) {
                declaration.surface = declaration.surface.max(Surface::Package);
            }
        }
    }
}

/// Returns the module and the name in it that a link passes on, when all that its file gives out is wanted.
fn passed_on<'l>(own: &'l [ModuleLink], link: &'l ModuleLink) -> Option<(&'l SmolStr, Option<SmolStr>)> {
    match link {
        ModuleLink::Pass { module, name, .. } => Some((module, name.clone())),
        ModuleLink::PassAll { module } => Some((module, None)),
        ModuleLink::Alias { local, .. } => imported(own, local),
        ModuleLink::Import { .. } => None,
    }
}

/// Returns the module and the name in it that a name of a file comes from.
fn imported<'l>(own: &'l [ModuleLink], wanted: &str) -> Option<(&'l SmolStr, Option<SmolStr>)> {
    own.iter().find_map(|link| match link {
        ModuleLink::Import { local, module, name } if local == wanted => Some((module, name.clone())),
        _ => None,
    })
}

/// Returns the name that what is given out as `given` has in its file, and where else it may come from.
fn follow<'l>(
    own: &'l [ModuleLink],
    given: &SmolStr,
    further: &mut Vec<(&'l SmolStr, Option<SmolStr>)>,
) -> SmolStr {
    let mut local = given.clone();
    for link in own {
        match link {
            ModuleLink::Pass { given: passed, module, name } if passed == given => {
                further.push((module, name.clone()));
            }
            ModuleLink::PassAll { module } => further.push((module, Some(given.clone()))),
            ModuleLink::Alias { given: alias, local: is } if alias == given => local = is.clone(),
            ModuleLink::Pass { .. } | ModuleLink::Alias { .. } | ModuleLink::Import { .. } => {}
        }
    }
    further.extend(imported(own, &local));
    local
}

/// Finds the file that an import names by a relative path; other packages are not of this project.
fn resolve(module: &str, from: &str, numbers: &HashMap<SmolStr, u32>) -> Option<u32> {
    if !module.starts_with('.') {
        return None;
    }
    let mut parts: Vec<&str> = from.split('/').collect();
    parts.pop();
    for part in module.split('/') {
        match part {
            "" | "." => {}
            ".." => _ = parts.pop()?,
            part => parts.push(part),
        }
    }
    let path = parts.join("/");
    let find = |path: &str| numbers.get(path).copied();
    let with_ending = |stem: &str| ENDINGS.iter().find_map(|ending| find(&format_smolstr!("{stem}{ending}")));
    let stem = WRITTEN.iter().find_map(|ending| path.strip_suffix(ending));
    let inside = if path.is_empty() { "index".to_owned() } else { format!("{path}/index") };
    find(&path)
        .or_else(|| stem.and_then(with_ending))
        .or_else(|| with_ending(&path))
        .or_else(|| with_ending(&inside))
}
