//! Members of classes, of interfaces and of object literals.

use oxc_ast::ast;
use oxc_ast_visit::Visit;
use oxc_span::GetSpan;

use super::{Lowering, span};
use crate::text::{Span, narrow};

impl<'s> Lowering<'s> {
    /// Returns where a member begins: the grammar has decorators in front of it, outside.
    fn behind_decorators(&self, at: Span, decorators: &[ast::Decorator<'_>]) -> Span {
        match decorators.last() {
            Some(last) if last.span.start >= at.start => Span::new(self.token_behind(last.span.end), at.end),
            _ => at,
        }
    }

    fn key(&mut self, field: u16, key: &ast::PropertyKey<'_>, computed: bool) {
        let mut at = span(key.span());
        if computed {
            // The brackets are part of the name.
            let before = self.text[..at.start as usize].trim_end();
            if before.ends_with('[') {
                at.start = narrow(before.len() - 1);
            }
            at.end = self.next_is(at.end, "]").map_or(at.end, |end| end + 1);
        }
        self.leaf_in(field, self.words.IDENTIFIER, at);
    }

    /// Adds the words in front of a member's name that matter.
    fn modifiers(&mut self, before: Span, (accessibility, overrides): (Option<ast::TSAccessibility>, bool)) {
        let words = self.words;
        let word = match accessibility {
            Some(ast::TSAccessibility::Private) => Some("private"),
            Some(ast::TSAccessibility::Protected) => Some("protected"),
            Some(ast::TSAccessibility::Public) => Some("public"),
            None => None,
        };
        if let Some(word) = word {
            self.word_in(before, word, words.MODIFIER);
        }
        if overrides {
            self.word_in(before, "override", words.OVERRIDE);
        }
    }

    fn word_in(&mut self, before: Span, word: &str, kind: u16) {
        if let Some(at) = self.slice(before).find(word) {
            let start = before.start + narrow(at);
            self.leaf(kind, Span::new(start, start + narrow(word.len())));
        }
    }

    pub(super) fn method(&mut self, it: &ast::MethodDefinition<'_>) {
        let words = self.words;
        for decorator in &it.decorators {
            self.leaf(words.DECORATOR, decorator.span);
        }
        let is_abstract = it.r#type == ast::MethodDefinitionType::TSAbstractMethodDefinition;
        let kind = match (&it.value.body, is_abstract) {
            (Some(_), _) => words.METHOD,
            (None, true) => words.ABSTRACT_METHOD,
            (None, false) => words.METHOD_SIGNATURE,
        };
        let at = match it.value.body {
            Some(_) => span(it.span),
            None => self.without_end(it.span),
        };
        let at = self.behind_decorators(at, &it.decorators);
        self.node(kind, at, |this| {
            let before = Span::new(at.start, it.key.span().start);
            this.modifiers(before, (it.accessibility, it.r#override));
            if it.r#static {
                this.word_in(before, "static", words.STATIC_SIGN);
            }
            match it.kind {
                ast::MethodDefinitionKind::Get => this.word_in(before, "get", words.GET_SIGN),
                ast::MethodDefinitionKind::Set => this.word_in(before, "set", words.SET_SIGN),
                ast::MethodDefinitionKind::Method | ast::MethodDefinitionKind::Constructor => {}
            }
            if it.value.generator {
                this.star(before);
            }
            this.key(words.NAME, &it.key, it.computed);
            this.callable(&it.value);
        });
    }

    pub(super) fn property(&mut self, it: &ast::PropertyDefinition<'_>) {
        let named = (&it.key, it.computed, it.accessibility, it.r#override);
        self.class_field(it.span, named, (it.type_annotation.as_deref(), it.value.as_ref()), &it.decorators);
    }

    pub(super) fn accessor(&mut self, it: &ast::AccessorProperty<'_>) {
        let named = (&it.key, it.computed, it.accessibility, it.r#override);
        self.class_field(it.span, named, (it.type_annotation.as_deref(), it.value.as_ref()), &it.decorators);
    }

    fn class_field<'a>(
        &mut self,
        at: oxc_span::Span,
        (key, computed, accessibility, overrides): (
            &ast::PropertyKey<'a>,
            bool,
            Option<ast::TSAccessibility>,
            bool,
        ),
        (ty, value): (Option<&ast::TSTypeAnnotation<'a>>, Option<&ast::Expression<'a>>),
        decorators: &[ast::Decorator<'a>],
    ) {
        let words = self.words;
        let at = self.without_end(at);
        self.node(words.FIELD, at, |this| {
            for decorator in decorators {
                this.leaf(words.DECORATOR, decorator.span);
            }
            let words_from = this.behind_decorators(at, decorators).start;
            this.modifiers(Span::new(words_from, key.span().start), (accessibility, overrides));
            this.key(words.NAME, key, computed);
            this.annotation_in(words.TYPE, ty);
            if let Some(value) = value {
                this.field(words.VALUE);
                this.visit_expression(value);
            }
        });
    }

    pub(super) fn property_signature(&mut self, it: &ast::TSPropertySignature<'_>) {
        let words = self.words;
        let at = self.without_end(it.span);
        self.node(words.PROPERTY_SIGNATURE, at, |this| {
            this.key(words.NAME, &it.key, it.computed);
            this.annotation_in(words.TYPE, it.type_annotation.as_deref());
        });
    }

    pub(super) fn method_of_interface(&mut self, it: &ast::TSMethodSignature<'_>) {
        let words = self.words;
        let at = self.without_end(it.span);
        self.node(words.METHOD_SIGNATURE, at, |this| {
            let before = Span::new(at.start, it.key.span().start);
            match it.kind {
                ast::TSMethodSignatureKind::Get => this.word_in(before, "get", words.GET_SIGN),
                ast::TSMethodSignatureKind::Set => this.word_in(before, "set", words.SET_SIGN),
                ast::TSMethodSignatureKind::Method => {}
            }
            this.key(words.NAME, &it.key, it.computed);
            this.type_parameters(it.type_parameters.as_deref());
            this.parameters(&it.params, it.this_param.as_deref());
            this.return_type(it.return_type.as_deref());
        });
    }

    pub(super) fn call_signature(&mut self, it: &ast::TSCallSignatureDeclaration<'_>) {
        let at = self.without_end(it.span);
        self.node(self.words.CALL_SIGNATURE, at, |this| {
            this.type_parameters(it.type_parameters.as_deref());
            this.parameters(&it.params, it.this_param.as_deref());
            this.return_type(it.return_type.as_deref());
        });
    }

    pub(super) fn construct_signature(&mut self, it: &ast::TSConstructSignatureDeclaration<'_>) {
        let at = self.without_end(it.span);
        self.node(self.words.CONSTRUCT_SIGNATURE, at, |this| {
            this.type_parameters(it.type_parameters.as_deref());
            this.parameters(&it.params, None);
            this.annotation_in(this.words.TYPE, it.return_type.as_deref());
        });
    }

    pub(super) fn object_property(&mut self, it: &ast::ObjectProperty<'_>) {
        let words = self.words;
        if it.shorthand {
            self.leaf(words.SHORTHAND, it.span);
            return;
        }
        match &it.value {
            ast::Expression::FunctionExpression(function)
                if it.method || it.kind != ast::PropertyKind::Init =>
            {
                self.node(words.METHOD, span(it.span), |this| {
                    let before = Span::new(it.span.start, it.key.span().start);
                    match it.kind {
                        ast::PropertyKind::Get => this.word_in(before, "get", words.GET_SIGN),
                        ast::PropertyKind::Set => this.word_in(before, "set", words.SET_SIGN),
                        ast::PropertyKind::Init => {}
                    }
                    if function.generator {
                        this.star(before);
                    }
                    this.key(words.NAME, &it.key, it.computed);
                    this.callable(function);
                });
            }
            value => self.node(words.PAIR, span(it.span), |this| {
                this.key(words.KEY, &it.key, it.computed);
                this.field(words.VALUE);
                this.visit_expression(value);
            }),
        }
    }
}
