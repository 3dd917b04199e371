package org.grenu.desktop.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Latest;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.compare.OverlayFigure;
import org.grenu.figures.read.AxisRange;
import org.grenu.library.ShotSummary;

/**
 * The comparison of the picked shots: asked anew, in the background, whenever something that it depends on changes.
 */
public final class CompareViewModel implements AutoCloseable {

    private final StudyDesk desk;
    private final PickedShots picked;
    private final Appearance appearance;
    private final Background background;
    private final ObjectProperty<CompareChoices> choices = new SimpleObjectProperty<>(CompareChoices.USUAL);
    private final ReadOnlyObjectWrapper<Answered> answered = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final BooleanProperty active = new SimpleBooleanProperty();
    private final DoubleProperty cursor = new SimpleDoubleProperty(Double.NaN);
    private final ObjectProperty<AxisRange> view = new SimpleObjectProperty<>(new AxisRange(0, 1));
    private final StringProperty numbers = new SimpleStringProperty("");
    private final Latest latest;
    /** Whether the user has seen an answer. */
    private boolean asked;
    /** The colour the user had, and the one that was put in its place; null while none was. */
    private Factor wanted;
    private Factor proposed;

    /** Compares what is picked, in the colours of the appearance. */
    public CompareViewModel(StudyDesk desk, PickedShots picked, Appearance appearance, Executor interfaceThread) {
        this.desk = desk;
        this.picked = picked;
        this.appearance = appearance;
        this.background = new Background("grenu-compare", interfaceThread);
        this.latest = new Latest(background);
        choices.set(CompareChoices.kept(desk.settingsProperty().get().compare(), List.of(StandardResponse.values())));
        showKeptColour();
        askWhenChanged();
        followSettings();
    }

    /** The colour of the comparison asked last; where it did not change among the shots picked now it gives way. */
    private void showKeptColour() {
        choices.get()
                .before()
                .first()
                .flatMap(key -> KeptFactors.find(key, desk.shots().stream().map(ShotSummary::record).toList()))
                .ifPresent(appearance.colourByProperty()::set);
    }

    private void askWhenChanged() {
        InvalidationListener ask = observable -> ask();
        Runnable again = desk.turns().of(this::ask);
        picked.changesProperty().addListener(ask);
        appearance.colourByProperty().addListener(ask);
        appearance.colourByProperty().addListener((o, was, is) -> {
            boolean chosen = active.get() && !is.equals(proposed)
                    && choices.get().before().first().filter(is.key()::equals).isEmpty();
            if (chosen) {
                choose(now -> now.withFirst(is));
            }
        });
        choices.addListener(ask);
        active.addListener(ask);
        desk.shots().addListener((Observable o) -> again.run());
        desk.openProperty().addListener(ask);
    }

    private void followSettings() {
        desk.settingsProperty().addListener((o, was, is) -> {
            if (!was.compare().equals(is.compare()) && !is.compare().equals(choices.get().kept())) {
                choices.set(CompareChoices.kept(is.compare(), possibleResponses()));
                showKeptColour();
            } else if (was.convention() != is.convention() || !was.units().equals(is.units())) {
                ask();
            }
        });
    }

    // Observables

    /** {@return the latest answer; null while there is none} */
    public ReadOnlyObjectProperty<Answered> answeredProperty() {
        return answered.getReadOnlyProperty();
    }

    /** {@return whether a newer answer is on its way} */
    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    /** {@return whether anybody looks; else nothing is computed} */
    public BooleanProperty activeProperty() {
        return active;
    }

    /** {@return where the hairline stands on the axis; NaN while it is away} */
    public DoubleProperty cursorProperty() {
        return cursor;
    }

    /** {@return the stretch of the axis shown} */
    public ObjectProperty<AxisRange> viewProperty() {
        return view;
    }

    /** {@return all numbers of the effect that is pointed at; empty when none is} */
    StringProperty numbersProperty() {
        return numbers;
    }

    /** {@return what is asked} */
    ObjectProperty<CompareChoices> choicesProperty() {
        return choices;
    }

    /** {@return how many shots are picked} */
    int pickedCount() {
        return picked.shots().size();
    }

    /** {@return variables that may be asked about beside the one that gives the colour, own entries among them} */
    List<Variable> possibleVariables() {
        List<ShotRecord> sheets = sheets();
        List<Variable> all = new ArrayList<>();
        Proposal.factors(sheets)
                .stream()
                .filter(factor -> !factor.equals(appearance.colourByProperty().get())
                        && Proposal.changed(factor, sheets))
                .map(Variable::of)
                .forEach(all::add);
        addCovariates(all);
        return all;
    }

    private void addCovariates(List<Variable> all) {
        if (answered.get() != null) {
            all.add(RunOrder.among(answered.get().comparison().shots()));
            all.addAll(answered.get().covariates());
        }
    }

