package org.grenu.core.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.entry.Entries;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;

/**
 * The shelf of the fictional Basalt Room: its coffees, gear, calibrations and studies. Readings are simulated from
 * a fixed seed.
 */
public final class DemoShelf {

    /** True slope of R-2 against dried samples. */
    static final double TRUE_SLOPE = 0.992;

    private final Random random = new Random(20_260_513);
    private final List<ShelfItem> items = new ArrayList<>();

    private DemoShelf() {
    }

    /** {@return the things on the shelf} */
    public static List<ShelfItem> items() {
        DemoShelf shelf = new DemoShelf();
        shelf.coffees();
        shelf.bags();
        shelf.gear();
        shelf.machines();
        shelf.scale();
        shelf.instruments();
        shelf.places();
        return List.copyOf(shelf.items);
    }

    private void coffees() {
        put(ShelfKind.COFFEE, "Lot Heron 14",
                entries().with(ShelfField.LOT, "14")
                        .with(ShelfField.ORIGIN, "highland, one farm")
                        .with(ShelfField.PROCESS, "washed")
                        .with(ShelfField.ROAST_LEVEL, "light-medium")
                        .with(ShelfField.COLOUR_WHOLE, "78")
                        .with(ShelfField.COLOUR_GROUND, "86")
                        .with(ShelfField.COLOUR_SCALE, "bench colour meter, 0 dark to 150 light")
                        .with(ShelfField.DENSITY, "705")
                        .with(ShelfField.MOISTURE, "1.8")
                        .with(ShelfField.MOISTURE_U, "0.2")
                        .with(ShelfField.EXPECTED_NOTES, "stone fruit, black tea, light caramel"));
        put(ShelfKind.COFFEE, "Lot Siskin 3",
                entries().with(ShelfField.LOT, "3")
                        .with(ShelfField.ORIGIN, "valley, small growers")
                        .with(ShelfField.PROCESS, "natural")
                        .with(ShelfField.ROAST_LEVEL, "medium")
                        .with(ShelfField.COLOUR_WHOLE, "66")
                        .with(ShelfField.COLOUR_GROUND, "73")
                        .with(ShelfField.COLOUR_SCALE, "bench colour meter, 0 dark to 150 light")
                        .with(ShelfField.DENSITY, "668")
                        .with(ShelfField.MOISTURE, "1.8")
                        .with(ShelfField.MOISTURE_U, "0.2")
                        .with(ShelfField.EXPECTED_NOTES, "red berries, cocoa"));
        put(ShelfKind.COFFEE, "Lot Marten 22",
                entries().with(ShelfField.LOT, "22")
                        .with(ShelfField.PROCESS, "blend")
                        .with(ShelfField.ROAST_LEVEL, "dark")
                        .with(ShelfField.COLOUR_GROUND, "52")
                        .with(ShelfField.COLOUR_SCALE, "bench colour meter, 0 dark to 150 light")
                        .with(ShelfField.EXPECTED_NOTES, "dark chocolate, walnut"));
    }

    private void bags() {
        heronBags();
        put(ShelfKind.BAG, "Siskin 3 bag A",
                entries().with(ShelfField.BAG_COFFEE, "Lot Siskin 3")
                        .with(ShelfField.NET_MASS, "500")
                        .with(ShelfField.LIFE, "2026-05-13 roasted; 2026-05-19 opened")
                        .with(ShelfField.WASTE, "2026-05-19 8 setting the grind"));
        put(ShelfKind.BAG, "Siskin 3 bag B",
                entries().with(ShelfField.BAG_COFFEE, "Lot Siskin 3")
                        .with(ShelfField.NET_MASS, "350")
                        .with(ShelfField.LIFE, "2026-06-10 roasted; 2026-06-18 opened"));
        put(ShelfKind.BAG, "Marten 22 bag A",
                entries().with(ShelfField.BAG_COFFEE, "Lot Marten 22").with(ShelfField.NET_MASS, "250"));
    }

