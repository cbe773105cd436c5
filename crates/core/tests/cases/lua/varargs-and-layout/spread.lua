local M = {}
--- Wägt.
-- @param größe in kg
-- @param ... more
function M.waege(
	groesse, -- in kg, (ja)
	--[[ zwei ]] b,
	...
)
	return select("#", ...)
end
local a, b = function(x) end, function(y) end
--- Broken.
function M.broken(a 
--- After.
function M.after(a) end
return M
