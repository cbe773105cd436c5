//! Parts a text into code, comments and strings, in one pass; what is not code is blanked at equal byte
//! length, so that every position stays true.

use super::profile::{Anchor, Continuation, Mark, Profile};
use crate::model::{Carrier, Doc, RawComment};
use crate::reading::{block_lines, leaves_out, without_mark};
use crate::text::Span;

/// A text, taken apart.
pub(super) struct Scanned {
    /// As long as the text; comments and what stands outside the columns are blank, continued lines joined.
    pub(super) code: String,
    /// Comments in order.
    pub(super) comments: Vec<RawComment>,
    /// Strings in order.
    strings: Vec<Span>,
    /// The columns that hold code, where they are fixed in this text.
    pub(super) columns: Option<(u32, u32)>,
    /// What stands outside those columns.
    beyond: Vec<Span>,
}

impl Scanned {
    /// Returns a text with all that stands outside the columns blanked; nothing where there are none.
    pub(super) fn inside_columns(&self, text: &str) -> Option<String> {
        self.columns?;
        let mut bytes = text.as_bytes().to_vec();
        for span in &self.beyond {
            bytes[span.range()].fill(b' ');
        }
        String::from_utf8(bytes).ok()
    }

    /// Tells whether an offset lies inside a string.
    pub(super) fn in_string(&self, at: usize) -> bool {
        let behind = self.strings.partition_point(|span| (span.start as usize) < at);
        behind > 0 && at < self.strings[behind - 1].end as usize
    }
}

/// Takes a text apart.
pub(super) fn scan(profile: &Profile, text: &str) -> Scanned {
    let columns = profile.columns.as_ref();
    let columns = columns.filter(|columns| !columns.unless.as_ref().is_some_and(|free| free.is_match(text)));
    let columns = columns.map(|columns| (columns.from, columns.to));
    let mut scan = Scan {
        profile,
        text,
        code: text.as_bytes().to_vec(),
        found: Vec::new(),
        strings: Vec::new(),
        beyond: Vec::new(),
        open: None,
        special: special(profile),
    };
    let mut at = 0;
    for line in text.split_inclusive('\n') {
        let bare = line.trim_end_matches(['\n', '\r']);
        scan.line(at, at + bare.len(), columns);
        at += line.len();
    }
    if let Some((start, mark)) = scan.open.take() {
        scan.take(start, text.trim_end().len().max(start), mark);
    }
    let comments = gather(profile, text, &scan.found);
    let mut code = scan.code;
    join(profile, &mut code);
    // Whole characters were blanked only.
    let code = String::from_utf8(code).unwrap_or_else(|_| " ".repeat(text.len()));
    Scanned { code, comments, strings: scan.strings, columns, beyond: scan.beyond }
}

/// Bytes at which a mark or a string may begin.
fn special(profile: &Profile) -> [bool; 256] {
    let mut special = [false; 256];
    for mark in &profile.marks {
        let first = mark.text.as_bytes()[0];
        special[usize::from(first.to_ascii_lowercase())] = true;
        special[usize::from(first.to_ascii_uppercase())] = true;
    }
    for quote in &profile.strings {
        let mut bytes = [0; 4];
        special[usize::from(quote.encode_utf8(&mut bytes).as_bytes()[0])] = true;
    }
    special
}

/// One comment as it was met, before runs of lines are joined.
struct Met {
    span: Span,
    mark: Mark,
    /// Code stands before it on its line.
    trailing: bool,
}

struct Scan<'p> {
    profile: &'p Profile,
    text: &'p str,
    code: Vec<u8>,
    found: Vec<Met>,
    strings: Vec<Span>,
    beyond: Vec<Span>,
    /// A comment that is not closed yet.
    open: Option<(usize, Mark)>,
    special: [bool; 256],
}

