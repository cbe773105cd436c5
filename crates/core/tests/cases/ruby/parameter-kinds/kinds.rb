# Pays a grower.
#
# @param sum [Integer] coins
# @param to [String] who
# @param nope [String] no such
# @return [Boolean] whether it went out
def pay(sum, to = "a, (b", *rest, when:, how: :cash, **more, &done)
  yield sum
end

# Counts.
# @yield [coin] each coin
# @yieldparam coin [Coin] one
# @yieldreturn [Boolean] go on
def count((a, b), ...)
end

# @option opts [String] :name shown
# @param opts [Hash] all
def open(opts = {}) = opts
