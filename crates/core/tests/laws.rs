//! Laws over the registries, and properties that hold for any text.

use proptest::prelude::*;
use vinequill_core::draft::{self, Only};
use vinequill_core::model::{Dialect, Labels, Level};
use vinequill_core::proof::only_comments_changed;
use vinequill_core::reading::Parsers;
use vinequill_core::review::{self, FileReading};
use vinequill_core::rules::{self, Check, Rule};
use vinequill_core::text::{Edits, Source};
use vinequill_core::{languages, notations, testing};

/// Returns the rules that fire on an example.
fn fired(rule: &Rule, text: &str) -> Vec<String> {
    let ending = languages::find(rule.example.language).expect("the example's language is known").endings[0];
    let config = format!("{}\n[rules]\n\"{}\" = \"error\"\n", rule.example.config, rule.id);
    let report = testing::review_text(&format!("Example{ending}"), text, &config);
    report.lines().filter_map(|line| line.split(' ').nth(2)).map(str::to_owned).collect()
}

#[test]
fn ids_are_subject_dot_fault_sorted_and_unique() {
    let ids: Vec<&str> = rules::ALL.iter().map(|rule| rule.id.as_str()).collect();
    assert!(ids.is_sorted() && ids.windows(2).all(|pair| pair[0] != pair[1]));
    for id in ids {
        let parts: Vec<&str> = id.split('.').collect();
        assert_eq!(parts.len(), 2, "{id}");
        assert!(parts.iter().all(|part| part.chars().all(|c| c.is_ascii_lowercase() || c == '-')), "{id}");
    }
}

#[test]
fn every_example_fires_its_rule_and_is_silent_once_mended() {
    // What only an earlier text shows has tests of its own.
    for rule in rules::ALL.iter().filter(|rule| !matches!(rule.check, Check::History)) {
        let id = rule.id.as_str();
        let before = fired(rule, rule.example.before);
        assert!(before.iter().any(|found| found == id), "{id} does not fire on its example: {before:?}");
        let subject = id.split('.').next();
        let others: Vec<_> = before.iter().filter(|f| *f != id && f.split('.').next() == subject).collect();
        assert!(others.is_empty(), "{id}: {others:?} fire too");
        let after = fired(rule, rule.example.after);
        assert!(!after.iter().any(|found| found == id), "{id} fires on the mended example");
    }
}

#[test]
fn examples_in_further_languages_fire_their_rule_and_are_silent_once_mended() {
    let mut wrong = Vec::new();
    for example in rules::further_examples() {
        let id = example.rule.as_str();
        let rule = rules::ALL.iter().find(|rule| rule.id.as_str() == id).expect("the rule is known");
        let language = languages::find(&example.language).expect("the language is known");
        if language.id.as_str() == rule.example.language {
            wrong.push(format!("{id} has an example in {} already", example.language));
        }
        let path = format!("Example{}", language.endings[0]);
        let fired = |text: &str| -> Vec<String> {
            let report = testing::review_text(&path, text, &format!("[rules]\n\"{id}\" = \"error\"\n"));
            report.lines().filter_map(|line| line.split(' ').nth(2)).map(str::to_owned).collect()
        };
        let (fires, silent) = (fired(&example.fires), fired(&example.silent));
        let subject = id.split('.').next();
        let other = |found: &&String| *found != id && found.split('.').next() == subject;
        if !fires.iter().any(|found| found == id)
            || fires.iter().any(|found| other(&found))
            || !silent.is_empty()
        {
            wrong.push(format!("{id} in {}: {fires:?}, mended: {silent:?}", example.language));
        }
    }
    assert!(wrong.is_empty(), "{}", wrong.join("\n"));
}

#[test]
fn rules_are_explained_in_plain_sentences() {
    for rule in rules::ALL {
        assert!(rule.says.starts_with(char::is_lowercase) && !rule.says.ends_with('.'), "{}", rule.id);
        assert!(rule.why.starts_with(char::is_uppercase) && rule.why.ends_with('.'), "{}", rule.id);
    }
}

#[test]
fn messages_begin_small_and_end_without_a_stop() {
    for rule in rules::ALL {
        let ending = languages::find(rule.example.language).expect("known").endings[0];
        let report = testing::review_text(&format!("Example{ending}"), rule.example.before, "");
        for message in report.lines().filter_map(|line| line.split_once("] ")).map(|(_, message)| message) {
            assert!(!message.ends_with('.'), "{message}");
            assert!(!message.starts_with(char::is_uppercase), "{message}");
        }
    }
}

