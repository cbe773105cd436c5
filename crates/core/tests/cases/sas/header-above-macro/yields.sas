/* Yield reports: read first. */

/**
  Yield of every slope in hectolitres.
  @param slopes= slopes to report
  @param year= (2026) year of the harvest
**/
%MACRO yields(SLOPES=, year=2026) / minoperator des="it's a report (short)";
%MEND;

%macro
  totals /* of all
            slopes */ (
    rows,   /* how many, roughly */
    where=%str(kind="red", state=1)
  );
%mend totals;
