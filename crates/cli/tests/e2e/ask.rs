//! Questions piece by piece, on a terminal.

use std::io::Write;

use rexpect::session::PtySession;

use crate::workshop::Workshop;

const TWO: &str =
    "/** A scale. */\npublic class Scale {\n    public void tare() {}\n    public void weigh() {}\n}\n";

/// Starts the program on a terminal of its own.
fn start(workshop: &Workshop, arguments: &[&str], editor: &str) -> PtySession {
    let mut command = std::process::Command::new(env!("CARGO_BIN_EXE_vinequill"));
    command.args(arguments).args(["--no-cache", "--color", "never"]).current_dir(workshop.path());
    command.env("EDITOR", editor).env_remove("VISUAL");
    rexpect::session::spawn_command(command, Some(120_000)).expect("the terminal opens")
}

/// Waits for the next question and returns what was shown before it.
fn asked(terminal: &mut PtySession) -> String {
    terminal.exp_string(QUESTION).expect("it asks")
}

/// Types an answer.
fn answer(terminal: &mut PtySession, text: &str) {
    terminal.send_line(text).expect("it takes input");
}

const QUESTION: &str = "quit [y/n/e/a/q] ";

#[test]
fn yes_writes_and_no_leaves() {
    let workshop = Workshop::with(&[("Scale.java", TWO)]);
    let mut terminal = start(&workshop, &["draft", "--ask", "Scale.java"], "true");
    let first = asked(&mut terminal);
    assert!(first.contains("Scale.java:3  a comment for `tare`"), "{first}");
    assert!(first.contains("public void tare()"), "{first}");
    answer(&mut terminal, "perhaps");
    terminal.exp_string("type y, n, e, a or q").expect("it says what it takes");
    asked(&mut terminal);
    answer(&mut terminal, "n");
    asked(&mut terminal);
    answer(&mut terminal, "y");
    terminal.exp_string("1 comment drafted in 1 file").expect("it says what it did");
    let text = String::from_utf8(workshop.read("Scale.java")).unwrap();
    assert_eq!(text.matches("TODO: describe").count(), 1, "{text}");
    assert!(text.contains("*/\n    public void weigh"), "{text}");
}

#[test]
fn what_was_accepted_is_written_however_it_ends() {
    let workshop = Workshop::with(&[("Scale.java", TWO)]);
    let mut terminal = start(&workshop, &["draft", "--ask", "Scale.java"], "true");
    asked(&mut terminal);
    answer(&mut terminal, "y");
    asked(&mut terminal);
    terminal.send_control('c').expect("it is interrupted");
    terminal.exp_eof().expect("it ends");
    let text = String::from_utf8(workshop.read("Scale.java")).unwrap();
    assert!(text.contains("*/\n    public void tare"), "{text}");
    assert!(!text.contains("*/\n    public void weigh"), "{text}");
}

#[test]
fn all_takes_the_rest_of_the_file_and_quit_stops() {
    let workshop =
        Workshop::with(&[("A.java", &TWO.replace("Scale", "A")), ("B.java", &TWO.replace("Scale", "B"))]);
    let mut terminal = start(&workshop, &["draft", "--ask", "."], "true");
    asked(&mut terminal);
    answer(&mut terminal, "a");
    let next = asked(&mut terminal);
    assert!(next.contains("B.java:3"), "{next}");
    answer(&mut terminal, "q");
    terminal.exp_string("2 comments drafted in 1 file").expect("it says what it did");
    assert_eq!(workshop.read("B.java"), TWO.replace("Scale", "B").as_bytes());
}

#[test]
fn an_editor_changes_what_is_written() {
    let workshop = Workshop::with(&[("Scale.java", TWO)]);
    let mut script = std::fs::File::create(workshop.path().join("editor.sh")).unwrap();
    script.write_all(b"sed -i 's/TODO: describe/Sets the scale to zero./' \"$1\"\n").unwrap();
    drop(script);
    let mut terminal = start(&workshop, &["draft", "--ask", "Scale.java"], "sh editor.sh");
    asked(&mut terminal);
    answer(&mut terminal, "e");
    asked(&mut terminal);
    answer(&mut terminal, "n");
    terminal.exp_string("1 comment drafted").expect("it says what it did");
    let text = String::from_utf8(workshop.read("Scale.java")).unwrap();
    assert!(text.contains("    /** Sets the scale to zero. */\n    public void tare"), "{text}");
}

#[test]
fn repairs_that_need_a_decision_are_asked_about() {
    let text = "/** A scale. */\npublic class Scale {\n    // Sets the empty crate as zero.\n    public void tare() {}\n}\n";
    let workshop = Workshop::with(&[("Scale.java", text)]);
    assert_eq!(workshop.run(&["mend"]).out, "");
    let mut terminal = start(&workshop, &["mend", "--ask"], "true");
    let shown = asked(&mut terminal);
    assert!(shown.contains("comment.ordinary: "), "{shown}");
    answer(&mut terminal, "y");
    terminal.exp_string("1 repair in 1 file").expect("it says what it did");
    assert!(String::from_utf8(workshop.read("Scale.java")).unwrap().contains("/** Sets the empty crate"));
}

#[test]
fn without_a_terminal_nothing_is_asked() {
    let workshop = Workshop::with(&[("Scale.java", TWO)]);
    let ran = workshop.run(&["draft", "--ask", "."]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("--ask needs a terminal"), "{}", ran.err);
}
