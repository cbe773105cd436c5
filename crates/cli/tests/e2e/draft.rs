//! `draft`: diffs, targets, writing.

use std::process::Command;

use crate::workshop::Workshop;

const SOURCE: &str = "\
/** A scale. */
public class Scale {
    public int weigh(double load) { return 1; }
    public void tare() {}
    public void tare(int load) {}
}
";

#[test]
fn the_default_is_a_diff_that_patch_takes() {
    let workshop = Workshop::with(&[("src/Scale.java", SOURCE)]);
    let ran = workshop.run(&["draft", "src"]);
    assert_eq!(ran.code, 0);
    assert!(ran.out.starts_with("--- a/src/Scale.java\n+++ b/src/Scale.java\n@@ "), "{}", ran.out);
    assert_eq!(workshop.read("src/Scale.java"), SOURCE.as_bytes(), "nothing is written");
    workshop.write("a.diff", ran.out.as_bytes());
    let applied =
        Command::new("git").args(["apply", "a.diff"]).current_dir(workshop.path()).status().unwrap();
    assert!(applied.success());
    let by_diff = workshop.read("src/Scale.java");
    workshop.write("src/Scale.java", SOURCE.as_bytes());
    assert_eq!(workshop.run(&["draft", "src", "--write"]).code, 0);
    assert_eq!(workshop.read("src/Scale.java"), by_diff);
}

#[test]
fn a_line_a_name_or_all_overloads() {
    let workshop = Workshop::with(&[("Scale.java", SOURCE)]);
    let weigh = "/**\n     * TODO: describe\n     *\n     * @param load TODO: describe\n     * @return TODO: describe\n     */\n";
    assert_eq!(workshop.run(&["draft", "--print", "Scale.java:3"]).out, weigh);
    assert_eq!(workshop.run(&["draft", "--print", "Scale.java#weigh"]).out, weigh);
    assert_eq!(workshop.run(&["draft", "--print", "Scale.java#Scale.weigh"]).out, weigh);
    let both = workshop.run(&["draft", "--print", "Scale.java#tare"]).out;
    assert_eq!(both.matches("/**").count(), 2, "{both}");
    let none = workshop.run(&["draft", "Scale.java#nothing"]);
    assert_eq!(none.code, 2);
    assert!(none.err.contains("no declaration there"), "{}", none.err);
}

#[test]
fn a_named_declaration_is_completed_as_if_all_were_owed() {
    let text =
        "/** A. */\npublic class A {\n    /** Weighs. */\n    public int weigh(int load) { return 1; }\n}\n";
    let workshop = Workshop::with(&[("A.java", text)]);
    assert_eq!(workshop.run(&["draft", "A.java"]).out, "");
    assert!(workshop.run(&["draft", "A.java#weigh"]).out.contains("+     * @param load TODO: describe\n"));
}

#[test]
fn only_missing_or_partial() {
    let text = "/** A. */\npublic class A {\n    /** Weighs. Well. */\n    public void weigh(int load) {}\n    public void tare() {}\n}\n";
    let workshop = Workshop::with(&[("A.java", text)]);
    let missing = workshop.run(&["draft", "A.java", "--only", "missing"]).out;
    assert!(missing.contains("/** TODO: describe */") && !missing.contains("@param"), "{missing}");
    let partial = workshop.run(&["draft", "A.java", "--only", "partial"]).out;
    assert!(partial.contains("@param load") && !partial.contains("/** TODO"), "{partial}");
}

#[test]
fn check_fails_when_there_is_something_to_draft() {
    let workshop = Workshop::with(&[("Scale.java", SOURCE)]);
    assert_eq!(workshop.run(&["draft", "--check", "."]).code, 1);
    assert_eq!(workshop.run(&["draft", "--write", "."]).code, 0);
    let settled = workshop.run(&["draft", "--check", "."]);
    assert_eq!((settled.code, settled.out.as_str()), (0, ""));
}

