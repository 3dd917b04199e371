package org.grenu.desktop.compare;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/** Shots with their measures, kept so that a question asked anew does not measure them again. Used on one worker alone. */
final class MeasuredShots {

    private final Library library;
    private final Map<Long, MeasuredShot> measured = new HashMap<>();

    MeasuredShots(Library library) {
        this.library = library;
    }

    List<MeasuredShot> of(List<ShotSummary> shots) {
        return shots.stream().map(this::of).toList();
    }

    /** A shot is measured again when its record changed. */
    private MeasuredShot of(ShotSummary summary) {
        MeasuredShot known = measured.get(summary.id());
        if (known == null || !known.sheet().equals(summary.sheet())) {
            known = new MeasuredShot(Integer.toString(summary.number()), summary.sheet(), ShotMeasures.of(new Shot(summary.sheet(), library.log(summary.id()))));
            measured.put(summary.id(), known);
        }
        return known;
    }
}
