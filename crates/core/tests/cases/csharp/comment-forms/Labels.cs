namespace Sallow.Ridge
{
    /// <summary>A label.</summary>
    public class Label
    {
        /** <summary>Prints.</summary>
          * <param name="copis">how many</param> */
        public void Print(int copies) { }

        //// not documentation
        public void Plain() { }
    }
}
