--- Weighs. Slowly.
-- @tparam table crates what
-- @tparam[opt=1] number times how often
-- @param ... more
-- @treturn number their mass
-- @error if there is none
local function weigh(crates, times, ...)
  return #crates, ...
end
return { weigh = weigh }
