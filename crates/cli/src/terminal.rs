//! The one place that knows the terminal: width, colour, standard output and error.

use std::io::{IsTerminal, Write};

use anstyle::{AnsiColor, Style};

/// When colour is used.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, clap::ValueEnum)]
pub(crate) enum Color {
    /// On a terminal, unless `NO_COLOR` is set.
    #[default]
    Auto,
    /// Always.
    Always,
    /// Never.
    Never,
}

impl Color {
    /// Makes this the choice for everything that is printed.
    pub(crate) fn apply(self) {
        let choice = match self {
            Self::Auto => anstream::ColorChoice::Auto,
            Self::Always => anstream::ColorChoice::Always,
            Self::Never => anstream::ColorChoice::Never,
        };
        choice.write_global();
    }
}

/// Styles that are readable on dark and on light ground; none carries meaning alone.
pub(crate) mod style {
    use super::{AnsiColor, Style};

    /// Errors.
    pub(crate) const ERROR: Style = AnsiColor::Red.on_default().bold();
    /// Warnings. Magenta, since yellow cannot be read on light ground.
    pub(crate) const WARNING: Style = AnsiColor::Magenta.on_default().bold();
    /// Notes, and places.
    pub(crate) const NOTE: Style = Style::new().bold();
    /// What is well.
    pub(crate) const GOOD: Style = AnsiColor::Green.on_default();
    /// What goes, in a diff.
    pub(crate) const GONE: Style = AnsiColor::Red.on_default();
    /// Headings.
    pub(crate) const STRONG: Style = Style::new().bold();
    /// What may be passed over.
    pub(crate) const FAINT: Style = Style::new().dimmed();
}

/// Tells whether people read standard output as it is written.
pub(crate) fn is_watched() -> bool {
    std::io::stdout().is_terminal()
}

/// Tells whether styles are shown on standard output.
pub(crate) fn shows_styles() -> bool {
    anstream::AutoStream::choice(&std::io::stdout()) != anstream::ColorChoice::Never
}

/// Makes room for a report that takes the place of the one before: a clear screen where somebody looks on.
pub(crate) fn begin_anew() -> std::io::Result<()> {
    if !is_watched() {
        return Ok(());
    }
    // ECMA-48: the cursor goes home, and all that is on the screen is erased; what was scrolled away stays.
    let mut out = std::io::stdout().lock();
    out.write_all(b"\x1b[H\x1b[2J")?;
    out.flush()
}

/// Tells whether somebody looks on at how far the work is.
pub(crate) fn shows_progress() -> bool {
    std::io::stderr().is_terminal()
}

/// A bar on standard error with the time that is left, only where somebody looks on.
pub(crate) fn progress(pieces: usize, what: &str) -> indicatif::ProgressBar {
    if !shows_progress() {
        return indicatif::ProgressBar::hidden();
    }
    let bar = indicatif::ProgressBar::new(u64::try_from(pieces).unwrap_or(u64::MAX));
    let template = format!("{{wide_bar}} {{pos}} of {{len}} {what}, {{eta}} left");
    let style = indicatif::ProgressStyle::with_template(&template);
    style.map_or(bar.clone(), |style| bar.with_style(style))
}

/// Tells whether a person can be asked.
pub(crate) fn can_ask() -> bool {
    std::io::stdin().is_terminal() && std::io::stdout().is_terminal()
}

/// Returns the width of lines: what `COLUMNS` says, else the terminal's, at most 100; 80 in a pipe.
pub(crate) fn width() -> usize {
    let asked = std::env::var("COLUMNS").ok().and_then(|columns| columns.parse::<usize>().ok());
    let found = || terminal_size::terminal_size_of(std::io::stdout()).map(|(width, _)| usize::from(width.0));
    asked.or_else(found).unwrap_or(80).clamp(40, 100)
}

/// Writes text with styles to standard output; they are taken out where colour is off.
pub(crate) fn print(text: &str) -> std::io::Result<()> {
    // Looking for styles takes longer than writing, and most reports for programs are long and have none.
    if !text.as_bytes().contains(&b'\x1b') {
        let mut out = std::io::stdout().lock();
        out.write_all(text.as_bytes())?;
        return out.flush();
    }
    let mut out = anstream::stdout().lock();
    out.write_all(text.as_bytes())?;
    out.flush()
}

/// Writes bytes to standard output as they are.
pub(crate) fn print_bytes(bytes: &[u8]) -> std::io::Result<()> {
    let mut out = std::io::stdout().lock();
    out.write_all(bytes)?;
    out.flush()
}

/// Writes a complaint to standard error.
pub(crate) fn complain(message: &str) {
    let (error, end) = (style::ERROR, style::ERROR.render_reset());
    // When standard error is gone too, there is nobody left to tell.
    let _ = writeln!(anstream::stderr(), "{error}vinequill:{end} {message}");
}

/// Writes a remark to standard error.
pub(crate) fn remark(message: &str) {
    // As above.
    let _ = writeln!(anstream::stderr(), "{message}");
}

/// Wraps text in a style.
pub(crate) fn styled(style: Style, text: &str) -> String {
    format!("{style}{text}{style:#}")
}
