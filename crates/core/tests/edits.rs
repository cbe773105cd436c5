//! Laws of everything that changes comments, held against every source of the case folders and the demo: code
//! stays as it is, a second run finds nothing to do, and nothing gets worse.

#![expect(clippy::disallowed_methods, reason = "the test reads the sources; the core does not")]

use std::collections::BTreeMap;
use std::fs;
use std::path::{Path, PathBuf};

use vinequill_core::mend::{Mended, Wish, mend};
use vinequill_core::model::{RuleId, State};
use vinequill_core::proof::only_comments_changed;
use vinequill_core::reading::Parsers;
use vinequill_core::recast::{TARGETS, recast};
use vinequill_core::review::{FileReading, review};
use vinequill_core::rules;
use vinequill_core::settings::Settings;
use vinequill_core::text::Source;
use vinequill_core::{languages, testing};

/// A source of the case folders or the demo, with the configuration of its case.
struct Sample {
    name: String,
    text: String,
    config: String,
}

fn samples() -> Vec<Sample> {
    let root = Path::new(env!("CARGO_MANIFEST_DIR"));
    let mut out = Vec::new();
    for folder in ["tests/cases", "../../demo"] {
        gather(&root.join(folder), &mut out);
    }
    assert!(out.len() > 250, "only {} samples", out.len());
    out
}

fn gather(dir: &Path, out: &mut Vec<Sample>) {
    let config = fs::read_to_string(dir.join("config.toml")).unwrap_or_default();
    let mut entries: Vec<PathBuf> = fs::read_dir(dir)
        .expect("the folder is there")
        .filter_map(|entry| Some(entry.ok()?.path()))
        .collect();
    entries.sort();
    for path in entries {
        if path.is_dir() {
            gather(&path, out);
        } else if let Ok(text) = fs::read_to_string(&path) {
            out.push(Sample { name: path.display().to_string(), text, config: config.clone() });
        }
    }
}

/// Reads a text as the sample's file; nothing where no language has its ending.
fn read<'s>(sample: &Sample, text: &str, settings: &'s Settings) -> Option<FileReading<'s>> {
    let name = Path::new(&sample.name).file_name().unwrap_or_default().to_string_lossy().into_owned();
    let language = settings.language_of_file(&name)?;
    Some(FileReading::read(&Source::new(&name, text), language, settings, &mut Parsers::new()))
}

fn counts(file: &FileReading<'_>) -> BTreeMap<RuleId, usize> {
    let mut out = BTreeMap::new();
    for finding in review(file).findings.iter().filter(|finding| finding.state == State::New) {
        *out.entry(finding.raw.rule).or_default() += 1;
    }
    out
}

fn proved(sample: &Sample, file: &FileReading<'_>, after: &str) {
    let after = Source::new(file.source.path(), after);
    let proof = only_comments_changed(&file.source, &after, file.language, &mut Parsers::new());
    assert!(proof.is_ok(), "{}: {proof:?}\n{}", sample.name, after.text());
}

/// Mends every sample as wished, and hands over what was there and what came of it.
fn mend_all(wish: &Wish, check: impl Fn(&Sample, &FileReading<'_>, &Mended, &FileReading<'_>)) -> usize {
    let mut made = 0;
    for sample in samples() {
        let settings = testing::settings(&sample.config);
        let Some(file) = read(&sample, &sample.text, &settings) else { continue };
        let mended = mend(&file, wish);
        made += mended.done.values().sum::<usize>();
        proved(&sample, &file, &mended.text);
        let Some(again) = read(&sample, &mended.text, &settings) else { continue };
        let second = mend(&again, wish);
        assert_eq!(second.text, mended.text, "{}: a second run changes something", sample.name);
        check(&sample, &file, &mended, &again);
    }
    made
}

