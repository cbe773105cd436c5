using System;
/// <summary>A label.</summary>
public class Label
{
    /// <summary>Prints.</summary>
    /// <param name="text">what</param>
    public void Print(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var t = text ?? throw new ArgumentNullException(nameof(text));
        if (t.Length == 0) throw new FormatException();
        throw new NotImplementedException();
    }

    /// <summary>Cuts.</summary>
    /// <param name="text">what</param>
    public int Cut(string text) => text.Length > 3 ? 1 : throw new InvalidOperationException();

    /// <summary>Folds.</summary>
    /// <param name="text">what</param>
    public void Fold(string text)
    {
        try { throw new FormatException(); }
        catch (FormatException) when (text == "a") { }
        try { throw new TimeoutException(); }
        catch (SystemException) { }
        try { Run(); }
        catch (TimeoutException) { throw; }
        catch { throw; }
    }
}
