//! The review of one file: rules on every comment, then levels and order.

use std::cell::OnceCell;

use smol_str::SmolStr;

use super::waivers::Waivers;
use super::{FileReading, Standing, Standings};
use crate::debt::{Debt, Debtor};
use crate::model::{
    Body, Construction, DeclId, Declaration, Dialect, DocComment, EntryKind, Finding, Kind, Level, Name,
    Parameter, RawFinding, Related, Signature, State, Surface, Variadic,
};
use crate::notations;
use crate::pairing::{self, Match, Pairing, Side};
use crate::rules::{self, Asking, Check, Context, FileContext, Findings, Rule};
use crate::text::{Span, near};

/// What the review of one file found.
pub struct FileReview<'a> {
    /// Findings, sorted by start, rule and subject.
    pub findings: Vec<Finding>,
    /// The declarations, in source order.
    pub seen: Vec<Seen<'a>>,
    /// Bytes that were not understood.
    pub unparsed_bytes: u64,
}

/// A declaration as the review saw it.
pub struct Seen<'a> {
    /// The declaration.
    pub id: DeclId,
    /// How it stands to the review.
    pub standing: Standing,
    /// What is known of its comment, where it has one.
    pub examined: Option<Examined<'a>>,
    /// Something in its comment is missing or wrong, whatever level that has.
    pub incomplete: bool,
}

/// What is known of one comment when its rules run; also where a draft starts from.
pub struct Examined<'a> {
    /// The signature that the comment speaks of.
    pub signature: &'a Signature,
    /// Whether that signature is known; otherwise entries for parameters are neither owed nor wrong.
    pub known: bool,
    /// Pairs of entries and parameters.
    pub pairing: Pairing,
    /// What the comment owes.
    pub debt: Debt,
}

/// Reviews a file that was read.
#[must_use]
pub fn review<'a>(file: &'a FileReading<'_>) -> FileReview<'a> {
    let standings = Standings::of(file);
    let mut raw: Vec<RawFinding> = Vec::new();
    let mut seen = Vec::new();
    let context = file.context();
    let plan = Plan::of(file);
    for id in file.outline.ids() {
        let standing = standings.get(id);
        if standing == Standing::Skipped {
            continue;
        }
        let from = raw.len();
        let examined = file.doc(id).map(|doc| examine(file, &standings, id, doc));
        match (file.doc(id), &examined) {
            (Some(doc), Some(examined)) => {
                let asked = standings.is_asked(file, id);
                let stand = Stand { asked, overrides: standings.overrides(id) };
                plan.check_comment((&context, id), (doc, examined), stand, &mut raw);
            }
            _ if standing == Standing::Asked => check_uncommented(&Asking { file: &context, id }, &mut raw),
            _ => {}
        }
        let incomplete = raw[from..].iter().any(|finding| plan.makes_incomplete(finding));
        seen.push(Seen { id, standing, examined, incomplete });
    }
    if !file.skipped {
        check_file(&context, &mut raw);
    }
    let mut findings: Vec<Finding> = raw.into_iter().filter_map(|raw| levelled(file, raw)).collect();
    Waivers::of(file).apply(file, &mut findings);
    findings.sort_by(|a, b| {
        (a.raw.span.start, a.raw.rule, &a.raw.subject).cmp(&(b.raw.span.start, b.raw.rule, &b.raw.subject))
    });
    FileReview { findings, seen, unparsed_bytes: file.outline.unparsed_bytes() }
}

/// Works out the signature, pairs and debt of a comment.
#[must_use]
pub fn examine<'a>(
    file: &'a FileReading<'_>,
    standings: &Standings,
    id: DeclId,
    doc: &DocComment,
) -> Examined<'a> {
    let declaration = file.outline.declaration(id);
    let (signature, known) = signature_of(file, declaration);
    let mut pairing = pairing::pair(doc, signature);
    accept_overloads(file, id, doc, &mut pairing);
    accept_call(file, id, &mut pairing);
    accept_collected(file, doc, signature, &mut pairing);
    accept_options(file, doc, signature, &mut pairing);
    accept_header_names(declaration, doc, &mut pairing);
    let known =
        known && !is_shown_only(file, declaration, doc) && !is_of_another(file, declaration, doc, &pairing);
    if let Some(class) = class_doc(file, declaration) {
        // A constructor and its class share entries: one at either place answers.
        let shared = pairing::pair(class, signature);
        for (own, other) in pairing.params.entry_of.iter_mut().zip(shared.params.entry_of) {
            *own = own.or(other.map(|_| usize::MAX));
        }
    }
    let mut examined = Examined { signature, known, pairing, debt: Debt::default() };
    examined.debt = debt_of(file, standings, (id, doc), &examined);
    examined
}

