//! C and C++, by ISO C (C23) and ISO C++ (C++23): one reader for both, because the second mostly adds to
//! the first.
//!
//! What trips them up, each with a case under `tests/cases/c` and `tests/cases/cpp`: macros around
//! declarations, conventions, conditions inside declarations, unnamed and `void` parameters, function
//! pointers, definitions of the oldest form, function-like macros, callbacks, comments behind members and
//! parameters, groups and free-standing commands, templates, special members, operators, definitions out of
//! their class, name spaces, trailing return types, concepts, deprecation.

mod bodies;
mod capitals;
mod declare;
mod directives;
mod flow;
mod forms;
mod heads;
mod hidden;
mod kinds;
mod labels;
mod lexer;
mod lists;
mod marks;
mod mask;
mod parameters;
mod plain;
mod small;
mod spare;
mod stumbles;
mod templates;
mod types;
mod values;
mod words;

use self::kinds::C;
use self::lexer::{Lexeme, Sort};
use self::mask::Plainer;
use crate::languages::shared::{is_doc_block, is_test_path, join, line_between, take_out};
use crate::model::{Carrier, Doc, NotationId, Outline};
use crate::reading::{
    Class, CommentForm, Demand, Deprecation, Given, Grammar, GrammarReader, Halves, Language, Next, Node,
    Owe, Parsers, Reader, Scope, Token, Vocabulary, Walk, Wishes, commands_in, leaves_out,
};
use crate::text::{Source, Span};

/// Where the elements of C# are the custom, in C++ as well, they are read as such.
const NOTATIONS: &[NotationId] = &[NotationId::new("commands"), NotationId::new("xml")];

/// C.
pub(super) static C: Language = Language {
    endings: &[".c", ".h"],
    notations: NOTATIONS,
    notation: NotationId::new("commands"),
    demand: Demand::of(Owe::BeyondSummary),
    generic: false,
    type_words: types::WORDS,
    halves: Halves::Headers(declare::is_header),
    family: "c",
    deprecation: Deprecation { comment_follows: true, code_follows: false },
    ..Language::of("c", "C", &FamilyReader(&PLAIN_READER))
};

/// C++.
pub(super) static CPP: Language = Language {
    endings: &[".cpp", ".cc", ".cxx", ".c++", ".hpp", ".hh", ".hxx", ".h++", ".ipp", ".inl", ".tpp", ".ixx"],
    notations: NOTATIONS,
    notation: NotationId::new("commands"),
    demand: Demand::of(Owe::BeyondSummary),
    deprecation: Deprecation { comment_follows: true, code_follows: false },
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    type_words: types::WORDS,
    halves: Halves::Headers(declare::is_header),
    family: "c",
    ..Language::of("cpp", "C++", &FamilyReader(&PLUS_READER))
};

/// A grammar of the two languages.
pub(in crate::languages) struct FamilyGrammar {
    vocabulary: &'static Vocabulary<C>,
    serves: &'static Language,
    is_cpp: bool,
}

/// C.
pub(in crate::languages) static PLAIN: FamilyGrammar =
    FamilyGrammar { vocabulary: &kinds::PLAIN, serves: &C, is_cpp: false };

/// C++.
pub(in crate::languages) static PLUS: FamilyGrammar =
    FamilyGrammar { vocabulary: &kinds::PLUS, serves: &CPP, is_cpp: true };

static PLAIN_READER: GrammarReader<FamilyGrammar> = GrammarReader(&PLAIN);
static PLUS_READER: GrammarReader<FamilyGrammar> = GrammarReader(&PLUS);

