package org.grenu.core.record;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.grenu.core.quantity.Measured;
import org.grenu.core.strength.Sample;
import org.grenu.core.strength.SlicedCup;

/**
 * How strong the whole cup is: by its own series or, without one, by what tells it best of the cup read again, a
 * diluted sample, and its slices put together.
 *
 * @param strength %
 * @param mass     of the slices together, g, when every one was weighed and they are the whole cup
 * @param source   what tells the strength
 */
public record CupStrength(Optional<Measured> strength, Optional<Measured> mass, Source source) {

    /** What tells the strength of a cup. */
    public enum Source {
        OWN, AGAIN, DILUTED, SLICES, NONE
    }

    /** Slices so near to the cup are all of it: some is lost from cup to cup, g (common practice, no source). */
    private static final double LOST = 1;

    /** {@return the cup's strength by that record and, where it was not weighed, the mass that its curve gives} */
    public static CupStrength of(ShotRecord record, Optional<Measured> beverageFromCurve) {
        Optional<Measured> cup = record.beverageEstimated() ? beverageFromCurve
                : record.beverage().or(() -> beverageFromCurve);
        Optional<Measured> mass = weighed(record).filter(slices -> isWhole(slices, cup));
        Optional<Measured> own = record.strengthSeries().strength();
        if (own.isPresent()) {
            return new CupStrength(own, mass, Source.OWN);
        }
        List<CupStrength> others = others(record, mass);
        return others.stream()
                .filter(one -> one.strength.isPresent())
                .min(Comparator.comparingDouble(one -> one.strength.get().u()))
                .orElseGet(() -> new CupStrength(Optional.empty(), mass, Source.NONE));
    }

    private static List<CupStrength> others(ShotRecord record, Optional<Measured> mass) {
        List<CupStrength> others = new ArrayList<>();
        for (Sample sample : record.samples()) {
            boolean diluted = sample.kind() == Sample.Kind.DILUTED && sample.dilution().isPresent();
            if (diluted || sample.kind() == Sample.Kind.CUP) {
                others.add(new CupStrength(record.series(sample).strength(), mass,
                        diluted ? Source.DILUTED : Source.AGAIN));
            }
        }
        slices(record).filter(slices -> mass.isPresent())
                .ifPresent(slices -> others.add(new CupStrength(Optional.of(slices.strength()), mass, Source.SLICES)));
        return others;
    }

    /** The slices put together, when each was weighed and read. */
    private static Optional<SlicedCup> slices(ShotRecord record) {
        List<SlicedCup.Slice> all = new ArrayList<>();
        for (Sample slice : slicesOf(record)) {
            Optional<Measured> strength = record.series(slice).strength();
            if (slice.grams().isEmpty() || strength.isEmpty()) {
                return Optional.empty();
            }
            all.add(new SlicedCup.Slice(record.weighed(slice.grams().getAsDouble()), strength.get()));
        }
        return SlicedCup.of(all);
    }

    private static boolean isWhole(Measured slices, Optional<Measured> cup) {
        return cup.isEmpty() || Math.abs(cup.get().value() - slices.value()) <= Math.max(LOST,
                Measured.COVERAGE_FACTOR * Math.hypot(cup.get().u(), slices.u()));
    }

    private static Optional<Measured> weighed(ShotRecord record) {
        List<Sample> slices = slicesOf(record);
        if (slices.isEmpty() || slices.stream().anyMatch(slice -> slice.grams().isEmpty())) {
            return Optional.empty();
        }
        double shared = record.weighed(1).shared();
        double own = record.weighed(1).independent();
        return Optional.of(new Measured(slices.stream().mapToDouble(slice -> slice.grams().getAsDouble()).sum(),
                own * Math.sqrt(slices.size()), shared * slices.size()));
    }

    private static List<Sample> slicesOf(ShotRecord record) {
        return record.samples().stream().filter(sample -> sample.kind() == Sample.Kind.SLICE).toList();
    }
}
