//! Scala, by its language specifications (2.13 and 3.5).
//!
//! What trips it up, each with a case under `tests/cases/scala`: several parameter lists, implicit ones,
//! default arguments, class parameters, type parameters, case classes, objects and companions, given
//! instances, extension methods, syntax by indentation.

mod declare;

use std::sync::LazyLock;

use crate::languages::shared::{
    Braces, Heads, JVM_AMBIENT, JVM_EXCEPTIONS, JVM_WORDS, Opens, block_form, is_test_path, literals,
    note_guard, plain_words, without_plain_bodies,
};
use crate::model::{Dialect, NotationId};
use crate::reading::{
    CommentForm, Demand, Given, Grammar, GrammarReader, Language, MemberLinks, Next, Node, Owe, Scope,
    Vocabulary, Walk, kinds,
};

/// Scala.
pub(super) static SCALA: Language = Language {
    endings: &[".scala", ".sc"],
    ends_with_line: true,
    notations: &[NotationId::new("tags")],
    demand: Demand::of(Owe::OnceStarted),
    dialect: Dialect::Scala,
    hierarchy: &JVM_EXCEPTIONS,
    family: "jvm",
    imports_types: true,
    ambient: JVM_AMBIENT,
    well_known: &[("", "toString", 0), ("", "hashCode", 0), ("", "equals", 1)],
    type_words: JVM_WORDS,
    member_links: Some(MemberLinks {
        marks: &["[["],
        between: ".",
        folder_wide: true,
        given: &["apply", "copy", "equals", "getClass", "hashCode", "toString", "unapply", "unapplySeq"],
    }),
    ..Language::of("scala", "Scala", &GrammarReader(&GRAMMAR))
};

kinds! {
    Scala of tree_sitter_scala::LANGUAGE;
    ask {
        Access = "access_modifier",
        Annotation = "annotation",
        Block = "block" | "indented_block",
        Call = "call_expression",
        Case = "case_clause",
        CaseBlock = "case_block" | "indented_cases",
        Catch = "catch_clause",
        Class = "class_definition",
        ClassParameter = "class_parameter",
        ClassParameters = "class_parameters",
        Enum = "enum_definition",
        EnumCase = "simple_enum_case" | "full_enum_case",
        Extends = "extends_clause",
        Function = "function_definition" | "function_declaration",
        Given = "given_definition",
        Identifier = "identifier" | "operator_identifier" | "type_identifier",
        If = "if_expression",
        Instance = "instance_expression",
        Lambda = "lambda_expression",
        Modifiers = "modifiers",
        Object = "object_definition",
        Package = "package_clause",
        PackageObject = "package_object",
        Parameter = "parameter",
        Parameters = "parameters",
        Return = "return_expression",
        Template = "template_body",
        Throw = "throw_expression",
        Trait = "trait_definition",
        Try = "try_expression",
        TypedPattern = "typed_pattern",
        TypeDefinition = "type_definition",
        TypeParameters = "type_parameters",
        Variant = "covariant_type_parameter" | "contravariant_type_parameter",
        Value = "val_definition" | "var_definition" | "val_declaration" | "var_declaration",
    }
    comment { "comment", "block_comment" }
    separator { "import_declaration" }
    over { "string", "interpolated_string_expression" }
    fields {
        "body", "class_parameters", "condition", "consequence", "default_value", "extend", "function", "name",
        "parameters", "pattern", "return_type", "type", "type_parameters", "value",
    }
}

static BRACES: Braces = Braces {
    facts: LazyLock::new(|| {
        plain_words(&[
            "throw", "def ", "class ", "object ", "trait ", "type ", "enum ", "given ", "/**", "import ",
            "override ",
        ])
    }),
    statements: &[
        "if", "for", "while", "match", "catch", "try", "else", "do", "finally", "return", "yield", "case",
    ],
    heads: Heads::Words { words: &["def"], part: &['='], opens: type_and_equals },
    literals: (b"\"'`", literals::scala),
    nested_comments: true,
    hash_comments: false,
    runs: false,
    parts: None,
};

/// A type stands between parameters and body, or nothing: without a type the body of an equation tells what comes back.
fn type_and_equals(between: &str) -> Opens {
    if between.trim().is_empty() && !between.contains('\n') {
        return Opens::Typed;
    }
    let typed = between.trim_start().starts_with(':')
        && !between.contains('\n')
        && between
            .trim_end()
            .strip_suffix('=')
            .is_some_and(|ty| !ty.ends_with(['>', '<', ':']) && !ty.contains(" = "));
    if typed { Opens::Typed } else { Opens::Other }
}

/// The grammar of Scala.
pub(in crate::languages) struct ScalaGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: ScalaGrammar = ScalaGrammar;

impl Grammar for ScalaGrammar {
    type Node = Scala;

    fn vocabulary(&self) -> &'static Vocabulary<Scala> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &SCALA
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        // The grammar does not know types of a supertype's own: `extends super[Base].Type`.
        let finder = memchr::memmem::Finder::new(" super[");
        let blanks: Vec<_> = finder
            .find_iter(text.as_bytes())
            .filter(|&at| text[..at].ends_with("extends") || text[..at].ends_with("with"))
            .filter_map(|at| Some(at..at + text[at..].find("].")? + 2))
            .collect();
        let given = if blanks.is_empty() { Given::all(text) } else { Given::with_blanks(text, &blanks) };
        without_plain_bodies(given, text, &BRACES)
    }

    fn comment(&self, text: &str) -> CommentForm {
        // Three slashes mean nothing here.
        if text.starts_with("//") { block_form("//") } else { block_form(text) }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Scala>, node: Node<'t>, kind: Scala) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*Test", "*Spec", "*Suite"]));
        }
        match kind {
            Scala::Class | Scala::Trait | Scala::Enum | Scala::Object | Scala::Given => {
                declare::template(walk, node, kind);
            }
            Scala::EnumCase => declare::enum_case(walk, node),
            Scala::Function => declare::function(walk, node),
            Scala::Value => declare::value(walk, node),
            Scala::TypeDefinition => {
                declare::type_definition(walk, node);
                return Next::Over;
            }
            Scala::Lambda => walk.open(Scope::Barrier),
            Scala::Return => walk.returns(crate::model::Answer::Yes),
            Scala::Throw => declare::throws(walk, node),
            Scala::Try => declare::tries(walk, node),
            Scala::Case => declare::handles(walk, node),
            Scala::If => note_guard(walk, node, Scala::Throw, Scala::Block),
            Scala::Call => walk.calls(),
            Scala::Block => walk.calls_left_out(node),
            Scala::Instance => declare::instance(walk, node),
            Scala::Package => return declare::package(walk, node),
            Scala::Annotation
            | Scala::ClassParameters
            | Scala::Extends
            | Scala::Modifiers
            | Scala::Parameters
            | Scala::TypeParameters => return Next::Over,
            Scala::Access
            | Scala::CaseBlock
            | Scala::Catch
            | Scala::ClassParameter
            | Scala::Identifier
            | Scala::PackageObject
            | Scala::Parameter
            | Scala::Template
            | Scala::TypedPattern
            | Scala::Variant => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Scala>) {
        declare::settle_companions(walk);
        // A script is run, and never imported.
        if walk.source.path().ends_with(".sc") {
            walk.give_nothing_out();
        }
    }
}