#[test]
fn the_placeholder_is_configured() {
    let workshop = Workshop::with(&[
        ("a.py", "def f(): pass\n"),
        ("vinequill.toml", "[draft]\nplaceholder = \"FILL IN\"\n"),
    ]);
    assert_eq!(workshop.run(&["draft", "--print", "a.py"]).out, "\"\"\"FILL IN\"\"\"\n");
    assert_eq!(workshop.run(&["draft", "--write", "a.py"]).code, 0);
    let ran = workshop.run(&["review", "--format", "short"]);
    assert!(ran.out.contains("text.placeholder"), "{}", ran.out);
    workshop.write("vinequill.toml", b"[draft]\nplaceholder = \"???\"\n");
    let wordless = workshop.run(&["draft", "a.py"]);
    assert_eq!(wordless.code, 2);
    assert!(wordless.err.contains("a placeholder needs a word"), "{}", wordless.err);
}

#[test]
fn a_character_that_the_encoding_lacks_refuses_the_edit() {
    let workshop = Workshop::with(&[("vinequill.toml", "[draft]\nplaceholder = \"\u{4e2d}\"\n")]);
    let before = b"public class Gr\xfcn {}\n";
    workshop.write("A.java", before);
    let ran = workshop.run(&["draft", "--write", "A.java"]);
    assert_eq!(ran.code, 3);
    assert!(ran.err.contains("characters that the file's encoding lacks"), "{}", ran.err);
    assert_eq!(workshop.read("A.java"), before);
}

#[cfg(unix)]
#[test]
fn mode_and_links_stay() {
    use std::os::unix::fs::PermissionsExt;
    let workshop = Workshop::new();
    let real = workshop.write("real/A.java", b"public class A {}\n");
    std::fs::set_permissions(&real, std::fs::Permissions::from_mode(0o751)).unwrap();
    std::os::unix::fs::symlink(&real, workshop.path().join("A.java")).unwrap();
    assert_eq!(workshop.run(&["draft", "--write", "A.java"]).code, 0);
    assert!(std::fs::symlink_metadata(workshop.path().join("A.java")).unwrap().is_symlink());
    assert_eq!(std::fs::metadata(&real).unwrap().permissions().mode() & 0o777, 0o751);
    assert!(workshop.read("real/A.java").starts_with(b"/** TODO"));
}

#[test]
fn carriage_returns_stay() {
    let workshop = Workshop::with(&[("a.py", "def f(x):\r\n\treturn x\r\n")]);
    assert_eq!(workshop.run(&["draft", "--write", "a.py"]).code, 0);
    let text = String::from_utf8(workshop.read("a.py")).unwrap();
    assert_eq!(text.matches('\n').count(), text.matches("\r\n").count(), "{text:?}");
    assert!(text.contains("\t\"\"\"TODO: describe\r\n"), "{text:?}");
}

const GAUGE: &str = "\
/** A gauge. */
public interface Gauge {
    /**
     * Reads the gauge.
     * Twice, where it is old.
     *
     * @param tank the tank's number
     * @return litres
     */
    int read(int tank);
}
";

const OLD_GAUGE: &str = "\
/** An old gauge. */
public class OldGauge implements Gauge {
    @Override
    public int read(int vat) {
        if (vat < 0) {
            throw new IllegalStateException();
        }
        return vat;
    }
}
";

