//! The shape of a line profile: a language described by patterns, without a grammar.

use std::collections::BTreeMap;

use serde::de::value::MapAccessDeserializer;
use serde::de::{Deserializer, MapAccess, SeqAccess, Visitor};
use serde::{Deserialize, de};
use toml::Spanned;

use crate::model::Surface;

/// A value with the place in the configuration text where it stands, so that a mistake in it can be told
/// there.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Located<T> {
    /// The value.
    pub value: T,
    /// Offset in bytes into the configuration text.
    pub at: usize,
}

impl<'de, T: Deserialize<'de>> Deserialize<'de> for Located<T> {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        let spanned = Spanned::<T>::deserialize(deserializer)?;
        Ok(Self { at: spanned.span().start, value: spanned.into_inner() })
    }
}

impl<T: schemars::JsonSchema> schemars::JsonSchema for Located<T> {
    fn schema_name() -> std::borrow::Cow<'static, str> {
        T::schema_name()
    }

    fn json_schema(generator: &mut schemars::SchemaGenerator) -> schemars::Schema {
        T::json_schema(generator)
    }

    fn inline_schema() -> bool {
        T::inline_schema()
    }
}

/// A pattern in the syntax of the `regex` crate; `^` and `$` are the ends of a line.
pub type Pattern = Located<String>;

/// Whether upper and lower case are told apart.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum Case {
    /// They are.
    #[default]
    Keep,
    /// They are not, neither in words of the language nor in names.
    Ignore,
}

/// Where a doc comment stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case")]
pub enum DocAt {
    /// Above the declaration.
    Above,
    /// Below its header, before anything else.
    Below,
    /// At the top of the file: of its only declaration, or of the one that is named as the file is.
    FileTop,
}

/// One value, or a list of them.
#[derive(Clone, Debug, Default, PartialEq, Eq, schemars::JsonSchema)]
#[schemars(untagged)]
pub enum Several<T> {
    /// None.
    #[default]
    #[schemars(skip)]
    None,
    /// One.
    One(T),
    /// A list.
    List(Vec<T>),
}

impl<T> Several<T> {
    /// Returns all values.
    #[must_use]
    pub fn all(&self) -> &[T] {
        match self {
            Self::None => &[],
            Self::One(one) => std::slice::from_ref(one),
            Self::List(list) => list,
        }
    }
}

impl<'de, T: Deserialize<'de>> Deserialize<'de> for Several<T> {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        struct Any<T>(std::marker::PhantomData<T>);
        impl<'de, T: Deserialize<'de>> Visitor<'de> for Any<T> {
            type Value = Several<T>;

            fn expecting(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
                out.write_str("a text, or a list of texts")
            }

            fn visit_str<E: de::Error>(self, text: &str) -> Result<Several<T>, E> {
                T::deserialize(de::value::StrDeserializer::new(text)).map(Several::One)
            }

            fn visit_seq<A: SeqAccess<'de>>(self, seq: A) -> Result<Several<T>, A::Error> {
                Vec::<T>::deserialize(de::value::SeqAccessDeserializer::new(seq)).map(Several::List)
            }
        }
        deserializer.deserialize_any(Any(std::marker::PhantomData))
    }
}

/// The columns that hold code; what stands outside of them is neither code nor comment.
#[derive(Clone, Debug, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct ColumnsConfig {
    /// The first, from 1.
    pub from: u32,
    /// The last.
    pub to: u32,
    /// A source in which this matches is free of columns.
    pub unless: Option<Pattern>,
}

/// The words that open a part of a comment box.
#[derive(Clone, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct LabelsConfig {
    /// Of the description.
    #[serde(default)]
    pub summary: Vec<String>,
    /// Of parameters.
    #[serde(default)]
    pub param: Vec<String>,
    /// Of what comes back.
    #[serde(default)]
    pub returns: Vec<String>,
    /// Of exceptions.
    #[serde(default)]
    pub raises: Vec<String>,
    /// Of parts in which nothing is read.
    #[serde(default)]
    pub ignore: Vec<String>,
}

/// A piece of source with what must be found in it.
#[derive(Clone, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct ExampleConfig {
    /// The source.
    pub source: Located<String>,
    /// The name of the declaration in it.
    pub name: String,
    /// The names of its parameters, in order.
    #[serde(default)]
    pub parameters: Vec<String>,
}