/// Works out what a comment owes, by what else was examined.
#[must_use]
pub(crate) fn debt_of(
    file: &FileReading<'_>,
    standings: &Standings,
    (id, doc): (DeclId, &DocComment),
    examined: &Examined<'_>,
) -> Debt {
    let declaration = file.outline.declaration(id);
    let signature = examined.signature;
    let links_answer = matches!(file.language.dialect, Dialect::Kotlin | Dialect::Scala);
    let demand = file.settings.demand;
    let debtor = Debtor { source: &file.source, declaration, signature, demand, links_answer };
    let mut debt = match standings.owes(file, id, doc) && !is_shown_only(file, declaration, doc) {
        true => Debt::of(&debtor, doc, &examined.pairing),
        false => Debt::none(signature),
    };
    if !examined.known {
        debt.params.fill(false);
    }
    if let Some(elsewhere) = &declaration.elsewhere {
        debt.pay(signature, &elsewhere.said);
    }
    debt
}

/// Tells whether a comment may well be about something else: empty lines part it from the declaration, and of several names
/// that it speaks of none is there.
fn is_of_another(
    file: &FileReading<'_>,
    declaration: &Declaration,
    doc: &DocComment,
    pairing: &Pairing,
) -> bool {
    let names = &pairing.params.names;
    names.len() > 1
        && names.iter().all(|name| name.is == Match::Unknown)
        && doc.span.end <= declaration.span.start
        && file.source.slice(Span::new(doc.span.end, declaration.span.start)).matches('\n').count() > 1
}

/// Tells whether a comment is about something that the declaration below it only stands for: a member of another type
/// that it names, `@name scale#weigh`, what others are to write in its place, `weigh: function() {}`, or the method that a
/// getter marked as one hands out.
fn is_shown_only(file: &FileReading<'_>, declaration: &Declaration, doc: &DocComment) -> bool {
    if !file.language.dialect.is_script() {
        return false;
    }
    let owner = declaration.owner.map(|owner| &file.outline.declaration(owner).name);
    let named = doc.marks.iter().filter(|mark| mark.name == "name");
    let mut lines = named.filter_map(|mark| doc.lines.get(mark.lines.0 as usize));
    let of_another = lines.any(|&line| {
        let path = file.source.slice(line).split_whitespace().next_back().unwrap_or_default();
        let around = path.split_once('#').map(|(around, _)| around.rsplit(['.', '/', '~']).next());
        around.flatten().is_some_and(|around| owner.is_none_or(|owner| owner != around))
    });
    // `@method reset` above what is called otherwise.
    let mut methods = doc.marks.iter().filter(|mark| matches!(mark.name.as_str(), "method" | "function"));
    let called_otherwise = methods.any(|mark| {
        let line = doc.lines.get(mark.lines.0 as usize).map_or("", |&line| file.source.slice(line));
        let behind = line.split_once('@').map_or("", |(_, tag)| tag);
        let mut words = behind.split_whitespace().skip(1);
        let name = words.next().filter(|_| words.next().is_none());
        name.is_some_and(|name| {
            name.chars().all(|c| c.is_alphanumeric() || c == '_') && name != declaration.name.as_str()
        })
    });
    let handed_out = declaration.kind == Kind::Property
        && doc.marks.iter().any(|mark| matches!(mark.name.as_str(), "method" | "function" | "func"));
    let behind = Span::new(declaration.name_span.end, declaration.span.end.max(declaration.name_span.end));
    let takes_and_does_nothing = || {
        let value = file.source.slice(behind).trim_end_matches(';');
        let bare: String = value.chars().filter(|c| !c.is_whitespace()).collect();
        let head = bare.strip_suffix("(){}").map(|head| head.trim_start_matches([':', '=']));
        head.is_some_and(|head| {
            (head.is_empty() && declaration.owner.is_some()) || head.starts_with("function")
        })
    };
    let short = behind.len() < 128 && declaration.kind != Kind::Constructor;
    // A declaration file leaves out what a private constructor takes.
    let undeclared = declaration.kind == Kind::Constructor
        && declaration.body == Body::Absent
        && declaration.surface == Surface::Private
        && declaration.signature.parameters.is_empty();
    of_another
        || called_otherwise && doc.marks.iter().any(|mark| mark.name == "instance")
        || handed_out
        || undeclared
        || (short && takes_and_does_nothing())
}

