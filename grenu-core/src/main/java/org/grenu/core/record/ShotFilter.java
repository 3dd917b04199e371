package org.grenu.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A filter as it is typed: words that must all occur, {@code profile:gentle}, {@code coffee:"Lot Heron 14"},
 * {@code grind:2.2-2.6}, {@code ey>20}, {@code temp>200F}, {@code unknown:taste}; a minus before any of them takes out
 * what meets it. What it does not understand it takes as a word, so that typing never fails.
 */
public final class ShotFilter {

    private static final Pattern COMPARISON = Pattern.compile("([a-z_]+)(<=|>=|<|>|=)(.+)");
    private static final Pattern FIELD = Pattern.compile("([a-z_]+):(.+)");
    private static final Pattern TOKEN = Pattern.compile("(?:[^\\s\"]|\"[^\"]*\"?)+");
    private static final Pattern RANGE = Pattern.compile("(-?[0-9.,]+)(?:-|–|\\.\\.)(-?[0-9.,]+)([^0-9.,-].*)?");

    private static final Pattern VALUE = Pattern.compile("-?([A-Za-z_]+)(<=|>=|<|>|=|:)(.+)");

    private final List<Condition> conditions;
    private final List<String> names;
    private final List<String> unmeasured;

    private ShotFilter(List<Condition> conditions, List<String> names, List<String> unmeasured) {
        this.conditions = List.copyOf(conditions);
        this.names = List.copyOf(names);
        this.unmeasured = List.copyOf(unmeasured);
    }

    /** {@return the filter for what was typed with plain numbers; a blank text lets everything through} */
    public static ShotFilter parse(String typed) {
        return parse(typed, FilterUnits.PLAIN);
    }

    /** {@return the filter for what was typed; a blank text lets everything through} */
    public static ShotFilter parse(String typed, FilterUnits units) {
        List<Condition> conditions = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<String> unmeasured = new ArrayList<>();
        Matcher tokens = TOKEN.matcher(typed.toLowerCase(Locale.ROOT));
        while (tokens.find()) {
            String token = tokens.group().replace("\"", "").strip();
            boolean without = token.startsWith("-") && token.length() > 1;
            String asked = without ? token.substring(1) : token;
            Condition condition = condition(asked, units);
            name(asked, units).ifPresent(names::add);
            if (COMPARISON.matcher(asked).matches() && name(asked, units).isEmpty()) {
                unmeasured.add(asked);
            }
            if (!token.isEmpty()) {
                conditions.add(without ? subject -> !condition.meets(subject) : condition);
            }
        }
        return new ShotFilter(conditions, names, unmeasured);
    }

    /** The field that a condition asks for; none where it is a word. */
    private static Optional<String> name(String token, FilterUnits units) {
        Matcher comparison = COMPARISON.matcher(token);
        if (comparison.matches() && units.number(comparison.group(1), comparison.group(3)).isPresent()) {
            return Optional.of(comparison.group(1));
        }
        Matcher field = FIELD.matcher(token);
        return !field.matches() ? Optional.empty()
                : Optional.of(field.group(1).equals("unknown") ? field.group(2) : field.group(1));
    }

    /** {@return the names of the fields that are asked for} A field that no shot knows lets nothing through. */
    public List<String> names() {
        return names;
    }

    /** {@return comparisons with something that is no number, which are looked for as words} */
    public List<String> unmeasured() {
        return unmeasured;
    }

    /** {@return whether the shot meets every condition} */
    public boolean matches(Subject subject) {
        return conditions.stream().allMatch(condition -> condition.meets(subject));
    }

    private static Condition condition(String token, FilterUnits units) {
        Matcher comparison = COMPARISON.matcher(token);
        if (comparison.matches()) {
            OptionalDouble limit = units.number(comparison.group(1), comparison.group(3));
            if (limit.isPresent()) {
                return compare(comparison.group(1), comparison.group(2), limit.getAsDouble(),
                        units.near(comparison.group(1), comparison.group(3)));
            }
        }
        Matcher field = FIELD.matcher(token);
        if (field.matches()) {
            return inField(field.group(1), field.group(2), units);
        }
        return subject -> subject.words().contains(token);
    }

    private static Condition compare(String name, String sign, double limit, double near) {
        return subject -> {
            OptionalDouble number = subject.number(name);
            return number.isPresent() && holds(number.getAsDouble(), sign, limit, near);
        };
    }

    private static boolean holds(double value, String sign, double limit, double near) {
        return switch (sign) {
            case "<" -> value < limit;
            case "<=" -> value <= limit;
            case ">" -> value > limit;
            case ">=" -> value >= limit;
            default -> Math.abs(value - limit) < near;
        };
    }

    private static Condition inField(String name, String wanted, FilterUnits units) {
        if (name.equals("unknown")) {
            return subject -> subject.text(wanted).isEmpty() && subject.number(wanted).isEmpty();
        }
        Matcher range = RANGE.matcher(wanted);
        if (range.matches()) {
            String unit = range.group(3) == null ? "" : range.group(3);
            OptionalDouble low = units.number(name, range.group(1) + unit);
            OptionalDouble high = units.number(name, range.group(2) + unit);
            if (low.isPresent() && high.isPresent()) {
                return between(name, low.getAsDouble(), high.getAsDouble(), units.near(name, range.group(2) + unit));
            }
        }
        return equal(name, wanted, units.number(name, wanted), units.near(name, wanted));
    }

    private static Condition between(String name, double low, double high, double near) {
        return subject -> {
            OptionalDouble number = subject.number(name);
            return number.isPresent() && number.getAsDouble() >= low - near && number.getAsDouble() <= high + near;
        };
    }

    private static Condition equal(String name, String wanted, OptionalDouble exact, double near) {
        return subject -> {
            OptionalDouble number = exact.isPresent() ? subject.number(name) : OptionalDouble.empty();
            return number.isPresent() ? Math.abs(number.getAsDouble() - exact.getAsDouble()) < near
                    : subject.text(name).map(text -> text.toLowerCase(Locale.ROOT).contains(wanted)).orElse(false);
        };
    }

    /** {@return what was typed with units where they might be taken for others another day: to be kept} */
    public static String withUnits(String typed, FilterUnits units) {
        return TOKEN.matcher(typed).replaceAll(token -> Matcher.quoteReplacement(withUnit(token.group(), units)));
    }

    private static String withUnit(String token, FilterUnits units) {
        Matcher value = VALUE.matcher(token);
        if (!value.matches()) {
            return token;
        }
        String name = value.group(1).toLowerCase(Locale.ROOT);
        Matcher range = RANGE.matcher(value.group(3));
        String last = range.matches() && range.group(3) == null ? range.group(2) : value.group(3);
        return token.substring(0, token.length() - last.length()) + units.withUnit(name, last);
    }

    private interface Condition {
        boolean meets(Subject subject);
    }

    /** What a filter looks at in a shot. */
    public interface Subject {

        /** {@return everything that plain words are looked for in, in lower case} */
        String words();

        /** {@return the number called so, such as {@code grind}, {@code ey} or {@code time}} */
        OptionalDouble number(String name);

        /** {@return the text called so, such as {@code profile}} */
        Optional<String> text(String name);
    }
}
