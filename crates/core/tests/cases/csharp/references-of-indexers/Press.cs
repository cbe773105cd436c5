/// <summary>Presses crates.</summary>
public class Press
{
    /// <summary>Reads <paramref name="slot"/> of the press, or what stands in <paramref name="index"/>.</summary>
    /// <param name="index">The slot, from 0.</param>
    /// <returns>The load in it, in kg.</returns>
    public int this[int index] { get { return index; } }
}
