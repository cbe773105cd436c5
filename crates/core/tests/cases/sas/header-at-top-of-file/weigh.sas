/**
  @file
  @brief Weighs the crates of one day

  @param [in] day Day of the harvest
  @param [in] lib= (work) Library that holds the crates
  @param [out] outt= Table to write
**/

options mprint;

%macro weigh(day, lib=work, out=);
  data &out; set &lib..crates; where day = &day; run;
%mend weigh;
