//! The kinds and fields of the grammar that trees are built in, by number.

use std::sync::OnceLock;

/// Names the kinds of nodes, signs and fields used, and makes a table of their numbers.
macro_rules! words {
    (kinds { $($kind:ident = $node:literal),+ $(,)? } signs { $($sign:ident = $text:literal),+ $(,)? } fields { $($field:ident = $name:literal),+ $(,)? }) => {
        /// The numbers of kinds and fields.
        #[expect(non_snake_case, reason = "they are named as constants are")]
        pub(super) struct Words { $(pub(super) $kind: u16,)+ $(pub(super) $sign: u16,)+ $(pub(super) $field: u16,)+ }

        impl Words {
            fn of(language: &tree_sitter::Language) -> Self {
                let field = |name| language.field_id_for_name(name).map_or(0, std::num::NonZero::get);
                Self {
                    $($kind: language.id_for_node_kind($node, true),)+
                    $($sign: language.id_for_node_kind($text, false),)+
                    $($field: field($name),)+
                }
            }

            #[cfg(test)]
            fn all(&self) -> Vec<(&'static str, u16)> {
                vec![$(($node, self.$kind),)+ $(($text, self.$sign),)+ $(($name, self.$field),)+]
            }
        }
    };
}

words! {
    kinds {
        ABSTRACT_CLASS = "abstract_class_declaration",
        ABSTRACT_METHOD = "abstract_method_signature",
        AMBIENT = "ambient_declaration",
        ARGUMENTS = "arguments",
        ARRAY_PATTERN = "array_pattern",
        ARROW = "arrow_function",
        ASSERTS = "asserts_annotation",
        ASSIGNMENT = "assignment_expression",
        ASSIGNMENT_PATTERN = "assignment_pattern",
        AUGMENTED = "augmented_assignment_expression",
        AWAIT = "await_expression",
        BLOCK = "statement_block",
        CALL = "call_expression",
        CALL_SIGNATURE = "call_signature",
        CATCH = "catch_clause",
        CLASS = "class_declaration",
        CLASS_BODY = "class_body",
        CLASS_VALUE = "class",
        COMMENT = "comment",
        CONSTRUCT_SIGNATURE = "construct_signature",
        DECLARATOR = "variable_declarator",
        DECORATOR = "decorator",
        ENUM = "enum_declaration",
        ENUM_ASSIGNMENT = "enum_assignment",
        ENUM_BODY = "enum_body",
        EXPORT = "export_statement",
        EXPORT_CLAUSE = "export_clause",
        EXPORT_SPECIFIER = "export_specifier",
        EXPRESSION_STATEMENT = "expression_statement",
        EXTENDS = "extends_clause",
        EXTENDS_TYPE = "extends_type_clause",
        FIELD = "public_field_definition",
        FUNCTION = "function_declaration",
        FUNCTION_SIGNATURE = "function_signature",
        FUNCTION_TYPE = "function_type",
        FUNCTION_VALUE = "function_expression",
        GENERATOR = "generator_function_declaration",
        GENERATOR_VALUE = "generator_function",
        HERITAGE = "class_heritage",
        IDENTIFIER = "identifier",
        IF = "if_statement",
        IMPLEMENTS = "implements_clause",
        IMPORT = "import_statement",
        IMPORT_ALIAS = "import_alias",
        IMPORT_CLAUSE = "import_clause",
        IMPORT_SPECIFIER = "import_specifier",
        INTERFACE = "interface_declaration",
        LEXICAL = "lexical_declaration",
        MEMBER = "member_expression",
        METHOD = "method_definition",
        METHOD_SIGNATURE = "method_signature",
        MODIFIER = "accessibility_modifier",
        MODULE = "module",
        NAMED_IMPORTS = "named_imports",
        NAMESPACE = "internal_module",
        NAMESPACE_EXPORT = "namespace_export",
        NAMESPACE_IMPORT = "namespace_import",
        NEW = "new_expression",
        NON_NULL = "non_null_expression",
        NUMBER = "number",
        OBJECT = "object",
        OBJECT_PATTERN = "object_pattern",
        OPTIONAL_PARAMETER = "optional_parameter",
        // What nothing is asked of has the kind of what stands most often where it does.
        OTHER = "binary_expression",
        OVERRIDE = "override_modifier",
        PAIR = "pair",
        PAIR_PATTERN = "pair_pattern",
        PARAMETERS = "formal_parameters",
        PARENTHESIZED = "parenthesized_expression",
        PREDICATE = "type_predicate_annotation",
        PROGRAM = "program",
        PROPERTY_SIGNATURE = "property_signature",
        REGEX = "regex",
        REQUIRED_PARAMETER = "required_parameter",
        REST = "rest_pattern",
        RETURN = "return_statement",
        SEQUENCE = "sequence_expression",
        SHORTHAND = "shorthand_property_identifier",
        SHORTHAND_PATTERN = "shorthand_property_identifier_pattern",
        STRING = "string",
        TEMPLATE = "template_string",
        THROW = "throw_statement",
        TRY = "try_statement",
        TYPE_ALIAS = "type_alias_declaration",
        TYPE_ANNOTATION = "type_annotation",
        TYPE_PARAMETER = "type_parameter",
        TYPE_PARAMETERS = "type_parameters",
        UNARY = "unary_expression",
        VARIABLES = "variable_declaration",
        YIELD = "yield_expression",
    }
    signs { GET_SIGN = "get", SET_SIGN = "set", STAR_SIGN = "*", STATIC_SIGN = "static" }
    fields {
        ALIAS = "alias",
        ALTERNATIVE = "alternative",
        ARGUMENTS_OF = "arguments",
        BODY = "body",
        CONDITION = "condition",
        CONSEQUENCE = "consequence",
        CONSTRUCTOR = "constructor",
        DECLARATION = "declaration",
        FINALIZER = "finalizer",
        FUNCTION_OF = "function",
        HANDLER = "handler",
        KEY = "key",
        LEFT = "left",
        NAME = "name",
        OBJECT_OF = "object",
        PARAMETER = "parameter",
        PARAMETERS_OF = "parameters",
        PATTERN = "pattern",
        PROPERTY = "property",
        RETURN_TYPE = "return_type",
        RIGHT = "right",
        SOURCE = "source",
        TYPE = "type",
        TYPE_PARAMETERS_OF = "type_parameters",
        VALUE = "value",
    }
}

/// Returns the numbers in the grammar of TypeScript with markup, which has all that either language has.
pub(super) fn words() -> &'static Words {
    static WORDS: OnceLock<Words> = OnceLock::new();
    WORDS.get_or_init(|| Words::of(&language()))
}

/// Returns that grammar.
pub(super) fn language() -> tree_sitter::Language {
    tree_sitter_typescript::LANGUAGE_TSX.into()
}

#[cfg(test)]
mod tests {
    use super::words;

    #[test]
    fn the_grammar_has_all_kinds_and_fields() {
        let missing: Vec<_> = words().all().into_iter().filter(|(_, number)| *number == 0).collect();
        assert_eq!(missing, []);
    }
}
