package org.grenu.desktop.plan;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FreeName;
import org.grenu.core.phase.LearntTolerances;
import org.grenu.core.phase.ProfileFit;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Latest;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.plan.ProfileFigure;
import org.grenu.figures.plan.ProfileHandle;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** The profile that is drawn: its steps, what they would do on a puck, and what is kept of a change. */
public final class ProfilesViewModel implements AutoCloseable {

    /** Shots that a prediction rests on once nothing is dragged. */
    private static final int RUNS = 40;

    private final StudyDesk desk;
    private final DialInViewModel dialIn;
    private final Background worker;
    private final Latest latest;
    private final Background fitter;
    private final Latest fitting;
    private final Latest telling;
    private final BooleanProperty active = new SimpleBooleanProperty();
    private final ReadOnlyObjectWrapper<KnownProfile> chosen = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<ProfileFacts> facts = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<ProfileDifference> difference = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<ProfileFigure> figure = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<PuckChoice> puck = new ReadOnlyObjectWrapper<>(PuckChoice.own());
    private final ObjectProperty<ProfileHandle> handle = new SimpleObjectProperty<>();
    private final ObjectProperty<Integer> step = new SimpleObjectProperty<>(-1);
    private String wanted = "";
    /** As it is being drawn; null while it is as it is kept. */
    private Profile draft;

    /** The profiles of that desk, predicted on the coffee that is dialled in. */
    public ProfilesViewModel(StudyDesk desk, DialInViewModel dialIn, Executor interfaceThread) {
        this.desk = desk;
        this.dialIn = dialIn;
        this.worker = new Background("grenu-profiles", interfaceThread);
        this.latest = new Latest(worker);
        this.fitter = new Background("grenu-puck", interfaceThread);
        this.fitting = new Latest(fitter);
        this.telling = new Latest(fitter);
        InvalidationListener refresh = observable -> refresh();
        Runnable again = desk.turns().of(this::refresh);
        desk.shots().addListener((Observable o) -> again.run());
        desk.shelfProperty().addListener(refresh);
        active.addListener(refresh);
        dialIn.answeredProperty().addListener((o, was, is) -> fit());
        active.addListener((o, was, is) -> fit());
    }

    // Observables

    /** {@return whether anybody looks; else nothing is computed} */
    public BooleanProperty activeProperty() {
        return active;
    }

    /** {@return the profile that is drawn; null while there is none} */
    ReadOnlyObjectProperty<KnownProfile> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    /** {@return it on its strips; null while there is none} */
    public ReadOnlyObjectProperty<ProfileFigure> figureProperty() {
        return figure.getReadOnlyProperty();
    }

    /** {@return what makes it what it is; null while that is not known} */
    ReadOnlyObjectProperty<ProfileFacts> factsProperty() {
        return facts.getReadOnlyProperty();
    }

    /** {@return what it is predicted to differ from the version before; null where there is none} */
    ReadOnlyObjectProperty<ProfileDifference> differenceProperty() {
        return difference.getReadOnlyProperty();
    }

    /** {@return on what it is predicted} */
    ReadOnlyObjectProperty<PuckChoice> puckProperty() {
        return puck.getReadOnlyProperty();
    }

    /** {@return the handle that has the keys; null for none} */
    ObjectProperty<ProfileHandle> handleProperty() {
        return handle;
    }

    /** {@return the step whose row is edited; −1 for none} */
    ObjectProperty<Integer> stepProperty() {
        return step;
    }

    /** {@return all profiles, by name} */
    List<KnownProfile> all() {
        return KnownProfile.all(desk.shelfProperty().get(), List.copyOf(desk.shots()));
    }

