//! Conditions of simple guards, as text.

/// Tells whether a condition only asks if one thing is null: `load == null`, `null == load`,
/// `load is null`, `load is None`.
pub(in crate::languages) fn refuses_null(condition: &str) -> bool {
    let mut text = condition.trim();
    while let Some(inner) = text.strip_prefix('(').and_then(|rest| rest.strip_suffix(')')) {
        text = inner.trim();
    }
    let sides = text.split_once("==").or_else(|| text.split_once(" is "));
    let Some((left, right)) = sides else { return false };
    let (left, right) = (left.trim(), right.trim());
    let null = |side: &str| matches!(side, "null" | "None" | "nil");
    let plain = |side: &str| {
        !side.is_empty() && side.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | '.' | '@'))
    };
    (null(right) && plain(left)) || (null(left) && plain(right))
}

#[cfg(test)]
mod tests {
    use super::refuses_null;

    #[test]
    fn only_plain_null_tests_count() {
        assert!(refuses_null("(load == null)"));
        assert!(refuses_null("null == load"));
        assert!(refuses_null("load is None"));
        assert!(!refuses_null("load == null || load.isEmpty()"));
        assert!(!refuses_null("load == 0"));
    }
}
