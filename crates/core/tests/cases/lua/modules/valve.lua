--- Valves.
-- @module valve
local M = {}

local limit = 3

--- Opens a valve.
-- @param id which
-- @param wide whether wide
-- @return whether it opened
function M.open(id, wide, ...)
  return true
end

--- Shuts it.
-- @tparam string id which
-- @tparam[opt] number speed how fast
-- @treturn boolean whether it shut
function M:shut(id, speed) return true end

local function hidden(a) end

local function later(b) end
M.later = later

local named_before, also_named
function named_before(c) end
also_named = function(d) end

local in_block do
  function in_block(e) end
end

M.field = function(x) return x end

M.table = { inner = function(y) end, ["other"] = 1 }

--- Parted.
-- @param z what

function M.parted(z) end

--[[ Long.
@param q what
]]
function M.long(q) end

--[==[ Longer. ]==]
function M.longer() end

global_one = function() end

return M
