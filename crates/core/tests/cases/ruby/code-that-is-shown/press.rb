# Presses crates. This is how it is used:
#
#   class Cellar
#     def open(crates)
#       @crates = crates.new do |crate|
#         @press.take(crate)
#       end
#       @options
#       @paramm
#     end
#   end
class Press
  # Takes a crate.
  #
  #   @options
  #
  # @param [Crate] crate the crate
  # @param [Crate] none no such
  # @return [Boolean] whether it was taken
  def take(crate)
    @crates << crate
  end
end
