package org.grenu.core.curve;

import java.util.Arrays;

/**
 * The median of what lies about each sample. The window shrinks evenly towards both ends and towards long pauses, so
 * that it stays centred on its sample.
 */
final class RunningMedian {

    static final double WINDOW_SECONDS = 3.0;
    /**
     * The median does not look past a longer pause, counted in steps of the log: on its far side the cup has filled
     * on.
     */
    private static final double LONGEST_PAUSE_STEPS = 6;
    /** A window of more samples is thinned: the median needs no more, and a log of 10 kHz stays fast. */
    private static final int LARGEST_WINDOW = 300;

    private final double[] time;
    private final double[] room;

    /** At those times, which are finite and rise. */
    RunningMedian(double[] time) {
        this.time = time;
        this.room = roomToPause(time);
    }

    /** {@return the medians of finite values, one per time} */
    double[] of(double[] values) {
        double[] medians = new double[values.length];
        Window window = new Window(values);
        int low = 0;
        int high = 0;
        int done = 0;
        int next = 0;
        for (int i = 0; i < values.length; i++) {
            double half = Math.min(WINDOW_SECONDS / 2, room[i]) + 1e-9;
            low = low(low, time[i] - half);
            high = high(Math.max(high, i), i, time[i] + half);
            if (i >= next || room[i] == 0) {
                int stride = 1 + (high - low) / LARGEST_WINDOW;
                medians[i] = stride == 1 ? window.median(low, high) : thinned(values, low, high, stride);
                between(medians, done, i);
                done = i;
                next = i + stride;
            }
        }
        return medians;
    }

    private int low(int from, double earliest) {
        int low = from;
        while (time[low] < earliest) {
            low++;
        }
        while (low > 0 && time[low - 1] >= earliest) {
            low--;
        }
        return low;
    }

    private int high(int from, int least, double latest) {
        int high = from;
        while (high + 1 < time.length && time[high + 1] <= latest) {
            high++;
        }
        while (high > least && time[high] > latest) {
            high--;
        }
        return high;
    }

    private static double thinned(double[] values, int low, int high, int stride) {
        double[] some = new double[(high - low) / stride + 1];
        Arrays.setAll(some, k -> values[low + k * stride]);
        Arrays.sort(some);
        return (some[(some.length - 1) / 2] + some[some.length / 2]) / 2;
    }

    /**
     * A median changes less from sample to sample than its window was thinned by: between two a straight line does.
     */
    private void between(double[] medians, int from, int to) {
        double width = time[to] - time[from];
        for (int i = from + 1; i < to; i++) {
            double share = width > 0 ? (time[i] - time[from]) / width : 0;
            medians[i] = medians[from] + share * (medians[to] - medians[from]);
        }
    }

    /** For each sample the time in s to the nearest end of the log or long pause. */
    private static double[] roomToPause(double[] time) {
        int n = time.length;
        double longest = LONGEST_PAUSE_STEPS * TimeOrderRepair.medianStep(time);
        double[] room = new double[n];
        for (int i = 1; i < n; i++) {
            room[i] = time[i] - time[i - 1] > longest ? 0 : room[i - 1] + time[i] - time[i - 1];
        }
        double after = 0;
        for (int i = n - 2; i >= 0; i--) {
            after = time[i + 1] - time[i] > longest ? 0 : after + time[i + 1] - time[i];
            room[i] = Math.min(room[i], after);
        }
        room[n - 1] = 0;
        return room;
    }

    /**
     * The values of a window in order. From sample to sample one comes and one goes, which is less than to sort the
     * window anew; FastCurvesTest holds both equal.
     */
    private static final class Window {
        private final double[] values;
        private final double[] sorted;
        private int from;
        private int until;

        Window(double[] values) {
            this.values = values;
            this.sorted = new double[values.length];
        }

        /** Both indices belong to it. */
        double median(int low, int high) {
            if (low >= until || high < from) {
                from = low;
                until = low;
            }
            while (until <= high) {
                add(values[until], until - from);
                until++;
            }
            while (from > low) {
                from--;
                add(values[from], until - from - 1);
            }
            while (until > high + 1) {
                until--;
                remove(values[until], until - from + 1);
            }
            while (from < low) {
                remove(values[from], until - from);
                from++;
            }
            int count = until - from;
            return (sorted[(count - 1) / 2] + sorted[count / 2]) / 2;
        }

        private void add(double value, int count) {
            int found = Arrays.binarySearch(sorted, 0, count, value);
            int place = found < 0 ? -found - 1 : found;
            System.arraycopy(sorted, place, sorted, place + 1, count - place);
            sorted[place] = value;
        }

        private void remove(double value, int count) {
            int place = Arrays.binarySearch(sorted, 0, count, value);
            System.arraycopy(sorted, place + 1, sorted, place, count - place - 1);
        }
    }
}
