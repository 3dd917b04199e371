package org.grenu.core.study;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.quantity.DecimalText;

/** Turns what is typed or logged into an entry of the record and back, without loss. */
final class FieldText {

    static final int LONGEST_TEXT = 20_000;
    static final int MOST_NUMBERS = 200;

    private FieldText() {
    }

    /** {@return the entry, never null} Blank text is the caller's to handle. */
    static Object parse(SheetField field, String text) {
        return switch (field.kind()) {
            case TEXT -> text(field, text);
            case NUMBER -> number(field, text);
            case NUMBER_LIST -> numbers(field, text);
            case FLAG -> flag(field, text);
            case MOMENT -> moment(field, text);
            case REPAIR_LIST -> repairs(text);
        };
    }

    static String format(Object value) {
        if (value instanceof Double number) {
            return DecimalText.exact(number);
        }
        if (value instanceof List<?> list) {
            return list.stream().map(FieldText::format).collect(Collectors.joining("; "));
        }
        if (value instanceof RepairKind kind) {
            return kind.key();
        }
        if (value instanceof Boolean flag) {
            return flag ? "yes" : "no";
        }
        return value.toString();
    }

    private static String text(SheetField field, String text) {
        if (text.length() > LONGEST_TEXT) {
            throw new RefusedEntry(field.title() + " is longer than " + LONGEST_TEXT + " characters.");
        }
        return text.strip();
    }

    private static Double number(SheetField field, String text) {
        OptionalDouble number = DecimalText.parse(text);
        if (number.isEmpty()) {
            throw new RefusedEntry(notANumber(text));
        }
        field.checkRange(number.getAsDouble());
        return number.getAsDouble();
    }

    private static String notANumber(String text) {
        String shown = shortened(text.strip());
        if (shown.matches(".*\\d[.,]\\d{3}[.,].*")) {
            return "“" + shown + "” has two decimal marks. Write it without a thousands mark, such as 1234.5.";
        }
        return "“" + shown + "” is not a number. Write it such as 18.5.";
    }

    private static String shortened(String text) {
        return text.length() > 24 ? text.substring(0, 24) + "…" : text;
    }

    private static List<Double> numbers(SheetField field, String text) {
        List<Double> numbers = new ArrayList<>();
        for (String part : text.split("[;\\s]+")) {
            if (!part.isBlank()) {
                numbers.add(number(field, part));
            }
        }
        if (numbers.size() > MOST_NUMBERS) {
            throw new RefusedEntry(field.title() + ": more than " + MOST_NUMBERS + " values.");
        }
        return List.copyOf(numbers);
    }

    private static Boolean flag(SheetField field, String text) {
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "yes", "true", "1" -> true;
            case "no", "false", "0" -> false;
            default -> throw new RefusedEntry(field.title() + " must be yes or no.");
        };
    }

    private static LocalDateTime moment(SheetField field, String text) {
        String plain = text.strip().replace(' ', 'T');
        try {
            return plain.length() == 10 ? LocalDate.parse(plain).atStartOfDay() : LocalDateTime.parse(plain);
        } catch (DateTimeParseException notIso) {
            throw new RefusedEntry(field.title() + " must be a date and time such as 2026-05-14T10:31.");
        }
    }

    private static List<RepairKind> repairs(String text) {
        TreeSet<RepairKind> kinds = new TreeSet<>();
        for (String part : text.split("[;\\s]+")) {
            if (!part.isBlank()) {
                kinds.add(RepairKind.find(part.strip()).orElseThrow(() -> new RefusedEntry("“" + shortened(part)
                        + "” is not a kind of repair. Known: " + Arrays.stream(RepairKind.values())
                        .map(RepairKind::key).collect(Collectors.joining(", ")) + ".")));
            }
        }
        return List.copyOf(kinds);
    }
}
