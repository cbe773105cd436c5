//! How the comments of a file are put down: whoever adds one keeps to the habit of those that are there.

use super::Language;
use crate::model::{Carrier, Doc, Outline, RawComment, Votes};
use crate::text::Source;

/// How comments are put down in a file.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(crate) struct Dress {
    /// A text of one line.
    one: Form,
    /// A text of several lines.
    several: Form,
}

/// How a comment is put down.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(crate) struct Form {
    /// What carries the text.
    pub(crate) carrier: Carrier,
    /// Where the text stands in a block or docstring.
    pub(crate) layout: Layout,
    /// What a docstring opens and closes with.
    pub(crate) quotes: &'static str,
    /// The mark of all lines of a run but the first, where it is another.
    pub(crate) rest: Option<&'static str>,
    /// Tags stand directly behind the mark of a line.
    pub(crate) tight: bool,
}

/// Where the text of a block or docstring stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(crate) enum Layout {
    /// All of it between the marks, on their line.
    Inline,
    /// On lines between those of the marks.
    Lines {
        /// The first line of text stands behind the opening mark.
        opens: bool,
        /// An asterisk stands before every line but the first.
        star: bool,
        /// Spaces before the asterisk, or before the text where there is none, beyond the comment's own.
        lead: usize,
        /// Spaces between asterisk and text.
        gap: usize,
        /// Spaces before the closing mark, beyond the comment's own.
        tail: usize,
    },
}

impl Form {
    /// Returns the customary form of a text of one line.
    const fn one(carrier: Carrier) -> Self {
        Self { carrier, layout: Layout::Inline, quotes: "\"\"\"", rest: None, tight: false }
    }

    /// Returns the customary form of a text of several lines.
    fn several(carrier: Carrier) -> Self {
        let layout = match carrier {
            Carrier::Block { close: "*/", .. } => {
                Layout::Lines { opens: false, star: true, lead: 1, gap: 1, tail: 1 }
            }
            // A mark of its own closes it: the lines between need no asterisk.
            Carrier::Block { .. } => Layout::Lines { opens: false, star: false, lead: 2, gap: 0, tail: 0 },
            Carrier::Lines { .. } | Carrier::Docstring => {
                Layout::Lines { opens: true, star: false, lead: 0, gap: 0, tail: 0 }
            }
        };
        Self { layout, ..Self::one(carrier) }
    }
}

impl Dress {
    /// Returns the customary dress.
    pub(crate) fn of_carrier(carrier: Carrier) -> Self {
        Self { one: Form::one(carrier), several: Form::several(carrier) }
    }

    /// Returns the dress that most doc comments of a file have; that of the language where there are none.
    pub(crate) fn of(outline: &Outline, source: &Source, language: &Language) -> Self {
        let carrier = language.carrier;
        DressVotes::of(outline, source, language).most(carrier).unwrap_or_else(|| Self::of_carrier(carrier))
    }

    /// Returns the same habits for another carrier, as far as they suit it.
    pub(crate) fn carried_by(self, carrier: Carrier) -> Self {
        let customary = Self::of_carrier(carrier);
        let suited = |form: Form, customary: Form| if form.carrier == carrier { form } else { customary };
        Self { one: suited(self.one, customary.one), several: suited(self.several, customary.several) }
    }

    /// Returns what a comment opens with, of one line or of several.
    pub(crate) fn mark(&self, several: bool) -> &'static str {
        let form = if several { self.several } else { self.one };
        match form.carrier {
            Carrier::Block { open, .. } => open,
            Carrier::Lines { mark } => mark,
            Carrier::Docstring => form.quotes,
        }
    }

    /// Tells whether a text of several lines begins behind the opening mark.
    pub(crate) fn opens_with_text(&self, carrier: Carrier) -> bool {
        self.several.carrier == carrier && matches!(self.several.layout, Layout::Lines { opens: true, .. })
    }

    /// Returns the mark of all lines of a run but the first, where it is another.
    pub(crate) fn rest(&self) -> Option<&'static str> {
        self.several.rest
    }

    /// Tells whether tags stand directly behind the mark of a line.
    pub(crate) fn tight(&self) -> bool {
        self.several.tight
    }

    /// Returns the form of a text.
    pub(crate) fn form(&self, lines: &[String]) -> Form {
        let form = if lines.len() == 1 { self.one } else { self.several };
        let mut form = form;
        if let Layout::Lines { star, lead, gap, .. } = &mut form.layout
            && matches!(form.carrier, Carrier::Block { close: "*/", .. })
            && lines.iter().any(|line| line.trim_start().starts_with('*'))
        {
            // The text's own asterisks would be taken for the comment's.
            if !*star {
                (*star, *lead, *gap) = (true, 1, 1);
            }
        }
        form
    }
}

/// The forms of comments, each with how often it was met.
#[derive(Clone, Debug, Default)]
pub(crate) struct DressVotes {
    one: Votes<Form>,
    several: Votes<Form>,
}

