package org.grenu.desktop.ledger;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.stream.Collectors;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import org.grenu.app.advice.ShotNext;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.app.settings.StudySettings;
import org.grenu.app.study.ShotsByRecipe;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.diagnosis.NextStep;
import org.grenu.core.diagnosis.Siblings;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.extraction.Basis;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.strength.Reading;
import org.grenu.core.record.Caffeine;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.CoffeeNext;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.desktop.entry.HistoryViewModel;
import org.grenu.figures.plane.PlaneFigure;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** The numbers of the shot being read, and the entries they rest on. */
public final class LedgerViewModel {

    private static final Pattern CRYOGENS = Pattern.compile("nitrogen|dry ice|cryo|ln2", Pattern.CASE_INSENSITIVE);

    private final StudyDesk desk;
    private final DoubleConsumer place;
    private final CoffeeNext coffee;
    private final EarlierEntries earlier;
    /** Null when the shots have changed since. */
    private ShotsByRecipe byRecipe;
    private final ObjectProperty<Basis> basis = new SimpleObjectProperty<>(Basis.AS_DOSED);
    private final ObjectBinding<LedgerText> text;
    private final ObjectBinding<PlaneFigure> plane;

    /**
     * The ledger of whatever shot the desk has open.
     *
     * @param place  shows a time of the log on the strips
     * @param coffee what is advised for its coffee
     * @param clock  says what time it is
     */
    public LedgerViewModel(StudyDesk desk, Appearance appearance, DoubleConsumer place, CoffeeNext coffee,
            Clock clock) {
        this.desk = desk;
        this.coffee = coffee;
        this.place = place;
        text = Bindings.createObjectBinding(() -> desk.openProperty().get() == null ? null
                : LedgerText.of(desk.openProperty().get(), basis.get(), desk.units().getValue()),
                desk.openProperty(), basis, desk.units());
        StudyPoints points = new StudyPoints(desk.shots(), desk.derived());
        plane = Bindings.createObjectBinding(
                () -> points.around(open() == null ? -1 : open().summary().id(), appearance.scale().get(),
                        appearance.themeProperty().get()),
                desk.openProperty(), desk.turns().ofShots(), appearance.scale(), appearance.themeProperty());
        earlier = new EarlierEntries(desk, clock);
        desk.shots().addListener((Observable o) -> byRecipe = null);
    }

    // Observables

    /** {@return the basis of the yield that stands large} */
    public ObjectProperty<Basis> basisProperty() {
        return basis;
    }

    /** {@return the numbers; null while no shot is open} */
    ObjectBinding<LedgerText> text() {
        return text;
    }

    /** {@return the map of the study} */
    ObjectBinding<PlaneFigure> plane() {
        return plane;
    }

    /**
     * {@return the shot being read, for what hangs on more than its numbers: those may stay equal while it changes}
     */
    ReadOnlyObjectProperty<OpenShot> openProperty() {
        return desk.openProperty();
    }

    /** {@return how the study's shots are timed} */
    ObservableValue<TimeConvention> conventionProperty() {
        return desk.settingsProperty().map(StudySettings::convention);
    }

    /** {@return the one thing to do next; null while no shot is open} */
    NextStep next() {
        if (open() == null) {
            return null;
        }
        NextStep own = open().next(siblings());
        return coffee.ofOpen()
                .map(outcome -> ShotNext.of(Integer.toString(open().summary().number()), own, outcome,
                        desk.units().getValue()))
                .orElse(own);
    }

    /** {@return changes when more is known of the open shot's coffee} */
    Observable coffeeAnswered() {
        return coffee.answeredProperty();
    }

    /** Shots of the open one's recipe, the open one not among them. */
    private Siblings siblings() {
        if (byRecipe == null) {
            byRecipe = ShotsByRecipe.of(desk.shots(), desk.derived());
        }
        List<DerivedValues.Derived> others = byRecipe.siblings(open().summary());
        return Siblings.of(others.size(),
                others.stream().flatMap(other -> other.yield().stream()).mapToDouble(Measured::value));
    }

