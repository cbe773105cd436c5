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

/// What was measured, and what is to be shown of it.
pub(crate) struct Measured<'a> {
    /// All of it.
    pub(crate) total: Counts,
    /// What the rows are.
    pub(crate) by: By,
    /// The rows.
    pub(crate) groups: &'a [(String, Counts)],
    /// What was not measured.
    pub(crate) left: &'a str,
    /// The change that it is about, empty for everything.
    pub(crate) change: &'a str,
    /// What it is compared with.
    pub(crate) compared: Option<&'a Compared<'a>>,
    /// What is missing, file by file, where that is to be listed.
    pub(crate) lists: Option<&'a [FileGaps]>,
    /// Excused declarations are listed as well.
    pub(crate) excused: bool,
}

/// What another revision had.
pub(crate) struct Compared<'a> {
    /// The revision as typed.
    pub(crate) rev: &'a str,
    /// All that it had.
    pub(crate) total: Counts,
    /// Files whose numbers changed: as they were, and as they are.
    pub(crate) files: Vec<(String, Counts, Counts)>,
}

/// What the declarations of a file lack.
pub(crate) struct FileGaps {
    /// Its path as people type it.
    pub(crate) path: String,
    /// The declarations, in source order.
    pub(crate) gaps: Vec<Gap>,
}

impl FileGaps {
    /// Returns how many items are missing.
    pub(crate) fn missing(&self) -> u64 {
        self.gaps.iter().map(Gap::missing).sum()
    }
}

/// A declaration that lacks something, or is excused.
pub(crate) struct Gap {
    /// The line of its name, from 1.
    pub(crate) line: u32,
    /// Its kind.
    pub(crate) kind: &'static str,
    /// Owners and name, joined by dots.
    pub(crate) qualified: String,
    /// What it adds to the numbers.
    pub(crate) counts: Counts,
    /// Why nothing is asked of it.
    pub(crate) excuse: Option<&'static str>,
}

impl Gap {
    const fn missing(&self) -> u64 {
        self.counts.items_asked.saturating_sub(self.counts.items_present)
    }

    fn says(&self) -> String {
        let entries = |count: u64| if count == 1 { "1 entry".to_owned() } else { format!("{count} entries") };
        match (self.excuse, self.counts.described > 0, self.missing()) {
            (Some(excuse), ..) => format!("excused: {excuse}"),
            (None, false, 0 | 1) => "no description".to_owned(),
            (None, false, missing) => format!("no description, {} missing", entries(missing - 1)),
            (None, true, 0) => "an entry is wrong".to_owned(),
            (None, true, missing) => format!("{} missing", entries(missing)),
        }
    }
}

/// Returns the rows that count, worst first.
fn worst_first(groups: &[(String, Counts)]) -> Vec<&(String, Counts)> {
    let mut rows: Vec<&(String, Counts)> = groups.iter().filter(|(_, counts)| counts.declared > 0).collect();
    rows.sort_by_key(|(name, counts)| (permille(counts.described, counts.declared), name.clone()));
    rows
}

/// Renders the table, worst first.
pub(crate) fn render(measured: &Measured<'_>) -> String {
    let Measured { total, by, groups, left, .. } = *measured;
    let rows = worst_first(groups);
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
    if !measured.change.is_empty() {
        let _ = writeln!(out, "only what differs, {}", measured.change);
    }
    if let Some(compared) = measured.compared {
        out.push_str(&comparison(measured.total, compared));
    }
    if let Some(lists) = measured.lists {
        out.push_str(&listing(lists, measured.excused));
    }
    out
}

