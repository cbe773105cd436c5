//! Node kinds and fields of the Python grammar that are asked about.

use crate::reading::Action::{self, Ask, Comment, Over, Separator};

/// A node kind as this language names it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(in crate::languages) enum Python {
    Assert,
    Assignment,
    Attribute,
    AugmentedAssignment,
    Await,
    Block,
    Call,
    Class,
    Comprehension,
    ConcatenatedString,
    Decorated,
    Decorator,
    DefaultParameter,
    DictSplat,
    Ellipsis,
    Except,
    ExpressionStatement,
    For,
    Function,
    Identifier,
    If,
    KeywordArgument,
    KeywordSeparator,
    Lambda,
    List,
    ListSplat,
    Module,
    None,
    Parameters,
    Pass,
    AsPattern,
    PositionalSeparator,
    Raise,
    Return,
    String,
    Try,
    Tuple,
    TypedDefaultParameter,
    TypedParameter,
    With,
    WithItem,
    Yield,
}

/// Kinds and what the walk does at them.
pub(super) const NAMES: &[(&str, Action<Python>)] = &[
    ("assert_statement", Ask(Python::Assert)),
    ("assignment", Ask(Python::Assignment)),
    ("attribute", Ask(Python::Attribute)),
    ("augmented_assignment", Ask(Python::AugmentedAssignment)),
    ("await", Ask(Python::Await)),
    ("block", Ask(Python::Block)),
    ("call", Ask(Python::Call)),
    ("class_definition", Ask(Python::Class)),
    ("list_comprehension", Ask(Python::Comprehension)),
    ("set_comprehension", Ask(Python::Comprehension)),
    ("dictionary_comprehension", Ask(Python::Comprehension)),
    ("generator_expression", Ask(Python::Comprehension)),
    ("concatenated_string", Ask(Python::ConcatenatedString)),
    ("decorated_definition", Ask(Python::Decorated)),
    ("decorator", Ask(Python::Decorator)),
    ("default_parameter", Ask(Python::DefaultParameter)),
    ("dictionary_splat_pattern", Ask(Python::DictSplat)),
    ("ellipsis", Ask(Python::Ellipsis)),
    ("except_clause", Ask(Python::Except)),
    ("expression_statement", Ask(Python::ExpressionStatement)),
    ("for_statement", Ask(Python::For)),
    ("function_definition", Ask(Python::Function)),
    ("identifier", Ask(Python::Identifier)),
    ("if_statement", Ask(Python::If)),
    ("keyword_argument", Ask(Python::KeywordArgument)),
    ("keyword_separator", Ask(Python::KeywordSeparator)),
    ("lambda", Ask(Python::Lambda)),
    ("list", Ask(Python::List)),
    ("list_splat_pattern", Ask(Python::ListSplat)),
    ("module", Ask(Python::Module)),
    ("none", Ask(Python::None)),
    ("parameters", Ask(Python::Parameters)),
    ("pass_statement", Ask(Python::Pass)),
    ("as_pattern", Ask(Python::AsPattern)),
    ("positional_separator", Ask(Python::PositionalSeparator)),
    ("raise_statement", Ask(Python::Raise)),
    ("return_statement", Ask(Python::Return)),
    ("string", Ask(Python::String)),
    ("try_statement", Ask(Python::Try)),
    ("tuple", Ask(Python::Tuple)),
    ("typed_default_parameter", Ask(Python::TypedDefaultParameter)),
    ("typed_parameter", Ask(Python::TypedParameter)),
    ("with_statement", Ask(Python::With)),
    ("with_item", Ask(Python::WithItem)),
    ("yield", Ask(Python::Yield)),
    ("comment", Comment),
    ("import_statement", Separator),
    ("import_from_statement", Separator),
    ("future_import_statement", Separator),
    ("type", Over),
];

pub(super) const ALIAS: &str = "alias";
pub(super) const ARGUMENTS: &str = "arguments";
pub(super) const ATTRIBUTE: &str = "attribute";
pub(super) const BODY: &str = "body";
pub(super) const CONDITION: &str = "condition";
pub(super) const CONSEQUENCE: &str = "consequence";
pub(super) const DEFINITION: &str = "definition";
pub(super) const FUNCTION: &str = "function";
pub(super) const LEFT: &str = "left";
pub(super) const NAME: &str = "name";
pub(super) const PARAMETERS: &str = "parameters";
pub(super) const RETURN_TYPE: &str = "return_type";
pub(super) const RIGHT: &str = "right";
pub(super) const SUPERCLASSES: &str = "superclasses";
pub(super) const TYPE: &str = "type";
pub(super) const TYPE_PARAMETERS: &str = "type_parameters";
pub(super) const VALUE: &str = "value";

/// All fields used.
pub(super) const FIELDS: &[&str] = &[
    ALIAS, ARGUMENTS, ATTRIBUTE, BODY, CONDITION, CONSEQUENCE, DEFINITION, FUNCTION, LEFT, NAME, PARAMETERS,
    RETURN_TYPE, RIGHT, SUPERCLASSES, TYPE, TYPE_PARAMETERS, VALUE,
];
