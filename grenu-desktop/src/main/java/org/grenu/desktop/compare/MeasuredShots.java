package org.grenu.desktop.compare;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.compare.ComparedShot;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/** Shots with their measures, kept so that a question asked anew does not measure them again. Used on one worker alone. */
final class MeasuredShots {

    private final Library library;
    private final Map<Long, ComparedShot> measured = new HashMap<>();

    MeasuredShots(Library library) {
        this.library = library;
    }

    List<ComparedShot> of(List<ShotSummary> shots) {
        return shots.stream().map(this::of).toList();
    }

    /** A shot is measured again when its record changed. */
    private ComparedShot of(ShotSummary summary) {
        ComparedShot known = measured.get(summary.id());
        if (known == null || !known.sheet().equals(summary.sheet())) {
            known = new ComparedShot(Integer.toString(summary.number()), summary.sheet(), ShotMeasures.of(new Shot(summary.sheet(), library.log(summary.id()))));
            measured.put(summary.id(), known);
        }
        return known;
    }
}
