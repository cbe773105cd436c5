---@class Pump
local Pump = {}

---Runs it.
---@param time number in seconds
---@param force? boolean
---@param gone string
---@return boolean ok whether it ran
---@return string? why
function Pump:run(time, force) return true, nil end

return { Pump = Pump, stop = function(now) end }
