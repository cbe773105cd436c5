//! Whether there is a comment, and whether callers get to see it.

use super::rule::{Check, Example, Rule};
use super::{Asking, Context, FileContext, Findings, publish};
use crate::model::{
    Body, Carrier, CommentId, Declaration, Doc, Level, Misplaced, Outline, RawComment, RuleId,
};
use crate::reading::names_its_subject;
use crate::text::{Source, Span, narrow};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("comment.missing"),
    level: Level::Warning,
    says: "a declaration that is asked for a comment has none",
    why: "It stands without a word in every list, hover and page.",
    example: Example {
        language: "java",
        config: "",
        before: "/** A scale. */\npublic class Scale {\n    public void tare() {}\n}\n",
        after: "/** A scale. */\npublic class Scale {\n    /** Sets the empty crate as zero. */\n    public void tare() {}\n}\n",
    },
    check: Check::Uncommented(missing),
};

pub(super) static DETACHED: Rule = Rule {
    id: RuleId::new("comment.detached"),
    level: Level::Warning,
    says: "a doc comment stands above a declaration, and its readers drop it",
    why: "It is there in the source and missing everywhere else.",
    example: Example {
        language: "java",
        config: "",
        before: "/** A scale. */\npublic class Scale {\n    @Deprecated\n    /** Sets the empty crate as zero. */\n    public void tare() {}\n}\n",
        after: "/** A scale. */\npublic class Scale {\n    /** Sets the empty crate as zero. */\n    @Deprecated\n    public void tare() {}\n}\n",
    },
    check: Check::Uncommented(detached),
};

pub(super) static ORDINARY: Rule = Rule {
    id: RuleId::new("comment.ordinary"),
    level: Level::Warning,
    says: "an ordinary comment stands where a doc comment would",
    why: "Somebody wrote the explanation, and callers never see it.",
    example: Example {
        language: "java",
        config: "",
        before: "/** A scale. */\npublic class Scale {\n    // Sets the empty crate as zero.\n    public void tare() {}\n}\n",
        after: "/** A scale. */\npublic class Scale {\n    /** Sets the empty crate as zero. */\n    public void tare() {}\n}\n",
    },
    check: Check::Uncommented(ordinary),
};

pub(super) static EMPTY: Rule = Rule {
    id: RuleId::new("comment.empty"),
    level: Level::Warning,
    says: "a doc comment has neither text nor entries",
    why: "It looks documented and says nothing.",
    example: Example {
        language: "java",
        config: "",
        before: "/** A scale. */\npublic class Scale {\n    /** */\n    public void tare() {}\n}\n",
        after: "/** A scale. */\npublic class Scale {\n    /** Sets the empty crate as zero. */\n    public void tare() {}\n}\n",
    },
    check: Check::Comment(empty),
};

pub(super) static STRAY: Rule = Rule {
    id: RuleId::new("comment.stray"),
    level: Level::Note,
    says: "a doc comment belongs to nothing",
    why: "Readers drop it; it is either misplaced, or an ordinary comment in the wrong dress.",
    example: Example {
        language: "java",
        config: "",
        before: "/** A scale. */\npublic class Scale {\n    /** Sets the empty crate as zero. */\n    public void tare() {\n        /** Not yet. */\n        return;\n    }\n}\n",
        after: "/** A scale. */\npublic class Scale {\n    /** Sets the empty crate as zero. */\n    public void tare() {\n        // Not yet.\n        return;\n    }\n}\n",
    },
    check: Check::File(stray),
};

fn missing(asking: &Asking<'_>, findings: &mut Findings<'_>) {
    let declaration = asking.declaration();
    if declaration.comment.misplaced.is_some() {
        return;
    }
    let mark = asking.file.dress().mark(declaration.kind.is_callable());
    let message = format!(
        "{} `{}` has no doc comment; describe it in one (`{mark}`)",
        declaration.kind.as_str(),
        declaration.name
    );
    findings.report(declaration.name_span, "", message).done();
}

