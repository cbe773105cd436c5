# A vat.
class Vat
  # @!attribute [r] level
  #   How full it is, in litres.
  #   @return [Float]
  # @!attribute [r] wine
  #   What is in it.
  #   @return [Wine]

  attr_reader :level, :wine, :tap

  attr_reader :lid, :hoop
end
