//! The pages in a real browser, driven through WebDriver (W3C Recommendation): read from disk, as readers open them.
//!
//! Needs Debian's `chromium` and `chromium-driver`; the accessibility test needs `axe.min.js` of the `axe-core` package
//! besides, whose place `VINEQUILL_AXE` names. Where they are missing the tests are left out and listed as ignored; with
//! `VINEQUILL_BROWSER=required` they fail.

#![expect(clippy::unwrap_used, reason = "helpers of tests stop the test where they fail")]
#![expect(clippy::print_stdout, reason = "what is left out is said where the results stand")]

mod driver;
mod pages;

use libtest_mimic::{Arguments, Failed, Trial};

use driver::Missing;

type Test = fn(&driver::Site) -> Result<(), Failed>;

fn main() {
    let arguments = Arguments::from_args();
    let required = std::env::var("VINEQUILL_BROWSER").is_ok_and(|value| value == "required");
    let missing = driver::missing();
    let mut trials = Vec::new();
    for (name, test, needs_axe) in pages::ALL {
        let left_out = match &missing {
            Some(Missing::Browser) => true,
            Some(Missing::Axe) => *needs_axe,
            None => false,
        };
        if left_out && !required {
            trials.push(Trial::test(*name, || Ok(())).with_ignored_flag(true));
        } else if left_out {
            trials.push(Trial::test(*name, || Err(Failed::from(driver::WHAT_IS_NEEDED))));
        } else {
            let test: Test = *test;
            trials.push(Trial::test(*name, move || driver::with_site(test)));
        }
    }
    if missing.is_some() && !required && !arguments.list {
        println!("\nLeft out: {}", driver::WHAT_IS_NEEDED);
    }
    libtest_mimic::run(&arguments, trials).exit();
}
