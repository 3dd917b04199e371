package org.grenu.desktop.rack;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.study.Masses;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotFilter;
import org.grenu.library.ShotSummary;

/** What the filter finds in a stored shot. Words and masses are made once, since every keystroke asks for them. */
final class FilterSubject implements ShotFilter.Subject {

    private static final Map<String, SheetField> FIELDS = fields();

    private final ShotSummary shot;
    private final Supplier<DerivedValues.Derived> derived;
    private final TimeConvention convention;
    private final Supplier<String> findings;
    private String words;
    /** By name; concurrent since they are also made ahead, see {@link #prepare}. */
    private final Map<String, OptionalDouble> numbers = new ConcurrentHashMap<>(4);
    private final Map<String, Optional<String>> texts = new ConcurrentHashMap<>(4);

    FilterSubject(ShotSummary shot, Supplier<DerivedValues.Derived> derived, TimeConvention convention, Supplier<String> findings) {
        this.shot = shot;
        this.derived = derived;
        this.convention = convention;
        this.findings = findings;
    }

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
        names.addAll(List.of("beverage", "mass", "ratio", "strength", "tds", "ey", "yield", "time", "age", "peak", "shot", "number", "day", "finding", "is"));
        return names;
    }

    /** Makes what every keystroke asks for; another thread may do that, since each is made whole or not at all. */
    void prepare() {
        words();
        derived.get();
    }

    @Override
    public String words() {
        if (words == null) {
            StringBuilder all = new StringBuilder().append(shot.number());
            for (SheetField field : SheetField.values()) {
                shot.sheet().text(field).ifPresent(text -> all.append(' ').append(text));
            }
            shot.sheet().extras().forEach((key, text) -> all.append(' ').append(key).append(' ').append(text));
            shot.sheet().momentNotes().forEach(note -> all.append(' ').append(note.words()));
            words = all.append(shot.sheet().has(SheetField.FAULT) ? " faulty" : "").toString().toLowerCase(Locale.ROOT);
        }
        return words;
    }

    @Override
    public OptionalDouble number(String name) {
        return switch (name) {
            case "beverage", "mass" -> value(masses().beverage());
            case "ratio" -> value(masses().ratio());
            case "strength", "tds" -> value(masses().strength());
            case "ey", "yield" -> value(derived.get().yield());
            case "time" -> convention.of(shot.digest().times());
            case "age" -> shot.sheet().ageDays();
            case "peak" -> shot.digest().peakPressure();
            case "shot", "number" -> OptionalDouble.of(shot.number());
            default -> numbers.computeIfAbsent(name, this::entered);
        };
    }

    @Override
    public Optional<String> text(String name) {
        return switch (name) {
            case "day" -> shot.sheet().pulledAt().map(moment -> moment.toLocalDate().toString());
            case "finding" -> Optional.of(findings.get());
            case "is" -> Optional.of((shot.sheet().has(SheetField.FAULT) ? "faulty " : "") + (shot.sheet().flag(SheetField.FAULT_ON_PURPOSE) ? "purpose " : "")
                    + (masses().brew().isPresent() ? "read" : "unread"));
            default -> texts.computeIfAbsent(name, key -> FIELDS.containsKey(key) ? shot.sheet().entry(FIELDS.get(key)) : own(key));
        };
    }

    private OptionalDouble entered(String name) {
        return FIELDS.containsKey(name) ? shot.sheet().number(FIELDS.get(name)) : own(name).map(DecimalText::parse).orElse(OptionalDouble.empty());
    }

    /** An entry that the user made up, called with underscores for spaces. */
    private Optional<String> own(String name) {
        return shot.sheet().extras().entrySet().stream().filter(entry -> entry.getKey().replace(' ', '_').equalsIgnoreCase(name)).map(Map.Entry::getValue).findFirst();
    }

    private Masses masses() {
        return derived.get().masses();
    }

    private static OptionalDouble value(Optional<Measured> measured) {
        return measured.isPresent() ? OptionalDouble.of(measured.get().value()) : OptionalDouble.empty();
    }
}
