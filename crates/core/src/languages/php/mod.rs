//! PHP, by its language reference (8.4).
//!
//! What trips it up, each with a case under `tests/cases/php`: promoted parameters, union and nullable
//! types, references, variadics, attributes, traits, enumerations, inherited comments, generators,
//! `static` and `never`, functions outside classes, throws inside expressions.

mod declare;
mod plain;
mod types;

use std::sync::LazyLock;

use crate::languages::shared::{
    Braces, Heads, Opens, block_form, is_test_path, literals, note_guard_in, plain_words,
    without_plain_bodies,
};
use crate::model::{Carrier, Dialect, Doc, NotationId};
use crate::reading::{
    CommentForm, Demand, Deprecation, Examples, Given, Grammar, GrammarReader, Language, Next, Node, Owe,
    Scope, Vocabulary, Walk, kinds,
};

/// PHP.
pub(super) static PHP: Language = Language {
    endings: &[".php", ".phtml", ".inc"],
    notations: &[NotationId::new("tags")],
    demand: Demand::of(Owe::OnceStarted),
    untyped: true,
    overloads: false,
    imports_types: true,
    dialect: Dialect::Php,
    examples: Examples {
        fences: &["php"],
        around: &[("", ""), ("<?php\n", ""), ("<?php class A {\n", "\n}")],
        ..Examples::NONE
    },
    deprecation: Deprecation { comment_follows: true, code_follows: false },
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    well_known: types::WELL_KNOWN,
    type_words: types::WORDS,
    literal_type: types::literal_type,
    members_ignore_case: true,
    ..Language::of("php", "PHP", &GrammarReader(&GRAMMAR))
};

kinds! {
    Php of tree_sitter_php::LANGUAGE_PHP;
    ask {
        AnonymousClass = "anonymous_class",
        ArrowFunction = "arrow_function",
        Assignment = "assignment_expression",
        Attributes = "attribute_list",
        Base = "base_clause",
        Block = "compound_statement",
        Call = "function_call_expression" | "member_call_expression" | "scoped_call_expression" | "nullsafe_member_call_expression",
        Case = "enum_case",
        Catch = "catch_clause",
        Class = "class_declaration",
        Closure = "anonymous_function",
        Const = "const_declaration",
        ConstElement = "const_element",
        Creation = "object_creation_expression",
        Enum = "enum_declaration",
        ExpressionStatement = "expression_statement",
        Function = "function_definition",
        If = "if_statement",
        Interface = "interface_declaration",
        Interfaces = "class_interface_clause",
        Method = "method_declaration",
        NamespaceDefinition = "namespace_definition",
        Parameter = "simple_parameter" | "variadic_parameter" | "property_promotion_parameter",
        Parameters = "formal_parameters",
        Property = "property_declaration",
        PropertyElement = "property_element",
        Return = "return_statement",
        Static = "static_modifier",
        Throw = "throw_expression",
        Trait = "trait_declaration",
        Traits = "use_declaration",
        Try = "try_statement",
        Variable = "variable_name",
        Visibility = "visibility_modifier",
        Yield = "yield_expression",
    }
    comment { "comment" }
    separator { "namespace_use_declaration", "declare_statement" }
    over { "string", "encapsed_string", "heredoc", "nowdoc" }
    fields {
        "attributes", "body", "condition", "default_value", "name", "parameters", "return_type", "type", "value",
    }
}

static BRACES: Braces = Braces {
    facts: LazyLock::new(|| {
        plain_words(&["throw", "function", "fn(", "fn (", "class", "yield", "/**", "<<<", "#["])
    }),
    statements: &[
        "if", "elseif", "for", "foreach", "while", "switch", "catch", "match", "isset", "empty", "list",
        "array", "unset", "return", "declare", "exit", "echo", "print", "and", "or", "use",
    ],
    heads: Heads::Words { words: &["function"], part: &[], opens: typed_or_not },
    literals: (b"\"'`", literals::php),
    nested_comments: false,
    hash_comments: true,
    runs: false,
    parts: Some(&["endif", "endfor", "endwhile", "endswitch", "?>", "<<<"]),
};

/// A colon brings the type; one in a comment that stands there does not.
fn typed_or_not(between: &str) -> Opens {
    if between.trim_start().starts_with(':') { Opens::Typed } else { Opens::Untyped }
}

/// The grammar of PHP.
pub(in crate::languages) struct PhpGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: PhpGrammar = PhpGrammar;

impl Grammar for PhpGrammar {
    type Node = Php;

    fn vocabulary(&self) -> &'static Vocabulary<Php> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &PHP
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        // Where text without code stands between, and where texts are written in full, the pass knows too little.
        if text.contains("?>") || text.contains("<<<") {
            return Given::all(text);
        }
        without_plain_bodies(Given::all(text), text, &BRACES)
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        plain::plainer(text).map(Given::replaced)
    }

    fn comment(&self, text: &str) -> CommentForm {
        match text.chars().next() {
            Some('#') => CommentForm { carrier: Carrier::Lines { mark: "#" }, doc: Doc::No },
            _ if text.starts_with("//") => {
                CommentForm { carrier: Carrier::Lines { mark: "//" }, doc: Doc::No }
            }
            _ => block_form(text),
        }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Php>, node: Node<'t>, kind: Php) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*Test", "*TestCase"]));
        }
        match kind {
            Php::NamespaceDefinition => declare::namespace(walk, node),
            Php::Class | Php::Interface | Php::Trait | Php::Enum => {
                declare::type_declaration(walk, node, kind)
            }
            Php::AnonymousClass => declare::anonymous_class(walk, node),
            Php::Function | Php::Method => declare::callable(walk, node, kind),
            Php::Property => declare::properties(walk, node),
            Php::Const => declare::constants(walk, node),
            Php::Case => declare::case(walk, node),
            Php::Closure | Php::ArrowFunction => walk.open(Scope::Barrier),
            Php::Return => {
                let nothing = walk
                    .children(node)
                    .first()
                    .is_none_or(|value| walk.text(*value).eq_ignore_ascii_case("null"));
                walk.returns(if nothing { crate::model::Answer::No } else { crate::model::Answer::Yes });
            }
            Php::Yield => walk.yields(),
            Php::Throw => declare::throws(walk, node),
            Php::Try => declare::tries(walk, node),
            Php::Catch => declare::handles(walk, node),
            Php::If => {
                note_guard_in(walk, node, ("body", &[Php::Throw], &[Php::Block, Php::ExpressionStatement]))
            }
            Php::Call | Php::Creation => walk.calls(),
            Php::Block => walk.calls_left_out(node),
            Php::Parameters | Php::Attributes | Php::Base | Php::Interfaces | Php::Traits => {
                return Next::Over;
            }
            Php::Assignment
            | Php::ConstElement
            | Php::ExpressionStatement
            | Php::Parameter
            | Php::PropertyElement
            | Php::Static
            | Php::Variable
            | Php::Visibility => {}
        }
        Next::Into
    }
}