    /** {@return names of profiles whose steps nothing tells, each with how many shots name it} */
    Map<String, Long> withoutSteps() {
        Set<String> told = all().stream().map(KnownProfile::name).collect(Collectors.toSet());
        return desk.shots()
                .stream()
                .flatMap(shot -> shot.record().text(RecordField.PROFILE).stream())
                .filter(name -> told.stream().noneMatch(name::equalsIgnoreCase))
                .collect(Collectors.groupingBy(name -> name, TreeMap::new, Collectors.counting()));
    }

    /** {@return the steps as they are drawn now} */
    Profile profile() {
        return draft != null ? draft : chosen.get() == null ? null : chosen.get().profile();
    }

    DialInViewModel dialIn() {
        return dialIn;
    }

    StudyDesk desk() {
        return desk;
    }

    // Actions

    /** Draws the profile of that name. */
    public void choose(String name) {
        wanted = name;
        draft = null;
        handle.set(null);
        step.set(-1);
        refresh();
    }

    /** Draws it so for now, as while a handle is dragged. */
    void draw(Profile changed) {
        draft = changed;
        show(1);
    }

    /** Takes back what was drawn and not kept. */
    void takeBack() {
        draft = null;
        show(RUNS);
    }

    /** Keeps what is drawn, or those steps: as the next version where shots were pulled by the one there is. */
    public void keep(Profile changed) {
        KnownProfile now = chosen.get();
        if (now == null || changed.equals(now.profile())) {
            takeBack();
            return;
        }
        draft = changed;
        String text = changed.text();
        if (now.item().isEmpty()) {
            desk.onShelf()
                    .add(ShelfKind.PROFILE, now.name(), steps(now.profile().text()),
                            item -> version(item, text));
        } else if (now.used()) {
            version(now.item().get(), text);
        } else {
            ShelfItem item = now.item().get();
            desk.change("Steps of " + now.name(), List.of(new Change(Target.VERSION, item.newest().id(),
                    RecordField.PROFILE_STEPS.key(), item.entries().entry(RecordField.PROFILE_STEPS).orElse(""), text)),
                    "");
        }
    }

    private void version(ShelfItem item, String text) {
        LocalDate since = item.nextBegins(dialIn.today());
        Map<Field, String> texts = new LinkedHashMap<>(item.entries().texts());
        texts.put(RecordField.PROFILE_STEPS, text);
        desk.step(() -> desk.library()
                .write(tx -> tx.shelf().addVersion(item.id(), since, "drawn in Plan", texts)), made -> {});
    }

    private static Entries steps(String text) {
        return Entries.NONE.with(RecordField.PROFILE_STEPS, text);
    }

    /** Puts a new profile on the shelf and draws it. */
    public void add(String name, Profile profile) {
        String called = FreeName.of(name, this::known);
        desk.onShelf().add(ShelfKind.PROFILE, called, steps(profile.text()), item -> choose(called));
    }

    private boolean known(String name) {
        return all().stream().anyMatch(profile -> profile.name().equalsIgnoreCase(name));
    }

    /** Makes a profile that follows the open shot, and says what it does not follow. */
    void fromOpenShot() {
        var open = desk.openProperty().get();
        if (open == null) {
            desk.noticeProperty().set(Notice.failed("No shot is open: open one in the rack."));
            return;
        }
        Optional<ProfileFit> fit = ProfileFit.of(open.measures().phases(), open.measures().curve());
        if (fit.isEmpty()) {
            desk.noticeProperty()
                    .set(Notice.failed("Shot " + open.summary().number()
                            + " has no pressure curve to read steps off."));
            return;
        }
        add("Like shot " + open.summary().number(), fit.get().profile());
        desk.noticeProperty()
                .set(Notice.done("Steps read off shot " + open.summary().number() + ". "
                        + String.join(" ", fit.get().notFit())));
    }

    /** Lets each step say how hot its water is, beginning as the puck is brewed; or leaves it to the machine again. */
    void toggleWater() {
        Profile now = profile();
        keep(now.heats() ? now.unheated() : now.heatedBy(puck.get().fit().puck().celsius()));
    }

