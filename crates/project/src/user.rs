//! Who writes: the name that version control knows.

use std::path::Path;

use gix_config::{File, Source};

/// Returns the name of whoever works in a repository, as its own configuration or the person's has it; nothing where
/// neither is there.
#[must_use]
pub fn version_control_user(root: &Path) -> Option<String> {
    let own = root.ancestors().map(|dir| dir.join(".git/config")).find(|path| path.is_file());
    let own = own.and_then(|path| File::from_path_no_includes(path, Source::Local).ok());
    let name = |file: File| file.string("user.name").map(|name| name.to_string());
    own.and_then(name).or_else(|| File::from_globals().ok().and_then(name))
}