impl Scan<'_> {
    fn line(&mut self, start: usize, end: usize, columns: Option<(u32, u32)>) {
        let (from, to, first_column) = match columns {
            Some(columns) => cut(&self.text[start..end], columns),
            None => (0, end - start, true),
        };
        let (from, to) = (start + from, start + to);
        for (from, to) in [(start, from), (to, end)] {
            if from < to {
                self.beyond.push(Span::of(from, to));
                self.blank(from, to);
            }
        }
        let mut at = from;
        while at < to {
            at = match self.open {
                Some((opened, mark)) => {
                    let close = mark.close.unwrap_or_default();
                    match self.text[at..to].find(close) {
                        Some(found) => {
                            self.open = None;
                            self.take(opened, at + found + close.len(), mark);
                            at + found + close.len()
                        }
                        None => return,
                    }
                }
                None => self.step(at, (from, to), first_column),
            };
        }
    }

    /// Looks at one place outside comments and returns the next.
    fn step(&mut self, at: usize, (from, to): (usize, usize), first_column: bool) -> usize {
        if !self.special[usize::from(self.text.as_bytes()[at])] {
            return at + 1;
        }
        let rest = &self.text[at..to];
        let first_on_line = self.text[from..at].trim().is_empty();
        let mark = self.profile.marks.iter().find(|mark| {
            let placed = match mark.anchor {
                Anchor::Anywhere => true,
                Anchor::FirstColumn => at == from && first_column,
                Anchor::FirstOnLine => first_on_line,
            };
            placed && opens(rest, mark.text, self.profile.ignore_case)
        });
        if let Some(&mark) = mark {
            return match mark.close {
                None => {
                    let bare = rest.trim_end();
                    self.take(at, at + bare.len().max(mark.text.len()), mark);
                    to
                }
                Some(_) => {
                    self.open = Some((at, mark));
                    at + mark.text.len()
                }
            };
        }
        let quote = rest.chars().next().filter(|c| self.profile.strings.contains(c));
        let Some(quote) = quote else { return at + 1 };
        match rest[quote.len_utf8()..].find(quote) {
            Some(found) => {
                let end = at + found + 2 * quote.len_utf8();
                self.strings.push(Span::of(at, end));
                end
            }
            // A quote that nothing closes on its line is an apostrophe.
            None => at + quote.len_utf8(),
        }
    }

    fn take(&mut self, start: usize, end: usize, mark: Mark) {
        let line = self.text[..start].rfind('\n').map_or(0, |found| found + 1);
        // The code so far has what stands outside the columns blanked.
        let trailing = !self.code[line..start].iter().all(u8::is_ascii_whitespace);
        self.found.push(Met { span: Span::of(start, end), mark, trailing });
        self.blank(start, end);
    }

    fn blank(&mut self, from: usize, to: usize) {
        for byte in &mut self.code[from..to.max(from)] {
            if !matches!(*byte, b'\n' | b'\r') {
                *byte = b' ';
            }
        }
    }
}

/// Tells whether a text begins with a mark; one that ends with a letter needs a word's end behind it.
fn opens(rest: &str, mark: &str, ignore_case: bool) -> bool {
    let Some(head) = rest.get(..mark.len()) else { return false };
    let same = if ignore_case { head.eq_ignore_ascii_case(mark) } else { head == mark };
    let word = mark.ends_with(char::is_alphanumeric);
    same && !(word && rest[mark.len()..].starts_with(|c: char| c.is_alphanumeric() || c == '_'))
}

/// Returns the bytes of a line that lie in columns, and whether they begin in the first of them. A tab goes
/// to the next multiple of eight.
fn cut(line: &str, (from, to): (u32, u32)) -> (usize, usize, bool) {
    let mut column = 1;
    let (mut start, mut exact) = (line.len(), false);
    for (at, c) in line.char_indices() {
        if column >= from && start == line.len() {
            (start, exact) = (at, column == from);
        }
        if column > to {
            return (start, at, exact);
        }
        column = if c == '\t' { (column - 1) / 8 * 8 + 9 } else { column + 1 };
    }
    (start, line.len(), exact)
}

/// Joins lines that are one.
fn join(profile: &Profile, code: &mut [u8]) {
    let Some(continuation) = &profile.continuation else { return };
    let mut blanks: Vec<(usize, usize)> = Vec::new();
    let mut at = 0;
    let mut before: Option<usize> = None;
    for line in code.split_inclusive(|&byte| byte == b'\n') {
        let Ok(text) = std::str::from_utf8(line) else { continue };
        let bare = text.trim_end_matches(['\n', '\r']);
        let joined = match continuation {
            Continuation::ByNext(pattern) => pattern.find(bare).zip(before).map(|(found, end)| {
                blanks.push((at + found.start(), at + found.end()));
                (end, at)
            }),
            Continuation::ByLine(pattern) => pattern.find(bare).map(|found| {
                let mark = found.as_str().trim_start();
                blanks.push((at + found.end() - mark.len(), at + found.end()));
                (at + bare.len(), at + line.len())
            }),
        };
        blanks.extend(joined);
        before = Some(at + bare.len());
        at += line.len();
    }
    for (from, to) in blanks {
        code[from..to].fill(b' ');
    }
}

