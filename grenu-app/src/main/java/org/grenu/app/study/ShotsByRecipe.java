package org.grenu.app.study;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.core.record.SameRecipe;
import org.grenu.library.ShotSummary;

/** Shots that were no fault, by the recipe they were pulled by, as they stood at one time. Immutable. */
public final class ShotsByRecipe {

    private final Map<SameRecipe, List<DerivedValues.Derived>> shots;

    private ShotsByRecipe(Map<SameRecipe, List<DerivedValues.Derived>> shots) {
        this.shots = shots;
    }

    /** {@return those shots by their recipes} */
    public static ShotsByRecipe of(Collection<ShotSummary> shots, DerivedValues derived) {
        Map<SameRecipe, List<DerivedValues.Derived>> byRecipe = new HashMap<>();
        for (ShotSummary shot : shots) {
            DerivedValues.Derived one = derived.of(shot);
            one.recipe().ifPresent(recipe -> byRecipe.computeIfAbsent(recipe, key -> new ArrayList<>()).add(one));
        }
        return new ShotsByRecipe(byRecipe);
    }

    /** {@return the others that were pulled by the same recipe as that shot} */
    public List<DerivedValues.Derived> siblings(ShotSummary shot) {
        return shots.getOrDefault(SameRecipe.of(shot.record()), List.of())
                .stream()
                .filter(other -> other.shot().id() != shot.id())
                .toList();
    }
}