/// Keyword parameters may be told as the keys of options that are passed: `@option options [Integer] :seats` (Ruby).
fn accept_options(file: &FileReading<'_>, doc: &DocComment, signature: &Signature, pairing: &mut Pairing) {
    if file.language.dialect != Dialect::Ruby {
        return;
    }
    for (number, entry) in doc.entries.iter().enumerate().filter(|(_, e)| e.kind == EntryKind::Property) {
        let Some(root) = entry.name().map(|name| &name.name) else { continue };
        let line = doc.lines.get(entry.lines.0 as usize).map_or("", |&line| file.source.slice(line));
        let Some((_, behind)) = line.split_once("@option") else { continue };
        let key = behind.split_whitespace().find_map(|word| word.strip_prefix(':')).unwrap_or(root.as_str());
        let behind = |p: &Parameter| file.source.text().get(p.span.end as usize..).unwrap_or_default();
        let is_keyword =
            |p: &Parameter| p.named().is_some_and(|name| name == key) && behind(p).starts_with(':');
        let Some(at) = signature.parameters.iter().position(is_keyword) else { continue };
        let answer = &mut pairing.params.entry_of[at];
        *answer = answer.or(Some(number));
        for paired in pairing.params.names.iter_mut().filter(|paired| paired.is == Match::Unknown) {
            if doc.entries[paired.entry].names[paired.name].name == *root {
                paired.is = Match::Part;
            }
        }
    }
}

/// What a rest parameter collects may be told under a name of its own: `@param load` for `...args`; outside of JavaScript,
/// where its own name says nothing.
fn accept_collected(file: &FileReading<'_>, doc: &DocComment, signature: &Signature, pairing: &mut Pairing) {
    let script = file.language.dialect.is_script();
    let says_nothing =
        |name: &Name| matches!(name.as_str(), "args" | "argv" | "arguments" | "params" | "rest" | "varargs");
    for paired in &mut pairing.params.names {
        let Match::Renamed(at) = paired.is else { continue };
        let rest = &signature.parameters[at];
        let told = doc.entries[paired.entry].names[paired.name].name.as_str();
        let another =
            rest.named().is_some_and(|name| !near(name.as_str(), told) && (script || says_nothing(name)));
        if rest.variadic == Variadic::Positional && another {
            paired.is = Match::Part;
        }
    }
}

/// The comment of a definition may call its parameters as the header does, where callers read them.
fn accept_header_names(declaration: &Declaration, doc: &DocComment, pairing: &mut Pairing) {
    let Some(elsewhere) = declaration.elsewhere.as_ref().filter(|elsewhere| !elsewhere.names.is_empty())
    else {
        return;
    };
    let params = &mut pairing.params;
    for number in 0..params.names.len() {
        let paired = &params.names[number];
        let entry = paired.entry;
        let told = &doc.entries[entry].names[paired.name].name;
        let (Match::Unknown | Match::Renamed(_)) = paired.is else { continue };
        let Some(at) = elsewhere.names.iter().position(|name| name == told.as_str()) else { continue };
        if let Match::Renamed(taken) = paired.is
            && params.entry_of[taken] == Some(entry)
        {
            params.entry_of[taken] = None;
        }
        if params.entry_of.get(at) == Some(&None) {
            params.entry_of[at] = Some(entry);
            params.names[number].is = Match::Is(at);
        }
    }
}

