/// <summary>A frame.</summary>
/// <example>
/// <code>
/// var load = scale.Weigh(3);
/// if (load &gt; 2) Print(load);
/// </code>
/// <code>
/// var load = scale.Weigh(3;
/// Print(load);
/// </code>
/// </example>
public class Scale { }
