/**
 * A store.
 *
 * @param <K> what is looked for
 */
public class Store<K, V extends Comparable<Map<String, List<V>>>> {
    /**
     * Puts one thing.
     *
     * @param <T> the sort
     * @param <X> not there
     * @param key its key
     */
    public <T extends K> void put(T key) {}
}
