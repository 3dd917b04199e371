package org.grenu.cli;

import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.extraction.StatedYield;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Assumed;
import org.grenu.core.record.Masses;
import org.grenu.core.record.StatedYields;
import org.grenu.formats.rules.ShippedPacks;

/** The table of {@code analyse}, for people: one line a shot, findings below. */
final class AnalysisTable implements AnalysisOutput {

    private static final List<String> HEADING = List.of("file", "dose g", "beverage g", "ratio", "strength %",
            "EY as dosed %", "EY dry %", "first drip s", "pump on–off s", "peak bar");
    private static final String UNKNOWN = "–";

    private final PrintWriter out;
    private final List<List<String>> rows = new ArrayList<>(List.of(HEADING));
    private final List<String> notes = new ArrayList<>();
    private final List<String> files = new ArrayList<>();
    private final List<String> assumed = new ArrayList<>();

    AnalysisTable(PrintWriter out) {
        this.out = out;
    }

    /** The columns are as wide as the widest of all rows: words are kept until the last is there. */
    @Override
    public Runnable ready(AnalysedShot shot) {
        List<String> row = row(shot);
        List<String> said = notes(shot);
        String words = Assumed.words(Assumed.in(shot.shot().record()));
        return () -> {
            rows.add(row);
            notes.addAll(said);
            files.add(shot.file());
            assumed.add(words);
        };
    }

    @Override
    public void finish() {
        if (files.isEmpty()) {
            return;
        }
        out.print(TextTable.aligned(rows));
        notes.forEach(note -> out.print(note + "\n"));
        printAssumed();
        out.print("± is the expanded uncertainty, k = 2, or more where few readings scatter.\n");
    }

    private static List<String> notes(AnalysedShot shot) {
        List<String> said = new ArrayList<>();
        for (Finding finding : ShippedPacks.findings(shot.shot().record(), shot.measures())) {
            said.add(finding.statement() + " (" + finding.evidence() + ")");
        }
        for (Repair repair : shot.measures().curve().repaired().repairs()) {
            said.add(repair.kind().title() + (repair.applied() ? "" : " is off") + " (" + repair.evidence() + ")");
        }
        StatedYields.of(shot.shot().record(), shot.measures()).map(StatedYield::words).ifPresent(said::add);
        if (shot.measures().curve().beverageWithheld()) {
            said.add("The curve's beverage mass is withheld: how far the cup filled is not in the log.");
        }
        said.addAll(shot.assumptions());
        return said.stream().map(words -> shot.file() + ": " + words).toList();
    }

    /** What every shot assumes is said once. */
    private void printAssumed() {
        boolean same = assumed.stream().distinct().count() == 1;
        for (int i = 0; i < (same ? 1 : assumed.size()); i++) {
            if (!assumed.get(i).isEmpty()) {
                out.print((same ? "" : files.get(i) + ": ") + assumed.get(i) + "\n");
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
