//! The site: an overview, a page for each file, and what is searched.

use std::collections::{BTreeMap, HashMap};

use minijinja::value::ValueKind;
use minijinja::{AutoEscape, Environment, Error, ErrorKind, Value, context};
use vinequill_core::coverage::{Counts, permille};

use crate::Addresses;
use crate::addresses::From;
use crate::collect::{DeclarationPage, EntryPage, FilePage, FindingPage, Other};
use crate::safe::escaped;
use crate::text::{Setting, as_line, as_markdown, as_text, code, coloured, fenced, plain, rendered};
use crate::tree::Folder;

/// Styles and scripts, by their place in the site.
#[must_use]
pub const fn assets() -> [(&'static str, &'static str); 2] {
    [("site.css", include_str!("assets/site.css")), ("site.js", include_str!("assets/site.js"))]
}

/// What is told of a project besides its files.
#[derive(Clone, Debug, Default)]
pub struct About {
    /// Its name.
    pub title: String,
    /// What was not reviewed; empty when nothing was left out.
    pub left: String,
    /// Its coverage over time, oldest first.
    pub history: Vec<Moment>,
}

/// The coverage of one commit.
#[derive(Clone, Debug)]
pub struct Moment {
    /// The day, as in 2026-03-31.
    pub day: String,
    /// What it had.
    pub counts: Counts,
}

/// Renders the pages of a project.
#[derive(Debug)]
pub struct Site<'a> {
    folders: Folder,
    pages: &'a [FilePage],
    addresses: &'a Addresses,
    about: &'a About,
    /// Members by the path of their file, and by their owner and name.
    members: HashMap<(&'a str, &'a str), (&'a FilePage, &'a DeclarationPage)>,
    templates: Environment<'static>,
}

impl<'a> Site<'a> {
    /// Makes the site of some pages.
    ///
    /// # Panics
    /// Never: the templates are the program's own, and a test renders each.
    #[must_use]
    pub fn of(pages: &'a [FilePage], addresses: &'a Addresses, about: &'a About) -> Self {
        let mut templates = Environment::new();
        // All that is not known to be HTML is escaped, and no more of it than HTML asks for.
        // What a macro makes is marked up already, in Markdown too.
        templates.set_auto_escape_callback(|_| AutoEscape::Html);
        templates.set_formatter(|out, state, value| {
            let text = value.to_string();
            let written = match value.kind() {
                ValueKind::Undefined | ValueKind::None => Ok(()),
                _ if value.is_safe() => out.write_str(&text),
                _ if state.name().ends_with(".md") => out.write_str(&plain(&text)),
                _ => out.write_str(&escaped(&text)),
            };
            written.map_err(|error| Error::new(ErrorKind::WriteFailure, error.to_string()))
        });
        add_filters(&mut templates);
        templates.set_trim_blocks(true);
        templates.set_lstrip_blocks(true);
        for (name, text) in [
            ("frame.html", include_str!("templates/frame.html")),
            ("overview.html", include_str!("templates/overview.html")),
            ("tree.html", include_str!("templates/tree.html")),
            ("folder.html", include_str!("templates/folder.html")),
            ("file.html", include_str!("templates/file.html")),
            ("file.md", include_str!("templates/file.md")),
            ("contents.md", include_str!("templates/contents.md")),
        ] {
            templates.add_template(name, text).expect("the templates are our own");
        }
        let mut members = HashMap::new();
        let mut folders = Folder::default();
        for page in pages {
            folders.take(page, findings_of(page));
            for declaration in &page.declarations {
                let key = (page.path.as_str(), last_two(&declaration.qualified));
                members.entry(key).or_insert((page, declaration));
            }
        }
        Self { folders, pages, addresses, about, members, templates }
    }

    fn render(&self, name: &str, values: Value) -> String {
        let template = self.templates.get_template(name).expect("the template was added");
        template.render(values).expect("the templates are our own")
    }

    /// Renders the first page.
    #[must_use]
    pub fn overview(&self) -> String {
        let rows = self.folders.rows("");
        self.render(
            "overview.html",
            context! { root => "", page_title => self.about.title, rows, chart => chart(&self.about.history), ..self.figures() },
        )
    }

