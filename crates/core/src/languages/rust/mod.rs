//! Rust, by the reference (1.90) and the API guidelines on documentation.
//!
//! What trips it up, each with a case under `tests/cases/rust`: every form of doc comment and the `doc`
//! attribute, attributes between comment and item, visibilities, trait items and implementations,
//! re-exports out of private modules, exported macros, items inside macro calls, aliases of `Result`, `unsafe`,
//! const generics, `impl Trait`, examples with hidden lines.

mod declare;
mod macros;

use std::sync::LazyLock;

use crate::languages::shared::{
    Braces, Heads, Opens, is_test_path, literals, plain_words, skims, without_plain_bodies,
};
use crate::model::{Carrier, Doc, NotationId, Surface};
use crate::reading::{
    CommentForm, Demand, Examples, Given, Grammar, GrammarReader, Hierarchy, Language, MemberLinks,
    ModuleComment, Next, Node, Owe, Scope, Vocabulary, Walk, kinds,
};

/// The sections that stand for exceptions; none answers for another.
static SECTIONS: Hierarchy =
    Hierarchy::new(&[("Errors", "Section"), ("Panics", "Section"), ("Safety", "Section")], &["Section"], "");

/// Rust.
pub(super) static RUST: Language = Language {
    endings: &[".rs"],
    notations: &[NotationId::new("headings")],
    notation: NotationId::new("headings"),
    demand: Demand { throws: Owe::Always, ..Demand::all(Owe::Never) },
    asks_fields: true,
    files_are_modules: true,
    carrier: Carrier::Lines { mark: "///" },
    module_comment: ModuleComment::Lines("//!"),
    doc_mark: "///",
    hierarchy: &SECTIONS,
    examples: Examples {
        fences: &["", "rust"],
        around: &[("fn f() {\n", "\n}"), ("", ""), ("impl A {\n", "\n}")],
        ..Examples::NONE
    },
    member_links: Some(MemberLinks {
        marks: &["[", "[`"],
        between: "::",
        folder_wide: false,
        given: &[
            "as_mut", "as_ref", "borrow", "borrow_mut", "clamp", "clone", "clone_from", "cmp", "default",
            "deref", "deref_mut", "deserialize", "drop", "eq", "fmt", "from", "from_iter", "from_str",
            "hash", "index", "into", "into_iter", "iter", "max", "min", "ne", "next", "parse", "partial_cmp",
            "poll", "serialize", "to_owned", "to_string", "try_from", "try_into", "type_id",
        ],
    }),
    ..Language::of("rust", "Rust", &GrammarReader(&GRAMMAR))
};

kinds! {
    Rust of tree_sitter_rust::LANGUAGE;
    ask {
        AssociatedType = "associated_type",
        Attribute = "attribute_item",
        Block = "block",
        Call = "call_expression",
        Closure = "closure_expression",
        Const = "const_item" | "static_item",
        ConstParameter = "const_parameter",
        Enum = "enum_item",
        Field = "field_declaration",
        FieldExpression = "field_expression",
        Function = "function_item" | "function_signature_item",
        FunctionModifiers = "function_modifiers",
        Generic = "generic_type",
        Identifier = "identifier",
        Impl = "impl_item",
        Macro = "macro_definition",
        MacroCall = "macro_invocation",
        Module = "mod_item",
        Parameter = "parameter",
        Parameters = "parameters",
        RefPattern = "ref_pattern" | "mut_pattern" | "reference_pattern",
        SelfParameter = "self_parameter",
        Struct = "struct_item",
        Trait = "trait_item",
        TypeItem = "type_item",
        TypeParameter = "type_parameter",
        TypeParameters = "type_parameters",
        Union = "union_item",
        Use = "use_declaration",
        Variadic = "variadic_parameter",
        Variant = "enum_variant",
        Visibility = "visibility_modifier",
    }
    comment { "line_comment", "block_comment" }
    separator { "extern_crate_declaration" }
    over { "string_literal", "raw_string_literal", "char_literal", "token_tree", "inner_attribute_item" }
    fields {
        "argument", "body", "function", "field", "macro", "name", "parameters", "pattern", "return_type",
        "trait", "type", "type_parameters",
    }
}

/// The grammar of Rust.
pub(in crate::languages) struct RustGrammar;

/// The one value of it.
pub(in crate::languages) static GRAMMAR: RustGrammar = RustGrammar;

/// A body without these words is left out.
static BRACES: Braces = Braces {
    facts: LazyLock::new(|| {
        plain_words(&[
            "panic!", "assert", "unwrap()", "expect(", "fn ", "struct ", "enum ", "trait ", "impl ", "impl<",
            "macro_rules!", "///", "/**", "mod ",
        ])
    }),
    statements: &["if", "match", "while", "for", "in", "return", "let", "else", "break", "mut", "move"],
    heads: Heads::Words { words: &["fn"], part: &[], opens: |_| Opens::Typed },
    literals: (b"\"'", literals::rust),
    nested_comments: true,
    hash_comments: false,
    runs: true,
    parts: Some(&[]),
};

impl Grammar for RustGrammar {
    type Node = Rust;

