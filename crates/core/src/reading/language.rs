//! What a language is to the rest of the program: facts, and a reader.

use super::flow::NO_HIERARCHY;
use super::{Class, Hierarchy, Parsers};
use crate::model::{Carrier, Declaration, Dialect, LanguageId, NotationId, Outline};
use crate::text::{Source, Span};

/// How much a comment owes of one subject.
#[derive(
    Clone,
    Copy,
    Debug,
    PartialEq,
    Eq,
    PartialOrd,
    Ord,
    Hash,
    serde::Deserialize,
    serde::Serialize,
    schemars::JsonSchema,
)]
#[serde(rename_all = "kebab-case")]
pub enum Owe {
    /// Every doc comment on a callable owes it.
    Always,
    /// A comment that says more than one sentence owes it.
    BeyondSummary,
    /// A comment that has begun with it owes the rest.
    OnceStarted,
    /// Nothing is owed; what is there is still checked.
    Never,
}

/// How much comments owe, subject by subject.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Demand {
    /// Entries for parameters.
    pub param: Owe,
    /// Entries for type parameters.
    pub typeparam: Owe,
    /// Entries for what comes back, yielded values included.
    pub returns: Owe,
    /// Entries for exceptions.
    pub throws: Owe,
}

impl Demand {
    /// Makes a demand that is the same for all subjects but type parameters, which are owed once started.
    #[must_use]
    pub const fn of(owe: Owe) -> Self {
        Self { param: owe, typeparam: Owe::OnceStarted, returns: owe, throws: owe }
    }

    /// Makes a demand that is the same for all subjects.
    #[must_use]
    pub const fn all(owe: Owe) -> Self {
        Self { param: owe, typeparam: owe, returns: owe, throws: owe }
    }
}

/// Where a language expects the doc comment.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum CommentPlace {
    /// Above the declaration.
    Above,
    /// Below its header.
    Below,
    /// Directly above the declaration: an empty line parts the two.
    DirectlyAbove,
    /// At the top of the file, for the declaration that the file is about.
    FileTop,
    /// As the first statement of the body.
    FirstInBody,
}

/// A token of the code outside comments: what an edit must leave alone.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Token {
    /// The grammar's number for its kind.
    pub kind: u16,
    /// Where it stands.
    pub span: Span,
}

/// What a line matched.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Explained {
    /// The line, from 1.
    pub line: u32,
    /// What it matched.
    pub what: String,
}

/// What is wanted of a reading beyond what the language itself says.
#[derive(Clone, Copy, Debug, Default)]
pub struct Wishes<'m> {
    /// What opens comments that are documentation besides those of the language.
    pub doc_marks: &'m [String],
    /// Note what is called where, of which nothing else needs to be known.
    pub calls: bool,
    /// Note what modules take from each other.
    pub links: bool,
    /// Gather every comment, those in bodies without any fact included.
    pub remarks: bool,
}

impl Wishes<'_> {
    /// Tells whether a comment that is no documentation by its language is one all the same.
    #[must_use]
    pub fn take(self, comment: &str) -> bool {
        self.doc_marks.iter().any(|mark| comment.starts_with(mark.as_str()))
    }
}