#[test]
fn text_is_taken_over_from_what_is_overridden() {
    let workshop =
        Workshop::with(&[("vinequill.toml", ""), ("a/Gauge.java", GAUGE), ("b/OldGauge.java", OLD_GAUGE)]);
    let ran = workshop.run(&["draft", "--print", "b/OldGauge.java#read"]);
    let wanted = [
        "/**",
        "     * Reads the gauge.",
        "     * Twice, where it is old.",
        "     *",
        "     * @param vat the tank's number",
        "     * @return litres",
        "     * @throws IllegalStateException if {@code vat} is negative",
        "     */",
        "",
    ];
    assert_eq!(ran.out, wanted.join("\n"));
    let ran = workshop.run(&["draft", "--print", "--inherit", "mark", "b/OldGauge.java#read"]);
    assert_eq!(ran.out, "/** {@inheritDoc} */\n");
    let ran = workshop.run(&["draft", "--print", "--inherit", "none", "b/OldGauge.java#read"]);
    assert!(ran.out.contains("TODO: describe"), "{}", ran.out);
    // A tree asks nothing of overrides.
    assert_eq!(workshop.run(&["draft", "--check", "."]).code, 0);
    assert_eq!(workshop.run(&["draft", "--write", "b/OldGauge.java#read"]).code, 0);
    let written = String::from_utf8(workshop.read("b/OldGauge.java")).unwrap();
    assert!(written.contains("     * @param vat the tank's number\n"), "{written}");
}

#[test]
fn a_notation_without_a_mark_says_so() {
    let base = "class Gauge:\n    \"\"\"A gauge.\"\"\"\n\n    def read(self, tank):\n        \"\"\"Reads it.\n\n        \
                Args:\n            tank: its number\n        \"\"\"\n        return tank\n";
    let own = "from gauge import Gauge\n\n\nclass OldGauge(Gauge):\n    \"\"\"An old one.\"\"\"\n\n    def read(self, vat):\n        return vat\n";
    let workshop = Workshop::with(&[("vinequill.toml", ""), ("gauge.py", base), ("old.py", own)]);
    let ran = workshop.run(&["draft", "--inherit", "mark", "old.py#read"]);
    assert!(ran.err.contains("use --inherit copy"), "{}", ran.err);
    let ran = workshop.run(&["draft", "--print", "old.py#read"]);
    assert_eq!(
        ran.out,
        "\"\"\"Reads it.\n\n        Args:\n            vat: its number\n\n        Returns:\n            TODO: describe\n        \"\"\"\n"
    );
}

const HEADER: &str = "[header]\npattern = 'Copyright \\d{4} .+'\ntext = \"\"\"\nCopyright {year} Sallow Ridge\nAll rights reserved.\"\"\"\n";