#[test]
fn defaults_are_the_catalogue() {
    let off = [
        "example.missing", "file.header", "layout.gap", "layout.late-text", "leftover.code", "leftover.todo",
        "param.untyped", "summary.ending", "summary.opening", "tag.order", "tag.required", "throws.order",
        "throws.passed",
    ];
    for rule in rules::ALL {
        assert_eq!(rule.level == Level::None, off.contains(&rule.id.as_str()), "{}", rule.id);
    }
}

#[test]
fn every_language_names_known_notations() {
    for language in languages::ALL {
        assert!(language.notations.contains(&language.notation), "{}", language.id);
        assert!(language.notations.iter().all(|&id| notations::get(id).is_some()), "{}", language.id);
        assert!(language.endings.iter().all(|ending| ending.starts_with('.')), "{}", language.id);
    }
}

/// Sources that are put together from pieces which trip readers up.
fn pieces() -> impl Strategy<Value = String> {
    let piece = prop::sample::select(vec![
        "/** A b. */\n",
        "/**\n * A.\n * @param x y\n */\n",
        "/// <summary>A</summary>\n",
        "/// <param name=\"a\">",
        "\"\"\"A.\n\n    Args:\n        x: y\n    \"\"\"\n",
        "class A {\n",
        "class A:\n",
        "    def f(self, a, *b, c=1, **d):\n",
        "  void f(int a, String... b) throws E {\n",
        "  public int g<T>(T a = default) => throw new E();\n",
        "        return 1\n",
        "    raise ValueError('x')\n",
        "throw new E();\n",
        "}\n",
        "{",
        "\u{fc}\u{4e2d}\r\n",
        "\t",
        "'''",
        "\"",
        "#if X\n",
        "#endif\n",
        "@Override\n",
        "[A]\n",
        "# c\n",
        "// c\n",
        "/*",
        "*/",
        ":param x: y\n",
        "Parameters\n----------\nx : int\n",
        "@",
        "\\\n",
        "    Returns:\n",
        "def f(): pass\n",
        "x = lambda a: a\n",
        "try {",
        "} catch (E e) { throw e; }\n",
        "yield 1\n",
    ]);
    prop::collection::vec(piece, 0..24).prop_map(|pieces| pieces.concat())
}

fn endings() -> impl Strategy<Value = &'static str> {
    prop::sample::select(vec!["a.java", "b.cs", "c.py", "d.pyi"])
}

/// Reads, reviews and drafts; panics are failures of the property.
fn all_of_it(name: &str, text: &str) {
    let settings = testing::settings("surface = \"private\"");
    let source = Source::new(name, text);
    let language = languages::for_file(name).expect("the ending is known");
    let mut parsers = Parsers::new();
    let file = FileReading::read(&source, language, &settings, &mut parsers);
    let _ = review::review(&file);
    let drafts = draft::draft_file(&file, &|_| true, Only::Both, draft::Inherit::None);
    let edits: Vec<_> = drafts.drafted.into_iter().flat_map(|drafted| drafted.edits).collect();
    let Ok(after) = Edits::new(edits).and_then(|edits| edits.apply(text)) else { return };
    // On broken code the proof may refuse; where it accepts, the next draft finds nothing to do that it
    // would accept as well.
    let after = Source::new(name, &after);
    let _ = only_comments_changed(&source, &after, language, &mut parsers);
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 400, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn no_text_makes_it_panic(name in endings(), text in pieces()) {
        all_of_it(name, &text);
    }

    #[test]
    fn no_characters_make_it_panic(name in endings(), text in "\\PC{0,200}") {
        all_of_it(name, &text);
    }
}

