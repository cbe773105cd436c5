//! What a page of a file shows, taken from its review: plain values, in the text of the source.

use std::collections::HashMap;

use vinequill_core::coverage::{self, Counts};
use vinequill_core::model::{DeclId, Declaration, DocComment, Kind, Level, State};
use vinequill_core::review::{FileReading, FileReview, Standing, Standings};
use vinequill_core::text::Span;

use crate::entries::{parameters, returned, thrown};
use crate::others::{described, others};
use crate::text::Form;

/// The page of one file.
#[derive(Clone, Debug)]
pub struct FilePage {
    /// Its path in the project.
    pub path: String,
    /// The address of its page, relative to the site: stable, and safe in file systems and addresses alike.
    pub address: String,
    /// The language's id.
    pub language: &'static str,
    /// The name of the languages that share their types with it.
    pub family: &'static str,
    /// The language's name.
    pub language_name: &'static str,
    /// Its declarations that callers may see, in source order.
    pub declarations: Vec<DeclarationPage>,
    /// Findings of the file itself.
    pub findings: Vec<FindingPage>,
    /// Its numbers.
    pub counts: Counts,
    /// How many findings were waived.
    pub waived: u64,
    /// How many findings were accepted before.
    pub accepted: u64,
}

impl FilePage {
    /// Leaves out findings that were accepted, by the places of all findings of the file.
    pub fn leave_out(&mut self, accepted: &[usize]) {
        if accepted.is_empty() {
            return;
        }
        self.accepted += accepted.len() as u64;
        self.findings.retain(|finding| !accepted.contains(&finding.index));
        for declaration in &mut self.declarations {
            declaration.findings.retain(|finding| !accepted.contains(&finding.index));
        }
    }
}

/// What is shown of one declaration.
#[derive(Clone, Debug)]
pub struct DeclarationPage {
    /// Its place on the page: the qualified name, made unique.
    pub anchor: String,
    /// Its name.
    pub name: String,
    /// Owners and name, joined by dots.
    pub qualified: String,
    /// Its kind.
    pub kind: &'static str,
    /// How far it can be seen.
    pub surface: &'static str,
    /// The line of its name, from 1.
    pub line: u32,
    /// The signature as written.
    pub signature: String,
    /// How the texts of its comment are marked up.
    pub form: Form,
    /// The first sentence.
    pub summary: String,
    /// The description, the first sentence included.
    pub description: String,
    /// Parameters and type parameters, in order.
    pub parameters: Vec<EntryPage>,
    /// What comes back, where something does or is said to.
    pub returns: Option<EntryPage>,
    /// Exceptions, described or found in the code.
    pub throws: Vec<EntryPage>,
    /// What the comment says besides, in order: a heading or a tag, which may be empty, and the text.
    pub others: Vec<Other>,
    /// It is deprecated.
    pub deprecated: bool,
    /// The comment is taken over from elsewhere.
    pub inherits: bool,
    /// The member that it overrides: the file that declares it, and the name of its owner.
    pub overrides: Option<(String, String)>,
    /// It is asked for a comment.
    pub asked: bool,
    /// Its numbers.
    pub counts: Counts,
    /// What the review found.
    pub findings: Vec<FindingPage>,
    /// The source: first line, from 1, and each line with the side it is of.
    pub excerpt: (u32, Vec<(Side, String)>),
    /// It is called.
    pub callable: bool,
    /// It belongs to a type, and is named through it from elsewhere.
    pub is_member: bool,
}

/// A part of a comment that is neither description nor entry.
#[derive(Clone, Debug, Default)]
pub struct Other {
    /// Its heading, or its tag; empty for text without either.
    pub title: String,
    /// It is a heading of its own, not a tag.
    pub is_section: bool,
    /// The text is nothing but code.
    pub is_code: bool,
    /// What it says.
    pub text: String,
}

/// Which side a line of source is of.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Side {
    /// The comment.
    Comment,
    /// The declaration.
    Declaration,
    /// What stands between.
    Neither,
}

impl Side {
    /// Returns the word for it.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::Comment => "comment",
            Self::Declaration => "declaration",
            Self::Neither => "neither",
        }
    }
}

