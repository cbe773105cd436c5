/// <summary>A scale that reads its load from memory.</summary>
public static class Scale
{
    /// <summary>Reads a load.</summary>
    /// <param name="memory">Where it lies.</param>
    /// <param name="box">Which one.</param>
    /// <returns>The load.</returns>
    public static unsafe int Read(byte* memory, int at)
    {
        int load = *(int*)memory;
        *(memory + at) = 0;
        *memory++ = 1;
        if (load < 0) throw new System.ArgumentException("memory");
        return -*(int*)(memory + at);
    }

    /// <summary>Reads a load fast.</summary>
    /// <param name="at">Which one.</param>
    /// <returns>The load.</returns>
    public static double ReadFast(double at)
    {
        return Read(null, (int)at);
#if false
        unsafe
        {
            return *(float*)&at;
#endif
    }

    /// <summary>Rings.</summary>
    public static void Ring() { }
}
