package org.grenu.desktop.desk;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Measured;
import org.grenu.core.study.Masses;
import org.grenu.library.ShotSummary;

/** What follows by arithmetic from shots' records, worked out once for each record: lists and maps ask for it all the time. For any thread. */
public final class Reckonings {

    private final Map<Long, Reckoning> known = new ConcurrentHashMap<>();

    /**
     * What follows from one record.
     *
     * @param ratio of beverage to dose; empty where the yield is
     * @param yield extraction yield as dosed in percent; empty while a mass or the strength is unknown
     */
    public record Reckoning(ShotSummary shot, Masses masses, Optional<Measured> ratio, Optional<Measured> yield) {
    }

    /** {@return what follows from the shot's record as it is there} */
    public Reckoning of(ShotSummary shot) {
        Reckoning there = known.get(shot.id());
        if (there == null || there.shot != shot) {
            Masses masses = shot.masses();
            Optional<Brew> brew = masses.brew();
            there = new Reckoning(shot, masses, brew.map(Brew::ratio), brew.map(one -> one.asDosed().percent()));
            known.put(shot.id(), there);
        }
        return there;
    }
}
