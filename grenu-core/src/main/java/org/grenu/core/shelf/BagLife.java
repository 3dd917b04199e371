package org.grenu.core.shelf;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.grenu.core.entry.Entries;

/**
 * What happened to a bag, and how old its coffee is by the clock that freezing stops. Whole days: a bag frozen and
 * thawed
 * on one day did not age less.
 *
 * @param events by day; of one day in the order they were entered
 */
public record BagLife(List<BagEvent> events) {

    public BagLife {
        events = events.stream().sorted(Comparator.comparing(BagEvent::day)).toList();
    }

    /**
     * Days in the freezer.
     *
     * @param to empty while it is still there
     */
    public record Frozen(LocalDate from, Optional<LocalDate> to) {
    }

    /** {@return the life of the bag with those entries} */
    public static BagLife of(Entries bag) {
        return new BagLife(bag.rows(ShelfField.LIFE).stream().map(BagEvent::of).toList());
    }

    /** {@return the first day of that event, if it happened} */
    public Optional<LocalDate> first(BagEvent.Kind kind) {
        return events.stream().filter(event -> event.kind() == kind).map(BagEvent::day).findFirst();
    }

    /** {@return when it was in the freezer} */
    public List<Frozen> frozen() {
        List<Frozen> spans = new ArrayList<>();
        LocalDate since = null;
        for (BagEvent event : events) {
            if (event.kind() == BagEvent.Kind.FROZEN && since == null) {
                since = event.day();
            } else if (event.kind() == BagEvent.Kind.THAWED && since != null) {
                spans.add(new Frozen(since, Optional.of(event.day())));
                since = null;
            }
        }
        if (since != null) {
            spans.add(new Frozen(since, Optional.empty()));
        }
        return spans;
    }

    /** {@return days in the freezer since it was roasted, up to that day} */
    public long frozenDays(LocalDate until) {
        LocalDate roasted = first(BagEvent.Kind.ROASTED).orElse(LocalDate.MIN);
        long days = 0;
        for (Frozen span : frozen()) {
            LocalDate from = span.from.isBefore(roasted) ? roasted : span.from;
            LocalDate to = span.to.filter(end -> end.isBefore(until)).orElse(until);
            days += Math.max(0, ChronoUnit.DAYS.between(from, to));
        }
        return days;
    }

    /**
     * {@return days since roast on that day, without those it was frozen; empty when the roast date is unknown or
     * later}
     */
    public OptionalLong ageDays(LocalDate on) {
        Optional<LocalDate> roasted = first(BagEvent.Kind.ROASTED);
        return roasted.isEmpty() || on.isBefore(roasted.get()) ? OptionalLong.empty()
                : OptionalLong.of(ChronoUnit.DAYS.between(roasted.get(), on) - frozenDays(on));
    }

    /** {@return whether it lies in the freezer on that day} */
    public boolean frozenOn(LocalDate day) {
        return frozen().stream()
                .anyMatch(span -> !day.isBefore(span.from) && span.to.filter(end -> !day.isBefore(end)).isEmpty());
    }

    /** {@return what cannot be so, in sentences; empty when all can} */
    public List<String> contradictions() {
        List<String> found = new ArrayList<>();
        Optional<LocalDate> roasted = first(BagEvent.Kind.ROASTED);
        roasted.ifPresent(day -> events.stream()
                .filter(event -> event.day().isBefore(day))
                .forEach(event -> found.add("It was " + event.kind().title() + " on " + event.day()
                        + ", before it was roasted on " + day + ".")));
        if (events.stream().filter(event -> event.kind() == BagEvent.Kind.ROASTED).count() > 1) {
            found.add("It was roasted more than once; the first date counts.");
        }
        boolean frozen = false;
        for (BagEvent event : events) {
            if (event.kind() == BagEvent.Kind.THAWED && !frozen) {
                found.add("It was thawed on " + event.day() + " without having been frozen.");
            }
            if (event.kind() == BagEvent.Kind.FROZEN && frozen) {
                found.add("It was frozen on " + event.day() + " although it lay in the freezer already.");
            }
            frozen = event.kind() == BagEvent.Kind.FROZEN || frozen && event.kind() != BagEvent.Kind.THAWED;
        }
        first(BagEvent.Kind.USED_UP).ifPresent(end -> events.stream()
                .filter(event -> event.day().isAfter(end))
                .forEach(event -> found.add("It was " + event.kind().title() + " on " + event.day()
                        + ", after it was used up on " + end + ".")));
        return found;
    }
}
