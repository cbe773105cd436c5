//! What a reader does with the pages.

use libtest_mimic::Failed;
use serde_json::Value;

use crate::Test;
use crate::driver::{Site, axe};

/// The tests, and whether each needs the accessibility engine.
pub(crate) const ALL: &[(&str, Test, bool)] = &[
    ("pages_fit_at_every_size", pages_fit_at_every_size, false),
    ("names_are_found", names_are_found, false),
    ("what_is_listed_is_narrowed", what_is_listed_is_narrowed, false),
    ("folders_are_opened_and_links_followed", folders_are_opened_and_links_followed, false),
    ("all_works_by_keyboard", all_works_by_keyboard, false),
    ("details_open_where_they_are", details_open_where_they_are, false),
    ("pages_are_for_everybody", pages_are_for_everybody, true),
];

const SCALE: &str = "files/press-house/src/weighing/Scale.java.html";
const WIDE: (u32, u32) = (1280, 800);
const NARROW: (u32, u32) = (400, 800);
const NARROWEST: (u32, u32) = (360, 640);

/// Has something typed into the search field.
fn find(site: &Site, text: &str) -> Result<(), Failed> {
    site.script("document.getElementById('=find').focus(); document.getElementById('=find').value = ''")?;
    site.press(&[text])?;
    site.until("document.querySelector('[role=option]')")
}

fn pages_fit_at_every_size(site: &Site) -> Result<(), Failed> {
    for size in [WIDE, NARROW, NARROWEST] {
        for dark in [false, true] {
            site.look(size, dark)?;
            for page in [
                "index.html",
                SCALE,
                "files/analysis/must/acidity.py.html",
                "files/labels/Printing/Printer.cs.html",
            ] {
                site.open(page)?;
                site.script("document.querySelectorAll('details').forEach((part) => { part.open = true })")?;
                let over =
                    site.text("document.documentElement.scrollWidth - document.documentElement.clientWidth")?;
                assert_eq!(over, "0", "{page} is too wide at {size:?}");
            }
        }
    }
    Ok(())
}

fn names_are_found(site: &Site) -> Result<(), Failed> {
    for size in [WIDE, NARROW] {
        site.look(size, false)?;
        site.open("index.html")?;
        find(site, "weigh")?;
        assert_eq!(site.text("document.querySelector('[role=option] code').textContent")?, "Scale.weigh");
        site.press(&["Enter"])?;
        site.until("location.hash === '#Scale.weigh' && document.querySelector('article:target h2')")?;
        site.until(
            "Math.abs(document.querySelector('article:target').getBoundingClientRect().top) < innerHeight",
        )?;
        // In the words of other languages as well, and from a page deeper in the site.
        find(site, "Scale#tare")?;
        assert_eq!(site.text("document.querySelector('[role=option] code').textContent")?, "Scale.tare");
        site.press(&["nothing of this name"])?;
        site.until("document.getElementById('=told').textContent === '0 declarations'")?;
    }
    Ok(())
}

fn what_is_listed_is_narrowed(site: &Site) -> Result<(), Failed> {
    site.look(WIDE, false)?;
    site.open("index.html")?;
    site.script("document.getElementById('=find').focus()")?;
    site.until("document.querySelectorAll('.filters select').length === 5")?;
    let choose = |what: &str, value: &str| {
        site.script(&format!(
            "const one = document.querySelector('select[name={what}]'); one.value = '{value}'; one.dispatchEvent(new Event('change'))"
        ))
    };
    let places =
        "[...document.querySelectorAll('[role=option] small')].map((place) => place.textContent).join()";
    choose("language", "Java")?;
    assert!(
        site.text(places)?.split(',').filter(|part| part.contains('/')).all(|path| path.ends_with(".java"))
    );
    choose("kind", "constructor")?;
    assert!(site.text(places)?.matches(" constructor").count() >= 2);
    choose("kind", "")?;
    choose("level", "error")?;
    let errors = site.text("document.querySelectorAll('[role=option]').length")?;
    assert_ne!(errors, "0");
    choose("level", "")?;
    choose("language", "")?;
    choose("surface", "public")?;
    // A rule of the overview lists what it speaks of.
    site.open("index.html")?;
    site.script("document.querySelector('[data-rule=\"param.missing\"]').click()")?;
    site.until("document.querySelectorAll('[role=option]').length > 5")?;
    assert_eq!(site.text("document.querySelector('select[name=rule]').value")?, "param.missing");
    site.open("index.html#find=throws.missing")?;
    site.script("location.reload()")?;
    site.until("document.querySelectorAll('[role=option]').length > 5")
}

