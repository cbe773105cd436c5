# A bottle.
class Bottle
  def fill(amount, cork: true)
    raise ArgumentError, "amount" if amount < 0
    return amount
  end
end
