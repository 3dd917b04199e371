package org.grenu.desktop.shelf;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.collections.ObservableList;
import org.grenu.app.settings.Schools;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Latest;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.desktop.entry.HistoryViewModel;
import org.grenu.figures.shelf.ShelfFigures;
import org.grenu.figures.shelf.ShelfShot;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** The shelf: which sort of things is shown, which thing is chosen, and the changes of it. */
public final class ShelfViewModel implements AutoCloseable {

    private final StudyDesk desk;
    private final Clock clock;
    private final Background worker;
    private final BooleanProperty active = new SimpleBooleanProperty();
    private final ObjectProperty<ShelfKind> kind = new SimpleObjectProperty<>(ShelfKind.COFFEE);
    private final ReadOnlyObjectWrapper<Chosen> chosen = new ReadOnlyObjectWrapper<>();
    private final ObservableList<ShelfCard> cards = FXCollections.observableArrayList();
    private long wanted = -1;
    private int wantedVersion = -1;
    private final Latest latest;

    /** The shelf of that desk; today is what the clock says. */
    public ShelfViewModel(StudyDesk desk, Executor interfaceThread, Clock clock) {
        this.desk = desk;
        this.clock = clock;
        this.worker = new Background("grenu-shelf", interfaceThread);
        this.latest = new Latest(worker);
        desk.shelfProperty().addListener((o, was, is) -> refresh());
        desk.shots().addListener((ListChangeListener<ShotSummary>) change -> draw());
        desk.settingsProperty().addListener((o, was, is) -> draw());
        kind.addListener((o, was, is) -> {
            wanted = -1;
            refresh();
        });
        active.addListener((o, was, is) -> refresh());
    }

    // Observables

    /** {@return whether the workspace is shown; nothing is drawn while it is not} */
    public BooleanProperty activeProperty() {
        return active;
    }

    /** {@return the sort of things shown; bags are shown with their coffees} */
    public ObjectProperty<ShelfKind> kindProperty() {
        return kind;
    }

    /** {@return the thing whose entries are shown; null while there is none} */
    public ReadOnlyObjectProperty<Chosen> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    /** {@return the things shown, in order} */
    public ObservableList<ShelfCard> cards() {
        return cards;
    }

    /** {@return whether there is nothing of the sort shown} */
    boolean nothingHere() {
        return shelf().arranged(kind.get()).isEmpty();
    }

    // Actions

    /** Shows that thing. */
    public void choose(ShelfItem item) {
        wanted = item.id();
        wantedVersion = -1;
        ShelfKind sort = item.kind() == ShelfKind.BAG ? ShelfKind.COFFEE : item.kind();
        if (kind.get() != sort) {
            kind.set(sort);
            wanted = item.id();
        }
        refresh();
    }

    /** Shows another version of the chosen thing. */
    void chooseVersion(int number) {
        wantedVersion = number;
        refresh();
    }

    /**
     * Puts a thing on the shelf and shows it.
     *
     * @return why that is not possible; empty when it is
     */
    public Optional<String> add(ShelfKind sort, String name) {
        return add(sort, name, Entries.NONE);
    }

    private Optional<String> add(ShelfKind sort, String name, Entries entries) {
        Optional<String> refused = refusedName(sort, name);
        if (refused.isEmpty()) {
            desk.onShelf().add(sort, name.strip(), entries, this::choose);
        }
        return refused;
    }

    /** Puts a bag of the chosen coffee on the shelf. */
    Optional<String> addBag(ShelfItem coffee) {
        int number = 1;
        while (shelf().find(ShelfKind.BAG, coffee.name() + " bag " + number).isPresent()) {
            number++;
        }
        return add(ShelfKind.BAG, coffee.name() + " bag " + number,
                Entries.NONE.with(ShelfField.BAG_COFFEE, coffee.name()));
    }

    private Optional<String> refusedName(ShelfKind sort, String name) {
        if (name.isBlank() || name.length() > 120 || name.contains(";")) {
            return Optional.of("A name has up to 120 characters and no semicolon.");
        }
        return shelf().find(sort, name).map(there -> "There is a " + sort.one() + " “" + there.name() + "” already.");
    }

