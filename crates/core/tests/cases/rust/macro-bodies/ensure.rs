//! Checks.

macro_rules! parse {
    (0 $stack:tt $bail:tt (~$($fuel:tt)*) {($($buf:tt)*) $($parse:tt)*} ($andand:tt $mut:tt $($dup:tt)*) && mut $($rest:tt)*) => {
        $crate::parse!(0 $stack $bail ($($fuel)*) {($($buf)* $andand $mut) $($parse)*} ($($rest)*) $($rest)*)
    };
}

/// Weighs what is left of `\` and the rest, which stays.
pub fn weigh() {}
