# A depot whose methods once took a hash.
class Depot
  # Weighs a crate.
  #
  # @param [Crate] crate what to weigh
  # @param [Hash] options
  #   - `:unit => 'kg'`: what to count in
  #   - `:net => true`: takes the pallet off
  #
  # @return [Float] the load
  def weigh(crate, unit: 'kg', net: false)
    crate.load(unit, net)
  end

  # Stows a crate.
  #
  # @param [Crate] crate what to stow
  # @param [Hash] options
  #   * :bay where
  #
  # @return [Boolean] whether there was room
  def stow(crate, bay: nil, level: 0)
    crate.put(bay, level)
  end

  # Moves a crate.
  #
  # @param [Crate] crate what to move
  # @param [Hash] options how
  def move(crate, to)
    crate.put(to)
  end

  # @yields [Crate] each that stands there
  def each(&block)
    @crates.each(&block)
  end
end

# A scale that is switched.
class Scale
  # Whether it is on.
  #
  # @return [Boolean] the state
  # @param [Boolean] state what to switch to
  attr_accessor :switched

  # Asks the scale.
  #
  # @param [Array<String>] keys what to ask for
  # @param [Array<String>] argv what to ask with
  def ask(*args)
    @line.send(args)
  end
end
