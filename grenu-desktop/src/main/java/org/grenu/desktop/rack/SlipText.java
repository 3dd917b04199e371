package org.grenu.desktop.rack;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Factor;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.ShotSummary;

/**
 * The words on a slip.
 *
 * @param number   as people call the shot
 * @param masses   {@code 18.0 → 40.1 g}
 * @param time     {@code 28.9 s}, empty when unknown
 * @param made     the extraction yield, empty when unknown
 * @param missing  what the yield still needs, when it is unknown
 * @param chips    the factors, the one that gives the colour first
 * @param fault    why the shot counts as faulty, empty when it does not
 */
record SlipText(String number, String masses, String time, Optional<Reported> made, String missing,
        List<String> chips,
        String fault) {

    private static final String UNKNOWN = "–";

    /** {@return {@code 20.28}, empty when unknown} */
    String yield() {
        return made.map(Reported::value).orElse("");
    }

    /** {@return {@code ±0.16}} */
    String expanded() {
        return made.map(Reported::half).orElse("");
    }

    static SlipText of(ShotSummary shot, DerivedValues.Derived derived, Factor colourBy, StudySettings settings) {
        Masses masses = derived.masses();
        Optional<Reported> yield = derived.yield().map(Reported::of);
        OptionalDouble time = settings.convention().of(shot.digest().times());
        return new SlipText(Integer.toString(shot.number()),
                grams(masses.dose()) + " → " + grams(masses.beverage()) + " g",
                time.isPresent() ? Reported.fixed(time.getAsDouble(), 1) + " s" : "",
                yield, missing(masses),
                chips(shot.record(), colourBy, settings.units()), shot.record().text(RecordField.FAULT).orElse(""));
    }

    /** {@return the words for that shot as the desk has it} */
    static SlipText of(ShotSummary shot, StudyDesk desk, Factor colourBy) {
        return of(shot, desk.derived().of(shot), colourBy, desk.settingsProperty().get());
    }

    private static String missing(Masses masses) {
        String inputs = masses.missing()
                .stream()
                .map(input -> input.title().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
        return inputs.isEmpty() ? "" : "needs " + inputs;
    }

    private static String grams(Optional<Measured> mass) {
        return mass.map(m -> Reported.fixed(m.value(), 1)).orElse(UNKNOWN);
    }

    private static List<String> chips(ShotRecord record, Factor colourBy, DisplayUnits units) {
        List<String> chips = new ArrayList<>();
        chip(record, colourBy, units).ifPresent(chips::add);
        for (Factor factor : List.of(RecordFactor.GRIND, RecordFactor.TEMPERATURE, RecordFactor.PROFILE)) {
            if (factor != colourBy) {
                chip(record, factor, units).ifPresent(chips::add);
            }
        }
        return chips;
    }

    static Optional<String> chip(ShotRecord record, Factor factor, DisplayUnits units) {
        if (factor == RecordFactor.AGE) {
            return factor.level(record).map(level -> level + " d off roast");
        }
        Factor shown = factor.in(units);
        boolean plain = !factor.numeric() || factor == RecordFactor.TEMPERATURE;
        return shown.level(record)
                .map(level -> ((plain ? "" : factor.title().toLowerCase(Locale.ROOT) + " ") + level + " "
                        + shown.unit()).strip());
    }
}
