//! Test files, told by where they lie and how they are named.

/// Tells whether a path is a test's: a folder named for tests, or one of `marks` in the file's name.
///
/// A mark that begins with `*` is an ending of the name without its own ending, one that ends with `*`
/// a beginning, any other the whole.
pub(in crate::languages) fn is_test_path(path: &str, marks: &[&str]) -> bool {
    let mut parts = path.rsplit('/');
    let file = parts.next().unwrap_or_default();
    let stem = file.split('.').next().unwrap_or_default();
    // A dot may be part of the name: `scale_go1.17_test.go`.
    let whole = file.rsplit_once('.').map_or(file, |(whole, _)| whole);
    let folder =
        parts.any(|part| matches!(part, "test" | "tests" | "Test" | "Tests" | "__tests__" | "testing"));
    folder
        || marks.iter().any(|mark| match (mark.strip_prefix('*'), mark.strip_suffix('*')) {
            (Some(ending), _) => {
                (stem.ends_with(ending) && stem != ending) || (whole.ends_with(ending) && whole != ending)
            }
            (_, Some(beginning)) => stem.starts_with(beginning),
            (None, None) => stem == *mark,
        })
}

#[cfg(test)]
mod tests {
    use super::is_test_path;

    #[test]
    fn folders_and_names_tell_tests() {
        assert!(is_test_path("press/tests/scale.py", &[]));
        assert!(is_test_path("press/test_scale.py", &["test_*"]));
        assert!(is_test_path("press/ScaleTest.java", &["*Test"]));
        assert!(is_test_path("press/scale_go1.17_test.go", &["*_test"]));
        assert!(!is_test_path("press/contest.py", &["test_*", "*_test"]));
    }
}