/// Reads by the grammar, and tells the tokens outside comments by the lexemes alone: what macros make of the
/// text does not matter to them.
struct FamilyReader(&'static GrammarReader<FamilyGrammar>);

impl Reader for FamilyReader {
    fn read(&self, source: &Source, wishes: Wishes<'_>, parsers: &mut Parsers) -> Outline {
        self.0.read(source, wishes, parsers)
    }

    fn tokens(&self, source: &Source, _parsers: &mut Parsers) -> Vec<Token> {
        let lexemes = lexer::lex(source.text()).into_iter().filter(|lexeme| lexeme.sort != Sort::Comment);
        lexemes.map(|lexeme| Token { kind: 0, span: Span::of(lexeme.start, lexeme.end) }).collect()
    }

    fn stumbles(&self, text: &str, parsers: &mut Parsers) -> Option<usize> {
        self.0.stumbles(text, parsers)
    }

    fn classes(&self, source: &Source, parsers: &mut Parsers) -> Vec<(Span, Class)> {
        self.0.classes(source, parsers)
    }

    fn parse_only(&self, source: &Source, parsers: &mut Parsers) -> usize {
        self.0.parse_only(source, parsers)
    }
}

/// Tells whether what an angle bracket opens is part of a type: `list<crate> weighed(`, `list<crate> *`. No comparison goes
/// on so.
fn is_list_type<'t>(lexemes: &[Lexeme], at: usize, word: &dyn Fn(usize) -> &'t str) -> bool {
    let is = |at: usize, signs: &[u8]| lexemes.get(at).is_some_and(|next| signs.iter().any(|&s| next.is(s)));
    if at == 0 || word(at - 1).is_empty() || word(at + 1).is_empty() || !is(at + 2, b">") {
        return false;
    }
    let named = !word(at + 3).is_empty();
    // `typedef list<crate> crates;`, `list<crate> crates;` where a declaration begins.
    let begins = at > 1 && (word(at - 2) == "typedef" || is(at - 2, b";{}:"));
    is(at + 3, b"*&") || (named && (is(at + 4, b"(") || (begins && is(at + 4, b";"))))
}

/// Tells whether the sign of a reference stands with its type in a list of parameters: `(Scale& scale,`.
fn is_reference<'t>(lexemes: &[Lexeme], at: usize, word: &dyn Fn(usize) -> &'t str) -> bool {
    let joined = at > 1 && !word(at - 1).is_empty() && lexemes[at - 1].end == lexemes[at].start;
    let apart = lexemes.get(at + 1).is_some_and(|next| next.start > lexemes[at].end);
    joined
        && apart
        && !word(at + 1).is_empty()
        && matches!(lexemes[at - 2].sort, Sort::Sign(b'(' | b','))
        && lexemes.get(at + 2).is_some_and(|next| next.is(b',') || next.is(b')'))
}

/// Tells whether the sign of a reference stands in the list of a function that is declared, its type named and its line
/// ended: `void weigh(const Scale &scale, Load &load);`. In C a call could look like its list, and never like its head.
fn is_reference_of_prototype<'t>(lexemes: &[Lexeme], at: usize, word: &dyn Fn(usize) -> &'t str) -> bool {
    let listed = at > 3
        && !word(at - 1).is_empty()
        && matches!(lexemes[at - 2].sort, Sort::Sign(b'(' | b','))
        && !word(at + 1).is_empty()
        && lexemes.get(at + 2).is_some_and(|next| next.is(b',') || next.is(b')'));
    let plain =
        |at: &usize| !word(*at).is_empty() || matches!(lexemes[*at].sort, Sort::Sign(b'*' | b'&' | b','));
    let open = || (1..at - 1).rev().take(60).find(|at| !plain(at)).filter(|&at| lexemes[at].is(b'('));
    let close = || (at + 2..lexemes.len()).take(60).find(|at| !plain(at)).filter(|&at| lexemes[at].is(b')'));
    let heads = |open: usize| {
        let ty = open.checked_sub(2).map_or("", word);
        let begins = open < 3
            || matches!(
                lexemes[open - 3].sort,
                Sort::Sign(b';' | b'}' | b'{') | Sort::Directive | Sort::Comment
            );
        begins
            && !word(open - 1).is_empty()
            && !ty.is_empty()
            && !matches!(ty, "return" | "else" | "case" | "goto")
    };
    let ends = |close: usize| lexemes.get(close + 1).is_some_and(|next| next.is(b';') || next.is(b'{'));
    listed && open().is_some_and(heads) && close().is_some_and(ends)
}

