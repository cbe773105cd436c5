namespace SallowRidge
{
    /// <summary>Keeps loads side by side.</summary>
    public class Ledger
    {
#if WIDE
        private readonly long[] loads = new long[8];
#else
        private readonly int[] loads = new int[8];
#endif

        /// <summary>Writes a load twice. What a call gives back by reference can be assigned to.</summary>
        /// <param name="laod">The load in kg.</param>
        public void Write(ref byte first, byte load)
        {
            if (load < 1)
            {
                throw new ArgumentException("load");
            }
            Unsafe.Add(ref first, 1) = (byte)load;
            load >>= 1;
            Unsafe.Add(ref first, 2) = (byte)load;
        }

        /// <summary>Counts what was written.</summary>
        public int Count() => 2;
    }
}
