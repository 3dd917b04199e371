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
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.FilterUnits;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotFilter;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.StandardResponse;

/** What a filter finds in a shot, in the window and on the command line alike: by the same names. */
abstract class RecordSubject implements ShotFilter.Subject {

    private static final Map<String, RecordField> FIELDS = fields();
    private static final List<String> WORKED_OUT = List.of("beverage", "mass", "ratio", "strength", "tds", "ey",
            "yield", "time", "age", "peak",
            "shot", "number", "day", "finding", "is");

    /** A field is called by its key, with or without the unit at its end, or by a short name. */
    private static Map<String, RecordField> fields() {
        Map<String, RecordField> fields = new HashMap<>();
        Arrays.stream(RecordField.values()).forEach(field -> {
            fields.putIfAbsent(field.key().replaceFirst("_(g|pct|c|s|d|mm|m|min)$", ""), field);
            fields.put(field.key(), field);
        });
        fields.put("temp", RecordField.TEMPERATURE);
        fields.put("profile", RecordField.PROFILE);
        return fields;
    }

    /** {@return the names by which a filter can ask, but for entries that the user made up} */
    static Set<String> names() {
        Set<String> names = new HashSet<>(FIELDS.keySet());
        names.addAll(WORKED_OUT);
        return names;
    }

    /** {@return in what unit a filter's numbers are meant, for a reader who sees all in those} */
    static FilterUnits units(DisplayUnits shown) {
        return new FilterUnits(RecordSubject::unit, shown);
    }

    /** The unit that what is called so is kept in; empty for a number of its own. */
    private static String unit(String name) {
        return switch (name) {
            case "beverage", "mass" -> Unit.GRAM.symbol();
            case "strength", "tds", "ey", "yield" -> "%";
            case "time" -> Unit.SECOND.symbol();
            case "peak" -> Unit.BAR.symbol();
            default -> FIELDS.containsKey(name) ? FIELDS.get(name).unit()
                    : StandardResponse.find(name).map(response -> response.unit()).orElse("");
        };
    }

    abstract ShotRecord record();

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
        for (RecordField field : RecordField.values()) {
            record().text(field).ifPresent(text -> all.append(' ').append(text));
        }
        record().extras().forEach((key, text) -> all.append(' ').append(key).append(' ').append(text));
        record().momentNotes().forEach(note -> all.append(' ').append(note.words()));
        return all.append(record().has(RecordField.FAULT) ? " faulty" : "").toString().toLowerCase(Locale.ROOT);
    }

    @Override
    public OptionalDouble number(String name) {
        return switch (name) {
            case "beverage", "mass" -> value(masses().beverage());
            case "ratio" -> value(masses().ratio());
            case "strength", "tds" -> value(masses().strength());
            case "ey", "yield" -> value(extraction());
            case "time" -> time();
            case "age" -> record().ageDays();
            case "peak" -> peakPressure();
            case "shot", "number" -> DecimalText.parse(called());
            default -> entered(name);
        };
    }

    @Override
    public Optional<String> text(String name) {
        return switch (name) {
            case "day" -> record().pulledAt().map(moment -> moment.toLocalDate().toString());
            case "finding" -> Optional.of(findings());
            case "is" -> Optional.of((record().has(RecordField.FAULT) ? "faulty " : "")
                    + (record().flag(RecordField.FAULT_ON_PURPOSE) ? "purpose " : "")
                    + (masses().brew().isPresent() ? "read" : "unread"));
            default -> enteredWords(name);
        };
    }

    OptionalDouble entered(String name) {
        if (FIELDS.containsKey(name)) {
            return record().number(FIELDS.get(name));
        }
        return RecordFactor.find(name)
                .map(factor -> factor.number(record()))
                .orElseGet(() -> own(name).map(DecimalText::parse).orElse(OptionalDouble.empty()));
    }

    Optional<String> enteredWords(String name) {
        if (FIELDS.containsKey(name)) {
            return record().entry(FIELDS.get(name));
        }
        return RecordFactor.find(name).flatMap(factor -> factor.level(record())).or(() -> own(name));
    }

    /** An entry that the user made up, called with underscores for spaces. */
    private Optional<String> own(String name) {
        return record().extras()
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
