//! Ruby, by its language documentation (3.4).
//!
//! What trips it up, each with a case under `tests/cases/ruby`: comments directly above and magic lines,
//! keyword, optional, splat and block parameters, every form of `private` and its kin, attributes,
//! singleton methods, setters and predicates, forms of `raise`, implicit return.

mod bodies;
mod declare;
mod types;

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use crate::languages::shared::{is_test_path, plain_words, skims_calling};
use crate::model::{Answer, Carrier, Dialect, Doc, Kind, NotationId};
use crate::reading::{
    CommentForm, CommentPlace, Demand, Given, Grammar, GrammarReader, Language, Next, Node, Owe, Scope,
    Vocabulary, Walk, kinds,
};

/// Ruby.
pub(super) static RUBY: Language = Language {
    endings: &[".rb", ".rake", ".gemspec"],
    notations: &[NotationId::new("tags")],
    demand: Demand::of(Owe::OnceStarted),
    untyped: true,
    ends_with_line: true,
    carrier: Carrier::Lines { mark: "#" },
    remark: Carrier::Lines { mark: "#" },
    dialect: Dialect::Ruby,
    place: CommentPlace::DirectlyAbove,
    doc_mark: "#",
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    well_known: types::WELL_KNOWN,
    members_of: types::MEMBERS,
    literal_type: types::literal_type,
    overloads: false,
    ..Language::of("ruby", "Ruby", &GrammarReader(&GRAMMAR))
};

kinds! {
    Ruby of tree_sitter_ruby::LANGUAGE;
    ask {
        Arguments = "argument_list",
        Assignment = "assignment",
        Begin = "begin" | "body_statement",
        Block = "block" | "do_block" | "lambda",
        BlockParameter = "block_parameter",
        Call = "call",
        Class = "class",
        Constant = "constant",
        Destructured = "destructured_parameter",
        Else = "else",
        Ensure = "ensure",
        ExceptionVariable = "exception_variable",
        Exceptions = "exceptions",
        Forward = "forward_parameter",
        HashSplat = "hash_splat_parameter",
        Identifier = "identifier",
        If = "if_modifier" | "unless_modifier",
        Keyword = "keyword_parameter",
        Method = "method",
        Module = "module",
        Optional = "optional_parameter",
        Parameters = "method_parameters",
        Rescue = "rescue",
        Resolution = "scope_resolution",
        Return = "return",
        SingletonClass = "singleton_class",
        SingletonMethod = "singleton_method",
        Splat = "splat_parameter",
        String = "string",
        Superclass = "superclass",
        Symbol = "simple_symbol",
    }
    comment { "comment" }
    separator { }
    over { "heredoc_body", "regex", "string_array", "symbol_array" }
    fields {
        "arguments", "body", "condition", "exceptions", "left", "method", "name", "object", "parameters",
        "receiver", "right", "superclass", "value", "variable",
    }
}

/// The grammar of Ruby.
pub(in crate::languages) struct RubyGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: RubyGrammar = RubyGrammar;

/// Beginnings of lines that speak to the interpreter or to tools.
const MAGIC: &[&str] = &[
    "frozen_string_literal:", "encoding:", "coding:", "-*-", "warn_indent:", "shareable_constant_value:",
    "typed:", "rubocop:", "simplecov:", "!/", "steep:", "sorbet:", ":stopdoc:", ":startdoc:",
];

/// What a method does not hold when nothing in it matters to callers.
static FACTS: LazyLock<AhoCorasick> = LazyLock::new(|| {
    plain_words(&["raise", "fail", "return", " def ", "\tdef ", "class", "module", "#", "=begin"])
});

impl Grammar for RubyGrammar {
    type Node = Ruby;

