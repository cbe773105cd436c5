--- Opens and shuts the valves of the vineyard.
-- @module valves
local valves = {}

local open = {}

--- Opens a valve for a time.
-- @param row which row, from 1
-- @param minutes for how long
-- @return whether water runs
function valves.open(row, minutes)
  if minutes <= 0 then
    error("no time")
  end
  open[row] = minutes
  return true
end

--- Shuts a valve.
-- @tparam number row which row, from 1
-- @tparam boolean drian whether the pipe is emptied
function valves.shut(row, drain)
  open[row] = drain and 0 or nil
end

--- Tells which valves are open.
-- @return the rows, in no order

function valves.list()
  local rows = {}
  for row in pairs(open) do
    rows[#rows + 1] = row
  end
  return rows
end

local function log(text)
  print(text)
end

--- Waters all rows, one after the other.
-- @param rows how many there are
-- @param ... names for the log
local function round(rows, ...)
  for row = 1, rows do
    valves.open(row, 5)
  end
  log(...)
end

valves.round = round

return valves
