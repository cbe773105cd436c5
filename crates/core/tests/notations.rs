//! What each notation makes of comments as people write them: entries with names, types and texts.

use std::fmt::Write;

use vinequill_core::model::{Dialect, DocComment};
use vinequill_core::notations::{self, Lines};
use vinequill_core::text::{Source, Span};

/// Reads a comment and tells what was understood, one entry a line.
fn told(notation: &str, text: &str) -> String {
    let source = Source::new("comment", text);
    let mut spans = Vec::new();
    let mut at = 0;
    for line in text.split('\n') {
        spans.push(Span::of(at, at + line.len()));
        at += line.len() + 1;
    }
    let notation = notations::find(notation).expect("the notation is known");
    let doc = (notation.read)(&Lines::new(&source, &spans, Dialect::Plain), Span::of(0, text.len()));
    show(&doc, &source)
}

fn show(doc: &DocComment, source: &Source) -> String {
    let prose = |span: Option<Span>| span.map(|span| doc.prose(source, span)).unwrap_or_default();
    let mut out = format!("{}\n", prose(doc.summary));
    for entry in &doc.entries {
        let names: Vec<_> = entry.names.iter().map(|name| name.name.as_str()).collect();
        let ty = entry.ty.map(|ty| format!(" <{}>", source.slice(ty))).unwrap_or_default();
        let optional = if entry.optional { " optional" } else { "" };
        let default = entry.default.map(|value| format!(" ={}", source.slice(value))).unwrap_or_default();
        let kind = entry.kind.as_str();
        writeln!(out, "{kind} {}{ty}{optional}{default}: {}", names.join(","), prose(entry.text))
            .expect("a string takes all");
    }
    for mark in &doc.marks {
        writeln!(out, "mark {} {:?}", mark.name, mark.standing).expect("a string takes all");
    }
    out
}

#[test]
fn tags_with_types_brackets_and_lists() {
    let text = "Weighs.\n@param {number} load in kg\n@param [unit=kg] of it\n@param a,b two\n@param opts.depth a part\n@returns {boolean} done";
    let wanted = "Weighs.\nparam load <number>: in kg\nparam unit optional =kg: of it\nparam a,b: two\nparam opts: a part\nreturns  <boolean>: done\n";
    assert_eq!(told("tags", text), wanted);
}

#[test]
fn tags_are_no_addresses_and_no_annotations() {
    let text = "Weighs.\n@Override is prose here\nWrite to x@y.example or\n@a.example about it\n@param load in kg\n  over two lines\n\n@see Crate";
    assert_eq!(told("tags", text), "Weighs.\nparam load: in kg over two lines\nmark see Known\n");
}

#[test]
fn a_misspelt_tag_is_read_as_the_one_it_is_near_to() {
    assert_eq!(
        told("tags", "Weighs.\n@parma load in kg\n@custom thing"),
        "Weighs.\nparam load: in kg\nmark parma Near(\"param\")\nmark custom Unknown\n"
    );
}

#[test]
fn the_summary_is_the_first_sentence() {
    assert_eq!(
        told("tags", "Weighs e.g. crates of 3.5 kg\nor more. And prints.\n@see x"),
        "Weighs e.g. crates of 3.5 kg or more.\nmark see Known\n"
    );
    assert_eq!(told("google", "\n    Weigh\n\n    Then print."), "Weigh\n");
    assert_eq!(
        told("xml", "<summary>\n Weighs <see cref=\"Crate\"/>. Prints.\n</summary>"),
        "Weighs <see cref=\"Crate\"/>.\n"
    );
}

#[test]
fn google_sections_of_every_shape() {
    let text = "Weigh.\n\nArgs:\n    load (int, optional): in kg\n        and more\n    *rest: others\n    unit (str): of it. Defaults to \"kg\".\n    depth - a hyphen\n    bare\n\nReturns:\n    dict[str, int]: loads: by tag\n\nRaises:\n    press.OverloadError: too much\n    ValueError\n\nYields:\n    int: each";
    let wanted = "Weigh.\nparam load <int, optional> optional: in kg and more\nparam rest: others\nparam unit <str>: of it. Defaults to \"kg\".\nparam depth: a hyphen\nparam bare: \nreturns  <dict[str, int]>: loads: by tag\nthrows OverloadError: too much\nthrows ValueError: \nyields  <int>: each\n";
    assert_eq!(told("google", text), wanted);
}

