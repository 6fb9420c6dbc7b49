package mensor.exchange;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * What was read lately, for the looks that are open: their entries' texts are read again with each key at the bench. What is
 * kept cannot be changed, so one reading serves all; failures are not kept. Forgets everything when there is too much of it.
 */
public final class Remembered<K, V> {
    private final int most;
    private final Map<K, V> values = new ConcurrentHashMap<>();

    public Remembered(int most) {
        this.most = most;
    }

    /** The value of the key, read where it is not remembered. */
    public V get(K key, Supplier<V> read) {
        V known = values.get(key);
        if (known != null) {
            return known;
        }
        V value = read.get();
        if (values.size() >= most) {
            values.clear();
        }
        values.put(key, value);
        return value;
    }

    int size() {
        return values.size();
    }
}
