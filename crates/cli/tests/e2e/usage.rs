//! Options, help, explanations, configuration mistakes.

use crate::workshop::{FAULTY, Workshop};

#[test]
fn wrong_options_are_exit_2_and_help_is_0() {
    let workshop = Workshop::new();
    assert_eq!(workshop.run(&["review", "--no-such-option"]).code, 2);
    assert_eq!(workshop.run(&["nonsense"]).code, 2);
    let help = workshop.run(&["--help"]);
    assert_eq!(help.code, 0);
    for command in ["review", "coverage", "draft", "outline", "rules", "languages", "init", "demo"] {
        assert!(help.out.contains(command), "{command}");
        assert_eq!(workshop.run(&[command, "--help"]).code, 0, "{command}");
    }
}

#[test]
fn configuration_mistakes_name_line_and_nearest_key() {
    for (config, wanted) in [
        ("surfce = \"public\"\n", "vinequill.toml: line 1: unknown key `surfce`; did you mean `surface`?"),
        ("\nsurface = \"publc\"\n", "line 2: unknown value `publc`; did you mean `public`?"),
        (
            "[rules]\n\"param.mising\" = \"note\"\n",
            "no rule is named `param.mising`; did you mean `param.missing`?",
        ),
        ("[languages.jav]\nsurface = \"public\"\n", "no language is named `jav`; did you mean `java`?"),
        (
            "[languages.python]\nnotation = \"tags\"\n",
            "`tags` is no notation of Python; it takes `google`, `numpy`, `rest`, `epytext`",
        ),
        ("paths = [\n", "line"),
    ] {
        let ran = Workshop::with(&[("vinequill.toml", config), ("Scale.java", FAULTY)]).run(&["review"]);
        assert_eq!(ran.code, 2, "{config}");
        assert!(ran.err.contains(wanted), "{}", ran.err);
    }
}

#[test]
fn option_mistakes_name_what_would_be_right() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    for (arguments, wanted) in [
        (["--rule", "param.mising=note"], "did you mean `param.missing`?"),
        (["--rule", "param.missing=high"], "a level is one of error, warning, note, none"),
        (["--surface", "all"], "public, protected, package, private"),
        (["--demand", "some"], "always, beyond-summary, once-started, never"),
    ] {
        let ran = workshop.run(&["review", arguments[0], arguments[1]]);
        assert_eq!(ran.code, 2);
        assert!(ran.err.contains(wanted), "{}", ran.err);
    }
}

#[test]
fn rules_are_listed_and_explained() {
    let workshop = Workshop::new();
    let list = workshop.run(&["rules"]).out;
    assert!(list.contains("  param.missing        warning  a parameter has no entry"), "{list}");
    let one = workshop.run(&["rules", "param.unknown"]).out;
    assert!(one.contains("Fires when an entry names no parameter") && one.contains("java (fires)"), "{one}");
    let wrong = workshop.run(&["rules", "param.unknwn"]);
    assert_eq!(wrong.code, 2);
    assert!(wrong.err.contains("did you mean `param.unknown`?"), "{}", wrong.err);
    assert!(workshop.run(&["rules", "--words"]).out.contains("excuse "));
}

#[test]
fn languages_are_listed() {
    let out = Workshop::new().run(&["languages"]).out;
    assert!(
        out.contains("python  Python") && out.contains("google (default), numpy, rest, epytext"),
        "{out}"
    );
}

#[test]
fn init_writes_a_configuration_once() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    assert_eq!(workshop.run(&["init"]).code, 0);
    assert_eq!(workshop.run(&["review"]).code, 1, "the template changes nothing");
    let again = workshop.run(&["init"]);
    assert_eq!(again.code, 2);
    assert!(again.err.contains("is there already"), "{}", again.err);
}

#[test]
fn colour_is_there_when_asked_for() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    assert!(workshop.run(&["review", "--color", "always"]).out.contains("\u{1b}["));
    assert!(!workshop.run(&["review", "--color", "never"]).out.contains('\u{1b}'));
}

#[test]
fn a_closed_pipe_ends_it_quietly() {
    let workshop = Workshop::with(&[("Scale.java", &FAULTY.repeat(400))]);
    let command = format!("{} review --no-cache --format short | head -1", env!("CARGO_BIN_EXE_vinequill"));
    let output = std::process::Command::new("sh")
        .args(["-c", &command])
        .current_dir(workshop.path())
        .output()
        .unwrap();
    assert_eq!(String::from_utf8_lossy(&output.stderr), "");
}

#[test]
fn every_command_that_reads_source_takes_standard_input() {
    let workshop = Workshop::new();
    let input = "/** A. */\npublic class A {\n    public void weigh(int load) {}\n}\n".as_bytes();
    let stdin = ["--stdin-path", "src/A.java"];
    let coverage = workshop.run_with_input(&["coverage", "--format", "json", stdin[0], stdin[1]], input);
    assert!(coverage.out.contains("\"declared\": 2"), "{}{}", coverage.out, coverage.err);
    let outline = workshop.run_with_input(&["outline", stdin[0], stdin[1]], input);
    assert!(outline.out.contains("weigh(load: int)"), "{}{}", outline.out, outline.err);
    let draft = workshop.run_with_input(&["draft", stdin[0], stdin[1]], input);
    assert!(draft.out.contains("+     * @param load TODO: describe\n"), "{}{}", draft.out, draft.err);
    let one = workshop.run_with_input(&["draft", "--print", ":3", stdin[0], stdin[1]], input);
    assert!(one.out.starts_with("/**\n     * TODO: describe\n"), "{}{}", one.out, one.err);
    assert_eq!(workshop.run_with_input(&["draft", "--write", stdin[0], stdin[1]], input).code, 2);
    assert_eq!(workshop.run_with_input(&["review", "--stdin-path", "a.xyz"], input).code, 2);
    assert_eq!(workshop.run_with_input(&["review", stdin[0], stdin[1]], b"\x00\x01").code, 2);
}

#[test]
fn shells_and_the_manual_know_every_command() {
    let workshop = Workshop::new();
    let man = workshop.run(&["man"]);
    assert_eq!(man.code, 0);
    for shell in ["bash", "zsh", "fish", "elvish", "powershell"] {
        let ran = workshop.run(&["completions", shell]);
        assert_eq!(ran.code, 0, "{shell}");
        for command in ["review", "coverage", "draft", "trend", "accept", "merge"] {
            assert!(ran.out.contains(command), "{shell} {command}");
            assert!(man.out.contains(command), "{command}");
        }
    }
    assert_eq!(workshop.run(&["completions", "nutmeg"]).code, 2);
}