/// Says what rose and what fell.
fn comparison(now: Counts, compared: &Compared<'_>) -> String {
    let share = |part, whole| permille(part, whole).map_or("–".to_owned(), percent);
    let pair = |was: String, is: String| if was == is { is } else { format!("{was} → {is}") };
    let line = |was: Counts, is: Counts| {
        format!(
            "described {}, complete {}, declared {}",
            pair(share(was.described, was.declared), share(is.described, is.declared)),
            pair(share(was.complete, was.declared), share(is.complete, is.declared)),
            pair(was.declared.to_string(), is.declared.to_string())
        )
    };
    let mut out = format!(
        "\n{}  {}\n",
        styled(style::STRONG, &format!("since {}", compared.rev)),
        line(compared.total, now)
    );
    let wide = compared.files.iter().map(|(path, ..)| path.chars().count()).max().unwrap_or(0).min(50);
    for (path, was, is) in &compared.files {
        let (sign, how) = direction(*was, *is);
        let sign = styled(how, sign);
        // Writing to a string cannot fail.
        let _ = writeln!(out, "{sign} {path:<wide$}  {}", styled(style::FAINT, &line(*was, *is)));
    }
    if compared.files.is_empty() {
        out.push_str("no file has other numbers\n");
    }
    out
}

/// Tells whether a share rose or fell; the described count first.
fn direction(was: Counts, is: Counts) -> (&'static str, anstyle::Style) {
    let share = |counts: Counts| {
        (permille(counts.described, counts.declared), permille(counts.complete, counts.declared))
    };
    match share(is).cmp(&share(was)) {
        std::cmp::Ordering::Greater => ("▲", style::GOOD),
        std::cmp::Ordering::Less => ("▼", style::GONE),
        std::cmp::Ordering::Equal => ("=", style::FAINT),
    }
}

/// Lists what is missing, the worst files first.
fn listing(lists: &[FileGaps], excused: bool) -> String {
    let mut out = String::new();
    for file in lists {
        let shown: Vec<&Gap> = file.gaps.iter().filter(|gap| excused || gap.excuse.is_none()).collect();
        if shown.is_empty() {
            continue;
        }
        let head = match file.missing() {
            0 => String::new(),
            1 => "1 item missing".to_owned(),
            missing => format!("{missing} items missing"),
        };
        let _ = writeln!(out, "\n{}  {}", styled(style::STRONG, &file.path), styled(style::FAINT, &head));
        let wide = shown.iter().map(|gap| gap.qualified.chars().count()).max().unwrap_or(0).min(40);
        for gap in shown {
            let says = gap.says();
            let says = if gap.excuse.is_some() { styled(style::FAINT, &says) } else { says };
            let _ = writeln!(out, "{:>6}  {:<wide$}  {:<11}  {says}", gap.line, gap.qualified, gap.kind);
        }
    }
    out
}

/// Renders Markdown, fit for a comment on a change.
pub(crate) fn markdown(measured: &Measured<'_>) -> String {
    let total = measured.total;
    let share = |part, whole| permille(part, whole).map_or("–".to_owned(), percent);
    let mut out = format!(
        "### Documentation coverage: {} described, {} complete\n\n",
        share(total.described, total.declared),
        share(total.complete, total.declared)
    );
    if !measured.change.is_empty() {
        let _ = writeln!(out, "Only what differs, {}.\n", measured.change);
    }
    if let Some(compared) = measured.compared {
        let _ = writeln!(
            out,
            "At `{}`: {} described, {} complete.\n",
            compared.rev,
            share(compared.total.described, compared.total.declared),
            share(compared.total.complete, compared.total.declared)
        );
        if !compared.files.is_empty() {
            out.push_str("| | file | described | complete |\n|---|---|---:|---:|\n");
            for (path, was, is) in &compared.files {
                let both = |of: fn(&Counts) -> u64| {
                    format!("{} → {}", share(of(was), was.declared), share(of(is), is.declared))
                };
                let _ = writeln!(
                    out,
                    "| {} | {} | {} | {} |",
                    direction(*was, *is).0,
                    path.replace('|', "\\|"),
                    both(|counts| counts.described),
                    both(|counts| counts.complete)
                );
            }
            out.push('\n');
        }
    }
    let _ = writeln!(
        out,
        "| {} | declared | described | complete | entries |\n|---|---:|---:|---:|---:|",
        measured.by.as_str()
    );
    let all = ("**all**".to_owned(), total);
    for (name, counts) in worst_first(measured.groups).into_iter().chain([&all]) {
        let _ = writeln!(
            out,
            "| {} | {} | {} | {} | {}/{} |",
            name.replace('|', "\\|"),
            counts.declared,
            share(counts.described, counts.declared),
            share(counts.complete, counts.declared),
            counts.items_present,
            counts.items_asked
        );
    }
    for file in measured.lists.unwrap_or_default() {
        let shown = file.gaps.iter().filter(|gap| measured.excused || gap.excuse.is_none());
        let rows: String =
            shown.map(|gap| format!("- line {}: `{}` {}\n", gap.line, gap.qualified, gap.says())).collect();
        if !rows.is_empty() {
            let _ = write!(out, "\n<details>\n<summary>{}</summary>\n\n{rows}\n</details>\n", file.path);
        }
    }
    out
}

