//! JavaScript and TypeScript, by ECMA-262 and the TypeScript handbook: one reader for both, because the
//! second only adds to the first.
//!
//! What trips them up, each with a case under `tests/cases/javascript` and `tests/cases/typescript`:
//! functions bound to names, class fields, object literals, prototypes, every form of export, accessors,
//! private names, generators, destructured, default and rest parameters, `this`, overloads, signatures in
//! interfaces, function types, abstract and declared members, namespaces, parameter properties,
//! decorators, enumerations, types that mean nothing comes back, wrapped functions, free-standing
//! definitions, declaration files.

mod compiled;
mod declare;
mod exports;
mod flow;
mod kinds;
mod lexer;
mod links;
mod parameters;
mod plain;
mod quick;
mod statements;
mod types;

use std::cell::LazyCell;

use self::kinds::Script;
use crate::languages::shared::{block_form, is_test_path, opens_with_tag};
use crate::model::{Declaration, Dialect, Doc, Name, NotationId, Outline, Parameter};
use crate::reading::{
    Class, CommentForm, Demand, Examples, Given, Grammar, GrammarReader, Half, Halves, Language, Next, Node,
    Owe, Parsers, Reader, Token, Vocabulary, Walk, Wishes,
};
use crate::text::{Source, Span};

const TAGS: &[NotationId] = &[NotationId::new("tags")];

/// JavaScript.
pub(super) static JAVASCRIPT: Language = Language {
    endings: &[".js", ".mjs", ".cjs", ".jsx"],
    notations: TAGS,
    demand: Demand::of(Owe::BeyondSummary),
    untyped: true,
    ends_with_line: true,
    any_optional: true,
    overloads: false,
    dialect: Dialect::JavaScript,
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    well_known: types::WELL_KNOWN,
    members_of: types::MEMBERS,
    type_words: types::WORDS,
    literal_type: types::literal_type,
    family: "script",
    halves: Halves::Stubs(half),
    examples: Examples {
        fences: &["js", "javascript", "jsx"],
        around: &[("", ""), ("async () => {\n", "\n}"), ("class A {\n", "\n}"), ("x = {\n", "\n}")],
        ..Examples::NONE
    },
    ..Language::of("javascript", "JavaScript", &ByContent)
};

/// TypeScript.
pub(super) static TYPESCRIPT: Language = Language {
    endings: &[".ts", ".tsx", ".mts", ".cts", ".vue", ".svelte"],
    notations: TAGS,
    demand: Demand::of(Owe::BeyondSummary),
    // All signatures of a name are one member, and whoever overrides it may take less.
    overloads: false,
    dialect: Dialect::TypeScript,
    hierarchy: &types::HIERARCHY,
    ambient: types::AMBIENT,
    well_known: types::WELL_KNOWN,
    members_of: types::MEMBERS,
    type_words: types::WORDS,
    family: "script",
    halves: Halves::Stubs(half),
    examples: Examples {
        fences: &["ts", "typescript", "tsx", "js", "javascript"],
        around: &[
            ("", ""),
            ("async () => {\n", "\n}"),
            ("class A {\n", "\n}"),
            ("x = {\n", "\n}"),
            ("type A = ", ""),
        ],
        ..Examples::NONE
    },
    ..Language::of("typescript", "TypeScript", &ByEnding)
};

/// A declaration file stands beside the script that it declares (TypeScript handbook, "Declaration Files").
fn half(path: &str) -> Option<(&str, Half)> {
    let follows = [".d.ts", ".d.mts", ".d.cts"].iter().find_map(|ending| path.strip_suffix(ending));
    let leads = || [".js", ".mjs", ".cjs", ".jsx"].iter().find_map(|ending| path.strip_suffix(ending));
    follows.map(|stem| (stem, Half::Following)).or_else(|| leads().map(|stem| (stem, Half::Leading)))
}

/// A grammar of the two languages.
pub(in crate::languages) struct ScriptGrammar {
    vocabulary: &'static Vocabulary<Script>,
    serves: &'static Language,
}

/// JavaScript, with markup in it.
static JS: ScriptGrammar = ScriptGrammar { vocabulary: &kinds::JAVASCRIPT, serves: &JAVASCRIPT };

/// JavaScript with types in it, which a tool takes out before it runs (ECMAScript proposal "Type Annotations").
static ANNOTATED: ScriptGrammar = ScriptGrammar { vocabulary: &kinds::WITH_MARKUP, serves: &JAVASCRIPT };

/// TypeScript.
pub(in crate::languages) static TS: ScriptGrammar =
    ScriptGrammar { vocabulary: &kinds::TYPESCRIPT, serves: &TYPESCRIPT };

