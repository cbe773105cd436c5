public partial class Labels
{
    /// <summary>Lays out.</summary>
    public void LayOut() { }
}

/// <summary>A sheet of labels.</summary>
public partial class Sheet
{
}