/// A parameter, a result or an exception.
#[derive(Clone, Debug, Default)]
pub struct EntryPage {
    /// Its name.
    pub name: String,
    /// Its type as written, in the signature or else in the comment.
    pub ty: String,
    /// Its default as written.
    pub default: String,
    /// What the comment says of it.
    pub text: String,
    /// Where it is known from, besides the comment.
    pub origin: &'static str,
    /// The comment owes a description and has none.
    pub missing: bool,
}

/// A finding.
#[derive(Clone, Debug)]
pub struct FindingPage {
    /// Its place among the findings of the file.
    index: usize,
    /// The rule.
    pub rule: &'static str,
    /// Its level.
    pub level: &'static str,
    /// The parameter, type or tag it is about.
    pub subject: String,
    /// What is wrong, and the way out.
    pub message: String,
    /// Where, from 1.
    pub line: u32,
}

/// Most lines of the source that are shown of one declaration.
const EXCERPT: usize = 40;

/// Takes down what the page of a file shows.
#[must_use]
pub fn collect(reading: &FileReading<'_>, review: &FileReview) -> FilePage {
    let standings = Standings::of(reading);
    let tallies = coverage::tallies(reading, review);
    let mut counts = Counts::default();
    tallies.iter().for_each(|tally| counts.add(tally.counts()));
    let by_name: HashMap<u32, Counts> = tallies.iter().map(|tally| (tally.at, tally.counts())).collect();
    let mut findings: HashMap<Option<DeclId>, Vec<FindingPage>> = HashMap::new();
    let mut waived = 0;
    for (index, finding) in review.findings.iter().enumerate() {
        if finding.state != State::New || finding.level == Level::None {
            waived += u64::from(finding.state != State::New);
            continue;
        }
        findings.entry(finding.raw.declaration).or_default().push(FindingPage {
            index,
            rule: finding.raw.rule.as_str(),
            level: finding.level.as_str(),
            subject: finding.raw.subject.to_string(),
            message: finding.raw.message.to_string(),
            line: reading.source.line(finding.raw.span.start),
        });
    }
    let mut seen: HashMap<&str, u32> = HashMap::new();
    let mut declarations = Vec::new();
    for id in reading.outline.ids() {
        let declaration = reading.outline.declaration(id);
        let count = seen.entry(declaration.qualified.as_str()).or_default();
        *count += 1;
        let anchor = match count {
            1 => safe(&declaration.qualified, '~'),
            count => format!("{}~{count}", safe(&declaration.qualified, '~')),
        };
        let own = findings.remove(&Some(id)).unwrap_or_default();
        let standing = standings.get(id);
        // What nobody sees and nobody wrote about is left out.
        let shown = matches!(standing, Standing::Asked | Standing::Excused(_))
            || (standing == Standing::NotAsked && reading.doc(id).is_some() && !declaration.unasked)
            || !own.is_empty();
        if standing == Standing::Skipped || !shown {
            continue;
        }
        let counts = by_name.get(&declaration.name_span.start).copied().unwrap_or_default();
        let surface = standings.surface(id).as_str();
        let mut page = declared(reading, (id, anchor), (own, counts, surface));
        page.asked = standing == Standing::Asked;
        declarations.push(page);
    }
    FilePage {
        path: reading.source.path().to_owned(),
        address: format!("files/{}.html", safe(reading.source.path().trim_start_matches("../"), '/')),
        language: reading.language.id.as_str(),
        family: reading.language.family,
        language_name: reading.language.label,
        declarations,
        findings: findings.remove(&None).unwrap_or_default(),
        counts,
        waived,
        accepted: 0,
    }
}

/// Returns a name as it may stand in addresses: other signs than letters, digits and a few are told by number.
pub(crate) fn safe(name: &str, also: char) -> String {
    let mut out = String::with_capacity(name.len());
    for c in name.chars() {
        if c.is_alphanumeric() || matches!(c, '.' | '-' | '_' | '$') || c == also {
            out.push(c);
        } else {
            out.push_str(&format!("={:x}=", u32::from(c)));
        }
    }
    out
}

