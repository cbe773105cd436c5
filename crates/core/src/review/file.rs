//! The review of one file: rules on every comment, then levels and order.

use std::cell::OnceCell;

use arcstr::Substr;
use smol_str::SmolStr;

use super::waivers::Waivers;
use super::{FileReading, Standing, Standings};
use super::{about, accept};
use crate::debt::{Debt, Debtor};
use crate::model::{
    Construction, DeclId, Declaration, Dialect, DocComment, EntryKind, Finding, Kind, Level, RawFinding,
    Related, Signature, State,
};
use crate::notations;
use crate::pairing::{self, Pairing};
use crate::rules::{self, Asking, Check, Context, FileContext, Findings, Rule};

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
    /// Whether it speaks of something that the declaration only stands for: nothing is owed then.
    pub stands_for_another: bool,
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
    accept::other_names(file, id, doc, (signature, &mut pairing));
    let stands_for_another = about::is_shown_only(file, declaration, doc);
    let known = known && !stands_for_another && !about::is_of_another(file, declaration, doc, &pairing);
    if let Some(class) = class_doc(file, declaration) {
        // A constructor and its class share entries: one at either place answers.
        let shared = pairing::pair(class, signature);
        for (own, other) in pairing.params.entry_of.iter_mut().zip(shared.params.entry_of) {
            *own = own.or(other.map(|_| usize::MAX));
        }
    }
    let mut examined = Examined { signature, known, stands_for_another, pairing, debt: Debt::default() };
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
    let mut debt = match standings.owes(file, id, doc) && !examined.stands_for_another {
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
    if declaration.kind.is_type() && declaration.kind != Kind::Delegate {
        debt.returns = false;
        debt.yields = false;
        debt.throws.clear();
    }
    if declaration.has_constructor_apart() {
        debt.params.fill(false);
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
            message: message.into(),
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
        declaration: declaration
            .map_or_else(Substr::new, |declaration| declaration.qualified.as_str().into()),
        declaration_span: declaration.map(|declaration| declaration.name_span),
        state: State::New,
        raw,
    })
}
