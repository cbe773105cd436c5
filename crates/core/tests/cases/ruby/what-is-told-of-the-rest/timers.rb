# Timers of the press.
module Timers
  # Adds a timer.
  #
  # @param delay [Integer] how long to wait
  # @yield when the time has come
  def self.add_timer(*args, &block)
    delay = args.shift
    code = args.shift || block
    plan(delay, code)
  end

  # Renames a timer.
  #
  # @param nmae [String] the new name
  def self.rename(name, *args)
    plan(name, args)
  end

  # Weighs crates.
  #
  # @param depth [Integer] how deep they stand
  def self.weigh(*crates)
    plan(crates)
  end
end
