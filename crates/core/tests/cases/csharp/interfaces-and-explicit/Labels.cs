/// <summary>Prints.</summary>
public interface IPrinter
{
    /// <summary>Prints.</summary>
    void Print(string text);
    void Cut();
    private void Inner() { }
}

/// <summary>A printer.</summary>
public class Printer : IPrinter, System.IDisposable
{
    void IPrinter.Print(string text) { }
    public void Cut() { }
    public void Dispose() { }
    public override string ToString() => "";
}
