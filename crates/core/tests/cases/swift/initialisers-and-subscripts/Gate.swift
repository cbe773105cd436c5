/// A gate.
open class Gate {
  /// Makes one.
  /// - Parameter name: shown
  public init(name: String, count: Int = 1) {}
  public convenience init?(text: String) { nil }
  required init!(coder: NSCoder) {}
  deinit {}
  /// Row.
  /// - Parameter row: which
  public subscript(row: Int, column: Int) -> Int { get { 1 } set { } }
  /// Whether open.
  public var isOpen: Bool { true }
  public private(set) var count = 0, other: Int = 1
  public static let shared = Gate(name: "x")
  public lazy var later: Int = { 1 }()
  public class func make() -> Gate { Gate(name: "") }
  open override func go(_ a: Int) {}
  public static func + (a: Gate, b: Gate) -> Gate { a }
}
