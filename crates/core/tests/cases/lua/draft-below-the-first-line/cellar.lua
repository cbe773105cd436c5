--- Fills a vat.
-- @param vat its number
-- @return whether it was empty
function fill(vat) return vat > 1 end

function drain(vat, slowly) return slowly end

--- Tells the level of a vat.
-- @param vat its number
function level(vat, unit) return unit end