/// Tells whether a header, whose ending both languages have, is one of C++.
pub(super) fn is_cpp_header(text: &str) -> bool {
    let lexemes = lexer::lex(text);
    let word = |at: usize| {
        lexemes.get(at).filter(|lexeme| lexeme.sort == Sort::Word).map_or("", |found| &text[found.range()])
    };
    let is_evidence = |at: usize| match lexemes[at].sort {
        Sort::Word => match &text[lexemes[at].range()] {
            "namespace" | "class" | "typename" | "constexpr" | "nullptr" | "virtual" | "explicit"
            | "friend" => !word(at + 1).is_empty(),
            "template" => lexemes.get(at + 1).is_some_and(|next| next.is(b'<')),
            "public" | "private" | "protected" => lexemes.get(at + 1).is_some_and(|next| next.is(b':')),
            // `struct Scale : Device`; C has nothing but bits behind a colon there, and a name before them.
            "struct" | "union" => {
                let derives = lexemes.get(at + 2).is_some_and(|next| next.is(b':'))
                    && word(at + 3).starts_with(|c: char| c.is_alphabetic() || c == '_');
                // A macro may stand before the name.
                let named = if word(at + 2).is_empty() { at + 1 } else { at + 2 };
                !word(at + 1).is_empty() && (derives || constructs(&lexemes, named, word(named), &word))
            }
            // `const Scale &scale`
            "const" => {
                !word(at + 1).is_empty()
                    && lexemes.get(at + 2).is_some_and(|next| next.is(b'&'))
                    && !word(at + 3).is_empty()
            }
            // `int &litres`
            ty if words::TYPES.contains(&ty) => {
                lexemes.get(at + 1).is_some_and(|next| next.is(b'&')) && !word(at + 2).is_empty()
            }
            _ => false,
        },
        Sort::Sign(b'<') => is_list_type(&lexemes, at, &word),
        Sort::Sign(b'&') => {
            is_reference(&lexemes, at, &word) || is_reference_of_prototype(&lexemes, at, &word)
        }
        // `~Scale()` where a member begins.
        Sort::Sign(b'~') => {
            let begins = at > 0
                && (matches!(lexemes[at - 1].sort, Sort::Sign(b';' | b'{' | b'}' | b':'))
                    || word(at - 1) == "virtual");
            begins && !word(at + 1).is_empty() && lexemes.get(at + 2).is_some_and(|next| next.is(b'('))
        }
        // A default, `int base = 10);`, which C has not.
        Sort::Sign(b'=') => {
            let pointed = at > 2 && lexemes[at - 2].is(b'*') && !word(at - 3).is_empty();
            let declared = at > 1 && !word(at - 1).is_empty() && (!word(at - 2).is_empty() || pointed);
            let value =
                lexemes.get(at + 1).is_some_and(|next| matches!(next.sort, Sort::Number | Sort::Word));
            let ends = |ahead: usize, sign: u8| lexemes.get(at + ahead).is_some_and(|next| next.is(sign));
            declared && value && ends(2, b')') && (ends(3, b';') || ends(3, b':') || ends(3, b'{'))
        }
        // `name::name`, unless it is an attribute of C: `[[gnu::pure]]`.
        Sort::Sign(b':') => {
            let qualifies = at > 1 && !word(at - 1).is_empty() && !lexemes[at - 2].is(b'[');
            qualifies && lexemes.get(at + 1).is_some_and(|next| next.is(b':')) && !word(at + 2).is_empty()
        }
        Sort::Directive => {
            // A header of the standard library without an ending.
            let line = text[lexemes[at].range()].trim_start_matches('#').trim_start();
            let included = line.strip_prefix("include").unwrap_or_default().trim_start();
            included.starts_with('<') && !included.contains(".h")
        }
        _ => false,
    };
    // What is only there for C++ behind a guard makes no header of C++, unless it declares types and namespaces.
    let declares = ["class ", "namespace ", "template <", "template<"];
    let all_counts = text.lines().any(|line| declares.iter().any(|word| line.trim_start().starts_with(word)));
    // For each condition that is open, whether it is for C++ alone.
    let mut guards: Vec<bool> = Vec::new();
    (0..lexemes.len()).any(|at| {
        if lexemes[at].sort == Sort::Directive {
            let line = text[lexemes[at].range()].trim_start_matches('#').trim_start();
            if line.starts_with("if") {
                guards.push(line.contains("__cplusplus") && !line.starts_with("ifndef"));
            } else if line.starts_with("endif") {
                guards.pop();
            } else if let (true, Some(guard)) = (line.starts_with("el"), guards.last_mut()) {
                *guard = false;
            }
        }
        (all_counts || !guards.contains(&true)) && is_evidence(at)
    })
}

