/// <summary>A crate.</summary>
/// <param name="Tag">its tag</param>
public record Crate(string Tag, int Load = 3);

/// <summary>A van.</summary>
/// <param name="plate">its plate</param>
/// <param name="seats">not there</param>
public class Van(string plate) : Vehicle(plate) { }
