# A barn. Big.
class Barn
  # Makes one. Empty.
  # @param width [Integer] how wide
  # @param name [String, nil] its name
  def initialize(width, name: nil)
    @width = width
  end

  # Weighs. Slowly.
  # @param crates [Array<Crate>] what
  # @param by [Symbol] how
  # @param opts [Hash] more
  # @option opts [Integer] :times (1) how often
  # @yieldparam crate [Crate] each
  # @yieldreturn [Integer] its mass
  # @return [Integer] their mass
  # @raise [ArgumentError] if there is none
  def weigh(*crates, by: :mass, **opts, &block)
    raise ArgumentError, 'none' if crates.empty?

    crates.sum(&block)
  end

  # Adds. Both.
  # @param other [Barn] another
  # @return [Barn] both
  def +(other)
    self
  end

  # The width. In m.
  # @param value [Integer] how wide
  # @return [void]
  def width=(value)
    @width = value
  end

  # Lists crates. All of them.
  #
  # @param options [Hash] what is asked for
  # @option options [String] :filter which
  # @option options [Integer] :most how many
  # @core listing
  def list(filter: nil, most: nil)
  end

  # Binds. Hard.
  # @param rope [Rope] by what
  # @option knots [Integer] The number of knots.
  def bind(rope, knots: 0)
  end
end
