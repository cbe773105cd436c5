>>SOURCE FORMAT IS FREE
*> Tares the scale before the first crate.
identification division.
program-id. tare-scale.
data division.
working-storage section.
01 weight pic 9(5).
procedure division.
main-loop.
    perform read-weight
    compute weight = weight
      * 2
    goback.
*> Reads what the scale shows.
read-weight.
    accept weight.
    exit.
end program tare-scale.
