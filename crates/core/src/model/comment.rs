//! Comments, raw as they stand and read as their notation means them.

use super::{Name, NotationId};
use crate::text::{Source, Span};

/// Index of a raw comment in its outline.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub struct CommentId(pub u32);

/// How entries are spelt where one notation serves several languages.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default)]
pub enum Dialect {
    /// `@param name text`, `@param <T> text`.
    #[default]
    Plain,
    /// As above, with type parameters among the parameters: `@param T text`.
    Kotlin,
    /// `@param name text`, `@tparam T text`.
    Scala,
    /// `@param {type} name text`, `@template T text`.
    JavaScript,
    /// `@param name - text`, `@typeParam T - text`.
    TypeScript,
    /// `@param type $name text`, `@template T text`.
    Php,
    /// `@param name [Type] text`, `@raise [Type] text`.
    Ruby,
    /// `@param name: text`, after a first line `name() - summary`.
    Colon,
    /// Words of one's own open the parts of a comment box.
    Labels(&'static Labels),
}

impl Dialect {
    /// Tells whether it is JavaScript's or TypeScript's.
    #[must_use]
    pub fn is_script(self) -> bool {
        matches!(self, Self::JavaScript | Self::TypeScript)
    }
}

/// The words that open the parts of a comment box.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Labels {
    /// Of the description.
    pub summary: &'static [&'static str],
    /// Of parameters.
    pub param: &'static [&'static str],
    /// Of what comes back.
    pub returns: &'static [&'static str],
    /// Of exceptions.
    pub raises: &'static [&'static str],
    /// Of parts in which nothing is read.
    pub ignore: &'static [&'static str],
}

/// What carries the text of a comment.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Hash)]
pub enum Carrier {
    /// `/** … */`: opening mark, continuation mark, closing mark.
    Block {
        /// What opens it.
        open: &'static str,
        /// What closes it.
        close: &'static str,
    },
    /// A run of lines, each with this mark.
    Lines {
        /// The mark.
        mark: &'static str,
    },
    /// A string that the language takes for documentation.
    Docstring,
}

/// How a comment stands to documentation, by its own text.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Doc {
    /// It is none.
    No,
    /// It is documentation of what follows.
    Yes,
    /// It is documentation of what stands before it.
    Back,
    /// It is documentation when it stands directly above a declaration.
    IfAbove,
    /// It is documentation of something that it names itself, not of what is beside it.
    Elsewhere,
    /// It speaks to tools: no documentation, and parts nothing.
    Directive,
}

/// A comment as it stands in the source.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct RawComment {
    /// All of it, marks included; for a run of lines from the first mark to the last line's end.
    pub span: Span,
    /// What carries the text.
    pub carrier: Carrier,
    /// Whether the language takes it for documentation.
    pub doc: bool,
    /// How it stands to documentation by its own text.
    pub standing: Doc,
    /// It stands among statements.
    pub in_body: bool,
    /// The innermost declaration around it.
    pub owner: Option<super::DeclId>,
    /// Found a declaration to belong to.
    pub attached: bool,
    /// The text, line by line, without marks: each a slice of the source, indentation included.
    pub lines: Vec<Span>,
}

/// What an entry documents.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub enum EntryKind {
    /// A type parameter.
    TypeParam,
    /// A parameter.
    Param,
    /// The value that comes back.
    Returns,
    /// The values of a generator.
    Yields,
    /// An exception.
    Throws,
    /// A property or attribute of the type, which never is unknown.
    Property,
}

impl EntryKind {
    /// Returns the word used in JSON.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::TypeParam => "typeparam",
            Self::Param => "param",
            Self::Returns => "returns",
            Self::Yields => "yields",
            Self::Throws => "throws",
            Self::Property => "property",
        }
    }
}

/// A name in an entry.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct EntryName {
    /// The bare name: no stars, dollar signs, dots or brackets around it.
    pub name: Name,
    /// The name in the source, as bare as `name`.
    pub span: Span,
    /// It goes on behind the name into a part of the parameter: `options.width`.
    pub dotted: bool,
}

/// What a comment says of one parameter, return value or exception.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Entry {
    /// What it documents.
    pub kind: EntryKind,
    /// The mark that makes it an entry: the tag, or the first thing of an item in a section.
    pub tag: Span,
    /// The names; one entry may name several.
    pub names: Vec<EntryName>,
    /// The type as written.
    pub ty: Option<Span>,
    /// First to last word of the description; lines between are cut out by `DocComment::prose`.
    pub text: Option<Span>,
    /// Marked as one that may be left out.
    pub optional: bool,
    /// The default value as written.
    pub default: Option<Span>,
    /// The single value that a return entry is about, where the notation lists values one by one.
    pub value: Option<Span>,
    /// First line and line behind the last, as indexes into the comment's lines.
    pub lines: (u32, u32),
    /// The section it stands in: order is compared inside one.
    pub section: u32,
}

impl Entry {
    /// Makes an entry without anything but its kind and place; for `lines` see the field.
    #[must_use]
    pub fn bare(kind: EntryKind, tag: Span, lines: (u32, u32)) -> Self {
        Self {
            kind,
            tag,
            names: Vec::new(),
            ty: None,
            text: None,
            optional: false,
            default: None,
            value: None,
            lines,
            section: 0,
        }
    }

