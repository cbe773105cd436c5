//! Statements that do something, and expressions; whatever is not told apart here is a node of no particular kind.

use oxc_ast::{AstKind, ast};
use oxc_ast_visit::Visit;
use oxc_span::GetSpan;
use oxc_syntax::scope::ScopeFlags;

use super::{Lowering, span};
use crate::text::Span;

impl<'s> Lowering<'s> {
    /// Adds a call of something, with what it is given.
    fn call(
        &mut self,
        (kind, field): (u16, u16),
        at: Span,
        callee: &ast::Expression<'_>,
        (behind, given): (u32, &[ast::Argument<'_>]),
    ) {
        self.node(kind, at, |this| {
            this.field(field);
            this.visit_expression(callee);
            this.arguments(behind, at.end, given);
        });
    }

    fn arguments(&mut self, behind: u32, end: u32, given: &[ast::Argument<'_>]) {
        // `new Press` has none.
        let open = self.next_is(behind, "?.").map_or(behind, |at| at + 2);
        let Some(open) = self.next_is(open, "(").filter(|open| *open < end) else { return };
        self.field(self.words.ARGUMENTS_OF);
        self.node(self.words.ARGUMENTS, Span::new(open, end), |this| {
            for argument in given {
                this.visit_argument(argument);
            }
        });
    }

    fn member(&mut self, at: Span, object: &ast::Expression<'_>, property: oxc_span::Span) {
        let words = self.words;
        self.node(words.MEMBER, at, |this| {
            this.field(words.OBJECT_OF);
            this.visit_expression(object);
            this.leaf_in(words.PROPERTY, words.IDENTIFIER, property);
        });
    }

    fn around(&mut self, kind: u16, at: oxc_span::Span, inner: &ast::Expression<'_>) {
        self.node(kind, span(at), |this| this.visit_expression(inner));
    }

    /// Returns the brackets around a condition, with it.
    fn in_brackets(&self, from: u32, test: Span) -> Span {
        let start = self.next_is(from, "(").unwrap_or(test.start);
        let end = self.next_is(test.end, ")").map_or(test.end, |end| end + 1);
        Span::new(start, end)
    }
}

impl<'a> Visit<'a> for Lowering<'_> {
    fn enter_node(&mut self, kind: AstKind<'a>) {
        self.builder.open(self.words.OTHER, kind.span().start);
    }

    fn leave_node(&mut self, kind: AstKind<'a>) {
        self.builder.close(kind.span().end);
    }

    // Names and literals.

    fn visit_identifier_name(&mut self, it: &ast::IdentifierName<'a>) {
        self.leaf(self.words.IDENTIFIER, it.span);
    }

    fn visit_identifier_reference(&mut self, it: &ast::IdentifierReference<'a>) {
        self.leaf(self.words.IDENTIFIER, it.span);
    }

    fn visit_binding_identifier(&mut self, it: &ast::BindingIdentifier<'a>) {
        self.leaf(self.words.IDENTIFIER, it.span);
    }

    fn visit_string_literal(&mut self, it: &ast::StringLiteral<'a>) {
        self.leaf(self.words.STRING, it.span);
    }

    fn visit_numeric_literal(&mut self, it: &ast::NumericLiteral<'a>) {
        self.leaf(self.words.NUMBER, it.span);
    }

    fn visit_big_int_literal(&mut self, it: &ast::BigIntLiteral<'a>) {
        self.leaf(self.words.NUMBER, it.span);
    }

    fn visit_reg_exp_literal(&mut self, it: &ast::RegExpLiteral<'a>) {
        self.leaf(self.words.REGEX, it.span);
    }

    fn visit_template_literal(&mut self, it: &ast::TemplateLiteral<'a>) {
        self.leaf(self.words.TEMPLATE, it.span);
    }

    // Expressions.

    fn visit_object_expression(&mut self, it: &ast::ObjectExpression<'a>) {
        self.node(self.words.OBJECT, span(it.span), |this| this.visit_object_property_kinds(&it.properties));
    }

    fn visit_object_property(&mut self, it: &ast::ObjectProperty<'a>) {
        self.object_property(it);
    }

    fn visit_call_expression(&mut self, it: &ast::CallExpression<'a>) {
        let behind = it.type_arguments.as_ref().map_or(it.callee.span().end, |given| given.span.end);
        let kind = (self.words.CALL, self.words.FUNCTION_OF);
        self.call(kind, span(it.span), &it.callee, (behind, &it.arguments));
    }

    fn visit_new_expression(&mut self, it: &ast::NewExpression<'a>) {
        let behind = it.type_arguments.as_ref().map_or(it.callee.span().end, |given| given.span.end);
        let kind = (self.words.NEW, self.words.CONSTRUCTOR);
        self.call(kind, span(it.span), &it.callee, (behind, &it.arguments));
    }

    fn visit_import_expression(&mut self, it: &ast::ImportExpression<'a>) {
        self.leaf(self.words.CALL, it.span);
    }

    fn visit_tagged_template_expression(&mut self, it: &ast::TaggedTemplateExpression<'a>) {
        let words = self.words;
        self.node(words.CALL, span(it.span), |this| {
            this.field(words.FUNCTION_OF);
            this.visit_expression(&it.tag);
            this.leaf_in(words.ARGUMENTS_OF, words.TEMPLATE, it.quasi.span);
        });
    }

    fn visit_static_member_expression(&mut self, it: &ast::StaticMemberExpression<'a>) {
        self.member(span(it.span), &it.object, it.property.span);
    }

    fn visit_private_field_expression(&mut self, it: &ast::PrivateFieldExpression<'a>) {
        self.member(span(it.span), &it.object, it.field.span);
    }

    fn visit_chain_expression(&mut self, it: &ast::ChainExpression<'a>) {
        self.visit_chain_element(&it.expression);
    }

    fn visit_unary_expression(&mut self, it: &ast::UnaryExpression<'a>) {
        self.around(self.words.UNARY, it.span, &it.argument);
    }

    fn visit_await_expression(&mut self, it: &ast::AwaitExpression<'a>) {
        self.around(self.words.AWAIT, it.span, &it.argument);
    }

    fn visit_yield_expression(&mut self, it: &ast::YieldExpression<'a>) {
        self.node(self.words.YIELD, span(it.span), |this| {
            if let Some(argument) = &it.argument {
                this.visit_expression(argument);
            }
        });
    }

    fn visit_parenthesized_expression(&mut self, it: &ast::ParenthesizedExpression<'a>) {
        self.around(self.words.PARENTHESIZED, it.span, &it.expression);
    }

    fn visit_ts_as_expression(&mut self, it: &ast::TSAsExpression<'a>) {
        self.around(self.words.PARENTHESIZED, it.span, &it.expression);
    }

    fn visit_ts_satisfies_expression(&mut self, it: &ast::TSSatisfiesExpression<'a>) {
        self.around(self.words.PARENTHESIZED, it.span, &it.expression);
    }

    fn visit_ts_non_null_expression(&mut self, it: &ast::TSNonNullExpression<'a>) {
        self.around(self.words.NON_NULL, it.span, &it.expression);
    }

    fn visit_sequence_expression(&mut self, it: &ast::SequenceExpression<'a>) {
        self.node(self.words.SEQUENCE, span(it.span), |this| this.visit_expressions(&it.expressions));
    }

    fn visit_assignment_expression(&mut self, it: &ast::AssignmentExpression<'a>) {
        let words = self.words;
        let plain = it.operator == ast::AssignmentOperator::Assign;
        self.node(if plain { words.ASSIGNMENT } else { words.AUGMENTED }, span(it.span), |this| {
            this.field(words.LEFT);
            this.visit_assignment_target(&it.left);
            this.field(words.RIGHT);
            this.visit_expression(&it.right);
        });
    }

    fn visit_arrow_function_expression(&mut self, it: &ast::ArrowFunctionExpression<'a>) {
        self.node(self.words.ARROW, span(it.span), |this| {
            this.type_parameters(it.type_parameters.as_deref());
            this.parameters(&it.params, None);
            this.return_type(it.return_type.as_deref());
            this.field(this.words.BODY);
            match &it.body {
                ast::ArrowFunctionBody::FunctionBody(body) => this.body(body),
                body => {
                    if let Some(value) = body.as_expression() {
                        this.visit_expression(value);
                    }
                }
            }
        });
    }

    fn visit_function(&mut self, it: &ast::Function<'a>, _: ScopeFlags) {
        self.function(it, it.r#type == ast::FunctionType::FunctionExpression);
    }

    fn visit_class(&mut self, it: &ast::Class<'a>) {
        self.class(it, it.r#type == ast::ClassType::ClassExpression);
    }

    fn visit_decorator(&mut self, it: &ast::Decorator<'a>) {
        self.leaf(self.words.DECORATOR, it.span);
    }

    // Statements.

    fn visit_directive(&mut self, it: &ast::Directive<'a>) {
        self.leaf(self.words.EXPRESSION_STATEMENT, it.span);
    }

    fn visit_block_statement(&mut self, it: &ast::BlockStatement<'a>) {
        self.node(self.words.BLOCK, span(it.span), |this| this.visit_statements(&it.body));
    }

    fn visit_function_body(&mut self, it: &ast::FunctionBody<'a>) {
        self.body(it);
    }

    fn visit_expression_statement(&mut self, it: &ast::ExpressionStatement<'a>) {
        self.around(self.words.EXPRESSION_STATEMENT, it.span, &it.expression);
    }

    fn visit_return_statement(&mut self, it: &ast::ReturnStatement<'a>) {
        self.node(self.words.RETURN, span(it.span), |this| {
            if let Some(value) = &it.argument {
                this.visit_expression(value);
            }
        });
    }

    fn visit_throw_statement(&mut self, it: &ast::ThrowStatement<'a>) {
        self.around(self.words.THROW, it.span, &it.argument);
    }

    fn visit_if_statement(&mut self, it: &ast::IfStatement<'a>) {
        let words = self.words;
        self.node(words.IF, span(it.span), |this| {
            let condition = this.in_brackets(it.span.start + 2, span(it.test.span()));
            this.field(words.CONDITION);
            this.node(words.PARENTHESIZED, condition, |this| this.visit_expression(&it.test));
            this.field(words.CONSEQUENCE);
            this.visit_statement(&it.consequent);
            if let Some(other) = &it.alternate {
                this.field(words.ALTERNATIVE);
                this.node(words.OTHER, span(other.span()), |this| this.visit_statement(other));
            }
        });
    }

    fn visit_for_in_statement(&mut self, it: &ast::ForInStatement<'a>) {
        self.node(self.words.OTHER, span(it.span), |this| {
            this.visit_expression(&it.right);
            this.visit_statement(&it.body);
        });
    }

    fn visit_for_of_statement(&mut self, it: &ast::ForOfStatement<'a>) {
        self.node(self.words.OTHER, span(it.span), |this| {
            this.visit_expression(&it.right);
            this.visit_statement(&it.body);
        });
    }

    fn visit_try_statement(&mut self, it: &ast::TryStatement<'a>) {
        let words = self.words;
        self.node(words.TRY, span(it.span), |this| {
            this.field(words.BODY);
            this.visit_block_statement(&it.block);
            if let Some(handler) = &it.handler {
                this.field(words.HANDLER);
                this.visit_catch_clause(handler);
            }
            if let Some(last) = &it.finalizer {
                this.field(words.FINALIZER);
                this.node(words.OTHER, span(last.span), |this| this.visit_block_statement(last));
            }
        });
    }

    fn visit_catch_clause(&mut self, it: &ast::CatchClause<'a>) {
        let words = self.words;
        self.node(words.CATCH, span(it.span), |this| {
            if let Some(caught) = &it.param {
                this.field(words.PARAMETER);
                this.pattern(&caught.pattern);
            }
            this.field(words.BODY);
            this.visit_block_statement(&it.body);
        });
    }

    fn visit_variable_declaration(&mut self, it: &ast::VariableDeclaration<'a>) {
        self.variables(it);
    }

    fn visit_binding_pattern(&mut self, it: &ast::BindingPattern<'a>) {
        self.pattern(it);
    }

    // Members.

    fn visit_method_definition(&mut self, it: &ast::MethodDefinition<'a>) {
        self.method(it);
    }

    fn visit_property_definition(&mut self, it: &ast::PropertyDefinition<'a>) {
        self.property(it);
    }

    fn visit_accessor_property(&mut self, it: &ast::AccessorProperty<'a>) {
        self.accessor(it);
    }

    fn visit_static_block(&mut self, it: &ast::StaticBlock<'a>) {
        let words = self.words;
        self.node(words.OTHER, span(it.span), |this| {
            let block = Span::new(this.next_is(it.span.start + 6, "{").unwrap_or(it.span.start), it.span.end);
            this.node(words.BLOCK, block, |this| this.visit_statements(&it.body));
        });
    }

    fn visit_ts_property_signature(&mut self, it: &ast::TSPropertySignature<'a>) {
        self.property_signature(it);
    }

    fn visit_ts_method_signature(&mut self, it: &ast::TSMethodSignature<'a>) {
        self.method_of_interface(it);
    }

    fn visit_ts_call_signature_declaration(&mut self, it: &ast::TSCallSignatureDeclaration<'a>) {
        self.call_signature(it);
    }

    fn visit_ts_construct_signature_declaration(&mut self, it: &ast::TSConstructSignatureDeclaration<'a>) {
        self.construct_signature(it);
    }

    fn visit_ts_index_signature(&mut self, it: &ast::TSIndexSignature<'a>) {
        self.node(self.words.OTHER, span(it.span), |this| {
            this.leaf(this.words.TYPE_ANNOTATION, it.type_annotation.span);
        });
    }

    // Declarations.

    fn visit_ts_interface_declaration(&mut self, it: &ast::TSInterfaceDeclaration<'a>) {
        self.interface(it);
    }

    fn visit_ts_enum_declaration(&mut self, it: &ast::TSEnumDeclaration<'a>) {
        self.enumeration(it);
    }

    fn visit_ts_type_alias_declaration(&mut self, it: &ast::TSTypeAliasDeclaration<'a>) {
        self.type_alias(it);
    }

    fn visit_ts_namespace_declaration(&mut self, it: &ast::TSNamespaceDeclaration<'a>) {
        self.namespace(it);
    }

    fn visit_ts_external_module_declaration(&mut self, it: &ast::TSExternalModuleDeclaration<'a>) {
        self.external_module(it);
    }

    fn visit_ts_global_declaration(&mut self, it: &ast::TSGlobalDeclaration<'a>) {
        self.global(it);
    }

    fn visit_ts_import_equals_declaration(&mut self, it: &ast::TSImportEqualsDeclaration<'a>) {
        self.import_equals(it);
    }

    fn visit_import_declaration(&mut self, it: &ast::ImportDeclaration<'a>) {
        self.import(it);
    }

    fn visit_export_declaration(&mut self, it: &ast::ExportDeclaration<'a>) {
        self.export(it);
    }

    fn visit_export_named_declaration(&mut self, it: &ast::ExportNamedDeclaration<'a>) {
        self.export_specifiers(it.span, &it.specifiers, None);
    }

    fn visit_export_from_declaration(&mut self, it: &ast::ExportFromDeclaration<'a>) {
        self.export_specifiers(it.span, &it.specifiers, Some(&it.source));
    }

    fn visit_export_default_declaration(&mut self, it: &ast::ExportDefaultDeclaration<'a>) {
        self.export_default(it);
    }

    fn visit_export_all_declaration(&mut self, it: &ast::ExportAllDeclaration<'a>) {
        self.export_all(it);
    }

    fn visit_ts_export_assignment(&mut self, it: &ast::TSExportAssignment<'a>) {
        self.around(self.words.EXPORT, it.span, &it.expression);
    }

    fn visit_ts_namespace_export_declaration(&mut self, it: &ast::TSNamespaceExportDeclaration<'a>) {
        self.node(self.words.EXPORT, span(it.span), |this| this.leaf(this.words.IDENTIFIER, it.id.span));
    }

    // Types.

    fn visit_ts_function_type(&mut self, it: &ast::TSFunctionType<'a>) {
        self.function_type(it);
    }

    fn visit_ts_mapped_type(&mut self, it: &ast::TSMappedType<'a>) {
        self.node(self.words.OTHER, span(it.span), |this| {
            this.visit_ts_type(&it.constraint);
            // The type of the members is an annotation.
            if let Some(ty) = &it.type_annotation {
                this.leaf(this.words.TYPE_ANNOTATION, ty.span());
            }
        });
    }

    fn visit_ts_type_annotation(&mut self, it: &ast::TSTypeAnnotation<'a>) {
        self.leaf(self.words.TYPE_ANNOTATION, it.span);
    }

    fn visit_formal_parameters(&mut self, it: &ast::FormalParameters<'a>) {
        self.parameters(it, None);
    }

    fn visit_ts_type_parameter_declaration(&mut self, it: &ast::TSTypeParameterDeclaration<'a>) {
        self.type_parameters(Some(it));
    }
}