/// Grammars would take hours over it: the time grows with the square of what they cannot read.
#[test]
fn a_large_text_of_no_language_is_given_up() {
    let (closed, calls) = (") } ] ".repeat(200_000), "weigh(crate, 1),\n".repeat(60_000));
    let texts = [("a.lua", &closed), ("a.luau", &closed), ("a.scala", &closed), ("a.kt", &calls)];
    for (name, text) in texts {
        let source = Source::new(name, text);
        let language = languages::for_file(name).expect("the ending is known");
        let settings = testing::settings("");
        let file = FileReading::read(&source, language, &settings, &mut Parsers::new());
        assert_eq!(file.outline.unparsed.iter().map(|span| span.len()).sum::<u32>() as usize, text.len());
        let found = review::review(&file).findings;
        assert!(found.iter().any(|found| found.raw.message.starts_with("nothing of this file")), "{name}");
    }
    // One that only begins badly is read to the end, and so is a table.
    let rows = "  { \"crate\": 12, \"tare\": [1, 2 3] },\n".repeat(4000);
    let source = Source::new("t.js", &format!("/** Loads. */\nexport const loads = [ 1 2\n{rows}];\n"));
    let language = languages::for_file("t.js").expect("the ending is known");
    let settings = testing::settings("");
    let file = FileReading::read(&source, language, &settings, &mut Parsers::new());
    assert!(file.outline.unparsed.iter().all(|span| span.len() < 100), "{:?}", file.outline.unparsed.len());
    let text = format!(
        "local t = {{ ( \n}}\n{}--- Weighs it.\nfunction weigh() end\n",
        "local n = 1\n".repeat(12_000)
    );
    let source = Source::new("b.lua", &text);
    let language = languages::for_file("b.lua").expect("the ending is known");
    let settings = testing::settings("");
    let file = FileReading::read(&source, language, &settings, &mut Parsers::new());
    assert!(file.outline.declarations.iter().any(|found| found.name == "weigh"));
}

/// Well-formed sources: what a draft does to them is known exactly.
fn whole_sources() -> impl Strategy<Value = (&'static str, String)> {
    let names = prop::collection::vec("[a-z]{1,8}", 1..5);
    let java = names.clone().prop_map(|names| {
        let parameters: Vec<String> = names.iter().enumerate().map(|(at, name)| format!("int {name}{at}")).collect();
        let list = parameters.join(", ");
        ("a.java", format!("public class A {{\r\n\tpublic int f({list}) throws E {{ return 1; }}\r\n  public A() {{ super(1); }}\r\n}}\r\n"))
    });
    let csharp = names.clone().prop_map(|names| {
        let parameters: Vec<String> =
            names.iter().enumerate().map(|(at, name)| format!("int {name}{at} = 1")).collect();
        ("b.cs", format!("public class A {{ public int F<T>({}) => 1; }}\n", parameters.join(", ")))
    });
    let python = names.prop_map(|names| {
        let parameters: Vec<String> =
            names.iter().enumerate().map(|(at, name)| format!("{name}{at}={at}")).collect();
        (
            "c.py",
            format!(
                "class A:\n    def f(self, {}): return 1\n\n    def g(self):\n        yield 1\n",
                parameters.join(", ")
            ),
        )
    });
    prop_oneof![java, csharp, python]
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 120, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn a_draft_changes_comments_only_and_settles_at_once((name, text) in whole_sources()) {
        let config = "surface = \"private\"\n[languages.python]\nnotation = \"numpy\"";
        let once = testing::draft_text(name, &text, config);
        prop_assert_ne!(&once, &text);
        prop_assert_eq!(&testing::draft_text(name, &once, config), &once);
        let language = languages::for_file(name).expect("the ending is known");
        let proof = only_comments_changed(&Source::new(name, &text), &Source::new(name, &once), language, &mut Parsers::new());
        prop_assert!(proof.is_ok(), "{:?}", proof);
        if text.contains("\r\n") {
            prop_assert_eq!(once.matches('\n').count(), once.matches("\r\n").count());
        }
        let left = testing::review_text(name, &once, config);
        prop_assert!(left.lines().all(|line| line.contains("text.placeholder")), "{}", left);
    }
}

#[test]
fn a_change_of_code_is_refused() {
    for (name, before, after) in [
        ("a.java", "/** A. */\nclass A { int x; }", "/** B. */\nclass A { int y; }"),
        ("b.cs", "/// A\nclass A { }", "/// A\nclass A { int x; }"),
        ("c.py", "def f():\n    '''A'''\n    return 1\n", "def f():\n    '''A\n    return 1\n'''\n"),
    ] {
        let language = languages::for_file(name).expect("the ending is known");
        let proof = only_comments_changed(
            &Source::new(name, before),
            &Source::new(name, after),
            language,
            &mut Parsers::new(),
        );
        assert!(proof.is_err(), "{name}");
    }
}

/// Words that open the parts of a comment box.
static LABELS: Labels = Labels {
    summary: &["Purpose"],
    param: &["Inputs"],
    returns: &["Output"],
    raises: &["Errors"],
    ignore: &["History"],
};

/// Boxes need their labels; all else is spelt as most languages do.
fn dialect_of(notation: &notations::Notation) -> Dialect {
    if notation.id.as_str() == "labels" { Dialect::Labels(&LABELS) } else { Dialect::Plain }
}

