local scales = {}

local units = { "kg", "lb" }

for _, unit in ipairs(units) do
    --- Weighs in a unit.
    -- @tparam number load what lies on it
    -- @tparam number tray what nothing takes
    scales["weigh_in_" .. unit] = function(load)
        return load
    end

    scales[unit] = function(load)
        return load
    end
end

scales["tare"] = function(load)
    return load
end

return {
    --- Weighs.
    -- @tparam number load what lies on it
    ["weigh"] = function(load)
        return load
    end,
    ["tare_" .. units[1]] = function(load)
        return load
    end,
    [units] = function(load)
        return load
    end,
}
