//! How far the files of a Rust crate can be seen from outside: as far as the modules that they are, unless what they declare
//! is given out elsewhere (the reference, "Visibility and privacy", "Re-exporting and visibility").

use foldhash::{HashMap, HashSet};
use serde::{Deserialize, Serialize};
use smol_str::{SmolStr, format_smolstr};

use crate::model::{Declaration, Excuse, Kind, ModuleLink, Outline, Surface};

/// A module that a file says another file to be: `mod press;`.
#[derive(Clone, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
pub struct DeclaredModule {
    /// Its name, or that of its file where it has another.
    pub name: SmolStr,
    /// How far the declaration lets it be seen.
    pub surface: Surface,
    /// It is only there for tests.
    pub tests: bool,
    /// The declaration leaves it out of the documentation.
    pub hidden: bool,
}

/// How a file can be seen from outside its crate.
#[derive(Clone, Copy, Debug)]
struct Seen {
    surface: Surface,
    tests: bool,
    hidden: bool,
}

/// Where a module is looked for that gives all it has to another.
#[derive(Clone, Debug, PartialEq, Eq, Hash)]
enum Place {
    /// In this folder.
    Folder(SmolStr),
    /// In a module of this name.
    Under(SmolStr),
    /// Anywhere.
    Any,
}

/// A name that a file gives out of another module.
#[derive(Clone, Debug)]
struct Passed {
    file: u32,
    /// The module that it has the name of, as the source names it: `super::press`.
    module: SmolStr,
}

/// What the module that a file is goes by.
#[derive(Clone, Debug)]
struct ModuleNames {
    own: SmolStr,
    parent: SmolStr,
    /// The modules that give out all it has.
    passing_all: Vec<SmolStr>,
}

/// What the module at the root of a crate goes by.
const ROOT: &str = "crate";

/// The files of crates, and what is given out of modules.
#[derive(Debug, Default)]
pub(super) struct Crates {
    declared: HashMap<u32, Vec<DeclaredModule>>,
    /// Names that are given out of the modules that declare them.
    names: HashMap<SmolStr, Vec<Passed>>,
    /// What the modules go by that files are.
    modules: HashMap<u32, ModuleNames>,
    /// All names of them.
    known: HashSet<SmolStr>,
    /// The names of modules that files say other files to be, which a path may give another name.
    declared_names: HashSet<SmolStr>,
    /// Modules of which all is given out, with the files that do so.
    whole: HashMap<(Place, SmolStr), Vec<u32>>,
    seen: HashMap<u32, Seen>,
}

