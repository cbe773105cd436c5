#ifndef GUARDED_H
#define GUARDED_H

#ifdef __cplusplus
extern "C" {
#endif
/// Fills a vat. It is closed first.
/// @param litre how much
int vat_fill(int litres) vat_noreturn();
#ifdef __cplusplus
}

extern "C++"
{
    /// Closes a vat when it goes.
    class VAT_DLL Closer
    {
      public:
        Closer(const char *name, int litres);
        ~Closer();
    };
}
#endif

#endif
