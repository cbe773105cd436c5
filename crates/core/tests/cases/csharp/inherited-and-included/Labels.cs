/// <summary>A label.</summary>
public class Label
{
    /// <inheritdoc/>
    public int Print(int copies) => 1;
    /// <include file="docs.xml" path="//a"/>
    public int Cut(int copies) => 1;
    /// <inheritdoc cref="Print"/>
    /// <param name="wrong">x</param>
    public int Fold(int copies) => 1;
}
