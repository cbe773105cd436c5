//! The answers of Java to the walk: which node declares, which one acts.

use std::sync::LazyLock;

use super::kinds::{self, Java};
use super::{JAVA, declare, flow};
use crate::languages::shared::{
    Braces, Heads, block_form, is_test_path, literals, plain_words, without_plain_bodies,
};
use crate::reading::{CommentForm, Given, Grammar, Language, Next, Node, Scope, Vocabulary, Walk};

/// The grammar of Java.
pub(in crate::languages) struct JavaGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: JavaGrammar = JavaGrammar;

static BRACES: Braces = Braces {
    facts: LazyLock::new(|| {
        plain_words(&[
            "throw", "/**", "///", "class ", "interface ", "enum ", "record ", "Objects.require",
            "Objects.check", "@Override",
        ])
    }),
    statements: &[
        "if", "for", "while", "switch", "catch", "try", "synchronized", "else", "do", "return", "assert",
    ],
    heads: Heads::Parameters(&[]),
    literals: (b"\"'", literals::c_like),
    nested_comments: false,
    hash_comments: false,
    runs: false,
    parts: Some(&[]),
};

impl Grammar for JavaGrammar {
    type Node = Java;

    fn vocabulary(&self) -> &'static Vocabulary<Java> {
        static VOCABULARY: Vocabulary<Java> =
            Vocabulary::new(|| tree_sitter_java::LANGUAGE.into(), kinds::NAMES, kinds::FIELDS);
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &JAVA
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        without_plain_bodies(Given::all(text), text, &BRACES)
    }

    fn comment(&self, text: &str) -> CommentForm {
        block_form(text)
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Java>, node: Node<'t>, kind: Java) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*Test", "*Tests", "*TestCase", "*IT"]));
        }
        match kind {
            Java::Class | Java::Interface | Java::Enum | Java::Record | Java::AnnotationType => {
                declare::type_declaration(walk, node, kind);
            }
            Java::Method | Java::Constructor | Java::CompactConstructor | Java::AnnotationElement => {
                declare::callable(walk, node, kind);
            }
            Java::Field | Java::Constant => {
                declare::fields(walk, node, kind);
                return flow::skims(walk, node);
            }
            Java::EnumConstant => declare::enum_constant(walk, node),
            Java::Package => declare::package(walk, node),
            Java::Lambda => walk.open(Scope::Barrier),
            Java::Return => {
                flow::returns(walk, node);
                return flow::skims(walk, node);
            }
            Java::ExpressionStatement | Java::LocalVariable => return flow::skims(walk, node),
            Java::Throw => flow::throws(walk, node),
            Java::Try | Java::TryWithResources => flow::tries(walk, node),
            Java::Catch => flow::handles(walk, node),
            Java::If => flow::guards(walk, node),
            Java::Invocation => flow::invokes(walk, node),
            Java::ConstructorCall => walk.calls(),
            Java::Creation => {
                walk.calls();
                declare::anonymous_body(walk, node);
            }
            // A doc comment between annotations and name is looked for by its place.
            Java::Modifiers if walk.text(node).contains("/*") || walk.text(node).contains("//") => {}
            Java::Block => walk.calls_left_out(node),
            Java::ClassBody | Java::Declarator | Java::Parenthesized | Java::Cast => {}
            Java::Modifiers
            | Java::Annotation
            | Java::CatchParameter
            | Java::CatchType
            | Java::ExtendsInterfaces
            | Java::Parameter
            | Java::ReceiverParameter
            | Java::SpreadParameter
            | Java::SuperInterfaces
            | Java::Superclass
            | Java::Throws
            | Java::TypeList
            | Java::TypeParameter
            | Java::TypeParameters
            | Java::Identifier
            | Java::VoidType => return Next::Over,
        }
        Next::Into
    }
}
