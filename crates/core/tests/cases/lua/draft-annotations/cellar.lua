--- Fills a vat.
---@param vat integer its number
---@return boolean empty whether it was empty
function fill(vat) return vat > 1 end

function drain(vat, slowly) return slowly end

--- Tells the level of a vat.
---@param vat integer its number
function level(vat, unit) return unit end
