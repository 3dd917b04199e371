package org.grenu.desktop.read;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.curve.Channel;
import org.grenu.core.phase.Phase;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.RecipeReference;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.read.AxisRange;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.ReadOptions;
import org.grenu.figures.read.Strip;

/** The figure of the shot being read, the stretch of its axis shown, and where the hairline stands on it. */
public final class ReadViewModel {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");
    private static final double ZOOM_STEP = 1.25;

    private final StudyDesk desk;
    private final ReadOnlyObjectWrapper<ReadFigure> figure = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<AxisRange> view = new SimpleObjectProperty<>(new AxisRange(0, 1));
    private final DoubleProperty cursor = new SimpleDoubleProperty(Double.NaN);
    private final ReadOnlyObjectWrapper<OpenShot> ghost = new ReadOnlyObjectWrapper<>();
    private OpenShot shot;

    /** Reads whatever shot the desk has open. */
    public ReadViewModel(StudyDesk desk) {
        this.desk = desk;
        desk.openProperty().addListener((o, was, is) -> show(is));
        desk.shelfProperty().addListener((o, was, is) -> {
            if (shot != null && shot.summary().record().has(RecordField.RECIPE)) {
                redraw(false);
            }
        });
        desk.settingsProperty().addListener((o, was, is) -> {
            if (!was.options().equals(is.options())) {
                redraw(!was.options().axis().equals(is.options().axis()));
            }
        });
        show(desk.openProperty().get());
    }

    // Observables

    /** {@return the figure; null while no shot is open} */
    public ReadOnlyObjectProperty<ReadFigure> figureProperty() {
        return figure.getReadOnlyProperty();
    }

    /** {@return the stretch of the axis shown} */
    public ObjectProperty<AxisRange> viewProperty() {
        return view;
    }

    /** {@return where the hairline stands on the axis; NaN while it is away} */
    public DoubleProperty cursorProperty() {
        return cursor;
    }

    /** {@return the shot that others are held against; null while there is none} */
    public ReadOnlyObjectProperty<OpenShot> ghostProperty() {
        return ghost.getReadOnlyProperty();
    }

    /** {@return what the strips show} */
    public ReadOptions options() {
        return desk.settingsProperty().get().options();
    }

    /** {@return {@code Shot 5}} */
    public String title() {
        return shot == null ? "" : "Shot " + shot.summary().number();
    }

    /** {@return the name of the file that the log came in; empty without one} */
    public String file() {
        return shot == null ? "" : shot.summary().record().text(RecordField.FILE).orElse("");
    }

    /** {@return the recipe in a line} */
    public String recipe() {
        if (shot == null) {
            return "";
        }
        ShotRecord record = shot.summary().record();
        List<String> parts = new ArrayList<>();
        addWhatWasSet(record, parts);
        record.pulledAt().ifPresent(moment -> parts.add(CLOCK.format(moment)));
        if (record.flag(RecordField.SIMULATED)) {
            parts.add("simulated");
        }
        return String.join(" · ", parts);
    }

    private void addWhatWasSet(ShotRecord record, List<String> parts) {
        record.text(RecordField.COFFEE).ifPresent(parts::add);
        record.text(RecordField.PROFILE).ifPresent(parts::add);
        record.entry(RecordField.GRIND).ifPresent(grind -> parts.add("grind " + grind));
        Factor temperature = RecordFactor.TEMPERATURE.in(options().units());
        temperature.level(record).ifPresent(level -> parts.add(level + " " + temperature.unit()));
    }

    /** {@return why the shot counts as faulty; empty when it does not} */
    public String fault() {
        return shot == null ? "" : shot.summary().record().text(RecordField.FAULT).orElse("");
    }

    /** {@return who says where the phases begin} */
    public String processing() {
        return shot == null || shot.phases().isEmpty() ? "" : "phases: " + shot.phasesOrigin();
    }

    /** {@return whose curves stand thin behind the shot's: the recipe's that it was pulled by; empty without one} */
    public String referenceTitle() {
        return ghost.get() != null && shot != null && ghost.get().summary().id() != shot.summary().id() ? ""
                : reference().map(found -> "thin: recipe “" + found.recipe() + "”").orElse("");
    }

    private Optional<RecipeReference> reference() {
        return shot == null ? Optional.empty()
                : RecipeReference.of(desk.shelfProperty().get(), shot.summary().record(), shot.measures().curve());
    }

    /** {@return the ghost in words; empty while there is none} */
    public String ghostTitle() {
        return ghost.get() == null ? "" : "Ghost: shot " + ghost.get().summary().number();
    }

