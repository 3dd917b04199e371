package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.grenu.core.puck.Puck;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.numbers.Samples;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;

/** Small studies whose plain answer would mislead; other modules show them in window, report and tables. */
public final class MisleadingStudies {

    private MisleadingStudies() {
    }

    /**
     * A study.
     *
     * @param shots named 1, 2, …
     * @param first what is asked about first
     * @param also  what is asked about beside it
     */
    public record Study(List<Shot> shots, Factor first, List<Factor> also) {

        List<MeasuredShot> compared() {
            List<MeasuredShot> all = new ArrayList<>();
            shots.forEach(shot -> all.add(new MeasuredShot(Integer.toString(all.size() + 1), shot.record(),
                    org.grenu.core.record.ShotMeasures.of(shot))));
            return all;
        }

        Question question(Response... responses) {
            List<Variable> variables = new ArrayList<>(List.of(Variable.of(first)));
            also.forEach(factor -> variables.add(Variable.of(factor)));
            return Question.of(variables, List.of(responses));
        }

        Comparison compare(Response... responses) {
            return Comparison.of(question(responses), compared());
        }
    }

    /** {@return all of them by name} */
    public static Map<String, Study> all() {
        return Map.of("confounded day", confoundedDay(), "eight fields", eightFields(), "crossover", crossover(),
                "stray setting", straySetting(), "outlier", outlier(),
                "least beverage", leastBeverage(), "one shot each", oneShotEach());
    }

    static Shot shot(int number, double yield, ShotRecord record) {
        ShotRecord whole = with(record,
                Map.of(RecordField.DOSE, "18", RecordField.BEVERAGE, "40", RecordField.REFRACTOMETER, "R-2",
                        RecordField.PURGE, "3",
                        RecordField.READINGS, String.format(Locale.ROOT, "%1$.3f; %1$.3f; %1$.3f", yield * 18 / 40)));
        ShotLog silent = new ShotLog(Samples.of(0, 1, 2, 3 + number), Map.of(Channel.PRESSURE, Samples.of(0, 0, 0, 0)));
        return new Shot(whole, silent);
    }

    private static ShotRecord with(ShotRecord record, Map<RecordField, String> usual) {
        ShotRecord whole = record;
        for (Map.Entry<RecordField, String> entry : usual.entrySet()) {
            whole = whole.has(entry.getKey()) ? whole : whole.with(entry.getKey(), entry.getValue());
        }
        return whole;
    }

    private static ShotRecord at(int day, int minute) {
        return ShotRecord.EMPTY.with(RecordField.PULLED_AT,
                String.format(Locale.ROOT, "2026-05-%02dT09:%02d", day, minute));
    }

