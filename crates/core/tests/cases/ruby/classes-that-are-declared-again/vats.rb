module Cellar
  class Vat
    def empty; end
  end

  class Vat
    def clean; end
  end
end
