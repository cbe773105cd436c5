# Weighs crates.
class Scale
  # Levels a scale.
  #
  # @!macro [new] scale.options
  #   @param opts [Hash] what to wait for
  #
  # @param name [String] which scale
  # @macro scale.options
  def level(name, opts)
    name + opts
  end

  # Weighs a crate.
  #
  # @param crate [Object] what stands on it
  # @aliases tip
  def weigh(_crate)
    nil
  end

  # The settings.
  #
  # === Returns
  # @options<Hash>:: what is set
  def options
    @options
  end

  # Orders a crate.
  #
  # @param Wood [String] what it is made of
  # @param Width [Integer] in centimetres
  # @return [Crate] the crate
  def order(options = {})
    Crate.new(options)
  end

  # @return [Crate] the crate on it
  # @return [nil] if it is empty
  def crate
    @crate
  end
end
