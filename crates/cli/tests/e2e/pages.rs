//! The site and the Markdown that `pages` writes.

use std::collections::{BTreeMap, BTreeSet};
use std::path::{Path, PathBuf};

use html5ever::tendril::TendrilSink;
use markup5ever_rcdom::{Handle, NodeData, RcDom};
use serde_json::Value;

use crate::workshop::Workshop;

/// Returns all pages of a folder, by their names.
fn pages(folder: &Path) -> BTreeMap<String, String> {
    let mut out = BTreeMap::new();
    let mut folders: Vec<PathBuf> = vec![folder.to_owned()];
    while let Some(next) = folders.pop() {
        for entry in std::fs::read_dir(next).unwrap() {
            let path = entry.unwrap().path();
            if path.is_dir() {
                folders.push(path);
            } else if path.extension().is_some_and(|ending| ending == "html") {
                let name = path.strip_prefix(folder).unwrap().to_str().unwrap().to_owned();
                out.insert(name, std::fs::read_to_string(&path).unwrap());
            }
        }
    }
    out
}

/// What a page has: the addresses it leads to, the names in it, attributes and elements.
#[derive(Default)]
struct Held {
    links: Vec<String>,
    ids: BTreeSet<String>,
    attributes: BTreeSet<String>,
    elements: BTreeSet<String>,
    text: String,
}

/// Parses a page as browsers do (WHATWG HTML, "Parsing HTML documents") and fails on what they have to mend.
fn held(name: &str, html: &str) -> Held {
    let dom = html5ever::parse_document(RcDom::default(), html5ever::ParseOpts::default()).one(html);
    let errors = dom.errors.borrow();
    assert!(errors.is_empty(), "{name}: {errors:?}");
    let mut out = Held::default();
    gather(&dom.document, &mut out, name);
    out
}

fn gather(node: &Handle, out: &mut Held, page: &str) {
    match &node.data {
        NodeData::Element { name, attrs, .. } => {
            out.elements.insert(name.local.to_string());
            for attribute in attrs.borrow().iter() {
                let value = attribute.value.to_string();
                match attribute.name.local.as_ref() {
                    "href" => out.links.push(value),
                    "id" => assert!(out.ids.insert(value.clone()), "{page}: `{value}` is there twice"),
                    _ => {}
                }
                out.attributes.insert(attribute.name.local.to_string());
            }
        }
        NodeData::Text { contents } => {
            out.text.push_str(&contents.borrow());
            out.text.push(' ');
        }
        _ => {}
    }
    for child in node.children.borrow().iter() {
        gather(child, out, page);
    }
}

fn demo() -> Workshop {
    let workshop = Workshop::new();
    assert_eq!(workshop.run(&["demo", "ridge"]).code, 0);
    workshop
}

#[test]
fn the_site_says_what_the_terminal_says() {
    let workshop = demo();
    let ran = workshop.run(&["pages", "ridge", "-o", "site"]);
    assert_eq!((ran.code, ran.err.as_str()), (0, ""));
    assert!(ran.out.contains("site/index.html"), "{}", ran.out);
    let overview = held("index.html", &String::from_utf8(workshop.read("site/index.html")).unwrap()).text;
    let overview = overview.split_whitespace().collect::<Vec<_>>().join(" ");
    let json = |arguments: &[&str]| -> Value { serde_json::from_str(&workshop.run(arguments).out).unwrap() };
    let coverage = json(&["coverage", "ridge", "--format", "json"]);
    let total = &coverage["total"];
    let number = |name: &str| total[name].as_u64().unwrap();
    let tenths = |part: u64| part * 1000 / number("declared");
    let said = format!(
        "{}.{} % of {} declarations in 29 files are described, {}.{} % completely. {} are excused.",
        tenths(number("described")) / 10,
        tenths(number("described")) % 10,
        number("declared"),
        tenths(number("complete")) / 10,
        tenths(number("complete")) % 10,
        number("excused"),
    );
    assert!(overview.contains(&said), "{said}\n{overview}");
    let review = json(&["review", "ridge", "--format", "json"]);
    let mut rules: BTreeMap<(String, String), u64> = BTreeMap::new();
    for finding in review["findings"].as_array().unwrap() {
        let word = |name: &str| finding[name].as_str().unwrap().to_owned();
        *rules.entry((word("rule"), word("level"))).or_default() += 1;
    }
    for ((rule, level), count) in rules {
        assert!(overview.contains(&format!("{rule} {level} {count} ")), "{rule} {level} {count}\n{overview}");
    }
}

