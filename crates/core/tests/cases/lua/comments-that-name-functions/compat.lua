--- Helpers of the cellar.
-- @module cellar
local cellar = {}

--- weigh a crate.
-- @param crate what to weigh
-- @return its load
-- @function cellar.weigh

--- press a crate.
-- @param crate what to press
-- @function cellar.press
if not cellar.press then
    function cellar.press(crate)
        return crate
    end
end

if cellar.scale then
    function cellar.weigh(crate)
        return crate
    end
    function cellar.tip(crate)
        return crate
    end
end

--- is this a crate?
-- @param crate what may be one
function cellar.is_crate(crate)
    return crate ~= nil
end

--- false if the crate is empty
-- @param crate what is looked into
function cellar.full(crate)
    return #crate > 0
end

--- name of a crate.
-- @param crate the crate
-- @ret string its name
function cellar.name(crate)
    return crate.name
end

--- the stamp of a crate.
-- @function stamp
-- @param crate the crate
-- @return its stamp
function cellar.stamp(crate)
    return crate.stamp
end

return cellar