/// The comment of a class whose objects are called may tell of what they are called with.
fn accept_call(file: &FileReading<'_>, id: DeclId, pairing: &mut Pairing) {
    let is_type = file.outline.declaration(id).kind.is_type();
    if !is_type || pairing.params.names.iter().all(|name| name.is != Match::Unknown) {
        return;
    }
    let mut members = file.outline.declarations.iter().filter(|other| other.owner == Some(id));
    if members.any(|member| member.name == "__call__") {
        for name in pairing.params.names.iter_mut().filter(|name| name.is == Match::Unknown) {
            name.is = Match::Part;
        }
    }
}

/// A comment above several overloads, of which the others have none, speaks of all that they take.
fn accept_overloads(file: &FileReading<'_>, id: DeclId, doc: &DocComment, pairing: &mut Pairing) {
    let accept = |side: &mut Side, taken: fn(&Signature) -> Vec<&Name>| {
        let doubtful = |is: Match| matches!(is, Match::Unknown | Match::Renamed(_));
        if !side.names.iter().any(|name| doubtful(name.is)) {
            return;
        }
        let others: Vec<&Name> =
            file.outline.silent_overloads(id).flat_map(|other| taken(&other.signature)).collect();
        for name in side.names.iter_mut().filter(|name| doubtful(name.is)) {
            if others.contains(&&doc.entries[name.entry].names[name.name].name) {
                if let Match::Renamed(at) = name.is {
                    side.entry_of[at] = None;
                }
                name.is = Match::Part;
            }
        }
    };
    accept(&mut pairing.params, |signature| signature.parameters.iter().filter_map(|p| p.named()).collect());
    accept(&mut pairing.typeparams, |signature| signature.type_parameters.iter().map(|p| &p.name).collect());
}

/// Returns the signature that a declaration's comment speaks of, and whether it is known.
#[must_use]
pub fn signature_of<'a>(file: &'a FileReading<'_>, declaration: &'a Declaration) -> (&'a Signature, bool) {
    let own = &declaration.signature;
    if !declaration.kind.is_type() || declaration.kind == Kind::Delegate {
        return (own, !own.hidden);
    }
    match declaration.construction {
        Construction::Member(id) => {
            (declaration.constructor.as_deref().unwrap_or(&file.outline.declaration(id).signature), true)
        }
        Construction::Header | Construction::Fields => (own, true),
        Construction::Unknown => (own, false),
    }
}

/// Returns what a comment that is not there yet would have to say.
#[must_use]
pub fn undocumented_debt(file: &FileReading<'_>, id: DeclId) -> Debt {
    let declaration = file.outline.declaration(id);
    let holds =
        notations::get(file.notation).map_or((|_| true) as fn(EntryKind) -> bool, |notation| notation.holds);
    let (signature, known) = signature_of(file, declaration);
    let speaks =
        declaration.kind.is_callable() || declaration.kind.is_type() || !signature.parameters.is_empty();
    if !speaks || !known && !declaration.kind.is_type() {
        return Debt::none(signature);
    }
    let mut debt = Debt::whole(signature, holds);
    let own_parameters = declaration.construction == Construction::Header;
    if declaration.kind.is_type() && declaration.kind != Kind::Delegate {
        debt.returns = false;
        debt.yields = false;
        debt.throws.clear();
        if !own_parameters {
            debt.params.fill(false);
        }
    }
    debt
}

/// Returns the comment of the class whose constructor a declaration is, where the two share entries.
fn class_doc<'a>(file: &'a FileReading<'_>, declaration: &Declaration) -> Option<&'a DocComment> {
    let owner = declaration.owner?;
    let shares = match file.outline.declaration(owner).construction {
        Construction::Member(id) => file.outline.declaration(id).name_span == declaration.name_span,
        Construction::Unknown | Construction::Header | Construction::Fields => false,
    };
    file.doc(owner).filter(|_| shares)
}

/// How a declaration stands, as far as rules on its comment hang on it.
#[derive(Clone, Copy)]
struct Stand {
    asked: bool,
    overrides: bool,
}

