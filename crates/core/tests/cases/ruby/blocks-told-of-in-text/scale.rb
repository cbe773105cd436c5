# Where loads are weighed.
class Scale
  # Weighs crates. If a block is given, it gets each load.
  #
  # @param crates [Array] what to weigh
  def weigh(crates, &block); end

  # Weighs crates. Yields each load.
  #
  # @param crates [Array] what to weigh
  def each_load(crates, &block); end

  # Weighs crates in blocks.
  #
  # @param crates [Array] what to weigh
  def total(crates, &block); end
end
