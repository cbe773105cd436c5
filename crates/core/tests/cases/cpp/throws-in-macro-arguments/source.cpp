/** Checks that a crate without a load is refused. */
void check(int load) {
    MUST_THROW( throw std::runtime_error("empty") );
    MUST_NOT_THROW( (throw std::runtime_error("full"), load) );
}

/**
 * Weighs a crate. It must stand still.
 *
 * @param load in kg
 */
void weigh(int load) {
    throw std::runtime_error("empty");
}
