/// <summary>Presses.</summary>
public static class Press
{
    /// <summary>
    /// Weighs what a given
    /// load context holds. It is not for growers.
    /// </summary>
    public static void Weigh(ref LoadContext ctx, int times) { }

    /// <summary>Writes to the given byte array. It is filled from the front.</summary>
    public static void Fill(byte[] flat, int[] rows) { }

    /// <summary>Opens vats by the passed vat numbers. They are counted from one.</summary>
    public static void Open(int[] vatNumbers, int first) { }

    /// <summary>Says what the given load context and the given load context hold. They differ.</summary>
    public static void Compare(LoadContext one, LoadContext other) { }

    /// <summary>Copies the vats into new ones. If the vats are null, null comes back; the pallet is full.</summary>
    public static void Copy(int[] vats, int pallet) { }
}