/// A rule that is checked on comments.
struct Planned {
    rule: &'static Rule,
    check: fn(&Context<'_>, &mut Findings<'_>),
    /// Only speaks where something is asked for.
    limited: bool,
    /// Speaks of parameters, and only where they are known.
    of_params: bool,
}

/// The rules to be checked on the comments of one file, worked out once.
struct Plan(Vec<Planned>);

impl Plan {
    fn of(file: &FileReading<'_>) -> Self {
        let planned = rules::ALL.iter().filter_map(|&rule| {
            let Check::Comment(check) = rule.check else { return None };
            let needed = rule.decides_completeness() || file.settings.level(rule.id) != Level::None;
            let id = rule.id.as_str();
            needed.then(|| Planned {
                rule,
                check,
                limited: id.ends_with(".missing") || id.starts_with("comment."),
                of_params: id.starts_with("param."),
            })
        });
        Self(planned.collect())
    }

    fn makes_incomplete(&self, finding: &RawFinding) -> bool {
        self.0.iter().any(|planned| planned.rule.id == finding.rule && planned.rule.decides_completeness())
    }

    fn check_comment(
        &self,
        (file, id): (&FileContext<'_>, DeclId),
        (doc, examined): (&DocComment, &Examined<'_>),
        stand: Stand,
        raw: &mut Vec<RawFinding>,
    ) {
        let declaration = file.outline.declaration(id);
        // In JavaScript the comment is where type parameters are declared.
        let types_known = !declaration.signature.type_parameters.is_empty()
            || (doc.has(EntryKind::TypeParam)
                && !declaration.signature.hidden
                && file.language.dialect != Dialect::JavaScript);
        let paired = (examined.known || types_known).then_some((examined.signature, &examined.pairing));
        let context = Context {
            file,
            id,
            doc,
            paired,
            debt: &examined.debt,
            overrides: stand.overrides,
            visible: OnceCell::new(),
        };
        for planned in &self.0 {
            // Where the constructor is not known, only type parameters can be checked.
            if (planned.limited && !stand.asked) || (planned.of_params && !examined.known) {
                continue;
            }
            (planned.check)(&context, &mut Findings::new(planned.rule.id, Some(id), raw));
        }
    }
}

fn check_uncommented(asking: &Asking<'_>, raw: &mut Vec<RawFinding>) {
    for rule in rules::ALL {
        if let Check::Uncommented(check) = rule.check {
            check(asking, &mut Findings::new(rule.id, Some(asking.id), raw));
        }
    }
}

fn check_file(file: &FileContext<'_>, raw: &mut Vec<RawFinding>) {
    for rule in rules::ALL {
        if let Check::File(check) = rule.check
            && file.settings.level(rule.id) != Level::None
        {
            check(file, &mut Findings::new(rule.id, None, raw));
        }
    }
}

/// Reports that comments are older than the signatures they stand on, each with what changed since: what only earlier
/// texts of the file tell.
#[must_use]
pub fn report_stale(file: &FileReading<'_>, found: Vec<(DeclId, String)>) -> Vec<Finding> {
    let raw = found.into_iter().filter_map(|(id, message)| {
        Some(RawFinding {
            rule: rules::STALE.id,
            span: file.doc(id)?.span,
            declaration: Some(id),
            subject: SmolStr::default(),
            message,
            suggestion: None,
            related: vec![Related {
                span: file.outline.declaration(id).name_span,
                label: "what it describes has changed".to_owned(),
            }],
            edits: Vec::new(),
            only_note: false,
        })
    });
    let mut findings: Vec<Finding> = raw.filter_map(|raw| levelled(file, raw)).collect();
    Waivers::of(file).waive(file, &mut findings);
    findings
}

fn levelled(file: &FileReading<'_>, raw: RawFinding) -> Option<Finding> {
    let mut level = file.settings.level(raw.rule);
    if raw.only_note {
        level = level.min(Level::Note);
    }
    if level == Level::None {
        return None;
    }
    let declaration = raw.declaration.map(|id| file.outline.declaration(id));
    Some(Finding {
        level,
        declaration: declaration.map_or(SmolStr::default(), |declaration| declaration.qualified.clone()),
        declaration_span: declaration.map(|declaration| declaration.name_span),
        state: State::New,
        raw,
    })
}
