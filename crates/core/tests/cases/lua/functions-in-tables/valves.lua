local M = {}
--- Opens.
-- @param row which row
function M.open(row, minutes) return row end
--- Shuts.
-- @param row which
function M:shut(row, gently) self.x = row end
local function hidden(a) end
--- Later.
function M.deep.inner.run(a, ...) end
M.assigned = function(a, b) end
--- Counts.
M["quoted"] = function(a) end
local handlers = {
  --- On start.
  -- @param when time
  start = function(when, why) end,
  stop = function() end,
  [1] = function(x) end,
}
M.handlers = handlers

--- A scale of its own.
local Scale = setmetatable({}, {
  __call = function(_, crate)
    return crate
  end,
})

function Scale.__index(scale, key)
  return scale[key]
end

return M
