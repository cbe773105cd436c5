//! The JSON of `review` and `coverage`.

use serde::{Serialize, Serializer};
use serde_json::value::RawValue;
use vinequill_core::coverage::{Counts, permille};
use vinequill_core::model::{Finding, Level, State};
use vinequill_core::text::{Source, Span};
use vinequill_project::{Encoding, Reviewed};

use super::coverage::Measured;
use super::{View, wire};

/// The format of a review, with its version.
pub(crate) const REVIEW_FORMAT: &str = "vinequill-review/1";

/// The format of coverage, with its version.
pub(crate) const COVERAGE_FORMAT: &str = "vinequill-coverage/1";

/// Renders the report of a review.
pub(crate) fn review(report: &wire::Review<'_>) -> String {
    pretty(report)
}

/// Writes the report of a review, in the same shape, finding by finding: of a large tree the whole report would take
/// more memory than all that leads to it.
///
/// # Errors
/// When it cannot be written.
pub(crate) fn write_review(view: &View<'_>, mut out: impl std::io::Write) -> std::io::Result<()> {
    let report = Streamed { format: REVIEW_FORMAT, findings: view, totals: totals(view) };
    serde_json::to_writer_pretty(&mut out, &report)?;
    out.write_all(b"\n")
}

/// How deep a finding stands in the report.
const DEPTH: &str = "\n    ";

/// As [`wire::Review`].
#[derive(Serialize)]
struct Streamed<'v, 'a> {
    format: &'static str,
    #[serde(serialize_with = "each_finding")]
    findings: &'v View<'a>,
    totals: wire::ReviewTotals,
}

fn each_finding<S: Serializer>(view: &View<'_>, serializer: S) -> Result<S::Ok, S::Error> {
    // As it stands in the report: what is raw is taken as it is. A line break is never inside a string.
    let written = |finding| {
        let text = serde_json::to_string_pretty(&finding)?;
        RawValue::from_string(text.replace('\n', DEPTH))
    };
    let of_file = |file| findings(file).into_iter().map(written).collect::<Result<Vec<_>, _>>();
    // Findings hold only strings, numbers and lists, which always serialise.
    serializer.collect_seq(view.each_file(of_file).flat_map(Result::unwrap_or_default))
}

/// Puts what was found into the shape that programs read.
pub(crate) fn shape<'a>(view: &View<'a>) -> wire::Review<'a> {
    wire::Review {
        format: REVIEW_FORMAT.into(),
        findings: view.files.iter().flat_map(findings).collect(),
        totals: totals(view),
    }
}

fn totals(view: &View<'_>) -> wire::ReviewTotals {
    let totals = view.totals;
    wire::ReviewTotals {
        files: totals.files,
        declarations: totals.counts.declared,
        error: totals.at(Level::Error),
        warning: totals.at(Level::Warning),
        note: totals.at(Level::Note),
        accepted: totals.accepted,
        waived: totals.waived,
        excused: totals.counts.excused,
        unparsed_bytes: totals.unparsed_bytes,
    }
}

/// Renders a value as JSON that people can read too.
pub(super) fn pretty(value: &impl Serialize) -> String {
    // The shapes hold only strings, numbers and lists, which always serialise.
    serde_json::to_string_pretty(value).unwrap_or_default() + "\n"
}

fn findings(file: &Reviewed) -> Vec<wire::Finding<'_>> {
    if file.findings.is_empty() {
        return Vec::new();
    }
    let (source, encoding) = file.text.open();
    file.findings.iter().map(|found| finding((file.text.path(), &source, encoding), found)).collect()
}

fn finding<'a>(
    (path, source, encoding): (&'a str, &Source, Encoding),
    finding: &'a Finding,
) -> wire::Finding<'a> {
    let raw = &finding.raw;
    let place = Place::of(source, encoding, raw.span);
    let (state, reason) = match &finding.state {
        State::New => ("new", None),
        State::Accepted => ("accepted", None),
        State::Waived(reason) => ("waived", Some(reason.as_str())),
    };
    wire::Finding {
        rule: raw.rule.as_str().into(),
        level: finding.level.as_str().into(),
        path: path.into(),
        line: place.line,
        column: place.column,
        end_line: place.end_line,
        end_column: place.end_column,
        start: place.start,
        end: place.end,
        declaration: finding.declaration.as_str().into(),
        declaration_line: finding.declaration_span.map(|span| source.line(span.start)),
        subject: raw.subject.as_str().into(),
        message: raw.message.as_str().into(),
        suggestion: raw.suggestion.as_deref().map(Into::into),
        related: raw
            .related
            .iter()
            .map(|related| related_place((path, source, encoding), related.span, &related.label))
            .collect(),
        edits: raw
            .edits
            .iter()
            .map(|edit| {
                let place = Place::of(source, encoding, edit.span);
                wire::Edit { start: place.start, end: place.end, text: edit.text.as_str().into() }
            })
            .collect(),
        state: state.into(),
        reason: reason.map(Into::into),
        fingerprint: fingerprint(&[raw.rule.as_str(), path, &finding.declaration, &raw.subject]),
    }
}

