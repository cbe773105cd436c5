/**
  @file
  @brief Yield reports for the excise office

  The day book comes from the press house, one row a crate.
**/

/**
  @brief Reads the day book of one harvest

  Rows without a slope are kept apart in a table of their own.

  @param [in] year Year of the harvest
  @param [in] lib= (work) Library that the tables go to
  @param [out] rest= Table of the rows without a slope
**/
%macro read_daybook(year, lib=work, rest=work.unknown);
  data &lib..daybook &rest;
    infile "daybook_&year..txt" dlm=';' truncover;
    input day :yymmdd10. slope :$20. grower :$20. kilos;
    if missing(slope) then output &rest;
    else output &lib..daybook;
  run;
%mend read_daybook;

/**
  @brief Sums kilos and litres by slope

  A kilo gives about three quarters of a litre; the factor can be changed for
  grapes that were dried.

  @param [in] lib= (work) Library of the day book
  @param [in] facter= (0.75) Litres that a kilo gives
  @param [out] out= Table with one row a slope
**/
%macro yield_by_slope(lib=work, factor=0.75, out=work.yields);
  %macro check(table);
    %if not %sysfunc(exist(&table)) %then %do;
      %put ERROR: there is no table &table;
      %abort cancel;
    %end;
  %mend check;

  %check(&lib..daybook)
  proc sql;
    create table &out as
      select slope, sum(kilos) as kilos, sum(kilos) * &factor as litres
      from &lib..daybook
      group by slope;
  quit;
%mend yield_by_slope;

/**
  @brief Prints the report of one harvest

  @param [in] year Year of the harvest
**/
%macro yield_report(
    year,
    title=%str(Yield of the slopes, in litres),
    footnote=   /* none unless given */
  ) / minoperator;
  %read_daybook(&year)
  %yield_by_slope()
  title "&title";
  footnote "&footnote";
  proc print data=work.yields noobs label;
    var slope kilos litres;
    sum kilos litres;
  run;
  title;
  footnote;
%mend yield_report;

%macro growers(lib=work, least=500);
  proc sql;
    select grower, count(*) as crates, sum(kilos) as kilos
    from &lib..daybook
    group by grower
    having calculated kilos >= &least;
  quit;
%mend growers;
