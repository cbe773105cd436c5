local M = {}
---@param row integer which row
---@param minutes? number for how long
---@param how "fast"|"slow" speed
---@return boolean ok whether water runs
---@return string? err why not
function M.open(row, minutes, how) return true end
--- Shuts.
-- @tparam number row which
-- @tparam[opt] string why reason
-- @treturn boolean done
function M.shut(row, why) return true end
---@class Valve
---@field row integer
---@field open fun(row: integer): boolean
local Valve = {}
---@generic T
---@param list T[]
---@vararg string
---@return T
function M.first(list, ...) return list[1] end
---@overload fun(a: string)
---@param a number
---@deprecated
function M.over(a, b) end
return M
