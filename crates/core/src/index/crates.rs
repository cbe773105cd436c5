//! How far the files of a Rust crate can be seen from outside: as far as the modules that they are, unless what they declare
//! is given out elsewhere (the reference, "Visibility and privacy", "Re-exporting and visibility").

use foldhash::{HashMap, HashSet};
use serde::{Deserialize, Serialize};
use smol_str::{SmolStr, format_smolstr};

use crate::model::{Declaration, Excuse, Kind, ModuleLink, Outline, Surface};

/// A module that a file says another file to be: `mod press;`.
#[derive(Clone, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct DeclaredModule {
    /// Its name.
    pub name: SmolStr,
    /// How far the declaration lets it be seen.
    pub surface: Surface,
    /// It is only there for tests.
    pub tests: bool,
}

/// How far a file can be seen from outside its crate.
#[derive(Clone, Copy, Debug)]
struct Seen {
    surface: Surface,
    tests: bool,
}

/// The files of crates, and what is given out of modules.
#[derive(Debug, Default)]
pub(super) struct Crates {
    declared: HashMap<u32, Vec<DeclaredModule>>,
    /// Names that are given out of the modules that declare them, by whatever file.
    names: HashSet<SmolStr>,
    /// The names of modules of which all is given out, with the folder around each where it is known.
    whole: HashSet<(Option<SmolStr>, SmolStr)>,
    seen: HashMap<u32, Seen>,
}

impl Crates {
    /// Takes what a file tells.
    pub(super) fn take(
        &mut self,
        (file, path): (u32, &str),
        declared: Vec<DeclaredModule>,
        links: &[ModuleLink],
    ) {
        for link in links {
            match link {
                ModuleLink::Pass { given, name, .. } => {
                    _ = self.names.insert(name.clone().unwrap_or_else(|| given.clone()));
                }
                ModuleLink::PassAll { module } => {
                    let inner = module.strip_prefix("self::").unwrap_or(module);
                    // What the file declares itself stands beside it, or in the folder of its name.
                    let folder = declared.iter().any(|own| own.name == inner).then(|| folder_inside(path));
                    let last = inner.rsplit("::").next().unwrap_or_default();
                    _ = self.whole.insert((folder.map(SmolStr::new), SmolStr::new(last)));
                }
                ModuleLink::Alias { .. } | ModuleLink::Import { .. } => {}
            }
        }
        if !declared.is_empty() {
            self.declared.insert(file, declared);
        }
    }

    /// Tells whether the module that a file is, or all that is in it, is given out of another.
    fn is_given(&self, path: &str, name: &SmolStr) -> bool {
        let folder = module_of(path).map(|(folder, _)| SmolStr::new(folder));
        self.names.contains(name)
            || [folder, None].into_iter().any(|folder| self.whole.contains(&(folder, name.clone())))
    }

    /// Works out how far each file can be seen; `numbers` has the files by path.
    pub(super) fn settle(&mut self, numbers: &HashMap<SmolStr, u32>, paths: &[SmolStr]) {
        if self.declared.is_empty() {
            return;
        }
        for (path, &file) in numbers {
            let (mut surface, mut tests, mut given) = (Surface::Public, false, false);
            let mut at = path.clone();
            // A module declares its parts; broken code has cycles.
            for _ in 0..32 {
                let Some((parent, module)) = self.declaring(&at, numbers) else { break };
                // Whoever sees another module that gives this one out, sees it.
                given |= self.is_given(&at, &module.name);
                if !given {
                    surface = surface.max(module.surface);
                }
                tests |= module.tests;
                at = paths[parent as usize].clone();
            }
            if surface > Surface::Public || tests {
                self.seen.insert(file, Seen { surface, tests });
            }
        }
    }

