//! Lua (5.4) and Luau, by their reference manuals: one reader for both, because the second only adds types.
//!
//! What trips them up, each with a case under `tests/cases/lua` and `tests/cases/luau`: functions in
//! tables and with receivers, local functions, functions assigned to fields, what a module returns, later
//! export of a local, varargs, type annotations, blank lines, long brackets of any level.

mod declare;
mod kinds;
mod statements;

use std::sync::LazyLock;

use aho_corasick::AhoCorasick;

use self::kinds::Lua;
use crate::languages::shared::{is_test_path, plain_words, skims_calling};
use crate::model::{Carrier, Doc, NotationId};
use crate::reading::{
    CommentForm, CommentPlace, Demand, Given, Grammar, GrammarReader, Language, Next, Node, Owe, Scope,
    Vocabulary, Walk,
};

const ANNOTATIONS: &[NotationId] = &[NotationId::new("annotations")];

/// Lua.
pub(super) static LUA: Language = Language {
    endings: &[".lua"],
    notations: ANNOTATIONS,
    notation: NotationId::new("annotations"),
    demand: Demand::of(Owe::OnceStarted),
    untyped: true,
    ends_with_line: true,
    any_optional: true,
    carrier: Carrier::Lines { mark: "---" },
    remark: Carrier::Lines { mark: "--" },
    place: CommentPlace::DirectlyAbove,
    doc_mark: "---",
    literal_type,
    family: "lua",
    overloads: false,
    ..Language::of("lua", "Lua", &GrammarReader(&PLAIN))
};

/// Luau.
pub(super) static LUAU: Language = Language {
    endings: &[".luau"],
    notations: ANNOTATIONS,
    notation: NotationId::new("annotations"),
    demand: Demand::of(Owe::OnceStarted),
    untyped: true,
    ends_with_line: true,
    any_optional: true,
    carrier: Carrier::Lines { mark: "---" },
    remark: Carrier::Lines { mark: "--" },
    place: CommentPlace::DirectlyAbove,
    doc_mark: "---",
    literal_type,
    family: "lua",
    overloads: false,
    ..Language::of("luau", "Luau", &GrammarReader(&TYPED))
};

/// Names the type of a literal.
fn literal_type(text: &str) -> Option<&'static str> {
    match text.trim().chars().next()? {
        '"' | '\'' => Some("string"),
        '0'..='9' => Some("number"),
        '{' => Some("table"),
        _ => None,
    }
}

/// Gives the grammar a text in which `typeof(…)`, which it does not know for a type, is one name. Nothing when
/// there is none.
fn without_typeof(text: &str) -> Option<Given<'_>> {
    const WORD: &str = "typeof(";
    let mut bytes = text.as_bytes().to_vec();
    let mut changed = false;
    for (at, _) in text.match_indices(WORD) {
        let open = at + WORD.len() - 1;
        let mut depth = 0_usize;
        let close = bytes[open..].iter().position(|byte| {
            depth = depth + usize::from(*byte == b'(') - usize::from(*byte == b')');
            depth == 0
        });
        let Some(close) = close.map(|found| open + found) else { continue };
        for byte in bytes[open..=close].iter_mut().filter(|byte| !matches!(byte, b'\n' | b'\r')) {
            *byte = b'_';
        }
        changed = true;
    }
    let masked = String::from_utf8(bytes).ok().filter(|_| changed)?;
    Some(Given::replaced(masked))
}

/// A grammar of the two languages.
pub(in crate::languages) struct LuaGrammar {
    vocabulary: &'static Vocabulary<Lua>,
    serves: &'static Language,
}

/// Lua.
pub(in crate::languages) static PLAIN: LuaGrammar = LuaGrammar { vocabulary: &kinds::LUA, serves: &LUA };

/// Luau.
pub(in crate::languages) static TYPED: LuaGrammar = LuaGrammar { vocabulary: &kinds::LUAU, serves: &LUAU };

