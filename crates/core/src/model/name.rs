//! A name as the source spells it.

use smol_str::SmolStr;

/// A name of a declaration, parameter or type. Cheap to clone.
#[derive(
    Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Default, serde::Serialize, serde::Deserialize,
)]
pub struct Name(SmolStr);

impl Name {
    /// Makes a name of `text`.
    #[must_use]
    pub fn new(text: &str) -> Self {
        Self(SmolStr::new(text))
    }

    /// Returns the spelling.
    #[must_use]
    pub fn as_str(&self) -> &str {
        &self.0
    }

    /// Returns the last part of a dotted or otherwise qualified type name, without type arguments.
    ///
    /// `java.io.IOException` gives `IOException`, `List<String>` gives `List`.
    #[must_use]
    pub fn simple(text: &str) -> Self {
        let bare = text.split(['<', '[', '(', '{']).next().unwrap_or_default().trim();
        let last = bare.rsplit(['.', ':', '\\', '/']).next().unwrap_or_default();
        Self::new(last.trim().trim_end_matches(['?', '!', '*', '&']))
    }
}

impl std::fmt::Display for Name {
    fn fmt(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        out.write_str(&self.0)
    }
}

impl AsRef<str> for Name {
    fn as_ref(&self) -> &str {
        &self.0
    }
}

impl PartialEq<str> for Name {
    fn eq(&self, other: &str) -> bool {
        self.0 == other
    }
}

impl PartialEq<&str> for Name {
    fn eq(&self, other: &&str) -> bool {
        self.0 == *other
    }
}
