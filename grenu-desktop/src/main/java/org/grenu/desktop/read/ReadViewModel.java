package org.grenu.desktop.read;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.quantity.Reported;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotSheet;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.Strip;
import org.grenu.figures.read.TimeRange;

/** The figure of the shot being read, the stretch of time shown, and where the hairline stands. */
public final class ReadViewModel {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");
    private static final double ZOOM_STEP = 1.25;

    private final ReadOnlyObjectWrapper<ReadFigure> figure = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<TimeRange> view = new SimpleObjectProperty<>(new TimeRange(0, 1));
    private final DoubleProperty cursor = new SimpleDoubleProperty(Double.NaN);
    private OpenShot shot;

    /** Reads whatever shot the desk has open. */
    public ReadViewModel(StudyDesk desk) {
        desk.openProperty().addListener((o, was, is) -> show(is));
        show(desk.openProperty().get());
    }

    // Observables

    /** {@return the figure; null while no shot is open} */
    public ReadOnlyObjectProperty<ReadFigure> figureProperty() {
        return figure.getReadOnlyProperty();
    }

    /** {@return the stretch of time shown} */
    public ObjectProperty<TimeRange> viewProperty() {
        return view;
    }

    /** {@return where the hairline stands, s; NaN while it is away} */
    public DoubleProperty cursorProperty() {
        return cursor;
    }

    /** {@return {@code Shot 5}} */
    public String title() {
        return shot == null ? "" : "Shot " + shot.summary().number();
    }

    /** {@return the recipe in a line} */
    public String recipe() {
        if (shot == null) {
            return "";
        }
        ShotSheet sheet = shot.summary().sheet();
        List<String> parts = new ArrayList<>();
        sheet.text(SheetField.COFFEE).ifPresent(parts::add);
        sheet.text(SheetField.PROFILE).ifPresent(parts::add);
        sheet.entry(SheetField.GRIND).ifPresent(grind -> parts.add("grind " + grind));
        sheet.entry(SheetField.TEMPERATURE).ifPresent(celsius -> parts.add(celsius + " °C"));
        sheet.pulledAt().ifPresent(moment -> parts.add(CLOCK.format(moment)));
        if (sheet.flag(SheetField.SIMULATED)) {
            parts.add("simulated");
        }
        return String.join(" · ", parts);
    }

    /** {@return why the shot counts as faulty; empty when it does not} */
    public String fault() {
        return shot == null ? "" : shot.summary().sheet().text(SheetField.FAULT).orElse("");
    }

    /** {@return what was done to the log before it was drawn} */
    public String processing() {
        if (shot == null) {
            return "";
        }
        double step = figure.get().strips().isEmpty() ? 0.1 : figure.get().strips().get(0).curve().step();
        return Reported.fixed(1 / step, 0) + " Hz · cup flow smoothed over " + Reported.fixed(CurveMeasures.FLOW_WINDOW_SECONDS, 1)
                + " s · raw log kept";
    }

    /** {@return what the strip reads at the hairline; empty in a gap} */
    public String reading(Strip strip) {
        double value = strip.curve().at(cursor.get());
        boolean tiny = strip.channel() != Channel.TEMPERATURE && Math.abs(value) < 0.5 * Math.pow(10, -strip.decimals());
        return Double.isNaN(value) ? "" : Reported.fixed(tiny ? 0 : value, strip.decimals());
    }

    // Actions

    /** Shows more or less time about a moment; positive steps show less. */
    public void zoom(double aboutSeconds, int steps) {
        if (figure.get() != null) {
            view.set(view.get().zoomed(aboutSeconds, Math.pow(ZOOM_STEP, -steps), figure.get().whole()));
        }
    }

    /** Shows less or more time about the hairline, or about the middle while it is away. */
    public void zoomAtCursor(int steps) {
        double middle = (view.get().from() + view.get().to()) / 2;
        zoom(Double.isNaN(cursor.get()) ? middle : cursor.get(), steps);
    }

    /** Moves along in time by a share of what is shown. */
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
    public void moveCursor(double seconds) {
        if (figure.get() == null) {
            return;
        }
        TimeRange whole = figure.get().whole();
        double from = Double.isNaN(cursor.get()) ? (view.get().from() + view.get().to()) / 2 : cursor.get();
        double to = Math.min(whole.to(), Math.max(whole.from(), Math.rint((from + seconds) * 100) / 100));
        if (to < view.get().from() || to > view.get().to()) {
            view.set(view.get().moved(to < view.get().from() ? to - view.get().from() : to - view.get().to(), whole));
        }
        cursor.set(to);
    }

    /** The same shot after an edit keeps its zoom and hairline; another shot starts whole. */
    private void show(OpenShot opened) {
        boolean same = shot != null && opened != null && shot.summary().id() == opened.summary().id();
        shot = opened;
        ReadFigure made = opened == null ? null : ReadFigure.of(opened.log(), opened.measures().curve());
        if (!same && made != null) {
            view.set(made.whole());
            if (!Double.isNaN(cursor.get()) && (cursor.get() < made.whole().from() || cursor.get() > made.whole().to())) {
                cursor.set(Double.NaN);
            }
        }
        figure.set(made);
    }
}
