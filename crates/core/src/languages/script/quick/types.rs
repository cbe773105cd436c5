//! Types: of most only the place matters.

use oxc_ast::ast;
use oxc_ast_visit::Visit;
use oxc_span::GetSpan;

use super::{Lowering, span};
use crate::text::{Span, narrow};

impl<'s> Lowering<'s> {
    /// Returns an annotation's place with the colon in front of it.
    fn with_colon(&self, ty: Span) -> Span {
        let before = self.text[..ty.start as usize].trim_end();
        match before.ends_with(':') {
            true => Span::new(narrow(before.len() - 1), ty.end),
            false => ty,
        }
    }

    pub(super) fn annotation_in(&mut self, field: u16, it: Option<&ast::TSTypeAnnotation<'_>>) {
        let Some(it) = it else { return };
        let at = self.with_colon(span(it.span));
        self.field(field);
        self.node(self.words.TYPE_ANNOTATION, at, |this| this.outer_type(&it.type_annotation));
    }

    pub(super) fn return_type(&mut self, it: Option<&ast::TSTypeAnnotation<'_>>) {
        let Some(it) = it else { return };
        let words = self.words;
        let kind = match &it.type_annotation {
            ast::TSType::TSTypePredicate(predicate) if predicate.asserts => words.ASSERTS,
            ast::TSType::TSTypePredicate(_) => words.PREDICATE,
            _ => words.TYPE_ANNOTATION,
        };
        let at = self.with_colon(span(it.span));
        self.field(words.RETURN_TYPE);
        self.node(kind, at, |this| this.outer_type(&it.type_annotation));
    }

    /// Adds a type of whose inside nothing is asked, unless it is a function's.
    fn outer_type(&mut self, it: &ast::TSType<'_>) {
        match it {
            ast::TSType::TSFunctionType(function) => self.function_type(function),
            ty => self.leaf(self.words.OTHER, self.behind_import(span(ty.span()))),
        }
    }

    /// Returns the place of a type without the module that it is taken from where it stands: `import("./press").Press`.
    fn behind_import(&self, ty: Span) -> Span {
        let taken = self.slice(ty).strip_prefix("import(").filter(|rest| !rest.contains("import("));
        let taken = taken.and_then(|rest| rest.find(")."));
        let module = taken.map_or(0, |end| "import(".len() + end + 2);
        Span::new(ty.start + narrow(module), ty.end)
    }

    pub(super) fn function_type(&mut self, it: &ast::TSFunctionType<'_>) {
        self.node(self.words.FUNCTION_TYPE, span(it.span), |this| {
            this.type_parameters(it.type_parameters.as_deref());
            this.parameters(&it.params, it.this_param.as_deref());
            this.field(this.words.RETURN_TYPE);
            this.visit_ts_type(&it.return_type.type_annotation);
        });
    }

    pub(super) fn type_parameters(&mut self, it: Option<&ast::TSTypeParameterDeclaration<'_>>) {
        let Some(it) = it else { return };
        let words = self.words;
        self.field(words.TYPE_PARAMETERS_OF);
        self.node(words.TYPE_PARAMETERS, span(it.span), |this| {
            for parameter in &it.params {
                this.node(words.TYPE_PARAMETER, span(parameter.span), |this| {
                    this.leaf_in(words.NAME, words.IDENTIFIER, parameter.name.span);
                });
            }
        });
    }
}