/// Puts lines into a source of their own and reads them as a comment.
fn read_lines(
    notation: &notations::Notation,
    lines: &[String],
) -> (Source, vinequill_core::model::DocComment) {
    // Line comments have a blank behind their mark.
    let lead = if notation.id.as_str() == "annotations" { " " } else { "" };
    let lines: Vec<String> = lines.iter().map(|line| format!("{lead}{line}")).collect();
    let text = lines.join("\n");
    let source = Source::new("comment", &text);
    let mut spans = Vec::new();
    let mut at = 0;
    for line in &lines {
        spans.push(vinequill_core::text::Span::of(at, at + line.len()));
        at += line.len() + 1;
    }
    let whole = vinequill_core::text::Span::of(0, text.len());
    let doc = (notation.read)(&notations::Lines::new(&source, &spans, dialect_of(notation)), whole);
    (source, doc)
}

fn new_entries(names: &[String], notation: &notations::Notation) -> Vec<notations::NewEntry> {
    use vinequill_core::model::EntryKind;
    let entry = |kind, name: Option<&String>, rank| notations::NewEntry {
        kind,
        name: name.cloned(),
        ty: None,
        optional: false,
        only_read: false,
        value: None,
        text: "TODO: describe".to_owned(),
        rank,
    };
    let mut out: Vec<_> =
        names.iter().enumerate().map(|(rank, name)| entry(EntryKind::Param, Some(name), rank)).collect();
    out.push(entry(EntryKind::Returns, None, 0));
    // Some notations have one entry for all that goes wrong.
    let thrown = match notation.id.as_str() {
        "headings" => "Errors",
        "callouts" => "throws",
        _ => "OverloadError",
    };
    out.push(entry(EntryKind::Throws, Some(&thrown.to_owned()), 0));
    out.retain(|entry| (notation.holds)(entry.kind));
    out
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 60, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn what_a_notation_writes_it_reads_back(
        names in prop::collection::vec("[a-z][a-z_]{1,10}", 1..5),
        habits in any::<(bool, bool, bool, bool, bool, bool)>(),
    ) {
        let mut names = names;
        names.sort();
        names.dedup();
        let style = notations::WriteStyle {
            placeholder: "TODO: describe".to_owned(), step: "    ".to_owned(), dialect: Dialect::Plain,
            hyphen: habits.0,
            parted: habits.1,
            listed: habits.2,
            backslash: habits.3,
            brief: habits.4,
            align: if habits.5 { notations::Align::NamesAndTexts } else { notations::Align::No },
            types: notations::TypeCustom::Never,
            type_lines: false,
            tight: false,
            returning: "Return",
            words: notations::TagWords::default(),
        };
        for notation in notations::ALL {
            let style = notations::WriteStyle { dialect: dialect_of(notation), ..style.clone() };
            let wanted = new_entries(&names, notation);
            let lines = notation.writer.whole("Weighs a crate.", &wanted, &style);
            let (source, doc) = read_lines(notation, &lines);
            prop_assert_eq!(doc.summary_prose(&source), "Weighs a crate.", "{}", notation.id);
            let found: Vec<_> = doc.entries.iter().map(|entry| (entry.kind, entry.name().map(|n| n.name.to_string()))).collect();
            let wanted: Vec<_> = wanted.into_iter().map(|entry| (entry.kind, entry.name)).collect();
            prop_assert_eq!(found, wanted, "{}: {:?}", notation.id, lines);
            for entry in &doc.entries {
                let text = entry.text.map(|span| doc.prose(&source, span)).unwrap_or_default();
                prop_assert_eq!(text, "TODO: describe", "{}", notation.id);
            }
        }
    }
}

#[test]
fn every_notation_tells_its_own_comments_from_prose() {
    let names = ["load".to_owned()];
    let style = notations::WriteStyle {
        placeholder: "x".to_owned(),
        step: "    ".to_owned(),
        dialect: Dialect::Plain,
        hyphen: false,
        parted: true,
        listed: false,
        backslash: false,
        brief: false,
        align: notations::Align::No,
        types: notations::TypeCustom::Never,
        type_lines: false,
        tight: false,
        returning: "Return",
        words: notations::TagWords::default(),
    };
    // Prose has nothing of its own.
    for notation in notations::ALL.iter().filter(|notation| notation.id.as_str() != "prose") {
        let style = notations::WriteStyle { dialect: dialect_of(notation), ..style.clone() };
        let lines = notation.writer.whole("Weighs.", &new_entries(&names, notation), &style);
        let text = lines.join("\n");
        let source = Source::new("comment", &text);
        let mut at = 0;
        let spans: Vec<_> = lines
            .iter()
            .map(|line| {
                at += line.len() + 1;
                vinequill_core::text::Span::of(at - line.len() - 1, at - 1)
            })
            .collect();
        let lines = notations::Lines::new(&source, &spans, dialect_of(notation));
        assert!((notation.evidence)(&lines) > 0, "{}", notation.id);
        let prose = Source::new("comment", "Weighs a crate and prints it.");
        let spans = [vinequill_core::text::Span::of(0, prose.text().len())];
        assert_eq!(
            (notation.evidence)(&notations::Lines::new(&prose, &spans, dialect_of(notation))),
            0,
            "{}",
            notation.id
        );
    }
}

