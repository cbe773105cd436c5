public partial class Label { }

/// <summary>The other part.</summary>
public partial class Label { public int A; }