    /** {@return the question that the entry raises; empty when it raises none} */
    Optional<Plausibility.Doubt> doubt(RecordField field) {
        return open() == null ? Optional.empty()
                : open().doubts().stream().filter(doubt -> doubt.field() == field).findFirst();
    }

    /** {@return the shot being read; null while there is none} */
    OpenShot open() {
        return desk.openProperty().get();
    }

    /** {@return an editor for that entry} */
    EntryViewModel entry(RecordField field) {
        return new EntryViewModel(desk.openProperty(), field.title(), () -> LedgerText.shown(open(), field),
                typed -> desk.enter(field, typed)).in(desk.units(), field.unit())
                .latest(() -> LedgerText.written(desk.latestRecord().entry(field).orElse(""), field))
                .instead(() -> LedgerText.told(open(), field))
                .doubting(() -> doubt(field).map(one -> new EntryViewModel.Doubt(one.question(), one.meant())));
    }

    /** {@return what was corrected in the open shot's record} */
    HistoryViewModel history() {
        return new HistoryViewModel(desk, desk.openProperty(),
                RecordField::find,
                () -> open() == null ? List.of()
                        : List.of(new HistoryViewModel.Subject(Target.SHOT, open().summary().id())));
    }

    /** {@return the shot that was pulled before the open one, on whatever gear} */
    Optional<ShotSummary> before() {
        return desk.beforeOpen();
    }

    /** {@return what was set up otherwise than for the shot before} */
    List<SetUp.Changed> changed() {
        return before().map(shot -> SetUp.changed(shot.record(), shot.masses(), open().summary().record(),
                open().measures().masses())).orElse(List.of());
    }

    /**
     * {@return what swallowing the day's tasted shots whole would come to, as a caution; empty when the open one
     * was not tasted}
     */
    Optional<String> caffeine() {
        if (open() == null || !wasTasted(open().summary().record())
                || open().summary().record().pulledAt().isEmpty()) {
            return Optional.empty();
        }
        LocalDate day = open().summary().record().pulledAt().get().toLocalDate();
        List<ShotRecord> tasted = tasted(day);
        return Optional.of(String.format(Locale.ROOT,
                "Tasted on this day: %d, about %.0f mg of caffeine if swallowed whole (an estimate from the doses). "
                        + "Healthy adults: up to %.0f mg at once "
                        + "and %.0f mg a day, in pregnancy %.0f mg a day (EFSA 2015). Spit when tasting many.",
                tasted.size(), Caffeine.milligrams(tasted), Caffeine.AT_ONCE, Caffeine.A_DAY,
                Caffeine.IN_PREGNANCY));
    }

    /** {@return whether beans or grounds were cooled by a cryogen, by the words of their treatment} */
    boolean cryogenic() {
        return open() != null && Stream.of(RecordField.BEANS_TREATMENT, RecordField.GROUNDS_TREATMENT)
                .flatMap(field -> open().summary().record().text(field).stream())
                .anyMatch(words -> CRYOGENS.matcher(words).find());
    }

    private static boolean wasTasted(ShotRecord record) {
        return record.has(RecordField.TASTE) || record.has(RecordField.TASTING) || record.has(RecordField.LIKING);
    }

    private List<ShotRecord> tasted(LocalDate day) {
        return desk.shots()
                .stream()
                .map(ShotSummary::record)
                .filter(record -> wasTasted(record)
                        && record.pulledAt().filter(at -> at.toLocalDate().equals(day)).isPresent())
                .toList();
    }

    /** {@return how many entries the shot before could lend} */
    int offered() {
        return copy().map(found -> found.edits().size()).orElse(0);
    }

    /**
     * What can be copied.
     *
     * @param from  number of the shot before
     * @param into  number of the open shot
     * @param edits what is unknown there and was set up here
     */
    public record Copy(int from, int into, List<RecordEdit> edits) {
    }

    /** {@return what would fill what is unknown with what was set up for the shot before; empty without one} */
    public Optional<Copy> copy() {
        return open() == null ? Optional.empty()
                : before().map(shot -> new Copy(shot.number(), open().summary().number(),
                        SetUp.takenOver(shot.written(), open().summary().record())));
    }

