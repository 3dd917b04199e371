package org.grenu.core.puck;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;

/**
 * The demo study of the fictional Basalt Room: one coffee, two profiles, three grinds, two temperatures, repeats, and
 * shots that went wrong. Everything is simulated from fixed seeds and marked so.
 */
public final class DemoStudy {

    /** The study's name in the records. */
    public static final String NAME = "Grind × profile, blocks 1–2";

    private static final LocalDateTime FIRST = LocalDateTime.of(2026, 5, 13, 9, 4);

    private DemoStudy() {
    }

    /** {@return the shots in the order they were pulled} */
    public static List<DemoShot> shots() {
        List<Plan> plans = List.of(
                Plan.of(2.4, 93, PressureProfile.STRAIGHT_NINE), Plan.of(2.2, 93, PressureProfile.STRAIGHT_NINE),
                Plan.of(2.6, 93, PressureProfile.GENTLE_RAMP), Plan.of(2.6, 93, PressureProfile.STRAIGHT_NINE),
                Plan.of(2.4, 93, PressureProfile.GENTLE_RAMP).with(LogFlaw.KNOCKED_SCALE),
                Plan.of(1.0, 93, PressureProfile.STRAIGHT_NINE).faulty("choked: wrong notch after cleaning"),
                Plan.of(2.2, 93, PressureProfile.GENTLE_RAMP), Plan.of(2.4, 90, PressureProfile.STRAIGHT_NINE),
                Plan.of(2.4, 90, PressureProfile.GENTLE_RAMP),
                Plan.of(2.2, 93, PressureProfile.STRAIGHT_NINE), Plan.of(2.4, 93, PressureProfile.STRAIGHT_NINE),
                Plan.of(2.6, 93, PressureProfile.STRAIGHT_NINE), Plan.of(3.8, 93, PressureProfile.STRAIGHT_NINE)
                        .faulty("gusher: grinder still set for another coffee"),
                Plan.of(2.2, 93, PressureProfile.GENTLE_RAMP), Plan.of(2.6, 93, PressureProfile.GENTLE_RAMP),
                Plan.of(2.4, 90, PressureProfile.STRAIGHT_NINE).with(LogFlaw.FORGOTTEN_TARE),
                Plan.of(2.4, 90, PressureProfile.GENTLE_RAMP), Plan.of(2.4, 93, PressureProfile.GENTLE_RAMP));
        List<DemoShot> shots = new ArrayList<>();
        for (int i = 0; i < plans.size(); i++) {
            shots.add(pull(i, plans.get(i)));
        }
        return shots;
    }

    private static DemoShot pull(int index, Plan plan) {
        int secondDay = 9;
        LocalDateTime at = FIRST.plusDays(index / secondDay).plusMinutes(9L * (index % secondDay) + 3 * (index / secondDay));
        double dose = 18.0 + new double[] {0, 0, 0.1, 0, -0.1, 0, 0.1}[index % 7];
        PuckRecipe recipe = new PuckRecipe(dose, plan.grind, plan.celsius, plan.profile, 38.8, 60);
        SimulatedShot truth = new SimulatedRig(20_260_513L + index).pull(recipe, plan.flaw);
        ShotSheet sheet = ShotSheet.EMPTY.with(SheetField.STUDY, NAME)
                .with(SheetField.PULLED_AT, at.toString())
                .with(SheetField.OPERATOR, "Operator " + (1 + index % 2))
                .with(SheetField.COFFEE, "Lot Heron 14").with(SheetField.GRINDER, "G-burr A")
                .with(SheetField.GRIND, plan.grind).with(SheetField.TEMPERATURE, plan.celsius)
                .with(SheetField.PROFILE, plan.profile.title()).with(SheetField.MACHINE, "Rig 1")
                .with(SheetField.DOSE, String.format(Locale.ROOT, "%.1f", dose))
                .with(SheetField.MOISTURE, 1.8).with(SheetField.MOISTURE_U, 0.2)
                .with(SheetField.REFRACTOMETER, "R-2").with(SheetField.SAMPLE_FILTERED, "yes")
                .with(SheetField.FAULT, plan.fault).with(SheetField.SIMULATED, "yes");
        if (!truth.readings().isEmpty()) {
            String readings = truth.readings().stream().map(String::valueOf).collect(Collectors.joining("; "));
            sheet = sheet.with(SheetField.READINGS, readings).with(SheetField.ZERO, truth.zero())
                    .with(SheetField.BEVERAGE, String.format(Locale.ROOT, "%.1f", truth.beverageGrams()));
        }
        return new DemoShot(String.format(Locale.ROOT, "heron-%02d", index + 1), new Shot(sheet, truth.log()), truth);
    }

    /**
     * One shot of the study.
     *
     * @param name  of its file, without the ending
     * @param shot  record and log
     * @param truth what the simulator knows and no analysis may use
     */
    public record DemoShot(String name, Shot shot, SimulatedShot truth) {
    }

    private record Plan(double grind, double celsius, PressureProfile profile, LogFlaw flaw, String fault) {

        static Plan of(double grind, double celsius, PressureProfile profile) {
            return new Plan(grind, celsius, profile, LogFlaw.NONE, "");
        }

        Plan with(LogFlaw other) {
            return new Plan(grind, celsius, profile, other, fault);
        }

        Plan faulty(String why) {
            return new Plan(grind, celsius, profile, flaw, why);
        }
    }
}
