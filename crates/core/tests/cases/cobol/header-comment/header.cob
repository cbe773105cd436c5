       IDENTIFICATION DIVISION.
       PROGRAM-ID. YIELDS.
      ******************************************************************
      * Prints the yield of every slope.                               *
      ******************************************************************
       AUTHOR. THE CELLAR.
       PROCEDURE DIVISION.
           STOP RUN.
       END PROGRAM YIELDS.
