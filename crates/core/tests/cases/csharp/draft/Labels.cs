public class Label<T>
{
    public Label(string text) { }
    public int Print(int copies, bool front = true) { if (copies < 0) throw new System.ArgumentException(); return 1; }
    /// <summary>Cuts. Twice.</summary>
    public int Cut(int at) => at;
    /// <param name="b">second</param>
    /// <remarks>Odd.</remarks>
    public void Fold(int a, int b) { }
    public int A, B; public int C;
}