/// Tells whether a type, which is named at `at`, has a constructor among its members.
fn constructs<'t>(lexemes: &[Lexeme], at: usize, name: &str, word: &impl Fn(usize) -> &'t str) -> bool {
    let mut depth = 0_usize;
    for inner in at + 1..lexemes.len() {
        match lexemes[inner].sort {
            Sort::Sign(b'{') => depth += 1,
            Sort::Sign(b'}') => depth = depth.saturating_sub(1),
            Sort::Word if depth == 1 && word(inner) == name => {
                let begins = matches!(lexemes[inner - 1].sort, Sort::Sign(b';' | b'{' | b'}'));
                if begins && lexemes.get(inner + 1).is_some_and(|next| next.is(b'(')) {
                    return true;
                }
            }
            _ => {}
        }
        if depth == 0 {
            return false;
        }
    }
    false
}

/// Tells whether a header is one of Fortran, whose comments begin with `!`.
pub(super) fn is_fortran(text: &str) -> bool {
    text.lines()
        .find(|line| !line.trim().is_empty())
        .is_some_and(|line| line.starts_with("! ") || line.starts_with("!*") || line == "!")
}

/// Tells whether a header is one of Objective-C, which adds lines that begin with `@` or import, and blocks.
pub(super) fn is_objective_c(text: &str) -> bool {
    // Most headers have no sign of it at all.
    let sign = memchr::memchr2(b'@', b'^', text.as_bytes()).is_some() || text.contains("#import");
    sign && lexer::lex(text).iter().any(|lexeme| {
        let (from, rest) = (lexeme.start, &text[lexeme.start..]);
        match lexeme.sort {
            Sort::Directive => {
                text[lexeme.range()].trim_start_matches('#').trim_start().starts_with("import")
            }
            Sort::Word => {
                let word = &text[lexeme.range()];
                let marked =
                    matches!(word, "interface" | "protocol" | "class" | "import" | "implementation" | "end");
                (marked && text[..from].ends_with('@'))
                    || matches!(word, "NS_ENUM" | "NS_OPTIONS" | "NS_ASSUME_NONNULL_BEGIN")
            }
            // A block: `void (^done)(int)`.
            Sort::Sign(b'(') => rest[1..].starts_with('^'),
            _ => false,
        }
    })
}

/// Commands of comments that document something else than what stands below them.
const FREE: &[&str] = &[
    "file", "defgroup", "addtogroup", "weakgroup", "page", "subpage", "mainpage", "dir", "example", "name",
    "section", "namespace", "{", "}",
];

/// Tells whether a comment opens with a command that documents something else.
fn is_free(text: &str) -> bool {
    let mut opened = commands_in(text);
    // With a colon it is the name of a parameter: `@file: the file`.
    opened.any(|(word, rest)| FREE.contains(&word) && !rest.trim_start().starts_with(':')) || leaves_out(text)
}

impl Grammar for FamilyGrammar {
    type Node = C;

