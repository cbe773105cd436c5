//! Go, by the language specification (1.24) and its documentation on doc comments.
//!
//! What trips it up, each with a case under `tests/cases/go`: comments directly above and directives
//! among them, grouped declarations, receivers, several and named results, deprecation paragraphs,
//! package comments, comments behind fields.

mod declare;

use std::sync::LazyLock;

use crate::languages::shared::{
    Braces, Heads, Opens, is_test_path, literals, plain_words, without_plain_bodies,
};
use crate::model::{Carrier, Doc, NotationId};
use crate::reading::{
    CommentForm, CommentPlace, Demand, Examples, Given, Grammar, GrammarReader, Language, MemberLinks, Next,
    Node, Owe, Vocabulary, Walk, kinds,
};

/// Go.
pub(super) static GO: Language = Language {
    endings: &[".go"],
    ends_with_line: true,
    notations: &[NotationId::new("prose")],
    notation: NotationId::new("prose"),
    demand: Demand::of(Owe::Never),
    carrier: Carrier::Lines { mark: "//" },
    place: CommentPlace::DirectlyAbove,
    doc_mark: "//",
    opens_with_name: true,
    interfaces_tell: true,
    examples: Examples {
        fences: &["go"],
        around: &[("", ""), ("package a\nfunc f() {\n", "\n}"), ("package a\n", "")],
        ..Examples::NONE
    },
    member_links: Some(MemberLinks { marks: &["["], between: ".", folder_wide: true, given: &[] }),
    ..Language::of("go", "Go", &GrammarReader(&GRAMMAR))
};

kinds! {
    Go of tree_sitter_go::LANGUAGE;
    ask {
        Alias = "type_alias",
        Block = "block",
        ConstSpec = "const_spec",
        Consts = "const_declaration",
        Elem = "method_elem",
        FieldDeclaration = "field_declaration",
        Function = "function_declaration",
        Interface = "interface_type",
        Literal = "func_literal",
        Method = "method_declaration",
        Package = "package_clause",
        Parameter = "parameter_declaration",
        ParameterList = "parameter_list",
        Spec = "type_spec",
        Struct = "struct_type",
        TypeParameter = "type_parameter_declaration",
        Types = "type_declaration",
        VarSpec = "var_spec",
        Variadic = "variadic_parameter_declaration",
        Vars = "var_declaration",
    }
    comment { "comment" }
    separator { "import_declaration" }
    over { "interpreted_string_literal", "raw_string_literal", "rune_literal" }
    fields { "body", "name", "parameters", "receiver", "result", "type", "type_parameters" }
}

/// No body tells anything.
static BRACES: Braces = Braces {
    facts: LazyLock::new(|| plain_words(&[])),
    statements: &[],
    heads: Heads::Words { words: &["func"], part: &['\n'], opens: on_one_line },
    literals: (b"\"'`", literals::go),
    nested_comments: false,
    hash_comments: false,
    runs: true,
    parts: None,
};

/// Results stand on the line of the brace.
fn on_one_line(results: &str) -> Opens {
    if results.contains('\n') { Opens::Other } else { Opens::Typed }
}

/// The grammar of Go.
pub(in crate::languages) struct GoGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: GoGrammar = GoGrammar;

impl Grammar for GoGrammar {
    type Node = Go;

    fn vocabulary(&self) -> &'static Vocabulary<Go> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &GO
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        without_plain_bodies(Given::all(text), text, &BRACES)
    }

    fn comment(&self, text: &str) -> CommentForm {
        if text.starts_with("/*") {
            return CommentForm { carrier: Carrier::Block { open: "/*", close: "*/" }, doc: Doc::IfAbove };
        }
        let doc = if is_directive(text) { Doc::Directive } else { Doc::IfAbove };
        CommentForm { carrier: Carrier::Lines { mark: "//" }, doc }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Go>, node: Node<'t>, kind: Go) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*_test"]));
        }
        match kind {
            Go::Function | Go::Method | Go::Elem => declare::callable(walk, node, kind),
            Go::Types | Go::Consts | Go::Vars => declare::group(walk, node),
            Go::Spec | Go::Alias => declare::type_spec(walk, node, kind),
            Go::ConstSpec | Go::VarSpec => {
                declare::values(walk, node, kind);
                return Next::Over;
            }
            Go::FieldDeclaration => declare::field(walk, node),
            Go::Package => declare::package(walk, node),
            Go::Struct | Go::Interface => {}
            // Nothing in a body can be seen by callers, and nothing leaves it but by return.
            Go::Block
            | Go::Literal
            | Go::Parameter
            | Go::ParameterList
            | Go::TypeParameter
            | Go::Variadic => return Next::Over,
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Go>) {
        declare::attach_behind_fields(walk);
        declare::withhold_what_nobody_imports(walk);
    }
}

/// Lines for the compiler and for tools: a word, a colon and no blank, or the older build lines.
fn is_directive(text: &str) -> bool {
    let Some(rest) = text.strip_prefix("//") else { return false };
    let word = rest.bytes().take_while(|b| b.is_ascii_lowercase() || b.is_ascii_digit()).count();
    let colon = word > 0
        && rest[word..]
            .strip_prefix(':')
            .is_some_and(|behind| behind.starts_with(|c: char| c.is_ascii_lowercase() || c.is_ascii_digit()));
    colon
        || ["line ", "extern ", "export ", "nolint", " +build "].iter().any(|mark| rest.starts_with(mark))
        || rest.trim_start().starts_with("#nosec")
}