    private void heronBags() {
        put(ShelfKind.BAG, "Heron 14 bag A",
                entries().with(ShelfField.BAG_COFFEE, "Lot Heron 14")
                        .with(ShelfField.NET_MASS, "1000")
                        .with(ShelfField.LIFE,
                                "2026-04-27 roasted; 2026-05-12 opened; 2026-05-18 portioned 250 jars for the freezer")
                        .with(ShelfField.WASTE, "2026-05-13 14 setting the grind; 2026-05-18 6 spilled"));
        put(ShelfKind.BAG, "Heron 14 jars",
                entries().with(ShelfField.BAG_COFFEE, "Lot Heron 14")
                        .with(ShelfField.NET_MASS, "250")
                        .with(ShelfField.LIFE, "2026-04-27 roasted; 2026-05-18 frozen; 2026-06-15 thawed"));
    }

    private void gear() {
        put(ShelfKind.GRINDER, "G-burr A",
                entries().with(ShelfField.BURRS, "64 mm flat, first set")
                        .with(ShelfField.SETTING_WORDS, "turns")
                        .with(ShelfField.STEP, "0.2")
                        .with(ShelfField.FINEST, "0.8")
                        .with(ShelfField.COARSEST, "6")
                        .with(ShelfField.ZERO_POINT, "0.4")
                        .with(ShelfField.RETENTION, "0.6"));
        conicalGrinder();
        basket();
    }

    private void conicalGrinder() {
        put(ShelfKind.GRINDER, "G-burr B",
                entries().with(ShelfField.BURRS, "conical")
                        .with(ShelfField.SETTING_WORDS, "dial marks")
                        .with(ShelfField.STEP, "0")
                        .with(ShelfField.FINEST, "0")
                        .with(ShelfField.COARSEST, "40"));
    }

    private void basket() {
        put(ShelfKind.BASKET, "18 g ridgeless",
                entries().with(ShelfField.CAPACITY_FROM, "17")
                        .with(ShelfField.CAPACITY_TO, "19")
                        .with(ShelfField.DIAMETER, "58")
                        .with(ShelfField.DEPTH, "15"));
    }

    private void machines() {
        put(ShelfKind.MACHINE, "Rig 1",
                entries().with(ShelfField.PUMP, "gear")
                        .with(ShelfField.CONTROLS, "pressure, flow, temperature")
                        .with(ShelfField.SENSOR_PLACE, "group")
                        .with(ShelfField.SENSOR_STATE, "dynamic")
                        .with(ShelfField.SENSOR_OFFSET, "0.02")
                        .with(ShelfField.WARM_UP, "25"));
        Entries rig2 = entries().with(ShelfField.PUMP, "rotary")
                .with(ShelfField.CONTROLS, "flow by a needle valve")
                .with(ShelfField.SENSOR_PLACE, "line")
                .with(ShelfField.SENSOR_STATE, "dynamic")
                .with(ShelfField.WARM_UP, "35")
                .with(ShelfField.VALVE_WORDS, "quarter turns open")
                .with(ShelfField.VALVE_RUNS, valveRuns())
                .with(ShelfField.VALVE_SCHEDULE, "0 1; 8 2; 14 5; 30 3");
        ShelfVersion first = new ShelfVersion(0, 1, Optional.empty(), "", rig2.with(ShelfField.VALVE_RUNS, ""));
        ShelfVersion second = new ShelfVersion(1, 2, Optional.of(LocalDate.of(2026, 5, 11)), "new needle valve", rig2);
        items.add(new ShelfItem(items.size() + 1L, ShelfKind.MACHINE, "Rig 2", List.of(first, second)));
        put(ShelfKind.MACHINE, "Rig 3", entries().with(ShelfField.PUMP, "vibration")
                .with(ShelfField.CONTROLS, "flow by a dial")
                .with(ShelfField.SENSOR_PLACE, "pump")
                .with(ShelfField.VALVE_WORDS, "dial marks")
                .with(ShelfField.VALVE_RUNS, "0 20 1.2; 2 20 24.5; 4 20 61.0; 6 20 98.3; 8 20 127.6; 10 20 141.0"));
    }

