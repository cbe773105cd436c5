# A scale.
class Scale
  # @api private
  # Tares the scale, if it is empty.
  # @param load [Float] what lies on it
  def tare(load)
    fail "not empty" if load > 0
  end

  # Weighs each crate.
  #
  # @param crates [Array] what is weighed
  # @param block [Block] takes the loads
  def each_load(crates)
    crates.each { |crate| yield crate.load }
  end

  # Weighs each crate, and prints a label. It is tared before.
  #
  # @param crates [Array] what is weighed
  # @yields [Float] its load
  def each_label(crates, &block)
    crates.map(&block)
  end
end