#[test]
fn pages_are_well_formed_and_their_links_lead_somewhere() {
    let workshop = demo();
    assert_eq!(workshop.run(&["pages", "ridge", "-o", "site"]).code, 0);
    let pages = pages(&workshop.path().join("site"));
    assert_eq!(pages.len(), 30);
    let held: BTreeMap<&str, Held> =
        pages.iter().map(|(name, html)| (name.as_str(), held(name, html))).collect();
    let mut checked = 0;
    for (name, page) in &held {
        for link in page.links.iter().filter(|link| !link.starts_with("https://")) {
            let (path, anchor) = link.split_once('#').unwrap_or((link, ""));
            let mut folders: Vec<&str> = name.split('/').collect();
            folders.pop();
            for part in path.split('/').filter(|part| !part.is_empty()) {
                if part == ".." { _ = folders.pop() } else { folders.push(part) }
            }
            let target = if path.is_empty() { (*name).to_owned() } else { folders.join("/") };
            if target.ends_with(".css") || anchor.starts_with("find=") {
                continue;
            }
            let page = held.get(target.as_str()).unwrap_or_else(|| panic!("{name} → {link}"));
            assert!(anchor.is_empty() || page.ids.contains(anchor), "{name} → {link}");
            checked += 1;
        }
    }
    assert!(checked > 300, "{checked}");
}

/// A page is usable at once, however large the project is.
#[test]
fn large_folders_have_pages_of_their_own() {
    let workshop = Workshop::new();
    for number in 0..160 {
        let text = format!("def weigh{number}(load):\n    \"\"\"Weigh it.\"\"\"\n    print(load)\n");
        workshop.write(&format!("yard/old/scale{number}.py"), text.as_bytes());
    }
    workshop.write("cellar/tank.py", b"def fill():\n    \"\"\"Fill it.\"\"\"\n    print()\n");
    assert_eq!(workshop.run(&["pages", "-o", "site"]).code, 0);
    let pages = pages(&workshop.path().join("site"));
    let overview = held("index.html", &pages["index.html"]);
    assert!(overview.links.iter().any(|link| link == "folders/yard/old.html"), "{:?}", overview.links);
    assert!(overview.links.iter().any(|link| link == "files/cellar/tank.py.html"), "{:?}", overview.links);
    assert!(!overview.links.iter().any(|link| link.contains("scale7")), "{:?}", overview.links);
    let folder = held("old.html", &pages["folders/yard/old.html"]);
    assert!(
        folder.links.iter().any(|link| link == "../../files/yard/old/scale7.py.html"),
        "{:?}",
        folder.links
    );
    let file = held("scale7", &pages["files/yard/old/scale7.py.html"]);
    assert!(file.links.iter().any(|link| link == "../../../folders/yard/old.html"), "{:?}", file.links);
}