/// Turns text into an outline.
pub trait Reader: Sync {
    /// Reads a source. Never fails: what is not understood is listed in the outline.
    fn read(&self, source: &Source, wishes: Wishes<'_>, parsers: &mut Parsers) -> Outline;

    /// Returns the tokens outside comments and docstrings, in order.
    fn tokens(&self, source: &Source, parsers: &mut Parsers) -> Vec<Token>;

    /// Returns the offset at which a grammar stumbles over a text first; nothing when it does not, or there is
    /// no grammar.
    fn stumbles(&self, _text: &str, _parsers: &mut Parsers) -> Option<usize> {
        None
    }

    /// Returns the pieces of code that are more than names and signs, in order, for showing them in colours; none
    /// without a grammar.
    fn classes(&self, _source: &Source, _parsers: &mut Parsers) -> Vec<(Span, Class)> {
        Vec::new()
    }

    /// Parses and does nothing else: the yardstick of the benchmarks. Returns the number of nodes.
    fn parse_only(&self, source: &Source, parsers: &mut Parsers) -> usize;

    /// Says what lines matched, sorted by line, where patterns decide; a grammar has nothing to say.
    fn explain(&self, _source: &Source) -> Vec<Explained> {
        Vec::new()
    }
}

/// Words for built-in types, each with its family. Types of one family never contradict each other
/// (numbers widen), types of different families always do.
pub type TypeWords = &'static [(&'static str, &'static str)];

/// Names of types of the standard library that others are derived from, and of the members that each of them has; `*` at the
/// end of one stands for any further letters.
pub type MembersOf = &'static [(&'static [&'static str], &'static [&'static str])];

/// Where the comment of a module stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum ModuleComment {
    /// It has none in each file.
    None,
    /// A docstring before all statements.
    Docstring,
    /// Lines with a mark of their own, before all items.
    Lines(&'static str),
}

/// Which files declare what others declare too: the two are one thing, with one debt.
#[derive(Clone, Copy, Debug)]
pub enum Halves {
    /// Each file is for itself.
    None,
    /// Headers lead, and what they declare may be defined in any source. Tells the path of a header.
    Headers(fn(&str) -> bool),
    /// The source leads, and a stub stands beside it. Returns what the paths of both have in common and which of the
    /// two a path is; nothing for a file that is neither.
    Stubs(fn(&str) -> Option<(&str, Half)>),
}

/// One of two files that declare the same.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Hash, serde::Deserialize, serde::Serialize)]
pub enum Half {
    /// The one that is asked and counted when both have a comment, or none has.
    Leading,
    /// The other one.
    Following,
}

impl Halves {
    /// Returns what a path has in common with that of its other half, and which half it is; nothing where it has none.
    #[must_use]
    pub fn of(self, path: &str) -> Option<(&str, Half)> {
        match self {
            Self::None => None,
            Self::Headers(is_header) => {
                Some(("", if is_header(path) { Half::Leading } else { Half::Following }))
            }
            Self::Stubs(half) => half(path),
        }
    }
}

/// How comments show code of the language, and what may be taken for granted around it.
#[derive(Clone, Copy, Debug)]
pub struct Examples {
    /// The first word behind a fence of Markdown; empty for a fence that says nothing.
    pub fences: &'static [&'static str],
    /// The prompt before each line, and the one before lines that go on.
    pub prompt: Option<(&'static str, &'static str)>,
    /// What opens a block of code, and what closes it.
    pub blocks: &'static [(&'static str, &'static str)],
    /// What may stand before and behind the code: one of them makes it whole.
    pub around: &'static [(&'static str, &'static str)],
    /// Recognises code so simple that it need not be parsed to know that it can be; false when in doubt.
    pub is_simple: fn(&str) -> bool,
}

impl Examples {
    /// Nothing is known of code in comments.
    pub const NONE: Self = Self { fences: &[], prompt: None, blocks: &[], around: &[], is_simple: |_| false };
}

/// What code and comment must say of each other when something is deprecated.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Deprecation {
    /// The comment says it when the code does.
    pub comment_follows: bool,
    /// The code says it when the comment does.
    pub code_follows: bool,
}

/// A language that can be read.
pub struct Language {
    /// Its id in configuration and output.
    pub id: LanguageId,
    /// Its name for people.
    pub label: &'static str,
    /// The name of the languages that share their types with it; its own where none does.
    pub family: &'static str,
    /// File name endings with their dot, in lower case; compared without regard to case.
    pub endings: &'static [&'static str],
    /// The notations its comments may be in.
    pub notations: &'static [NotationId],
    /// The notation of comments that do not tell, and of drafts.
    pub notation: NotationId,
    /// What its comments owe by default.
    pub demand: Demand,
    /// Whether fields, properties and constants are asked for comments by default.
    pub asks_fields: bool,
    /// Whether signatures may leave types open, so that an entry that gives one says something.
    pub untyped: bool,
    /// Whether declarations may take type parameters.
    pub generic: bool,
    /// Whether a statement ends with its line, without a sign.
    pub ends_with_line: bool,
    /// How the documentation is carried when a draft writes it.
    pub carrier: Carrier,
    /// What carries an ordinary remark.
    pub remark: Carrier,
    /// Where a module's own comment stands.
    pub module_comment: ModuleComment,
    /// How entries are spelt where one notation serves several languages.
    pub dialect: Dialect,
    /// Where the doc comment stands.
    pub place: CommentPlace,
    /// What a doc comment looks like, for messages.
    pub doc_mark: &'static str,
    /// Whether any argument may be left out, so that a mark that says so is never wrong.
    pub any_optional: bool,
    /// How comments show code of the language.
    pub examples: Examples,
    /// What code and comment say of each other when something is deprecated.
    pub deprecation: Deprecation,
    /// Whether the summary customarily begins with the declaration's name.
    pub opens_with_name: bool,
    /// Whether the comment of an interface customarily tells of what it asks for.
    pub interfaces_tell: bool,
    /// Whether a doc comment between annotations and the name is dropped.
    pub drops_after_annotations: bool,
    /// Which files declare what others declare too.
    pub halves: Halves,
    /// Members of one name may differ in what they take.
    pub overloads: bool,
    /// A file is a module that another one declares, and lets be seen or not.
    pub files_are_modules: bool,
    /// How comments refer to members of types, where that is the language's own way and not the notation's.
    pub member_links: Option<MemberLinks>,
    /// Whether an extension of an interface gives bodies to what the interface asks for.
    pub extensions_implement: bool,
    /// Returns the type that calls a member, where members are named for who calls them: `func scene(_ scene: UIScene, …)`.
    pub caller: for<'s> fn(&Declaration, &'s Source) -> Option<&'s str>,
    /// A type of another folder is only known by its name where it is imported.
    pub imports_types: bool,
    /// Names that differ only in upper and lower case are one.
    pub ignores_case: bool,
    /// The same, of members alone.
    pub members_ignore_case: bool,
    /// Characters that frame the lines of a comment.
    pub border: &'static str,
    /// Exceptions of the standard library.
    pub hierarchy: &'static Hierarchy,
    /// Exceptions that any operation can raise: an entry that names one is never unknown.
    pub ambient: &'static [&'static str],
    /// Members of well-known supertypes of the standard library: supertype, member, parameters.
    pub well_known: &'static [(&'static str, &'static str, usize)],
    /// The same where a name stands for one member, whatever it takes.
    pub members_of: MembersOf,
    /// Words for built-in types, with the family of each.
    pub type_words: TypeWords,
    /// Names the type of a literal, where the language leaves types open.
    pub literal_type: fn(&str) -> Option<&'static str>,
    /// Reads it.
    pub reader: &'static dyn Reader,
}