/// A file on its way to being settled.
struct Unsettled<'c> {
    file: u32,
    /// The file that declares it, and as what.
    parent: Option<(u32, &'c DeclaredModule)>,
    /// The files that give it out, or all that it has.
    givers: Vec<u32>,
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
                ModuleLink::Pass { given, name, module } => {
                    let name = name.clone().unwrap_or_else(|| given.clone());
                    let passed = Passed { file, module: module.clone() };
                    self.names.entry(name).or_default().push(passed);
                }
                ModuleLink::PassAll { module } => {
                    let (place, name) = place_of(module, path, &declared);
                    self.whole.entry((place, name)).or_default().push(file);
                }
                ModuleLink::Alias { local, .. } => {
                    self.declared_names.insert(local.clone());
                }
                ModuleLink::Import { .. } => {}
            }
        }
        self.declared_names.extend(declared.iter().map(|module| module.name.clone()));
        if !declared.is_empty() {
            self.declared.insert(file, declared);
        }
    }

    /// Works out how far each file can be seen; `numbers` has the files by path.
    pub(super) fn settle(&mut self, numbers: &HashMap<SmolStr, u32>) {
        if self.declared.is_empty() {
            return;
        }
        self.known = numbers.keys().filter_map(|path| Some(SmolStr::new(module_of(path)?.1))).collect();
        let known = |name: &str| self.known.contains(name) || self.declared_names.contains(name);
        for passed in self.names.values_mut() {
            // What another crate has is not what a namesake here is.
            passed.retain(|passed| {
                let first = passed.module.split("::").next().unwrap_or_default();
                matches!(first, "" | "crate" | "self" | "super") || known(first)
            });
        }
        let mut files: Vec<Unsettled<'_>> = numbers
            .iter()
            .map(|(path, &file)| {
                let parent = self.declaring(path, numbers);
                let givers = parent.map_or_else(Vec::new, |(_, module)| self.givers(path, &module.name));
                Unsettled { file, parent, givers }
            })
            .collect();
        files.sort_unstable_by_key(|file| file.file);
        let surfaces = surfaces_of(&files);
        let parents: HashMap<u32, (u32, &DeclaredModule)> =
            files.iter().filter_map(|file| Some((file.file, file.parent?))).collect();
        let modules = self.names_of_modules(&parents, numbers);
        let mut seen = HashMap::default();
        for file in &files {
            let (mut tests, mut hidden, mut at) = (false, false, file.file);
            // A module declares its parts; broken code has cycles.
            for _ in 0..32 {
                let Some(&(parent, module)) = parents.get(&at) else { break };
                tests |= module.tests;
                hidden |= module.hidden;
                at = parent;
            }
            let surface = surfaces[file.file as usize];
            if surface > Surface::Public || tests || hidden {
                seen.insert(file.file, Seen { surface, tests, hidden });
            }
        }
        self.modules = modules;
        self.seen = seen;
    }

    /// Returns what the modules go by that files are.
    fn names_of_modules(
        &self,
        parents: &HashMap<u32, (u32, &DeclaredModule)>,
        numbers: &HashMap<SmolStr, u32>,
    ) -> HashMap<u32, ModuleNames> {
        let own_name = |path: &str| SmolStr::new(module_of(path).map_or(ROOT, |(_, own)| own));
        let paths: HashMap<u32, &SmolStr> = numbers.iter().map(|(path, &file)| (file, path)).collect();
        let name_of = |file: u32| paths.get(&file).map_or_else(SmolStr::default, |path| own_name(path));
        numbers
            .iter()
            .map(|(path, &file)| {
                let parent = parents.get(&file).map_or_else(|| ROOT.into(), |&(parent, _)| name_of(parent));
                let passing_all = self.passing_all(path).into_iter().map(name_of).collect();
                (file, ModuleNames { own: own_name(path), parent, passing_all })
            })
            .collect()
    }

    /// Returns the files that give out a module, or all that is in it.
    fn givers(&self, path: &str, name: &SmolStr) -> Vec<u32> {
        let mut out = self.passing_all(path);
        out.extend(self.names.get(name).into_iter().flatten().map(|passed| passed.file));
        out
    }

    /// Returns the files that give out all that is in a module.
    fn passing_all(&self, path: &str) -> Vec<u32> {
        let Some((folder, own)) = module_of(path) else { return Vec::new() };
        let around = folder.rsplit('/').next().unwrap_or_default();
        let places = [Place::Folder(SmolStr::new(folder)), Place::Under(SmolStr::new(around)), Place::Any];
        let whole = places.into_iter().filter_map(|place| self.whole.get(&(place, SmolStr::new(own))));
        whole.flatten().copied().collect()
    }

    /// Returns the files that give out a name that a file declares: of its module, or of one that has it from there.
    fn giving(&self, file: u32, name: &str) -> Vec<u32> {
        let (Some(passed), Some(module)) = (self.names.get(name), self.modules.get(&file)) else {
            return Vec::new();
        };
        let mut having: Vec<&str> = vec![&module.own];
        having.extend(module.passing_all.iter().map(SmolStr::as_str));
        let mut out = Vec::new();
        let mut left: Vec<&Passed> = passed.iter().collect();
        loop {
            let before = left.len();
            left.retain(|passed| {
                let Some(giver) = self.modules.get(&passed.file) else { return false };
                let from = match passed.module.rsplit("::").next().unwrap_or_default() {
                    "self" => giver.own.as_str(),
                    "super" => giver.parent.as_str(),
                    from => from,
                };
                // A module that no file is may be any.
                let has = having.contains(&from) || from != ROOT && !self.known.contains(from);
                if has {
                    out.push(passed.file);
                    having.push(&giver.own);
                    having.extend(giver.passing_all.iter().map(SmolStr::as_str));
                }
                !has
            });
            if left.len() == before {
                return out;
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

    /// Narrows what only the crate itself can see, and notes what is there for tests alone. `nearest` finds the file
    /// that declares a type of a name.
    pub(super) fn apply(
        &self,
        outline: &mut Outline,
        file: Option<u32>,
        nearest: impl Fn(&str) -> Option<u32>,
    ) {
        let Some((file, seen)) = file.and_then(|file| Some((file, self.seen.get(&file)?))) else { return };
        let own: HashSet<SmolStr> = outline
            .declarations
            .iter()
            .filter(|declaration| root(declaration) == declaration.qualified)
            .map(|declaration| declaration.qualified.clone())
            .collect();
        let mut given: HashMap<SmolStr, Option<Surface>> = HashMap::default();
        let surface_of = |giver: &u32| self.seen.get(giver).map_or(Surface::Public, |seen| seen.surface);
        for declaration in &mut outline.declarations {
            if seen.tests && !declaration.excuses.contains(&Excuse::Tests) {
                declaration.excuses.push(Excuse::Tests);
            }
            declaration.hidden |= seen.hidden;
            // A macro has no module.
            if declaration.kind == Kind::Macro {
                continue;
            }
            // What an implementation adds to a type of another file is seen as far as that.
            let surface = given.entry(SmolStr::new(root(declaration))).or_insert_with_key(|name| {
                let (place, around) = match own.contains(name) {
                    true => (file, seen.surface),
                    false => {
                        let place = nearest(name)?;
                        (place, surface_of(&place))
                    }
                };
                Some(self.giving(place, name).iter().map(surface_of).fold(around, Surface::min))
            });
            declaration.surface = surface.map_or(declaration.surface, |seen| declaration.surface.max(seen));
        }
    }
}

/// Returns how far each file can be seen, by its number.
fn surfaces_of(files: &[Unsettled<'_>]) -> Vec<Surface> {
    // What nobody declares is the root of a crate, or of no crate at all: there a word in front decides alone.
    let mut surfaces = vec![Surface::Private; files.len()];
    for file in files.iter().filter(|file| file.parent.is_none()) {
        surfaces[file.file as usize] = Surface::Public;
    }
    // A module is seen as far as the one that declares it, or one that gives it out. Each round settles a level more.
    loop {
        let mut settled = true;
        for file in files {
            let Some((parent, module)) = file.parent else { continue };
            let declared = surfaces[parent as usize].max(module.surface);
            let given = file.givers.iter().map(|&giver| surfaces[giver as usize]);
            let surface = given.fold(declared, Surface::min);
            if surface < surfaces[file.file as usize] {
                surfaces[file.file as usize] = surface;
                settled = false;
            }
        }
        if settled {
            return surfaces;
        }
    }
}

/// Returns where a module is to be looked for that a file gives all of: `pub use scale::*`, `pub use super::scale::*`.
fn place_of(module: &str, path: &str, declared: &[DeclaredModule]) -> (Place, SmolStr) {
    let inner = module.strip_prefix("self::").unwrap_or(module);
    let named = SmolStr::new(inner.rsplit("::").next().unwrap_or_default());
    if declared.iter().any(|own| own.name == inner) {
        return (Place::Folder(SmolStr::new(folder_inside(path))), named);
    }
    let beside = inner.strip_prefix("super::").filter(|name| !name.contains("::"));
    if beside.is_some()
        && let Some((folder, _)) = module_of(path)
    {
        return (Place::Folder(SmolStr::new(folder)), named);
    }
    let above =
        inner.rsplit_once("::").map_or("", |(above, _)| above.rsplit("::").next().unwrap_or_default());
    match above {
        "" | "crate" | "super" => (Place::Any, named),
        above => (Place::Under(SmolStr::new(above)), named),
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
    use super::{Place, folder_inside, module_of, place_of};

    #[test]
    fn what_is_given_out_whole_is_looked_for_near_where_it_is_named() {
        let place = |module: &str| place_of(module, "src/press.rs", &[]);
        assert_eq!(place("crate::hall::scale"), (Place::Under("hall".into()), "scale".into()));
        assert_eq!(place("super::scale"), (Place::Folder("src".into()), "scale".into()));
        assert_eq!(place("crate::scale"), (Place::Any, "scale".into()));
    }

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