    /// Tells whether no tag stands before the name: in a list of parameters, or behind a sign alone.
    #[must_use]
    pub fn opens_with_name(&self) -> bool {
        self.name().is_some_and(|name| name.span == self.tag)
    }

    /// Returns the first name.
    #[must_use]
    pub fn name(&self) -> Option<&EntryName> {
        self.names.first()
    }

    /// Returns where a finding about the entry as a whole points: its first name, else its tag.
    #[must_use]
    pub fn place(&self) -> Span {
        self.names.first().map_or(self.tag, |name| name.span)
    }
}

/// How a mark stands to the notation's table.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum MarkStanding {
    /// Known.
    Known,
    /// Not known; near this one, and read as it.
    Near(&'static str),
    /// Not known.
    Unknown,
}

/// A tag, field or element that is no entry, or a misspelt one that is read as an entry.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Mark {
    /// The name without its sign.
    pub name: Name,
    /// The name in the source.
    pub span: Span,
    /// Whether the notation knows it.
    pub standing: MarkStanding,
    /// First line and line behind the last, as indexes into the comment's lines.
    pub lines: (u32, u32),
}

/// A section with a heading.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Section {
    /// The heading as the notation spells it.
    pub title: &'static str,
    /// What its items are, where they are entries.
    pub kind: Option<EntryKind>,
    /// The heading in the source.
    pub heading: Span,
    /// First line (the heading's) and line behind the last, as indexes into the comment's lines.
    pub lines: (u32, u32),
    /// Indentation of its items in columns.
    pub item_indent: u32,
}

/// A comment as its notation means it.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct DocComment {
    /// All of it, marks included.
    pub span: Span,
    /// The notation it was read in.
    pub notation: NotationId,
    /// Text line by line, without marks.
    pub lines: Vec<Span>,
    /// The text of a comment directly above that this one goes on from, line by line; most have none.
    pub above: Vec<Span>,
    /// The first sentence of the opening description, which may stand above.
    pub summary: Option<Span>,
    /// The opening description, as indexes into the lines: first and behind the last.
    pub description: (u32, u32),
    /// It says more than one sentence, or has entries or sections.
    pub beyond_summary: bool,
    /// Entries in source order.
    pub entries: Vec<Entry>,
    /// All other marks in source order.
    pub marks: Vec<Mark>,
    /// Sections in source order.
    pub sections: Vec<Section>,
    /// It asks to take over, or copies, another comment.
    pub inherits: bool,
    /// A mark says to leave the declaration out.
    pub hidden: bool,
    /// A mark says that the declaration is deprecated.
    pub deprecated: bool,
    /// A mark replaces the surface.
    pub surface: Option<super::Surface>,
    /// There is neither text nor entry nor mark.
    pub blank: bool,
}

impl DocComment {
    /// Returns the text of `span` as prose: lines stripped of what carries them, joined by spaces.
    #[must_use]
    pub fn prose(&self, source: &Source, span: Span) -> String {
        self.joined(source, span, " ")
    }

    /// Returns the type that an entry states, on one line.
    #[must_use]
    pub fn stated_type(&self, source: &Source, entry: &Entry) -> Option<String> {
        entry.ty.map(|ty| self.prose(source, ty))
    }

    /// Returns the text of `span` with its lines trimmed and kept apart.
    #[must_use]
    pub fn text_lines(&self, source: &Source, span: Span) -> String {
        self.joined(source, span, "\n")
    }

    fn joined(&self, source: &Source, span: Span, with: &str) -> String {
        let from = |lines: &'_ [Span]| lines.partition_point(|line| line.end < span.start);
        let lines = self.above[from(&self.above)..].iter().chain(&self.lines[from(&self.lines)..]);
        let mut out = String::new();
        for (at, line) in lines.take_while(|line| line.start < span.end).enumerate() {
            let part = Span::new(line.start.max(span.start), line.end.min(span.end));
            let text = if part.is_empty() { "" } else { source.slice(part).trim() };
            if at > 0 && (with == "\n" || !(text.is_empty() || out.is_empty())) {
                out.push_str(with);
            }
            out.push_str(text);
        }
        out
    }

    /// Returns the summary as prose, empty where there is none.
    #[must_use]
    pub fn summary_prose(&self, source: &Source) -> String {
        self.summary.map(|span| self.prose(source, span)).unwrap_or_default()
    }

    /// Makes a comment directly above the beginning of this one.
    pub fn go_on_from(&mut self, above: Self) {
        self.beyond_summary |= self.summary.is_some() || above.beyond_summary;
        self.summary = above.summary;
        self.blank &= self.summary.is_none();
        self.above = above.lines;
    }

    /// Returns the entries of one kind.
    pub fn entries_of(&self, kind: EntryKind) -> impl Iterator<Item = &Entry> {
        self.entries.iter().filter(move |entry| entry.kind == kind)
    }

    /// Tells whether there is an entry of this kind.
    #[must_use]
    pub fn has(&self, kind: EntryKind) -> bool {
        self.entries.iter().any(|entry| entry.kind == kind)
    }
}
