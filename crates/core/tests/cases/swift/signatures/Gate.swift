import Foundation

/// A gate.
public final class Gate<T>: Base, Opens where T: Hashable {
    /// Opens it.
    ///
    /// - Parameters:
    ///   - tag: the tag
    ///   - gone: nothing
    /// - Returns: whether it opened
    @discardableResult
    public func open(for tag: T, after wait: Int..., done: @escaping (Int) -> Void) async throws -> Bool { throw Fault.off }

    /// Shuts it.
    ///
    /// - Parameter hard: how
    /// - Throws: never
    open func shut(_ hard: Bool = true) {}

    public init?(tag: T) {}
    deinit {}
    public subscript(index: Int) -> Int { get { 1 } set {} }
    public var isOpen: Bool { return true }
    fileprivate func hidden() rethrows {}
    func inside() {}
    public override func describe() {}
}

public extension Gate {
    func extended(by count: Int) -> Int { 1 }
}

public protocol Opens {
    associatedtype Tag
    func lift(by height: Int) throws
}

public enum State { case open, shut(since: Int) }

public func == (left: Gate<Int>, right: Gate<Int>) -> Bool { true }

/// A list of crates.
public class CrateList<T> {
    /// Takes crates from a hall.
    ///
    /// - Parameter hall: where they stand
    public init<H: Hall>(hall: H) where
    H.Crate == T,
    H.Floor == Int {
        self.hall = hall
    }

    /// The button.
    public var body: some View {
        Button {
            press()
        }
        label: {
            Text("Press")
        }
    }

    /// Presses them.
    public func press() {}
}

/// A hall.
public protocol Hall {
    associatedtype Crate: Weighed, Moved
    associatedtype Rack: Weighed, Moved
    func lift()
    /// How many there are.
    var count: Int { get }
}

/// A press.
public class Press {
    public func press() {
        go();
    };

    public init() {}
};

@available(*, deprecated, message: "use Press")
public class OldPress {};

/// A scale that tells.
public class TellingScale {
    /// Who is told.
    public var told: ((_: String) -> Void)?
    let adds: (_: String, _: Int) -> Void

    /// Weighs what is handed on.
    ///
    /// - Parameter each: called for each
    @_specialize(kind: partial, where Load == Float)
    @_specialize(kind: partial, where Load == Double)
    public func weigh<Load>(_ each: (_: Load, _: Int) -> Void, load: Load) {}

    public func tare(_: Int, to _: Int) {}
}