#[test]
fn files_are_opened_with_header_and_module_comment() {
    let workshop = Workshop::with(&[
        ("vinequill.toml", HEADER),
        ("Scale.java", "package press;\r\n\r\n/** A scale. */\r\npublic class Scale {}\r\n"),
        ("must.py", "#!/usr/bin/env python3\n# -*- coding: utf-8 -*-\nimport sys\n"),
        ("gate.rs", "// Copyright 2020 Sallow Ridge\nfn open() {}\n"),
        ("till.php", "<?php\nfunction ring(): void {}\n"),
        ("route.go", "// Package route plans.\npackage route\n"),
        ("row.lua", "-- Copyright 2020 Sallow Ridge\n\nlocal M = {}\nreturn M\n"),
        ("tank.h", "/*\n * Copyright 1999 Sallow Ridge\n */\nvoid fill(void);\n"),
        ("empty.py", "\n"),
        ("levy.cbl", "       IDENTIFICATION DIVISION.\n       PROGRAM-ID. LEVY.\n"),
    ]);
    let year = {
        let ran = workshop.run(&["draft", "--print", "--file-header", "Scale.java"]);
        ran.out.split(' ').nth(2).unwrap().to_owned()
    };
    let ran = workshop.run(&["draft", "--write", "--file-header", "."]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    let read = |path: &str| String::from_utf8(workshop.read(path)).unwrap();
    let lines = format!("// Copyright {year} Sallow Ridge\n// All rights reserved.\n\n");
    assert_eq!(
        read("Scale.java"),
        format!("{lines}package press;\n\n/** A scale. */\npublic class Scale {{}}\n").replace('\n', "\r\n")
    );
    assert_eq!(
        read("must.py"),
        format!(
            "#!/usr/bin/env python3\n# -*- coding: utf-8 -*-\n{}\"\"\"TODO: describe\"\"\"\n\nimport sys\n",
            lines.replace("//", "#")
        )
    );
    assert_eq!(read("gate.rs"), "// Copyright 2020 Sallow Ridge\n\n//! TODO: describe\n\nfn open() {}\n");
    assert_eq!(read("till.php"), format!("<?php\n{lines}function ring(): void {{}}\n"));
    assert_eq!(read("route.go"), format!("{lines}// Package route plans.\npackage route\n"));
    assert!(read("row.lua").starts_with("-- Copyright 2020 Sallow Ridge\n\nlocal"));
    assert!(read("tank.h").starts_with("/*\n * Copyright 1999"));
    assert_eq!(read("empty.py"), format!("{}\n", lines.replace("//", "#")));
    let cobol =
        format!("      *> Copyright {year} Sallow Ridge\n      *> All rights reserved.\n\n       IDENT");
    assert!(read("levy.cbl").starts_with(&cobol), "{}", read("levy.cbl"));
    let again = workshop.run(&["draft", "--check", "--file-header", "."]);
    assert_eq!(again.code, 0, "{}", again.out);
    assert_eq!(
        workshop.run(&["review", "--rule", "file.header=error", "--rule", "*.missing=none", "."]).code,
        2
    );
    let review = workshop.run(&["review", "--format", "short", "--rule", "file.header=error"]);
    assert!(!review.out.contains("file.header"), "{}", review.out);
}

#[test]
fn a_header_that_would_be_asked_for_again_is_refused() {
    let config = "[header]\npattern = 'Copyright \\d{4} .+'\ntext = \"By Sallow Ridge\"\n";
    let workshop = Workshop::with(&[("vinequill.toml", config), ("a.py", "x = 1\n")]);
    let ran = workshop.run(&["draft", "--file-header", "."]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("`header.text`, with a year put in, reads `By Sallow Ridge`"), "{}", ran.err);
    let workshop = Workshop::with(&[("a.py", "x = 1\n")]);
    let ran = workshop.run(&["draft", "--file-header", "."]);
    assert!(ran.err.contains("no `text` under `[header]`"), "{}", ran.err);
    assert!(ran.out.contains("+\"\"\"TODO: describe\"\"\""), "{}", ran.out);
}

const TEMPLATE: &str = "[draft]\nalign = true\ntags = { author = \"{user}\", since = \"2.1 ({year})\" }\n\n[languages.java]\n\
tag-order = [\"since\", \"throws\", \"param\", \"return\", \"author\"]\n\
required-tags = { class = [\"author\", \"since\"], method = [\"since\", \"ticket\"] }\n";

#[test]
fn drafts_follow_the_configured_template() {
    let source = "public class Scale {\n    public int weigh(int load, int crate) {\n        \
                  if (load < 0) throw new IllegalStateException();\n        return load;\n    }\n}\n";
    let workshop = Workshop::with(&[("vinequill.toml", TEMPLATE), ("Scale.java", source)]);
    workshop.write(".git/config", b"[user]\n\tname = Ada of the Ridge\n");
    let ran = workshop.run(&["draft", "--write", "."]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    let written = String::from_utf8(workshop.read("Scale.java")).unwrap();
    let year = written.split("2.1 (").nth(1).and_then(|rest| rest.split(')').next()).unwrap();
    assert_eq!(year.len(), 4);
    let wanted = [
        "/**",
        " * TODO: describe",
        " *",
        " * @since 2.1 (YEAR)",
        " * @author Ada of the Ridge",
        " */",
        "public class Scale {",
        "    /**",
        "     * TODO: describe",
        "     *",
        "     * @since 2.1 (YEAR)",
        "     * @throws IllegalStateException if {@code load} is negative",
        "     * @param load  TODO: describe",
        "     * @param crate TODO: describe",
        "     * @return TODO: describe",
        "     * @ticket TODO: describe",
        "     */",
    ];
    let found = written.replace(year, "YEAR");
    assert!(found.starts_with(&wanted.join("\n")), "{found}");
    let ran = workshop.run(&["review", "--format", "short", "--rule", "tag.*=warning"]);
    assert!(!ran.out.contains("tag.order") && !ran.out.contains("tag.required"), "{}", ran.out);
    assert_eq!(workshop.run(&["draft", "--check", "."]).code, 0);
}

#[test]
fn what_the_code_deprecates_the_draft_says() {
    let workshop = Workshop::with(&[
        (
            "Scale.java",
            "/** Stands at the gate. */\npublic class Scale {\n    @Deprecated\n    public int tare(int crate) { return crate; }\n}\n",
        ),
        (
            "must.py",
            "import warnings\n\n\n@warnings.deprecated(\"use net\")\ndef weigh(load):\n    return load\n",
        ),
        ("tank.hpp", "[[deprecated(\"use fill\")]] void pour(int tank);\n"),
    ]);
    assert_eq!(workshop.run(&["draft", "--write", "."]).code, 0);
    let read = |path: &str| String::from_utf8(workshop.read(path)).unwrap();
    assert!(
        read("Scale.java")
            .contains("     * @return TODO: describe\n     * @deprecated TODO: describe\n     */")
    );
    let docstring = "    \"\"\"TODO: describe\n\n    Deprecated: TODO: describe\n\n    Args:\n        load: TODO: describe\n";
    assert!(read("must.py").contains(docstring), "{}", read("must.py"));
    assert!(read("tank.hpp").contains("@deprecated TODO: describe"), "{}", read("tank.hpp"));
    let ran = workshop.run(&["review", "--format", "short"]);
    assert!(ran.out.lines().all(|line| line.contains("text.placeholder")), "{}", ran.out);
    assert_eq!(workshop.run(&["draft", "--check", "."]).code, 0);
}

#[test]
fn what_is_added_is_laid_out_like_what_is_there() {
    let php = "<?php\n/**\n * Weighs.\n *\n * @param string|null $tag  of the crate\n * @param int         $load in kg\n */\nfunction weigh(?string $tag, int $load, array $more) {}\n";
    let js = "/**\n * Weighs.\n *\n * @param {number} load - in kg\n */\nexport function weigh(load, tare) { print(load); }\n";
    let workshop = Workshop::with(&[("a.php", php), ("a.js", js)]);
    workshop.run(&["draft", "--write", "a.php", "a.js"]);
    let read = |path: &str| String::from_utf8(workshop.read(path)).unwrap();
    assert!(read("a.php").contains("\n * @param array       $more TODO: describe\n"), "{}", read("a.php"));
    assert!(read("a.js").contains("\n * @param {*} tare - TODO: describe\n"), "{}", read("a.js"));
}

#[test]
fn a_comment_is_told_what_the_code_says_is_deprecated() {
    let java = "/** A scale. */\npublic class Scale {\n    /** Weighs. */\n    @Deprecated\n    public void weigh() {}\n}\n";
    let workshop = Workshop::with(&[("Scale.java", java)]);
    let ran = workshop.run(&["draft", "Scale.java"]);
    assert!(ran.out.contains("+     * @deprecated TODO: describe\n"), "{}", ran.out);
    workshop.run(&["draft", "--write", "Scale.java"]);
    let ran = workshop.run(&["review", "--format", "short", "--rule", "leftover.todo=warning", "Scale.java"]);
    let told: Vec<&str> = ran.out.lines().filter(|line| !line.contains("summary.echo")).collect();
    assert_eq!(
        told,
        ["Scale.java:6:20: warning text.placeholder: what `deprecated` says is a placeholder; say it"]
    );
    assert_eq!(workshop.run(&["draft", "--check", "Scale.java"]).code, 0);
}

#[test]
fn what_is_written_above_already_is_not_written_again() {
    let method =
        |n: u32| format!("    // Weighs crate {n} of the harvest.\n    public void weigh{n}() {{}}\n");
    let few = format!("/** A. */\npublic class A {{\n{}    public void tare() {{}}\n}}\n", method(1));
    let many = format!("/** B. */\npublic class B {{\n{}}}\n", (1..=5).map(method).collect::<String>());
    let workshop = Workshop::with(&[("A.java", &few), ("B.java", &many)]);
    let ran = workshop.run(&["draft", "A.java", "B.java"]);
    assert!(ran.out.contains("+++ b/A.java") && !ran.out.contains("B.java"), "{}", ran.out);
    assert_eq!(ran.out.matches("\n+    /**").count(), 1, "{}", ran.out);
    let why = "the comment above it reads like its description; make it one (`mend --rule comment.ordinary`)";
    assert!(ran.err.contains(&format!("A.java:4: `weigh1` was left alone: {why}\n")), "{}", ran.err);
    assert!(
        ran.err.contains(&format!("B.java:4: 5 declarations from here on were left alone: of each, {why}\n")),
        "{}",
        ran.err
    );
    // Whoever names it gets it.
    assert!(workshop.run(&["draft", "--print", "A.java#weigh1"]).out.starts_with("/**"));
}

#[test]
fn a_file_that_shows_no_habit_follows_its_folder() {
    let told = "def weigh(load):\n    '''\n    Weigh a crate.\n\n    Args:\n        load: what it weighs in kg\n    '''\n    print(load)\n";
    let bare = "def press(vat):\n    print(vat)\n";
    let workshop = Workshop::with(&[
        ("vinequill.toml", ""),
        ("press/told.py", told),
        ("press/bare.py", bare),
        ("press/deep/bare.py", bare),
        (
            "cellar/told.py",
            "def fill(vat):\n    \"\"\"Fill a vat.\n\n    @param vat: its number\n    \"\"\"\n    print(vat)\n",
        ),
        ("cellar/bare.py", bare),
    ]);
    let drafted = "'''\n    TODO: describe\n\n    Args:\n        vat: TODO: describe\n    '''\n";
    assert_eq!(workshop.run(&["draft", "--print", "press/bare.py"]).out, drafted);
    assert_eq!(workshop.run(&["draft", "--print", "press/deep/bare.py"]).out, drafted);
    let cellar = workshop.run(&["draft", "--print", "cellar/bare.py"]).out;
    assert_eq!(cellar, "\"\"\"TODO: describe\n\n    @param vat: TODO: describe\n    \"\"\"\n");
    workshop.write("vinequill.toml", b"[languages.python]\nnotation = \"rest\"\n");
    let configured = workshop.run(&["draft", "--print", "press/bare.py"]).out;
    assert!(configured.contains("    :param vat: TODO: describe\n"), "{configured}");
}

#[test]
fn a_language_has_a_template_of_its_own() {
    let config = "[draft]\nplaceholder = \"FILL IN\"\ntags = { since = \"2.1\", author = \"all\" }\n\n\
                  [languages.java]\nrequired-tags = { method = [\"since\", \"author\"] }\n\n\
                  [languages.java.draft]\nplaceholder = \"to say\"\nalign = true\nblank-line = false\n\
                  tags = { since = \"3.0\" }\n";
    let workshop = Workshop::with(&[
        ("vinequill.toml", config),
        ("Scale.java", "public class Scale {\n    public void weigh(int load, int crate) {}\n}\n"),
        ("scale.py", "def weigh(load):\n    print(load)\n"),
    ]);
    let java = workshop.run(&["draft", "--print", "Scale.java:2"]).out;
    let wanted = "/**\n     * to say\n     * @param load  to say\n     * @param crate to say\n     * @since 3.0\n     * @author all\n     */\n";
    assert_eq!(java, wanted);
    let python = workshop.run(&["draft", "--print", "scale.py"]).out;
    assert_eq!(python, "\"\"\"FILL IN\n\n    Args:\n        load: FILL IN\n    \"\"\"\n");
    workshop.write("vinequill.toml", b"[languages.java.draft]\nplaceholder = \"???\"\n");
    let refused = workshop.run(&["draft", "."]);
    assert_eq!(refused.code, 2);
    assert!(refused.err.contains("needs a word"), "{}", refused.err);
}
