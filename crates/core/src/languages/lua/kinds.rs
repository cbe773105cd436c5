//! Node kinds and fields of the grammars of Lua and Luau that are asked about.

use crate::reading::{Vocabulary, kinds};

kinds! {
    Lua of tree_sitter_luau::LANGUAGE;
    ask {
        Assignment = "assignment_statement",
        Block = "block",
        Call = "function_call",
        Dot = "dot_index_expression" | "bracket_index_expression",
        Field = "field",
        Function = "function_declaration",
        FunctionValue = "function_definition",
        Identifier = "identifier",
        List = "expression_list",
        MethodName = "method_index_expression",
        Names = "variable_list",
        Parameter = "parameter",
        Parameters = "parameters",
        Return = "return_statement",
        Table = "table_constructor",
        TypeDefinition = "type_definition",
        TypeList = "generic_type_list",
        Vararg = "vararg_expression",
        Variables = "variable_declaration",
    }
    comment { "comment", "hash_bang_line" }
    separator { }
    over { "string", "number" }
    fields { "arguments", "body", "field", "method", "name", "parameters", "table", "value" }
}

/// Luau.
pub(in crate::languages) use VOCABULARY as LUAU;

/// Lua: its grammar has fewer kinds, under the same names.
pub(in crate::languages) static LUA: Vocabulary<Lua> =
    Vocabulary::new(|| tree_sitter_lua::LANGUAGE.into(), NAMES, FIELDS);
