/**
 * Takes a crate off the pile. Throws EmptyPile if there is none.
 *
 * @param pile the pile
 */
inline void take(int pile)
{
    if (pile == 0) {
        throw EmptyPile();
    }
    throw std::out_of_range("pile");
}

/**
 * Weighs a crate twice and compares. Returns true if both are equal.
 *
 * @param crate its number
 */
bool weigh_twice(int crate);

/**
 * Weighs a crate twice, compares and returns.
 *
 * @param crate the crate. Returns must be empty.
 */
bool weigh_again(int crate);
