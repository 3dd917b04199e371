package org.grenu.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Assumed;
import org.grenu.core.record.Masses;
import org.grenu.core.record.StatedYields;
import org.grenu.formats.rules.ShippedPacks;

/** The table of {@code analyse}, for people: one line a shot, findings below. */
final class AnalysisTable {

    private static final List<String> HEADING = List.of("file", "dose g", "beverage g", "ratio", "strength %",
            "EY as dosed %", "EY dry %", "first drip s", "pump on–off s", "peak bar");
    private static final String UNKNOWN = "–";

    private AnalysisTable() {
    }

    static String write(List<AnalysedShot> shots) {
        if (shots.isEmpty()) {
            return "";
        }
        List<List<String>> rows = new ArrayList<>(List.of(HEADING));
        shots.forEach(shot -> rows.add(row(shot)));
        StringBuilder out = new StringBuilder(TextTable.aligned(rows));
        for (AnalysedShot shot : shots) {
            for (Finding finding : ShippedPacks.findings(shot.shot().record(), shot.measures())) {
                out.append(shot.file())
                        .append(": ")
                        .append(finding.statement())
                        .append(" (")
                        .append(finding.evidence())
                        .append(")\n");
            }
            shot.measures()
                    .curve()
                    .repaired()
                    .repairs()
                    .forEach(repair -> out.append(shot.file())
                            .append(": ")
                            .append(repair.kind().title())
                            .append(repair.applied() ? "" : " is off")
                            .append(" (")
                            .append(repair.evidence())
                            .append(")\n"));
            StatedYields.of(shot.shot().record(), shot.measures())
                    .ifPresent(stated -> out.append(shot.file()).append(": ").append(stated.words()).append('\n'));
            if (shot.measures().curve().beverageWithheld()) {
                out.append(shot.file())
                        .append(": The curve's beverage mass is withheld: how far the cup filled is not in the log.\n");
            }
            shot.assumptions()
                    .forEach(assumption -> out.append(shot.file()).append(": ").append(assumption).append('\n'));
        }
        assumed(shots, out);
        return out.append("± is the expanded uncertainty, k = 2.\n").toString();
    }

    /** What every shot assumes is said once. */
    private static void assumed(List<AnalysedShot> shots, StringBuilder out) {
        List<String> each = shots.stream().map(shot -> Assumed.words(Assumed.in(shot.shot().record()))).toList();
        boolean same = each.stream().distinct().count() == 1;
        for (int i = 0; i < (same ? 1 : each.size()); i++) {
            if (!each.get(i).isEmpty()) {
                out.append(same ? "" : shots.get(i).file() + ": ").append(each.get(i)).append('\n');
            }
        }
    }

    private static List<String> row(AnalysedShot shot) {
        Masses masses = shot.measures().masses();
        Optional<Brew> brew = masses.brew();
        return List.of(shot.file(), fixed(masses.dose(), 1), fixed(masses.beverage(), 1),
                masses.ratio().map(r -> "1:" + Reported.fixed(r.value(), 2)).orElse(UNKNOWN),
                reported(masses.strength()),
                reported(brew.map(Brew::asDosed).map(ExtractionYield::percent)),
                reported(brew.flatMap(Brew::dry).map(ExtractionYield::percent)),
                firstDrip(shot),
                fixed(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(shot.measures().curve().times()), 1),
                fixed(shot.measures().curve().peakPressure(), 1));
    }

    private static String firstDrip(AnalysedShot shot) {
        return shot.measures()
                .curve()
                .times()
                .firstDrip()
                .map(TimedEvent::seconds)
                .map(s -> Reported.fixed(s, 1))
                .orElse(UNKNOWN);
    }

    private static String reported(Optional<Measured> measured) {
        return measured.map(m -> Reported.of(m).text()).orElse(UNKNOWN);
    }

    private static String fixed(Optional<Measured> measured, int decimals) {
        return measured.map(m -> Reported.fixed(m.value(), decimals)).orElse(UNKNOWN);
    }

    private static String fixed(OptionalDouble number, int decimals) {
        return number.isPresent() ? Reported.fixed(number.getAsDouble(), decimals) : UNKNOWN;
    }
}
