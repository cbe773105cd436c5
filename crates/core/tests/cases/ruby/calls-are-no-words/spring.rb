# The source above the press house.
class Spring
  # Opens the valve.
  #
  # @param litres [Integer] how much
  # @raise [Stuck] if the valve does not move
  def open(litres)
    turn(litres)
  rescue IOError
    raise Stuck, 'the valve does not move'
  end

  # Closes the valve.
  #
  # @param hard [Boolean] whether to press it in
  # @raise [KeyError] never
  def close(hard)
    raise ArgumentError, 'it does not move' if hard
  end

  # Cleans the basin.
  #
  # @param litres [Integer] how much
  def clean(litres)
    turn(litres)
  rescue IOError
    raise
  end

  def seen; end
  private :seen

  # Only `seen` is private.
  def shown(crate, lid); end

  private def inline; end

  # So is `inline`, not this.
  def shown_too(crate); end
end

# What is tried again.
class Again
  # Tries to open.
  #
  # @param kinds [Array<Class>] what may go wrong
  # @raise [ArgumentError] without kinds
  def try(kinds)
    raise ArgumentError unless kinds

    turn
  rescue *kinds
    raise
  end
end
