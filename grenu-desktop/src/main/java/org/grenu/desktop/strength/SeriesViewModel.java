package org.grenu.desktop.strength;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ObservableValue;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.entry.TypedNumber;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.Slices;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.Sample;
import org.grenu.core.strength.SeriesAdvice;
import org.grenu.core.strength.SeriesWarnings;
import org.grenu.core.strength.StrengthSeries;
import org.grenu.core.record.CupStrength;
import org.grenu.core.record.SameRecipe;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.figures.strength.SeriesFigure;

/** A series of strength readings of the open shot, led from stirring to the last reading that helps. */
public final class SeriesViewModel {

    private final StudyDesk desk;
    private final Clock clock;
    private final BooleanProperty shown = new SimpleBooleanProperty();
    private final ObjectProperty<SeriesStep> step = new SimpleObjectProperty<>(SeriesStep.STIR);
    private final StringProperty sample = new SimpleStringProperty("");
    private final StringProperty prism = new SimpleStringProperty("");
    private final SampleChoice samples;
    private long shot = -1;
    private Instant began;

    /** The series of whatever shot the desk has open; readings are timed by that clock. */
    public SeriesViewModel(StudyDesk desk, Clock clock) {
        this.desk = desk;
        this.clock = clock;
        this.samples = new SampleChoice(desk);
        samples.chosenProperty().addListener((o, was, is) -> {
            began = null;
            step.set(series().taken().isEmpty() && is.intValue() != SampleChoice.CUP ? SeriesStep.READ : step.get());
        });
        desk.openProperty().addListener((o, was, is) -> opened(is));
    }

    // Observables

    /** {@return whether the series is shown} */
    public BooleanProperty shownProperty() {
        return shown;
    }

    /** {@return the step that is due} */
    public ObjectProperty<SeriesStep> stepProperty() {
        return step;
    }

    /** {@return temperature of the sample for the next reading, °C; blank is unknown} */
    public StringProperty sampleProperty() {
        return sample;
    }

    /** {@return temperature of the prism, likewise} */
    StringProperty prismProperty() {
        return prism;
    }

    /** {@return the samples of the shot, and which is read} */
    SampleChoice samples() {
        return samples;
    }

    ReadOnlyObjectProperty<OpenShot> openProperty() {
        return desk.openProperty();
    }

    // Actions

    /** Shows the series of the open shot, from where it stands. */
    public void show() {
        if (desk.openProperty().get() != null) {
            step.set(series().taken().isEmpty() ? SeriesStep.STIR : SeriesStep.READ);
            shown.set(true);
        }
    }

    /** Goes on to the next step. */
    public void next() {
        step.set(SeriesStep.values()[Math.min(step.get().ordinal() + 1, SeriesStep.values().length - 1)]);
    }

    /** {@return an editor for an entry of the series' instrument and method} */
    EntryViewModel entry(RecordField field) {
        return new EntryViewModel(desk.openProperty(), field.title(), () -> text(recorded(), field),
                typed -> desk.enter(field, typed)).in(desk.units(), field.unit())
                .instead(() -> text(complete(), field));
    }

    /** {@return an editor for the zero check; once it is entered the next step is due} */
    EntryViewModel zero() {
        return samples.zero(() -> {
            if (step.get() == SeriesStep.ZERO) {
                next();
            }
        });
    }

    private static String text(ShotRecord record, RecordField field) {
        String text = record.entry(field).orElse("");
        return text.startsWith("-") ? "\u2212" + text.substring(1) : text;
    }

    /** {@return an editor that adds a reading with its time and temperatures, and then is empty again} */
    EntryViewModel newReading() {
        return new EntryViewModel(desk.openProperty(), "New reading", () -> "", this::add);
    }

    /** {@return an editor for one reading's value; entering nothing takes it out} */
    EntryViewModel reading(int index) {
        return new EntryViewModel(desk.openProperty(), "Reading " + (index + 1), () -> index < series().taken().size()
                ? DecimalText.padded(DecimalText.exact(series().taken().get(index).value()), 2) : "",
                typed -> replace(index, typed));
    }

