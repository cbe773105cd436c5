//! How the comments of the files around are written, for drafts in files whose own comments do not show it.

use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError};

use vinequill_core::model::LanguageId;
use vinequill_core::review::{FileReading, Habits};

use crate::session::Session;

/// How many files of a folder are looked at.
const LOOKED_AT: usize = 16;

/// How many comments show a habit; fewer are asked only where the folders above show none.
const ENOUGH: usize = 3;

/// What was found out of folders, each looked at once.
pub(crate) struct Neighbours<'s> {
    session: &'s Session,
    known: Mutex<HashMap<(String, LanguageId), Arc<Habits>>>,
}

impl<'s> Neighbours<'s> {
    /// Nothing is known yet.
    pub(crate) fn new(session: &'s Session) -> Self {
        Self { session, known: Mutex::default() }
    }

    /// Lets a file follow the files around it: those of its folder, else those of the next folder above in which
    /// comments show how they are written.
    pub(crate) fn lend(&self, reading: &FileReading<'_>) {
        if reading.habits().is_telling() {
            return;
        }
        let mut folder = reading.source.path();
        let mut met = None;
        while !folder.is_empty() {
            folder = folder.rsplit_once('/').map_or("", |(folder, _)| folder);
            let habits = self.of_folder(folder, reading);
            if habits.is_telling() {
                let enough = habits.told() >= ENOUGH;
                met.get_or_insert_with(|| Arc::clone(&habits));
                if enough {
                    met = Some(habits);
                    break;
                }
            }
        }
        if let Some(habits) = met {
            reading.follow(Habits::clone(&habits));
        }
    }

    fn of_folder(&self, folder: &str, reading: &FileReading<'_>) -> Arc<Habits> {
        let key = (folder.to_owned(), reading.language.id);
        let known = || self.known.lock().unwrap_or_else(PoisonError::into_inner);
        if let Some(habits) = known().get(&key) {
            return Arc::clone(habits);
        }
        let files = self.session.below(folder, reading.language);
        let every = files.len().div_ceil(LOOKED_AT).max(1);
        let mut habits = Habits::default();
        for file in files.into_iter().step_by(every) {
            let other = self.session.read_found(file);
            if let Some(other) = other.filter(|other| other.language.id == reading.language.id) {
                habits.add(other.habits());
            }
        }
        let habits = Arc::new(habits);
        known().insert(key, Arc::clone(&habits));
        habits
    }
}
