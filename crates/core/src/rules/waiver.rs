//! Waivers: findings that the source itself sets aside.

use super::rule::{Check, Example, Rule};
use crate::model::{Level, RuleId};

/// The review knows which waivers were used, once all rules have run.
pub(crate) static UNUSED: Rule = Rule {
    id: RuleId::new("waiver.unused"),
    level: Level::Note,
    says: "a waiver of a rule that ran had nothing to waive, or has no reason",
    why: "Waivers that outlive their cause hide the next fault.",
    example: Example {
        language: "java",
        config: "",
        before: "/**\n * Weighs a crate.\n *\n * vinequill: waive param.missing -- the load is told in the overview\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate. See the overview.\n *\n * vinequill: waive param.missing -- the load is told in the overview\n *\n * @return the net load\n */\npublic int weigh(double load) { return 0; }\n",
    },
    check: Check::Afterwards,
};
