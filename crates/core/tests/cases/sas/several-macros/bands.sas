/**
  @file
  @brief Helpers for bands of strength
**/

/** @brief Band of a strength @param s strength **/
%macro band(s); %sysfunc(floor(&s / 3)) %mend;

* don't document %macro ghost(a);
%* nor %macro phantom(b);

%macro widest(a, b);
%mend widest;
