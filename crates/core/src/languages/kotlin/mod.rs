//! Kotlin, by its language specification (2.0) and its documentation on doc comments.
//!
//! What trips it up, each with a case under `tests/cases/kotlin`: primary constructors, their properties
//! and secondary ones, receivers, extension functions, modifiers, expression bodies, `Unit` and `Nothing`,
//! companions and objects, `@Throws`, guard functions, links as answers, enumerations, aliases, overrides.

mod declare;
mod flow;
mod mask;

use std::sync::LazyLock;

use crate::languages::shared::{
    Braces, Heads, JVM_AMBIENT, JVM_EXCEPTIONS, JVM_WORDS, Opens, block_form, is_test_path, literals,
    plain_words, without_plain_bodies,
};
use crate::model::{Dialect, NotationId};
use crate::reading::{
    CommentForm, Demand, Deprecation, Examples, Given, Grammar, GrammarReader, Language, MemberLinks, Next,
    Node, Owe, Scope, Vocabulary, Walk, kinds,
};
use crate::text::Span;

/// Kotlin.
pub(super) static KOTLIN: Language = Language {
    endings: &[".kt", ".kts"],
    ends_with_line: true,
    notations: &[NotationId::new("tags")],
    demand: Demand::of(Owe::OnceStarted),
    dialect: Dialect::Kotlin,
    examples: Examples {
        fences: &["kotlin", "kt"],
        around: &[("", ""), ("fun f() {\n", "\n}"), ("class A {\n", "\n}")],
        ..Examples::NONE
    },
    deprecation: Deprecation { comment_follows: false, code_follows: true },
    hierarchy: &JVM_EXCEPTIONS,
    family: "jvm",
    imports_types: true,
    ambient: JVM_AMBIENT,
    type_words: JVM_WORDS,
    member_links: Some(MemberLinks {
        marks: &["["],
        between: ".",
        folder_wide: true,
        given: &["Companion", "copy", "equals", "hashCode", "javaClass", "toString"],
    }),
    ..Language::of("kotlin", "Kotlin", &GrammarReader(&GRAMMAR))
};

kinds! {
    Kotlin of tree_sitter_kotlin_ng::LANGUAGE;
    ask {
        Alias = "type_alias",
        Annotated = "annotated_expression",
        Annotation = "annotation",
        Block = "block",
        Body = "function_body",
        Call = "call_expression",
        Catch = "catch_block",
        Class = "class_declaration",
        ClassParameter = "class_parameter",
        ClassParameters = "class_parameters",
        Companion = "companion_object",
        Delegation = "delegation_specifiers",
        EnumEntry = "enum_entry",
        Finally = "finally_block",
        Function = "function_declaration",
        Getter = "getter" | "setter",
        Identifier = "identifier",
        If = "if_expression",
        Init = "anonymous_initializer",
        Lambda = "lambda_literal" | "anonymous_function",
        Modifiers = "modifiers",
        ObjectDeclaration = "object_declaration",
        ObjectLiteral = "object_literal",
        Parameter = "parameter",
        ParameterModifiers = "parameter_modifiers",
        Parameters = "function_value_parameters",
        Primary = "primary_constructor",
        Property = "property_declaration",
        Return = "return_expression",
        Secondary = "secondary_constructor",
        Throw = "throw_expression",
        Try = "try_expression",
        TypeParameter = "type_parameter",
        TypeParameters = "type_parameters",
        UserType = "user_type",
        Variable = "variable_declaration",
    }
    comment { "line_comment", "block_comment" }
    separator { "package_header", "import" }
    over { "string_literal", "multiline_string_literal", "number_literal" }
    fields { "condition", "name", "type" }
}

static BRACES: Braces = Braces {
    facts: LazyLock::new(|| {
        plain_words(&[
            "throw", "fun ", "fun<", "class ", "interface ", "object", "require", "check", "error(", "TODO(",
            "/**",
        ])
    }),
    statements: &["if", "for", "while", "when", "catch", "try", "else", "do", "finally", "return", "in"],
    heads: Heads::Words { words: &["fun"], part: &['\n', '='], opens: type_on_one_line },
    literals: (b"\"'`", literals::kotlin),
    nested_comments: true,
    hash_comments: false,
    runs: false,
    parts: None,
};

