//! Statements that declare, import and export.

use oxc_ast::ast;
use oxc_ast_visit::Visit;
use oxc_span::GetSpan;

use super::{Lowering, span};
use crate::text::{Span, narrow};

impl<'s> Lowering<'s> {
    /// Adds what stands behind `declare`, where something does.
    fn declared(&mut self, at: Span, is_declared: bool, inside: impl FnOnce(&mut Self, Span)) {
        let behind = self.next_is(at.start, "declare").filter(|_| is_declared).map(|word| word + 7);
        match behind {
            Some(behind) => {
                let inner = Span::new(self.token_behind(behind), at.end);
                self.node(self.words.AMBIENT, at, |this| inside(this, inner));
            }
            None => inside(self, at),
        }
    }

    pub(super) fn variables(&mut self, it: &ast::VariableDeclaration<'_>) {
        let kind = match it.kind {
            ast::VariableDeclarationKind::Var => self.words.VARIABLES,
            _ => self.words.LEXICAL,
        };
        self.declared(span(it.span), it.declare, |this, at| {
            this.node(kind, at, |this| {
                for declarator in &it.declarations {
                    this.declarator(declarator);
                }
            });
        });
    }

    fn declarator(&mut self, it: &ast::VariableDeclarator<'_>) {
        self.node(self.words.DECLARATOR, span(it.span), |this| {
            this.field(this.words.NAME);
            this.pattern(&it.id);
            this.annotation_in(this.words.TYPE, it.type_annotation.as_deref());
            if let Some(init) = &it.init {
                this.field(this.words.VALUE);
                this.visit_expression(init);
            }
        });
    }

    pub(super) fn function(&mut self, it: &ast::Function<'_>, is_value: bool) {
        let words = self.words;
        let kind = match (it.body.is_some(), is_value, it.generator) {
            (false, ..) => words.FUNCTION_SIGNATURE,
            (true, true, true) => words.GENERATOR_VALUE,
            (true, true, false) => words.FUNCTION_VALUE,
            (true, false, true) => words.GENERATOR,
            (true, false, false) => words.FUNCTION,
        };
        self.declared(span(it.span), it.declare, |this, at| {
            this.node(kind, at, |this| {
                if it.generator {
                    let before = it.id.as_ref().map_or(it.params.span.start, |id| id.span.start);
                    this.star(Span::new(at.start, before));
                }
                if let Some(id) = &it.id {
                    this.leaf_in(words.NAME, words.IDENTIFIER, id.span);
                }
                this.callable(it);
            });
        });
    }

    /// Adds the star of a generator, which stands somewhere.
    pub(super) fn star(&mut self, somewhere: Span) {
        if let Some(at) = self.slice(somewhere).rfind('*') {
            let start = somewhere.start + narrow(at);
            self.leaf(self.words.STAR_SIGN, Span::new(start, start + 1));
        }
    }

    /// Adds what a function takes, gives back and does.
    pub(super) fn callable(&mut self, it: &ast::Function<'_>) {
        self.type_parameters(it.type_parameters.as_deref());
        self.parameters(&it.params, it.this_param.as_deref());
        self.return_type(it.return_type.as_deref());
        if let Some(body) = &it.body {
            self.field(self.words.BODY);
            self.body(body);
        }
    }

    pub(super) fn body(&mut self, it: &ast::FunctionBody<'_>) {
        self.node(self.words.BLOCK, span(it.span), |this| {
            this.visit_directives(&it.directives);
            this.visit_statements(&it.statements);
        });
    }