#[test]
fn left_out_bodies_change_nothing_that_is_found() {
    // The same class with a body that is left out, and with a doc comment in it that keeps it in.
    let plain = "/** A. */\npublic class A {\n    /**\n     * Weighs. Twice.\n     *\n     * @throws java.io.IOException never\n     */\n    public int f(int a) { g(a); return h(a); }\n    public A() { x(); y(); }\n}\n";
    let kept = plain.replace("g(a);", "g(a); Runnable r = () -> { /** kept */ };");
    let outline = |text: &str| testing::outline_text("A.java", text, "");
    assert_eq!(outline(plain), outline(&kept));
    let findings = |text: &str| -> Vec<String> {
        let report = testing::review_text("A.java", text, "");
        report.lines().filter(|line| !line.contains("comment.stray")).map(str::to_owned).collect()
    };
    assert_eq!(findings(plain), findings(&kept));
    assert!(
        outline(plain).contains("A.A() -> no [asked]"),
        "a constructor that does something is no empty one"
    );
}

#[test]
#[expect(clippy::disallowed_methods, reason = "the harness reads files; the core does not")]
fn left_out_bodies_change_no_declaration_of_any_case() {
    let cases = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/cases");
    let folders = |folder: &std::path::Path| -> Vec<std::path::PathBuf> {
        std::fs::read_dir(folder)
            .expect("it can be read")
            .map(|entry| entry.expect("it is there").path())
            .collect()
    };
    let mut compared = 0;
    for path in folders(&cases).iter().flat_map(|language| folders(language)).flat_map(|case| folders(&case))
    {
        let name = path.file_name().and_then(|name| name.to_str()).expect("names are text");
        let known = testing::settings("").language_of_file(name).is_some();
        let Some(text) = std::fs::read_to_string(&path).ok().filter(|_| known && !name.ends_with(".txt"))
        else {
            continue;
        };
        let plain = testing::outline_text(name, &text, "");
        // What is looked for in bodies has all of them read.
        let whole = testing::outline_text(name, &text, "[rules]\n\"leftover.todo\" = \"note\"\n");
        for line in plain.lines() {
            assert!(whole.lines().any(|other| other == line), "{}: {line}\n{whole}", path.display());
            compared += 1;
        }
    }
    assert!(compared > 1000, "only {compared} declarations");
}

/// What a case expects is written by the program itself on request; of this one only notes may be.
#[test]
#[expect(clippy::disallowed_methods, reason = "the harness reads files; the core does not")]
fn rightly_documented_code_is_given_no_warning() {
    let cases = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/cases");
    let mut read = 0;
    for language in std::fs::read_dir(cases).expect("the folder is there") {
        let path = language.expect("it is there").path().join("nothing-to-complain-of/review.txt");
        let Ok(review) = std::fs::read_to_string(&path) else { continue };
        let wrong = review.lines().find(|line| line.contains(" warning ") || line.contains(" error "));
        assert_eq!(wrong, None, "{}", path.display());
        read += 1;
    }
    assert!(read > 12, "only {read} languages");
}

/// Tests of languages declare one name dozens of times over, each time with other supertypes; a search that
/// went down every way through them would not come to its end.
#[test]
fn names_declared_many_times_are_each_looked_at_once() {
    let mut text = String::new();
    for name in ["Upper", "Middle", "Lower"].iter().cycle().take(180) {
        text += &format!(
            "class {name}(Upper, Middle, Lower):\n    def weigh(self, lot):\n        return lot\n\n"
        );
    }
    text += "class Lonely(Upper):\n    def taste(self, lot):\n        return lot\n";
    let report = testing::review_text("example.py", &text, "");
    assert!(report.contains("`taste`"), "{report}");
    assert!(report.lines().all(|line| !line.contains("weigh")), "{report}");
}
