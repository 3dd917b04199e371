package org.grenu.core.demo;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.rig.LogFlaw;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;

/**
 * The demo study of the fictional Basalt Room: two coffees, four profiles, three grinds, two temperatures, one coffee
 * followed as it ages and a bag of it dialled in, repeats, and shots and logs that went wrong. Everything is simulated
 * from fixed seeds and marked so.
 */
public final class DemoStudy {

    /** The study's name in the records. */
    public static final String NAME = "Grind × profile, blocks 1–2";

    /** The name of the dial-in in the records. */
    public static final String DIAL_IN = "Dial-in of Siskin bag B";

    private static final SimulatedCoffee SISKIN = new SimulatedCoffee(0.248, 0.94, 0.9);
    private static final long SEED = 20_261_140;

    private DemoStudy() {
    }

    /** {@return the shots in the order they were pulled} */
    public static List<DemoShot> shots() {
        List<DemoShot> shots = new ArrayList<>();
        for (Session session : sessions()) {
            for (int i = 0; i < session.plans.size(); i++) {
                shots.add(pull(session, i, shots));
            }
        }
        return shots;
    }

    private static List<Session> sessions() {
        Bag heron = new Bag("heron", "Lot Heron 14", "Heron 14 bag A", "2026-04-27", SimulatedCoffee.REFERENCE);
        Bag siskin = new Bag("siskin", "Lot Siskin 3", "Siskin 3 bag A", "2026-05-13", SISKIN);
        return List.of(
                new Session(heron, NAME, LocalDateTime.of(2026, 5, 13, 9, 4), 16, List.of(
                        nine(2.4, 93), nine(2.2, 93), gentle(2.6, 93), nine(2.6, 93),
                        gentle(2.4, 93).with(LogFlaw.KNOCKED_SCALE),
                        nine(1.2, 93).faulty("choked: wrong notch after cleaning"),
                        gentle(2.2, 93), nine(2.4, 90), gentle(2.4, 90).with(LogFlaw.SCALE_TIMED_OUT))),
                new Session(heron, NAME, LocalDateTime.of(2026, 5, 14, 9, 7), 17, List.of(
                        nine(2.2, 93), nine(2.4, 93).with(LogFlaw.PRESSURE_SPIKE), nine(2.6, 93),
                        nine(4.4, 93).faulty("gusher: grinder still set for another coffee"),
                        gentle(2.2, 93), gentle(2.6, 93), nine(2.4, 90).with(LogFlaw.FORGOTTEN_TARE), gentle(2.4, 90),
                        gentle(2.4, 93))),
                new Session(heron, "Pressure and flow", LocalDateTime.of(2026, 5, 18, 14, 12), 21, List.of(
                        even(2.4, 93), low(2.4, 93), even(2.4, 93).with(LogFlaw.SCALE_FROZEN),
                        low(2.6, 93).with(LogFlaw.CLIPPED_PRESSURE),
                        even(2.6, 93).with(LogFlaw.VESSEL_SWAP), low(2.4, 93).with(LogFlaw.GAP),
                        even(2.2, 93).with(LogFlaw.CUP_LIFTED),
                        nine(2.4, 93).withChannel(), low(2.6, 93).with(LogFlaw.SCALE_LAG))),
                new Session(siskin, "Ageing at a fixed grind", LocalDateTime.of(2026, 5, 19, 10, 30), 6, List.of(
                        nine(2.4, 93), nine(2.4, 93).with(LogFlaw.CUP_PLACED_LATE), nine(2.4, 93))),
                new Session(siskin, "Ageing at a fixed grind", LocalDateTime.of(2026, 5, 26, 10, 31), 13, List.of(
                        nine(2.4, 93), nine(2.4, 93).with(LogFlaw.TIME_DISORDER), nine(2.4, 93))),
                new Session(siskin, "Ageing at a fixed grind", LocalDateTime.of(2026, 6, 2, 10, 28), 20, List.of(
                        nine(2.4, 93).with(LogFlaw.PRESSURE_OFFSET), nine(2.4, 93),
                        nine(2.4, 93).with(LogFlaw.DROPOUT))),
                new Session(siskin, "Ageing at a fixed grind", LocalDateTime.of(2026, 6, 16, 10, 33), 34, List.of(
                        nine(2.4, 93), nine(2.4, 93).with(LogFlaw.CLOCK_RESET),
                        nine(2.4, 93).with(LogFlaw.SCALE_SPIKE))),
                dialIn(LocalDateTime.of(2026, 6, 18, 10, 5), 8, nine(3.0, 93), nine(2.8, 93), nine(2.4, 94),
                        nine(2.4, 93), nine(2.4, 93), nine(2.2, 93)),
                dialIn(LocalDateTime.of(2026, 6, 25, 10, 8), 15, nine(2.2, 93), nine(2.2, 93), nine(2.0, 93)),
                dialIn(LocalDateTime.of(2026, 7, 2, 10, 2), 22, nine(2.2, 93)));
    }

    /**
     * A bag of Siskin dialled in, with one step in which two things were changed, and growing older from day to day.
     */
    private static Session dialIn(LocalDateTime first, int ageDays, Plan... plans) {
        return new Session(new Bag("siskin", "Lot Siskin 3", "Siskin 3 bag B", "2026-06-10", SISKIN), DIAL_IN, first,
                ageDays, List.of(plans));
    }

