/// <summary>Labels.</summary>
public class Labels
{
    /// <summary>Gets one.</summary>
    /// <param name="index">its place</param>
    /// <value>the label</value>
    public string this[int index, bool front] { get { return ""; } set { } }
    /// <summary>Adds two. Or so.</summary>
    public static Labels operator +(Labels a, Labels b) => a;
    /// <summary>Converts.</summary>
    /// <param name="a">from</param>
    public static implicit operator string(Labels a) => "";
    /// <summary>Fires.</summary>
    public event System.EventHandler Printed;
    public event System.EventHandler Other { add { } remove { } }
    ~Labels() { }
    /// <summary>The name.</summary>
    /// <value>never null</value>
    /// <returns>accepted</returns>
    public string Name { get; private set; } = "a,b";
    int hidden, alsoHidden;
    /// <summary>Prints.</summary>
    /// <param name="text">what</param>
    public delegate int Printer(string text, params object[] more);
    public const int Limit = 3;
}