#[test]
fn mending_changes_comments_only_settles_at_once_and_makes_nothing_worse() {
    let made = mend_all(&Wish::default(), |sample, before, _, after| {
        let (before, after) = (counts(before), counts(after));
        for (rule, count) in after {
            assert!(count <= before.get(&rule).copied().unwrap_or(0), "{}: more {rule}", sample.name);
        }
    });
    assert!(made > 50, "only {made} repairs");
}

#[test]
fn comments_made_visible_may_lack_entries_and_nothing_else() {
    let ids = ["comment.detached", "comment.ordinary"];
    let rules = ids.iter().filter_map(|id| rules::find(id)).map(|rule| rule.id).collect();
    let made = mend_all(&Wish { rules, ..Wish::default() }, |sample, before, mended, after| {
        let (before, after) = (counts(before), counts(after));
        for (rule, count) in after {
            let more = count > before.get(&rule).copied().unwrap_or(0);
            assert!(!more || rule.as_str().ends_with(".missing"), "{}: more {rule}", sample.name);
        }
        assert!(mended.done.keys().all(|rule| ids.contains(rule)), "{:?}", mended.done);
    });
    assert!(made > 8, "only {made} repairs");
}

#[test]
fn filled_entries_leave_nothing_missing_but_their_text() {
    let wish = Wish { fill_missing: true, ..Wish::default() };
    let made = mend_all(&wish, |sample, before, _, after| {
        let (before, after) = (counts(before), counts(after));
        for (rule, count) in after {
            let more = count > before.get(&rule).copied().unwrap_or(0);
            assert!(!more || rule.as_str() == "text.placeholder", "{}: more {rule}", sample.name);
        }
    });
    assert!(made > 100, "only {made} repairs");
}

#[test]
fn wrapped_comments_say_the_same() {
    let words = |text: &str| -> Vec<String> {
        text.split(|c: char| c.is_whitespace() || matches!(c, '*' | '/' | '#' | '-' | ';' | '"' | '>'))
            .filter(|word| !word.is_empty())
            .map(str::to_owned)
            .collect()
    };
    let none = rules::find("parse.partial").map(|rule| rule.id).into_iter().collect();
    let wish = Wish { rules: none, wrap: Some(44), ..Wish::default() };
    let made = mend_all(&wish, |sample, before, mended, after| {
        assert_eq!(words(before.source.text()), words(&mended.text), "{}", sample.name);
        let entries = |file: &FileReading<'_>| -> Vec<String> {
            let docs = file.outline.ids().filter_map(|id| file.doc(id));
            let entries = docs.flat_map(|doc| doc.entries.iter().map(move |entry| (doc, entry)));
            entries
                .map(|(doc, entry)| {
                    let name = entry.name().map_or("", |name| name.name.as_str());
                    let text = entry.text.map(|text| doc.prose(&file.source, text)).unwrap_or_default();
                    format!("{:?} {name} {text}", entry.kind)
                })
                .collect()
        };
        assert_eq!(entries(before), entries(after), "{}", sample.name);
    });
    assert!(made > 100, "only {made} repairs");
}

#[test]
fn recast_docstrings_come_back_as_they_were() {
    let mut changed = 0;
    for sample in samples() {
        let settings = testing::settings(&sample.config);
        let Some(file) = read(&sample, &sample.text, &settings) else { continue };
        for target in TARGETS {
            let Some(there) = recast(&file, target) else { continue };
            changed += there.changed.len();
            proved(&sample, &file, &there.text);
            let Some(middle) = read(&sample, &there.text, &settings) else { continue };
            let second = recast(&middle, target).expect("docstrings are docstrings still");
            assert_eq!(second.text, there.text, "{}: a second run changes something", sample.name);
            for done in there
                .changed
                .iter()
                .filter(|done| !there.losses.iter().any(|loss| loss.declaration == done.declaration))
            {
                let Some(doc) = file.doc(done.declaration) else { continue };
                let Some(back) = recast(&middle, doc.notation.as_str()) else { continue };
                let returned = read(&sample, &back.text, &settings).expect("it is the same language");
                if back.left.iter().any(|left| left.declaration == done.declaration) {
                    continue;
                }
                let Some(again) = returned.doc(done.declaration) else { continue };
                let names = |doc: &vinequill_core::model::DocComment| -> Vec<String> {
                    let mut out: Vec<(_, String)> = doc
                        .entries
                        .iter()
                        .map(|e| {
                            (e.kind, e.names.iter().map(|n| n.name.as_str()).collect::<Vec<_>>().join(","))
                        })
                        .collect();
                    out.sort_by_key(|&(kind, _)| kind);
                    out.into_iter().map(|(kind, name)| format!("{kind:?} {name}")).collect()
                };
                assert_eq!(names(doc), names(again), "{} to {target} and back:\n{}", sample.name, back.text);
            }
        }
    }
    assert!(changed > 60, "only {changed} docstrings");
}

