# Opens.
#
# It may fail.
# @raise [ShutError] when shut
# @raise [GoneError] never
def open(a)
  raise "plain" if a.nil?
  raise ArgumentError, "x" unless a
  raise ShutError.new("y") if a > 1
  raise NotImplementedError
rescue ArgumentError => e
  raise
end

# Reads.
def read(a)
  fail IOError, "x"
  raise a
  begin
    raise KeyError
  rescue KeyError
    nil
  end
end

# Presses grapes; each kind of press does it in its own way.
class AnyPress
  # Presses a crate.
  #
  # @param crate [Crate] the crate
  # @raise [CrateLost] if the crate is not there
  # @return [Integer] the juice, in litres
  def press(crate)
    raise NotSupportedByPressError, "AnyPress#press"
  end

  # Stops.
  #
  # @raise [CrateLost] if the crate is not there
  def stop(crate)
    log(crate)
    raise NotSupportedByPressError unless crate
  end
end

# Presses by hand.
class HandPress
  # Presses a crate.
  #
  # @param crate [Crate] what is pressed
  # @raise [CrateLost] if the crate is not there
  def press(crate)
    raise NotSupportedByHandError unless crate.light?
    crate.press
  end
end
