--- Weighs crates.
-- @module scale
local scale = {}

--- Moves a scale.
--
--![How it moves](images/scale.svg)
--
-- @param by how far
function scale.move(by)
  return by
end

--[[
   @brief Levels a scale.
      @param slowly whether to wait
      @return Whether it is level.
--]]
function scale.level(slowly)
  return slowly
end

--- Weighs a crate. It takes a while.
--
-- @param {table} crate what stands on it
-- @param {string} desc
-- @return {number} its mass
function scale.weigh(crate, desc)
  return crate .. desc
end

--- Tips a scale.
--
-- @param by how far
-- @return No return values
scale.tip = function(scale, by)
  scale:move(by)
end

return scale
