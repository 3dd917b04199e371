package org.grenu.desktop.calculator;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.entry.TypedNumber;
import org.grenu.core.extraction.CupChange;
import org.grenu.core.extraction.YieldEquation.Term;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.ShotSummary;

/** What becomes of the beverage in the calculator: stronger at the same extraction, diluted, blended. */
final class CupViewModel {

    private final CalculatorViewModel calculator;
    private final StudyDesk desk;
    private final StringProperty wantedStrength = new SimpleStringProperty("");
    private final StringProperty water = new SimpleStringProperty("");
    private final StringProperty otherMass = new SimpleStringProperty("");
    private final StringProperty otherStrength = new SimpleStringProperty("");
    private final ReadOnlyStringWrapper stronger = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper diluted = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper blended = new ReadOnlyStringWrapper("");

    CupViewModel(CalculatorViewModel calculator, StudyDesk desk) {
        this.calculator = calculator;
        this.desk = desk;
        for (StringProperty typed : new StringProperty[] {wantedStrength, water, otherMass, otherStrength}) {
            typed.addListener((o, was, is) -> changed());
        }
    }

    StringProperty wantedStrengthProperty() {
        return wantedStrength;
    }

    StringProperty waterProperty() {
        return water;
    }

    StringProperty otherMassProperty() {
        return otherMass;
    }

    StringProperty otherStrengthProperty() {
        return otherStrength;
    }

    ReadOnlyStringProperty strongerProperty() {
        return stronger.getReadOnlyProperty();
    }

    ReadOnlyStringProperty dilutedProperty() {
        return diluted.getReadOnlyProperty();
    }

    ReadOnlyStringProperty blendedProperty() {
        return blended.getReadOnlyProperty();
    }

    /** The calculator's numbers or those typed here are others. */
    void changed() {
        Optional<CupChange> cup = cup();
        stronger.set(told(wantedStrength, "%", strength -> cup.map(now -> stronger(now, strength))));
        diluted.set(told(water, "g", grams -> cup.map(now -> told(now.with(grams)))));
        blended.set(told(otherMass, "g", grams -> otherStrength.get().isBlank() ? Optional.of("how strong?")
                : Optional.of(told(otherStrength, "%",
                        strength -> cup.map(now -> told(now.with(new CupChange(grams, strength))))))));
    }

    private Optional<CupChange> cup() {
        Optional<Measured> beverage = calculator.standing(Term.BEVERAGE).filter(mass -> mass.value() > 0);
        return beverage
                .flatMap(mass -> calculator.standing(Term.STRENGTH).map(strength -> new CupChange(mass, strength)));
    }

    /** Says what follows from a typed number. */
    @FunctionalInterface
    private interface Following {
        Optional<String> from(Measured typed);
    }

    private static String told(StringProperty typed, String unit, Following following) {
        if (typed.get().isBlank()) {
            return "";
        }
        try {
            double number = TypedNumber.parse(typed.get(), unit).value();
            if (!(number > 0)) {
                return "more than nothing, please";
            }
            return following.from(Measured.exact(number)).orElse("needs beverage mass and strength above");
        } catch (RefusedEntry refused) {
            return refused.getMessage();
        }
    }

    private static String told(CupChange cup) {
        return Reported.of(cup.beverage()).text() + " g at " + Reported.of(cup.strength()).text() + " %";
    }

    /** The ratio that would be that strong at the same extraction, and whether this log has been there. */
    private String stronger(CupChange cup, Measured wanted) {
        Measured beverage = cup.beverageFor(wanted);
        String text = Reported.of(beverage).text() + " g in the cup";
        Optional<Measured> dose = calculator.standing(Term.DOSE).filter(mass -> mass.value() > 0);
        if (dose.isEmpty()) {
            return text;
        }
        double ratio = beverage.value() / dose.get().value();
        return text + ", 1:" + Reported.fixed(ratio, 2) + ". " + feasible(ratio);
    }

    private String feasible(double ratio) {
        String coffee = desk.openProperty().get() == null ? ""
                : desk.openProperty().get().summary().record().text(RecordField.COFFEE).orElse("");
        double[] tried = desk.shots()
                .stream()
                .map(ShotSummary::record)
                .filter(record -> !coffee.isEmpty() && !record.has(RecordField.FAULT)
                        && record.text(RecordField.COFFEE).filter(coffee::equals).isPresent())
                .map(CupViewModel::ratio)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .sorted()
                .toArray();
        if (tried.length == 0) {
            return "No shot of this coffee says whether it can extract as much there.";
        }
        String range = String.format(Locale.ROOT, "%d shots of this coffee were pulled at 1:%.2f–1:%.2f", tried.length,
                tried[0], tried[tried.length - 1]);
        boolean within = ratio >= tried[0] && ratio <= tried[tried.length - 1];
        long near = Arrays.stream(tried).filter(one -> Math.abs(one / ratio - 1) < 0.05).count();
        return range + (within ? ", " + near + " of them near there."
                : ": there nothing was tried. A shorter shot extracts less unless it is ground finer.");
    }

    private static OptionalDouble ratio(ShotRecord record) {
        OptionalDouble dose = record.number(RecordField.DOSE);
        OptionalDouble beverage = record.number(RecordField.BEVERAGE);
        return dose.orElse(0) > 0 && beverage.isPresent()
                ? OptionalDouble.of(beverage.getAsDouble() / dose.getAsDouble()) : OptionalDouble.empty();
    }
}
