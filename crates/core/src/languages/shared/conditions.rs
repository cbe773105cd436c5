//! Conditions of simple guards, as text.

use crate::model::{Name, Origin};
use crate::reading::{Node, Raised, Walk};
use crate::text::Span;

/// Notes the condition of an `if` that does nothing but throw; a block around the throw is seen through.
pub(in crate::languages) fn note_guard<'t, N: Copy + PartialEq>(
    walk: &mut Walk<'t, N>,
    node: Node<'t>,
    throw: N,
    block: N,
) {
    note_guard_in(walk, node, ("consequence", &[throw], &[block]));
}

/// As [`note_guard`], with the field that the guarded code is in, and several kinds of throws and blocks.
pub(in crate::languages) fn note_guard_in<'t, N: Copy + PartialEq>(
    walk: &mut Walk<'t, N>,
    node: Node<'t>,
    (body, throws, blocks): (&'static str, &[N], &[N]),
) {
    let (Some(condition), Some(then)) = (walk.field(node, "condition"), walk.field(node, body)) else {
        return;
    };
    note_guarded(walk, (condition, then), (throws, blocks));
}

/// Notes the condition of guarded code that does nothing but throw; blocks around the throw are seen through.
pub(in crate::languages) fn note_guarded<'t, N: Copy + PartialEq>(
    walk: &mut Walk<'t, N>,
    (condition, then): (Node<'t>, Node<'t>),
    (throws, blocks): (&[N], &[N]),
) {
    let mut only = then;
    while walk.kind(only).is_some_and(|kind| blocks.contains(&kind)) {
        let [inner] = walk.children(only)[..] else { return };
        only = inner;
    }
    if walk.kind(only).is_some_and(|kind| throws.contains(&kind)) {
        walk.guard_at(only, walk.span(condition));
    }
}

/// Notes that what `made` names is thrown: a guard's doing where only null is refused.
pub(in crate::languages) fn raises_made<N: Copy>(
    walk: &mut Walk<'_, N>,
    made: Node<'_>,
    (exempt, condition): (bool, Option<Span>),
) {
    let origin = if refuses_null(walk, condition) { Origin::Guard } else { Origin::Body };
    let (ty, span) = (Name::simple(walk.text(made)), walk.span(made));
    walk.raises(Raised { ty, span, origin, exempt, condition });
}

/// Tells whether a condition only asks if a parameter of the callable around it is null.
pub(in crate::languages) fn refuses_null<N: Copy>(walk: &Walk<'_, N>, condition: Option<Span>) -> bool {
    condition
        .and_then(|span| tested_for_null(walk.source.slice(span)))
        .is_some_and(|name| walk.takes(name.trim_start_matches('$')))
}

/// Returns what a condition asks to be null, where it asks nothing else: `load == null`, `null == load`,
/// `load is null`, `load is None`.
fn tested_for_null(condition: &str) -> Option<&str> {
    let mut text = condition.trim();
    while let Some(inner) = text.strip_prefix('(').and_then(|rest| rest.strip_suffix(')')) {
        text = inner.trim();
    }
    let sides = text.split_once("===").or_else(|| text.split_once("==")).or_else(|| text.split_once(" is "));
    let (left, right) = sides?;
    let (left, right) = (left.trim(), right.trim());
    let null = |side: &str| matches!(side, "null" | "None" | "nil" | "undefined" | "nullptr" | "NULL");
    let plain = |side: &str| {
        !side.is_empty() && side.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '@' | '$'))
    };
    match (null(left), null(right)) {
        (false, true) if plain(left) => Some(left),
        (true, false) if plain(right) => Some(right),
        _ => None,
    }
}

/// Tells whether a message, in lower case, says that what throws it is to be written by others: "must be implemented",
/// "subclasses should override this".
pub(in crate::languages) fn says_left_to_others(message: &str) -> bool {
    let done = ["implement", "overrid", "overwrit"].iter().any(|word| message.contains(word));
    let asks = [
        "must", "should", "need", "has to", "have to", "to be", "not ", "n't", "unimpl", "please", "subclass",
    ];
    done && asks.iter().any(|word| message.contains(word))
}

#[cfg(test)]
mod tests {
    use super::tested_for_null;

    #[test]
    fn only_plain_null_tests_count() {
        assert_eq!(tested_for_null("(load == null)"), Some("load"));
        assert_eq!(tested_for_null("null == load"), Some("load"));
        assert_eq!(tested_for_null("load is None"), Some("load"));
        assert_eq!(tested_for_null("load == null || load.isEmpty()"), None);
        assert_eq!(tested_for_null("self.load is None"), None);
        assert_eq!(tested_for_null("load == 0"), None);
    }
}
