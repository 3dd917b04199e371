package org.grenu.desktop.rack;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.beans.Observable;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.Suggestions.Offer;

/** What could be meant by the last word of a filter that is being typed: a field, or a value of one. */
final class FilterOffers {

    private static final List<String> STARTS = List.of("coffee:", "grinder:", "grind:", "profile:", "ey>", "ey:",
            "strength:", "time<", "time:", "age<", "dose:", "ratio:",
            "temp:", "taste:", "finding:", "study:", "arm:", "day:", "bag:", "basket:", "machine:", "water:",
            "operator:", "file:", "is:faulty", "-is:faulty", "unknown:taste");
    private static final List<RecordField> NAMED = List.of(RecordField.COFFEE, RecordField.PROFILE, RecordField.GRINDER,
            RecordField.MACHINE, RecordField.OPERATOR, RecordField.STUDY);

    private static final int NAMED_VALUES = 4;

    private final StudyDesk desk;
    private final FindingSearch found;
    /** What stands in a field of the shots, until one of them changes. */
    private final Map<RecordField, List<String>> values = new EnumMap<>(RecordField.class);

    FilterOffers(StudyDesk desk, FindingSearch found) {
        this.desk = desk;
        this.found = found;
        desk.shots().addListener((Observable o) -> values.clear());
    }

    List<Offer> of(String typed) {
        int space = lastSpace(typed);
        String before = typed.substring(0, space);
        String last = typed.substring(space).toLowerCase(Locale.ROOT);
        List<Offer> offers = new ArrayList<>();
        if (last.length() < 2) {
            return offers;
        }
        String sign = last.startsWith("-") ? "-" : "";
        String word = last.substring(sign.length());
        int colon = word.indexOf(':');
        if (colon > 0) {
            String name = word.substring(0, colon);
            String begun = word.substring(colon + 1).replace("\"", "");
            values(name).stream()
                    .filter(value -> value.toLowerCase(Locale.ROOT).contains(begun) && !value.equalsIgnoreCase(begun))
                    .sorted(Comparator.comparing(value -> !value.toLowerCase(Locale.ROOT).startsWith(begun)))
                    .forEach(value -> offers.add(offer(before, sign + name, value)));
        } else {
            STARTS.stream()
                    .filter(start -> start.startsWith(last) && !start.equals(last))
                    .forEach(start -> offers.add(new Offer(start, before + start)));
            for (RecordField field : NAMED) {
                values(field.key()).stream()
                        .filter(value -> value.toLowerCase(Locale.ROOT).contains(word))
                        .forEach(value -> offers.add(offer(before, sign + field.key(), value)));
            }
        }
        return offers;
    }

    /** {@return fields that the last word begins, as they are asked for; empty where it begins none} */
    String namesThatBegin(String typed) {
        String last = typed.substring(lastSpace(typed)).toLowerCase(Locale.ROOT).replaceFirst("^-", "");
        return last.isEmpty() ? ""
                : STARTS.stream()
                        .filter(start -> start.startsWith(last))
                        .limit(NAMED_VALUES)
                        .collect(Collectors.joining(" "));
    }

    /** {@return what may follow that word, in words} */
    String whatMayFollow(HalfTyped half) {
        if (half.compares()) {
            return half.name() + ": a number is to follow";
        }
        List<String> values = values(half.name());
        return half.name() + ": " + (values.isEmpty() ? "a number, a range such as 2-3, or a word is to follow"
                : values.stream().limit(NAMED_VALUES).collect(Collectors.joining(", ")) + (values.size() > NAMED_VALUES
                        ? ", …" : ""));
    }

    /** Within quotes a space does not end the word. */
    private static int lastSpace(String typed) {
        boolean quoted = false;
        int last = 0;
        for (int i = 0; i < typed.length(); i++) {
            quoted ^= typed.charAt(i) == '"';
            last = typed.charAt(i) == ' ' && !quoted ? i + 1 : last;
        }
        return last;
    }

    static Offer offer(String before, String name, String value) {
        String token = name + ":" + quoted(value) + " ";
        return new Offer(token.strip(), before + token);
    }

    static String quoted(String value) {
        return value.contains(" ") ? "\"" + value + "\"" : value;
    }

    private List<String> values(String name) {
        if (name.equals("finding")) {
            return found.names();
        }
        return RecordField.find(name).map(field -> values.computeIfAbsent(field, this::used)).orElse(List.of());
    }

    /** The most frequent first. */
    private List<String> used(RecordField field) {
        Map<String, Integer> counts = new HashMap<>();
        desk.shots().forEach(shot -> shot.record().text(field).ifPresent(text -> counts.merge(text, 1, Integer::sum)));
        return counts.entrySet()
                .stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
                .map(Map.Entry::getKey)
                .toList();
    }
}
