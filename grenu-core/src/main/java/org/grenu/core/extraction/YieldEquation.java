package org.grenu.core.extraction;

import java.util.Map;
import java.util.Optional;
import java.util.function.BinaryOperator;
import org.grenu.core.quantity.Measured;

/**
 * The balance of dissolved solids, EY·m_d·(1 − w) = c·(m_b + m_r), solved for any one of its quantities. The ratio
 * m_b/m_d stands in for one of the masses or for both. Without moisture w the yield is as dosed; without retained
 * liquid m_r it is of what is in the cup. Reference: the definition of extraction yield; first-order propagation
 * (JCGM 100:2008, 5.1), all quantities measured independently, each of which enters once.
 */
public final class YieldEquation {

    /** A quantity of the balance. */
    public enum Term {
        DOSE("Dose", "g"),
        BEVERAGE("Beverage mass", "g"),
        /** Of beverage mass to dose; where it is given, one of them is not needed. */
        RATIO("Ratio", ""),
        STRENGTH("Strength", "%"),
        YIELD("Extraction yield", "%"),
        /** Share of the dose that is not dry coffee; none where it is not given. */
        MOISTURE("Moisture", "%"),
        /** Liquid of the beverage's strength that stayed in the puck; none where it is not given. */
        RETAINED("Liquid kept in the puck", "g");

        private final String title;
        private final String unit;

        Term(String title, String unit) {
            this.title = title;
            this.unit = unit;
        }

        /** {@return the name on screen} */
        public String title() {
            return title;
        }

        /** {@return g or %; empty for the ratio} */
        public String unit() {
            return unit;
        }

        /** {@return whether the balance can be had without it} */
        public boolean optional() {
            return this == MOISTURE || this == RETAINED || this == RATIO;
        }
    }

    private final Map<Term, Measured> known;
    private final boolean oneScale;

    /** Of those quantities, in g and %. */
    public YieldEquation(Map<Term, Measured> known) {
        this(known, false);
    }

    /** Of those quantities, dose and beverage weighed on one scale or not. */
    public YieldEquation(Map<Term, Measured> known, boolean oneScale) {
        this.known = Map.copyOf(known);
        this.oneScale = oneScale;
    }

    /** {@return whether dose, beverage mass and ratio are all known, so that one of them says nothing new} */
    public boolean saidTwice() {
        return knows(Term.DOSE) && knows(Term.BEVERAGE) && knows(Term.RATIO);
    }

    /**
     * {@return the wanted quantity, g or %; empty where another one that is needed is unknown or zero, or where one is
     * said twice. It may come out impossible, such as a negative mass: what it was computed from then does not fit
     * together}
     */
    public Optional<Measured> solve(Term wanted) {
        if (saidTwice()) {
            return Optional.empty();
        }
        try {
            return solved(wanted);
        } catch (IllegalArgumentException divisionByZero) {
            return Optional.empty();
        }
    }

    private Optional<Measured> solved(Term wanted) {
        return switch (wanted) {
            case YIELD -> both(of(Term.STRENGTH), perDose(), (strength, liquid) -> strength.times(liquid)
                    .dividedBy(dryShare()));
            case STRENGTH -> both(of(Term.YIELD), perDose(), (yield, liquid) -> yield.times(dryShare())
                    .dividedBy(liquid));
            case MOISTURE -> both(both(of(Term.STRENGTH), of(Term.YIELD), Measured::dividedBy), perDose(),
                    (share, liquid) -> Measured.exact(100).plus(share.times(liquid).times(-100)));
            case DOSE -> both(of(Term.BEVERAGE), of(Term.RATIO), Measured::dividedBy)
                    .or(() -> both(of(Term.BEVERAGE), balanced(),
                            (beverage, liquid) -> beverage.plus(retained()).dividedBy(liquid)));
            case BEVERAGE -> both(of(Term.DOSE), of(Term.RATIO), Measured::times)
                    .or(() -> both(of(Term.DOSE), balanced(),
                            (dose, liquid) -> dose.times(liquid).plus(retained().times(-1))));
            case RATIO -> both(of(Term.BEVERAGE), of(Term.DOSE), this::weighed).or(this::balancedRatio);
            case RETAINED -> balanced().flatMap(this::balancedRetained);
        };
    }

    private Measured weighed(Measured beverage, Measured dose) {
        return oneScale ? beverage.dividedByOfOneInstrument(dose) : beverage.dividedBy(dose);
    }

    private boolean knows(Term term) {
        return known.containsKey(term);
    }

    private Optional<Measured> of(Term term) {
        return Optional.ofNullable(known.get(term));
    }

    private static Optional<Measured> both(Optional<Measured> one, Optional<Measured> other,
            BinaryOperator<Measured> then) {
        return one.flatMap(first -> other.map(second -> then.apply(first, second)));
    }

    private Measured retained() {
        return known.getOrDefault(Term.RETAINED, Measured.exact(0));
    }

    private Measured dryShare() {
        return Measured.exact(1).plus(known.getOrDefault(Term.MOISTURE, Measured.exact(0)).times(-0.01));
    }

    /** Liquid of the beverage's strength for each gram of dose, by what was weighed. */
    private Optional<Measured> perDose() {
        if (knows(Term.DOSE) && knows(Term.BEVERAGE)) {
            return both(of(Term.BEVERAGE), of(Term.DOSE), (beverage, dose) -> weighed(beverage.plus(retained()),
                    dose));
        }
        return of(Term.RATIO).flatMap(ratio -> !knows(Term.RETAINED) ? Optional.of(ratio)
                : of(Term.DOSE).map(dose -> ratio.plus(retained().dividedBy(dose)))
                        .or(() -> of(Term.BEVERAGE).map(beverage -> ratio.times(keptToo(beverage)))));
    }

    /** The same, by strength and yield. */
    private Optional<Measured> balanced() {
        return both(of(Term.YIELD), of(Term.STRENGTH),
                (yield, strength) -> yield.times(dryShare()).dividedBy(strength));
    }

    private Optional<Measured> balancedRatio() {
        return balanced().flatMap(liquid -> !knows(Term.RETAINED) ? Optional.of(liquid)
                : of(Term.DOSE).map(dose -> liquid.plus(retained().dividedBy(dose).times(-1)))
                        .or(() -> of(Term.BEVERAGE).map(beverage -> liquid.dividedBy(keptToo(beverage)))));
    }

    private Optional<Measured> balancedRetained(Measured liquid) {
        if (knows(Term.DOSE) && knows(Term.BEVERAGE)) {
            return both(of(Term.DOSE), of(Term.BEVERAGE),
                    (dose, beverage) -> dose.times(liquid).plus(beverage.times(-1)));
        }
        return of(Term.RATIO).flatMap(ratio -> of(Term.DOSE).map(dose -> dose.times(liquid.plus(ratio.times(-1))))
                .or(() -> of(Term.BEVERAGE).map(beverage -> beverage.times(liquid.dividedBy(ratio)
                        .plus(Measured.exact(-1))))));
    }

    /** How many times as much as in the cup there is with what the puck kept. */
    private Measured keptToo(Measured beverage) {
        return Measured.exact(1).plus(retained().dividedBy(beverage));
    }
}
