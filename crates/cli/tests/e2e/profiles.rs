//! Languages without a grammar: profiles in the configuration, and those that come with the program.

use crate::workshop::Workshop;

/// The page that teaches writing a profile; what it prints must come out.
const PAGE: &str = include_str!("../../../../docs/profiles.md");

/// Returns the last block of the page in a language.
fn block(language: &str) -> String {
    let start = PAGE.rfind(&format!("```{language}\n")).unwrap() + language.len() + 4;
    let end = PAGE[start..].find("```").unwrap();
    PAGE[start..start + end].to_owned()
}

#[test]
fn the_page_on_profiles_says_what_comes_out() {
    let workshop = Workshop::with(&[("brew.mum", &block("mumble")), ("vinequill.toml", &block("toml"))]);
    let ran = workshop.run(&["review", "--format", "short", "brew.mum"]);
    assert_eq!(ran.out, block("text"), "{}", ran.err);
    assert_eq!(ran.code, 1);
}

#[test]
fn every_key_of_a_profile_stands_on_its_page() {
    let schema: serde_json::Value =
        serde_json::from_str(include_str!("../../../../docs/schema/vinequill.toml.json")).unwrap();
    let keys = schema["$defs"]["ProfileConfig"]["properties"].as_object().unwrap();
    let missing: Vec<_> = keys.keys().filter(|key| !PAGE.contains(&format!("`{key}`"))).collect();
    assert!(missing.is_empty(), "{missing:?}");
    assert!(keys.len() > 25, "{}", keys.len());
}

#[test]
fn a_draft_in_a_box_keeps_the_frame_and_is_done_once() {
    let workshop = Workshop::with(&[("brew.mum", &block("mumble")), ("vinequill.toml", &block("toml"))]);
    assert_eq!(workshop.run(&["draft", "--write", "brew.mum"]).code, 0);
    let text = String::from_utf8(workshop.read("brew.mum")).unwrap();
    assert!(text.contains("--|          mode - how hard                 |\n--| Output:                                  |\n--|   TODO: describe                         |\n--| History"), "{text}");
    assert!(text.contains("\n--| Purpose: TODO: describe\nrite rinse:\n"), "{text}");
    assert_eq!(workshop.run(&["draft", "--check", "brew.mum"]).code, 0);
}

#[test]
fn explain_shows_each_line_beside_what_it_matched() {
    let workshop = Workshop::with(&[("brew.mum", &block("mumble")), ("vinequill.toml", &block("toml"))]);
    let ran = workshop.run(&["outline", "--explain", "brew.mum"]);
    let line = |number: &str| {
        let found = ran.out.lines().find(|line| line.trim_start().starts_with(number));
        found.unwrap_or_else(|| panic!("{}", ran.out)).split_whitespace().collect::<Vec<_>>().join(" ")
    };
    assert!(line("2 ").ends_with('…'), "{}", ran.out);
    assert!(line("7 ").ends_with("function press; declaration 1; parameter `crates`; parameter `mood`"));
    assert!(line("9 ").ends_with("curse Overflow raises `Overflow`"));
    assert!(line("10 ").ends_with("yield 40 returns-value"));
    assert!(line("11 ").ends_with("done end"));
    // A language with a grammar has its declarations and comments shown.
    let java = Workshop::with(&[("A.java", "/** A. */\nclass A {\n  // x\n  int b() { return 1; }\n}\n")]);
    let ran = java.run(&["outline", "--explain", "A.java"]);
    assert!(ran.out.contains("comment of A\n") && ran.out.contains("method A.b\n"), "{}", ran.out);
}

