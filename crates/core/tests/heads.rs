//! What stands in front of heads and behind them changes no declaration, nor do blanks behind lines or a missing last line
//! break, and what is blanked for the grammars of C and C++ loses none: laws over the sources of all cases.

use std::collections::BTreeSet;
use std::path::Path;

use tree_sitter::{Node, Parser};
use vinequill_core::testing;

/// Returns name and text of the sources of a language's cases.
#[expect(clippy::disallowed_methods, reason = "the harness reads files; the core does not")]
fn sources(language: &str) -> Vec<(String, String)> {
    let within = |folder: &Path| -> Vec<std::path::PathBuf> {
        let entries = std::fs::read_dir(folder).expect("the folder can be read");
        entries.map(|entry| entry.expect("it is there").path()).collect()
    };
    let cases = Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/cases").join(language);
    let files = within(&cases).into_iter().flat_map(|case| within(&case));
    files
        .filter_map(|path| {
            let name = path.file_name()?.to_str()?.to_owned();
            let known = testing::settings("").language_of_file(&name).is_some() && !name.ends_with(".txt");
            known.then(|| std::fs::read_to_string(&path).ok().map(|text| (name, text)))?
        })
        .collect()
}

/// Parses a text as it stands; nothing where the grammar stumbles.
fn bare(name: &str, text: &str) -> Option<tree_sitter::Tree> {
    let mut parser = Parser::new();
    let is_c = name.ends_with(".c") || name.ends_with(".h");
    let grammar = if is_c { tree_sitter_c::LANGUAGE } else { tree_sitter_cpp::LANGUAGE };
    parser.set_language(&grammar.into()).expect("the grammar fits the library");
    parser.parse(text, None).filter(|tree| !tree.root_node().has_error())
}

/// Gathers the names that a tree declares outside of bodies.
fn declared<'t>(node: Node<'_>, text: &'t str, names: &mut BTreeSet<&'t str>) {
    let own = match node.kind() {
        "compound_statement" | "parameter_list" | "template_argument_list" => return,
        // Both branches of a condition would be taken for true.
        "preproc_if" | "preproc_ifdef" => return,
        "function_declarator" | "type_definition" => node.child_by_field_name("declarator"),
        "class_specifier" | "struct_specifier" | "union_specifier" | "enum_specifier"
            if node.child_by_field_name("body").is_some() =>
        {
            node.child_by_field_name("name")
        }
        "preproc_def" | "preproc_function_def" => node.child_by_field_name("name"),
        _ => None,
    };
    let is_name = |node: &Node<'_>| {
        matches!(node.kind(), "identifier" | "field_identifier" | "type_identifier")
            && node.child_count() == 0
    };
    names.extend(own.filter(is_name).map(|node| &text[node.byte_range()]));
    let mut cursor = node.walk();
    node.children(&mut cursor).for_each(|child| declared(child, text, names));
}

/// Returns the words of an outline.
fn words(outline: &str) -> BTreeSet<&str> {
    outline.split(|c: char| !(c.is_alphanumeric() || c == '_')).collect()
}

#[test]
fn what_the_bare_grammar_declares_is_declared() {
    let mut compared = 0;
    for (name, text) in sources("c").iter().chain(&sources("cpp")) {
        let Some(tree) = bare(name, text) else { continue };
        let mut names = BTreeSet::new();
        declared(tree.root_node(), text, &mut names);
        let outline = testing::outline_text(name, text, "surface = \"private\"\n");
        let outline = words(&outline);
        let lost: Vec<_> = names.difference(&outline).collect();
        assert!(lost.is_empty(), "{name}: {lost:?}");
        compared += names.len();
    }
    assert!(compared > 200, "only {compared} names");
}

/// Returns the lines of an outline without the number that each begins with, a macro's own left out.
fn without_places(outline: &str, own: &str) -> Vec<String> {
    let lines = outline.lines().filter(|line| !words(line).contains(own));
    lines.map(|line| line.split_once(' ').map_or(line, |(_, rest)| rest).to_owned()).collect()
}

#[test]
fn a_macro_on_a_line_of_its_own_changes_nothing_below_it() {
    for (name, text) in sources("c").iter().chain(&sources("cpp")) {
        let plain = without_places(&testing::outline_text(name, text, ""), "ORCHARD_BEGIN_DECLS");
        let below = format!("ORCHARD_BEGIN_DECLS\n\n{text}");
        let marked = without_places(&testing::outline_text(name, &below, ""), "ORCHARD_BEGIN_DECLS");
        assert_eq!(plain, marked, "{name}");
    }
}

/// Tells whether a declaration begins on a line: it opens with a word, and nothing above it is part of it.
fn begins(lines: &[&str], at: usize) -> bool {
    let line = lines[at].trim_start();
    let above = at.checked_sub(1).map_or("", |before| lines[before].trim_end());
    let opens = above.is_empty() || above.ends_with("*/") || above.ends_with([';', '{', '}']);
    // A type without a name shares the comment of what it is the type of, where nothing stands between; what is
    // declared in a statement has its head further behind.
    let has_no_head = ["struct {", "union {", "if "].iter().any(|words| line.starts_with(words));
    opens && line.starts_with(|c: char| c.is_ascii_lowercase()) && !line.contains("//") && !has_no_head
}

