//! What is no clean source: a clear message, the exit code that is documented, and never a panic.

use crate::workshop::{CLEAN, FAULTY, Workshop};

#[test]
fn a_missing_path_is_wrong_usage() {
    let ran = Workshop::new().run(&["review", "nowhere.java"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("nowhere.java: there is no such file or folder"), "{}", ran.err);
}

#[test]
fn a_binary_file_is_told_and_the_rest_is_done() {
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    workshop.write("Binary.java", b"\x7fELF\x00\x01\x02\x00");
    let ran = workshop.run(&["review", "--format", "short"]);
    assert_eq!(ran.code, 3);
    assert!(ran.err.contains("Binary.java: this is a binary file"), "{}", ran.err);
    assert!(ran.out.contains("param.unknown"), "{}", ran.out);
}

#[test]
fn invalid_utf8_is_read_as_windows_1252() {
    let workshop = Workshop::new();
    let text: Vec<u8> = FAULTY
        .replace("A scale.", "Eine gro~e Waage.")
        .bytes()
        .map(|b| if b == b'~' { 0xDF } else { b })
        .collect();
    workshop.write("Scale.java", &text);
    let ran = workshop.run(&["review", "--format", "json"]);
    assert_eq!(ran.code, 1, "{}", ran.err);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    let start = usize::try_from(value["findings"][0]["start"].as_u64().unwrap()).unwrap();
    assert_eq!(&text[start..start + 4], b"laod", "offsets are those of the file's own bytes");
}

#[test]
fn utf16_is_read_by_its_mark_and_written_back_as_it_was() {
    let workshop = Workshop::new();
    let text = "public class A {}\r\n";
    let bytes: Vec<u8> =
        [0xFF, 0xFE].into_iter().chain(text.encode_utf16().flat_map(u16::to_le_bytes)).collect();
    workshop.write("A.java", &bytes);
    assert_eq!(workshop.run(&["review", "--format", "short"]).code, 1);
    assert_eq!(workshop.run(&["draft", "A.java", "--write"]).code, 0);
    let wanted = format!("/** TODO: describe */\r\n{text}");
    let wanted: Vec<u8> =
        [0xFF, 0xFE].into_iter().chain(wanted.encode_utf16().flat_map(u16::to_le_bytes)).collect();
    assert_eq!(workshop.read("A.java"), wanted);
}

#[test]
fn a_byte_order_mark_stays_and_offsets_count_it() {
    let workshop = Workshop::new();
    workshop.write("Scale.java", format!("\u{feff}{FAULTY}").as_bytes());
    let ran = workshop.run(&["review", "--format", "json"]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(value["findings"][0]["start"], 92);
    assert_eq!(value["findings"][0]["column"], 15);
}

#[test]
fn an_empty_file_is_nothing_to_complain_of() {
    let workshop = Workshop::with(&[("a.py", ""), ("B.java", ""), ("c.cs", "\n")]);
    let ran = workshop.run(&["review"]);
    assert_eq!((ran.code, ran.err.as_str()), (0, ""));
}

#[test]
fn a_folder_without_source_says_so() {
    let ran = Workshop::with(&[("notes.xyz", "a"), ("more.xyz", "b")]).run(&["review"]);
    assert_eq!(ran.code, 0);
    assert!(ran.err.contains("nothing to review") && ran.err.contains("2 `.xyz`"), "{}", ran.err);
}

#[test]
fn a_file_of_fifty_megabytes_is_left_unread_with_the_way_out() {
    let workshop = Workshop::with(&[("Scale.java", CLEAN)]);
    workshop.write("Large.java", &vec![b'a'; 50_000_000]);
    let ran = workshop.run(&["review"]);
    assert_eq!(ran.code, 3);
    assert!(ran.err.contains("Large.java: larger than 8000000 bytes; raise `max-file-size`"), "{}", ran.err);
    assert!(ran.out.contains("2 declarations in 1 file"), "{}", ran.out);
}

#[cfg(unix)]
#[test]
fn a_loop_of_folders_ends() {
    let workshop = Workshop::with(&[("a/Scale.java", FAULTY)]);
    std::os::unix::fs::symlink(workshop.path().join("a"), workshop.path().join("a/again")).unwrap();
    let ran = workshop.run(&["review", "--format", "short"]);
    assert_eq!((ran.code, ran.out.lines().count()), (1, 1), "{}", ran.err);
}

#[cfg(unix)]
#[test]
fn an_unreadable_file_is_told_and_the_rest_is_done() {
    use std::os::unix::fs::PermissionsExt;
    let workshop = Workshop::with(&[("Scale.java", FAULTY)]);
    // A link to nowhere cannot be read by anybody, the superuser included.
    std::os::unix::fs::symlink("/nowhere/at/all", workshop.path().join("Gone.java")).unwrap();
    let locked = workshop.write("Locked.java", FAULTY.as_bytes());
    std::fs::set_permissions(&locked, std::fs::Permissions::from_mode(0o000)).unwrap();
    let readable = std::fs::read(&locked).is_ok();
    let ran = workshop.run(&["review", "--format", "short", "Scale.java", "Locked.java", "Gone.java"]);
    assert!(ran.out.contains("Scale.java:6:15"), "{}{}", ran.out, ran.err);
    if !readable {
        assert_eq!(ran.code, 3);
        assert!(ran.err.contains("Locked.java"), "{}", ran.err);
    }
}

#[test]
fn fifty_thousand_levels_deep() {
    let depth = 50_000;
    let java = format!("class A {{ int a = {}1{}; }}\n", "(".repeat(depth), ")".repeat(depth));
    let blocks = format!("class B {{ void f() {{ {} {} }} }}\n", "{".repeat(depth), "}".repeat(depth));
    let classes = "class C {".repeat(2_000) + &"}".repeat(2_000);
    let python = format!("x = {}{}\n", "[".repeat(depth), "]".repeat(depth));
    let csharp = format!("class D {{ int a = {}1{}; }}\n", "-(".repeat(depth), ")".repeat(depth));
    let workshop = Workshop::with(&[
        ("A.java", &java),
        ("B.java", &blocks),
        ("C.java", &classes),
        ("x.py", &python),
        ("D.cs", &csharp),
    ]);
    let ran = workshop.run(&["review", "--format", "short", "--surface", "private"]);
    assert!((0..=3).contains(&ran.code) && !ran.err.contains("panicked"), "{} {}", ran.code, ran.err);
}

#[test]
fn text_that_is_mostly_not_understood_is_exit_3() {
    let ran = Workshop::with(&[("A.java", "public class A { ((( %% ??? ]]] }} not java at all\n")])
        .run(&["review"]);
    assert_eq!(ran.code, 3);
    assert!(ran.err.contains("was not understood, more than `max-unparsed` allows"), "{}", ran.err);
}

#[test]
fn the_configured_encoding_is_that_of_old_files_and_of_what_is_written() {
    // "時" in Shift JIS ends with a byte that is no letter of its own.
    let source = b"// \x8e\x9e\nclass A {\n    void b() {}\n}\n";
    let workshop = Workshop::with(&[("vinequill.toml", "[languages.java]\nencoding = \"shift_jis\"\n")]);
    workshop.write("A.java", source);
    assert_eq!(workshop.run(&["draft", "--surface", "package", "--write", "A.java"]).code, 0);
    let written = workshop.read("A.java");
    assert!(written.starts_with(b"// \x8e\x9e\n/** TODO: describe */\nclass A {\n"), "{written:?}");
    workshop.write("vinequill.toml", b"encoding = \"shift-jiss\"\n");
    let ran = workshop.run(&["review", "."]);
    assert!(ran.code == 2 && ran.err.contains("no encoding is named `shift-jiss`"), "{}", ran.err);
}

#[test]
fn configured_endings_take_the_place_of_a_languages_own() {
    let workshop = Workshop::with(&[
        (
            "vinequill.toml",
            "[languages.cpp]\nendings = [\".h\", \".hh\"]\n[languages.php]\nendings = [\".inc\"]\n",
        ),
        ("a.h", "int a(int n);\n"),
        ("b.INC", "<?php function b($x) {}\n"),
        ("c.php", "<?php function c($x) {}\n"),
        ("d.cpp", "int d(int n) { return n; }\n"),
    ]);
    let ran = workshop.run(&["outline", "--format", "json", "."]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    let read: Vec<(&str, &str)> = value["files"]
        .as_array()
        .unwrap()
        .iter()
        .map(|file| (file["path"].as_str().unwrap(), file["language"].as_str().unwrap()))
        .collect();
    assert_eq!(read, [("a.h", "cpp"), ("b.INC", "php")]);
}
