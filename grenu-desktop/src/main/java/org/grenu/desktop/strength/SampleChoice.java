package org.grenu.desktop.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.entry.TypedNumber;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.Sample;
import org.grenu.core.strength.StrengthSeries;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.EntryViewModel;

/** The samples of the open shot, and which of them is being read: the cup itself, or one beside it. */
final class SampleChoice {

    static final int CUP = -1;

    private final StudyDesk desk;
    private final IntegerProperty chosen = new SimpleIntegerProperty(CUP);

    SampleChoice(StudyDesk desk) {
        this.desk = desk;
    }

    /** {@return the place of the sample that is read, {@link #CUP} for the cup} */
    IntegerProperty chosenProperty() {
        return chosen;
    }

    /** {@return the sample that is read; empty for the cup} */
    Optional<Sample> chosen() {
        return at(recorded().samples());
    }

    private Optional<Sample> at(List<Sample> samples) {
        int place = chosen.get();
        return place >= 0 && place < samples.size() ? Optional.of(samples.get(place)) : Optional.empty();
    }

    /** {@return what the samples are called, the cup first} */
    List<String> names() {
        List<String> names = new ArrayList<>(List.of("Cup"));
        int slices = 0;
        for (Sample sample : recorded().samples()) {
            slices += sample.kind() == Sample.Kind.SLICE ? 1 : 0;
            names.add(sample.kind().title() + (sample.kind() == Sample.Kind.SLICE ? " " + slices : "")
                    + (sample.grams().isPresent() ? " · " + Reported.fixed(sample.grams().getAsDouble(), 1) + " g"
                            : ""));
        }
        return names;
    }

    /** Adds a sample behind the others and reads it. */
    void add(Sample.Kind kind) {
        List<Sample> samples = new ArrayList<>(desk.latestRecord().samples());
        samples.add(Sample.of(kind));
        enterSamples(samples);
        chosen.set(samples.size() - 1);
    }

    /** Takes the sample that is read out, with its readings. */
    void remove() {
        List<Sample> samples = new ArrayList<>(desk.latestRecord().samples());
        if (at(samples).isPresent()) {
            samples.remove(chosen.get());
            chosen.set(CUP);
            enterSamples(samples);
        }
    }

    /** {@return its readings with those that are still on their way to the library} */
    List<Reading> readings() {
        ShotRecord latest = desk.latestRecord();
        return at(latest.samples()).map(Sample::taken).orElse(latest.readings());
    }

    /** Stores other readings of it. */
    boolean enterReadings(List<Reading> readings) {
        return chosen.get() == CUP
                ? desk.enter(RecordField.READINGS,
                        readings.stream().map(Reading::text).collect(Collectors.joining("; ")))
                : change(sample -> sample.with(readings));
    }

    /** {@return its series} */
    StrengthSeries series(ShotRecord complete) {
        return at(complete.samples()).map(complete::series).orElseGet(complete::strengthSeries);
    }

    /** {@return an editor for its zero check; {@code then} runs when one was entered} */
    EntryViewModel zero(Runnable then) {
        return number("Zero check", "%", () -> chosen().map(Sample::zero).orElse(recorded().number(RecordField.ZERO)),
                typed -> {
                    OptionalDouble zero = typed(typed, "%");
                    boolean changes = chosen.get() == CUP ? desk.enter(RecordField.ZERO, typed)
                            : change(sample -> sample.zeroed(zero));
                    then.run();
                    return changes;
                });
    }

    /** {@return an editor for a slice's mass} */
    EntryViewModel mass() {
        return number("Mass of the slice", "g", () -> chosen().map(Sample::grams).orElse(OptionalDouble.empty()),
                typed -> {
                    OptionalDouble grams = typed(typed, "g");
                    return change(sample -> sample.weighing(grams));
                });
    }

    /** {@return an editor for the beverage in a diluted sample} */
    EntryViewModel beverage() {
        return number("Beverage in the sample", "g", () -> part(true), typed -> {
            OptionalDouble grams = typed(typed, "g");
            return change(sample -> sample.diluted(grams.isEmpty() ? Optional.empty() : Optional.of(new Sample.Parts(
                    grams.getAsDouble(), sample.dilution().map(Sample.Parts::water).orElse(0.0)))));
        });
    }

    /** {@return an editor for the water in a diluted sample} */
    EntryViewModel water() {
        return number("Water in the sample", "g", () -> part(false), typed -> {
            OptionalDouble grams = typed(typed, "g");
            return change(sample -> sample.diluted(Optional.of(new Sample.Parts(
                    sample.dilution()
                            .map(Sample.Parts::beverage)
                            .orElseThrow(() -> new RefusedEntry("Enter the beverage's mass first.")),
                    grams.orElse(0)))));
        });
    }

    private OptionalDouble part(boolean beverage) {
        Optional<Sample.Parts> parts = chosen().flatMap(Sample::dilution);
        return parts.isEmpty() ? OptionalDouble.empty()
                : OptionalDouble.of(beverage ? parts.get().beverage() : parts.get().water());
    }

    private EntryViewModel number(String title, String unit, Supplier<OptionalDouble> read,
            Predicate<String> write) {
        return new EntryViewModel(desk.openProperty(), title, () -> {
            OptionalDouble number = read.get();
            return number.isPresent() ? DecimalText.exact(number.getAsDouble()).replace('-', '\u2212') : "";
        }, write).also(chosen);
    }

    private static OptionalDouble typed(String typed, String unit) {
        if (typed.isBlank()) {
            return OptionalDouble.empty();
        }
        TypedNumber number = TypedNumber.parse(typed, unit);
        if (number.estimated()) {
            throw new RefusedEntry("A sample is weighed: a volume does not tell its mass.");
        }
        return OptionalDouble.of(number.value());
    }

    private boolean change(UnaryOperator<Sample> change) {
        List<Sample> samples = new ArrayList<>(desk.latestRecord().samples());
        if (at(samples).isEmpty()) {
            return false;
        }
        try {
            samples.set(chosen.get(), change.apply(samples.get(chosen.get())));
        } catch (IllegalArgumentException impossible) {
            throw new RefusedEntry(impossible.getMessage());
        }
        return enterSamples(samples);
    }

    private boolean enterSamples(List<Sample> samples) {
        return desk.enter(RecordField.SAMPLES, samples.stream().map(Sample::text).collect(Collectors.joining("; ")));
    }

    private ShotRecord recorded() {
        return desk.openProperty().get() == null ? ShotRecord.EMPTY : desk.openProperty().get().summary().record();
    }
}
