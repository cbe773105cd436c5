import Foundation

/// Why a gate stays shut.
public enum GateFault: Error {
    case noPower
    case unknownTag(number: Int)
}

/// The gate of the press house.
public final class Gate {
    private var known: Set<Int> = []

    /// Makes a gate that knows no tag.
    public init() {}

    /// Lets a tag in.
    ///
    /// - Parameters:
    ///   - tag: the number on the crate
    ///   - seconds: how long it stays open
    /// - Returns: whether it had to move
    /// - Throws: `GateFault.unknownTag` for strangers
    @discardableResult
    public func open(for tag: Int, during seconds: Double = 20) throws -> Bool {
        guard known.contains(tag) else { throw GateFault.unknownTag(number: tag) }
        return seconds > 0
    }

    /// Learns a tag.
    ///
    /// - Parameter number: what is printed on the crate
    /// - Parameter grower: who owns it
    public func learn(_ number: Int, of farm: String) throws {
        known.insert(number)
    }

    /// Shuts the gate.
    ///
    /// - Throws: when it has no power
    public func shut() {
        known.removeAll()
    }

    public func describe() -> String {
        "\(known.count) tags"
    }
}
