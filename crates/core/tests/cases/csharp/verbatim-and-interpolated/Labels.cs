/// <summary>A label.</summary>
public class Label
{
    /// <summary>Prints.</summary>
    /// <param name="a">x</param>
    public void Print(string a)
    {
        var b = @"C:\{" + $"{a}}}" + $@"""{a}""{{";
        var c = '{'; var d = '\''; Run(b, c, d);
    }
    /// <summary>After.</summary>
    /// <param name="b">wrong</param>
    public void After(int a) { }
}