/// Changes one line after the other on which a declaration begins, and returns how many were changed; the outline must
/// stay the same, but for what begins with `ORCHARD`.
fn assert_unchanged_by(languages: &[&str], change: impl Fn(&str) -> Option<String>) -> usize {
    let mut changed = 0;
    for (name, text) in languages.iter().flat_map(|language| sources(language)) {
        let (name, text) = (&name, &text);
        let outline = testing::outline_text(name, text, "");
        // What stumbles as it stands may stumble otherwise.
        let stumbles = languages == C_FAMILY && bare(name, text).is_none();
        if stumbles || outline.contains("unparsed") {
            continue;
        }
        let plain = without_places(&outline, "ORCHARD");
        let lines: Vec<&str> = text.split_inclusive('\n').collect();
        for line in outline.lines() {
            let number = line.split(' ').next().and_then(|number| number.parse::<usize>().ok());
            let Some(at) = number.map(|number| number - 1).filter(|&at| begins(&lines, at)) else { continue };
            let Some(other) = change(lines[at]) else { continue };
            let with = [&lines[..at], &[other.as_str()], &lines[at + 1..]].concat();
            let marked = testing::outline_text(name, &with.concat(), "");
            assert_eq!(plain, without_places(&marked, "ORCHARD"), "{name}:{}: {other}", at + 1);
            changed += 1;
        }
    }
    changed
}

const C_FAMILY: &[&str] = &["c", "cpp"];

/// Puts a mark in front of a head, on a line of its own where it ends with one.
fn in_front(mark: &'static str) -> impl Fn(&str) -> Option<String> {
    move |line: &str| {
        let (indent, head) = line.split_at(line.len() - line.trim_start().len());
        let between = mark.strip_suffix('\n').map_or(" ", |_| indent);
        Some(format!("{indent}{mark}{between}{head}"))
    }
}

#[test]
fn attributes_and_annotations_change_nothing() {
    for (language, marks) in [
        ("java", ["@Orchard(\"x\")", "@Orchard\n"]),
        ("csharp", ["[Orchard(\"x\")]", "[Orchard]\n"]),
        ("kotlin", ["@Orchard(\"x\")", "@Orchard\n"]),
        ("php", ["#[Orchard(1)]", "#[Orchard]\n"]),
        ("rust", ["#[orchard(x)]", "#[orchard]\n"]),
        ("scala", ["@orchard(\"x\")", "@orchard\n"]),
        ("swift", ["@Orchard", "@Orchard\n"]),
    ] {
        for mark in marks {
            let heads = assert_unchanged_by(&[language], in_front(mark));
            assert!(heads > 30, "only {heads} heads in {language}");
        }
    }
}

#[test]
fn an_unknown_macro_in_front_of_a_head_changes_nothing() {
    let heads = assert_unchanged_by(C_FAMILY, in_front("ORCHARD_API"));
    assert!(heads > 100, "only {heads} heads");
    assert_unchanged_by(C_FAMILY, in_front("ORCHARD_DEPRECATED(\"use weigh\")"));
    assert_unchanged_by(C_FAMILY, in_front("ORCHARD_SINCE(1, 2)\n"));
}

#[test]
fn an_unknown_macro_behind_a_list_changes_nothing() {
    let behind = |line: &str| {
        let head = line.trim_end().strip_suffix(");")?;
        (!head.contains("#define")).then(|| format!("{head}) ORCHARD_NOTHROW ORCHARD_FORMAT(1, 2);\n"))
    };
    let heads = assert_unchanged_by(C_FAMILY, behind);
    assert!(heads > 50, "only {heads} heads");
}

/// Gives the first package of a Scala source a body, which holds all that follows; nothing where it has one.
fn with_package_body(text: &str) -> Option<String> {
    let mut packages = text.lines().filter(|line| line.starts_with("package "));
    match (packages.next(), packages.next()) {
        (None, _) => Some(format!("package wrapped {{ {}\n}}\n", text.trim_end())),
        (Some(line), None) if !line.ends_with(['{', ':']) => {
            Some(format!("{}\n}}\n", text.trim_end().replacen(line, &format!("{line} {{"), 1)))
        }
        _ => None,
    }
}

#[test]
fn a_package_with_a_body_loses_nothing() {
    let mut files = 0;
    for (name, text) in sources("scala") {
        let Some(wrapped) = with_package_body(&text) else { continue };
        assert_eq!(
            testing::outline_text(&name, &text, ""),
            testing::outline_text(&name, &wrapped, ""),
            "{name}"
        );
        files += 1;
    }
    assert!(files > 8, "only {files}");
}

/// Puts a blank behind every line but those that say that they go on, and empty ones.
fn with_blanks_behind(text: &str) -> String {
    let lines = text.split_inclusive('\n').map(|line| {
        let bare = line.trim_end_matches('\n');
        let kept = bare.is_empty() || bare.ends_with(['\\', '\r']);
        if kept { line.to_owned() } else { format!("{bare} {}", &line[bare.len()..]) }
    });
    lines.collect()
}

#[test]
fn blanks_behind_lines_and_a_missing_last_line_break_change_nothing() {
    let languages = [
        "c", "cpp", "csharp", "go", "java", "javascript", "kotlin", "lua", "php", "python", "ruby", "rust",
        "scala", "swift", "typescript",
    ];
    let mut files = 0;
    for (name, text) in languages.iter().flat_map(|language| sources(language)) {
        // Types over lines are told with their blanks.
        let outline = |text: &str| testing::outline_text(&name, text, "").replace(" \n", "\n");
        let plain = outline(&text);
        assert_eq!(plain, outline(&with_blanks_behind(&text)), "{name}: blanks");
        assert_eq!(plain, outline(text.trim_end()), "{name}: last line break");
        files += 1;
    }
    assert!(files > 300, "only {files} files");
}
