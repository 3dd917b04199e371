package org.grenu.formats;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A day, and the time of the day where it stands with it, as people, loggers and files write them. Times with a zone
 * stay what the clock there showed.
 *
 * @param day  the day
 * @param time empty when only the day is known
 */
public record WrittenMoment(LocalDate day, Optional<LocalTime> time) {

    private static final Pattern YEAR_FIRST = Pattern
            .compile("(?<!\\d)(20\\d\\d)[-._/]?(\\d\\d)[-._/]?(\\d\\d)(?!\\d)");
    private static final Pattern DAY_FIRST = Pattern.compile("(?<!\\d)(\\d{1,2})([./-])(\\d{1,2})\\2(20\\d\\d)(?!\\d)");
    private static final Pattern CLOCK = Pattern.compile(
            "(?<![\\d:])(\\d{1,2}):(\\d{2})(?::(\\d{2})(?:[.,]\\d+)?)?\\s*([aApP][mM])?(?![\\d:])");
    private static final Pattern CLOCK_IN_NAME = Pattern.compile("[T_ -](\\d{2})[-_.]?(\\d{2})[-_.]?(\\d{2})?(?!\\d)");

    /** {@return the moment in that text, wherever it stands in it} */
    public static Optional<WrittenMoment> find(String text) {
        return find(text, CLOCK);
    }

    /** {@return the moment in a file's name, where times stand without colons} */
    public static Optional<WrittenMoment> inFileName(String name) {
        return find(name, CLOCK_IN_NAME);
    }

    private static Optional<WrittenMoment> find(String text, Pattern clock) {
        Matcher year = YEAR_FIRST.matcher(text);
        if (year.find()) {
            return at(year.group(1), year.group(2), year.group(3))
                    .map(day -> new WrittenMoment(day, time(text.substring(year.end()), clock)));
        }
        Matcher first = DAY_FIRST.matcher(text);
        if (first.find()) {
            boolean monthFirst = Integer.parseInt(first.group(3)) > 12;
            return at(first.group(4), first.group(monthFirst ? 1 : 3), first.group(monthFirst ? 3 : 1))
                    .map(day -> new WrittenMoment(day, time(text.substring(first.end()), clock)));
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> at(String year, String month, String day) {
        try {
            return Optional
                    .of(LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day)));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** {@return the time of the day in that text} */
    public static Optional<LocalTime> clock(String text) {
        return time(text, CLOCK);
    }

    private static Optional<LocalTime> time(String text, Pattern pattern) {
        Matcher clock = pattern.matcher(text);
        if (!clock.find()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(clock.group(1));
        String half = clock.groupCount() > 3 && clock.group(4) != null ? clock.group(4).toLowerCase() : "";
        int whole = half.equals("pm") && hour < 12 ? hour + 12 : half.equals("am") && hour == 12 ? 0 : hour;
        try {
            return Optional.of(LocalTime.of(whole, Integer.parseInt(clock.group(2)),
                    clock.group(3) == null ? 0 : Integer.parseInt(clock.group(3))));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** {@return this moment with that time of the day} */
    public WrittenMoment with(Optional<LocalTime> other) {
        return new WrittenMoment(day, other);
    }

    /** {@return it as an entry: date and time, or the date alone} */
    public String entry() {
        return time.map(t -> LocalDateTime.of(day, t).toString()).orElse(day.toString());
    }
}
