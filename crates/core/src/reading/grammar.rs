//! What a grammar-based language answers, and the reader that asks it.

use std::sync::OnceLock;

use tree_sitter::Tree;

use super::classes::classes;
use super::node;
use super::{
    BuiltTree, Class, Custom, Given, Language, Node, Parsers, Reader, Token, Walk, Wishes, attach, tree, walk,
};
use crate::model::{Carrier, Doc, Outline};
use crate::text::{Source, Span};

/// What the walk does at a node of some kind.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Action<N> {
    /// Passes over it: nothing in it matters.
    Over,
    /// Goes on into it.
    Into,
    /// Takes it as a comment.
    Comment,
    /// Notes it as a line that parts comment and declaration without belonging to either.
    Separator,
    /// Asks the grammar.
    Ask(N),
}

/// What the walk does after the grammar was asked.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Next {
    /// Goes on into the node.
    Into,
    /// Passes over it.
    Over,
}

/// How a comment is taken.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct CommentForm {
    /// What carries the text.
    pub carrier: Carrier,
    /// How it stands to documentation.
    pub doc: Doc,
}

/// Node kinds by number, made once a grammar.
#[derive(Debug)]
pub struct Table<N> {
    language: tree_sitter::Language,
    actions: Vec<Action<N>>,
    /// Fields by name; a grammar that serves with another's vocabulary may lack some.
    fields: Vec<(&'static str, Option<u16>)>,
}

impl<N: Copy> Table<N> {
    /// Builds the table from names; kinds that are not named are gone into when they are named nodes,
    /// and passed over when they are punctuation.
    #[must_use]
    pub fn new(
        language: tree_sitter::Language,
        names: &[(&str, Action<N>)],
        fields: &'static [&'static str],
    ) -> Self {
        let kinds = u16::try_from(language.node_kind_count()).unwrap_or(u16::MAX);
        let mut actions = Vec::with_capacity(usize::from(kinds));
        for id in 0..kinds {
            let kind = language.node_kind_for_id(id).unwrap_or_default();
            let named = language.node_kind_is_named(id);
            let found = names.iter().find(|(name, _)| named && *name == kind).map(|&(_, action)| action);
            actions.push(found.unwrap_or(if named { Action::Into } else { Action::Over }));
        }
        let ids =
            fields.iter().map(|name| (*name, language.field_id_for_name(name).map(std::num::NonZero::get)));
        let fields = ids.collect();
        Self { language, actions, fields }
    }

    /// Returns what is done at a node.
    #[must_use]
    pub fn action(&self, node: Node<'_>) -> Action<N> {
        // The error kind has the largest number there is and lies outside the table.
        self.actions.get(usize::from(node.kind_id())).copied().unwrap_or(Action::Into)
    }

    /// Returns the grammar's own name for a node, where it has one.
    #[must_use]
    pub fn ask(&self, node: Node<'_>) -> Option<N> {
        match self.action(node) {
            Action::Ask(kind) => Some(kind),
            Action::Over | Action::Into | Action::Comment | Action::Separator => None,
        }
    }

    /// Returns the child of a node in a field that was named when the table was made.
    #[must_use]
    pub fn field<'t>(&self, node: Node<'t>, name: &'static str) -> Option<Node<'t>> {
        let known = self.fields.iter().find(|(known, _)| *known == name);
        debug_assert!(known.is_some(), "the field `{name}` is not in the language's vocabulary");
        let id = known.and_then(|&(_, id)| id)?;
        node.child_by_field_id(id)
    }

    /// Returns the grammar.
    #[must_use]
    pub fn language(&self) -> &tree_sitter::Language {
        &self.language
    }
}

/// The node kinds and fields of a grammar that a language uses.
pub struct Vocabulary<N: 'static> {
    /// Loads the grammar.
    pub grammar: fn() -> tree_sitter::Language,
    /// Every node kind used, with what the walk does at it.
    pub names: &'static [(&'static str, Action<N>)],
    /// Node kinds beyond those, which a sister grammar lacks.
    pub also: &'static [(&'static str, Action<N>)],
    /// Every field used.
    pub fields: &'static [&'static str],
    table: OnceLock<Table<N>>,
}

