# frozen_string_literal: true

# The shop's stock.
module Stock
  # There is less than was asked for.
  class Shortage < StandardError; end

  # One shelf.
  class Shelf
    # What it holds, by article.
    attr_reader :bottles

    # Makes an empty shelf.
    #
    # @param room [Integer] how many bottles it takes
    def initialize(room:)
      @room = room
      @bottles = Hash.new(0)
    end

    # Puts bottles on the shelf.
    #
    # @param article [String] what they are
    # @param count [Integer] how many
    # @return [Integer] how many it holds now
    # @raise [ArgumentError] if there is no room
    def put(article, count = 1, vintage: nil)
      raise ArgumentError, "no room" if @bottles.values.sum + count > @room
      return @bottles[article] += count
    end

    # Takes bottles.
    #
    # @param article [String] what is taken
    # @param amount [Integer] how many
    # @raise [KeyError] never
    def take(article, count)
      raise Shortage, article if @bottles[article] < count

      @bottles[article] -= count
    end

    # Goes through the shelf.
    #
    # @yield [article, count] each article
    def each(&block)
      @bottles.each(&block)
    end

    def empty?
      @bottles.empty?
    end

    private

    def total
      @bottles.values.sum
    end
  end
end
