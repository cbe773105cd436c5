/**
  @file
  @brief Weighs the crates of one day
  @details Crates without an informat of their own are weighed as numbers.

  @param [in] day The day
  @param [in] delim= (%str( )) What stands between two crates
  @param [out] out= (work.weights) Where the weights go

  <h4> Macros </h4>
  @li tare.sas

  @version 9.4
**/
/** @cond */
%macro weigh(day, delim=%str( ), out=work.weights);
  %tare(&day)
%mend weigh;
/** @endcond */
