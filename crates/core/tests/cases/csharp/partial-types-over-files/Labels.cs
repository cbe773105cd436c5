public partial class Labels
{
    /// <summary>Prints.</summary>
    public void Print() { }
}

/// <summary>A sheet.</summary>
public partial class Sheet
{
}
