module Cellar
  class Vat
    def empty; end
  end

  class Vat
    def clean; end
  end
end

# What a cellar holds, by number.
class Numbers < ::Hash
  def fetch(number, *rest)
    super
  end

  def fill(number); end
end

# Raised when a vat is full.
class Full < StandardError
  def message
    "full"
  end
end

class Hidden #:nodoc:
  def fill; end
end

class HiddenToo #:nodoc:#
  def fill; end
end