    /// Renders the first page as Markdown: the figures, and where each file is.
    #[must_use]
    pub fn contents(&self) -> String {
        let row = |page: &FilePage| {
            let counts = page.counts;
            context! {
                path => page.path, address => page.address, declared => counts.declared, found => findings_of(page),
                described => share(counts.described, counts), complete => share(counts.complete, counts),
            }
        };
        let list: Vec<Value> = self.pages.iter().map(row).collect();
        single_blank_lines(&self.render("contents.md", context! { list, ..self.figures() }))
    }

    /// Returns what the first page says in figures.
    fn figures(&self) -> Value {
        let mut total = Counts::default();
        let mut rules: BTreeMap<(u8, &str, &str), u64> = BTreeMap::new();
        let mut languages: BTreeMap<&str, (u64, Counts)> = BTreeMap::new();
        let mut worst: Vec<(u64, &FilePage)> = Vec::new();
        let (mut waived, mut accepted) = (0, 0);
        for page in self.pages {
            total.add(page.counts);
            waived += page.waived;
            accepted += page.accepted;
            let own = languages.entry(page.language_name).or_default();
            own.0 += 1;
            own.1.add(page.counts);
            for finding in page.declarations.iter().flat_map(|page| &page.findings).chain(&page.findings) {
                *rules.entry((rank(finding.level), finding.level, finding.rule)).or_default() += 1;
            }
            let count = findings_of(page);
            if count > 0 {
                worst.push((count, page));
            }
        }
        worst.sort_by(|a, b| b.0.cmp(&a.0).then_with(|| a.1.path.cmp(&b.1.path)));
        let worst: Vec<Value> = worst
            .iter()
            .take(12)
            .map(|(count, page)| context! { count, path => page.path, address => page.address })
            .collect();
        let mut rules: Vec<((u8, &str, &str), u64)> = rules.into_iter().collect();
        rules.sort_by_key(|&((rank, _, rule), count)| (rank, std::cmp::Reverse(count), rule));
        let rules: Vec<Value> =
            rules.iter().map(|((_, level, rule), count)| context! { level, rule, count }).collect();
        let languages: Vec<Value> = languages
            .iter()
            .map(|(name, (files, counts))| {
                context! { name, files, declared => counts.declared, described => share(counts.described, *counts) }
            })
            .collect();
        context! {
            title => self.about.title, left => self.about.left, waived, accepted, rules, languages, worst,
            declared => total.declared, excused => total.excused, described => share(total.described, total),
            complete => share(total.complete, total), files => self.pages.len(),
        }
    }

    /// Renders the pages of large folders, each with its address.
    #[must_use]
    pub fn folders(&self) -> Vec<(String, String)> {
        let render = |folder: &Folder| {
            let address = folder.address();
            let root = "../".repeat(address.matches('/').count());
            let (outer, name) = folder.path().rsplit_once('/').unwrap_or(("", folder.path()));
            let counts = folder.counts;
            let html = self.render(
                "folder.html",
                context! {
                    root, page_title => format!("{} – {}", folder.path(), self.about.title),
                    title => self.about.title, name, steps => self.folders.steps(outer, &root),
                    rows => folder.rows(&root), files => folder.size, declared => counts.declared,
                    described => share(counts.described, counts), complete => share(counts.complete, counts),
                    excused => counts.excused, found => folder.findings,
                },
            );
            (address, html)
        };
        self.folders.with_pages().into_iter().map(render).collect()
    }

    /// Renders the page of a file.
    #[must_use]
    pub fn file(&self, page: &FilePage) -> String {
        self.render("file.html", self.file_values(page))
    }

    /// Renders the page of a file as Markdown, for repositories and wikis that show it.
    #[must_use]
    pub fn file_as_markdown(&self, page: &FilePage) -> String {
        single_blank_lines(&self.render("file.md", self.file_values(page)))
    }

    fn file_values(&self, page: &FilePage) -> Value {
        let depth = page.address.matches('/').count();
        let root = "../".repeat(depth);
        let common = common_owner(page);
        let shown = |declaration: &DeclarationPage| {
            let short = &declaration.qualified[common.min(declaration.qualified.len())..];
            context! { short, ..self.declaration(page, declaration, &root) }
        };
        let declarations: Vec<Value> = page.declarations.iter().map(shown).collect();
        context! {
            steps => self.folders.steps(page.path.rsplit_once('/').map_or("", |(outer, _)| outer), &root),
            root, page_title => format!("{} – {}", page.path, self.about.title), title => self.about.title,
            path => page.path, language => page.language_name, language_id => page.language, declarations,
            findings => findings(&page.findings), declared => page.counts.declared,
            described => share(page.counts.described, page.counts),
            complete => share(page.counts.complete, page.counts),
        }
    }

    /// Tells what the comment of a declaration is rendered for.
    fn setting<'s>(
        &'s self,
        file: &'s FilePage,
        page: &'s DeclarationPage,
        root: &'s str,
        broken: &'s [&'s str],
    ) -> Setting<'s> {
        let from = From {
            page: &file.address,
            qualified: &page.qualified,
            family: file.family,
            parameters: &page.parameters,
        };
        Setting { addresses: self.addresses, from, root, language: file.language, broken }
    }

    fn declaration(&self, file: &FilePage, page: &DeclarationPage, root: &str) -> Value {
        let broken = broken_of(page);
        let own = self.setting(file, page, root, &broken);
        let html = |text: &str| Value::from_safe_string(rendered(text, page.form, own));
        let base = self.base(page);
        let inherited = |text: &str| {
            base.map(|(file, base)| {
                Value::from_safe_string(rendered(text, base.form, self.setting(file, base, root, &[])))
            })
        };
        let entry = |entry: &EntryPage, base: Option<&EntryPage>| {
            let taken = base.filter(|base| entry.text.trim().is_empty() && !base.text.trim().is_empty());
            context! {
                name => entry.name, type => entry.ty, default => entry.default, origin => entry.origin,
                missing => entry.missing, has_text => !entry.text.trim().is_empty(), text => html(&entry.text),
                inherited => taken.and_then(|base| inherited(&base.text)),
            }
        };
        let entries = |own: &[EntryPage], of: fn(&DeclarationPage) -> &[EntryPage]| {
            let bases = base.map(|(_, base)| of(base)).filter(|bases| bases.len() == own.len());
            let based = |at: usize| bases.and_then(|bases| bases.get(at));
            own.iter().enumerate().map(|(at, own)| entry(own, based(at))).collect::<Vec<_>>()
        };
        let status = match (page.asked, page.counts.described > 0, page.counts.complete > 0) {
            (false, ..) => "",
            (true, false, _) => "undescribed",
            (true, true, false) => "incomplete",
            (true, true, true) => "complete",
        };
        let other = |other: &Other| {
            let text = if other.is_code {
                let (name, code) = (file.language, coloured(&other.text, file.language));
                Value::from_safe_string(format!("<pre><code class=\"language-{name}\">{code}</code></pre>"))
            } else {
                html(&other.text)
            };
            context! { title => other.title, is_section => other.is_section, text }
        };
        let others: Vec<Value> = page.others.iter().map(other).collect();
        let origin = base.map(|(file, base)| {
            context! { name => base.qualified, address => format!("{root}{}#{}", file.address, base.anchor) }
        });
        let base_text = |of: fn(&DeclarationPage) -> &str| base.and_then(|(_, base)| inherited(of(base)));
        let excerpt: Vec<Value> = page
            .excerpt
            .1
            .iter()
            .zip(page.excerpt.0..)
            .map(|((side, text), number)| context! { side => side.as_str(), text, number })
            .collect();
        context! {
            anchor => page.anchor, name => page.name, qualified => page.qualified, kind => page.kind,
            surface => page.surface, line => page.line,
            signature => Value::from_safe_string(coloured(&page.signature, file.language)),
            has_summary => !page.summary.is_empty(), summary => html(&page.summary),
            description => html(&page.description), has_description => !page.description.is_empty(), status,
            deprecated => page.deprecated, inherits => page.inherits, origin, callable => page.callable,
            base_summary => base_text(|base| &base.summary), base_description => base_text(|base| &base.description),
            parameters => entries(&page.parameters, |page| &page.parameters),
            returns => page.returns.as_ref().map(|own| entry(own, base.and_then(|(_, base)| base.returns.as_ref()))),
            throws => entries(&page.throws, |page| &page.throws), others,
            findings => findings(&page.findings), excerpt, excerpt_line => page.excerpt.0,
        }
    }

    /// Returns the member whose text stands for that of a member without one: that of the supertype, or one further up.
    fn base(&self, page: &DeclarationPage) -> Option<(&'a FilePage, &'a DeclarationPage)> {
        if !page.description.is_empty() {
            return None;
        }
        let mut over = page.overrides.as_ref();
        // Broken code has cycles.
        for _ in 0..8 {
            let (path, owner) = over?;
            let key = format!("{owner}.{}", page.name);
            let found = self.members.get(&(path.as_str(), key.as_str())).copied()?;
            if !found.1.description.is_empty() {
                return Some(found);
            }
            over = found.1.overrides.as_ref();
        }
        None
    }

    /// Renders what is searched: a script, since pages that are opened from disk may read nothing else.
    #[must_use]
    pub fn search(&self) -> String {
        let mut words = Words::default();
        let mut pages = Vec::with_capacity(self.pages.len());
        let mut names = Vec::new();
        for (at, page) in self.pages.iter().enumerate() {
            pages.push((page.address.as_str(), page.path.as_str(), words.number(page.language_name)));
            for declaration in &page.declarations {
                let mut rules: Vec<usize> =
                    declaration.findings.iter().map(|finding| words.number(finding.rule)).collect();
                rules.sort_unstable();
                rules.dedup();
                let level =
                    declaration.findings.iter().map(|finding| 4 - rank(finding.level)).max().unwrap_or(0);
                // Most stand at a place of their own name.
                let own = declaration.anchor != declaration.qualified;
                let anchor = if own { declaration.anchor.as_str() } else { "" };
                let (kind, surface) = (words.number(declaration.kind), words.number(declaration.surface));
                names.push((declaration.qualified.as_str(), anchor, kind, surface, at, level, rules));
            }
        }
        // Strings and numbers always serialise; a script must not be ended by what is in it.
        let json = serde_json::to_string(&(words.0, pages, names)).unwrap_or_default().replace("</", "<\\/");
        format!("// @generated: what is found by name.\nwindow.vinequillNames = {json};\n")
    }
}

