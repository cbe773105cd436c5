#pragma once

/// <summary>
/// Weighs crates.
/// </summary>
class Scale {
public:
    /// <summary>
    /// Weighs a crate. It takes a while.
    /// </summary>
    /// <param name="crate">What stands on it.</param>
    /// <param name="tara">What is taken off.</param>
    /// <returns>Its mass in kg.</returns>
    double weigh(int crate, double tare);

    /// \brief Levels it. It takes a while.
    /// \param slowly whether to wait
    void level(bool slowly, std::vector<int> by);
};