    private static DemoShot pull(Session session, int index, List<DemoShot> before) {
        Plan plan = session.plans.get(index);
        Bag bag = session.bag;
        long number = before.stream().filter(shot -> shot.name().startsWith(bag.file)).count() + 1;
        double dose = 18.0 + new double[] {0, 0, 0.1, 0, -0.1, 0, 0.1}[index % 7];
        SimulatedShot shot = simulated(session, plan, dose, SEED + before.size());
        ShotRecord record = setUp(session, plan, index).with(RecordField.DOSE,
                String.format(Locale.ROOT, "%.1f", dose));
        if (!shot.readings().isEmpty()) {
            String readings = shot.readings().stream().map(String::valueOf).collect(Collectors.joining("; "));
            record = record.with(RecordField.READINGS, readings)
                    .with(RecordField.ZERO, shot.zero())
                    .with(RecordField.ZERO_WATER, "brewing")
                    .with(RecordField.BEVERAGE, String.format(Locale.ROOT, "%.1f", shot.truth().beverageGrams()));
        }
        if (session.study.equals(DIAL_IN)) {
            record = DemoTaster.tasted(record, shot.truth().yieldPercent(dose), plan.celsius, before.size());
        }
        return new DemoShot(String.format(Locale.ROOT, "%s-%02d", bag.file, number), new Shot(record, shot.log()),
                shot.truth());
    }

    private static SimulatedShot simulated(Session session, Plan plan, double dose, long seed) {
        RigRecipe recipe = new RigRecipe(
                new Puck(session.bag.coffee, session.ageDays, dose, plan.grind, plan.celsius), plan.profile.profile(),
                37.6, 75);
        SimulatedRig rig = new SimulatedRig(seed);
        if (plan.channelled) {
            rig.withChannel(0.8);
        }
        if (plan.profile == DemoProfile.EVEN_FLOW) {
            rig.loggingSteps();
        }
        return rig.pull(recipe, plan.flaw == null ? List.of() : List.of(plan.flaw));
    }

    /** What was written down before the shot was pulled. */
    private static ShotRecord setUp(Session session, Plan plan, int index) {
        Bag bag = session.bag;
        return ShotRecord.EMPTY.with(RecordField.STUDY, session.study)
                .with(RecordField.PULLED_AT, session.first.plusMinutes(9L * index).toString())
                .with(RecordField.OPERATOR, "Operator " + (session.study.equals(DIAL_IN) ? 1 : 1 + index % 2))
                .with(RecordField.SITE, "Basalt Room")
                .with(RecordField.WATER, "Brew water 3")
                .with(RecordField.SCALE, "S-1")
                .with(RecordField.COFFEE, bag.coffeeName)
                .with(RecordField.BAG, bag.name)
                .with(RecordField.ROASTED_ON, bag.roastedOn)
                .with(RecordField.GRINDER, "G-burr A")
                .with(RecordField.GRIND, plan.grind)
                .with(RecordField.PURGE, index % 4 == 3 ? 0 : 2)
                .with(RecordField.TEMPERATURE, plan.celsius)
                .with(RecordField.PROFILE, plan.profile.title())
                .with(RecordField.PROFILE_STEPS, plan.profile.profile().text())
                .with(RecordField.MACHINE, "Rig 1")
                .with(RecordField.BASKET, "18 g ridgeless")
                .with(RecordField.BASKET_CAPACITY, 18)
                .with(RecordField.BED_DIAMETER, 58)
                .with(RecordField.BED_DEPTH, 15)
                .with(RecordField.DOSE_TARGET, 18)
                .with(RecordField.BEVERAGE_TARGET, 40)
                .with(RecordField.MOISTURE, 1.8)
                .with(RecordField.MOISTURE_U, 0.2)
                .with(RecordField.REFRACTOMETER, "R-2")
                .with(RecordField.SAMPLE_FILTERED, "yes")
                .with(RecordField.FAULT, plan.fault)
                .with(RecordField.SIMULATED, "yes");
    }

    /**
     * One shot of the study.
     *
     * @param name  of its file, without the ending
     * @param shot  record and log
     * @param truth what the simulator knows and no analysis may use
     */
    public record DemoShot(String name, Shot shot, SimulatedShot.Truth truth) {
    }

    private record Bag(String file, String coffeeName, String name, String roastedOn, SimulatedCoffee coffee) {
    }

    private record Session(Bag bag, String study, LocalDateTime first, int ageDays, List<Plan> plans) {
    }

    private static Plan nine(double grind, double celsius) {
        return new Plan(grind, celsius, DemoProfile.STRAIGHT_NINE, null, "", false);
    }

    private static Plan gentle(double grind, double celsius) {
        return new Plan(grind, celsius, DemoProfile.GENTLE_RAMP, null, "", false);
    }

    private static Plan even(double grind, double celsius) {
        return new Plan(grind, celsius, DemoProfile.EVEN_FLOW, null, "", false);
    }

    private static Plan low(double grind, double celsius) {
        return new Plan(grind, celsius, DemoProfile.LOW_SIX, null, "", false);
    }

    /** What is to be pulled; {@code flaw} is null when nothing goes wrong with the log. */
    private record Plan(double grind, double celsius, DemoProfile profile, LogFlaw flaw, String fault,
            boolean channelled) {

        Plan with(LogFlaw other) {
            return new Plan(grind, celsius, profile, other, fault, channelled);
        }

        Plan faulty(String why) {
            return new Plan(grind, celsius, profile, flaw, why, channelled);
        }

        Plan withChannel() {
            return new Plan(grind, celsius, profile, flaw, fault, true);
        }
    }
}
