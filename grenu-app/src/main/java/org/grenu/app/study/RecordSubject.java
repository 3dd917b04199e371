package org.grenu.app.study;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.study.Masses;
import org.grenu.core.study.SheetFactor;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotFilter;
import org.grenu.core.study.ShotSheet;

/** What a filter finds in a shot, in the window and on the command line alike: by the same names. */
abstract class RecordSubject implements ShotFilter.Subject {

    private static final Map<String, SheetField> FIELDS = fields();
    private static final List<String> WORKED_OUT = List.of("beverage", "mass", "ratio", "strength", "tds", "ey",
            "yield", "time", "age", "peak",
            "shot", "number", "day", "finding", "is");

    /** A field is called by its key, with or without the unit at its end, or by a short name. */
    private static Map<String, SheetField> fields() {
        Map<String, SheetField> fields = new HashMap<>();
        Arrays.stream(SheetField.values()).forEach(field -> {
            fields.putIfAbsent(field.key().replaceFirst("_(g|pct|c|s|d|mm|m|min)$", ""), field);
            fields.put(field.key(), field);
        });
        fields.put("temp", SheetField.TEMPERATURE);
        fields.put("profile", SheetField.PROFILE);
        return fields;
    }

    /** {@return the names by which a filter can ask, but for entries that the user made up} */
    static Set<String> names() {
        Set<String> names = new HashSet<>(FIELDS.keySet());
        names.addAll(WORKED_OUT);
        return names;
    }

    abstract ShotSheet sheet();

    abstract Masses masses();

    abstract Optional<Measured> extraction();

    abstract OptionalDouble time();

    abstract OptionalDouble peakPressure();

    /** What people call the shot. */
    abstract String called();

    /** What rules find in it, in small letters. */
    abstract String findings();

    final String allWords() {
        StringBuilder all = new StringBuilder(called());
        for (SheetField field : SheetField.values()) {
            sheet().text(field).ifPresent(text -> all.append(' ').append(text));
        }
        sheet().extras().forEach((key, text) -> all.append(' ').append(key).append(' ').append(text));
        sheet().momentNotes().forEach(note -> all.append(' ').append(note.words()));
        return all.append(sheet().has(SheetField.FAULT) ? " faulty" : "").toString().toLowerCase(Locale.ROOT);
    }

    @Override
    public OptionalDouble number(String name) {
        return switch (name) {
            case "beverage", "mass" -> value(masses().beverage());
            case "ratio" -> value(masses().ratio());
            case "strength", "tds" -> value(masses().strength());
            case "ey", "yield" -> value(extraction());
            case "time" -> time();
            case "age" -> sheet().ageDays();
            case "peak" -> peakPressure();
            case "shot", "number" -> DecimalText.parse(called());
            default -> entered(name);
        };
    }

    @Override
    public Optional<String> text(String name) {
        return switch (name) {
            case "day" -> sheet().pulledAt().map(moment -> moment.toLocalDate().toString());
            case "finding" -> Optional.of(findings());
            case "is" -> Optional.of((sheet().has(SheetField.FAULT) ? "faulty " : "")
                    + (sheet().flag(SheetField.FAULT_ON_PURPOSE) ? "purpose " : "")
                    + (masses().brew().isPresent() ? "read" : "unread"));
            default -> enteredWords(name);
        };
    }

    OptionalDouble entered(String name) {
        if (FIELDS.containsKey(name)) {
            return sheet().number(FIELDS.get(name));
        }
        return SheetFactor.find(name)
                .map(factor -> factor.number(sheet()))
                .orElseGet(() -> own(name).map(DecimalText::parse).orElse(OptionalDouble.empty()));
    }

    Optional<String> enteredWords(String name) {
        if (FIELDS.containsKey(name)) {
            return sheet().entry(FIELDS.get(name));
        }
        return SheetFactor.find(name).flatMap(factor -> factor.level(sheet())).or(() -> own(name));
    }

    /** An entry that the user made up, called with underscores for spaces. */
    private Optional<String> own(String name) {
        return sheet().extras()
                .entrySet()
                .stream()
                .filter(entry -> entry.getKey().replace(' ', '_').equalsIgnoreCase(name.replace(' ', '_')))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    static OptionalDouble value(Optional<Measured> measured) {
        return measured.isPresent() ? OptionalDouble.of(measured.get().value()) : OptionalDouble.empty();
    }
}