    fn vocabulary(&self) -> &'static Vocabulary<Rust> {
        &VOCABULARY
    }

    fn serves(&self) -> &'static Language {
        &RUST
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        without_plain_bodies(Given::all(text), text, &BRACES)
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        plainer(text)
    }

    fn is_misread(&self, _root: Node<'_>, given: &str) -> bool {
        !macros::around_items(given).is_empty()
    }

    fn unmistakable<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        let blanks = macros::around_items(text);
        (!blanks.is_empty()).then(|| Given::with_blanks(text, &blanks))
    }

    fn comment(&self, text: &str) -> CommentForm {
        let line = |mark, doc| CommentForm { carrier: Carrier::Lines { mark }, doc };
        let block = |open, doc| CommentForm { carrier: Carrier::Block { open, close: "*/" }, doc };
        match text {
            // What stands inside documents what is around it.
            _ if text.starts_with("//!") => line("//!", Doc::Elsewhere),
            _ if text.starts_with("/*!") => block("/*!", Doc::Elsewhere),
            _ if text.starts_with("///") && !text.starts_with("////") => line("///", Doc::Yes),
            _ if text.starts_with("/**") && !text.starts_with("/***") && text.len() > 4 => {
                block("/**", Doc::Yes)
            }
            _ if text.starts_with("/*") => block("/*", Doc::No),
            _ => line("//", Doc::No),
        }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Rust>, node: Node<'t>, kind: Rust) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["tests"]));
        }
        match kind {
            Rust::Attribute => {
                let span = walk.span(node);
                walk.pending.push(span);
                return Next::Over;
            }
            Rust::Function => declare::function(walk, node),
            Rust::Struct | Rust::Enum | Rust::Union | Rust::Trait => declare::type_item(walk, node, kind),
            Rust::TypeItem | Rust::AssociatedType => {
                declare::alias(walk, node);
                return Next::Over;
            }
            Rust::Impl => declare::implementation(walk, node),
            Rust::Module => declare::module(walk, node),
            Rust::Const => {
                declare::constant(walk, node);
                if walk.field(node, "name").is_none_or(|name| walk.text(name) != "_") {
                    return Next::Over;
                }
                // What it holds without a name is there for its implementations: its items are local.
                walk.open(Scope::Barrier);
            }
            Rust::Field | Rust::Variant => declare::part(walk, node, kind),
            Rust::Macro => {
                declare::macro_rules(walk, node);
                return Next::Over;
            }
            Rust::Use => {
                declare::re_export(walk, node);
                return Next::Over;
            }
            Rust::Closure => walk.open(Scope::Barrier),
            Rust::Call => declare::call(walk, node),
            Rust::MacroCall => {
                declare::macro_call(walk, node);
                return Next::Over;
            }
            Rust::Block if !declare::is_function_body(walk, node) => walk.calls_left_out(node),
            Rust::Block => {
                walk.calls_left_out(node);
                // Arithmetic and bounds: any such operation may panic.
                if walk.text(node).bytes().any(|byte| matches!(byte, b'+' | b'-' | b'*' | b'/' | b'%' | b'['))
                {
                    walk.raises_unknown();
                }
                return skims(walk, node, &BRACES.facts);
            }
            Rust::FieldExpression => {}
            Rust::ConstParameter
            | Rust::FunctionModifiers
            | Rust::Generic
            | Rust::Identifier
            | Rust::Parameter
            | Rust::Parameters
            | Rust::RefPattern
            | Rust::SelfParameter
            | Rust::TypeParameter
            | Rust::TypeParameters
            | Rust::Variadic
            | Rust::Visibility => return Next::Over,
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Rust>) {
        declare::join_around_attributes(walk);
        declare::settle(walk);
        if is_program(walk.source.path()) {
            for declaration in &mut walk.outline.declarations {
                declaration.surface = Surface::Private;
            }
        }
    }
}

/// Tells whether a file is a program that nobody can call into: an example, a benchmark or what is run before the build
/// (The Cargo Book, "Package Layout").
fn is_program(path: &str) -> bool {
    let mut parts = path.split('/').take_while(|part| *part != "src").peekable();
    while let Some(part) = parts.next() {
        let is_file = parts.peek().is_none();
        if !is_file && matches!(part, "examples" | "benches") || is_file && part == "build.rs" {
            return true;
        }
    }
    false
}

/// Gives `text` with blanked what the grammar does not know: the rules of macros, which declare nothing, and the signs
/// of negative numbers among type arguments (`Range<-9, 9>`).
fn plainer(text: &str) -> Option<Given<'_>> {
    let mut blanks = Vec::new();
    let mut at = 0;
    while let Some(found) = text[at..].find("macro_rules!").map(|found| at + found) {
        at = found + "macro_rules!".len();
        let Some(open) = text[at..].find(['{', '(', '[']).map(|open| at + open) else { break };
        let mut depth = 0_usize;
        let closed = text.bytes().enumerate().skip(open).find(|&(_, byte)| {
            match byte {
                b'{' | b'(' | b'[' => depth += 1,
                b'}' | b')' | b']' => depth -= 1,
                _ => {}
            }
            depth == 0
        });
        let Some((close, _)) = closed else { break };
        blanks.push(open + 1..close);
        at = close;
    }
    let bytes = text.as_bytes();
    blanks.extend(memchr::memchr_iter(b'-', bytes).filter_map(|at| {
        let number = bytes.get(at + 1).is_some_and(u8::is_ascii_digit);
        let argument = text[..at].trim_end().ends_with(['<', ',']);
        (number && argument).then_some(at..at + 1)
    }));
    (!blanks.is_empty()).then(|| Given::with_blanks(text, &blanks))
}
