# frozen_string_literal: true
# encoding: utf-8

# Licence of the till.

# A till.
class Till
  # Not attached.

  def a; end

  # rubocop:disable Style/X
  # Opens it.
  # rubocop:enable Style/X
  def b(x); end
=begin
Block.
=end
  def c; end

  ##
  # Marked.
  def d; end
  #--
  # hidden
  #++
  def e; end

  def f # :nodoc:
  end
end