    /** {@return what the strip reads at the hairline with its ± where that is known; empty in a gap} */
    public String reading(Strip strip) {
        double value = strip.curve().at(cursor.get());
        return Double.isNaN(value) ? "" : strip.reading(value);
    }

    /** {@return the ± of that reading, k = 2; empty where it is not known} */
    public String readingDoubt(Strip strip) {
        double u = shot == null ? Double.NaN : shot.uncertainty(strip.channel(), seconds(cursor.get()));
        return Double.isFinite(u) && u > 0 ? "±" + strip.readingDoubt(Measured.COVERAGE_FACTOR * u) : "";
    }

    /** {@return the hairline's place in words} */
    public String place() {
        return Reported.fixed(cursor.get(), 2) + " " + figure.get().axis().unit();
    }

    // Actions

    /** Shows more or less about a place; positive steps show less. */
    public void zoom(double about, int steps) {
        if (figure.get() != null) {
            view.set(view.get().zoomed(about, Math.pow(ZOOM_STEP, -steps), figure.get().whole()));
        }
    }

    /** Shows less or more about the hairline, or about the middle while it is away. */
    public void zoomAtCursor(int steps) {
        double middle = (view.get().from() + view.get().to()) / 2;
        zoom(Double.isNaN(cursor.get()) ? middle : cursor.get(), steps);
    }

    /** Moves along by a share of what is shown. */
    public void pan(double share) {
        if (figure.get() != null) {
            view.set(view.get().moved(share * view.get().length(), figure.get().whole()));
        }
    }

    /** Shows the whole log. */
    public void reset() {
        if (figure.get() != null) {
            view.set(figure.get().whole());
        }
    }

    /** Moves the hairline, taking the view along where it would leave it. */
    public void moveCursor(double by) {
        if (figure.get() != null) {
            double from = Double.isNaN(cursor.get()) ? (view.get().from() + view.get().to()) / 2 : cursor.get();
            placeCursor(Math.rint((from + by) * 100) / 100);
        }
    }

    /** Puts the hairline at that time of the log, where the axis has it. */
    public void showAt(double seconds) {
        double at = figure.get() == null ? Double.NaN : figure.get().axis().at(seconds);
        if (Double.isFinite(at)) {
            placeCursor(at);
        }
    }

    private void placeCursor(double at) {
        AxisRange whole = figure.get().whole();
        double to = Math.min(whole.to(), Math.max(whole.from(), at));
        if (to < view.get().from() || to > view.get().to()) {
            view.set(view.get().moved(to < view.get().from() ? to - view.get().from() : to - view.get().to(), whole));
        }
        cursor.set(to);
    }

    /** Lets the strips run along another axis. */
    public void chooseAxis(AxisKind kind) {
        desk.choose(desk.settingsProperty().get().with(options().along(kind)));
    }

    /** Shows those strips, top to bottom; at least one stays. */
    public void chooseStrips(List<Channel> channels) {
        if (!channels.isEmpty()) {
            desk.choose(desk.settingsProperty().get().with(options().of(channels)));
        }
    }

    /** Holds other shots against the one being read; again: against none. */
    public void switchGhost() {
        boolean same = ghost.get() != null && shot != null && ghost.get().summary().id() == shot.summary().id();
        ghost.set(same || shot == null ? null : shot);
        redraw(false);
    }

    /** Takes the ghost away. */
    public void clearGhost() {
        ghost.set(null);
        redraw(false);
    }

    /** {@return what happened during the phase at that place, in words; empty outside every phase} */
    String phaseAt(double at) {
        return shot == null ? "" : shot.phaseAt(seconds(at)).map(this::words).orElse("");
    }

    private String words(Phase phase) {
        return phase.kind().title() + ", " + Reported.fixed(phase.seconds(), 1) + " s"
                + (phase.ending().text().isEmpty() ? "" : "; ended by: " + phase.ending().text())
                + phase.courses()
                        .entrySet()
                        .stream()
                        .filter(course -> course.getKey() != Channel.STEP)
                        .sorted(Map.Entry.comparingByKey())
                        .map(course -> "\n" + course.getKey().title() + ": mean "
                                + course(course.getKey().unit().symbol(), course.getValue()))
                        .collect(Collectors.joining());
    }

    private String course(String unit, Phase.Course course) {
        DisplayUnits units = options().units();
        return units.text(course.mean(), unit, 2) + ", slope " + units.textOfDifference(course.slope(), unit, 3)
                + " per s";
    }

