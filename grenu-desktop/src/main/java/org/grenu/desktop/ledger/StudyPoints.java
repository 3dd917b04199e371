package org.grenu.desktop.ledger;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.Observable;
import javafx.collections.ObservableList;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.figures.plane.PlaneFigure;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.grenu.library.ShotSummary;

/** Where the study's shots lie on its map, worked out once for each: the map is asked for whenever one is opened. */
final class StudyPoints {

    private final ObservableList<ShotSummary> shots;
    private final DerivedValues derived;
    private final Map<Long, Placed> known = new HashMap<>();
    /** In the shots' order; null when they have changed since. */
    private List<Placed> placed;
    private TreatmentScale scale;
    private Theme theme;

    StudyPoints(ObservableList<ShotSummary> shots, DerivedValues derived) {
        this.shots = shots;
        this.derived = derived;
        shots.addListener((Observable o) -> placed = null);
    }

    private record Placed(ShotSummary shot, Optional<PlaneFigure.Point> point) {
    }

    /** {@return the map of the shots with that one among them} */
    PlaneFigure around(long open, TreatmentScale nowScale, Theme nowTheme) {
        if (scale != nowScale || theme != nowTheme) {
            known.clear();
            placed = null;
            scale = nowScale;
            theme = nowTheme;
        }
        if (placed == null) {
            placed = shots.stream().map(this::placed).toList();
        }
        List<PlaneFigure.Point> others = new ArrayList<>(placed.size());
        Optional<PlaneFigure.Point> chosen = Optional.empty();
        for (Placed one : placed) {
            if (one.shot.id() == open) {
                chosen = one.point;
            } else if (one.point.isPresent()) {
                others.add(one.point.get());
            }
        }
        return new PlaneFigure(others, chosen, TargetWindow.USUAL);
    }

    private Placed placed(ShotSummary shot) {
        Placed there = known.get(shot.id());
        if (there == null || there.shot != shot) {
            DerivedValues.Derived of = derived.of(shot);
            there = new Placed(shot, of.ratio()
                    .filter(ratio -> ratio.value() > 0)
                    .map(ratio -> new PlaneFigure.Point(ratio, of.yield().orElseThrow(),
                            scale.color(shot.record(), theme))));
            known.put(shot.id(), there);
        }
        return there;
    }
}
