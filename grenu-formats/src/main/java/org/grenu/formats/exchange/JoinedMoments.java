package org.grenu.formats.exchange;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.record.RecordField;
import org.grenu.formats.WrittenMoment;
import org.grenu.formats.exchange.JoinedTable.Candidate;

/** Finds shots by when they were pulled: by day and time, by either alone, and only where one shot fits. */
final class JoinedMoments {

    /** A person's clock and a logger's differ by so much (common practice, no source). */
    private static final Duration APART = Duration.ofMinutes(3);

    private record Dated(Candidate shot, WrittenMoment moment) {
    }

    private final List<Dated> dated = new ArrayList<>();
    private final Set<Long> taken = new HashSet<>();

    JoinedMoments(List<Candidate> shots) {
        shots.forEach(shot -> shot.record()
                .entry(RecordField.PULLED_AT)
                .flatMap(WrittenMoment::find)
                .ifPresent(moment -> dated.add(new Dated(shot, moment))));
    }

    /** {@return the one shot of that day and time, which no other row has taken; empty where none or several fit} */
    Optional<Candidate> take(Optional<WrittenMoment> day, Optional<LocalTime> clock) {
        List<Dated> fitting = fitting(day, clock);
        if (fitting.size() > 1 && clock.isPresent()) {
            fitting = nearest(fitting, clock.get());
        }
        if (fitting.size() != 1) {
            return Optional.empty();
        }
        taken.add(fitting.get(0).shot.id());
        return Optional.of(fitting.get(0).shot);
    }

    /** {@return whether several shots fit, so that the row belongs to one that is not known} */
    boolean several(Optional<WrittenMoment> day, Optional<LocalTime> clock) {
        return fitting(day, clock).size() > 1;
    }

    private List<Dated> fitting(Optional<WrittenMoment> day, Optional<LocalTime> clock) {
        if (day.isEmpty() && clock.isEmpty()) {
            return List.of();
        }
        return dated.stream()
                .filter(one -> !taken.contains(one.shot.id()))
                .filter(one -> day.isEmpty() || one.moment.day().equals(day.get().day()))
                .filter(one -> fits(one, day.isPresent(), clock))
                .toList();
    }

    private static boolean fits(Dated one, boolean dayKnown, Optional<LocalTime> clock) {
        if (clock.isEmpty()) {
            return true;
        }
        // A shot of that day of which nobody wrote down the time may be the one; without a day it may be any.
        return one.moment.time()
                .map(time -> apart(time, clock.get()).compareTo(APART) <= 0)
                .orElse(dayKnown);
    }

    private static List<Dated> nearest(List<Dated> fitting, LocalTime clock) {
        List<Dated> timed = fitting.stream().filter(one -> one.moment.time().isPresent()).toList();
        Optional<Duration> least = timed.stream()
                .map(one -> apart(one.moment.time().get(), clock))
                .min(Duration::compareTo);
        return least.isEmpty() ? fitting
                : timed.stream().filter(one -> apart(one.moment.time().get(), clock).equals(least.get())).toList();
    }

    private static Duration apart(LocalTime one, LocalTime other) {
        LocalDateTime day = LocalDateTime.of(2000, 1, 1, 0, 0);
        return Duration.between(day.with(one), day.with(other)).abs();
    }
}