impl<N: Copy> Vocabulary<N> {
    /// Makes the vocabulary of a grammar.
    #[must_use]
    pub const fn new(
        grammar: fn() -> tree_sitter::Language,
        names: &'static [(&'static str, Action<N>)],
        fields: &'static [&'static str],
    ) -> Self {
        Self { grammar, names, also: &[], fields, table: OnceLock::new() }
    }

    /// Adds node kinds that a sister grammar, which has all the others, lacks.
    #[must_use]
    pub const fn with(mut self, also: &'static [(&'static str, Action<N>)]) -> Self {
        self.also = also;
        self
    }

    fn table(&self) -> &Table<N> {
        self.table.get_or_init(|| {
            let names: Vec<_> = self.names.iter().chain(self.also).copied().collect();
            Table::new((self.grammar)(), &names, self.fields)
        })
    }
}

/// Declares the node kinds that a language uses: an enumeration of those it is asked about, each with
/// the grammar's names for it, then comments, lines that part comment and declaration, what is passed
/// over, and the fields. Makes `VOCABULARY` of it.
macro_rules! kinds {
    (
        $name:ident of $grammar:path;
        ask { $($kind:ident = $($node:literal)|+),+ $(,)? }
        comment { $($comment:literal),* }
        separator { $($separator:literal),* }
        over { $($over:literal),* $(,)? }
        fields { $($field:literal),* $(,)? }
    ) => {
        /// A node kind as this language names it.
        #[derive(Clone, Copy, Debug, PartialEq, Eq)]
        pub(crate) enum $name { $($kind),+ }

        /// Kinds and what the walk does at them.
        const NAMES: &[(&str, $crate::reading::Action<$name>)] = &[
            $($(($node, $crate::reading::Action::Ask($name::$kind)),)+)+
            $(($comment, $crate::reading::Action::Comment),)*
            $(($separator, $crate::reading::Action::Separator),)*
            $(($over, $crate::reading::Action::Over),)*
        ];

        /// All fields used.
        const FIELDS: &[&str] = &[$($field),*];

        /// Kinds and fields of the grammar.
        pub(crate) static VOCABULARY: $crate::reading::Vocabulary<$name> =
            $crate::reading::Vocabulary::new(|| $grammar.into(), NAMES, FIELDS);
    };
}
pub(crate) use kinds;

/// What a grammar-based language knows of its syntax tree.
pub trait Grammar: Sync + 'static {
    /// The node kinds that the grammar is asked about.
    type Node: Copy + PartialEq + Send + Sync + 'static;

    /// Returns the node kinds and fields used.
    fn vocabulary(&self) -> &'static Vocabulary<Self::Node>;

    /// Returns the table of node kinds, made once.
    fn table(&self) -> &'static Table<Self::Node> {
        self.vocabulary().table()
    }

    /// Returns the language this grammar serves.
    fn serves(&self) -> &'static Language;

    /// Decides what the parser is given.
    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        Given::all(text)
    }

    /// Says whether the grammar is led astray by a text that ends without a line break.
    fn wants_line_end(&self) -> bool {
        false
    }

    /// Makes plain the forms that the language has and the grammar does not know, wherever they stand; nothing when there
    /// are none. It is asked for once the grammar stumbled.
    fn plainer<'s>(&self, _text: &'s str) -> Option<Given<'s>> {
        None
    }

    /// Says whether the grammar took declarations of the text that it was given for something else, without a stumble.
    fn is_misread(&self, _root: Node<'_>, _given: &str) -> bool {
        false
    }

    /// Makes plain what the grammar may take for something else; nothing when there is no such thing. It is asked for once
    /// that was so.
    fn unmistakable<'s>(&self, _text: &'s str) -> Option<Given<'s>> {
        None
    }

    /// Decides what the parser is given when it stumbled at `errors`, which are sorted: those of all attempts
    /// so far, of which the best counts; nothing when it should be left at that. `attempt` counts from 0.
    fn mask_again<'s>(&self, _text: &'s str, _errors: &[Span], _attempt: usize) -> Option<Given<'s>> {
        None
    }

    /// Answers for a node: declares, opens scopes, tells what leaves the body.
    fn enter<'t>(&self, walk: &mut Walk<'t, Self::Node>, node: Node<'t>, kind: Self::Node) -> Next;

    /// Tells whether a line that was masked, without white space around it, is a comment as a whole.
    fn is_comment_line(&self, _line: &str) -> bool {
        false
    }

    /// Tells how a comment is taken.
    fn comment(&self, text: &str) -> CommentForm;

    /// Completes the outline when the whole file was seen.
    fn finish(&self, _walk: &mut Walk<'_, Self::Node>) {}

    /// Tells whether a node is documentation though the grammar takes it for code.
    fn is_docstring(&self, _node: Node<'_>) -> bool {
        false
    }
}