    pub(super) fn class(&mut self, it: &ast::Class<'_>, is_value: bool) {
        let words = self.words;
        let kind = match (is_value, it.r#abstract) {
            (true, _) => words.CLASS_VALUE,
            (false, true) => words.ABSTRACT_CLASS,
            (false, false) => words.CLASS,
        };
        // Decorators in front of `export` are the statement's.
        let first = it.decorators.iter().map(|decorator| decorator.span.start).min();
        let last = it.decorators.iter().map(|decorator| decorator.span.end).max();
        let start = match (first, last) {
            (Some(first), Some(last)) => {
                let word = self.token_behind(last);
                let behind = self.text[word as usize..].strip_prefix("export");
                if behind.is_some_and(|rest| rest.starts_with(char::is_whitespace)) {
                    it.span.start.max(word)
                } else {
                    it.span.start.min(first)
                }
            }
            _ => it.span.start,
        };
        let at = Span::new(start, it.span.end);
        self.declared(at, it.declare, |this, at| {
            this.node(kind, at, |this| {
                for decorator in it.decorators.iter().filter(|found| found.span.start >= at.start) {
                    this.leaf(words.DECORATOR, decorator.span);
                }
                if let Some(id) = &it.id {
                    this.leaf_in(words.NAME, words.IDENTIFIER, id.span);
                }
                this.type_parameters(it.type_parameters.as_deref());
                this.heritage(it);
                this.field(words.BODY);
                this.node(words.CLASS_BODY, span(it.body.span), |this| {
                    for element in &it.body.body {
                        this.visit_class_element(element);
                    }
                });
            });
        });
    }

    fn heritage(&mut self, it: &ast::Class<'_>) {
        let words = self.words;
        let extends = it.heritage.as_ref().map(|heritage| {
            let value = heritage.expression.span();
            let end = heritage.type_arguments.as_ref().map_or(value.end, |given| given.span.end);
            Span::new(value.start, end)
        });
        let implements = it.implements.first().zip(it.implements.last());
        let implements = implements.map(|(first, last)| Span::new(first.span.start, last.span.end));
        let Some(first) = extends.or(implements) else { return };
        let whole = Span::new(first.start, implements.unwrap_or(first).end);
        self.node(words.HERITAGE, whole, |this| {
            if let (Some(at), Some(heritage)) = (extends, &it.heritage) {
                this.node(words.EXTENDS, at, |this| {
                    this.field(words.VALUE);
                    this.visit_expression(&heritage.expression);
                    if let Some(given) = &heritage.type_arguments {
                        this.leaf_in(words.TYPE_PARAMETERS_OF, words.OTHER, given.span);
                    }
                });
            }
            if let Some(at) = implements {
                this.node(words.IMPLEMENTS, at, |this| {
                    for ty in &it.implements {
                        this.leaf(words.OTHER, ty.span);
                    }
                });
            }
        });
    }

    pub(super) fn interface(&mut self, it: &ast::TSInterfaceDeclaration<'_>) {
        let words = self.words;
        self.declared(span(it.span), it.declare, |this, at| {
            this.node(words.INTERFACE, at, |this| {
                this.leaf_in(words.NAME, words.IDENTIFIER, it.id.span);
                this.type_parameters(it.type_parameters.as_deref());
                if let (Some(first), Some(last)) = (it.extends.first(), it.extends.last()) {
                    let at = Span::new(first.span.start, last.span.end);
                    this.node(words.EXTENDS_TYPE, at, |this| {
                        for ty in &it.extends {
                            this.leaf(words.OTHER, ty.span);
                        }
                    });
                }
                this.field(words.BODY);
                this.node(words.OTHER, span(it.body.span), |this| this.visit_ts_signatures(&it.body.body));
            });
        });
    }

    pub(super) fn enumeration(&mut self, it: &ast::TSEnumDeclaration<'_>) {
        let words = self.words;
        self.declared(span(it.span), it.declare, |this, at| {
            this.node(words.ENUM, at, |this| {
                this.leaf_in(words.NAME, words.IDENTIFIER, it.id.span);
                this.field(words.BODY);
                this.node(words.ENUM_BODY, span(it.body.span), |this| {
                    for member in &it.body.members {
                        this.enum_member(member);
                    }
                });
            });
        });
    }

    fn enum_member(&mut self, it: &ast::TSEnumMember<'_>) {
        let words = self.words;
        let Some(value) = &it.initializer else {
            self.leaf(words.IDENTIFIER, it.span);
            return;
        };
        self.node(words.ENUM_ASSIGNMENT, span(it.span), |this| {
            this.leaf_in(words.NAME, words.IDENTIFIER, it.id.span());
            this.leaf_in(words.VALUE, words.OTHER, value.span());
        });
    }

    pub(super) fn type_alias(&mut self, it: &ast::TSTypeAliasDeclaration<'_>) {
        let words = self.words;
        self.declared(span(it.span), it.declare, |this, at| {
            this.node(words.TYPE_ALIAS, at, |this| {
                this.leaf_in(words.NAME, words.IDENTIFIER, it.id.span);
                this.type_parameters(it.type_parameters.as_deref());
                this.field(words.VALUE);
                this.visit_ts_type(&it.type_annotation);
            });
        });
    }

