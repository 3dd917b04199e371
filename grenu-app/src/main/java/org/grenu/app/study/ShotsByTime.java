package org.grenu.app.study;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.grenu.library.ShotSummary;

/** Shots in the order in which they were pulled, as they stood at one time. Immutable. */
public final class ShotsByTime {

    /** No shots. */
    public static final ShotsByTime NONE = new ShotsByTime(List.of(), List.of());

    private final List<ShotSummary> dated;
    private final List<ShotSummary> numbered;

    private ShotsByTime(List<ShotSummary> dated, List<ShotSummary> numbered) {
        this.dated = dated;
        this.numbered = numbered;
    }

    /** {@return those shots in order} */
    public static ShotsByTime of(Collection<ShotSummary> shots) {
        List<ShotSummary> dated = shots.stream()
                .filter(shot -> shot.record().pulledAt().isPresent())
                .sorted(Comparator.comparing(ShotsByTime::time))
                .toList();
        return new ShotsByTime(dated, shots.stream().sorted(Comparator.comparing(ShotSummary::number)).toList());
    }

    /** {@return the shot that was pulled just before, on whatever gear; empty where its time is unknown} */
    public Optional<ShotSummary> before(ShotSummary shot) {
        return shot.record().pulledAt().flatMap(at -> last(dated, other -> time(other).isBefore(at)));
    }

    /** {@return the shot that was pulled just before; where its time is unknown, the one of the number before} */
    public Optional<ShotSummary> presumablyBefore(ShotSummary shot) {
        return shot.record().pulledAt().isPresent() ? before(shot)
                : last(numbered, other -> other.number() < shot.number());
    }

    /** The last of which that holds; in the list they come first. */
    private static Optional<ShotSummary> last(List<ShotSummary> sorted, Predicate<ShotSummary> holds) {
        int low = 0;
        int high = sorted.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (holds.test(sorted.get(middle))) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low == 0 ? Optional.empty() : Optional.of(sorted.get(low - 1));
    }

    private static LocalDateTime time(ShotSummary shot) {
        return shot.record().pulledAt().orElseThrow();
    }
}
