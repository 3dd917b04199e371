package org.grenu.app.analysis;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Masses;
import org.grenu.core.record.SameRecipe;
import org.grenu.library.ShotSummary;

/**
 * What follows by arithmetic from shots' records, worked out once for each record: lists and maps ask for it all
 * the time. For any thread.
 */
public final class DerivedValues {

    private final Map<Long, Derived> known = new ConcurrentHashMap<>();

    /**
     * What follows from one record.
     *
     * @param ratio of beverage to dose; empty where the yield is
     * @param yield extraction yield as dosed in percent; empty while a mass or the strength is unknown
     * @param recipe by which it was pulled; empty where it was a fault
     */
    public record Derived(ShotSummary shot, Masses masses, Optional<Measured> ratio, Optional<Measured> yield,
            Optional<SameRecipe> recipe) {
    }

    /** {@return what follows from the shot's record as it is there} */
    public Derived of(ShotSummary shot) {
        Derived there = known.get(shot.id());
        if (there == null || there.shot != shot) {
            Masses masses = shot.masses();
            Optional<Brew> brew = masses.brew();
            there = new Derived(shot, masses, brew.map(Brew::ratio), brew.map(one -> one.asDosed().percent()),
                    SameRecipe.pulledBy(shot.record()));
            known.put(shot.id(), there);
        }
        return there;
    }
}