#[test]
fn a_second_list_that_text_leads_to_joins_no_first() {
    let fields = "def f(*args):\n    \"\"\"Cuts it.\n\n    :param name: of the piece\n\n    Or give its sides:\n\n    :param left: in mm\n    :param right: in mm\n    \"\"\"\n";
    let settings = testing::settings("");
    let sample = Sample { name: "sides.py".to_owned(), text: fields.to_owned(), config: String::new() };
    let file = read(&sample, fields, &settings).expect("it is Python");
    for target in TARGETS.iter().filter(|target| **target != "rest") {
        let there = recast(&file, target).expect("it has a docstring");
        assert!(there.changed.is_empty() && there.text == fields, "{target}: {}", there.text);
        assert!(there.left[0].reason.contains("second list"), "{target}: {}", there.left[0].reason);
    }
}

#[test]
fn keyword_entries_stay_keyword_entries() {
    let fields = "def f(a, **more):\n    \"\"\"Send it.\n\n    :param a: what\n    :keyword bool slow: as it comes\n    \"\"\"\n";
    let written = [
        ("google", "Args:\n        a: what\n\n    Keyword Args:\n        slow (bool): as it comes\n"),
        (
            "numpy",
            "Parameters\n    ----------\n    a\n        what\n\n    Other Parameters\n    ----------------\n    slow : bool\n",
        ),
        ("epytext", "@param a: what\n    @keyword slow: as it comes\n    @type slow: bool\n"),
    ];
    let settings = testing::settings("");
    let sample = Sample { name: "keywords.py".to_owned(), text: fields.to_owned(), config: String::new() };
    let file = read(&sample, fields, &settings).expect("it is Python");
    for (target, expected) in written {
        let there = recast(&file, target).expect("docstrings can be recast");
        assert!(there.text.contains(expected), "{target}:\n{}", there.text);
        let told = usize::from(target == "numpy");
        assert_eq!(there.losses.len(), told, "{target}: {:?}", there.losses);
    }
}

/// Rules whose findings carry what mends them.
const MENDED: &[&str] = &[
    "comment.ordinary", "layout.gap", "markup.section", "param.order", "param.unknown", "summary.ending",
    "tag.order", "tag.unknown", "text.spelling", "throws.order", "throws.repeated", "typeparam.order",
];

#[test]
fn what_a_rule_mends_is_mended() {
    for id in MENDED {
        let rule = rules::find(id).expect("the rule is known");
        let ending = languages::find(rule.example.language).expect("known").endings[0];
        let config = format!("{}\n[rules]\n\"{id}\" = \"error\"\n", rule.example.config);
        let settings = testing::settings(&config);
        let sample =
            Sample { name: format!("Example{ending}"), text: rule.example.before.to_owned(), config };
        let file = read(&sample, &sample.text, &settings).expect("a language has this ending");
        let mended = mend(&file, &Wish { rules: vec![rule.id], ..Wish::default() });
        let after = read(&sample, &mended.text, &settings).expect("as above");
        assert_eq!(counts(&after).get(&rule.id), None, "{id} is not mended:\n{}", mended.text);
    }
}
