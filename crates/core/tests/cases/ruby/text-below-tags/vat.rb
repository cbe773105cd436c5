# A vat.
class Vat
  # @abstract
  #
  # Fills the vat up to a level. This must be implemented.
  #
  # @param [Integer] level
  #   in litres
  def fill(level)
    raise NotImplementedError, level
  end

  # @api private
  #   and only so
  # @param [Integer] level in litres
  def drain(level)
    @level = level
  end
end

# === Description:
#
# Keeps crates. They are stacked.
#
# === Use:
#
#   Stack.new
class Stack
end

# Opens vats.
class Opener
  # @see Vat#fill
  # Opens a vat and fills it up to a level.
  # @param [Integer] level in litres
  # @return [Vat] the open vat
  def open(level)
    @level = level
  end
end
