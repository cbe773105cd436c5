class Crate
  # Sets.
  # @param value [Integer] kg
  def weight=(value); @weight = value; end
  # Heavy?
  # @return [Boolean] yes or no
  def heavy?; weight > 1; end
  def empty!; end
  # Adds.
  def +(other); self; end
  def [](at); end
  def <=>(other); 0; end
  def ==(other); true; end
  def initialize(tag, weight = 0); end
  def to_s; "x"; end
end