/// A reference in one file leads to what another declares, in the words of each notation.
#[test]
fn references_lead_to_declarations() {
    let workshop = Workshop::with(&[
        (
            "Scale.java",
            "/** A scale. See {@link Press#squeeze(int) the press}. */\npublic class Scale {\n  /** Weighs, see {@link #tare}. */\n  public void weigh() {}\n  /** Tares. */\n  public void tare() {}\n}\n",
        ),
        (
            "Press.java",
            "/** A press. */\npublic class Press extends Tool {\n  /** Squeezes.\n   * @param bar how hard, in bar */\n  public void squeeze(int bar) {}\n  @Override public void clean(int hours) {}\n}\n",
        ),
        (
            "Tool.java",
            "/** A tool. */\npublic class Tool {\n  /** Cleans it with water.\n   * @param hours how long, in hours */\n  public void clean(int hours) {}\n}\n",
        ),
        (
            "must.py",
            "def clear(must):\n    \"\"\"Clear it, see :func:`press`.\n\n    >>> clear(1)\n    \"\"\"\n    print(must)\n\n\ndef press(must):\n    \"\"\"Press it as :py:func:`~must.clear` does.\"\"\"\n    print(must)\n",
        ),
        (
            "bottle.rs",
            "//! Bottles.\n/// A bottle; [`Bottle::fill`] fills it.\npub struct Bottle;\nimpl Bottle {\n    /// Fills it, as `fill` does in [`crate::bottle::Bottle`].\n    pub fn fill(&self) {}\n}\n",
        ),
        (
            "Label.cs",
            "/// <summary>A label, printed by <see cref=\"Label.Print\"/>.</summary>\npublic class Label {\n  /// <summary>Prints <paramref name=\"laod\"/>.</summary>\n  /// <param name=\"load\">how much</param>\n  public void Print(int load) {}\n}\n",
        ),
        ("tank.hpp", "struct Tank {\n  /// Empties it.\n  void drain();\n};\n"),
        (
            "Round.kt",
            "/** A round. */\nclass Round {\n  /** Drains [load] and [drain], as [Tank.drain] and [squeeze] do. */\n  fun run(load: Int) {}\n  /** Weighs. */\n  fun load() {}\n}\n",
        ),
    ]);
    assert_eq!(workshop.run(&["pages", "-o", "site"]).code, 0);
    let pages = pages(&workshop.path().join("site"));
    for (page, wanted) in [
        // A parameter is no member of the same name; a simple name means nothing to another language.
        (
            "Round.kt",
            "Drains <code>load</code> and <code>drain</code>, as <a href=\"../files/tank.hpp.html#Tank.drain\">",
        ),
        ("Scale.java", "<a href=\"../files/Press.java.html#Press.squeeze\"><code>the press</code></a>"),
        ("Scale.java", "<a href=\"../files/Scale.java.html#Scale.tare\"><code>tare</code></a>"),
        (
            "Press.java",
            "Inherited from <a href=\"../files/Tool.java.html#Tool.clean\"><code>Tool.clean</code></a>",
        ),
        ("Press.java", "how long, in hours <span class=\"quiet\">(inherited)</span>"),
        ("must.py", "<a href=\"../files/must.py.html#press\"><code>press</code></a>"),
        ("must.py", "<a href=\"../files/must.py.html#clear\"><code>clear</code></a>"),
        ("bottle.rs", "#Bottle.fill\"><code>Bottle::fill</code></a>"),
        ("bottle.rs", "#Bottle\"><code>crate::bottle::Bottle</code></a>"),
        ("Label.cs", "#Label.Print\"><code>Label.Print</code></a>"),
        ("Label.cs", "<code>laod</code>"),
    ] {
        let html = &pages[&format!("files/{page}.html")];
        assert!(html.contains(wanted), "{page}: {wanted}\n{html}");
    }
}

/// Whatever a comment holds, the page stays what it is.
#[test]
fn a_comment_harms_neither_page_nor_reader() {
    let harm = [
        "<script>document.title='x'</script>",
        "<img src=x onerror=alert(1)>",
        "<a href=\"javascript:alert(1)\" onclick=\"alert(2)\">x</a>",
        "[x](javascript:alert(1)) ![x](data:text/html,x)",
        "</div></article></main></body><style>*{display:none}</style>",
        "<b><i><ul><li><table><td>",
        "{@link <script>alert(1)</script>} {@code </pre><script>}",
        "\u{202e}right to left\u{2066} <iframe src=//x></iframe> <svg onload=x>",
        "&#0; &lt;script&gt; &amp; <!-- <![CDATA[ ]]>",
    ]
    .join("\n * ");
    let long = "Weighs what stands on it. ".repeat(40_000);
    let java = format!("/**\n * Weighs. {harm}\n * @param load {harm}\n */\npublic class Scale<T> {{}}\n");
    let ts = format!(
        "/**\n * Weighs. {harm}\n */\nexport function weigh(load: string = '</script>') {{ return load }}\n"
    );
    let py = format!(
        "def weigh(load):\n    \"\"\"Weighs.\n\n    {}\n    {long}\n    \"\"\"\n    print(load)\n",
        harm.replace("\n * ", "\n    ")
    );
    let cs = format!(
        "/// <summary>Weighs.\n{}</summary>\npublic class Scale {{}}\n",
        harm.replace("\n * ", "\n/// ")
    );
    let workshop = Workshop::with(&[
        ("Scale.java", &java),
        ("scale.ts", &ts),
        ("scale.py", &py),
        ("Scale.cs", &cs),
        ("a 'b\" <c>&.py", "def f():\n    \"\"\"F.\"\"\"\n    print()\n"),
    ]);
    let ran = workshop.run(&["pages", "-o", "site"]);
    assert_eq!(ran.code, 0, "{}", ran.err);
    for (name, html) in pages(&workshop.path().join("site")) {
        let held = held(&name, &html);
        let may = |element: &str| !["img", "iframe", "svg", "style", "object"].contains(&element);
        assert!(held.elements.iter().all(|element| may(element)), "{name}: {:?}", held.elements);
        assert_eq!(html.matches("<script").count(), 1, "{name}");
        assert!(!held.attributes.iter().any(|name| name.starts_with("on")), "{name}: {:?}", held.attributes);
        let safe = |link: &String| {
            !link.contains(':') || link.starts_with("https://") || link.starts_with("http://")
        };
        assert!(held.links.iter().all(safe), "{name}: {:?}", held.links);
    }
    let names = String::from_utf8(workshop.read("site/names.js")).unwrap();
    assert!(!names.contains("</script"), "{names}");
}