/// A text as it was given, and what the grammar made of it.
struct Attempt<'s> {
    tree: Tree,
    given: Given<'s>,
    /// Where the grammar stumbled.
    errors: Vec<Span>,
}

impl<'s> Attempt<'s> {
    fn of(tree: Tree, given: Given<'s>) -> Self {
        let errors = if tree.root_node().has_error() { tree::errors(&tree) } else { Vec::new() };
        Self { tree, given, errors }
    }

    /// Returns how much was not understood; a missing token counts one.
    fn amount(&self) -> u32 {
        self.errors.iter().map(|span| span.len().max(1)).sum()
    }

    fn or_better(self, other: Option<Self>) -> Self {
        match other {
            Some(other) if other.amount() < self.amount() => other,
            Some(_) | None => self,
        }
    }

    fn done(self) -> (Tree, Given<'s>) {
        (self.tree, self.given)
    }
}

/// How often a text that the grammar stumbles over is masked anew.
const MOST_ATTEMPTS: usize = 4;

/// The reader of a grammar-based language.
pub struct GrammarReader<G: Grammar>(pub &'static G);

impl<G: Grammar> GrammarReader<G> {
    /// The address of the grammar's table tells the grammars of one worker apart.
    fn key(&self) -> usize {
        std::ptr::from_ref(self.0.table()) as usize
    }

    /// Reads a text whose tree was built in the grammar's words, of what is `given` of it.
    pub fn read_built(
        &self,
        source: &Source,
        wishes: Wishes<'_>,
        (tree, given): (BuiltTree, Given<'_>),
    ) -> Outline {
        self.outline(source, wishes, (&node::Tree::Built(tree), given))
    }

    fn outline(
        &self,
        source: &Source,
        wishes: Wishes<'_>,
        (tree, given): (&node::Tree, Given<'_>),
    ) -> Outline {
        let mut outline = walk::walk(self.0, (source, wishes), tree, given);
        attach(&mut outline, source, Custom::of(self.0.serves()));
        outline
    }

    /// Parses; where the grammar stumbles, what it cannot read is masked and tried again.
    fn parse<'s>(
        &self,
        source: &'s Source,
        wishes: Wishes<'_>,
        parsers: &mut Parsers,
    ) -> Option<(Tree, Given<'s>)> {
        let mut given = self.0.mask(source.text());
        if wishes.calls || wishes.remarks {
            // What is called or remarked in a body shows in the body.
            given = given.with_all();
        }
        let given = self.ended(given);
        let begun = match parsers.parse_until_error(self.key(), self.0.table().language(), &given) {
            Some(tree) if !tree.root_node().has_error() => {
                return Some(self.unmistaken(source, (tree, given), parsers));
            }
            begun => begun.map(|tree| Attempt::of(tree, given.clone())),
        };
        // Samples of what is read without a stumble would stumble: they begin anywhere.
        if begun.is_none() && self.is_foreign(given.text(), parsers) {
            return None;
        }
        let plainer = self.0.plainer(source.text()).map(|plainer| plainer.leaving_out_as(&given));
        let plainer = match plainer.and_then(|plainer| self.attempt(plainer, parsers)) {
            Some(clean) if clean.errors.is_empty() => {
                return Some(self.unmistaken(source, clean.done(), parsers));
            }
            plainer => plainer,
        };
        let mut best = begun.or_else(|| self.attempt(given.clone(), parsers))?;
        if wishes.remarks && !best.errors.is_empty() {
            // No declaration is lost for the sake of remarks in bodies that the grammar cannot read.
            best = best.or_better(self.attempt(self.0.mask(source.text()), parsers));
        }
        let mut seen = best.errors.clone();
        best = best.or_better(plainer);
        for attempt in 0..MOST_ATTEMPTS {
            if best.errors.is_empty() {
                return Some(best.done());
            }
            let Some(masked) = self.0.mask_again(source.text(), &seen, attempt) else { break };
            let again = self.attempt_after(&best, masked.leaving_out_as(&given), parsers)?;
            seen.extend(&again.errors);
            seen.sort_by_key(|span| span.start);
            best = best.or_better(Some(again));
        }
        if !best.given.ranges().is_empty() && !best.errors.is_empty() {
            // Where the grammar stumbles for good, what was left out is no longer taken for harmless.
            let whole = self.attempt(best.given.with_all(), parsers)?;
            if whole.amount() <= best.amount() {
                best = whole;
            }
        }
        Some(best.done())
    }

    /// Parses once more what the grammar took for something else without a stumble, where that helps.
    fn unmistaken<'s>(
        &self,
        source: &'s Source,
        read: (Tree, Given<'s>),
        parsers: &mut Parsers,
    ) -> (Tree, Given<'s>) {
        if !self.0.is_misread(Node::Parsed(read.0.root_node()), read.1.text()) {
            return read;
        }
        let plain = self.0.unmistakable(source.text()).map(|plain| plain.leaving_out_as(&read.1));
        match plain.and_then(|plain| self.attempt(plain, parsers)) {
            Some(again) if again.errors.is_empty() && !self.is_misread(&again) => again.done(),
            _ => read,
        }
    }

    fn is_misread(&self, attempt: &Attempt<'_>) -> bool {
        self.0.is_misread(Node::Parsed(attempt.tree.root_node()), attempt.given.text())
    }

    /// Tells whether a large text is none of the language, as far as samples of it tell: they stumble at every turn. The
    /// time that a grammar takes over such a text grows with its square, to hours. The first that can be read ends it.
    fn is_foreign(&self, text: &str, parsers: &mut Parsers) -> bool {
        const LARGE: usize = 100_000;
        const SAMPLES: usize = 8;
        const LENGTH: usize = 8000;
        if text.len() <= LARGE {
            return false;
        }
        // A few brackets may stand in strings.
        let closes = brackets(text).abs() <= 8;
        (0..SAMPLES).all(|number| {
            let from = character_before(text, number * (text.len() / SAMPLES));
            let from = from + text[from..].find('\n').filter(|&line| line < LENGTH).unwrap_or(0);
            // What stands inside brackets that are closed says nothing by itself: rows of a table.
            if closes && brackets(&text[..from]) > 0 {
                return false;
            }
            let sample = &text[from..character_before(text, from + LENGTH)];
            self.attempt(Given::all(sample), parsers).is_some_and(|attempt| {
                attempt.errors.len() > sample.len() / 250 || attempt.amount() as usize > sample.len() / 2
            })
        })
    }

    fn ended<'s>(&self, given: Given<'s>) -> Given<'s> {
        if self.0.wants_line_end() { given.with_line_end() } else { given }
    }

    /// Parses what is given.
    fn attempt<'s>(&self, given: Given<'s>, parsers: &mut Parsers) -> Option<Attempt<'s>> {
        let given = self.ended(given);
        let tree = parsers.parse(self.key(), self.0.table().language(), &given)?;
        Some(Attempt::of(tree, given))
    }

    /// Parses what is given, much of which was parsed `before`.
    fn attempt_after<'s>(
        &self,
        before: &Attempt<'_>,
        given: Given<'s>,
        parsers: &mut Parsers,
    ) -> Option<Attempt<'s>> {
        let given = self.ended(given);
        let known = (&before.given, &before.tree);
        match parsers.parse_changed(self.key(), self.0.table().language(), &given, known) {
            Some(tree) => Some(Attempt::of(tree, given)),
            None => self.attempt(given, parsers),
        }
    }

    /// Parses so that what is masked does not hang on where exactly the grammar stumbles: two texts that
    /// differ in comments alone are masked alike.
    fn parse_steadily<'s>(&self, source: &'s Source, parsers: &mut Parsers) -> Option<(Tree, Given<'s>)> {
        let language = self.0.table().language();
        let given = Given::all(source.text());
        let tree = parsers.parse(self.key(), language, &given)?;
        if !tree.root_node().has_error() {
            return Some((tree, given));
        }
        let masked = self.0.mask_again(source.text(), &[], 1);
        let masked = masked.unwrap_or_else(|| self.0.mask(source.text()).with_all());
        Some((parsers.parse(self.key(), language, &masked)?, masked))
    }
}