    /** {@return whether the chosen thing was called otherwise before; what refers to it shows the new name} */
    boolean rename(String name) {
        Chosen now = chosen.get();
        if (now == null || now.item().name().equals(name.strip())) {
            return false;
        }
        if (!now.item().name().equalsIgnoreCase(name.strip())) {
            refusedName(now.item().kind(), name).ifPresent(reason -> {
                throw new RefusedEntry(reason);
            });
        }
        desk.change("Renamed " + now.item().name(),
                List.of(new Change(Target.ITEM, now.item().id(), "name", now.item().name(), name.strip())), "");
        return true;
    }

    /** Puts the chosen thing into the bin. */
    void bin() {
        ShelfItem item = chosen.get().item();
        desk.step(
                () -> desk.library()
                        .write(tx -> tx.bin().put(Target.ITEM, List.of(item.id()), item.name() + " put into the bin")),
                step -> {});
    }

    /**
     * Begins a new version of the chosen thing.
     *
     * @throws RefusedEntry if the day is none, or not after the version before
     */
    void partsChanged(String day, String what) {
        ShelfItem item = chosen.get().item();
        LocalDate since = typedDay(day);
        if (item.newest().since().filter(before -> !before.isBefore(since)).isPresent()) {
            throw new RefusedEntry(
                    "The version before begins on " + item.newest().since().get() + "; this one must begin later.");
        }
        wantedVersion = -1;
        desk.onShelf().addVersion(item, since, what.strip());
    }

    private LocalDate typedDay(String typed) {
        try {
            return LocalDate.parse(typed.strip());
        } catch (DateTimeParseException notIso) {
            throw new RefusedEntry("The day must be a date such as " + LocalDate.now(clock) + ".");
        }
    }

    /** {@return today} */
    LocalDate today() {
        return LocalDate.now(clock);
    }

    /** {@return an editor for an entry of the chosen thing} */
    EntryViewModel entry(Field field) {
        return new EntryViewModel(chosen, field.title(), () -> shown(field), typed -> enter(field, typed))
                .in(desk.units(), field.unit());
    }

    /** {@return an editor for the chosen thing's name} */
    EntryViewModel name() {
        return new EntryViewModel(chosen, "Name", () -> chosen.get() == null ? "" : chosen.get().item().name(),
                this::rename);
    }

    /** {@return what was corrected about the chosen thing} */
    HistoryViewModel history() {
        return new HistoryViewModel(desk, chosen,
                key -> chosen.get() == null ? Optional.empty() : chosen.get().item().kind().field(key),
                () -> chosen.get() == null ? List.of()
                        : List.of(new HistoryViewModel.Subject(Target.VERSION, chosen.get().version().id()),
                                new HistoryViewModel.Subject(Target.ITEM, chosen.get().item().id())));
    }

    private String shown(Field field) {
        String text = chosen.get() == null ? "" : chosen.get().version().entries().entry(field).orElse("");
        return field.kind() == FieldKind.NUMBER ? text.replace('-', '\u2212') : text;
    }

    /** {@return whether that changes anything} */
    boolean enter(Field field, String typed) {
        Chosen now = chosen.get();
        String before = now.version().entries().entry(field).orElse("");
        String after = now.version().entries().with(field, typed).entry(field).orElse("");
        if (!before.equals(after)) {
            desk.change(field.title() + " of " + now.item().name(),
                    List.of(new Change(Target.VERSION, now.version().id(), field.key(), before, after)), "");
        }
        return !before.equals(after);
    }

    /** {@return the schools of rest, of which at most one is chosen here} */
    List<RulePack> restSchools() {
        return schools().all().stream().filter(pack -> RestWindow.of(pack).isPresent()).toList();
    }

    /** {@return the school of rest that speaks, if one does} */
    Optional<RulePack> restSchool() {
        return restSchools().stream().filter(schools()::speaks).findFirst();
    }

