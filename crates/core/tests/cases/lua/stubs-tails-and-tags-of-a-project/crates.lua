--- Crates.
-- @module crates
local M = {}

local function tell(crate)
  print(crate)
end

local function weigh(crate)
  return crate.load
end

--- Tells of a crate.
-- @param crate the crate
function M.tell(crate)
  return tell(crate)
end

--- Weighs a crate.
-- @param crate the crate
function M.weigh(crate)
  return weigh(crate)
end

--- Weighs a crate elsewhere.
-- @param crate the crate
function M.weigh_elsewhere(crate)
  return elsewhere.weigh(crate)
end

--- Loads a crate; the loader puts another function in its place.
-- @param crate the crate
-- @return whether it was loaded
function M.load(crate) end

--- Moves a crate.
-- @crate crate which one
-- @param place where to
-- @crate[opt] second another one
function M.move(crate, place, second)
  crate.place = place
end

--- The weight of the crate.
-- @property weight
-- @param number

function M:get_weight()
  return self.load
end

--- Marks a crate.
-- @param crate which one
-- @param colour no longer used
-- @param place where the mark is put
function M.mark(crate, _, place)
  crate.mark = place
end

--- Reads the level of an empty vat.
-- @param vat the vat
-- @return level Nil, since nothing is in it
function M.level_of_empty(vat)
  assert(vat)
end

--- Shows the scale.
-- @param crate the crate on it
function M.show(crate)
  return scale():show(crate)
end

--- Puts the crate aside.
-- @param crate the crate
-- @param place where to
function M.put(crate, place)
  return places[place](crate)
end

--- Tells the tag of a crate.
-- @param crate the crate
function M.tag(crate)
  return crate.tag:upper()
end

return M
