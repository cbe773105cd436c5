//! Coverage over time: a table, a line of bars, numbers for programs, and a chart.

use std::fmt::Write;
use std::path::Path;

use comfy_table::{Cell, CellAlignment, ContentArrangement, LineStyle, Table, TableStyle};
use plotters::prelude::*;
use serde::Serialize;
use vinequill_core::coverage::{Counts, permille};

use super::coverage::{COUNTS_HEAD, separated};
use super::json::{numbers, pretty};
use super::wire;
use crate::terminal::{self, style, styled};

/// The numbers of one commit.
pub(crate) struct Row {
    /// The commit.
    pub(crate) commit: String,
    /// As much of it as tells it apart.
    pub(crate) short: String,
    /// Its day in universal time.
    pub(crate) date: String,
    /// Its moment, as in RFC 3339.
    pub(crate) time: String,
    /// The same in seconds since 1970.
    pub(crate) seconds: i64,
    /// What it had.
    pub(crate) counts: Counts,
}

/// `vinequill-trend/1`.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
pub(crate) struct Wire<'a> {
    format: &'static str,
    points: Vec<WirePoint<'a>>,
}

/// The numbers of one commit.
#[derive(Serialize)]
#[cfg_attr(test, derive(schemars::JsonSchema))]
struct WirePoint<'a> {
    commit: &'a str,
    time: &'a str,
    #[serde(flatten)]
    counts: wire::Counts,
}

/// Renders it for programs, oldest first.
pub(crate) fn json(rows: &[Row]) -> String {
    let points = rows
        .iter()
        .map(|row| WirePoint { commit: &row.commit, time: &row.time, counts: numbers(row.counts) })
        .collect();
    pretty(&Wire { format: "vinequill-trend/1", points })
}

/// Renders it for spreadsheets (RFC 4180), oldest first.
pub(crate) fn csv(rows: &[Row]) -> String {
    let mut out = format!("commit,time,{COUNTS_HEAD}\r\n");
    for row in rows {
        // Writing to a string cannot fail.
        let _ = write!(out, "{},{},{}\r\n", row.commit, row.time, separated(row.counts));
    }
    out
}

/// Renders a table, oldest first, and the whole in one line. `all` is the number of commits on the line.
pub(crate) fn text(rows: &[Row], all: usize) -> String {
    let mut table = Table::new();
    let ruled = TableStyle::new().header_separator(LineStyle::none().fill('─').junction('─'));
    table.load_style(ruled).set_content_arrangement(ContentArrangement::Disabled);
    table.set_header(["day", "commit", "declared", "described", "complete", ""]);
    let mut before: Option<Counts> = None;
    for row in rows {
        let counts = row.counts;
        let change = before.map_or(String::new(), |before| moved(before, counts));
        table.add_row([
            Cell::new(&row.date),
            Cell::new(&row.short),
            Cell::new(counts.declared),
            Cell::new(share(counts.described, counts)),
            Cell::new(share(counts.complete, counts)),
            Cell::new(change),
        ]);
        before = Some(counts);
    }
    for column in [2, 3, 4] {
        if let Some(column) = table.column_mut(column) {
            column.set_cell_alignment(CellAlignment::Right);
        }
    }
    let mut out = table.lines().map(|line| line.trim_end().to_owned() + "\n").collect::<String>();
    let (Some(first), Some(last)) = (rows.first(), rows.last()) else { return out };
    let line = |of: fn(Counts) -> u64| bars(rows, of);
    let ends = |of: fn(Counts) -> u64| {
        format!("{} → {}", share(of(first.counts), first.counts), share(of(last.counts), last.counts))
    };
    let described = |counts: Counts| counts.described;
    let complete = |counts: Counts| counts.complete;
    // Writing to a string cannot fail.
    let _ =
        writeln!(out, "\n{}  {}  {}", styled(style::STRONG, "described"), line(described), ends(described));
    let _ = writeln!(out, "{}  {}  {}", styled(style::STRONG, "complete "), line(complete), ends(complete));
    let looked = format!("{} of {all} commits on the first-parent line, oldest first", rows.len());
    let _ = writeln!(out, "{}", styled(style::FAINT, &looked));
    out
}

fn share(part: u64, of: Counts) -> String {
    permille(part, of.declared)
        .map_or("–".to_owned(), |tenths| format!("{}.{} %", tenths / 10, tenths % 10))
}

/// Says what changed from one commit to the next.
fn moved(before: Counts, now: Counts) -> String {
    let (was, is) = (permille(before.described, before.declared), permille(now.described, now.declared));
    match (was, is) {
        (Some(was), Some(is)) if is > was => {
            styled(style::GOOD, &format!("▲ {}.{}", (is - was) / 10, (is - was) % 10))
        }
        (Some(was), Some(is)) if is < was => {
            styled(style::GONE, &format!("▼ {}.{}", (was - is) / 10, (was - is) % 10))
        }
        _ => String::new(),
    }
}

