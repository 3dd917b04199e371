package org.grenu.desktop.calculator;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.entry.TypedNumber;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.YieldEquation;
import org.grenu.core.extraction.YieldEquation.Term;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;

/**
 * What is typed into the calculator, and what follows from it. One quantity is wanted; the others are known, each with
 * its ± (k = 2) where it has one. Nothing of it is entered into any shot.
 */
public final class CalculatorViewModel {

    private static final double FILLED = 10_000;
    private static final String BEFORE_RATIO = "1:";

    private final StudyDesk desk;
    private final Map<Term, StringProperty> numbers = new EnumMap<>(Term.class);
    private final Map<Term, StringProperty> halves = new EnumMap<>(Term.class);
    private final ObjectProperty<Term> wanted = new SimpleObjectProperty<>(Term.YIELD);
    private final ReadOnlyStringWrapper result = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
    private final Map<Term, Filled> filled = new EnumMap<>(Term.class);
    private boolean oneScale;
    private final CupViewModel cup;
    /** Null while it cannot be given. */
    private Measured computed;

    /** A calculator that can be filled from what that desk has open. */
    public CalculatorViewModel(StudyDesk desk) {
        this.desk = desk;
        for (Term term : Term.values()) {
            numbers.put(term, new SimpleStringProperty(""));
            halves.put(term, new SimpleStringProperty(""));
            numbers.get(term).addListener((o, was, is) -> solve());
            halves.get(term).addListener((o, was, is) -> solve());
        }
        wanted.addListener((o, was, is) -> solve());
        cup = new CupViewModel(this, desk);
        solve();
    }

    /** {@return what becomes of the beverage that stands here} */
    CupViewModel cup() {
        return cup;
    }

    /** {@return the quantity as it stands here, typed or computed; empty where it is unknown} */
    Optional<Measured> standing(Term term) {
        if (term == wanted.get()) {
            return Optional.ofNullable(computed);
        }
        try {
            return numbers.get(term).get().isBlank() ? Optional.empty() : Optional.of(typed(term));
        } catch (RefusedEntry refused) {
            return Optional.empty();
        }
    }

    // Observables

    /** {@return the number typed for that quantity} */
    StringProperty number(Term term) {
        return numbers.get(term);
    }

    /** {@return the ± typed for it, k = 2} */
    StringProperty half(Term term) {
        return halves.get(term);
    }

    /** {@return the quantity that is computed} */
    ObjectProperty<Term> wantedProperty() {
        return wanted;
    }

    /** {@return the computed quantity with its ±; empty while it cannot be given} */
    ReadOnlyStringProperty resultProperty() {
        return result.getReadOnlyProperty();
    }

    /** {@return what is still needed, what does not fit together, or what the result rests on} */
    ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    // Actions

    /** Takes over what is known of the open shot; a yield stated elsewhere stands before the shot's own. */
    public void fillFromShot() {
        OpenShot open = desk.openProperty().get();
        for (Term term : Term.values()) {
            put(term, Optional.empty());
        }
        if (open == null) {
            return;
        }
        Masses masses = open.measures().masses();
        oneScale = masses.brew().filter(Brew::oneScale).isPresent();
        put(Term.DOSE, masses.dose());
        put(Term.BEVERAGE, masses.beverage());
        put(Term.STRENGTH, masses.strength());
        Optional<Measured> stated = open.summary()
                .record()
                .number(RecordField.STATED_YIELD)
                .stream()
                .mapToObj(Measured::exact)
                .findFirst();
        put(Term.YIELD, stated.or(() -> masses.brew()
                .map(Brew::asDosed)
                // It was computed from the others: its own ± would count them twice.
                .map(made -> Measured.exact(made.percent().value()))));
        if (stated.isEmpty()) {
            wanted.set(masses.brew().isPresent() || masses.missing().size() != 1 ? Term.YIELD
                    : wanted(masses));
        } else {
            wanted.set(Term.MOISTURE);
        }
    }

    private static Term wanted(Masses masses) {
        return switch (masses.missing().get(0)) {
            case DOSE -> Term.DOSE;
            case BEVERAGE -> Term.BEVERAGE;
            default -> Term.STRENGTH;
        };
    }

    private void put(Term term, Optional<Measured> value) {
        filled.remove(term);
        numbers.get(term).set(value.map(known -> exactly(known.value())).orElse(""));
        halves.get(term).set(value.filter(known -> known.u() > 0).map(known -> exactly(known.expanded())).orElse(""));
        value.ifPresent(known -> filled.put(term,
                new Filled(numbers.get(term).get(), halves.get(term).get(), known)));
    }

    /** With digits to spare: what is computed from it is rounded once, at the end. */
    private static String exactly(double value) {
        return DecimalText.exact(Math.rint(value * FILLED) / FILLED);
    }

    private void solve() {
        computed = null;
        solveTyped();
        cup.changed();
    }