    /** Lets that school of rest speak and no other; empty: none. */
    void chooseRest(Optional<RulePack> school) {
        Schools chosen = schools();
        for (RulePack pack : restSchools()) {
            chosen = chosen.with(pack, school.filter(pack::equals).isPresent());
        }
        desk.choose(desk.settingsProperty().get().with(chosen));
    }

    private Schools schools() {
        return desk.settingsProperty().get().schools();
    }

    /** {@return names of that sort that shots use and the shelf does not know, the most used first} */
    List<String> unshelved(ShelfKind sort) {
        Map<String, Integer> used = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (ShotSummary shot : desk.shots()) {
            names(shot, sort).forEach(name -> used.merge(name, 1, Integer::sum));
        }
        return used.entrySet()
                .stream()
                .filter(name -> shelf().find(sort, name.getKey()).isEmpty())
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static Set<String> names(ShotSummary shot, ShelfKind sort) {
        Set<String> names = new LinkedHashSet<>();
        if (sort == ShelfKind.STUDY) {
            names.addAll(shot.record().studies());
        } else {
            shot.record().text(sort.named()).ifPresent(name -> names.add(name.strip()));
        }
        return names;
    }

    /** {@return the shots that name the thing} */
    List<ShotSummary> shotsWith(ShelfItem item) {
        return desk.shots()
                .stream()
                .filter(shot -> names(shot, item.kind()).stream().anyMatch(name -> name.equalsIgnoreCase(item.name())))
                .toList();
    }

    Shelf shelf() {
        return desk.shelfProperty().get();
    }

    StudyDesk desk() {
        return desk;
    }

    @Override
    public void close() {
        worker.close();
    }

    /** Keeps the choice over a change of the shelf as far as the thing is still there. */
    private void refresh() {
        if (!active.get()) {
            return;
        }
        List<ShelfItem> shown = shelf().arranged(kind.get());
        ShelfItem item = wantedAmong(shown);
        if (item == null) {
            chosen.set(null);
        } else {
            wanted = item.id();
            chosen.set(new Chosen(item, wantedVersion(item)));
        }
        draw();
    }

    private ShelfItem wantedAmong(List<ShelfItem> shown) {
        return shown.stream()
                .filter(one -> one.id() == wanted)
                .findFirst()
                .orElse(shown.isEmpty() ? null : shown.get(0));
    }

    private ShelfVersion wantedVersion(ShelfItem item) {
        return item.versions()
                .stream()
                .filter(one -> one.number() == wantedVersion)
                .findFirst()
                .orElse(item.newest());
    }

    /** Draws what is shown, off the interface thread; what was asked for before is dropped. */
    private void draw() {
        if (!active.get()) {
            return;
        }
        List<ShelfItem> items = shelf().arranged(kind.get());
        Chosen now = chosen.get();
        List<ShotSummary> shots = List.copyOf(desk.shots());
        Optional<RestWindow> rest = desk.settingsProperty()
                .get()
                .packs()
                .stream()
                .flatMap(pack -> RestWindow.of(pack).stream())
                .findFirst();
        LocalDate today = LocalDate.now(clock);
        DisplayUnits units = desk.units().getValue();
        latest.ask(() -> {
            ShelfFigures figures = new ShelfFigures(
                    shots.stream().map(shot -> new ShelfShot(shot.number(), shot.record())).toList(), rest, today,
                    units);
            List<ShelfCard> drawn = new ArrayList<>();
            for (ShelfItem item : items) {
                ShelfVersion version = now != null && now.item().id() == item.id() ? now.version() : item.newest();
                drawn.add(new ShelfCard(item, version, figures.of(item, version)));
            }
            return drawn;
        }, cards::setAll, desk::failed);
    }

    /** {@return what one of that sort is called, with an article} */
    static String article(ShelfKind sort) {
        return ("aeiou".indexOf(sort.one().charAt(0)) >= 0 ? "an " : "a ") + sort.one().toLowerCase(Locale.ROOT);
    }
}