    private void scale() {
        put(ShelfKind.SCALE, "S-1",
                entries().with(ShelfField.SCALE_STEP, "0.1")
                        .with(ShelfField.SCALE_REPEATABILITY, "0.03")
                        .with(ShelfField.SCALE_BIAS, "0")
                        .with(ShelfField.CHECK_WEIGHTS, checkWeights()));
    }

    /** Three runs of 20 s at each quarter turn of a valve that opens slowly, then fast, then hardly more. */
    private String valveRuns() {
        List<String> runs = new ArrayList<>();
        for (int quarter = 0; quarter <= 8; quarter++) {
            double flow = 10.6 / (1 + Math.exp(-(quarter - 3.6) / 1.05)) - 0.33;
            for (int repeat = 0; repeat < 3; repeat++) {
                runs.add(quarter + " 20 " + text("%.1f", 20 * Math.max(0, flow + 0.06 * random.nextGaussian())));
            }
        }
        return String.join("; ", runs);
    }

    private String checkWeights() {
        List<String> checks = new ArrayList<>();
        LocalDate day = LocalDate.of(2026, 5, 4);
        for (int week = 0; week < 7; week++) {
            checks.add(day.plusWeeks(week) + " 100 " + text("%.1f", 100 + 0.008 * week + 0.03 * random.nextGaussian()));
        }
        return String.join("; ", checks);
    }

    private void instruments() {
        put(ShelfKind.REFRACTOMETER, "R-2",
                entries().with(ShelfField.READS, "strength")
                        .with(ShelfField.READING_STEP, "0.01")
                        .with(ShelfField.READING_REPEATABILITY, "0.015")
                        .with(ShelfField.READING_BIAS, "0.045")
                        .with(ShelfField.COMPENSATED_FROM, "15")
                        .with(ShelfField.COMPENSATED_TO, "40")
                        .with(ShelfField.ZERO_LOG, zeros()));
        brixRefractometer();
    }

    private void brixRefractometer() {
        put(ShelfKind.REFRACTOMETER, "R-1 (°Brix)",
                entries().with(ShelfField.READS, "brix")
                        .with(ShelfField.READING_STEP, "0.1")
                        .with(ShelfField.READING_REPEATABILITY, "0.05")
                        .with(ShelfField.READING_BIAS, "0.2")
                        .with(ShelfField.BRIX_FACTOR, "0.85")
                        .with(ShelfField.BRIX_FACTOR_U, "0.01")
                        .with(ShelfField.COMPENSATED_FROM, "10")
                        .with(ShelfField.COMPENSATED_TO, "30")
                        .with(ShelfField.DRIED, dried())
                        .with(ShelfField.ZERO_LOG,
                                "2026-05-04T09:10 0; 2026-05-11T09:05 0.1; 2026-05-18T09:00 0; 2026-05-25T08:55 0"));
    }

    private String zeros() {
        List<String> zeros = new ArrayList<>();
        for (int day = 11; day <= 31; day += 2) {
            zeros.add("2026-05-" + day + "T08:50 "
                    + text("%.2f", 0.01 + 0.0012 * (day - 11) + 0.008 * random.nextGaussian()));
        }
        return String.join("; ", zeros);
    }