    /// Finds the file that declares the module which another file is, and as what: of several the one that lets it be seen
    /// furthest.
    fn declaring(&self, path: &str, numbers: &HashMap<SmolStr, u32>) -> Option<(u32, &DeclaredModule)> {
        let (folder, name) = module_of(path)?;
        let beside = ["mod.rs", "lib.rs", "main.rs"].map(|file| match folder {
            "" => SmolStr::new_static(file),
            folder => format_smolstr!("{folder}/{file}"),
        });
        let above = format_smolstr!("{folder}.rs");
        let files = beside.iter().chain([&above]).filter(|file| *file != path);
        let declared = files.filter_map(|file| {
            let number = *numbers.get(file)?;
            let modules = self.declared.get(&number)?.iter().filter(|module| module.name == name);
            Some((number, modules.min_by_key(|module| (module.tests, module.surface))?))
        });
        declared.min_by_key(|(_, module)| (module.tests, module.surface))
    }

    /// Narrows what only the crate itself can see, and notes what is there for tests alone.
    pub(super) fn apply(&self, outline: &mut Outline, file: Option<u32>) {
        let Some(seen) = file.and_then(|file| self.seen.get(&file)) else { return };
        let own: HashSet<SmolStr> = outline
            .declarations
            .iter()
            .filter(|declaration| root(declaration) == declaration.qualified)
            .map(|declaration| declaration.qualified.clone())
            .collect();
        for declaration in &mut outline.declarations {
            if seen.tests && !declaration.excuses.contains(&Excuse::Tests) {
                declaration.excuses.push(Excuse::Tests);
            }
            // What an implementation adds to a type of another file is seen as far as that; a macro has no module.
            let elsewhere = !own.contains(root(declaration)) || declaration.kind == Kind::Macro;
            if !(elsewhere || self.names.contains(root(declaration))) {
                declaration.surface = declaration.surface.max(seen.surface);
            }
        }
    }
}

/// Returns the name of what a declaration is in, or its own where it is in nothing.
fn root(declaration: &Declaration) -> &str {
    declaration.qualified.split('.').next().unwrap_or_default()
}

/// Returns the folder around the module that a file is, and its name; nothing for the root of a crate.
fn module_of(path: &str) -> Option<(&str, &str)> {
    let split = |path: &'_ str| path.rfind('/').map_or(0, |at| at);
    let at = split(path);
    let (folder, file) = (&path[..at], path[at..].trim_start_matches('/'));
    match file {
        "lib.rs" | "main.rs" | "build.rs" => None,
        "mod.rs" if folder.is_empty() => None,
        "mod.rs" => {
            let at = split(folder);
            Some((&folder[..at], folder[at..].trim_start_matches('/')))
        }
        file => Some((folder, file.strip_suffix(".rs")?)),
    }
}

/// Returns the folder in which the modules stand that a file declares.
fn folder_inside(path: &str) -> &str {
    match module_of(path) {
        Some(_) if !path.ends_with("/mod.rs") => path.strip_suffix(".rs").unwrap_or(path),
        _ => path.rsplit_once('/').map_or("", |(folder, _)| folder),
    }
}

#[cfg(test)]
mod tests {
    use super::{folder_inside, module_of};

    #[test]
    fn what_a_file_declares_stands_in_a_folder() {
        assert_eq!(folder_inside("src/press.rs"), "src/press");
        assert_eq!(folder_inside("src/press/mod.rs"), "src/press");
        assert_eq!(folder_inside("src/lib.rs"), "src");
        assert_eq!(folder_inside("main.rs"), "");
    }

    #[test]
    fn a_file_is_a_module_by_its_path() {
        assert_eq!(module_of("src/press/scale.rs"), Some(("src/press", "scale")));
        assert_eq!(module_of("src/press/mod.rs"), Some(("src", "press")));
        assert_eq!(module_of("press/mod.rs"), Some(("", "press")));
        assert_eq!(module_of("press.rs"), Some(("", "press")));
        assert_eq!(module_of("src/lib.rs"), None);
        assert_eq!(module_of("mod.rs"), None);
        assert_eq!(module_of("press.c"), None);
    }
}
