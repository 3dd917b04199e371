package org.grenu.core.property;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Values drawn from a seed for a test of what always holds. Ends of ranges and other edges come up more often than
 * by chance.
 */
public final class Draws {

    private static final String AWKWARD = " \t\n\r\\\"';:,.#{}[]()=|/?*+"
            + "-–−0159eE°±µäñß漢\u00a0\u200b\ufeff\u0000\u0007\uffff";

    private final long seed;
    private final SplittableRandom random;

    Draws(long seed) {
        this.seed = seed;
        this.random = new SplittableRandom(seed * 0x9E3779B97F4A7C15L);
    }

    /** {@return any whole number} */
    public long anyLong() {
        return oneIn(20) ? of(0L, 1L, -1L, Long.MIN_VALUE, Long.MAX_VALUE) : random.nextLong();
    }

    /** {@return a whole number between both ends} */
    public int integer(int low, int high) {
        return oneIn(6) ? of(low, high) : (int) (low + random.nextLong((long) high - low + 1));
    }

    /** {@return a number between both ends, nought among them where it lies within} */
    public double number(double low, double high) {
        if (oneIn(6)) {
            return low < 0 && high > 0 ? of(low, high, 0.0) : of(low, high);
        }
        return low + (high - low) * random.nextDouble();
    }

    /** {@return any double, finite or not, large or small} */
    public double anyDouble() {
        return oneIn(10)
                ? of(0.0, -0.0, Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.MIN_VALUE,
                        Double.MAX_VALUE, 1.0, -1.0)
                : random.nextBoolean() ? Double.longBitsToDouble(random.nextLong()) : number(-1000, 1000);
    }

    /** {@return true or false} */
    public boolean toss() {
        return random.nextBoolean();
    }

    /** {@return whether one in so many came up} */
    public boolean oneIn(int many) {
        return random.nextInt(many) == 0;
    }

    /** {@return one of them} */
    @SafeVarargs
    public final <T> T of(T... values) {
        return values[random.nextInt(values.length)];
    }

    /** {@return one of them} */
    public <T> T of(List<T> values) {
        return values.get(random.nextInt(values.size()));
    }

    /** {@return so many drawn one after the other} */
    public <T> List<T> list(int atLeast, int atMost, Supplier<T> each) {
        return Stream.generate(each).limit(integer(atLeast, atMost)).collect(Collectors.toCollection(ArrayList::new));
    }

    /** {@return some of the values, each once, in any order; fewer than so many only where there are not so many} */
    public <T> Set<T> some(int atLeast, int atMost, List<T> of) {
        List<T> shuffled = new ArrayList<>(of);
        for (int i = shuffled.size() - 1; i > 0; i--) {
            Collections.swap(shuffled, i, random.nextInt(i + 1));
        }
        return new LinkedHashSet<>(shuffled.subList(0, Math.min(of.size(), integer(atLeast, atMost))));
    }

    /** {@return any text, of any letters and signs, broken ones among them} */
    public String text() {
        return text(0, oneIn(10) ? 250 : 30);
    }

    /** {@return any text of such a length} */
    public String text(int atLeast, int atMost) {
        return letters(atLeast, atMost, () -> switch (random.nextInt(4)) {
            case 0 -> AWKWARD.charAt(random.nextInt(AWKWARD.length()));
            case 1 -> (char) random.nextInt(0x10000);
            default -> (char) (' ' + random.nextInt(95));
        });
    }

    /** {@return a text of those letters only} */
    public String text(String letters, int atLeast, int atMost) {
        return letters(atLeast, atMost, () -> letters.charAt(random.nextInt(letters.length())));
    }

    private String letters(int atLeast, int atMost, Supplier<Character> each) {
        return list(atLeast, atMost, each).stream().map(String::valueOf).collect(Collectors.joining());
    }

    /** {@return any bytes} */
    public byte[] bytes(int atLeast, int atMost) {
        byte[] bytes = new byte[integer(atLeast, atMost)];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = oneIn(8) ? of((byte) 0, (byte) -1, (byte) 127, (byte) '\n') : (byte) random.nextInt(256);
        }
        return bytes;
    }

    @Override
    public String toString() {
        return "seed " + seed;
    }
}
