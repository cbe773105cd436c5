class Inner
{
    public void A(int a) { }
    internal int b;
    /// <summary>B. And more.</summary>
    private void B(int a) { }
}
