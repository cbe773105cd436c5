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
}
