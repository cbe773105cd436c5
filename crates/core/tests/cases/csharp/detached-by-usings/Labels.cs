/// <summary>Header-like, the first of the file.</summary>
namespace A;
/// <summary>Parted from its class.</summary>
using System;

public class Label { }