    /**
     * Eight beverages read, then dried: a scale of °Brix whose slope against dried solids is that of coffee, not of
     * sugar.
     */
    private String dried() {
        List<String> samples = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            double brix = 4.5 + 1.4 * i + 0.2 * random.nextGaussian();
            double wet = 5 + 0.05 * random.nextGaussian();
            double solids = 0.85 * TRUE_SLOPE * brix + 0.03 * random.nextGaussian();
            samples.add(text("%.1f", brix) + " " + text("%.3f", wet) + " " + text("%.3f", wet * solids / 100));
        }
        return String.join("; ", samples);
    }

    private void places() {
        put(ShelfKind.WATER, "Brew water 3",
                entries().with(ShelfField.MINERALS, "demineralised with magnesium sulfate and potassium bicarbonate")
                        .with(ShelfField.HARDNESS, "68")
                        .with(ShelfField.ALKALINITY, "40")
                        .with(ShelfField.BLANK, "0.01"));
        put(ShelfKind.SITE, "Basalt Room", entries().with(ShelfField.ALTITUDE, "320"));
        put(ShelfKind.SITE, "Upper hut", entries().with(ShelfField.ALTITUDE, "1370")
                .with(ShelfField.NOTE, "The travelling set-up goes here in June"));
        studies();
        profiles();
    }

    private void profiles() {
        for (DemoProfile profile : DemoProfile.values()) {
            put(ShelfKind.PROFILE, profile.title(),
                    entries().with(RecordField.PROFILE_STEPS, profile.profile().text()));
        }
    }

    private void studies() {
        put(ShelfKind.STUDY, DemoStudy.NAME, entries().with(ShelfField.QUESTION,
                "Do grind and profile change extraction, or does the beverage mass explain it?"));
        put(ShelfKind.STUDY, "Pressure and flow",
                entries().with(ShelfField.QUESTION, "Does an even flow at six bar extract as much as nine bar?"));
        put(ShelfKind.STUDY, "Ageing at a fixed grind",
                entries().with(ShelfField.QUESTION, "What does age alone do to time and strength?"));
        put(ShelfKind.STUDY, DemoStudy.DIAL_IN,
                entries().with(ShelfField.QUESTION, "Which grind brings bag B to 26–30 s and less sour?"));
        siskinRecipe();
    }

    private void siskinRecipe() {
        put(ShelfKind.RECIPE, "Siskin 3, straight nine",
                entries().with(RecordField.COFFEE, "Lot Siskin 3")
                        .with(RecordField.GRINDER, "G-burr A")
                        .with(RecordField.MACHINE, "Rig 1")
                        .with(RecordField.BASKET, "18 g ridgeless")
                        .with(RecordField.WATER, "Brew water 3")
                        .with(RecordField.SITE, "Basalt Room")
                        .with(RecordField.TEMPERATURE, "93")
                        .with(RecordField.GRIND, "3")
                        .with(RecordField.PROFILE, DemoProfile.STRAIGHT_NINE.title())
                        .with(RecordField.PROFILE_STEPS, DemoProfile.STRAIGHT_NINE.profile().text())
                        .with(RecordField.DOSE_TARGET, "18")
                        .with(RecordField.BEVERAGE_TARGET, "40")
                        .with(RecordField.SERVED, "straight")
                        .with(ShelfField.AIM_TIME_FROM, "26")
                        .with(ShelfField.AIM_TIME_TO, "30")
                        .with(ShelfField.AIM_YIELD_FROM, "20")
                        .with(ShelfField.AIM_YIELD_TO, "22")
                        .with(ShelfField.AIM_STRENGTH_FROM, "9")
                        .with(ShelfField.AIM_STRENGTH_TO, "10")
                        .with(ShelfField.AIM_SOURCE, "the room's own, from the fixed-grind series"));
    }

    private void put(ShelfKind kind, String name, Entries entries) {
        items.add(new ShelfItem(items.size() + 1L, kind, name,
                List.of(new ShelfVersion(0, 1, Optional.empty(), "", entries))));
    }

    private static Entries entries() {
        return Entries.NONE;
    }

    private static String text(String format, double number) {
        return String.format(Locale.ROOT, format, number);
    }
}
