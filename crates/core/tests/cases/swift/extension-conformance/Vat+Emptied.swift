extension Vat: Emptied {
    public func empty() {}
    public func rinse() {}
}
