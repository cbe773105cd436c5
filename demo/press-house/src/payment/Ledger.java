package ridge.sallow.payment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * What the cooperative owes its growers.
 *
 * @param <G> what identifies a grower
 */
public class Ledger<G extends Comparable<G>> {

    private final Map<G, Long> cents = new TreeMap<>();

    /**
     * Credits a delivery.
     *
     * @param grower who delivered
     * @param kilograms the net load
     * @param price what a kilogram is paid, in cents
     * @throws IllegalArgumentException if the load is not positive
     */
    public void credit(G grower, double kilograms, long price) {
        if (kilograms <= 0) {
            throw new IllegalArgumentException("no load");
        }
        cents.merge(grower, Math.round(kilograms * price), Long::sum);
    }

    /**
     * Tells what a grower is owed.
     *
     * @param grower who asks
     * @return the balance in cents, 0 for a stranger
     */
    public long balance(G grower) {
        return cents.getOrDefault(grower, 0L);
    }

    /**
     * Pays out a share of a balance.
     *
     * @param grower who is paid
     * @param share TODO: describe
     * @return what was paid, in cents
     * @throws IllegalStateException
     */
    public long pay(G grower, double share) {
        long due = balance(grower);
        if (due == 0) {
            throw new IllegalStateException("nothing is owed");
        }
        long paid = Math.round(due * share);
        cents.put(grower, due - paid);
        return paid;
    }

    /**
     * Lists the growers who are owed something.
     *
     * @param <R> what is listed
     * @param format how one is shown
     * @retrun the list, in the order of the growers
     */
    public <R> List<R> owed(Function<G, R> format) {
        List<R> out = new ArrayList<>();
        for (Map.Entry<G, Long> entry : cents.entrySet()) {
            if (entry.getValue() > 0) {
                out.add(format.apply(entry.getKey()));
            }
        }
        return out;
    }

    /**
     * Takes over the balances of another ledger.
     *
     * @param other the other ledger
     * @throws java.io.IOException if it cannot be read
     */
    public void takeOver(Ledger<G> other) {
        other.cents.forEach(cents::putIfAbsent);
    }

    /**
     * Splits a sum among growers by their loads.
     *
     * @param <W> what a load is
     * @param <K> what a grower is
     * @param loads the loads by grower
     * @param sum what is split, in cents
     * @return the shares, in cents
     * @throws IllegalArgumentException if there is no load
     * @throws IllegalArgumentException if there is no load
     */
    public static <K, W extends Number> Map<K, Long> split(Map<K, W> loads, long sum) {
        double all = loads.values().stream().mapToDouble(Number::doubleValue).sum();
        if (all <= 0) {
            throw new IllegalArgumentException("no load");
        }
        Map<K, Long> out = new TreeMap<>();
        loads.forEach((grower, load) -> out.put(grower, Math.round(sum * load.doubleValue() / all)));
        return out;
    }

    /** {@inheritDoc} */
    public void forget(G grower) {
        cents.remove(grower);
    }

    /**
     * Rounds an amount up to whole euros.
     *
     * @param amount in cents
     * @return in euros
     * @throws java.io.IOException never, in truth
     */
    public static long euros(long amount) {
        return (amount + 99) / 100;
    }
}