/// TypeScript with markup in it.
pub(in crate::languages) static TSX: ScriptGrammar =
    ScriptGrammar { vocabulary: &kinds::WITH_MARKUP, serves: &TYPESCRIPT };

/// Reads scripts, and those that have types in them, which no ending tells, with the grammar that knows them.
struct ByContent;

static JS_READER: GrammarReader<ScriptGrammar> = GrammarReader(&JS);

impl Reader for ByContent {
    fn read(&self, source: &Source, wishes: Wishes<'_>, parsers: &mut Parsers) -> Outline {
        // What has types in it is read so as well.
        if let Some(tree) = quick::build(source, source.text()) {
            let read = (tree, Given::all(source.text()));
            return GrammarReader(&ANNOTATED).read_built(source, wishes, read);
        }
        let plain = JS_READER.read(source, wishes, parsers);
        if plain.unparsed.is_empty() {
            return plain;
        }
        let annotated = GrammarReader(&ANNOTATED).read(source, wishes, parsers);
        if annotated.unparsed_bytes() < plain.unparsed_bytes() { annotated } else { plain }
    }

    fn tokens(&self, source: &Source, parsers: &mut Parsers) -> Vec<Token> {
        JS_READER.tokens(source, parsers)
    }

    fn stumbles(&self, text: &str, parsers: &mut Parsers) -> Option<usize> {
        if quick::accepts(text, false) {
            return None;
        }
        let plain = JS_READER.stumbles(text, parsers)?;
        GrammarReader(&ANNOTATED).stumbles(text, parsers).map(|other| other.max(plain))
    }

    fn classes(&self, source: &Source, parsers: &mut Parsers) -> Vec<(Span, Class)> {
        JS_READER.classes(source, parsers)
    }

    fn parse_only(&self, source: &Source, parsers: &mut Parsers) -> usize {
        JS_READER.parse_only(source, parsers)
    }
}

/// Reads `.tsx` with the grammar that knows markup: it cannot read some casts of plain TypeScript.
struct ByEnding;

static TS_READER: GrammarReader<ScriptGrammar> = GrammarReader(&TS);
static TSX_READER: GrammarReader<ScriptGrammar> = GrammarReader(&TSX);

impl ByEnding {
    fn reader(source: &Source) -> &'static dyn Reader {
        if source.path().to_ascii_lowercase().ends_with(".tsx") { &TSX_READER } else { &TS_READER }
    }
}

impl Reader for ByEnding {
    fn read(&self, source: &Source, wishes: Wishes<'_>, parsers: &mut Parsers) -> Outline {
        let given = scripts_in(source.text()).unwrap_or_else(|| Given::all(source.text()));
        match quick::build(source, given.text()) {
            Some(tree) => GrammarReader(&TSX).read_built(source, wishes, (tree, given)),
            None => Self::reader(source).read(source, wishes, parsers),
        }
    }

    fn tokens(&self, source: &Source, parsers: &mut Parsers) -> Vec<Token> {
        Self::reader(source).tokens(source, parsers)
    }

    fn stumbles(&self, text: &str, parsers: &mut Parsers) -> Option<usize> {
        if quick::accepts(text, true) {
            return None;
        }
        // What the one grammar cannot read the other may.
        let plain = GrammarReader(&TS).stumbles(text, parsers)?;
        GrammarReader(&TSX).stumbles(text, parsers).map(|other| other.max(plain))
    }

    fn classes(&self, source: &Source, parsers: &mut Parsers) -> Vec<(Span, Class)> {
        Self::reader(source).classes(source, parsers)
    }

    fn parse_only(&self, source: &Source, parsers: &mut Parsers) -> usize {
        Self::reader(source).parse_only(source, parsers)
    }
}

/// Tags of comments that define something by themselves: a named type, a callback, a file.
const FREE: &[&str] = &[
    "typedef", "callback", "file", "fileoverview", "overview", "packageDocumentation", "external",
    "namespace", "import",
];

/// Tags of comments that speak to the programs that read the file.
const PRAGMAS: &[&str] = &["jsx", "jsxRuntime", "jsxFrag", "jsxImportSource", "flow", "jest"];

/// Tells whether a comment describes a module: what is called, with parameters or a value, is none.
fn describes_module(text: &str) -> bool {
    opens_with_tag(text, &["module"]) && !opens_with_tag(text, &["param", "return", "returns"])
}

