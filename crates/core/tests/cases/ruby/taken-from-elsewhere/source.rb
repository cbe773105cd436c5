# Water that runs down from the ridge.
module Flows
  # Opens the upper valve.
  #
  # @return [void]
  def open_valve; end
end

# The source above the press house.
class Spring
  include Flows

  # Measures the water; {#open_valve} lets it run.
  #
  # @see #open_valve
  # @see #close_vavle
  # @param hours [Integer] how long to look
  # @return [Float] litres an hour
  def measure(hours); end

  # Measures the water twice.
  #
  # @param (see #measure)
  # @return (see #measure)
  # @raise (see #measure)
  def measure_twice(hours)
    raise ArgumentError, 'no time' unless hours

    hours * 2
  end

  # (see #measure)
  def measure_later(hours)
    raise ArgumentError, 'no time' unless hours
  end

  # Writes a level down.
  #
  # @param place [Symbol] where it was read
  # @param levels [#[], #[]=] what keeps it
  def []=(place, levels); end

  # Reads a level.
  #
  # @param place [Symbol] where it was read
  def [](place, hour); end
end
