package org.grenu.core.study;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.quantity.DecimalText;

/**
 * Something the user made up for a study, such as beans frozen before grinding: an entry of the record that Grenu has no
 * field for. Numeric when every entry of it is a number, all with the same unit or none; else each text is a level.
 *
 * @param key     of the entry
 * @param numeric whether its levels are numbers
 * @param unit    of the numbers, empty when they have none
 */
public record OwnFactor(String key, boolean numeric, String unit) implements Factor {

    private static final Pattern NUMBER = Pattern.compile("([+\\-\u2212]?[0-9][0-9.,]*(?:[eE][+\\-]?[0-9]+)?)\\s*([^0-9\\s][^\\s]{0,11})?");

    /** {@return the factor as those records know it; empty when none of them does} */
    public static Optional<OwnFactor> of(String key, List<ShotSheet> sheets) {
        List<String> texts = sheets.stream().map(sheet -> sheet.extras().get(key)).filter(text -> text != null).toList();
        if (texts.isEmpty()) {
            return Optional.empty();
        }
        List<Matcher> numbers = texts.stream().map(NUMBER::matcher).filter(Matcher::matches)
                .filter(match -> DecimalText.parse(match.group(1)).isPresent()).toList();
        List<String> units = numbers.stream().map(match -> match.group(2) == null ? "" : match.group(2)).distinct().toList();
        boolean numeric = numbers.size() == texts.size() && units.size() == 1;
        return Optional.of(new OwnFactor(key, numeric, numeric ? units.get(0) : ""));
    }

    /** {@return every factor the users of those records made up} */
    public static List<OwnFactor> all(List<ShotSheet> sheets) {
        return sheets.stream().flatMap(sheet -> sheet.extras().keySet().stream()).distinct().sorted()
                .flatMap(key -> of(key, sheets).stream()).toList();
    }

    @Override
    public String title() {
        String words = key.replace('_', ' ');
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    @Override
    public OptionalDouble number(ShotSheet sheet) {
        String text = sheet.extras().get(key);
        if (!numeric || text == null) {
            return OptionalDouble.empty();
        }
        Matcher match = NUMBER.matcher(text);
        return match.matches() ? DecimalText.parse(match.group(1)) : OptionalDouble.empty();
    }

    @Override
    public Optional<String> level(ShotSheet sheet) {
        return numeric ? number(sheet).stream().mapToObj(DecimalText::exact).findFirst() : Optional.ofNullable(sheet.extras().get(key));
    }
}
