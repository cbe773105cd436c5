/// Opens the gate for a crate.
public func open(crate: Int) {
    // TODO: ask the second reader
    lift()
    // wait(for: 3)
    lower()
}