/// What opens and closes a doc comment where the two are written otherwise than in plain comments.
#[derive(Clone, Debug, PartialEq, Eq, schemars::JsonSchema)]
#[schemars(untagged)]
pub enum DocMark {
    /// The mark, such as `;;;`.
    Open(String),
    /// Opening and closing mark, such as `/**` and `**/`.
    Pair([String; 2]),
}

impl<'de> Deserialize<'de> for DocMark {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        struct Mark;
        impl<'de> Visitor<'de> for Mark {
            type Value = DocMark;

            fn expecting(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
                out.write_str("a mark, or a list of an opening and a closing mark")
            }

            fn visit_str<E: de::Error>(self, mark: &str) -> Result<DocMark, E> {
                Ok(DocMark::Open(mark.to_owned()))
            }

            fn visit_seq<A: SeqAccess<'de>>(self, seq: A) -> Result<DocMark, A::Error> {
                let pair = <[String; 2]>::deserialize(de::value::SeqAccessDeserializer::new(seq))?;
                Ok(DocMark::Pair(pair))
            }
        }
        deserializer.deserialize_any(Mark)
    }
}

/// One sort of declarations. What is not said here is as the profile says.
#[derive(Clone, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct DeclarationConfig {
    /// What it looks like; the group `name` is its name, `kind` and `parameters` are what they say.
    pub pattern: Pattern,
    /// Its kind, where no group tells.
    pub kind: Option<Located<String>>,
    /// Counts only behind a match of this inside the declaration around it.
    pub only_after: Option<Pattern>,
    /// Whether it may stand inside another of those that must not.
    pub nests: Option<bool>,
    /// What ends it.
    pub end: Option<Pattern>,
    /// What opens its parameters, where they do not stand in its header.
    pub parameters_at: Option<Pattern>,
    /// What ends its parameters.
    pub parameters_until: Option<Pattern>,
    /// What parts its parameters.
    pub split: Option<Pattern>,
    /// What is taken off a parameter.
    pub trim: Option<Pattern>,
    /// What a parameter looks like; groups `name`, `type`, `default`, `optional`.
    pub parameter: Option<Pattern>,
    /// What tells that a value comes back.
    pub returns_value: Option<Pattern>,
    /// How far it can be seen.
    pub surface: Option<Surface>,
    /// Whether it is private inside another.
    pub private_when_nested: Option<bool>,
}

/// The declarations of a profile: one pattern, one table, or a list of them.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Declarations(pub Vec<DeclarationConfig>);

impl schemars::JsonSchema for Declarations {
    fn schema_name() -> std::borrow::Cow<'static, str> {
        "Declarations".into()
    }

    fn json_schema(generator: &mut schemars::SchemaGenerator) -> schemars::Schema {
        let one = generator.subschema_for::<DeclarationConfig>();
        let flexible = serde_json::json!({ "anyOf": [{ "type": "string" }, one] });
        schemars::json_schema!({
            "anyOf": [{ "type": "string" }, one, { "type": "array", "items": flexible }]
        })
    }
}

/// A declaration as it may be written: as a pattern alone, or as a table.
struct Flexible(DeclarationConfig);

impl<'de> Deserialize<'de> for Flexible {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        let found = Spanned::<Declarations>::deserialize(deserializer)?;
        let at = found.span().start;
        let mut list = found.into_inner().0;
        let mut one = list.pop().unwrap_or_default();
        if one.pattern.at == 0 {
            one.pattern.at = at;
        }
        Ok(Self(one))
    }
}

impl<'de> Deserialize<'de> for Declarations {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        struct Any;
        impl<'de> Visitor<'de> for Any {
            type Value = Declarations;

            fn expecting(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
                out.write_str("a pattern, a table with `pattern`, or a list of these")
            }

            fn visit_str<E: de::Error>(self, pattern: &str) -> Result<Declarations, E> {
                let pattern = Located { value: pattern.to_owned(), at: 0 };
                Ok(Declarations(vec![DeclarationConfig { pattern, ..DeclarationConfig::default() }]))
            }

            fn visit_seq<A: SeqAccess<'de>>(self, mut seq: A) -> Result<Declarations, A::Error> {
                let mut out = Vec::new();
                while let Some(Flexible(one)) = seq.next_element()? {
                    out.push(one);
                }
                Ok(Declarations(out))
            }

