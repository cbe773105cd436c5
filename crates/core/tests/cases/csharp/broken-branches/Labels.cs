public class Label
{
    public int Print(int a)
    {
#if NEW
        if (a > 1)
#else
        if (a > 2)
#endif
        {
            return 1;
        }
        else if (a == 3)
#if NEW
        { return 4; }
#else
        { return 5; }
#endif
        return 2;
    }
    public void After() { }
}
