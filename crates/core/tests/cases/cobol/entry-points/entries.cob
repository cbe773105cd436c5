      *> Keeps the book of the day.
       IDENTIFICATION DIVISION.
       PROGRAM-ID. DAYBOOK.
       PROCEDURE DIVISION USING DAY-OF-BOOK.
           GOBACK.
      *> Closes the book; the total is carried over.
           ENTRY 'CLOSEBOOK' USING TOTAL-LITRES
               CARRIED.
           GOBACK.
           ENTRY "REOPEN".
           GOBACK.
       END PROGRAM DAYBOOK.
