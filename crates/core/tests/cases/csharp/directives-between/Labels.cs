/// <summary>A label.</summary>
#if DEBUG
[System.Diagnostics.DebuggerDisplay("{A}")]
#endif
#region inside
public class Label
{
    /// <summary>Prints.</summary>
    #pragma warning disable 1
    [A, B("x, y")]
    [C]
    public void Print() { }

    [A]
    /// <summary>Dropped.</summary>
    public void Cut() { }
}
#endregion
