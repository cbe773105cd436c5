-- Valves of the vineyard.
local M = {}
--- Opens the valve of a row.
-- @param row which

function M.open(row) end

-- shut: closes it again

function M.shut(row) end
-- Waters a row for a time.
function M.water(row) end
return M
