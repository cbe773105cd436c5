# A shelf of the till. Methods that count overwrite those which ask the
# @store object, and
# @raises nothing.
class Shelf
  # Finds a bottle.
  #
  # @param name [String] of the wine
  #
  # @return [Bottle] if there is one
  # @return [nil] otherwise
  # @retrun [Integer] misspelt
  def find(name)
    @bottles[name]
  end

  # Counts bottles.
  #
  # @return [Integer] how many
  # @return [Integer] how many
  def count
    @bottles.size
  end
end
