mod scale;
mod shelf;

pub use self::shelf::Shelf;

pub use other::Scale;
