/// <summary>Helps.</summary>
public static class Helps
{
    /// <summary>Splits.</summary>
    /// <param name="text">what</param>
    /// <param name="first">one</param>
    /// <param name="rest">more</param>
    public static bool Split(this string text, ref int from, out string first, in int to, params string[] rest)
    {
        first = ""; return true;
    }
}
