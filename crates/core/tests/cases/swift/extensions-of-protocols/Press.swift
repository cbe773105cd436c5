/// What can be pressed.
public protocol Pressable {
    /// Presses it.
    func press(load: Int) -> Bool

    func rest()
}

public extension Pressable {
    func press(load: Int) -> Bool {
        return load > 0
    }

    func rest() {}

    func wait(days: Int) {}
}