    /**
     * {@return the border of a phase within that distance on the axis, if there is one; the first border is the
     * pump's}
     */
    Optional<Integer> borderNear(double at, double within) {
        List<Double> borders = borders();
        Optional<Integer> nearest = Optional.empty();
        for (int i = 1; i < borders.size(); i++) {
            double off = Math.abs(borders.get(i) - at);
            if (off <= within && (nearest.isEmpty() || off < Math.abs(borders.get(nearest.get()) - at))) {
                nearest = Optional.of(i);
            }
        }
        return nearest;
    }

    /** {@return where the phases begin on the axis; NaN where it does not have them} */
    List<Double> borders() {
        return shot == null ? List.of()
                : shot.phases().stream().map(border -> figure.get().axis().at(border.seconds())).toList();
    }

    /** Sets a phase's begin by hand, between its neighbours. */
    void moveBorder(int index, double at) {
        double seconds = seconds(at);
        double before = shot.phases().get(index - 1).seconds() + 0.1;
        double after = index + 1 < shot.phases().size() ? shot.phases().get(index + 1).seconds() - 0.1
                : Double.POSITIVE_INFINITY;
        if (!Double.isFinite(seconds) || before > after) {
            return;
        }
        double kept = Math.rint(100 * Math.max(before, Math.min(after, seconds))) / 100;
        keepBorder(index, kept);
    }

    private void keepBorder(int index, double kept) {
        List<String> borders = new ArrayList<>();
        for (int i = 0; i < shot.phases().size(); i++) {
            double begin = i == index ? kept : shot.phases().get(i).seconds();
            borders.add(shot.phases().get(i).kind().key() + " " + DecimalText.exact(begin));
        }
        desk.enter(RecordField.PHASES, String.join("; ", borders));
    }

    /** Moves the border nearest to the hairline. */
    void moveNearestBorder(double by) {
        if (shot != null && !Double.isNaN(cursor.get())) {
            borderNear(cursor.get(), Double.POSITIVE_INFINITY)
                    .ifPresent(index -> moveBorder(index, borders().get(index) + by));
        }
    }

    /** {@return whether phases were set by hand} */
    boolean phasesEdited() {
        return shot != null && shot.summary().record().has(RecordField.PHASES);
    }

    /** Forgets borders set by hand. */
    void findPhases() {
        desk.enter(RecordField.PHASES, "");
    }

    /** Notes words at the hairline; blank words note nothing. */
    void addNote(String words) {
        double seconds = seconds(cursor.get());
        String plain = words.replace(';', ',').strip();
        if (shot != null && Double.isFinite(seconds) && !plain.isEmpty()) {
            String others = desk.latestRecord()
                    .momentNotes()
                    .stream()
                    .map(note -> DecimalText.exact(note.seconds()) + " " + note.words())
                    .collect(Collectors.joining("; "));
            String note = DecimalText.exact(Math.rint(10 * seconds) / 10) + " " + plain;
            desk.enter(RecordField.MOMENT_NOTES, others.isEmpty() ? note : others + "; " + note);
        }
    }

    private double seconds(double at) {
        return figure.get() == null ? Double.NaN : figure.get().axis().seconds(at);
    }

    /** The same shot after an edit keeps its zoom and hairline; another shot starts whole. */
    private void show(OpenShot opened) {
        boolean same = shot != null && opened != null && shot.summary().id() == opened.summary().id();
        shot = opened;
        redraw(!same);
    }

    private void redraw(boolean afresh) {
        CurveAxis before = figure.get() == null ? null : figure.get().axis();
        double seconds = before == null || Double.isNaN(cursor.get()) ? Double.NaN : before.seconds(cursor.get());
        Optional<OpenShot> other = Optional.ofNullable(ghost.get())
                .filter(g -> shot != null && g.summary().id() != shot.summary().id());
        ReadFigure made = shot == null ? null
                : ReadFigure.of(shot.shot(), shot.measures(), options(), other.map(OpenShot::measures),
                        reference().map(RecipeReference::curves).orElse(Map.of()));
        if (made != null && (afresh || !made.axis().getClass().equals(before == null ? null : before.getClass()))) {
            view.set(made.whole());
        }
        figure.set(made);
        keepCursor(made, seconds);
    }

    private void keepCursor(ReadFigure made, double seconds) {
        if (made != null && Double.isFinite(seconds)) {
            double at = made.axis().at(seconds);
            boolean inside = at >= made.whole().from() && at <= made.whole().to();
            cursor.set(inside ? at : Double.NaN);
        }
    }
}