fn folders_are_opened_and_links_followed(site: &Site) -> Result<(), Failed> {
    for size in [WIDE, NARROW] {
        site.look(size, false)?;
        site.open("index.html")?;
        site.script("for (const part of document.querySelectorAll('summary')) if (part.textContent.includes('press-house')) part.click()")?;
        site.script("for (const part of document.querySelectorAll('details[open] summary')) if (part.textContent.includes('weighing')) part.click()")?;
        site.script("[...document.querySelectorAll('details[open] a')].find((link) => link.textContent === 'Scale.java').click()")?;
        site.until("document.querySelector('h1')?.textContent === 'press-house/src/weighing/Scale.java'")?;
        site.script("document.querySelector('.glance a[href=\"#Scale.print\"]').click()")?;
        site.until("location.hash === '#Scale.print'")?;
        site.script("document.querySelector('nav a').click()")?;
        site.until("location.pathname.endsWith('index.html')")?;
    }
    Ok(())
}

fn all_works_by_keyboard(site: &Site) -> Result<(), Failed> {
    site.look(WIDE, false)?;
    site.open(SCALE)?;
    site.press(&["Tab"])?;
    assert_eq!(site.text("document.activeElement.className")?, "skip");
    site.press(&["/"])?;
    site.until("document.activeElement.id === '=find'")?;
    site.press(&["print"])?;
    site.until("document.querySelectorAll('[role=option]').length > 1")?;
    site.press(&["Down", "Down", "Up"])?;
    let active = "document.getElementById('=find').getAttribute('aria-activedescendant')";
    assert_eq!(site.text(active)?, "=0");
    assert_eq!(site.text("document.getElementById('=0').getAttribute('aria-selected')")?, "true");
    site.press(&["Escape"])?;
    site.until("document.getElementById('=found').hidden")?;
    site.press(&["g"])?;
    site.until("document.activeElement.className === 'gap'")?;
    let first = site.text("document.activeElement.closest('article').id")?;
    // From gap to gap, in a circle: at some press another declaration has its turn.
    let mut others = (0..20).map(|_| {
        site.press(&["g"])?;
        site.text("document.activeElement.closest('article').id")
    });
    assert!(others.any(|id| id.is_ok_and(|id| id != first)), "{first} has no gap behind it");
    // What is folded opens with the keyboard.
    site.open("index.html")?;
    site.script("document.querySelector('.tree summary').focus()")?;
    site.press(&["Enter"])?;
    site.until("document.querySelector('.tree details').open")
}

fn details_open_where_they_are(site: &Site) -> Result<(), Failed> {
    site.look(WIDE, false)?;
    site.open(&format!("{SCALE}#Scale.weigh"))?;
    let article = "document.getElementById('Scale.weigh')";
    site.script(&format!("for (const part of {article}.querySelectorAll('summary')) part.click()"))?;
    let shown = site.text(&format!("{article}.innerText"))?;
    for wanted in [
        "tolerance double",
        "no description",
        "OverloadException thrown in the body",
        "@return the net load in kg",
        "param.missing line 47",
    ] {
        assert!(shown.replace('\n', " ").contains(wanted), "{wanted}: {shown}");
    }
    let sides = site.text(&format!(
        "[...{article}.querySelectorAll('.source > span')].map((line) => line.className).join()"
    ))?;
    assert!(sides.starts_with("comment,") && sides.ends_with(",declaration"), "{sides}");
    Ok(())
}

fn pages_are_for_everybody(site: &Site) -> Result<(), Failed> {
    let engine = std::fs::read_to_string(axe().ok_or("no engine")?)?;
    for (size, dark) in [(WIDE, false), (WIDE, true), (NARROW, false)] {
        site.look(size, dark)?;
        for (page, search) in [
            ("index.html", false),
            ("index.html", true),
            (SCALE, false),
            ("files/labels/Printing/Printer.cs.html", false),
            ("files/analysis/must/acidity.py.html", true),
        ] {
            site.open(page)?;
            site.script("document.querySelectorAll('details').forEach((part) => { part.open = true })")?;
            if search {
                find(site, "s")?;
            }
            site.script(&engine)?;
            let found = site.script_that_waits(
                "const done = arguments[0]; axe.run({ preload: false, resultTypes: ['violations'] }).then((found) => done(found.violations.map((one) => ({ id: one.id, impact: one.impact, where: one.nodes.slice(0, 3).map((node) => node.html) }))))",
            )?;
            let serious: Vec<&Value> = found
                .as_array()
                .ok_or("the engine says nothing")?
                .iter()
                .filter(|one| matches!(one["impact"].as_str(), Some("serious" | "critical")))
                .collect();
            assert!(serious.is_empty(), "{page} at {size:?}, dark: {dark}: {serious:#?}");
        }
    }
    Ok(())
}