#[test]
fn google_headings_stand_at_the_comments_own_indentation() {
    let text = "Weigh.\n\n    Shape:\n        load: in kg\n\n    Note that Args: is no heading here.\n\n    Args:\n        load: in kg\n    Todo:\n        more: of it";
    assert_eq!(told("google", text), "Weigh.\nparam load: in kg\n");
}

#[test]
fn numpy_sections_of_every_shape() {
    let text = "Weigh.\n\nParameters\n----------\nload : {1, 2}, default: 1\n    In kg.\n\n    A second paragraph.\nx, y: int\n*args, **kwargs\n    More.\nReturns\n-------\nout : ndarray, shape (n,)\n    The loads.\nOther Parameters\n================\ndepth\n    A key.\nRaises\n------\nValueError, KeyError\n    When.\nIf the scale is off.\n\nNotes\n-----\nz : no entry";
    let wanted = "Weigh.\nparam load <{1, 2}, default: 1> =1: In kg. A second paragraph.\nparam x,y <int>: \nparam args,kwargs: More.\nreturns  <ndarray, shape (n,)>: The loads.\nparam depth: A key.\nthrows ValueError,KeyError: When.\nthrows : If the scale is off.\n";
    assert_eq!(told("numpy", text), wanted);
}

#[test]
fn field_lists_of_every_shape() {
    let text = "Weigh.\n\n:param int load: in kg\n  over lines\n:param unit: of it\n:type unit: str, optional\n:raises ValueError, KeyError: when\n:raises: nothing told\n:returns: loads\n:rtype: list\n:ivar level: a property\n:meta private:\n:class:`Crate` is prose\n:Custom: kept";
    let wanted = "Weigh.\nparam load <int>: in kg over lines\nparam unit <str, optional> optional: of it\nthrows ValueError,KeyError: when\nthrows : nothing told\nreturns  <list>: loads\nproperty level: a property\nmark meta Known\n";
    assert_eq!(told("rest", text), wanted);
}

#[test]
fn a_type_field_alone_makes_an_entry() {
    assert_eq!(
        told("rest", "Weigh.\n\n:type load: int\n:rtype: bool"),
        "Weigh.\nparam load <int>: \nreturns  <bool>: \n"
    );
}

#[test]
fn at_fields_need_their_colon() {
    let text = "Weigh.\n@param load: in kg\n@type load: int\n@raise ValueError: when\n@decorator\n@keyword unit: of it\n@note: more";
    let wanted = "Weigh.\nparam load <int>: in kg\nthrows ValueError: when @decorator\nparam unit: of it\nmark note Known\n";
    assert_eq!(told("epytext", text), wanted);
}

#[test]
fn xml_elements_of_every_shape() {
    let text = " <summary>Weighs.</summary>\n <typeparam name=\"T\">what</typeparam>\n <param name=\"load\">in\n <c>kg</c></param><param name='unit'/>\n <returns>true</returns>\n <exception cref=\"M:Press.Fail(System.Int32)\">odd</exception>\n <exception cref=\"T:System.IO.IOException\">off</exception>\n <remarks>More. <param name=\"inner\">no entry</param></remarks>";
    let wanted = "Weighs.\ntypeparam T: what\nparam load: in <c>kg</c>\nparam unit: \nreturns : true\nthrows Fail: odd\nthrows IOException: off\nmark remarks Known\n";
    assert_eq!(told("xml", text), wanted);
}

#[test]
fn xml_that_is_never_closed_loses_nothing_after_it() {
    let text = " <summary>Weighs.\n <param name=\"load\">in kg\n <param name=\"unit\">of it</param>\n <!-- <param name=\"gone\">x</param> --> a < b && c > d";
    let wanted = "Weighs.\nparam load: in kg\nparam unit: of it\n";
    assert_eq!(told("xml", text), wanted);
}

#[test]
fn comments_without_a_word_are_blank() {
    for (notation, text) in
        [("tags", ""), ("tags", " \n * \n"), ("google", "---"), ("xml", "<summary></summary>"), ("rest", ".")]
    {
        assert_eq!(told(notation, text), "\n", "{notation}: {text:?}");
    }
}
