package org.grenu.core.record;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import org.grenu.core.entry.FieldCodec;

/**
 * Entries that were understood before: a library's shots say the same things over and over, and what is equal is kept
 * once. Of each field so many at most. Not for several threads.
 */
public final class KnownEntries {

    /** Remembers nothing, hence for any thread. */
    static final KnownEntries NONE = new KnownEntries(0);

    private static final int MOST = 1_000;

    private final int most;
    private final Map<RecordField, Map<String, Object>> texts = new EnumMap<>(RecordField.class);
    private final Map<Double, Double> numbers = new HashMap<>();

    /** Nothing yet. */
    public KnownEntries() {
        this(MOST);
    }

    private KnownEntries(int most) {
        this.most = most;
    }

    Object parsed(RecordField field, String text) {
        if (most == 0) {
            return FieldCodec.parse(field, text);
        }
        Map<String, Object> known = texts.computeIfAbsent(field, any -> new HashMap<>());
        Object there = known.get(text);
        if (there == null) {
            there = FieldCodec.parse(field, text);
            if (known.size() < most) {
                known.put(text, there);
            }
        }
        return there;
    }

    Double number(double value) {
        Double boxed = value;
        Double there = numbers.get(boxed);
        if (there == null && numbers.size() < most) {
            numbers.put(boxed, boxed);
        }
        return there == null ? boxed : there;
    }
}
