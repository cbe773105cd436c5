//! The answers of Python to the walk: which node declares, which one acts.

use super::kinds::{self, Python};
use super::{PYTHON, declare, docstring, finish, flow, statements};
use crate::languages::shared::is_test_path;
use crate::model::{Carrier, Doc};
use crate::reading::{CommentForm, Given, Grammar, Language, Next, Node, Scope, Vocabulary, Walk};

/// The grammar of Python.
pub(in crate::languages) struct PythonGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: PythonGrammar = PythonGrammar;

impl Grammar for PythonGrammar {
    type Node = Python;

    fn vocabulary(&self) -> &'static Vocabulary<Python> {
        static VOCABULARY: Vocabulary<Python> =
            Vocabulary::new(|| tree_sitter_python::LANGUAGE.into(), kinds::NAMES, kinds::FIELDS);
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &PYTHON
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        statements::without_plain_statements(text)
    }

    fn comment(&self, text: &str) -> CommentForm {
        let doc = text.starts_with("#:");
        let mark = if doc { "#:" } else { "#" };
        CommentForm { carrier: Carrier::Lines { mark }, doc: if doc { Doc::Yes } else { Doc::No } }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Python>, node: Node<'t>, kind: Python) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["test_*", "*_test", "conftest"]));
        }
        match kind {
            Python::Module => declare::module(walk, node),
            Python::Decorated => declare::decorated(walk, node),
            Python::Function => declare::function(walk, node, node),
            Python::Class => declare::class(walk, node, node),
            Python::Assignment => declare::assignment(walk, node),
            Python::Lambda => walk.open(Scope::Barrier),
            Python::Return => {
                flow::returns(walk, node);
                return flow::skims(walk, node);
            }
            Python::ExpressionStatement => return flow::skims(walk, node),
            Python::Yield => walk.yields(),
            Python::Raise => flow::raises(walk, node),
            Python::Try => flow::tries(walk, node),
            Python::Except => flow::handles(walk, node),
            Python::With => flow::suppresses(walk, node),
            Python::If => flow::guards(walk, node),
            Python::Block => walk.calls_left_out(node),
            Python::Call | Python::Await | Python::For | Python::Comprehension => walk.calls(),
            // Interpolations aside, nothing in a string matters; they hold calls at most.
            // Defaults and decorators are worked out elsewhere than in the body.
            Python::String
            | Python::Identifier
            | Python::None
            | Python::Ellipsis
            | Python::Pass
            | Python::Parameters
            | Python::Decorator => return Next::Over,
            Python::Assert
            | Python::Attribute
            | Python::AugmentedAssignment
            | Python::ConcatenatedString
            | Python::DefaultParameter
            | Python::DictSplat
            | Python::KeywordArgument
            | Python::KeywordSeparator
            | Python::List
            | Python::ListSplat
            | Python::AsPattern
            | Python::PositionalSeparator
            | Python::Tuple
            | Python::TypedDefaultParameter
            | Python::TypedParameter
            | Python::WithItem => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Python>) {
        finish::finish(walk);
    }

    fn is_docstring(&self, node: Node<'_>) -> bool {
        docstring::is_docstring(self.table(), node)
    }
}
