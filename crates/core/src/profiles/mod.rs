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
use std::sync::{LazyLock, Mutex, OnceLock, PoisonError};

use self::compile::{Mistake, compile, keep};
use self::reader::{Compile, NONE, ProfileReader};
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
            let config = Config::parse(text).expect("the profiles that come with the program are sound");
            config.profiles.into_iter().map(|profile| {
                let shape =
                    shape(&profile, notations).expect("the profiles that come with the program are sound");
                let compiled =
                    move || compile(&profile).expect("the profiles that come with the program are sound");
                shape.language(Box::new(compiled))
            })
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
    let profile = compile(config)?;
    let language = shape(config, notations)?.language(Box::new(move || profile));
    examples::check(config, language)?;
    // Another thread may have been faster: what is in use already stays the one.
    Ok(made.lock().unwrap_or_else(PoisonError::into_inner).entry(key).or_insert(language))
}

/// A language as a profile describes it, all but its patterns.
struct Shape(Language);

/// Takes from a profile all that can be told without compiling a pattern.
fn shape(config: &ProfileConfig, notations: &[NotationId]) -> Result<Shape, Mistake> {
    let name = &config.name;
    let sound = |c: char| c.is_ascii_lowercase() || c.is_ascii_digit() || c == '-';
    if name.value.is_empty() || !name.value.chars().all(sound) {
        let reason = format!("`{}` is no name: it takes lower case letters, digits and hyphens", name.value);
        return Err(Mistake::at(name, reason));
    }
    let endings = config.endings.value.all();
    if endings.is_empty() || endings.iter().any(|ending| ending.len() < 2) {
        return Err(Mistake::at(&config.endings, "a profile needs file name endings, such as `.mum`"));
    }
    let marks = compile::marks(config)?;
    let docs = compile::docs(config, &marks)?;
    let (notation, accepted) = notation(config, notations)?;
    let carrier = docs.first().copied().unwrap_or_else(|| carrier(&marks[0], config));
    let place = match compile::doc_at(config)?[0] {
        DocAt::Above if docs.is_empty() => CommentPlace::DirectlyAbove,
        DocAt::Above => CommentPlace::Above,
        DocAt::Below => CommentPlace::Below,
        DocAt::FileTop => CommentPlace::FileTop,
    };
    let id = keep(&name.value);
    let endings: Vec<&'static str> = endings.iter().map(|ending| keep(&ending.to_lowercase())).collect();
    let demand = Demand::of(Owe::OnceStarted);
    Ok(Shape(Language {
        label: config.label.as_deref().map_or(id, keep),
        endings: Box::leak(endings.into_boxed_slice()),
        notations: Box::leak(accepted.into_boxed_slice()),
        notation,
        demand: config.demand.map_or(demand, |own| own.over(demand)),
        any_optional: true,
        carrier,
        remark: self::carrier(&marks[0], config),
        dialect: dialect(config),
        place,
        doc_mark: match carrier {
            Carrier::Block { open, .. } => open,
            Carrier::Lines { mark } => mark,
            Carrier::Docstring => "",
        },
        ignores_case: config.case == Case::Ignore,
        members_ignore_case: false,
        border: keep(&config.border),
        ..Language::of(id, id, &NONE)
    }))
}

impl Shape {
    /// Makes the language, for as long as the program runs.
    fn language(self, compile: Compile) -> &'static Language {
        let by_command = self.0.notation.as_str() == "commands";
        let custom = Custom { place: self.0.place, by_command, drops_after_annotations: false };
        let reader = Box::leak(Box::new(ProfileReader { profile: LazyLock::new(compile), custom }));
        Box::leak(Box::new(Language { reader, ..self.0 }))
    }
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

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_examples_of_built_in_profiles_come_out() {
        let ids = crate::notations::ids();
        for text in BUILT_IN {
            let config = Config::parse(text).expect("it is valid TOML");
            assert!(config.profiles.iter().all(|profile| profile.examples.len() > 1), "{text}");
            languages(&config, &ids).expect("its examples come out");
        }
    }

    #[test]
    fn a_profile_is_compiled_once_however_often_it_is_loaded() {
        let ids = crate::notations::ids();
        let config = Config::parse(BUILT_IN[0]).expect("it is valid TOML");
        let (first, again) = (languages(&config, &ids), languages(&config, &ids));
        assert!(std::ptr::eq(first.expect("sound")[0], again.expect("sound")[0]));
    }
}