/// Tells whether a comment describes an event, `@event Press#full`, which stands for nothing below. Several, or one with
/// words behind it, are what the declaration below gives off.
fn describes_event(text: &str) -> bool {
    if memchr::memmem::find(text.as_bytes(), b"@event").is_none() {
        return false;
    }
    let events =
        text.lines().filter_map(|line| line.trim_start_matches([' ', '\t', '*', '/']).strip_prefix("@event"));
    let mut events = events.map(str::trim).filter(|name| !name.contains('`'));
    events.next().is_some_and(|name| name.split_whitespace().count() == 1) && events.next().is_none()
}

/// Gives the scripts of a single-file component: the markup around them is blanked. Nothing where the text is none.
fn scripts_in(text: &str) -> Option<Given<'_>> {
    if !(text.trim_start().starts_with('<') && text.contains("<script")) {
        return None;
    }
    let mut blanks = Vec::new();
    let mut at = 0;
    while let Some(open) = text[at..].find("<script").map(|found| at + found) {
        let Some(start) = text[open..].find('>').map(|found| open + found + 1) else { break };
        let end = text[start..].find("</script").map_or(text.len(), |found| start + found);
        blanks.push(at..start);
        at = end;
    }
    blanks.push(at..text.len());
    Some(Given::with_blanks(text, &blanks))
}

impl Grammar for ScriptGrammar {
    type Node = Script;

    fn vocabulary(&self) -> &'static Vocabulary<Script> {
        self.vocabulary
    }

    fn serves(&self) -> &'static Language {
        self.serves
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        if let Some(scripts) = scripts_in(text) {
            return scripts;
        }
        // The grammar does not know these forms yet, of which nothing is declared here.
        let finder = memchr::memmem::Finder::new("port type *");
        let blanks: Vec<_> = finder.find_iter(text.as_bytes()).map(|at| at + 5..at + 9).collect();
        match blanks.is_empty() {
            true => statements::without_plain_statements(text, self.serves.id == TYPESCRIPT.id),
            false => Given::with_blanks(text, &blanks),
        }
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        plain::without_what_is_new(text, self.serves.id == TYPESCRIPT.id)
    }

    fn comment(&self, text: &str) -> CommentForm {
        let mut form = block_form(text);
        // Three slashes are directives here, never documentation.
        if !text.starts_with("/*") {
            let mark = if text.starts_with("/// ") { "///" } else { "//" };
            form = CommentForm { carrier: crate::model::Carrier::Lines { mark }, doc: Doc::No };
        }
        if form.doc == Doc::Yes
            && (opens_with_tag(text, FREE)
                || opens_with_tag(text, PRAGMAS)
                || describes_module(text)
                || describes_event(text))
        {
            form.doc = Doc::Elsewhere;
        }
        form
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Script>, node: Node<'t>, kind: Script) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test(walk.source.path()));
        }
        match kind {
            Script::Class => declare::class(walk, node),
            Script::Interface | Script::Enum => declare::type_declaration(walk, node, kind),
            Script::TypeAlias => declare::type_alias(walk, node),
            Script::Function | Script::FunctionSignature => declare::function(walk, node, kind),
            Script::FunctionValue | Script::Arrow => return declare::function_value(walk, node, kind),
            Script::Method | Script::MethodSignature => declare::method(walk, node, kind),
            Script::CallSignature | Script::ConstructSignature => declare::signature(walk, node, kind),
            Script::Field | Script::PropertySignature => declare::field(walk, node, kind),
            Script::EnumBody => declare::enum_members(walk, node),
            // Local variables that hold nothing to declare.
            Script::Variables
                if walk.in_code() && !documented_before(walk, node) && flow::skims(walk, node, "=>") =>
            {
                return Next::Over;
            }
            Script::Variables => declare::variables(walk, node),
            Script::Pair => declare::pair(walk, node),
            Script::Object => declare::object(walk, node),
            Script::Assignment => exports::assignment(walk, node),
            Script::Export => exports::export(walk, node),
            Script::Namespace => declare::namespace(walk, node),
            Script::Import => {
                walk.is_module = true;
                let separator = walk.span(node);
                walk.outline.separators.push(separator);
                links::import(walk, node);
                return Next::Over;
            }
            Script::Return => {
                flow::returns(walk, node);
                if flow::skims(walk, node, "=>") {
                    return Next::Over;
                }
            }
            Script::ExpressionStatement if flow::skims(walk, node, "=") => return Next::Over,
            Script::Yield => flow::yields(walk, node),
            Script::Throw => flow::throws(walk, node),
            Script::Try => flow::tries(walk, node),
            Script::Catch => flow::handles(walk, node),
            Script::If => crate::languages::shared::note_guard(walk, node, Script::Throw, Script::Block),
            Script::Call | Script::New | Script::Await => {
                walk.calls();
                if flow::skims(walk, node, "=") {
                    return Next::Over;
                }
            }
            Script::Member | Script::Parenthesized if flow::skims(walk, node, "=") => return Next::Over,
            Script::Block => walk.calls_left_out(node),
            Script::TypeParameters
            | Script::Parameters
            | Script::Heritage
            | Script::Decorator
            | Script::Annotation => return Next::Over,
            Script::Ambient
            | Script::ArrayPattern
            | Script::AssignmentPattern
            | Script::Declarator
            | Script::ExportClause
            | Script::ExportSpecifier
            | Script::ExpressionStatement
            | Script::Extends
            | Script::FunctionType
            | Script::Identifier
            | Script::Implements
            | Script::Member
            | Script::Modifier
            | Script::ObjectPattern
            | Script::OptionalParameter
            | Script::Override
            | Script::Parenthesized
            | Script::RequiredParameter
            | Script::RestPattern
            | Script::Shorthand
            | Script::TypeParameter => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Script>) {
        exports::settle(walk);
        doubt_mangled(walk);
        doubt_bundled(walk);
    }
}

