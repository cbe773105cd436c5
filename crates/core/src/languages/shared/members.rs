//! Members that stand apart from the type they belong to.

use std::collections::HashMap;

use crate::model::Declaration;

/// Narrows members by the surface of the type of this file that they are qualified by.
pub(in crate::languages) fn narrow_by_type(declarations: &mut [Declaration]) {
    let types: HashMap<_, _> = declarations
        .iter()
        .filter(|declaration| declaration.kind.is_type())
        .map(|declaration| (declaration.qualified.clone(), declaration.surface))
        .collect();
    for declaration in declarations {
        let Some((owner, _)) = declaration.qualified.rsplit_once('.') else { continue };
        if let Some(&surface) = types.get(owner) {
            declaration.surface = declaration.surface.max(surface);
        }
    }
}
