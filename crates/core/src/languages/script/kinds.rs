//! Node kinds and fields of the grammars of JavaScript and TypeScript that are asked about.

use crate::reading::{Action, Vocabulary, kinds};

kinds! {
    Script of tree_sitter_typescript::LANGUAGE_TYPESCRIPT;
    ask {
        Ambient = "ambient_declaration",
        Annotation = "type_annotation",
        ArrayPattern = "array_pattern",
        Arrow = "arrow_function",
        Assignment = "assignment_expression",
        AssignmentPattern = "assignment_pattern",
        Await = "await_expression",
        Block = "statement_block",
        Call = "call_expression",
        CallSignature = "call_signature",
        Catch = "catch_clause",
        Class = "class_declaration" | "abstract_class_declaration" | "class",
        ConstructSignature = "construct_signature",
        Declarator = "variable_declarator",
        Decorator = "decorator",
        Enum = "enum_declaration",
        EnumBody = "enum_body",
        Export = "export_statement",
        ExportClause = "export_clause",
        ExportSpecifier = "export_specifier",
        ExpressionStatement = "expression_statement",
        Extends = "extends_clause" | "extends_type_clause",
        Field = "public_field_definition",
        Function = "function_declaration" | "generator_function_declaration",
        FunctionSignature = "function_signature",
        FunctionType = "function_type",
        FunctionValue = "function_expression" | "generator_function",
        Heritage = "class_heritage",
        Identifier = "identifier" | "property_identifier" | "private_property_identifier" | "type_identifier",
        If = "if_statement",
        Implements = "implements_clause",
        Import = "import_statement",
        Interface = "interface_declaration",
        Member = "member_expression",
        Method = "method_definition",
        MethodSignature = "method_signature" | "abstract_method_signature",
        Modifier = "accessibility_modifier",
        Namespace = "internal_module" | "module",
        New = "new_expression",
        Object = "object",
        ObjectPattern = "object_pattern",
        OptionalParameter = "optional_parameter",
        Override = "override_modifier",
        Pair = "pair",
        Parameters = "formal_parameters",
        Parenthesized = "parenthesized_expression" | "as_expression" | "satisfies_expression" | "non_null_expression",
        PropertySignature = "property_signature",
        RequiredParameter = "required_parameter",
        RestPattern = "rest_pattern",
        Return = "return_statement",
        Shorthand = "shorthand_property_identifier",
        Throw = "throw_statement",
        Try = "try_statement",
        TypeAlias = "type_alias_declaration",
        TypeParameter = "type_parameter",
        TypeParameters = "type_parameters",
        Variables = "lexical_declaration" | "variable_declaration",
        Yield = "yield_expression",
    }
    comment { "comment", "html_comment" }
    separator { }
    over { "string", "template_string", "regex", "number" }
    fields {
        "alias", "alternative", "arguments", "body", "condition", "consequence", "constructor", "declaration",
        "finalizer", "function", "handler", "key", "left", "name", "object", "parameter", "parameters",
        "pattern", "property", "return_type", "right", "source", "type", "type_parameters", "value",
    }
}

/// TypeScript without markup.
pub(in crate::languages) use VOCABULARY as TYPESCRIPT;

/// TypeScript with markup.
pub(in crate::languages) static WITH_MARKUP: Vocabulary<Script> =
    Vocabulary::new(|| tree_sitter_typescript::LANGUAGE_TSX.into(), NAMES, FIELDS);

/// JavaScript: its grammar has fewer kinds, under the same names.
pub(in crate::languages) static JAVASCRIPT: Vocabulary<Script> =
    Vocabulary::new(|| tree_sitter_javascript::LANGUAGE.into(), NAMES, FIELDS)
        .with(&[("field_definition", Action::Ask(Script::Field))]);
