//! Languages without a grammar: a profile in TOML says what their declarations and comments look like, line
//! by line. Those in `builtin` come with the program; others stand in a project's configuration.
//!
//! `compile` makes patterns of the text and tries its examples; `scan` parts code from comments; `declare`
//! finds declarations, `parameters` takes their lists apart, `place` finds comments that do not stand above.

mod compile;
mod declare;
mod examples;
mod parameters;
mod place;
mod profile;
mod reader;
mod scan;

use std::collections::HashMap;
use std::sync::{Mutex, OnceLock, PoisonError};

use self::compile::{Mistake, compile, keep};
use self::reader::ProfileReader;
use crate::model::{Carrier, Dialect, Labels, NotationId};
use crate::reading::{CommentPlace, Custom, Demand, Language, Owe};
use crate::settings::{Case, Config, ConfigError, DocAt, Located, ProfileConfig};
use crate::text::{Span, nearest};

/// The profiles that come with the program.
const BUILT_IN: &[&str] =
    &[include_str!("builtin/cobol.toml"), include_str!("builtin/dbl.toml"), include_str!("builtin/sas.toml")];

/// Returns the languages of the profiles that come with the program, by id. `notations` are the ids of those
/// that a profile may name.
///
/// # Panics
/// When a profile that comes with the program has a mistake, which a test rules out.
pub fn built_in(notations: &[NotationId]) -> &'static [&'static Language] {
    static LANGUAGES: OnceLock<Vec<&'static Language>> = OnceLock::new();
    LANGUAGES.get_or_init(|| {
        let read = |text: &&str| {
            let config = Config::parse(text).and_then(|config| languages(&config, notations));
            config.expect("the profiles that come with the program are sound")
        };
        BUILT_IN.iter().flat_map(read).collect()
    })
}

/// Returns the languages that the profiles of a configuration describe.
///
/// # Errors
/// [`ConfigError`] with the line of a mistake: a pattern that does not compile, an example that does not
/// come out, a name that is taken twice.
pub fn languages(config: &Config, notations: &[NotationId]) -> Result<Vec<&'static Language>, ConfigError> {
    let told = |mistake: Mistake| {
        let before = &config.text[..mistake.at.min(config.text.len())];
        let line = before.matches('\n').count() + 1;
        ConfigError::Text { line: Span::of(line, line).start, reason: mistake.reason }
    };
    let mut out: Vec<&'static Language> = Vec::new();
    for profile in &config.profiles {
        let language = compiled(profile, notations).map_err(told)?;
        if out.iter().any(|other| other.id == language.id) {
            let reason = format!("there are two profiles named `{}`", profile.name.value);
            return Err(told(Mistake::at(&profile.name, reason)));
        }
        out.push(language);
    }
    Ok(out)
}

/// Compiles a profile once, however often it is asked for: a language lives as long as the program, like
/// those that have a grammar.
fn compiled(config: &ProfileConfig, notations: &[NotationId]) -> Result<&'static Language, Mistake> {
    static MADE: OnceLock<Mutex<HashMap<String, &'static Language>>> = OnceLock::new();
    let key = format!("{config:?}");
    let made = MADE.get_or_init(Mutex::default);
    if let Some(found) = made.lock().unwrap_or_else(PoisonError::into_inner).get(&key) {
        return Ok(found);
    }
    let language = language(config, notations)?;
    examples::check(config, language)?;
    made.lock().unwrap_or_else(PoisonError::into_inner).insert(key, language);
    Ok(language)
}