/// Renders comma-separated values (RFC 4180): the rows by which it is grouped, or what is missing.
pub(crate) fn csv(measured: &Measured<'_>) -> String {
    let quoted = |text: &str| match text.contains([',', '"', '\n', '\r']) {
        true => format!("\"{}\"", text.replace('"', "\"\"")),
        false => text.to_owned(),
    };
    let mut out = String::new();
    if let Some(lists) = measured.lists {
        out.push_str("path,line,declaration,kind,described,items_asked,items_present,excuse\r\n");
        for (file, gap) in lists.iter().flat_map(|file| file.gaps.iter().map(move |gap| (file, gap))) {
            if !measured.excused && gap.excuse.is_some() {
                continue;
            }
            let _ = write!(
                out,
                "{},{},{},{},{},{},{},{}\r\n",
                quoted(&file.path),
                gap.line,
                quoted(&gap.qualified),
                gap.kind,
                gap.counts.described > 0,
                gap.counts.items_asked,
                gap.counts.items_present,
                gap.excuse.unwrap_or_default()
            );
        }
        return out;
    }
    let _ = write!(out, "{},{COUNTS_HEAD}\r\n", measured.by.as_str());
    for (name, counts) in measured.groups {
        let _ = write!(out, "{},{}\r\n", quoted(name), separated(*counts));
    }
    out
}

/// The names of numbers in comma-separated values.
pub(super) const COUNTS_HEAD: &str = "declared,described,complete,items_asked,items_present,excused";

/// Renders numbers as comma-separated values.
pub(super) fn separated(counts: Counts) -> String {
    format!(
        "{},{},{},{},{},{}",
        counts.declared,
        counts.described,
        counts.complete,
        counts.items_asked,
        counts.items_present,
        counts.excused
    )
}

/// Draws a badge: what it is on the left, the share of described declarations as number and as a bar below.
pub(crate) fn badge(total: Counts) -> String {
    let share = permille(total.described, total.declared);
    let shown = share.map_or("none asked".to_owned(), |tenths| format!("{}.{} %", tenths / 10, tenths % 10));
    let filled = share.unwrap_or(0) * 148 / 1000;
    format!(
        r##"<svg xmlns="http://www.w3.org/2000/svg" width="160" height="28" role="img" aria-label="described: {shown}">
<title>described: {shown}</title>
<rect width="160" height="28" rx="3" fill="#f4f1ea" stroke="#8a8272"/>
<text x="6" y="16" font-family="sans-serif" font-size="12" fill="#2d2a24">described</text>
<text x="154" y="16" font-family="sans-serif" font-size="12" font-weight="bold" text-anchor="end" fill="#2d2a24">{shown}</text>
<rect x="6" y="21" width="148" height="3" fill="#d8d2c4"/>
<rect x="6" y="21" width="{filled}" height="3" fill="#5b3a6b"/>
</svg>
"##
    )
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
