//! `vinequill init`

use clap::Args;

use crate::exit::{Done, Exit, Failure};
use crate::terminal;

/// Options of `init`.
#[derive(Debug, Args)]
pub(crate) struct Init {}

/// The configuration to start from: everything is a comment that tells the default.
pub(crate) const TEMPLATE: &str = include_str!("init.toml");

impl Init {
    /// Writes the configuration; one that is there is left alone.
    pub(crate) fn run(&self) -> Done {
        let path = std::path::Path::new("vinequill.toml");
        if path.exists() {
            return Err(Failure::usage(anyhow::anyhow!(
                "vinequill.toml is there already; edit it, or move it away"
            )));
        }
        std::fs::write(path, TEMPLATE)?;
        terminal::print("wrote vinequill.toml; every line in it is a comment that tells a default\n")?;
        Ok(Exit::Clean)
    }
}

#[cfg(test)]
mod tests {
    use vinequill_core::settings::Config;

    #[test]
    fn the_template_is_valid_as_it_is_and_with_every_key_switched_on() {
        let silent = Config { text: String::new(), ..Config::parse(super::TEMPLATE).unwrap() };
        assert_eq!(silent, Config::default());
        let switched: String = super::TEMPLATE
            .lines()
            .map(|line| line.strip_prefix("#: ").unwrap_or(if line.starts_with('#') { "" } else { line }))
            .flat_map(|line| [line, "\n"])
            .collect();
        let config = Config::parse(&switched).unwrap();
        vinequill_core::settle(&config, &Default::default()).unwrap();
        assert_ne!(config, Config::default());
    }
}
