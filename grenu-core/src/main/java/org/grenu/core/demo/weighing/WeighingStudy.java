package org.grenu.core.demo.weighing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;

/**
 * Draws one study of a kind: arms "treated" and "usual" by frozen beans (of carry-over: grinds 2.4 and 2.6), 20 %
 * extraction with a
 * spread of 0.25 points, cups of 40 g with a spread of 0.25 g, three readings each.
 */
public final class WeighingStudy {

    private static final double SPREAD = 0.25;
    private static final double CUP_SPREAD = 0.25;
    private static final double MOVED_ALONG = 0.85;
    private static final double POINTS_PER_GRAM = 0.15;
    private static final int EACH = 8;
    private static final double CARRIED = 1 / 3.0;
    private static final List<StudyKind> ALONG = List.of(StudyKind.PARTLY_DAY, StudyKind.PARTLY_DOSE,
            StudyKind.PARTLY_BAG, StudyKind.PARTLY_TEMPERATURE, StudyKind.PARTLY_OPERATOR);

    private final StudyKind kind;
    private final Random random;
    private final List<Shot> shots = new ArrayList<>();

    private WeighingStudy(StudyKind kind, Random random) {
        this.kind = kind;
        this.random = random;
    }

    /** {@return the shots of one study, in the order in which they were pulled} */
    public static List<Shot> draw(StudyKind kind, Random random) {
        return new WeighingStudy(kind, random).drawn();
    }

    private List<Shot> drawn() {
        switch (kind) {
            case UNEQUAL_SPREAD, UNEQUAL_SPREAD_ADJUSTED -> unequal();
            case CARRY_OVER, CARRY_OVER_UNKNOWN -> carriedOver();
            case FEW_DAYS -> fewDays();
            default -> arms();
        }
        return shots;
    }

    private List<Boolean> order(int treated, int usual) {
        List<Boolean> order = new ArrayList<>(Collections.nCopies(treated, true));
        order.addAll(Collections.nCopies(usual, false));
        Collections.shuffle(order, random);
        return order;
    }

    private void arms() {
        StudyKind along = kind.partly() ? kind : ALONG.get(random.nextInt(ALONG.size()));
        for (boolean treated : order(EACH, EACH)) {
            ShotRecord record = circumstances(treated, kind == StudyKind.SHOWN_COOLER);
            double grams = 40 + (treated ? heavier() : 0) + CUP_SPREAD * random.nextGaussian();
            double yield = 20 + (treated ? kind.truth() - POINTS_PER_GRAM * heavier() : 0)
                    + POINTS_PER_GRAM * (grams - 40) + SPREAD * random.nextGaussian();
            double dose = 18 + 0.03 * random.nextGaussian();
            if (kind.partly() || kind == StudyKind.WHOLLY) {
                boolean moved = (kind == StudyKind.WHOLLY || random.nextDouble() < MOVED_ALONG) == treated;
                yield += moved ? 1 : 0;
                dose += along == StudyKind.PARTLY_DOSE && moved ? 1 : 0;
                record = moved(along, moved, record);
            }
            if (kind != StudyKind.PATH_LARGE) {
                record = record.with(RecordField.BEVERAGE_TARGET, "40");
            }
            add(cup(record, dose, grams, yield), kind == StudyKind.SHOWN_COOLER && treated ? 91.9 : 93);
        }
    }

    private double heavier() {
        return kind == StudyKind.PATH_SMALL ? 0.6 : kind == StudyKind.PATH_LARGE ? 1 : 0;
    }

    private ShotRecord moved(StudyKind along, boolean moved, ShotRecord record) {
        return switch (along) {
            case PARTLY_DAY -> record.with(RecordField.PULLED_AT, at(moved ? 12 : 11));
            case PARTLY_BAG -> record.with(RecordField.BAG, moved ? "bag 2" : "bag 1");
            case PARTLY_TEMPERATURE -> record.with(RecordField.TEMPERATURE, moved ? "94" : "91");
            case PARTLY_OPERATOR -> record.with(RecordField.OPERATOR, moved ? "Operator 2" : "Operator 1");
            default -> record;
        };
    }