fn related_place<'a>(
    (path, source, encoding): (&'a str, &Source, Encoding),
    span: Span,
    label: &'a str,
) -> wire::Related<'a> {
    let place = Place::of(source, encoding, span);
    wire::Related {
        path: path.into(),
        line: place.line,
        column: place.column,
        end_line: place.end_line,
        end_column: place.end_column,
        start: place.start,
        end: place.end,
        label: label.into(),
    }
}

/// A span as JSON tells it: lines and columns, and bytes of the file itself.
pub(super) struct Place {
    pub(super) line: u32,
    column: u32,
    pub(super) end_line: u32,
    end_column: u32,
    pub(super) start: u64,
    pub(super) end: u64,
}

impl Place {
    pub(super) fn of(source: &Source, encoding: Encoding, span: Span) -> Self {
        let (from, upto) = (source.position(span.start), source.position(span.end));
        Self {
            line: from.line,
            column: from.column,
            end_line: upto.line,
            end_column: upto.column,
            start: encoding.file_offset(source.text(), span.start),
            end: encoding.file_offset(source.text(), span.end),
        }
    }
}

/// Hashes what identifies a finding (FNV-1a, 64 bits): the same on every machine and in every version.
fn fingerprint(parts: &[&str]) -> String {
    let mut hash: u64 = 0xcbf2_9ce4_8422_2325;
    for byte in parts.iter().flat_map(|part| part.bytes().chain([0])) {
        hash = (hash ^ u64::from(byte)).wrapping_mul(0x0100_0000_01b3);
    }
    format!("{hash:016x}")
}

/// Renders coverage.
pub(crate) fn coverage(total: Counts, by: &str, groups: &[(String, Counts)]) -> String {
    pretty(&shape_of(total, by, groups))
}

fn shape_of<'a>(total: Counts, by: &'a str, groups: &'a [(String, Counts)]) -> wire::Coverage<'a> {
    let group = |(name, counts): &'a (String, Counts)| wire::Group {
        name: name.as_str().into(),
        counts: numbers(*counts),
    };
    wire::Coverage {
        format: COVERAGE_FORMAT.into(),
        total: numbers(total),
        by: by.into(),
        groups: groups.iter().map(group).collect(),
        compared: None,
        list: None,
    }
}

/// Renders coverage with all that was asked for besides.
pub(crate) fn measured(measured: &Measured<'_>) -> String {
    let mut out = shape_of(measured.total, measured.by.as_str(), measured.groups);
    out.compared = measured.compared.map(|compared| wire::Compared {
        revision: compared.rev.into(),
        total: numbers(compared.total),
        files: compared
            .files
            .iter()
            .map(|(path, was, is)| wire::ComparedFile {
                path: path.as_str().into(),
                before: numbers(*was),
                now: numbers(*is),
            })
            .collect(),
    });
    out.list = measured.lists.map(|lists| {
        let rows = lists.iter().flat_map(|file| file.gaps.iter().map(move |gap| (file, gap)));
        rows.filter(|(_, gap)| measured.excused || gap.excuse.is_none())
            .map(|(file, gap)| wire::Gap {
                path: file.path.as_str().into(),
                line: gap.line,
                declaration: gap.qualified.as_str().into(),
                kind: gap.kind.into(),
                described: gap.counts.described > 0,
                items_asked: gap.counts.items_asked,
                items_present: gap.counts.items_present,
                excuse: gap.excuse.map(Into::into),
            })
            .collect()
    });
    pretty(&out)
}

pub(super) fn numbers(counts: Counts) -> wire::Counts {
    let percent = |part| {
        permille(part, counts.declared).map(|tenths| {
            #[expect(clippy::cast_precision_loss, reason = "at most 1000")]
            let tenths = tenths as f64;
            tenths / 10.0
        })
    };
    wire::Counts {
        declared: counts.declared,
        described: counts.described,
        complete: counts.complete,
        items_asked: counts.items_asked,
        items_present: counts.items_present,
        excused: counts.excused,
        described_percent: percent(counts.described),
        complete_percent: percent(counts.complete),
    }
}