/// What is wrong with a profile, after five sound lines, and what is said of it.
const MISTAKES: &[(&str, &str)] = &[
    ("declaration = '^rite (?<name>\\w+'", "line 6: `^rite (?<name>\\w+` is no pattern: unclosed group"),
    ("declaration = '^rite'", "line 6: `^rite` says no name; put one in `(?<name>…)`"),
    ("declaration = ['^(?<name>a)',\n  '(?<name>b)*']", "line 7: `(?<name>b)*` matches where nothing stands"),
    ("declaration = { patern = 'a' }", "line 6: unknown key `patern`; did you mean `pattern`?"),
    ("declaration = { pattern = '^(?<name>a)', kind = 'rite' }", "line 6: `rite` is no kind;"),
    ("declaration = []", "line 6: a profile needs a pattern of its declarations"),
    (
        "declaration = '^(?<name>a)'\nnotation = 'tag'",
        "line 7: no notation is named `tag`; did you mean `tags`?",
    ),
    (
        "declaration = '^(?<name>a)'\nnotation = 'labels'",
        "line 7: the notation `labels` needs a table `labels`",
    ),
    ("declaration = '^(?<name>a)'\ndoc = ['##']", "line 7: `##` opens no comment"),
    (
        "declaration = '^(?<name>a)'\ndoc = [['--', '--']]",
        "line 7: a comment that opens with `--` ends with its line",
    ),
    ("declaration = '^(?<name>a)'\ndoc-at = 'abov'", "line 7: unknown value `abov`; did you mean `above`?"),
    ("declaration = '^(?<name>a)'\ndoc-at = []", "line 7: `doc-at` needs"),
    ("declaration = '^(?<name>a)'\ncolumns = { from = 8, to = 7 }", "line 7: `columns` go from 8 to 7"),
    ("declaration = '^(?<name>a)'\nstrings = ['<<']", "line 7: a mark of strings is one character"),
    ("declaration = '^(?<name>a)'\nkinds = { a = 'b' }", "line 7: `b` is no kind"),
    ("declaration = '^(?<name>a)'\nline-comment = ['']", "line 7: "),
    ("declaration = '^(?<name>a)'\nborders = '|'", "line 7: unknown key `borders`; did you mean `border`?"),
    (
        "declaration = '^(?<name>a)(?<parameters>.*)'\n[[profiles.examples]]\nsource = 'a b,c'\nname = 'a'\nparameters = ['b']",
        "line 8: example 1 gives `a` the parameters (b, c), not (b)",
    ),
    (
        "declaration = '^(?<name>a)'\n[[profiles.examples]]\nsource = 'b'\nname = 'a'",
        "line 8: example 1 declares nothing, not `a`",
    ),
    (
        "declaration = '^(?<name>a)'\nloose = '^[ab]'\n[[profiles.examples]]\nsource = \"a\\nb\"\nname = 'a'",
        "line 9: example 1 has something in its line 2 that is not understood",
    ),
    (
        "declaration = '^(?<name>a)'\n[[profiles]]\nname = 'mumble'\nendings = '.m'\nblock-comment = [['{', '}']]\ndeclaration = '^(?<name>a)'",
        "line 8: there are two profiles named `mumble`",
    ),
];

#[test]
fn a_mistake_in_a_profile_is_told_by_its_line_and_reason() {
    let head = "surface = \"public\"\n[[profiles]]\nname = \"mumble\"\nendings = [\".mum\"]\n";
    for (text, said) in MISTAKES {
        let comment = if text.contains("line-comment") { "\n" } else { "line-comment = [\"--\"]\n" };
        let workshop = Workshop::with(&[("vinequill.toml", &format!("{head}{comment}{text}\n"))]);
        for command in [&["review", "."][..], &["languages"]] {
            let ran = workshop.run(command);
            assert_eq!(ran.code, 2, "{text}: {}", ran.out);
            assert!(ran.err.contains(&format!("vinequill.toml: {said}")), "{text}\n{}", ran.err);
            assert_eq!(ran.err.matches("line ").count(), said.matches("line ").count().max(1), "{}", ran.err);
        }
    }
}

