//! Opaque names of what the registries hold. Nobody can `match` on a language: what differs between
//! languages is a field of `Language`.

macro_rules! id {
    ($(#[$doc:meta])* $name:ident) => {
        $(#[$doc])*
        #[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash)]
        pub struct $name(&'static str);

        impl $name {
            /// Makes the id; only registries do.
            #[must_use]
            pub const fn new(id: &'static str) -> Self {
                Self(id)
            }

            /// Returns the id as it is written in configuration and reports.
            #[must_use]
            pub const fn as_str(self) -> &'static str {
                self.0
            }
        }

        impl std::fmt::Display for $name {
            fn fmt(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
                out.write_str(self.0)
            }
        }
    };
}

id! {
    /// Names a language, such as `java`.
    LanguageId
}
id! {
    /// Names a comment notation, such as `google`.
    NotationId
}
id! {
    /// Names a rule as `subject.fault`, such as `param.missing`.
    RuleId
}