            fn visit_map<A: MapAccess<'de>>(self, map: A) -> Result<Declarations, A::Error> {
                let one = DeclarationConfig::deserialize(MapAccessDeserializer::new(map))?;
                Ok(Declarations(vec![one]))
            }
        }
        deserializer.deserialize_any(Any)
    }
}

/// A line profile: what a language looks like, line by line.
#[derive(Clone, Debug, Default, PartialEq, Eq, Deserialize, schemars::JsonSchema)]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub struct ProfileConfig {
    /// Its id in configuration and output: lower case letters, digits and hyphens.
    pub name: Located<String>,
    /// Its name for people.
    pub label: Option<String>,
    /// File name endings with their dot; compared without regard to case.
    pub endings: Located<Several<String>>,
    /// Whether upper and lower case are told apart.
    #[serde(default)]
    pub case: Case,
    /// The columns that hold code, in a language of fixed columns.
    pub columns: Option<Located<ColumnsConfig>>,
    /// What opens a comment that ends with its line. `^` before a mark: only in the first column; `^` and a
    /// space: only as the first thing on its line.
    #[serde(default)]
    pub line_comment: Vec<Located<String>>,
    /// What opens and what closes a comment; `^` as in `line-comment`.
    #[serde(default)]
    pub block_comment: Vec<Located<[String; 2]>>,
    /// What opens and closes a string; comment marks inside are none. A string ends with its line.
    #[serde(default)]
    pub strings: Vec<Located<String>>,
    /// How doc comments open; without it every comment at its place is one.
    #[serde(default)]
    pub doc: Vec<Located<DocMark>>,
    /// Where doc comments stand, in the order in which they are looked for; the first is where drafts go.
    pub doc_at: Option<Located<Several<DocAt>>>,
    /// Characters that frame the lines of a comment; they are no text.
    #[serde(default)]
    pub border: String,
    /// Joins lines: a pattern that begins with `^` is of a line that continues the one before, any other of
    /// one that goes on in the next.
    pub continuation: Option<Pattern>,
    /// Lines directly above a declaration that belong to it.
    pub lead: Option<Pattern>,
    /// What a declaration looks like.
    pub declaration: Located<Declarations>,
    /// What is no declaration though it looks like one.
    pub except: Option<Pattern>,
    /// A wider pattern: where it matches and no declaration does, the line was not understood.
    pub loose: Option<Pattern>,
    /// Kinds by the words that the group `kind` finds; `scope` opens a scope and declares nothing.
    #[serde(default)]
    pub kinds: BTreeMap<String, Located<String>>,
    /// What ends a declaration.
    pub end: Option<Pattern>,
    /// What opens the parameters, where they do not stand in the header.
    pub parameters_at: Option<Pattern>,
    /// What ends the parameters, outside brackets and strings.
    pub parameters_until: Option<Pattern>,
    /// What parts the parameters, outside brackets and strings; a comma unless said otherwise.
    pub split: Option<Pattern>,
    /// What is taken off a parameter before it is looked at.
    pub trim: Option<Pattern>,
    /// What a parameter looks like; groups `name`, `type`, `default`, `optional`.
    pub parameter: Option<Pattern>,
    /// What tells, anywhere in a declaration, that a value comes back; the group `nothing` says that none
    /// does, `type` is its type.
    pub returns_value: Option<Pattern>,
    /// What raises the exception that the group `name` finds.
    pub raises: Option<Pattern>,
    /// What may catch an exception: where it matches, none is sure to leave.
    pub catches: Option<Pattern>,
    /// Patterns of headers by the surface they give; `public` where none matches.
    #[serde(default)]
    pub surface: BTreeMap<Surface, Pattern>,
    /// Whether a declaration inside another is private.
    #[serde(default)]
    pub private_when_nested: bool,
    /// The notation of the comments; `labels` when there is a table of labels.
    pub notation: Option<Located<String>>,
    /// What comments owe.
    pub demand: Option<super::DemandConfig>,
    /// The words that open the parts of a comment box.
    pub labels: Option<LabelsConfig>,
    /// Pieces of source with what must be found in them; checked whenever the profile is loaded.
    #[serde(default)]
    pub examples: Vec<ExampleConfig>,
}