fn language(config: &ProfileConfig, notations: &[NotationId]) -> Result<&'static Language, Mistake> {
    let name = &config.name;
    let sound = |c: char| c.is_ascii_lowercase() || c.is_ascii_digit() || c == '-';
    if name.value.is_empty() || !name.value.chars().all(sound) {
        let reason = format!("`{}` is no name: it takes lower case letters, digits and hyphens", name.value);
        return Err(Mistake::at(name, reason));
    }
    if config.endings.value.all().is_empty()
        || config.endings.value.all().iter().any(|ending| ending.len() < 2)
    {
        return Err(Mistake::at(&config.endings, "a profile needs file name endings, such as `.mum`"));
    }
    let profile = compile(config)?;
    let (notation, accepted) = notation(config, notations)?;
    let carrier = profile.docs.first().copied().unwrap_or_else(|| carrier(&profile.marks[0], config));
    let place = match profile.doc_at[0] {
        DocAt::Above if profile.docs.is_empty() => CommentPlace::DirectlyAbove,
        DocAt::Above => CommentPlace::Above,
        DocAt::Below => CommentPlace::Below,
        DocAt::FileTop => CommentPlace::FileTop,
    };
    let id = keep(&name.value);
    let endings: Vec<&'static str> =
        config.endings.value.all().iter().map(|e| keep(&e.to_lowercase())).collect();
    let border = profile.border;
    let by_command = notation.as_str() == "commands";
    let custom = Custom { place, by_command, drops_after_annotations: false };
    let reader: &'static ProfileReader = Box::leak(Box::new(ProfileReader { profile, custom }));
    let demand = Demand::of(Owe::OnceStarted);
    Ok(Box::leak(Box::new(Language {
        label: config.label.as_deref().map_or(id, keep),
        endings: Box::leak(endings.into_boxed_slice()),
        notations: Box::leak(accepted.into_boxed_slice()),
        notation,
        demand: config.demand.map_or(demand, |own| own.over(demand)),
        untyped: false,
        any_optional: true,
        carrier,
        dialect: dialect(config),
        place,
        doc_mark: match carrier {
            Carrier::Block { open, .. } => open,
            Carrier::Lines { mark } => mark,
            Carrier::Docstring => "",
        },
        ignores_case: config.case == Case::Ignore,
        border,
        ..Language::of(id, id, reader)
    })))
}

/// What carries a draft where every comment may be documentation: what the profile names first.
fn carrier(longest: &profile::Mark, config: &ProfileConfig) -> Carrier {
    let bare = |mark: &str| keep(mark.trim_start_matches('^').trim_start());
    match (config.line_comment.first(), config.block_comment.first()) {
        (Some(mark), _) => Carrier::Lines { mark: bare(&mark.value) },
        (None, Some(pair)) => Carrier::Block { open: bare(&pair.value[0]), close: keep(&pair.value[1]) },
        (None, None) => Carrier::Lines { mark: longest.text },
    }
}

/// The notation of a profile, and all that its comments may be in.
fn notation(config: &ProfileConfig, known: &[NotationId]) -> Result<(NotationId, Vec<NotationId>), Mistake> {
    let labels = NotationId::new("labels");
    let named = match &config.notation {
        None => None,
        Some(name) => Some(find(name, known)?),
    };
    match (named, &config.labels) {
        (None, Some(_)) => Ok((labels, vec![labels])),
        (Some(id), Some(_)) if id != labels => Ok((id, vec![id, labels])),
        (Some(id), None) if id == labels => {
            let at = config.notation.as_ref().map_or(0, |name| name.at);
            Err(Mistake { at, reason: "the notation `labels` needs a table `labels`".to_owned() })
        }
        (Some(id), _) => Ok((id, vec![id])),
        (None, None) => {
            let prose = NotationId::new("prose");
            Ok((prose, vec![prose]))
        }
    }
}

fn find(name: &Located<String>, known: &[NotationId]) -> Result<NotationId, Mistake> {
    let found = known.iter().copied().find(|id| id.as_str() == name.value);
    found.ok_or_else(|| {
        let ids = known.iter().map(|id| id.as_str());
        let hint = match nearest(&name.value, ids.clone()) {
            Some(near) => format!("did you mean `{near}`?"),
            None => format!("there are {}", ids.collect::<Vec<_>>().join(", ")),
        };
        Mistake::at(name, format!("no notation is named `{}`; {hint}", name.value))
    })
}

fn dialect(config: &ProfileConfig) -> Dialect {
    let Some(labels) = &config.labels else { return Dialect::Plain };
    let words = |words: &[String]| -> &'static [&'static str] {
        Box::leak(words.iter().map(|word| keep(word)).collect::<Vec<_>>().into_boxed_slice())
    };
    Dialect::Labels(Box::leak(Box::new(Labels {
        summary: words(&labels.summary),
        param: words(&labels.param),
        returns: words(&labels.returns),
        raises: words(&labels.raises),
        ignore: words(&labels.ignore),
    })))
}
