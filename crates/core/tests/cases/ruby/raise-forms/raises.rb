# Opens.
#
# It may fail.
# @raise [ShutError] when shut
# @raise [GoneError] never
def open(a)
  raise "plain" if a.nil?
  raise ArgumentError, "x" unless a
  raise ShutError.new("y") if a > 1
  raise NotImplementedError
rescue ArgumentError => e
  raise
end

# Reads.
def read(a)
  fail IOError, "x"
  raise a
  begin
    raise KeyError
  rescue KeyError
    nil
  end
end
