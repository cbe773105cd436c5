>>SOURCE FORMAT IS FREE
*> Prints the duty return of one quarter and keeps a copy of it.
*>
*> The return has a line for every band of strength and the levy below.
identification division.
program-id. duty-return.
data division.
working-storage section.
01 rates.
   05 rate pic 9v9999 occurs 3 times.
01 levy pic 9(9)v99.
01 quarter pic 9(5).
01 line-number pic 99 value 1.
procedure division.
main-line.
    accept quarter from command-line
    perform read-rates
    call "LEVYCALC" using quarter rates returning levy
    perform print-return
    stop run.

*> Reads the rates that hold in the quarter.
read-rates.
    move 0.0120 to rate(1)
    move 0.0245 to rate(2)
    move 0.0410 to rate(3).

print-return.
    display "Duty return of Sallow Ridge, quarter " quarter
    perform varying line-number from 1 by 1 until line-number > 3
        display "  band " line-number " at " rate(line-number)
    end-perform
    display "  levy  " levy.
end program duty-return.

*> Tells the last quarter that is closed for a day.
identification division.
function-id. closed-quarter.
data division.
working-storage section.
01 month-number pic 99.
linkage section.
01 day-of-year pic 9(8).
01 quarter pic 9(5).
procedure division using by value day-of-year returning quarter.
    divide day-of-year by 100 giving month-number
    compute quarter = function integer((month-number - 1) / 3)
    if quarter = 0
        move 4 to quarter
    end-if
    goback.
end function closed-quarter.

identification division.
program-id. reopen-quarter.
data division.
linkage section.
01 quarter pic 9(5).
01 reason pic x(40).
procedure division using quarter reason.
    display "quarter " quarter " is open again: " reason
    goback.
*> Closes the quarter once more, without a reason.
    entry "close-again" using quarter.
    display "quarter " quarter " is closed"
    goback.
end program reopen-quarter.