/// Makes comments of what was met: lines with one mark, one below the other, are one comment.
fn gather(profile: &Profile, text: &str, found: &[Met]) -> Vec<RawComment> {
    let mut out: Vec<RawComment> = Vec::new();
    let mut trailing_before = false;
    for met in found {
        let (carrier, doc) = carrier(profile, &text[met.span.range()], met.mark);
        let lines = match carrier {
            Carrier::Lines { mark } => {
                vec![without_mark(&text[met.span.range()], met.span.start as usize, mark)]
            }
            Carrier::Block { open, close } => {
                let closed = text[met.span.range()].ends_with(close);
                block_lines(text, met.span, open.len(), if closed { close.len() } else { 0 })
            }
            Carrier::Docstring => Vec::new(),
        };
        let lines: Vec<Span> =
            lines.into_iter().map(|line| without_border(text, line, profile.border)).collect();
        let joins = out.last().is_some_and(|last| {
            let gap = &text[last.span.end as usize..met.span.start as usize];
            let near = gap.matches('\n').count() == 1;
            // The lines of a frame may have a mark of their own.
            let same = last.carrier == carrier || (doc != Doc::No && last.standing == doc);
            matches!((last.carrier, carrier), (Carrier::Lines { .. }, Carrier::Lines { .. }))
                && same
                && near
                && !met.trailing
                && !trailing_before
        });
        trailing_before = met.trailing;
        if let Some(last) = out.last_mut().filter(|_| joins) {
            last.span.end = met.span.end;
            let rank = |one: Carrier| profile.docs.iter().position(|doc| *doc == one);
            if rank(carrier) < rank(last.carrier) {
                last.carrier = carrier;
            }
            last.lines.extend(lines);
            continue;
        }
        let doc = if leaves_out(&text[met.span.range()]) { Doc::No } else { doc };
        out.push(RawComment {
            span: met.span,
            carrier,
            doc: doc == Doc::Yes,
            standing: doc,
            in_body: false,
            owner: None,
            attached: met.trailing,
            lines,
        });
    }
    for comment in &mut out {
        // A comment of nothing but its frame is a banner.
        if comment.lines.iter().all(|&line| text[line.range()].trim().is_empty()) && comment.lines.len() < 3 {
            let banner = comment.standing == Doc::IfAbove;
            comment.standing = if banner { Doc::No } else { comment.standing };
        }
    }
    out
}

/// Returns what carries a comment, and how it stands to documentation.
fn carrier(profile: &Profile, text: &str, mark: Mark) -> (Carrier, Doc) {
    let doc = profile.docs.iter().copied().find(|doc| match *doc {
        Carrier::Lines { mark: open } => mark.close.is_none() && opens(text, open, profile.ignore_case),
        Carrier::Block { open, .. } => mark.close.is_some() && opens(text, open, profile.ignore_case),
        Carrier::Docstring => false,
    });
    match (doc, mark.close) {
        (Some(Carrier::Block { open, .. }), Some(close)) => (Carrier::Block { open, close }, Doc::Yes),
        (Some(doc), _) => (doc, Doc::Yes),
        (None, close) => {
            let carrier = match close {
                Some(close) => Carrier::Block { open: mark.text, close },
                None => Carrier::Lines { mark: mark.text },
            };
            (carrier, if profile.docs.is_empty() { Doc::IfAbove } else { Doc::No })
        }
    }
}

/// Takes the characters of a frame off both ends of a line.
fn without_border(text: &str, line: Span, border: &str) -> Span {
    if border.is_empty() {
        return line;
    }
    let whole = &text[line.range()];
    let framed = |c: char| border.contains(c);
    let bare = whole.trim_end();
    let bare = bare.trim_end_matches(framed);
    // White space before the frame is kept only where there is no frame.
    let led = bare.trim_start();
    let inner = led.trim_start_matches(framed);
    let start = if inner.len() == led.len() { 0 } else { bare.len() - inner.len() };
    let end = if bare.len() == whole.trim_end().len() { whole.len() } else { bare.trim_end().len() };
    Span::of(line.start as usize + start, line.start as usize + end.max(start))
}