    private void solveTyped() {
        Map<Term, Measured> known = new EnumMap<>(Term.class);
        boolean exact = false;
        try {
            for (Term term : Term.values()) {
                if (term != wanted.get() && !numbers.get(term).get().isBlank()) {
                    Measured value = typed(term);
                    exact |= value.u() == 0;
                    known.put(term, value);
                }
            }
        } catch (RefusedEntry refused) {
            show("", refused.getMessage());
            return;
        }
        boolean sameScale = oneScale && isFilled(Term.DOSE) && isFilled(Term.BEVERAGE);
        YieldEquation equation = new YieldEquation(known, sameScale);
        Optional<Measured> found = equation.solve(wanted.get());
        if (found.isEmpty()) {
            show("", equation.saidTwice() ? "Dose, beverage mass and ratio say the same twice: clear one of them."
                    : wanting(known));
            return;
        }
        computed = found.get();
        String number = Reported.of(found.get()).text();
        show(wanted.get() == Term.RATIO ? BEFORE_RATIO + number : number + " " + wanted.get().unit(),
                judged(found.get(), known, exact));
    }

    /** What was filled in from the shot and stands there as it was: of that it is known what is shared. */
    private record Filled(String number, String half, Measured value) {
    }

    private boolean isFilled(Term term) {
        Filled one = filled.get(term);
        return one != null && one.number.equals(numbers.get(term).get()) && one.half.equals(halves.get(term).get());
    }

    private Measured typed(Term term) {
        if (isFilled(term)) {
            return filled.get(term).value;
        }
        double value = number(term, numbers.get(term).get());
        String half = halves.get(term).get();
        double expanded = half.isBlank() ? 0 : number(term, half);
        if (expanded < 0) {
            throw new RefusedEntry(term.title() + ": a ± is not negative.");
        }
        return Measured.independent(value, expanded / Measured.COVERAGE_FACTOR);
    }

    private static double number(Term term, String text) {
        try {
            String plain = term == Term.RATIO && text.strip().startsWith(BEFORE_RATIO)
                    ? text.strip().substring(BEFORE_RATIO.length()) : text;
            return TypedNumber.parse(plain, term.unit()).value();
        } catch (RefusedEntry refused) {
            throw new RefusedEntry(term.title() + ": " + refused.getMessage());
        }
    }

    private String wanting(Map<Term, Measured> known) {
        Term term = wanted.get();
        boolean ratio = known.containsKey(Term.RATIO);
        boolean mass = known.containsKey(Term.DOSE) || known.containsKey(Term.BEVERAGE);
        boolean cup = known.containsKey(Term.STRENGTH) || known.containsKey(Term.YIELD);
        if (term == Term.RATIO && !cup) {
            return "Enter dose and beverage mass, or strength and extraction yield.";
        }
        if (isMass(term) && mass && !cup) {
            return "Enter the ratio, or strength and extraction yield.";
        }
        if (!isMass(term) && term != Term.RATIO && !mass && !ratio) {
            return "Enter dose and beverage mass, or the ratio.";
        }
        for (Term other : Term.values()) {
            boolean needed = other != term && !other.optional()
                    && !(isMass(other) && (term == Term.RATIO || ratio && !isMass(term)));
            if (needed && !known.containsKey(other)) {
                return "Enter the " + other.title().toLowerCase(Locale.ROOT) + " as well.";
            }
        }
        return mass ? "A zero among these gives no answer."
                : "Enter dose or beverage mass: what the puck kept is kept of one of them.";
    }

    private static boolean isMass(Term term) {
        return term == Term.DOSE || term == Term.BEVERAGE;
    }

    private String judged(Measured found, Map<Term, Measured> known, boolean exact) {
        Term term = wanted.get();
        boolean share = term.unit().equals("%");
        if (found.value() < 0 || share && found.value() > 100) {
            return "These numbers do not fit together: no " + term.title().toLowerCase(Locale.ROOT)
                    + " makes them equal.";
        }
        return basis(known, found)
                + (exact ? " · numbers without ± count as exact" : " · ± is k = 2, errors taken as "
                        + (oneScale && isFilled(Term.DOSE) && isFilled(Term.BEVERAGE)
                                ? "the shot's instruments share them" : "independent"));
    }

    /** What it was computed from, where that is not the whole balance; else which yield stands in it. */
    private String basis(Map<Term, Measured> known, Measured found) {
        Term term = wanted.get();
        boolean unused = known.containsKey(Term.STRENGTH) && known.containsKey(Term.YIELD);
        String rest = unused ? "; strength and extraction yield not used" : "";
        if (term == Term.RATIO && known.containsKey(Term.DOSE) && known.containsKey(Term.BEVERAGE)) {
            return "Ratio from dose and beverage mass" + rest;
        }
        if (isMass(term) && known.containsKey(Term.RATIO)) {
            return term.title() + " from the ratio and the other mass" + rest;
        }
        String ratio = term == Term.RATIO ? "" : ratio(known, found);
        return "Extraction yield "
                + (known.containsKey(Term.MOISTURE) || term == Term.MOISTURE ? "on the dry basis" : "as dosed")
                + (ratio.isEmpty() ? "" : " · ratio 1:" + ratio);
    }

    private String ratio(Map<Term, Measured> known, Measured found) {
        Measured dose = wanted.get() == Term.DOSE ? found : known.get(Term.DOSE);
        Measured beverage = wanted.get() == Term.BEVERAGE ? found : known.get(Term.BEVERAGE);
        return dose == null || beverage == null || !(dose.value() > 0) ? ""
                : DecimalText.padded(Reported.fixed(beverage.value() / dose.value(), 2), 2);
    }

    private void show(String computed, String words) {
        result.set(computed);
        said.set(words);
    }
}
