package org.grenu.core.extraction;

import java.util.Map;
import java.util.Optional;
import org.grenu.core.quantity.Measured;

/**
 * The balance of dissolved solids, EY·m_d·(1 − w) = c·(m_b + m_r), solved for any one of its quantities. Without
 * moisture w the yield is as dosed; without retained liquid m_r it is of what is in the cup. Reference: the definition
 * of extraction yield; first-order propagation (JCGM 100:2008, 5.1), all quantities measured independently.
 */
public final class YieldEquation {

    /** A quantity of the balance. */
    public enum Term {
        DOSE("Dose", "g"),
        BEVERAGE("Beverage mass", "g"),
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

        /** {@return g or %} */
        public String unit() {
            return unit;
        }

        /** {@return whether the balance can be had without it} */
        public boolean optional() {
            return this == MOISTURE || this == RETAINED;
        }
    }

    private final Map<Term, Measured> known;

    /** Of those quantities, in g and %. */
    public YieldEquation(Map<Term, Measured> known) {
        this.known = Map.copyOf(known);
    }

    /**
     * {@return the wanted quantity, g or %; empty where another one that is needed is unknown or zero. It may come out
     * impossible, such as a negative mass: what it was computed from then does not fit together}
     */
    public Optional<Measured> solve(Term wanted) {
        for (Term term : Term.values()) {
            if (term != wanted && !term.optional() && !known.containsKey(term)) {
                return Optional.empty();
            }
        }
        try {
            return Optional.of(solved(wanted));
        } catch (IllegalArgumentException divisionByZero) {
            return Optional.empty();
        }
    }

    private Measured solved(Term wanted) {
        return switch (wanted) {
            case YIELD -> of(Term.STRENGTH).times(liquid()).dividedBy(of(Term.DOSE)).dividedBy(dryShare());
            case DOSE -> of(Term.STRENGTH).times(liquid()).dividedBy(of(Term.YIELD)).dividedBy(dryShare());
            case STRENGTH -> solids().dividedBy(liquid());
            case BEVERAGE -> solids().dividedBy(of(Term.STRENGTH)).plus(orNone(Term.RETAINED).times(-1));
            case RETAINED -> solids().dividedBy(of(Term.STRENGTH)).plus(of(Term.BEVERAGE).times(-1));
            case MOISTURE -> Measured.exact(100)
                    .plus(of(Term.STRENGTH).times(liquid())
                            .dividedBy(of(Term.DOSE))
                            .dividedBy(of(Term.YIELD))
                            .times(-100));
        };
    }

    private Measured of(Term term) {
        return known.get(term);
    }

    private Measured orNone(Term term) {
        return known.getOrDefault(term, Measured.exact(0));
    }

    private Measured liquid() {
        return of(Term.BEVERAGE).plus(orNone(Term.RETAINED));
    }

    /** A hundred times the dissolved solids, as the yield in percent has them. */
    private Measured solids() {
        return of(Term.YIELD).times(of(Term.DOSE)).times(dryShare());
    }

    private Measured dryShare() {
        return Measured.exact(1).plus(orNone(Term.MOISTURE).times(-0.01));
    }
}