    fn vocabulary(&self) -> &'static Vocabulary<Ruby> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &RUBY
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        bodies::without_plain_bodies(text, &FACTS)
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        // Directly behind a value `<<` is an operator, and no document begins.
        let mut bytes: Option<Vec<u8>> = None;
        let is_word = |c: char| c.is_alphanumeric() || c == '_';
        for at in memchr::memmem::find_iter(text.as_bytes(), "<<") {
            let before = &text[..at];
            let behind_value = before.ends_with(|c: char| is_word(c) || matches!(c, ')' | ']' | '"' | '\''))
                && !before.ends_with("class");
            if behind_value && text[at + 2..].starts_with(|c: char| is_word(c) || matches!(c, '"' | '\'')) {
                bytes.get_or_insert_with(|| text.as_bytes().to_vec())[at..at + 2].copy_from_slice(b"+ ");
            }
        }
        bytes.and_then(|bytes| String::from_utf8(bytes).ok()).map(Given::replaced)
    }

    fn comment(&self, text: &str) -> CommentForm {
        if text.starts_with("=begin") {
            return CommentForm {
                carrier: Carrier::Block { open: "=begin", close: "=end" },
                doc: Doc::IfAbove,
            };
        }
        let rest = text.trim_start_matches('#').trim_start();
        let magic = MAGIC.iter().any(|mark| rest.starts_with(mark));
        let doc = match () {
            () if magic => Doc::Directive,
            () if rest.starts_with("@!method") || rest.starts_with("@!attribute") => Doc::Elsewhere,
            () => Doc::IfAbove,
        };
        CommentForm { carrier: Carrier::Lines { mark: "#" }, doc }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Ruby>, node: Node<'t>, kind: Ruby) -> Next {
        if walk.is_test.is_none() {
            let path = walk.source.path();
            walk.is_test =
                Some(is_test_path(path, &["*_test", "*_spec", "test_*"]) || path.contains("spec/"));
        }
        match kind {
            Ruby::Class | Ruby::Module => declare::type_declaration(walk, node, kind),
            Ruby::SingletonClass => declare::singleton_class(walk, node),
            Ruby::Method | Ruby::SingletonMethod => {
                declare::method(walk, node, kind);
                return skims_calling(walk, node, &FACTS);
            }
            Ruby::Assignment => declare::constant(walk, node),
            Ruby::Call => return declare::call(walk, node),
            Ruby::Identifier => declare::word(walk, node),
            Ruby::Return => {
                let value = walk.children(node).first().is_some_and(|value| walk.text(*value) != "nil");
                walk.returns(if value { Answer::Yes } else { Answer::No });
            }
            Ruby::If => declare::guard(walk, node),
            Ruby::Begin => declare::begin(walk, node),
            Ruby::Rescue => declare::rescue(walk, node),
            Ruby::Block if declare::runs_at_once(walk, node) => {}
            Ruby::Block => walk.open(Scope::Barrier),
            Ruby::Parameters | Ruby::Superclass | Ruby::Exceptions | Ruby::ExceptionVariable => {
                return Next::Over;
            }
            Ruby::Arguments
            | Ruby::BlockParameter
            | Ruby::Constant
            | Ruby::Destructured
            | Ruby::Else
            | Ruby::Ensure
            | Ruby::Forward
            | Ruby::HashSplat
            | Ruby::Keyword
            | Ruby::Optional
            | Ruby::Resolution
            | Ruby::Splat
            | Ruby::String
            | Ruby::Symbol => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Ruby>) {
        declare::settle(walk);
        leave_namespaces(walk);
    }
}

/// Asks nothing of modules that only hold other types and constants: they are namespaces, opened again in every file.
fn leave_namespaces(walk: &mut Walk<'_, Ruby>) {
    let declarations = &mut walk.outline.declarations;
    let mut holds = vec![false; declarations.len()];
    for declaration in declarations.iter() {
        if let Some(owner) = declaration.owner {
            holds[owner.0 as usize] |= declaration.kind.is_callable() || declaration.kind == Kind::Property;
        }
    }
    for (declaration, holds) in declarations.iter_mut().zip(holds) {
        declaration.unasked |= declaration.kind == Kind::Trait && !holds;
    }
}
