# A till.
class Till
  attr_accessor :name, :coins
  # Least coins.
  attr_reader :least
  def shown(a); end
  private
  def hidden(b); end
  public
  def again(c); end
  protected def near(d); end
  def named(e); end
  private :named
  private def inline(f); end
  # Of text.
  def self.of(text); end
  def self.secret(x); end
  private_class_method :secret
  class << self
    # Makes.
    def make(g); end
    private
    def deep(h); end
  end
  CONST = 1
  alias_method :other, :shown
  define_method(:made) { |x| x }
end
module Tools
  module_function
  # Helps.
  def help(i); end
end
class Vat
  # @!visibility private

  module Lids
    def shut(at); end
  end

  # @!visibility public

  def pour(litres); end

  # @!visibility private
  def rinse; end

  def rest(hours); end

  private

  def initialize(litres); end
end