#[test]
fn languages_lists_profiles_with_the_rest() {
    let workshop = Workshop::with(&[("vinequill.toml", &block("toml"))]);
    let ran = workshop.run(&["languages"]);
    for shown in
        ["mumble  Mumble\n  files      .mum\n", "cobol  COBOL\n", "dbl  DBL\n", "sas  SAS\n", "java  Java\n"]
    {
        assert!(ran.out.contains(shown), "{shown}: {}", ran.out);
    }
    assert!(!workshop.run(&["languages", "--no-config"]).out.contains("mumble"));
    let narrowed = workshop.run(&["review", "--language", "mumbel", "."]);
    assert!(narrowed.code == 2 && narrowed.err.contains("did you mean `mumble`?"), "{}", narrowed.err);
}

#[test]
fn a_profile_may_take_the_place_of_a_built_in_one_but_not_of_a_grammar() {
    let profile = |name: &str| {
        format!(
            "[[profiles]]\nname = '{name}'\nendings = '.sas'\nline-comment = ['*']\ndeclaration = '^proc (?<name>\\w+)'\n"
        )
    };
    let workshop =
        Workshop::with(&[("a.sas", "proc print;\n%macro b; %mend;\n"), ("vinequill.toml", &profile("sas"))]);
    let ran = workshop.run(&["review", "--format", "short", "."]);
    assert!(ran.out.contains("function `print`") && !ran.out.contains("macro `b`"), "{}", ran.out);
    workshop.write("vinequill.toml", profile("java").as_bytes());
    let ran = workshop.run(&["review", "."]);
    assert!(ran.code == 2 && ran.err.contains("a profile is named `java`"), "{}", ran.err);
}

#[test]
fn old_sources_keep_their_encoding_their_columns_and_their_endings_in_capitals() {
    let mut cobol =
        b"000100* Z\xe4hlt die Kisten.\r\n000200 IDENTIFICATION DIVISION.\r\n000300 PROGRAM-ID. KISTEN.\r\n"
            .to_vec();
    cobol.extend(b"000400 PROCEDURE DIVISION.\r\n000500 ERSTE.\r\n000600     GOBACK.\r\n");
    let workshop = Workshop::new();
    workshop.write("OLD/KISTEN.CBL", &cobol);
    let ran = workshop.run(&["draft", "--surface", "private", "--write", "."]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    let text = workshop.read("OLD/KISTEN.CBL");
    assert!(text.starts_with(b"000100* Z\xe4hlt die Kisten.\r\n"));
    let drafted = b"      *> TODO: describe\r\n000500 ERSTE.\r\n";
    assert!(text.windows(drafted.len()).any(|part| part == drafted), "{}", String::from_utf8_lossy(&text));
    let longest = text.split(|&byte| byte == b'\n').map(<[u8]>::len).max();
    assert!(longest <= Some(73), "{longest:?}");
}

#[test]
fn a_long_placeholder_stays_in_the_columns_of_fixed_format() {
    let words =
        "TODO: say in a sentence what this does, for whom, and which files it must find when it is run";
    let workshop = Workshop::with(&[
        (
            "a.cob",
            "       IDENTIFICATION DIVISION.\n       PROGRAM-ID. A.\n       PROCEDURE DIVISION.\n           GOBACK.\n",
        ),
        ("vinequill.toml", &format!("[draft]\nplaceholder = \"{words}\"\n")),
    ]);
    assert_eq!(workshop.run(&["draft", "--write", "a.cob"]).code, 0);
    let text = String::from_utf8(workshop.read("a.cob")).unwrap();
    assert!(
        text.starts_with(
            "      *> TODO: say in a sentence what this does, for whom, and which\n      *> files"
        ),
        "{text}"
    );
    assert!(text.lines().all(|line| line.len() <= 72), "{text}");
    let again = workshop.run(&["review", "--format", "short", "a.cob"]);
    assert!(again.out.contains("text.placeholder"), "{}", again.out);
}