/// Marks of long comments, by level.
const LONG: &[(&str, &str)] =
    &[("--[[", "]]"), ("--[=[", "]=]"), ("--[==[", "]==]"), ("--[===[", "]===]"), ("--[====[", "]====]")];

/// What a statement in a body does not hold when nothing in it matters to callers.
static FACTS: LazyLock<AhoCorasick> = LazyLock::new(|| plain_words(&["function", "error", "--"]));

impl Grammar for LuaGrammar {
    type Node = Lua;

    fn vocabulary(&self) -> &'static Vocabulary<Lua> {
        self.vocabulary
    }

    fn serves(&self) -> &'static Language {
        self.serves
    }

    fn mask<'s>(&self, text: &'s str) -> Given<'s> {
        // Expressions of Luau may hold the words of statements without their end.
        match self.serves.id == LUA.id {
            true => statements::without_plain_statements(text),
            false => Given::all(text),
        }
    }

    fn plainer<'s>(&self, text: &'s str) -> Option<Given<'s>> {
        without_typeof(text)
    }

    fn comment(&self, text: &str) -> CommentForm {
        if let Some(&(open, close)) = LONG.iter().find(|(open, _)| text.starts_with(open)) {
            return CommentForm { carrier: Carrier::Block { open, close }, doc: Doc::IfAbove };
        }
        let mark = if text.starts_with("---") { "---" } else { "--" };
        let rest = text.trim_start_matches('-').trim_start();
        // `--!strict` speaks to the compiler, `--![scale](scale.png)` to readers.
        let to_compiler = |rest: &str| rest.starts_with(|c: char| c.is_ascii_lowercase());
        let directive = ["luacheck:", "stylua:", "selene:", "vim:"].iter().any(|word| rest.starts_with(word))
            || rest.strip_prefix('!').is_some_and(to_compiler);
        // A mark that says what the file is, is the file's.
        let file = ["@module", "@script", "@classmod", "@meta"].iter().any(|word| rest.starts_with(word));
        let doc = match () {
            () if directive => Doc::Directive,
            () if file => Doc::Elsewhere,
            () => Doc::IfAbove,
        };
        CommentForm { carrier: Carrier::Lines { mark }, doc }
    }

    fn enter<'t>(&self, walk: &mut Walk<'t, Lua>, node: Node<'t>, kind: Lua) -> Next {
        if walk.is_test.is_none() {
            walk.is_test = Some(is_test_path(walk.source.path(), &["*_spec", "*_test", "test_*"]));
        }
        match kind {
            Lua::Assignment | Lua::Call | Lua::Variables
                if walk.in_code() && skims_calling(walk, node, &FACTS) == Next::Over =>
            {
                return Next::Over;
            }
            Lua::Function => {
                declare::function(walk, node);
                walk.calls_left_out(node);
            }
            Lua::Assignment => declare::assignment(walk, node),
            Lua::Names => declare::bare_locals(walk, node),
            Lua::Field => declare::field(walk, node),
            Lua::FunctionValue => {
                if !walk.take_declared(node) {
                    walk.open(Scope::Barrier);
                }
                walk.calls_left_out(node);
            }
            Lua::TypeDefinition => {
                declare::type_definition(walk, node);
                return Next::Over;
            }
            Lua::Return => {
                declare::module(walk, node);
                declare::returned(walk, node);
            }
            Lua::Call => declare::call(walk, node),
            Lua::Parameters | Lua::TypeList => return Next::Over,
            Lua::Block
            | Lua::Dot
            | Lua::Identifier
            | Lua::List
            | Lua::MethodName
            | Lua::Parameter
            | Lua::Table
            | Lua::Vararg
            | Lua::Variables => {}
        }
        Next::Into
    }

    fn finish(&self, walk: &mut Walk<'_, Lua>) {
        declare::settle(walk);
    }
}