#[test]
fn only_what_an_earlier_run_wrote_is_removed() {
    let workshop = Workshop::with(&[
        ("a.py", "def a():\n    \"\"\"A.\"\"\"\n    print()\n"),
        ("b.py", "def b():\n    \"\"\"B.\"\"\"\n    print()\n"),
        ("mine/notes.txt", "keep"),
    ]);
    let ran = workshop.run(&["pages", "-o", "mine"]);
    assert_eq!(ran.code, 2);
    assert!(ran.err.contains("not of these pages") && ran.err.contains("-o"), "{}", ran.err);
    assert_eq!(workshop.run(&["pages", "-o", "mine/notes.txt"]).code, 2);
    assert_eq!(workshop.read("mine/notes.txt"), b"keep");
    assert_eq!(workshop.run(&["pages", "-o", "site"]).code, 0);
    workshop.write("site/files/own.txt", b"keep");
    std::fs::remove_file(workshop.path().join("b.py")).unwrap();
    assert_eq!(workshop.run(&["pages", "-o", "site"]).code, 0);
    let site = workshop.path().join("site/files");
    assert!(site.join("a.py.html").exists() && !site.join("b.py.html").exists());
    assert_eq!(workshop.read("site/files/own.txt"), b"keep");
    // What was written is nothing to review.
    let ran = workshop.run(&["coverage", "--by", "file", "--format", "json"]);
    assert!(!ran.out.contains("site"), "{}", ran.out);
}

#[test]
fn markdown_is_a_file_for_each_source_file() {
    let workshop = demo();
    let ran = workshop.run(&["pages", "ridge", "-o", "wiki", "--format", "markdown"]);
    assert_eq!((ran.code, ran.err.as_str()), (0, ""));
    let first = String::from_utf8(workshop.read("wiki/README.md")).unwrap();
    let page = "press-house/src/weighing/Scale.java";
    assert!(first.contains(&format!("](<files/{page}.md>)")), "{first}");
    let text = String::from_utf8(workshop.read(&format!("wiki/files/{page}.md"))).unwrap();
    assert!(
        text.contains("```java\npublic double weigh(int attempts, double tolerance) throws IOException\n```"),
        "{text}"
    );
    assert!(text.contains("`tolerance` (`double`): *no description*"), "{text}");
    // Marks of the notation are marks of Markdown, and references lead to the pages.
    assert!(text.contains("such as `/dev/scale1`") && !text.contains("<p>"), "{text}");
    assert!(text.contains("(<#Scale.weigh>)") && text.contains("<a id=\"Scale.weigh\"></a>"), "{text}");
    let ledger = workshop.read("wiki/files/press-house/src/payment/Ledger.java.md");
    let ledger = String::from_utf8(ledger).unwrap();
    assert!(!ledger.contains(".html"), "{ledger}");
}

#[test]
fn what_was_accepted_is_counted_and_left_out() {
    let workshop = Workshop::with(&[(
        "a.py",
        "def a(x):\n    \"\"\"A.\n\n    Args:\n        y: the y.\n    \"\"\"\n    print(x)\n",
    )]);
    assert_eq!(workshop.run(&["accept"]).code, 0);
    assert_eq!(workshop.run(&["pages", "-o", "site"]).code, 0);
    let overview = String::from_utf8(workshop.read("site/index.html")).unwrap();
    assert!(overview.contains("accepted before") && !overview.contains("data-rule"), "{overview}");
}
