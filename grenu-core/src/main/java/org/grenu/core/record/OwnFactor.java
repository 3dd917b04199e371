package org.grenu.core.record;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.quantity.DecimalText;

/**
 * Something the user made up for a study, such as beans frozen before grinding: an entry of the record that Grenu has
 * no
 * field for. Numeric when every entry of it is a number, all with the same unit or none; else each text is a level.
 *
 * @param key     of the entry
 * @param numeric whether its levels are numbers
 * @param unit    of the numbers, empty when they have none
 */
public record OwnFactor(String key, boolean numeric, String unit) implements Factor {

    private static final Set<String> IDENTITIES = Set.of("shot", "shot in file", "shot number", "shot no", "shot id",
            "no", "nr", "number", "id", "index", "row", "file", "file name",
            "filename");
    private static final int ENOUGH_TO_TELL = 5;
    private static final Pattern NUMBER = Pattern
            .compile("([+\\-\u2212]?[0-9][0-9.,]*(?:[eE][+\\-]?[0-9]+)?)\\s*([^0-9\\s][^\\s]{0,11})?");

    /** {@return the factor as those records know it; empty when none of them does} */
    public static Optional<OwnFactor> of(String key, List<ShotRecord> sheets) {
        List<String> texts = sheets.stream()
                .map(record -> record.extras().get(key))
                .filter(text -> text != null)
                .toList();
        if (texts.isEmpty()) {
            return Optional.empty();
        }
        List<Matcher> numbers = numbers(texts);
        List<String> units = units(numbers);
        boolean numeric = numbers.size() == texts.size() && units.size() == 1;
        return Optional.of(new OwnFactor(key, numeric, numeric ? units.get(0) : ""));
    }

    private static List<Matcher> numbers(List<String> texts) {
        return texts.stream()
                .map(NUMBER::matcher)
                .filter(Matcher::matches)
                .filter(match -> DecimalText.parse(match.group(1)).isPresent())
                .toList();
    }

    private static List<String> units(List<Matcher> numbers) {
        return numbers.stream()
                .map(match -> match.group(2) == null ? "" : match.group(2))
                .distinct()
                .toList();
    }

    /** {@return every factor the users of those records made up; what only tells the shots apart is none} */
    public static List<OwnFactor> all(List<ShotRecord> sheets) {
        return sheets.stream()
                .flatMap(record -> record.extras().keySet().stream())
                .distinct()
                .sorted()
                .filter(key -> !identifies(key, sheets))
                .flatMap(key -> of(key, sheets).stream())
                .toList();
    }

    /**
     * Whether the entry is a name or a running number of the shot, by what it is called or since each shot has its
     * own.
     */
    static boolean identifies(String key, List<ShotRecord> sheets) {
        if (IDENTITIES.contains(key.toLowerCase(Locale.ROOT).replace('_', ' ').replace(".", "").strip())) {
            return true;
        }
        List<String> texts = sheets.stream()
                .map(record -> record.extras().get(key))
                .filter(text -> text != null)
                .toList();
        boolean unique = texts.size() >= ENOUGH_TO_TELL && texts.stream().distinct().count() == texts.size();
        return unique && (of(key, sheets).filter(OwnFactor::numeric).isEmpty() || running(texts));
    }

    /** Whether those are whole numbers without a gap. */
    private static boolean running(List<String> texts) {
        if (!texts.stream().allMatch(text -> text.matches("[0-9]{1,9}"))) {
            return false;
        }
        long[] numbers = texts.stream().mapToLong(Long::parseLong).sorted().toArray();
        return numbers[numbers.length - 1] - numbers[0] == numbers.length - 1;
    }

    @Override
    public String title() {
        String words = key.replace('_', ' ');
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    @Override
    public OptionalDouble number(ShotRecord record) {
        String text = record.extras().get(key);
        if (!numeric || text == null) {
            return OptionalDouble.empty();
        }
        Matcher match = NUMBER.matcher(text);
        return match.matches() ? DecimalText.parse(match.group(1)) : OptionalDouble.empty();
    }

    @Override
    public Optional<String> level(ShotRecord record) {
        return numeric ? number(record).stream().mapToObj(DecimalText::exact).findFirst()
                : Optional.ofNullable(record.extras().get(key));
    }
}
