package org.grenu.core.entry;

import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What is written down about a thing, by field. Immutable; what is not entered is unknown. */
public final class Entries {

    /** Nothing known. */
    public static final Entries NONE = new Entries(Map.of());

    private final Map<Field, Object> values;

    private Entries(Map<Field, Object> values) {
        this.values = Collections.unmodifiableMap(values);
    }

    /**
     * {@return these entries with that one as typed; a blank text makes it unknown}
     *
     * @throws RefusedEntry if the text is not a possible entry; the message says why
     */
    public Entries with(Field field, String text) {
        Map<Field, Object> copy = new LinkedHashMap<>(values);
        copy.remove(field);
        if (text != null && !text.isBlank()) {
            Object value = FieldCodec.parse(field, text);
            if (!(value instanceof List<?> list && list.isEmpty())) {
                copy.put(field, value);
            }
        }
        return new Entries(copy);
    }

    /** {@return the entry as text that reads back the same; empty when unknown} */
    public Optional<String> entry(Field field) {
        return Optional.ofNullable(values.get(field)).map(FieldCodec::format);
    }

    /** {@return whether the entry is known} */
    public boolean has(Field field) {
        return values.containsKey(field);
    }

    /** {@return the number entered, if any} */
    public OptionalDouble number(Field field) {
        return values.get(field) instanceof Double number ? OptionalDouble.of(number) : OptionalDouble.empty();
    }

    /** {@return the words entered or chosen, if any} */
    public Optional<String> text(Field field) {
        return values.get(field) instanceof String text ? Optional.of(text) : Optional.empty();
    }

    /** {@return the day entered, if any} */
    public Optional<LocalDate> day(Field field) {
        return values.get(field) instanceof LocalDate day ? Optional.of(day) : Optional.empty();
    }

    /** {@return the rows entered, none when unknown} */
    @SuppressWarnings("unchecked")
    public List<Row> rows(Field field) {
        return field.kind() == FieldKind.ROWS ? (List<Row>) values.getOrDefault(field, List.of()) : List.of();
    }

    /** {@return every known entry as text, by field} */
    public Map<Field, String> texts() {
        Map<Field, String> texts = new LinkedHashMap<>();
        values.forEach((field, value) -> texts.put(field, FieldCodec.format(value)));
        return texts;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Entries entries && values.equals(entries.values);
    }

    @Override
    public int hashCode() {
        return values.hashCode();
    }

    @Override
    public String toString() {
        return texts().toString();
    }
}
