using System;
/// <summary>Prints.</summary>
public class Printer
{
    /// <summary>Prints.</summary>
    /// <param name="a">x</param>
    public void Print(int a)
    {
        void Inner(int b) { throw new FormatException(); }
        Action later = () => throw new TimeoutException();
        Func<int> more = delegate { throw new TimeoutException(); };
        try { Inner(a); throw new System.IO.FileNotFoundException(); }
        catch (System.IO.IOException e) { throw new InvalidOperationException("x", e); }
        finally { if (a < 0) { throw new ArgumentOutOfRangeException(nameof(a)); } }
    }
    /// <summary>Is called when clicked.</summary>
    public void OnClick(object sender, EventArgs e) { }
    public void OnOther(object sender, EventArgs e) { }
}