    private String at(int day) {
        int minute = 5 * shots.size();
        return String.format(Locale.ROOT, "2026-05-%02dT%02d:%02d", day, 9 + minute / 60, minute % 60);
    }

    private ShotRecord circumstances(boolean treated, boolean drawn) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.ARM, treated ? "treated" : "usual")
                .with(RecordField.BEANS_TREATMENT, treated ? "frozen" : "room temperature")
                .with(RecordField.PULLED_AT, at(11))
                .with(RecordField.TEMPERATURE, "93")
                .with(RecordField.OPERATOR, "Operator " + (1 + random.nextInt(2)))
                .with(RecordField.BASKET, "basket " + (1 + random.nextInt(2)))
                .with(RecordField.MINUTES_ON, Integer.toString(40 + 5 * shots.size()))
                .with(RecordField.GRIND_TO_BREW, Integer.toString(10 + random.nextInt(60)))
                .with(RecordField.FLUSH, Integer.toString(1 + random.nextInt(6)));
        return drawn ? record.with(RecordField.ORDER_DRAWN, "yes") : record;
    }

    private void unequal() {
        for (boolean treated : order(5, 12)) {
            ShotRecord record = circumstances(treated, true).with(RecordField.BEVERAGE_TARGET, "40");
            boolean second = record.text(RecordField.OPERATOR).orElse("").endsWith("2");
            double operator = kind == StudyKind.UNEQUAL_SPREAD_ADJUSTED && second ? 0.5 : 0;
            double yield = 20 + operator + (treated ? 0.6 : 0.15) * random.nextGaussian();
            add(cup(record, 18, 40, yield), 93);
        }
    }

    /** Grinds 2.4 and 2.6, a point apart, in drawn order; the first shot of the day was ground after a purge. */
    private void carriedOver() {
        double before = Double.NaN;
        for (boolean fine : order(EACH, EACH)) {
            double grind = fine ? 2.4 : 2.6;
            double old = Double.isNaN(before) ? grind : before;
            double mixed = (1 - CARRIED) * grind + CARRIED * old;
            before = grind;
            ShotRecord record = ShotRecord.EMPTY.with(RecordField.GRIND, grind)
                    .with(RecordField.GRINDER, "G-burr A")
                    .with(RecordField.PULLED_AT, at(11))
                    .with(RecordField.ORDER_DRAWN, "yes")
                    .with(RecordField.BEVERAGE_TARGET, "40");
            record = kind == StudyKind.CARRY_OVER ? record.with(RecordField.RETENTION, "6") : record;
            add(cup(record, 18, 40, 20 + (2.6 - mixed) / 0.2 + SPREAD * random.nextGaussian()), 93);
        }
    }

    private void fewDays() {
        for (int day = 0; day < 5; day++) {
            double shift = SPREAD * random.nextGaussian();
            for (boolean treated : order(2, 2)) {
                ShotRecord record = circumstances(treated, true).with(RecordField.BLOCK, "day " + day);
                add(cup(record, 18, 40, 20 + shift + SPREAD * random.nextGaussian()), 93);
            }
        }
    }

    private static ShotRecord cup(ShotRecord record, double dose, double grams, double yield) {
        double strength = yield * dose / grams;
        return record.with(RecordField.DOSE, String.format(Locale.ROOT, "%.1f", dose))
                .with(RecordField.BEVERAGE, String.format(Locale.ROOT, "%.1f", grams))
                .with(RecordField.REFRACTOMETER, "R-2")
                .with(RecordField.READINGS, String.format(Locale.ROOT, "%1$.3f; %1$.3f; %1$.3f", strength));
    }

    /** A log that shows little more than a temperature: 25 s under pressure. */
    private void add(ShotRecord record, double shown) {
        int samples = 30;
        double[] time = new double[samples];
        double[] pressure = new double[samples];
        double[] temperature = new double[samples];
        double off = 0.2 * random.nextGaussian();
        for (int i = 0; i < samples; i++) {
            time[i] = i;
            pressure[i] = i < 2 || i > 26 ? 0 : 9;
            temperature[i] = shown + off;
        }
        shots.add(new Shot(record, new ShotLog(Samples.of(time), Map.of(Channel.PRESSURE, Samples.of(pressure),
                Channel.TEMPERATURE, Samples.of(temperature)))));
    }
}
