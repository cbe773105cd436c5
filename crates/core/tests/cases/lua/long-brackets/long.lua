local M = {}
--[[ Opens.
@param row which
@param nope no such
]]
function M.open(row) end
--[==[
Shuts ]] really.
@param row which
]==]
function M.shut(row) end
local s = [[
--- Not a comment
function M.fake(a) end
]]
--[[-- @section x ]]
function M.last(...) end
return M