/// Returns the length of the namespaces that all declarations of a page are in, the dot behind included.
fn common_owner(page: &FilePage) -> usize {
    let mut names = page.declarations.iter().map(|declaration| declaration.qualified.as_str());
    let Some(first) = names.next() else { return 0 };
    let mut common = first.rfind('.').map_or(0, |dot| dot + 1);
    for name in names {
        while common > 0 && !name.starts_with(&first[..common]) {
            common = first[..common - 1].rfind('.').map_or(0, |dot| dot + 1);
        }
    }
    common
}

/// Counts the findings of a file.
fn findings_of(page: &FilePage) -> u64 {
    let own = page.declarations.iter().map(|declaration| declaration.findings.len()).sum::<usize>();
    (own + page.findings.len()) as u64
}

/// Returns the owner and name at the end of a qualified name.
fn last_two(qualified: &str) -> &str {
    qualified.rmatch_indices('.').nth(1).map_or(qualified, |(at, _)| &qualified[at + 1..])
}

fn add_filters(templates: &mut Environment<'_>) {
    let mut add = |name: &'static str, filter: fn(&str) -> String| {
        templates.add_filter(name, move |text: &str| Value::from_safe_string(filter(text)));
    };
    add("breaking", breaking);
    // Those of Markdown: what is rendered as HTML, as blocks, as a line, and as blocks inside the item of a list.
    add("blocks", as_markdown);
    add("line", as_line);
    add("nested", |html| as_markdown(html).replace('\n', "\n  "));
    add("code", code);
    add("id", escaped);
    add("raw", |address| address.replace(['<', '>', '\n'], ""));
    templates.add_filter("fence", |html: &str, language: &str| {
        Value::from_safe_string(fenced(&as_text(html), language))
    });
}

