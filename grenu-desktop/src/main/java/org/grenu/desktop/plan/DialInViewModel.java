package org.grenu.desktop.plan;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.study.ShotOrder;
import org.grenu.core.learn.AgeTrend;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Latest;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.plan.LearntCurve;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;

/** The dial-in of a coffee: worked out anew, in the background, whenever something that it rests on has changed. */
public final class DialInViewModel implements AutoCloseable {

    private final StudyDesk desk;
    private final Clock clock;
    private final Background worker;
    private final Latest latest;
    private final BooleanProperty active = new SimpleBooleanProperty();
    private final ReadOnlyStringWrapper coffee = new ReadOnlyStringWrapper("");
    private final StringProperty response = new SimpleStringProperty("");
    private final BooleanProperty byAge = new SimpleBooleanProperty();
    private final ReadOnlyObjectWrapper<DialInAnswer> answered = new ReadOnlyObjectWrapper<>();
    private boolean chosen;

    /** The dial-in of that desk; today is what the clock says. */
    public DialInViewModel(StudyDesk desk, Executor interfaceThread, Clock clock) {
        this.desk = desk;
        this.clock = clock;
        this.worker = new Background("grenu-dial-in", interfaceThread);
        this.latest = new Latest(worker);
        InvalidationListener ask = observable -> ask();
        Runnable again = desk.turns().of(this::ask);
        desk.shots().addListener((Observable o) -> again.run());
        desk.shelfProperty().addListener(ask);
        desk.settingsProperty().addListener(ask);
        active.addListener(ask);
    }

    // Observables

    /** {@return whether anybody looks; else nothing is computed} */
    public BooleanProperty activeProperty() {
        return active;
    }

    /** {@return the coffee that is dialled in; empty while there is none} */
    ReadOnlyStringProperty coffeeProperty() {
        return coffee.getReadOnlyProperty();
    }

    /** {@return the response that is drawn, by key; empty: the time} */
    StringProperty responseProperty() {
        return response;
    }

    /** {@return whether the response is drawn against the age at one setting instead of the grind} */
    BooleanProperty byAgeProperty() {
        return byAge;
    }

    /** {@return the drawn response against the age, of the shots set as the newest; empty where they are too few} */
    Optional<AgeTrend> ageTrend() {
        Optional<CoffeeAdvice> given = Optional.ofNullable(answered.get()).flatMap(DialInAnswer::given);
        return curve().flatMap(curve -> given
                .flatMap(advice -> advice.advice()
                        .ladder()
                        .newest(advice.setUp().dial())
                        .flatMap(rung -> AgeTrend
                                .of(advice.advice().ladder(), rung.shot().record(), curve.response(),
                                        spread(curve, advice)))));
    }

    private static double spread(LearntCurve curve, CoffeeAdvice advice) {
        LearntCurve.Band shot = curve.shot(advice.advice().held());
        return switch (curve.belief().practice()) {
            case TIME, FIRST_DRIP -> curve.belief().spread() * shot.middle();
            case EXTRACTION, INTENSITY -> curve.belief().spread() * curve.factor().at(advice.advice().held());
        };
    }

    /** {@return the latest answer; null while there is none} */
    public ReadOnlyObjectProperty<DialInAnswer> answeredProperty() {
        return answered.getReadOnlyProperty();
    }

    /** {@return the curve that is drawn} */
    Optional<LearntCurve> curve() {
        DialInAnswer now = answered.get();
        return now == null ? Optional.empty()
                : now.curves()
                        .stream()
                        .filter(curve -> curve.response().key().equals(response.get()))
                        .findFirst()
                        .or(() -> now.curves().stream().findFirst());
    }

    /** {@return the coffees of the shots, that of the newest first, then those that only the shelf knows} */
    List<String> coffees() {
        Set<String> names = new LinkedHashSet<>();
        for (ShotSummary shot : ShotOrder.newestFirst(List.copyOf(desk.shots()))) {
            shot.record().text(RecordField.COFFEE).ifPresent(names::add);
        }
        desk.shelfProperty().get().of(ShelfKind.COFFEE).stream().map(ShelfItem::name).forEach(names::add);
        return new ArrayList<>(names);
    }

    /** {@return the shots that name no coffee, while there is none of the coffee that is dialled in} */
    List<ShotSummary> unnamed() {
        boolean some = !coffee.get().isEmpty() && desk.shots().stream().anyMatch(shot -> isOf(shot, coffee.get()));
        return some ? List.of()
                : desk.shots().stream().filter(shot -> !shot.record().has(RecordField.COFFEE)).toList();
    }

    private static boolean isOf(ShotSummary shot, String coffee) {
        return shot.record().text(RecordField.COFFEE).filter(coffee::equals).isPresent();
    }

    StudyDesk desk() {
        return desk;
    }

    // Actions

    /** Dials that coffee in. */
    public void choose(String name) {
        chosen = true;
        coffee.set(name);
        ask();
    }

    /** Enters the coffee in the shots that name none. */
    void nameShots() {
        List<ShotSummary> unnamed = unnamed();
        desk.change("Coffee of " + unnamed.size() + (unnamed.size() == 1 ? " shot" : " shots"),
                unnamed.stream()
                        .map(shot -> Change.of(shot.id(),
                                RecordEdit.of(shot.written(), RecordField.COFFEE, coffee.get())))
                        .toList(),
                "");
    }

    /** Opens the shot of that number. */
    void open(String number) {
        desk.shots()
                .stream()
                .filter(shot -> Integer.toString(shot.number()).equals(number))
                .findFirst()
                .ifPresent(shot -> desk.select(shot.id()));
    }

    /** {@return questions of another kind, answered by the same worker in their turn} */
    Latest another() {
        return new Latest(worker);
    }

    /** {@return today} */
    LocalDate today() {
        return LocalDate.now(clock);
    }

    @Override
    public void close() {
        worker.close();
    }

    private void ask() {
        if (!active.get()) {
            return;
        }
        List<String> coffees = coffees();
        if (!chosen || !coffees.contains(coffee.get())) {
            chosen = false;
            coffee.set(usual(coffees));
        }
        if (coffee.get().isEmpty()) {
            answered.set(null);
            return;
        }
        DialInQuestion question = new DialInQuestion(coffee.get(), List.copyOf(desk.shots()),
                desk.shelfProperty().get(), desk.settingsProperty().get(), today());
        latest.ask(() -> question.answered(desk.analyses()), answered::set, failure -> {
            // An answer to another question would stand under this one.
            answered.set(null);
            desk.failed(failure);
        });
    }

    /** The open shot's, else the newest's. */
    private String usual(List<String> coffees) {
        return Optional.ofNullable(desk.openProperty().get())
                .flatMap(open -> open.summary().record().text(RecordField.COFFEE))
                .orElse(coffees.isEmpty() ? "" : coffees.get(0));
    }

    /** {@return the title of a response on its tab} */
    static String tab(LearntCurve curve) {
        return curve.response() instanceof StandardResponse standard && standard.convention().isPresent() ? "Time"
                : curve.response() == StandardResponse.EY_AS_DOSED ? "EY"
                        : curve.response() == StandardResponse.FIRST_DRIP ? "First drip"
                                : curve.response().title().replace(", 0–10", "");
    }
}
