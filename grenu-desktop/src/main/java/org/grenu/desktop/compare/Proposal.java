package org.grenu.desktop.compare;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.ShotRecord;

/** What to ask while the user has chosen nothing: what the shots themselves suggest. */
final class Proposal {

    /** What usually counts as a treatment when it changed; anything else can be added. */
    private static final List<Factor> TREATMENTS = List.of(RecordFactor.GRIND, RecordFactor.TEMPERATURE,
            RecordFactor.PROFILE, RecordFactor.COFFEE, RecordFactor.ARM);
    private static final int MOST_FIELDS = 3;

    private Proposal() {
    }

    /** {@return every factor, the user's own among them} */
    static List<Factor> factors(List<ShotRecord> sheets) {
        return Stream.concat(Stream.<Factor>of(RecordFactor.values()), OwnFactor.all(sheets).stream()).toList();
    }

    /** {@return whether the factor has more than one level in those shots} */
    static boolean changed(Factor factor, List<ShotRecord> sheets) {
        return levels(factor, sheets) > 1;
    }

    private static long levels(Factor factor, List<ShotRecord> sheets) {
        return sheets.stream().flatMap(record -> factor.level(record).stream()).distinct().count();
    }

    /** {@return the factor to begin with: that one if it changed, else the first that did} */
    static Factor first(Factor wanted, List<ShotRecord> sheets) {
        if (changed(wanted, sheets)) {
            return wanted;
        }
        return Stream.of(TREATMENTS, OwnFactor.all(sheets), List.of(RecordFactor.AGE), List.of(RecordFactor.values()))
                .flatMap(List::stream)
                .map(Factor.class::cast)
                .filter(factor -> changed(factor, sheets))
                .findFirst()
                .orElse(wanted);
    }

    /** {@return the treatments that changed beside that factor} */
    static List<Variable> treatments(List<ShotRecord> sheets, Factor main) {
        return Stream.concat(TREATMENTS.stream(), OwnFactor.all(sheets).stream())
                .filter(factor -> !factor.equals(main) && changed(factor, sheets))
                .map(Variable::of)
                .toList();
    }

    /**
     * {@return days, where there are several and every treatment changed within one of them; else it could not be
     * told from the day}
     */
    static Optional<Factor> block(List<ShotRecord> sheets, List<Variable> variables) {
        Map<String, List<ShotRecord>> days = sheets.stream()
                .filter(record -> RecordFactor.DAY.level(record).isPresent())
                .collect(Collectors.groupingBy(record -> RecordFactor.DAY.level(record).orElseThrow()));
        boolean within = variables.stream()
                .allMatch(variable -> !(variable instanceof Variable.Treatment treatment)
                        || days.values().stream().anyMatch(day -> changed(treatment.factor(), day)));
        return days.size() > 1 && within && sheets.size() > days.size() + variables.size() + 1
                ? Optional.of(RecordFactor.DAY) : Optional.empty();
    }

    /** {@return the first factor of names beside the main one that changed, when its levels fit side by side} */
    static Optional<Factor> sideBySide(List<ShotRecord> sheets, Factor main) {
        return TREATMENTS.stream()
                .filter(factor -> factor != main && !factor.numeric() && changed(factor, sheets)
                        && levels(factor, sheets) <= MOST_FIELDS)
                .findFirst();
    }
}
