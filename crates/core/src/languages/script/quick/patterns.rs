//! Parameters, and what takes values apart.

use oxc_ast::ast;
use oxc_span::GetSpan;

use super::{Lowering, span};
use crate::text::Span;

impl<'s> Lowering<'s> {
    pub(super) fn parameters(
        &mut self,
        it: &ast::FormalParameters<'_>,
        this_parameter: Option<&ast::TSThisParameter<'_>>,
    ) {
        let words = self.words;
        // One parameter of an arrow function may stand without brackets.
        if let [only] = &it.items[..]
            && !self.slice(span(it.span)).starts_with('(')
        {
            self.leaf_in(words.PARAMETER, words.IDENTIFIER, only.span);
            return;
        }
        self.field(words.PARAMETERS_OF);
        self.node(words.PARAMETERS, span(it.span), |this| {
            if let Some(it) = this_parameter {
                this.node(words.REQUIRED_PARAMETER, span(it.span), |this| {
                    this.leaf_in(words.PATTERN, words.OTHER, it.this_span);
                    this.annotation_in(words.TYPE, it.type_annotation.as_deref());
                });
            }
            for parameter in &it.items {
                this.parameter(parameter);
            }
            if let Some(rest) = &it.rest {
                this.node(words.REQUIRED_PARAMETER, span(rest.span), |this| {
                    this.field(words.PATTERN);
                    this.rest(&rest.rest);
                    this.annotation_in(words.TYPE, rest.type_annotation.as_deref());
                });
            }
        });
    }

    fn parameter(&mut self, it: &ast::FormalParameter<'_>) {
        let words = self.words;
        let kind = if it.optional { words.OPTIONAL_PARAMETER } else { words.REQUIRED_PARAMETER };
        self.node(kind, span(it.span), |this| {
            for decorator in &it.decorators {
                this.leaf(words.DECORATOR, decorator.span);
            }
            if it.accessibility.is_some() {
                let start =
                    this.token_behind(it.decorators.last().map_or(it.span.start, |last| last.span.end));
                this.leaf(words.MODIFIER, Span::new(start, it.pattern.span().start));
            }
            this.field(words.PATTERN);
            this.pattern(&it.pattern);
            this.annotation_in(words.TYPE, it.type_annotation.as_deref());
            if let Some(value) = &it.initializer {
                this.leaf_in(words.VALUE, words.OTHER, value.span());
            }
        });
    }

    fn rest(&mut self, it: &ast::BindingRestElement<'_>) {
        self.node(self.words.REST, span(it.span), |this| this.pattern(&it.argument));
    }

    /// Adds what gives a value a name, or takes it apart.
    pub(super) fn pattern(&mut self, it: &ast::BindingPattern<'_>) {
        let words = self.words;
        match it {
            ast::BindingPattern::BindingIdentifier(name) => self.leaf(words.IDENTIFIER, name.span),
            ast::BindingPattern::ObjectPattern(it) => {
                self.node(words.OBJECT_PATTERN, span(it.span), |this| {
                    for property in &it.properties {
                        this.part(property);
                    }
                    if let Some(rest) = &it.rest {
                        this.rest(rest);
                    }
                })
            }
            ast::BindingPattern::ArrayPattern(it) => self.node(words.ARRAY_PATTERN, span(it.span), |this| {
                for element in it.elements.iter().flatten() {
                    this.pattern(element);
                }
                if let Some(rest) = &it.rest {
                    this.rest(rest);
                }
            }),
            ast::BindingPattern::AssignmentPattern(it) => {
                self.node(words.ASSIGNMENT_PATTERN, span(it.span), |this| {
                    this.field(words.LEFT);
                    this.pattern(&it.left);
                    this.leaf_in(words.RIGHT, words.OTHER, it.right.span());
                });
            }
        }
    }

    fn part(&mut self, it: &ast::BindingProperty<'_>) {
        let words = self.words;
        match &it.value {
            ast::BindingPattern::BindingIdentifier(_) if it.shorthand => {
                self.leaf(words.SHORTHAND_PATTERN, it.span);
            }
            _ if it.shorthand => self.leaf(words.OTHER, it.span),
            value => self.node(words.PAIR_PATTERN, span(it.span), |this| {
                this.leaf_in(words.KEY, words.IDENTIFIER, it.key.span());
                this.field(words.VALUE);
                this.pattern(value);
            }),
        }
    }
}
