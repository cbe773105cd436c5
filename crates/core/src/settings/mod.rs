//! What a project or a person asks for: configuration text to settings, each table beside its type.

mod config;
mod error;
mod levels;
mod profile;
mod resolve;

pub use config::{
    Ask, Config, CoverageConfig, DemandConfig, DraftConfig, Fill, Floor, HeaderConfig, Keep, LanguageConfig,
    Opening, PlainDemand,
};
pub use error::ConfigError;
pub use levels::{LevelSetting, covers, level_of};
pub use profile::{
    Case, ColumnsConfig, DeclarationConfig, Declarations, DocAt, DocMark, ExampleConfig, LabelsConfig,
    Located, Pattern, ProfileConfig, Several,
};
pub use resolve::{Known, LanguageSettings, Overrides, Settings};
