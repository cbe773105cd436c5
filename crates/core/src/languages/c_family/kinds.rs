//! Node kinds and fields of the grammars of C and C++ that are asked about.

use crate::reading::{Vocabulary, kinds};

kinds! {
    C of tree_sitter_cpp::LANGUAGE;
    ask {
        Abstract = "abstract_pointer_declarator" | "abstract_reference_declarator" | "abstract_array_declarator" | "abstract_function_declarator" | "abstract_parenthesized_declarator",
        Access = "access_specifier",
        Alias = "alias_declaration",
        Array = "array_declarator" | "attributed_declarator",
        Bases = "base_class_clause",
        Block = "compound_statement",
        Call = "call_expression",
        Catch = "catch_clause",
        Concept = "concept_definition",
        Conditional = "conditional_expression",
        ConditionClause = "condition_clause",
        Declaration = "declaration",
        Default = "default_method_clause" | "delete_method_clause",
        Destructor = "destructor_name",
        Enum = "enum_specifier",
        Enumerator = "enumerator",
        FieldDeclaration = "field_declaration",
        Function = "function_definition",
        FunctionDeclarator = "function_declarator",
        FunctionMacro = "preproc_function_def",
        Identifier = "identifier" | "field_identifier" | "type_identifier" | "namespace_identifier",
        If = "if_statement",
        Initialised = "init_declarator",
        Lambda = "lambda_expression",
        Literal = "compound_literal_expression",
        Macro = "preproc_def",
        Namespace = "namespace_definition",
        OperatorCast = "operator_cast",
        OperatorName = "operator_name",
        Parameter = "parameter_declaration" | "optional_parameter_declaration" | "variadic_parameter_declaration",
        Parameters = "parameter_list",
        Parenthesized = "parenthesized_declarator",
        Pointer = "pointer_declarator" | "pointer_type_declarator",
        Qualified = "qualified_identifier",
        Reference = "reference_declarator" | "variadic_declarator",
        Statement = "expression_statement",
        Storage = "storage_class_specifier",
        Template = "template_declaration",
        TemplateName = "template_function" | "template_method" | "template_type",
        TemplateParameters = "template_parameter_list",
        TemplateTemplate = "template_template_parameter_declaration",
        Throw = "throw_statement",
        TrailingReturn = "trailing_return_type",
        Try = "try_statement",
        Type = "class_specifier" | "struct_specifier" | "union_specifier",
        TypeDefinition = "type_definition",
        TypeParameter = "type_parameter_declaration" | "optional_type_parameter_declaration" | "variadic_type_parameter_declaration",
        VirtualSpecifier = "virtual_specifier",
    }
    comment { "comment" }
    separator { "preproc_include", "using_declaration" }
    over { "string_literal", "raw_string_literal", "char_literal", "preproc_arg", "static_assert_declaration" }
    fields {
        "arguments", "body", "condition", "consequence", "declarator", "default_value", "function", "name", "parameters",
        "scope", "type", "value",
    }
}

/// C++.
pub(in crate::languages) use VOCABULARY as PLUS;

/// C: its grammar has fewer kinds, under the same names.
pub(in crate::languages) static PLAIN: Vocabulary<C> =
    Vocabulary::new(|| tree_sitter_c::LANGUAGE.into(), NAMES, FIELDS);
