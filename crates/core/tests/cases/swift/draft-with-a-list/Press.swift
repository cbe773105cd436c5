/// Weighs a crate.
/// - Parameters:
///   - crate: The number of the crate.
///   - tare: Its tare in kg.
/// - Returns: The load in kg.
public func weigh(crate: Int, tare: Double) -> Double { tare }

public func press(vat: Int, rounds: Int) -> Bool { true }

public func stop(vat: Int) {}

/// Fills a vat.
/// - Parameters:
///   - vat: The number of the vat.
///   - litres: How much.
public func fill(vat: Int, litres: Int, slowly: Bool) {}