/// Leaves one empty line where templates left several; code stays as it is.
fn single_blank_lines(markdown: &str) -> String {
    let mut out = String::with_capacity(markdown.len());
    let mut fence: Option<&str> = None;
    let mut empty = true;
    for line in markdown.lines() {
        let bare = line.trim_start();
        let marks = &bare[..bare.len() - bare.trim_start_matches('`').len()];
        match fence {
            Some(open) if marks.len() >= open.len() && bare.trim_end() == marks => fence = None,
            None if marks.len() >= 3 => fence = Some(marks),
            _ => {}
        }
        let is_empty = line.trim().is_empty();
        if is_empty && empty && fence.is_none() {
            continue;
        }
        empty = is_empty;
        out.push_str(line.trim_end());
        out.push('\n');
    }
    out
}

/// Writes a name or a path as HTML that is broken between its parts before it is broken inside one.
fn breaking(name: &str) -> String {
    let parts: Vec<String> = name.split_inclusive(['.', '/', ':']).map(escaped).collect();
    parts.join("<wbr>")
}

/// Returns the references of a comment that lead nowhere, as the review knows.
fn broken_of(page: &DeclarationPage) -> Vec<&str> {
    let broken = page.findings.iter().filter(|finding| finding.rule == "reference.broken");
    broken.map(|finding| finding.subject.as_str()).collect()
}

/// Draws coverage over time: lines in a field of a hundred by a hundred, and what is said of them.
fn chart(history: &[Moment]) -> Option<Value> {
    let (first, last) = (history.first()?, history.last().filter(|_| history.len() > 1)?);
    let tenths = |part, counts: Counts| permille(part, counts.declared).unwrap_or(0);
    let line = |of: fn(Counts) -> u64| {
        let points = history.iter().enumerate().map(|(at, moment)| {
            let (x, y) =
                (at * 600 / (history.len() - 1), 150 - tenths(of(moment.counts), moment.counts) * 150 / 1000);
            format!("{x},{y}")
        });
        points.collect::<Vec<_>>().join(" ")
    };
    let rows: Vec<Value> = history
        .iter()
        .map(|moment| {
            let counts = moment.counts;
            context! {
                day => moment.day, declared => counts.declared, described => share(counts.described, counts),
                complete => share(counts.complete, counts),
            }
        })
        .collect();
    let height = |part| 150 - tenths(part, last.counts) * 150 / 1000;
    // Two labels at one height could not be read.
    let (described, complete) = (height(last.counts.described), height(last.counts.complete));
    Some(context! {
        described => line(|counts| counts.described), complete => line(|counts| counts.complete), rows,
        described_at => described, complete_at => complete.max(described + 14), first => first.day, last => last.day,
        described_now => share(last.counts.described, last.counts), complete_now => share(last.counts.complete, last.counts),
    })
}

/// Words that are said often, each once.
#[derive(Default)]
struct Words(Vec<&'static str>);

impl Words {
    fn number(&mut self, word: &'static str) -> usize {
        self.0.iter().position(|known| *known == word).unwrap_or_else(|| {
            self.0.push(word);
            self.0.len() - 1
        })
    }
}

fn findings(findings: &[FindingPage]) -> Vec<Value> {
    findings
        .iter()
        .map(|finding| {
            context! { rule => finding.rule, level => finding.level, message => Value::from_safe_string(with_code(&finding.message)), line => finding.line }
        })
        .collect()
}

/// Shows what stands between backticks as code.
fn with_code(message: &str) -> String {
    let mut out = String::new();
    for (at, part) in message.split('`').enumerate() {
        if at > 0 {
            out.push_str(if at % 2 == 1 { "<code>" } else { "</code>" });
        }
        out.push_str(&escaped(part));
    }
    if message.matches('`').count() % 2 == 1 {
        out.push_str("</code>");
    }
    out
}

/// The gravest first.
fn rank(level: &str) -> u8 {
    match level {
        "error" => 1,
        "warning" => 2,
        _ => 3,
    }
}

pub(crate) fn share(part: u64, of: Counts) -> String {
    permille(part, of.declared)
        .map_or("–".to_owned(), |tenths| format!("{}.{} %", tenths / 10, tenths % 10))
}