impl Language {
    /// Makes a language of which only names and reader are known; the rest is what most have.
    #[must_use]
    pub const fn of(id: &'static str, label: &'static str, reader: &'static dyn Reader) -> Self {
        Self {
            id: LanguageId::new(id),
            label,
            family: id,
            endings: &[],
            notations: &[],
            notation: NotationId::new("tags"),
            demand: Demand::of(Owe::BeyondSummary),
            asks_fields: false,
            untyped: false,
            generic: true,
            ends_with_line: false,
            carrier: Carrier::Block { open: "/**", close: "*/" },
            remark: Carrier::Lines { mark: "//" },
            module_comment: ModuleComment::None,
            dialect: Dialect::Plain,
            place: CommentPlace::Above,
            doc_mark: "/**",
            any_optional: false,
            examples: Examples::NONE,
            deprecation: Deprecation { comment_follows: false, code_follows: false },
            opens_with_name: false,
            interfaces_tell: false,
            drops_after_annotations: false,
            halves: Halves::None,
            overloads: true,
            files_are_modules: false,
            member_links: None,
            extensions_implement: false,
            caller: |_, _| None,
            imports_types: false,
            ignores_case: false,
            members_ignore_case: false,
            border: "",
            hierarchy: &NO_HIERARCHY,
            ambient: &[],
            well_known: &[],
            members_of: &[],
            type_words: &[],
            literal_type: |_| None,
            reader,
        }
    }

    /// Tells whether a file name has one of the language's endings.
    #[must_use]
    pub fn reads(&self, file_name: &str) -> bool {
        let name = file_name.to_ascii_lowercase();
        self.endings.iter().any(|ending| name.ends_with(ending))
    }
}

/// How a link to a member of a type is written: `[Scale.weigh]`.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct MemberLinks {
    /// What opens a link.
    pub marks: &'static [&'static str],
    /// What stands between a type and its member.
    pub between: &'static str,
    /// Whether a type goes by its bare name in all files of its folder, and not in its own file alone.
    pub folder_wide: bool,
    /// What a type has though nobody writes it: what is derived, or comes with all types.
    pub given: &'static [&'static str],
}

impl std::fmt::Debug for Language {
    fn fmt(&self, out: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        out.debug_tuple("Language").field(&self.id.as_str()).finish()
    }
}