    pub(super) fn namespace(&mut self, it: &ast::TSNamespaceDeclaration<'_>) {
        let kind = match it.kind {
            ast::TSNamespaceDeclarationKind::Module => self.words.MODULE,
            ast::TSNamespaceDeclarationKind::Namespace => self.words.NAMESPACE,
        };
        self.declared(span(it.span), it.declare, |this, at| {
            // A name with dots is one to the grammar.
            let mut inner = it;
            while let ast::TSNamespaceDeclarationBody::TSNamespaceDeclaration(nested) = &inner.body {
                inner = nested;
            }
            let name = Span::new(it.id.span.start, inner.id.span.end);
            this.node(kind, at, |this| {
                this.leaf_in(this.words.NAME, this.words.IDENTIFIER, name);
                if let ast::TSNamespaceDeclarationBody::TSModuleBlock(block) = &inner.body {
                    this.module_block(block);
                }
            });
        });
    }

    pub(super) fn external_module(&mut self, it: &ast::TSExternalModuleDeclaration<'_>) {
        let words = self.words;
        self.declared(span(it.span), it.declare, |this, at| {
            this.node(words.MODULE, at, |this| {
                this.leaf_in(words.NAME, words.STRING, it.id.span);
                if let Some(block) = &it.body {
                    this.module_block(block);
                }
            });
        });
    }

    pub(super) fn global(&mut self, it: &ast::TSGlobalDeclaration<'_>) {
        self.declared(span(it.span), it.declare, |this, _| this.plain_block(&it.body));
    }

    fn module_block(&mut self, it: &ast::TSModuleBlock<'_>) {
        self.field(self.words.BODY);
        self.plain_block(it);
    }

    fn plain_block(&mut self, it: &ast::TSModuleBlock<'_>) {
        self.node(self.words.BLOCK, span(it.span), |this| {
            this.visit_directives(&it.directives);
            this.visit_statements(&it.body);
        });
    }

    pub(super) fn import(&mut self, it: &ast::ImportDeclaration<'_>) {
        let words = self.words;
        self.node(words.IMPORT, span(it.span), |this| {
            if let Some(taken) = it.specifiers.as_ref().filter(|taken| !taken.is_empty()) {
                this.import_clause(taken);
            }
            this.leaf_in(words.SOURCE, words.STRING, it.source.span);
        });
    }

    fn import_clause(&mut self, taken: &[ast::ImportDeclarationSpecifier<'_>]) {
        let words = self.words;
        let whole = |taken: &[ast::ImportDeclarationSpecifier<'_>]| {
            let (first, last) = (taken.first(), taken.last());
            first.zip(last).map(|(first, last)| Span::new(first.span().start, last.span().end))
        };
        let is_named = |one: &&ast::ImportDeclarationSpecifier<'_>| {
            matches!(one, ast::ImportDeclarationSpecifier::ImportSpecifier(_))
        };
        let named = taken.iter().position(|one| is_named(&one)).unwrap_or(taken.len());
        let Some(at) = whole(taken) else { return };
        self.node(words.IMPORT_CLAUSE, at, |this| {
            for one in &taken[..named] {
                match one {
                    ast::ImportDeclarationSpecifier::ImportNamespaceSpecifier(one) => {
                        this.node(words.NAMESPACE_IMPORT, span(one.span), |this| {
                            this.leaf(words.IDENTIFIER, one.local.span);
                        });
                    }
                    one => this.leaf(words.IDENTIFIER, one.span()),
                }
            }
            let Some(at) = whole(&taken[named..]) else { return };
            this.node(words.NAMED_IMPORTS, at, |this| {
                for one in &taken[named..] {
                    if let ast::ImportDeclarationSpecifier::ImportSpecifier(one) = one {
                        this.specifier(
                            words.IMPORT_SPECIFIER,
                            one.span,
                            (one.imported.span(), one.local.span),
                        );
                    }
                }
            });
        });
    }

    /// Adds a name and, where it is another, the name that it is given.
    fn specifier(&mut self, kind: u16, at: oxc_span::Span, (name, alias): (oxc_span::Span, oxc_span::Span)) {
        let words = self.words;
        self.node(kind, span(at), |this| {
            this.leaf_in(words.NAME, words.IDENTIFIER, name);
            if alias != name {
                this.leaf_in(words.ALIAS, words.IDENTIFIER, alias);
            }
        });
    }

