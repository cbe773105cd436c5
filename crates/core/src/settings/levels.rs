//! Which level a rule has.

use crate::model::{Level, RuleId};

/// A level for a rule, for `subject.*`, or for `*`.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct LevelSetting {
    /// The rule or pattern.
    pub pattern: String,
    /// The level.
    pub level: Level,
}

/// Tells whether a rule, `subject.*` or `*` names a rule.
#[must_use]
pub fn covers(pattern: &str, rule: RuleId) -> bool {
    match pattern.strip_suffix('*') {
        Some(prefix) => rule.as_str().starts_with(prefix),
        None => pattern == rule.as_str(),
    }
}

/// Returns the level of a rule: of one layer the most specific setting wins (of equals the last), and a
/// later layer wins over an earlier one.
#[must_use]
pub fn level_of(rule: RuleId, default: Level, layers: &[Vec<LevelSetting>]) -> Level {
    let mut level = default;
    for layer in layers {
        let found =
            layer.iter().filter(|setting| covers(&setting.pattern, rule)).max_by_key(|s| s.pattern.len());
        if let Some(setting) = found {
            level = setting.level;
        }
    }
    level
}

#[cfg(test)]
mod tests {
    use super::*;

    fn set(pattern: &str, level: Level) -> LevelSetting {
        LevelSetting { pattern: pattern.to_owned(), level }
    }

    #[test]
    fn the_most_specific_setting_of_the_last_layer_wins() {
        let rule = RuleId::new("param.empty");
        let file = vec![set("param.empty", Level::Note), set("param.*", Level::Error)];
        assert_eq!(level_of(rule, Level::Warning, std::slice::from_ref(&file)), Level::Note);
        let option = vec![set("param.*", Level::None)];
        assert_eq!(level_of(rule, Level::Warning, &[file, option]), Level::None);
    }
}
