//! The answers of C# to the walk: which node declares, which one acts.

use std::ops::Range;
use std::sync::LazyLock;

use super::kinds::{self, CSharp};
use super::{CSHARP, declare, flow, pointers};
use crate::languages::shared::{
    Braces, Heads, block_form, first_branches, is_test_path, literals, plain_words, without_plain_bodies,
};
use crate::reading::{CommentForm, Given, Grammar, Language, Next, Node, Scope, Vocabulary, Walk};
use crate::text::Span;

/// The grammar of C#.
pub(in crate::languages) struct CSharpGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: CSharpGrammar = CSharpGrammar;

static BRACES: Braces = Braces {
    facts: LazyLock::new(|| plain_words(&["hrow", "/**", "///", "class ", "yield", "nameof"])),
    statements: &[
        "if", "for", "foreach", "while", "switch", "catch", "try", "lock", "using", "fixed", "else", "do",
        "return", "checked", "unchecked", "when",
    ],
    heads: Heads::Parameters(&["get", "set", "init", "add", "remove"]),
    literals: (b"\"'", literals::c_like),
    nested_comments: false,
    hash_comments: false,
    runs: true,
    parts: Some(&[]),
};

/// Finds the lines that speak to the compiler in words of its own, `#pragma warning suppress 56500`: the grammar knows only those
/// of the standard (ECMA-334, 6.5.9 leaves the rest to each compiler).
fn pragmas(text: &str) -> impl Iterator<Item = Range<usize>> {
    let opens = |at: usize| {
        let before = text[..at].trim_end_matches([' ', '\t']);
        before.is_empty() || before.ends_with('\n')
    };
    text.match_indices("#pragma").filter(move |(at, _)| opens(*at)).filter_map(|(at, _)| {
        let line = text[at..].split(['\r', '\n']).next().unwrap_or_default();
        let known = ["warning disable", "warning restore", "checksum"];
        let words = line["#pragma".len()..].trim_start();
        (!known.iter().any(|known| words.starts_with(known))).then(|| at..at + line.len())
    })
}

/// Finds where words are names that have a meaning in other places (ECMA-334, 6.4.4): `if (async)`, `return required;`.
fn words_that_name(text: &str) -> Vec<usize> {
    let is_name = |c: char| c.is_alphanumeric() || c == '_';
    let words = ["async", "required"].into_iter().flat_map(|word| text.match_indices(word));
    let names = words.filter(|(at, word)| {
        let behind = &text[at + word.len()..];
        !text[..*at].ends_with(is_name)
            && behind.trim_start().starts_with([')', ',', ';', '?', '.', '&', '|', ':', '!', '=', '/', '}'])
    });
    names.map(|(at, _)| at).collect()
}

/// Returns a text without the pragmas of one compiler and with other words for those that are names; nothing where there are none.
fn in_plainer_words(text: &str) -> Option<String> {
    let blanks: Vec<Range<usize>> = pragmas(text).collect();
    let names = words_that_name(text);
    if blanks.is_empty() && names.is_empty() {
        return None;
    }
    let mut bytes = Given::with_blanks(text, &blanks).text().as_bytes().to_vec();
    for at in names {
        if bytes[at] != b' ' {
            bytes[at] = b'_';
        }
    }
    // One letter became another.
    String::from_utf8(bytes).ok()
}

/// Finds what is assigned to the result of a call with `ref`, on lines with an error: the grammar reads no
/// assignment there (ECMA-334, 12.21.2 allows it to a reference that is returned).
fn values_of_called(text: &str, errors: &[Span]) -> Vec<Range<usize>> {
    let mut out: Vec<Range<usize>> = Vec::new();
    // More errors than that have another cause.
    for error in errors.iter().take(64) {
        let Some(before) = text.get(..error.start as usize) else { continue };
        let start = before.rfind('\n').map_or(0, |found| found + 1);
        let line = text[start..].split('\n').next().unwrap_or_default();
        let (Some(called), Some(end)) = (line.find("(ref "), line.rfind(';')) else { continue };
        let assigned = line[called..].find(") = ").map(|found| called + found + 2);
        let Some(assigned) = assigned.filter(|&assigned| assigned < end) else { continue };
        if out.last().is_none_or(|last| last.start != start + assigned) {
            out.push(start + assigned..start + end);
        }
    }
    out
}

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
        without_plain_bodies(Given::all(text), text, &BRACES)
    }

    fn wants_line_end(&self) -> bool {
        true
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        let mut blanks = pointers::dereferences(text);
        // The grammar reads no `partial` behind `ref` (ECMA-334, 16.2.2 allows it).
        blanks.extend(text.match_indices("ref partial struct ").map(|(at, _)| at..at + "ref".len()));
        // Nor `unsafe` in front of what ends an object.
        blanks.extend(text.match_indices("unsafe ~").map(|(at, _)| at..at + "unsafe".len()));
        blanks.sort_by_key(|blank| blank.start);
        (!blanks.is_empty()).then(|| Given::with_blanks(text, &blanks))
    }

    fn mask_again<'s>(&self, text: &'s str, errors: &[Span], attempt: usize) -> Option<Given<'s>> {
        if attempt > 1 {
            return None;
        }
        let plain = self.plainer(text);
        let text = plain.as_ref().map_or(text, |given| given.text());
        let worded = in_plainer_words(text);
        let text = worded.as_deref().unwrap_or(text);
        let branches = first_branches(text, errors, attempt > 0);
        let base = branches.as_ref().map_or(text, |given| given.text());
        let blanks = values_of_called(base, errors);
        if branches.is_none() && blanks.is_empty() && (worded.is_none() || attempt > 0) {
            return None;
        }
        Some(Given::replaced(Given::with_blanks(base, &blanks).text().to_owned()))
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