    /** Widens or narrows the corridors to what the profile's shots did. */
    void learnTolerances() {
        KnownProfile now = chosen.get();
        List<ShotSummary> accepted = now.shots()
                .stream()
                .filter(shot -> !shot.record().has(RecordField.FAULT))
                .toList();
        worker.run(() -> LearntTolerances.of(now.profile(),
                accepted.stream().map(desk.analyses()::of).map(ShotAnalysis::measures).map(m -> m.curve()).toList()),
                learnt -> {
                    if (learnt.shots() == 0) {
                        desk.noticeProperty()
                                .set(Notice.failed("No logged shot was pulled by " + now.name()
                                        + ": there is nothing to learn its corridors from."));
                        return;
                    }
                    desk.noticeProperty()
                            .set(Notice.done("Corridors learnt from " + learnt.shots()
                                    + " shots: 95 % of their time lies within. Ctrl Z takes it back."));
                    keep(learnt.profile());
                }, desk::failed);
    }

    /** Predicts on the simulator's own coffee, or on the one that is dialled in. */
    void predictOn(String coffee) {
        if (coffee.isEmpty()) {
            puck.set(PuckChoice.own());
            show(RUNS);
        } else {
            dialIn.choose(coffee);
        }
    }

    /** Does work beside the interface and hands over what came of it. */
    <T> void beside(Callable<T> work, Consumer<T> then) {
        worker.run(work, then, desk::failed);
    }

    @Override
    public void close() {
        worker.close();
        fitter.close();
    }

    private void refresh() {
        if (!active.get()) {
            return;
        }
        List<KnownProfile> all = all();
        KnownProfile found = all.stream()
                .filter(profile -> profile.name().equalsIgnoreCase(wanted))
                .findFirst()
                .orElseGet(() -> usual(all));
        if (found != null && draft != null && found.profile().equals(draft)) {
            draft = null;
        }
        chosen.set(found);
        show(RUNS);
    }

    private KnownProfile usual(List<KnownProfile> all) {
        Optional<String> open = Optional.ofNullable(desk.openProperty().get())
                .flatMap(shot -> shot.summary().record().text(RecordField.PROFILE));
        return all.stream()
                .filter(profile -> open.filter(profile.name()::equals).isPresent())
                .findFirst()
                .orElse(all.isEmpty() ? null : all.get(0));
    }

    private void fit() {
        DialInAnswer answer = dialIn.answeredProperty().get();
        if (!active.get() || answer == null || answer.given().isEmpty()) {
            return;
        }
        fitting.ask(() -> PuckChoice.of(answer.given().get()), found -> {
            puck.set(found);
            show(RUNS);
        }, desk::failed);
    }

    /** Draws what is drawn now with that many simulated shots: one while it is dragged, and then its bands. */
    private void show(int runs) {
        Profile shown = profile();
        if (shown == null) {
            figure.set(null);
            facts.set(null);
            difference.set(null);
            return;
        }
        Optional<Profile> before = draft == null ? Optional.empty() : Optional.of(chosen.get().profile());
        PuckChoice on = puck.get();
        ProfileDifference.Against against = ProfileDifference.Against.of(chosen.get(), draft != null);
        latest.ask(() -> {
            ProfilePrediction predicted = ProfilePrediction.of(on.fit(), shown, runs);
            return new Drawn(ProfileFigure.of(shown, before, Optional.of(predicted)),
                    ProfileDifference.of(predicted, against, on.fit(), runs));
        }, drawn -> {
            difference.set(drawn.difference);
            figure.set(drawn.figure);
        }, desk::failed);
        if (runs > 1) {
            KnownProfile of = chosen.get();
            List<KnownProfile> all = all();
            telling.ask(() -> ProfileFacts.of(of, shown, all, on.fit(), desk), facts::set, desk::failed);
        }
    }

    /** What is drawn at once. */
    private record Drawn(ProfileFigure figure, ProfileDifference difference) {
    }
}
