/// <summary>A label.</summary>
public class Label
{
    /// <sumary>Misspelt.</sumary>
    /// <parm name="a">x</parm>
    public void A(int a) { }
    /// <summary>Open
    /// <param name="a">x</param>
    public void B(int a) { }
    /// <summary></summary>
    /// <param name="a"></param>
    public void C(int a) { }
    /// Plain text.
    /// <param name='a'>single quotes <c>a &lt; b</c></param>
    public void D(int a, int b) { }
    /// <summary />
    public void E() { }
    /// <summary>Twice.</summary>
    /// <param name="a">x</param><param name="a">y</param>
    public void F(int a) { }
    /// <summary><see cref="F"/></summary>
    public void G() { }
    /// <summary>
    /// Spelled <b>out. And <i>more</i></b>.
    /// </summary>
    public void H(int a) { }
}
