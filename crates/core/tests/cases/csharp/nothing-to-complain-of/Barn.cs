namespace N;
/// <summary>A barn. Big.</summary>
/// <typeparam name="T">what lies in it</typeparam>
/// <param name="width">how wide</param>
public class Barn<T>(int width) where T : notnull
{
    /// <summary>How wide. In m.</summary>
    /// <value>the width</value>
    public int Width { get; init; } = width;
    /// <summary>The crate at. Surely.</summary>
    /// <param name="at">where</param>
    /// <returns>the crate</returns>
    /// <exception cref="System.ArgumentOutOfRangeException">if there is none</exception>
    public T this[int at] => at < 0 ? throw new System.ArgumentOutOfRangeException(nameof(at)) : default!;
    /// <summary>Tries. Once.</summary>
    /// <param name="key">which</param>
    /// <param name="value">it</param>
    /// <returns>whether</returns>
    public bool TryGet(in int key, out T? value) { value = default; return false; }
    /// <summary>Adds. Both.</summary>
    /// <param name="a">one</param>
    /// <param name="b">another</param>
    /// <returns>both</returns>
    public static Barn<T> operator +(Barn<T> a, Barn<T> b) => a;
    /// <summary>Waits. Long.</summary>
    /// <param name="token">stops it</param>
    /// <returns>when done</returns>
    public async System.Threading.Tasks.Task<int> WaitAsync(System.Threading.CancellationToken token = default) { await System.Threading.Tasks.Task.Delay(1, token); return 1; }
    /// <summary>Called. Often.</summary>
    /// <typeparam name="K">the key</typeparam>
    /// <param name="key">which</param>
    public delegate void Called<in K>(K key);
}
/// <summary>A point. Small.</summary>
/// <param name="X">to the east</param>
/// <param name="Y">to the north</param>
public readonly record struct Point(int X, int Y = 0);
/// <summary>Extends. Much.</summary>
public static class More
{
    /// <summary>Doubles. Surely.</summary>
    /// <param name="text">what</param>
    /// <param name="parts">more</param>
    /// <returns>twice</returns>
    public static string Twice(this string text, params string[] parts) => text + text;
}
/// <summary>A part of the yard.</summary>
public class Presses { }
/// <summary>Looks, see <see cref="T:Yard.Presses.Scale"/>, <see cref="Yard.Presses.Scale"/> and <see cref="Heaps.Small"/>.</summary>
public class Looker { }
/// <summary>Heaps, of which a tool makes the other part.</summary>
public partial class Heaps { }
/// <summary>A run of <typeparamref name="T"/>.</summary>
/// <typeparam name="T">what lies in it</typeparam>
public readonly ref partial struct Run<T>
{
    /// <summary>Makes one. Empty.</summary>
    /// <param name="length">The number of <typeparamref name="T"/> that lie in it.</param>
    public Run(int length) { }
}
