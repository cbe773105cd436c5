//! Swift, by its language reference (6.0) and the API design guidelines.
//!
//! What trips it up, each with a case under `tests/cases/swift`: argument labels, `throws` and
//! `rethrows`, `async`, initialisers and failable ones, subscripts, computed properties, extensions,
//! protocols, access levels, both forms of comment, `@discardableResult`.

mod declare;
mod mask;

use std::sync::LazyLock;

use crate::languages::shared::{
    Braces, Heads, Opens, block_form, first_branches, is_test_path, literals, narrow_by_type, plain_words,
    without_plain_bodies,
};
use crate::model::{Carrier, NotationId};
use crate::reading::{
    CommentForm, Demand, Examples, Given, Grammar, GrammarReader, Language, MemberLinks, Next, Node, Owe,
    TypeWords, Vocabulary, Walk, kinds,
};
use crate::text::Span;

/// Swift.
pub(super) static SWIFT: Language = Language {
    endings: &[".swift"],
    ends_with_line: true,
    extensions_implement: true,
    caller: declare::caller,
    notations: &[NotationId::new("callouts")],
    notation: NotationId::new("callouts"),
    demand: Demand::of(Owe::OnceStarted),
    carrier: Carrier::Lines { mark: "///" },
    doc_mark: "///",
    well_known: &[("", "hash", 1), ("", "encode", 1)],
    type_words: WORDS,
    examples: Examples {
        fences: &["swift"],
        around: &[("", ""), ("func f() {\n", "\n}"), ("class A {\n", "\n}")],
        ..Examples::NONE
    },
    member_links: Some(MemberLinks {
        marks: &["``"],
        between: "/",
        folder_wide: true,
        given: &["hash", "hashValue", "init", "self"],
    }),
    ..Language::of("swift", "Swift", &GrammarReader(&GRAMMAR))
};

/// Built-in types as signatures and comments write them.
const WORDS: TypeWords = &[
    ("Bool", "boolean"),
    ("Int", "number"),
    ("UInt", "number"),
    ("Float", "number"),
    ("Double", "number"),
    ("String", "text"),
    ("Void", "none"),
];

kinds! {
    Swift of tree_sitter_swift::LANGUAGE;
    ask {
        AssociatedType = "associatedtype_declaration",
        Attribute = "attribute",
        Body = "function_body" | "computed_property" | "willset_didset_block",
        Class = "class_declaration",
        EnumEntry = "enum_entry",
        Function = "function_declaration" | "protocol_function_declaration",
        Inherits = "inheritance_specifier",
        Init = "init_declaration",
        Deinit = "deinit_declaration",
        Lambda = "lambda_literal",
        Member = "member_modifier",
        Modifiers = "modifiers",
        Parameter = "parameter",
        Pattern = "pattern",
        Property = "property_declaration" | "protocol_property_declaration",
        Protocol = "protocol_declaration",
        Subscript = "subscript_declaration",
        Throws = "throws",
        TypeAlias = "typealias_declaration",
        TypeAnnotation = "type_annotation",
        TypeParameter = "type_parameter",
        TypeParameters = "type_parameters",
        Visibility = "visibility_modifier",
    }
    comment { "comment", "multiline_comment" }
    separator { "import_declaration" }
    over { "line_string_literal", "multi_line_string_literal", "raw_string_literal" }
    fields {
        "body", "bound_identifier", "declaration_kind", "default_value", "external_name", "inherits_from", "name",
        "computed_value", "value",
    }
}

/// What a function throws stands in its signature: no body tells anything.
static BRACES: Braces = Braces {
    facts: LazyLock::new(|| plain_words(&[])),
    statements: &[],
    heads: Heads::Words { words: &["func", "init", "subscript"], part: &['@'], opens: behind_signature },
    literals: (b"\"`", literals::swift),
    nested_comments: true,
    hash_comments: false,
    runs: true,
    parts: None,
};

/// Results may stand on lines of their own; a declaration behind one without a body begins with a word.
fn behind_signature(results: &str) -> Opens {
    let signs = ["->", "throws", "rethrows", "async", "where"];
    let goes_on = |line: &str| line.is_empty() || signs.iter().any(|sign| line.starts_with(sign));
    let typed = results.lines().skip(1).all(|line| goes_on(line.trim()));
    if typed { Opens::Typed } else { Opens::Other }
}

/// The grammar of Swift.
pub(in crate::languages) struct SwiftGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: SwiftGrammar = SwiftGrammar;

impl Grammar for SwiftGrammar {
    type Node = Swift;

    fn vocabulary(&self) -> &'static Vocabulary<Swift> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &SWIFT
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        without_plain_bodies(mask::mask(text), text, &BRACES)
    }

    fn mask_again<'s>(&self, text: &'s str, errors: &[Span], attempt: usize) -> Option<Given<'s>> {
        if attempt > 1 {
            return None;
        }
        let masked = mask::mask(text);
        let first = first_branches(masked.text(), errors, attempt > 0)?;
        Some(Given::replaced(first.text().to_owned()))
    }

    fn comment(&self, text: &str) -> CommentForm {
        block_form(text)
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Swift>, node: Node<'t>, kind: Swift) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*Tests", "*Test", "*Spec"]));
        }
        match kind {
            Swift::Class | Swift::Protocol => declare::type_declaration(walk, node, kind),
            Swift::Function => declare::function(walk, node),
            Swift::Init => declare::initialiser(walk, node),
            Swift::Subscript => declare::subscript(walk, node),
            Swift::Property => declare::property(walk, node),
            Swift::EnumEntry => declare::enum_entry(walk, node),
            Swift::TypeAlias | Swift::AssociatedType => declare::alias(walk, node),
            // What a function throws stands in its signature; nothing else leaves a body unannounced.
            Swift::Body
            | Swift::Deinit
            | Swift::Lambda
            | Swift::Modifiers
            | Swift::Parameter
            | Swift::TypeParameters => {
                return Next::Over;
            }
            Swift::Attribute
            | Swift::Inherits
            | Swift::Member
            | Swift::Pattern
            | Swift::Throws
            | Swift::TypeAnnotation
            | Swift::TypeParameter
            | Swift::Visibility => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Swift>) {
        narrow_by_type(&mut walk.outline.declarations);
    }
}
