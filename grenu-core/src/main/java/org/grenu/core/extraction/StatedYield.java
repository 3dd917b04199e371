package org.grenu.core.extraction;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.extraction.YieldEquation.Term;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;

/**
 * An extraction yield that somebody else computed, held against the shot's own dose, beverage mass and strength. Where
 * they disagree, the assumptions that would explain it are found by solving the balance for one quantity after another.
 *
 * @param stated       %
 * @param own          as dosed, from the shot's own numbers, %
 * @param explanations what would explain the difference, those that fit something written down first; empty when the
 *                     two agree, or nothing plausible explains it
 */
public record StatedYield(double stated, double own, List<Explanation> explanations) {

    /** Strengths and masses are rounded before they are multiplied, points. */
    private static final double OF_INPUTS = 0.03;
    /** Moisture and gas that a roasted coffee may hold, % (common practice, no source). */
    private static final double LEAST_MOISTURE = 0.3;
    private static final double MOST_MOISTURE = 12;
    /** Liquid that a puck may hold, g per g of dose (handbook §16: 0.8–1.3, from memory). */
    private static final double MOST_RETAINED = 1.5;
    /** So far a mass or strength may have been taken otherwise, relative. */
    private static final double FARTHEST = 0.2;

    public StatedYield {
        explanations = List.copyOf(explanations);
    }

    /** Which assumption explains a difference. */
    public enum Assumption {
        DRY_BASIS, RETAINED_LIQUID, OTHER_BEVERAGE, OTHER_DOSE, OTHER_STRENGTH
    }

    /**
     * An assumption that gives the yield as stated.
     *
     * @param assumption which
     * @param number     its number: moisture in %, liquid or mass in g, strength in %
     * @param source     what is written down that has this number; empty when nothing has
     * @param words      all of it, such as {@code on the dry basis with a moisture of 3.4 %}
     */
    public record Explanation(Assumption assumption, double number, Optional<String> source, String words) {
    }

    /**
     * Numbers written down of which one may have been used instead.
     *
     * @param beverages by what they are, g, such as the mass that was meant
     * @param doses     likewise
     * @param strengths likewise, %, such as the mean reading before the zero check
     */
    public record Alternatives(Map<String, Double> beverages, Map<String, Double> doses,
            Map<String, Double> strengths) {
    }

    /** {@return that yield held against the brew} */
    public static StatedYield of(double stated, Brew brew, Alternatives alternatives) {
        double own = brew.asDosed().percent().value();
        StatedYield bare = new StatedYield(stated, own, List.of());
        return bare.agrees() || !(stated > 0) || !(own > 0) ? bare
                : new StatedYield(stated, own, bare.explained(brew, alternatives));
    }

    /** {@return whether the two are the same within their rounding} */
    public boolean agrees() {
        return Math.abs(stated - own) <= rounding(stated) + OF_INPUTS;
    }

    /** {@return what there is to say of the two, in sentences} */
    public String words() {
        List<String> each = explanations.stream().map(Explanation::words).toList();
        return each.isEmpty() ? verdict()
                : verdict() + (each.size() == 1 ? " " : " either ") + String.join(", or ", each) + ".";
    }

    /** {@return whether the two agree; where something explains that they do not, up to where that is to follow} */
    public String verdict() {
        String both = "Stated " + DecimalText.exact(stated) + " %, from its own dose, beverage mass and strength "
                + Reported.fixed(own, 2) + " % as dosed";
        if (agrees()) {
            return both + ": they agree.";
        }
        if (explanations.isEmpty()) {
            return both + ". No single usual assumption explains the difference of "
                    + Reported.fixed(stated - own, 2) + " points: check the numbers.";
        }
        return both + ". It would be";
    }

    private List<Explanation> explained(Brew brew, Alternatives alternatives) {
        Map<Term, Measured> all = Map.of(Term.YIELD, Measured.exact(stated), Term.DOSE, exact(brew.dose()),
                Term.BEVERAGE, exact(brew.beverage()), Term.STRENGTH, exact(brew.strength()));
        YieldEquation balance = new YieldEquation(all);
        List<Explanation> found = new ArrayList<>();
        dryBasis(balance, brew).ifPresent(found::add);
        other(balance, Term.BEVERAGE, brew.beverage(), alternatives.beverages(), found);
        other(balance, Term.DOSE, brew.dose(), alternatives.doses(), found);
        other(balance, Term.STRENGTH, brew.strength(), alternatives.strengths(), found);
        retained(balance, brew).ifPresent(found::add);
        // What fits something that is written down is likelier than a number made up to fit.
        List<Explanation> ordered = new ArrayList<>(
                found.stream().filter(one -> one.source().isPresent()).toList());
        found.stream().filter(one -> one.source().isEmpty()).forEach(ordered::add);
        return ordered;
    }

