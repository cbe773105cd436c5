using System;

namespace SallowRidge.Labels.Design
{
    /// <summary>
    /// What is printed on a bottle.
    /// </summary>
    /// <param name="Wine">The name of the wine.</param>
    /// <param name="Vintage">The year of the harvest.</param>
    public record Label(string Wine, int Vintage, double Alcohol)
    {
        /// <summary>
        /// The name in capitals, as the front of the label has it.
        /// </summary>
        /// <value>Never empty.</value>
        public string Headline => Wine.ToUpperInvariant();

        /// <summary>
        /// Tells whether a label may be printed.
        /// </summary>
        /// <param name="year">The current year.</param>
        /// <returns>True when the vintage is not in the future.</returns>
        public bool IsPlausible(int year) => Vintage <= year;

        public override string ToString() => $"{Wine} {Vintage}";
    }

    /// <summary>
    /// A size of paper.
    /// </summary>
    public struct Paper
    {
        /// <summary>Width in millimetres.</summary>
        public double Width;

        public double Height;

        /// <summary>
        /// Adds a margin on all sides.
        /// </summary>
        /// <param name="paper">The paper.</param>
        /// <param name="margin">In millimetres.</param>
        /// <returns>A larger paper.</returns>
        public static Paper operator +(Paper paper, double margin) => paper;
    }

    /// <summary>
    /// Keeps drawings by name.
    /// </summary>
    /// <typeparam name="TKey">What a name is.</typeparam>
    /// <typeparam name="TKey">What a name was.</typeparam>
    /// <typeparam name="TDrawing"></typeparam>
    public class Album<TKey, TDrawing, TFrame>
    {
    }

    /// <summary>
    /// Sets text on a label.
    /// </summary>
    /// <typeparam name="TFont">What a font is.</typeparam>
    /// <typeparam name="TFnt">What a font was.</typeparam>
    public class Typesetter<TFont>
    {
        private readonly TFont[] fonts;

        /// <summary>
        /// Makes a typesetter.
        /// </summary>
        /// <param name="fonts">The fonts, the best first.</param>
        /// <exception cref="ArgumentException">There is no font.</exception>
        public Typesetter(params TFont[] fonts)
        {
            ArgumentNullException.ThrowIfNull(fonts);
            if (fonts.Length == 0)
            {
                throw new ArgumentException("no font", nameof(fonts));
            }
            this.fonts = fonts;
        }

        /// <summary>
        /// Gets the font at a place.
        /// </summary>
        /// <param name="index">The place, from 0.</param>
        public TFont this[int index] => fonts[index];

        /// <summary>
        /// Chooses a font for a size.
        /// </summary>
        /// <param name="size">In points.</param>
        /// <param name="paper">What it is printed on.</param>
        /// <returns>The first font that is large enough.</returns>
        public TFont Choose(Paper paper, double size)
        {
            if (size > paper.Width)
            {
                throw new InvalidOperationException("too large");
            }
            return fonts[0];
        }
    }
}