    /** Takes a reading out of the series. */
    void remove(int index) {
        replace(index, "");
    }

    /** Says of the series whether its samples are filtered, which must not change within it. */
    Optional<String> chooseFiltered(boolean filtered) {
        boolean other = samples.readings()
                .stream()
                .anyMatch(reading -> reading.filtered().filter(is -> is != filtered).isPresent());
        if (other) {
            return Optional.of("This series has " + (filtered ? "unfiltered" : "filtered")
                    + " readings. They are different methods: take those out, or read this sample the same way.");
        }
        desk.enter(RecordField.SAMPLE_FILTERED, filtered ? "yes" : "no");
        return Optional.empty();
    }

    private boolean add(String typed) {
        OptionalDouble value = DecimalText.parse(typed);
        if (value.isEmpty()) {
            throw new RefusedEntry("“" + typed.strip() + "” is not a reading. Write it such as 9.41.");
        }
        List<Reading> readings = new ArrayList<>(samples.readings());
        OptionalDouble seconds = sinceBegan(readings.isEmpty());
        readings.add(new Reading(value.getAsDouble(), seconds, celsius(sample.get(), "sample"),
                celsius(prism.get(), "prism"), filtered()));
        boolean changes = samples.enterReadings(readings);
        step.set(SeriesStep.READ);
        return changes;
    }

    private OptionalDouble sinceBegan(boolean first) {
        Instant now = clock.instant();
        began = first ? now : began;
        return began == null ? OptionalDouble.empty()
                : OptionalDouble.of(Math.rint(Duration.between(began, now).toMillis() / 100.0) / 10);
    }

    private Optional<Boolean> filtered() {
        ShotRecord record = desk.latestRecord();
        return record.has(RecordField.SAMPLE_FILTERED) ? Optional.of(record.flag(RecordField.SAMPLE_FILTERED))
                : Optional.empty();
    }

    /** In the unit that is shown, unless another is typed with it. */
    private OptionalDouble celsius(String typed, String what) {
        try {
            return typed.isBlank() ? OptionalDouble.empty()
                    : OptionalDouble.of(TypedNumber.parse(units().getValue().meant("°C", typed), "°C").value());
        } catch (RefusedEntry notATemperature) {
            throw new RefusedEntry("The temperature of the " + what
                    + " is not a number. Write it such as 24.1 or 75 °F, or leave it empty.");
        }
    }

    /** {@return the units that are shown} */
    ObservableValue<DisplayUnits> units() {
        return desk.units();
    }

    private boolean replace(int index, String typed) {
        List<Reading> readings = new ArrayList<>(samples.readings());
        if (typed.isBlank()) {
            readings.remove(index);
        } else {
            OptionalDouble value = DecimalText.parse(typed);
            if (value.isEmpty()) {
                throw new RefusedEntry("“" + typed.strip() + "” is not a reading. Write it such as 9.41.");
            }
            readings.set(index, readings.get(index).with(value.getAsDouble()));
        }
        return samples.enterReadings(readings);
    }

    // What it comes to

    StrengthSeries series() {
        return samples.series(complete());
    }

    String title() {
        OpenShot open = desk.openProperty().get();
        return open == null ? "" : "Strength of shot " + open.summary().number();
    }

    SeriesFigure figure() {
        return SeriesFigure.of(series(), brix() ? "°Brix" : "% shown");
    }

    boolean brix() {
        return complete().text(RecordField.REFRACTOMETER_READS).filter("brix"::equals).isPresent();
    }

    /** {@return strength with its uncertainty; empty without a reading} */
    Optional<Reported> strength() {
        return series().strength().map(Reported::of);
    }