/// Takes the signatures as not known whose parameters a bundling program gave numbers, so that names of several files do
/// not meet: `crate2`, `crate$1`.
fn doubt_bundled(walk: &mut Walk<'_, Script>) {
    // What such programs put at the top of what they write.
    const HELPERS: &[&str] = &[
        "__defProp = Object.defineProperty",
        "__publicField(",
        "__commonJS(",
        "__toESM(",
        "function(exports2",
        "/* @__PURE__ */",
    ];
    let text = walk.source.text().as_bytes();
    let is_bundle = LazyCell::new(|| {
        HELPERS.iter().any(|helper| memchr::memmem::find(text, helper.as_bytes()).is_some())
    });
    let is_numbered = |name: &Name| {
        let bare = name.as_str().trim_end_matches(|c: char| c.is_ascii_digit());
        bare.len() < name.as_str().len() && (bare.ends_with('$') || *is_bundle)
    };
    for declaration in &mut walk.outline.declarations {
        if declaration.signature.parameters.iter().filter_map(Parameter::named).any(is_numbered) {
            declaration.signature.hidden = true;
        }
    }
}

/// Takes the signatures of a file as not known where a program shortened the names of parameters to single letters, as
/// most of a file's are then: its comments speak of the names that people wrote.
fn doubt_mangled(walk: &mut Walk<'_, Script>) {
    let of_letters = |declaration: &Declaration| {
        let mut names = declaration.signature.parameters.iter().filter_map(Parameter::named).peekable();
        names.peek().is_some() && names.all(|name| name.as_str().len() <= 2)
    };
    let taking =
        |declaration: &&Declaration| declaration.signature.parameters.iter().any(|p| p.named().is_some());
    let all = walk.outline.declarations.iter().filter(taking).count();
    let short = walk.outline.declarations.iter().filter(|declaration| of_letters(declaration)).count();
    if short < 20 || short * 2 < all || !speaks_of_words(walk) {
        return;
    }
    for declaration in &mut walk.outline.declarations {
        if of_letters(declaration) {
            declaration.signature.hidden = true;
        }
    }
}

/// Tells whether the entries for parameters in a file's comments name words, hardly ever single letters.
fn speaks_of_words(walk: &Walk<'_, Script>) -> bool {
    let (mut words, mut letters) = (0, 0);
    for line in walk.outline.comments.iter().filter(|comment| comment.doc).flat_map(|comment| &comment.lines)
    {
        let Some(entry) = walk.source.slice(*line).trim_start().strip_prefix("@param ") else { continue };
        let entry = entry.trim_start();
        let name =
            if entry.starts_with('{') { entry.rsplit_once("} ").map_or("", |(_, name)| name) } else { entry };
        let name = name.trim_start_matches('[').split(|c: char| !(c.is_alphanumeric() || c == '_')).next();
        match name.map_or(0, str::len) {
            0 => {}
            1 | 2 => letters += 1,
            _ => words += 1,
        }
    }
    words > letters * 4
}

/// Tells whether a file is a test's, by its path.
fn is_test(path: &str) -> bool {
    [".test.", ".spec.", "/__tests__/"].iter().any(|part| path.contains(part)) || is_test_path(path, &[])
}

fn documented_before(walk: &Walk<'_, Script>, node: Node<'_>) -> bool {
    declare::is_documented(walk, walk.span(node).start)
}

impl Walk<'_, Script> {
    /// Tells whether a body uses the object that holds all arguments.
    fn uses_arguments(&self, node: Node<'_>) -> bool {
        memchr::memmem::find(self.text(node).as_bytes(), b"arguments").is_some()
    }
}
