package org.grenu.core.entry;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.profile.Profile;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.Sample;

/** Turns what is typed or logged into an entry of the record and back, without loss. */
public final class FieldCodec {

    /** Characters of the longest text that an entry takes. */
    public static final int LONGEST_TEXT = 20_000;
    static final int MOST_NUMBERS = 200;

    private FieldCodec() {
    }

    /**
     * {@return the entry, never null} Blank text is the caller's to handle.
     *
     * @throws RefusedEntry if the text is not a possible entry
     */
    public static Object parse(Field field, String text) {
        return switch (field.kind()) {
            case TEXT -> text(field, text);
            case NAME_LIST -> names(field, text);
            case ARM_LIST -> arms(field, text);
            case NUMBER -> number(field, text);
            case NUMBER_LIST -> numbers(field, text);
            case FLAG -> flag(field, text);
            case CHOICE -> choice(field.title(), field.choices(), text.strip());
            case ROWS -> new RowCodec(field.form()).rows(text);
            case READING_LIST -> readings(field, text);
            case SAMPLE_LIST -> samples(field, text);
            case MOMENT -> moment(field, text);
            case DAY -> day(field, text);
            case REPAIR_LIST -> repairs(text);
            case PROFILE -> profile(text);
            case PHASE_LIST -> phases(text);
            case MOMENT_NOTE_LIST -> momentNotes(text);
        };
    }

    /** {@return the entry as text that reads back the same} */
    public static String format(Object value) {
        if (value instanceof Double number) {
            return DecimalText.exact(number);
        }
        if (value instanceof List<?> list) {
            return list.stream().map(FieldCodec::format).collect(Collectors.joining("; "));
        }
        if (value instanceof StudyArm arm) {
            return arm.text();
        }
        if (value instanceof RepairKind kind) {
            return kind.key();
        }
        if (value instanceof Profile profile) {
            return profile.text();
        }
        if (value instanceof PhaseBorder border) {
            return border.kind().key() + " " + DecimalText.exact(border.seconds());
        }
        if (value instanceof MomentNote note) {
            return DecimalText.exact(note.seconds()) + " " + note.words();
        }
        if (value instanceof Row row) {
            return row.text();
        }
        if (value instanceof Reading reading) {
            return reading.text();
        }
        if (value instanceof Sample sample) {
            return sample.text();
        }
        if (value instanceof Boolean flag) {
            return flag ? "yes" : "no";
        }
        return value.toString();
    }

    private static String text(Field field, String text) {
        if (text.length() > LONGEST_TEXT) {
            throw new RefusedEntry(field.title() + " is longer than " + LONGEST_TEXT + " characters.");
        }
        return text.strip();
    }

    /** Names, each once, in the order they were entered. */
    private static List<String> names(Field field, String text) {
        return Arrays.stream(text(field, text).split(";"))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
    }

    private static List<StudyArm> arms(Field field, String text) {
        return names(field, text).stream().map(StudyArm::parse).toList();
    }

    private static Object number(Field field, String text) {
        TypedNumber typed = TypedNumber.parse(text, field.unit());
        if (typed.estimated() && !field.volumeTells()) {
            throw new RefusedEntry(field.title() + " is a mass, and a volume does not tell it: weigh it.");
        }
        field.form().checkRange(typed.value());
        return typed.estimated() ? new VolumeEstimate(typed.value()) : typed.value();
    }

    private static double plain(Field field, String text) {
        double number = TypedNumber.parse(text, field.unit()).value();
        field.form().checkRange(number);
        return number;
    }

    static String choice(String title, List<String> choices, String text) {
        return choices.stream()
                .filter(choice -> choice.equalsIgnoreCase(text))
                .findFirst()
                .orElseThrow(() -> new RefusedEntry(title + " must be one of: " + String.join(", ", choices) + "."));
    }

    private static List<Reading> readings(Field field, String text) {
        List<Reading> readings = new ArrayList<>();
        for (String part : text.split("[;\\s]+")) {
            if (!part.isBlank()) {
                readings.add(reading(field, part));
            }
        }
        if (readings.size() > MOST_NUMBERS) {
            throw new RefusedEntry(field.title() + ": more than " + MOST_NUMBERS + " values.");
        }
        return List.copyOf(readings);
    }

    private static Reading reading(Field field, String part) {
        if (!part.contains("@")) {
            return Reading.of(plain(field, part));
        }
        try {
            Reading reading = Reading.parse(part);
            field.form().checkRange(reading.value());
            return reading;
        } catch (IllegalArgumentException notUnderstood) {
            throw new RefusedEntry(notUnderstood.getMessage());
        }
    }

