//! Code in colours.

use std::cell::RefCell;

use vinequill_core::languages;
use vinequill_core::reading::Parsers;
use vinequill_core::text::Source;

use crate::safe::escaped;

/// Longer code is shown as it is.
const LONGEST: usize = 20_000;

thread_local! {
    static PARSERS: RefCell<Parsers> = RefCell::new(Parsers::new());
}

/// Returns code as HTML, with what its pieces are where the language has a grammar; `language` is an id, or what stands
/// behind a fence.
#[must_use]
pub(crate) fn coloured(code: &str, language: &str) -> String {
    let word = fence_name(language);
    let Some(language) = languages::for_fence(word).filter(|_| code.len() <= LONGEST) else {
        return escaped(code);
    };
    let source = Source::new("", code);
    // A source is not changed by being read, save for what no text has; then nothing fits.
    if source.text() != code {
        return escaped(code);
    }
    let pieces = PARSERS.with(|parsers| language.reader.classes(&source, &mut parsers.borrow_mut()));
    let mut out = String::with_capacity(code.len() * 2);
    let mut at = 0;
    for (span, class) in pieces {
        let (start, end) = (span.start as usize, span.end as usize);
        let (Some(before), Some(piece)) = (code.get(at..start), code.get(start..end)) else { continue };
        out.push_str(&escaped(before));
        out.push_str("<span class=\"c-");
        out.push_str(class.as_str());
        out.push_str("\">");
        out.push_str(&escaped(piece));
        out.push_str("</span>");
        at = end;
    }
    out.push_str(&escaped(code.get(at..).unwrap_or_default()));
    out
}

/// Returns the name of a language out of what stands behind a fence.
#[must_use]
pub(crate) fn fence_name(info: &str) -> &str {
    info.split([',', ' ', '{']).next().unwrap_or_default()
}
