//! What is met most often.

/// Values, each with how often it was met.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(crate) struct Votes<T>(Vec<(T, usize)>);

impl<T> Default for Votes<T> {
    fn default() -> Self {
        Self(Vec::new())
    }
}

impl<T: Copy + PartialEq> Votes<T> {
    /// Counts a value.
    pub(crate) fn add(&mut self, value: T) {
        self.add_many(value, 1);
    }

    /// Counts a value several times.
    pub(crate) fn add_many(&mut self, value: T, times: usize) {
        match self.0.iter_mut().find(|(known, _)| *known == value) {
            Some((_, count)) => *count += times,
            None if times > 0 => self.0.push((value, times)),
            None => {}
        }
    }

    /// Counts all that others count.
    pub(crate) fn add_all(&mut self, others: &Self) {
        for &(value, times) in &others.0 {
            self.add_many(value, times);
        }
    }

    /// Returns how many there are in all.
    pub(crate) fn count(&self) -> usize {
        self.0.iter().map(|(_, count)| count).sum()
    }

    /// Tells whether a value was met more often than any other.
    pub(crate) fn is_most(&self, value: T) -> bool {
        let count =
            |value: T| self.0.iter().find(|(known, _)| *known == value).map_or(0, |(_, count)| *count);
        let own = count(value);
        self.0.iter().all(|&(known, times)| known == value || times < own)
    }

    /// Returns the value that was met most; of equals the customary one, else the first. Nothing where there is none.
    pub(crate) fn most(&self, customary: T) -> Option<T> {
        let best = self.0.iter().map(|(_, count)| *count).max()?;
        let mut equals = self.0.iter().filter(|(_, count)| *count == best).map(|(value, _)| *value);
        let first = equals.clone().next();
        equals.find(|value| *value == customary).or(first)
    }
}

#[cfg(test)]
mod tests {
    use super::Votes;

    #[test]
    fn of_equals_the_customary_wins() {
        let mut votes = Votes::default();
        assert_eq!(votes.most('c'), None);
        votes.add('a');
        votes.add('c');
        assert_eq!((votes.most('c'), votes.most('x'), votes.count()), (Some('c'), Some('a'), 2));
        votes.add_many('b', 2);
        assert_eq!(votes.most('c'), Some('b'));
    }
}
