//! Node kinds and fields of the Java grammar that are asked about.

use crate::reading::Action::{self, Ask, Comment, Over, Separator};

/// A node kind as this language names it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(in crate::languages) enum Java {
    Annotation,
    AnnotationElement,
    AnnotationType,
    Block,
    Catch,
    CatchParameter,
    CatchType,
    Class,
    ClassBody,
    CompactConstructor,
    Constant,
    Constructor,
    ConstructorCall,
    Creation,
    Declarator,
    Enum,
    EnumConstant,
    ExpressionStatement,
    ExtendsInterfaces,
    Field,
    Identifier,
    If,
    Interface,
    Invocation,
    Lambda,
    LocalVariable,
    Method,
    Modifiers,
    Package,
    Parameter,
    Parenthesized,
    ReceiverParameter,
    Record,
    Return,
    SpreadParameter,
    SuperInterfaces,
    Superclass,
    Throw,
    Throws,
    Try,
    TryWithResources,
    TypeList,
    TypeParameter,
    TypeParameters,
    Cast,
    VoidType,
}

/// Kinds and what the walk does at them.
pub(super) const NAMES: &[(&str, Action<Java>)] = &[
    ("annotation", Ask(Java::Annotation)),
    ("marker_annotation", Ask(Java::Annotation)),
    ("annotation_type_element_declaration", Ask(Java::AnnotationElement)),
    ("annotation_type_declaration", Ask(Java::AnnotationType)),
    ("block", Ask(Java::Block)),
    ("constructor_body", Ask(Java::Block)),
    ("block_comment", Comment),
    ("line_comment", Comment),
    ("cast_expression", Ask(Java::Cast)),
    ("catch_clause", Ask(Java::Catch)),
    ("catch_formal_parameter", Ask(Java::CatchParameter)),
    ("catch_type", Ask(Java::CatchType)),
    ("class_declaration", Ask(Java::Class)),
    ("class_body", Ask(Java::ClassBody)),
    ("compact_constructor_declaration", Ask(Java::CompactConstructor)),
    ("constant_declaration", Ask(Java::Constant)),
    ("constructor_declaration", Ask(Java::Constructor)),
    ("explicit_constructor_invocation", Ask(Java::ConstructorCall)),
    ("object_creation_expression", Ask(Java::Creation)),
    ("variable_declarator", Ask(Java::Declarator)),
    ("enum_declaration", Ask(Java::Enum)),
    ("enum_constant", Ask(Java::EnumConstant)),
    ("expression_statement", Ask(Java::ExpressionStatement)),
    ("extends_interfaces", Ask(Java::ExtendsInterfaces)),
    ("field_declaration", Ask(Java::Field)),
    ("identifier", Ask(Java::Identifier)),
    ("if_statement", Ask(Java::If)),
    ("interface_declaration", Ask(Java::Interface)),
    ("method_invocation", Ask(Java::Invocation)),
    ("lambda_expression", Ask(Java::Lambda)),
    ("local_variable_declaration", Ask(Java::LocalVariable)),
    ("method_declaration", Ask(Java::Method)),
    ("modifiers", Ask(Java::Modifiers)),
    ("package_declaration", Ask(Java::Package)),
    ("formal_parameter", Ask(Java::Parameter)),
    ("parenthesized_expression", Ask(Java::Parenthesized)),
    ("receiver_parameter", Ask(Java::ReceiverParameter)),
    ("record_declaration", Ask(Java::Record)),
    ("return_statement", Ask(Java::Return)),
    ("spread_parameter", Ask(Java::SpreadParameter)),
    ("super_interfaces", Ask(Java::SuperInterfaces)),
    ("superclass", Ask(Java::Superclass)),
    ("throw_statement", Ask(Java::Throw)),
    ("throws", Ask(Java::Throws)),
    ("try_statement", Ask(Java::Try)),
    ("try_with_resources_statement", Ask(Java::TryWithResources)),
    ("type_list", Ask(Java::TypeList)),
    ("type_parameter", Ask(Java::TypeParameter)),
    ("type_parameters", Ask(Java::TypeParameters)),
    ("void_type", Ask(Java::VoidType)),
    ("import_declaration", Separator),
    ("string_literal", Over),
    ("character_literal", Over),
    ("generic_type", Over),
    ("array_type", Over),
    ("type_arguments", Over),
    ("method_reference", Over),
    ("formal_parameters", Over),
];

pub(super) const ARGUMENTS: &str = "arguments";
pub(super) const BODY: &str = "body";
pub(super) const CONDITION: &str = "condition";
pub(super) const CONSEQUENCE: &str = "consequence";
pub(super) const CONSTRUCTOR: &str = "constructor";
pub(super) const DECLARATOR: &str = "declarator";
pub(super) const NAME: &str = "name";
pub(super) const OBJECT: &str = "object";
pub(super) const PARAMETERS: &str = "parameters";
pub(super) const TYPE: &str = "type";
pub(super) const TYPE_PARAMETERS: &str = "type_parameters";
pub(super) const VALUE: &str = "value";
pub(super) const RESOURCES: &str = "resources";

/// All fields used.
pub(super) const FIELDS: &[&str] = &[
    ARGUMENTS, BODY, CONDITION, CONSEQUENCE, CONSTRUCTOR, DECLARATOR, NAME, OBJECT, PARAMETERS, TYPE,
    TYPE_PARAMETERS, VALUE, RESOURCES,
];