    /** Enters those of it, as one step. */
    public void takeOver(Copy copy, List<RecordEdit> chosen) {
        if (open() != null && open().summary().number() == copy.into) {
            desk.change("Entries copied from shot " + copy.from,
                    chosen.stream().map(edit -> Change.of(open().summary().id(), edit)).toList(), "");
        }
    }

    /** {@return what was entered before, on any shot or on the shelf} */
    EarlierEntries earlier() {
        return earlier;
    }

    /** {@return an editor for an entry that the user made up} */
    EntryViewModel own(String key) {
        return new EntryViewModel(desk.openProperty(), key,
                () -> open() == null ? "" : open().summary().record().extras().getOrDefault(key, ""),
                typed -> desk.enterOwn(key, typed));
    }

    /** {@return whether a name can be given to a new entry, and if not why} */
    Optional<String> refusedName(String key) {
        try {
            RecordEdit.ofOwn(ShotRecord.EMPTY, key, "x");
            return Optional.empty();
        } catch (RefusedEntry refused) {
            return Optional.of(refused.getMessage());
        }
    }

    /** {@return an editor for one strength reading; entering nothing removes it} */
    EntryViewModel reading(int index) {
        return new EntryViewModel(desk.openProperty(), "Reading " + (index + 1), () -> shownReading(index),
                typed -> enterReading(index, typed));
    }

    /** {@return an editor that adds a reading and then is empty again} */
    EntryViewModel newReading() {
        return new EntryViewModel(desk.openProperty(), "New reading", () -> "",
                typed -> enterReading(Integer.MAX_VALUE, typed));
    }

    /** {@return the units that are shown} */
    ObservableValue<DisplayUnits> unitsProperty() {
        return desk.units();
    }

    DisplayUnits units() {
        return desk.units().getValue();
    }

    // Actions

    /** Takes the reading out of the series. */
    void removeReading(int index) {
        enterReading(index, "");
    }

    /** Times the study's shots so. */
    void chooseConvention(TimeConvention convention) {
        desk.choose(desk.settingsProperty().get().with(convention));
    }

    /** Shows that time of the log on the strips. */
    void showAt(double seconds) {
        place.accept(seconds);
    }

    /** Switches a kind of repair on or off. */
    void switchRepair(RepairKind kind, boolean on) {
        Set<RepairKind> off = EnumSet.noneOf(RepairKind.class);
        off.addAll(desk.latestRecord().repairsOff());
        if (on) {
            off.remove(kind);
        } else {
            off.add(kind);
        }
        desk.enter(RecordField.REPAIRS_OFF, off.stream().map(RepairKind::key).collect(Collectors.joining("; ")));
    }

    private String shownReading(int index) {
        List<Double> readings = open() == null ? List.of() : open().summary().record().numbers(RecordField.READINGS);
        return index < readings.size() ? DecimalText.padded(DecimalText.exact(readings.get(index)), 2) : "";
    }

    private boolean enterReading(int index, String typed) {
        List<String> texts = new ArrayList<>();
        List<Reading> readings = desk.latestRecord().readings();
        for (int i = 0; i < readings.size(); i++) {
            texts.add(i == index ? corrected(readings.get(i), typed) : readings.get(i).text());
        }
        if (index >= readings.size()) {
            texts.add(typed);
        }
        return desk.enter(RecordField.READINGS, String.join("; ", texts));
    }

    /** A reading that is typed again keeps its time and temperatures. */
    private static String corrected(Reading reading, String typed) {
        OptionalDouble value = DecimalText.parse(typed);
        return value.isPresent() ? reading.with(value.getAsDouble()).text() : typed;
    }

    /** {@return what stands over the map: the window, and where both of its ranges can be met} */
    static String windowCaption() {
        TargetWindow window = TargetWindow.USUAL;
        return String.format(Locale.ROOT,
                "window %.0f–%.0f %% EY and %.0f–%.0f %% strength: both meet from 1:%s to 1:%s",
                window.yieldLow(), window.yieldHigh(), window.strengthLow(), window.strengthHigh(),
                Reported.fixed(window.smallestRatio(), 1), Reported.fixed(window.largestRatio(), 1));
    }
}
