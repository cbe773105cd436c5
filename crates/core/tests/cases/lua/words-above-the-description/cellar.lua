local M = {}

---@internal
--- Fills a vat up to the brim.
---
---@param vat integer its number
---@return boolean empty whether it was empty
function M.fill(vat) return vat > 1 end

---@private
---@param vat integer its number
function M.drain(vat) vat.level = 0 end

--- Draws a sample.
-- @vat[opt] source the vat to draw from
-- @tparam[opt] int amount in ml
function M.draw(source, amount) source.level = amount end

return M
