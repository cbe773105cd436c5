pub struct Gate;

impl Gate {
    #[cfg_attr(feature = "wide", doc = "Opens the wide gate.")]
    /// ```
    #[cfg_attr(feature = "wide", doc = "Gate::open(2);")]
    /// ```
    pub fn open(&self) {}
}
