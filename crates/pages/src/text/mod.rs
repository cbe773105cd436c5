//! The texts of comments as their readers show them: Markdown, HTML, XML, reStructuredText, plain text, and the inline
//! tags of notations; always through what makes HTML harmless.

mod as_markdown;
mod code;
mod fragments;
mod inline;
mod markdown;
mod plain;
mod rest;
mod xml;

pub(crate) use as_markdown::{as_line, as_markdown, as_text, code, fenced, plain};
pub(crate) use code::coloured;

use crate::Addresses;
use crate::addresses::From;
use crate::safe::sanitized;
use fragments::Fragments;

/// How a text is marked up.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Form {
    /// Markdown (CommonMark), with inline tags of the notation.
    Markdown,
    /// Markdown with commands that begin with `\` or `@`.
    Commands,
    /// HTML, with inline tags of the notation.
    Html,
    /// The XML of C#.
    Xml,
    /// reStructuredText.
    Rest,
    /// Epytext: `C{code}`, `L{a link}`.
    Epytext,
    /// The wiki marks of Scala: `[[a link]]`, `{{{code}}}`, `'''bold'''`.
    Wiki,
    /// The plain text of Go: headings, lists, `[Name]`.
    Go,
    /// The marks of Ruby: `+code+`, `{Name}`, Markdown besides.
    Ruby,
    /// Plain text; indented lines are code.
    Plain,
}

impl Form {
    /// Returns the form of a notation's texts.
    #[must_use]
    pub fn of(notation: &str, language: &str) -> Self {
        match (notation, language) {
            ("xml", _) => Self::Xml,
            ("epytext", _) => Self::Epytext,
            ("rest" | "google" | "numpy", _) | (_, "python") => Self::Rest,
            ("commands", _) => Self::Commands,
            ("tags", "scala") => Self::Wiki,
            ("tags", "ruby") => Self::Ruby,
            ("tags", "java") => Self::Html,
            ("prose", "go") => Self::Go,
            ("labels", _) => Self::Plain,
            ("tags", "c" | "cpp") => Self::Plain,
            _ => Self::Markdown,
        }
    }
}

/// What a text is rendered for.
#[derive(Clone, Copy, Debug)]
pub(crate) struct Setting<'a> {
    /// Where everything stands.
    pub(crate) addresses: &'a Addresses,
    /// Who refers to it.
    pub(crate) from: From<'a>,
    /// What leads from the page to the site.
    pub(crate) root: &'a str,
    /// The language of the code, by id.
    pub(crate) language: &'a str,
    /// References that lead nowhere, as the review knows.
    pub(crate) broken: &'a [&'a str],
}

/// Renders a text, with links to what it refers to.
#[must_use]
pub(crate) fn rendered(text: &str, form: Form, setting: Setting<'_>) -> String {
    if text.trim().is_empty() {
        return String::new();
    }
    let mut fragments = Fragments::of(setting);
    let clean = Fragments::clean(text);
    let html = match form {
        Form::Markdown => {
            let text = fragments.take_inline_tags(&clean);
            let text = fragments.take_reference_links(&text, |_| true);
            fragments.markdown(&text)
        }
        Form::Commands => {
            let text = fragments.take_commands(&clean);
            fragments.markdown(&text)
        }
        Form::Html => {
            let text = fragments.take_inline_tags(&clean);
            fragments.take_pre(&text)
        }
        Form::Xml => fragments.take_elements(&clean),
        Form::Rest => fragments.rest(&clean),
        Form::Epytext => {
            let text = fragments.take_lettered(&clean);
            fragments.rest(&text)
        }
        Form::Wiki => {
            let text = fragments.take_inline_tags(&clean);
            let text = fragments.take_wiki(&text);
            fragments.markdown(&text)
        }
        Form::Ruby => {
            let text = fragments.take_ruby(&clean);
            fragments.markdown(&text)
        }
        Form::Go => {
            let text = fragments.take_reference_links(&clean, |name| {
                // What is not exported is not linked to (Go Doc Comments, "Doc links").
                name.rsplit('.').next().is_some_and(|last| last.starts_with(char::is_uppercase))
            });
            fragments.plain(&text)
        }
        Form::Plain => fragments.plain(&clean),
    };
    fragments.put_back(&sanitized(&html))
}

#[cfg(test)]
mod tests;