impl DressVotes {
    /// Counts the forms of the doc comments of a file.
    pub(crate) fn of(outline: &Outline, source: &Source, language: &Language) -> Self {
        let mut out = Self::default();
        if outline.columns.is_some() {
            return out;
        }
        let own = |comment: &RawComment| comment.carrier == language.carrier;
        // Other comments become documentation only by the project's own marks.
        let another = |comment: &RawComment| {
            comment.standing == Doc::Yes
                && comment.carrier != language.remark
                && !matches!(comment.carrier, Carrier::Block { open: "/*", .. } | Carrier::Docstring)
                && language.carrier != Carrier::Docstring
        };
        let counted = |comment: &&RawComment| {
            comment.attached
                && matches!(comment.standing, Doc::Yes | Doc::IfAbove)
                && (own(comment) || another(comment))
        };
        for comment in outline.comments.iter().filter(counted) {
            let said = comment.lines.iter().filter(|line| !source.slice(**line).trim().is_empty()).count();
            match (said, form(comment, source, language)) {
                (0, _) | (_, None) => {}
                (1, Some(form)) => out.one.add(form),
                (_, Some(form)) => out.several.add(form),
            }
        }
        out
    }

    /// Counts the forms that others count.
    pub(crate) fn add_all(&mut self, others: &Self) {
        self.one.add_all(&others.one);
        self.several.add_all(&others.several);
    }

    /// Returns the dress that was met most; nothing where there is none.
    pub(crate) fn most(&self, carrier: Carrier) -> Option<Dress> {
        let customary = Dress::of_carrier(carrier);
        let (one, several) = (&self.one, &self.several);
        let mut chosen = (one.most(customary.one), several.most(customary.several));
        if let (Some(first), Some(second)) = chosen
            && first.carrier != second.carrier
        {
            // A few of one kind say little where there are many of the other.
            if one.count() * 4 < several.count() {
                chosen.0 = None;
            } else if several.count() * 4 < one.count() {
                chosen.1 = None;
            }
        }
        Some(match chosen {
            (None, None) => return None,
            (Some(one), None) => {
                Dress { one, several: Form { quotes: one.quotes, ..Form::several(one.carrier) } }
            }
            (None, Some(several)) => {
                Dress { one: Form { quotes: several.quotes, ..Form::one(several.carrier) }, several }
            }
            (Some(one), Some(several)) => Dress { one, several },
        })
    }
}

/// Returns the form of a comment; nothing where it is no example to follow.
fn form(comment: &RawComment, source: &Source, language: &Language) -> Option<Form> {
    let text = source.slice(comment.span);
    let carrier = match (comment.carrier, language.carrier) {
        // The ornament of a closing mark is the language's.
        (Carrier::Block { open, .. }, Carrier::Block { open: customary, .. }) if open == customary => {
            language.carrier
        }
        (carrier, _) => carrier,
    };
    let (open, close) = match carrier {
        Carrier::Lines { mark } => {
            let Some(second) = text.lines().nth(1) else { return Some(Form::one(carrier)) };
            let rest = match language.remark {
                Carrier::Lines { mark: plain } if !second.trim_start().starts_with(mark) => Some(plain),
                _ => None,
            };
            let bare = |line: &str| line.trim_start().trim_start_matches(mark).starts_with('@');
            return Some(Form { rest, tight: text.lines().any(bare), ..Form::several(carrier) });
        }
        Carrier::Block { open, close } => (open, close),
        Carrier::Docstring => {
            let quoted = text.trim_start_matches(|c: char| c.is_ascii_alphabetic());
            let quotes = ["\"\"\"", "'''"].into_iter().find(|quotes| quoted.starts_with(quotes))?;
            (quotes, quotes)
        }
    };
    let quotes = if carrier == Carrier::Docstring { open } else { Form::one(carrier).quotes };
    let Some((first, rest)) = text.split_once('\n') else {
        return Some(Form { quotes, ..Form::one(carrier) });
    };
    let opens = first.find(open).is_some_and(|at| !first[at + open.len()..].trim().is_empty());
    let indent = source.indent_at(comment.span.start);
    let spaces = |line: &str| {
        let line = line.strip_prefix(indent)?;
        let lead = line.len() - line.trim_start().len();
        line[..lead].bytes().all(|b| b == b' ').then_some(lead)
    };
    let (between, last) = rest.rsplit_once('\n').unwrap_or(("", rest));
    if carrier == Carrier::Docstring {
        let layout = Layout::Lines { opens, star: false, lead: 0, gap: 0, tail: 0 };
        return Some(Form { layout, quotes, ..Form::several(carrier) });
    }
    if last.trim() != close {
        return None;
    }
    let said = || between.lines().filter(|line| !line.trim().is_empty());
    let star = said().all(|line| line.trim_start().starts_with('*'));
    let tail = spaces(last)?;
    let lead = spaces(said().next()?)?;
    let behind =
        said().filter_map(|line| line.trim_start().strip_prefix('*')).find(|text| !text.trim().is_empty());
    let gap = behind.map_or(1, |text| text.len() - text.trim_start().len());
    let layout = Layout::Lines { opens, star, lead, gap: if star { gap } else { 0 }, tail };
    Some(Form { layout, quotes, ..Form::several(carrier) })
}
