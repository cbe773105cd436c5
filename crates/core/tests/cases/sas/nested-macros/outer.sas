/** @brief Prints the duty return **/
%macro duty(period);
  %macro line(no, text);
    put "&no &text";
  %mend line;
  %line(1, %nrstr(no %macro here;))
%mend duty;