    /** {@return what may be asked about} */
    List<Response> possibleResponses() {
        List<Response> all = new ArrayList<>(List.of(StandardResponse.values()));
        OwnFactor.all(sheets())
                .stream()
                .filter(OwnFactor::numeric)
                .map(entry -> new OwnResponse(entry, choices.get().margins().getOrDefault(entry.key(), 0.0)))
                .forEach(all::add);
        return all;
    }

    /** {@return what is asked about now} */
    List<Response> responses() {
        if (!choices.get().responses().isEmpty()) {
            return choices.get().responses();
        }
        Answered now = answered.get();
        return now == null ? StandardResponse.usual(desk.settingsProperty().get().convention())
                : now.comparison().question().in(DisplayUnits.CANONICAL).responses();
    }

    /** {@return the variables beside the one that gives the colour} */
    List<Variable> others() {
        return choices.get().others(appearance.colourByProperty().get(), sheets());
    }

    /** {@return whose own level is taken out} */
    Optional<Factor> block() {
        return answered.get() == null ? Optional.empty() : answered.get().comparison().question().block();
    }

    /** {@return the factor whose levels stand side by side} */
    Optional<Factor> sideBySide() {
        return answered.get() == null ? Optional.empty() : answered.get().sideBySide();
    }

    /** {@return factors whose levels can stand side by side, or be taken out as blocks} */
    List<Factor> dividingFactors() {
        List<ShotRecord> sheets = sheets();
        return Proposal.factors(sheets).stream().filter(factor -> Proposal.changed(factor, sheets)).toList();
    }

    /** {@return the units that all is told in} */
    DisplayUnits units() {
        return desk.units().getValue();
    }

    // Actions

    /** Asks or shows something else. */
    void choose(UnaryOperator<CompareChoices> change) {
        choices.set(change.apply(choices.get()));
        desk.choose(desk.settingsProperty().get().withCompare(choices.get().kept()));
    }

    /** Shows more or less about a place; positive steps show less. */
    void zoom(double about, int steps) {
        overlay().ifPresent(figure -> view.set(view.get().zoomed(about, Math.pow(1.25, -steps), figure.whole())));
    }

    /** Moves along by a share of what is shown. */
    void pan(double share) {
        overlay().ifPresent(figure -> view.set(view.get().moved(share * view.get().length(), figure.whole())));
    }

    /** Shows all. */
    void reset() {
        overlay().ifPresent(figure -> view.set(figure.whole()));
    }

    /** Moves the hairline. */
    void moveCursor(double by) {
        overlay().ifPresent(figure -> {
            double from = Double.isNaN(cursor.get()) ? (view.get().from() + view.get().to()) / 2 : cursor.get();
            cursor.set(Math.max(view.get().from(), Math.min(view.get().to(), Math.rint((from + by) * 100) / 100)));
        });
    }

    private Optional<OverlayFigure> overlay() {
        return answered.get() == null ? Optional.empty() : answered.get().overlay();
    }

    private List<ShotRecord> sheets() {
        return picked.shots().stream().map(ShotSummary::record).toList();
    }

    private void ask() {
        if (!active.get()) {
            return;
        }
        List<ShotSummary> shots = picked.shots();
        Factor proposed = proposedColour(
                shots.stream().map(ShotSummary::record).filter(record -> !record.has(RecordField.FAULT)).toList());
        if (!proposed.equals(appearance.colourByProperty().get())) {
            // Asks again by itself, in that colour.
            appearance.colourByProperty().set(proposed);
            return;
        }
        CompareChoices chosen = choices.get();
        Factor first = appearance.colourByProperty().get();
        TimeConvention wanted = desk.settingsProperty().get().convention();
        String reference = desk.openProperty().get() == null ? ""
                : Integer.toString(desk.openProperty().get().summary().number());
        DisplayUnits units = units();
        busy.set(true);
        latest.ask(() -> Answered.of(measured(shots), chosen, first, wanted, reference, units), found -> {
            busy.set(false);
            show(found);
        }, failure -> {
            busy.set(false);
            // An answer to another question would stand under this one.
            answered.set(null);
            desk.failed(failure);
        });
    }

    /** A colour that tells nothing gives way to one that does, until the user chooses one in sight of an answer. */
    private Factor proposedColour(List<ShotRecord> sheets) {
        Factor current = appearance.colourByProperty().get();
        boolean chosen = asked && !current.equals(proposed);
        if (chosen) {
            return current;
        }
        wanted = current.equals(proposed) ? wanted : current;
        Factor first = Proposal.first(wanted, sheets);
        proposed = first.equals(wanted) ? null : first;
        return first;
    }

    private void show(Answered found) {
        asked |= !found.comparison().shots().isEmpty();
        Optional<AxisRange> before = overlay().map(OverlayFigure::whole);
        answered.set(found);
        found.overlay()
                .filter(figure -> before.isEmpty() || !figure.whole().equals(before.get()))
                .ifPresent(figure -> view.set(figure.whole()));
    }

    @Override
    public void close() {
        background.close();
    }

    private List<MeasuredShot> measured(List<ShotSummary> shots) {
        return shots.stream().map(shot -> desk.analyses().of(shot).measured()).toList();
    }
}