    fn vocabulary(&self) -> &'static Vocabulary<C> {
        self.vocabulary
    }

    fn serves(&self) -> &'static Language {
        self.serves
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        mask::mask(text, self.is_cpp, &Plainer::Nowhere)
    }

    fn mask_again<'s>(&self, text: &'s str, errors: &[Span], attempt: usize) -> Option<Given<'s>> {
        if errors.is_empty() {
            return None;
        }
        // What is made plainer may not be read better: first only what the grammar stumbled over.
        let plainer = if attempt < 3 { Plainer::at(errors) } else { Plainer::Everywhere };
        Some(mask::mask(text, self.is_cpp, &plainer))
    }

    fn comment(&self, text: &str) -> CommentForm {
        let line = |mark, doc| CommentForm { carrier: Carrier::Lines { mark }, doc };
        let block = |open, doc| CommentForm { carrier: Carrier::Block { open, close: "*/" }, doc };
        let free = |doc| if is_free(text) { Doc::Elsewhere } else { doc };
        match text {
            _ if text.starts_with("///<") => line("///<", Doc::Back),
            _ if text.starts_with("//!<") => line("//!<", Doc::Back),
            _ if text.starts_with("/**<") => block("/**<", Doc::Back),
            _ if text.starts_with("/*!<") => block("/*!<", Doc::Back),
            _ if text.starts_with("///") && !text.starts_with("////") => line("///", free(Doc::Yes)),
            _ if text.starts_with("//!") => line("//!", free(Doc::Yes)),
            _ if text.starts_with("/*!") => block("/*!", free(Doc::Yes)),
            _ if is_doc_block(text) => block("/**", free(Doc::Yes)),
            _ if text.starts_with("/*") => block("/*", Doc::No),
            _ => line("//", Doc::No),
        }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, C>, node: Node<'t>, kind: C) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(
                walk.source.path(),
                &["*_test", "*_tests", "*_unittest", "test_*", "*Test"],
            ));
        }
        match kind {
            C::Function => declare::function(walk, node),
            C::Declaration | C::FieldDeclaration => declare::declaration(walk, node),
            C::TypeDefinition => declare::type_definition(walk, node),
            C::Type => declare::type_specifier(walk, node),
            C::Enum => declare::enumeration(walk, node),
            C::Enumerator => {
                declare::enumerator(walk, node);
                return Next::Over;
            }
            C::Alias | C::Concept => {
                declare::alias(walk, node);
                return Next::Over;
            }
            C::FunctionMacro => {
                declare::function_macro(walk, node);
                return Next::Over;
            }
            C::Macro => {
                declare::object_macro(walk, node);
                return Next::Over;
            }
            C::Namespace => declare::namespace(walk, node),
            C::Access => declare::access(walk, node),
            C::Lambda => walk.open(Scope::Barrier),
            C::Throw => flow::throws(walk, node),
            C::Conditional => flow::throws_inside(walk, node),
            C::Try => flow::tries(walk, node),
            C::Catch => flow::handles(walk, node),
            C::If => flow::guard(walk, node),
            C::Call => walk.calls(),
            C::Block => walk.calls_left_out(node),
            C::TemplateParameters | C::TemplateTemplate | C::Bases => return Next::Over,
            C::Abstract
            | C::Array
            | C::ConditionClause
            | C::Default
            | C::Destructor
            | C::FunctionDeclarator
            | C::Identifier
            | C::Initialised
            | C::Literal
            | C::OperatorCast
            | C::OperatorName
            | C::Parameter
            | C::Parameters
            | C::Parenthesized
            | C::Pointer
            | C::Qualified
            | C::Reference
            | C::Statement
            | C::Storage
            | C::Template
            | C::TemplateName
            | C::TrailingReturn
            | C::TypeParameter
            | C::VirtualSpecifier => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, C>) {
        join_over_empty_lines(walk);
        declare::settle(walk);
        hidden::hide(walk);
    }
}

/// A line of two slashes between lines of documentation is an empty line of it.
fn join_over_empty_lines(walk: &mut Walk<'_, C>) {
    let mut at = 0;
    while at + 2 < walk.outline.comments.len() {
        if line_between((&walk.outline, walk.source), at, |text| text == "//") {
            take_out(&mut walk.outline, at + 1);
            join(&mut walk.outline, at);
        } else {
            at += 1;
        }
    }
}
