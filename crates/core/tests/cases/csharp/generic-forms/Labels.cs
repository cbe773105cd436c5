using System.Collections.Generic;
/// <summary>Keeps labels.</summary>
/// <typeparam name="TKey">By what.</typeparam>
public class Album<TKey, TValue> where TKey : notnull where TValue : class, new()
{
    /// <summary>Finds.</summary>
    /// <typeparam name="T">what</typeparam>
    /// <param name="keys">by what</param>
    /// <returns>those found</returns>
    public IDictionary<TKey, List<T[]>> Find<T>(params (TKey, T)[] keys) => new Dictionary<TKey, List<T[]>>();
    /// <summary>Finds.</summary>
    /// <param name="a">x</param>
    public void Default(int a = 3 + 4, string b = "x, y", Dictionary<string, int> c = default, char d = ',') { }
    public (int left, int right) Pair(in int a, ref readonly int b) => (a, b);
}