    private static List<Sample> samples(Field field, String text) {
        List<Sample> samples = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                samples.add(sample(field, part));
            }
        }
        if (samples.size() > MOST_NUMBERS) {
            throw new RefusedEntry(field.title() + ": more than " + MOST_NUMBERS + ".");
        }
        return List.copyOf(samples);
    }

    private static Sample sample(Field field, String part) {
        try {
            Sample sample = Sample.parse(part);
            sample.taken().forEach(reading -> field.form().checkRange(reading.value()));
            return sample;
        } catch (IllegalArgumentException notUnderstood) {
            throw new RefusedEntry(notUnderstood.getMessage());
        }
    }

    static String shortened(String text) {
        return text.length() > 24 ? text.substring(0, 24) + "…" : text;
    }

    private static List<Double> numbers(Field field, String text) {
        List<Double> numbers = new ArrayList<>();
        for (String part : text.split("[;\\s]+")) {
            if (!part.isBlank()) {
                numbers.add(plain(field, part));
            }
        }
        if (numbers.size() > MOST_NUMBERS) {
            throw new RefusedEntry(field.title() + ": more than " + MOST_NUMBERS + " values.");
        }
        return List.copyOf(numbers);
    }

    private static Boolean flag(Field field, String text) {
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "yes", "true", "1" -> true;
            case "no", "false", "0" -> false;
            default -> throw new RefusedEntry(field.title() + " must be yes or no.");
        };
    }

    /** A day of which nobody knows the hour stays a day. */
    private static Object moment(Field field, String text) {
        String plain = text.strip().replace(' ', 'T');
        try {
            return plain.length() == 10 ? (Object) LocalDate.parse(plain) : LocalDateTime.parse(plain);
        } catch (DateTimeParseException notIso) {
            throw new RefusedEntry(
                    field.title() + " must be a date such as 2026-05-14, or date and time such as 2026-05-14 10:31.");
        }
    }

    private static LocalDate day(Field field, String text) {
        try {
            return LocalDate.parse(text.strip().length() > 10 ? text.strip().substring(0, 10) : text.strip());
        } catch (DateTimeParseException notIso) {
            throw new RefusedEntry(field.title() + " must be a date such as 2026-04-27.");
        }
    }

    private static Profile profile(String text) {
        if (text.length() > LONGEST_TEXT) {
            throw new RefusedEntry("The profile is longer than " + LONGEST_TEXT + " characters.");
        }
        try {
            return Profile.parse(text);
        } catch (IllegalArgumentException notUnderstood) {
            throw new RefusedEntry(notUnderstood.getMessage());
        }
    }

    private static List<PhaseBorder> phases(String text) {
        List<PhaseBorder> borders = new ArrayList<>();
        for (String part : text.split(";")) {
            if (part.isBlank()) {
                continue;
            }
            String[] words = part.strip().split("\\s+");
            PhaseKind kind = PhaseKind.find(words[0]).orElse(null);
            OptionalDouble seconds = words.length == 2 ? DecimalText.parse(words[1]) : OptionalDouble.empty();
            if (kind == null || seconds.isEmpty()) {
                throw new RefusedEntry("“" + shortened(part.strip())
                        + "” is not a phase and where it begins. Write it such as "
                        + "“soak 4.2”. Known: "
                        + Arrays.stream(PhaseKind.values()).map(PhaseKind::key).collect(Collectors.joining(", "))
                        + ".");
            }
            if (!borders.isEmpty() && seconds.getAsDouble() <= borders.get(borders.size() - 1).seconds()) {
                throw new RefusedEntry("Each phase must begin after the one before it.");
            }
            borders.add(new PhaseBorder(kind, seconds.getAsDouble()));
        }
        if (borders.size() > MOST_NUMBERS) {
            throw new RefusedEntry("More than " + MOST_NUMBERS + " phases.");
        }
        return List.copyOf(borders);
    }

    /** One note a piece; a semicolon in its words would read back as two and becomes a comma. */
    private static List<MomentNote> momentNotes(String text) {
        List<MomentNote> notes = new ArrayList<>();
        for (String part : text.split(";")) {
            if (part.isBlank()) {
                continue;
            }
            notes.add(momentNote(part));
        }
        if (notes.size() > MOST_NUMBERS) {
            throw new RefusedEntry("More than " + MOST_NUMBERS + " notes.");
        }
        notes.sort(Comparator.comparingDouble(MomentNote::seconds));
        return List.copyOf(notes);
    }

    private static MomentNote momentNote(String part) {
        String[] words = part.strip().split("\\s+", 2);
        OptionalDouble seconds = DecimalText.parse(words[0]);
        if (seconds.isEmpty() || words.length < 2 || words[1].length() > LONGEST_TEXT / 10) {
            throw new RefusedEntry("“" + shortened(part.strip())
                    + "” is not a note at a moment. Write it such as “12.5 first blond streak”.");
        }
        return new MomentNote(seconds.getAsDouble(), words[1].replaceAll("\\s+", " ").strip());
    }

    private static List<RepairKind> repairs(String text) {
        TreeSet<RepairKind> kinds = new TreeSet<>();
        for (String part : text.split("[;\\s]+")) {
            if (!part.isBlank()) {
                kinds.add(RepairKind.find(part.strip())
                        .orElseThrow(() -> new RefusedEntry("“" + shortened(part)
                                + "” is not a kind of repair. Known: " + Arrays.stream(RepairKind.values())
                                        .map(RepairKind::key)
                                        .collect(Collectors.joining(", "))
                                + ".")));
            }
        }
        return List.copyOf(kinds);
    }
}
