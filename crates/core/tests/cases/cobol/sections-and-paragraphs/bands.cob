       IDENTIFICATION DIVISION.
      *> Sorts wines into bands of strength.
       PROGRAM-ID. BANDS.
       ENVIRONMENT DIVISION.
       CONFIGURATION SECTION.
       DATA DIVISION.
       WORKING-STORAGE SECTION.
       01 STRENGTH PIC 99V9.
       PROCEDURE DIVISION.
       SORT-BANDS SECTION.
       FIRST-BAND.
           IF STRENGTH < 9
               CONTINUE
           END-IF.
       SECOND-BAND.
           EXIT.
       DONE-SECTION SECTION.
           STOP RUN.