    /** Everything at 91 °C was pulled on one day and all at 94 °C on the next. */
    static Study confoundedDay() {
        double[] off = {0.1, -0.1, 0.15, -0.05, -0.1, 0.05};
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            shots.add(shot(i, 20 + (i < 6 ? 0 : 1.2) + off[i % 6],
                    at(i < 6 ? 11 : 12, 8 * (i % 6)).with(RecordField.TEMPERATURE, i < 6 ? 91 : 94)));
        }
        return new Study(shots, RecordFactor.TEMPERATURE, List.of());
    }

    /** What moved along with the grind in the study of eight fields. */
    static final Map<RecordField,
            List<String>> EIGHT = Map.of(RecordField.BAG, List.of("bag A", "bag B"), RecordField.OPERATOR,
                    List.of("Operator 1", "Operator 2"),
                    RecordField.PREPARATION, List.of("stirred", "tapped"), RecordField.FLUSH, List.of("2", "6"),
                    RecordField.DWELL, List.of("4", "20"),
                    RecordField.MINUTES_ON, List.of("25", "70"), RecordField.SCALE, List.of("S-1", "S-2"),
                    RecordField.HARDNESS, List.of("60", "140"));

    /** Grinds alternate within a day, and eight other entries with them. */
    static Study eightFields() {
        double[] off = {0.1, -0.1, 0.15, -0.05, -0.1, 0.05, 0.02, -0.07};
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            ShotRecord record = at(11, 5 * i).with(RecordField.GRIND, i % 2 == 0 ? 2.2 : 2.4);
            for (Map.Entry<RecordField, List<String>> entry : EIGHT.entrySet()) {
                record = record.with(entry.getKey(), entry.getValue().get(i % 2));
            }
            shots.add(shot(i, 21 - (i % 2) + off[i], record.withExtra("shot in file", Integer.toString(i + 1))));
        }
        return new Study(shots, RecordFactor.GRIND, List.of());
    }

    /** Finer raises extraction with one profile by as much as it lowers it with the other. */
    static Study crossover() {
        double[] off = {0.05, -0.1, 0.1, -0.05, 0.08, -0.08, 0.02, -0.02};
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            boolean fine = i % 2 == 0;
            boolean gentle = i / 2 % 2 == 0;
            shots.add(shot(i, 20 + (fine == gentle ? 0.6 : -0.6) + off[i % 8],
                    at(11, 3 * i).with(RecordField.GRIND, fine ? 2.2 : 2.4)
                            .with(RecordField.PROFILE, gentle ? "Gentle ramp" : "Straight nine")));
        }
        return new Study(shots, RecordFactor.GRIND, List.of(RecordFactor.PROFILE));
    }

    /** Grinds of 2 and 3 differ by 1.6 points; one stray shot was pulled at 2.05. */
    static Study straySetting() {
        double[] off = {0.1, -0.1, 0.05, -0.05, 0.08, -0.08};
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            double grind = i == 5 ? 2.05 : i % 2 == 0 ? 2 : 3;
            shots.add(shot(i, 22 - 1.6 * (grind - 2) + off[i % 6], at(11, 4 * i).with(RecordField.GRIND, grind)));
        }
        return new Study(shots, RecordFactor.GRIND, List.of());
    }

    /** Seven and seven, a point apart; one shot of the better arm went wrong and nobody noticed. */
    static Study outlier() {
        double[] off = {0.2, -0.25, 0.1, -0.1, 0.25, -0.2, 0.05};
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < 14; i++) {
            double yield = i == 8 ? 16.5 : 20 + (i % 2 == 0 ? 0.8 : 0) + off[i / 2];
            shots.add(shot(i, yield,
                    at(11, 4 * i).with(RecordField.BEANS_TREATMENT, i % 2 == 0 ? "frozen" : "as it was")));
        }
        return new Study(shots, RecordFactor.BEANS_TREATMENT, List.of());
    }

    /** Ten simulated shots to about 38 g and one that was stopped at 15 g. */
    static Study leastBeverage() {
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < 11; i++) {
            double grind = i % 2 == 0 ? 2.2 : 2.4;
            SimulatedShot shot = new SimulatedRig(40 + i)
                    .pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 16, 18, grind, 93),
                            DemoProfile.STRAIGHT_NINE.profile(), i == 6 ? 14 : 37, 90), List.of());
            ShotRecord record = at(11, 4 * i).with(RecordField.DOSE, 18)
                    .with(RecordField.GRIND, grind)
                    .with(RecordField.REFRACTOMETER, "R-2")
                    .with(RecordField.BEVERAGE, String.format(Locale.ROOT, "%.1f", shot.truth().beverageGrams()));
            shots.add(new Shot(record, shot.log()));
        }
        return new Study(shots, RecordFactor.GRIND, List.of());
    }

    /** One shot each, read on the same instrument: 9.40 and 9.50 %. */
    static Study oneShotEach() {
        List<Shot> shots = List.of(shot(0, 9.40 * 40 / 18, at(11, 0).with(RecordField.ARM, "control")),
                shot(1, 9.50 * 40 / 18, at(11, 6).with(RecordField.ARM, "treated")));
        return new Study(shots, RecordFactor.ARM, List.of());
    }
}