fn detached(asking: &Asking<'_>, findings: &mut Findings<'_>) {
    let declaration = asking.declaration();
    let Some(Misplaced::Detached(id)) = declaration.comment.misplaced else { return };
    let comment = asking.file.outline.comment(id);
    // A directive that somebody took out: `///#if PRESS`.
    if asking.file.source.slice(comment.span).starts_with("///#") {
        return;
    }
    let where_to = match comment.carrier {
        Carrier::Docstring => "make it the first statement of the body",
        Carrier::Block { .. } | Carrier::Lines { .. } if declaration.span.contains(comment.span) => {
            "move it above the declaration, before its annotations"
        }
        Carrier::Block { .. } | Carrier::Lines { .. } => "move it directly above the declaration",
    };
    let message = format!("this comment is not shown to callers of `{}`; {where_to}", declaration.name);
    findings
        .report(comment.span, "", message)
        .related(declaration.name_span, "stands without a comment")
        .mend(publish::moved(asking.file, comment, declaration));
}

fn ordinary(asking: &Asking<'_>, findings: &mut Findings<'_>) {
    let declaration = asking.declaration();
    let Some(Misplaced::Ordinary(id)) = declaration.comment.misplaced else { return };
    if heads_several(asking.file.outline, asking.file.source, declaration) {
        return;
    }
    let comment = asking.file.outline.comment(id);
    let mark = match comment.carrier {
        Carrier::Block { open, .. } => open,
        Carrier::Lines { mark } => mark,
        Carrier::Docstring => "string",
    };
    let wanted = asking.file.dress().mark(asking.file.source.slice(comment.span).contains('\n'));
    let message = format!("this `{mark}` comment is not shown to callers; make it `{wanted}`");
    findings
        .report(comment.span, "", message)
        .related(declaration.name_span, "stands without a comment")
        .mend(publish::dressed(asking.file, comment, declaration));
}

/// Tells whether a comment above a declaration may be the heading of several: another follows on the next line, and
/// none of them takes more room than a head.
fn heads_several(outline: &Outline, source: &Source, declaration: &Declaration) -> bool {
    let end = declaration.span.end;
    let small = declaration.body != Body::Present || !source.slice(declaration.span).contains('\n');
    let next = outline.declarations.partition_point(|other| other.span.start < end);
    // Of one declared several times it tells what all of them do.
    let next = outline.declarations.get(next).filter(|next| small && next.name != declaration.name);
    let Some(next) = next else { return false };
    // A comment of its own is part of it: one may have been drafted.
    let own = next.comment.doc.map(|id| outline.comment(id).span.start);
    let start = own.map_or(next.span.start, |own| own.clamp(end, next.span.start));
    let gap = source.slice(Span::new(end, start));
    gap.matches('\n').count() == 1 && gap.trim().trim_start_matches([';', ',']).is_empty()
}

fn empty(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !context.doc.blank {
        return;
    }
    // Where any comment may be documentation, one without words is only space.
    let raw = context.declaration().comment.doc.map(|id| context.file.outline.comment(id));
    let perhaps = raw.is_some_and(|raw| raw.standing == Doc::IfAbove);
    // Part of it is made when the code is built.
    let computed = context.declaration().computed_comment;
    // A line across the page parts what is above from what is below.
    let inside = context.slice(context.doc.span);
    let rules =
        ["---", "===", "***", "###", "___"].iter().any(|rule| inside.trim_start_matches('/').contains(rule));
    // Signs may show what words do not: `▶◀`.
    let shows = inside.chars().any(|c| !c.is_ascii() && !c.is_whitespace());
    // So does the sign of an operator: `"""/"""` in `__truediv__`.
    let is_text = |c: char| !c.is_whitespace() && !matches!(c, '"' | '\'');
    let shows = shows || context.declaration().fixed && inside.contains(is_text);
    if !perhaps && !computed && !rules && !shows {
        let message = format!(
            "the comment of `{}` says nothing; write a sentence or remove it",
            context.declaration().name
        );
        findings.report(context.doc.span, "", message).done();
    }
}

