namespace Sallow.Ridge;

class Inner { public void A() { } }
/// <summary>Outer.</summary>
public class Outer
{
    void A() { }
    protected internal void B() { }
    private protected void C() { }
    internal void D() { }
    protected void E() { }
    public class Nested { public int F; }
    public enum Sort { A, B }
}