fn declared(
    reading: &FileReading<'_>,
    (id, anchor): (DeclId, String),
    (findings, counts, surface): (Vec<FindingPage>, Counts, &'static str),
) -> DeclarationPage {
    let declaration = reading.outline.declaration(id);
    let doc = reading.doc(id);
    let source = &reading.source;
    let mut parameters = parameters(reading, declaration, doc, &findings);
    let line = source.line(declaration.name_span.start);
    let mut returns = returned(reading, declaration, doc, &findings);
    // Where entries are not the custom, lists without a word only repeat the signature.
    if matches!(doc.map_or("", |doc| doc.notation.as_str()), "prose" | "headings") {
        let is_bare = |entry: &EntryPage| entry.text.is_empty() && !entry.missing;
        if parameters.iter().all(is_bare) {
            parameters.clear();
        }
        returns = returns.filter(|entry| !is_bare(entry));
    }
    DeclarationPage {
        anchor,
        name: declaration.name.to_string(),
        qualified: declaration.qualified.to_string(),
        kind: declaration.kind.as_str(),
        surface,
        line,
        signature: signature_text(reading, declaration),
        form: Form::of(
            doc.map_or(reading.notation, |doc| doc.notation).as_str(),
            reading.language.id.as_str(),
        ),
        summary: doc.map(|doc| doc.summary_prose(source)).unwrap_or_default(),
        description: doc.map(|doc| described(reading, doc)).unwrap_or_default(),
        returns,
        throws: thrown(reading, declaration, doc, &findings),
        others: doc.map(|doc| others(reading, doc)).unwrap_or_default(),
        deprecated: declaration.deprecated || doc.is_some_and(|doc| doc.deprecated),
        inherits: doc.is_some_and(|doc| doc.inherits),
        overrides: reading.overridden(id).map(|member| (member.path.to_owned(), member.owner.to_owned())),
        asked: false,
        parameters,
        counts,
        findings,
        excerpt: excerpt(reading, declaration, doc),
        callable: declaration.kind.is_callable(),
        is_member: matches!(
            declaration.kind,
            Kind::Method | Kind::Constructor | Kind::Property | Kind::Field | Kind::EnumMember | Kind::Event
        ),
    }
}

/// Returns the header of a declaration on as few lines as it was written on, without what is inside a comment.
fn signature_text(reading: &FileReading<'_>, declaration: &Declaration) -> String {
    let header = declaration.header();
    let mut out = String::new();
    let mut at = header.start;
    for comment in &reading.outline.comments {
        if comment.span.start >= at && comment.span.end <= header.end {
            out.push_str(reading.source.slice(Span::new(at, comment.span.start)));
            at = comment.span.end;
        }
    }
    out.push_str(reading.source.slice(Span::new(at, header.end.max(at))));
    let lines: Vec<&str> = out.lines().map(str::trim_end).filter(|line| !line.trim().is_empty()).collect();
    let indent = |line: &str| line.len() - line.trim_start().len();
    let base = lines.iter().skip(1).map(|line| indent(line)).min().unwrap_or(0);
    let first = lines.first().map(|line| line.trim_start()).unwrap_or_default();
    let rest = lines.iter().skip(1).map(|line| line.get(base..).unwrap_or_default());
    let text: Vec<&str> = std::iter::once(first).chain(rest).take(24).collect();
    text.join("\n").trim_end_matches([' ', '{', ':', '=']).trim_end().to_owned()
}

pub(crate) fn one_line(text: &str) -> String {
    text.split_whitespace().collect::<Vec<_>>().join(" ")
}

/// Returns the source from the comment to the end of the header, no longer than a screen.
fn excerpt(
    reading: &FileReading<'_>,
    declaration: &Declaration,
    doc: Option<&DocComment>,
) -> (u32, Vec<(Side, String)>) {
    let source = &reading.source;
    let header = declaration.header();
    let start = doc.map_or(header.start, |doc| doc.span.start.min(header.start));
    let end = doc.map_or(header.end, |doc| doc.span.end.max(header.end));
    let lines_of = |span: Span| source.line(span.start)..=source.line(span.end.max(span.start + 1) - 1);
    let comment = doc.map(|doc| lines_of(doc.span));
    let declared = lines_of(header);
    let (first, last) = (source.line(start), source.line(end.max(start)));
    let lines = (first..=last).take(EXCERPT).filter_map(|line| {
        let side = if comment.as_ref().is_some_and(|lines| lines.contains(&line)) {
            Side::Comment
        } else if declared.contains(&line) {
            Side::Declaration
        } else {
            Side::Neither
        };
        source.line_span(line).map(|span| (side, source.slice(span).trim_end().to_owned()))
    });
    (first, lines.collect())
}
