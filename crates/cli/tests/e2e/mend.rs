//! `mend` and `recast`: diffs, choices, writing.

use std::process::Command;

use crate::workshop::Workshop;

const SCALE: &str = "\
/** A scale. */
public class Scale {
    /**
     * Weighs a crate seperately.
     *
     * @param tare of the crate
     * @param laod what is weighed
     * @return the weight
     */
    public int weigh(int load, int tare) { return load - tare; }

    // Sets the empty crate as zero.
    public void tare() {}
}
";

const MENDED: &str = "\
/** A scale. */
public class Scale {
    /**
     * Weighs a crate separately.
     *
     * @param load what is weighed
     * @param tare of the crate
     * @return the weight
     */
    public int weigh(int load, int tare) { return load - tare; }

    // Sets the empty crate as zero.
    public void tare() {}
}
";

#[test]
fn the_default_is_a_diff_and_write_writes() {
    let workshop = Workshop::with(&[("src/Scale.java", SCALE)]);
    let ran = workshop.run(&["mend"]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    assert_eq!(workshop.read("src/Scale.java"), SCALE.as_bytes(), "nothing is written");
    workshop.write("a.diff", ran.out.as_bytes());
    let applied =
        Command::new("git").args(["apply", "a.diff"]).current_dir(workshop.path()).status().unwrap();
    assert!(applied.success());
    assert_eq!(String::from_utf8(workshop.read("src/Scale.java")).unwrap(), MENDED);
    workshop.write("src/Scale.java", SCALE.as_bytes());
    let written = workshop.run(&["mend", "--write", "-v"]);
    assert_eq!(written.out, "3 repairs in 1 file\n");
    assert!(written.err.contains("1  param.order"), "{}", written.err);
    assert_eq!(String::from_utf8(workshop.read("src/Scale.java")).unwrap(), MENDED);
    assert_eq!(workshop.run(&["mend", "--write"]).out, "nothing to mend\n");
}

#[test]
fn a_rule_that_is_named_is_the_only_one_mended() {
    let workshop = Workshop::with(&[("Scale.java", SCALE)]);
    let ran = workshop.run(&["mend", "--rule", "comment.ordinary"]);
    assert!(ran.out.contains("+    /** Sets the empty crate as zero. */"), "{}", ran.out);
    assert!(!ran.out.contains("separately"), "{}", ran.out);
    let off = workshop.run(&["mend", "--rule", "text.spelling=none"]);
    assert!(off.out.contains("+     * @param load") && !off.out.contains("separately"), "{}", off.out);
}

#[test]
fn check_fails_when_there_is_something_to_mend() {
    let workshop = Workshop::with(&[("Scale.java", SCALE)]);
    assert_eq!(workshop.run(&["mend", "--check"]).code, 1);
    workshop.write("Scale.java", MENDED.as_bytes());
    assert_eq!(workshop.run(&["mend", "--check"]).code, 0);
}

#[test]
fn missing_entries_are_added_and_long_lines_broken_when_asked_for() {
    let text = "\
def weigh(load, tare):
    \"\"\"Weigh a crate of grapes that came down from the upper terraces in the early morning.

    Args:
        load: what is weighed
    \"\"\"
";
    let workshop = Workshop::with(&[("scale.py", text)]);
    let filled = workshop.run(&["mend", "--fill-missing"]);
    assert!(filled.out.contains("+        tare: TODO: describe"), "{}", filled.out);
    let wrapped = workshop.run(&["mend", "--wrap", "60"]);
    assert!(wrapped.out.contains("+    \"\"\"Weigh a crate of grapes that came down from the upper\n+    terraces in the early morning.\n"), "{}", wrapped.out);
}

#[test]
fn names_with_a_colon_begin_lines_of_their_own_where_a_text_is_broken() {
    let text = "\
def weigh(crate, depth):
    \"\"\"Weigh a crate.

    crate: what to weigh
    depth: how deep down in the cellar it stands, from the first step
        of those that lead there
    \"\"\"
";
    let workshop = Workshop::with(&[("scales.py", text)]);
    let wrapped = workshop.run(&["mend", "--wrap", "60"]).out;
    assert!(wrapped.contains("     crate: what to weigh\n-    depth: how deep"), "{wrapped}");
    assert!(wrapped.contains("\n+    depth: how deep down in the cellar it stands, from the\n"), "{wrapped}");
}

#[test]
fn a_tag_stays_apart_from_its_text_where_its_line_is_broken() {
    let text = "\
/**
 * A scale.
 *
 * @deprecated use the other scale, which stands beside the press house
 * @see the scales that stand in the press house of the cooperative
 */
class Scale {}
";
    let workshop = Workshop::with(&[("Scale.java", text)]);
    let wrapped = workshop.run(&["mend", "--wrap", "50"]).out;
    assert!(
        wrapped
            .contains("+ * @deprecated use the other scale, which stands\n+ *     beside the press house\n"),
        "{wrapped}"
    );
    assert!(
        wrapped.contains("+ * @see the scales that stand in the press house\n+ *     of the cooperative\n"),
        "{wrapped}"
    );
}

#[test]
fn a_diff_is_in_the_bytes_of_its_file() {
    let workshop = Workshop::new();
    let text = b"/**\n * Presst die \xfcberreifen Trauben.\n *\n * @param laod what\n */\nclass A { }\n";
    let whole =
        [&b"class B {\n/**\n * Presst \xfcber.\n *\n * @param laod what\n */\nvoid f(int load) {}\n}\n"[..]]
            .concat();
    workshop.write("A.java", text);
    workshop.write("B.java", &whole);
    let ran = workshop.run(&["mend", "B.java", "-o", "-"]);
    assert_eq!(ran.code, 2, "there is no such option: {}", ran.out);
    let output = workshop.bytes(&["mend", "B.java"]);
    workshop.write("b.diff", &output);
    let applied =
        Command::new("git").args(["apply", "b.diff"]).current_dir(workshop.path()).status().unwrap();
    assert!(applied.success());
    assert!(workshop.read("B.java").windows(4).any(|four| four == b"load"));
}

const LEVY: &str = "\
def levy(litres, rate=0.5):
    \"\"\"Reckon the levy.

    Args:
        litres (float): what left the cellar
        rate (float, optional): cents a litre

    Returns:
        float: what is owed

    Raises:
        ValueError: if nothing left
    \"\"\"
    return litres * rate
";

#[test]
fn docstrings_go_from_one_notation_into_another_and_back() {
    let workshop = Workshop::with(&[("levy.py", LEVY)]);
    let shown = workshop.run(&["recast", "--to", "rest"]);
    assert_eq!(shown.code, 0, "{}", shown.err);
    assert!(shown.out.contains("+    :type rate: float, optional\n"), "{}", shown.out);
    for notation in ["numpy", "rest", "epytext", "google"] {
        let ran = workshop.run(&["recast", "--to", notation, "--write"]);
        assert_eq!(ran.out, "1 docstring recast in 1 file\n", "{notation}: {}", ran.err);
        assert_eq!(workshop.run(&["recast", "--to", notation, "--check"]).code, 0);
        let review = workshop.run(&["review", "--format", "short", "--demand", "always"]);
        assert!(
            !review.out.contains("param.") && !review.out.contains("throws."),
            "{notation}: {}",
            review.out
        );
    }
    assert_eq!(String::from_utf8(workshop.read("levy.py")).unwrap(), LEVY);
}

#[test]
fn what_a_notation_cannot_say_is_kept_and_told() {
    let text = "def f():\n    \"\"\"Weigh.\n\n    Returns\n    -------\n    net : float\n        The net load.\n    \"\"\"\n    return 1\n";
    let workshop = Workshop::with(&[("f.py", text)]);
    let ran = workshop.run(&["recast", "--to", "google"]);
    assert!(ran.out.contains("+        float: net: The net load.\n"), "{}", ran.out);
    assert!(
        ran.err.contains("f.py:1: `f`: the name of what comes back, `net`, was kept as text"),
        "{}",
        ran.err
    );
    let wrong = workshop.run(&["recast", "--to", "tags"]);
    assert_eq!(wrong.code, 2);
    assert!(wrong.err.contains("epytext, google, numpy, rest"), "{}", wrong.err);
}
