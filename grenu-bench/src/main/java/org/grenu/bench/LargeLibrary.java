package org.grenu.bench;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/**
 * Fills a library with as many shots as wanted, or times how an existing one is read: {@code LargeLibrary fill PATH
 * COUNT},
 * {@code LargeLibrary time PATH}; {@code all PATH} reads it whole once and prints seconds and megabytes held.
 */
public final class LargeLibrary {

    private static final int SHOTS_A_DAY = 25;
    private static final int TIMES = 7;

    private LargeLibrary() {
    }

    /** Fills, or times. */
    public static void main(String[] arguments) {
        if (arguments[0].equals("fill")) {
            fill(Path.of(arguments[1]), Integer.parseInt(arguments[2]));
        } else if (arguments[0].equals("all")) {
            all(Path.of(arguments[1]));
        } else {
            time(Path.of(arguments[1]));
        }
    }

    private static void all(Path path) {
        long begin = System.nanoTime();
        try (Library library = Library.open(path)) {
            List<ShotSummary> shots = library.read(tx -> tx.shots().all());
            double seconds = (System.nanoTime() - begin) / 1e9;
            System.gc();
            Runtime runtime = Runtime.getRuntime();
            System.out.printf(Locale.ROOT, "%.2f %d for %d shots%n", seconds,
                    (runtime.totalMemory() - runtime.freeMemory()) >> 20, shots.size());
        }
    }

    /** The demo's shots over and over, each a little different and on days of its own. */
    private static void fill(Path path, int count) {
        List<Shot> demo = DemoStudy.shots().stream().map(DemoStudy.DemoShot::shot).toList();
        byte[] raw = "time [s],pressure [bar]\n".repeat(40).getBytes(StandardCharsets.UTF_8);
        try (Library library = Library.open(path)) {
            library.write(tx -> tx.shelf().add(DemoShelf.items(), "shelf"));
            for (int i = 0; i < count; i++) {
                String name = "shot-" + i % 50 + ".csv";
                Shot shot = shot(demo.get(i % demo.size()), i);
                library.write(tx -> tx.shots().add(name, raw, shot));
            }
        }
    }

    private static Shot shot(Shot like, int number) {
        LocalDateTime at = LocalDateTime.of(2024, 1, 2, 8, 0)
                .plusDays(number / SHOTS_A_DAY)
                .plusMinutes(9L * (number % SHOTS_A_DAY));
        return new Shot(
                like.record().with(RecordField.PULLED_AT, at.toString()).with(RecordField.NOTE, "number " + number),
                moved(like.log(), number));
    }

    private static ShotLog moved(ShotLog log, int by) {
        Map<Channel, Samples> channels = new EnumMap<>(log.channels());
        Samples pressure = channels.get(Channel.PRESSURE);
        double[] values = new double[pressure.size()];
        for (int i = 0; i < values.length; i++) {
            values[i] = pressure.get(i) + 1e-6 * by;
        }
        channels.put(Channel.PRESSURE, Samples.of(values));
        return new ShotLog(log.time(), channels);
    }

    private static void time(Path path) {
        List<Long> opened = new ArrayList<>();
        List<Long> first = new ArrayList<>();
        List<Long> all = new ArrayList<>();
        int shots = 0;
        for (int i = 0; i < TIMES; i++) {
            long begin = System.nanoTime();
            try (Library library = Library.open(path)) {
                opened.add(System.nanoTime() - begin);
                begin = System.nanoTime();
                library.read(tx -> tx.shots().newest(200));
                first.add(System.nanoTime() - begin);
                begin = System.nanoTime();
                List<ShotSummary> summaries = library.read(tx -> tx.shots().all());
                all.add(System.nanoTime() - begin);
                shots = summaries.size();
            }
        }
        System.out.printf("%d shots: open %d ms, newest 200 %d ms, all %d ms (medians of %d)%n", shots, median(opened),
                median(first), median(all), TIMES);
    }

    private static long median(List<Long> nanos) {
        nanos.sort(Comparator.naturalOrder());
        return nanos.get(nanos.size() / 2) / 1_000_000;
    }
}
