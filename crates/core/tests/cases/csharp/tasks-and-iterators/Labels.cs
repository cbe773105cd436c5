using System.Threading.Tasks;
/// <summary>A label.</summary>
public class Label
{
    /// <summary>Prints.</summary>
    /// <returns>A task that settles when it is printed.</returns>
    public async Task Print() { await Go(); }
    /// <summary>Cuts.</summary>
    /// <returns>the number of cuts</returns>
    public ValueTask Cut() => default;
    /// <summary>Folds. Slowly.</summary>
    public Task<int> Fold() => null;
    /// <summary>Lists. All of them.</summary>
    public System.Collections.Generic.IEnumerable<int> All() { yield return 1; }
    /// <summary>Stops.</summary>
    /// <returns>a number</returns>
    public void Stop() { }
}
