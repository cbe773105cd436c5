namespace Press
{
    /// <summary>A scale of <typeparamref name="T"/>, not of <typeparamref name="U"/>.</summary>
    /// <typeparam name="T">What is weighed.</typeparam>
    public class Scale<T>
    {
        /// <summary>Weighs <paramref name="laod"/> of <typeparamref name="T"/>, as <see cref="Scale.Weigh"/> does.</summary>
        /// <param name="load">In kg.</param>
        /// <returns>The load, unlike <see cref="Bridge.Weight"/>.</returns>
        public int Weigh(int load) => load;

        /// <inheritdoc/>
        public void Nothing() { }

        /// <inheritdoc/>
        public override string ToString() => "scale";
    }

    /// <summary>A scale under a road &amp; more.</summary>
    public class Bridge
    {
        /// <summary>Weighs a lorry & its trailer.</summary>
        public int Weigh() => 1;

        /// <summary>Not closed: <c>here.</summary>
        public int Open() => 1;

        /// <summary>No entity: &nbsp;.</summary>
        public int Entity() => 1;
    }
}
