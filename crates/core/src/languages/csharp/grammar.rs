//! The answers of C# to the walk: which node declares, which one acts.

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;
use tree_sitter::Node;

use super::kinds::{self, CSharp};
use super::{CSHARP, declare, flow};
use crate::languages::shared::{Braces, block_form, first_branches, is_test_path, without_plain_bodies};
use crate::reading::{CommentForm, Given, Grammar, Language, Next, Scope, Vocabulary, Walk};
use crate::text::Span;

/// The grammar of C#.
pub(in crate::languages) struct CSharpGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: CSharpGrammar = CSharpGrammar;

static BRACES: Braces = Braces {
    facts: &["hrow", "/**", "///", "class ", "yield", "=>", "nameof", "#if", "#el", "#end"],
    statements: &[
        "if", "for", "foreach", "while", "switch", "catch", "try", "lock", "using", "fixed", "else", "do",
        "return", "checked", "unchecked", "when",
    ],
    finder: LazyLock::new(|| AhoCorasick::new(BRACES.facts).expect("plain words compile")),
};

impl Grammar for CSharpGrammar {
    type Node = CSharp;

    fn vocabulary(&self) -> &'static Vocabulary<CSharp> {
        static VOCABULARY: Vocabulary<CSharp> =
            Vocabulary::new(|| tree_sitter_c_sharp::LANGUAGE.into(), kinds::NAMES, kinds::FIELDS);
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &CSHARP
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        without_plain_bodies(text, &BRACES)
    }

    fn mask_again<'s>(&self, text: &'s str, errors: &[Span], attempt: usize) -> Option<Given<'s>> {
        first_branches(text, errors, attempt > 0)
    }

    fn is_comment_line(&self, line: &str) -> bool {
        line.starts_with("//")
    }

    fn comment(&self, text: &str) -> CommentForm {
        block_form(text)
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, CSharp>, node: Node<'t>, kind: CSharp) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*Test", "*Tests"]));
        }
        match kind {
            CSharp::Class | CSharp::Struct | CSharp::Interface | CSharp::Enum | CSharp::Record => {
                declare::type_declaration(walk, node, kind);
            }
            CSharp::Delegate => declare::delegate(walk, node),
            CSharp::Method
            | CSharp::Constructor
            | CSharp::Destructor
            | CSharp::Operator
            | CSharp::Conversion
            | CSharp::LocalFunction => declare::callable(walk, node, kind),
            CSharp::Property | CSharp::Indexer | CSharp::Event => declare::property(walk, node, kind),
            CSharp::Field | CSharp::EventField => {
                declare::fields(walk, node, kind);
                return flow::skims(walk, node);
            }
            CSharp::EnumMember => declare::enum_member(walk, node),
            CSharp::Namespace | CSharp::FileNamespace => declare::namespace(walk, node, kind),
            CSharp::Lambda | CSharp::AnonymousFunction => walk.open(Scope::Barrier),
            CSharp::Block => walk.calls_left_out(node),
            CSharp::Return => {
                flow::returns(walk, node);
                return flow::skims(walk, node);
            }
            CSharp::ExpressionStatement | CSharp::LocalDeclaration => return flow::skims(walk, node),
            CSharp::Yield => walk.yields(),
            CSharp::Throw | CSharp::ThrowExpression => flow::throws(walk, node),
            CSharp::Try => flow::tries(walk, node),
            CSharp::Catch => flow::handles(walk, node),
            CSharp::If => flow::guards(walk, node),
            CSharp::Invocation => flow::invokes(walk, node),
            CSharp::Creation
            | CSharp::Call
            | CSharp::Await
            | CSharp::Foreach
            | CSharp::Using
            | CSharp::ConstructorInitializer => walk.calls(),
            CSharp::AccessorDeclaration
            | CSharp::AccessorList
            | CSharp::ArgumentList
            | CSharp::Arrow
            | CSharp::CatchFilter
            | CSharp::Declarator
            | CSharp::MemberAccess
            | CSharp::VariableDeclaration => {}
            CSharp::Attribute
            | CSharp::AttributeList
            | CSharp::BaseList
            | CSharp::BracketedParameters
            | CSharp::CatchDeclaration
            | CSharp::ExplicitInterface
            | CSharp::Parameter
            | CSharp::ParameterList
            | CSharp::PrimaryBase
            | CSharp::TypeParameter
            | CSharp::TypeParameterList
            | CSharp::Identifier
            | CSharp::Modifier
            | CSharp::PredefinedType => return Next::Over,
        }
        Next::Into
    }
}
