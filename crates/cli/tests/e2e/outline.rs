//! `outline`: what is understood.

use crate::workshop::Workshop;

const SOURCE: &str = "\
public class Scale<T> {
    /**
     * Weighs.
     *
     * @param load in kg
     */
    @Deprecated
    public int weigh(double load, int... more) throws java.io.IOException { return 1; }
    void weigh() {}
    void weigh(int a) {}
}
";

#[test]
fn json_has_the_shape_of_the_contract() {
    let workshop = Workshop::with(&[("src/Scale.java", SOURCE)]);
    let ran = workshop.run(&["outline", "--format", "json", "src"]);
    let value: serde_json::Value = serde_json::from_str(&ran.out).unwrap();
    assert_eq!(value["format"], "vinequill-outline/1");
    let file = &value["files"][0];
    assert_eq!((&file["path"], &file["language"]), (&"src/Scale.java".into(), &"java".into()));
    let weigh = serde_json::json!({
        "name": "weigh", "qualified": "Scale.weigh", "id": "Scale.weigh", "kind": "method", "surface": "public",
        "line": 8, "end_line": 8, "start": 91, "end": 190, "same_as": null,
        "parameters": [
            {"name": "load", "type": "double", "default": null, "optional": false, "variadic": false},
            {"name": "more", "type": "int", "default": null, "optional": false, "variadic": true},
        ],
        "type_parameters": [],
        "returns": {"type": "int", "value": "yes"},
        "throws": [{"type": "IOException", "origin": "declared", "line": 8}],
        "deprecated": true, "inherits": false, "excuse": null,
        "comment": {
            "line": 2, "end_line": 6, "start": 28, "end": 86, "notation": "tags", "summary": "Weighs.",
            "entries": [{"kind": "param", "name": "load", "type": null, "text": "in kg", "line": 5}],
        },
    });
    assert_eq!(file["declarations"][1], weigh);
    let ids: Vec<_> =
        file["declarations"].as_array().unwrap().iter().map(|d| d["id"].as_str().unwrap()).collect();
    assert_eq!(ids, ["Scale", "Scale.weigh", "Scale.weigh~2", "Scale.weigh~3"]);
}

#[test]
fn text_is_for_people() {
    let ran = Workshop::with(&[("Scale.java", SOURCE)]).run(&["outline", "Scale.java"]);
    assert!(
        ran.out.starts_with("Scale.java Java\n    1  Scale<T>  public class\n         no comment\n"),
        "{}",
        ran.out
    );
    assert!(ran.out.contains(
        "    8    weigh(load: double, ...more: int) -> int  public method\n           throws IOException\n"
    ));
}

#[test]
fn what_was_not_understood_is_listed() {
    let ran =
        Workshop::with(&[("A.java", "class A {\n  void f( { int = ; }\n}\n")]).run(&["outline", "A.java"]);
    assert!(ran.out.contains("not understood up to line 2"), "{}", ran.out);
}
