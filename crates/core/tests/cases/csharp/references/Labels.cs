/// <summary>A label.</summary>
public class Label
{
    /// <summary>
    /// Prints <paramref name="copies"/> of <typeparamref name="T"/>.
    /// </summary>
    /// <typeparam name="T">what</typeparam>
    /// <param name="copies">how many</param>
    /// <exception cref="T:System.ArgumentOutOfRangeException">too many</exception>
    /// <exception cref="List{T}.Enumerator(int)">odd</exception>
    /// <exception cref="System.IO.IOException"></exception>
    public void Print<T>(int copies)
    {
        if (copies > 9) throw new System.ArgumentOutOfRangeException(nameof(copies));
        Run();
    }

    /// <summary>
    /// Sticks the label on <paramref name="crate"/>.
    /// </summary>
    public void Stick(string crate) { }

    /// <summary>
    /// Peels the label off <paramref name="crate"/>, and gives back whether <paramref name="crate"/> matches, in
    /// which case the method returns <c>true</c>.
    /// It may be stuck again.
    /// </summary>
    public bool Peel(string crate) { return crate != null; }
}