/// Nothing but a type stands between parameters and body.
fn type_on_one_line(between: &str) -> Opens {
    if between.contains(['\n', '=']) { Opens::Other } else { Opens::Typed }
}

/// The grammar of Kotlin.
pub(in crate::languages) struct KotlinGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: KotlinGrammar = KotlinGrammar;

impl Grammar for KotlinGrammar {
    type Node = Kotlin;

    fn vocabulary(&self) -> &'static Vocabulary<Kotlin> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &KOTLIN
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        without_plain_bodies(mask::mask(text), text, &BRACES)
    }

    fn wants_line_end(&self) -> bool {
        true
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        mask::in_plainer_forms(text)
    }

    fn mask_again<'s>(&self, text: &'s str, _errors: &[Span], attempt: usize) -> Option<Given<'s>> {
        // What annotations are passed adds to what a text could be, until the grammar gives up.
        (attempt == 0).then(|| mask::without_annotations(text)).flatten()
    }

    fn is_misread(&self, root: Node<'_>, _given: &str) -> bool {
        // A file has declarations. `@Weighed internal object Scale { … }` can be taken for a call with a lambda.
        let mut cursor = root.walk();
        root.named_children(&mut cursor)
            .any(|child| matches!(child.kind(), "annotated_expression" | "infix_expression"))
    }

    fn unmistakable<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        mask::without_annotations(text)
    }

    fn comment(&self, text: &str) -> CommentForm {
        // Three slashes mean nothing here.
        if text.starts_with("//") { block_form("//") } else { block_form(text) }
    }

    fn finish(&self, walk: &mut Walk<'_, Kotlin>) {
        // A script is run, and never imported: `build.gradle.kts`.
        if walk.source.path().ends_with(".kts") {
            walk.give_nothing_out();
        }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Kotlin>, node: Node<'t>, kind: Kotlin) -> Next {
        if walk.is_test.is_none() {
            let path = walk.source.path();
            walk.is_test = Some(
                is_test_path(path, &["*Test", "*Tests", "*Spec"])
                    || path.contains("/androidTest/")
                    || path.contains("/commonTest/"),
            );
        }
        match kind {
            Kotlin::Class => declare::class(walk, node),
            Kotlin::ObjectDeclaration | Kotlin::Companion => declare::object(walk, node, kind),
            Kotlin::ObjectLiteral => declare::anonymous(walk, node),
            Kotlin::Function => declare::function(walk, node),
            Kotlin::Secondary => declare::secondary(walk, node),
            Kotlin::Property => declare::property(walk, node),
            Kotlin::EnumEntry => declare::enum_entry(walk, node),
            Kotlin::Alias => {
                declare::alias(walk, node);
                return Next::Over;
            }
            Kotlin::Getter | Kotlin::Init | Kotlin::Lambda => walk.open(Scope::Barrier),
            Kotlin::Return => flow::returns(walk, node),
            Kotlin::Throw => flow::throws(walk, node),
            Kotlin::Try => flow::tries(walk, node),
            Kotlin::Catch => flow::handles(walk, node),
            Kotlin::If => flow::guard(walk, node),
            Kotlin::Call => flow::calls(walk, node),
            Kotlin::Block | Kotlin::Body => walk.calls_left_out(node),
            Kotlin::Modifiers
            | Kotlin::Parameters
            | Kotlin::ParameterModifiers
            | Kotlin::Primary
            | Kotlin::TypeParameters
            | Kotlin::UserType => return Next::Over,
            Kotlin::Annotated if !walk.in_code() => {
                // An annotation on a line of its own may be taken for an expression.
                let span = walk.span(node);
                walk.pending.push(span);
                return Next::Over;
            }
            Kotlin::Annotated
            | Kotlin::Annotation
            | Kotlin::ClassParameter
            | Kotlin::ClassParameters
            | Kotlin::Delegation
            | Kotlin::Finally
            | Kotlin::Identifier
            | Kotlin::Parameter
            | Kotlin::TypeParameter
            | Kotlin::Variable => {}
        }
        Next::Into
    }
}