/// Returns how many more brackets a text opens than it closes.
fn brackets(text: &str) -> i64 {
    let counted = text.bytes().map(|byte| match byte {
        b'(' | b'[' | b'{' => 1,
        b')' | b']' | b'}' => -1,
        _ => 0,
    });
    counted.sum()
}

/// Returns where the character begins that a place is in; the end of the text for what lies behind it.
fn character_before(text: &str, at: usize) -> usize {
    (0..=at.min(text.len())).rev().find(|&at| text.is_char_boundary(at)).unwrap_or(0)
}

impl<G: Grammar> Reader for GrammarReader<G> {
    fn read(&self, source: &Source, wishes: Wishes<'_>, parsers: &mut Parsers) -> Outline {
        let Some((tree, given)) = self.parse(source, wishes, parsers) else {
            let all = Span::of(0, source.text().len());
            return Outline { unparsed: vec![all], ..Outline::default() };
        };
        self.outline(source, wishes, (&node::Tree::Parsed(tree), given))
    }

    fn tokens(&self, source: &Source, parsers: &mut Parsers) -> Vec<Token> {
        let Some((tree, given)) = self.parse_steadily(source, parsers) else { return Vec::new() };
        let mut tokens = tree::tokens(self.0, &tree);
        // What was masked is code that the grammar did not see: it counts as it stands.
        let code = |span: &Span| !self.0.is_comment_line(source.slice(*span));
        tokens.extend(given.hidden(source.text()).filter(code).map(|span| Token { kind: u16::MAX, span }));
        tokens.sort_by_key(|token| token.span.start);
        tokens
    }

    fn stumbles(&self, text: &str, parsers: &mut Parsers) -> Option<usize> {
        let source = Source::new("", text);
        let (tree, _) = self.parse(&source, Wishes { calls: true, ..Wishes::default() }, parsers)?;
        tree::errors(&tree).first().map(|error| error.start as usize)
    }

    fn classes(&self, source: &Source, parsers: &mut Parsers) -> Vec<(Span, Class)> {
        let language = self.0.table().language();
        let tree = parsers.parse(self.key(), language, &Given::all(source.text()));
        tree.map(|tree| classes(&tree)).unwrap_or_default()
    }

    fn parse_only(&self, source: &Source, parsers: &mut Parsers) -> usize {
        let tree = parsers.parse(self.key(), self.0.table().language(), &Given::all(source.text()));
        tree.map_or(0, |tree| tree.root_node().descendant_count())
    }
}
