//! Coverage as a table with bars.

use std::fmt::Write;

use comfy_table::{Cell, CellAlignment, ContentArrangement, Table};
use comfy_table::{LineStyle, TableStyle};
use vinequill_core::coverage::{Counts, permille};

use crate::commands::coverage::By;
use crate::terminal::{style, styled, width};

/// Columns that the numbers take.
const NUMBERS: usize = 57;

/// Cells of a bar.
const BAR: u64 = 12;

/// Renders the table, worst first.
pub(crate) fn render(total: Counts, by: By, groups: &[(String, Counts)], left: &str) -> String {
    let mut rows: Vec<&(String, Counts)> = groups.iter().filter(|(_, counts)| counts.declared > 0).collect();
    rows.sort_by_key(|(name, counts)| (permille(counts.described, counts.declared), name.clone()));
    let mut table = Table::new();
    let ruled = TableStyle::new().header_separator(LineStyle::none().fill('─').junction('─'));
    table.load_style(ruled).set_content_arrangement(ContentArrangement::Disabled);
    table.set_header([by.as_str(), "declared", "described", "", "complete", "entries"]);
    for (name, counts) in &rows {
        table.add_row(row(name, *counts));
    }
    if rows.len() != 1 {
        table.add_row(row("all", total));
    }
    for column in [1, 3, 4, 5] {
        if let Some(column) = table.column_mut(column) {
            column.set_cell_alignment(CellAlignment::Right);
        }
    }
    let mut out = table.lines().map(|line| line.trim_end().to_owned() + "\n").collect::<String>();
    let told = match permille(total.described, total.declared) {
        Some(tenths) => format!(
            "{} of {} declarations are described ({}), {} completely",
            total.described,
            total.declared,
            percent(tenths),
            total.complete
        ),
        None => "nothing is asked for a comment here".to_owned(),
    };
    // Writing to a string cannot fail.
    let _ = writeln!(out, "\n{}", styled(style::STRONG, &told));
    let _ = writeln!(out, "{}", styled(style::FAINT, "█ complete   ▒ described   · neither"));
    if total.excused > 0 {
        let _ = writeln!(out, "{} excused, not counted", total.excused);
    }
    if !left.is_empty() {
        let _ = writeln!(out, "not measured: {left}");
    }
    out
}

fn row(name: &str, counts: Counts) -> Vec<Cell> {
    let share = |part, whole| permille(part, whole).map_or("–".to_owned(), percent);
    vec![
        Cell::new(elided(name)),
        Cell::new(counts.declared),
        Cell::new(bar(counts)),
        Cell::new(share(counts.described, counts.declared)),
        Cell::new(share(counts.complete, counts.declared)),
        Cell::new(format!("{}/{}", counts.items_present, counts.items_asked)),
    ]
}

/// Cuts a long name at its beginning, since paths differ at their end.
fn elided(name: &str) -> String {
    let room = width().saturating_sub(NUMBERS);
    let length = name.chars().count();
    if length <= room {
        return name.to_owned();
    }
    let kept: String = name.chars().skip(length + 1 - room).collect();
    format!("…{kept}")
}

fn percent(tenths: u64) -> String {
    format!("{}.{} %", tenths / 10, tenths % 10)
}

/// Draws three shades: complete, described, neither. They are told apart without colour.
fn bar(counts: Counts) -> String {
    let cells = |part: u64| (part * BAR).checked_div(counts.declared).unwrap_or(0);
    let (complete, described) = (cells(counts.complete), cells(counts.described));
    let fill = |sign: &str, count: u64| sign.repeat(usize::try_from(count).unwrap_or(0));
    format!(
        "{}{}{}",
        fill("█", complete),
        fill("▒", described - complete.min(described)),
        fill("·", BAR - described.max(complete))
    )
}