    pub(super) fn import_equals(&mut self, it: &ast::TSImportEqualsDeclaration<'_>) {
        let is_external = matches!(it.module_reference, ast::TSModuleReference::ExternalModuleReference(_));
        let kind = if is_external { self.words.IMPORT } else { self.words.IMPORT_ALIAS };
        self.leaf(kind, it.span);
    }

    pub(super) fn export_specifiers(
        &mut self,
        at: oxc_span::Span,
        given: &[ast::ExportSpecifier<'_>],
        source: Option<&ast::StringLiteral<'_>>,
    ) {
        let words = self.words;
        self.node(words.EXPORT, span(at), |this| {
            let clause = match (given.first(), given.last()) {
                (Some(first), Some(last)) => Span::new(first.span.start, last.span.end),
                _ => Span::at(source.map_or(at.end, |source| source.span.start)),
            };
            this.node(words.EXPORT_CLAUSE, clause, |this| {
                for one in given {
                    let names = (one.local.span(), one.exported.span());
                    this.specifier(words.EXPORT_SPECIFIER, one.span, names);
                }
            });
            if let Some(source) = source {
                this.leaf_in(words.SOURCE, words.STRING, source.span);
            }
        });
    }

    pub(super) fn export_all(&mut self, it: &ast::ExportAllDeclaration<'_>) {
        let words = self.words;
        self.node(words.EXPORT, span(it.span), |this| {
            if let Some(name) = &it.exported {
                this.node(words.NAMESPACE_EXPORT, span(name.span()), |this| {
                    this.leaf(words.IDENTIFIER, name.span());
                });
            }
            this.leaf_in(words.SOURCE, words.STRING, it.source.span);
        });
    }

    /// Adds a declaration that is given out, its decorators in front of it.
    pub(super) fn export(&mut self, it: &ast::ExportDeclaration<'_>) {
        let words = self.words;
        let class = match &it.declaration {
            ast::Declaration::ClassDeclaration(class) => Some(&**class),
            _ => None,
        };
        self.exported(it.span, class, |this| {
            this.field(words.DECLARATION);
            this.visit_declaration(&it.declaration);
        });
    }

    fn exported(
        &mut self,
        at: oxc_span::Span,
        class: Option<&ast::Class<'_>>,
        inside: impl FnOnce(&mut Self),
    ) {
        let words = self.words;
        let before: Vec<_> = class
            .into_iter()
            .flat_map(|class| &class.decorators)
            .map(|decorator| decorator.span)
            .filter(|decorator| {
                let behind = self.token_behind(decorator.end);
                decorator.start < at.start || self.text[behind as usize..].starts_with("export")
            })
            .collect();
        let start = before.iter().map(|decorator| decorator.start).min().unwrap_or(at.start).min(at.start);
        self.node(words.EXPORT, Span::new(start, at.end), |this| {
            for decorator in before {
                this.leaf(words.DECORATOR, decorator);
            }
            inside(this);
        });
    }

    pub(super) fn export_default(&mut self, it: &ast::ExportDefaultDeclaration<'_>) {
        use ast::ExportDefaultDeclarationKind as Given;
        let words = self.words;
        let class = match &it.declaration {
            Given::ClassDeclaration(class) => Some(&**class),
            _ => None,
        };
        self.exported(it.span, class, |this| match &it.declaration {
            Given::FunctionDeclaration(function) => {
                // Without a name it is a value; without a body as well, it has none to be called by.
                let is_value = function.id.is_none() && function.body.is_some();
                this.field(if is_value { words.VALUE } else { words.DECLARATION });
                this.function(function, is_value);
            }
            Given::ClassDeclaration(class) => {
                let is_value = class.id.is_none() && !class.r#abstract;
                this.field(if is_value { words.VALUE } else { words.DECLARATION });
                this.class(class, is_value);
            }
            Given::TSInterfaceDeclaration(interface) => {
                this.field(words.DECLARATION);
                this.interface(interface);
            }
            value => {
                this.field(words.VALUE);
                if let Some(value) = value.as_expression() {
                    this.visit_expression(value);
                }
            }
        });
    }
}
