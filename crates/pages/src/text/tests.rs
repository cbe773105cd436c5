use super::{Form, Setting, rendered};
use crate::Addresses;
use crate::addresses::From;

fn shown(text: &str, form: Form) -> String {
    let setting = Setting {
        addresses: &Addresses::default(),
        from: From::default(),
        root: "",
        language: "",
        broken: &["laod"],
    };
    rendered(text, form, setting).trim().to_owned()
}

#[test]
fn each_form_reads_as_its_readers_show_it() {
    for (form, text, wanted) in [
        (Form::Markdown, "A *load* of `x < y`.", "<p>A <em>load</em> of <code>x &lt; y</code>.</p>"),
        (Form::Markdown, "As in\n\n```\na < b\n```", "<p>As in</p>\n<pre>a &lt; b</pre>"),
        (
            Form::Markdown,
            "Like `a[i]` and [laod].",
            "<p>Like <code>a[i]</code> and <code>laod</code> <span class=\"gap\">leads nowhere</span>.</p>",
        ),
        (
            Form::Markdown,
            "# Examples\n\n```rust\n# hidden\na\n```",
            "<p><strong>Examples</strong></p>\n<pre><code class=\"language-rust\">a</code></pre>",
        ),
        (Form::Html, "A {@code List<T>} of <b>crates", "A <code>List&lt;T&gt;</code> of <b>crates</b>"),
        (Form::Html, "See {@link Scale#weigh the scale}.", "See <code>the scale</code>."),
        (Form::Html, "So: <pre>{@code\n  a < b;\n}</pre>\nthen", "So: <pre>a &lt; b;</pre>\nthen"),
        (Form::Html, "So: <PRE>\n  a &lt; b;\n</PRE>", "So: <pre>a &lt; b;</pre>"),
        (Form::Xml, "A <see cref=\"Scale\"/> for <c>x</c>.", "A <code>Scale</code> for <code>x</code>."),
        (Form::Xml, "<see cref=\"T:Scale\">the scale</see>", "<code>the scale</code>"),
        (Form::Xml, "<code>\n  a &lt; b\n</code>", "<pre>a &lt; b</pre>"),
        (
            Form::Xml,
            "<list type=\"number\"><item><description>a</description></item></list>",
            "<ol><li> a </li></ol>",
        ),
        (
            Form::Rest,
            "A ``x`` of :class:`~a.Scale`, **so**.",
            "<p>A <code>x</code> of <code>Scale</code>, <strong>so</strong>.</p>",
        ),
        (Form::Rest, "An a*b*c of :py:meth:`x`.", "<p>An a*b*c of <code>x</code>.</p>"),
        (Form::Rest, "As in::\n\n    a = 1\n", "<p>As in:</p><pre>a = 1</pre>"),
        (Form::Rest, "- one\n  more\n- two\n\nthen", "<ul><li>one more</li><li>two</li></ul><p>then</p>"),
        (Form::Rest, ">>> a\n1\n\nthen", "<pre>&gt;&gt;&gt; a\n1</pre><p>then</p>"),
        (Form::Rest, ".. code-block:: text\n\n    a\n\nthen", "<pre>a</pre><p>then</p>"),
        (Form::Rest, ".. note:: Mind it.", "<p><strong>note</strong> Mind it.</p>"),
        (Form::Epytext, "A C{List{x}} of L{Scale}.", "<p>A <code>List{x}</code> of <code>Scale</code>.</p>"),
        (
            Form::Wiki,
            "A [[Scale the scale]] and '''so''' {{{x}}}.",
            "<p>A <code>the scale</code> and <strong>so</strong> <code>x</code>.</p>",
        ),
        (Form::Ruby, "A +load+ of 1 + 2 {Hash}.", "<p>A <code>load</code> of 1 + 2 {Hash}.</p>"),
        (
            Form::Commands,
            "The \\c load, see @ref Scale, a@b.example \\b so.",
            "<p>The <code>load</code>, see <code>Scale</code>, a@b.example <strong>so</strong>.</p>",
        ),
        (Form::Commands, "Opens it\n@details It stays open.", "<p>Opens it</p>\n<p>It stays open.</p>"),
        (Form::Commands, "As\n\\code\na < b\n\\endcode\nthen", "<p>As</p>\n<pre>a &lt; b</pre>\n<p>then</p>"),
        (Form::Go, "One < two.\n\n\tcode", "<p>One &lt; two.</p><pre>code</pre>"),
        (
            Form::Go,
            "# Weighing\n\nA list:\n  - one\n  - two",
            "<p><strong>Weighing</strong></p><p>A list:</p><ul><li>one</li><li>two</li></ul>",
        ),
    ] {
        assert_eq!(shown(text, form), wanted, "{text}");
    }
}

const ALL: [Form; 10] = [
    Form::Markdown,
    Form::Commands,
    Form::Html,
    Form::Xml,
    Form::Rest,
    Form::Epytext,
    Form::Wiki,
    Form::Go,
    Form::Ruby,
    Form::Plain,
];

#[test]
fn no_form_lets_harm_through() {
    let harm = "<script>x()</script><img src=x onerror=x()> [a](javascript:x()) <a href='javascript:x()'>b</a> {@link javascript:x() c} `d <javascript:x()>`_ L{a<javascript:x()>} [[javascript:x() e]] \\ref javascript:x() <see href=\"javascript:x()\"/> \u{e000}0\u{e001}";
    for form in ALL {
        let html = shown(harm, form);
        let live = html.to_lowercase();
        assert!(!live.contains("<script") && !live.contains("<img"), "{form:?}: {html}");
        assert!(
            !live.contains("href=\"javascript") && !live.contains("href='javascript"),
            "{form:?}: {html}"
        );
    }
}

/// A comment as long as a book, and one of nothing but what opens and is not closed, are rendered while one waits.
#[test]
fn long_and_broken_text_is_rendered() {
    let pieces = [
        "{@", "[", "`", "<pre>", "*", "'''", "{{{", "C{", "+a ", "\\c ", "<c>", "``a", "{@link ", "- \n",
        "<script>", "\u{202e}a ",
    ];
    let mut texts: Vec<String> = pieces.iter().map(|piece| piece.repeat(20_000 / piece.len())).collect();
    texts.push("Weighs what stands on it. ".repeat(40_000));
    for text in texts {
        for form in ALL {
            let html = shown(&text, form);
            assert!(html.len() < text.len() * 40, "{form:?} {}", &text[..10]);
        }
    }
}
