//! What all commands share that change comments: how a change is shown, written, or asked about piece by piece.

mod ask;
mod change;

pub(crate) use ask::{Piece, header_of};
pub(crate) use change::{Change, How, Words, deliver, deliver_given};
