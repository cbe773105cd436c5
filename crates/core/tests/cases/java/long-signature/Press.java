/** A press. */
public class Press {
    /**
     * Weighs. Many.
     *
     * @param first a
     */
    @SuppressWarnings({"unchecked", "raw(types)"})
    public static <A extends Comparable<? super A>, B>
            java.util.Map<A, java.util.List<B[]>> weigh(
                    final @Deprecated A first, // the first
                    java.util.function.Function<? super A, ? extends B> second /* the second */,
                    int[] third[],
                    B... rest)
            throws java.io.IOException,
                    IllegalStateException {
        return null;
    }
}
