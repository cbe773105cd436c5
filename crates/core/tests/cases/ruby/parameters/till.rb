# frozen_string_literal: true

# The till.
module Till
  # A sale.
  class Sale < Base
    attr_reader :sum
    # The name.
    attr_accessor :name, :note
    LIMIT = 10

    # Adds. All of it.
    #
    # @param item [String] what
    # @param price [Integer] in cents
    # @option opts [Integer] :tax in percent
    # @option opts [String] :description
    # @yield [sum] each sum
    # @return [Integer] the sum
    # @raise [ArgumentError] if there is none
    def add(item, price = 1, *rest, currency:, tax: 2, **opts, &block)
      raise ArgumentError, "none" if item.nil?
      raise Till::Fault.new("x") unless block
      return 1
    rescue KeyError
      raise
    end

    def ok? = true
    def sum=(value); end
    def ==(other); end
    def initialize; end

    # Parted.
    # @param x [Integer]

    def parted(x); end
  end
end
