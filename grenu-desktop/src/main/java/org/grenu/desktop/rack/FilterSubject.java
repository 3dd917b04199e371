package org.grenu.desktop.rack;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Measured;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotFilter;
import org.grenu.library.ShotSummary;

/** What the filter finds in a stored shot. */
final class FilterSubject implements ShotFilter.Subject {

    private final ShotSummary shot;
    private final TimeConvention convention;

    FilterSubject(ShotSummary shot, TimeConvention convention) {
        this.convention = convention;
        this.shot = shot;
    }

    @Override
    public String words() {
        String entries = Stream.of(SheetField.COFFEE, SheetField.PROFILE, SheetField.GRINDER, SheetField.MACHINE, SheetField.OPERATOR,
                SheetField.STUDY, SheetField.NAME, SheetField.NOTE, SheetField.FAULT, SheetField.BASKET)
                .map(field -> shot.sheet().text(field).orElse("")).collect(Collectors.joining(" "));
        return (shot.number() + " " + entries + (shot.sheet().has(SheetField.FAULT) ? " faulty" : "")).toLowerCase(Locale.ROOT);
    }

    @Override
    public OptionalDouble number(String name) {
        return switch (name) {
            case "grind" -> shot.sheet().number(SheetField.GRIND);
            case "temp", "temperature" -> shot.sheet().number(SheetField.TEMPERATURE);
            case "dose" -> shot.sheet().number(SheetField.DOSE);
            case "beverage", "mass" -> value(shot.masses().beverage());
            case "ratio" -> value(shot.masses().ratio());
            case "strength", "tds" -> value(shot.masses().strength());
            case "ey", "yield" -> value(shot.masses().brew().map(Brew::asDosed).map(y -> y.percent()));
            case "time" -> convention.of(shot.digest().times());
            case "age" -> shot.sheet().ageDays();
            case "shot", "number" -> OptionalDouble.of(shot.number());
            default -> SheetField.find(name).map(shot.sheet()::number).orElse(OptionalDouble.empty());
        };
    }

    @Override
    public Optional<String> text(String name) {
        return switch (name) {
            case "day" -> shot.sheet().pulledAt().map(moment -> moment.toLocalDate().toString());
            default -> SheetField.find(name).flatMap(shot.sheet()::entry);
        };
    }

    private static OptionalDouble value(Optional<Measured> measured) {
        return measured.isPresent() ? OptionalDouble.of(measured.get().value()) : OptionalDouble.empty();
    }
}