    /** {@return the extraction yield that it makes, such as "EY 21.74 ±0.16 % as dosed"; or what it needs} */
    String yield() {
        OpenShot open = desk.openProperty().get();
        if (open == null) {
            return "";
        }
        Optional<Brew> brew = open.summary().masses().brew();
        String by = by(open.summary().masses().strengthSource());
        return brew
                .map(made -> (complete().samples().isEmpty() ? "EY " : "Cup: EY ")
                        + Reported.of(made.asDosed().percent()).text() + " % as dosed" + by)
                .orElseGet(() -> wanting(open));
    }

    private static String by(CupStrength.Source source) {
        return switch (source) {
            case OWN, NONE -> "";
            case AGAIN -> ", by the cup read again";
            case DILUTED -> ", by the diluted sample";
            case SLICES -> ", by the slices together";
        };
    }

    private static String wanting(OpenShot open) {
        return "EY needs " + open.summary()
                .masses()
                .missing()
                .stream()
                .map(input -> input.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(" and "));
    }

    /** {@return the cup after each slice; empty while a slice is not weighed or not read, or the dose is unknown} */
    List<Slices.Cumulative> cumulative() {
        List<Slices.Slice> slices = new ArrayList<>();
        for (Sample sample : complete().samples()) {
            Optional<Measured> strength = complete().series(sample).strength();
            if (sample.kind() == Sample.Kind.SLICE && sample.grams().isPresent() && strength.isPresent()) {
                slices.add(new Slices.Slice(sample.grams().getAsDouble(), strength.get().value()));
            } else if (sample.kind() == Sample.Kind.SLICE) {
                return List.of();
            }
        }
        OptionalDouble dose = complete().number(RecordField.DOSE);
        return dose.isEmpty() ? List.of() : new Slices(dose.getAsDouble(), slices).cumulative();
    }

    /** {@return number of readings, their spread, and what they were corrected by} */
    String details() {
        StrengthSeries series = series();
        List<String> parts = new ArrayList<>();
        parts.add(series.taken().size() == 1 ? "1 reading" : series.taken().size() + " readings");
        if (series.taken().size() > 1) {
            parts.add("s " + Reported.fixed(series.deviation(), 3));
        }
        series.zero().ifPresent(zero -> parts.add("zero " + Reported.fixed(zero, 2) + " subtracted"));
        addCalibration(series, parts);
        series.dilution()
                .ifPresent(dilution -> parts
                        .add("diluted " + Reported.fixed(dilution.times(), 2) + " times, calculated back"));
        return String.join(" · ", parts);
    }

    private void addCalibration(StrengthSeries series, List<String> parts) {
        if (brix() || series.refractometer().line().againstDriedSamples()) {
            parts.add("× " + Reported.fixed(series.refractometer().line().slope(), 3)
                    + (series.refractometer().line().againstDriedSamples() ? ", calibrated" : " per °Brix"));
        }
    }

    List<String> warnings() {
        return new SeriesWarnings(series(), complete().number(RecordField.COMPENSATED_FROM),
                complete().number(RecordField.COMPENSATED_TO)).sentences(units().getValue());
    }

    SeriesAdvice advice() {
        SameRecipe recipe = SameRecipe.of(complete());
        return SeriesAdvice.of(series(), recipe.strengthSpread(
                desk.shots().stream().map(shot -> new SameRecipe.StrengthOf(shot.record(), shot.masses().strength()))));
    }

    private ShotRecord complete() {
        return desk.openProperty().get() == null ? ShotRecord.EMPTY : desk.openProperty().get().summary().record();
    }

    private ShotRecord recorded() {
        return desk.openProperty().get() == null ? ShotRecord.EMPTY : desk.openProperty().get().summary().written();
    }

    private void opened(OpenShot open) {
        if (open == null) {
            shown.set(false);
        } else if (open.summary().id() != shot) {
            shot = open.summary().id();
            began = null;
            samples.chosenProperty().set(SampleChoice.CUP);
            step.set(open.summary().record().readings().isEmpty() ? SeriesStep.STIR : SeriesStep.READ);
        } else if (samples.chosenProperty().get() >= desk.latestRecord().samples().size()) {
            samples.chosenProperty().set(SampleChoice.CUP);
        }
    }
}