/// Only version control knows what was there before: whoever has both texts asks for it.
pub(crate) static STALE: Rule = Rule {
    id: RuleId::new("comment.stale"),
    level: Level::Note,
    says: "version control shows that the signature changed in a later commit than the comment",
    why: "Code moved on and the comment did not: read it again, and change it or leave it on purpose.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a crate, in kg. */\npublic double weigh(int crate, double tare) { return 0; }\n",
        after: "/** Weighs a crate without its tare, in kg. */\npublic double weigh(int crate, double tare) { return 0; }\n",
    },
    check: Check::History,
};

fn stray(file: &FileContext<'_>, findings: &mut Findings<'_>) {
    let comments = &file.outline.comments;
    for (at, comment) in comments.iter().enumerate().skip(1) {
        let customary =
            std::mem::discriminant(&comment.carrier) == std::mem::discriminant(&file.language.carrier);
        if !comment.doc || comment.attached || !customary || is_directive(file.source, comment) {
            continue;
        }
        let next = comments.get(at + 1);
        let followed =
            next.is_some_and(|next| next.doc && only_space(file.source, comment.span.end, next.span.start));
        let subject = || names_its_subject(file.outline, file.source, CommentId(narrow(at)));
        if belongs_to_value(file, comment.span.end)
            || (file.language.notation.as_str() == "commands" && subject())
        {
            continue;
        }
        if comment.in_body || followed || ends_block(file, comment.span.end) {
            let owner = comment.owner.filter(|&id| contains(file.outline, id.0, comment.span));
            let message = "this doc comment belongs to nothing; move it above a declaration, or make it an ordinary one";
            findings.report_in(owner, comment.span, "", message.to_owned()).done();
        }
    }
}

fn contains(outline: &Outline, id: u32, span: Span) -> bool {
    outline.declarations.get(id as usize).is_some_and(|declaration| declaration.span.contains(span))
}

fn only_space(source: &Source, from: u32, upto: u32) -> bool {
    source.slice(Span::new(from, upto)).trim().is_empty()
}

/// The next thing after a comment is a function without a name, which it is about.
fn belongs_to_value(file: &FileContext<'_>, end: u32) -> bool {
    let rest = file.source.text().get(end as usize..).unwrap_or_default().trim_start();
    let next = rest.split(|c: char| !c.is_alphanumeric()).find(|word| !word.is_empty()).unwrap_or_default();
    let opens = rest.starts_with(next) && matches!(next, "function" | "fn" | "async");
    opens
        || rest
            .strip_prefix("static ")
            .is_some_and(|rest| rest.starts_with("fn") || rest.starts_with("function"))
}

/// The next thing after a comment closes a block, or the file ends.
fn ends_block(file: &FileContext<'_>, end: u32) -> bool {
    let rest = file.source.text().get(end as usize..).unwrap_or_default().trim_start();
    rest.is_empty() || rest.starts_with('}')
}

/// Comments that speak to tools.
fn is_directive(source: &Source, comment: &RawComment) -> bool {
    let text = source.slice(comment.span);
    ["@noinspection", "@formatter:", "{@inheritDoc}", "@type ", "@cast", "@var "]
        .iter()
        .any(|mark| text.contains(mark))
        || is_for_tools(text)
        || names_what_it_is_about(text)
}

/// A command that names a declaration says where the comment belongs.
fn names_what_it_is_about(text: &str) -> bool {
    let words = ["fn ", "var ", "def ", "struct ", "class ", "enum ", "union ", "typedef ", "concept "];
    text.contains(['@', '\\'])
        && text.lines().any(|line| {
            let line = line.trim_start_matches(|c: char| c.is_whitespace() || matches!(c, '*' | '/' | '!'));
            let command = line.strip_prefix(['@', '\\']).unwrap_or_default();
            words.iter().any(|word| command.starts_with(word))
        })
}

/// A tag with a hyphen in it is a tool's.
fn is_for_tools(text: &str) -> bool {
    let tag = text.split('@').nth(1).and_then(|rest| rest.split_whitespace().next()).unwrap_or_default();
    tag.contains('-') && tag.starts_with(|c: char| c.is_ascii_lowercase())
}
