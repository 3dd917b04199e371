package org.grenu.app.study;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.grenu.library.ShotSummary;

/** The order in which shots are listed: newest first, those of unknown date last, by number. */
public final class ShotOrder {

    private static final Comparator<ShotSummary> NEWEST_FIRST = Comparator
            .comparing((ShotSummary shot) -> shot.record().pulledAt().orElse(LocalDateTime.MIN))
            .thenComparing(ShotSummary::number)
            .reversed();

    private ShotOrder() {
    }

    /** {@return the shots, newest first} */
    public static List<ShotSummary> newestFirst(Collection<ShotSummary> shots) {
        return shots.stream().sorted(NEWEST_FIRST).toList();
    }
}
