namespace SallowRidge
{
#if YARD
    /// <summary>A scale.</summary>
#if !OLD
    public
#endif
    unsafe class Scale
    {
        private bool async;

#pragma warning suppress 56500 // told elsewhere
        /// <summary>Weighs a crate.</summary>
        /// <param name="bytes">where the load goes</param>
        public void Weigh(byte* bytes, bool async)
        {
            if (async) { bytes++; }
            // The next is written at once.
            *(bytes++) = (byte)3;
            if (bytes != null) *(bytes++) = 1;
            else *(bytes++) = 2;
            if (*--bytes == 2) { bytes++; }
            this.async = async;
#if YARD
            if (async) {
#endif
            Weigh(bytes, async);
#if !YARD
            }
            else {
                Weigh(bytes, false);
            }
#else
            }
#endif
        }

        /// <summary>Whether it must be there.</summary>
        public bool Required { get { return required; } set { required = value; } }
        private bool required;

        unsafe ~Scale() { }

        /// <summary>Takes an element out.</summary>
        public T Take<T>(int* from, int index) { return (T)(object)*(from + index); }
    }
#endif
}