    private static Measured exact(Measured value) {
        return Measured.exact(value.value());
    }

    private Optional<Explanation> dryBasis(YieldEquation balance, Brew brew) {
        OptionalDouble moisture = value(balance, Term.MOISTURE);
        if (moisture.isEmpty() || moisture.getAsDouble() < LEAST_MOISTURE || moisture.getAsDouble() > MOST_MOISTURE) {
            return Optional.empty();
        }
        double slack = 100 * (rounding(stated) + OF_INPUTS) / stated;
        Optional<Measured> recorded = brew.moisture()
                .filter(known -> Math.abs(known.value() - moisture.getAsDouble()) <= slack + known.expanded());
        String number = Reported.fixed(moisture.getAsDouble(), 1);
        return Optional.of(new Explanation(Assumption.DRY_BASIS, moisture.getAsDouble(),
                recorded.map(known -> "the coffee's moisture"),
                recorded.map(known -> "on the dry basis with the coffee's moisture of "
                        + Reported.fixed(known.value(), 1) + " %")
                        .orElse("on the dry basis with a moisture (and gas) of " + number + " %")));
    }

    private static Optional<Explanation> retained(YieldEquation balance, Brew brew) {
        OptionalDouble liquid = value(balance, Term.RETAINED);
        double dose = brew.dose().value();
        return liquid.isPresent() && liquid.getAsDouble() > 0 && liquid.getAsDouble() <= MOST_RETAINED * dose
                ? Optional.of(new Explanation(Assumption.RETAINED_LIQUID, liquid.getAsDouble(), Optional.empty(),
                        "with " + Reported.fixed(liquid.getAsDouble(), 1) + " g of liquid kept in the puck counted as "
                                + "extracted (" + Reported.fixed(liquid.getAsDouble() / dose, 2) + " g per g of dose)"))
                : Optional.empty();
    }

    /** The quantity that the stated yield would need, when it is near the one used; and what has that number. */
    private void other(YieldEquation balance, Term term, Measured used, Map<String, Double> alternatives,
            List<Explanation> found) {
        OptionalDouble needed = value(balance, term);
        if (needed.isEmpty() || Math.abs(needed.getAsDouble() / used.value() - 1) > FARTHEST) {
            return;
        }
        double slack = needed.getAsDouble() * (rounding(stated) + OF_INPUTS) / stated;
        Optional<Map.Entry<String, Double>> fits = alternatives.entrySet()
                .stream()
                .filter(one -> Math.abs(one.getValue() - needed.getAsDouble()) <= slack)
                .min(Map.Entry.comparingByKey());
        int decimals = term == Term.STRENGTH ? 2 : 1;
        String words = fits
                .map(one -> "with " + one.getKey() + ", " + Reported.fixed(one.getValue(), decimals) + " "
                        + term.unit())
                .orElseGet(() -> "with a " + term.title().toLowerCase(Locale.ROOT) + " of "
                        + Reported.fixed(needed.getAsDouble(), decimals) + " " + term.unit() + " instead of "
                        + Reported.fixed(used.value(), decimals) + " " + term.unit());
        found.add(new Explanation(assumption(term), needed.getAsDouble(), fits.map(Map.Entry::getKey), words));
    }

    private static Assumption assumption(Term term) {
        return switch (term) {
            case BEVERAGE -> Assumption.OTHER_BEVERAGE;
            case DOSE -> Assumption.OTHER_DOSE;
            default -> Assumption.OTHER_STRENGTH;
        };
    }

    private static OptionalDouble value(YieldEquation balance, Term term) {
        return balance.solve(term).map(found -> OptionalDouble.of(found.value())).orElse(OptionalDouble.empty());
    }

    /** Half of the last digit that was stated. */
    private static double rounding(double stated) {
        String text = DecimalText.exact(stated);
        int point = text.indexOf('.');
        return 0.5 * Math.pow(10, point < 0 ? 0 : -(text.length() - point - 1));
    }
}
