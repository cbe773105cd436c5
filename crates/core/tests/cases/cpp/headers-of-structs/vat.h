#ifndef VAT_H
#define VAT_H

/// A vat of must.
struct Vat
{
	int litres;

	Vat()
		: litres(128 * 1024)
	{
	}
};

#endif