/// Draws shares from 0 to 100 % as bars of eight heights, no more than fit on a line.
fn bars(rows: &[Row], of: fn(Counts) -> u64) -> String {
    const HEIGHTS: [char; 8] = ['▁', '▂', '▃', '▄', '▅', '▆', '▇', '█'];
    let room = terminal::width().saturating_sub(40).clamp(8, 60);
    let step = rows.len().div_ceil(room).max(1);
    let newest_kept = rows.iter().rev().step_by(step).collect::<Vec<_>>();
    let bar = |row: &&Row| match permille(of(row.counts), row.counts.declared) {
        Some(tenths) => HEIGHTS[usize::try_from(tenths * 7 / 1000).unwrap_or(0).min(7)],
        None => ' ',
    };
    newest_kept.iter().rev().map(bar).collect()
}

/// Draws a chart whose lines are named where they end.
///
/// # Errors
/// When the file cannot be written.
pub(crate) fn draw(rows: &[Row], path: &Path) -> anyhow::Result<()> {
    let size = (1000, 480);
    let svg = path.extension().is_some_and(|ending| ending == "svg");
    if svg {
        return plot(&SVGBackend::new(path, size).into_drawing_area(), rows);
    }
    let font = epaint_default_fonts::UBUNTU_LIGHT;
    plotters::style::register_font("sans-serif", FontStyle::Normal, font)
        .map_err(|_| anyhow::anyhow!("the font that comes with the program cannot be read"))?;
    plot(&BitMapBackend::new(path, size).into_drawing_area(), rows)
}

/// Colours that are told apart by lightness as well.
const DESCRIBED: RGBColor = RGBColor(0x8e, 0x6b, 0xa6);
const COMPLETE: RGBColor = RGBColor(0x3f, 0x23, 0x4f);
const INK: RGBColor = RGBColor(0x2d, 0x2a, 0x24);
const RULE: RGBColor = RGBColor(0xdd, 0xd8, 0xcc);

/// What a line shows of the numbers.
type Part = fn(Counts) -> u64;

/// How high the name of a line is, in pixels.
const NAME_HEIGHT: f64 = 20.0;

/// How high a percent is, in pixels, give or take one.
const PIXELS_A_PERCENT: f64 = 3.8;

fn plot<B: DrawingBackend>(area: &DrawingArea<B, plotters::coord::Shift>, rows: &[Row]) -> anyhow::Result<()>
where
    B::ErrorType: 'static,
{
    let failed =
        |error: DrawingAreaErrorKind<B::ErrorType>| anyhow::anyhow!("the chart cannot be drawn: {error}");
    area.fill(&WHITE).map_err(failed)?;
    let first = rows.first().map_or(0, |row| row.seconds);
    let last = rows.last().map_or(1, |row| row.seconds).max(first + 1);
    // Room on the right for the names of the lines.
    let beyond = last + (last - first) / 6;
    let title = ("sans-serif", 24).into_font().color(&INK);
    let mut chart = ChartBuilder::on(area)
        .caption("Documentation coverage", title)
        .margin(18)
        .x_label_area_size(36)
        .y_label_area_size(58)
        .build_cartesian_2d(first..beyond, 0.0..100.0)
        .map_err(failed)?;
    let day = |seconds: &i64| {
        jiff::Timestamp::from_second(*seconds)
            .map_or(String::new(), |at| at.to_zoned(jiff::tz::TimeZone::UTC).date().to_string())
    };
    chart
        .configure_mesh()
        .disable_x_mesh()
        .light_line_style(TRANSPARENT)
        .bold_line_style(RULE)
        .axis_style(INK)
        .label_style(("sans-serif", 15).into_font().color(&INK))
        .x_labels(6)
        .x_label_formatter(&|seconds| if *seconds <= last { day(seconds) } else { String::new() })
        .y_label_formatter(&|share| format!("{share:.0} %"))
        .draw()
        .map_err(failed)?;
    // Names that would lie upon each other are moved apart.
    let last_of = |of: Part| rows.last().and_then(|row| percent(of(row.counts), row.counts)).unwrap_or(0.0);
    let apart = last_of(|counts| counts.described) - last_of(|counts| counts.complete);
    #[expect(clippy::cast_possible_truncation, reason = "a few pixels")]
    let nudge = ((NAME_HEIGHT - apart * PIXELS_A_PERCENT).max(0.0) / 2.0) as i32;
    let lines: [(&str, RGBColor, Part, i32); 2] = [
        ("described", DESCRIBED, |counts| counts.described, -nudge),
        ("complete", COMPLETE, |counts| counts.complete, nudge),
    ];
    for (name, color, of, moved) in lines {
        let points: Vec<(i64, f64)> =
            rows.iter().filter_map(|row| Some((row.seconds, percent(of(row.counts), row.counts)?))).collect();
        chart.draw_series(LineSeries::new(points.iter().copied(), color.stroke_width(3))).map_err(failed)?;
        let Some(&(end, value)) = points.last() else { continue };
        chart.draw_series(std::iter::once(Circle::new((end, value), 4, color.filled()))).map_err(failed)?;
        let style = ("sans-serif", 17).into_font().color(&color);
        let label = format!("{name}  {value:.1} %");
        let text = EmptyElement::at((end, value)) + Text::new(label, (10, moved - 9), style);
        chart.draw_series(std::iter::once(text)).map_err(failed)?;
    }
    area.present().map_err(failed)
}

/// Returns a share in percent, rounded down to tenths as everywhere.
fn percent(part: u64, of: Counts) -> Option<f64> {
    #[expect(clippy::cast_precision_loss, reason = "at most 1000")]
    permille(part, of.declared).map(|tenths| tenths as f64 / 10.0)
}
