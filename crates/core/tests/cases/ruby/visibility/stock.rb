# The stock.
class Stock
  def seen; end

  def named; end
  private :named

  def self.build; end
  private_class_method :build

  private

  def hidden; end

  public

  def again; end

  protected def shared; end

  class << self
    def made; end

    private

    def unmade; end
  end
end

# Helpers.
module Helpers
  module_function

  def help; end
end

def top; end # :nodoc:
