local Tap = {}

function Tap.turn(angle, ...)
  return angle
end

return Tap
